<script lang="ts" module>
  const rowMenu = () => import("./RowMenu.svelte");
</script>

<script lang="ts">
  import { Ellipsis } from "lucide";
  import Icon from "$lib/ui/Icon.svelte";
  import Choice from "$lib/ui/Choice.svelte";
  import { withDecimalPoint } from "$lib/core/card/decimalPoint.ts";
  import type { Line } from "$lib/core/model/kit.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import type { UnpackState } from "$lib/state/pages/unpack.svelte.ts";
  import { FirstUse } from "$lib/ui/firstUse.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import SizeField from "$lib/ui/SizeField.svelte";
  import TypePicker from "$lib/ui/TypePicker.svelte";
  import { learnedText } from "$lib/words/cardDoubts.ts";
  import { inPairs, size } from "$lib/words/sentences.ts";
  import Doubtful from "./Doubtful.svelte";

  /** One line of the kit, in one row; below it only what is asked or was learned. */
  interface Props {
    line: Line;
    unpack: UnpackState;
    /** An item type of the user's own is to be made for it. */
    onown: (line: Line) => void;
  }
  const { line, unpack, onown }: Props = $props();
  const kit = useKit();
  const type = $derived(line.itemType ? kit.typeOf(line.itemType) : undefined);
  const name = $derived(lineName(line, type?.label));
  const isInPairs = $derived(inPairs(type));
  const doubt = $derived(unpack.doubts[line.id]);
  const mended = $derived(withDecimalPoint(line.sizeMm, type));
  const twin = $derived(unpack.twin(line));
  const menu = new FirstUse(rowMenu);
  /** What is picked shows more, and the rows below move: not while a finger is down, or it lets go of another row. */
  let isPressed = false;
  const isPicked = $derived(unpack.picked === line.id);

  function rowKey(e: KeyboardEvent) {
    if (!doubt || (e.target as HTMLElement).closest("input, select, [role=menu]")) return;
    const alternative = doubt.alternatives[Number(e.key) - 1];
    const accepts = e.key === "Enter" && !doubt.open && e.target === e.currentTarget;
    if (!accepts && !alternative) return;
    e.preventDefault();
    if (alternative) unpack.chooseType(line, alternative);
    else unpack.accept(line.id);
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_element_interactions, a11y_no_noninteractive_tabindex -->
<li
  id="line-{line.id}"
  class="row sheet px-2 py-0.5 {isPicked ? 'border-note! outline-note outline-1' : ''}"
  tabindex={doubt ? 0 : -1}
  aria-label={name}
  onkeydown={rowKey}
  onpointerdown={() => (isPressed = true)}
  onpointerup={() => (isPressed = false)}
  onpointerleave={() => (isPressed = false)}
  onfocusin={() => isPressed || (unpack.picked = line.id)}
  onclick={() => (unpack.picked = line.id)}
>
  <div class="flex flex-wrap items-center gap-2 sm:flex-nowrap">
    <div class="min-w-0 flex-1 basis-full sm:basis-auto">
      <TypePicker
        value={line.itemType}
        name={type?.label ?? "Not in the catalogue"}
        label="What {name} is"
        onpick={(id) => unpack.chooseType(line, id)}
      />
    </div>
    <SizeField width="w-28" {line} onsize={(mm) => unpack.setSize(line, name, mm)} />
    <NumberField
      label={isInPairs ? "Claimed pairs" : "Claimed"}
      mark={isInPairs ? "pr" : ""}
      value={line.claimed}
      width="w-16"
      optional={line.counted !== undefined}
      onvalue={(n) => unpack.setClaimed(line, name, n)}
    />
    <NumberField
      label={isInPairs ? "Counted pairs" : "Counted"}
      mark={isInPairs ? "pr" : ""}
      value={line.counted}
      width="w-16"
      optional={line.claimed !== undefined}
      onvalue={(n) => kit.updateLine(line.id, `count ${name}`, { counted: n }, "counted")}
    />
    <button
      class="btn min-h-11 w-14 px-1 py-1"
      title="Counted: as many as claimed"
      disabled={line.claimed === undefined || line.counted === line.claimed}
      onclick={() => kit.updateLine(line.id, `count ${name}`, { counted: line.claimed })}
      >= {line.claimed ?? ""}</button
    >
    {#if unpack.compartments.length > 0}
      <Choice
        class="w-28"
        label="{name} lies in"
        value={line.compartment ?? ""}
        options={[
          { value: "", label: "–" },
          ...unpack.compartments.map((c) => ({ value: c.id, label: c.name || c.id })),
        ]}
        onchoose={(v) => unpack.lay(line, v)}
      />
    {/if}
    {#if menu.made}
      <menu.made
        {name}
        does={[
          { label: "Split in two lines", run: () => unpack.split(line) },
          ...(twin
            ? [{ label: "Merge with the one before", run: () => unpack.merge(line, twin) }]
            : []),
          ...(line.itemType === null
            ? [{ label: "Make an item type of your own", run: () => onown(line) }]
            : []),
          { label: "It is no item: remove", run: () => unpack.remove(line) },
        ]}
        bind:open={menu.open}
        bind:trigger={menu.trigger}
      />
    {:else}
      <button
        type="button"
        class="btn min-h-11 w-11 px-0"
        aria-label="More for {name}"
        aria-haspopup="menu"
        aria-expanded="false"
        onclick={() => menu.useAndOpen()}
        onkeydown={(e) => {
          if (e.key !== "ArrowDown") return;
          e.preventDefault();
          void menu.useAndOpen();
        }}><Icon of={Ellipsis} size={18} /></button
      >
    {/if}
  </div>
  {#if doubt || isPicked || line.itemType === null || mended}
    <p class="mt-0.5 text-sm break-words text-soft">
      {line.text ?? (line.byHand ? "added by hand" : "")}
    </p>
  {:else}
    <p class="sr-only">{line.text ?? (line.byHand ? "added by hand" : "")} {size(line.sizeMm)}</p>
  {/if}
  {#if mended}
    <p class="noted mt-1 flex flex-wrap items-center gap-2 py-2">
      {size(line.sizeMm)}: so wide it is never sold. A decimal point may be lost.
      <button class="btn min-h-9 px-3 py-1" onclick={() => unpack.setSize(line, name, mended)}
        >It is {size(mended)}</button
      >
    </p>
  {/if}
  {#each unpack.learned(line) as l (l.what)}
    <p class="mt-0.5 text-sm text-soft">{learnedText(l.what, l.on)}</p>
  {/each}
  {#if doubt}
    <Doubtful
      {doubt}
      {name}
      onaccept={() => unpack.accept(line.id)}
      onchoose={(id) => unpack.chooseType(line, id)}
    />
  {/if}
</li>
