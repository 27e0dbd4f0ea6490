<script lang="ts">
  import type { InspectionPoint } from "$lib/core/model/inspectionPoint.ts";
  import { POINT_BY } from "$lib/words/verdicts.ts";

  interface Props {
    points: readonly InspectionPoint[];
    failed: readonly string[];
    answered: ReadonlySet<string>;
    complete: boolean;
    next: string | undefined;
    onanswer: (id: string, good: boolean) => void;
  }
  /** Every point with how to find out, not only the one that is next. */
  let all = $state(false);
  const { points, failed, answered, complete, next, onanswer }: Props = $props();
</script>

<div class="sheet mt-3">
  <div class="flex items-center justify-between border-b border-line px-4 py-2">
    <h2 class="text-xl">Look, feel, try</h2>
    <button
      class="ml-auto mr-4 text-sm underline underline-offset-4"
      aria-pressed={all}
      onclick={() => (all = !all)}>{all ? "only the next one in full" : "how, for all"}</button
    >
    <span class="text-sm text-soft" aria-live="polite"
      >{complete ? points.length : answered.size} of {points.length} · {failed.length === 0
        ? complete
          ? "all sound"
          : "none failed so far"
        : `${failed.length} failed`}</span
    >
  </div>
  <ul>
    {#each points as p (p.id)}
      {@const no = failed.includes(p.id)}
      {@const good = !no && (complete || answered.has(p.id))}
      <li
        class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line px-4 py-1.5 last:border-b-0 sm:flex-nowrap {next ===
        p.id
          ? 'bg-notebg'
          : ''}"
      >
        <span class="min-w-0 flex-1 basis-full sm:basis-0"
          ><span class="mr-2 text-sm text-soft">{POINT_BY[p.by]}</span><strong class="font-semibold"
            >{p.good}</strong
          >
          {#if all || no || next === p.id}<span class="text-sm">· {p.how}</span><br /><span
              class="text-sm text-soft">If not: {p.failing} ({p.severity})</span
            >{/if}</span
        >
        <button
          class="btn min-w-15 px-2 {good ? 'btn-main' : ''}"
          aria-pressed={good}
          aria-label="Yes: {p.good}"
          onclick={() => onanswer(p.id, true)}
          >Yes{#if next === p.id}<span class="kbd">F</span>{/if}</button
        >
        <button
          class="btn min-w-15 px-2 {no ? 'btn-on' : ''}"
          aria-pressed={no}
          aria-label="No: {p.good}"
          onclick={() => onanswer(p.id, false)}
          >No{#if next === p.id}<span class="kbd">D</span>{/if}</button
        >
      </li>
    {/each}
  </ul>
</div>
