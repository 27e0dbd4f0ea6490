import { fromMinor, toMinor } from "../base/money.ts";
import { minorPrice, postageOf, type PriceBook, type SourceTerms } from "../model/priceBook.ts";
import { addRow, onlyWith, type Entries, type LinearModel } from "./linearModel.ts";
import { yesNo } from "./yesNo.ts";
import type { Follows } from "./programme.ts";
import { isBrought } from "./theirs.ts";
import type { Product } from "../model/priceBook.ts";

export interface Purchase {
  readonly product: Product;
  readonly packs: number;
}

/** Orders by source: how many there may be, what postage they cost, what each must come to. */

/** What a product without a source is bought from: one place that is not named. */
const NO_SOURCE = "";
export const sourceOf = (p: Product): string => p.source ?? NO_SOURCE;

/** What the source of a product asks beside its prices; undefined: nothing. */
export const termsFor = (p: Product, { sources }: PriceBook): SourceTerms | undefined =>
  sources?.find((t) => t.source === sourceOf(p));

/** Postage by source, of orders that cost any; in the price book's currency. */
export interface Postage {
  readonly source: string;
  readonly price: number;
}

export function postages(purchases: readonly Purchase[], book: PriceBook): Postage[] {
  const goods = goodsBySource(purchases);
  return (book.sources ?? []).flatMap((terms) => {
    const ordered = goods.get(terms.source);
    const minor = ordered === undefined ? 0 : postageOf(terms, ordered, book.currency);
    return minor > 0 ? [{ source: terms.source, price: fromMinor(minor, book.currency) }] : [];
  });
}

/** Sources at which less is ordered than they take an order for. */
export function belowMinimum(purchases: readonly Purchase[], book: PriceBook): SourceTerms[] {
  const goods = goodsBySource(purchases);
  return (book.sources ?? []).filter((terms) => {
    const minor = goods.get(terms.source);
    return minor !== undefined && minor < toMinor(terms.minimum ?? 0, book.currency);
  });
}

function goodsBySource(purchases: readonly Purchase[]): Map<string, number> {
  const goods = new Map<string, number>();
  for (const { product, packs } of purchases) {
    if (isBrought(product)) continue;
    const source = sourceOf(product);
    goods.set(source, (goods.get(source) ?? 0) + minorPrice(product) * packs);
  }
  return goods;
}

/**
 * Packs beyond those that are of use: as many as may bring an order to its least, and as cost less than the
 * postage they save. 0: nothing depends on what is ordered.
 */
export function sparePacks(p: Product, book: PriceBook): number {
  const terms = termsFor(p, book);
  const price = minorPrice(p);
  if (!terms || isBrought(p) || price === 0) return 0;
  const { postage = 0, freeFrom, minimum = 0 } = terms;
  const saves = freeFrom === undefined ? 0 : toMinor(postage, book.currency);
  return Math.ceil(toMinor(minimum, book.currency) / price) + Math.floor(saves / price);
}

interface OrderColumns {
  readonly model: LinearModel;
  readonly follows: Follows[];
  readonly products: readonly Product[];
  readonly packs: readonly number[];
  readonly book: PriceBook;
  /** Buy at so many sources at most. null: at any number. */
  readonly maxSources: number | null;
}

/** Columns for orders, where anything depends on them. @returns postage in minor units, as entries of a row */
export function orderColumns(o: OrderColumns): Entries {
  const { model, products, packs, book, maxSources } = o;
  const sources = new Map<string, number[]>();
  products.forEach((p, k) => {
    if (packs[k]! < 0 || isBrought(p)) return;
    sources.set(sourceOf(p), [...(sources.get(sourceOf(p)) ?? []), k]);
  });
  const terms = new Map((book.sources ?? []).map((t) => [t.source, t]));
  const minor = (amount: number) => toMinor(amount, book.currency);
  const postage: (readonly [number, number])[] = [];
  const ordered: number[] = [];
  for (const [source, own] of sources) {
    const { postage: charge = 0, freeFrom, minimum = 0 } = terms.get(source) ?? {};
    if (maxSources === null && charge === 0 && minimum === 0) continue;
    const isOrdered = (x: ArrayLike<number>) => own.some((k) => x[packs[k]!]! > 0.5);
    const order = yesNo(o, isOrdered);
    ordered.push(order);
    for (const k of own) onlyWith(model, packs[k]!, model.columns[packs[k]!]!.upper, order);
    const goods = own.map((k) => [packs[k]!, minorPrice(products[k]!)] as const);
    if (minimum > 0) addRow(model, { lower: 0, entries: [...goods, [order, -minor(minimum)]] });
    if (charge === 0) continue;
    postage.push([order, minor(charge)]);
    if (freeFrom === undefined) continue;
    const from = minor(freeFrom);
    // Whole packs come back but for the solver's tolerance.
    const comesTo = (x: ArrayLike<number>) =>
      goods.reduce((s, [y, v]) => s + v * Math.round(x[y]!), 0);
    const free = yesNo(o, (x) => isOrdered(x) && comesTo(x) >= from);
    onlyWith(model, free, 1, order);
    addRow(model, { lower: 0, entries: [...goods, [free, -from]] });
    postage.push([free, -minor(charge)]);
  }
  if (maxSources !== null)
    addRow(model, { upper: maxSources, entries: ordered.map((x) => [x, 1] as const) });
  return postage;
}
