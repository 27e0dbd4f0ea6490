import { defined } from "../../core/base/defined.ts";
import type { Product, SourceTerms } from "../../core/model/priceBook.ts";
import { convertBook, rateBetween } from "../../core/plan/convertBook.ts";
import { PRICE_BOOK } from "../../data/priceBook.ts";
import { newKey } from "../newKey.ts";
import { workspace } from "../workspace.svelte.ts";

/** A price older than a year is worth asking again. */
const YEAR_MS = 366 * 86_400_000;
/** So many products are drawn at a time; the rest on request. */
const PAGE = 60;

/** The price book with what is sought in it. */
export class PricesState {
  query = $state("");
  source = $state("");
  only = $state<"all" | "old" | "out">("all");
  /** Product that is open for change, by id. */
  open = $state<string | null>(null);
  /** Products drawn. */
  shown = $state(PAGE);

  book = $derived.by(() => workspace.priceBook);
  sources = $derived.by(() => [...new Set(this.book.products.map((p) => p.source ?? ""))].sort());
  found = $derived.by(() => {
    const words = this.query.toLowerCase().split(/\s+/).filter(Boolean);
    return this.book.products.filter((p) => {
      const kind = workspace.typeOf(p.itemType)?.label ?? p.itemType;
      const text = `${p.title} ${kind} ${p.source ?? ""} ${p.id}`.toLowerCase();
      return (
        words.every((w) => text.includes(w)) &&
        (this.source === "" || (p.source ?? "") === this.source) &&
        (this.only === "all" || (this.only === "old" ? this.isOld(p) : p.inStock === false))
      );
    });
  });
  /** What a unit of the book's currency is worth in the one set; null: not known. */
  rate = $derived.by(() => {
    const { currency, rates } = workspace.settings;
    return rateBetween(this.book.currency, currency, currency, rates);
  });

  isOld(p: Product): boolean {
    return (
      p.pricedOn === undefined || Date.parse(workspace.today) - Date.parse(p.pricedOn) > YEAR_MS
    );
  }
  /** For an effect that follows what is sought: the first page of it. */
  fromTheTop(): void {
    void this.query;
    void this.source;
    void this.only;
    this.shown = PAGE;
  }
  /** Products that the next page shows. */
  nextCount = $derived.by(() => Math.min(PAGE, this.found.length - this.shown));
  showMore(): void {
    this.shown += PAGE;
  }

  rename(title: string): void {
    workspace.changePriceBook("name of the price book", { ...this.book, title });
  }
  change(label: string, product: Product, mergeKey: string | null = null): void {
    workspace.changePriceBook(
      label,
      {
        ...this.book,
        products: this.book.products.map((p) => (p.id === product.id ? product : p)),
      },
      mergeKey && `priceBook ${product.id} ${mergeKey}`,
    );
  }
  /** What a source asks beside its prices; nothing of it: no terms. */
  terms(source: string): SourceTerms {
    return this.book.sources?.find((t) => t.source === source) ?? { source };
  }
  changeTerms(
    source: string,
    change: Partial<Record<"postage" | "freeFrom" | "minimum", number | undefined>>,
  ): void {
    const terms = defined({ ...this.terms(source), ...change });
    const others = (this.book.sources ?? []).filter((t) => t.source !== source);
    const all = Object.keys(terms).length > 1 ? [...others, terms as SourceTerms] : others;
    const { sources, ...book } = this.book;
    void sources;
    workspace.changePriceBook(
      `terms of ${source || "the source not named"}`,
      all.length > 0 ? { ...book, sources: all } : book,
      `priceBook terms ${source}`,
    );
  }
  /** A new product stands first and open, whatever was sought before. */
  add(): void {
    const { book } = this;
    const product: Product = {
      id: `own-${newKey()}`,
      title: "New product",
      itemType: "gauze-pad",
      pack: 1,
      price: { amount: 0, currency: book.currency },
      pricedOn: workspace.today,
    };
    workspace.changePriceBook("add a product", { ...book, products: [product, ...book.products] });
    this.query = this.source = "";
    this.only = "all";
    this.open = product.id;
  }
  remove(p: Product): void {
    const { book } = this;
    workspace.changePriceBook(`remove ${p.title}`, {
      ...book,
      products: book.products.filter((x) => x.id !== p.id),
    });
    this.open = null;
    workspace.sayDone(`${p.title} is out of the price book. Undo brings it back.`);
  }
  /** Writes all prices in the currency that is set. */
  convert(): void {
    if (this.rate === null) return;
    const { currency } = workspace.settings;
    workspace.changePriceBook(`prices in ${currency}`, convertBook(this.book, currency, this.rate));
  }
  startAgain(): void {
    workspace.changePriceBook("the starter price book", structuredClone(PRICE_BOOK));
    workspace.sayDone("The starter price book is in use. Undo brings yours back.");
  }
}
