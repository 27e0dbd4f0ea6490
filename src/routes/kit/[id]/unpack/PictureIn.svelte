<script lang="ts">
  import FilePicker from "$lib/ui/FilePicker.svelte";
  import type { CardPicturesState } from "$lib/state/pages/pictures.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import Reading from "$lib/ui/Reading.svelte";

  /** Takes pictures and PDFs of the contents card in: from a file, the camera, the clipboard, or dropped. */
  interface Props {
    cards: CardPicturesState;
  }
  const { cards }: Props = $props();
  let picker: FilePicker;
  let camera: FilePicker;
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
</script>

<svelte:window onpaste={paste} />

<div class="mt-3 flex flex-wrap items-center gap-2">
  <button class="btn" disabled={running !== null} onclick={() => picker.pick()}
    >Read a picture or PDF</button
  >
  <button class="btn" disabled={running !== null} onclick={() => camera.pick()}
    >Photograph the card</button
  >
  <span class="text-sm text-soft">or drop it, or paste it</span>
</div>
<FilePicker
  bind:this={picker}
  multiple
  accept="image/png,image/jpeg,image/webp,application/pdf,.heic"
  label="Picture or PDF of the card"
  onfiles={(files) => void cards.take(files)}
/>
<FilePicker
  bind:this={camera}
  accept="image/*"
  camera
  label="Photograph of the card"
  onfiles={(files) => void cards.take(files)}
/>
{#if running}<Reading {...running} oncancel={() => cards.reading.cancel()} />{/if}
