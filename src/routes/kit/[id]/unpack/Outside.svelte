<script lang="ts">
  import Toggle from "$lib/ui/Toggle.svelte";
  import Choice from "$lib/ui/Choice.svelte";
  import { BAG_POINTS } from "$lib/core/bag/bag.ts";
  import type { Compartment } from "$lib/core/model/container.ts";
  import { LOCATIONS } from "$lib/core/model/location.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import { OutsideState } from "$lib/state/pages/outside.svelte.ts";
  import { useReady } from "$lib/state/ready.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import { LOCATION_LABEL } from "$lib/words/labels.ts";
  import { many, number } from "$lib/words/sentences.ts";

  const ready = useReady();
  const kit = useKit();
  const outside = new OutsideState(kit, () => ready.run.result);
  const { bag, compartments, fits, unplaced } = $derived(outside);
</script>

<details class="sheet mt-3 p-4">
  <summary class="min-h-8 cursor-pointer font-head text-lg font-bold"
    >The outside and its compartments</summary
  >
  <ul class="mt-2">
    {#each BAG_POINTS as p (p.id)}
      {@const answer = bag.points?.[p.id]}
      <li class="flex items-center gap-2 border-b border-line py-1.5">
        <span class="min-w-0 flex-1"
          ><strong class="font-semibold">{p.good}</strong><br /><span class="text-sm text-soft"
            >{p.failing}</span
          ></span
        >
        {#each [["Yes", true], ["No", false]] as const as [word, value] (word)}
          <button
            class="btn min-w-13 px-2 py-1 {answer === value ? (value ? 'btn-main' : 'btn-on') : ''}"
            aria-pressed={answer === value}
            aria-label="{p.good}: {word}"
            onclick={() => outside.answer(p.id, p.good, value)}>{word}</button
          >
        {/each}
      </li>
    {/each}
  </ul>
  <label class="mt-3 flex items-center gap-3"
    >Seal number <input
      class="field w-40"
      maxlength="100"
      value={bag.sealNumber ?? ""}
      oninput={(e) =>
        kit.updateContainer("seal number", { sealNumber: e.currentTarget.value }, "seal")}
    /></label
  >

  <h3 class="mt-4 text-base font-bold">Compartments</h3>
  {#each fits as { c, count, fit } (c.id)}
    <div class="mt-2 border-t border-line pt-2">
      <div class="flex flex-wrap items-end gap-2">
        <label class="flex grow flex-col text-sm"
          >name<input
            class="field"
            value={c.name}
            maxlength="200"
            placeholder="front pocket"
            oninput={(e) =>
              outside.change(
                c.id,
                "name a compartment",
                { name: e.currentTarget.value },
                `name ${c.id}`,
              )}
          /></label
        >
        <label class="flex flex-col text-sm"
          >reached<Choice
            label="reached"
            value={c.place}
            options={LOCATIONS.map((value) => ({ value, label: LOCATION_LABEL[value] }))}
            onchoose={(v) =>
              outside.change(c.id, `reach of ${c.name || "a compartment"}`, {
                place: v as Compartment["place"],
              })}
          /></label
        >
        <span class="flex items-end gap-1 text-sm">
          {#each [0, 1, 2] as const as at (at)}
            <label class="flex flex-col"
              >{["inside", "by", "by, cm"][at]}<NumberField
                label="Inner side {at + 1} of {c.name || 'the compartment'}, cm"
                width="w-16"
                min={0.1}
                max={500}
                optional
                value={c.innerMm ? c.innerMm[at]! / 10 : undefined}
                onvalue={(n) => outside.setInner(c, at, n)}
              /></label
            >
          {/each}
        </span>
        <button
          class="min-h-9 px-2 text-sm underline"
          onclick={() => outside.remove(c)}
          aria-label="Remove {c.name || 'the compartment'}">remove</button
        >
      </div>
      <p class="mt-1 text-sm" data-testid="fit">
        {count}
        {count === 1 ? "line" : "lines"}{fit.fill === null
          ? "; not measured"
          : ` · ${number(fit.fill * 100, 0)} % of the usable room`}{fit.unknown.length > 0
          ? ` · size not known: ${fit.unknown.map(outside.nameOf).join(", ")}`
          : ""}
      </p>
      {#each fit.misfits as m, i (i)}<p class="noted mt-1 py-2 text-sm">
          {outside.misfitText(m)}
        </p>{/each}
    </div>
  {/each}
  <div class="mt-3 flex flex-wrap gap-2">
    <button class="btn min-h-10 px-3 py-1" onclick={() => outside.add()}>Add a compartment</button>
    {#if compartments.length > 0}
      <Toggle
        class="min-h-10 px-3 py-1"
        on={outside.withPlan}
        ontoggle={(on) => (outside.withPlan = on)}>with what the plan adds</Toggle
      >
    {/if}
  </div>
  {#if compartments.length > 0 && unplaced > 0}<p class="mt-2 text-sm text-soft">
      {many(unplaced, "line")}
      {unplaced === 1 ? "lies" : "lie"} in no compartment yet: say so at the line.
    </p>{/if}
</details>
