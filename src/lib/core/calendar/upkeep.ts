import { roundMoney } from "../base/money.ts";
import { wholeUp } from "../base/tolerance.ts";
import { typeLookup, type Catalogue } from "../catalogue/catalogue.ts";
import { lastGoodDay, lastGoodDayAfterMonths } from "../base/dates.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Line } from "../model/kit.ts";
import { mayPropose } from "../catalogue/mayPropose.ts";
import type { PriceBook, Product } from "../model/priceBook.ts";
import { measureOf, piecesOf } from "../sieve/measure.ts";

/** What keeping a kit as it is costs in one year: of the price book, packs bought whole. */
interface UpkeepYear {
  readonly year: number;
  readonly price: number;
  /** By item type, the dearest first. */
  readonly byType: readonly { readonly itemType: string; readonly price: number }[];
}

export interface Upkeep {
  readonly years: readonly UpkeepYear[];
  readonly total: number;
  /** Dated lines for which the price book has nothing. */
  readonly unpriced: readonly string[];
}

/** So many years are looked ahead. */
export const YEARS = 5;
/** A product without a shelf life of its own is taken as good for so long. */
const USUAL_SHELF_MONTHS = 36;

/**
 * Replaces every dated line on its last good day, and again when what was bought then runs out, for
 * five years from today. Things that carry no date cost nothing here; spare pieces of a pack lie by
 * and date as the rest, so they save nothing.
 */
export function upkeep(
  file: AuditFile,
  book: PriceBook,
  today: string,
  catalogue: Catalogue,
): Upkeep {
  const costs = new Map<number, Map<string, number>>();
  const unpriced: string[] = [];
  for (const line of file.kit.lines) {
    const cost = lineUpkeep(line, file.itemTypes, book, today, catalogue);
    if (cost === null) continue;
    if (cost.price === null) {
      unpriced.push(line.id);
      continue;
    }
    for (const day of cost.days) {
      const year = Number(day.slice(0, 4));
      const ofYear = costs.get(year) ?? new Map<string, number>();
      ofYear.set(line.itemType!, (ofYear.get(line.itemType!) ?? 0) + cost.price);
      costs.set(year, ofYear);
    }
  }
  const round = (price: number) => roundMoney(price, book.currency);
  const first = Number(today.slice(0, 4));
  const years = Array.from({ length: YEARS + 1 }, (_, i): UpkeepYear => {
    const ofYear = costs.get(first + i) ?? new Map<string, number>();
    return {
      year: first + i,
      price: round([...ofYear.values()].reduce((s, p) => s + p, 0)),
      byType: [...ofYear]
        .map(([itemType, price]) => ({ itemType, price: round(price) }))
        .sort((x, y) => y.price - x.price),
    };
  });
  return { years, total: round(years.reduce((s, y) => s + y.price, 0)), unpriced };
}

/** When a line is renewed in the years ahead, and what it costs each time. */
interface LineUpkeep {
  readonly days: readonly string[];
  /** In the price book's currency; null: it has nothing for it. */
  readonly price: number | null;
}

/** null: it carries no date. */
export function lineUpkeep(
  line: Line,
  ownTypes: AuditFile["itemTypes"],
  book: PriceBook,
  today: string,
  catalogue: Catalogue,
): LineUpkeep | null {
  const typeOf = typeLookup(ownTypes, catalogue);
  const pieces = piecesOf(line);
  if (pieces <= 0 || line.itemType === null || !line.expires || line.expires === "none")
    return null;
  const type = typeOf(line.itemType);
  if (!type) return null;
  const units = pieces * measureOf(line, type).perPiece;
  const best = book.products
    .filter((p) => p.itemType === type.id && mayPropose(p, typeOf))
    .map((p) => ({ p, ...packsFor(units, p, type) }))
    .sort((x, y) => x.price - y.price)[0];
  if (!best) return { days: [], price: null };
  const end = lastGoodDayAfterMonths(today, YEARS * 12);
  const shelf = best.p.shelfMonths ?? type.shelfMonths ?? USUAL_SHELF_MONTHS;
  const days: string[] = [];
  let day = lastGoodDay(line.expires);
  // What is past already is replaced at once.
  if (day < today) day = today;
  while (day <= end) {
    days.push(day);
    if (shelf <= 0) break;
    day = lastGoodDayAfterMonths(day, shelf);
  }
  return { days, price: best.price };
}

/** How often what is bought today and keeps so many months is bought again in so many years. */
export const renewals = (shelfMonths: number, years: number): number =>
  shelfMonths <= 0 ? 0 : Math.floor((years * 12) / shelfMonths);

function packsFor(units: number, product: Product, type: Parameters<typeof measureOf>[1]) {
  const each = product.pack * measureOf({ ...product, id: product.id }, type).perPiece;
  const packs = wholeUp(units / each);
  return { packs, price: packs * product.price.amount };
}
