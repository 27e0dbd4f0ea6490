<script lang="ts">
  import { inOrder } from "$lib/core/events/order.ts";
  import { replay } from "$lib/core/events/replay.ts";
  import { deficitsOf } from "$lib/core/log/deficits.ts";
  import { eventText } from "$lib/words/eventTexts.ts";
  import { logProblemText } from "$lib/words/logProblems.ts";
  import { lastGoodDay } from "$lib/core/base/dates.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";

  const kit = useKit();
  let note = $state("");
  const due = $derived(
    kit.lines
      .filter((l) => l.expires && l.expires !== "none")
      .map((l) => ({ l, last: lastGoodDay(l.expires!) }))
      .sort((a, b) => (a.last < b.last ? -1 : 1)),
  );
  const events = $derived(inOrder(kit.record?.events ?? []).reverse());
  const replayed = $derived(replay(kit.lines, kit.record?.events ?? []));
  const nameOf = (id: string) => {
    const line = kit.lines.find((l) => l.id === id);
    return line ? lineName(line, line.itemType ? kit.typeOf(line.itemType)?.label : undefined) : id;
  };
  const deficits = $derived(events.length > 0 ? deficitsOf(replayed, workspace.today) : []);
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
  import { day, number } from "$lib/words/display.ts";
</script>

<div class="mx-auto grid max-w-6xl gap-6 p-4 sm:p-6 lg:grid-cols-2">
  <section>
    <h1 class="text-3xl">Log</h1>
    <form class="mt-3 flex gap-2" onsubmit={add}>
      <label class="grow"
        ><span class="sr-only">What happened</span><input
          class="field w-full"
          bind:value={note}
          maxlength="2000"
          placeholder="Used, put back, seal, wear …"
        /></label
      >
      <button class="btn btn-main">Note it</button>
    </form>
    {#if events.length > 0}
      <h2 class="mt-5 text-xl">Events</h2>
      <ol class="mt-2 divide-y divide-line" data-testid="events">
        {#each events as e (e.id)}
          <li class="flex gap-4 py-2">
            <time class="shrink-0 font-semibold">{day(e.on)}</time><span class="break-words"
              >{eventText(e, nameOf)}</span
            >
          </li>
        {/each}
      </ol>
      {#if deficits.length > 0}
        <h2 class="mt-5 text-xl">To put back</h2>
        <ul class="mt-2 divide-y divide-line" data-testid="deficits">
          {#each deficits as d (d.line)}
            <li class="py-2">
              {number(d.pieces)} of {nameOf(d.line)}
              <span class="text-soft">· {d.why}, since {day(d.since)}</span>
            </li>
          {/each}
        </ul>
      {/if}
      {#each replayed.problems as p (`${p.event} ${p.line ?? ""}`)}
        <p class="noted mt-2 text-sm">
          {p.event}{p.line ? `, ${p.line}` : ""}: {logProblemText(p)}.
        </p>
      {/each}
    {/if}
    {#if (kit.record?.history.length ?? 0) === 0 && events.length === 0}<p class="mt-4 text-soft">
        Nothing noted yet. What is used and never put back is the commonest gap.
      </p>{/if}
    <ol class="mt-4 divide-y divide-line">
      {#each [...(kit.record?.history ?? [])].reverse() as h, i (i)}
        <li class="flex gap-4 py-2">
          <time class="shrink-0 font-semibold">{day(h.on)}</time><span class="break-words"
            >{h.what}</span
          >
        </li>
      {/each}
    </ol>
  </section>
  <section>
    <h2 class="text-2xl">Dates read</h2>
    {#if due.length === 0}<p class="mt-2 text-soft">No dates read yet.</p>{/if}
    <ol class="mt-2 divide-y divide-line">
      {#each due as d (d.l.id)}
        <li class="flex gap-4 py-2">
          <time class="shrink-0 font-semibold {d.last < workspace.today ? 'bad' : ''}"
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
  </section>
</div>
