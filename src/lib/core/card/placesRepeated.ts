import type { CardRow } from "./cardRow.ts";
import type { Knows } from "./countedSorts.ts";
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

const labelOf = (row: CardRow): string | null =>
  row.inTable ? null : (LABEL.exec(row.text)?.[1]?.toLowerCase() ?? null);

/** The rows without such places, where the card has nothing else before a colon. */
export function withoutRepeatedPlaces(rows: readonly CardRow[], of: Knows): readonly CardRow[] {
  const times = new Map<string, number>();
  let labelled = 0;
  for (const label of rows.map(labelOf))
    if (label !== null) {
      labelled += 1;
      times.set(label, (times.get(label) ?? 0) + 1);
    }
  if (labelled < FEWEST_LABELLED) return rows;
  const isPlace = (label: string) => {
    const type = of.typeOf(label);
    return times.get(label)! >= FEWEST_OF_ONE && (type === null || type === "container");
  };
  const places = new Set([...times.keys()].filter(isPlace));
  const repeated = [...places].reduce((sum, place) => sum + times.get(place)!, 0);
  if (places.size < 2 || repeated < SHARE_REPEATED * labelled) return rows;
  return rows.map((row) =>
    places.has(labelOf(row) ?? "") ? { ...row, text: row.text.replace(LABEL, "") } : row,
  );
}
