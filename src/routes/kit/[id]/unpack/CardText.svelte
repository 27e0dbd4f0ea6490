<script lang="ts">
  import { isUnread, type CardPiece } from "$lib/core/shown/cardPieces.ts";

  interface Props {
    /** The card, line by line, in pieces. */
    rows: readonly (readonly CardPiece[])[];
    doubts: Record<string, unknown>;
    picked: string | null;
    /** `bring`: its line is to be brought in sight. */
    onpick: (id: string, bring: boolean) => void;
    /** A line of the card, from 1, that was taken for no item is one. */
    onadd: (cardLine: number) => void;
  }
  const { rows, doubts, picked, onpick, onadd }: Props = $props();
</script>

<ol
  class="sheet mt-3 max-h-[70vh] overflow-auto p-3 font-mono text-sm"
  aria-label="The card, line by line"
>
  {#each rows as row, i (i)}
    <li class="flex min-h-6 gap-3">
      <span class="w-6 shrink-0 text-right text-soft select-none" aria-hidden="true">{i + 1}</span>
      <span class="min-w-0 break-words whitespace-pre-wrap"
        >{#each row as piece, k (k)}{#if piece.id}<button
              class="min-h-6 cursor-pointer rounded-xs text-left underline decoration-2 underline-offset-4 {piece.id in
              doubts
                ? 'decoration-note decoration-wavy'
                : 'decoration-pass'} {picked === piece.id ? 'bg-notebg' : 'hover:bg-passbg'}"
              onclick={() => onpick(piece.id!, true)}
              onmouseenter={() => onpick(piece.id!, false)}
              onfocus={() => onpick(piece.id!, false)}>{piece.text}</button
            >{:else}<span class="text-soft">{piece.text || " "}</span>{/if}{/each}</span
      >
      {#if isUnread(row)}
        <button
          class="ml-auto h-6 shrink-0 px-1 font-body text-xs text-soft underline underline-offset-4 hover:text-ink"
          aria-label="Line {i + 1} is an item: add it"
          onclick={() => onadd(i + 1)}>is an item</button
        >
      {/if}
    </li>
  {/each}
</ol>
