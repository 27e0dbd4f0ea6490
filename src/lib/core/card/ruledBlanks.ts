import { LONGEST_LINE } from "./cardLimits.ts";

/** "Plasters      1    3 |   3    2": columns set apart by blanks, with a stroke drawn between two of them. */
const RULE_BETWEEN = /(?<=\s)\|(?=\s)/g;
const HAS_COLUMNS = /\S\s{2,}\S/;
/** Fewer lines with a stroke are a list of alternatives. */
const FEWEST_ROWS = 4;
/** A table of blanks without the one or two strokes that are drawn down it. */
export function withoutRules(lines: readonly string[]): string[] {
  const isRuled = (line: string): boolean => {
    if (line.length > LONGEST_LINE || !line.includes("|") || /^\s*\|/.test(line)) return false;
    const cells = line.split("|");
    return cells.length <= 3 && cells.filter((cell) => HAS_COLUMNS.test(cell.trim())).length >= 2;
  };
  if (lines.filter(isRuled).length < FEWEST_ROWS) return [...lines];
  return lines.map((line) =>
    line.length <= LONGEST_LINE && line.split("|").length <= 3 && /\S\s*\|/.test(line)
      ? line.replace(RULE_BETWEEN, " ")
      : line,
  );
}
