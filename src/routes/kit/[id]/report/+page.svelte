<script lang="ts">
  import { worthChecking } from "$lib/core/audit.ts";
  import { functionOf } from "$lib/core/catalogue/catalogue.ts";
  import { inspectionPoint } from "$lib/core/inspect/points.ts";
  import { lineCondition } from "$lib/core/inspect/quality.ts";
  import { piecesOf } from "$lib/core/sieve/measure.ts";
  import { MESHES } from "$lib/core/sieve/sift.ts";
  import { markdownReport, type ReportPlan } from "$lib/report/markdown.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { useReady } from "$lib/state/ready.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import CategoryBars from "$lib/ui/CategoryBars.svelte";
  import { download, fileName } from "$lib/ui/files.ts";
  import SievePicture from "$lib/ui/SievePicture.svelte";
  import WeaveChip from "$lib/ui/WeaveChip.svelte";
  import { cautionsOf, GENERAL_CAUTION } from "$lib/words/cautions.ts";
  import { MESH_LABEL } from "$lib/words/labels.ts";
  import {
    ACTION_LABEL,
    day,
    decidedBy,
    DROP_BECAUSE,
    grams,
    money,
    number,
    percentRange,
    size,
    whyItRests,
  } from "$lib/words/sentences.ts";
  import { VERDICT_LABEL } from "$lib/words/verdicts.ts";

  const kit = useKit();
  const ready = useReady();
  const a = $derived(kit.audit);
  const result = $derived(ready.run.result);
  const plan = $derived<ReportPlan | null>(
    result && result.status !== "infeasible"
      ? {
          actions: result.actions,
          price: result.price,
          currency: kit.currency,
          gradeAfter: result.grade,
          coverageAfter: result.coverage,
          proven: result.status === "optimal",
        }
      : null,
  );
  const held = $derived(
    a.needs
      .map((n, i) => ({ n, i, loss: a.bench.needs[i]!.weight * (1 - n.values[6]!) }))
      .filter((x) => x.n.restsOn !== "pan")
      .sort((x, y) => y.loss - x.loss),
  );
  const cautions = $derived(
    cautionsOf(
      a.bench.lines.map((l) => l.type?.id),
      a.bench.brief,
    ),
  );
  const next = $derived(
    worthChecking(a)
      .filter((w) => w.gain > 1e-9)
      .slice(0, 5),
  );
  const lineLabel = (id: string) => {
    const b = a.bench.lines.find((l) => l.line.id === id);
    return b ? lineName(b.line, b.type?.label) : id;
  };
  const b = $derived(kit.brief);
  const saveMarkdown = () =>
    download(
      fileName(kit.record?.kit.name ?? "kit", "-report.md"),
      markdownReport(a, plan, workspace.today),
      "text/markdown",
    );
</script>

<div class="no-print flex flex-wrap gap-3 border-b border-line bg-sheet px-5 py-3">
  <button class="btn btn-main" onclick={() => print()}>Print or save as PDF</button>
  <button class="btn" onclick={saveMarkdown}>Markdown</button>
  <button
    class="btn"
    onclick={() =>
      download(
        fileName(kit.record?.kit.name ?? "kit", ".widesieve.json"),
        JSON.stringify(kit.file, null, 1),
      )}>Audit file</button
  >
  {#if ready.run.running}<span class="self-center text-soft"
      >the plan is still being worked out …</span
    >{/if}
</div>
<article class="mx-auto max-w-4xl p-5 sm:p-8 print:max-w-none print:p-0">
  <h1 class="text-4xl break-words">{kit.record?.kit.name}</h1>
  <p class="mt-2 font-head text-2xl font-bold">
    {a.grade ?? "Nothing asked"} · coverage {percentRange(a.interval)}
  </p>
  <p class="mt-1">{decidedBy(a)}</p>
  <p class="mt-3 text-sm">
    Judged for {b.title || "an untitled brief"}: {b.people}
    {b.people === 1 ? "person" : "people"}, {b.days}
    {b.days === 1 ? "day" : "days"}, {number(b.hoursToCare, 1)} h from care, to {day(
      a.bench.lastDay,
    )}. Against: {kit.record?.list.title}. {kit.lines.length - kit.open.uncounted} of {kit.lines
      .length} lines counted, {kit.lines.length - kit.open.toInspect} inspected; the lower figure takes
    what is unchecked as failing, the upper as passing.
  </p>
  <p class="mt-2 text-sm">
    {a.value.serving} of the {a.value.counted} pieces do a job on the list. {a.quality === null
      ? "Nothing inspected."
      : `Quality of what was inspected: ${number(a.quality, 0)} of 100.`} Weight by type: {grams(
      kit.load.massG,
    )}.{#if plan}
      To make it ready: {money(plan.price, plan.currency)}.{/if}
  </p>
  {#if a.needs.length > 0}<div class="mt-4 hidden md:block print:block">
      <SievePicture {a} />
    </div>{/if}

  <h2 class="mt-6 text-2xl">Held back</h2>
  {#if held.length === 0}<p>Nothing: every need is in the pan.</p>{/if}
  <ul class="mt-2 divide-y divide-line">
    {#each held as { n, i } (i)}
      <li class="flex gap-3 py-2 break-inside-avoid">
        <WeaveChip mesh={n.restsOn} /><span
          ><strong>{functionOf(a.bench.needs[i]!.need.function)?.label}</strong> ({a.bench.needs[i]!
            .tier}, {MESH_LABEL[n.restsOn]}, {number(n.values[6]! * 100, 0)} % met). {whyItRests(
            a,
            i,
          )}</span
        >
      </li>
    {/each}
  </ul>

  <h2 class="mt-6 text-2xl">By category</h2>
  <p class="mb-3 flex flex-wrap gap-x-4 text-sm">
    {#each MESHES as m (m)}<span class="flex items-center gap-1"
        ><WeaveChip mesh={m} size={16} />{MESH_LABEL[m]}</span
      >{/each}
  </p>
  <CategoryBars {a} />

  <h2 class="mt-6 text-2xl">Items</h2>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="overflow-x-auto" role="region" aria-label="Items" tabindex="0">
    <table class="mt-2 w-full text-sm">
      <thead
        ><tr class="border-b border-ink text-left"
          ><th class="py-1 pr-3">Item</th><th class="pr-3">Pieces</th><th class="pr-3">Size</th><th
            class="pr-3">Date</th
          ><th class="pr-3">Condition</th><th>Verdict</th></tr
        ></thead
      >
      <tbody>
        {#each kit.lines as l (l.id)}
          {@const t = l.itemType ? kit.typeOf(l.itemType) : undefined}
          {@const given = kit.record?.verdicts[l.id]}
          <tr class="border-b border-line align-top break-inside-avoid">
            <td class="py-1 pr-3"
              >{lineName(l, t?.label)}{#if t && t.label !== l.text}<br /><span class="text-soft"
                  >{t.label}</span
                >{/if}</td
            >
            <td class="pr-3">{number(piecesOf(l))}{l.counted === undefined ? " claimed" : ""}</td>
            <td class="pr-3">{l.sizeMm ? size(l.sizeMm) : ""}</td>
            <td class="pr-3 whitespace-nowrap"
              >{l.expires ? day(l.expires) : t?.dated ? "not read" : ""}</td
            >
            <td class="pr-3"
              >{lineCondition(l) ??
                "not inspected"}{#if l.failedPoints && l.failedPoints.length > 0}: not {l.failedPoints
                  .map((p) => inspectionPoint(p)?.good.toLowerCase())
                  .join(", ")}{/if}</td
            >
            <td>{given ? VERDICT_LABEL[given.verdict] : ""}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  {#if next.length > 0}
    <h2 class="mt-6 text-2xl">Most worth checking</h2>
    <ul class="list-disc pl-5">
      {#each next as w (w.line)}<li>
          {lineLabel(w.line)}: {w.facts.join(", ")} (+{number(w.gain * 100, 1)} points if it passes)
        </li>{/each}
    </ul>
  {/if}
  {#if plan}
    <h2 class="mt-6 text-2xl">Plan</h2>
    <p>
      After it: {plan.gradeAfter}, coverage {number(plan.coverageAfter * 100, 1)} %. Cost {money(
        plan.price,
        plan.currency,
      )}{plan.proven ? ", proven the least" : ""}.
    </p>
    <ul class="mt-2 divide-y divide-line text-sm">
      {#each plan.actions as x, i (i)}
        <li class="flex justify-between gap-4 py-1 break-inside-avoid">
          <span
            ><strong>{ACTION_LABEL[x.kind]}</strong>
            {"product" in x ? `${x.packs} × ${x.product.title}` : lineLabel(x.line)}{x.kind ===
            "drop"
              ? `: ${DROP_BECAUSE[x.because]}`
              : x.kind === "check"
                ? `: ${x.facts.join(", ")}`
                : ""}</span
          ><span class="shrink-0">{"price" in x ? money(x.price, plan.currency) : ""}</span>
        </li>
      {/each}
    </ul>
  {:else if result?.status === "infeasible"}
    <h2 class="mt-6 text-2xl">Plan</h2>
    <p>No plan makes it Ready; the Plan stage says why.</p>
  {/if}
  <h2 class="mt-6 text-2xl">Cautions</h2>
  <ul class="list-disc pl-5 text-sm">
    <li>{GENERAL_CAUTION}</li>
    {#each cautions as c (c.id)}<li>{c.text}</li>{/each}
  </ul>
  <h2 class="mt-6 text-2xl">Method</h2>
  <p class="text-sm">
    Each need of the list passes seven meshes: Here, Real, Enough, Sound, Fresh, Handy, Usable.
    Coverage is what reaches the pan, weighted by tier (vital 5, core 3, useful 1) and emphasis.
    House rules: {Object.entries(a.bench.rules)
      .filter(([, v]) => typeof v === "string")
      .map(([k, v]) => `${k} ${v}`)
      .join(", ")}. Made with Wide Sieve on {workspace.today}.
  </p>
</article>
