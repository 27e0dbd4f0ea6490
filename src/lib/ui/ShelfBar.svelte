<script lang="ts">
  import type { Snippet } from "svelte";
  import Mark from "./Mark.svelte";

  /** The bar over the places under the shelf, and nothing that must be loaded for it. */
  interface Props {
    title: string;
    about: string;
    /** Path of the place that is open. */
    at: string;
    /** What can be done from here, at the right. */
    actions: Snippet;
  }
  const { title, about, at, actions }: Props = $props();
  /** The places under the shelf. */
  const PLACES = [
    { href: "/", label: "Shelf" },
    { href: "/service", label: "In service" },
    { href: "/class", label: "Class" },
    { href: "/compare", label: "Compare" },
    { href: "/lists", label: "Lists" },
    { href: "/prices", label: "Price book" },
    { href: "/words", label: "Words" },
    { href: "/settings", label: "Settings" },
  ];
</script>

<!-- The shelf's own stays on one row from 1280 px on, whatever letters stand there until the fonts have come: nothing below moves. -->
<header
  class="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-ink bg-sheet px-5 py-2 2xl:flex-nowrap {at ===
  '/'
    ? 'xl:flex-nowrap'
    : ''}"
>
  <a
    href="#below-header"
    class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-3"
    >Skip to the page</a
  >
  <a href="/" aria-label="To the shelf"><Mark /></a>
  <h1 class="text-2xl {at === '/' ? 'shrink-0' : '2xl:shrink-0'}">{title}</h1>
  <p class="hidden min-w-0 truncate text-soft 2xl:block">{about}</p>
  <nav
    class="order-3 -mx-5 flex w-[calc(100%+2.5rem)] items-center gap-1 overflow-x-auto px-5 lg:order-none lg:mx-0 lg:ml-auto lg:w-auto lg:px-0 xl:min-w-0 2xl:shrink-0"
    aria-label="Under the shelf"
  >
    {#each PLACES as p (p.href)}
      <a
        href={p.href}
        aria-current={at === p.href ? "page" : undefined}
        class="flex min-h-11 shrink-0 items-center px-3 font-semibold lg:px-2.5 {at === p.href
          ? 'bg-pick text-onpick'
          : 'hover:bg-passbg'}">{p.label}</a
      >
    {/each}
  </nav>
  <span class="ml-auto flex items-center gap-3 lg:ml-0 xl:shrink-0">{@render actions()}</span>
</header>
<span id="below-header" tabindex="-1"></span>
