import { quick } from "./quick.ts";

/** A card that says at the end of each line what the thing weighs or costs: numbers that count nothing. */

/** "Pressure bandage 15 cm ......... 96", "6 x crepe bandage     7.20 g". */
const AT_END =
  /(?:\s*\.{3,}\s*|\s{2,}|\t\s*|\s+[-–:=]\s+)[£€$]?(\d{1,6}(?:[.,]\d{1,2})?)\s*(?:g|gr|grams?|kg|oz|EUR|GBP|USD)?\.?\s*$/i;

interface Weighed {
  /** The line before the number at its end. */
  readonly named: string;
  readonly value: number;
}
const NAMED = quick(/\S.*\p{L}/u);
function weighed(line: string): Weighed | null {
  const m = AT_END.exec(line);
  const named = m && line.slice(0, m.index);
  return named && NAMED.test(named) ? { named, value: value(m[1]!) } : null;
}
const TOTAL =
  /^\W*(?:grand\s+|sub-?\s?)?(?:total|sum|all\s+up|together|altogether|in\s+all|weighs)\b\D{0,40}?(\d{1,6}(?:[.,]\d{1,2})?)\s*(?:g|gr|grams?|kg|oz|EUR|GBP|USD)?\.?\s*$/i;
/** Said above the list: what the numbers are. */
const SAYS_WEIGHT =
  /\b(?:weigh(?:s|ts?|ed)|grams?|grammes?|in\s+g|ounces|prices?|costs?|amount\s*(?:in\s*)?(?:[€£$]|eur|gbp|usd)|in\s+(?:€|£|\$|eur|euros?|pounds|dollars))\b|\((?:g|oz|€|£|\$)\)/i;
const SAYS_COUNT = /\b(?:qty|quantity|count|pcs|pieces|number|how\s+many|held|no\.)\b/i;

/** A count of its own, before the number at the end. */
const COUNTED =
  /\b\d+\s*[x×]\s|\s[x×]\s?\d+\b|\b\d+\s*(?:pcs|pieces|pairs?|prs?|tabs|tablets|sachets)\b|\(\d+\)/i;

/** Fewer lines may come to their sum by chance. */
const FEWEST = 4;
/** Of a sum that was added up by hand, with each weight rounded. */
const ROUNDED = 0.02;
/** Lines longer than this are prose. */
const LONGEST = 160;

const ENDS_IN_NUMBER = /\d\D{0,8}$/;
/** Set apart by blanks or a tab. */
const COLUMN = /\S(?:\s{3,}|\t)\S/;

const value = (written: string): number => Number(written.replace(",", "."));

/** "Gauze, 20 ......... 70 g   lot G4": counted, and then weighed in words that say so. */
const GRAMS_BEHIND =
  /(?<=[,;:x×(]\s?\d{1,3}\)?(?:\s\p{L}{2,6}\.?)?)\s*\.{3,}\s*\d{1,5}(?:[.,]\d{1,3})?\s?(?:g|gr|grams?)\b\.?(?=\s*$|\s{2,}\S)\s*/iu;
function withoutGrams(lines: readonly string[]): readonly string[] {
  const says = (line: string) =>
    line.length <= LONGEST && line.includes("...") && GRAMS_BEHIND.test(line);
  return lines.filter(says).length < FEWEST
    ? lines
    : lines.map((line) =>
        says(line) ? line.replace(GRAMS_BEHIND, ", ").replace(/,\s*$/, "") : line,
      );
}

/**
 * The lines without those numbers, where a line above says what they are, or where they come to a printed total though the lines
 * count in other words ("3 pairs ....... 33"). As many lines as before.
 */
export function withoutWeights(written: readonly string[]): string[] {
  const lines = withoutGrams(written);
  const ends = lines.map((l) =>
    l.length > LONGEST || !ENDS_IN_NUMBER.test(l) || TOTAL.test(l) ? null : weighed(l),
  );
  const found = ends.filter((m) => m !== null);
  // Of several columns the table tells what each holds.
  const columns = found.filter((m) => COLUMN.test(m.named.trim())).length;
  if (found.length < FEWEST || 2 * columns > found.length) return [...lines];
  const first = ends.findIndex((m) => m !== null);
  // "Weight 1.2 kg" is of the kit.
  const above = lines
    .slice(0, first)
    .filter((l) => l.length <= LONGEST && !/\d/.test(l))
    .join(" ");
  if (SAYS_COUNT.test(above)) return [...lines];
  const says = SAYS_WEIGHT.test(above);
  const sum = found.reduce((s, m) => s + m.value, 0);
  const total = lines
    .map((l) => (l.length > LONGEST ? undefined : TOTAL.exec(l)?.[1]))
    .find((t) => t !== undefined);
  const comesToTotal =
    total !== undefined && Math.abs(value(total) - sum) <= Math.max(0.01, ROUNDED * sum);
  const counted = found.filter((m) => COUNTED.test(m.named)).length;
  const isWeighed = says
    ? total === undefined || comesToTotal || counted > 0
    : comesToTotal && counted >= 2;
  if (!isWeighed) return [...lines];
  return lines.map(
    (line, i) => ends[i]?.named ?? (line.length <= LONGEST && TOTAL.test(line) ? "" : line),
  );
}
