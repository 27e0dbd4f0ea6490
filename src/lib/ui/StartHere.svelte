<script lang="ts">
  /**
   * Where a newcomer begins. It needs nothing that is loaded: the server writes it into the page, so that it can be read while the
   * program is on its way (StartShell.svelte); `data-start` tells which was pressed before it came.
   */
  interface Props {
    /** The invented crew box is on the shelf. */
    demo?: boolean;
    onown?: () => void;
    onbring?: () => void;
    onfile?: () => void;
  }
  const { demo = true, onown, onbring, onfile }: Props = $props();
</script>

<section class="sheet mb-6 p-5 sm:p-6" aria-labelledby="start">
  <h2 id="start" class="text-2xl">What is on the bench today?</h2>
  <p class="mt-1 text-lg text-soft">
    Say where the kit goes, unpack it by its card, look at each thing, and see what it lacks and
    what makes it ready.
  </p>
  <div class="mt-4 grid gap-3 sm:grid-cols-3">
    <button class="btn btn-main min-h-16" data-start="own" onclick={onown}>Audit my own kit</button>
    {#if demo}
      <a class="btn min-h-16" data-start="demo" href="/kit/demo-crew-box/sieve"
        >Look round a crew box</a
      >
    {:else}
      <button class="btn min-h-16" data-start="bring" onclick={onbring}
        >Bring three invented kits</button
      >
    {/if}
    <button class="btn min-h-16" data-start="file" onclick={onfile}
      >Drop or choose a card, picture or file</button
    >
  </div>
</section>
