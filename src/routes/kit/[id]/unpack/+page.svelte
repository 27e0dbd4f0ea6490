<script lang="ts">
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { page } from "$app/state";
  import { cardLeftOut, cardTextProblem, tooManyEntries } from "$lib/core/card/cardText.ts";
  import { isTouched, mergeCard, nameOnCard } from "$lib/core/card/mergeCard.ts";
  import { readCard } from "$lib/core/card/readCard.ts";
  import { buildVocabulary, vocabularyOf } from "$lib/core/card/vocabulary.ts";
  import type { Line } from "$lib/core/model/kit.ts";
  import { aliasRecord } from "$lib/core/records/aliasRecord.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import TypePicker from "$lib/ui/TypePicker.svelte";
  import { number, size } from "$lib/words/sentences.ts";
  import { mergeLines } from "$lib/core/count/scanned.ts";
  import CardText from "./CardText.svelte";
  import CountTools from "./CountTools.svelte";
  import Outside from "./Outside.svelte";
  import OwnType from "./OwnType.svelte";
  import SizeField from "$lib/ui/SizeField.svelte";

  const kit = useKit();
  const vocabulary = $derived(
    workspace.aliases.length > 0
      ? buildVocabulary(CATALOGUE, workspace.aliases)
      : vocabularyOf(CATALOGUE),
  );
  const cardText = $derived(kit.record?.cardText ?? "");
  const problem = $derived(cardText === "" ? null : cardTextProblem(cardText));
  const leftOut = $derived(cardText === "" ? [] : cardLeftOut(cardText));
  let writing = $state(false);
  let picked = $state<string | null>(null);
  const doubts = $derived(kit.record?.doubts ?? {});
  const lines = $derived(
    [...kit.lines].sort((a, b) => Number(b.id in doubts) - Number(a.id in doubts)),
  );
  const value = $derived(kit.audit.value);
  const compartments = $derived(kit.container.compartments ?? []);
  function lay(line: Line, id: string) {
    const c = compartments.find((x) => x.id === id);
    kit.updateLine(line.id, `place of ${lineName(line, undefined)}`, {
      compartment: c?.id,
      location: c?.place ?? line.location,
    });
  }

  /** Above this many lines a card is read when asked, not at every keystroke. */
  const LIVE_LINES = 800;
  const long = $derived(cardText.length > 20_000 && cardText.split("\n").length > LIVE_LINES);
  /** Rows shown at once; a longer kit is shown in parts, so that the page stays quick. */
  const SHOWN = 150;
  let shown = $state(SHOWN);

  function read(text: string, asked = false) {
    if (!asked && text.length > 20_000 && text.split("\n").length > LIVE_LINES) {
      kit.update("paste the card", (r) => ({ ...r, cardText: text }), "card");
      return;
    }
    const reading =
      text.trim() === "" || cardTextProblem(text) === null ? readCard(text, vocabulary) : null;
    const many = reading && tooManyEntries(reading);
    if (many) workspace.say(`The ${many.where} ${many.what}. The lines are as they were.`, true);
    kit.update(
      "read the card",
      (r) => (reading && !many ? mergeCard(r, text, reading) : { ...r, cardText: text }),
      "card",
    );
  }

  function chooseType(line: Line, itemType: string | null) {
    kit.updateLine(line.id, `${lineName(line, undefined)} is something else`, { itemType });
    const { gtin } = line;
    if (itemType && gtin) {
      workspace.learnBarcode(gtin, itemType, kit.typeOf(itemType)?.label, line.sizeMm);
      return;
    }
    const name = line.text ? nameOnCard(line.text) : "";
    if (itemType && name) {
      const known = workspace.aliases.find((a) => a.text === name);
      workspace.edit("remember the name", [
        known ? { ...known, itemType } : aliasRecord(name, itemType),
      ]);
    }
  }

  function accept(id: string) {
    kit.update("accept the reading", (r) => {
      const rest = { ...r.doubts };
      delete rest[id];
      return { ...r, doubts: rest };
    });
  }

  function addLine() {
    const id = kit.nextLineId();
    kit.update("add a line", (r) => ({
      ...r,
      kit: { ...r.kit, lines: [...r.kit.lines, { id, itemType: null, claimed: 1, byHand: true }] },
    }));
    picked = id;
  }
  const remove = (line: Line) =>
    kit.update(`remove ${lineName(line, undefined)}`, (r) => ({
      ...r,
      kit: { ...r.kit, lines: r.kit.lines.filter((l) => l.id !== line.id) },
    }));
  /** The line before it of the same kind and size, which it could be one with. */
  const twin = (line: Line): Line | undefined =>
    kit.lines.find(
      (l) =>
        l.id !== line.id &&
        l.itemType !== null &&
        l.itemType === line.itemType &&
        l.expires === line.expires &&
        JSON.stringify(l.sizeMm) === JSON.stringify(line.sizeMm) &&
        kit.lines.indexOf(l) < kit.lines.indexOf(line),
    );
  const merge = (line: Line, into: Line) =>
    kit.update("merge two lines", (r) => ({
      ...r,
      kit: {
        ...r.kit,
        lines: r.kit.lines.flatMap((l) =>
          l.id === into.id ? [mergeLines(into, line)] : l.id === line.id ? [] : [l],
        ),
      },
    }));
  let making = $state(false);
  let makingFor = $state<Line | null>(null);
  const split = (line: Line) => {
    const id = kit.nextLineId();
    kit.update("split the line", (r) => ({
      ...r,
      kit: {
        ...r.kit,
        lines: r.kit.lines.flatMap((l) =>
          l.id === line.id ? [l, { ...l, id, claimed: 0, counted: 0, byHand: true }] : [l],
        ),
      },
    }));
  };

  function rowKey(e: KeyboardEvent, line: Line) {
    if (!(line.id in doubts) || (e.target as HTMLElement).closest("input, select")) return;
    if (e.key === "Enter") {
      e.preventDefault();
      accept(line.id);
    }
    const alternative = doubts[line.id]!.alternatives[Number(e.key) - 1];
    if (alternative) {
      e.preventDefault();
      chooseType(line, alternative);
    }
  }
  function pick(id: string) {
    picked = id;
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
    {#if writing || cardText === ""}
      <label class="mt-3 block"
        ><span class="font-semibold">Contents card, as printed or dictated</span>
        <textarea
          class="field mt-1 h-[26rem] w-full font-mono text-sm"
          spellcheck="false"
          value={cardText}
          placeholder={"Paste, type or dictate what the card says:\n\nSterile gauze pads, 10 x 10 cm (10)\n2 packs of 5 antiseptic wipes\na pair of nitrile gloves"}
          onfocus={() => (writing = true)}
          oninput={(e) => read(e.currentTarget.value)}></textarea></label
      >
    {:else}
      <CardText {cardText} lines={kit.lines} {doubts} {picked} onpick={pick} />
    {/if}
    <CountTools {picked} onpick={pick} />
    <Outside />
    {#if problem}<p class="noted mt-3" role="alert">
        This {problem.where}
        {problem.what}. The lines on the right are as they were.
      </p>{/if}
    {#if long}<p class="noted mt-3 flex flex-wrap items-center gap-3">
        This card has {cardText.split("\n").length} lines.
        <button class="btn" onclick={() => read(cardText, true)}>Read it now</button>
      </p>{/if}
    {#each leftOut as l (l.where)}<p class="noted mt-3">
        <strong>{l.where}</strong>
        {l.what}.
      </p>{/each}
  </section>

  <section class="min-w-0">
    <div class="flex flex-wrap items-baseline justify-between gap-3">
      <h2 class="text-2xl">{kit.lines.length} {kit.lines.length === 1 ? "line" : "lines"}</h2>
      <p class="text-soft">
        {value.claimed} pieces claimed{#if kit.record?.kit.claims.pieces !== undefined && kit.lines.length > 0},
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
          class="sheet p-3 {picked === line.id ? 'border-note! border-2' : ''}"
          tabindex={doubt ? 0 : -1}
          onkeydown={(e) => rowKey(e, line)}
          onfocusin={() => (picked = line.id)}
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
              onclick={() => split(line)}
              aria-label="Split {lineName(line, type?.label)} in two lines">split</button
            >
            {#if twin(line)}<button
                class="min-h-8 px-2 text-sm underline underline-offset-4"
                onclick={() => merge(line, twin(line)!)}
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
              onclick={() => remove(line)}
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
                onpick={(id) => chooseType(line, id)}
              />
            </div>
            <label class="flex flex-col text-xs text-soft"
              >size<SizeField
                width="w-30"
                {line}
                onsize={(mm) =>
                  kit.updateLine(
                    line.id,
                    `size of ${lineName(line, type?.label)}`,
                    { sizeMm: mm },
                    "size",
                  )}
              /></label
            >
            <label class="flex flex-col text-xs text-soft"
              >claimed<NumberField
                label="Claimed"
                value={line.claimed}
                width="w-18"
                optional={line.counted !== undefined}
                onvalue={(n) =>
                  kit.updateLine(
                    line.id,
                    `claimed ${lineName(line, type?.label)}`,
                    { claimed: n },
                    "claimed",
                  )}
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
            {#if compartments.length > 0}
              <label class="flex flex-col text-xs text-soft"
                >lies in<select
                  class="field w-28"
                  value={typeof line["compartment"] === "string" ? line["compartment"] : ""}
                  onchange={(e) => lay(line, e.currentTarget.value)}
                >
                  <option value="">–</option>
                  {#each compartments as c (c.id)}<option value={c.id}>{c.name || c.id}</option
                    >{/each}
                </select></label
              >
            {/if}
          </div>
          {#if doubt}
            <div class="noted mt-2 flex flex-wrap items-center gap-2 py-2">
              <span class="font-semibold">Read right?</span>
              <button class="btn min-h-9 px-3 py-1" onclick={() => accept(line.id)}
                >Yes <span class="kbd">Enter</span></button
              >
              {#each doubt.alternatives as id, i (id)}
                <button class="btn min-h-9 px-3 py-1" onclick={() => chooseType(line, id)}
                  >{kit.typeOf(id)?.label ?? id} <span class="kbd">{i + 1}</span></button
                >
              {/each}
              <span class="text-sm text-soft">sure to {number(doubt.confidence * 100, 0)} %</span>
            </div>
          {/if}
          <p class="sr-only">{size(line.sizeMm)}</p>
        </li>
      {/each}
    </ul>
    {#if lines.length > shown}<button class="btn mt-3 w-full" onclick={() => (shown += SHOWN)}
        >Show {Math.min(SHOWN, lines.length - shown)} more of {lines.length - shown}</button
      >{/if}
    <div class="mt-4 flex flex-wrap justify-between gap-3">
      <button class="btn" onclick={addLine}>Add a thing by hand</button>
      <a class="btn btn-main" href="/kit/{page.params['id']}/bench">Next: the bench</a>
    </div>
  </section>
</div>
<OwnType
  bind:open={making}
  name={makingFor ? lineName(makingFor, "") : ""}
  onmade={(id) => makingFor && chooseType(makingFor, id)}
/>
