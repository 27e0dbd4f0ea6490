import { LONGEST_LINE } from "./cardLimits.ts";
import { COUNTED_FIRST } from "./counted.ts";
import { TWO_LETTERS } from "./quick.ts";

/** What a table writes in its heading or between its cells, put as other tables have it; the lines stay as many. */

/** "Item (min.)" over "Eye pads (4)": how many there should be, in brackets behind each name. */
const HEADS_LEAST =
  /\((?:min(?:imum)?\.?|par|req(?:uired|'?d)?\.?|should\s+(?:be|have)|target|std\.?|standard|full)\)/i;
const LEAST = /\s*\(\d{1,3}\)(?=\s{2,}|\t|\s*[|;])/;
export function withoutLeast(lines: readonly string[]): string[] {
  const heading = lines.findIndex((line) => HEADS_LEAST.test(line));
  return heading < 0
    ? [...lines]
    : lines.map((line, i) => (i > heading ? line.replace(LEAST, "") : line));
}

const COUNT_FIRST = /^(?:\d|an?\s)/i;
/** Where the one bar of a line is, with a name before it and a count behind it; -1: it is no such line. */
function oneBar(line: string): number {
  const at = line.length > LONGEST_LINE ? -1 : line.indexOf(" | ");
  return at > 0 &&
    !line.includes("|", at + 2) &&
    TWO_LETTERS.test(line.slice(0, at)) &&
    !COUNTED_FIRST.test(line.slice(0, at)) &&
    COUNT_FIRST.test(line.slice(at + 2).trimStart())
    ? at
    : -1;
}
const FEWEST_BARRED = 4;
/** "plasters | 2 tubs of 60": a name and its count either side of one bar, on most lines. */
export function barsAsColons(lines: readonly string[]): string[] {
  const bars = lines.map(oneBar);
  const barred = bars.filter((at) => at >= 0).length;
  const written = lines.filter((line) => line.trim() !== "").length;
  if (barred < FEWEST_BARRED || 2 * barred <= written) return [...lines];
  return lines.map((line, i) =>
    bars[i]! < 0 ? line : `${line.slice(0, bars[i])}: ${line.slice(bars[i]! + 2).trimStart()}`,
  );
}

const IDENTIFIERS = /^\s*\|?\s*[A-Za-z]\w*(?:(?:\s*[,;|]\s*|\t|\s{2,})[A-Za-z]\w*)+\s*\|?\s*$/;
const HUMP = /(?<=[a-z]{2})(?=[A-Z][a-z])/g;
const WORD_AND_GAP = /(\S+)( {2,}|$)/g;
/** A word in its parts; the gap behind it is so much shorter, as columns keep their places. */
function humpsApart(_: string, word: string, gap: string): string {
  const apart = word.replace(HUMP, " ");
  return apart + (gap && " ".repeat(Math.max(2, gap.length - (apart.length - word.length))));
}
/** "stock_no,onHand": headings as programs name them; an underline gives way to a blank, as columns keep their places. */
function asWords(line: string): string {
  if (!/_|[a-z]{2}[A-Z][a-z]/.test(line) || line.length > LONGEST_LINE || !IDENTIFIERS.test(line))
    return line;
  const words = line.replaceAll("_", " ");
  return /[,;|\t]/.test(line) ? words.replace(HUMP, " ") : words.replace(WORD_AND_GAP, humpsApart);
}
export const identifiersAsWords = (lines: readonly string[]): string[] => lines.map(asWords);
