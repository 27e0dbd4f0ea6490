import { placedCells, type PlacedCell, type Split } from "./cells.ts";

/**
 * A table whose columns are set by blanks, some of its cells empty: what stands in a column is told by where it
 * stands. A column ends where nearly all lines are blank.
 */

/** So wide at least is the blank between two columns, characters. */
const GUTTER = 2;
/** Of so many lines one may run on over a gutter: a title, a total, a name too long. */
const LINES_TO_ONE_ACROSS = 10;
/** No table is wider; signs with blanks between them are none, and each would be held against each. */
const MOST_COLUMNS = 20;
/** Two columns are a name and its count, wherever that stands. */
const FEWEST_COLUMNS = 3;
/** A column with fewer cells is none; nor is a table one of which fewer rows have three. */
const FEWEST_CELLS = 2;

interface Column {
  readonly from: number;
  readonly to: number;
}

function columnsOf(rows: readonly (readonly PlacedCell[])[]): Column[] {
  const cells = rows.flat();
  const filled = new Uint16Array(Math.max(0, ...cells.map((c) => c.to)));
  for (const { from, to } of cells) for (let at = from; at < to; at++) filled[at]!++;
  const across = Math.floor(rows.length / LINES_TO_ONE_ACROSS);
  const columns: Column[] = [];
  let last: { from: number; to: number } | null = null;
  filled.forEach((n, at) => {
    if (n <= across) return;
    if (last && at - last.to < GUTTER) last.to = at + 1;
    else columns.push((last = { from: at, to: at + 1 }));
  });
  return columns;
}

/**
 * How to split lines of a table into as many cells as it has columns, empty ones among them; a line that does not
 * keep to the columns is split by `otherwise`. null: they are no such table, or none of their cells is empty.
 */
export function alignedSplit(
  lines: readonly string[],
  otherwise: Split,
): { readonly split: Split; readonly width: number } | null {
  const cells = lines.map(placedCells);
  if (cells.some((c) => c.length > MOST_COLUMNS)) return null;
  if (cells.filter((c) => c.length >= FEWEST_COLUMNS).length < FEWEST_CELLS) return null;
  // A leader points at its count wherever that stands.
  if (lines.some((l) => l.includes("\t") || l.includes("..."))) return null;
  const columns = columnsOf(cells);
  const placed = (line: string): string[] | null => {
    const row = columns.map(() => "");
    const cells = placedCells(line);
    // One alone is a title, or what is written under the table.
    if (cells.length < 2) return null;
    for (const { text, from, to } of cells) {
      const over = columns.flatMap((c, i) => (from < c.to && to > c.from ? [i] : []));
      if (over.length !== 1 || row[over[0]!] !== "") return null;
      row[over[0]!] = text;
    }
    return row;
  };
  const rows = lines.map(placed).filter((r) => r !== null);
  const cellsIn = (row: readonly string[]) => row.filter((c) => c !== "").length;
  const isTable =
    columns.length >= FEWEST_COLUMNS &&
    rows.filter((r) => cellsIn(r) >= FEWEST_COLUMNS).length >= FEWEST_CELLS &&
    lines.length - rows.length <= lines.length / LINES_TO_ONE_ACROSS &&
    columns.every(
      // A heading may have nothing below it.
      (_, i) => rows[0]![i] !== "" || rows.filter((r) => r[i] !== "").length >= FEWEST_CELLS,
    ) &&
    rows.some((r) => r.includes(""));
  return isTable
    ? { split: (line) => placed(line) ?? otherwise(line), width: columns.length }
    : null;
}
