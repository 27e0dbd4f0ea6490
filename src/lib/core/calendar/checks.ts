import type { CheckKind } from "../model/itemType.ts";

/** What dries, runs flat or perishes without a date of its own (`check` of its item type), and after how long to look again. */

/** Months between looks. Planning figures of the trade: by touch twice a year, batteries yearly, elastic every two. */
export const CHECK_MONTHS: Readonly<Record<CheckKind, number>> = {
  "by-touch": 6,
  batteries: 12,
  elastic: 24,
};
/** Seal and full count of the whole kit, or after use. */
export const FULL_COUNT_MONTHS = 6;
