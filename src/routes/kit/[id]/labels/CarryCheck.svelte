<script lang="ts">
  import StateIcon from "$lib/ui/StateIcon.svelte";
  import Choice from "$lib/ui/Choice.svelte";
  import { isOver } from "$lib/core/bag/carryCheck.ts";
  import { CARRY_PLACES } from "$lib/core/model/container.ts";
  import type { LabelsState } from "$lib/state/pages/labels.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import {
    amountText,
    carryText,
    findingLabel,
    PLACE_LABEL,
    QUESTION_TEXT,
  } from "$lib/words/carryTexts.ts";
  import { day } from "$lib/words/sentences.ts";

  const { packed }: { packed: LabelsState } = $props();
  const carry = $derived(packed.carry);
  const bag = $derived(packed.kit.container);
</script>

<h2 class="mt-8 text-2xl">Will it be carried?</h2>
<p class="mt-1 font-semibold" aria-live="polite" data-testid="carry-verdict">{carryText(carry)}</p>
<p class="text-sm text-soft">
  A kit left at home covers nothing. The figures are planning figures; put your own in front.
</p>
<div class="mt-2 flex flex-wrap items-end gap-3">
  <label class="flex flex-col gap-1 text-sm"
    >carried
    <Choice
      label="carried"
      value={carry.place}
      options={CARRY_PLACES.map((value) => ({ value, label: PLACE_LABEL[value] }))}
      onchoose={(v) => packed.setPlace(v as typeof carry.place)}
    /></label
  >
  {#each [0, 1, 2] as const as at (at)}
    <label class="flex flex-col gap-1 text-sm"
      >{["outside, cm", "by", "by"][at]}<NumberField
        label="Outer side {at + 1}, cm"
        width="w-20"
        min={0.1}
        max={500}
        optional
        value={bag.outerMm ? bag.outerMm[at]! / 10 : undefined}
        onvalue={(n) => packed.setOuter(at, n === undefined ? undefined : n * 10)}
      /></label
    >
  {/each}
</div>
<ul class="mt-2 divide-y divide-line border-y border-line text-sm" data-testid="carry-findings">
  {#each carry.findings as f (f.of)}
    <li class="flex flex-wrap items-center gap-x-3 gap-y-1 py-2">
      <span class="w-6"
        ><StateIcon state={f.value === null ? "open" : isOver(f) ? "bad" : "good"} /></span
      >
      <span class="grow"
        >{findingLabel(f)}: {f.value === null ? "not measured" : amountText(f, f.value)}</span
      >
      <label class="flex items-center gap-2"
        >at most <NumberField
          label="{findingLabel(f)} at most"
          width="w-24"
          optional
          min={1}
          max={100_000}
          unit={f.of === "mass" ? "g" : "mm"}
          value={f.limit}
          onvalue={(n) => packed.setFigure(f.of, n)}
        /></label
      >
    </li>
  {/each}
  {#each carry.questions as q (q.id)}
    <li class="flex flex-wrap items-center gap-x-3 gap-y-1 py-2">
      <span class="min-w-0 flex-1 basis-56"
        ><strong class="font-semibold">{QUESTION_TEXT[q.id][0]}</strong><br /><span
          class="text-soft">{QUESTION_TEXT[q.id][1]}</span
        ></span
      >
      {#each [["Yes", true], ["No", false]] as const as [word, value] (word)}
        <button
          class="btn min-w-13 px-2 py-1 {q.answer === value ? (value ? 'btn-main' : 'btn-on') : ''}"
          aria-pressed={q.answer === value}
          aria-label="{QUESTION_TEXT[q.id][0]}: {word}"
          onclick={() => packed.answerCarry(q.id, value)}>{word}</button
        >
      {/each}
    </li>
  {/each}
</ul>
<div class="mt-3 flex flex-wrap items-end gap-3">
  <label class="flex flex-col gap-1 text-sm"
    >after two weeks: days it stayed at home<NumberField
      label="Days it stayed at home"
      width="w-20"
      whole
      optional
      max={14}
      value={packed.daysAtHome}
      onvalue={(n) => (packed.daysAtHome = n)}
    /></label
  >
  <label class="flex grow flex-col gap-1 text-sm"
    >why<input
      class="field"
      maxlength="1000"
      bind:value={packed.whyAtHome}
      placeholder="digs in on the tractor seat"
    /></label
  >
  <button class="btn" disabled={packed.daysAtHome === undefined} onclick={() => packed.recordWorn()}
    >Record it</button
  >
</div>
{#if bag.carried?.worn?.length}
  <ol class="mt-2 text-sm">
    {#each bag.carried.worn.toReversed() as w, i (i)}
      <li>
        <strong>{day(w.on)}</strong>: {w.daysAtHome} of 14 days at home{w.why ? `, ${w.why}` : ""}
      </li>
    {/each}
  </ol>
{/if}
