import { expect } from "chai";
import { randomFrom } from "../../bench/planCases.ts";
import { countedSorts } from "../../src/lib/core/card/countedSorts.ts";
import { namesItem } from "../../src/lib/core/card/draft.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { matchType, vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** One name with its sorts, each counted: what the grammar tells apart, what it leaves, and every way of writing with every other. */

const words = vocabularyOf(NAMED_CATALOGUE);
const knows = {
  names: (text: string) => namesItem(text, words),
  typeOf: (text: string) => matchType(text, words).type,
  isWhole: () => false,
};
const sorts = (line: string) => countedSorts(line, knows);

/** Each form of a list on one line, and the lines that it stands for. */
const LISTS: Readonly<Record<string, readonly string[]>> = {
  "Bandages, elastic: 6 cm (3), 8 cm (2)": [
    "Bandages, elastic 6 cm x 3 pcs",
    "Bandages, elastic 8 cm x 2 pcs",
  ],
  "elastic bandage 8 cm 2x / 10 cm 1x": [
    "elastic bandage 8 cm x 2 pcs",
    "elastic bandage 10 cm x 1 pcs",
  ],
  "Tape 2.5 cm 1 roll, 5 cm 2 rolls": ["Tape 2.5 cm x 1 pcs", "Tape 5 cm x 2 pcs"],
  "Emergency bandage 15 cm, one; same 10 cm, two": [
    "Emergency bandage 15 cm x 1 pcs",
    "Emergency bandage 10 cm x 2 pcs",
  ],
  '6" pressure bandage x1 / 4" x2': ['pressure bandage 6" x 1 pcs', 'pressure bandage 4" x 2 pcs'],
  "Gauze pads (6) 2 x 2, (4) 3 x 3 in": [
    "Gauze pads 2 x 2 in x 6 pcs",
    "Gauze pads 3 x 3 in x 4 pcs",
  ],
  "burn dressings: 2 x 20x20, 1 x 40x60": [
    "burn dressings 20x20 x 2 pcs",
    "burn dressings 40x60 x 1 pcs",
  ],
  "burn dressings 10x10 x 3, 20x20 x 1": [
    "burn dressings 10x10 x 3 pcs",
    "burn dressings 20x20 x 1 pcs",
  ],
  "(3) crepe bandages: 2 x 7.5cm, 1 x 10cm": [
    "crepe bandages 7.5cm x 2 pcs",
    "crepe bandages 10cm x 1 pcs",
  ],
  "crepe bandages two 7.5, one 10": [
    "crepe bandages 7.5 cm x 2 pcs",
    "crepe bandages 10 cm x 1 pcs",
  ],
  "pressure bandage (2) 10, (1) 15": ["2 pressure bandage", "1 pressure bandage"],
  "closure strips: 2 cards 3 mm, 4 cards 6 mm": [
    "2 cards closure strips 3 mm",
    "4 cards closure strips 6 mm",
  ],
  "gloves: 4 pairs (L), and 2 pairs (M)": ["4 pairs gloves L", "2 pairs gloves M"],
  "gloves 10 pairs (6 L, 4 XL)": ["6 pairs gloves L", "4 pairs gloves XL"],
  "gloves M×6 L×4": ["6 gloves M", "4 gloves L"],
  "4 pr gloves L, 2 pr M": ["4 pairs gloves L", "2 pairs gloves M"],
  "four pairs of medium gloves, two large": ["four pairs medium gloves", "two pairs large gloves"],
  "Sterile dressings: M x 4, L x 2": ["4 medium Sterile dressings", "2 large Sterile dressings"],
  "medium dressings x 5, large x 2": ["5 medium dressings", "2 large dressings"],
  "Dressing, sterile, No. 8 x 6, No. 9 x 3": [
    "6 Dressing, sterile No. 8",
    "3 Dressing, sterile No. 9",
  ],
  "4 No 8 dressings and 1 No 9": ["4 No 8 dressings", "1 No 9 dressings"],
  "nasal airway size 6 x 1, size 7 x 2": ["1 nasal airway size 6", "2 nasal airway size 7"],
  "2 tourniquets - one windlass one ratchet": [
    "one windlass tourniquets",
    "one ratchet tourniquets",
  ],
  "Bandages ×5 (2 crepe, 3 conforming)": ["2 crepe Bandages", "3 conforming Bandages"],
  "Bandages: three narrow, one with the pad in it": [
    "three narrow Bandages",
    "one Bandages with the pad in it",
  ],
  "Dressings: 4 medium (12 x 12), 2 eye (checked)": [
    "4 medium (12 x 12) Dressings",
    "2 eye Dressings",
  ],
  "Blister plasters - 5 heel, 3 toe": ["5 heel Blister plasters", "3 toe Blister plasters"],
  "2 wide and 1 narrow crepe bandage": ["2 wide crepe bandage", "1 narrow crepe bandage"],
  "4 triangular bandages (2 cotton, 2 paper)": [
    "2 cotton triangular bandages",
    "2 paper triangular bandages",
  ],
  // Of one kind and size, and said in brackets: they count together.
  "vet wrap 2 (one red, one blue)": ["2 vet wrap"],
  "gloves (3 pairs blue, 2 pairs black)": ["5 pairs gloves"],
};

describe("sorts of one name, each counted", () => {
  for (const [line, lines] of Object.entries(LISTS))
    it(line, () => expect(sorts(line)).to.deep.equal(lines));

  const NO_LISTS = [
    "gloves 10 pairs (6 L, 3 M)",
    "3 tourniquets (1 windlass, 1 ratchet)",
    "plasters two 7, one 10",
    "gauze pads: 5 x 7.5 cm, 10 x 10 cm",
    "gloves 4 pairs L and 2 pairs M in the lid",
    "compression bandages 15 cm, 3 sealed",
    "saline, 30 ml, 4 of them",
    "paracetamol, two strips of eight, five hundred milligrams",
    "plasters: 12 used, 8 left",
    "gloves L, 3 pairs; face shield 1x",
    "first aid pouch (2 plasters, 3 pins)",
    "2 eye pads and 3 burn dressings",
    "2 finger bandages, 1 roll of tape, 1 tube of cream",
    "bottle of saline two hundred and fifty millilitres",
  ];
  for (const line of NO_LISTS) it(`is not: ${line}`, () => expect(sorts(line)).to.equal(null));
});

interface Thing {
  readonly name: string;
  readonly types: readonly string[];
  readonly unit: string;
  readonly sorts: readonly (readonly [word: string, sizeMm: readonly number[] | null])[];
}
const THINGS: readonly Thing[] = [
  {
    name: "crepe bandages",
    types: ["elastic-bandage"],
    unit: " rolls",
    sorts: [
      ["5 cm", [50]],
      ["7.5 cm", [75]],
      ["10cm", [100]],
    ],
  },
  {
    name: "gauze swabs",
    types: ["gauze-pad", "gauze-nonsterile"],
    unit: " pcs",
    sorts: [
      ["5 x 5 cm", [50, 50]],
      ["7.5 x 7.5 cm", [75, 75]],
      ["10x10cm", [100, 100]],
    ],
  },
  {
    name: "nitrile gloves",
    types: ["nitrile-gloves"],
    unit: " pairs",
    sorts: [
      ["S", null],
      ["M", null],
      ["XL", null],
    ],
  },
  {
    name: "foil blankets",
    types: ["foil-blanket"],
    unit: "",
    sorts: [
      ["adult", null],
      ["child", null],
    ],
  },
];
const SAID = ["", "one", "two", "three", "four", "five", "six"];
type Write = (count: number, sort: string, unit: string) => string;
const PARTS: Readonly<Record<string, Write>> = {
  "count before": (n, sort, unit) => `${n}${unit} ${sort}`,
  "in words before": (n, sort, unit) => `${SAID[n]}${unit} ${sort}`,
  "behind a colon": (n, sort, unit) => `${sort}: ${n}${unit}`,
  "behind a dash": (n, sort, unit) => `${sort} - ${n}${unit}`,
  "behind its sign": (n, sort, unit) => `${sort} x ${n}${unit}`,
};
const BETWEEN = [", ", "; ", " and ", " & ", " + ", " / ", ", and "];
const HEADS: Readonly<Record<string, (name: string, list: string, all: string) => string>> = {
  colon: (name, list) => `${name}: ${list}`,
  dash: (name, list) => `${name} - ${list}`,
  blank: (name, list) => `${name} ${list}`,
  "all before": (name, list, all) => `${all} ${name}: ${list}`,
  "all behind": (name, list, all) => `${name} x ${all} (${list})`,
  "with a remark": (name, list) => `${name}: ${list} (checked)`,
};

describe("a list of sorts, every way of writing with every other", () => {
  const random = randomFrom(69);
  const int = (n: number) => Math.floor(random() * n);
  for (const [head, write] of Object.entries(HEADS))
    for (const [way, part] of Object.entries(PARTS))
      it(`${head}, ${way}`, () => {
        for (const thing of THINGS)
          for (const between of BETWEEN) {
            const { sorts: own, name, types } = thing;
            const counted = own
              .slice(0, 2 + int(own.length - 1))
              .map(([sort, sizeMm]) => ({ sort, sizeMm, pieces: 1 + int(6) }));
            const unit = thing.unit;
            const all = counted.reduce((sum, c) => sum + c.pieces, 0);
            const list = counted.map((c) => part(c.pieces, c.sort, unit)).join(between);
            const line = write(name, list, unit === " pairs" ? `${all}${unit}` : String(all));
            const card = `2 eye pads\n${line}\n4 safety pins`;
            const entries = readCard(card, words).entries.filter((e) => e.source === 2);
            expect(
              entries.map((e) => [e.pieces, e.sizeMm]),
              line,
            ).to.deep.equal(counted.map((c) => [c.pieces, c.sizeMm]));
            for (const e of entries) expect(types, line).to.include(e.itemType);
          }
      });
});
