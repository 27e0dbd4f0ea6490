import type { ItemType } from "../model/itemType.ts";

/**
 * The size with its decimal point put back, where what comes on a roll is wider than it ever is:
 * "tape 25 cm x 5 m" → 2.5 cm; null: it is as it should be, or a tenth would be no better.
 */
export function withDecimalPoint(
  sizeMm: readonly number[] | undefined,
  type: Pick<ItemType, "widestMm"> | undefined,
): number[] | null {
  const [width, ...rest] = sizeMm ?? [];
  if (width === undefined || type?.widestMm === undefined || width <= type.widestMm) return null;
  const tenth = Math.round(width / 10);
  return tenth >= NARROWEST_MM && tenth <= type.widestMm ? [tenth, ...rest] : null;
}

/** No tape or bandage is narrower. */
const NARROWEST_MM = 5;
