<script lang="ts">
  import Choice from "$lib/ui/Choice.svelte";
  import { goto } from "$app/navigation";
  import { page } from "$app/state";
  import { SetState } from "$lib/state/pages/set.svelte.ts";
  import { kitPath } from "$lib/state/paths.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import NeedReason from "$lib/ui/NeedReason.svelte";
  import NumberField from "$lib/ui/NumberField.svelte";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import SievePicture from "$lib/ui/SievePicture.svelte";
  import { saveCsv } from "$lib/ui/tables.ts";
  import WeaveChip from "$lib/ui/WeaveChip.svelte";
  import { grams, needLabel, percent, percentRange } from "$lib/words/sentences.ts";
  import { decidedBy } from "$lib/words/reasons.ts";

  const set = new SetState(() => `set:${page.params["id"]}`);
  const record = $derived(set.record);
  const verdict = $derived(set.verdict);
  const a = $derived(set.audit);
  const save = () => saveCsv(`${record?.title ?? "set"} who carries what`, set.table());
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
          oninput={(e) => set.change("name the set", { title: e.currentTarget.value }, "title")}
        /></label
      >
      <label class="flex flex-col gap-1"
        ><span class="text-sm font-semibold">Judged by the brief, list and rules of</span><Choice
          label="Judged by the brief, list and rules of"
          value={record.judgedBy}
          options={workspace.kits.map((k) => ({
            value: k.id,
            label: `${k.kit.name}, ${k.list.title}`,
          }))}
          onchoose={(judgedBy) => set.change("judge the set by", { judgedBy })}
        /></label
      >
    </div>
    <ul class="mt-4 grid gap-2">
      {#each set.members as m (m.kit)}
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
              onvalue={(n) => n !== undefined && set.changeMember(m.kit, { count: n }, "count")}
            /></label
          >
          <label class="flex grow flex-col text-sm"
            >carried by<input
              class="field"
              value={m.carriedBy ?? ""}
              maxlength="200"
              placeholder="the leader, each picker, the pickup …"
              aria-label="Who carries {m.record.kit.name}"
              oninput={(e) => set.changeMember(m.kit, { carriedBy: e.currentTarget.value }, "by")}
            /></label
          >
          <button
            class="btn"
            aria-label="Take out: {m.record.kit.name}"
            onclick={() => set.takeOut(m.kit)}>Take out</button
          >
        </li>
      {/each}
    </ul>
    <div class="mt-2 flex flex-wrap gap-3">
      <Choice
        label="Add a kit to the set"
        value=""
        hint="add a kit …"
        options={set.others.map((k) => ({ value: k.id, label: k.kit.name }))}
        onchoose={(kit) => set.add(kit)}
      />
      <button class="btn" onclick={save}>Who carries what, as CSV</button>
      <button class="btn" onclick={() => set.remove() && goto("/compare")}>Remove the set</button>
    </div>

    {#if a && verdict && a.needs.length > 0}
      <div class="mt-5 flex flex-wrap items-baseline gap-x-4">
        <h2 class="text-3xl" data-testid="set-grade">{a.grade}</h2>
        <p class="text-lg font-semibold">coverage {percentRange(a.interval)}</p>
        <p>{grams(set.massG)} in all</p>
        <p class="basis-full">{decidedBy(a)}</p>
      </div>
      <div class="mt-3 grid grid-cols-[minmax(0,1fr)] gap-5 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <div class="hidden md:block">
          <SievePicture {a} picked={set.shown} onpick={(i) => (set.picked = i)} />
        </div>
        <aside class="sheet self-start p-4">
          {#if set.shown !== null}<NeedReason {a} index={set.shown} />{/if}
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
                <strong>{needLabel(set.functionOf(id))}</strong>
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
                <strong>{needLabel(set.functionOf(id))}</strong>
                <span class="text-soft">{n.metBy.map((kit) => set.carrier(kit)).join(", ")}</span>
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
              <strong class="basis-64">{needLabel(set.functionOf(n.need))}</strong>
              <span class="w-14 text-right">{percent(n.value)} %</span>
              <span class="grow">{set.givers(n) || "nobody"}</span>
            </li>
          {/each}
        </ul>
      </section>
    {:else if set.members.length === 0}
      <p class="noted mt-5">No kit of this set is on the shelf. Add one.</p>
    {/if}
  </main>
{/if}
