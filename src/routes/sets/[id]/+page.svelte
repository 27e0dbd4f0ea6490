<script lang="ts">
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { goto } from "$app/navigation";
  import { page } from "$app/state";
  import { judgeSet, type SetMember } from "$lib/core/compare/kitSet.ts";
  import { auditOf } from "$lib/core/records/auditOf.ts";
  import { kitLoad } from "$lib/core/bag/load.ts";
  import type { SetRecord } from "$lib/core/records/setRecord.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { kitPath } from "$lib/state/paths.ts";
  import NeedReason from "$lib/ui/NeedReason.svelte";
  import NumberField from "$lib/ui/NumberField.svelte";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import SievePicture from "$lib/ui/SievePicture.svelte";
  import { saveCsv } from "$lib/ui/tables.ts";
  import WeaveChip from "$lib/ui/WeaveChip.svelte";
  import {
    decidedBy,
    grams,
    needLabel,
    percent,
    percentRange,
    quantity,
  } from "$lib/words/sentences.ts";

  const record = $derived.by((): SetRecord | undefined => {
    const r = workspace.records.get(`set:${page.params["id"]}`);
    return r?.kind === "set" ? r : undefined;
  });
  /** Members whose kit is still on the shelf. */
  const members = $derived(
    (record?.members ?? []).flatMap((m) => {
      const kit = workspace.kit(m.kit);
      const brief = kit && workspace.brief(kit.briefId)?.brief;
      return kit && brief
        ? [{ ...m, record: kit, file: auditOf(kit, brief, workspace.ownTypes) }]
        : [];
    }),
  );
  const judge = $derived.by(() => {
    const kit = workspace.kit(record?.judgedBy ?? "") ?? members[0]?.record;
    const brief = kit && workspace.brief(kit.briefId)?.brief;
    return kit && brief ? { brief, list: kit.list, houseRules: kit.houseRules } : null;
  });
  const verdict = $derived(
    judge && members.length > 0
      ? judgeSet(
          members.map((m): SetMember => ({ id: m.kit, file: m.file, count: m.count })),
          judge,
          workspace.today,
          record?.title ?? "",
          CATALOGUE,
        )
      : null,
  );
  const a = $derived(verdict?.audit);
  let picked = $state<number | null>(null);
  const shown = $derived(
    picked !== null && a && picked < a.needs.length ? picked : a?.needs.length ? 0 : null,
  );

  const change = (label: string, patch: Partial<SetRecord>, mergeKey: string | null = null) =>
    record &&
    workspace.edit(label, [{ ...record, ...patch }], [], mergeKey && `${record.id} ${mergeKey}`);
  const changeMember = (kit: string, patch: Partial<SetRecord["members"][number]>, key: string) =>
    change(
      "who carries it",
      { members: record!.members.map((m) => (m.kit === kit ? { ...m, ...patch } : m)) },
      `${kit} ${key}`,
    );
  const carrier = (kitId: string) => {
    const m = members.find((x) => x.kit === kitId);
    return m ? m.carriedBy?.trim() || m.record.kit.name : kitId;
  };
  const fnOf = (needId: string) =>
    judge?.list.needs.find((n) => n.id === needId)?.function ?? needId;
  const gives = (n: NonNullable<typeof verdict>["needs"][number]) =>
    n.from
      .map(
        (f) =>
          `${carrier(f.member)} ${quantity(f.units, CATALOGUE.functions.get(fnOf(n.need))?.unit ?? "each")}`,
      )
      .join(", ");
  const save = () =>
    verdict &&
    saveCsv(`${record?.title ?? "set"} who carries what`, [
      ["need", "met %", ...members.map((m) => carrier(m.kit)), "carried twice"],
      ...verdict.needs.map((n) => [
        needLabel(fnOf(n.need)),
        Math.round(n.value * 1000) / 10,
        ...members.map((m) => n.from.find((f) => f.member === m.kit)?.units ?? 0),
        verdict.twice.includes(n.need) ? "yes" : "",
      ]),
    ]);
  function remove() {
    if (!record) return;
    workspace.edit(`remove the set ${record.title}`, [], [record.id]);
    workspace.say("The set is removed; its kits stay on the shelf. Undo brings it back.");
    void goto("/compare");
  }
</script>

<svelte:head><title>{record?.title ?? "No such set"} · Wide Sieve</title></svelte:head>
<ShelfHeader title="Going out together" about="Several kits judged as one." />
{#if !record}
  <main class="mx-auto max-w-xl p-8">
    <p>This set is not here. Undo brings back what was just removed.</p>
    <a class="btn mt-4" href="/compare">To the comparison</a>
  </main>
{:else}
  <main class="mx-auto max-w-7xl p-4 sm:p-6">
    <div class="grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-2">
      <label class="flex flex-col gap-1"
        ><span class="text-sm font-semibold">The set is called</span><input
          class="field font-semibold"
          value={record.title}
          maxlength="300"
          oninput={(e) => change("name the set", { title: e.currentTarget.value }, "title")}
        /></label
      >
      <label class="flex flex-col gap-1"
        ><span class="text-sm font-semibold">Judged by the brief, list and rules of</span><select
          class="field"
          value={record.judgedBy}
          onchange={(e) => change("judge the set by", { judgedBy: e.currentTarget.value })}
        >
          {#each workspace.kits as k (k.id)}<option value={k.id}
              >{k.kit.name}, {k.list.title}</option
            >{/each}
        </select></label
      >
    </div>
    <ul class="mt-4 grid gap-2">
      {#each members as m (m.kit)}
        <li class="sheet flex flex-wrap items-end gap-3 p-3">
          <a class="grow basis-48 self-center font-semibold underline" href="{kitPath(m.kit)}/sieve"
            >{m.record.kit.name}</a
          >
          <label class="flex flex-col text-sm"
            >how many of it<NumberField
              label="How many of {m.record.kit.name}"
              value={m.count}
              min={1}
              max={1000}
              whole
              onvalue={(n) => n !== undefined && changeMember(m.kit, { count: n }, "count")}
            /></label
          >
          <label class="flex grow flex-col text-sm"
            >carried by<input
              class="field"
              value={m.carriedBy ?? ""}
              maxlength="200"
              placeholder="the leader, each picker, the pickup …"
              aria-label="Who carries {m.record.kit.name}"
              oninput={(e) => changeMember(m.kit, { carriedBy: e.currentTarget.value }, "by")}
            /></label
          >
          <button
            class="btn"
            aria-label="Take {m.record.kit.name} out of the set"
            onclick={() =>
              change("take a kit out of the set", {
                members: record!.members.filter((x) => x.kit !== m.kit),
              })}>Take out</button
          >
        </li>
      {/each}
    </ul>
    <div class="mt-2 flex flex-wrap gap-3">
      <select
        class="field"
        aria-label="Add a kit to the set"
        value=""
        onchange={(e) => {
          const kit = e.currentTarget.value;
          if (kit)
            change("add a kit to the set", { members: [...record!.members, { kit, count: 1 }] });
          e.currentTarget.value = "";
        }}
      >
        <option value="">add a kit …</option>
        {#each workspace.kits.filter((k) => !record!.members.some((m) => m.kit === k.id)) as k (k.id)}
          <option value={k.id}>{k.kit.name}</option>
        {/each}
      </select>
      <button class="btn" onclick={save}>Who carries what, as CSV</button>
      <button class="btn" onclick={remove}>Remove the set</button>
    </div>

    {#if a && verdict && a.needs.length > 0}
      <div class="mt-5 flex flex-wrap items-baseline gap-x-4">
        <h2 class="text-3xl" data-testid="set-grade">{a.grade}</h2>
        <p class="text-lg font-semibold">coverage {percentRange(a.interval)}</p>
        <p>{grams(kitLoad(a.context.audit, CATALOGUE).massG)} in all</p>
        <p class="basis-full">{decidedBy(a)}</p>
      </div>
      <div class="mt-3 grid grid-cols-[minmax(0,1fr)] gap-5 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <div class="hidden md:block">
          <SievePicture {a} picked={shown} onpick={(i) => (picked = i)} />
        </div>
        <aside class="sheet self-start p-4">
          {#if shown !== null}<NeedReason {a} index={shown} />{/if}
        </aside>
      </div>
      <div class="mt-6 grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-2">
        <section>
          <h2 class="text-2xl">What nobody has</h2>
          <p class="text-sm text-soft">Each may think that somebody else carries it.</p>
          <ul class="mt-2" data-testid="nobody">
            {#each verdict.nobody as id (id)}
              <li class="flex items-center gap-2 py-1">
                <WeaveChip
                  mesh={a.needs[verdict.needs.findIndex((n) => n.need === id)]!.restsOn}
                  size={18}
                />
                <strong>{needLabel(fnOf(id))}</strong>
              </li>
            {:else}<li class="py-1">Everything asked for is there at least in part.</li>{/each}
          </ul>
        </section>
        <section>
          <h2 class="text-2xl">What is carried twice</h2>
          <p class="text-sm text-soft">
            More than one of them alone would do; weight to save, or depth.
          </p>
          <ul class="mt-2" data-testid="twice">
            {#each verdict.twice as id (id)}
              {@const n = verdict.needs.find((x) => x.need === id)!}
              <li class="py-1">
                <strong>{needLabel(fnOf(id))}</strong>
                <span class="text-soft">{n.metBy.map(carrier).join(", ")}</span>
              </li>
            {:else}<li class="py-1">Nothing.</li>{/each}
          </ul>
        </section>
      </div>
      <section class="mt-6">
        <h2 class="text-2xl">Who carries what</h2>
        <ul class="mt-2 divide-y divide-line border-y border-line" data-testid="carries">
          {#each verdict.needs as n (n.need)}
            <li class="flex flex-wrap gap-x-4 py-1.5 text-sm">
              <strong class="basis-64">{needLabel(fnOf(n.need))}</strong>
              <span class="w-14 text-right">{percent(n.value)} %</span>
              <span class="grow">{gives(n) || "nobody"}</span>
            </li>
          {/each}
        </ul>
      </section>
    {:else if members.length === 0}
      <p class="noted mt-5">No kit of this set is on the shelf. Add one.</p>
    {/if}
  </main>
{/if}
