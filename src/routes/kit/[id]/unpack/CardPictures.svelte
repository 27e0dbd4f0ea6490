<script lang="ts">
  import type { Line } from "$lib/core/model/kit.ts";
  import { DOUBTFUL_WORD } from "$lib/core/picture/seen.ts";
  import { doubtfulWords, type CardPicturesState } from "$lib/state/pages/pictures.svelte.ts";

  /** Pictures of the contents card, each word's place tied to its line. */
  interface Props {
    cards: CardPicturesState;
    lines: readonly Line[];
    picked: string | null;
    onpick: (id: string) => void;
  }
  const { cards, lines, picked, onpick }: Props = $props();
  const pickedLine = $derived(lines.find((l) => l.id === picked)?.cardLine);
  const lineOf = (cardLine: number) => lines.find((l) => l.cardLine === cardLine);
</script>

{#each cards.pictures as p (p.id)}
  {@const doubtful = doubtfulWords(p)}
  <figure class="sheet mt-3 p-3">
    <figcaption class="flex items-baseline justify-between gap-2 text-sm">
      <span class="min-w-0 truncate font-semibold">{p.name}</span>
      <button
        class="min-h-8 shrink-0 underline underline-offset-4"
        aria-label="Remove the picture {p.name}"
        onclick={() => cards.remove(p.id)}>remove</button
      >
    </figcaption>
    <div class="relative mt-2 max-h-[60vh] overflow-auto">
      <div class="relative">
        <img src={p.dataUrl} alt="The card {p.name}" class="block w-full border border-line" />
        <svg
          class="absolute inset-0 h-full w-full"
          viewBox="0 0 {p.seen!.width} {p.seen!.height}"
          preserveAspectRatio="none"
          aria-hidden="true"
        >
          {#each p.seen!.words as w, i (i)}
            {@const cardLine = p.seen!.cardLine + w.line}
            {@const line = lineOf(cardLine)}
            <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
            <rect
              x={w.box[0]}
              y={w.box[1]}
              width={Math.max(1, w.box[2] - w.box[0])}
              height={Math.max(1, w.box[3] - w.box[1])}
              class="word {line ? 'cursor-pointer' : ''}"
              class:picked={cardLine === pickedLine}
              class:doubtful={w.confidence < DOUBTFUL_WORD}
              onclick={() => line && onpick(line.id)}
            />
          {/each}
        </svg>
      </div>
    </div>
    {#if doubtful.length > 0}
      <p class="mt-2 text-sm">
        <span class="font-semibold">Not read surely:</span>
        {#each doubtful.slice(0, 20) as d, i (i)}{@const line = lineOf(d.cardLine)}
          {#if line}<button
              class="min-h-8 underline decoration-dotted underline-offset-4"
              onclick={() => onpick(line.id)}>“{d.text}” in line {d.cardLine}</button
            >{:else}“{d.text}” in line {d.cardLine}{/if}{i < Math.min(20, doubtful.length) - 1
            ? ", "
            : ""}{/each}{doubtful.length > 20 ? ` and ${doubtful.length - 20} more` : ""}. Compare
        with the picture; put it right in the text or at the line.
      </p>
    {/if}
  </figure>
{/each}

<style>
  .word {
    fill: transparent;
    stroke: none;
    vector-effect: non-scaling-stroke;
  }
  .doubtful {
    stroke: var(--color-note);
    stroke-width: 1.5;
    stroke-dasharray: 5 3;
  }
  .picked {
    stroke: var(--color-pass);
    stroke-width: 1.5;
    fill: color-mix(in srgb, var(--color-pass) 16%, transparent);
  }
</style>
