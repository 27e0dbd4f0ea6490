<script lang="ts" generics="T extends string">
  import { ToggleGroup } from "bits-ui";
  import { Check } from "lucide";
  import Icon from "./Icon.svelte";

  /** One of a few that all stand there; arrows go from one to the next. */
  interface Props {
    label: string;
    value: T | null;
    options: readonly { readonly value: T; readonly label: string; readonly about?: string }[];
    onchoose: (value: T) => void;
    /** Of each button. */
    class?: string;
  }
  const { label, value, options, onchoose, class: look = "min-h-10 px-3 py-1" }: Props = $props();
</script>

<ToggleGroup.Root
  type="single"
  aria-label={label}
  role="radiogroup"
  class="flex flex-wrap gap-2"
  bind:value={() => value ?? "", (v) => v !== "" && v !== value && onchoose(v as T)}
>
  {#each options as o (o.value)}
    <ToggleGroup.Item value={o.value} class="btn {look} {o.value === value ? 'btn-on' : ''}">
      {#if o.value === value}<Icon of={Check} size={16} />{/if}{o.label}
      {#if o.about}<span class="text-sm font-normal">{o.about}</span>{/if}
    </ToggleGroup.Item>
  {/each}
</ToggleGroup.Root>
