<script lang="ts">
  import type { PriceBook } from "$lib/core/model/priceBook.ts";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { goto } from "$app/navigation";
  import { onDestroy, untrack } from "svelte";
  import {
    judged,
    type Contender,
    type Judge,
    type KitRow,
  } from "$lib/core/compare/compareKits.ts";
  import { compareTable, type ReadyCost } from "$lib/core/formats/compareTable.ts";
  import { auditOf } from "$lib/core/records/auditOf.ts";
  import { compareMarkdown } from "$lib/report/compareMarkdown.ts";
  import { newKey } from "$lib/state/newKey.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { setRecord } from "$lib/core/records/setRecord.ts";
  import { download, fileName, kitPath } from "$lib/ui/files.ts";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import SieveMark from "$lib/ui/SieveMark.svelte";
  import { saveCsv, saveXlsx } from "$lib/ui/tables.ts";
  import { grams, litres, money, number, percentRange } from "$lib/words/sentences.ts";
  import { CompareRun } from "$lib/workers/compareRun.svelte.ts";
  import ByCategory from "./ByCategory.svelte";
  import BySchool from "./BySchool.svelte";
  import TwoOfThem from "./TwoOfThem.svelte";
  import { PlanRun } from "$lib/workers/planRun.svelte.ts";

  let left = $state<Record<string, boolean>>({});
  let judgeId = $state<string | null>(null);
  const chosen = $derived(workspace.kits.filter((k) => !left[k.id]));
  const judgeKit = $derived(workspace.kits.find((k) => k.id === judgeId) ?? workspace.kits[0]);
  const judge = $derived.by((): Judge | null => {
    const brief = judgeKit && workspace.brief(judgeKit.briefId)?.brief;
    return judgeKit && brief
      ? { brief, list: judgeKit.list, houseRules: judgeKit.houseRules }
      : null;
  });
  const contenders = $derived.by((): Contender[] =>
    chosen.flatMap((k) => {
      const brief = workspace.brief(k.briefId)?.brief;
      return brief ? [{ id: k.id, file: auditOf(k, brief, workspace.ownTypes) }] : [];
    }),
  );

  let wantSchools = $state(false);
  const compared = new CompareRun();
  const rows = $derived(compared.rows);
  const schools = $derived(compared.schools);
  $effect(() => {
    // Runs the worker.
    if (!judge) return;
    compared.ask({
      contenders: $state.snapshot(contenders) as Contender[],
      judge: $state.snapshot(judge) as Judge,
      today: workspace.today,
      book: $state.snapshot(workspace.priceBook) as PriceBook,
      schools: wantSchools,
    });
  });
  const currency = $derived(workspace.priceBook.currency);

  // Cost to ready, one kit after another; what was asked under another judge is forgotten.
  const OWN = "build-your-own";
  let ready = $state.raw<ReadonlyMap<string, ReadyCost | null>>(new Map());
  let queue = $state<string[]>([]);
  const planRun = new PlanRun();
  onDestroy(() => {
    compared.dispose();
    planRun.dispose();
  });
  $effect(() => {
    void judge;
    void contenders;
    untrack(() => {
      ready = new Map();
      stopPlans();
    });
  });
  function workOut() {
    queue = [...contenders.map((c) => c.id), OWN];
    nextPlan();
  }
  function nextPlan() {
    const id = queue[0];
    if (!id || !judge || contenders.length === 0) return;
    const source = contenders.find((c) => c.id === id)?.file ?? contenders[0]!.file;
    const file = judged(
      id === OWN ? { ...source, kit: { name: "", claims: {}, lines: [] } } : source,
      judge,
    );
    planRun.ask(
      {
        audit: $state.snapshot(file) as typeof file,
        catalogue: CATALOGUE,
        book: workspace.priceBook,
        question: "cheapest",
        target: "ready",
        limits: { budget: null, massG: null, volumeMl: null },
        keep: [],
        today: workspace.today,
      },
      0,
    );
  }
  $effect(() => {
    const answer = planRun.result;
    const failed = planRun.failure;
    const id = queue[0];
    if (!id || (!answer && !failed)) return;
    untrack(() => keepAnswer(id, answer));
  });
  function keepAnswer(id: string, answer: typeof planRun.result) {
    const cost =
      answer && answer.status !== "infeasible"
        ? { price: answer.price, massG: answer.carriedMassG }
        : null;
    ready = new Map([...ready, [id, cost]]);
    queue = queue.slice(1);
    planRun.result = null;
    nextPlan();
  }
  function stopPlans() {
    queue = [];
    planRun.stop();
  }
  const inAll = (r: KitRow): number | null => {
    const cost = ready.get(r.id);
    return cost && r.price !== null && r.currency === currency ? cost.price + r.price : null;
  };
  const bestBy = (of: (r: KitRow) => number | null) =>
    [...rows]
      .flatMap((r) => {
        const v = of(r);
        return v === null ? [] : [{ r, v }];
      })
      .sort((x, y) => x.v - y.v)[0];
  const cheapest = $derived(bestBy(inAll));
  const lightest = $derived(bestBy((r) => ready.get(r.id)?.massG ?? null));
  const own = $derived(ready.get(OWN));

  // Sorting
  const COLUMNS: readonly (readonly [string, string, (r: KitRow) => number | string | null])[] = [
    ["name", "kit", (r) => r.name],
    ["coverage", "coverage", (r) => r.coverage],
    ["price", "price", (r) => r.price],
    ["mass", "weight", (r) => r.massG],
    ["volume", "volume", (r) => r.volumeMl],
    ["quality", "quality", (r) => r.quality],
    ["serving", "pieces that serve", (r) => (r.pieces > 0 ? r.serving / r.pieces : null)],
    ["point", "a point costs", (r) => r.pricePerPoint],
    ["ready", "to make ready", (r) => ready.get(r.id)?.price ?? null],
    ["all", "ready, in all", inAll],
  ];
  let sortBy = $state("coverage");
  let down = $state(true);
  const sorted = $derived.by(() => {
    const of = COLUMNS.find(([id]) => id === sortBy)![2];
    const sign = down ? -1 : 1;
    return [...rows].sort((x, y) => {
      const [p, q] = [of(x), of(y)];
      // What is not known comes last, whichever way it is sorted.
      if (p === null || q === null) return p === q ? 0 : p === null ? 1 : -1;
      return sign * (typeof p === "string" ? p.localeCompare(String(q)) : p - Number(q));
    });
  });
  function sort(id: string) {
    if (sortBy === id) down = !down;
    else {
      sortBy = id;
      down = id !== "name" && id !== "price" && id !== "mass";
    }
  }
  const table = $derived(compareTable(sorted, ready));
  const TITLE = "Kits side by side";
  function asSet() {
    if (!judgeKit) return;
    const title = chosen
      .map((k) => k.kit.name)
      .join(" + ")
      .slice(0, 300);
    const members = chosen.map((k) => ({ kit: k.id, count: 1 }));
    const key = newKey();
    workspace.edit("make a set", [setRecord(key, { title, judgedBy: judgeKit.id, members })]);
    void goto(`/sets/${key}`);
  }
</script>

<svelte:head><title>Compare · Wide Sieve</title></svelte:head>
<ShelfHeader title={TITLE} about="Under one brief, one list, one school." />
<main class="mx-auto max-w-7xl p-4 sm:p-6">
  {#if workspace.kits.length === 0}
    <p class="noted">
      There is no kit on the shelf yet. <a class="underline" href="/">To the shelf</a>
    </p>
  {:else}
    <div class="grid grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-[1fr_1fr]">
      <fieldset>
        <legend class="font-semibold">Kits</legend>
        <div class="mt-1 flex flex-wrap gap-2">
          {#each workspace.kits as k (k.id)}
            <button
              class="btn min-h-10 px-3 py-1 {left[k.id] ? '' : 'btn-on'}"
              aria-pressed={!left[k.id]}
              onclick={() => (left = { ...left, [k.id]: !left[k.id] })}
              >{left[k.id] ? "" : "✓ "}{k.kit.name}</button
            >
          {/each}
        </div>
      </fieldset>
      <label class="flex flex-col gap-1"
        ><span class="font-semibold">Judged as</span><select
          class="field"
          value={judgeKit?.id}
          onchange={(e) => (judgeId = e.currentTarget.value)}
        >
          {#each workspace.kits as k (k.id)}
            {@const brief = workspace.brief(k.briefId)?.brief}
            <option value={k.id}
              >{brief?.title || "untitled brief"}, by {k.list.title} (as {k.kit.name})</option
            >
          {/each}
        </select></label
      >
    </div>

    {#if rows.length > 0}
      <div class="mt-4 flex flex-wrap items-center gap-3">
        {#if queue.length > 0}
          <span aria-live="polite"
            >Working out what it takes: {contenders.length + 1 - queue.length} of {contenders.length +
              1}</span
          >
          <progress max={contenders.length + 1} value={contenders.length + 1 - queue.length}
          ></progress>
          <button class="btn" onclick={stopPlans}>Stop</button>
        {:else}
          <button class="btn btn-main" onclick={workOut}>What each costs to make ready</button>
        {/if}
        <button class="btn" onclick={() => saveCsv(TITLE, table)}>CSV</button>
        <button class="btn" onclick={() => saveXlsx(TITLE, table)}>XLSX</button>
        <button
          class="btn"
          onclick={() =>
            judge &&
            download(
              fileName(TITLE, ".md"),
              compareMarkdown(sorted, judge, ready, own ?? null, currency, workspace.today),
              "text/markdown",
            )}>Markdown</button
        >
        <button class="btn" disabled={chosen.length === 0} onclick={asSet}
          >They go out together: judge as a set</button
        >
      </div>
      {#if cheapest || lightest || own}
        <ul class="noted mt-3" data-testid="winners">
          {#if cheapest}<li>
              Cheapest once made ready: <strong>{cheapest.r.name}</strong>, {money(
                cheapest.v,
                currency,
              )}
              ({money(cheapest.r.price!, currency)} + {money(
                ready.get(cheapest.r.id)!.price,
                currency,
              )}).
            </li>{/if}
          {#if lightest}<li>
              Lightest once made ready: <strong>{lightest.r.name}</strong>, {grams(lightest.v)}.
            </li>{/if}
          {#if own}<li>
              Built from an empty bag: {money(own.price, currency)} without the bag, {grams(
                own.massG,
              )}.
            </li>{/if}
        </ul>
      {/if}

      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="mt-4 overflow-x-auto" role="region" aria-label="Kits in a table" tabindex="0">
        <table class="w-full text-sm" data-testid="comparison">
          <thead>
            <tr class="border-b border-ink text-left align-bottom">
              {#each COLUMNS as [id, label] (id)}
                <th
                  class="py-1 pr-3 {id === 'name' ? '' : 'text-right'}"
                  aria-sort={sortBy === id ? (down ? "descending" : "ascending") : "none"}
                  ><button class="min-h-9 text-left font-semibold" onclick={() => sort(id)}
                    >{label}{sortBy === id ? (down ? " ▾" : " ▴") : ""}</button
                  ></th
                >
              {/each}
            </tr>
          </thead>
          <tbody>
            {#each sorted as r (r.id)}
              {@const cost = ready.get(r.id)}
              <tr class="border-b border-line">
                <td class="py-2 pr-3"
                  ><span class="flex items-center gap-3"
                    ><SieveMark a={r} /><span
                      ><a class="font-semibold underline" href="{kitPath(r.id)}/sieve">{r.name}</a
                      ><br />{r.grade ?? "nothing asked"} · {r.inspected} of {r.lines} inspected</span
                    ></span
                  ></td
                >
                <td class="pr-3 text-right font-semibold">{percentRange(r.interval)}</td>
                <td class="pr-3 text-right"
                  >{r.price === null || !r.currency ? "–" : money(r.price, r.currency)}</td
                >
                <td class="pr-3 text-right">{grams(r.massG)}</td>
                <td class="pr-3 text-right">{litres(r.volumeMl)}</td>
                <td class="pr-3 text-right">{r.quality === null ? "–" : number(r.quality, 0)}</td>
                <td class="pr-3 text-right">{r.serving} of {r.pieces}</td>
                <td class="pr-3 text-right"
                  >{r.pricePerPoint === null || !r.currency
                    ? "–"
                    : money(r.pricePerPoint, r.currency)}</td
                >
                <td class="pr-3 text-right"
                  >{cost ? money(cost.price, currency) : cost === null ? "no plan" : "–"}</td
                >
                <td class="text-right font-semibold"
                  >{inAll(r) === null ? "–" : money(inAll(r)!, currency)}</td
                >
              </tr>
            {/each}
          </tbody>
        </table>
      </div>

      <ByCategory rows={sorted} />

      <TwoOfThem rows={sorted} />

      <BySchool rows={sorted} {schools} trying={wantSchools} ontry={() => (wantSchools = true)} />
    {:else}
      <p class="mt-6">No kit is chosen.</p>
    {/if}
    {#if workspace.sets.length > 0}
      <section class="mt-8">
        <h2 class="text-2xl">Sets</h2>
        <ul class="mt-2 grid gap-2">
          {#each workspace.sets as s (s.id)}
            <li>
              <a class="underline" href="/sets/{s.id.replace(/^set:/, '')}"
                >{s.title || "untitled set"}</a
              >,
              {s.members.length} kits
            </li>
          {/each}
        </ul>
      </section>
    {/if}
  {/if}
</main>
