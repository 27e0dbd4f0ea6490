<script lang="ts">
  import DayField from "$lib/ui/DayField.svelte";
  import Toggle from "$lib/ui/Toggle.svelte";
  import Choice from "$lib/ui/Choice.svelte";
  import { page } from "$app/state";
  import { CARRIES } from "$lib/core/model/brief.ts";
  import { SENSITIVITIES, SKILLS } from "$lib/core/model/itemType.ts";
  import { ACTIVITIES, ASKED_OF } from "$lib/data/activities.ts";
  import { BRIEF_PRESETS } from "$lib/data/briefPresets.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import { BriefState, toggled } from "$lib/state/pages/brief.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import { briefCautions } from "$lib/words/cautions.ts";
  import { CARRY_LABEL, SENSITIVITY_LABEL, SKILL_LABEL } from "$lib/words/labels.ts";
  import { many, number } from "$lib/words/sentences.ts";
  import { changesText } from "$lib/words/things.ts";
  import Elsewhere from "./Elsewhere.svelte";
  import HouseRules from "./HouseRules.svelte";
  import JudgedAgainst from "./JudgedAgainst.svelte";
  import Later from "$lib/ui/Later.svelte";

  const kit = useKit();
  const brief = new BriefState(kit);
  $effect(() => brief.tried.follow());
  $effect(() => brief.askOtherwise());
  const points = $derived(brief.otherwise.points);
  const b = $derived(kit.brief);
  const others = $derived(brief.others);
  const cautions = $derived(briefCautions(b));
  let probe = $state<string | null>(null);
  const look = (text: string | null) => () => (probe = text);
</script>

<div
  class="mx-auto grid max-w-7xl grid-cols-[minmax(0,1fr)] gap-6 p-4 sm:p-6 lg:grid-cols-[1.2fr_1fr]"
>
  <section>
    <h1 class="text-3xl">Brief</h1>
    <p class="text-soft">A kit is always judged for someone.</p>
    {#if others > 0}
      <p class="mt-1 text-sm">
        This brief also holds for {others} other {others === 1 ? "kit" : "kits"}: what you change
        here changes {others === 1 ? "its" : "their"} verdict too.
        <button class="underline underline-offset-4" onclick={() => brief.ownBrief()}
          >Give this kit a brief of its own</button
        >
      </p>
    {/if}
    <div class="mt-4 flex flex-wrap gap-3">
      <label class="flex grow flex-col gap-1"
        ><span class="text-sm font-semibold">This kit is called</span>
        <input
          class="field"
          value={kit.record?.kit.name}
          maxlength="300"
          oninput={(e) => brief.nameKit(e.currentTarget.value)}
        /></label
      >
      <label class="flex grow flex-col gap-1"
        ><span class="text-sm font-semibold">The outing or place</span>
        <input
          class="field"
          value={b.title}
          maxlength="300"
          placeholder="Harvest camp, workshop, Sunday walk …"
          oninput={(e) =>
            kit.updateBrief("name the brief", { title: e.currentTarget.value }, "title")}
        /></label
      >
    </div>
    <div class="mt-3 flex flex-wrap items-end gap-3">
      <label class="flex grow basis-56 flex-col gap-1"
        ><span class="text-sm font-semibold">Start from</span>
        <Choice
          label="Start from"
          value=""
          hint="an outing of this kind …"
          options={BRIEF_PRESETS.map((p) => ({
            value: p.id,
            label: `${p.title}: ${many(p.brief.people, "person", "people")}, ${many(p.brief.days, "day")}, ${number(p.brief.hoursToCare, 1)} h`,
          }))}
          onchoose={(id) => {
            const preset = BRIEF_PRESETS.find((p) => p.id === id);
            if (preset) brief.start(preset);
          }}
        /></label
      >
      {#if workspace.briefs.length > 1}
        <label class="flex grow basis-56 flex-col gap-1"
          ><span class="text-sm font-semibold">Or use a brief you have</span>
          <Choice
            label="Or use a brief you have"
            value={kit.record?.briefId ?? ""}
            options={workspace.briefs.map((other) => ({
              value: other.id,
              label: `${other.brief.title || "untitled"}: ${many(other.brief.people, "person", "people")}, ${many(other.brief.days, "day")}`,
            }))}
            onchoose={(id) => brief.useBrief(id)}
          /></label
        >
      {/if}
    </div>

    <Later>
      <div class="sheet mt-5 p-5 text-lg leading-[3.2rem]">
        <NumberField
          label="People"
          value={b.people}
          min={1}
          max={1000}
          whole
          onvalue={(n) => n !== undefined && kit.updateBrief("people", { people: n }, "people")}
        />
        {b.people === 1 ? "person" : "people"} for
        <NumberField
          label="Days"
          value={b.days}
          min={1}
          max={366}
          whole
          onvalue={(n) => n !== undefined && kit.updateBrief("days", { days: n }, "days")}
        />
        {b.days === 1 ? "day" : "days"},
        <NumberField
          label="Hours to care"
          value={b.hoursToCare}
          max={2000}
          onvalue={(n) =>
            n !== undefined && kit.updateBrief("hours to care", { hoursToCare: n }, "hours")}
        />
        hours from care, starting
        <DayField
          label="First day"
          value={b.start}
          onday={(start) => kit.updateBrief("first day", { start })}
        />{b.start ? "" : " (today, until you say)"}. Carried
        <Choice
          label="Carried"
          value={b.carry}
          options={CARRIES.map((c) => {
            const changes = brief.effectOf({ carry: c });
            return {
              value: c,
              label: `${CARRY_LABEL[c]}${changes.length === 0 ? "" : ` (${changesText(changes, 1)})`}`,
            };
          })}
          onchoose={(v) => kit.updateBrief("carry", { carry: v as typeof b.carry })}
        />
        by people with
        <Choice
          label="Skill"
          value={b.skill}
          options={SKILLS.map((s) => {
            const gain = s === b.skill ? "" : points.get(s);
            return { value: s, label: `${SKILL_LABEL[s]}${gain ? ` (${gain})` : ""}` };
          })}
          onchoose={(v) => kit.updateBrief("skill", { skill: v as typeof b.skill })}
        />. The tallest is
        <NumberField
          label="Tallest"
          value={b.tallestCm}
          min={30}
          max={260}
          optional
          of="height"
          onvalue={(n) => kit.updateBrief("tallest", { tallestCm: n }, "tallest")}
        />.
      </div>
    </Later>
    <dl
      class="mt-2 min-h-28 text-sm"
      aria-label="What another answer would change"
      data-testid="otherwise"
    >
      {#each brief.otherwise.steps as s (s.label)}
        <div class="flex gap-2 py-0.5">
          <dt class="w-40 shrink-0 font-semibold">{s.label}:</dt>
          <dd>{s.text}</dd>
        </div>
      {/each}
    </dl>

    <Later>
      <fieldset class="mt-5">
        <legend class="font-head text-xl font-bold">What goes on there</legend>
        <div class="mt-2 flex flex-wrap gap-2">
          {#each ACTIVITIES.filter((x) => !x.answers) as act (act.id)}
            {@const on = b.activities.includes(act.id)}
            {@const effect = brief.activityEffect(act.id)}
            {@const text = `${act.label}, ${on ? "left out" : "taken in"}: ${changesText(effect.changes, 6)}`}
            <Toggle
              class="min-h-10 px-3 py-1 font-normal"
              {on}
              {...effect.sign ? { "aria-description": text } : {}}
              onmouseenter={look(text)}
              onfocus={look(text)}
              onmouseleave={look(null)}
              onblur={look(null)}
              ontoggle={() => brief.toggleActivity(act.id, act.label)}
              >{act.label}
              {#if effect.sign && !on}<span
                  aria-hidden="true"
                  class="text-sm font-semibold text-pass">{effect.sign}</span
                >{/if}</Toggle
            >
          {/each}
        </div>
        {#each Object.entries(ASKED_OF).filter( ([id]) => b.activities.includes(id) ) as [asker, question] (asker)}
          <div
            class="noted mt-2 flex flex-wrap items-center gap-2"
            role="group"
            aria-label={question}
          >
            <span class="basis-full font-semibold">{question}</span>
            {#each ACTIVITIES.filter((x) => x.answers === asker) as answer (answer.id)}
              {@const on = b.activities.includes(answer.id)}
              <Toggle
                class="min-h-10 px-3 py-1"
                {on}
                ontoggle={() => brief.answerAsked(asker, answer.id)}>{answer.label}</Toggle
              >
            {/each}
            {#if !ACTIVITIES.some((x) => x.answers === asker && b.activities.includes(x.id))}<span
                class="text-sm">Not answered: ask there before you rely on any list.</span
              >{/if}
          </div>
        {/each}
        <p class="mt-2 min-h-12 text-sm text-soft" data-testid="probe">
          {probe ?? "A number at a pick says how many needs it adds; point at it to see which."}
        </p>
      </fieldset>
      <fieldset class="mt-3">
        <legend class="font-head text-xl font-bold">Someone there reacts to</legend>
        <div class="mt-2 flex flex-wrap gap-2">
          {#each SENSITIVITIES as s (s)}
            {@const on = b.sensitivities.includes(s)}
            <Toggle
              class="min-h-10 px-3 py-1 font-normal"
              {on}
              ontoggle={() =>
                kit.updateBrief(`sensitivity: ${SENSITIVITY_LABEL[s]}`, {
                  sensitivities: toggled(b.sensitivities, s),
                })}
              >{SENSITIVITY_LABEL[s]}
              {#if points.get(s)}<span class="text-sm font-semibold">{points.get(s)}</span
                >{/if}</Toggle
            >
          {/each}
        </div>
      </fieldset>
    </Later>
    <Later>
      {#if cautions.length > 0}
        <ul class="noted mt-4 grid gap-2 text-sm" aria-label="Cautions for this brief">
          {#each cautions as c (c.id)}<li>{c.text}</li>{/each}
        </ul>
      {/if}
      <fieldset class="mt-5">
        <legend class="font-head text-xl font-bold">Limits, price and bag</legend>
        <div class="mt-2 flex flex-wrap gap-x-6 gap-y-3">
          {#snippet limit(
            label: string,
            measure: "mass" | "volume" | string,
            value: number | undefined,
            set: (n: number | undefined) => void,
          )}
            {@const of = measure === "mass" || measure === "volume" ? measure : undefined}
            <label class="flex flex-col gap-1 text-sm"
              ><span>{label}</span><NumberField
                {label}
                {of}
                unit={of ? "" : measure}
                {value}
                max={10_000_000}
                optional
                width="w-28"
                onvalue={set}
              /></label
            >
          {/snippet}
          {@render limit("Budget", kit.currency, b.limits.budget, (n) =>
            brief.setLimit("budget", "budget", n),
          )}
          {@render limit("Weight at most", "mass", b.limits.massG, (n) =>
            brief.setLimit("massG", "weight limit", n),
          )}
          {@render limit("Space at most", "volume", b.limits.volumeMl, (n) =>
            brief.setLimit("volumeMl", "space limit", n),
          )}
          {@render limit("Price paid", kit.wantedCurrency, kit.record?.kit.price?.amount, (n) =>
            brief.setPricePaid(n),
          )}
          {@render limit("Empty bag weighs", "mass", kit.record?.kit.container?.massG, (n) =>
            kit.updateContainer("weight of the bag", { massG: n }, "bag"),
          )}
          {@render limit(
            "The bag is worth",
            kit.currency,
            kit.record?.kit.container?.allowance,
            (n) => kit.updateContainer("worth of the bag", { allowance: n }, "allowance"),
          )}
        </div>
        <p class="mt-2 text-sm text-soft">
          Units, currency and your own rates: <a class="underline" href="/settings">settings</a>.
        </p>
      </fieldset>
    </Later>
    <Later><Elsewhere /></Later>
    <Later><HouseRules tried={brief.tried} /></Later>
  </section>
  <Later><JudgedAgainst tried={brief.tried} verdicts={points} /></Later>
</div>
<Later
  ><div class="mx-auto flex max-w-7xl justify-end p-4 sm:p-6">
    <a class="btn btn-main" href="/kit/{page.params['id']}/unpack">Next: unpack</a>
  </div></Later
>
