<script lang="ts">
  import Choice from "$lib/ui/Choice.svelte";
  import { goto } from "$app/navigation";
  import { lineCondition } from "$lib/core/inspect/quality.ts";
  import { MESHES } from "$lib/core/model/mesh.ts";
  import type { Line } from "$lib/core/model/kit.ts";
  import type { LookedAt } from "$lib/core/audit/secondOpinion.ts";
  import type { KitRecord } from "$lib/core/records/kitRecord.ts";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { SecondState } from "$lib/state/pages/second.svelte.ts";
  import { kitPath } from "$lib/state/paths.ts";
  import WeaveChip from "$lib/ui/WeaveChip.svelte";
  import { MESH_LABEL } from "$lib/words/labels.ts";
  import { lookText } from "$lib/words/lookTexts.ts";
  import { day, number, percent } from "$lib/words/sentences.ts";
  import { LOOK_LABEL } from "$lib/words/verdicts.ts";

  const kit = useKit();
  const looks = new SecondState(kit);
  const first = $derived(looks.first);
  const second = $derived(looks.second);
  const firstAudit = $derived(looks.firstAudit);
  const secondAudit = $derived(looks.secondAudit);
  const agreed = $derived(looks.agreed);
  const a = $derived(looks.nameOfFirst);
  const b = $derived(looks.nameOfSecond);
  const looked = (k: KitRecord) =>
    k.kit.lines.filter((l) => lineCondition(l, CATALOGUE) !== null).length;
  const typeLabel = (l: Line) => (l.itemType ? kit.typeOf(l.itemType)?.label : undefined);
  const factText = (l: Line, what: LookedAt) => lookText(l, what, typeLabel(l), CATALOGUE);
  const settle = (line: string, what: LookedAt, from: "first" | "second") =>
    looks.settle(line, what, from, `settle ${LOOK_LABEL[what]}`);

  function ask(e: SubmitEvent) {
    e.preventDefault();
    const id = looks.ask();
    if (id) void goto(`${kitPath(id)}/bench`);
  }
</script>

<div class="mx-auto max-w-6xl p-4 sm:p-6">
  <h1 class="text-3xl">Second opinion</h1>
  <p class="text-soft">
    Someone else looks through the same kit without seeing what you found; then you see where you
    differ, and settle it.
  </p>
  {#if !looks.firstOfThis}
    <form class="mt-4 flex flex-wrap items-end gap-3" onsubmit={ask}>
      <label class="flex flex-col gap-1"
        ><span class="text-sm font-semibold">Who looks</span><input
          class="field"
          bind:value={looks.who}
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
  {#if looks.seconds.length > 1 && !looks.firstOfThis}
    <label class="mt-4 flex max-w-sm flex-col gap-1"
      ><span class="text-sm font-semibold">Compare with</span><Choice
        label="Compare with"
        value={second?.id ?? ""}
        options={looks.seconds.map((k) => ({ value: k.id, label: k.kit.name }))}
        onchoose={(id) => (looks.chosen = id)}
      /></label
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
          {#each looks.differences as d (d.line + d.what)}
            {@const x = first.kit.lines.find((l) => l.id === d.line)!}
            {@const y = second.kit.lines.find((l) => l.id === d.line)!}
            <li class="py-3">
              <p class="font-semibold">
                {lineName(x, typeLabel(x))}:
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
        {#if looks.merged.length > 0}
          <h3 class="mt-5 text-lg">Settled</h3>
          <ul class="text-sm" data-testid="settled">
            {#each looks.merged as m, i (i)}
              {@const x = first.kit.lines.find((l) => l.id === m.line)}
              <li class="py-0.5">
                {x ? lineName(x, typeLabel(x)) : m.line},
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
