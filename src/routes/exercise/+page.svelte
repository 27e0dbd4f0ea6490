<script lang="ts">
  import { tick } from "svelte";
  import { VERDICTS, type VerdictId } from "$lib/core/audit/verdict.ts";
  import { BRIEF_FAULT, FAULT_KINDS } from "$lib/core/exercise/faultKinds.ts";
  import { TakingState } from "$lib/state/pages/taking.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import Choice from "$lib/ui/Choice.svelte";
  import { download, fileName } from "$lib/ui/download.ts";
  import FilePicker from "$lib/ui/FilePicker.svelte";
  import { inDialog, shortcuts, typing } from "$lib/ui/keys.ts";
  import OneOf from "$lib/ui/OneOf.svelte";
  import Progress from "$lib/ui/Progress.svelte";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import { FAULT_LABEL } from "$lib/words/exerciseTexts.ts";
  import { needAmount } from "$lib/words/chanceTexts.ts";
  import { day, many, needLabel, percentRange } from "$lib/words/sentences.ts";
  import { VERDICT_LABEL } from "$lib/words/verdicts.ts";
  import StudentPlan from "./StudentPlan.svelte";

  const taking = new TakingState();
  let picker: FilePicker;
  let heading = $state<HTMLElement>();
  const { line, sight, exercise } = $derived(taking);
  const answer = $derived(line ? taking.answers[line.id] : undefined);
  const looked = $derived(line ? (taking.looked[line.id] ?? []) : []);
  const BY = { look: "Look", feel: "Feel", try: "Try" } as const;
  const verdicts = $derived(taking.isOuting ? (["keep", "top-up"] as const) : VERDICTS);
  const labelOf = (v: VerdictId) =>
    taking.isOuting
      ? v === "keep"
        ? "The kit is packed for it"
        : "It asks more than the kit was packed for"
      : VERDICT_LABEL[v];
  async function decide(v: VerdictId) {
    const fault = taking.isOuting ? BRIEF_FAULT.id : (answer?.fault ?? "");
    taking.answer(v, v === "keep" ? "" : fault);
    await tick();
    // The reason asked for next must not come up under the bar at the foot.
    document.getElementById("said")?.scrollIntoView({ block: "center" });
  }
  async function go(step: number) {
    taking.go(step);
    await tick();
    heading?.focus();
  }
  function look(nth: number) {
    const point = sight?.points[nth];
    if (!point || looked.includes(point.point)) return false;
    taking.look(point.point);
    return true;
  }
  $effect(() => (exercise?.held?.minutes ? taking.tick() : undefined));
  const left = $derived(taking.minutesLeft);
  async function handBack() {
    download(
      fileName(`${exercise!.title} result ${taking.student}`, ".json"),
      await taking.result(),
    );
  }
  /** One device for a class with the real kit, or an instructor who types in the cards. */
  async function nextStudent() {
    await handBack();
    taking.nextStudent();
    await tick();
    document.getElementById("student")?.focus();
  }
  const onKey = shortcuts(
    {
      "([1-9])": (e) => look(Number(e.key) - 1),
      n: () => void go(1),
      b: () => void go(-1),
      k: () => void decide("keep"),
    },
    (e) =>
      exercise !== null && workspace.settings.singleKeys !== false && !typing(e) && !inDialog(e),
  );
</script>

<svelte:window onkeydown={onKey} />
<svelte:head><title>Exercise · Wide Sieve</title></svelte:head>
<ShelfHeader title="Exercise" about="One item after another: look, decide, hand the file back." />
<main class="mx-auto max-w-3xl p-4 pb-28 sm:p-6">
  {#if !exercise}
    <p>
      Open the file your instructor gave you. Nothing leaves this device until you hand it back.
    </p>
    <button class="btn btn-main mt-4" onclick={() => picker.pick()}
      >Open the exercise you were given</button
    >
    <a class="btn mt-4 ml-2" href="/drill">Practise alone</a>
  {:else if line}
    {@const brief = exercise.audit.brief}
    <p class="text-soft">
      {exercise.title}, for {brief.title || "an outing"}: {many(brief.people, "person", "people")}, {many(
        brief.days,
        "day",
      )}{brief.start ? ` from ${day(brief.start)}` : ""}{brief.sensitivities.length > 0
        ? `; someone reacts to ${brief.sensitivities.join(", ")}`
        : ""}.
    </p>
    <div class="mt-3 flex flex-wrap items-end gap-4">
      <label class="flex flex-col gap-1 text-sm"
        >your number or name<input
          id="student"
          class="field w-44"
          maxlength="100"
          bind:value={taking.student}
          oninput={() => taking.keep()}
        /></label
      >
      <span class="flex items-center gap-2 text-sm"
        ><Progress label="Items decided" value={taking.done} max={taking.lines.length} />
        {taking.done} of {taking.lines.length} decided</span
      >
      {#if left !== null}<span class="text-sm" role="timer" data-testid="left"
          >{left > 0 ? `${many(left, "minute")} left` : "The time is up: hand back"}</span
        >{/if}
    </div>
    {#if taking.tally}
      <p class="noted mt-3 text-sm" data-testid="practice" aria-live="polite">
        By what you have said so far: coverage {percentRange(taking.tally.interval)}, {taking.tally
          .grade ?? "not graded"}. It knows no more than you do.
      </p>
    {/if}
    <section class="sheet mt-4 p-4" aria-label="Item {taking.at + 1}">
      <p class="text-sm text-soft">Item {taking.at + 1} of {taking.lines.length}</p>
      <h2 class="text-3xl break-words outline-none" tabindex="-1" bind:this={heading}>
        {line.text}
      </h2>
      {#if sight}
        {#if !taking.isOuting}<p class="mt-1">
            The box says {line.claimed}. You count <strong>{sight.counted}</strong>.
          </p>{/if}
        <ul class="mt-2 list-disc pl-5">
          {#each sight.printed as p, i (i)}<li>{p}</li>{/each}
        </ul>
        <ul class="mt-3 grid gap-2" data-testid="points">
          {#each sight.points as p, i (p.point)}
            <li class="border-b border-line pb-2">
              {#if looked.includes(p.point)}
                <span class="text-sm text-soft">{BY[p.by]}:</span> {p.sees}
              {:else}
                <button class="btn min-h-11 px-3 py-1" onclick={() => look(i)}
                  >{BY[p.by]} ({i + 1})</button
                >
              {/if}
            </li>
          {/each}
        </ul>
      {:else}
        <p class="mt-1">
          The box says {line.claimed}. Label {taking.at + 1}: take it in your hand, and look.
        </p>
      {/if}
      {#if taking.asked.length > 0}
        <p class="mt-3 text-sm text-soft">
          The list asks: {taking.asked
            .map(
              (n) =>
                `${needLabel(n.need.function).toLowerCase()}, ${needAmount(n.need.function, n.required)}`,
            )
            .join("; ")}.
        </p>
      {/if}
    </section>
    <!-- What is reached by keyboard never lies under the bar at the foot. -->
    <section class="mt-4 grid gap-3 [&_button]:scroll-mb-28" aria-label="What you say of it">
      <OneOf
        label="Verdict"
        class="min-h-11 px-3 py-1 font-normal"
        value={answer?.verdict ?? null}
        options={verdicts.map((value) => ({ value, label: labelOf(value) }))}
        onchoose={(v) => void decide(v)}
      />
      {#if answer && answer.verdict !== "keep" && !taking.isOuting}
        <span id="said" class="flex flex-col gap-1 text-sm"
          >what is wrong with it<Choice
            label="What is wrong with it"
            value={answer.fault}
            options={[
              { value: "", label: "nothing: it is sound" },
              ...FAULT_KINDS.map((k) => ({ value: k.id, label: FAULT_LABEL[k.id] ?? k.id })),
            ]}
            onchoose={(fault) => taking.answer(answer.verdict, fault)}
          /></span
        >
      {/if}
    </section>
    {#if taking.offer}<StudentPlan {taking} offer={taking.offer} />{/if}
    <p class="mt-4 hidden text-sm text-soft sm:block">Keys: 1 to 9 look, K keep, N next, B back.</p>
    <div
      class="fixed inset-x-0 bottom-0 z-30 flex gap-2 border-t border-ink bg-sheet p-2 sm:static sm:mt-4 sm:border-t-0 sm:bg-transparent sm:p-0"
    >
      <button class="btn flex-1 sm:flex-none" disabled={taking.at === 0} onclick={() => void go(-1)}
        >Back</button
      >
      <button
        class="btn btn-main flex-1 sm:flex-none"
        disabled={taking.at >= taking.lines.length - 1}
        onclick={() => void go(1)}>Next</button
      >
      <button class="btn flex-1 sm:flex-none" onclick={handBack}>Hand back</button>
      {#if taking.withKit && taking.done > 0}
        <button class="btn flex-1 sm:flex-none" onclick={nextStudent}>Next student</button>
      {/if}
    </div>
  {/if}
  <FilePicker
    bind:this={picker}
    label="Exercise to open"
    accept=".json,application/json"
    onfiles={(files) => void taking.open(files[0]!)}
  />
</main>
