<script lang="ts">
  import { onDestroy, tick } from "svelte";
  import { FAULT_KINDS } from "$lib/core/exercise/faultKinds.ts";
  import { MESHES } from "$lib/core/model/mesh.ts";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { DrillState } from "$lib/state/pages/drill.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import Choice from "$lib/ui/Choice.svelte";
  import { inDialog, shortcuts, typing } from "$lib/ui/keys.ts";
  import OneOf from "$lib/ui/OneOf.svelte";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import StateIcon from "$lib/ui/StateIcon.svelte";
  import { DRILL_ABOUT, DRILL_LABEL, roundText, type DrillId } from "$lib/words/drillTexts.ts";
  import { FAULT_HOW, FAULT_LABEL, meshTaught } from "$lib/words/exerciseTexts.ts";
  import { MESH_LABEL } from "$lib/words/labels.ts";
  import { day, many, number } from "$lib/words/sentences.ts";

  const drill = new DrillState();
  onDestroy(() => drill.stop());
  let heading = $state<HTMLElement>();
  const { question, round } = $derived(drill);
  const BY = { look: "Look", feel: "Feel", try: "Try" } as const;
  const isFaults = $derived(drill.drill === "faults");
  /** Kinds of fault as they are asked in a drill: "too small" wants a list. */
  const kinds = FAULT_KINDS.filter((k) => k.id !== "f-wrong-size");
  const labelOf = (kind: string) => (kind === "" ? "It is sound" : (FAULT_LABEL[kind] ?? kind));
  async function next() {
    drill.next();
    await tick();
    heading?.focus();
  }
  const onKey = shortcuts(
    {
      "([1-4])": (e) => {
        const option = round?.options[Number(e.key) - 1];
        if (isFaults || !option) return false;
        drill.say(option.id);
        return true;
      },
      s: () => (isFaults && question && drill.said === null ? drill.name("") : false),
      n: () => {
        if (isFaults) {
          if (question && drill.said === null) return false;
          void next();
        } else if (drill.left === null) drill.start();
        else if (drill.roundSaid !== null) drill.goOn();
        else return false;
        return true;
      },
    },
    (e) => workspace.settings.singleKeys !== false && !typing(e) && !inDialog(e),
  );
  const weeks = $derived(drill.weeks.slice(-8));
</script>

<svelte:window onkeydown={onKey} />
<svelte:head><title>Practise · Wide Sieve</title></svelte:head>
<ShelfHeader
  title="Practise"
  about="Alone: see faults, read dates, find things. What you miss comes again."
/>
<main class="mx-auto max-w-4xl p-4 sm:p-6">
  <OneOf
    label="What to practise"
    class="min-h-11 px-3 py-1 font-normal"
    value={drill.drill}
    options={(Object.keys(DRILL_LABEL) as DrillId[]).map((value) => ({
      value,
      label: DRILL_LABEL[value],
    }))}
    onchoose={(d) => drill.choose(d)}
  />
  <p class="mt-2 text-soft">{DRILL_ABOUT[drill.drill]}</p>

  {#if isFaults}
    {#if question}
      <section class="sheet mt-4 p-4" aria-label="What is wrong with it?">
        <p class="text-sm text-soft">
          For {many(question.brief.people, "person", "people")}, {many(question.brief.days, "day")} from
          {day(question.brief.start!)}; someone reacts to latex.
        </p>
        <h2 class="mt-2 text-3xl outline-none" tabindex="-1" bind:this={heading}>
          {CATALOGUE.types.get(question.itemType)?.label}
        </h2>
        <p class="mt-1">
          The box says {question.claimed}. You count <strong>{question.sight.counted}</strong>.
        </p>
        <ul class="mt-2 list-disc pl-5">
          {#each question.sight.printed as p, i (i)}<li>{p}</li>{/each}
          {#each question.sight.points as p (p.point)}<li>{BY[p.by]}: {p.sees}</li>{/each}
        </ul>
        {#if drill.said === null}
          <h3 class="mt-4 text-lg">What is wrong with it?</h3>
          <div class="mt-2 flex flex-wrap gap-2" data-testid="answers">
            <button class="btn" onclick={() => drill.name("")}
              >It is sound <span class="kbd">S</span></button
            >
            {#each kinds as k (k.id)}
              <button class="btn font-normal" onclick={() => drill.name(k.id)}
                >{labelOf(k.id)}</button
              >
            {/each}
          </div>
        {:else}
          <div class="noted mt-4" role="status" data-testid="told">
            <p class="font-semibold">
              <StateIcon state={drill.said === question.right ? "good" : "bad"} />
              {drill.said === question.right
                ? `Right: ${labelOf(question.right).toLowerCase()}.`
                : `No: ${labelOf(question.right).toLowerCase()}.`}
            </p>
            {#if question.right !== ""}<p class="mt-1">{FAULT_HOW[question.right]}</p>{/if}
          </div>
          <button class="btn btn-main mt-3" onclick={() => void next()}
            >Next <span class="kbd">N</span></button
          >
        {/if}
      </section>
    {:else}
      <div class="sheet mt-4 p-4">
        <p>
          {drill.learned === 0
            ? `${many(drill.cards.length, "thing")} to learn to see. Twelve new ones a day.`
            : `${drill.learned} of ${many(drill.cards.length, "thing")} seen so far.`}
          {#if drill.due && drill.due > workspace.today}The next comes again on {day(
              drill.due,
            )}.{/if}
        </p>
        <button class="btn btn-main mt-3" onclick={() => void next()}
          >Show me one <span class="kbd">N</span></button
        >
      </div>
    {/if}
  {:else}
    <section class="sheet mt-4 min-h-72 p-4" aria-label={DRILL_LABEL[drill.drill]}>
      {#if drill.drill === "find"}
        <Choice
          label="Of which kit"
          value={drill.kit?.id ?? ""}
          options={workspace.kits.map((k) => ({ value: k.id, label: k.kit.name }))}
          onchoose={(id) => {
            drill.stop();
            drill.kitId = id;
          }}
        />
      {/if}
      {#if drill.left === null}
        {#if drill.asked > 0}
          <p class="mt-2 text-2xl font-bold" role="status" data-testid="round-over">
            {roundText(drill.right, drill.asked)}
          </p>
        {/if}
        <button class="btn btn-main mt-3" onclick={() => drill.start()}
          >Thirty seconds <span class="kbd">N</span></button
        >
      {:else if round}
        <p class="flex justify-between gap-3 text-soft">
          <span>{roundText(drill.right, drill.asked)}</span>
          <strong class="font-head text-2xl" data-testid="left">{drill.left} s</strong>
        </p>
        <h2 class="mt-2 text-2xl">{round.ask}</h2>
        <ul class="mt-2 list-disc pl-5 text-lg">
          {#each round.seen as s, i (i)}<li>{s}</li>{/each}
        </ul>
        <div class="mt-4 flex flex-wrap gap-2" data-testid="options">
          {#each round.options as o, i (o.id)}
            <button
              class="btn min-h-12"
              disabled={drill.roundSaid !== null}
              onclick={() => drill.say(o.id)}>{o.label} <span class="kbd">{i + 1}</span></button
            >
          {/each}
        </div>
        {#if drill.roundSaid !== null}
          <div class="noted mt-4" role="status">
            <p class="font-semibold">
              <StateIcon state="bad" /> No: {round.options
                .filter((o) => round.right.includes(o.id))
                .map((o) => o.label)
                .join(" or ")}.
            </p>
            <p class="mt-1">{round.why}</p>
          </div>
          <button class="btn btn-main mt-3" onclick={() => drill.goOn()}
            >Next <span class="kbd">N</span></button
          >
        {/if}
      {/if}
    </section>
  {/if}

  {#if weeks.length > 0}
    <section class="mt-6 overflow-x-auto" aria-label="Progress by mesh">
      <h2 class="text-2xl">Week by week</h2>
      <table class="mt-1 w-full text-sm" data-testid="weeks">
        <thead
          ><tr class="text-left"
            ><th class="py-1 pr-3">right, week from</th>{#each MESHES as m (m)}<th
                class="px-2 text-right"
                title={meshTaught(m)}>{MESH_LABEL[m]}</th
              >{/each}</tr
          ></thead
        >
        <tbody>
          {#each weeks as w (w.from)}
            <tr class="border-t border-line"
              ><td class="py-1 pr-3 whitespace-nowrap">{day(w.from)}</td>{#each MESHES as m (m)}
                {@const r = w.meshes[m]}
                <td class="px-2 text-right whitespace-nowrap"
                  >{r ? `${number((100 * r.right) / r.of, 0)} % of ${r.of}` : "–"}</td
                >{/each}</tr
            >
          {/each}
        </tbody>
      </table>
    </section>
  {/if}
</main>
