<script lang="ts">
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { goto } from "$app/navigation";
  import { audit } from "$lib/core/audit/audit.ts";
  import type { Line } from "$lib/core/model/kit.ts";
  import { auditOf } from "$lib/core/records/auditOf.ts";
  import { lineCondition } from "$lib/core/inspect/quality.ts";
  import {
    agreement,
    lookDifferences,
    takeFact,
    unseen,
    type LookedAt,
  } from "$lib/core/audit/secondOpinion.ts";
  import type { KitRecord } from "$lib/core/records/kitRecord.ts";
  import { MESHES } from "$lib/core/model/mesh.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { newKey } from "$lib/state/newKey.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { kitPath } from "$lib/ui/files.ts";
  import WeaveChip from "$lib/ui/WeaveChip.svelte";
  import { CONDITION_LABEL, LOCATION_LABEL, MESH_LABEL } from "$lib/words/labels.ts";
  import { day, number, percent, size } from "$lib/words/sentences.ts";
  import { LOOK_LABEL } from "$lib/words/verdicts.ts";

  const kit = useKit();
  let who = $state("");
  /** Whether this is a second look itself. */
  const firstOfThis = $derived(
    kit.record?.secondOf ? workspace.kit(kit.record.secondOf) : undefined,
  );
  const first = $derived(firstOfThis ?? kit.record);
  const seconds = $derived(workspace.kits.filter((k) => k.secondOf === first?.id));
  let chosen = $state<string | null>(null);
  const second = $derived(
    firstOfThis ? kit.record : (seconds.find((k) => k.id === chosen) ?? seconds[0]),
  );
  const auditBy = (k: KitRecord | undefined) => {
    const brief = k && workspace.brief(k.briefId)?.brief;
    return k && brief
      ? audit(auditOf(k, brief, workspace.ownTypes), workspace.today, CATALOGUE)
      : null;
  };
  const firstAudit = $derived(auditBy(first));
  const secondAudit = $derived(auditBy(second));
  const differences = $derived(
    first && second ? lookDifferences(first.kit, second.kit, CATALOGUE) : [],
  );
  const agreed = $derived(firstAudit && secondAudit ? agreement(firstAudit, secondAudit) : null);
  const looked = (k: KitRecord) =>
    k.kit.lines.filter((l) => lineCondition(l, CATALOGUE) !== null).length;
  const nameOf = (k: KitRecord | undefined, other: string) => k?.inspector?.trim() || other;
  const a = $derived(nameOf(first, "first inspector"));
  const b = $derived(nameOf(second, "second inspector"));
  const merged = $derived(first?.mergedLooks ?? []);

  function ask(e: SubmitEvent) {
    e.preventDefault();
    if (!first) return;
    const id = `kit:${newKey()}`;
    const copy: KitRecord = {
      ...structuredClone($state.snapshot(first) as KitRecord),
      id,
      kit: {
        ...unseen(first.kit),
        name: `${first.kit.name}, second look${who.trim() ? ` by ${who.trim()}` : ""}`,
      },
      verdicts: {},
      doubts: {},
      history: [],
      inspector: who.trim(),
      secondOf: first.id,
    };
    delete copy.mergedLooks;
    workspace.edit(`a second look at ${first.kit.name}`, [copy]);
    void goto(`${kitPath(id)}/bench`);
  }

  function factText(line: Line | undefined, what: LookedAt): string {
    if (!line) return "–";
    switch (what) {
      case "count":
        return line.counted === undefined ? "–" : number(line.counted);
      case "condition": {
        const c = lineCondition(line, CATALOGUE);
        const failed = (line.failedPoints ?? [])
          .map((p) => CATALOGUE.points.get(p)?.good.toLowerCase())
          .filter(Boolean);
        return c
          ? `${CONDITION_LABEL[c]}${failed.length > 0 ? `, not: ${failed.join("; ")}` : ""}`
          : "–";
      }
      case "date":
        return line.expires ? (line.expires === "none" ? "no date" : day(line.expires)) : "–";
      case "size":
        return line.sizeMm
          ? size(line.sizeMm)
          : line.volumeMl
            ? `${number(line.volumeMl)} ml`
            : line.dosesPerPiece
              ? `${number(line.dosesPerPiece)} doses`
              : "–";
      case "place":
        return line.location ? LOCATION_LABEL[line.location] : "–";
      case "reach":
        return line.reachS === undefined ? "–" : `${number(line.reachS, 1)} s`;
      case "findable":
        return line.findable === false ? "hard to find" : "found";
      case "labelled":
        return line.labelled === false ? "not labelled" : "labelled";
      case "kind":
        return (line.itemType ? kit.typeOf(line.itemType)?.label : undefined) ?? "not known";
    }
  }
  /** Settles a difference: the fact of one goes to both, and who decided is kept. */
  function settle(lineId: string, what: LookedAt, from: "first" | "second") {
    if (!first || !second) return;
    const x = first.kit.lines.find((l) => l.id === lineId)!;
    const y = second.kit.lines.find((l) => l.id === lineId)!;
    const put = (r: KitRecord, line: Line, source: Line): KitRecord => ({
      ...r,
      kit: {
        ...r.kit,
        lines: r.kit.lines.map((l) => (l.id === line.id ? takeFact(line, source, what) : l)),
      },
    });
    const note = {
      line: lineId,
      what,
      by: kit.record?.inspector?.trim() || "not named",
      on: workspace.today,
      took: from === "first" ? a : b,
    };
    const kept: KitRecord = { ...first, mergedLooks: [...merged, note] };
    workspace.edit(
      `settle ${LOOK_LABEL[what]}`,
      from === "first" ? [kept, put(second, y, x)] : [put(kept, x, y)],
    );
  }
</script>

<div class="mx-auto max-w-6xl p-4 sm:p-6">
  <h1 class="text-3xl">Second opinion</h1>
  <p class="text-soft">
    Someone else looks through the same kit without seeing what you found; then you see where you
    differ, and settle it.
  </p>
  {#if !firstOfThis}
    <form class="mt-4 flex flex-wrap items-end gap-3" onsubmit={ask}>
      <label class="flex flex-col gap-1"
        ><span class="text-sm font-semibold">Who looks</span><input
          class="field"
          bind:value={who}
          maxlength="200"
          placeholder="their name"
        /></label
      >
      <button class="btn btn-main" disabled={kit.lines.length === 0}
        >Hand the kit over, unseen</button
      >
      <p class="basis-full text-sm text-soft">
        They get the claims and the list, none of your answers. On another machine: export the kit's
        workspace there and import it here.
      </p>
    </form>
  {/if}
  {#if seconds.length > 1 && !firstOfThis}
    <label class="mt-4 flex max-w-sm flex-col gap-1"
      ><span class="text-sm font-semibold">Compare with</span><select
        class="field"
        value={second?.id}
        onchange={(e) => (chosen = e.currentTarget.value)}
      >
        {#each seconds as k (k.id)}<option value={k.id}>{k.kit.name}</option>{/each}
      </select></label
    >
  {/if}
  {#if first && second && agreed && firstAudit && secondAudit}
    <div class="mt-5 grid gap-6 lg:grid-cols-[1fr_18rem]">
      <section>
        <h2 class="text-2xl">Where you differ</h2>
        <p class="text-sm text-soft">
          {a} inspected {looked(first)}, {b}
          {looked(second)} of {first.kit.lines.length} lines; compared is what both looked at.
        </p>
        <ul class="mt-2 divide-y divide-line border-y border-line" data-testid="differences">
          {#each differences as d (d.line + d.what)}
            {@const x = first.kit.lines.find((l) => l.id === d.line)!}
            {@const y = second.kit.lines.find((l) => l.id === d.line)!}
            <li class="py-3">
              <p class="font-semibold">
                {lineName(x, x.itemType ? kit.typeOf(x.itemType)?.label : undefined)}:
                {LOOK_LABEL[d.what]}
              </p>
              <div class="mt-1 flex flex-wrap gap-2">
                <button class="btn grow basis-48" onclick={() => settle(d.line, d.what, "first")}
                  ><span class="text-sm font-normal">{a}:</span> {factText(x, d.what)}</button
                >
                <button class="btn grow basis-48" onclick={() => settle(d.line, d.what, "second")}
                  ><span class="text-sm font-normal">{b}:</span> {factText(y, d.what)}</button
                >
              </div>
            </li>
          {:else}
            <li class="py-3">
              {looked(second) === 0
                ? `${b} has not looked at anything yet.`
                : "You differ in nothing that both of you looked at."}
            </li>
          {/each}
        </ul>
        {#if merged.length > 0}
          <h3 class="mt-5 text-lg">Settled</h3>
          <ul class="text-sm" data-testid="settled">
            {#each merged as m, i (i)}
              {@const x = first.kit.lines.find((l) => l.id === m.line)}
              <li class="py-0.5">
                {x ? lineName(x, x.itemType ? kit.typeOf(x.itemType)?.label : undefined) : m.line},
                {LOOK_LABEL[m.what as LookedAt] ?? m.what}: as {m.took} saw it; decided by {m.by},
                {day(m.on)}
              </li>
            {/each}
          </ul>
        {/if}
      </section>
      <section>
        <h2 class="text-2xl">Agreement</h2>
        <table class="mt-2 w-full text-sm" data-testid="agreement">
          <thead
            ><tr class="border-b border-ink text-left"
              ><th class="py-1">after</th><th class="text-right">needs alike</th></tr
            ></thead
          >
          <tbody>
            {#each MESHES as m, i (m)}
              <tr class="border-b border-line"
                ><td class="flex items-center gap-2 py-1"
                  ><WeaveChip mesh={m} size={16} />{MESH_LABEL[m]}</td
                ><td class="text-right font-semibold">{percent(agreed.meshes[i]!)} %</td></tr
              >
            {/each}
          </tbody>
        </table>
        <dl class="mt-3 grid grid-cols-[1fr_auto] gap-y-1 text-sm">
          <dt>coverage, {a}</dt>
          <dd class="font-semibold">{percent(firstAudit.coverage)} %</dd>
          <dt>coverage, {b}</dt>
          <dd class="font-semibold">{percent(secondAudit.coverage)} %</dd>
          <dt>same condition, {agreed.linesCompared} lines</dt>
          <dd class="font-semibold">
            {percent(agreed.condition)}{agreed.condition === null ? "" : " %"}
          </dd>
          <dt>beyond chance (kappa)</dt>
          <dd class="font-semibold">{agreed.kappa === null ? "–" : number(agreed.kappa, 2)}</dd>
        </dl>
        <p class="mt-2 text-sm text-soft">
          Kappa is 1 where you always agree, 0 where you agree no more than chance would have it.
        </p>
      </section>
    </div>
  {/if}
</div>
