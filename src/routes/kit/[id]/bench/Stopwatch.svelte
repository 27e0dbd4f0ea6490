<script lang="ts">
  import StateIcon from "$lib/ui/StateIcon.svelte";
  import { drillSummary } from "$lib/core/inspect/drill.ts";
  import type { Line } from "$lib/core/model/kit.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import { number } from "$lib/words/sentences.ts";

  interface Props {
    line: Line;
    name: string;
  }
  const { line, name }: Props = $props();
  const kit = useKit();
  let oneHanded = $state(false);
  let gloved = $state(false);
  let started = $state<number | null>(null);
  let shown = $state(0);
  const summary = $derived(drillSummary(line.drills));

  // The running figure; it stops with the drill.
  $effect(() => {
    if (started === null) return;
    const from = started;
    const timer = setInterval(() => (shown = (performance.now() - from) / 1000), 100);
    return () => clearInterval(timer);
  });
  // A drill belongs to the thing it was started for.
  $effect(() => {
    void line.id;
    started = null;
  });

  /** Starts the drill; the second time the thing is in the hand. */
  export function press() {
    if (started === null) {
      shown = 0;
      started = performance.now();
      return;
    }
    const seconds = Math.round((performance.now() - started) / 100) / 10;
    started = null;
    keep([
      ...(line.drills ?? []),
      { seconds, ...(oneHanded ? { oneHanded } : {}), ...(gloved ? { gloved } : {}) },
    ]);
  }
  /** The best of the tries is what the Handy mesh reckons with. */
  function keep(drills: NonNullable<Line["drills"]>) {
    const best = drillSummary(drills)?.best;
    kit.updateLine(line.id, `reach of ${name}`, {
      drills: drills.length > 0 ? drills : undefined,
      reachS: best,
    });
  }
</script>

<div class="sheet mt-2 flex flex-wrap items-center gap-3 px-4 py-2">
  <button class="btn {started === null ? '' : 'btn-on'}" onclick={press}
    >{started === null ? "Stopwatch" : "In my hand"} <span class="kbd">Space</span></button
  >
  <span class="w-16 font-head text-xl font-bold" role="timer"
    >{started === null ? "" : `${shown.toFixed(1)} s`}</span
  >
  {#each [["one-handed", oneHanded, () => (oneHanded = !oneHanded)], ["gloves on", gloved, () => (gloved = !gloved)]] as const as [label, on, flip] (label)}
    <button
      class="btn min-h-10 px-3 py-1 font-normal {on ? 'btn-on' : ''}"
      aria-pressed={on}
      onclick={flip}
      >{#if on}<StateIcon state="good" />{/if}{label}</button
    >
  {/each}
  <span class="text-sm" data-testid="drill"
    >{#if summary}best {number(summary.best, 1)} s of {summary.tries}
      {summary.tries === 1 ? "try" : "tries"}{summary.tries > 1
        ? `, ${number(summary.best, 1)} to ${number(summary.worst, 1)} s, half within ${number(summary.median, 1)} s`
        : ""}{summary.oneHanded ? ", one-handed" : ""}{summary.gloved ? ", gloved" : ""}
    {:else}From the word “go” until it is in your hand.{/if}</span
  >
  {#if summary}
    <button class="underline underline-offset-4" onclick={() => keep(line.drills!.slice(0, -1))}
      >take the last try back</button
    >
  {/if}
</div>
