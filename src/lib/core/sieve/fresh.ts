import type { Catalogue } from "../catalogue/catalogue.ts";
import type { Category } from "../model/functionRecord.ts";
import type { ItemType } from "../model/itemType.ts";
import { lastGoodDay, lastGoodDayAfterMonths } from "../base/dates.ts";
import type { Line } from "../model/kit.ts";
import type { Tier } from "../model/list.ts";
import type { Schools } from "../model/houseRules.ts";

/** Mesh 5, Fresh. */

/** Comfort items count half for a year past their date under the tiered school. */
const TIERED_FACTOR = 0.5;
export const TIERED_MONTHS = 12;

const NEVER_PAST_CATEGORIES: ReadonlySet<Category> = new Set([
  "severe-bleeding",
  "airway-chest",
  "resuscitation",
  "eyes",
  "allergy",
]);
/** Where a date stands against the last day; `unread`: a dated type with no date read. */
export type DateStanding = "good" | "past-within-a-year" | "past" | "unread";

/** Standing of a line's date on the last day. */
export function dateStanding(line: Line, type: ItemType, lastDay: string): DateStanding {
  if (line.expires === undefined) return type.dated ? "unread" : "good";
  if (line.expires === "none" || lastGoodDay(line.expires) >= lastDay) return "good";
  return lastGoodDayAfterMonths(line.expires, TIERED_MONTHS) >= lastDay
    ? "past-within-a-year"
    : "past";
}

/** 0, 0.5 or 1; null: unchecked. */
export function freshFactor(
  standing: DateStanding,
  type: ItemType,
  tier: Tier,
  dates: Schools["dates"],
  catalogue: Catalogue,
): number | null {
  if (standing === "unread") return null;
  if (standing === "good") return 1;
  if (standing === "past" || dates === "strict" || tier === "vital" || neverPast(type, catalogue))
    return 0;
  return TIERED_FACTOR;
}

/** Sterile, life-saving, eye, allergy and antibiotic items never count past their date. */
function neverPast(type: ItemType, catalogue: Catalogue): boolean {
  return (
    type.sterile ||
    type.functions.some((c) => {
      const does = c.credit > 0 ? catalogue.functions.get(c.function) : undefined;
      return does && (does.neverPast || NEVER_PAST_CATEGORIES.has(does.category));
    })
  );
}
