<script lang="ts">
  import type { Snippet } from "svelte";
  import { afterNavigate, beforeNavigate, goto } from "$app/navigation";
  import { page } from "$app/state";
  import { shortcuts } from "$lib/ui/keys.ts";
  import Announcer from "$lib/ui/Announcer.svelte";
  import Tally from "$lib/ui/Tally.svelte";
  import Trail from "$lib/ui/Trail.svelte";
  import Later from "$lib/ui/Later.svelte";
  import { pageName, STAGES } from "$lib/ui/stages.ts";
  import { provideKit } from "$lib/state/kit.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { day, many } from "$lib/words/display.ts";
  import { provideReady } from "$lib/state/ready.svelte.ts";

  const { children }: { children: Snippet } = $props();
  const kit = provideKit(() => `kit:${page.params["id"]}`);
  provideReady(kit);
  const events = $derived(kit.record?.events?.length ?? 0);

  /** How far each stage was scrolled when it was left. */
  const left = new Map<string, number>();
  let stage = $state<HTMLElement>();
  beforeNavigate(({ from }) => {
    if (from && stage) left.set(from.url.pathname, stage.scrollTop);
  });
  afterNavigate(({ type, from, to }) => {
    // A newcomer's first page keeps the browser's own start: the skip link comes first. It comes from nowhere.
    if (type === "enter") return;
    // Within a page (a line picked, a hash) nothing moves.
    if (!stage || !to || from?.url.pathname === to.url.pathname) return;
    stage.scrollTop = type === "popstate" ? (left.get(to.url.pathname) ?? 0) : 0;
    const heading = stage.querySelector<HTMLElement>("h1");
    if (!heading) return;
    heading.tabIndex = -1;
    heading.focus({ preventScroll: true });
  });

  const onKey = shortcuts({
    "Alt+(\\d)": (e) => {
      const to = STAGES[Number(e.key) - 1];
      if (!to) return false;
      void goto(`/kit/${page.params["id"]}/${to.id}`);
      return true;
    },
  });
</script>

<svelte:window onkeydown={onKey} />
<svelte:head
  ><title
    >{kit.record
      ? `${pageName(page.url.pathname.split("/").at(-1))} · ${kit.record.kit.name}`
      : "No such kit"} · Wide Sieve</title
  ></svelte:head
>

{#if kit.record}
  <div class="flex h-dvh flex-col print:h-auto">
    <a
      href="#stage"
      class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:m-2 focus:bg-sheet focus:p-3"
      >Skip to the bench</a
    >
    <Trail />
    <Announcer />
    <main
      id="stage"
      bind:this={stage}
      tabindex="-1"
      class="relative min-h-0 flex-1 overflow-y-auto outline-none print:overflow-visible"
    >
      <p class="mb-2 hidden border-b border-ink pb-1 text-sm print:block">
        {kit.record.kit.name} · {pageName(page.url.pathname.split("/").at(-1))} · {day(
          workspace.today,
        )}
      </p>
      {#if events > 0 && page.url.pathname.endsWith("/unpack")}
        <p class="noted m-4 mb-0">
          This kit is in service: here it is as it is today, after {many(events, "event")}. What you
          count or change goes into
          <a class="underline underline-offset-4" href="/kit/{page.params['id']}/log">its log</a>.
        </p>
      {/if}
      <Later>{@render children()}</Later>
    </main>
    <!-- As high as what comes. -->
    <div class="no-print min-h-13 bg-foot"><Later><Tally /></Later></div>
  </div>
{:else}
  <div class="mx-auto max-w-xl p-8">
    <h1 class="text-3xl">This kit is not on the shelf</h1>
    <p class="mt-3">
      It may have been removed, or be in another browser. Undo brings back what was just removed.
    </p>
    <a class="btn mt-5" href="/">To the shelf</a>
  </div>
{/if}
