<script lang="ts">
  import type { Doubt } from "$lib/core/card/toLines.ts";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import { doubtTexts } from "$lib/words/cardDoubts.ts";
  import WhichKind from "$lib/ui/WhichKind.svelte";
  import { number } from "$lib/words/sentences.ts";

  /** What the reader asks about a line: whether it was read right, or which of several kinds it is. */
  interface Props {
    doubt: Doubt;
    name: string;
    onaccept: () => void;
    onchoose: (itemType: string) => void;
  }
  const { doubt, name, onaccept, onchoose }: Props = $props();
  const kit = useKit();
  const open = $derived(CATALOGUE.openNames.find((o) => o.id === doubt.open));
  const why = $derived(doubtTexts(doubt.reasons ?? []));
</script>

{#if open}
  <WhichKind {open} {name} {onchoose} />
{:else}
  <div class="noted mt-2 flex flex-wrap items-center gap-2 py-2">
    <span class="font-semibold">Read right?</span>
    <button class="btn min-h-9 px-3 py-1" onclick={onaccept}
      >Yes <span class="kbd">Enter</span></button
    >
    {#each doubt.alternatives as id, i (id)}
      <button class="btn min-h-9 px-3 py-1" onclick={() => onchoose(id)}
        >{kit.typeOf(id)?.label ?? id} <span class="kbd">{i + 1}</span></button
      >
    {/each}
    <span class="text-sm text-soft"
      >right in {number(doubt.confidence * 100, 0)} of 100{why.length > 0
        ? `: ${why.join("; ")}`
        : ""}</span
    >
  </div>
{/if}
