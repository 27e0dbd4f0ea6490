<script lang="ts">
  import type { Deficit } from "$lib/core/log/deficits.ts";
  import type { LogState } from "$lib/state/pages/log.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import DateField from "$lib/ui/DateField.svelte";
  import NumberField from "$lib/ui/NumberField.svelte";
  import { saveCsv } from "$lib/ui/tables.ts";
  import { DEFICIT_WHY } from "$lib/words/eventTexts.ts";
  import { day, inPairs, many, money, pieceCount } from "$lib/words/sentences.ts";

  /** What is missing, to shop and to tick off. */
  const { log }: { log: LogState } = $props();
  const { kit } = $derived(log);
  let open = $state<string | null>(null);
  let pieces = $state<number | undefined>();
  let expires = $state<string | undefined>();
  let lot = $state("");
  let from = $state("");
  const typeOf = (d: Deficit) => (d.itemType ? kit.typeOf(d.itemType) : undefined);
  const offer = (d: Deficit) => log.putBackList.find((p) => p.itemType === d.itemType);
  const titleOf = (id: string | undefined) =>
    kit.book.products.find((p) => p.id === id)?.title ?? "";

  function begin(d: Deficit) {
    open = open === d.line ? null : d.line;
    pieces = d.pieces;
    expires = undefined;
    lot = from = "";
  }
  function done(e: SubmitEvent, d: Deficit) {
    e.preventDefault();
    if (pieces === undefined || pieces <= 0) return;
    log.putBack(d, { pieces, expires, lot: lot.trim(), from: from.trim() });
    open = null;
  }
  function save() {
    const rows = log.putBackList.map((p) => [
      titleOf(p.product) || kit.typeOf(p.itemType)?.label || p.itemType,
      p.pieces,
      p.packs,
      p.price,
      kit.currency,
    ]);
    saveCsv(`${kit.record?.kit.name ?? "kit"} put back`, [
      ["what", "pieces", "packs", "price", "currency"],
      ...rows,
    ]);
  }
</script>

<section aria-label="To put back">
  <h2 class="flex flex-wrap items-baseline gap-2 text-xl">
    To put back
    <span class="font-text text-sm font-normal text-soft"
      >{log.deficits.length === 0
        ? "nothing is missing"
        : `${many(log.deficits.length, "thing")}, ${money(log.putBackPrice, kit.currency)}`}</span
    >
  </h2>
  <ul class="mt-1 divide-y divide-line border-y border-line" data-testid="deficits">
    {#each log.deficits as d (d.line)}
      {@const p = offer(d)}
      <li class="py-2">
        <div class="flex items-start gap-3">
          <button
            class="btn min-h-11 px-3 py-1"
            aria-expanded={open === d.line}
            aria-label="Put back {log.nameOf(d.line)}"
            onclick={() => begin(d)}>Put back</button
          >
          <span class="min-w-0 flex-1"
            ><strong class="font-semibold break-words"
              >{pieceCount(d.pieces, typeOf(d))} × {log.nameOf(d.line)}</strong
            ><br /><span class="text-sm text-soft"
              >{DEFICIT_WHY[d.why]}, since {day(d.since)}{#if p?.product}{" "}· {p.packs} × {titleOf(
                  p.product,
                )}{/if}</span
            ></span
          >
          <span class="text-sm">{p?.product ? money(p.price, kit.currency) : "no offer"}</span>
        </div>
        {#each log.stores.filter((s) => d.itemType && log.inStore(s, d.itemType).length > 0) as s (s.id)}
          <button
            class="btn mt-2 min-h-10 px-3 py-1 text-sm"
            onclick={() => {
              const n = log.fromStore(s, d);
              workspace.say(
                `${many(n, "piece")} moved from ${s.kit.name}: that one less, this one more.`,
              );
            }}>From {s.kit.name}</button
          >
        {/each}
        {#if open === d.line}
          <form class="mt-2 flex flex-wrap items-end gap-2" onsubmit={(e) => done(e, d)}>
            <label class="flex flex-col text-sm"
              >{inPairs(typeOf(d)) ? "pairs" : "pieces"}<NumberField
                label="{inPairs(typeOf(d)) ? 'Pairs' : 'Pieces'} put back"
                value={pieces}
                onvalue={(n) => (pieces = n)}
              /></label
            >
            <label class="flex w-32 flex-col text-sm"
              >good to{typeOf(d)?.dated ? "" : ", if printed"}<DateField
                id="put-back-date"
                value={expires}
                onvalue={(v) => (expires = v)}
              /></label
            >
            <label class="flex flex-col text-sm"
              >lot<input class="field w-24" maxlength="120" bind:value={lot} /></label
            >
            <label class="flex min-w-28 flex-1 flex-col text-sm"
              >from<input
                class="field w-full"
                maxlength="300"
                placeholder="shop, store, home"
                bind:value={from}
              /></label
            >
            <button class="btn btn-main">It is in</button>
          </form>
        {/if}
      </li>
    {/each}
  </ul>
  {#if log.putBackList.length > 0}
    <button class="btn mt-2 min-h-10 px-3 py-1" onclick={save}>Shopping list, CSV</button>
  {/if}
</section>
