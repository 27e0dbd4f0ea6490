<script lang="ts">
  import { told, type Told } from "$lib/words/problems.ts";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { Dialog } from "bits-ui";
  import Papa from "papaparse";
  import { buildVocabulary, matchType, NO_TYPE } from "$lib/core/card/vocabulary.ts";
  import {
    guessPriceColumns,
    mergeBooks,
    priceBookOfTable,
    PRICE_COLUMNS,
    type PriceColumn,
  } from "$lib/core/formats/priceCsv.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import ColumnTable from "$lib/ui/ColumnTable.svelte";
  import { cardTextOf } from "$lib/state/import/readFile.ts";
  import { PRICE_COLUMN_LABEL } from "$lib/words/labels.ts";

  /** A supplier's table: says what its columns hold, then adds to the book or takes its place. */
  let open = $state(false);
  let name = $state("");
  let rows = $state.raw<readonly (readonly string[])[]>([]);
  let roles = $state<(PriceColumn | null)[]>([]);
  let heading = $state(true);
  let source = $state("");
  let currency = $state("");
  let problems = $state.raw<readonly Told[]>([]);
  let picker: HTMLInputElement;

  async function read(file: File | undefined) {
    if (!file) return;
    try {
      const text = await cardTextOf(file);
      const parsed = Papa.parse<string[]>(text.trim(), { skipEmptyLines: "greedy" });
      if (parsed.data.length === 0) throw new Error("nothing stands in it");
      rows = parsed.data;
      const width = Math.max(...rows.slice(0, 20).map((r) => r.length));
      const guess = guessPriceColumns(rows[0]!);
      roles = Array.from({ length: width }, (_, i) => guess[i] ?? null);
      heading = guess.some((r) => r !== null);
      name = file.name;
      source = file.name.replace(/\.[^.]+$/, "");
      currency = workspace.priceBook.currency;
      problems = [];
      open = true;
    } catch (error) {
      workspace.say(
        `${file.name} could not be read (${(error as Error).message}). The price book is as it was.`,
        true,
      );
    }
    picker.value = "";
  }
  const COLUMNS = PRICE_COLUMNS.map((c) => [c, PRICE_COLUMN_LABEL[c]] as const);
  const ready = $derived(roles.includes("title") && roles.includes("price"));
  function take(replace: boolean) {
    const vocabulary = buildVocabulary(CATALOGUE, workspace.aliases);
    const byWords = (words: string): string | null => {
      if (workspace.typeOf(words)) return words;
      const match = matchType(words, vocabulary);
      return match.type !== null && match.type !== NO_TYPE && match.whole === 1 ? match.type : null;
    };
    const outcome = priceBookOfTable(
      rows,
      { roles, hasHeading: heading, currency, source, today: workspace.today },
      byWords,
    );
    if (!outcome.ok) {
      problems = outcome.problems.map(told);
      return;
    }
    const book = workspace.priceBook;
    if (!replace && outcome.value.currency !== book.currency) {
      problems = [
        {
          where: "currency",
          what: `is ${outcome.value.currency}, the book is in ${book.currency}: put it in place of the book, or convert the file first`,
        },
      ];
      return;
    }
    if (replace) {
      workspace.changePriceBook(`import ${name}`, { ...outcome.value, title: name });
      workspace.say(
        `${outcome.value.products.length} products from ${name} are the price book now. Undo brings the former one back.`,
      );
    } else {
      const merged = mergeBooks(book, outcome.value, workspace.today);
      workspace.changePriceBook(`import ${name}`, merged.book);
      workspace.say(
        `From ${name}: ${merged.added} products added, ${merged.changed} brought up to date.`,
      );
    }
    open = false;
  }
</script>

<input
  bind:this={picker}
  type="file"
  accept=".csv,.tsv,.txt,.xlsx"
  class="sr-only"
  tabindex="-1"
  aria-label="A price list as CSV or XLSX"
  onchange={(e) => void read(e.currentTarget.files?.[0])}
/>
<button class="btn" onclick={() => picker.click()}>Take in a price list</button>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-50 bg-black/40" />
    <Dialog.Content
      class="sheet fixed top-[6vh] left-1/2 z-50 max-h-[88vh] w-[min(64rem,94vw)] -translate-x-1/2 overflow-auto border-2 border-ink p-6"
    >
      <Dialog.Title class="font-head text-2xl font-bold">What do the columns hold?</Dialog.Title>
      <Dialog.Description class="text-sm text-soft"
        >{name}, {rows.length - (heading ? 1 : 0)} rows. A name and a price are needed. Without a kind,
        the name says what it is.</Dialog.Description
      >
      <ColumnTable {rows} bind:roles bind:heading options={COLUMNS} />
      <div class="mt-3 flex flex-wrap items-end gap-4">
        {#if !roles.includes("source")}<label class="flex flex-col gap-1"
            ><span>Source of all</span><input
              class="field"
              bind:value={source}
              maxlength="200"
            /></label
          >{/if}
        {#if !roles.includes("currency")}<label class="flex flex-col gap-1"
            ><span>Currency of all</span><input
              class="field w-24 uppercase"
              bind:value={currency}
              maxlength="3"
            /></label
          >{/if}
      </div>
      {#if problems.length > 0}
        <div class="noted mt-3" role="alert">
          <p class="font-semibold">Nothing was taken in; the price book is as it was.</p>
          <ul class="mt-1 max-h-40 list-disc overflow-auto pl-5">
            {#each problems.slice(0, 50) as p, i (i)}<li>{p.where}: {p.what}</li>{/each}
          </ul>
          {#if problems.length > 50}<p>And {problems.length - 50} more.</p>{/if}
        </div>
      {/if}
      <div class="mt-4 flex flex-wrap gap-3">
        <button class="btn btn-main" disabled={!ready} onclick={() => take(false)}
          >Add to the book</button
        >
        <button class="btn" disabled={!ready} onclick={() => take(true)}
          >Put it in place of the book</button
        >
        <Dialog.Close class="btn">Not now</Dialog.Close>
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
