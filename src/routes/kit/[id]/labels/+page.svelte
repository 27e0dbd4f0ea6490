<script lang="ts">
  import StateIcon from "$lib/ui/StateIcon.svelte";
  import Choice from "$lib/ui/Choice.svelte";
  import { page } from "$app/state";
  import { PACKING_RULES } from "$lib/core/audit/packing.ts";
  import { BAG_POINTS } from "$lib/core/bag/bag.ts";
  import { wearSince } from "$lib/core/bag/looks.ts";
  import { LABEL_SHEETS } from "$lib/core/labels/sheets.ts";
  import { contentsCard, contentsRows } from "$lib/report/contentsCard.ts";
  import { labelSheet, labelText } from "$lib/report/labelSheet.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { LabelsState } from "$lib/state/pages/labels.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { fileName } from "$lib/ui/download.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import { savePdf } from "$lib/ui/pdf.ts";
  import { sheetLabel } from "$lib/words/labelTexts.ts";
  import { day, many } from "$lib/words/sentences.ts";
  import { PACKING_LABEL, PACKING_STATE } from "$lib/words/verdicts.ts";

  import CarryCheck from "./CarryCheck.svelte";

  const kit = useKit();
  const packed = new LabelsState(kit);
  const { findings, labels, looks, sheet } = $derived(packed);
  const card = $derived(
    kit.record
      ? contentsRows(kit.record.kit, packed.compartments, kit.typeOf)
      : { rows: [], next: null },
  );
  let busy = $state("");
  async function make(what: string, document: () => Parameters<typeof savePdf>[1]) {
    busy = what;
    try {
      await savePdf(fileName(`${kit.record?.kit.name} ${what}`, ".pdf"), document());
    } catch (error) {
      workspace.say(`The PDF could not be made: ${(error as Error).message}`, true);
    }
    busy = "";
  }
  const printLabels = () =>
    make("labels", () => labelSheet(labels, sheet, packed.used, kit.typeOf));
  const printCard = () =>
    make("contents", () =>
      contentsCard(kit.record!.kit, packed.compartments, kit.typeOf, workspace.today),
    );
  const pointText = (id: string) => BAG_POINTS.find((p) => p.id === id)?.good.toLowerCase() ?? id;
</script>

<div class="mx-auto grid max-w-6xl grid-cols-[minmax(0,1fr)] gap-8 p-4 sm:p-6 lg:grid-cols-2">
  <section>
    <h1 class="text-3xl">Packing, wear, labels</h1>
    <h2 class="mt-4 text-2xl">The rules it is packed by</h2>
    <ul class="mt-2 divide-y divide-line border-y border-line">
      {#each PACKING_RULES as rule (rule)}
        {@const own = findings.filter((f) => f.rule === rule)}
        {@const broken = own.filter((f) => f.state === "broken")}
        {@const open = own.filter((f) => f.state === "open")}
        <li class="py-2">
          <p class="font-semibold">
            <StateIcon
              state={broken.length > 0
                ? "bad"
                : open.length > 0
                  ? "open"
                  : own.length > 0
                    ? "good"
                    : "none"}
            />
            {PACKING_LABEL[rule]}
            <span class="font-normal text-soft"
              >{own.length === 0
                ? "nothing here asks for it"
                : broken.length > 0
                  ? `${PACKING_STATE.broken} by ${broken.length} of ${own.length}`
                  : open.length > 0
                    ? `${open.length} of ${own.length} ${PACKING_STATE.open}`
                    : `${PACKING_STATE.kept} by all ${own.length}`}</span
            >
          </p>
          {#each [...broken, ...open] as f (f.line)}
            <p class="pl-5 text-sm {f.state === 'broken' ? '' : 'text-soft'}">
              <StateIcon state={f.state === "broken" ? "bad" : "open"} />
              {lineName(
                kit.audit.context.lines[f.line]!.line,
                kit.audit.context.lines[f.line]!.type?.label,
              )}
            </p>
          {/each}
        </li>
      {/each}
    </ul>

    <h2 class="mt-8 text-2xl">The bag over time</h2>
    <p class="text-sm text-soft">
      {packed.answered === 0
        ? "Look at the outside first, under Unpack; then record the look here."
        : `${packed.answered} of ${BAG_POINTS.length} points of the outside are answered now.`}
    </p>
    <div class="mt-2 flex flex-wrap items-end gap-3">
      <label class="flex grow flex-col gap-1 text-sm"
        >what you found
        <input
          class="field"
          bind:value={packed.finding}
          maxlength="1000"
          placeholder="left zip stiff, sand in it"
        /></label
      >
      <button
        class="btn"
        disabled={packed.answered === 0 && packed.finding.trim() === ""}
        onclick={() => packed.recordLook()}>Record this look</button
      >
    </div>
    <ol class="mt-3 divide-y divide-line border-y border-line" data-testid="looks">
      {#each looks.toReversed() as look, i (i)}
        {@const wear = wearSince(looks[looks.length - 2 - i], look)}
        <li class="py-2 text-sm">
          <strong>{day(look.on)}</strong>{look.by ? `, ${look.by}` : ""}: {look.failed.length === 0
            ? "nothing failed"
            : look.failed
                .map(pointText)
                .map((t) => `not “${t}”`)
                .join(", ")}{look.note ? `. ${look.note}` : ""}
          {#if wear.worse.length > 0}<span class="bad font-semibold"
              >New since the look before: {wear.worse.map(pointText).join(", ")}.</span
            >{/if}
          {#if wear.mended.length > 0}<span class="text-pass"
              >Mended: {wear.mended.map(pointText).join(", ")}.</span
            >{/if}
        </li>
      {:else}<li class="py-2 text-sm text-soft">No look recorded yet.</li>{/each}
    </ol>
    <CarryCheck {packed} />
  </section>

  <section>
    <h2 class="text-2xl">Labels</h2>
    <p class="text-sm text-soft">
      For pockets, for medicines without name and strength, for opened tubes, for tools. What nobody
      can name is taken out, not labelled.
    </p>
    <ul class="mt-2 grid gap-2 sm:grid-cols-2" data-testid="labels">
      {#each labels as label, i (i)}
        {@const text = labelText(label, kit.typeOf)}
        <li class="border border-dashed border-soft bg-sheet p-2 text-sm">
          <strong>{text.head}</strong>
          {#each text.lines.slice(0, 6) as l, k (k)}<br />{l}{/each}
        </li>
      {:else}
        <li class="noted sm:col-span-2">
          No label is wanted: give the bag compartments under Unpack, or mark what is not labelled.
        </li>
      {/each}
    </ul>
    <div class="mt-3 flex flex-wrap items-end gap-3">
      <label class="flex grow flex-col gap-1 text-sm"
        >sheet
        <Choice
          label="sheet"
          value={packed.sheetId}
          options={LABEL_SHEETS.map((s) => ({ value: s.id, label: sheetLabel(s) }))}
          onchoose={(v) => (packed.sheetId = v)}
        /></label
      >
      <label class="flex flex-col gap-1 text-sm"
        >labels gone from the first sheet<NumberField
          label="Labels gone"
          value={packed.used}
          whole
          max={sheet.across * sheet.down - 1}
          onvalue={(n) => n !== undefined && (packed.used = n)}
        /></label
      >
      <button
        class="btn btn-main"
        disabled={labels.length === 0 || busy !== ""}
        onclick={printLabels}>{busy === "labels" ? "Making …" : "Labels as PDF"}</button
      >
    </div>

    <h2 class="mt-8 text-2xl">A contents card that is true</h2>
    <p class="text-sm">
      {many(card.rows.length, "line")} as counted{card.next ? `; next date ${day(card.next)}` : ""}.
    </p>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div
      class="mt-2 max-h-80 overflow-y-auto border border-line bg-sheet p-3"
      role="region"
      aria-label="The card's lines"
      tabindex="0"
    >
      <table class="w-full text-sm">
        <tbody>
          {#each card.rows as r, i (i)}
            <tr class="border-b border-line last:border-0">
              <td class="pr-2 text-right font-semibold whitespace-nowrap">{r.pieces}</td>
              <td class="pr-2">{r.name}</td>
              <td class="pr-2 text-soft">{r.size}</td>
              <td class="pr-2 text-soft">{r.place}</td>
              <td class="whitespace-nowrap">{r.expires ? day(r.expires) : ""}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    <button
      class="btn btn-main mt-3"
      disabled={card.rows.length === 0 || busy !== ""}
      onclick={printCard}>{busy === "contents" ? "Making …" : "Contents card as PDF"}</button
    >
    <p class="mt-6"><a class="btn" href="/kit/{page.params['id']}/bench">Back to the bench</a></p>
  </section>
</div>
