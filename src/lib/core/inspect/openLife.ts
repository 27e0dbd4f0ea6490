import { addDays, lastGoodDay, lastGoodDayAfterMonths } from "../base/dates.ts";
import type { ItemType } from "../model/itemType.ts";

/**
 * Good to, once opened: the earlier of the printed date and the open life. A thing for one use is past
 * the day before it was opened.
 * @param opened month or day; @param printed month, day, `none` or absent
 */
export function goodOnceOpened(
  type: Pick<ItemType, "openMonths"> | null,
  opened: string,
  printed: string | undefined,
): string | undefined {
  const months = type?.openMonths;
  if (months === undefined) return printed;
  const until =
    months === 0
      ? addDays(opened.length === 7 ? `${opened}-01` : opened, -1)
      : lastGoodDayAfterMonths(opened, months);
  if (printed === undefined || printed === "none") return until;
  return lastGoodDay(printed) <= until ? printed : until;
}
