import type { PriceList } from "../core/plan/priceList.ts";
import type { PriceBook } from "../core/model/priceBook.ts";

/** Prices move by the week, within so much of the book's either way. */
const SWING = 0.12;
/** One product in so many is out of stock, for three days at a time. */
const OUT_ONE_IN = 14;
const OUT_DAYS = 3;
/** What is scarce takes so many days longer. */
const LATER_DAYS = 4;
const DAY_MS = 86_400_000;

/** A supplier's list on a day: the same for the same day and seed. */
export function simulatedPrices(book: PriceBook, day: string, seed: number): PriceList {
  const days = Math.floor(Date.parse(`${day}T00:00:00Z`) / DAY_MS);
  return {
    day,
    currency: book.currency,
    prices: book.products.map((p) => {
      const drift = SWING * (2 * share(`${seed} ${p.id} ${Math.floor(days / 7)}`) - 1);
      const out = share(`${seed} ${p.id} stock ${Math.floor(days / OUT_DAYS)}`) < 1 / OUT_ONE_IN;
      const later = share(`${seed} ${p.id} lead ${Math.floor(days / 7)}`) < 0.1;
      return {
        id: p.id,
        amount: Math.max(0.05, Math.round(p.price.amount * (1 + drift) * 20) / 20),
        inStock: !out,
        ...(p.leadDays === undefined ? {} : { leadDays: p.leadDays + (later ? LATER_DAYS : 0) }),
      };
    }),
  };
}

/** FNV-1a, spread over 0–1. */
function share(text: string): number {
  let h = 0x811c9dc5;
  for (const c of text) h = Math.imul(h ^ c.codePointAt(0)!, 0x01000193);
  h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d);
  h = Math.imul(h ^ (h >>> 12), 0x297a2d39);
  return ((h ^ (h >>> 15)) >>> 0) / 2 ** 32;
}
