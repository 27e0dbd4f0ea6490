<script lang="ts">
  import Progress from "$lib/ui/Progress.svelte";
  import StartStop from "$lib/ui/StartStop.svelte";
  import { ChevronDown, ChevronUp } from "lucide";
  import Icon from "$lib/ui/Icon.svelte";
  import Toggle from "$lib/ui/Toggle.svelte";
  import Choice from "$lib/ui/Choice.svelte";
  import { goto } from "$app/navigation";
  import { onDestroy } from "svelte";
  import { compareTable } from "$lib/core/formats/compareTable.ts";
  import { CompareState } from "$lib/state/pages/compare.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { download, fileName } from "$lib/ui/download.ts";
  import { kitPath } from "$lib/state/paths.ts";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import SieveMark from "$lib/ui/SieveMark.svelte";
  import { toHtml } from "$lib/report/toHtml.ts";
  import { toMarkdown } from "$lib/report/toMarkdown.ts";
  import { toPdf } from "$lib/report/toPdf.ts";
  import { savePdf } from "$lib/ui/pdf.ts";
  import { saveCsv, saveXlsx } from "$lib/ui/tables.ts";
  import { grams, litres, money, number, percentRange } from "$lib/words/sentences.ts";
  import ByCategory from "./ByCategory.svelte";
  import BySchool from "./BySchool.svelte";
  import TwoOfThem from "./TwoOfThem.svelte";

  const compare = new CompareState();
  const sorted = $derived(compare.sorted);
  const ready = $derived(compare.ready);
  const cheapest = $derived(compare.cheapest);
  const lightest = $derived(compare.lightest);
  const own = $derived(compare.own);
  const currency = $derived(compare.currency);
  const plans = $derived(compare.contenders.length + 1);
  const planned = $derived(plans - compare.queue.length);
  const table = $derived(compareTable(sorted, ready));
  const TITLE = "Kits side by side";

  // The workers follow what is asked.
  $effect(() => compare.askRows());
  $effect(() => compare.forgetPlans());
  $effect(() => compare.takeAnswer());
  onDestroy(() => compare.dispose());

  function asSet() {
    const key = compare.makeSet();
    if (key) void goto(`/sets/${key}`);
  }
</script>

<svelte:head><title>Compare · Wide Sieve</title></svelte:head>
<ShelfHeader title={TITLE} about="Under one brief, one list, one school." />
<main class="mx-auto max-w-7xl p-4 sm:p-6">
  {#if workspace.kits.length === 0}
    <p class="noted">
      There is no kit on the shelf yet. <a class="underline" href="/">To the shelf</a>
    </p>
  {:else}
    <div class="grid grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-[1fr_1fr]">
      <fieldset>
        <legend class="font-semibold">Kits</legend>
        <div class="mt-1 flex flex-wrap gap-2">
          {#each workspace.kits as k (k.id)}
            <Toggle
              class="min-h-10 px-3 py-1"
              on={!compare.left[k.id]}
              ontoggle={(on) => (compare.left = { ...compare.left, [k.id]: !on })}
              >{k.kit.name}</Toggle
            >
          {/each}
        </div>
      </fieldset>
      <label class="flex flex-col gap-1"
        ><span class="font-semibold">Judged as</span><Choice
          label="Judged as"
          value={compare.judgeKit?.id ?? ""}
          options={workspace.kits.map((k) => ({
            value: k.id,
            label: `${workspace.brief(k.briefId)?.brief.title || "untitled brief"}, by ${k.list.title} (as ${k.kit.name})`,
          }))}
          onchoose={(id) => (compare.judgeId = id)}
        /></label
      >
    </div>

    {#if compare.compared.failure}
      <p class="noted mt-4" role="alert">
        The comparison could not be made: {compare.compared.failure}. Choose the kits again.
      </p>
    {/if}
    {#if sorted.length > 0}
      <div class="mt-4 flex flex-wrap items-center gap-3">
        {#if compare.queue.length > 0}
          <span aria-live="polite">Working out what it takes: {planned} of {plans}</span>
          <Progress label="Plans worked out" max={plans} value={planned} />
        {/if}
        <StartStop
          main
          start="What each costs to make ready"
          running={compare.queue.length > 0}
          onstart={() => compare.workOut()}
          onstop={() => compare.stopPlans()}
        />
        <button class="btn" onclick={() => saveCsv(TITLE, table)}>CSV</button>
        <button class="btn" onclick={() => saveXlsx(TITLE, table)}>XLSX</button>
        <button
          class="btn"
          onclick={() =>
            download(fileName(TITLE, "-report.html"), toHtml(TITLE, compare.report()), "text/html")}
          >Report, HTML</button
        >
        <button
          class="btn"
          onclick={() =>
            download(fileName(TITLE, ".md"), toMarkdown(compare.report()), "text/markdown")}
          >Markdown</button
        >
        <button
          class="btn"
          onclick={() =>
            savePdf(fileName(TITLE, "-report.pdf"), toPdf(TITLE, compare.report())).catch(
              (error: unknown) =>
                workspace.say(`The PDF could not be made: ${(error as Error).message}`, true),
            )}>Report, PDF</button
        >
        <button class="btn" disabled={compare.chosen.length === 0} onclick={asSet}
          >They go out together: judge as a set</button
        >
      </div>
      {#if cheapest || lightest || own}
        <ul class="noted mt-3" data-testid="winners">
          {#if cheapest}<li>
              Cheapest once made ready: <strong>{cheapest.r.name}</strong>, {money(
                cheapest.v,
                currency,
              )}
              ({money(cheapest.r.price!, currency)} + {money(
                ready.get(cheapest.r.id)!.price,
                currency,
              )}).
            </li>{/if}
          {#if lightest}<li>
              Lightest once made ready: <strong>{lightest.r.name}</strong>, {grams(lightest.v)}.
            </li>{/if}
          {#if own}<li>
              Built from an empty bag: {money(own.price, currency)} without the bag, {grams(
                own.massG,
              )}.
            </li>{/if}
        </ul>
      {/if}

      <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
      <div class="mt-4 overflow-x-auto" role="region" aria-label="Kits in a table" tabindex="0">
        <table class="w-full text-sm" data-testid="comparison">
          <thead>
            <tr class="border-b border-ink text-left align-bottom">
              {#each compare.columns as [id, label] (id)}
                <th
                  class="py-1 pr-3 {id === 'name' ? '' : 'text-right'}"
                  aria-sort={compare.sortBy === id
                    ? compare.down
                      ? "descending"
                      : "ascending"
                    : "none"}
                  ><button class="min-h-9 text-left font-semibold" onclick={() => compare.sort(id)}
                    >{label}{#if compare.sortBy === id}{#if compare.down}<Icon
                          of={ChevronDown}
                          size={16}
                        />{:else}<Icon of={ChevronUp} size={16} />{/if}{/if}</button
                  ></th
                >
              {/each}
            </tr>
          </thead>
          <tbody>
            {#each sorted as r (r.id)}
              {@const cost = ready.get(r.id)}
              <tr class="border-b border-line">
                <td class="py-2 pr-3"
                  ><span class="flex items-center gap-3"
                    ><SieveMark a={r} /><span
                      ><a class="font-semibold underline" href="{kitPath(r.id)}/sieve">{r.name}</a
                      ><br />{r.grade ?? "nothing asked"} · {r.inspected} of {r.lines} inspected</span
                    ></span
                  ></td
                >
                <td class="pr-3 text-right font-semibold">{percentRange(r.interval)}</td>
                <td class="pr-3 text-right"
                  >{r.price === null || !r.currency ? "–" : money(r.price, r.currency)}</td
                >
                <td class="pr-3 text-right"
                  >{grams(r.massG)}{r.carried === "no" ? ", may stay at home" : ""}</td
                >
                <td class="pr-3 text-right">{litres(r.volumeMl)}</td>
                <td class="pr-3 text-right">{r.quality === null ? "–" : number(r.quality, 0)}</td>
                <td class="pr-3 text-right">{r.serving} of {r.pieces}</td>
                <td class="pr-3 text-right"
                  >{r.pricePerPoint === null || !r.currency
                    ? "–"
                    : money(r.pricePerPoint, r.currency)}</td
                >
                <td class="pr-3 text-right"
                  >{cost ? money(cost.price, currency) : cost === null ? "no plan" : "–"}</td
                >
                <td class="text-right font-semibold"
                  >{compare.inAll(r) === null ? "–" : money(compare.inAll(r)!, currency)}</td
                >
              </tr>
            {/each}
          </tbody>
        </table>
      </div>

      <ByCategory rows={sorted} />

      <TwoOfThem rows={sorted} />

      <BySchool
        rows={sorted}
        schools={compare.compared.schools}
        trying={compare.wantSchools}
        ontry={() => (compare.wantSchools = true)}
      />
    {:else}
      <p class="mt-6">No kit is chosen.</p>
    {/if}
    {#if workspace.sets.length > 0}
      <section class="mt-8">
        <h2 class="text-2xl">Sets</h2>
        <ul class="mt-2 grid gap-2">
          {#each workspace.sets as s (s.id)}
            <li>
              <a class="underline" href="/sets/{s.id.replace(/^set:/, '')}"
                >{s.title || "untitled set"}</a
              >,
              {s.members.length} kits
            </li>
          {/each}
        </ul>
      </section>
    {/if}
  {/if}
</main>
