<script lang="ts">
  import { page } from "$app/state";
  import { useKit } from "../state/kit.svelte.ts";
  import { many } from "../words/display.ts";
  import { STAGES, type StageId } from "./stages.ts";

  /** What comes next, at the foot of a stage, with what this one still leaves open. */
  interface Props {
    from: StageId;
  }
  const { from }: Props = $props();
  const kit = useKit();
  const next = $derived(STAGES[STAGES.findIndex((s) => s.id === from) + 1]);
  const undated = $derived(
    kit.lines.filter((l) => l.itemType && kit.typeOf(l.itemType)?.dated && l.expires === undefined)
      .length,
  );
  const open = $derived.by((): string[] => {
    const o = kit.open;
    switch (from) {
      case "bench":
        return [
          ...(o.toInspect > 0 ? [`${many(o.toInspect, "line")} not looked at`] : []),
          ...(o.uncounted > 0 ? [`${many(o.uncounted, "line")} not counted`] : []),
          ...(undated > 0 ? [`${many(undated, "date")} not read`] : []),
        ];
      case "sieve":
        return o.held > 0 ? [`${many(o.held, "need")} held in a mesh`] : [];
      default:
        return [];
    }
  });
</script>

{#if next}
  <p
    class="no-print mt-8 flex flex-wrap items-center justify-end gap-x-4 gap-y-2 border-t border-line pt-4"
  >
    {#if open.length > 0}<span class="text-soft">Still open: {open.join(", ")}.</span>{/if}
    <a class="btn btn-main" href="/kit/{page.params['id']}/{next.id}"
      >Next: {next.label.toLowerCase()}</a
    >
  </p>
{/if}
