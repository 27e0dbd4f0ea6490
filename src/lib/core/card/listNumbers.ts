import { quick } from "./quick.ts";

/** "5: plasters", "2) eye pads": numbers before the lines that are no list's, and so count. */

const NUMBERED = quick(
  /^(\s*(?:[-–•*·]\s+|\[[ xX]?\]\s+|[☐☑✓]\s*)?)#?(\d{1,3})\s?[.):]\s+(?=\p{L})/u,
);
/** "plasters x 5", "plasters (5)", "plasters 5": the line has a count of its own. */
const OWN_COUNT = /[x×]\s?\d+\b|\b\d+\s?[x×]\s|\(\d+\)|\d\s*(?:pcs|pairs?|prs?|off)?\s*$/i;
/** Of fewer lines nothing can be told. */
const FEWEST = 3;

/** A list's numbers go up by one, or begin anew; where lines were taken out, some are left out. */
function goesUp(numbers: readonly number[]): boolean {
  const steps = numbers.slice(1).map((n, i) => n - numbers[i]!);
  const isStep = (step: number, i: number) => step > 0 || numbers[i + 1] === 1;
  const byOne = steps.filter((step) => step === 1).length;
  return steps.every(isStep) && 2 * byOne >= steps.length;
}

/** The lines with such a number as a count before the name; as many lines as before. */
export function numbersAsCounts(lines: readonly string[]): string[] {
  const numbered = lines.flatMap((line) => {
    const m = NUMBERED.exec(line);
    return m ? [{ number: Number(m[2]), rest: line.slice(m[0].length) }] : [];
  });
  const numbers = numbered.map((n) => n.number);
  const own = numbered.filter((n) => OWN_COUNT.test(n.rest)).length;
  return numbers.length < FEWEST || 2 * own > numbers.length || goesUp(numbers)
    ? [...lines]
    : lines.map((line) => line.replace(NUMBERED, "$1$2 x "));
}
