<script lang="ts" module>
  /** One of what may be chosen; those with the same group stand together, in the order given. */
  export interface Option {
    readonly value: string;
    readonly label: string;
    readonly group?: string;
  }
</script>

<script lang="ts">
  import { Check, ChevronDown } from "lucide";
  import { FirstUse } from "./firstUse.svelte.ts";
  import Icon from "./Icon.svelte";
  import { Select } from "bits-ui";

  /** One of several, chosen from a list that opens; typing finds by the first letters. */
  interface Props {
    label: string;
    value: string;
    options: readonly Option[];
    onchoose: (value: string) => void;
    /** Shown where nothing of the options is chosen. */
    hint?: string;
    class?: string;
    id?: string;
  }
  const { label, value, options, onchoose, hint = "", class: look = "", id }: Props = $props();
  const list = new FirstUse();
  /** A key that the list knows is given on to it. */
  async function onkeydown(e: KeyboardEvent): Promise<void> {
    const isLetter = e.key.length === 1 && e.key !== " ";
    if (!(isLetter || /^Arrow(Up|Down)$/.test(e.key)) || e.ctrlKey || e.altKey || e.metaKey) return;
    e.preventDefault();
    e.stopPropagation();
    await list.use();
    list.trigger?.dispatchEvent(
      new KeyboardEvent("keydown", { key: e.key, code: e.code, bubbles: true, cancelable: true }),
    );
  }
  const FACE = "field inline-flex max-w-full items-center justify-between gap-2 text-left";
  const shown = $derived(options.find((o) => o.value === value)?.label ?? hint);
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

{#snippet face()}
  <span class="min-w-0 truncate">{shown}</span><Icon
    of={ChevronDown}
    size={18}
    class="shrink-0 text-soft"
  />
{/snippet}

{#if !list.isUsed}
  <button
    type="button"
    role="combobox"
    aria-haspopup="listbox"
    aria-expanded="false"
    aria-controls={undefined}
    {id}
    class="{FACE} {look}"
    aria-label="{label}: {shown}"
    onclick={() => list.useAndOpen()}
    {onkeydown}>{@render face()}</button
  >
{:else}
  <Select.Root
    type="single"
    bind:open={list.open}
    bind:value={() => inner(value), (v) => v !== inner(value) && onchoose(v.slice(1))}
    items={options.map((o) => ({ value: inner(o.value), label: o.label }))}
    allowDeselect={false}
  >
    <Select.Trigger
      bind:ref={list.trigger}
      {id}
      class="{FACE} {look}"
      aria-label="{label}: {shown}"
    >
      {@render face()}
    </Select.Trigger>
    <Select.Portal>
      <Select.Content
        class="sheet z-50 max-h-[min(24rem,var(--bits-select-content-available-height))] max-w-[calc(100vw-1rem)] min-w-(--bits-select-anchor-width) overflow-auto border-2 border-ink p-1"
        sideOffset={4}
        collisionPadding={8}
      >
        {#if list.open}
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
{/if}
