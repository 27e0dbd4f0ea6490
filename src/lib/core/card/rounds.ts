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
