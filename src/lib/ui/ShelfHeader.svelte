<script lang="ts">
  import { SunMoon, Undo2 } from "lucide";
  import Icon from "./Icon.svelte";
  import { page } from "$app/state";
  import { workspace } from "../state/workspace.svelte.ts";
  import Mark from "./Mark.svelte";
  import SaveMark from "./SaveMark.svelte";
  import { toggleTheme } from "./theme.ts";

  interface Props {
    title: string;
    about: string;
  }
  const { title, about }: Props = $props();
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

<header
  class="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-ink bg-sheet px-5 py-2 2xl:flex-nowrap"
>
  <a
    href="#below-header"
    class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-3"
    >Skip to the page</a
  >
  <a href="/" aria-label="To the shelf"><Mark /></a>
  <h1 class="text-2xl 2xl:shrink-0">{title}</h1>
  <p class="hidden min-w-0 truncate text-soft 2xl:block">{about}</p>
  <nav
    class="order-3 -mx-5 flex w-[calc(100%+2.5rem)] items-center gap-1 overflow-x-auto px-5 lg:order-none lg:mx-0 lg:ml-auto lg:w-auto lg:px-0 2xl:shrink-0"
    aria-label="Under the shelf"
  >
    {#each PLACES as p (p.href)}
      <a
        href={p.href}
        aria-current={page.url.pathname === p.href ? "page" : undefined}
        class="flex min-h-11 shrink-0 items-center px-3 font-semibold lg:px-2.5 {page.url
          .pathname === p.href
          ? 'bg-pick text-onpick'
          : 'hover:bg-passbg'}">{p.label}</a
      >
    {/each}
  </nav>
  <span class="ml-auto flex items-center gap-3 lg:ml-0 2xl:shrink-0"
    ><SaveMark /><button
      class="btn min-h-9 px-3 py-1"
      disabled={!workspace.undoLabel}
      onclick={() => workspace.undo()}
      title={workspace.undoLabel ? `Undo: ${workspace.undoLabel} (Ctrl Z)` : "Nothing to undo"}
      ><Icon of={Undo2} size={18} />Undo</button
    ><button class="btn hidden min-h-9 px-3 py-1 sm:inline-flex" onclick={toggleTheme}
      ><Icon of={SunMoon} size={18} />Light / dark</button
    ></span
  >
</header>
<span id="below-header" tabindex="-1"></span>
