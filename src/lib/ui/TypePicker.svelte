<script lang="ts" module>
  import type { NamedCatalogue } from "../core/catalogue/catalogue.ts";
  import { CATALOGUE } from "../data/catalogue.ts";

  /** What is searched; the names that cards use come when a field is first looked into. */
  let named = $state.raw<NamedCatalogue>({
    ...CATALOGUE,
    words: new Map(),
    noTypeWords: [],
    wordsAbroad: [],
  });
  let asked: Promise<void> | null = null;
  const askForNames = (): Promise<void> =>
    (asked ??= import("../data/namedCatalogue.ts").then(({ NAMED_CATALOGUE }) => {
      named = NAMED_CATALOGUE;
    }));
</script>

<script lang="ts">
  import { Combobox } from "bits-ui";
  import { searchTypes } from "../core/card/searchTypes.ts";
  import { workspace } from "../state/workspace.svelte.ts";

  interface Props {
    value: string | null;
    label: string;
    name: string;
    placeholder?: string;
    onpick: (id: string | null) => void;
  }
  const { value, label, name, placeholder = "", onpick }: Props = $props();
  const NONE = "none";
  let query = $state("");
  let open = $state(false);
  const found = $derived(searchTypes(query, named, workspace.ownTypes));
</script>

<Combobox.Root
  type="single"
  bind:open
  value={value ?? NONE}
  inputValue={open ? query : name}
  onValueChange={(v) => {
    onpick(v === NONE || v === "" ? null : v);
    query = "";
  }}
  onOpenChange={() => (query = "")}
>
  <Combobox.Input
    class="field w-full min-w-40 font-semibold"
    aria-label={label}
    {placeholder}
    onfocus={(e) => {
      void askForNames();
      e.currentTarget.select();
    }}
    oninput={(e) => {
      query = e.currentTarget.value;
      open = true;
    }}
    onclick={() => (open = true)}
  />
  <Combobox.Portal>
    <Combobox.Content
      class="sheet z-50 max-h-80 w-80 overflow-auto border-2 border-ink p-1"
      sideOffset={4}
    >
      {#each found as t (t.id)}
        <Combobox.Item
          value={t.id}
          label={t.label}
          class="flex min-h-10 items-center rounded-sm px-3 data-highlighted:bg-passbg"
          >{t.label}</Combobox.Item
        >
      {/each}
      <Combobox.Item
        value={NONE}
        label="Not in the catalogue"
        class="flex min-h-10 items-center rounded-sm px-3 text-soft data-highlighted:bg-passbg"
        >A thing the catalogue does not have</Combobox.Item
      >
    </Combobox.Content>
  </Combobox.Portal>
</Combobox.Root>
