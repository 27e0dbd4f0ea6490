<script lang="ts">
  import type { ClassSummary } from "$lib/core/exercise/mark.ts";
  import type { Block } from "$lib/report/blocks.ts";
  import { between, figure, gainText, percent, planText } from "$lib/report/classBlocks.ts";
  import type { ClassState } from "$lib/state/pages/class.svelte.ts";
  import { saveCsv } from "$lib/ui/tables.ts";
  import { DIFFICULTY_LABEL, FAULT_LABEL, meshTaught } from "$lib/words/exerciseTexts.ts";
  import { many, number } from "$lib/words/sentences.ts";

  /** Who found what, and which fault tells whom apart: large enough for the last row. */
  interface Props {
    room: ClassState;
    summary: ClassSummary;
    onpdf: (title: string, blocks: readonly Block[]) => void;
    onmarkdown: (title: string, blocks: readonly Block[]) => void;
  }
  const { room, summary, onpdf, onmarkdown }: Props = $props();
  const title = $derived(room.keys[0]!.title);
  const hasPlan = $derived(room.keys.some((k) => k.plan));
  const faults = $derived(
    [...summary.faults].sort((a, b) => (a.foundRate ?? 0) - (b.foundRate ?? 0)),
  );
</script>

<section class="sheet mt-6 overflow-x-auto p-4" aria-label="The class">
  <div class="flex flex-wrap items-center gap-3">
    <h2 class="mr-auto text-2xl">The class, {many(room.results.length, "student")}</h2>
    <button
      class="btn min-h-10 px-3 py-1"
      onclick={() => onpdf(`${title} class`, room.classBlocks())}>PDF</button
    >
    <button class="btn min-h-10 px-3 py-1" onclick={() => saveCsv(`${title} class`, room.table())}
      >CSV</button
    >
  </div>
  {#if room.runs}
    <div class="noted mt-3" data-testid="runs">
      <p><strong>Before and after:</strong> {gainText(room.runs)}</p>
      <p class="mt-1 text-sm">
        {room.runs.meshes
          .map((m) => `${meshTaught(m.id)} ${percent(m.before)} → ${percent(m.after)}`)
          .join("; ")}.{#if room.runs.onlyOne.length > 0}
          Took one run only: {room.runs.onlyOne.join(", ")}.{/if}
      </p>
    </div>
  {/if}
  <table class="mt-2 w-full text-lg" data-testid="students">
    <thead
      ><tr class="text-left text-base"
        ><th class="py-1 pr-3">student</th><th class="px-2 text-right">found</th><th
          class="px-2 text-right">right reason</th
        ><th class="px-2 text-right">false alarms</th><th class="px-2 text-right">verdicts</th
        >{#if hasPlan}<th class="px-2 text-right">plan</th>{/if}<th class="px-2 text-right">time</th
        ><th class="px-2">next</th><th></th></tr
      ></thead
    >
    <tbody>
      {#each summary.students as s (s.id)}
        <tr class="border-t border-line"
          ><td class="py-1.5 pr-3 font-semibold break-words">{s.id}</td><td
            class="px-2 text-right whitespace-nowrap"
            >{s.found.length} of {s.found.length + s.missed.length}</td
          ><td class="px-2 text-right">{s.rightReason.length}</td><td class="px-2 text-right"
            >{s.falseAlarms.length}</td
          ><td class="px-2 text-right whitespace-nowrap">{percent(s.verdictScore)}</td
          >{#if hasPlan}<td class="px-2 text-right whitespace-nowrap">{planText(s)}</td>{/if}<td
            class="px-2 text-right whitespace-nowrap"
            >{s.timeS === null ? "–" : `${number(s.timeS / 60, 0)} min`}</td
          ><td class="px-2 text-base">{s.next ? meshTaught(s.next) : "–"}</td><td
            class="pl-2 text-right whitespace-nowrap"
            ><button
              class="btn min-h-9 px-2 py-0.5 text-sm"
              aria-label="Sheet of {s.id}, PDF"
              onclick={() => onpdf(`${s.id} sheet`, room.sheetOf(s.id))}>Sheet</button
            >
            <button
              class="btn min-h-9 px-2 py-0.5 text-sm"
              aria-label="Sheet of {s.id}, .md"
              onclick={() => onmarkdown(`${s.id} sheet`, room.sheetOf(s.id))}>.md</button
            ></td
          ></tr
        >
      {/each}
    </tbody>
  </table>
  <div class="mt-5 grid gap-x-8 gap-y-4 md:grid-cols-2">
    <div>
      <h3 class="text-xl">By what is asked</h3>
      <ul class="mt-1" data-testid="by-mesh">
        {#each summary.meshes as g (g.id)}{@render group(meshTaught(g.id), g)}{/each}
      </ul>
    </div>
    <div>
      <h3 class="text-xl">By difficulty</h3>
      <ul class="mt-1">
        {#each summary.difficulties as g (g.id)}{@render group(DIFFICULTY_LABEL[g.id], g)}{/each}
      </ul>
    </div>
  </div>
  <h3 class="mt-5 text-xl">Fault by fault</h3>
  <table class="mt-1 w-full" data-testid="faults">
    <thead
      ><tr class="text-left text-sm"
        ><th class="py-1 pr-3">fault</th><th class="px-2">item</th><th class="px-2">asks</th><th
          class="px-2 text-right">found by</th
        ><th class="px-2 text-right">95 % between</th><th class="pl-2 text-right">tells apart</th
        ></tr
      ></thead
    >
    <tbody>
      {#each faults as f (`${f.paper} ${f.id}`)}
        <tr class="border-t border-line"
          ><td class="py-1 pr-3">{FAULT_LABEL[f.kind] ?? f.kind}</td><td class="px-2"
            >{room.nameOf(f.line)}{room.keys.length > 1 ? `, paper ${f.paper + 1}` : ""}</td
          ><td class="px-2">{meshTaught(f.mesh)}</td><td class="px-2 text-right font-semibold"
            >{percent(f.foundRate)}</td
          ><td class="px-2 text-right whitespace-nowrap">{between(f.interval)}</td><td
            class="pl-2 text-right">{figure(f.discrimination)}</td
          ></tr
        >
      {/each}
    </tbody>
  </table>
  <p class="mt-2 text-sm text-soft">
    “Tells apart” is how far those who find it also find the rest (point-biserial, the fault itself
    left out): near 0 it says nothing about who sees well.
  </p>
</section>

{#snippet group(
  label: string,
  g: { found: number; of: number; rate: number; interval: readonly [number, number] },
)}
  <li class="grid grid-cols-[1fr_5rem_7rem_6.5rem] items-center gap-3 border-t border-line py-1">
    <span>{label}</span>
    <span class="text-right font-semibold">{percent(g.rate)}</span>
    <span class="h-3.5 border border-ink bg-sheet" aria-hidden="true"
      ><span class="block h-full bg-pass" style="width: {100 * g.rate}%"></span></span
    >
    <span class="text-right text-sm text-soft whitespace-nowrap">{between(g.interval)}</span>
  </li>
{/snippet}
