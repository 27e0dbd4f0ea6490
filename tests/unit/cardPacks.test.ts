import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** So many pieces, in every way that packs and what they hold are written. */
const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const NAMES = [
  ["antiseptic wipes", "antiseptic-wipe", null],
  ["gauze swabs 5 x 5 cm", "gauze-pad", [50, 50]],
  ["paracetamol 500 mg", "paracetamol", null],
  ["safety pins", "safety-pin", null],
] as const;

/** $ stands for the name. */
const WRITTEN: Readonly<Record<number, string>> = {
  40: "$, 2 boxes of 20|$ - 2 boxes of 20|$: 2 boxes of 20|2 boxes of 20 $|2 boxes $, 20 per box|2 boxes of $ (20)|2 boxes of $, 20 in each|2 boxes of $ with 20 each|$, 20 per box, 2 boxes|$ 20/box, 2 boxes|$ 20/box x 2|$, box of 20 x 2|$ (box of 20), 2|$ box/20 x2|$, pack of 20 (2)|$, 2 x 20|$ (2 x 20)|2 x 20 $|2x pack of 20 $|2 20-packs $|$, 20-pack x 2|two packs of twenty $|$: two packs, twenty in each|$ two boxes containing 20 each|$ 2 boxes à 20|$ 2 pk/20|$ 2 pkts x 20|$ 2 packets (20s)|$ 2 boxes of 20 = 40|$ 40 (2 x 20)|$ 40 (2 boxes of 20)|$ = 40 (2 boxes)|$, 40 in 2 boxes|40 $ in 2 boxes|40 $ (2 boxes)|2 x $ (pack of 20)|2 x $ - pack of 20|$ packs of 20 - 2|$ packs (20) 2|$ (20 per pack) - 2 packs|$ 20/pk 2 pk|$, 2 packs (20/pack)|$ qty 2 (pack of 20)|$ pack of 20, qty 2|$ pack of 20, 2 off|$ 20 pcs/pack, 2 packs|$ 2 packs - 20 pcs each|$ 2 packs, total 40|$ 2 packs (40 in all)|$ 40 total (2 packs)",
  30: "$ 1 1/2 boxes of 20|$ 1½ boxes of 20|$ 1.5 boxes of 20",
  25: "$ box of 20 + 5 loose|$, 1 box of 20 and 5 loose|$ 1 x 20 + 5|$ 20 + 5|$ 20 in box, 5 loose",
  24: "$ two dozen|$ 2 doz|2 dozen $",
  20: "$ about 20|about 20 $|$ ~20|$ ca. 20|$ 20ish|$ 20 or so|$ 20 (approx)|$ full box (20)|$ new box of 20|$, box of 20 (unopened)|$ 3 packs of 6 + 2|$ 3 packs of 6 and 2 singles|$ (20 pieces)|$ 20pk|$ 20 pc pack|$ 20-count|$ PK20|$ pk 20|$ BX20|$ bx/20|$ 20s|$ x 20's|20-pack of $|a pack of 20 $|1 x $ (pack of 20)|$ (pack of 20) - 1",
  18: "$, box of 20, 18 left|$ box of 20 (18 left)|$: 18 left in a box of 20|$ – 18 left from a box of 20|$ 18 of 20|$ 18 out of 20|$ 18/20|$ 18/20 left|$ box of 20, 2 used|$ box of 20 less 2|$ 3 cards of 6|$ 3 strips x 6|$ strip of 6 x 3|3 strips of 6 $",
  12: "$ a dozen|a dozen $|$ 1 doz.",
  10: "half a box of 20 $|$ - half a box of 20|$ 1/2 box of 20",
  6: "half a dozen $|$ half a dozen|$ 1/2 doz",
};

describe("packs and what they hold", () => {
  for (const [pieces, forms] of Object.entries(WRITTEN))
    for (const form of forms.split("|"))
      it(`“${form.replace("$", "…")}” is ${pieces}`, () => {
        for (const [name, type, mm] of NAMES) {
          const line = form.replace("$", name);
          const read = readCard(`Shelf list\nFoil blanket x 2\n${line}\nWhistle x 1`, vocabulary);
          expect(
            read.entries.filter((e) => e.source === 3).map((e) => [e.itemType, e.pieces, e.sizeMm]),
            line,
          ).to.deep.equal([[type, Number(pieces), mm]]);
        }
      });
});

/** Names with a number of their own: text, item type, pieces of one. */
const NUMBERED = [
  ["Crepe bandage 7.5 cm", "elastic-bandage", 1],
  ["Gauze swabs 10 x 10", "gauze-pad", 1],
  ["Tape 2.5 cm x 5 m", "medical-tape", 1],
  ["Paracetamol 500", "paracetamol", 1],
  ["Ibuprofen 400mg", "ibuprofen", 1],
  ["Saline 20 ml", "saline-ampoule", 1],
  ["Triangular bandage 96x96x136", "triangular-bandage", 1],
  ["Foil blanket 160 x 210", "foil-blanket", 1],
  ["Closure strips (3s)", "closure-strips", 3],
  ["Plasters, 20s", "adhesive-strip", 20],
] as const;
const GAPS = ["   ", "         ", "\t", " .... ", " - ", ": ", " = "];

describe("a count that stands apart from a name with a number of its own", () => {
  for (const gap of GAPS)
    it(`behind ${JSON.stringify(gap)}`, () => {
      for (const [name, type, each] of NUMBERED)
        for (const [count, many] of [
          ["3", 3],
          ["12", 12],
          ["2 x 5", 10],
        ] as const) {
          // "(3s) 2 x 5" is nobody's way of writing.
          if (each > 1 && count.includes("x")) continue;
          const text = `Eye pads${gap}6\n${name}${gap}${count}\nSlings${gap}4`;
          const entry = readCard(text, vocabulary).entries.find((e) => e.source === 2);
          expect([entry?.itemType, entry?.pieces], text).to.deep.equal([type, many * each]);
        }
    });
  it("a year is none", () => {
    for (const year of ["    2028", " .... 2031"]) {
      const { entries } = readCard(`Eye pads 6\nBurn gel 5 g${year}`, vocabulary);
      expect(entries[1]?.pieces, year).to.equal(1);
    }
  });
  it("two sizes counted on one line are two things", () => {
    const { entries } = readCard("Crepe bandage 5 cm – 2, 7.5 cm – 1", vocabulary);
    expect(entries.map((e) => [e.sizeMm, e.pieces])).to.deep.equal([
      [[50], 2],
      [[75], 1],
    ]);
  });
});

/** What a column that counts may say: written, pieces; null: none of it. */
const CELLS: readonly (readonly [string, number | null])[] = [
  ["2 boxes of 20", 40],
  ["2 x 10", 20],
  ["2 pkts (10)", 20],
  ["1 box/50", 50],
  ["20 (2 boxes)", 20],
  ["20 (2 x 10)", 20],
  ["2 (20s)", 40],
  ["3+2", 5],
  ["3 + 2", 5],
  ["12 + 3 loose", 15],
  ["half box of 20", 10],
  ["1 doz", 12],
  ["ca. 10", 10],
  ["4.0", 4],
  ["04", 4],
  ["4 off", 4],
  ["4 (03/27)", 4],
  ["100 / box x 2", 200],
  ["none", null],
  ["0", null],
];

describe("a column that counts", () => {
  for (const [cell, pieces] of CELLS)
    it(`“${cell}” is ${pieces ?? "nothing"}`, () => {
      for (const sep of [";", "\t"])
        for (const name of ["Antiseptic wipes", "Eye pads", "Safety pins"]) {
          const row = (...cells: string[]) => cells.join(sep);
          const card = [
            row("Item", "Qty", "State"),
            row("Whistle", "1", "ok"),
            row(name, cell, "ok"),
            row("Trauma shears", "1", "ok"),
          ].join("\n");
          const own = readCard(card, vocabulary).entries.filter((e) => e.source === 3);
          expect(
            own.map((e) => e.pieces),
            card,
          ).to.deep.equal(pieces === null ? [] : [pieces]);
        }
    });
});

/** A pack by its code, over what it holds: two of twenty, or one. */
describe("a pack by its code", () => {
  const CODES = ["PK/20", "BX/20", "BG/20", "CS/20", "PK20", "BX20", "PK-20", "BOX-20", "pk (20)"];
  const TIMES = [" x2", " x 2", ", 2", " - 2", " (2)", ": 2", "     2", "\t2", " qty 2"];
  const SIZED = [
    ["antiseptic wipes", "antiseptic-wipe", null],
    ["gauze pads 4 x 4", "gauze-pad", [102, 102]],
    ['tape 1"', "medical-tape", [25]],
  ] as const;
  for (const code of CODES)
    it(code, () => {
      for (const times of TIMES)
        for (const [name, itemType, sizeMm] of SIZED) {
          const card = `${name} ${code}${times}\n2 whistles\n1 torch`;
          const { entries } = readCard(card, vocabulary);
          expect(entries[0], card).to.include({ source: 1, itemType, pieces: 40 });
          expect(entries[0]!.sizeMm, card).to.deep.equal(sizeMm);
        }
    });
});

describe("what is left of one pack", () => {
  const LEFT: Readonly<Record<string, number>> = {
    "antiseptic wipes, box of 50, half gone": 25,
    "antiseptic wipes BX/50 x1, half used": 25,
    "antiseptic wipes   1 x 50, half gone": 25,
    "antiseptic wipes 1 x 50, minus 8": 42,
    "antihistamine tablets 10 mg   2 x 7, three gone": 11,
    "wipes, 2 packs of 10, three used": 17,
  };
  for (const [line, pieces] of Object.entries(LEFT))
    it(line, () => {
      const { entries } = readCard(`${line}\n2 whistles\n1 torch`, vocabulary);
      expect(entries.filter((e) => e.source === 1).map((e) => e.pieces)).to.deep.equal([pieces]);
    });
  it("a size is no pack", () => {
    const { entries } = readCard("gauze pads 10 x 10 cm, one used\n2 whistles", vocabulary);
    expect(entries[0]).to.include({ itemType: "gauze-pad", pieces: 1 });
  });
});

describe("half a name over its kinds", () => {
  it("is read with each", () => {
    const card = "Antihistamine\n  tablets 10 mg   14\n  syrup 70 ml   1\nOther\n  torch   2";
    expect(
      readCard(card, vocabulary).entries.map((e) => `${e.source} ${e.itemType} ${e.pieces}`),
    ).to.deep.equal(["2 antihistamine-tablet 14", "3 antihistamine-liquid 1", "5 torch 2"]);
  });
});
