<script lang="ts">
  import Progress from "$lib/ui/Progress.svelte";
  import { Slider } from "bits-ui";
  import OneOf from "$lib/ui/OneOf.svelte";
  import { COUNT_TOLERANCE } from "$lib/core/base/tolerance.ts";
  import type { ApexOptions } from "apexcharts";
  import { onDestroy } from "svelte";
  import { kneesOf, stepsOf, type Axis } from "$lib/core/plan/frontier.ts";
  import type { PlanRequest } from "$lib/core/plan/request.ts";
  import Chart from "$lib/ui/Chart.svelte";
  import { grams, money, number, percent } from "$lib/words/sentences.ts";
  import { FrontierRun } from "$lib/workers/frontierRun.svelte.ts";

  interface Props {
    request: PlanRequest;
    /** Whether the plan itself is there: the curve waits for it. */
    ready: boolean;
    currency: string;
    /** The limit that is set, of the axis shown. */
    chosen: (axis: Axis) => number | null;
    titleOf: (productId: string) => string;
    onpick: (axis: Axis, limit: number) => void;
  }
  const { request, ready, currency, chosen, titleOf, onpick }: Props = $props();
  const run = new FrontierRun();
  onDestroy(() => run.stop());
  let axis = $state<Axis>("budget");
  // The curve does not depend on the limit that is picked on it.
  const asked = $derived<PlanRequest>({
    ...request,
    question: "best",
    limits: { ...request.limits, [axis === "budget" ? "budget" : "massG"]: null },
  });
  const key = $derived(JSON.stringify(asked));
  let drawn = "";
  $effect(() => {
    if (!ready || drawn === key + axis) return;
    drawn = key + axis;
    run.ask(asked, axis, 400);
  });
  const points = $derived(run.points);
  const knees = $derived(kneesOf(points));
  const steps = $derived(stepsOf(points));
  const limitText = (n: number) => (axis === "budget" ? money(n, currency) : grams(n));
  const at = $derived.by(() => {
    const limit = chosen(axis);
    if (points.length === 0) return -1;
    if (limit === null) return points.length - 1;
    return Math.max(
      0,
      points.findLastIndex((p) => p.limit <= limit + COUNT_TOLERANCE),
    );
  });
  const here = $derived(points[at]);
  const step = $derived(steps.find((s) => s.at === at));
  const TICKS = 5;
  /** The ticks part the range evenly: of a short one "12" would stand where 11.6 is. */
  const decimals = $derived(
    (points.at(-1)?.limit ?? 1) - (points[0]?.limit ?? 0) < 10 * TICKS ? 1 : 0,
  );
  const options = $derived<ApexOptions>({
    chart: { type: "line" },
    series: [
      { name: "coverage", data: points.map((p) => [p.limit, round(p.coverage)]) },
      { name: "vital needs", data: points.map((p) => [p.limit, round(p.vital)]) },
    ] as never,
    stroke: { curve: "stepline", width: [3, 2], dashArray: [0, 4] },
    colors: ["var(--pass)", "var(--soft)"],
    xaxis: {
      type: "numeric",
      min: points[0]?.limit ?? 0,
      max: points.at(-1)?.limit ?? 1,
      tickAmount: TICKS,
      labels: { formatter: (v: string) => number(Number(v), decimals) },
      title: { text: axis === "budget" ? `budget, ${currency}` : "carried, g" },
    },
    yaxis: { min: 0, max: 100, tickAmount: 4, labels: { formatter: (v: number) => `${v} %` } },
    legend: { show: true, position: "top" },
    tooltip: { enabled: false },
    annotations: {
      xaxis: here
        ? [
            {
              x: here.limit,
              borderColor: "var(--ink)",
              strokeDashArray: 0,
              label: {
                text: "here",
                orientation: "horizontal",
                style: { background: "var(--sheet)", color: "var(--ink)" },
              },
            },
          ]
        : [],
      points: knees.map((k) => ({
        x: points[k]!.limit,
        y: round(points[k]!.coverage),
        marker: { size: 6, fillColor: "var(--sheet)", strokeColor: "var(--held)" },
        label: { text: "knee", style: { background: "var(--sheet)", color: "var(--held)" } },
      })),
    },
  });
  const round = (share: number) => Math.round(share * 1000) / 10;

  let box: HTMLDivElement;
  /** The point under the pointer, by the plot's own frame. */
  function pick(e: PointerEvent) {
    const frame = box.querySelector(".apexcharts-grid")?.getBoundingClientRect();
    if (!frame || points.length < 2) return;
    const share = Math.min(1, Math.max(0, (e.clientX - frame.left) / frame.width));
    const first = points[0]!.limit;
    const limit = first + share * (points.at(-1)!.limit - first);
    choose(nearest(limit));
  }
  const nearest = (limit: number) =>
    points.reduce(
      (best, p, i) =>
        Math.abs(p.limit - limit) < Math.abs(points[best]!.limit - limit) ? i : best,
      0,
    );
  function choose(i: number) {
    if (i !== at && points[i]) onpick(axis, points[i].limit);
  }
  const packs = (list: readonly { product: string; packs: number }[]) =>
    list.map((x) => `${x.packs} × ${titleOf(x.product)}`).join("; ");
</script>

<section class="border-b border-line px-5 py-4" aria-label="Coverage against a limit">
  <div class="flex flex-wrap items-center gap-2">
    <h2 class="mr-auto text-xl">What the next {axis === "budget" ? "coin" : "gram"} buys</h2>
    <OneOf
      label="Against"
      class="min-h-9 px-3 py-1"
      value={axis}
      options={[
        { value: "budget", label: "Budget" },
        { value: "mass", label: "Weight" },
      ]}
      onchoose={(v) => (axis = v)}
    />
  </div>
  <!-- The slider below is the same by keyboard. -->
  <div
    bind:this={box}
    class="touch-none select-none"
    role="presentation"
    onpointerdown={(e) => {
      e.currentTarget.setPointerCapture(e.pointerId);
      pick(e);
    }}
    onpointermove={(e) => e.buttons === 1 && pick(e)}
  >
    <Chart
      height={250}
      label="Coverage against {axis === 'budget' ? 'budget' : 'weight carried'}: {points
        .map((p) => `${limitText(p.limit)} ${percent(p.coverage)} %`)
        .join(', ')}"
      {options}
    />
  </div>
  <!-- Under the plot: from its first to its last limit. -->
  <div class="pr-5 pl-13">
    <Slider.Root
      type="single"
      class="relative flex h-11 w-full touch-none items-center"
      min={points[0]?.limit ?? 0}
      max={points.at(-1)?.limit ?? 1}
      step={points.map((p) => p.limit)}
      bind:value={() => here?.limit ?? 0, (limit) => choose(nearest(limit))}
      disabled={points.length === 0}
      data-testid="frontier-slider"
    >
      <span class="h-1.5 w-full rounded-full bg-line"
        ><Slider.Range class="absolute h-1.5 rounded-full bg-pass" /></span
      >
      <Slider.Thumb
        index={0}
        class="block size-7 rounded-full border-2 border-ink bg-sheet"
        aria-label={axis === "budget" ? "Budget of the curve" : "Weight of the curve"}
        aria-valuetext={here ? `${limitText(here.limit)}: ${percent(here.coverage)} %` : ""}
      />
    </Slider.Root>
  </div>
  <div class="min-h-20 text-sm" aria-live="polite" data-testid="frontier-here">
    {#if run.failure}
      <p class="noted">The curve stopped: {run.failure}. The plan is not touched.</p>
    {:else if here}
      <p>
        <strong>{limitText(here.limit)}</strong>: coverage {number(here.coverage * 100, 1)} %, vital needs
        {number(here.vital * 100, 1)} %{axis === "mass" ? `, ${money(here.price, currency)}` : ""}, {here.grade}.
        {here.proven
          ? "Proven to a twentieth of a point."
          : "A quick answer; a better one is being sought."}
      </p>
      {#if step}
        <p>
          {step.enters.length > 0 ? `Comes in: ${packs(step.enters)}.` : ""}
          {step.leaves.length > 0 ? `Goes out: ${packs(step.leaves)}.` : ""}
        </p>
      {:else}<p class="text-soft">The same plan as one step before.</p>{/if}
    {:else}<p class="text-soft">The curve is drawn when the plan is there.</p>{/if}
  </div>
  <div class="flex flex-wrap items-center gap-3 text-sm">
    {#if run.left !== null && points.length > 0}
      <Progress label="Points proven" max={points.length} value={points.length - run.left} />
      <span>{points.length - run.left} of {points.length} points proven</span>
      <button class="btn min-h-9 px-3 py-1" onclick={() => run.stop()}>Stop</button>
    {:else if points.length > 0}
      <span class="text-soft"
        >Vital needs come first at every limit, so all coverage may dip where it goes to them.{knees.length >
        0
          ? ` A knee: beyond it a ${axis === "budget" ? "coin" : "gram"} buys less than half as much.`
          : ""}</span
      >
    {/if}
  </div>
  {#if points.length > 0}
    <details class="mt-1 text-sm">
      <summary class="flex min-h-9 cursor-pointer items-center">All points as a table</summary>
      <div class="max-h-72 overflow-auto">
        <table class="w-full">
          <thead
            ><tr class="text-left"
              ><th>{axis === "budget" ? "budget" : "weight"}</th><th>coverage</th><th>vital</th><th
                >price</th
              ><th>comes in</th><th>goes out</th></tr
            ></thead
          >
          <tbody>
            {#each points as p, i (p.limit)}
              {@const s = steps.find((x) => x.at === i)}
              <tr class="border-t border-line align-top {i === at ? 'font-semibold' : ''}"
                ><td class="pr-2 whitespace-nowrap"
                  >{limitText(p.limit)}{knees.includes(i) ? " (knee)" : ""}</td
                ><td class="pr-2">{number(p.coverage * 100, 1)} %</td><td class="pr-2"
                  >{number(p.vital * 100, 1)} %</td
                ><td class="pr-2 whitespace-nowrap">{money(p.price, currency)}</td><td class="pr-2"
                  >{s ? packs(s.enters) : ""}</td
                ><td>{s ? packs(s.leaves) : ""}</td></tr
              >
            {/each}
          </tbody>
        </table>
      </div>
    </details>
  {/if}
</section>
