import type { ColumnRole } from "./columnRole.ts";
import { quick, THREE_LETTERS } from "./quick.ts";

/**
 * "Gauze 10x10cm / gauze 5x5cm | 10 / 20", "Crepe bandage 6cm, 10cm | 2, 3": several things in one cell of a table, and as many counts
 * in another. Each is a row of its own.
 */

const COUNT = "\\d{1,4}(?:\\s?[x×]|\\s?\\p{L}{1,6}\\.?)?";
/** Counts, the same sign between all of them. */
const COUNTS = quick(
  new RegExp(`^${COUNT}\\s*([/,;+&])\\s*${COUNT}(?:\\s*\\1\\s*${COUNT}){0,3}$`, "iu"),
);
/** What stands between names: what is set apart by blanks first, as a stroke may be part of a name. */
const BETWEEN = [
  /\s+\/\s+/,
  /\s+\+\s+/,
  /\s+&\s+/,
  /\s*;\s*/,
  /,\s+/,
  /\s+and\s+/i,
  /\s*\/\s*/,
  /\s*\+\s*/,
  /\s*&\s*/,
];
/** The same without the comma that a name may have. */
const SIGNS = BETWEEN.filter((between) => !between.test(", "));
const MEASURE = "(?:mm|cm|m|in(?:ch(?:es)?)?|ft|yd|ml|l|g|mg|[\"”″'])";
/** "10cm", "5 x 5 cm", "L": the same thing in another size. */
const SIZE = quick(
  new RegExp(
    `^(?:\\d+(?:[.,]\\d+)?\\s*${MEASURE}?(?:\\s*[x×]\\s*\\d+(?:[.,]\\d+)?\\s*${MEASURE}?)*|x{0,3}[sml]|small|medium|large)$`,
    "iu",
  ),
);
/** May be anything's number. */
const BARE = /^\d+$/;
const SIZE_LAST = quick(
  new RegExp(
    `[\\s,(]*(?:\\d+(?:[.,]\\d+)?\\s*${MEASURE}?(?:\\s*[x×]\\s*\\d+(?:[.,]\\d+)?\\s*${MEASURE}?)*|x{0,3}[sml]|small|medium|large)\\)?$`,
    "iu",
  ),
);

/** "2 / 3 pr": pairs, both. */
function withUnit(counts: readonly string[]): string[] {
  const unit = /^\d{1,4}\s?(pairs?|prs?)\.?$/i.exec(counts.at(-1)!)?.[1];
  return counts.map((one) => (unit !== undefined && /^\d+$/.test(one) ? `${one} ${unit}` : one));
}

/** As many names as there are counts, each whole; null: the cell does not say so many. @param names whether a text names one thing */
function namesOf(
  cell: string,
  many: number,
  names: (text: string) => boolean,
  ways: readonly RegExp[],
): string[] | null {
  for (const between of ways) {
    const parts = cell.split(between).map((part) => part.trim());
    if (parts.length !== many || !THREE_LETTERS.test(parts[0]!)) continue;
    const head = parts[0]!.replace(SIZE_LAST, "");
    const whole = parts.map((part) => (SIZE.test(part) ? `${head} ${part}` : part));
    // "Dressings S / M": what sort of dressings is open, not that they are two.
    const areSizes = parts.slice(1).every((part) => SIZE.test(part) && !BARE.test(part));
    if (areSizes || whole.every(names)) return whole;
  }
  return null;
}
/** As many sizes; null: the cell does not say so many. */
function sizesOf(cell: string, many: number): string[] | null {
  const parts = BETWEEN.map((between) => cell.split(between).map((part) => part.trim()));
  return parts.find((of) => of.length === many && of.every((part) => SIZE.test(part))) ?? null;
}

/** "1 bx/100": one box, of so many. */
const PACK_CODE =
  /^\d{1,3}\s?(?:bxs?|box(?:es)?|pkts?|pks?|packs?|bags?|bgs?|ctns?|tubs?|cs)\.?\s*\/\s*\d{1,4}$/i;
/**
 * The rows that a row of a table says, by their cells: itself, where it says one thing.
 * @param roles one a column
 * @param names whether a text surely names one item
 */
export function pairedCells(
  cells: readonly string[],
  roles: readonly (ColumnRole | null)[],
  names: (text: string) => boolean,
): readonly (readonly string[])[] {
  const [name, count, size] = (["text", "quantity", "size"] as const).map((r) => roles.indexOf(r));
  const sign = COUNTS.exec(cells[count!]?.trim() ?? "")?.[1];
  if (sign === undefined || name! < 0 || PACK_CODE.test(cells[count!]!.trim())) return [cells];
  const counts = withUnit(cells[count!]!.split(sign).map((one) => one.trim()));
  const sizes = size! < 0 ? null : sizesOf(cells[size!] ?? "", counts.length);
  // "Tape, cloth" beside "1in/2in": one name.
  const said = namesOf(cells[name!] ?? "", counts.length, names, sizes ? SIGNS : BETWEEN);
  if (!said && !(sizes && names(cells[name!] ?? ""))) return [cells];
  return counts.map((one, k) =>
    cells.map((cell, at) => {
      if (at === count) return one;
      if (at === name) return said?.[k] ?? cell;
      return at === size ? (sizes?.[k] ?? cell) : cell;
    }),
  );
}

const CELL = /\s*\|\s*|\t+|\s{3,}|\s*\.{3,}\s*/;
/**
 * The same on a line of no table, each thing with its count before it; null: it says one thing.
 * @param names whether a text surely names one item
 */
export function pairedOnLine(
  line: string,
  names: (text: string) => boolean,
): readonly string[] | null {
  const cells = line.split(CELL).filter((cell) => cell !== "");
  const at = cells.findIndex((cell) => COUNTS.test(cell.trim()));
  if (at < 0 || cells.length < 2) return null;
  const beside = at === 0 ? 1 : at - 1;
  const rows = pairedCells([cells[beside]!, cells[at]!], ["text", "quantity"], names);
  return rows.length > 1 ? rows.map(([name, count]) => `${count!} x ${name!}`) : null;
}
