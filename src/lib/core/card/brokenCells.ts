import { quick } from "./quick.ts";

/**
 * A cell too long for its column, which goes on below: a row with that cell alone, between bars or set under it by blanks, is put
 * together with the one above.
 */

interface Cell {
  readonly from: number;
  readonly text: string;
}
/** A row by its cells; those of a row between bars begin at their number. */
type Row = readonly Cell[];

/** Source of a pattern for what begins as what goes on does: a small letter, a bracket, a size, a sign and a count. */
export const BEGINS_BELOW =
  '\\p{Ll}|\\(|\\d+(?:[.,]\\d+)?\\s?(?:(?:mm|cm|in|m|ml|g)\\b|[x×]\\s?\\d|["″])|[x×]\\s?\\d';
const GOES_ON = quick(new RegExp(`^(?:${BEGINS_BELOW}|[+&/])`, "u"));
/** "Plasters,", "10 x": something follows. */
const IS_OPEN = /(?:[,(&+/x×-]|\b(?:with|and|of|for|in|to|or))\s*$/i;
const ONLY_COUNT =
  /^[x×]?\s?\d{1,4}(?:\s?(?:[x×]|pcs|pieces|prs?|pairs?|ea|off|nos?\.?|rolls?))?$/i;
const NAMES = quick(/\p{L}{2}/u);
export const SMALL = quick(/^\p{Ll}/u);
/** Where so many of the names begin with small letters, one tells nothing. */
const HALF_SMALL = 0.5;
/** No cell takes more lines. */
const MOST_LINES = 4;
/** Of fewer rows nothing is told; a name, a count, and what stands outside the bars. */
const FEWEST_ROWS = 3;
const FEWEST_BETWEEN_BARS = 3;
const LONGEST_ROW = 300;

const isBarred = (line: string): boolean => line.includes("|");
const cellsOf = (line: string): readonly Cell[] =>
  isBarred(line)
    ? line
        .split("|")
        .flatMap((text, from) => (text.trim() === "" ? [] : [{ from, text: text.trim() }]))
    : [...line.matchAll(/\S+(?: \S+)*/g)].map((m) => ({ from: m.index, text: m[0] }));

/** "4 (new)", "-", "none". */
const COUNTS = /^[x×]?\s?\d|^(?:[-–—]|none|nil)$/i;
/** Whether a row lists a thing: a name, and beside it a number. */
const listsThing = (row: Row): boolean =>
  row.length > 1 && row.some((c) => NAMES.test(c.text)) && row.some((c) => COUNTS.test(c.text));

/** How many signs the widest cell of each column has that is set by blanks. */
function widths(rows: readonly Row[]): ReadonlyMap<number, number> {
  const widest = new Map<number, number>();
  for (const { from, text } of rows.flat())
    widest.set(from, Math.max(text.length, widest.get(from) ?? 0));
  return widest;
}

/** Whether a row that is one cell goes on with that cell of the row above. */
function goesOn(cell: Cell, above: Cell, isFirst: boolean, width: number | null): boolean {
  if (ONLY_COUNT.test(cell.text) || !NAMES.test(above.text)) return false;
  const [begins, open] = [GOES_ON.test(cell.text), IS_OPEN.test(above.text)];
  const hadRoom =
    width !== null && above.text.length + 1 + cell.text.split(" ", 1)[0]!.length <= width;
  if (hadRoom) return begins && open;
  // A group's title stands in the first column.
  return begins || open || !isFirst;
}

function withCell(line: string, cell: Cell, text: string): string {
  if (isBarred(line))
    return line
      .split("|")
      .map((own, k) => (k === cell.from ? ` ${text} ` : own))
      .join("|");
  const rest = line.slice(cell.from + cell.text.length);
  const room = /^\s*/.exec(rest)![0].length - (text.length - cell.text.length);
  // Wider than its column: a tab parts them wherever they stand.
  const behind = rest.trim() === "" ? "" : (room < 2 ? "\t" : " ".repeat(room)) + rest.trimStart();
  return line.slice(0, cell.from) + text + behind;
}

/** The row below those of one cell, which tells where the count stands. */
const nextWhole = (rows: readonly Row[], from: number): Row =>
  rows.slice(from, from + MOST_LINES).find((row) => row.length !== 1) ?? [];

/** The lines of a table with such cells whole, on the line where they begin; as many lines as before. */
export function cellsWhole(lines: readonly string[]): string[] {
  const read = [...lines];
  const rows = lines.map((line) => (line.length > LONGEST_ROW ? [] : cellsOf(line)));
  if (rows.filter(listsThing).length < FEWEST_ROWS) return read;
  const barred = lines.map(isBarred);
  const widest = widths(rows.filter((_, i) => !barred[i]));
  const first = Math.min(...rows.flatMap((row) => (listsThing(row) ? row[0]!.from : [])));
  const names = rows.filter(listsThing).flatMap((row) => row.find((c) => NAMES.test(c.text)) ?? []);
  const beginsSmall = names.filter((c) => SMALL.test(c.text)).length >= HALF_SMALL * names.length;
  /** Whether row `i` has one cell alone, in the table of the row `above`. */
  const isAlone = (i: number, above: number): boolean =>
    rows[i]!.length === 1 &&
    i - above < MOST_LINES &&
    listsThing(rows[above] ?? []) &&
    barred[i] === barred[above] &&
    (!barred[i] || lines[i]!.split("|").length >= FEWEST_BETWEEN_BARS);
  /** Its count stands behind its last line. */
  const countsLast = ({ from }: Cell, i: number, head: Row): boolean =>
    !head.some((c) => c.from > from && COUNTS.test(c.text)) &&
    from !== first &&
    nextWhole(rows, i)[0]?.from === from;
  /** The cell of the row `above` with which row `i` goes on; -1: with none. */
  const cellAbove = (i: number, above: number): number => {
    if (!isAlone(i, above)) return -1;
    const cell = rows[i]![0]!;
    const head = rows[above]!;
    if (countsLast(cell, i, head) || (beginsSmall && SMALL.test(cell.text))) return -1;
    const same = head.findIndex((c) => c.from === cell.from);
    const over = rows[i - 1]!.find((c) => c.from === cell.from) ?? head[same];
    const width = barred[i] ? null : (widest.get(cell.from) ?? 0);
    return over && goesOn(cell, over, cell.from === first, width) ? same : -1;
  };
  let above = -1;
  rows.forEach((row, i) => {
    const at = cellAbove(i, above);
    if (at < 0) {
      above = i;
      return;
    }
    const whole = cellsOf(read[above]!)[at]!;
    read[above] = withCell(read[above]!, whole, `${whole.text} ${row[0]!.text}`);
    read[i] = barred[i] ? read[i]!.replace(/[^|]/g, " ") : "";
  });
  return read;
}
