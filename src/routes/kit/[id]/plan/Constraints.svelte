<script lang="ts">
  import Tick from "$lib/ui/Tick.svelte";
  import Choice from "$lib/ui/Choice.svelte";
  import type { ComponentProps } from "svelte";
  import { defined } from "$lib/core/base/defined.ts";
  import { SKILLS } from "$lib/core/model/itemType.ts";
  import { carryPlaceOf } from "$lib/core/bag/carryCheck.ts";
  import { FOR_PLACE } from "$lib/words/carryTexts.ts";
  import { bagRoomMl } from "$lib/core/plan/fitBag.ts";
  import type { KitRecord } from "$lib/core/records/kitRecord.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import { SKILL_LABEL } from "$lib/words/labels.ts";
  import { litres } from "$lib/words/sentences.ts";

  /** Limits and wishes that a plan keeps to. */
  const kit = useKit();
  const plan = $derived(kit.record?.plan ?? { question: "cheapest" as const, budget: null });
  const change = (label: string, patch: Partial<KitRecord["plan"]>, merge: string | null = null) =>
    kit.update(
      label,
      (r) => ({
        ...r,
        plan: defined({ ...r.plan, ...patch }) as KitRecord["plan"],
      }),
      merge,
    );
  const limits = $derived(kit.brief.limits);
  const budget = $derived(plan.budget ?? limits.budget);
  const room = $derived(bagRoomMl(kit.file));
  const above = $derived(
    SKILLS.filter((s) => SKILLS.indexOf(s) > SKILLS.indexOf(kit.brief.skill) && s !== "licensed"),
  );
  const wished = $derived((plan.exclude?.length ?? 0) + (plan.keep?.length ?? 0));
  /** Open from the first wish on, until it is closed. */
  let shown = $state(false);
  $effect(() => {
    if (wished > 0) shown = true;
  });
  const titleOf = (id: string) => kit.book.products.find((p) => p.id === id)?.title ?? id;
  const keepable = $derived(kit.lines.filter((l) => !(plan.keep ?? []).includes(l.id)));
  const nameOf = (id: string) => {
    const line = kit.lines.find((l) => l.id === id);
    return line ? lineName(line, line.itemType ? kit.typeOf(line.itemType)?.label : undefined) : id;
  };
  function courseAt(skill: (typeof above)[number], price: number | undefined) {
    const courses = { ...plan.courses };
    if (price === undefined) delete courses[skill];
    else courses[skill] = price;
    change(
      "price of a course",
      { courses: Object.keys(courses).length > 0 ? courses : undefined },
      `course ${skill}`,
    );
  }
  /** No limit and no price of a plan is higher. */
  const MOST = 10_000_000;
</script>

{#snippet field(
  label: string,
  value: number | undefined,
  more: string | Partial<ComponentProps<typeof NumberField>>,
  onvalue: (n: number | undefined) => void,
)}
  <div class="mt-2 flex items-center justify-between gap-3">
    <span>{label}</span>
    <NumberField
      {label}
      {value}
      optional
      max={MOST}
      width="w-28"
      {...typeof more === "string" ? { unit: more } : more}
      {onvalue}
    />
  </div>
{/snippet}

<div class="sheet mt-4 p-4">
  <h2 class="text-xl">Limits</h2>
  {@render field("Budget", budget ?? undefined, kit.currency, (n) =>
    change("budget of the plan", { budget: n ?? null }, "budget"),
  )}
  {@render field("Weight at most", limits.massG ?? undefined, { of: "mass" }, (n) =>
    kit.updateBrief("weight limit", { limits: { ...limits, massG: n } }, "mass"),
  )}
  {@render field("Space at most", limits.volumeMl ?? undefined, { of: "volume" }, (n) =>
    kit.updateBrief("space limit", { limits: { ...limits, volumeMl: n } }, "volume"),
  )}
  {#if room !== null}
    <Tick
      class="mt-2"
      checked={plan.fitBag ?? false}
      onchange={(on) => change("keep to the bag's room", { fitBag: on || undefined })}
      >Only what the bag's compartments hold, {litres(room)}</Tick
    >
  {/if}

  <Tick
    class="mt-2"
    checked={plan.fitCarry ?? false}
    onchange={(on) => change("keep to what is carried", { fitCarry: on || undefined })}
    >Only what {FOR_PLACE[carryPlaceOf(kit.file)]} bears</Tick
  >

  <details class="mt-3" bind:open={shown}>
    <summary class="flex min-h-11 cursor-pointer items-center font-semibold">Constraints</summary>
    {@render field("Sources at most", plan.maxSources, { whole: true, min: 1, max: 100 }, (n) =>
      change("sources of the plan", { maxSources: n }, "sources"),
    )}
    {#if plan.question !== "best"}
      {@render field(
        "Coverage to reach, instead of Ready",
        plan.target === undefined ? undefined : Math.round(plan.target * 1000) / 10,
        { min: 1, max: 100, unit: "%" },
        (n) =>
          change("coverage to reach", { target: n === undefined ? undefined : n / 100 }, "target"),
      )}
    {/if}
    {#each above as skill (skill)}
      {@render field(
        `Course to ${SKILL_LABEL[skill]}, for all`,
        plan.courses?.[skill],
        kit.currency,
        (n) => courseAt(skill, n),
      )}
    {/each}
    <label class="mt-2 block"
      >Always carry in full
      <Choice
        label="Always carry in full"
        class="mt-1 w-full"
        value=""
        hint="choose a line of the kit"
        options={keepable.map((l) => ({ value: l.id, label: nameOf(l.id) }))}
        onchoose={(id) =>
          change(`always carry ${nameOf(id)}`, { keep: [...(plan.keep ?? []), id] })}
      /></label
    >
    {#each plan.keep ?? [] as id (id)}
      {@render wish(`${nameOf(id)} stays`, "Lift", `No longer always carry ${nameOf(id)}`, () =>
        change("no longer always carry it", { keep: (plan.keep ?? []).filter((x) => x !== id) }),
      )}
    {/each}
    {#each plan.exclude ?? [] as id (id)}
      {@render wish(`Not ${titleOf(id)}`, "Allow", `Allow ${titleOf(id)} again`, () =>
        change("allow a product again", { exclude: (plan.exclude ?? []).filter((x) => x !== id) }),
      )}
    {/each}
  </details>
</div>

{#snippet wish(text: string, verb: string, does: string, lift: () => void)}
  <p class="mt-1 flex items-center justify-between gap-2">
    <span class="min-w-0 break-words">{text}</span>
    <button class="btn min-h-9 px-3 py-1" aria-label={does} onclick={lift}>{verb}</button>
  </p>
{/snippet}
