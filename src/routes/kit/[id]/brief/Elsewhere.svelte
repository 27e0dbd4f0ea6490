<script lang="ts">
  import Choice from "$lib/ui/Choice.svelte";
  import type { Elsewhere } from "$lib/core/model/brief.ts";
  import type { Line } from "$lib/core/model/kit.ts";
  import { CONDITIONS } from "$lib/core/model/kit.ts";
  import { schools } from "$lib/core/model/houseRules.ts";
  import { REACH_S } from "$lib/core/sieve/handy.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import TypePicker from "$lib/ui/TypePicker.svelte";
  import { CONDITION_LABEL } from "$lib/words/labels.ts";
  import DateField from "$lib/ui/DateField.svelte";
  import SizeField from "$lib/ui/SizeField.svelte";

  const kit = useKit();
  const rows = $derived(kit.brief.carriedElsewhere ?? []);
  const lean = $derived(schools(kit.record?.houseRules).duplicates === "lean");

  const save = (label: string, next: readonly Elsewhere[], mergeKey: string | null = null) =>
    kit.updateBrief(label, { carriedElsewhere: [...next] }, mergeKey);
  function change(i: number, label: string, patch: Partial<Elsewhere>) {
    save(
      label,
      rows.map((r, at) => {
        if (at !== i) return r;
        const all = { ...r, ...patch };
        return Object.fromEntries(
          Object.entries(all).filter(([, v]) => v !== undefined && v !== ""),
        ) as Elsewhere;
      }),
      `elsewhere ${i} ${Object.keys(patch).join()}`,
    );
  }
  const add = (id: string | null) =>
    id && save("carried elsewhere", [...rows, { itemType: id, pieces: 1 }]);
  const asLine = (r: Elsewhere): Line => ({ ...r, id: "elsewhere", counted: r.pieces });
  const labelOf = (id: string) => kit.typeOf(id)?.label ?? id;
</script>

<fieldset class="mt-6">
  <legend class="font-head text-xl font-bold">Carried elsewhere</legend>
  <p class="text-sm text-soft">
    What others have with them. {lean
      ? "By the lean school it counts, a step slower."
      : "By the self-contained school it does not count: the bag may be all you have. Lean counts it."}
  </p>
  <ul class="mt-2 grid gap-2">
    {#each rows as r, i (i)}
      <li class="sheet flex flex-wrap items-end gap-3 p-3">
        <div class="grow basis-52">
          <TypePicker
            value={r.itemType}
            name={labelOf(r.itemType)}
            label="Thing carried elsewhere, {i + 1}"
            onpick={(id) => id && change(i, "thing carried elsewhere", { itemType: id })}
          />
        </div>
        <label class="flex flex-col text-sm"
          >pieces<NumberField
            label="Pieces of {labelOf(r.itemType)} elsewhere"
            value={r.pieces}
            onvalue={(n) => n !== undefined && change(i, "pieces elsewhere", { pieces: n })}
          /></label
        >
        <div class="flex flex-col text-sm">
          size<SizeField
            line={asLine(r)}
            onsize={(mm) => change(i, "size elsewhere", { sizeMm: mm })}
          />
        </div>
        <label class="flex grow basis-36 flex-col text-sm"
          >by whom, where
          <input
            class="field"
            value={r.by ?? r.note ?? ""}
            maxlength="300"
            aria-label="Who carries {labelOf(r.itemType)}, and where"
            placeholder="in the pickup"
            oninput={(e) =>
              change(i, "who carries it", { by: e.currentTarget.value, note: undefined })}
          /></label
        >
        <label class="flex flex-col text-sm"
          >seconds away<NumberField
            label="Seconds until {labelOf(r.itemType)} is here"
            value={r.reachS}
            optional
            onvalue={(n) => change(i, "how far away", { reachS: n })}
          /></label
        >
        <div class="flex flex-col text-sm">
          <label for="elsewhere-date-{i}">good to</label><DateField
            id="elsewhere-date-{i}"
            value={r.expires}
            onvalue={(v) => change(i, "date elsewhere", { expires: v })}
          />
        </div>
        <label class="flex flex-col text-sm"
          >condition
          <Choice
            label="condition"
            value={r.condition ?? ""}
            options={[
              { value: "", label: "not looked at" },
              ...CONDITIONS.map((value) => ({ value, label: CONDITION_LABEL[value] })),
            ]}
            onchoose={(v) =>
              change(i, "condition elsewhere", {
                condition: (v || undefined) as Elsewhere["condition"],
              })}
          /></label
        >
        <button
          class="btn"
          onclick={() =>
            save(
              "take off what is carried elsewhere",
              rows.filter((_, at) => at !== i),
            )}
          aria-label="Take off {labelOf(r.itemType)}">Take off</button
        >
        {#if r.reachS === undefined}<p class="basis-full text-sm text-soft">
            taken as {REACH_S["other-bag"]} s away, as things in another bag
          </p>{/if}
      </li>
    {/each}
  </ul>
  <div class="mt-2 max-w-sm">
    <TypePicker
      value={null}
      name=""
      placeholder="Add: foil blanket, torch …"
      label="Add a thing carried elsewhere"
      onpick={add}
    />
  </div>
</fieldset>
