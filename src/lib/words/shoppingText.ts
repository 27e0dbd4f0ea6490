import type { ShoppingSource } from "../core/plan/shopping.ts";
import { many, money, number } from "./display.ts";

/** A shopping list to paste into a message. */
export function shoppingText(
  sources: readonly ShoppingSource[],
  currency: string,
  title: string,
): string {
  const blocks = sources.map((s) => {
    const head = `${s.source || "No source given"}${s.leadDays === null ? "" : `, ${many(s.leadDays, "day")}`}`;
    const lines = s.lines.map(
      (l) =>
        `- ${l.packs} × ${l.product.title}${l.spare > 0 ? ` (${number(l.spare)} of ${l.pieces} left over)` : ""}, ${money(l.price, currency)}`,
    );
    const postage = s.postage > 0 ? [`- postage, ${money(s.postage, currency)}`] : [];
    return [head, ...lines, ...postage].join("\n");
  });
  const total = sources.reduce((sum, s) => sum + s.price, 0);
  return [`Shopping list: ${title}`, ...blocks, `In all ${money(total, currency)}`].join("\n\n");
}
