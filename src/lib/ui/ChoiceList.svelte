<script lang="ts">
  import { Check } from "lucide";
  import { Select } from "bits-ui";
  import type { Snippet } from "svelte";
  import type { Option } from "./Choice.svelte";
  import Icon from "./Icon.svelte";

  /** The list of a choice, and what opens it. */
  interface Props {
    id: string | undefined;
    /** Of what opens it, with what is chosen. */
    label: string;
    class: string;
    value: string;
    options: readonly Option[];
    onchoose: (value: string) => void;
    open: boolean;
    trigger: HTMLElement | null;
    face: Snippet;
  }
  let {
    id,
    label,
    class: look,
    value,
    options,
    onchoose,
    open = $bindable(),
    trigger = $bindable(),
    face,
  }: Props = $props();
  // Nothing is a choice too, which the list below takes for none made.
  const inner = (v: string) => `=${v}`;
  const groups = $derived([...new Set(options.map((o) => o.group))]);
</script>

{#snippet item(o: Option)}
  <Select.Item
    value={inner(o.value)}
    label={o.label}
    class="flex min-h-10 items-center gap-2 rounded-sm px-2 data-highlighted:bg-passbg"
  >
    {#snippet children({ selected })}
      <span aria-hidden="true" class="w-4 shrink-0"
        >{#if selected}<Icon of={Check} size={16} />{/if}</span
      ><span class="min-w-0 break-words">{o.label}</span>
    {/snippet}
  </Select.Item>
{/snippet}

<Select.Root
  type="single"
  bind:open
  bind:value={() => inner(value), (v) => v !== inner(value) && onchoose(v.slice(1))}
  items={options.map((o) => ({ value: inner(o.value), label: o.label }))}
  allowDeselect={false}
>
  <Select.Trigger bind:ref={trigger} {id} class={look} aria-label={label}>
    {@render face()}
  </Select.Trigger>
  <Select.Portal>
    <Select.Content
      class="sheet z-50 max-h-[min(24rem,var(--bits-select-content-available-height))] max-w-[calc(100vw-1rem)] min-w-(--bits-select-anchor-width) overflow-auto border-2 border-ink p-1"
      sideOffset={4}
      collisionPadding={8}
    >
      {#if open}
        {#each groups as group (group)}
          {@const inside = options.filter((o) => o.group === group)}
          {#if group === undefined}
            {#each inside as o (o.value)}{@render item(o)}{/each}
          {:else}
            <Select.Group>
              <Select.GroupHeading class="px-2 pt-2 pb-1 text-sm font-semibold text-soft"
                >{group}</Select.GroupHeading
              >
              {#each inside as o (o.value)}{@render item(o)}{/each}
            </Select.Group>
          {/if}
        {/each}
      {/if}
    </Select.Content>
  </Select.Portal>
</Select.Root>
