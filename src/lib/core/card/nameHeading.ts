import { LONGEST_LINE } from "./cardLimits.ts";
import { roleOf } from "./headingRoles.ts";
import { THREE_LETTERS } from "./quick.ts";

/** Headings of a table that say everything but what its first column names: "      Min   Have   Exp      OK", ",Qty,Exp". */

/** The heading of names, as the reader knows it. */
const ITEM = "Item";
/** How the first cell of a line is left empty, with the sign that parts its cells. */
const EMPTY_FIRST: readonly (readonly [RegExp, RegExp, (line: string) => string])[] = [
  // At least as wide as a short name: as many blanks may indent a list.
  [/^ {8,}\S/, /\s{2,}/, (line) => ITEM + line.slice(ITEM.length)],
  [/^\t\S/, /\t/, (line) => ITEM + line],
  [/^\s*\|\s*\|/, /\|/, (line) => line.replace(/\|\s*(?=\|)/, `| ${ITEM} `)],
  [/^\s*\|\s*(?=[^|]*\|[^|]*[^|\s]\s*$)/, /\|/, (line) => `${ITEM} ${line.trimStart()}`],
  [/^;\S/, /;/, (line) => ITEM + line],
  [/^,\S/, /,/, (line) => ITEM + line],
];
/** "|---|---|" */
const RULE = /^[\s|:+-]+$/;
const FEWEST_ROWS = 2;
/** Headings are short, and so many are known. */
const LONGEST_HEADING = 20;
const FEWEST_KNOWN = 1;

/** Whether the lines below begin with a name and go on with a number, as the rows under such a heading do. */
function haveNames(below: readonly string[], parts: RegExp): boolean {
  const rows = below.filter((line) => line.trim() !== "" && !RULE.test(line)).slice(0, FEWEST_ROWS);
  return (
    rows.length === FEWEST_ROWS &&
    rows.every((row) => {
      const [first = "", ...others] = row.replace(/^\s*\|/, "").split(parts);
      return THREE_LETTERS.test(first) && /^\S/.test(row) && others.some((cell) => /\d/.test(cell));
    })
  );
}

function headed(line: string, at: number, lines: readonly string[]): string {
  if (line.length > LONGEST_LINE || /\d/.test(line)) return line;
  const found = EMPTY_FIRST.find(([empty]) => empty.test(line));
  if (!found) return line;
  const [, parts, withItem] = found;
  const headings = line
    .split(parts)
    .map((cell) => cell.trim())
    .filter((cell) => cell !== "");
  if (headings.some((heading) => heading.length > LONGEST_HEADING)) return line;
  const roles = headings.map((heading) => roleOf(heading));
  const known = roles.filter((role) => role !== null && role !== "quantity").length;
  const isHeading =
    roles.includes("quantity") &&
    !roles.includes("text") &&
    (known >= FEWEST_KNOWN || headings.length === 1);
  return isHeading && haveNames(lines.slice(at + 1, at + 1 + LOOK_AHEAD), parts)
    ? withItem(line)
    : line;
}

/** Rows that a heading needs below it are among so many lines. */
const LOOK_AHEAD = 5;
/** The lines with a heading over their names where a table has every other. */
export const withNameHeading = (lines: readonly string[]): string[] => lines.map(headed);
