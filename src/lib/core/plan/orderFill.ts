import type { PriceBook } from "../model/priceBook.ts";
import { belowMinimum, postages, sourceOf, termsFor, type Purchase } from "./orders.ts";

/** Packs that no need asks for: an order is taken, or sent for nothing, only with them. */
export interface OrderFill {
  readonly packs: number;
  readonly because: "least-order" | "free-postage";
  readonly source: string;
  /** What an order must come to, in the price book's currency. */
  readonly sum: number;
}

/** @param idlePacks packs of the purchase that serve nothing, asked for only where an order depends on them */
export function orderFill(
  { product, packs }: Purchase,
  idlePacks: () => number,
  purchases: readonly Purchase[],
  book: PriceBook,
): OrderFill | null {
  const source = sourceOf(product);
  const terms = termsFor(product, book);
  if (!terms?.minimum && terms?.freeFrom === undefined) return null;
  const idle = idlePacks();
  if (idle === 0) return null;
  const rest = purchases.flatMap((p) => {
    const left = p.product.id === product.id ? packs - idle : p.packs;
    return left > 0 ? [{ ...p, packs: left }] : [];
  });
  const fill = { packs: idle, source };
  if (belowMinimum(rest, book).some((t) => t.source === source))
    return { ...fill, because: "least-order", sum: terms.minimum ?? 0 };
  const sent = (of: readonly Purchase[]) =>
    postages(of, book).find((p) => p.source === source)?.price ?? 0;
  return sent(rest) > sent(purchases)
    ? { ...fill, because: "free-postage", sum: terms.freeFrom ?? 0 }
    : null;
}
