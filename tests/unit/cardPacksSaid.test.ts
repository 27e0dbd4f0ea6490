import { expect } from "chai";
import { namesItem } from "../../src/lib/core/card/draft.ts";
import { PACK_CLAUSES, packsSaid } from "../../src/lib/core/card/packsSaid.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** How many packs and what each holds: every clause, what is left to others, and every way of writing with every thing. */

const words = vocabularyOf(NAMED_CATALOGUE);
const said = (line: string) => packsSaid(line, (text) => namesItem(text, words));

describe("clauses of packs", () => {
  for (const { name, example, pattern } of PACK_CLAUSES)
    it(name, () => {
      expect(pattern.test(example)).to.equal(true);
      const first = PACK_CLAUSES.find((clause) => clause.pattern.test(example))!;
      expect(first.name).to.equal(name);
    });
});

describe("packs and what each holds, in one writing", () => {
  const LINES: Readonly<Record<string, string>> = {
    "Alcohol pads - 50 pads per box - 5 boxes": "Alcohol pads - 5 boxes of 50",
    "5 boxes of wipes, 10 wipes each": "wipes - 5 boxes of 10",
    "saline pods 20 ml, 4 boxes (1 box = 5 pods)": "saline pods 20 ml - 4 boxes of 5",
    "Ibuprofen 200 mg, 4 blisters, 48 tabs in all": "Ibuprofen 200 mg - 4 blisters of 12",
    "two strips of paracetamol, each with 8 tablets": "paracetamol - 2 strips of 8",
    "80 fabric plasters (4 x 20)": "fabric plasters - 4 packs of 20",
    "plasters, assorted 2 x 20 plasters": "plasters, assorted - 2 packs of 20",
    "Gauze rolls, 2 in x 4.1 yd, 2 bags of 6 rolls": "Gauze rolls, 2 in x 4.1 yd - 2 bags of 6",
    "nitrile gloves, 50 pairs per box, 2 boxes": "nitrile gloves - 2 boxes of 50 pairs",
  };
  for (const [line, read] of Object.entries(LINES))
    it(line, () => expect(said(line)).to.equal(read));

  const LEFT = [
    // They do not come to the same.
    "Ibuprofen, 4 blisters, 50 tabs in all",
    "80 plasters (3 x 20)",
    // What is left, or more than one thing.
    "plasters – 17 left from a box of 40",
    "plasters, 2 boxes of 100 and one of 40",
    "2 burn gels, scissors, 1 bag of 5 pairs gloves",
    "2 packs tissues, 6 sick bags, hand gel 50 ml",
    // Sizes.
    "gauze 4x4 sterile - 6 ea",
    "foil blanket 1 - 84x52 inches",
    "eye pads, sterile, 4x5",
    // One number.
    "wipes - 3 boxes",
    "shelf 4 - 2 boxes of 10",
  ];
  for (const line of LEFT) it(`is not: ${line}`, () => expect(said(line)).to.equal(line));
});

interface Thing {
  readonly name: string;
  readonly types: readonly string[];
  readonly pack: readonly [one: string, several: string];
  readonly piece: string;
  /** Gloves lie in boxes one by one, and count in pairs. */
  readonly pairs?: true;
}
const THINGS: readonly Thing[] = [
  { name: "antiseptic wipes", types: ["antiseptic-wipe"], pack: ["box", "boxes"], piece: "wipes" },
  {
    name: "gauze swabs 10 x 10 cm",
    types: ["gauze-pad", "gauze-nonsterile"],
    pack: ["pack", "packs"],
    piece: "swabs",
  },
  { name: "plasters, assorted", types: ["adhesive-strip"], pack: ["tin", "tins"], piece: "pcs" },
  {
    name: "paracetamol 500 mg",
    types: ["paracetamol"],
    pack: ["strip", "strips"],
    piece: "tablets",
  },
  { name: "safety pins", types: ["safety-pin"], pack: ["card", "cards"], piece: "pins" },
  {
    name: "nitrile gloves M",
    types: ["nitrile-gloves"],
    pack: ["box", "boxes"],
    piece: "gloves",
    pairs: true,
  },
];
type Write = (t: Thing, packs: number, per: number) => string;
const WAYS: Readonly<Record<string, Write>> = {
  "packs of so many": (t, n, m) => `${t.name} - ${n} ${t.pack[1]} of ${m}`,
  "in brackets": (t, n, m) => `${t.name}: ${n} ${t.pack[1]} (${m} ${t.piece})`,
  "each, behind": (t, n, m) => `${n} ${t.pack[1]} of ${t.name}, ${m} ${t.piece} each`,
  "in each": (t, n, m) => `${t.name} - ${n} ${t.pack[1]}, ${m} ${t.piece} in each`,
  "per pack first": (t, n, m) => `${t.name}, ${m} per ${t.pack[0]}, ${n} ${t.pack[1]}`,
  "per pack between dashes": (t, n, m) =>
    `${t.name} - ${m} ${t.piece} per ${t.pack[0]} - ${n} ${t.pack[1]}`,
  "one is so many": (t, n, m) => `${t.name}, ${n} ${t.pack[1]} (1 ${t.pack[0]} = ${m} ${t.piece})`,
  "all of them": (t, n, m) => `${t.name}, ${n} ${t.pack[1]}, ${n * m} ${t.piece} in all`,
  "all of them first": (t, n, m) => `${n * m} ${t.name} (${n} x ${m})`,
  "times a pack": (t, n, m) => `${n} x ${t.pack[0]} of ${m} ${t.name}`,
  "a stroke": (t, n, m) => `${t.name} ${t.pack[0]}/${m} x ${n}`,
};
describe("packs, every way of writing with every thing", () => {
  for (const [way, write] of Object.entries(WAYS))
    it(way, () => {
      for (const thing of THINGS)
        for (const [packs, per] of [
          [2, 10],
          [3, 50],
          [5, 6],
        ] as const) {
          const line = write(thing, packs, per);
          const entries = readCard(`2 eye pads\n${line}\n1 whistle`, words).entries.filter(
            (e) => e.source === 2,
          );
          const pieces = thing.pairs ? (packs * per) / 2 : packs * per;
          expect(
            entries.map((e) => e.pieces),
            line,
          ).to.deep.equal([pieces]);
          expect(thing.types, line).to.include(entries[0]!.itemType);
        }
    });
});
