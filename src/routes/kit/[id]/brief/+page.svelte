<script lang="ts">
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
  import { number } from "$lib/words/sentences.ts";
  import { changesText } from "$lib/words/things.ts";
  import Elsewhere from "./Elsewhere.svelte";
  import HouseRules from "./HouseRules.svelte";
  import JudgedAgainst from "./JudgedAgainst.svelte";

  const kit = useKit();
  const brief = new BriefState(kit);
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
        <select
          class="field"
          value=""
          onchange={(e) => {
            const preset = BRIEF_PRESETS.find((p) => p.id === e.currentTarget.value);
            if (preset) brief.start(preset);
            e.currentTarget.value = "";
          }}
        >
          <option value="">an outing of this kind …</option>
          {#each BRIEF_PRESETS as p (p.id)}
            <option value={p.id}
              >{p.title}: {p.brief.people} people, {p.brief.days}
              {p.brief.days === 1 ? "day" : "days"}, {number(p.brief.hoursToCare, 1)} h</option
            >
          {/each}
        </select></label
      >
      {#if workspace.briefs.length > 1}
        <label class="flex grow basis-56 flex-col gap-1"
          ><span class="text-sm font-semibold">Or use a brief you have</span>
          <select
            class="field"
            value={kit.record?.briefId}
            onchange={(e) => brief.useBrief(e.currentTarget.value)}
          >
            {#each workspace.briefs as other (other.id)}
              <option value={other.id}
                >{other.brief.title || "untitled"}: {other.brief.people} people, {other.brief.days} days</option
              >
            {/each}
          </select></label
        >
      {/if}
    </div>

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
      <input
        type="date"
        class="field"
        aria-label="First day"
        value={b.start ?? ""}
        onchange={(e) =>
          kit.updateBrief("first day", { start: e.currentTarget.value || undefined })}
      />{b.start ? "" : " (today, until you say)"}. Carried
      <select
        class="field max-w-full"
        aria-label="Carried"
        value={b.carry}
        onchange={(e) =>
          kit.updateBrief("carry", { carry: e.currentTarget.value as typeof b.carry })}
      >
        {#each CARRIES as c (c)}
          {@const changes = brief.effectOf({ carry: c })}
          <option value={c}
            >{CARRY_LABEL[c]}{changes.length === 0 ? "" : ` (${changesText(changes, 1)})`}</option
          >{/each}
      </select>
      by people with
      <select
        class="field max-w-full"
        aria-label="Skill"
        value={b.skill}
        onchange={(e) =>
          kit.updateBrief("skill", { skill: e.currentTarget.value as typeof b.skill })}
      >
        {#each SKILLS as s (s)}
          {@const points = s === b.skill ? "" : brief.pointsIf({ skill: s })}
          <option value={s}>{SKILL_LABEL[s]}{points ? ` (${points})` : ""}</option>{/each}
      </select>. The tallest is
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
    <dl class="mt-2 text-sm" aria-label="What another answer would change" data-testid="otherwise">
      {#each brief.steps as s (s.label)}
        <div class="flex gap-2 py-0.5">
          <dt class="w-40 shrink-0 font-semibold">{s.label}:</dt>
          <dd>{s.text}</dd>
        </div>
      {/each}
    </dl>

    <fieldset class="mt-5">
      <legend class="font-head text-xl font-bold">What goes on there</legend>
      <div class="mt-2 flex flex-wrap gap-2">
        {#each ACTIVITIES.filter((x) => !x.answers) as act (act.id)}
          {@const on = b.activities.includes(act.id)}
          {@const effect = brief.activityEffect(act.id)}
          {@const text = `${act.label}, ${on ? "left out" : "taken in"}: ${changesText(effect.changes, 6)}`}
          <button
            class="btn min-h-10 px-3 py-1 font-normal {on ? 'btn-on' : ''}"
            aria-pressed={on}
            {...effect.sign ? { "aria-description": text } : {}}
            onmouseenter={look(text)}
            onfocus={look(text)}
            onmouseleave={look(null)}
            onblur={look(null)}
            onclick={() => brief.toggleActivity(act.id, act.label)}
            >{on ? "✓ " : ""}{act.label}
            {#if effect.sign && !on}<span aria-hidden="true" class="text-sm font-semibold text-pass"
                >{effect.sign}</span
              >{/if}</button
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
            <button
              class="btn min-h-10 px-3 py-1 {on ? 'btn-on' : ''}"
              aria-pressed={on}
              onclick={() => brief.answerAsked(asker, answer.id)}
              >{on ? "✓ " : ""}{answer.label}</button
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
          {@const points = brief.pointsIf({ sensitivities: toggled(b.sensitivities, s) })}
          <button
            class="btn min-h-10 px-3 py-1 font-normal {on ? 'btn-on' : ''}"
            aria-pressed={on}
            onclick={() =>
              kit.updateBrief(`sensitivity: ${SENSITIVITY_LABEL[s]}`, {
                sensitivities: toggled(b.sensitivities, s),
              })}
            >{on ? "✓ " : ""}{SENSITIVITY_LABEL[s]}
            {#if points}<span class="text-sm font-semibold">{points}</span>{/if}</button
          >
        {/each}
      </div>
    </fieldset>
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
    <Elsewhere />
    <HouseRules />
  </section>
  <JudgedAgainst />
</div>
<div class="mx-auto flex max-w-7xl justify-end p-4 sm:p-6">
  <a class="btn btn-main" href="/kit/{page.params['id']}/unpack">Next: unpack</a>
</div>
