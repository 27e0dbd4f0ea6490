<script lang="ts">
  import { onDestroy, onMount } from "svelte";
  import type { CardPiece } from "$lib/core/shown/cardPieces.ts";
  import type { cardEditor } from "./cardEditor.ts";

  /** The card as text: a plain field at once, the editor as soon as it is there. */
  interface Props {
    value: string;
    /** The text line by line, in pieces. */
    rows: readonly (readonly CardPiece[])[];
    doubts: Readonly<Record<string, unknown>>;
    onchange: (text: string) => void;
    onpick: (id: string) => void;
    onfocus: () => void;
  }
  const { value, rows, doubts, onchange, onpick, onfocus }: Props = $props();
  const LABEL = "Contents card, as printed or dictated";
  const HINT =
    "Paste, type or dictate what the card says:\n\nSterile gauze pads, 10 x 10 cm (10)\n2 packs of 5 antiseptic wipes\na pair of nitrile gloves";
  let host: HTMLElement;
  let plain = $state<HTMLTextAreaElement>();
  let editor = $state.raw<ReturnType<typeof cardEditor> | null>(null);
  let gone = false;

  onMount(async () => {
    const { cardEditor } = await import("./cardEditor.ts");
    if (gone) return;
    const focused = document.activeElement === plain;
    editor = cardEditor(host, { value, label: LABEL, hint: HINT, onchange, onpick });
    if (focused) editor.focus();
  });
  onDestroy(() => {
    gone = true;
    editor?.destroy();
  });
  $effect(() => editor?.set(value));
  $effect(() => editor?.show({ rows, isDoubtful: (id) => id in doubts }));
</script>

<div class="mt-3">
  <p class="font-semibold" aria-hidden="true">{LABEL}</p>
  <div
    bind:this={host}
    class="mt-1 border border-ink"
    class:hidden={editor === null}
    onfocusin={onfocus}
  ></div>
  {#if editor === null}
    <textarea
      bind:this={plain}
      class="field mt-1 h-[26rem] w-full font-mono text-sm"
      aria-label={LABEL}
      spellcheck="false"
      {value}
      placeholder={HINT}
      {onfocus}
      oninput={(e) => onchange(e.currentTarget.value)}></textarea>
  {/if}
  <p class="text-sm text-soft pointer-coarse:hidden">
    <span class="kbd">Ctrl F</span> seeks in the card.
  </p>
</div>
