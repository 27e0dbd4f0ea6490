import { quick } from "./quick.ts";

/** A till receipt: "2 @ 1.99" on a line of its own, the goods and what they came to on the next or the one before. */

const TIMES_PRICE =
  /^\s*(\d{1,3})\s*(?:@|[x×]|at)\s*[^\d\s]{0,2}(\d{1,4}[.,]\d{2})\s*(?:ea(?:ch)?\.?)?\s*$/i;
/** "BLUE PLASTERS 100S       2 @ 4.50     9.00": the same behind the goods, with what they came to or without. */
const GOODS_TIMES_PRICE = quick(
  /^(\s*)(\S.*\p{L}.*?)\s{2,}(\d{1,3})\s*(@|[x×])\s*[^\d\s]{0,2}(\d{1,4}[.,]\d{2})(?:\s*(?:ea(?:ch)?\.?)?\s+[^\d\s]{0,2}(\d{1,5}[.,]\d{2}))?\s*\p{L}?\s*$/u,
);
const GOODS = quick(/^(\s*)(\S.*\p{L}.*?)\s+[^\d\s]{0,2}(\d{1,4}[.,]\d{2})\s*\p{L}?\s*$/u);
const cents = (price: string): number => Math.round(Number(price.replace(",", ".")) * 100);

/** How it was paid, and what it came to: no goods. */
const PAID = quick(
  /^\s*(?:card|cash|change|total|sub-?total|balance|tendered|debit|credit|contactless|vat|bag|carrier)\b[^\p{L}]*$|^\s*(?:(?:card|cash)\s+payment|thank\s+you)\b/iu,
);

/** Longer lines are of no till. */
const LONGEST = 120;

const PRICE = /\d[.,]\d{2}/;
/** The goods with their number in front; null: the line charges for nothing, or its sum is another. */
function countedFirst(line: string): string | null {
  if (!PRICE.test(line)) return null;
  const [, indent, goods, count, sign, each, sum] = GOODS_TIMES_PRICE.exec(line) ?? [];
  // "2 x 4.50" alone may be a size.
  if (goods === undefined || (sum === undefined && sign !== "@")) return null;
  const isSum = sum === undefined || cents(sum) === Number(count) * cents(each!);
  return isSum ? `${indent!}${count!} x ${goods}` : null;
}

/** The card with the number before the goods that it was charged for; as many lines as before. */
export function receiptCounts(lines: readonly string[]): string[] {
  const short = lines.map((l) => (l.length > LONGEST ? "" : l));
  const counted = short.map(countedFirst);
  const isCharged = (i: number) => counted[i] !== null || TIMES_PRICE.test(short[i]!);
  if (!short.some((_, i) => isCharged(i))) return [...lines];
  const read = lines.map((l, i) => (PAID.test(short[i]!) ? "" : (counted[i] ?? l)));
  short.forEach((line, i) => {
    const times = TIMES_PRICE.exec(line);
    if (!times) return;
    const [, count, each] = times;
    // The sum tells to which of its neighbours it belongs.
    for (const at of [i + 1, i - 1]) {
      const goods = GOODS.exec(short[at] ?? "");
      if (!goods || cents(goods[3]!) !== Number(count) * cents(each!)) continue;
      read[at] = `${goods[1]!}${count!} x ${goods[2]!}`;
      read[i] = "";
      return;
    }
  });
  return read;
}
