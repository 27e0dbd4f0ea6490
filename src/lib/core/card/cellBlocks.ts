import { LONGEST_LINE } from "./cardLimits.ts";
import { placedCells, splitQuoted } from "./cells.ts";
import { areArticles, isRunning } from "./columnsByContent.ts";
import { roleOf } from "./headingRoles.ts";
import { LETTER } from "./quick.ts";

/** Lines one below the other that fall into cells alike, before anything of them is read: what is changed in them leaves all else as it is written. */

/** A way to part a line into cells. Columns set by blanks are numbered from the right: a cell may be missing on the left. */
interface Way {
  /** null: the line has no such cells. */
  readonly cells: (line: string) => readonly string[] | null;
  /** The line with some of its cells said otherwise; null takes a cell out. */
  readonly with: (line: string, cells: ReadonlyMap<number, string | null>) => string;
  /** Whether rows of another number of cells are of the same block. */
  readonly isLoose: boolean;
}
/** Two rows or more, of three cells or more. */
export interface CellBlock {
  readonly way: Way;
  /** The place of each row among the lines. */
  readonly places: readonly number[];
  readonly rows: readonly (readonly string[])[];
}
const FEWEST_CELLS = 3;
/** More are no table that somebody filled in. */
const MOST_CELLS = 20;
/** Of fewer rows nothing can be told, unless they stand below a heading. */
export const FEWEST_ROWS = 3;
const FEWEST_LINES = 2;

/** Cells of a line as they are written, quotes and all. */
function writtenCells(line: string, delimiter: string): string[] {
  if (!line.includes('"')) return line.split(delimiter);
  const cells: string[] = [];
  let from = 0;
  let isOpen = false;
  for (let i = 0; i < line.length; i++) {
    if (line[i] === '"') isOpen = !isOpen;
    if (line[i] !== delimiter || isOpen) continue;
    cells.push(line.slice(from, i));
    from = i + 1;
  }
  return [...cells, line.slice(from)];
}
const delimited = (delimiter: string): Way => ({
  cells: (line) => (line.includes(delimiter) ? splitQuoted(line, delimiter) : null),
  with: (line, said) =>
    writtenCells(line, delimiter)
      .flatMap((cell, i) => {
        const other = said.get(i);
        if (other === null) return [];
        return [
          other === undefined
            ? cell
            : cell.replace(/^(\s*).*?(\s*)$/, (_, a: string, b: string) => a + other + b),
        ];
      })
      .join(delimiter),
  isLoose: false,
});
/** What is taken out leaves its place empty, and a cell behind a longer one begins further right only where it must. */
const spaced: Way = {
  cells: (line) =>
    /\S\s{2,}\S/.test(line)
      ? placedCells(line)
          .map((c) => c.text)
          .reverse()
      : null,
  with: (line, said) => {
    const cells = placedCells(line);
    return cells
      .reduceRight((left, { from, to }, i) => {
        const other = said.get(cells.length - 1 - i);
        return other === undefined
          ? left
          : left.slice(0, from) + (other ?? "").padEnd(to - from) + left.slice(to);
      }, line)
      .trimEnd();
  },
  isLoose: true,
};
/** "eye pads, 4 ... 8,65 €": where one comma has a blank behind it and another stands within a number, they part no cells. */
const IS_PROSE = /,\s.*\d,\d|\d,\d.*,\s/;
const IN_QUOTES = /"[^"]*"/g;
const commas: Way = delimited(",");
const byCommas: Way = {
  ...commas,
  cells: (line) => (IS_PROSE.test(line.replace(IN_QUOTES, "")) ? null : commas.cells(line)),
};
const WAYS: readonly Way[] = [...["\t", "|", ";"].map(delimited), byCommas, spaced];

/** "Top tray:", a blank line: so many lines in a row may stand between rows of one table. */
const MOST_BETWEEN = 2;

/** The blocks of a card by one way to part cells. */
function cellBlocks(lines: readonly string[], way: Way): CellBlock[] {
  const blocks: CellBlock[] = [];
  const all = lines.map((line) => (line.length > LONGEST_LINE ? null : way.cells(line)));
  const isRow = (at: number) => {
    const cells = all[at]?.length ?? 0;
    return cells >= FEWEST_CELLS && cells <= MOST_CELLS;
  };
  for (let from = 0; from < lines.length; from++) {
    if (!isRow(from)) continue;
    const places = [from];
    for (let at = from + 1; at < lines.length; at++) {
      const last = places.at(-1)!;
      const isLike = isRow(at) && all[at]!.length === all[last]!.length;
      if (isLike || (way.isLoose && isRow(at) && at === last + 1)) places.push(at);
      else if (isRow(at) || at - last > MOST_BETWEEN) break;
    }
    if (places.length >= FEWEST_LINES)
      blocks.push({ way, places, rows: places.map((at) => all[at]!) });
    from = places.at(-1)!;
  }
  return blocks;
}

/** What is said otherwise in the cells of a row, by their places; null: nothing is left of it. */
type Said = ReadonlyMap<number, string | null> | null;
/**
 * The lines with the cells of their blocks said otherwise, as many as before, and the blocks that were changed; no line is changed twice.
 * @param say one a row; null: the block stays as it is
 */
export function withBlocksSaid(
  lines: readonly string[],
  say: (block: CellBlock) => readonly Said[] | null,
): { readonly read: string[]; readonly blocks: readonly CellBlock[] } {
  const read = [...lines];
  const taken = new Set<number>();
  const blocks: CellBlock[] = [];
  for (const way of WAYS)
    for (const block of cellBlocks(read, way)) {
      const said = taken.has(block.places[0]!) ? null : say(block);
      if (!said) continue;
      blocks.push(block);
      block.places.forEach((at, i) => {
        const cells = said[i]!;
        taken.add(at);
        read[at] = cells === null ? "" : way.with(read[at]!, cells);
      });
    }
  return { read, blocks };
}

/** Drawn under a heading. */
const IS_RULE = /^[\s:=_-]*$/;
/** The cells of a column, and what heads it. */
export interface BlockColumn {
  readonly at: number;
  /** "" where nothing does, or nobody can say what. */
  readonly heading: string;
  readonly cells: readonly string[];
}
/** What stands in the columns of a block, below its heading. */
export interface BlockColumns {
  /** null: it has none. */
  readonly heading: readonly string[] | null;
  readonly columns: readonly BlockColumn[];
  /** Every row has as many cells: what stands below each other is of one kind. */
  readonly isEven: boolean;
}
/** @param isThing whether a row says what there is */
export function columnsOf(
  { rows }: CellBlock,
  isThing: (row: readonly string[]) => boolean = () => true,
): BlockColumns {
  const heading = isHeadingRow(rows[0]!) ? rows[0]! : null;
  const body = rows
    .slice(heading ? 1 : 0)
    // No line drawn under the heading, nor a title in one cell.
    .filter((row) => row.filter((cell) => !IS_RULE.test(cell)).length > 1 && isThing(row));
  const width = Math.max(0, ...body.map((row) => row.length));
  const isEven = body.every((row) => row.length === width) && (heading?.length ?? width) === width;
  const columns = Array.from({ length: width }, (_, at) => ({
    at,
    heading: isEven ? (heading?.[at] ?? "").trim() : "",
    cells: body.map((row) => (row[at] ?? "").trim()),
  }));
  return { heading, columns, isEven };
}

const FEWEST_HEADINGS = 2;
/** Numbers that say which line or article it is: 1, 2, 3, or large ones that all differ. */
export function areNumbersOfRows({ heading, cells }: BlockColumn): boolean {
  if (roleOf(heading) === "quantity") return false;
  const numbers = cells.map((cell) => Number.parseInt(cell, 10)).filter((n) => !Number.isNaN(n));
  return numbers.length > 1 && (isRunning(numbers) || areArticles(numbers));
}

/** Whether a row heads the others: words, and no number in any cell. */
export const isHeadingRow = (row: readonly string[]): boolean =>
  row.filter((cell) => LETTER.test(cell)).length >= FEWEST_HEADINGS &&
  !row.some((cell) => /\d/.test(cell));
