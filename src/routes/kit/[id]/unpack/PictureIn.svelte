<script lang="ts">
  import type { CardPicturesState } from "$lib/state/pages/pictures.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import Reading from "$lib/ui/Reading.svelte";

  /** Takes pictures and PDFs of the contents card in: from a file, the camera, the clipboard, or dropped. */
  interface Props {
    cards: CardPicturesState;
  }
  const { cards }: Props = $props();
  let picker: HTMLInputElement;
  let camera: HTMLInputElement;
  const running = $derived(cards.reading.running);

  // What was dropped on another page waits here.
  $effect(() => {
    if (workspace.waitingPictures.length === 0) return;
    const files = workspace.waitingPictures;
    workspace.waitingPictures = [];
    void cards.take(files);
  });
  $effect(() => () => cards.reading.cancel());

  function paste(e: ClipboardEvent) {
    const files = [...(e.clipboardData?.files ?? [])].filter((f) => f.type.startsWith("image/"));
    if (files.length === 0) return;
    e.preventDefault();
    void cards.take(files);
  }
  function taken(e: Event & { currentTarget: HTMLInputElement }) {
    const files = [...(e.currentTarget.files ?? [])];
    e.currentTarget.value = "";
    void cards.take(files);
  }
</script>

<svelte:window onpaste={paste} />

<div class="mt-3 flex flex-wrap items-center gap-2">
  <button class="btn" disabled={running !== null} onclick={() => picker.click()}
    >Read a picture or PDF</button
  >
  <button class="btn" disabled={running !== null} onclick={() => camera.click()}
    >Photograph the card</button
  >
  <span class="text-sm text-soft">or drop it, or paste it</span>
</div>
<input
  bind:this={picker}
  type="file"
  multiple
  accept="image/png,image/jpeg,image/webp,application/pdf,.heic"
  class="hidden"
  aria-label="Picture or PDF of the card"
  onchange={taken}
/>
<input
  bind:this={camera}
  type="file"
  accept="image/*"
  capture="environment"
  class="hidden"
  aria-label="Photograph of the card"
  onchange={taken}
/>
{#if running}<Reading {...running} oncancel={() => cards.reading.cancel()} />{/if}
