import Papa from "papaparse";
import { remembering } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT, LONGEST_LINE } from "./cardLimits.ts";
import { quick, THREE_LETTERS } from "./quick.ts";

/** A line of a table as cells: by a delimiter, by bars, or by runs of blanks. */

export type Split = (line: string) => string[];

const delimited = (delimiter: string) => (line: string) => splitQuoted(line, delimiter);
/** Columns by a run of blanks, or by dot leaders. */
export const spaced = (line: string) => line.trim().split(/\s{2,}|\s*\.{3,}\s*|\t+/);
const GAP = /\s{2,}|\s*\.{3,}\s*|\t+/g;
/** A cell with where it starts and ends on its line. */
export interface PlacedCell {
  readonly text: string;
  readonly from: number;
  readonly to: number;
}

/** Cells of a line with where each starts and ends; a table is looked for from each line on, over the same lines again. */
export const placedCells = remembering(cellsPlaced, LINES_KEPT, LONGEST_KEPT);

function cellsPlaced(line: string): readonly PlacedCell[] {
  const cells: PlacedCell[] = [];
  let from = /^\s*/.exec(line)![0].length;
  const end = line.trimEnd().length;
  for (const gap of line.slice(0, end).matchAll(GAP)) {
    if (gap.index < from) continue;
    cells.push({ text: line.slice(from, gap.index), from, to: gap.index });
    from = gap.index + gap[0].length;
  }
  cells.push({ text: line.slice(from, end), from, to: end });
  return cells;
}
/** A line of which cells were put right, each where it stood before; tabs set cells apart wherever they stand, empty ones among them. */
function keptInPlace(before: string, after: string): string {
  if (before === after || before.includes("\t") || !/\S\s{2,}\S/.test(before)) return after;
  const places = placedCells(before);
  const cells = placedCells(after);
  if (places.length !== cells.length) return after;
  return cells.reduce((line, { text }, i) => {
    const from = Math.max(places[i]!.from, i === 0 ? 0 : line.length + 2);
    return line.padEnd(from) + text;
  }, "");
}
const hasGaps = (line: string): boolean =>
  line.length <= LONGEST_LINE && !line.includes("\t") && /\S\s{2,}\S/.test(line);
/** How far longer words move the cells behind them, by where the cells that hold the words begin. */
function growthOf(lines: readonly string[], said: readonly string[]): ReadonlyMap<number, number> {
  const growth = new Map<number, number>();
  lines.forEach((line, i) => {
    if (said[i] === line || !hasGaps(line)) return;
    const places = placedCells(line);
    const words = placedCells(said[i]!);
    if (words.length !== places.length) return;
    places.slice(0, -1).forEach(({ from }, k) => {
      const over = from + words[k]!.text.length + 2 - places[k + 1]!.from;
      if (over > (growth.get(from) ?? 0)) growth.set(from, over);
    });
  });
  return growth;
}
/** Lines with the words that are said instead of theirs, each cell where it stood; where longer words need room, all lines give it. */
export function keptInColumns(lines: readonly string[], said: readonly string[]): string[] {
  const growth = [...growthOf(lines, said)];
  const moved = (at: number) => growth.reduce((to, [from, by]) => (from < at ? to + by : to), at);
  return lines.map((line, i) => {
    if (growth.length === 0 || !hasGaps(line)) return keptInPlace(line, said[i]!);
    const wide = placedCells(line).reduce(
      (text, cell) => text.padEnd(moved(cell.from)) + cell.text,
      "",
    );
    return keptInPlace(wide, said[i] === line ? wide : said[i]!);
  });
}
const NAME_THEN_COUNT = quick(/^(.*\p{L}.*?)\s(\d{1,4})$/u);
/** "Large dressing 3        2": a name so long that one blank parts it from the count under the next heading. */
function atHeadings(cell: PlacedCell, headings: readonly PlacedCell[], line: string): PlacedCell[] {
  const at = headings.find((h) => h.from > cell.from && h.from < cell.to)?.from;
  const m = at === undefined ? null : NAME_THEN_COUNT.exec(cell.text);
  if (!m) return [cell];
  const from = cell.to - m[2]!.length;
  // The count begins where its heading does, or a letter or two beside.
  if (Math.abs(from - at!) > BESIDE) return [cell];
  return [
    { text: m[1]!, from: cell.from, to: from - 1 },
    { text: line.slice(from, cell.to), from, to: cell.to },
  ];
}
const BESIDE = 3;

/** "3.1  Scissors": a number of the list that stands before the name under the first heading. */
const LEAD = /^\(?(?:\d{1,2}(?:\.\d{1,2}){0,2}|[a-z]|[ivx]{1,4})[.)]?$/i;
function withLead(
  cells: readonly PlacedCell[],
  headings: readonly PlacedCell[],
): readonly PlacedCell[] {
  const [lead, name, ...others] = cells;
  const isLead =
    others.length > 0 &&
    LEAD.test(lead!.text) &&
    THREE_LETTERS.test(name!.text) &&
    lead!.from <= headings[0]!.from &&
    headings[1] !== undefined &&
    name!.to <= headings[1].from;
  return isLead
    ? [{ text: `${lead!.text} ${name!.text}`, from: lead!.from, to: name!.to }, ...others]
    : cells;
}

/** More cells than headings (a column without one): each goes to the heading that it stands under. */
export const underHeadings = (header: string) => {
  const headings = placedCells(header);
  return (line: string): string[] => {
    const found = withLead(placedCells(line), headings);
    const cells =
      found.length < headings.length ? found.flatMap((c) => atHeadings(c, headings, line)) : found;
    const apart = (c: { from: number; to: number }, h: { from: number; to: number }) =>
      Math.max(c.from, h.from) - Math.min(c.to, h.to);
    // The first cell is empty: what stands first stands under the second heading.
    const [head, second] = headings;
    const lacksFirst =
      found.length < headings.length &&
      found[0]!.from > head!.to &&
      apart(found[0]!, second!) < apart(found[0]!, head!);
    if (cells.length === found.length && found.length <= headings.length && !lacksFirst)
      return cells.map((c) => c.text);
    const placed = headings.map(() => [] as string[]);
    for (const c of cells) {
      const best = headings.reduce((b, h, i) => (apart(c, h) < apart(c, headings[b]!) ? i : b), 0);
      placed[best]!.push(c.text);
    }
    return placed.map((p) => p.join(" "));
  };
};
/** A bar at the end closes the line only where one opens it: "1 | Plasters | 40 |" ends in an empty cell. */
const piped = (line: string) =>
  line.includes("|")
    ? line
        .trim()
        .replace(/^\|(.*?)\|?$/, "$1")
        .split("|")
        .map((c) => c.trim())
    : [line];
/** Ways to split a line into cells, in the order they are tried; by blanks last. */
export const SPLITTERS: readonly Split[] = [
  delimited("\t"),
  piped,
  delimited(";"),
  delimited(","),
  spaced,
];

/** Fewer rows are no table. */
const FEWEST_BARRED = 3;
/**
 * Rows between bars of which the first has none at its ends, with bars there too: "| Slings | 4" below "Wounds | Plasters | 40" has an
 * empty cell first. As many lines as before.
 */
export function withOuterBars(lines: readonly string[]): string[] {
  const bars = lines.map((line) => (line.length > LONGEST_LINE ? 0 : line.split("|").length - 1));
  const counts = bars.filter((n) => n > 0);
  const usual = counts.find((n) => 2 * counts.filter((m) => m === n).length > counts.length);
  const rows = lines.filter((_, i) => usual !== undefined && bars[i] === usual);
  const isClosed = (line: string) => /^\s*\|/.test(line);
  // The first is the heading, or as whole as one.
  if (rows.length < FEWEST_BARRED || isClosed(rows[0]!) || !rows.some(isClosed)) return [...lines];
  return lines.map((line, i) => (bars[i] === usual ? `| ${line.trim()} |` : line));
}

const QUOTED = `"(?:[^"]|"")*"`;
/** `"Eye pads, sterile","4"`, `1;"Eye pads";4`: the line begins with a quote, or with its number. */
const QUOTED_CELLS = new RegExp(
  // A cell without quotes takes its blanks with it: if they could go to either side, a long line would never end.
  `^\\s*(?:\\d{1,3}\\s*[,;]\\s*)?${QUOTED}\\s*(?:[,;](?:\\s*${QUOTED}\\s*|[^",;]*))+$`,
);
/**
 * The lines of a card with those that are cells in quotes set apart by tabs: what stands in quotes holds no inches, and no
 * end of a cell. As they are where a line without quotes above them has as many cells, or many among them: that is a table
 * with its heading, or one that quotes only what must be, and is read as such.
 */
export function quotedAsCells(lines: readonly string[]): readonly string[] {
  const isQuoted = (line: string) =>
    line.length <= LONGEST_LINE && line.includes('"') && QUOTED_CELLS.test(line);
  const at = lines.findIndex(isQuoted);
  if (at < 0) return lines;
  const delimiter = /"\s*;|;\s*"/.test(lines[at]!) ? ";" : ",";
  const cells = splitQuoted(lines[at]!, delimiter).length;
  const isPlain = (line: string) => !line.includes('"') && line.split(delimiter).length === cells;
  const quoted = lines.filter(isQuoted).length;
  if (lines.slice(0, at).some(isPlain) || 2 * lines.filter(isPlain).length > quoted) return lines;
  return lines.map((line) => (isQuoted(line) ? splitQuoted(line, delimiter).join("\t") : line));
}

/** Cells of one line; quotes hold delimiters, doubled quotes are one (RFC 4180). */
export function splitQuoted(line: string, delimiter: string): string[] {
  // An inch sign within a cell quotes nothing.
  if (!line.includes('"') || !/(?:^|[,;\t])\s*"/.test(line))
    return line.split(delimiter).map((c) => c.trim());
  // A quote may stand behind a space.
  const closeUp = line.replace(/(^|[,;\t])\s+(?=")/g, "$1");
  const [cells = []] = Papa.parse<string[]>(closeUp, { delimiter }).data;
  return cells.map((c) => c.trim());
}
