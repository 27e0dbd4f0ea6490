<script lang="ts">
  import FilePicker from "$lib/ui/FilePicker.svelte";
  import { Dialog } from "bits-ui";
  import { PRICE_COLUMNS } from "$lib/core/formats/priceCsv.ts";
  import { cardTextOf } from "$lib/state/import/readFile.ts";
  import { ImportPricesState } from "$lib/state/pages/importPrices.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import ColumnTable from "$lib/ui/ColumnTable.svelte";
  import { PRICE_COLUMN_LABEL } from "$lib/words/labels.ts";

  /** A supplier's table: says what its columns hold, then adds to the book or takes its place. */
  const take = new ImportPricesState();
  const COLUMNS = PRICE_COLUMNS.map((c) => [c, PRICE_COLUMN_LABEL[c]] as const);
  let picker: FilePicker;

  async function read(file: File | undefined) {
    if (!file) return;
    try {
      take.begin(await cardTextOf(file), file.name);
    } catch (error) {
      workspace.say(
        `${file.name} could not be read (${(error as Error).message}). The price book is as it was.`,
        true,
      );
    }
  }
</script>

<FilePicker
  bind:this={picker}
  accept=".csv,.tsv,.txt,.xlsx"
  label="A price list as CSV or XLSX"
  onfiles={([file]) => void read(file)}
/>
<button class="btn" onclick={() => picker.pick()}>Take in a price list</button>

<Dialog.Root bind:open={take.open}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-50 bg-black/40" />
    <Dialog.Content
      class="sheet fixed top-[6vh] left-1/2 z-50 max-h-[88vh] w-[min(64rem,94vw)] -translate-x-1/2 overflow-auto border-2 border-ink p-6"
    >
      <Dialog.Title class="font-head text-2xl font-bold">What do the columns hold?</Dialog.Title>
      <Dialog.Description class="text-sm text-soft"
        >{take.name}, {take.rows.length - (take.heading ? 1 : 0)} rows. A name and a price are needed.
        Without a kind, the name says what it is.</Dialog.Description
      >
      <ColumnTable
        rows={take.rows}
        bind:roles={take.roles}
        bind:heading={take.heading}
        options={COLUMNS}
      />
      <div class="mt-3 flex flex-wrap items-end gap-4">
        {#if !take.roles.includes("source")}<label class="flex flex-col gap-1"
            ><span>Source of all</span><input
              class="field"
              bind:value={take.source}
              maxlength="200"
            /></label
          >{/if}
        {#if !take.roles.includes("currency")}<label class="flex flex-col gap-1"
            ><span>Currency of all</span><input
              class="field w-24 uppercase"
              bind:value={take.currency}
              maxlength="3"
            /></label
          >{/if}
      </div>
      {#if take.problems.length > 0}
        <div class="noted mt-3" role="alert">
          <p class="font-semibold">Nothing was taken in; the price book is as it was.</p>
          <ul class="mt-1 max-h-40 list-disc overflow-auto pl-5">
            {#each take.problems.slice(0, 50) as p, i (i)}<li>{p.where}: {p.what}</li>{/each}
          </ul>
          {#if take.problems.length > 50}<p>And {take.problems.length - 50} more.</p>{/if}
        </div>
      {/if}
      <div class="mt-4 flex flex-wrap gap-3">
        <button class="btn btn-main" disabled={!take.ready} onclick={() => take.take(false)}
          >Add to the book</button
        >
        <button class="btn" disabled={!take.ready} onclick={() => take.take(true)}
          >Put it in place of the book</button
        >
        <Dialog.Close class="btn">Not now</Dialog.Close>
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
