<script lang="ts">
  import { Popover } from "bits-ui";
  import type { Snippet } from "svelte";
  import { GLOSSARY } from "../words/glossary.ts";

  /** What a term means here, and the term that opens it. */
  interface Props {
    word: string;
    class: string;
    open: boolean;
    trigger: HTMLElement | null;
    children: Snippet;
  }
  let { word, class: look, open = $bindable(), trigger = $bindable(), children }: Props = $props();
  const means = $derived(GLOSSARY.find((t) => t.word === word)?.means ?? "");
</script>

<Popover.Root bind:open>
  <Popover.Trigger bind:ref={trigger} class={look}>{@render children()}</Popover.Trigger>
  <Popover.Portal>
    <Popover.Content
      sideOffset={6}
      collisionPadding={12}
      class="sheet z-50 max-w-80 border-ink p-3 text-ink shadow-lg"
      aria-label={word}
    >
      <p class="font-semibold">{word}</p>
      <p class="mt-1 text-sm">{means}</p>
      <a
        class="mt-2 inline-flex min-h-6 items-center text-sm underline underline-offset-4"
        href="/words">All words</a
      >
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>
