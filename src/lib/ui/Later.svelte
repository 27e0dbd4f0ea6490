<script lang="ts">
  import { onMount, type Snippet } from "svelte";
  import { inTurn, isFirstPage } from "./firstPage.ts";

  /** A part of a page that may come after what stands above it (firstPage.ts). */
  const { children }: { children: Snippet } = $props();
  let isShown = $state(!isFirstPage());
  onMount(() => {
    if (!isShown) inTurn(() => (isShown = true));
  });
</script>

{#if isShown}{@render children()}{/if}
