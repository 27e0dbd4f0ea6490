<script lang="ts" module>
  const meaning = () => import("./TermMeaning.svelte");
</script>

<script lang="ts">
  import type { Snippet } from "svelte";
  import { FirstUse } from "./firstUse.svelte.ts";

  /** A term that explains itself where it stands: pressed, it says what it means here. */
  interface Props {
    /** As the glossary has it. */
    word: string;
    children: Snippet;
  }
  const { word, children }: Props = $props();
  const term = new FirstUse(meaning);
  const LOOK =
    "inline-flex min-h-6 cursor-help items-center underline decoration-dotted underline-offset-4";
</script>

{#if !term.made}
  <button
    type="button"
    class={LOOK}
    aria-haspopup="dialog"
    aria-expanded="false"
    onclick={() => term.useAndOpen()}>{@render children()}</button
  >
{:else}
  <term.made {word} class={LOOK} {children} bind:open={term.open} bind:trigger={term.trigger} />
{/if}
