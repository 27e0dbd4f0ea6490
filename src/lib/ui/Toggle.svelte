<script lang="ts">
  import { Toggle } from "bits-ui";
  import { Check } from "lucide";
  import Icon from "./Icon.svelte";
  import type { Snippet } from "svelte";

  /** One thing that is on or off, told by a tick and not by colour alone. */
  interface Props {
    on: boolean;
    ontoggle: (on: boolean) => void;
    children: Snippet;
    class?: string;
    label?: string;
    /** More for the button itself: descriptions, pointer handlers. */
    [more: string]: unknown;
  }
  const { on, ontoggle, children, class: look = "", label, ...more }: Props = $props();
</script>

<Toggle.Root
  bind:pressed={() => on, ontoggle}
  class="btn {look} {on ? 'btn-on' : ''}"
  aria-label={label}
  {...more}
  >{#if on}<Icon of={Check} size={16} />{/if}{@render children()}</Toggle.Root
>
