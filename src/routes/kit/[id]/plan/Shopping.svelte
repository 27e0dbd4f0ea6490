<script lang="ts">
  import type { Action } from "$lib/core/plan/actions.ts";
  import type { PriceBook } from "$lib/core/model/priceBook.ts";
  import { shoppingList, shoppingTable } from "$lib/core/plan/shopping.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { saveCsv, saveXlsx } from "$lib/ui/tables.ts";
  import { money, number } from "$lib/words/sentences.ts";
  import CarryOut from "./CarryOut.svelte";
  import { shoppingText } from "$lib/words/shoppingText.ts";

  interface Props {
    actions: readonly Action[];
    book: PriceBook;
    currency: string;
    kitName: string;
    lineLabel: (id: string) => string;
  }
  const { actions, book, currency, kitName, lineLabel }: Props = $props();
  let done = $state(false);
  const kit = useKit();
  const sources = $derived(shoppingList(actions, book, kit.typeOf));
  const total = $derived(sources.reduce((s, x) => s + x.price, 0));
  const table = $derived(shoppingTable(sources, currency));
  async function copy() {
    const text = shoppingText(sources, currency, kitName);
    try {
      await navigator.clipboard.writeText(text);
      workspace.say("The shopping list is copied as text.");
    } catch {
      workspace.say("The browser does not allow copying here. Save it as CSV instead.", true);
    }
  }
</script>

{#if sources.length > 0}
  <section id="shopping" aria-label="Shopping list">
    <div class="flex flex-wrap items-center gap-2 border-b border-line px-5 pt-6 pb-2">
      <h2 class="mr-auto text-xl">Shopping list, {money(total, currency)}</h2>
      <button class="btn btn-main no-print min-h-9 px-3 py-1" onclick={() => (done = true)}
        >Bought and packed</button
      >
      <button class="btn no-print min-h-9 px-3 py-1" onclick={copy}>Copy as text</button>
      <button
        class="btn no-print min-h-9 px-3 py-1"
        onclick={() => saveCsv(`${kitName} shopping`, table)}>CSV</button
      >
      <button
        class="btn no-print min-h-9 px-3 py-1"
        onclick={() => saveXlsx(`${kitName} shopping`, table)}>XLSX</button
      >
      <button class="btn no-print min-h-9 px-3 py-1" onclick={() => print()}>Print</button>
    </div>
    {#each sources as s (s.source)}
      <h3 class="flex justify-between gap-3 px-5 pt-3 text-lg">
        <span
          >{s.source || "No source given"}<span class="font-text text-sm font-normal text-soft"
            >{s.leadDays !== null
              ? ` · arrives in ${s.leadDays} ${s.leadDays === 1 ? "day" : "days"}`
              : ""}</span
          ></span
        ><span>{money(s.price, currency)}</span>
      </h3>
      <ul class="px-5 pb-3">
        {#each s.lines as l (l.product.id)}
          <li class="border-b border-line py-1 text-sm">
            <span class="flex justify-between gap-4"
              ><span class="min-w-0 break-words"
                >{l.packs} × {l.product.title}{l.spare > 0
                  ? ` (${number(l.pieces - l.spare)} needed, ${number(l.spare)} of ${l.pieces} left over)`
                  : ""}</span
              ><span class="whitespace-nowrap">{money(l.price, currency)}</span></span
            >
            <span class="text-soft"
              >{l.alternates.length > 0
                ? `If it is out of stock: ${l.alternates.map((p) => `${p.title}, ${money(p.price.amount, currency)}`).join("; ")}`
                : "Nothing else in the price book could stand in."}</span
            >
          </li>
        {/each}
        {#if s.postage > 0}<li class="flex justify-between gap-4 border-b border-line py-1 text-sm">
            <span>postage</span><span>{money(s.postage, currency)}</span>
          </li>{/if}
      </ul>
    {/each}
  </section>
{/if}
<CarryOut bind:open={done} {actions} {total} {currency} {lineLabel} />
