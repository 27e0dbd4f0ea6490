<script lang="ts">
  import { page } from "$app/state";
  import { functionOf } from "$lib/core/catalogue/catalogue.ts";
  import { CARRIES } from "$lib/core/formats/auditFile.ts";
  import { SENSITIVITIES, SKILLS } from "$lib/core/catalogue/itemType.ts";
  import { schools } from "$lib/core/reference/houseRules.ts";
  import { ACTIVITIES } from "$lib/data/activities.ts";
  import { SHIPPED_LISTS } from "$lib/data/lists/index.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import {
    CARRY_LABEL,
    CATEGORY_LABEL,
    SENSITIVITY_LABEL,
    SKILL_LABEL,
  } from "$lib/words/labels.ts";
  import { HOUSE_RULES } from "$lib/words/houseRules.ts";
  import { quantity } from "$lib/words/sentences.ts";

  const kit = useKit();
  const b = $derived(kit.brief);
  const rules = $derived(schools(kit.record?.houseRules));
  const others = $derived(
    workspace.kits.filter((k) => k.briefId === kit.record?.briefId).length - 1,
  );
  const toggle = <T,>(list: readonly T[], x: T): T[] =>
    list.includes(x) ? list.filter((y) => y !== x) : [...list, x];

  function chooseList(id: string) {
    const list = SHIPPED_LISTS.find((l) => l.id === id);
    if (list)
      kit.update(`judge against ${list.title}`, (r) => ({ ...r, list: structuredClone(list) }));
  }
  function chooseBrief(id: string) {
    kit.update("use another brief", (r) => ({ ...r, briefId: id }));
  }
  const listHere = $derived(SHIPPED_LISTS.find((l) => l.id === kit.record?.list.id));
</script>

<div
  class="mx-auto grid max-w-7xl grid-cols-[minmax(0,1fr)] gap-6 p-4 sm:p-6 lg:grid-cols-[1.2fr_1fr]"
>
  <section>
    <h1 class="text-3xl">Brief</h1>
    <p class="text-soft">
      A kit is always judged for someone. {others > 0
        ? `This brief also holds for ${others} other ${others === 1 ? "kit" : "kits"}.`
        : ""}
    </p>
    <div class="mt-4 flex flex-wrap gap-3">
      <label class="flex grow flex-col gap-1"
        ><span class="text-sm font-semibold">This kit is called</span>
        <input
          class="field"
          value={kit.record?.kit.name}
          maxlength="300"
          oninput={(e) => {
            const name = e.currentTarget.value;
            kit.update("name the kit", (r) => ({ ...r, kit: { ...r.kit, name } }), "name");
          }}
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
        class="field"
        aria-label="Carried"
        value={b.carry}
        onchange={(e) =>
          kit.updateBrief("carry", { carry: e.currentTarget.value as typeof b.carry })}
      >
        {#each CARRIES as c (c)}<option value={c}>{CARRY_LABEL[c]}</option>{/each}
      </select>
      by people with
      <select
        class="field"
        aria-label="Skill"
        value={b.skill}
        onchange={(e) =>
          kit.updateBrief("skill", { skill: e.currentTarget.value as typeof b.skill })}
      >
        {#each SKILLS as s (s)}<option value={s}>{SKILL_LABEL[s]}</option>{/each}
      </select>. The tallest is
      <NumberField
        label="Tallest"
        value={b.tallestCm}
        min={30}
        max={260}
        optional
        unit="cm"
        onvalue={(n) => kit.updateBrief("tallest", { tallestCm: n }, "tallest")}
      />.
    </div>

    <fieldset class="mt-5">
      <legend class="font-head text-xl font-bold">What goes on there</legend>
      <div class="mt-2 flex flex-wrap gap-2">
        {#each ACTIVITIES as act (act.id)}
          <button
            class="btn min-h-10 px-3 py-1 font-normal {b.activities.includes(act.id)
              ? 'btn-on'
              : ''}"
            aria-pressed={b.activities.includes(act.id)}
            onclick={() =>
              kit.updateBrief(`activity: ${act.label}`, {
                activities: toggle(b.activities, act.id),
              })}>{b.activities.includes(act.id) ? "✓ " : ""}{act.label}</button
          >
        {/each}
      </div>
    </fieldset>
    <fieldset class="mt-5">
      <legend class="font-head text-xl font-bold">Someone there reacts to</legend>
      <div class="mt-2 flex flex-wrap gap-2">
        {#each SENSITIVITIES as s (s)}
          <button
            class="btn min-h-10 px-3 py-1 font-normal {b.sensitivities.includes(s) ? 'btn-on' : ''}"
            aria-pressed={b.sensitivities.includes(s)}
            onclick={() =>
              kit.updateBrief(`sensitivity: ${SENSITIVITY_LABEL[s]}`, {
                sensitivities: toggle(b.sensitivities, s),
              })}>{b.sensitivities.includes(s) ? "✓ " : ""}{SENSITIVITY_LABEL[s]}</button
          >
        {/each}
      </div>
    </fieldset>
    <fieldset class="mt-5">
      <legend class="font-head text-xl font-bold">Limits, price and bag</legend>
      <div class="mt-2 flex flex-wrap gap-x-6 gap-y-3">
        {#snippet limit(
          label: string,
          unit: string,
          value: number | undefined,
          set: (n: number | undefined) => void,
        )}
          <label class="flex flex-col gap-1 text-sm"
            ><span>{label}</span><NumberField
              {label}
              {unit}
              {value}
              max={10_000_000}
              optional
              width="w-28"
              onvalue={set}
            /></label
          >
        {/snippet}
        {@render limit("Budget", workspace.priceBook.currency, b.limits.budget, (n) =>
          kit.updateBrief("budget", { limits: { ...b.limits, budget: n } }, "budget"),
        )}
        {@render limit("Weight at most", "g", b.limits.massG, (n) =>
          kit.updateBrief("weight limit", { limits: { ...b.limits, massG: n } }, "mass"),
        )}
        {@render limit("Space at most", "ml", b.limits.volumeMl, (n) =>
          kit.updateBrief("space limit", { limits: { ...b.limits, volumeMl: n } }, "volume"),
        )}
        {@render limit(
          "Price paid",
          workspace.priceBook.currency,
          kit.record?.kit.price?.amount,
          (n) =>
            kit.update(
              "price paid",
              (r) => {
                const { price, ...rest } = r.kit;
                const currency = price?.currency ?? workspace.priceBook.currency;
                return {
                  ...r,
                  kit: n === undefined ? rest : { ...rest, price: { amount: n, currency } },
                };
              },
              "price",
            ),
        )}
        {@render limit("Empty bag weighs", "g", kit.record?.kit.container?.massG, (n) =>
          kit.update(
            "weight of the bag",
            (r) => ({ ...r, kit: { ...r.kit, container: { ...r.kit.container, massG: n } } }),
            "bag",
          ),
        )}
        {@render limit(
          "The bag is worth",
          workspace.priceBook.currency,
          kit.record?.kit.container?.allowance,
          (n) =>
            kit.update(
              "worth of the bag",
              (r) => ({ ...r, kit: { ...r.kit, container: { ...r.kit.container, allowance: n } } }),
              "allowance",
            ),
        )}
      </div>
    </fieldset>
    {#if workspace.briefs.length > 1}
      <label class="mt-5 flex flex-col gap-1"
        ><span class="text-sm font-semibold">Or judge this kit under a brief you have</span>
        <select
          class="field"
          value={kit.record?.briefId}
          onchange={(e) => chooseBrief(e.currentTarget.value)}
        >
          {#each workspace.briefs as other (other.id)}
            <option value={other.id}
              >{other.brief.title || "untitled"}: {other.brief.people} people, {other.brief.days} days</option
            >
          {/each}
        </select></label
      >
    {/if}

    <fieldset class="mt-6">
      <legend class="font-head text-xl font-bold">House rules</legend>
      <p class="text-sm text-soft">Where good practitioners disagree, the school you follow.</p>
      <dl class="mt-2 divide-y divide-line border-y border-line">
        {#each HOUSE_RULES as rule (rule.id)}
          <div class="grid gap-2 py-3 sm:grid-cols-[8rem_1fr]">
            <dt class="font-semibold">{rule.label}</dt>
            <dd class="flex flex-wrap gap-2">
              {#each rule.options as option (option.id)}
                {@const on = rules[rule.id] === option.id}
                <button
                  class="btn h-auto flex-1 basis-48 flex-col items-start gap-0 px-3 py-2 text-left {on
                    ? 'btn-on'
                    : ''}"
                  aria-pressed={on}
                  onclick={() =>
                    kit.update(`house rule: ${option.label}`, (r) => ({
                      ...r,
                      houseRules: { ...r.houseRules, [rule.id]: option.id },
                    }))}
                  ><span>{on ? "✓ " : ""}{option.label}</span>
                  <span class="text-sm font-normal">{option.why}</span></button
                >
              {/each}
            </dd>
          </div>
        {/each}
      </dl>
    </fieldset>
  </section>

  <section class="lg:border-l lg:border-line lg:pl-6">
    <h2 class="text-2xl">Judged against</h2>
    <label class="mt-3 flex flex-col gap-1"
      ><span class="sr-only">Reference list</span>
      <select
        class="field text-lg font-semibold"
        value={kit.record?.list.id}
        onchange={(e) => chooseList(e.currentTarget.value)}
      >
        {#if !listHere}<option value={kit.record?.list.id}>{kit.record?.list.title}</option>{/if}
        {#each SHIPPED_LISTS as l (l.id)}<option value={l.id}>{l.title}</option>{/each}
      </select></label
    >
    {#if listHere}
      <p class="mt-2 text-sm">{listHere.for}</p>
      <p class="mt-1 text-sm text-soft">{listHere.isNot}</p>
    {/if}
    <h3 class="mt-4 text-lg">
      It asks for {kit.audit.bench.needs.length} of its {kit.record?.list.needs.length} needs under this
      brief
    </h3>
    {#if kit.audit.bench.needs.length === 0}
      <p class="noted mt-2">
        This list asks for nothing under this brief, so nothing can be judged. Choose another list
        or change the brief.
      </p>
    {/if}
    <ul class="mt-2 divide-y divide-line">
      {#each kit.audit.bench.needs as n (n.need.id)}
        <li class="flex gap-3 py-2">
          <span class="w-20 shrink-0 text-right font-semibold"
            >{quantity(n.required, functionOf(n.need.function)!.unit)}</span
          >
          <span
            ><strong class="font-semibold">{functionOf(n.need.function)?.label}</strong>
            <span class="text-sm text-soft">{n.tier} · {CATEGORY_LABEL[n.category]}</span><br />
            <span class="text-sm">{n.need.reason ?? ""}</span></span
          >
        </li>
      {/each}
    </ul>
  </section>
</div>
<div class="mx-auto flex max-w-7xl justify-end p-4 sm:p-6">
  <a class="btn btn-main" href="/kit/{page.params['id']}/unpack">Next: unpack</a>
</div>
