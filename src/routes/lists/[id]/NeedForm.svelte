<script lang="ts">
  import OneOf from "$lib/ui/OneOf.svelte";
  import Toggle from "$lib/ui/Toggle.svelte";
  import Choice from "$lib/ui/Choice.svelte";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { functionNamed } from "$lib/core/catalogue/catalogue.ts";
  import { CATEGORIES } from "$lib/core/model/functionRecord.ts";
  import { SENSITIVITIES, type ItemType } from "$lib/core/model/itemType.ts";
  import { ACCESSES, TIERS, type Need } from "$lib/core/model/list.ts";
  import { CARRIES, type Brief } from "$lib/core/model/brief.ts";
  import { conditionHolds } from "$lib/core/reference/asked.ts";
  import { requiredQuantity } from "$lib/core/reference/quantity.ts";
  import { ACTIVITIES } from "$lib/data/activities.ts";
  import { FUNCTIONS } from "$lib/data/functions.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import TypePicker from "$lib/ui/TypePicker.svelte";
  import { typedUnit } from "$lib/words/display.ts";
  import { cautionsForFunction } from "$lib/words/cautions.ts";
  import {
    CARRY_LABEL,
    CATEGORY_LABEL,
    SENSITIVITY_LABEL,
    TIER_LABEL,
    UNIT_LABEL,
  } from "$lib/words/labels.ts";
  import { ACCESS_LABEL, quantityText, whenText } from "$lib/words/needs.ts";
  import { needLabel, quantity } from "$lib/words/sentences.ts";
  import SumPanel from "./SumPanel.svelte";

  interface Props {
    need: Need;
    /** Ids of the other needs. */
    taken: ReadonlySet<string>;
    brief: Brief;
    typeOf: (id: string) => ItemType | undefined;
    onchange: (label: string, next: Need, mergeKey: string | null) => void;
    onremove: () => void;
  }
  const { need, taken, brief, typeOf, onchange, onremove }: Props = $props();
  const fn = $derived(CATALOGUE.functions.get(need.function));
  const unit = $derived(fn?.unit ?? "each");
  const unitLabel = $derived(unit === "each" ? "" : UNIT_LABEL[unit][1]);
  const length = $derived(typedUnit("length"));

  /** Sets one part; what is empty goes. */
  function set<K extends keyof Need>(key: K, value: Need[K] | undefined, merge: string | null) {
    const { [key]: _, ...rest } = need;
    onchange(
      `need: ${key}`,
      (value === undefined ? rest : { ...rest, [key]: value }) as Need,
      merge,
    );
  }
  const without = (o: Record<string, unknown>) =>
    Object.fromEntries(
      Object.entries(o).filter(([, v]) => v !== undefined && !(Array.isArray(v) && v.length === 0)),
    );
  const orNone = (o: Record<string, unknown>) => (Object.keys(o).length === 0 ? undefined : o);
  const setQuantity = (key: keyof Need["quantity"], n: number | undefined) =>
    set(
      "quantity",
      without({ ...need.quantity, [key]: n }) as Need["quantity"],
      `q ${String(key)}`,
    );
  const setSpec = (patch: NonNullable<Need["spec"]>, merge: string | null = null) =>
    set("spec", orNone(without({ ...need.spec, ...patch })) as Need["spec"], merge);
  const setWhen = (patch: NonNullable<Need["when"]>, merge: string | null = null) =>
    set("when", orNone(without({ ...need.when, ...patch })) as Need["when"], merge);
  const toggled = <T,>(list: readonly T[] | undefined, x: T): T[] =>
    list?.includes(x) ? list.filter((y) => y !== x) : [...(list ?? []), x];
  function setSide(at: 0 | 1, n: number | undefined) {
    const [a, b] = need.spec?.minSizeMm ?? [0, 0];
    const sides = (at === 0 ? [n ?? 0, b || (n ?? 0)] : [a || (n ?? 0), n ?? 0]) as [
      number,
      number,
    ];
    setSpec({ minSizeMm: sides.every((s) => s > 0) ? sides : undefined }, `side ${at}`);
  }
  const setAccept = (accept: Need["accept"], merge: string | null = null) =>
    set("accept", accept?.length ? accept : undefined, merge);
  const changeAccept = (i: number, patch: Partial<NonNullable<Need["accept"]>[number]>) =>
    setAccept(
      need.accept?.map((a, at) =>
        at === i ? (without({ ...a, ...patch }) as NonNullable<Need["accept"]>[number]) : a,
      ),
      `accept ${i} ${Object.keys(patch).join()}`,
    );
  let idText = $state<string | null>(null);
  const idWrong = $derived(
    idText === null
      ? null
      : idText.trim() === ""
        ? "an id is wanted"
        : taken.has(idText.trim())
          ? "is taken by another need"
          : null,
  );
  const QUANTITIES = [
    ["base", "in any case"],
    ["perPerson", "for each person"],
    ["perDay", "for each day"],
    ["perPersonDay", "for each person and day"],
    ["redressEveryH", "again every … h to care"],
    ["min", "at least"],
    ["max", "at most"],
  ] as const;
</script>

<div class="sheet p-4">
  <label class="flex flex-col gap-1"
    ><span class="text-sm font-semibold">What it must do</span>
    <Choice
      id="need-function"
      label="What it must do"
      class="text-lg font-semibold"
      value={need.function}
      options={CATEGORIES.flatMap((c) =>
        FUNCTIONS.filter((f) => f.category === c).map((f) => ({
          value: f.id,
          label: f.label,
          group: CATEGORY_LABEL[c],
        })),
      )}
      onchoose={(v) => functionNamed(v, CATALOGUE) && set("function", v, null)}
    />
    <span class="text-sm text-soft">{fn?.meaning}</span></label
  >
  <div class="mt-3 flex flex-wrap gap-x-6 gap-y-2">
    <OneOf
      label="Tier"
      value={need.tier}
      options={TIERS.map((value) => ({ value, label: TIER_LABEL[value] }))}
      onchoose={(t) => set("tier", t, null)}
    />
    <OneOf
      label="Within reach"
      class="min-h-10 px-3 py-1 font-normal"
      value={need.access ?? "any"}
      options={ACCESSES.map((value) => ({ value, label: ACCESS_LABEL[value] }))}
      onchoose={(a) => set("access", a === "any" ? undefined : a, null)}
    />
  </div>

  <h3 class="mt-4 text-lg">How many</h3>
  <p class="text-sm" data-testid="need-quantity">
    {quantityText(need)}: under this brief
    <strong
      >{conditionHolds(need.when, brief)
        ? quantity(requiredQuantity(need, brief), unit)
        : "not asked"}</strong
    >
  </p>
  <div class="mt-2 flex flex-wrap gap-x-4 gap-y-2">
    {#each QUANTITIES as [key, label] (key)}
      <label class="flex flex-col text-sm"
        >{label}<NumberField
          {label}
          value={need.quantity[key]}
          min={key === "redressEveryH" ? 0.5 : 0}
          max={key === "redressEveryH" ? 10_000 : 1_000_000}
          optional
          unit={key === "redressEveryH" ? "h" : unitLabel}
          onvalue={(n) => setQuantity(key, n)}
        /></label
      >
    {/each}
  </div>
  {#if need.quantity.min !== undefined && need.quantity.max !== undefined && need.quantity.min > need.quantity.max}
    <p class="bad mt-1 text-sm font-semibold" role="alert">
      “At least” is above “at most”: the most wins until you change one.
    </p>
  {/if}
  <SumPanel
    {need}
    {brief}
    onuse={(q, reason) =>
      onchange("use the sum", { ...need, quantity: q, reason: reason.slice(0, 2000) }, null)}
  />

  <h3 class="mt-4 text-lg">At least of size</h3>
  <div class="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2">
    {#each [["smaller side", need.spec?.minSizeMm?.[0], (n: number | undefined) => setSide(0, n)], ["larger side", need.spec?.minSizeMm?.[1], (n: number | undefined) => setSide(1, n)], ["width alone", need.spec?.minWidthMm, (n: number | undefined) => setSpec({ minWidthMm: n }, "width")], ["length alone", need.spec?.minLengthMm, (n: number | undefined) => setSpec({ minLengthMm: n }, "length")]] as const as [label, value, run] (label)}
      <label class="flex flex-col text-sm"
        >{label}<NumberField
          {label}
          value={value === undefined ? undefined : Math.round((value / length.factor) * 100) / 100}
          min={0.01}
          max={1_000_000}
          optional
          unit={length.label}
          onvalue={(n) =>
            run(n === undefined ? undefined : Math.round(n * length.factor * 10) / 10)}
        /></label
      >
    {/each}
    <Toggle
      on={need.spec?.sterile === true}
      ontoggle={(on) => setSpec({ sterile: on ? true : undefined })}>sterile</Toggle
    >
  </div>

  <h3 class="mt-4 text-lg">Stand-ins</h3>
  <p class="text-sm text-soft">
    What else is taken, and for how much of the job. A type of the catalogue that does it already
    needs no entry; an entry takes its place.
  </p>
  <ul class="mt-2 grid gap-2">
    {#each need.accept ?? [] as a, i (a.itemType)}
      {@const label = typeOf(a.itemType)?.label ?? a.itemType}
      <li class="flex flex-wrap items-end gap-3">
        <span class="grow basis-40 self-center font-semibold">{label}</span>
        <label class="flex flex-col text-sm"
          >does<NumberField
            label="{label} does of the job"
            value={Math.round(a.credit * 1000) / 10}
            max={100}
            unit="%"
            onvalue={(n) => n !== undefined && changeAccept(i, { credit: n / 100 })}
          /></label
        >
        <label class="flex flex-col text-sm"
          >gives each<NumberField
            label="{label} gives of {unitLabel || 'the job'}"
            value={a.yield}
            min={0.01}
            optional
            unit={unitLabel}
            onvalue={(n) => changeAccept(i, { yield: n })}
          /></label
        >
        <Toggle
          class="min-h-11 px-3"
          on={a.improvised === true}
          ontoggle={(on) => changeAccept(i, { improvised: on ? true : undefined })}
          >improvised</Toggle
        >
        <button
          class="btn"
          aria-label="Take off: {label}"
          onclick={() => setAccept(need.accept?.filter((_, at) => at !== i))}>Take off</button
        >
      </li>
    {/each}
  </ul>
  <div class="mt-2 max-w-sm">
    <TypePicker
      value={null}
      name=""
      placeholder="Add a stand-in by name"
      label="Add a stand-in"
      onpick={(id) =>
        id &&
        !need.accept?.some((a) => a.itemType === id) &&
        setAccept([...(need.accept ?? []), { itemType: id, credit: 0.5 }])}
    />
  </div>

  <h3 class="mt-4 text-lg">Goes with</h3>
  <p class="text-sm text-soft">Without each of these it counts half.</p>
  <div class="mt-1 flex flex-wrap gap-2">
    {#each need.companions ?? [] as c (c)}
      <button
        class="btn btn-on min-h-10 px-3 py-1"
        aria-label="Take off: {needLabel(c)}"
        onclick={() => {
          const rest = need.companions!.filter((x) => x !== c);
          set("companions", rest.length ? rest : undefined, null);
        }}>{needLabel(c)} ×</button
      >
    {/each}
    <Choice
      label="Add what it goes with"
      value=""
      hint="add …"
      options={FUNCTIONS.filter((f) => !need.companions?.includes(f.id)).map((f) => ({
        value: f.id,
        label: f.label,
      }))}
      onchoose={(c) => set("companions", [...(need.companions ?? []), c], null)}
    />
  </div>

  <h3 class="mt-4 text-lg">Asked when</h3>
  <p class="text-sm">{whenText(need.when)}</p>
  <div class="mt-2 flex flex-wrap gap-1.5" role="group" aria-label="Activities">
    {#each ACTIVITIES as act (act.id)}
      {@const on = need.when?.activities?.includes(act.id) ?? false}
      <Toggle
        class="min-h-9 px-2.5 py-0.5 text-sm font-normal"
        {on}
        ontoggle={() => setWhen({ activities: toggled(need.when?.activities, act.id) })}
        >{act.label}</Toggle
      >
    {/each}
  </div>
  <div class="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2">
    {#each [["from … people", "peopleMin"], ["from … days", "daysMin"], ["from … h to care", "hoursToCareMin"]] as const as [label, key] (key)}
      <label class="flex flex-col text-sm"
        >{label}<NumberField
          {label}
          value={need.when?.[key]}
          optional
          onvalue={(n) => setWhen({ [key]: n }, key)}
        /></label
      >
    {/each}
  </div>
  <div class="mt-2 flex flex-wrap gap-1.5" role="group" aria-label="Carried, or someone reacts">
    {#each CARRIES as c (c)}
      {@const on = need.when?.carry?.includes(c) ?? false}
      <Toggle
        class="min-h-9 px-2.5 py-0.5 text-sm font-normal"
        {on}
        ontoggle={() => setWhen({ carry: toggled(need.when?.carry, c) })}>{CARRY_LABEL[c]}</Toggle
      >
    {/each}
    {#each SENSITIVITIES as s (s)}
      {@const on = need.when?.sensitivities?.includes(s) ?? false}
      <Toggle
        class="min-h-9 px-2.5 py-0.5 text-sm font-normal"
        {on}
        ontoggle={() => setWhen({ sensitivities: toggled(need.when?.sensitivities, s) })}
        >reacts to {SENSITIVITY_LABEL[s]}</Toggle
      >
    {/each}
  </div>

  <label class="mt-4 flex flex-col gap-1"
    ><span class="text-sm font-semibold">Why, in one plain sentence</span><textarea
      class="field min-h-16"
      maxlength="2000"
      value={need.reason ?? ""}
      oninput={(e) => set("reason", e.currentTarget.value || undefined, "reason")}
    ></textarea></label
  >
  <div class="mt-3 flex flex-wrap items-end justify-between gap-3">
    <label class="flex flex-col gap-1 text-sm"
      >short name
      <input
        class="field"
        maxlength="120"
        value={idText ?? need.id}
        aria-invalid={idWrong !== null}
        oninput={(e) => (idText = e.currentTarget.value)}
        onblur={() => {
          const next = idText?.trim();
          if (next && !idWrong && next !== need.id)
            onchange("need: short name", { ...need, id: next }, null);
          idText = null;
        }}
      />
      {#if idWrong}<span class="bad font-semibold" role="alert">{idWrong}</span>{/if}</label
    >
    <button class="btn" onclick={onremove}>Take this need out</button>
  </div>
  {#each cautionsForFunction(need.function) as c (c.id)}
    <p class="noted mt-3 text-sm">{c.text}</p>
  {/each}
</div>
