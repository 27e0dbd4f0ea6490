<script lang="ts">
  import { Popover } from "bits-ui";
  import type { Snippet } from "svelte";
  import { GLOSSARY } from "../words/glossary.ts";

  /** A term that explains itself where it stands: pressed, it says what it means here. */
  interface Props {
    /** As the glossary has it. */
    word: string;
    children: Snippet;
  }
  const { word, children }: Props = $props();
  const means = $derived(GLOSSARY.find((t) => t.word === word)?.means ?? "");
</script>

<Popover.Root>
  <Popover.Trigger
    class="inline-flex min-h-6 cursor-help items-center underline decoration-dotted underline-offset-4"
    >{@render children()}</Popover.Trigger
  >
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
