<script lang="ts">
  import { onMount, type Snippet } from "svelte";
  import { inTurn, isFirstPage } from "./firstPage.ts";

  /** A part of a page that may come after what stands above it (firstPage.ts). */
  interface Props {
    children: Snippet;
    /** Called once the part stands. */
    onshown?: () => void;
  }
  const { children, onshown }: Props = $props();
  let isShown = $state(!isFirstPage());
  onMount(() => {
    if (!isShown) inTurn(() => (isShown = true));
  });
  $effect(() => {
    if (isShown) onshown?.();
  });
</script>

{#if isShown}{@render children()}{/if}
