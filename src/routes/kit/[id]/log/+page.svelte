<script lang="ts">
  import { plain } from "$lib/state/plain.ts";
  import { onDestroy } from "svelte";
  import { addDays, lastGoodDay } from "$lib/core/base/dates.ts";
  import type { EventKind } from "$lib/core/model/event.ts";
  import { lineName, ownEvents, useKit } from "$lib/state/kit.svelte.ts";
  import { LogState } from "$lib/state/pages/log.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { download, fileName } from "$lib/ui/download.ts";
  import FilePicker from "$lib/ui/FilePicker.svelte";
  import { inDialog, shortcuts, typing } from "$lib/ui/keys.ts";
  import Tick from "$lib/ui/Tick.svelte";
  import { day, many, money, number, pieceCount } from "$lib/words/sentences.ts";
  import { CATEGORY_LABEL } from "$lib/words/labels.ts";
  import { LogRun } from "$lib/workers/logRun.svelte.ts";
  import Go from "./Go.svelte";
  import Happened from "./Happened.svelte";
  import NoteEvent from "./NoteEvent.svelte";
  import PutBack from "./PutBack.svelte";
  import Readiness from "./Readiness.svelte";
  import Taken from "./Taken.svelte";

  const kit = useKit();
  const log = new LogState(kit);
  const run = new LogRun();
  onDestroy(() => run.dispose());
  $effect(() => run.ask({ file: plain(kit.whole), today: workspace.today }));

  let taking = $state(false);
  let noting = $state(false);
  let going = $state(false);
  let kind = $state<EventKind>("carried");
  let lost = $state<readonly string[]>([]);
  let note = $state("");
  let picker: FilePicker;
  const due = $derived(
    kit.lines
      .filter((l) => l.expires && l.expires !== "none")
      .map((l) => ({ l, last: lastGoodDay(l.expires!) }))
      .sort((a, b) => (a.last < b.last ? -1 : 1)),
  );
  const functionOf = (need: string) =>
    kit.audit.context.needs.find((n) => n.need.id === need)?.need.function;
  const onKey = shortcuts(
    {
      t: () => (taking = true),
      r: () => (going = true),
      n: () => (noting = true),
    },
    (e) => workspace.settings.singleKeys !== false && !typing(e) && !inDialog(e),
  );
  function add(e: SubmitEvent) {
    e.preventDefault();
    const what = note.trim();
    if (!what) return;
    kit.update("note in the log", (r) => ({
      ...r,
      history: [...r.history, { on: workspace.today, what }],
    }));
    note = "";
  }
  const lasts = (days: number) =>
    days > 3650
      ? "for ten years or more"
      : `to ${day(addDays(workspace.today, Math.round(days))).replace(/^\d+ /, "")}`;
  async function takeFiles(files: File[]) {
    for (const f of files) log.takeIn(await f.text(), f.name);
  }
</script>

<svelte:window onkeydown={onKey} />

<div class="mx-auto grid max-w-7xl grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_24rem]">
  <section class="p-4 sm:p-5" data-keys>
    <div class="flex flex-wrap items-center gap-2">
      <h1 class="mr-auto text-3xl">
        {log.since ? `In service since ${day(log.since).replace(/^\d+ /, "")}` : "Log"}
      </h1>
      {#if log.seal}
        <span class="rounded-xs border border-ink px-2 py-1 text-sm font-semibold"
          >seal {log.seal.number}
          {log.seal.brokenBy ? `broken ${day(log.seal.brokenBy.on)}` : "whole"}</span
        >
      {/if}
      <button class="btn btn-main" onclick={() => (taking = true)}
        >What was taken? <span class="kbd">T</span></button
      >
      <button class="btn" onclick={() => (going = true)}
        >Ready to go <span class="kbd">R</span></button
      >
      <button class="btn" onclick={() => (noting = true)}
        >Something else <span class="kbd">N</span></button
      >
    </div>
    {#if lost.length > 0}
      <div class="noted mt-3" role="status" data-testid="lost">
        <strong>From now on:</strong>
        <ul class="list-disc pl-5">
          {#each lost as l (l)}<li>{l}</li>{/each}
        </ul>
        <button class="btn mt-2 min-h-9 px-3 py-1" onclick={() => (lost = [])}>Understood</button>
      </div>
    {/if}
    {#if log.since}
      <div class="mt-3 min-h-80">
        {#if run.said}
          <Readiness
            readiness={run.said.readiness}
            events={log.events}
            name={fileName(`${kit.record?.kit.name} readiness`, "")}
            {functionOf}
          />
        {:else if run.failure}
          <p class="noted">The readiness could not be worked out: {run.failure}.</p>
        {:else}
          <p class="sheet p-4 text-soft" aria-busy="true">Working out the readiness …</p>
        {/if}
      </div>
    {/if}
    <Happened {log} />

    <h2 class="mt-6 text-xl">Notes</h2>
    <form class="mt-2 flex gap-2" onsubmit={add}>
      <label class="grow"
        ><span class="sr-only">A note</span><input
          class="field w-full"
          bind:value={note}
          maxlength="2000"
          placeholder="Anything that changes no piece"
        /></label
      >
      <button class="btn">Note it</button>
    </form>
    <ol class="mt-2 divide-y divide-line">
      {#each [...(kit.record?.history ?? [])].reverse() as h, i (i)}
        <li class="flex gap-4 py-2">
          <time class="w-24 shrink-0 text-sm font-semibold">{day(h.on)}</time><span
            class="break-words">{h.what}</span
          >
        </li>
      {/each}
    </ol>
  </section>

  <aside class="border-line bg-sheet p-4 lg:border-l">
    <PutBack {log} />
    {#if log.carriedLapses.length > 0}
      <div class="noted mt-4 text-sm" data-testid="carried">
        <strong>After what it was carried through:</strong>
        {log.carriedLapses.map((l) => log.nameOf(l.line)).join(", ")}: unchecked again.
        {many(log.carriedLapses.length, "touch", "touches")}, {15 * log.carriedLapses.length} s.
        <a class="underline underline-offset-4" href="bench">To the bench</a>
      </div>
    {/if}
    {#if log.lineRates.length > 0}
      <h2 class="mt-5 text-xl">At this rate</h2>
      <ul class="mt-1 text-sm" data-testid="rates">
        {#each log.lineRates.slice(0, 6) as r (r.line)}
          {@const f = r.per100 > 0 ? r.perYear / r.per100 : 0}
          <li class="flex justify-between gap-3 py-1">
            <span
              >{log.nameOf(r.line)}: {number(r.perYear, 0)} a year ({number(r.low * f, 0)}–{number(
                r.high * f,
                0,
              )})</span
            >
            <strong class="shrink-0">{r.lastsDays === null ? "" : lasts(r.lastsDays)}</strong>
          </li>
        {/each}
      </ul>
      <details class="mt-1 text-sm">
        <summary class="min-h-9 cursor-pointer py-1 font-semibold">How sure that is</summary>
        <p>
          Incidents per 1,000 person-days: what was assumed, and what it is after this log. One use
          in a first week moves it little. Nine in ten between the two last figures. Planning
          figures, no statistics.
        </p>
        <table class="mt-1 w-full">
          <thead
            ><tr class="text-left"
              ><th>for</th><th>assumed</th><th>seen</th><th>now</th><th>from–to</th></tr
            ></thead
          >
          <tbody>
            {#each log.rates.filter((r) => r.incidents > 0) as r (r.category)}
              <tr class="border-t border-line"
                ><td>{CATEGORY_LABEL[r.category]}</td><td>{number(r.assumed, 1)}</td><td
                  >{r.incidents}</td
                ><td>{number(r.mean, 1)}</td><td>{number(r.low, 1)}–{number(r.high, 1)}</td></tr
              >
            {/each}
          </tbody>
        </table>
      </details>
    {/if}
    {#if log.rotationYear.lines.length > 0}
      <h2 class="mt-5 text-xl">Use it up elsewhere</h2>
      <p class="text-sm text-soft">
        {#if log.rotation.length > 0}Runs out within half a year: give it to home, training or a kit
          used daily, and put new in. Nothing near its date goes into a kit.{:else}Nothing runs out
          within half a year.{/if}
        In the year ahead {many(
          log.rotationYear.lines.length,
          "line",
        )}{#if log.rotationYear.saves > 0},
          {money(log.rotationYear.saves, kit.currency)} not thrown away{/if}.
      </p>
      <ul class="mt-1 text-sm" data-testid="rotation">
        {#each log.rotation as r (r.line)}
          <li class="flex items-center justify-between gap-3 py-1">
            <span
              >{pieceCount(r.pieces, kit.typeOf(r.itemType))} × {log.nameOf(r.line)}, good to {day(
                r.lastGood,
              )}{#if r.saves}, {money(r.saves, kit.currency)} not thrown away{/if}</span
            >
            <button
              class="btn min-h-9 shrink-0 px-2 py-0.5 text-sm"
              aria-label="Moved out to training: {log.nameOf(r.line)}"
              onclick={() =>
                log.note("moved", {
                  to: "home or training",
                  changes: [{ line: r.line, pieces: r.pieces }],
                })}>Moved out</button
            >
          </li>
        {/each}
      </ul>
    {/if}
    {#if log.cost.some((y) => y.spent > 0 || y.others.length > 0)}
      <h2 class="mt-5 text-xl">What it cost</h2>
      <p class="text-sm text-soft">
        Beside what the calendar foresaw for dates when the log began: the rest was used, lost or
        broken.
      </p>
      <ul class="mt-1 text-sm" data-testid="cost">
        {#each log.cost.filter((y) => y.spent + y.foreseen + y.others.length > 0) as y (y.year)}
          <li>
            {y.year}:
            <strong>{money(y.spent, kit.currency)}</strong>{#each y.others as o (o.currency)}
              and {money(o.amount, o.currency)}{/each}; foreseen {money(y.foreseen, kit.currency)}
          </li>
        {/each}
      </ul>
    {/if}
    <h2 class="mt-5 text-xl">Dates read</h2>
    {#if due.length === 0}<p class="mt-1 text-sm text-soft">No dates read yet.</p>{/if}
    <ol class="mt-1 divide-y divide-line text-sm">
      {#each due.slice(0, 8) as d (d.l.id)}
        <li class="flex gap-3 py-1.5">
          <time class="w-24 shrink-0 font-semibold {d.last < workspace.today ? 'bad' : ''}"
            >{day(d.last)}</time
          ><span
            >{lineName(d.l, d.l.itemType ? kit.typeOf(d.l.itemType)?.label : undefined)}{d.last <
            workspace.today
              ? ": past"
              : d.last < kit.audit.context.lastDay
                ? ": past on the last day"
                : ""}</span
          >
        </li>
      {/each}
    </ol>
    <h2 class="mt-5 text-xl">Two people, two devices</h2>
    <p class="text-sm text-soft">
      The kit goes as a file to whoever has it; her log comes back the same way and is put together
      with yours, each event once.
    </p>
    <div class="mt-2 flex flex-wrap gap-2">
      <button
        class="btn min-h-10 px-3 py-1"
        onclick={() => {
          ownEvents.clear();
          download(
            fileName(kit.record?.kit.name ?? "kit", ".audit.json"),
            JSON.stringify(kit.whole, null, 1),
          );
        }}>Kit with its log</button
      >
      <button class="btn min-h-10 px-3 py-1" onclick={() => picker.pick()}>Take in a log</button>
      <button
        class="btn min-h-10 px-3 py-1"
        disabled={log.events.length === 0}
        onclick={() =>
          download(fileName(`${kit.record?.kit.name} log`, ".csv"), log.csv(), "text/csv")}
        >Log as CSV</button
      >
    </div>
    <Tick
      class="mt-3"
      checked={kit.record?.isStore === true}
      onchange={(on) =>
        kit.update("a store", ({ isStore: _, ...r }) => (on ? { ...r, isStore: true } : r))}
      >This is a store of spare stock: other kits are filled up from it</Tick
    >
    <FilePicker
      bind:this={picker}
      label="Log to take in"
      accept=".json,.csv,application/json,text/csv"
      multiple
      onfiles={(files) => void takeFiles(files)}
    />
  </aside>
</div>

<Taken bind:open={taking} {log} ontaken={(l) => (lost = l)} />
<NoteEvent bind:open={noting} bind:kind {log} />
<Go bind:open={going} {log} go={run.said?.go ?? null} running={run.running} />
