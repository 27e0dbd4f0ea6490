import { CHECK_MONTHS, FULL_COUNT_MONTHS } from "./checks.ts";
import { typeLookup, type Catalogue } from "../catalogue/catalogue.ts";
import { addDays, lastGoodDay, lastGoodDayAfterMonths } from "../base/dates.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Line } from "../model/kit.ts";
import type { PriceBook } from "../model/priceBook.ts";
import { piecesOf } from "../sieve/measure.ts";

export type EventKind = "last-good" | "order-by" | "check" | "full-count";

/** One day on which something about a kit is due. */
export interface DueDay {
  /** The same on every export: kit, line and kind. */
  readonly uid: string;
  readonly kind: EventKind;
  readonly day: string;
  /** Absent: the whole kit. */
  readonly line?: string;
}

/** Where the price book does not say how long a thing takes to come. */
const USUAL_LEAD_DAYS = 7;

/**
 * What is due when: for each dated line its last good day and the day to order by; for what dries,
 * runs flat or perishes the next look; for the kit the next full count. In order of day.
 * @param kitKey stable name of the kit, part of every uid
 * @param today the day from which looks are reckoned that nobody has dated (`checkedOn`)
 */
export function calendarOf(
  file: AuditFile,
  kitKey: string,
  book: PriceBook,
  today: string,
  catalogue: Catalogue,
): DueDay[] {
  const typeOf = typeLookup(file.itemTypes, catalogue);
  const due: DueDay[] = [];
  const uid = (kind: EventKind, line?: string) =>
    `${[kitKey, line, kind]
      .filter(Boolean)
      .join("-")
      .replaceAll(/[^\w.-]/g, "_")}@wide-sieve`;
  const add = (kind: EventKind, day: string, line?: string) =>
    due.push({ uid: uid(kind, line), kind, day, ...(line === undefined ? {} : { line }) });
  for (const line of file.kit.lines) {
    if (piecesOf(line) <= 0 || line.itemType === null) continue;
    const type = typeOf(line.itemType);
    if (line.expires && line.expires !== "none") {
      const last = lastGoodDay(line.expires);
      add("last-good", last, line.id);
      add("order-by", addDays(last, -leadDays(line.itemType, book)), line.id);
    }
    const kind = type?.check;
    if (kind) add("check", nextLook(line, CHECK_MONTHS[kind], today), line.id);
  }
  const looked = file.kit.lines.flatMap((l) => (l.checkedOn ? [l.checkedOn] : [])).sort();
  add("full-count", lastGoodDayAfterMonths(looked.at(-1) ?? today, FULL_COUNT_MONTHS));
  return due.sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : a.uid < b.uid ? -1 : 1));
}

const nextLook = (line: Line, months: number, today: string): string =>
  lastGoodDayAfterMonths(line.checkedOn ?? today, months);

/** The shortest lead time of a product of that kind. */
function leadDays(itemType: string, book: PriceBook): number {
  const own = book.products
    .filter((p) => p.itemType === itemType && p.leadDays !== undefined)
    .map((p) => p.leadDays!);
  return own.length > 0 ? Math.min(...own) : USUAL_LEAD_DAYS;
}
