<script lang="ts">
  import { onMount } from "svelte";
  import { exportAll, lastExport } from "$lib/ui/exportAll.ts";
  import { day, number } from "$lib/words/display.ts";

  /** What this browser keeps, whether it promised to, and when it was last taken out as a file. */
  let used = $state<number | null>(null);
  let promised = $state<boolean | null>(null);
  let last = $state(lastExport());
  const offline = "serviceWorker" in navigator;

  async function look() {
    const storage = navigator.storage as StorageManager | undefined;
    used = (await storage?.estimate?.())?.usage ?? null;
    promised = (await storage?.persisted?.()) ?? null;
  }
  onMount(look);
  async function ask() {
    await (navigator.storage as StorageManager | undefined)?.persist?.();
    await look();
  }
</script>

<fieldset class="mt-6">
  <legend class="font-head text-xl font-bold">What is stored here</legend>
  <p class="mt-2">
    {used === null
      ? "This browser does not say how much is stored."
      : `About ${number(used / 1_048_576, 1)} MB, the application with it, in this browser and nowhere else.`}
    {last === null ? "Never exported." : `Last exported on ${day(last)}.`}
  </p>
  <p class="text-sm text-soft">
    {promised === true
      ? "The browser has promised not to clear it by itself."
      : "The browser may clear it when the disk is full: let it promise not to, and export now and then."}
    {offline
      ? "The application opens without a network; only simulated prices need one."
      : "Opened without HTTPS from another machine, so it does not open without a network, and camera and clipboard are closed to it."}
  </p>
  <div class="mt-2 flex flex-wrap gap-3">
    <button
      class="btn"
      onclick={() => {
        exportAll();
        last = lastExport();
      }}>Export everything</button
    >
    {#if promised === false}<button class="btn" onclick={ask}>Ask the browser to keep it</button
      >{/if}
  </div>
</fieldset>
