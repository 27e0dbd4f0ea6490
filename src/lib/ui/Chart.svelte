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
  let box: HTMLDivElement;
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
  // The drawing library is loaded when a chart is first shown, and redrawn as the audit follows.
  $effect(() => {
    const now = full;
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

<div role="img" aria-label={label} style="min-height: {height}px">
  <div bind:this={box} aria-hidden="true"></div>
</div>
