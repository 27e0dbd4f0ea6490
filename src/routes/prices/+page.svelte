<script lang="ts">
  import Choice from "$lib/ui/Choice.svelte";
  import { priceCsv, priceTable } from "$lib/core/formats/priceCsv.ts";
  import { isLicensedOnly } from "$lib/core/catalogue/mayPropose.ts";
  import { PricesState } from "$lib/state/pages/prices.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { download, fileName } from "$lib/ui/download.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import { saveXlsx } from "$lib/ui/tables.ts";
  import { day, many, money } from "$lib/words/sentences.ts";
  import ImportPrices from "./ImportPrices.svelte";
  import ProductForm from "./ProductForm.svelte";

  const TERMS = [
    ["postage", "Postage"],
    ["freeFrom", "Free from"],
    ["minimum", "Least order"],
  ] as const;
  const prices = new PricesState();
  const { book, found, sources, rate } = $derived(prices);
  const typeOf = $derived(workspace.typeOf);
  $effect(() => prices.fromTheTop());
</script>

<svelte:head><title>Price book · Wide Sieve</title></svelte:head>
<ShelfHeader title="Price book" about="What plans may buy, where, and at what price." />
<main class="p-4 sm:p-6">
  <div class="flex flex-wrap items-end gap-3">
    <label class="flex min-w-56 flex-1 flex-col gap-1"
      ><span class="font-semibold">Name of the book</span>
      <input
        class="field"
        value={book.title}
        maxlength="300"
        onchange={(e) => prices.rename(e.currentTarget.value)}
      /></label
    >
    <p class="min-h-11 py-2">
      Prices in <strong>{book.currency}</strong>, {book.products.length} products, {sources.length}
      {sources.length === 1 ? "source" : "sources"}
    </p>
    {#if book.currency !== workspace.settings.currency && rate !== null}
      <button class="btn" onclick={() => prices.convert()}
        >Write them in {workspace.settings.currency}, at {rate}</button
      >
    {/if}
  </div>
  <div class="mt-4 flex flex-wrap gap-2">
    <button class="btn btn-main" onclick={() => prices.add()}>New product</button>
    <ImportPrices />
    <button
      class="btn"
      onclick={() => download(fileName(book.title, ".csv"), priceCsv(book), "text/csv")}>CSV</button
    >
    <button class="btn" onclick={() => saveXlsx(book.title, priceTable(book))}>XLSX</button>
    <button class="btn" onclick={() => prices.startAgain()}
      >Start again from the starter book</button
    >
  </div>
  <details class="mt-4">
    <summary class="flex min-h-11 cursor-pointer items-center font-semibold"
      >Postage and least order, by source</summary
    >
    <p class="text-sm text-soft">
      They count in every plan: orders are split or gathered as it comes cheapest.
    </p>
    <ul>
      {#each sources as source (source)}
        {@const terms = prices.terms(source)}
        <li class="flex flex-wrap items-end gap-3 border-b border-line py-2">
          <span class="min-w-40 flex-1 font-semibold break-words">{source || "no source"}</span>
          {#each TERMS as [field, label] (field)}
            <span class="flex flex-col gap-1 text-sm"
              ><span aria-hidden="true">{label}</span>
              <NumberField
                value={terms[field]}
                label="{label}, {source || 'no source'}"
                unit={book.currency}
                optional
                max={1e9}
                onvalue={(n) => prices.changeTerms(source, { [field]: n })}
              /></span
            >
          {/each}
        </li>
      {/each}
    </ul>
  </details>
  <div class="mt-4 flex flex-wrap items-end gap-3">
    <label class="flex min-w-56 flex-1 flex-col gap-1"
      ><span class="font-semibold">Find</span>
      <input
        class="field"
        type="search"
        placeholder="name, kind, source"
        bind:value={prices.query}
      /></label
    >
    <label class="flex flex-col gap-1"
      ><span class="font-semibold">Source</span>
      <Choice
        label="Source"
        value={prices.source}
        options={[
          { value: "", label: "any" },
          ...sources.filter((s) => s !== "").map((s) => ({ value: s, label: s })),
        ]}
        onchoose={(v) => (prices.source = v)}
      /></label
    >
    <label class="flex flex-col gap-1"
      ><span class="font-semibold">Show</span>
      <Choice
        label="Show"
        value={prices.only}
        options={[
          { value: "all", label: "all" },
          { value: "old", label: "prices older than a year" },
          { value: "out", label: "out of stock" },
        ]}
        onchoose={(v) => (prices.only = v as typeof prices.only)}
      /></label
    >
  </div>
  <p class="mt-2 text-sm text-soft" aria-live="polite">
    {found.length} of {book.products.length}. Things for licensed or prescribed use may stand here,
    but no plan proposes them.
  </p>
  <ul class="mt-2 border-t border-line" data-testid="products">
    {#each found.slice(0, prices.shown) as p (p.id)}
      <li class="border-b border-line">
        <button
          class="grid w-full grid-cols-[1fr_auto] items-center gap-x-4 py-2 text-left hover:bg-passbg sm:grid-cols-[minmax(0,1fr)_12rem_6rem_7rem_8rem]"
          aria-expanded={prices.open === p.id}
          onclick={() => (prices.open = prices.open === p.id ? null : p.id)}
        >
          <span class="min-w-0"
            ><strong class="break-words">{p.title}</strong><br /><span class="text-sm text-soft"
              >{typeOf(p.itemType)?.label ?? p.itemType}, {p.pack === 1
                ? "single"
                : `pack of ${p.pack}`}{isLicensedOnly(p, typeOf)
                ? " · never proposed: licensed use"
                : ""}{p.inStock === false ? " · out of stock" : ""}</span
            ></span
          >
          <span class="hidden min-w-0 break-words sm:block">{p.source ?? "no source"}</span>
          <span class="text-right font-semibold whitespace-nowrap"
            >{money(p.price.amount, p.price.currency)}</span
          >
          <span class="hidden text-right sm:block"
            >{p.leadDays === undefined ? "" : many(p.leadDays, "day")}</span
          >
          <span class="hidden text-right text-sm sm:block {prices.isOld(p) ? 'bad' : 'text-soft'}"
            >{p.pricedOn ? day(p.pricedOn) : "no date"}</span
          >
        </button>
        {#if prices.open === p.id}
          <ProductForm
            product={p}
            onchange={(label, product, key) => prices.change(label, product, key)}
            onremove={() => prices.remove(p)}
          />
        {/if}
      </li>
    {:else}<li class="py-6 text-soft">
        Nothing by that name. Add it, or take in a price list as CSV or XLSX.
      </li>{/each}
  </ul>
  {#if found.length > prices.shown}
    <button class="btn mt-3" onclick={() => prices.showMore()}>Show {prices.nextCount} more</button>
  {/if}
</main>
