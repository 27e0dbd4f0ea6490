import type { Line } from "../model/kit.ts";
import { lastGoodDay } from "../base/dates.ts";
import { fromMinor } from "../base/money.ts";
import { minorPrice, type PriceBook } from "../model/priceBook.ts";
import { piecesOf } from "../sieve/measure.ts";
import { wholeOf, type DeficitWhy, type Replayed } from "../events/replay.ts";

/** Pieces that a line lacks of what it should have. */
export interface Deficit {
  readonly line: string;
  readonly itemType: string | null;
  readonly pieces: number;
  /** Day since which it lacks some. */
  readonly since: string;
  readonly why: DeficitWhy | "past-date";
}

const isGood = (l: Line, day: string): boolean =>
  l.condition !== "failed" &&
  (l.expires === undefined || l.expires === "none" || lastGoodDay(l.expires) >= day);

/** What is to be put back on a day, in the order of the kit's lines. */
export function deficitsOf({ lines, par, losses }: Replayed, day: string): Deficit[] {
  const found: Deficit[] = [];
  for (const [id, wanted] of par) {
    const parts = lines.filter((l) => wholeOf(l.id) === id);
    const there = parts.filter((l) => isGood(l, day)).reduce((s, l) => s + piecesOf(l), 0);
    const pieces = wanted - there;
    if (pieces <= 1e-9) continue;
    const lost = losses.get(id) ?? [];
    const past = parts.find(
      (l) => piecesOf(l) > 0 && l.expires && l.expires !== "none" && !isGood(l, day),
    );
    const last = lost.at(-1);
    if (!last && !past) continue;
    found.push({
      line: id,
      itemType: parts[0]?.itemType ?? null,
      pieces: Math.round(pieces * 1e6) / 1e6,
      since: lost[0]?.on ?? lastGoodDay(past!.expires!),
      why: last?.why ?? "past-date",
    });
  }
  return found;
}

/** What to buy for the deficits of one kind. */
export interface PutBack {
  readonly itemType: string;
  readonly product?: string;
  readonly pieces: number;
  readonly packs: number;
  /** Of all packs, in the book's currency; 0 where the book has none. */
  readonly price: number;
}

/** The put-back list: whole packs of the product that makes up the pieces for least. */
export function putBackOf(deficits: readonly Deficit[], book: PriceBook): PutBack[] {
  const wanted = new Map<string, number>();
  for (const d of deficits)
    if (d.itemType) wanted.set(d.itemType, (wanted.get(d.itemType) ?? 0) + d.pieces);
  return [...wanted].map(([itemType, pieces]) => {
    const offers = book.products
      .filter((p) => p.itemType === itemType && p.inStock !== false)
      .map((p) => {
        const packs = Math.ceil(pieces / p.pack - 1e-9);
        return { p, packs, minor: packs * minorPrice(p) };
      })
      .sort((a, b) => a.minor - b.minor || (a.p.id < b.p.id ? -1 : 1));
    const best = offers[0];
    return best
      ? {
          itemType,
          product: best.p.id,
          pieces,
          packs: best.packs,
          price: fromMinor(best.minor, book.currency),
        }
      : { itemType, pieces, packs: 0, price: 0 };
  });
}
