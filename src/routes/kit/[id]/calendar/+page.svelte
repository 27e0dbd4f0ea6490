<script lang="ts">
  import Toggle from "$lib/ui/Toggle.svelte";
  import { page } from "$app/state";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import { CalendarState, EVENT_KINDS } from "$lib/state/pages/calendar.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import Chart from "$lib/ui/Chart.svelte";
  import { download, fileName } from "$lib/ui/download.ts";
  import { EVENT_LABEL, EVENT_WHY } from "$lib/words/calendarTexts.ts";
  import { day, many, money } from "$lib/words/sentences.ts";

  const kit = useKit();
  const calendar = new CalendarState(kit);
  const listed = $derived(calendar.listed);
  const inMonth = $derived(calendar.inMonth);
  const elsewhere = $derived(calendar.elsewhere);
  const cost = $derived(calendar.cost);
  const WEEK = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];

  function save() {
    try {
      const name = fileName(`${calendar.kitName} calendar`, ".ics");
      download(name, calendar.icalendar(), "text/calendar");
    } catch (error) {
      workspace.say(`The calendar could not be made: ${(error as Error).message}`, true);
    }
  }
</script>

<div
  class="mx-auto grid max-w-6xl grid-cols-[minmax(0,1fr)] gap-8 p-4 sm:p-6 lg:grid-cols-[1fr_1.1fr]"
>
  <section>
    <h1 class="text-3xl">Calendar</h1>
    <p class="text-soft">What runs out, what to order before, what to look at again.</p>
    <div class="mt-3 flex flex-wrap gap-2" role="group" aria-label="What is shown">
      {#each EVENT_KINDS as k (k)}
        <Toggle
          class="min-h-10 px-3 py-1 font-normal"
          on={calendar.shown[k]}
          title={EVENT_WHY[k]}
          ontoggle={() => calendar.toggle(k)}>{EVENT_LABEL[k]}</Toggle
        >
      {/each}
      <button class="btn btn-main min-h-10 px-3 py-1" disabled={listed.length === 0} onclick={save}
        >Into the diary (iCalendar)</button
      >
    </div>
    <ol class="mt-4 divide-y divide-line border-y border-line" data-testid="due">
      {#each listed as d (d.uid)}
        <li class="flex gap-4 py-2">
          <time
            datetime={d.day}
            class="w-28 shrink-0 font-semibold {d.day < workspace.today ? 'bad' : ''}"
            >{day(d.day)}</time
          >
          <span
            ><strong>{calendar.nameOf(d) ?? "The whole kit"}</strong>
            {EVENT_LABEL[d.kind]}{d.day < workspace.today ? ", past" : ""}</span
          >
        </li>
      {:else}<li class="py-2 text-soft">Nothing is due.</li>{/each}
    </ol>
    <p class="mt-6"><a class="btn" href="/kit/{page.params['id']}/plan">To the plan</a></p>
  </section>
  <section>
    <div class="flex items-center justify-between gap-3">
      <button class="btn" onclick={() => calendar.offset--} aria-label="The month before">‹</button>
      <h2 class="text-2xl" aria-live="polite">{day(calendar.month)}</h2>
      <button class="btn" onclick={() => calendar.offset++} aria-label="The month after">›</button>
    </div>
    <p class="mt-2 flex min-h-11 flex-wrap items-center gap-3">
      {#if inMonth.length === 0}
        <span class="text-soft">Nothing is due this month.</span>
        {#if elsewhere}<button
            class="btn min-h-9 px-3 py-1"
            onclick={() => calendar.goTo(elsewhere.day)}>To {day(elsewhere.day.slice(0, 7))}</button
          >{/if}
      {:else}<span
          >{inMonth.length} {inMonth.length === 1 ? "thing" : "things"} due this month.</span
        >{/if}
    </p>
    <div class="grid grid-cols-7 gap-px border border-line bg-line text-sm">
      {#each WEEK as w (w)}<div class="bg-sheet p-1 text-center font-semibold">{w}</div>{/each}
      {#each calendar.cells as c, i (i)}
        {@const own = c ? listed.filter((d) => d.day === c) : []}
        <div class="min-h-16 bg-sheet p-1 {c === workspace.today ? 'outline-2 outline-pass' : ''}">
          {#if c}<span class={own.length > 0 ? "font-bold" : "text-soft"}>{Number(c.slice(8))}</span
            >
            {#each own.slice(0, 3) as d (d.uid)}
              <span
                class="block truncate text-xs"
                title="{calendar.nameOf(d) ?? 'the whole kit'}: {EVENT_LABEL[d.kind]}"
                >{calendar.nameOf(d) ?? "whole kit"}</span
              >
            {/each}
            {#if own.length > 3}<span class="text-xs">+{own.length - 3}</span>{/if}{/if}
        </div>
      {/each}
    </div>

    <h2 class="mt-8 text-2xl">Keeping it as it is</h2>
    <p data-testid="upkeep">
      Over five years {money(cost.total, kit.currency)} for what runs out{cost.unpriced.length > 0
        ? `; ${many(cost.unpriced.length, "line")} without a product in the price book`
        : ""}.
    </p>
    <Chart
      height={220}
      label="Cost by year: {cost.years
        .map((y) => `${y.year} ${money(y.price, kit.currency)}`)
        .join(', ')}"
      options={{
        chart: { type: "bar" },
        series: [{ name: kit.currency, data: cost.years.map((y) => y.price) }],
        xaxis: { categories: cost.years.map((y) => String(y.year)) },
        colors: ["var(--pass)"],
        plotOptions: { bar: { columnWidth: "60%" } },
      }}
    />
    <table class="mt-2 w-full text-sm">
      <tbody>
        {#each cost.years.filter((y) => y.price > 0) as y (y.year)}
          <tr class="border-b border-line align-top">
            <th class="py-1 pr-3 text-left">{y.year}</th>
            <td class="pr-3 text-right font-semibold whitespace-nowrap"
              >{money(y.price, kit.currency)}</td
            >
            <td
              >{y.byType
                .slice(0, 3)
                .map(
                  (t) =>
                    `${kit.typeOf(t.itemType)?.label ?? t.itemType} ${money(t.price, kit.currency)}`,
                )
                .join(", ")}{y.byType.length > 3 ? ` and ${y.byType.length - 3} more` : ""}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  </section>
</div>
