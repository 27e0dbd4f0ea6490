import { linesFromCard } from "../../core/card/toLines.ts";
import { readCard } from "../../core/card/readCard.ts";
import { vocabularyOf } from "../../core/card/vocabulary.ts";
import type { Line } from "../../core/model/kit.ts";
import type { KitRecord } from "../../core/records/kitRecord.ts";
import { CATALOGUE } from "../catalogue.ts";
import { NAMED_CATALOGUE } from "../namedCatalogue.ts";
import { CREW_CARD, FAMILY_CARD, POUCH_CARD } from "./cards.ts";

/**
 * The demo's cards as the reader reads them, with what was found at the bench. `npm run demo:lines` writes
 * it to lines.json, so that the first page need not read three cards; a test holds the file to this.
 */

/** What has been found at the bench so far, by a word of the card line. */
type Found = readonly [word: string, facts: Partial<Line>];

const CREW_FOUND: readonly Found[] = [
  ["Fabric plasters", { counted: 40, failedPoints: [], expires: "2029-03", location: "pocket" }],
  ["gauze pads, 10", { counted: 6, failedPoints: [], expires: "2028-09", location: "pocket" }],
  ["gauze pads, 5", { counted: 8, failedPoints: [], expires: "2028-09", location: "pocket" }],
  ["Conforming", { counted: 2, failedPoints: [], expires: "2029-01", location: "pocket" }],
  ["Tourniquet strap", { counted: 1, failedPoints: ["tq-purpose-made"], location: "bottom" }],
  ["pressure bandage", { counted: 1, failedPoints: [], expires: "2030-05", location: "bottom" }],
  ["Burn gel", { counted: 3, failedPoints: [], expires: "2027-02", location: "pocket" }],
  ["Antiseptic wipes", { counted: 10, expires: "2027-11", location: "pocket" }],
  [
    "Nitrile gloves",
    { counted: 2, failedPoints: ["glove-shows-blood"], expires: "2029-06", location: "open-top" },
  ],
  ["Plastic tweezers", { counted: 1, failedPoints: ["tips-meet"], location: "pocket" }],
  ["Triangular", { counted: 2, failedPoints: [], location: "pocket" }],
  ["Foil blanket", { counted: 1, failedPoints: [], location: "bottom" }],
  [
    "Paracetamol",
    { counted: 6, failedPoints: ["med-name-strength"], labelled: false, location: "pocket" },
  ],
  ["Whistle", { counted: 1, failedPoints: [], location: "outside" }],
];

const POUCH_FOUND: readonly Found[] = [
  ["WINDLASS", { counted: 1, failedPoints: [], expires: "2031-04", location: "outside" }],
  ["COMPRESSED", { counted: 1, failedPoints: [], expires: "2030-08", location: "open-top" }],
  ["PRESSURE", { counted: 1, failedPoints: [], expires: "2030-02", location: "open-top" }],
  ["NITRILE", { counted: 1, failedPoints: [], expires: "2029-06", location: "outside" }],
];

/** What a demo kit has from its card. */
export interface ReadKit {
  readonly claims: { readonly pieces?: number };
  readonly lines: Line[];
  readonly doubts: KitRecord["doubts"];
}

function readKit(card: string, found: readonly Found[]): ReadKit {
  const reading = readCard(card, vocabularyOf(NAMED_CATALOGUE));
  const { lines, doubts } = linesFromCard(reading, CATALOGUE);
  for (const [word, facts] of found) {
    const line = lines.find((l) => l.text!.toLowerCase().includes(word.toLowerCase()));
    if (!line) throw new Error(`the demo's card has no '${word}'`);
    Object.assign(line, facts);
    delete doubts[line.id];
  }
  const claims = reading.claimedPieces === null ? {} : { pieces: reading.claimedPieces };
  return { claims, lines, doubts };
}

/** The demo's kits by their record's id. */
export const readDemo = (): Record<string, ReadKit> => ({
  "kit:demo-crew-box": readKit(CREW_CARD, CREW_FOUND),
  "kit:demo-family-set": readKit(FAMILY_CARD, []),
  "kit:demo-bleed-pouch": readKit(POUCH_CARD, POUCH_FOUND),
});
