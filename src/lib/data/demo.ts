import { CATALOGUE } from "./catalogue.ts";
import { NAMED_CATALOGUE } from "./namedCatalogue.ts";
import { vocabularyOf } from "../core/card/vocabulary.ts";
import { linesFromCard } from "../core/card/toLines.ts";
import { readCard } from "../core/card/readCard.ts";
import type { Brief } from "../core/model/brief.ts";
import type { HouseRules } from "../core/model/houseRules.ts";
import type { Line } from "../core/model/kit.ts";
import type { BriefRecord } from "../core/records/briefRecord.ts";
import type { KitRecord } from "../core/records/kitRecord.ts";
import type { WorkspaceRecord } from "../core/records/records.ts";
import { currentVersion } from "../core/records/records.ts";
import { BLEEDING_POUCH } from "./lists/bleedingPouch.ts";
import { YEAR_BRIEF, YEAR_EVENTS, YEAR_LINES } from "./demoYear.ts";
import { GROUP_LEADER } from "./lists/groupLeader.ts";
import { WORKSHOP_CREW } from "./lists/workshopCrew.ts";
import { emptyKitRecord } from "../core/records/kitRecord.ts";

/** 'Fennel Lane Orchard': an invented picking crew and three invented kits. */

const BRIEF: Brief = {
  title: "Fennel Lane Orchard, harvest camp",
  people: 8,
  days: 3,
  hoursToCare: 1.5,
  start: "2027-09-04",
  tallestCm: 188,
  activities: ["orchard", "ladder-work", "pruning", "wasps", "sun", "cooking", "camping"],
  carry: "vehicle",
  skill: "trained",
  sensitivities: ["latex"],
  limits: { budget: 150 },
  carriedElsewhere: [
    { itemType: "foil-blanket", pieces: 2, condition: "sound", note: "in the pickup" },
  ],
};

const FAMILY_CARD = `HOLLOWBROOK Family & Car First Aid Set, 210-Piece
Super value! Weight only 520 g

Package includes:
- 70pcs Adhesive Bandage 72*19mm
- 30pcs Junior Bandage 38*10mm
- 10pcs Butterfly Strips 45 x 10 mm
- 40pcs Alcohol Prep Pads
- 20pcs Cotton Tip Swabs
- 4pcs Sterile Guaze Pad 5x5cm
- 2pcs PBT Bandage 6cm*4m
- 1pc Non-woven Triangular Bandage 96x96x136cm
- 1 roll Adhesive Tape 1.2cm*4.5m
- 1pc Emergency Blanket 160x210cm
- 1pc Rubber Tourniquet Strap 45*2.5cm
- 1pc CPR Face Shield
- 10pcs Safety Pins
- 1pc Plastic Tweezers
- 1pc Metal Scissors
- 4pcs Vinyl Gloves (2 pairs)
- 10pcs Wooden Tongue Depressor
- 1pc Button Compass
- 1pc Red Nylon Bag
`;

const CREW_CARD = `TALLOWMERE CREW BOX
Contents card, 118 pieces

WOUNDS
Fabric plasters, 25 x 72 mm (40)
Sterile gauze pads, 10 x 10 cm (10)
Sterile gauze pads, 5 x 5 cm (8)
Non-adherent pads, 7.5 x 10 cm (2)
Conforming bandage, 7.5 cm x 4 m (2)
Wound closure strips, 6 x 75 mm (1 card of 5)
Microporous tape, 2.5 cm x 5 m (1)
Burn gel sachets, 3.5 g (6)
Antiseptic wipes, alcohol-free (10)
Saline ampoules, 20 ml (4)

BLEEDING
Tourniquet strap, rubber (1)
Emergency pressure bandage, 10 cm (1)
Abdominal pad, 12 x 23 cm (1)

TOOLS AND PROTECTION
Nitrile gloves, black, large, 2 pairs
EMT style shears, 18 cm (1)
Plastic tweezers (1)
Triangular bandage, 96 x 96 x 136 cm (2)
Elastic bandage, 7.5 cm x 4.5 m (1)
Foil blanket, 140 x 210 cm (1)
CPR face shield (1)
Instant cold pack (1)
Paracetamol 500 mg, blister of 8 (1)
Cetirizine 10 mg (4 tablets)
First aid leaflet (1)
Whistle (1)
`;

const POUCH_CARD = `SEDGEWICK SLIM BLEED POUCH

ITEM ............................. QTY
WINDLASS TOURNIQUET .............. 1
COMPRESSED GAUZE, 11.4 CM X 3.7 M  1
EMERGENCY PRESSURE BANDAGE, 6 IN . 1
VENTED CHEST SEALS (2-PACK) ...... 1
NITRILE GLOVES, LARGE (PAIRS) .... 1
TRAUMA SHEARS, 18 CM ............. 1
CASUALTY CARD, WATERPROOF ........ 1
PERMANENT MARKER ................. 1
`;

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

function kitFrom(
  id: string,
  card: string,
  found: readonly Found[],
  rest: Pick<KitRecord, "list" | "history"> & {
    name: string;
    price: number;
    massG: number;
    rules?: HouseRules;
    bag?: Record<string, unknown>;
  },
): KitRecord {
  const reading = readCard(card, vocabularyOf(NAMED_CATALOGUE));
  const { lines, doubts } = linesFromCard(reading, CATALOGUE);
  for (const [word, facts] of found) {
    const line = lines.find((l) => l.text!.toLowerCase().includes(word.toLowerCase()));
    if (!line) throw new Error(`the demo card of ${id} has no '${word}'`);
    Object.assign(line, facts);
    delete doubts[line.id];
  }
  // What lies in a pocket or at the bottom lies in the compartment that is reached like that.
  const rooms = (rest.bag?.["compartments"] ?? []) as { id: string; place: string }[];
  for (const line of lines) {
    const room = rooms.find((r) => r.place === line.location);
    if (room) line["compartment"] = room.id;
  }
  return {
    kind: "kit",
    id,
    version: currentVersion("kit"),
    briefId: "brief:fennel-lane",
    kit: {
      name: rest.name,
      claims: reading.claimedPieces === null ? {} : { pieces: reading.claimedPieces },
      price: { amount: rest.price, currency: "EUR" },
      container: { massG: rest.massG, allowance: 12, ...rest.bag },
      lines,
    },
    list: structuredClone(rest.list),
    houseRules: rest.rules ?? {},
    cardText: card,
    verdicts: {},
    doubts,
    history: rest.history,
    plan: { question: "cheapest", budget: null },
  };
}

/** The records of the demo, made anew at each call. */
export const demoRecords = (): WorkspaceRecord[] => [...demoParts()];

/** The same one by one: reading a card takes its time, and a page breathes in between. */
export function* demoParts(): Generator<WorkspaceRecord> {
  const brief: BriefRecord = {
    kind: "brief",
    id: "brief:fennel-lane",
    version: currentVersion("brief"),
    brief: structuredClone(BRIEF),
  };
  const yearBrief: BriefRecord = {
    ...brief,
    id: "brief:fennel-lane-year",
    brief: structuredClone(YEAR_BRIEF),
  };
  const year: KitRecord = {
    ...emptyKitRecord("demo-shed-box", "Fennel Lane Shed Box", yearBrief.id, WORKSHOP_CREW),
    houseRules: { duplicates: "lean" },
    events: structuredClone([...YEAR_EVENTS]),
    history: [{ on: "2025-12-05", what: "Bought and packed for the shed by the grading table." }],
  };
  yield brief;
  yield kitFrom("kit:demo-crew-box", CREW_CARD, CREW_FOUND, {
    name: "Tallowmere Crew Box",
    price: 38,
    massG: 410,
    bag: {
      points: { "one-handed": false, "closure-holds": true, marked: true, "zips-run": true },
      sealNumber: "0417",
      compartments: [
        { id: "c1", name: "Lid pocket", place: "pocket", innerMm: [240, 160, 25] },
        { id: "c2", name: "Main room", place: "bottom", innerMm: [250, 170, 80] },
      ],
    },
    list: GROUP_LEADER,
    history: [
      { on: "2026-05-14", what: "Bought for the packing shed; seal 0417 intact." },
      {
        on: "2026-09-06",
        what: "Four gauze pads and three burn sachets used at harvest, not put back.",
      },
      { on: "2026-11-20", what: "Bench begun: fourteen lines counted." },
    ],
  });
  yield kitFrom("kit:demo-family-set", FAMILY_CARD, [], {
    name: "Hollowbrook Family Set, 210 pieces",
    price: 24.9,
    massG: 120,
    list: GROUP_LEADER,
    history: [{ on: "2026-11-18", what: "Lent by a picker for comparison." }],
  });
  yield kitFrom("kit:demo-bleed-pouch", POUCH_CARD, POUCH_FOUND, {
    name: "Sedgewick Slim Bleed Pouch",
    price: 69,
    massG: 95,
    list: BLEEDING_POUCH,
    bag: { outerMm: [180, 130, 64], carried: { place: "belt" } },
    history: [{ on: "2026-10-02", what: "Mounted by the saw bench." }],
  });
  yield yearBrief;
  yield {
    ...year,
    kit: {
      ...year.kit,
      lines: structuredClone([...YEAR_LINES]),
      price: { amount: 92, currency: "EUR" },
      container: { massG: 380, allowance: 12 },
    },
  };
}
