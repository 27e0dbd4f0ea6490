<script lang="ts">
  import type ApexCharts from "apexcharts";
  import type { ApexOptions } from "apexcharts";
  import { onDestroy } from "svelte";

  interface Props {
    options: ApexOptions;
    /** What the picture says, for those who do not see it. */
    label: string;
    height?: number;
  }
  const { options, label, height = 220 }: Props = $props();
  /** Charts further down are drawn when they come near: drawing one is as long as all else of a page. */
  const NEAR = "300px";
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
  // The drawing library is loaded when a chart is first shown, and redrawn as the audit follows.
  $effect(() => {
    const now = full;
    if (!isNear) return;
    void (async () => {
      if (chart) {
        await chart.updateOptions(now, false, false);
        return;
      }
      const { default: Apex } = await import("apexcharts");
      if (gone || chart) return;
      chart = new Apex(box, now);
      await chart.render();
    })();
  });
  onDestroy(() => {
    gone = true;
    chart?.destroy();
  });
</script>

<svelte:window onbeforeprint={() => (isNear = true)} />
<div role="img" aria-label={label} style="min-height: {height}px">
  <div bind:this={box} aria-hidden="true"></div>
</div>
