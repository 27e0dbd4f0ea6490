import type { Brief } from "../core/model/brief.ts";
import type { HouseRules } from "../core/model/houseRules.ts";
import type { BriefRecord } from "../core/records/briefRecord.ts";
import type { KitRecord } from "../core/records/kitRecord.ts";
import type { WorkspaceRecord } from "../core/records/records.ts";
import { currentVersion } from "../core/records/records.ts";
import { BLEEDING_POUCH } from "./lists/bleedingPouch.ts";
import { CREW_CARD, FAMILY_CARD, POUCH_CARD } from "./demo/cards.ts";
import type { ReadKit } from "./demo/read.ts";
import readLines from "./demo/lines.json" with { type: "json" };
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

/** As read.ts reads their cards. */
const READ = readLines as Record<string, ReadKit>;

function kitFrom(
  id: string,
  card: string,
  rest: Pick<KitRecord, "list" | "history"> & {
    name: string;
    price: number;
    massG: number;
    rules?: HouseRules;
    bag?: Record<string, unknown>;
  },
): KitRecord {
  const { claims, lines, doubts } = structuredClone(READ[id]!);
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
      claims,
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
export function demoRecords(): WorkspaceRecord[] {
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
  return [
    brief,
    kitFrom("kit:demo-crew-box", CREW_CARD, {
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
    }),
    kitFrom("kit:demo-family-set", FAMILY_CARD, {
      name: "Hollowbrook Family Set, 210 pieces",
      price: 24.9,
      massG: 120,
      list: GROUP_LEADER,
      history: [{ on: "2026-11-18", what: "Lent by a picker for comparison." }],
    }),
    kitFrom("kit:demo-bleed-pouch", POUCH_CARD, {
      name: "Sedgewick Slim Bleed Pouch",
      price: 69,
      massG: 95,
      list: BLEEDING_POUCH,
      bag: { outerMm: [180, 130, 64], carried: { place: "belt" } },
      history: [{ on: "2026-10-02", what: "Mounted by the saw bench." }],
    }),
    yearBrief,
    {
      ...year,
      kit: {
        ...year.kit,
        lines: structuredClone([...YEAR_LINES]),
        price: { amount: 92, currency: "EUR" },
        container: { massG: 380, allowance: 12 },
      },
    },
  ];
}
