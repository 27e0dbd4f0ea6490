import { fromMinor, toMinor } from "../base/money.ts";
import { inOrder } from "../events/order.ts";
import type { KitEvent } from "../model/event.ts";

/** What a kit in service has cost in a calendar year, by currency as it was paid. */
export interface SpentYear {
  readonly year: number;
  readonly currency: string;
  readonly amount: number;
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
