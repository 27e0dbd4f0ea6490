<script lang="ts">
  import { SKILLS } from "$lib/core/catalogue/itemType.ts";
  import { bagRoomMl } from "$lib/core/plan/fitBag.ts";
  import type { KitRecord } from "$lib/core/records/records.ts";
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
        plan: Object.fromEntries(
          Object.entries({ ...r.plan, ...patch }).filter(([, v]) => v !== undefined),
        ) as KitRecord["plan"],
      }),
      merge,
    );
  const limits = $derived(kit.brief.limits);
  const budget = $derived(plan.budget ?? limits.budget);
  const room = $derived(bagRoomMl(kit.file));
  const above = $derived(
    SKILLS.filter((s) => SKILLS.indexOf(s) > SKILLS.indexOf(kit.brief.skill) && s !== "licensed"),
  );
  const titleOf = (id: string) => kit.book.products.find((p) => p.id === id)?.title ?? id;
  const keepable = $derived(kit.lines.filter((l) => !(plan.keep ?? []).includes(l.id)));
  const nameOf = (id: string) => {
    const line = kit.lines.find((l) => l.id === id);
    return line ? lineName(line, line.itemType ? kit.typeOf(line.itemType)?.label : undefined) : id;
  };
</script>

<div class="sheet mt-4 p-4">
  <h2 class="text-xl">Limits</h2>
  <div class="mt-2 flex items-center justify-between gap-3">
    <span>Budget</span>
    <NumberField
      label="Budget"
      value={budget ?? undefined}
      optional
      max={1_000_000}
      width="w-28"
      unit={kit.currency}
      onvalue={(n) => change("budget of the plan", { budget: n ?? null }, "budget")}
    />
  </div>
  <div class="mt-2 flex items-center justify-between gap-3">
    <span>Weight at most</span>
    <NumberField
      label="Weight at most"
      value={limits.massG ?? undefined}
      optional
      max={1_000_000}
      width="w-28"
      unit="g"
      onvalue={(n) => kit.updateBrief("weight limit", { limits: { ...limits, massG: n } }, "mass")}
    />
  </div>
  <div class="mt-2 flex items-center justify-between gap-3">
    <span>Space at most</span>
    <NumberField
      label="Space at most"
      value={limits.volumeMl ?? undefined}
      optional
      max={10_000_000}
      width="w-28"
      unit="ml"
      onvalue={(n) =>
        kit.updateBrief("space limit", { limits: { ...limits, volumeMl: n } }, "volume")}
    />
  </div>
  {#if room !== null}
    <label class="mt-2 flex min-h-11 items-center gap-2"
      ><input
        type="checkbox"
        class="size-5"
        checked={plan.fitBag ?? false}
        onchange={(e) =>
          change("keep to the bag's room", { fitBag: e.currentTarget.checked || undefined })}
      />Only what the bag's compartments hold, {litres(room)}</label
    >
  {/if}

  <details class="mt-3" open={(plan.exclude?.length ?? 0) + (plan.keep?.length ?? 0) > 0}>
    <summary class="flex min-h-11 cursor-pointer items-center font-semibold">Wishes</summary>
    <div class="flex items-center justify-between gap-3">
      <span>Sources at most</span>
      <NumberField
        label="Sources at most"
        value={plan.maxSources}
        optional
        whole
        min={1}
        max={100}
        width="w-28"
        onvalue={(n) => change("sources of the plan", { maxSources: n }, "sources")}
      />
    </div>
    {#if plan.question === "cheapest"}
      <div class="mt-2 flex items-center justify-between gap-3">
        <span>Coverage to reach, instead of Ready</span>
        <NumberField
          label="Coverage to reach"
          value={plan.target === undefined ? undefined : Math.round(plan.target * 1000) / 10}
          optional
          min={1}
          max={100}
          width="w-28"
          unit="%"
          onvalue={(n) =>
            change(
              "coverage to reach",
              { target: n === undefined ? undefined : n / 100 },
              "target",
            )}
        />
      </div>
    {/if}
    {#each above as skill (skill)}
      <div class="mt-2 flex items-center justify-between gap-3">
        <span>Course to {SKILL_LABEL[skill]}, for all</span>
        <NumberField
          label="Course to {SKILL_LABEL[skill]}"
          value={plan.courses?.[skill]}
          optional
          max={1_000_000}
          width="w-28"
          unit={kit.currency}
          onvalue={(n) => {
            const courses = { ...plan.courses };
            if (n === undefined) delete courses[skill];
            else courses[skill] = n;
            change(
              "price of a course",
              { courses: Object.keys(courses).length > 0 ? courses : undefined },
              `course ${skill}`,
            );
          }}
        />
      </div>
    {/each}
    <label class="mt-2 block"
      >Always carry in full
      <select
        class="field mt-1 w-full"
        value=""
        onchange={(e) => {
          const id = e.currentTarget.value;
          if (id) change(`always carry ${nameOf(id)}`, { keep: [...(plan.keep ?? []), id] });
          e.currentTarget.value = "";
        }}
      >
        <option value="">choose a line of the kit</option>
        {#each keepable as l (l.id)}<option value={l.id}>{nameOf(l.id)}</option>{/each}
      </select></label
    >
    {#each plan.keep ?? [] as id (id)}
      <p class="mt-1 flex items-center justify-between gap-2">
        <span class="min-w-0 break-words">{nameOf(id)} stays</span>
        <button
          class="btn min-h-9 px-3 py-1"
          aria-label="No longer always carry {nameOf(id)}"
          onclick={() =>
            change("no longer always carry it", {
              keep: (plan.keep ?? []).filter((x) => x !== id),
            })}>Lift</button
        >
      </p>
    {/each}
    {#each plan.exclude ?? [] as id (id)}
      <p class="mt-1 flex items-center justify-between gap-2">
        <span class="min-w-0 break-words">Not {titleOf(id)}</span>
        <button
          class="btn min-h-9 px-3 py-1"
          aria-label="Allow {titleOf(id)} again"
          onclick={() =>
            change("allow a product again", {
              exclude: (plan.exclude ?? []).filter((x) => x !== id),
            })}>Allow</button
        >
      </p>
    {/each}
  </details>
</div>
