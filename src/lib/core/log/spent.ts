import { fromMinor, toMinor } from "../base/money.ts";
import { inOrder } from "../events/order.ts";
import { upkeep } from "../calendar/upkeep.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { PriceBook } from "../model/priceBook.ts";
import type { KitEvent } from "../model/event.ts";

/** What a kit in service has cost in a calendar year, by currency as it was paid. */
interface SpentYear {
  readonly year: number;
  readonly currency: string;
  readonly amount: number;
}

/** A year's actual cost beside what was foreseen. */
export interface CostYear {
  readonly year: number;
  /** Paid in the price book's currency. */
  readonly spent: number;
  /** What renewing by date would cost, seen from the day the log began. */
  readonly foreseen: number;
  /** Paid in other currencies, as it was paid. */
  readonly others: readonly { readonly currency: string; readonly amount: number }[];
}

/**
 * What a kit in service cost, year by year, against the calendar's forecast on the day its log began: what
 * comes beyond it was used, lost or broken. Empty without a log.
 */
export function spentAgainstForecast(
  file: AuditFile,
  book: PriceBook,
  today: string,
  catalogue: Catalogue,
): CostYear[] {
  const first = inOrder(file.events ?? [])[0]?.on;
  if (first === undefined) return [];
  const forecast = upkeep(file, book, first, catalogue);
  const spent = spentOf(file.events ?? []);
  const last = Number(today.slice(0, 4));
  return forecast.years
    .filter((y) => y.year <= last)
    .map(({ year, price }) => {
      const paid = spent.filter((s) => s.year === year);
      const own = paid.find((s) => s.currency === book.currency);
      return {
        year,
        spent: own?.amount ?? 0,
        foreseen: price,
        others: paid.filter((s) => s !== own).map(({ currency, amount }) => ({ currency, amount })),
      };
    });
}

/** What was paid for putting back and for plans carried out, year by year. */
export function spentOf(events: readonly KitEvent[]): SpentYear[] {
  const sums = new Map<string, number>();
  for (const e of inOrder(events)) {
    const paid = e.kind === "put-back" ? e.price : e.kind === "plan-done" ? e.paid : undefined;
    if (!paid) continue;
    const key = `${e.on.slice(0, 4)} ${paid.currency}`;
    sums.set(key, (sums.get(key) ?? 0) + toMinor(paid.amount, paid.currency));
  }
  return [...sums].sort().map(([key, minor]) => {
    const [year, currency] = key.split(" ") as [string, string];
    return { year: Number(year), currency, amount: fromMinor(minor, currency) };
  });
}
