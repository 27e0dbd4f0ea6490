<script lang="ts">
  import { ChevronDown, Redo2, Search, Undo2 } from "lucide";
  import Icon from "./Icon.svelte";
  import StateIcon from "./StateIcon.svelte";
  import { page } from "$app/state";
  import { deficitsOf } from "../core/log/deficits.ts";
  import { useKit } from "../state/kit.svelte.ts";
  import { workspace } from "../state/workspace.svelte.ts";
  import Mark from "./Mark.svelte";
  import SaveMark from "./SaveMark.svelte";
  import { STAGES, type StageId } from "./stages.ts";

  const kit = useKit();
  const DONE = "✓";
  const current = $derived(page.url.pathname.split("/").at(-1));
  const here = $derived(`/kit/${page.params["id"]}`);
  const toPutBack = $derived(kit.inService ? deficitsOf(kit.replayed, workspace.today).length : 0);
  const open = $derived.by((): Record<StageId, string> => {
    const o = kit.open;
    return {
      brief: kit.brief.title ? DONE : "untitled",
      unpack:
        kit.lines.length === 0
          ? "empty"
          : o.doubtful > 0
            ? `${o.doubtful} doubtful`
            : o.uncounted > 0
              ? `${o.uncounted} to count`
              : DONE,
      bench: kit.lines.length === 0 ? "" : o.toInspect > 0 ? `${o.toInspect} to inspect` : DONE,
      sieve: o.held > 0 ? `${o.held} held` : DONE,
      plan: "",
      report: "",
      log: toPutBack === 0 ? "" : `${toPutBack} to put back`,
    };
  });
  let nav: HTMLElement;
  // On a narrow screen the trail scrolls: the stage one is on stays in sight.
  $effect(() => {
    void current;
    // Once the page is laid out: to ask for places before would lay it out twice.
    const frame = requestAnimationFrame(() => {
      // Scrolled by hand: scrollIntoView would move where the next Tab starts, past the skip link.
      const on = nav.querySelector<HTMLElement>("[aria-current]");
      if (on)
        nav.scrollLeft = on.offsetLeft - nav.offsetLeft - (nav.clientWidth - on.offsetWidth) / 2;
    });
    return () => cancelAnimationFrame(frame);
  });
  const find = () =>
    window.dispatchEvent(new KeyboardEvent("keydown", { key: "k", ctrlKey: true, bubbles: true }));
</script>

<header class="no-print flex flex-wrap items-stretch border-b border-ink bg-sheet lg:flex-nowrap">
  <a
    href="/"
    class="flex min-h-12 min-w-0 flex-1 items-center gap-3 px-4 lg:max-w-64 lg:flex-none 2xl:max-w-80"
    title="To the shelf of kits"
  >
    <Mark />
    <span class="truncate text-lg font-bold">{kit.record?.kit.name}</span>
    <Icon of={ChevronDown} size={18} class="shrink-0 text-soft" />
    <span class="sr-only">to the shelf</span>
  </a>
  <nav
    bind:this={nav}
    aria-label="Stages"
    class="order-3 flex w-full overflow-x-auto border-t border-line lg:order-none lg:w-auto lg:flex-1 lg:border-t-0"
  >
    {#each STAGES as stage, i (stage.id)}
      <a
        href="{here}/{stage.id}"
        aria-current={current === stage.id ? "page" : undefined}
        title="Alt {i + 1}"
        class="flex min-h-12 shrink-0 items-center gap-2 px-3 text-[1.05rem] font-semibold lg:px-2.5 2xl:px-3 {current ===
        stage.id
          ? 'bg-pick text-onpick'
          : 'hover:bg-passbg'}"
      >
        {stage.label}
        {#if open[stage.id]}<span
            class="text-sm font-normal whitespace-nowrap {current === stage.id ? '' : 'text-soft'}"
            >{#if open[stage.id] === DONE}<StateIcon state="good" size={16} /><span class="sr-only"
                >done</span
              >{:else}{open[stage.id]}{/if}</span
          >{/if}
      </a>
    {/each}
  </nav>
  <div class="flex items-center gap-3 px-3">
    <span class="hidden sm:inline"><SaveMark /></span>
    <button
      class="btn min-h-9 px-3 py-1"
      disabled={!workspace.undoLabel}
      onclick={() => workspace.undo()}
      title={workspace.undoLabel ? `Undo: ${workspace.undoLabel} (Ctrl Z)` : "Nothing to undo"}
      ><Icon of={Undo2} size={18} /><span class="lg:sr-only 2xl:not-sr-only">Undo</span></button
    >
    <button
      class="btn hidden min-h-9 px-3 py-1 2xl:inline-flex"
      disabled={!workspace.redoLabel}
      onclick={() => workspace.redo()}
      title={workspace.redoLabel
        ? `Do again: ${workspace.redoLabel} (Ctrl Shift Z)`
        : "Nothing to do again"}><Icon of={Redo2} size={18} />Redo</button
    >
    <button class="btn min-h-9 px-3 py-1" onclick={find}
      ><Icon of={Search} size={18} /><span class="lg:sr-only 2xl:not-sr-only">Find</span>
      <span class="kbd hidden 2xl:inline">Ctrl K</span></button
    >
  </div>
</header>
