import { roundMoney } from "../base/money.ts";
import type { TypeLookup } from "../catalogue/catalogue.ts";
import type { Action } from "./actions.ts";
import { postages } from "./orders.ts";
import { mayPropose } from "../catalogue/mayPropose.ts";
import type { PriceBook, Product } from "../model/priceBook.ts";

/** One thing to buy: packs and what they come to, with what may stand in when it is out of stock. */
interface ShoppingLine {
  readonly product: Product;
  readonly packs: number;
  readonly pieces: number;
  /** Whole pieces over when all needs are met. */
  readonly spare: number;
  readonly price: number;
  readonly alternates: readonly Product[];
}

export interface ShoppingSource {
  /** Empty: no source is given. */
  readonly source: string;
  /** Postage among it. */
  readonly price: number;
  readonly postage: number;
  /** The longest lead time of its products, days; null: not known of any. */
  readonly leadDays: number | null;
  readonly lines: readonly ShoppingLine[];
}

/** So many stand-ins are named. */
const ALTERNATES = 2;

/** What a plan buys, by source, those with the longest lead time first: they are ordered first. */
export function shoppingList(
  actions: readonly Action[],
  book: PriceBook,
  typeOf: TypeLookup,
): ShoppingSource[] {
  const sources = new Map<string, ShoppingLine[]>();
  for (const a of actions) {
    if (!("product" in a)) continue;
    const { product, packs, pieces, spare, price } = a;
    const own = sources.get(product.source ?? "") ?? [];
    const kin = alternates(product, book, typeOf);
    // Else another kind that does the same job.
    const other = a.runnerUp && mayPropose(a.runnerUp.product, typeOf) ? [a.runnerUp.product] : [];
    own.push({ product, packs, pieces, spare, price, alternates: kin.length > 0 ? kin : other });
    sources.set(product.source ?? "", own);
  }
  const charged = postages(
    actions.flatMap((a) => ("product" in a ? [{ product: a.product, packs: a.packs }] : [])),
    book,
  );
  const sent = (source: string) => charged.find((p) => p.source === source)?.price ?? 0;
  return [...sources]
    .map(([source, lines]): ShoppingSource => {
      const leads = lines.flatMap((l) => l.product.leadDays ?? []);
      return {
        source,
        price: roundMoney(lines.reduce((s, l) => s + l.price, 0) + sent(source), book.currency),
        postage: sent(source),
        leadDays: leads.length > 0 ? Math.max(...leads) : null,
        lines: [...lines].sort((a, b) => a.product.title.localeCompare(b.product.title)),
      };
    })
    .sort((a, b) => (b.leadDays ?? 0) - (a.leadDays ?? 0) || a.source.localeCompare(b.source));
}

/** Products of the same kind, at least as large, by the price of a piece. */
export function alternates(product: Product, book: PriceBook, typeOf: TypeLookup): Product[] {
  const each = (p: Product) => p.price.amount / p.pack;
  const large = (p: Product) =>
    (product.sizeMm ?? []).every(
      (mm, i) => p.sizeMm?.[i] === undefined || p.sizeMm[i] >= mm * 0.95,
    );
  return book.products
    .filter(
      (p) =>
        p.id !== product.id && p.itemType === product.itemType && mayPropose(p, typeOf) && large(p),
    )
    .sort((a, b) => each(a) - each(b) || (a.id < b.id ? -1 : 1))
    .slice(0, ALTERNATES);
}

/** Columns of a shopping list as a table. */
const SHOPPING_COLUMNS = [
  "source",
  "product",
  "packs",
  "of",
  "pieces",
  "left over",
  "price",
  "currency",
  "lead days",
  "if out of stock",
] as const;

export const shoppingTable = (
  sources: readonly ShoppingSource[],
  currency: string,
): (string | number)[][] => [
  [...SHOPPING_COLUMNS],
  ...sources.flatMap((s) => [
    ...(s.postage > 0 ? [[s.source, "postage", "", "", "", "", s.postage, currency, "", ""]] : []),
    ...s.lines.map((l) => [
      s.source,
      l.product.title,
      l.packs,
      l.product.pack,
      l.pieces,
      l.spare,
      l.price,
      currency,
      l.product.leadDays ?? "",
      l.alternates.map((p) => p.title).join("; "),
    ]),
  ]),
];
