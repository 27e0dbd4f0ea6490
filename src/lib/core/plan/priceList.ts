import { z } from "zod";
import { isDay } from "../base/dates.ts";
import type { ProblemCode } from "../model/problem.ts";
import type { PriceBook, Product } from "../model/priceBook.ts";

/**
 * A supplier's price list as it stands on a day: products by the id they have in the price book. Loose:
 * it is another's answer, never stored, and what else it says is not ours to refuse.
 */
export const priceListSchema = z.looseObject({
  day: z.string().refine(isDay, "no-such-day" satisfies ProblemCode),
  currency: z.string().regex(/^[A-Z]{3}$/),
  prices: z
    .array(
      z.looseObject({
        id: z.string().min(1),
        amount: z.number().min(0).max(1e9),
        inStock: z.boolean(),
        leadDays: z.number().min(0).max(3650).optional(),
      }),
    )
    .max(20_000),
});
export type PriceList = z.infer<typeof priceListSchema>;

export type PriceChange =
  | { readonly code: "price"; readonly id: string; readonly from: number; readonly to: number }
  | { readonly code: "out" | "back"; readonly id: string }
  | { readonly code: "lead"; readonly id: string; readonly from: number; readonly to: number };

/** Earlier prices kept with a product. */
const MOST_HISTORY = 60;

/** A product at another price, its last one kept in its history with the day it was of. */
export function repriced(product: Product, amount: number, today: string): Product {
  if (amount === product.price.amount) return { ...product, pricedOn: today };
  const before = { on: product.pricedOn ?? today, amount: product.price.amount };
  return {
    ...product,
    price: { ...product.price, amount },
    pricedOn: today,
    history: [...(product.history ?? []), before].slice(-MOST_HISTORY),
  };
}

/** The price book as a list changes it, and what changed. Products the list does not name stay. */
export function applyPriceList(
  book: PriceBook,
  list: PriceList,
): { readonly book: PriceBook; readonly changes: readonly PriceChange[] } {
  const changes: PriceChange[] = [];
  const byId = new Map(list.prices.map((p) => [p.id, p]));
  const products = book.products.map((product) => {
    const { id } = product;
    const now = byId.get(id);
    if (!now || list.currency !== book.currency) return product;
    let next = repriced(product, now.amount, list.day);
    if (now.amount !== product.price.amount)
      changes.push({ code: "price", id, from: product.price.amount, to: now.amount });
    const was = product.inStock !== false;
    if (was !== now.inStock) {
      changes.push({ code: now.inStock ? "back" : "out", id });
      next = { ...next, inStock: now.inStock };
    }
    if (now.leadDays !== undefined && now.leadDays !== product.leadDays) {
      changes.push({ code: "lead", id, from: product.leadDays ?? 0, to: now.leadDays });
      next = { ...next, leadDays: now.leadDays };
    }
    return next;
  });
  return { book: { ...book, products }, changes };
}
