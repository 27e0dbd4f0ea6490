<script lang="ts">
  import { rateBetween, convertBook } from "$lib/core/plan/convertBook.ts";
  import { isLicensedOnly } from "$lib/core/plan/mayPropose.ts";
  import type { Product } from "$lib/core/model/priceBook.ts";
  import { priceCsv, priceTable } from "$lib/core/formats/priceCsv.ts";
  import { PRICE_BOOK } from "$lib/data/priceBook.ts";
  import { newKey } from "$lib/state/newKey.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { download, fileName } from "$lib/ui/download.ts";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import { saveXlsx } from "$lib/ui/tables.ts";
  import { day, money } from "$lib/words/sentences.ts";
  import ImportPrices from "./ImportPrices.svelte";
  import ProductForm from "./ProductForm.svelte";

  const book = $derived(workspace.priceBook);
  const typeOf = $derived(workspace.typeOf);
  let query = $state("");
  let source = $state("");
  let only = $state<"all" | "old" | "out">("all");
  let open = $state<string | null>(null);
  /** A price older than a year is worth asking again. */
  const YEAR_MS = 366 * 86_400_000;
  const isOld = (p: Product) =>
    p.pricedOn === undefined || Date.parse(workspace.today) - Date.parse(p.pricedOn) > YEAR_MS;
  const sources = $derived([...new Set(book.products.map((p) => p.source ?? ""))].sort());
  const found = $derived.by(() => {
    const words = query.toLowerCase().split(/\s+/).filter(Boolean);
    return book.products.filter((p) => {
      const text =
        `${p.title} ${typeOf(p.itemType)?.label ?? p.itemType} ${p.source ?? ""} ${p.id}`.toLowerCase();
      return (
        words.every((w) => text.includes(w)) &&
        (source === "" || (p.source ?? "") === source) &&
        (only === "all" || (only === "old" ? isOld(p) : p.inStock === false))
      );
    });
  });
  /** So many are drawn at a time; the rest on request. */
  const PAGE = 60;
  let shown = $state(PAGE);
  $effect(() => {
    void query;
    void source;
    void only;
    shown = PAGE;
  });
  function change(label: string, product: Product, mergeKey: string | null = null) {
    workspace.changePriceBook(
      label,
      { ...book, products: book.products.map((p) => (p.id === product.id ? product : p)) },
      mergeKey && `priceBook ${product.id} ${mergeKey}`,
    );
  }
  function add() {
    const product: Product = {
      id: `own-${newKey()}`,
      title: "New product",
      itemType: "gauze-pad",
      pack: 1,
      price: { amount: 0, currency: book.currency },
      pricedOn: workspace.today,
    };
    workspace.changePriceBook("add a product", {
      ...book,
      products: [product, ...book.products],
    });
    query = source = "";
    only = "all";
    open = product.id;
  }
  function remove(p: Product) {
    workspace.changePriceBook(`remove ${p.title}`, {
      ...book,
      products: book.products.filter((x) => x.id !== p.id),
    });
    open = null;
    workspace.say(`${p.title} is out of the price book. Undo brings it back.`);
  }
  const rate = $derived(
    rateBetween(
      book.currency,
      workspace.settings.currency,
      workspace.settings.currency,
      workspace.settings.rates,
    ),
  );
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
        onchange={(e) =>
          workspace.changePriceBook("name of the price book", {
            ...book,
            title: e.currentTarget.value,
          })}
      /></label
    >
    <p class="min-h-11 py-2">
      Prices in <strong>{book.currency}</strong>, {book.products.length} products, {sources.length}
      {sources.length === 1 ? "source" : "sources"}
    </p>
    {#if book.currency !== workspace.settings.currency && rate !== null}
      <button
        class="btn"
        onclick={() =>
          workspace.changePriceBook(
            `prices in ${workspace.settings.currency}`,
            convertBook(book, workspace.settings.currency, rate),
          )}>Write them in {workspace.settings.currency}, at {rate}</button
      >
    {/if}
  </div>
  <div class="mt-4 flex flex-wrap gap-2">
    <button class="btn btn-main" onclick={add}>New product</button>
    <ImportPrices />
    <button
      class="btn"
      onclick={() => download(fileName(book.title, ".csv"), priceCsv(book), "text/csv")}>CSV</button
    >
    <button class="btn" onclick={() => saveXlsx(book.title, priceTable(book))}>XLSX</button>
    <button
      class="btn"
      onclick={() => {
        workspace.changePriceBook("the starter price book", structuredClone(PRICE_BOOK));
        workspace.say("The starter price book is in use. Undo brings yours back.");
      }}>Start again from the starter book</button
    >
  </div>
  <div class="mt-4 flex flex-wrap items-end gap-3">
    <label class="flex min-w-56 flex-1 flex-col gap-1"
      ><span class="font-semibold">Find</span>
      <input
        class="field"
        type="search"
        placeholder="name, kind, source"
        bind:value={query}
      /></label
    >
    <label class="flex flex-col gap-1"
      ><span class="font-semibold">Source</span>
      <select class="field" bind:value={source}>
        <option value="">any</option>
        {#each sources.filter((s) => s !== "") as s (s)}<option value={s}>{s}</option>{/each}
      </select></label
    >
    <label class="flex flex-col gap-1"
      ><span class="font-semibold">Show</span>
      <select class="field" bind:value={only}>
        <option value="all">all</option>
        <option value="old">prices older than a year</option>
        <option value="out">out of stock</option>
      </select></label
    >
  </div>
  <p class="mt-2 text-sm text-soft" aria-live="polite">
    {found.length} of {book.products.length}. Things for licensed or prescribed use may stand here,
    but no plan proposes them.
  </p>
  <ul class="mt-2 border-t border-line" data-testid="products">
    {#each found.slice(0, shown) as p (p.id)}
      <li class="border-b border-line">
        <button
          class="grid w-full grid-cols-[1fr_auto] items-center gap-x-4 py-2 text-left hover:bg-passbg sm:grid-cols-[minmax(0,1fr)_12rem_6rem_7rem_8rem]"
          aria-expanded={open === p.id}
          onclick={() => (open = open === p.id ? null : p.id)}
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
            >{p.leadDays === undefined ? "" : `${p.leadDays} days`}</span
          >
          <span class="hidden text-right text-sm sm:block {isOld(p) ? 'bad' : 'text-soft'}"
            >{p.pricedOn ? day(p.pricedOn) : "no date"}</span
          >
        </button>
        {#if open === p.id}
          <ProductForm product={p} onchange={change} onremove={() => remove(p)} />
        {/if}
      </li>
    {:else}<li class="py-6 text-soft">
        Nothing by that name. Add it, or take in a price list as CSV or XLSX.
      </li>{/each}
  </ul>
  {#if found.length > shown}
    <button class="btn mt-3" onclick={() => (shown += PAGE)}
      >Show {Math.min(PAGE, found.length - shown)} more</button
    >
  {/if}
</main>
