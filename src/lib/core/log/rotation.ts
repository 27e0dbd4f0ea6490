import { addDays, lastGoodDay } from "../base/dates.ts";
import { fromMinor } from "../base/money.ts";
import type { Line } from "../model/kit.ts";
import type { PriceBook } from "../model/priceBook.ts";
import { minorPrice } from "../model/priceBook.ts";
import { piecesOf } from "../sieve/measure.ts";

/** A line that will not be used before it runs out, offered to where it will be. */
export interface Rotation {
  readonly line: string;
  readonly itemType: string;
  readonly pieces: number;
  readonly lastGood: string;
  /** What throwing it away would cost to buy again; null: the price book has none. */
  readonly saves: number | null;
}

/** Half a year is time to use a thing up elsewhere: shelf lives are years, classes and camps months apart. */
const ROTATE_WITHIN_DAYS = 183;

/** What runs out within the time, still good today; the soonest first. */
export function rotationOf(
  lines: readonly Line[],
  book: PriceBook,
  today: string,
  withinDays: number = ROTATE_WITHIN_DAYS,
): Rotation[] {
  const until = addDays(today, withinDays);
  return lines
    .flatMap((l): Rotation[] => {
      const pieces = piecesOf(l);
      if (l.itemType === null || pieces <= 0 || !l.expires || l.expires === "none") return [];
      const lastGood = lastGoodDay(l.expires);
      const isDue = lastGood >= today && lastGood <= until && l.condition !== "failed";
      return isDue
        ? [
            {
              line: l.id,
              itemType: l.itemType,
              pieces,
              lastGood,
              saves: priceOf(l.itemType, pieces, book),
            },
          ]
        : [];
    })
    .sort((a, b) => (a.lastGood < b.lastGood ? -1 : 1));
}

/** Of so many pieces at the cheapest price a piece. */
function priceOf(itemType: string, pieces: number, book: PriceBook): number | null {
  const each = book.products
    .filter((p) => p.itemType === itemType)
    .map((p) => minorPrice(p) / p.pack);
  if (each.length === 0) return null;
  return fromMinor(Math.round(Math.min(...each) * pieces), book.currency);
}
