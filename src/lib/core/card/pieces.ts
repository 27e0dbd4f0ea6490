import type { CardRow } from "./layout.ts";
import { lex } from "./lexer.ts";
import { readQuantity, type Reading } from "./quantity.ts";

/** Things named as a pair that are one. */
const ONE_TOOL = /tweezers|shears|scissors|haemostat|glasses|goggles|forceps/;

/** Usable pieces of an entry, from its own words and the quantity column; `sure`: a number said so. */
export function countOf(
  reading: Reading,
  row: CardRow,
  type: string | null,
  bareIsCount: boolean,
): { value: number; sure: boolean } {
  const own = reading.pieces ?? (bareIsCount && reading.bare ? product(reading.bare) : null);
  let pieces = own;
  let inPairs = reading.inPairs;
  let pairs = reading.pairs;
  if (row.quantity !== null) {
    const column = readQuantity(lex(row.quantity));
    inPairs ||= column.inPairs;
    pairs ??= column.pairs;
    const amount = column.pieces ?? 1;
    // A pack size in the text multiplies what the column counts; a bare number there says the same twice.
    const packSize = innerOf(row.text) ?? gluedPack(row.quantity) ?? otherCount(row.text, amount);
    pieces = packSize !== null ? amount * packSize : amount;
    if (column.bare) pieces = column.bare[0] * column.bare[1];
    // "4 | gloves (2 pairs)": the text says again in pairs what the column counts singly.
    if (reading.pairs !== null && amount === 2 * reading.pairs) pieces = reading.pairs;
  }
  const isGlove = type !== null && /gloves$/.test(type);
  if (isGlove) {
    if (reading.pairs !== null && row.quantity === null)
      return { value: multiplied(reading), sure: true };
    if (inPairs) return { value: pieces ?? 1, sure: true };
    if (pieces === null) return { value: 1, sure: true };
    return pieces % 2 === 0 ? { value: pieces / 2, sure: false } : { value: pieces, sure: false };
  }
  if (pairs !== null || inPairs) {
    if (type !== null && ONE_TOOL.test(type))
      return { value: Math.max(1, pieces ?? 1), sure: true };
    if (type !== null && pieces !== null && pairs !== null)
      return { value: pieces * 2, sure: false };
    if (type !== null && pairs === null) return { value: (pieces ?? 1) * 2, sure: false };
  }
  return { value: pieces ?? 1, sure: pieces !== null };
}

/** What one tablet may hold, in mg, printed without its unit: "aspirin 300 × 10". */
const STRENGTHS = new Set([75, 81, 100, 200, 250, 300, 325, 400, 500, 600, 650, 1000]);
const product = ([a, b]: readonly [number, number]): number => (STRENGTHS.has(a) ? b : a * b);

/** Pairs as said, times the packs they lie in. */
const multiplied = (reading: Reading): number =>
  reading.pieces !== null &&
  reading.pieces % reading.pairs! === 0 &&
  reading.pieces !== reading.pairs
    ? reading.pieces / reading.pairs! > 1 && reading.pieces / reading.pairs! !== 2
      ? reading.pieces
      : reading.pairs!
    : reading.pairs!;

/** The pack size that a table row's text states ("5 per pack", "card of 6"); null: none. */
function innerOf(text: string): number | null {
  const m =
    /\b(?:pack|pk|packet|bx|btl|box|card|blister|strip|bag|carton|set|tin|tub|sleeve|wallet|sachet|bundle|tube|bottle|roll|sheet|envelope|case|tray|foil|refill|pkg|pkt|package)s?\s*(?:of|\/|with|x|containing)\s*(\d{1,4})\b(?!\s*(?:mm|cm|m\b|ml|mg|g\b|in\b|"|x))/i.exec(
      text,
    ) ??
    /\b(\d{1,4})\s*(?:-|\s)?\s*(?:per|in\s+(?:an?|the|each)|to\s+(?:an?|the|each)|\/)\s*(?:unit|pack|pk|packet|bx|btl|box|card|blister|strip|sht|sheet|bag|carton|set|tin|tub|sleeve|wallet|sachet|bundle|envelope|pkg|pkt|package)\b/i.exec(
      text,
    ) ??
    /\b(\d{1,3})['’]?s\b/.exec(text) ??
    /,\s*(\d{1,3})S\b/.exec(text) ??
    /\b(\d{1,4})\s*-\s*(?:pack|pk|piece|pcs|pc|count|ct)\b/i.exec(text) ??
    /\((?:box|bx|pack|pk|pkt)\s+(?:of\s+)?(\d{1,4})\)/i.exec(text) ??
    /\((\d{1,4})\s*(?:pack|pk|pcs|pieces|pc|tablets|tabs|per pack|count|ct)\)/i.exec(text);
  if (m) return Number(m[1]);
  return /\btwin(?:[\s-]?pack\b|\s*(?:$|[,)]))/i.test(text) ? 2 : null;
}

/** "(10)", ", 5 strips" at the end of the text: a pack size, unless it says the column's count again. */
function otherCount(text: string, amount: number): number | null {
  const m =
    /\((\d{1,4})\)\s*$/.exec(text) ??
    /,\s*(\d{1,4})\s+(?:strips|tablets|tabs|caps|capsules|caplets|sachets|pieces|pcs|pads|wipes|swabs)\s*$/i.exec(
      text,
    );
  return m && Number(m[1]) !== amount ? Number(m[1]) : null;
}

/** "PK5", "BX100" in the unit column; "PK/5" the reading of the column knows itself. */
const gluedPack = (quantity: string): number | null => {
  const m = /\b(?:pk|pkt|pack|bx|box|bg|bag|cs|st|set)-?(\d{1,4})\b/i.exec(quantity);
  return m ? Number(m[1]) : null;
};
