import { roleOf } from "./headingRoles.ts";
import { quick, THREE_LETTERS } from "./quick.ts";

/**
 * A column of names and below it the column of their counts, as a page gives them that is copied column by column: "Item", "Eye
 * pads", "Slings", "Qty", "2", "4". Each count is put back beside its name; as many lines as before.
 */

const COUNT = /^\s*(\d{1,4})(?:\s*(?:[x×]|pcs|pieces|pairs?|prs?|ea|no\.?))?\s*$/i;
/** "2 x plasters", "plasters x 2": the line has its own. */
const OWN_COUNT = quick(
  /^\W*\d{1,4}\s*(?:[x×]\s|\p{L}{3})|[x×]\s?\d{1,4}\s*$|(?:\s{2,}|:\s*)\d{1,4}\s*$/iu,
);
/** Longer lines are sentences. */
const LONGEST_NAME = 80;
/** Of fewer nothing can be told. */
const FEWEST = 4;

const isHeading = (line: string | undefined, role: "text" | "quantity"): boolean =>
  line !== undefined && line.trim().split(/\s+/).length <= 3 && roleOf(line.trim()) === role;
const isName = (line: string): boolean =>
  THREE_LETTERS.test(line) &&
  line.length <= LONGEST_NAME &&
  !OWN_COUNT.test(line) &&
  !COUNT.test(line);

/** Where a column of counts begins and ends. */
interface Run {
  readonly from: number;
  readonly to: number;
}
/** The runs of lines that are nothing but counts. */
function countRuns(lines: readonly string[]): readonly Run[] {
  const runs: Run[] = [];
  for (let at = 0; at < lines.length; at++) {
    if (!COUNT.test(lines[at]!)) continue;
    let to = at;
    while (to < lines.length && COUNT.test(lines[to]!)) to++;
    if (to - at >= FEWEST) runs.push({ from: at, to });
    at = to;
  }
  return runs;
}

/** The line of the first of as many names right above; null: there are not so many, or more that no heading parts from them. */
function namesAbove(lines: readonly string[], { from, to }: Run): number | null {
  let end = from;
  while (end > 0 && (lines[end - 1]!.trim() === "" || isHeading(lines[end - 1], "quantity"))) end--;
  const first = end - (to - from);
  if (first < 0 || !lines.slice(first, end).every(isName)) return null;
  const above = lines[first - 1];
  const isApart = above === undefined || above.trim() === "" || !isName(above);
  return isApart || isHeading(above, "text") ? first : null;
}

export function countsBelowNames(lines: readonly string[]): string[] {
  const read = [...lines];
  for (const run of countRuns(lines)) {
    const first = namesAbove(lines, run);
    if (first === null) continue;
    for (let k = 0; k < run.to - run.from; k++) {
      read[first + k] = `${lines[first + k]!.trimEnd()}    ${lines[run.from + k]!.trim()}`;
      read[run.from + k] = "";
    }
    for (let k = first + run.to - run.from; k < run.from; k++) read[k] = "";
    if (isHeading(lines[first - 1], "text")) read[first - 1] = "";
  }
  return read;
}
