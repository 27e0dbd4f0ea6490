<script lang="ts">
  import StateIcon from "$lib/ui/StateIcon.svelte";
  import Choice from "$lib/ui/Choice.svelte";
  import type { ItemType } from "$lib/core/model/itemType.ts";
  import { LOCATIONS } from "$lib/core/model/location.ts";
  import type { Line } from "$lib/core/model/kit.ts";
  import type { DatedPart } from "$lib/core/inspect/dateText.ts";
  import { goodOnceOpened } from "$lib/core/inspect/openLife.ts";
  import { fullPiece, partLeft } from "$lib/core/inspect/partUsed.ts";
  import { planningDoseOf } from "$lib/core/sieve/dose.ts";
  import { latexOf } from "$lib/core/sieve/usable.ts";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { splitLine, type LinePart } from "$lib/core/inspect/splitLine.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import DateField from "$lib/ui/DateField.svelte";
  import NumberField from "$lib/ui/NumberField.svelte";
  import SizeField from "$lib/ui/SizeField.svelte";
  import { LOCATION_LABEL } from "$lib/words/labels.ts";
  import { day, inPairs, metres, milligrams, number, pieceCount } from "$lib/words/sentences.ts";

  interface Props {
    line: Line;
    type: ItemType | undefined;
  }
  const { line, type }: Props = $props();
  const kit = useKit();
  const name = $derived(lineName(line, type?.label));
  const pieces = $derived(line.counted ?? line.claimed ?? 0);

  /** The line in parts, each a line of its own, right where it was. */
  function part(label: string, parts: readonly LinePart[]) {
    const given = new Set<string>();
    const newId = () => {
      const id = kit.nextLineId(given);
      given.add(id);
      return id;
    };
    kit.updateLines(label, (lines) =>
      lines.flatMap((l) => (l.id === line.id ? splitLine(l, parts, newId) : [l])),
    );
  }
  const byDates = (parts: readonly DatedPart[]) => {
    part(
      `dates of ${name}`,
      parts.map((p) => ({ pieces: p.pieces, facts: { expires: p.expires } })),
    );
    workspace.say(`${name} is ${parts.length} lines now, one a date.`);
  };

  // Part used: one piece of the line holds less than it did.
  const full = $derived(fullPiece(line, type));
  let left = $state<number | undefined>(undefined);
  function partUsed() {
    if (left === undefined) return;
    const facts = partLeft(line, type, left);
    if (pieces > 1)
      part(`part of ${name} used`, [
        { pieces: pieces - 1, facts: {} },
        { pieces: 1, facts },
      ]);
    else kit.updateLine(line.id, `part of ${name} used`, { ...facts, counted: 1 });
    left = undefined;
  }
  function opened(value: string | undefined) {
    const printed = line.printedExpires ?? line.expires;
    kit.updateLine(
      line.id,
      `${name} opened`,
      value === undefined || value === "none"
        ? { opened: undefined, printedExpires: undefined, expires: printed }
        : {
            opened: value,
            printedExpires: printed,
            expires: goodOnceOpened(type ?? null, value, printed),
          },
    );
  }
  /** mg of a planning dose of what it does; null: it counts by the pack. */
  const planningMg = $derived(planningDoseOf(type, CATALOGUE));
  const latex = $derived(type ? latexOf(type) : "no");
  /** Nobody's question where nobody reacts to it, unless it was answered already. */
  const asksLatex = $derived(
    (kit.brief.sensitivities.includes("latex") || line.latexFree !== undefined) &&
      (latex === "ask" || latex === "often" || (latex === "no" && line.latexFree === false)),
  );
  const life = $derived(type?.openMonths ?? null);
</script>

<div class="mt-3 grid grid-cols-2 gap-2 md:grid-cols-4">
  <div class="sheet p-3">
    <label for="bench-count" class="text-sm text-soft"
      >Counted{inPairs(type) ? " in pairs" : ""} <span class="kbd">C</span></label
    >
    <NumberField
      id="bench-count"
      label={inPairs(type) ? "Counted pairs" : "Counted"}
      value={line.counted}
      optional={line.claimed !== undefined}
      width="w-24"
      onvalue={(n) => kit.updateLine(line.id, `count ${name}`, { counted: n }, "counted")}
    />
    <p class="text-sm text-soft">
      of {line.claimed === undefined ? "–" : pieceCount(line.claimed, type)} claimed
    </p>
  </div>
  <div class="sheet p-3">
    <label for="bench-size" class="text-sm text-soft">Size <span class="kbd">S</span></label>
    <div>
      <SizeField
        id="bench-size"
        {line}
        width="w-full"
        onsize={(mm) => kit.updateLine(line.id, `size of ${name}`, { sizeMm: mm })}
      />
    </div>
    {#if type?.measure === "millilitre" || type?.measure === "dose"}
      <span class="text-sm text-soft">
        {#if type.measure === "millilitre"}<NumberField
            label="Millilitres a piece"
            value={line.volumeMl}
            optional
            min={0.1}
            unit="ml"
            onvalue={(n) => kit.updateLine(line.id, "volume", { volumeMl: n }, "ml")}
          />
        {/if}
        {#if type.measure === "dose" || type.doseMl !== undefined}<NumberField
            label="Doses a piece"
            value={line.dosesPerPiece}
            optional
            min={0.1}
            unit="doses a piece"
            onvalue={(n) => kit.updateLine(line.id, "doses", { dosesPerPiece: n }, "doses")}
          />{/if}
        {#if planningMg !== null}<NumberField
            label="Strength of a dose"
            value={line.strengthMg}
            optional
            min={0.001}
            max={1_000_000}
            unit="mg each; planned with {milligrams(planningMg)}"
            onvalue={(n) =>
              kit.updateLine(line.id, `strength of ${name}`, { strengthMg: n }, "strength")}
          />{/if}
      </span>
    {/if}
  </div>
  <div class="sheet p-3">
    <label for="bench-date" class="text-sm text-soft"
      >Good to <span class="kbd">E</span> or digits</label
    >
    <DateField
      id="bench-date"
      value={line.expires}
      {pieces}
      onvalue={(v) => kit.updateLine(line.id, `date of ${name}`, { expires: v })}
      onparts={byDates}
    />
    <p class="text-sm text-soft">
      {line.expires === undefined
        ? type?.dated
          ? "should carry one"
          : "not a dated thing"
        : line.opened
          ? `opened ${day(line.opened)}`
          : "good to its last day"}
    </p>
  </div>
  <div class="sheet p-3">
    <label for="bench-place" class="text-sm text-soft">Lies <span class="kbd">L</span></label>
    <Choice
      id="bench-place"
      class="w-full font-semibold"
      label="Lies"
      value={line.location ?? ""}
      options={[
        { value: "", label: "not noted" },
        ...LOCATIONS.map((value) => ({ value, label: LOCATION_LABEL[value] })),
      ]}
      onchoose={(v) =>
        kit.updateLine(line.id, `place of ${name}`, {
          location: (v || undefined) as Line["location"],
        })}
    />
    <p class="text-sm text-soft">
      {line.reachS === undefined ? "reach by place" : `in hand ${number(line.reachS, 1)} s`}
    </p>
  </div>
</div>
{#if asksLatex}
  <fieldset class="sheet mt-2 flex flex-wrap items-center gap-2 px-4 py-2">
    <legend class="sr-only">Latex</legend>
    <span class="text-sm"
      >{latex === "often" ? "Often holds latex." : "May hold latex."} Does its pack say that it is free
      of it?</span
    >
    {#each [["Yes", true], ["No", false], ["Not read", undefined]] as const as [word, value] (word)}
      <button
        class="btn min-h-10 px-3 py-1 {line.latexFree === value ? 'btn-on' : ''}"
        aria-pressed={line.latexFree === value}
        aria-label="Free of latex: {word}"
        onclick={() => kit.updateLine(line.id, `latex of ${name}`, { latexFree: value })}
        >{#if line.latexFree === value}<StateIcon state="good" />{/if}{word}</button
      >
    {/each}
  </fieldset>
{/if}
<details
  class="sheet mt-2 px-4 py-1"
  open={line.lot !== undefined || line.opened !== undefined || line.firstUse !== undefined}
>
  <summary class="min-h-10 cursor-pointer py-2 font-semibold"
    >Lot, opened, part used, first used</summary
  >
  <div class="flex flex-wrap items-end gap-x-5 gap-y-3 pb-3">
    <label class="flex flex-col text-sm"
      >lot <input
        class="field w-40"
        value={line.lot ?? ""}
        maxlength="120"
        oninput={(e) =>
          kit.updateLine(
            line.id,
            `lot of ${name}`,
            { lot: e.currentTarget.value || undefined },
            "lot",
          )}
      /></label
    >
    {#if life !== null}
      <div class="w-40 text-sm">
        <label for="bench-opened">opened</label>
        <DateField
          id="bench-opened"
          value={line.opened}
          placeholder="not opened"
          onvalue={opened}
        />
        <p class="text-soft">
          {life === 0 ? "for one use: what is left is thrown away" : `then good for ${life} months`}
        </p>
      </div>
    {/if}
    {#if full !== null}
      <div class="text-sm">
        <label class="flex items-end gap-2"
          ><span
            >one of them holds only<br /><NumberField
              label="Left in one of them"
              value={left}
              optional
              max={full.amount * 10}
              unit="{full.unit} of {full.unit === 'm'
                ? metres(full.amount)
                : `${number(full.amount)} ${full.unit}`}"
              onvalue={(n) => (left = n)}
            /></span
          ></label
        >
        <button class="btn mt-1 min-h-9 px-3 py-1" disabled={left === undefined} onclick={partUsed}
          >{pieces > 1 ? "Part it off" : "Enter what is left"}</button
        >
      </div>
    {/if}
    {#if type?.use === "tool"}
      <div class="w-40 text-sm">
        <label for="bench-first-use">first used</label>
        <DateField
          id="bench-first-use"
          value={line.firstUse}
          placeholder="not yet"
          onvalue={(v) =>
            kit.updateLine(line.id, `first use of ${name}`, {
              firstUse: v === "none" ? undefined : v,
            })}
        />
      </div>
    {/if}
  </div>
</details>
