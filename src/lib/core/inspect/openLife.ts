import { OPEN_MONTHS } from "../../data/openLife.ts";
import { addDays, lastGoodDay, lastGoodDayAfterMonths } from "../base/dates.ts";

/** Months of use after opening; null: the kind has no open life of its own. */
export const openMonths = (itemType: string | null): number | null =>
  itemType === null ? null : (OPEN_MONTHS[itemType] ?? null);

/**
 * Good to, once opened: the earlier of the printed date and the open life. A thing for one use is past
 * the day before it was opened.
 * @param opened month or day; @param printed month, day, `none` or absent
 */
export function goodOnceOpened(
  itemType: string | null,
  opened: string,
  printed: string | undefined,
): string | undefined {
  const months = openMonths(itemType);
  if (months === null) return printed;
  const until =
    months === 0
      ? addDays(opened.length === 7 ? `${opened}-01` : opened, -1)
      : lastGoodDayAfterMonths(opened, months);
  if (printed === undefined || printed === "none") return until;
  return lastGoodDay(printed) <= until ? printed : until;
}
