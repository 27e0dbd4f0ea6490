<script lang="ts">
  import { problemText } from "$lib/words/problems.ts";
  import { page } from "$app/state";
  import { withDecimalPoint } from "$lib/core/card/decimalPoint.ts";
  import { isTouched } from "$lib/core/card/mergeCard.ts";
  import type { Line } from "$lib/core/model/kit.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { UnpackState } from "$lib/state/pages/unpack.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import SizeField from "$lib/ui/SizeField.svelte";
  import TypePicker from "$lib/ui/TypePicker.svelte";
  import { learnedText } from "$lib/words/cardDoubts.ts";
  import { many, number, size } from "$lib/words/sentences.ts";
  import { CardPicturesState } from "$lib/state/pages/pictures.svelte.ts";
  import CardPictures from "./CardPictures.svelte";
  import CardText from "./CardText.svelte";
  import Doubtful from "./Doubtful.svelte";
  import CountTools from "./CountTools.svelte";
  import PictureIn from "./PictureIn.svelte";
  import Outside from "./Outside.svelte";
  import OwnType from "./OwnType.svelte";

  const kit = useKit();
  const unpack = new UnpackState(kit);
  const cards = new CardPicturesState(kit, (text) => unpack.read(text, true));
  const cardText = $derived(unpack.cardText);
  const lines = $derived(unpack.lines);
  const doubts = $derived(unpack.doubts);
  const value = $derived(kit.audit.value);
  let writing = $state(false);
  let making = $state(false);
  let makingFor = $state<Line | null>(null);
  /** Rows shown at once; a longer kit is shown in parts, so that the page stays quick. */
  const SHOWN = 150;
  let shown = $state(SHOWN);

  function rowKey(e: KeyboardEvent, line: Line) {
    if (!(line.id in doubts) || (e.target as HTMLElement).closest("input, select")) return;
    const alternative = doubts[line.id]!.alternatives[Number(e.key) - 1];
    const accepts = e.key === "Enter" && !doubts[line.id]!.open;
    if (!accepts && !alternative) return;
    e.preventDefault();
    if (alternative) unpack.chooseType(line, alternative);
    else unpack.accept(line.id);
  }
  function pick(id: string, bring = true) {
    unpack.picked = id;
    if (!bring) return;
    document.getElementById(`line-${id}`)?.scrollIntoView({ block: "nearest" });
  }
</script>

<div
  class="mx-auto grid max-w-[100rem] grid-cols-[minmax(0,1fr)] gap-6 p-4 sm:p-6 xl:grid-cols-[minmax(20rem,2fr)_3fr]"
>
  <section class="min-w-0">
    <div class="flex flex-wrap items-center justify-between gap-2">
      <h1 class="text-3xl">Unpack</h1>
      {#if cardText !== ""}<button
          class="btn min-h-9 px-3 py-1"
          onclick={() => (writing = !writing)}
          >{writing ? "Show what was read" : "Edit the card"}</button
        >{/if}
    </div>
    <p class="text-soft">Lay it all out. What the card says is a claim until it is counted.</p>
    <PictureIn {cards} />
    {#if writing || cardText === ""}
      <label class="mt-3 block"
        ><span class="font-semibold">Contents card, as printed or dictated</span>
        <textarea
          class="field mt-1 h-[26rem] w-full font-mono text-sm"
          spellcheck="false"
          value={cardText}
          placeholder={"Paste, type or dictate what the card says:\n\nSterile gauze pads, 10 x 10 cm (10)\n2 packs of 5 antiseptic wipes\na pair of nitrile gloves"}
          onfocus={() => (writing = true)}
          oninput={(e) => unpack.read(e.currentTarget.value)}></textarea></label
      >
    {:else}
      <CardText
        {cardText}
        lines={kit.lines}
        {doubts}
        picked={unpack.picked}
        onpick={pick}
        onadd={(n) => unpack.addFromCard(n)}
      />
      <p class="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-sm" aria-live="polite">
        <span
          ><span class="underline decoration-pass decoration-2 underline-offset-4"
            >{unpack.states.sure} sure</span
          ></span
        >
        <span
          ><span class="underline decoration-note decoration-wavy decoration-2 underline-offset-4"
            >{unpack.states.look} to look at</span
          ></span
        >
        <span class="text-soft"
          >{many(unpack.states.unread, "line")} not read as {unpack.states.unread === 1
            ? "an item"
            : "items"}</span
        >
      </p>
    {/if}
    {#if unpack.columnsUnclearAt !== null}
      <p class="noted mt-3 flex flex-wrap items-center gap-3">
        This looks like a table, and more than one column holds numbers: which one says how many
        there are?
        <button class="btn" onclick={() => unpack.askColumns()}>Say what the columns are</button>
      </p>
    {/if}
    <CardPictures {cards} lines={kit.lines} picked={unpack.picked} onpick={pick} />
    <CountTools picked={unpack.picked} onpick={pick} />
    <Outside />
    {#if unpack.problem}<p class="noted mt-3" role="alert">
        This {unpack.problem.where}
        {problemText(unpack.problem)}. The lines on the right are as they were.
      </p>{/if}
    {#if unpack.long}<p class="noted mt-3 flex flex-wrap items-center gap-3">
        This card has {cardText.split("\n").length} lines.
        <button class="btn" onclick={() => unpack.read(cardText, true)}>Read it now</button>
      </p>{/if}
    {#each unpack.leftOut as l (l.where)}<p class="noted mt-3">
        <strong>{l.where}</strong>
        {problemText(l)}.
      </p>{/each}
  </section>

  <section class="min-w-0">
    <div class="flex flex-wrap items-baseline justify-between gap-3">
      <h2 class="text-2xl">{kit.lines.length} {kit.lines.length === 1 ? "line" : "lines"}</h2>
      <p class="text-soft">
        {many(value.claimed, "piece")} claimed{#if kit.record?.kit.claims.pieces !== undefined && kit.lines.length > 0},
          the lines add up to {kit.lines.reduce((s, l) => s + (l.claimed ?? 0), 0)}{/if};
        {kit.open.pieces} counted.
      </p>
    </div>
    {#if value.largestType && value.largestType.share > 0.3}
      <p class="mt-1 text-sm">
        {number(value.largestType.share * 100, 0)} % of all pieces are one thing: {kit.typeOf(
          value.largestType.itemType ?? "",
        )?.label ?? "not in the catalogue"}.
      </p>
    {/if}
    {#if kit.lines.length === 0}
      <p class="sheet mt-4 p-6 text-soft">
        Paste the contents card on the left and its lines appear here, or add things by hand as they
        come out of the bag.
      </p>
    {/if}
    <ul class="mt-3 grid gap-2">
      {#each lines.slice(0, shown) as line (line.id)}
        {@const type = line.itemType ? kit.typeOf(line.itemType) : undefined}
        {@const doubt = doubts[line.id]}
        <!-- svelte-ignore a11y_no_noninteractive_element_interactions, a11y_no_noninteractive_tabindex -->
        <li
          id="line-{line.id}"
          class="sheet p-3 {unpack.picked === line.id ? 'border-note! border-2' : ''}"
          tabindex={doubt ? 0 : -1}
          onkeydown={(e) => rowKey(e, line)}
          onfocusin={() => (unpack.picked = line.id)}
        >
          <div class="flex items-start gap-2">
            <p class="min-w-0 flex-1 text-sm break-words text-soft">
              {line.text ?? (line.byHand ? "added by hand" : "")}
              {#if isTouched(line) && line.counted !== undefined}<span class="text-pass">
                  · counted</span
                >{/if}
            </p>
            <button
              class="min-h-8 px-2 text-sm underline underline-offset-4"
              onclick={() => unpack.split(line)}
              aria-label="Split {lineName(line, type?.label)} in two lines">split</button
            >
            {#if unpack.twin(line)}<button
                class="min-h-8 px-2 text-sm underline underline-offset-4"
                onclick={() => unpack.merge(line, unpack.twin(line)!)}
                aria-label="Merge {lineName(
                  line,
                  type?.label,
                )} with the line before it of the same kind">merge</button
              >{/if}
            {#if line.itemType === null}<button
                class="min-h-8 px-2 text-sm underline underline-offset-4"
                onclick={() => {
                  makingFor = line;
                  making = true;
                }}
                aria-label="Make an item type of your own for {lineName(line, undefined)}"
                >own type</button
              >{/if}
            <button
              class="min-h-8 px-2 text-sm underline underline-offset-4"
              onclick={() => unpack.remove(line)}
              aria-label="{lineName(line, type?.label)} is no item: remove the line"
              >not an item</button
            >
          </div>
          <div class="mt-1 flex flex-wrap items-end gap-2">
            <div class="min-w-40 flex-1 basis-44">
              <TypePicker
                value={line.itemType}
                name={type?.label ?? "Not in the catalogue"}
                label="What {lineName(line, type?.label)} is"
                onpick={(id) => unpack.chooseType(line, id)}
              />
            </div>
            <label class="flex flex-col text-xs text-soft"
              >size<SizeField
                width="w-30"
                {line}
                onsize={(mm) => unpack.setSize(line, lineName(line, type?.label), mm)}
              /></label
            >
            <label class="flex flex-col text-xs text-soft"
              >claimed<NumberField
                label="Claimed"
                value={line.claimed}
                width="w-18"
                optional={line.counted !== undefined}
                onvalue={(n) => unpack.setClaimed(line, lineName(line, type?.label), n)}
              /></label
            >
            <label class="flex flex-col text-xs text-soft"
              >counted<NumberField
                label="Counted"
                value={line.counted}
                width="w-18"
                optional={line.claimed !== undefined}
                onvalue={(n) =>
                  kit.updateLine(
                    line.id,
                    `count ${lineName(line, type?.label)}`,
                    { counted: n },
                    "counted",
                  )}
              /></label
            >
            <button
              class="btn min-h-11 px-2.5 py-1"
              title="Counted: as many as claimed"
              disabled={line.claimed === undefined || line.counted === line.claimed}
              onclick={() =>
                kit.updateLine(line.id, `count ${lineName(line, type?.label)}`, {
                  counted: line.claimed,
                })}>= {line.claimed ?? ""}</button
            >
            {#if unpack.compartments.length > 0}
              <label class="flex flex-col text-xs text-soft"
                >lies in<select
                  class="field w-28"
                  value={line.compartment ?? ""}
                  onchange={(e) => unpack.lay(line, e.currentTarget.value)}
                >
                  <option value="">–</option>
                  {#each unpack.compartments as c (c.id)}<option value={c.id}
                      >{c.name || c.id}</option
                    >{/each}
                </select></label
              >
            {/if}
          </div>
          {#if withDecimalPoint(line.sizeMm, type)}
            {@const mended = withDecimalPoint(line.sizeMm, type)!}
            <p class="noted mt-2 flex flex-wrap items-center gap-2 py-2">
              {size(line.sizeMm)}: so wide it is never sold. A decimal point may be lost.
              <button
                class="btn min-h-9 px-3 py-1"
                onclick={() => unpack.setSize(line, lineName(line, type?.label), mended)}
                >It is {size(mended)}</button
              >
            </p>
          {/if}
          {#each unpack.learned(line) as l (l.what)}
            <p class="mt-1 text-sm text-soft">{learnedText(l.what, l.on)}</p>
          {/each}
          {#if doubt}
            <Doubtful
              {doubt}
              name={lineName(line, type?.label)}
              onaccept={() => unpack.accept(line.id)}
              onchoose={(id) => unpack.chooseType(line, id)}
            />
          {/if}
          <p class="sr-only">{size(line.sizeMm)}</p>
        </li>
      {/each}
    </ul>
    {#if lines.length > shown}<button class="btn mt-3 w-full" onclick={() => (shown += SHOWN)}
        >Show {Math.min(SHOWN, lines.length - shown)} more of {lines.length - shown}</button
      >{/if}
    <div class="mt-4 flex flex-wrap justify-between gap-3">
      <button class="btn" onclick={() => unpack.addLine()}>Add a thing by hand</button>
      <a class="btn btn-main" href="/kit/{page.params['id']}/bench">Next: the bench</a>
    </div>
  </section>
</div>
<OwnType
  bind:open={making}
  name={makingFor ? lineName(makingFor, "") : ""}
  onmade={(id) => makingFor && unpack.chooseType(makingFor, id)}
/>
