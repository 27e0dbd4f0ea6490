<script lang="ts">
  import { Checkbox, Label } from "bits-ui";
  import { Check } from "lucide";
  import Icon from "./Icon.svelte";
  import type { Snippet } from "svelte";

  /** A box to tick with its sentence; the whole of it can be hit. */
  interface Props {
    checked: boolean;
    onchange: (checked: boolean) => void;
    children: Snippet;
    class?: string;
  }
  const { checked, onchange, children, class: look = "" }: Props = $props();
  const uid = $props.id();
</script>

<span class="flex min-h-11 items-center gap-2 {look}">
  <Checkbox.Root
    id={uid}
    bind:checked={() => checked, onchange}
    class="flex size-6 shrink-0 items-center justify-center rounded-xs border-2 border-ink bg-sheet data-[state=checked]:border-pass data-[state=checked]:bg-pass data-[state=checked]:text-onpass"
  >
    {#snippet children({ checked: on })}{#if on}<Icon
          of={Check}
          size={18}
          weight={3}
        />{/if}{/snippet}
  </Checkbox.Root>
  <Label.Root for={uid} class="flex min-h-11 items-center">{@render children()}</Label.Root>
</span>
