<script lang="ts">
  import { BAG_POINTS } from "$lib/core/bag/bag.ts";
  import type { Container, Compartment } from "$lib/core/model/container.ts";
  import { fitInto, type Misfit } from "$lib/core/bag/fit.ts";
  import { LOCATIONS } from "$lib/core/model/location.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { useReady } from "$lib/state/ready.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { boughtLine } from "$lib/core/plan/candidates.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import { LOCATION_LABEL } from "$lib/words/labels.ts";
  import { litres, number } from "$lib/words/sentences.ts";

  const kit = useKit();
  const ready = useReady();
  const bag = $derived(kit.container);
  const compartments = $derived(bag.compartments ?? []);
  const set = (label: string, patch: Partial<Container>, merge: string | null = null) =>
    kit.update(
      label,
      (r) => ({ ...r, kit: { ...r.kit, container: { ...r.kit.container, ...patch } } }),
      merge,
    );
  const change = (
    id: string,
    label: string,
    patch: Partial<Compartment>,
    merge: string | null = null,
  ) => {
    const next = compartments.map((c) => (c.id === id ? { ...c, ...patch } : c));
    // What lies in a compartment is reached as the compartment is.
    kit.update(
      label,
      (r) => ({
        ...r,
        kit: {
          ...r.kit,
          container: { ...r.kit.container, compartments: next },
          lines: r.kit.lines.map((l) =>
            l["compartment"] === id && patch.place ? { ...l, location: patch.place } : l,
          ),
        },
      }),
      merge,
    );
  };
  function add() {
    let n = compartments.length + 1;
    while (compartments.some((c) => c.id === `c${n}`)) n++;
    set("add a compartment", {
      compartments: [...compartments, { id: `c${n}`, name: "", place: "pocket" }],
    });
  }
  const remove = (c: Compartment) =>
    kit.update(`remove ${c.name || "a compartment"}`, (r) => ({
      ...r,
      kit: {
        ...r.kit,
        container: { ...r.kit.container, compartments: compartments.filter((x) => x.id !== c.id) },
        lines: r.kit.lines.map((l) => {
          if (l["compartment"] !== c.id) return l;
          const { compartment, ...rest } = l;
          void compartment;
          return rest;
        }),
      },
    }));
  function inner(c: Compartment, at: 0 | 1 | 2, n: number | undefined) {
    const now = c.innerMm ?? [100, 100, 50];
    const next = [...now] as [number, number, number];
    next[at] = n === undefined ? now[at]! : n * 10;
    change(
      c.id,
      `inner size of ${c.name || "a compartment"}`,
      { innerMm: next },
      `inner ${c.id} ${at}`,
    );
  }
  /** With the additions of the plan: each goes where most of what it tops up lies, else into the first. */
  let withPlan = $state(false);
  const bought = $derived.by(() => {
    const plan = ready.run.result;
    if (!withPlan || !plan || plan.status === "infeasible") return [];
    return plan.actions.flatMap((x) =>
      "product" in x ? [boughtLine(x.product, x.packs, workspace.today)] : [],
    );
  });
  const fits = $derived(
    compartments.map((c, i) => {
      const lines = [
        ...kit.lines.filter((l) => l["compartment"] === c.id),
        ...bought.filter(
          (b) =>
            (kit.lines.find((l) => l.itemType === b.itemType && l["compartment"])?.[
              "compartment"
            ] ?? compartments[0]!.id) === c.id,
        ),
      ];
      void i;
      return {
        c,
        count: lines.length,
        fit: fitInto(
          c,
          lines.map((line) => ({
            line,
            type: line.itemType ? (kit.typeOf(line.itemType) ?? null) : null,
          })),
        ),
      };
    }),
  );
  const nameOf = (id: string) => {
    const l = kit.lines.find((x) => x.id === id) ?? bought.find((x) => x.id === id);
    return l ? lineName(l, l.itemType ? kit.typeOf(l.itemType)?.label : undefined) : id;
  };
  const say = (m: Misfit) =>
    m.code === "too-long"
      ? `${nameOf(m.line)} is rigid and ${number(m.lengthMm / 10, 1)} cm long; the longest way across is ${number(m.roomMm / 10, 1)} cm.`
      : m.code === "folded"
        ? `${nameOf(m.line)} (${m.sidesMm.map((s) => number(s / 10, 1)).join(" × ")} cm) goes in only folded, and a fold may spoil it; the largest face is ${m.roomMm.map((s) => number(s / 10, 1)).join(" × ")} cm.`
        : `All together takes ${litres(m.neededMl)}; about ${litres(m.roomMl)} can be used.`;
  const unplaced = $derived(kit.lines.filter((l) => typeof l["compartment"] !== "string").length);
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
            onclick={() =>
              set(`the outside: ${p.good.toLowerCase()}`, {
                points: { ...bag.points, [p.id]: value },
              })}>{word}</button
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
      oninput={(e) => set("seal number", { sealNumber: e.currentTarget.value }, "seal")}
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
              change(c.id, "name a compartment", { name: e.currentTarget.value }, `name ${c.id}`)}
          /></label
        >
        <label class="flex flex-col text-sm"
          >reached<select
            class="field"
            value={c.place}
            onchange={(e) =>
              change(c.id, `reach of ${c.name || "a compartment"}`, {
                place: e.currentTarget.value as Compartment["place"],
              })}
            >{#each LOCATIONS as l (l)}<option value={l}>{LOCATION_LABEL[l]}</option>{/each}</select
          ></label
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
                onvalue={(n) => inner(c, at, n)}
              /></label
            >
          {/each}
        </span>
        <button
          class="min-h-9 px-2 text-sm underline"
          onclick={() => remove(c)}
          aria-label="Remove {c.name || 'the compartment'}">remove</button
        >
      </div>
      <p class="mt-1 text-sm" data-testid="fit">
        {count}
        {count === 1 ? "line" : "lines"}{fit.fill === null
          ? "; not measured"
          : ` · ${number(fit.fill * 100, 0)} % of the usable room`}{fit.unknown.length > 0
          ? ` · size not known: ${fit.unknown.map(nameOf).join(", ")}`
          : ""}
      </p>
      {#each fit.misfits as m, i (i)}<p class="noted mt-1 py-2 text-sm">{say(m)}</p>{/each}
    </div>
  {/each}
  <div class="mt-3 flex flex-wrap gap-2">
    <button class="btn min-h-10 px-3 py-1" onclick={add}>Add a compartment</button>
    {#if compartments.length > 0}
      <button
        class="btn min-h-10 px-3 py-1 {withPlan ? 'btn-on' : ''}"
        aria-pressed={withPlan}
        onclick={() => (withPlan = !withPlan)}>{withPlan ? "✓ " : ""}with what the plan adds</button
      >
    {/if}
  </div>
  {#if compartments.length > 0 && unplaced > 0}<p class="mt-2 text-sm text-soft">
      {unplaced} lines lie in no compartment yet: say so at the line.
    </p>{/if}
</details>
