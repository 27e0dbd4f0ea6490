<script lang="ts">
  import type ApexCharts from "apexcharts";
  import type { ApexOptions } from "apexcharts";
  import { onDestroy } from "svelte";
  import { nextTask } from "../state/nextTask.ts";

  interface Props {
    options: ApexOptions;
    /** What the picture says, for those who do not see it. */
    label: string;
    height?: number;
  }
  const { options, label, height = 220 }: Props = $props();
  /** Charts further down are drawn when they come near: drawing one is as long as all else of a page. */
  const NEAR = "300px";
  /** Between two drawings of one chart: often enough to look alive, seldom enough to leave the page free. */
  const BETWEEN_MS = 400;
  let box: HTMLDivElement;
  let isNear = $state(false);
  let chart: ApexCharts | null = null;
  let gone = false;

  const full = $derived<ApexOptions>({
    ...options,
    chart: {
      ...options.chart,
      height,
      toolbar: { show: false },
      zoom: { enabled: false },
      animations: { enabled: false },
      fontFamily: "inherit",
      foreColor: "currentColor",
      background: "transparent",
    },
    dataLabels: { enabled: false, ...options.dataLabels },
  });
  $effect(() => {
    const watch = new IntersectionObserver(
      (seen) => {
        if (!seen.some((s) => s.isIntersecting)) return;
        isNear = true;
        watch.disconnect();
      },
      { rootMargin: NEAR },
    );
    watch.observe(box.parentElement!);
    return () => watch.disconnect();
  });
  /** What is to be drawn next; null: it is. */
  let next: ApexOptions | null = null;
  let isDrawing = false;
  // The drawing library is loaded when there is something to draw, and redrawn as the audit follows.
  $effect(() => {
    if (!isNear || (!chart && isEmpty(full))) return;
    next = full;
    if (!isDrawing) void draw();
  });
  /** Values that come one after another are drawn together: each drawing is tens of milliseconds. */
  async function draw(): Promise<void> {
    isDrawing = true;
    try {
      const { default: Apex } = await import("apexcharts");
      for (await nextTask(); next && !gone; await nextTask(BETWEEN_MS)) {
        const now = next;
        next = null;
        if (chart) await chart.updateOptions(now, false, false);
        else {
          chart = new Apex(box, now);
          await chart.render();
        }
      }
    } finally {
      isDrawing = false;
    }
  }
  const isEmpty = (of: ApexOptions): boolean =>
    (of.series ?? []).every((s) => typeof s === "object" && s.data.length === 0);
  onDestroy(() => {
    gone = true;
    chart?.destroy();
  });
</script>

<svelte:window onbeforeprint={() => (isNear = true)} />
<div role="img" aria-label={label} style="min-height: {height}px">
  <div bind:this={box} aria-hidden="true"></div>
</div>
