import { numberedId } from "../base/freeId.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import type { Line } from "../model/kit.ts";
import type { KitRecord } from "../records/kitRecord.ts";
import { isTouched } from "./isTouched.ts";
import type { CardReading } from "./readCard.ts";
import { linesFromCard } from "./toLines.ts";

/**
 * A kit whose card was read anew: lines that somebody worked on stay as they are, all others come
 * from the card. An entry that already has its line (same card line and kind) makes no second one.
 */
export function mergeCard(
  record: KitRecord,
  cardText: string,
  reading: CardReading,
  catalogue: Catalogue,
): KitRecord {
  const kept = record.kit.lines.filter(isTouched);
  const taken = new Set(kept.map((l) => l.id));
  // The entries before have taken as many numbers at least.
  const idOf = (index: number) => {
    const id = numberedId("L", index + 1, taken);
    taken.add(id);
    return id;
  };
  const unmatched = [...kept];
  const fresh: CardReading = {
    ...reading,
    entries: reading.entries.filter((e) => {
      const at = unmatched.findIndex(
        (l) =>
          l.text === e.text ||
          l.text === e.own ||
          (l.cardLine === e.source && l.itemType === e.itemType),
      );
      if (at >= 0) unmatched.splice(at, 1);
      return at < 0;
    }),
  };
  const { lines, doubts } = linesFromCard(fresh, catalogue, idOf);
  const order = (l: Line) => (typeof l.cardLine === "number" ? l.cardLine : Infinity);
  const all = [...kept, ...lines].sort((a, b) => order(a) - order(b));
  const claims = { ...record.kit.claims };
  if (reading.claimedPieces !== null) claims.pieces = reading.claimedPieces;
  const keptDoubts = Object.fromEntries(
    Object.entries(record.doubts).filter(([id]) => taken.has(id)),
  );
  return {
    ...record,
    cardText,
    doubts: { ...keptDoubts, ...doubts },
    kit: { ...record.kit, claims, lines: all },
  };
}
