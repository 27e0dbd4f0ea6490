import { LONGEST_LINE } from "./cardLimits.ts";
import { quick, THREE_LETTERS } from "./quick.ts";

/**
 * Checked round by round: "Plasters   50   ✓  ✓  41  ✓", how many there should be and then, day by day, a tick where they are
 * or the number that was found. The last that was written holds.
 */

interface Row {
  readonly name: string;
  /** How many there should be; null: it is not said. */
  readonly level: string | null;
  /** What was written at each round, those not yet held left out. */
  readonly marks: readonly string[];
}

/** So many columns of marks are no chance. */
const FEWEST_ROUNDS = 3;
/** And so many rows of them. */
const FEWEST_ROWS = 3;
const TICK = /^[✓✔☑]$/;
const CROSS = /^[✗✘❌]$/;
const MARK = /^(?:[✓✔☑✗✘❌]|\d{1,4}|[-–—.]?)$/;
/** What says that somebody looked: a row of it lists nothing. */
const LOOKED = /\b(?:check(?:ed)?|tested|signed|signature|initials?|seal|locked|light|by)\b/i;

/** The cells of a line: between bars or tabs, or set apart by blanks, marks by one. */
function cellsOf(line: string): string[] {
  if (/[|\t]/.test(line))
    return line
      .trim()
      .replace(/^\||\|$/g, "")
      .split(/[|\t]/)
      .map((cell) => cell.trim());
  const m = APART.exec(line.trimEnd());
  return m ? [m[1]!, ...m[2]!.trim().split(/\s+/)] : [line];
}
const APART = quick(/^(\s*.*?\p{L}.*?)(\s{2,}\S{1,4}(?:\s+(?:[✓✔☑✗✘❌]|\d{1,4}|[-–—])){3,})$/u);

function rowOf(line: string): Row | null {
  if (line.length > LONGEST_LINE || !/[✓✔☑]/.test(line)) return null;
  const cells = cellsOf(line);
  const at = cells.findIndex((cell) => THREE_LETTERS.test(cell));
  const behind = cells.slice(at + 1);
  if (at < 0 || !behind.every((cell) => MARK.test(cell))) return null;
  const level = /^\d+$/.test(behind[0] ?? "") ? behind[0]! : null;
  const marks = (level === null ? behind : behind.slice(1)).filter((mark) => /[^-–—.]/.test(mark));
  return marks.length >= FEWEST_ROUNDS ? { name: cells[at]!, level, marks } : null;
}

/** What the last round says: how many, as a row of its own. */
function lastOf({ name, level, marks }: Row): string {
  const last = marks.at(-1)!;
  if (LOOKED.test(name) || CROSS.test(last)) return "";
  const count = TICK.test(last) ? level : last;
  return count === null ? `- ${name.trim()}` : `- ${name.trim()}, ${count} pcs`;
}

/** The card with such rows as names and counts, without the heading above them; as many lines as before. */
export function roundsAsCounts(lines: readonly string[]): string[] {
  const rows = lines.map(rowOf);
  const ticked = rows.filter((row) => row?.marks.some((mark) => TICK.test(mark)));
  const isChecked = ticked.length >= FEWEST_ROWS && ticked.some((row) => row!.level !== null);
  if (!isChecked) return [...lines];
  const first = rows.findIndex((row) => row !== null);
  return lines.map((line, i) => {
    const row = rows[i];
    if (row) return lastOf(row);
    // Days and a line drawn under them.
    return i < first && i >= first - 2 && !/\d/.test(line) && cellsOf(line).length > 1 ? "" : line;
  });
}

/** "Plasters      1    3 |   3    2": columns set apart by blanks, with a stroke drawn between two of them. */
const RULE_BETWEEN = /(?<=\s)\|(?=\s)/g;
const HAS_COLUMNS = /\S\s{2,}\S/;
/** A table of blanks without the one or two strokes that are drawn down it. */
export function withoutRules(lines: readonly string[]): string[] {
  const isRuled = (line: string): boolean => {
    if (line.length > LONGEST_LINE || !line.includes("|") || /^\s*\|/.test(line)) return false;
    const cells = line.split("|");
    return cells.length <= 3 && cells.filter((cell) => HAS_COLUMNS.test(cell.trim())).length >= 2;
  };
  if (lines.filter(isRuled).length < FEWEST_ROWS + 1) return [...lines];
  return lines.map((line) =>
    line.length <= LONGEST_LINE && line.split("|").length <= 3 && /\S\s*\|/.test(line)
      ? line.replace(RULE_BETWEEN, " ")
      : line,
  );
}

/** "1 x Pocket mask      Y     03/29": a name, whether it is there, and what else is said. */
const ANSWERED = quick(
  /^(\s*\S.*?\p{L}\S*(?: \S+)*?)\s{2,}(Y(?:es)?|N(?:o)?|[✓✔☑✗✘❌])(?:\s*\((\d{1,3})\)|(?=\s|$))(.*)$/iu,
);
const ANSWER = /\s{2}(?:y|n|yes|no|[✓✔☑✗✘❌])(?:\s|$)/i;
const NOT_THERE = /^(?:no?|[✗✘❌])$/i;
/** Fewer rows may say something else with a letter. */
const FEWEST_ANSWERED = 4;

/**
 * A list with a column that says of each thing whether it is there, and no heading over the names: those that are not
 * go, and of the others what stands behind goes. A table with headings is read as such.
 */
export function answersBeside(lines: readonly string[]): string[] {
  const found = lines.map((line) =>
    line.length <= LONGEST_LINE && ANSWER.test(line) && !/[|\t;]/.test(line)
      ? ANSWERED.exec(line)
      : null,
  );
  const rows = found.filter((m) => m !== null && !/\S\s{2,}\S/.test(m[1]!.trim()));
  const first = found.findIndex((m) => m !== null);
  const heading = lines.slice(0, first).findLast((line) => line.trim() !== "") ?? "";
  // "Item    Present?": the names have their heading.
  const isHeaded = !/^\s{8,}\S/.test(heading) && /\S\s{2,}\S/.test(heading.trim());
  if (rows.length < FEWEST_ANSWERED || isHeaded) return [...lines];
  return lines.map((line, i) => {
    const m = found[i];
    if (!m || !rows.includes(m)) return line;
    if (NOT_THERE.test(m[2]!)) return "";
    return m[3] === undefined
      ? m[1]!
      : `${m[1]!.replace(/^(\s*)\d{1,3}\s*(?:[x×]\s*)?/i, "$1")}, ${m[3]} pcs`;
  });
}
