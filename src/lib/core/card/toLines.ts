import type { Catalogue } from "../catalogue/catalogue.ts";
import type { Line } from "../model/kit.ts";
import type { KitRecord } from "../records/kitRecord.ts";
import type { CardReading } from "./readCard.ts";

/** Below this a person should look at an entry before it is trusted. */
const DOUBTFUL_BELOW = 0.9;

/** Said of what holds a dose and is thrown away: a tube or bottle of the same would hold many. */
const ONE_DOSE = /\b(?:sachets?|packets?|single[- ](?:use|dose)|foil packs?)\b/i;

export type Doubt = KitRecord["doubts"][string];

/** Lines of a kit from a card's entries, claimed and not yet counted; and which are doubtful, by line id. */
export function linesFromCard(
  reading: CardReading,
  catalogue: Catalogue,
  idOf: (index: number) => string = (i) => `L${i + 1}`,
): { lines: Line[]; doubts: Record<string, Doubt> } {
  const doubts: Record<string, Doubt> = {};
  const lines = reading.entries.map((entry, i): Line => {
    const id = idOf(i);
    const open = catalogue.openNames.find((o) => o.id === entry.open);
    if (entry.confidence < DOUBTFUL_BELOW || open)
      doubts[id] = {
        confidence: entry.confidence,
        alternatives: open ? open.kinds.map(([type]) => type) : [...entry.alternatives],
        ...(entry.doubts.length > 0 ? { reasons: [...entry.doubts] } : {}),
        ...(open ? { open: open.id } : {}),
      };
    return {
      id,
      // Until somebody looks, the least of the kinds that the name may mean.
      itemType: open ? open.kinds[0]![0] : entry.itemType,
      text: withoutLeader(entry.own ?? entry.text),
      claimed: entry.pieces,
      ...(entry.sizeMm ? { sizeMm: [...entry.sizeMm] } : {}),
      ...(entry.volumeMl === null ? {} : { volumeMl: entry.volumeMl }),
      ...(entry.strengthMg === null ? {} : { strengthMg: entry.strengthMg }),
      ...(ONE_DOSE.test(entry.text) ? { dosesPerPiece: 1 } : {}),
      cardLine: entry.source,
    };
  });
  return { lines, doubts };
}

/** The name without the count round it: dot leaders, "(12)", "70pcs", ", 5 pcs" for strokes. Still a part of the card's own text. */
const withoutLeader = (text: string): string => {
  const name = text
    .replace(/\s*\.+\s*\d+\s*$/, "")
    .replace(/,\s*\d+\s*(?:pcs|pieces|pc)\s*(?:\(\d+\??\))?\s*$/i, "")
    .replace(/\s*[([]\d+(?:\s*(?:pcs|pieces|pc))?[)\]]\s*$/i, "")
    .replace(/^\d+\s*(?:pcs|pc|pieces|x|×)\s+(?=\p{L})/iu, "");
  return name.length >= 3 ? name : text;
};
