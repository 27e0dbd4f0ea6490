<script lang="ts" module>
  /** One of what may be chosen; those with the same group stand together, in the order given. */
  export interface Option {
    readonly value: string;
    readonly label: string;
    readonly group?: string;
  }

  const listOfChoice = () => import("./ChoiceList.svelte");
</script>

<script lang="ts">
  import { ChevronDown } from "lucide";
  import { FirstUse } from "./firstUse.svelte.ts";
  import Icon from "./Icon.svelte";

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
  const list = new FirstUse(listOfChoice);
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
</script>

{#snippet face()}
  <span class="min-w-0 truncate">{shown}</span><Icon
    of={ChevronDown}
    size={18}
    class="shrink-0 text-soft"
  />
{/snippet}

{#if !list.made}
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
  <list.made
    {id}
    label="{label}: {shown}"
    class="{FACE} {look}"
    {value}
    {options}
    {onchoose}
    {face}
    bind:open={list.open}
    bind:trigger={list.trigger}
  />
{/if}
