<script lang="ts">
  import type { ApexOptions } from "apexcharts";
  import { daysBetween } from "$lib/core/base/dates.ts";
  import type { KitEvent } from "$lib/core/model/event.ts";
  import type { Readiness } from "$lib/core/log/readiness.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { readinessSvg } from "$lib/report/readinessSvg.ts";
  import Chart from "$lib/ui/Chart.svelte";
  import { saveDrawing, saveRaster } from "$lib/ui/exportPicture.ts";
  import { EVENT_KIND_LABEL } from "$lib/words/eventTexts.ts";
  import { day, many, needLabel, percent } from "$lib/words/sentences.ts";

  interface Props {
    readiness: Readiness;
    events: readonly KitEvent[];
    /** Function of a need, by its id. */
    functionOf: (need: string) => string | undefined;
    /** Of the picture's file. */
    name: string;
  }
  const { readiness, events, functionOf, name }: Props = $props();
  const picture = () => readinessSvg(readiness, events, workspace.today).svg;
  const steps = $derived(readiness.steps);
  const first = $derived(steps[0]?.from ?? workspace.today);
  const days = $derived(daysBetween(first, workspace.today) + 1);
  const ready = $derived(Math.round((readiness.readyShare ?? 0) * days));
  const longest = $derived(readiness.longestNotReady);
  const spans = $derived(
    steps.map((s, i) => ({
      ...s,
      days: daysBetween(s.from, steps[i + 1]?.from ?? workspace.today) + (steps[i + 1] ? 0 : 1),
    })),
  );
  const at = (d: string) => Date.parse(d);
  const stepOn = (d: string) => steps.findLast((s) => s.from <= d);
  const SIGN = { used: "▼", "put-back": "▲", recalled: "✕", carried: "+", sealed: "○" } as const;
  const marks = $derived(
    events
      .filter((e) => e.kind in SIGN && e.on >= first && e.on <= workspace.today)
      .map((e) => ({
        x: at(e.on),
        y: 100 * (stepOn(e.on)?.coverage ?? 0),
        marker: { size: 0 },
        label: {
          text: SIGN[e.kind as keyof typeof SIGN],
          borderColor: "transparent",
          offsetY: 4,
          style: {
            background: "transparent",
            color: e.kind === "put-back" || e.kind === "sealed" ? "var(--pass)" : "var(--held)",
            fontSize: "15px",
          },
        },
      })),
  );
  /** Where the plot lies, px from the left: the days below it lie under theirs. null: not drawn yet. */
  let plot = $state<{ left: number; width: number } | null>(null);
  const framed = (
    _: unknown,
    { globals }: { globals: { translateX: number; gridWidth: number } },
  ) => (plot = { left: globals.translateX, width: globals.gridWidth });
  const options = $derived<ApexOptions>({
    chart: { type: "line", events: { mounted: framed, updated: framed } },
    series: [
      {
        name: "coverage",
        data: [
          ...steps.map((s) => [at(s.from), Math.round(1000 * (s.coverage ?? 0)) / 10]),
          [at(workspace.today), Math.round(1000 * (steps.at(-1)?.coverage ?? 0)) / 10],
        ] as [number, number][],
      },
      {
        name: "guaranteed",
        data: [
          ...steps.map((s) => [at(s.from), Math.round(1000 * (s.interval?.[0] ?? 0)) / 10]),
          [at(workspace.today), Math.round(1000 * (steps.at(-1)?.interval?.[0] ?? 0)) / 10],
        ] as [number, number][],
      },
    ],
    stroke: { curve: "stepline", width: [3, 2], dashArray: [0, 4] },
    colors: ["var(--pass)", "var(--soft)"],
    xaxis: { type: "datetime", tooltip: { enabled: false } },
    yaxis: { min: 0, max: 100, tickAmount: 4, labels: { formatter: (v) => `${Math.round(v)} %` } },
    annotations: { points: marks },
    legend: { show: true, position: "top", horizontalAlign: "right" },
    tooltip: { x: { format: "d MMM yyyy" }, y: { formatter: (v) => `${v} %` } },
    // The last month's name stands half beyond the plot.
    grid: { borderColor: "var(--line)", padding: { right: 24 } },
  });
</script>

<section class="sheet p-4" aria-label="Readiness since the log began">
  <p class="flex flex-wrap items-baseline gap-x-3">
    <strong class="font-head text-xl">Ready on {ready} of {many(days, "day")}</strong>
    {#if longest}<span class="text-sm text-soft"
        >longest not ready: {many(daysBetween(longest.from, longest.to) + 1, "day")} from {day(
          longest.from,
        )}{#if longest.need && functionOf(longest.need)}, for want of: {needLabel(
            functionOf(longest.need)!,
          ).toLowerCase()}{/if}</span
      >{/if}
  </p>
  <Chart
    {options}
    height={230}
    label="Coverage from {day(first)} to {day(workspace.today)}, from {percent(
      steps[0]?.coverage ?? 0,
    )} to {percent(steps.at(-1)?.coverage ?? 0)} per cent; the table below has each step."
  />
  <!-- Ready is solid, not ready is hatched: told apart without colour. -->
  <div
    class="flex h-3 overflow-hidden rounded-xs border border-ink {plot ? '' : 'invisible'}"
    style="margin-left: {plot?.left ?? 0}px; width: {plot ? `${plot.width}px` : '100%'}"
    aria-hidden="true"
  >
    {#each spans as s (s.from)}
      <span
        class={s.grade === "Ready" ? "bg-pass" : "hatched"}
        style="width: {(100 * s.days) / days}%"
      ></span>
    {/each}
  </div>
  <div class="mt-2 flex flex-wrap gap-2">
    <button
      class="btn min-h-9 px-3 py-0.5 text-sm font-normal"
      onclick={() => saveDrawing(name, picture())}>Picture, SVG</button
    >
    <button
      class="btn min-h-9 px-3 py-0.5 text-sm font-normal"
      onclick={() => void saveRaster(name, picture())}>Picture, PNG</button
    >
  </div>
  <details class="mt-2">
    <summary class="min-h-9 cursor-pointer py-1 text-sm font-semibold">Each step as a table</summary
    >
    <table class="w-full text-sm">
      <thead
        ><tr class="text-left"
          ><th class="py-1">from</th><th>grade</th><th>coverage</th><th>guaranteed</th><th
            >what happened</th
          ></tr
        ></thead
      >
      <tbody>
        {#each steps as s (s.from)}
          <tr class="border-t border-line"
            ><td class="py-1 pr-3 whitespace-nowrap">{day(s.from)}</td><td class="pr-3"
              >{s.grade ?? "–"}</td
            ><td class="pr-3">{percent(s.coverage)} %</td><td class="pr-3"
              >{percent(s.interval?.[0] ?? null)} %</td
            ><td
              >{events
                .filter((e) => e.on === s.from)
                .map((e) => EVENT_KIND_LABEL[e.kind].toLowerCase())
                .join(", ") || "a date passed"}</td
            ></tr
          >
        {/each}
      </tbody>
    </table>
  </details>
</section>

<style>
  .hatched {
    background: repeating-linear-gradient(
      45deg,
      var(--sheet) 0 3px,
      var(--ink) 3px 4px,
      var(--sheet) 4px 7px
    );
  }
</style>
