<script lang="ts">
  import Progress from "$lib/ui/Progress.svelte";
  import StartStop from "$lib/ui/StartStop.svelte";
  import StateIcon from "$lib/ui/StateIcon.svelte";
  import { page } from "$app/state";
  import OneOf from "$lib/ui/OneOf.svelte";
  import { CHANCE_CAUTION } from "$lib/words/chanceTexts.ts";
  import { onDestroy, untrack } from "svelte";
  import {
    CHANCES,
    optionsOf,
    PASS_MARKS,
    RULE_IDS,
    schools,
    THRESHOLDS,
    type ChanceAt,
  } from "$lib/core/model/houseRules.ts";
  import { schoolVerdicts, type SchoolVerdict } from "$lib/core/audit/schoolsEffect.ts";
  import { inSlices } from "$lib/state/inSlices.ts";
  import type { Tried } from "$lib/state/tried.svelte.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import { SchoolsRun } from "$lib/state/pages/schoolsRun.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import {
    MARK_LABEL,
    ruleLabel,
    RULES_IN_WORDS,
    schoolLabel,
    THRESHOLD_LABEL,
  } from "$lib/words/houseRules.ts";
  import { gainText, needLabel, number, percent } from "$lib/words/sentences.ts";

  interface Props {
    /** What other schools are tried on. */
    readonly tried: Tried;
  }
  const { tried }: Props = $props();
  const kit = useKit();
  const rules = $derived(schools(kit.record?.houseRules));
  // Some twenty audits: after the page or the answer itself is shown, not before it.
  let verdicts = $state.raw<readonly SchoolVerdict[]>([]);
  $effect(() => {
    const [{ file, audit: now }, today] = [tried, workspace.today] as const;
    function* eachSchool() {
      const bothWays = { ...file, byChance: yield* workspace.byChanceInSteps(file) };
      yield* schoolVerdicts(bothWays, today, now);
    }
    return inSlices(eachSchool(), (all) => (verdicts = all.filter((v) => v !== null)));
  });
  const verdict = (rule: string, option: string) =>
    verdicts.find((e) => e.rule === rule && e.option === option);
  const nameOf = (needId: string) =>
    needLabel(kit.record?.list.needs.find((n) => n.id === needId)?.function ?? needId);

  const follow = (rule: string, option: string, label: string) =>
    kit.update(`house rule: ${label}`, (r) => ({
      ...r,
      houseRules: { ...r.houseRules, [rule]: option },
    }));

  /** A share in per cent, of the thresholds or the pass marks; undefined takes the shipped one. */
  function setShare(group: "thresholds" | "passMarks", key: string, percents: number | undefined) {
    kit.update(
      "pass marks",
      (r) => {
        const { [key]: _, ...rest } = (r.houseRules[group] ?? {}) as Record<string, number>;
        const next = percents === undefined ? rest : { ...rest, [key]: percents / 100 };
        return { ...r, houseRules: { ...r.houseRules, [group]: next } };
      },
      `${group} ${key}`,
    );
  }
  const disordered = $derived(
    rules.thresholds.ready < rules.thresholds.nearly ||
      rules.thresholds.nearly < rules.thresholds.partial,
  );

  const all = new SchoolsRun();
  const { progress, range } = $derived(all);
  onDestroy(() => all.stop());
  $effect(() => {
    void kit.file;
    untrack(() => all.forget());
  });
  const schoolsText = (set: Readonly<Record<string, unknown>>) =>
    RULE_IDS.filter((rule) => set[rule] !== optionsOf(rule)[0])
      .map((rule) => schoolLabel(rule, String(set[rule])).toLowerCase())
      .join(", ") || "all the first schools";
</script>

<fieldset class="mt-6">
  <legend class="font-head text-xl font-bold">House rules</legend>
  <p class="text-sm text-soft">
    Where good practitioners disagree, the school you follow; under each what it would make of this
    kit.
  </p>
  <dl class="mt-2 divide-y divide-line border-y border-line">
    {#each RULES_IN_WORDS as rule (rule.id)}
      <div class="grid gap-2 py-3 sm:grid-cols-[8rem_1fr]">
        <dt class="font-semibold">{rule.label}</dt>
        <dd class="flex flex-wrap gap-2">
          {#each rule.schools as option (option.id)}
            {@const v = verdict(rule.id, option.id)}
            <button
              class="btn h-auto flex-1 basis-48 flex-col items-start gap-0 px-3 py-2 text-left {rules[
                rule.id
              ] === option.id
                ? 'btn-on'
                : ''}"
              aria-pressed={rules[rule.id] === option.id}
              onclick={() => follow(rule.id, option.id, option.label)}
              ><span class="flex items-center gap-2"
                >{#if rules[rule.id] === option.id}<StateIcon
                    state="good"
                  />{/if}{option.label}</span
              >
              <span class="text-sm font-normal">{option.why}</span>
              <span class="mt-1 text-sm font-semibold" data-testid="effect-{option.id}"
                >{rules[rule.id] === option.id
                  ? "followed now"
                  : v
                    ? gainText(v, kit.audit)
                    : "…"}</span
              ></button
            >
          {/each}
          {#if rule.id === "quantities" && rules.quantities === "chance"}
            <div class="flex basis-full flex-wrap items-center gap-3 text-sm">
              <OneOf
                label="Suffices in so many of 100 outings"
                class="min-h-11 px-4 py-1"
                value={String(rules.chanceAt)}
                options={CHANCES.map((c) => ({
                  value: String(c),
                  label: `in ${Math.round(100 * c)} of 100`,
                }))}
                onchoose={(c) =>
                  kit.update("how often it suffices", (r) => ({
                    ...r,
                    houseRules: { ...r.houseRules, chanceAt: Number(c) as ChanceAt },
                  }))}
              />
              <a class="underline underline-offset-4" href="/kit/{page.params['id']}/last"
                >by the assumptions of Will it last?</a
              >
              <span>{CHANCE_CAUTION}</span>
            </div>
          {/if}
        </dd>
      </div>
    {/each}
  </dl>
</fieldset>

<details class="mt-4 border-b border-line pb-3">
  <summary class="min-h-11 cursor-pointer py-2 font-semibold"
    >Where the schools differ on this kit</summary
  >
  <div class="overflow-x-auto" role="region" aria-label="Verdict under each school">
    <table class="w-full text-sm">
      <thead
        ><tr class="border-b border-ink text-left"
          ><th class="py-1 pr-3">rule</th><th class="pr-3">school</th><th class="pr-3 text-right"
            >coverage</th
          ><th class="pr-3">grade</th><th>what moves</th></tr
        ></thead
      >
      <tbody>
        {#each verdicts as v, i (v.rule + v.option)}
          <tr class="border-b border-line {v.followed ? 'text-soft' : ''}">
            <td class="py-1 pr-3">{verdicts[i - 1]?.rule === v.rule ? "" : ruleLabel(v.rule)}</td>
            <td class="pr-3">{v.followed ? "✓ " : ""}{schoolLabel(v.rule, v.option)}</td>
            <td class="pr-3 text-right">{percent(v.coverage)} %</td>
            <td class="pr-3">{v.grade ?? "–"}</td>
            <td>{v.moved.map(nameOf).join(", ") || (v.followed ? "followed now" : "nothing")}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  <div class="mt-3 min-h-16" aria-live="polite">
    {#if progress}
      <p>{progress.done} of {progress.of} combinations tried.</p>
      <Progress
        label="Combinations worked out"
        class="w-full"
        max={progress.of}
        value={progress.done}
      />
    {:else if range}
      <p data-testid="school-range">
        Under all {range.tried} combinations coverage lies between
        <strong>{percent(range.least.coverage)} %</strong> ({schoolsText(range.least.rules)}) and
        <strong>{percent(range.most.coverage)} %</strong>
        ({schoolsText(range.most.rules)}). Grades: {Object.entries(range.grades)
          .map(([grade, n]) => `${grade} under ${n}`)
          .join(", ")}.
      </p>
    {/if}
    <StartStop
      class="mt-2"
      start={range ? "Try them all again" : "Try every combination of schools"}
      running={progress !== null}
      onstart={() => all.start(kit.bothWays)}
      onstop={() => all.stop()}
    />
  </div>
</details>

<details class="border-b border-line pb-3">
  <summary class="min-h-11 cursor-pointer py-2 font-semibold">Grades and pass marks</summary>
  <div class="grid gap-4 sm:grid-cols-2">
    {#each [["thresholds", THRESHOLDS, THRESHOLD_LABEL, rules.thresholds], ["passMarks", PASS_MARKS, MARK_LABEL, rules.passMarks]] as const as [group, shipped, labels, now] (group)}
      <div>
        {#each Object.entries(labels) as [key, label] (key)}
          {@const value = (now as unknown as Record<string, number>)[key]!}
          <label class="flex items-center justify-between gap-3 py-1 text-sm"
            ><span>{label}</span><NumberField
              {label}
              unit="%"
              value={Math.round(value * 1000) / 10}
              max={100}
              optional
              onvalue={(n) => setShare(group, key, n)}
            /></label
          >
          {#if value !== (shipped as Record<string, number>)[key]}
            <p class="text-sm text-soft">
              shipped: {number((shipped as Record<string, number>)[key]! * 100, 1)} %; empty the field
              to go back to it
            </p>
          {/if}
        {/each}
      </div>
    {/each}
  </div>
  {#if disordered}
    <p class="noted mt-2" role="alert">
      Ready should ask at least as much as Nearly, and Nearly as Partial. As it is, a better grade
      may be easier to reach than a worse one.
    </p>
  {/if}
  <p class="mt-2 text-sm text-soft">
    Ready and Nearly always ask every vital need in full, whatever the pass mark.
  </p>
</details>
