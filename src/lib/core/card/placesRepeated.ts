import { LONGEST_LINE } from "./cardLimits.ts";
import type { CardRow } from "./cardRow.ts";
import type { Knows } from "./countedSorts.ts";
import { LINE_END } from "./plainSigns.ts";
import { quick } from "./quick.ts";

/**
 * "landing box: 10 pairs" and "harness pocket: 1 pair" under "GLOVES": what stands before the colon again and again is where things lie,
 * and leaves the rows below a heading as they would be without it.
 */

const LABEL = quick(/^(\p{L}[\p{L} '’-]{1,24}?)\s*:\s+(?=\S)/u);
/** Fewer rows with a label may each name a thing. */
const FEWEST_LABELLED = 4;
/** A label that stands once may be a thing's name. */
const FEWEST_OF_ONE = 2;
/** Of the rows with a label so many have one that comes again. */
const SHARE_REPEATED = 0.8;

const labelOf = (text: string): string | null => LABEL.exec(text)?.[1]?.toLowerCase() ?? null;
/** "- landing box: …", "[x] lid: …" */
const MARK = /^\s*(?:[-*•]\s+|\[[ xX✓✔]?\]\s*|\d{1,2}[.)]\s+)?/;

/** The places that a card's lines name so, in small letters. @param lines as they stand on the card */
function placesOf(lines: readonly string[], { typeOf, isWhole }: Knows): ReadonlySet<string> {
  const times = new Map<string, number>();
  const labels = lines.flatMap((line) =>
    line.length > LONGEST_LINE ? [] : (labelOf(line.replace(MARK, "")) ?? []),
  );
  if (labels.length < FEWEST_LABELLED) return new Set();
  for (const label of labels) times.set(label, (times.get(label) ?? 0) + 1);
  const isPlace = ([label, many]: readonly [string, number]) => {
    // Of thousands that stand once none is looked up.
    if (many < FEWEST_OF_ONE) return false;
    const type = typeOf(label);
    return type === null || type === "container" || !isWhole(label);
  };
  const places = [...times].filter(isPlace);
  const repeated = places.reduce((sum, [, many]) => sum + many, 0);
  const arePlaces = places.length > 1 && repeated >= SHARE_REPEATED * labels.length;
  return new Set(arePlaces ? places.map(([label]) => label) : []);
}

/** The rows without such places, where the card has nothing else before a colon. @param text the card */
export function withoutRepeatedPlaces(
  rows: readonly CardRow[],
  text: string,
  of: Knows,
): readonly CardRow[] {
  const places = placesOf(text.split(LINE_END), of);
  return rows.map((row) =>
    !row.inTable && places.has(labelOf(row.text) ?? "")
      ? { ...row, text: row.text.replace(LABEL, "") }
      : row,
  );
}
