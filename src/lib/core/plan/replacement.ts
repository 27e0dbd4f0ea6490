import { roundMoney } from "../base/money.ts";
import type { Audit } from "../audit/audit.ts";
import { measureOf } from "../sieve/measure.ts";
import type { PriceBook, Product } from "../model/priceBook.ts";

/** What the serving pieces would cost bought anew, by the price book. */
export interface Replacement {
  /** In the price book's currency, packs taken in proportion. */
  readonly price: number;
  /** Serving lines that the price book has no product for, by id. */
  readonly unpriced: readonly string[];
}

/**
 * Replacement price of the pieces that do a job: for each line the cheapest product of its type, by
 * the unit of measure (a metre, a dose, a piece), at least as large as the line where both are known.
 */
export function replacementPrice(a: Audit, book: PriceBook): Replacement {
  let price = 0;
  const unpriced: string[] = [];
  a.value.servingByLine.forEach((pieces, l) => {
    const { line, type, elsewhere } = a.context.lines[l]!;
    if (elsewhere || pieces <= 0 || !type) return;
    const units = pieces * measureOf(line, type).perPiece;
    const each = book.products
      .filter((p) => p.itemType === type.id && isAsLarge(p, line.sizeMm))
      .map((p) => p.price.amount / (p.pack * measureOf({ ...p, id: p.id }, type).perPiece));
    if (each.length === 0) unpriced.push(line.id);
    else price += units * Math.min(...each);
  });
  return { price: roundMoney(price, book.currency), unpriced };
}

/** Widths only: lengths and volumes are paid for by the metre and the millilitre. */
const isAsLarge = (product: Product, size: readonly number[] | undefined): boolean =>
  !size || !product.sizeMm || Math.min(...product.sizeMm) >= Math.min(...size) * 0.95;
