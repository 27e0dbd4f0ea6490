import { CATALOGUE } from "../../data/catalogue.ts";
import { CATEGORIES } from "../../core/model/functionRecord.ts";
import { categoryOf } from "../../core/catalogue/catalogue.ts";
import type { ItemType } from "../../core/model/itemType.ts";
import { LOCATIONS } from "../../core/model/location.ts";
import type { Line } from "../../core/model/kit.ts";

/** In which order the bench is worked. */
export const ORDERS = ["packed", "place", "category", "worth"] as const;
export type Order = (typeof ORDERS)[number];

export const ORDER_LABEL: Record<Order, string> = {
  packed: "as packed",
  place: "by place",
  category: "by category",
  worth: "most worth checking",
};

/** Lines in an order; what has no place, category or rank comes last, as packed among equals. */
export function inOrder(
  lines: readonly Line[],
  order: Order,
  typeOf: (id: string) => ItemType | undefined,
  worth: readonly string[],
): readonly Line[] {
  if (order === "packed") return lines;
  const rank = (l: Line): number => {
    if (order === "place") return l.location ? LOCATIONS.indexOf(l.location) : LOCATIONS.length;
    if (order === "worth") {
      const at = worth.indexOf(l.id);
      return at < 0 ? worth.length : at;
    }
    const first = (l.itemType ? typeOf(l.itemType) : undefined)?.functions[0];
    return first ? CATEGORIES.indexOf(categoryOf(first.function, CATALOGUE)) : CATEGORIES.length;
  };
  return [...lines].sort((a, b) => rank(a) - rank(b));
}
