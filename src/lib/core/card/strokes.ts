import { hint } from "./columnsByContent.ts";
import { roleOf } from "./headingRoles.ts";
import { quick } from "./quick.ts";
import { saysAmount } from "./recordFields.ts";

/** Columns set apart by strokes: "Should have / have / notes" over "Plasters 20 / 14 / order". */

/** "Plasters 20 / 14 / order": a name, its numbers, a remark. */
const ROW = quick(/^(.*\p{L}[^/]*?)\s+(\d{1,4}(?:\s*\/\s*\d{1,4})+)\s*(?:\/\s*([^/]*))?$/u);

type Head = "Required" | "Qty" | "Notes";
/** What each column is by the heading, where that tells which is how many there are; else null. */
function headsOf(line: string): Head[] | null {
  // Columns that are set apart by blanks are no strokes' columns, though one be headed "U/I".
  if (/\d|\S\s{2,}\S|[\t|;]|,\S/.test(line)) return null;
  const cells = line.split(/\s*\/\s*/);
  if (cells.length < 2) return null;
  const heads = cells.map((cell): Head => {
    const role = hint(cell);
    return role === "quantity" ? "Qty" : role === "skip" ? "Required" : "Notes";
  });
  const numbers = heads.filter((head) => head !== "Notes");
  return numbers.filter((head) => head === "Qty").length === 1 && numbers.length >= 2
    ? heads
    : null;
}

const cellsOf = (line: string): string[] =>
  line.includes(" / ") && !/[\t|;]/.test(line)
    ? line.split(/\s+\/\s+/).map((cell) => cell.trim())
    : [];

/** Of fewer cells a stroke means "or". */
const FEWEST_CELLS = 3;
/** "Item / Should be / Is / Action": it tells what things are and how many. */
function headsRows(line: string): boolean {
  const cells = /\d/.test(line) ? [] : cellsOf(line);
  const roles = cells.map((cell) => hint(cell) ?? roleOf(cell));
  return cells.length >= FEWEST_CELLS && roles.includes("quantity") && roles.includes("text");
}

/** Rows with a stroke between all their cells, under a heading of as many: as cells of a table. */
function rowsOfStrokes(lines: readonly string[]): string[] {
  let columns = 0;
  return lines.map((line) => {
    if (headsRows(line)) columns = cellsOf(line).length;
    const cells = columns > 0 ? cellsOf(line) : [];
    if (cells.length === columns && columns > 0) return cells.join("\t");
    // A blank line below the heading parts it from its rows, and ends nothing.
    if (line.trim() !== "") columns = 0;
    return line;
  });
}

/** The card with such columns written as cells; as many lines as before. */
export const strokesAsCells = (lines: readonly string[]): string[] =>
  lastOfChecks(numbersAsCells(withoutPlaces(rowsOfStrokes(lines))));

/** "Eye pads / 2 packs of 3 / lid": what, how many, and where it lies. */
function placedBehind(line: string): string | null {
  const cells = cellsOf(line);
  const [name, amount, place] = cells;
  const isSo =
    cells.length === FEWEST_CELLS &&
    LETTERS.test(name!) &&
    saysAmount(amount!) &&
    LETTERS.test(place!) &&
    !/\d/.test(place!);
  return isSo ? `${name!}: ${amount!}` : null;
}
const LETTERS = quick(/\p{L}{2}/u);
/** Several rows of that kind without where things lie. */
function withoutPlaces(lines: readonly string[]): string[] {
  const placed = lines.map(placedBehind);
  return placed.filter((line) => line !== null).length < FEWEST_CHECKED
    ? [...lines]
    : lines.map((line, i) => placed[i] ?? line);
}

/** "Plasters      20 / 18 / 15": counted again and again. */
const CHECKS = quick(
  /^(.*\p{L}[^/]*?)(?:\s{2,}|\s*[.:–-]+\s+)(\d{1,4}(?:\s+\/\s+\d{1,4}){2,})\s*$/u,
);
/** So many rows, each counted as often, are no chance. */
const FEWEST_CHECKED = 3;
/** Rows that were counted three times or more: the last holds, and where it is another than the one before the reader asks. */
function lastOfChecks(lines: readonly string[]): string[] {
  const found = lines.map((line) => {
    const m = line.includes(" / ") ? CHECKS.exec(line) : null;
    return m && { name: m[1]!, counts: m[2]!.split("/").map(Number) };
  });
  const times = found.flatMap((f) => (f ? [f.counts.length] : []));
  if (times.length < FEWEST_CHECKED || new Set(times).size > 1) return [...lines];
  return lines.map((line, i) => {
    if (!found[i]) return line;
    const { name, counts } = found[i];
    const [last, before] = [counts.at(-1)!, counts.at(-2)!];
    return last === before ? `${name}, ${last} pcs` : `${name}, ${last} pcs (${before}?)`;
  });
}

const GAP = /(?<=\S)\s{2,}(?=\S)/;
/** "First aid, hut. Min / held / expiry" over columns that blanks set apart: the names, and a column for each word of it. */
function headsGaps(heads: readonly Head[], below: string | undefined): boolean {
  return below !== undefined && below.trim().split(GAP).length === heads.length + 1;
}

/** A row of columns that blanks set apart, as cells; null: it is none. */
function gapsAsCells(line: string, heads: readonly Head[]): string | null {
  const cells = line.trim().split(GAP);
  return cells.length > 1 && cells.length <= heads.length + 1 ? cells.join("\t") : null;
}
/** A row whose numbers strokes set apart, as cells; null: it is none. */
function strokesApart(line: string, heads: readonly Head[]): string | null {
  const m = line.includes("/") ? ROW.exec(line) : null;
  const numbers = m ? m[2]!.split("/").map((n) => n.trim()) : [];
  return m && numbers.length === heads.length
    ? [m[1]!.trim(), ...numbers, m[3]?.trim() ?? ""].join("\t")
    : null;
}

function numbersAsCells(lines: readonly string[]): string[] {
  let heads: readonly Head[] | null = null;
  let areGaps = false;
  return lines.map((line, at) => {
    const found = headsOf(line);
    if (found) {
      areGaps = headsGaps(found, lines[at + 1]);
      heads = areGaps ? found : found.filter((head) => head !== "Notes");
      return ["Item", ...heads, ...(areGaps ? [] : ["Notes"])].join("\t");
    }
    if (heads === null) return line;
    const row: string | null = areGaps ? gapsAsCells(line, heads) : strokesApart(line, heads);
    // Another line ends columns of blanks; a blank one only sets rows apart.
    if (row === null && areGaps && line.trim() !== "") heads = null;
    return row ?? line;
  });
}
