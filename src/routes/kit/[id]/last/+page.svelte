<script lang="ts">
  import { plain } from "$lib/state/plain.ts";
  import type { ApexOptions } from "apexcharts";
  import { onDestroy } from "svelte";
  import { page } from "$app/state";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import { LastState } from "$lib/state/pages/last.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import Chart from "$lib/ui/Chart.svelte";
  import { download, fileName } from "$lib/ui/download.ts";
  import FilePicker from "$lib/ui/FilePicker.svelte";
  import NumberField from "$lib/ui/NumberField.svelte";
  import OneOf from "$lib/ui/OneOf.svelte";
  import Tick from "$lib/ui/Tick.svelte";
  import { CHANCE_CAUTION, errorText, outOf100, rareText } from "$lib/words/chanceTexts.ts";
  import { CATEGORY_LABEL } from "$lib/words/labels.ts";
  import { day, grams, many, money, number } from "$lib/words/sentences.ts";
  import { ChanceRun } from "$lib/workers/chanceRun.svelte.ts";

  import Enough from "./Enough.svelte";
  import Lasting from "./Lasting.svelte";

  const kit = useKit();
  const last = new LastState(kit);
  const chance = new ChanceRun();
  onDestroy(() => chance.stop());
  /** Enough while one types; the report's run says more. */
  const TRIPS = { quick: 10_000, careful: 100_000 } as const;
  let trips = $state<keyof typeof TRIPS>("quick");
  $effect(() =>
    chance.ask({
      file: plain(kit.file),
      incidents: plain(last.incidents),
      today: workspace.today,
      book: plain(kit.book),
      trips: TRIPS[trips],
      seed: 1,
    }),
  );
  const run = $derived(chance.run);
  const both = $derived(run ? last.both(run) : []);
  const labelOf = (need: string) => both.find((b) => b.need.id === need)?.label ?? need;
  const kindLabel = (id: string) => last.incidents.kinds.find((k) => k.id === id)?.label ?? id;
  /** The ten that run out most. */
  const worst = $derived(
    [...both].sort((a, b) => b.need.short.high - a.need.short.high).slice(0, 10),
  );
  const curves = $derived<ApexOptions>({
    chart: { type: "line" },
    series: worst
      .filter((w) => w.need.short.high > 0)
      .slice(0, 6)
      .map((w) => ({
        name: w.label,
        data: [0, ...w.need.byDay].map((p) => Math.round(1000 * p) / 10),
      })),
    xaxis: {
      categories: [0, ...(run?.needs[0]?.byDay ?? [])].map((_, i) => String(i)),
      title: { text: "end of day" },
    },
    yaxis: { min: 0, labels: { formatter: (v) => `${Math.round(v)} %` } },
    stroke: { width: 3, dashArray: [0, 6, 2, 10, 4, 8] },
    markers: { size: 3 },
    colors: ["#9a4a2f", "#1f5a46", "#855c17", "#3f6f9a", "#6b4a8a", "#566362"],
    grid: { borderColor: "var(--line)" },
    legend: { position: "top", horizontalAlign: "left" },
    tooltip: { y: { formatter: (v) => `${v} % have run out` } },
  });
  const more = $derived([...(chance.more ?? [])].sort((a, b) => b.gain - a.gain).slice(0, 12));
  const typeLabel = (id: string) => kit.typeOf(id)?.label ?? id;
  const titleOf = (id: string | undefined) => kit.book.products.find((p) => p.id === id)?.title;
  const swings = $derived(
    [...(chance.swings ?? [])]
      .sort((a, b) => Math.abs(b.low - b.high) - Math.abs(a.low - a.high))
      .slice(0, 10),
  );
  const bars = $derived<ApexOptions>({
    chart: { type: "rangeBar" },
    plotOptions: { bar: { horizontal: true, barHeight: "60%" } },
    series: [
      {
        name: "chance that it lasts",
        data: swings.map((s) => ({
          x: kindLabel(s.kind),
          y: [
            Math.round(1000 * Math.min(s.low, s.high)) / 10,
            Math.round(1000 * Math.max(s.low, s.high)) / 10,
          ],
        })),
      },
    ],
    colors: ["var(--pass)"],
    xaxis: { labels: { formatter: (v) => `${v} %` } },
    grid: { borderColor: "var(--line)" },
  });
  const categories = $derived(
    [...(run?.categories ?? [])]
      .filter((c) => c.short.high > 0)
      .sort((a, b) => b.short.high - a.short.high),
  );
  let picker: FilePicker;
</script>

<div class="mx-auto max-w-7xl p-4 sm:p-5">
  <div class="flex flex-wrap items-center gap-3">
    <h1 class="mr-auto text-3xl">Will it last?</h1>
    <a class="underline underline-offset-4" href="/kit/{page.params['id']}/plan">Back to the plan</a
    >
    <OneOf
      label="Outings played"
      class="min-h-11 px-3 py-1 font-normal"
      value={trips}
      options={[
        { value: "quick", label: "10,000 outings" },
        { value: "careful", label: "100,000" },
      ]}
      onchoose={(t) => (trips = t)}
    />
  </div>
  <p class="text-soft">
    {many(kit.brief.people, "person", "people")}, {many(kit.brief.days, "day")}, {number(
      kit.brief.hoursToCare,
      1,
    )} h from care; about {number(last.expected, 1)} incidents on an outing, by the assumptions below.
  </p>
  <p class="noted mt-2 text-sm">{CHANCE_CAUTION}</p>

  {#if chance.failure}
    <p class="noted mt-4" role="alert">The outings could not be played: {chance.failure}.</p>
  {:else if !run}
    <p class="sheet mt-4 min-h-60 p-4 text-soft" aria-busy="true">Playing the outings …</p>
  {:else}
    <div class="mt-4 grid gap-4 lg:grid-cols-[22rem_minmax(0,1fr)]" aria-busy={chance.stale}>
      <section class="sheet p-4" aria-label="The chance that it lasts" aria-live="polite">
        <p class="text-soft">Nothing that was asked for is missing in</p>
        <p class="font-head text-4xl font-bold" data-testid="lasts">{outOf100(run.lasts)}</p>
        <p class="text-sm text-soft">
          outings, {errorText(run.lasts.se, run.trips)}{#if run.lasts.low !== run.lasts.high}; the
            lower takes what was not checked as failing{/if}.
        </p>
        <p class="mt-3">
          Of the vital needs nothing in <strong>{outOf100(run.vitalLasts)}</strong>.
        </p>
        {#each chance.rare as r (r.need)}
          <p class="mt-1 text-sm">
            {labelOf(r.need)}: missing {rareText(r.value, r.se)}.
          </p>
        {/each}
        {#if run.firstShort.length > 0}
          <h2 class="mt-4 text-lg">What falls short first</h2>
          <ol class="mt-1 text-sm">
            {#each run.firstShort.slice(0, 5) as f (f.need)}
              <li class="flex justify-between gap-3 py-0.5">
                <span>{labelOf(f.need)}</span><strong>{number(100 * f.share, 0)} %</strong>
              </li>
            {/each}
          </ol>
          <p class="text-sm text-soft">of the outings on which something was missing.</p>
        {/if}
        {#if run.unasked.length > 0}<p class="mt-3 text-sm text-soft">
            Not asked for by the list, so not counted: {run.unasked
              .map(
                (f) => last.kit.audit.context.catalogue.functions.get(f)?.label.toLowerCase() ?? f,
              )
              .join(", ")}.
          </p>{/if}
      </section>
      <section class="sheet min-w-0 p-4" aria-label="What runs out, and when">
        <h2 class="text-xl">What runs out, and when</h2>
        <Chart
          options={curves}
          height={260}
          label="Chance that each of the worst needs has run out by the end of each day; the table below has the figures."
        />
        <div class="overflow-x-auto">
          <table class="w-full text-sm">
            <thead
              ><tr class="text-left"
                ><th class="py-1 pr-3">need</th>{#each run.needs[0]?.byDay ?? [] as _, d (d)}<th
                    class="px-2 text-right whitespace-nowrap">day {d + 1}</th
                  >{/each}<th class="pl-2 text-right">missing in</th></tr
              ></thead
            >
            <tbody>
              {#each worst as w (w.need.id)}
                <tr class="border-t border-line"
                  ><td class="py-1 pr-3">{w.label}</td>{#each w.need.byDay as p, d (d)}<td
                      class="px-2 text-right">{number(100 * p, 1)} %</td
                    >{/each}<td class="pl-2 text-right whitespace-nowrap"
                    >{outOf100(w.need.short)}</td
                  ></tr
                >
              {/each}
            </tbody>
          </table>
        </div>
        {#if categories.length > 0}
          <h3 class="mt-4 text-lg">By category</h3>
          <ul class="mt-1 flex flex-wrap gap-x-6 gap-y-1 text-sm" data-testid="by-category">
            {#each categories as c (c.id)}<li>
                {CATEGORY_LABEL[c.id]}: missing in <strong>{outOf100(c.short)}</strong>
              </li>{/each}
          </ul>
        {/if}
      </section>
    </div>

    <div class="mt-4 grid gap-4 lg:grid-cols-2">
      <section class="sheet min-w-0 overflow-x-auto p-4" aria-label="One more of what">
        <h2 class="text-xl">One more of what?</h2>
        <p class="text-sm text-soft">
          Points by which one more pack raises the chance, on the same outings.
        </p>
        {#if !chance.more}
          <p class="mt-2 text-soft">trying them one by one …</p>
        {:else if more.length === 0}
          <p class="mt-2">Nothing on sale here makes it last longer.</p>
        {:else}
          <table class="mt-1 w-full text-sm" data-testid="one-more">
            <thead
              ><tr class="text-left"
                ><th class="py-1 pr-3">one more</th><th class="px-2 text-right">points</th><th
                  class="hidden px-2 text-right whitespace-nowrap sm:table-cell">a coin</th
                ><th class="hidden px-2 text-right whitespace-nowrap sm:table-cell">per 100 g</th
                ><th class="pl-2 text-right">price</th></tr
              ></thead
            >
            <tbody>
              {#each more as m (m.itemType)}
                <tr class="border-t border-line"
                  ><td class="py-1 pr-3">{titleOf(m.product) ?? typeLabel(m.itemType)}</td><td
                    class="px-2 text-right whitespace-nowrap"
                    >+{number(100 * m.gain, 1)} ± {number(200 * m.se, 1)}</td
                  ><td class="hidden px-2 text-right sm:table-cell"
                    >{m.price ? number((100 * m.gain) / m.price, 1) : "–"}</td
                  ><td class="hidden px-2 text-right sm:table-cell"
                    >{m.massG ? number((10_000 * m.gain) / m.massG, 1) : "–"}</td
                  ><td class="pl-2 text-right"
                    ><span class="whitespace-nowrap"
                      >{m.price === undefined ? "" : money(m.price, kit.currency)}{m.massG
                        ? ","
                        : ""}</span
                    > <span class="whitespace-nowrap">{m.massG ? grams(m.massG) : ""}</span></td
                  ></tr
                >
              {/each}
            </tbody>
          </table>
        {/if}
      </section>
      <section class="sheet min-w-0 p-4" aria-label="What it hangs on">
        <h2 class="text-xl">What it hangs on</h2>
        <p class="text-sm text-soft">
          The chance with each assumption at its low and at its high: argue about the widest only.
        </p>
        {#if !chance.swings}
          <p class="mt-2 text-soft">playing them at both ends …</p>
        {:else}
          <Chart
            options={bars}
            height={Math.max(120, 34 * swings.length)}
            label={swings
              .map(
                (s) =>
                  `${kindLabel(s.kind)}: ${number(100 * s.low, 1)} to ${number(100 * s.high, 1)} per cent`,
              )
              .join("; ")}
          />
          <details class="mt-1 text-sm">
            <summary class="flex min-h-9 cursor-pointer items-center font-semibold"
              >As a table</summary
            >
            <table class="w-full" data-testid="swings">
              <thead
                ><tr class="text-left"
                  ><th class="py-1 pr-3">assumption</th><th class="px-2 text-right">at its low</th
                  ><th class="pl-2 text-right">at its high</th></tr
                ></thead
              >
              <tbody>
                {#each swings as s (s.kind)}
                  <tr class="border-t border-line"
                    ><td class="py-1 pr-3">{kindLabel(s.kind)}</td><td class="px-2 text-right"
                      >{number(100 * s.low, 1)} %</td
                    ><td class="pl-2 text-right">{number(100 * s.high, 1)} %</td></tr
                  >
                {/each}
              </tbody>
            </table>
          </details>
        {/if}
      </section>
    </div>

    <Lasting {last} {labelOf} />

    <Enough {last} {both} />
  {/if}

  <section class="mt-6" aria-label="Assumptions">
    <div class="flex flex-wrap items-center gap-2">
      <h2 class="mr-auto text-2xl">What is assumed</h2>
      {#if last.learned.length > 0}
        <button class="btn min-h-10 px-3 py-1" onclick={() => last.takeLearned()}
          >Take the log's rates</button
        >
      {/if}
      <button class="btn min-h-10 px-3 py-1" disabled={!last.own} onclick={() => last.reset()}
        >As shipped</button
      >
      <button class="btn min-h-10 px-3 py-1" onclick={() => picker.pick()}>Load CSV</button>
      <button
        class="btn min-h-10 px-3 py-1"
        onclick={() =>
          download(fileName(`${kit.record?.kit.name} assumptions`, ".csv"), last.csv(), "text/csv")}
        >Save CSV</button
      >
    </div>
    <p class="text-sm text-soft">
      Incidents per 1,000 person-days on this outing: shipped figures times what goes on there.
      Agreed at a table by people who lead outings, wide on purpose. Change what you know better.
      {last.incidents.learnedOn
        ? `Where this kit's log knew better on ${day(last.incidents.learnedOn)}, its rates stand here instead.`
        : last.own
          ? "These are your own for this kit."
          : ""}
    </p>
    <Tick checked={last.incidents.helpersLeave === true} onchange={(on) => last.helpersLeave(on)}
      >whoever takes a hurt person home is gone too</Tick
    >
    <div class="overflow-x-auto">
      <table class="w-full text-sm" data-testid="assumptions">
        <thead
          ><tr class="text-left"
            ><th class="py-1 pr-3">kind</th><th class="pr-3">for</th><th class="pr-3">rate</th><th
              class="pr-3">low–high</th
            ><th>why, and how sure</th></tr
          ></thead
        >
        <tbody>
          {#each last.incidents.kinds as k (k.id)}
            {@const about = last.aboutOf(k.id)}
            <tr class="border-t border-line align-top"
              ><td class="py-2 pr-3 font-semibold">{k.label ?? k.id}</td><td class="py-2 pr-3"
                >{CATEGORY_LABEL[k.category]}</td
              ><td class="py-1 pr-3"
                ><NumberField
                  label="{k.label ?? k.id}, per 1,000 person-days"
                  value={k.per1000}
                  width="w-24"
                  max={100_000}
                  onvalue={(n) => n !== undefined && last.change(k.id, { per1000: n })}
                /></td
              ><td class="py-2 pr-3 whitespace-nowrap"
                >{k.low === undefined
                  ? ""
                  : `${number(k.low, 3)}–${number(k.high ?? k.low, 3)}`}</td
              ><td class="py-2"
                >{about.why}
                <span class="text-soft"
                  >{about.sure}{about.factor === 1
                    ? ""
                    : `; × ${number(about.factor, 2)} for what goes on there`}</span
                ></td
              ></tr
            >
          {/each}
        </tbody>
      </table>
    </div>
  </section>
  <FilePicker
    bind:this={picker}
    label="Assumptions to load"
    accept=".csv,text/csv"
    onfiles={async (files) => last.load(await files[0]!.text(), files[0]!.name)}
  />
</div>
