import { spaced } from "./cells.ts";

/**
 * A table that is set partly by tabs and partly by blanks, as a word processor leaves it: "01  A-14⇥2⇥PR". Where tabs and runs of
 * blanks together give its lines equally many cells, and tabs alone do not, the blanks are tabs too.
 */

const BLANKS = /(?<=\S) {2,}(?=\S)|(?<=\S)\s*\.{3,}\s*(?=\S)/g;
/** Fewer lines tell no table. */
const FEWEST_LINES = 3;
/** This share of the lines must agree. */
const ALIKE = 0.6;

/** The number that is most often there, and how often. */
function commonest(numbers: readonly number[]): { number: number; times: number } {
  const times = new Map<number, number>();
  for (const n of numbers) times.set(n, (times.get(n) ?? 0) + 1);
  const [number, most] = [...times].reduce((a, b) => (b[1] > a[1] ? b : a), [0, 0]);
  return { number, times: most };
}

/** The lines of a card with such blanks as tabs. Same number of lines. */
export function blanksAsTabs(lines: readonly string[]): string[] {
  const tabbed = lines.filter((line) => line.includes("\t")).map((line) => line.trim());
  const isMixed = tabbed.some((line) => / {2,}|\.{3,}/.test(line));
  if (!isMixed || tabbed.length < FEWEST_LINES) return [...lines];
  const byTabs = commonest(tabbed.map((line) => line.split("\t").length));
  const byBoth = commonest(tabbed.map((line) => spaced(line).length));
  // "1.2  Eye pads" under "Item": the number of a line has no heading.
  const heading = tabbed.find((line) => !/\d/.test(line) && line.split("\t").length > 1);
  const isHeaded = heading === undefined || spaced(heading).length === byBoth.number;
  return isHeaded && byBoth.times > byTabs.times && byBoth.times >= ALIKE * tabbed.length
    ? lines.map((line) => (line.includes("\t") ? line.replace(BLANKS, "\t") : line))
    : [...lines];
}
