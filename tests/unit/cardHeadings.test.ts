import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** A table says how many there are and how many there should be: whatever heads them, and in either order, the first counts. */

const vocabulary = vocabularyOf(NAMED_CATALOGUE);

const THERE =
  "On shelf|On hand|In stock|In hand|In kit|In the bag|In drum|Held|Have|We have|Got|Actual|Act.|Found|Present|There|Here|Current|Now|Today|Remaining|Left|SOH|Physical|Counted|Qty found|Qty held|Stock|Stock now|Actual stock|No. in kit|Number held|Balance|Aboard|As found|Total held|How many|Qty on hand|Available|Stock level";
const SHOULD =
  "Min|Max|Par|Target|Required|Req'd|Should be|Standard|Std|Auth|Authorised|Scale|Recommended|Needed|Expected|Establishment|Full|Norm|Ideal|Reorder level|Short|Used|Last check|Prev|Issued|Supposed|List|Per list|Entitlement|Allowed|Min qty|Par level|Quota|Complement|Nominal|As packed|Original|Opening|Was|Wanted|Planned|Full kit|Spec";
const NAMES = ["Plasters", "Triangular bandages", "Eye pads", "Foil blankets", "Burn gel sachets"];
const HELD = [17, 3, 4, 2, 6];
const MEANT = [20, 4, 5, 3, 8];

type Rows = readonly (readonly string[])[];
const LAYOUTS: readonly ((rows: Rows) => string)[] = [
  (rows) => rows.map((r) => r.join(",")).join("\n"),
  (rows) => rows.map((r) => r.join("\t")).join("\n"),
  ([head, ...body]) =>
    [head!, ["--", "--", "--"], ...body].map((r) => `| ${r.join(" | ")} |`).join("\n"),
  (rows) => rows.map((r) => r[0]!.padEnd(26) + r[1]!.padEnd(18) + r[2]!).join("\n"),
];
const piecesOf = (text: string) => readCard(text, vocabulary).entries.map((e) => e.pieces);

describe("headings of a card's table", () => {
  const there = THERE.split("|");
  const should = SHOULD.split("|");
  const pairs = [
    ...there.map((t, i) => [t, should[(7 * i) % should.length]!] as const),
    ...should.map((s, i) => [there[(5 * i) % there.length]!, s] as const),
  ];
  for (const [i, [t, s]] of pairs.entries())
    it(`"${t}" beside "${s}"`, () => {
      const layout = LAYOUTS[i % LAYOUTS.length]!;
      const first = [["Item", t, s], ...NAMES.map((n, k) => [n, `${HELD[k]}`, `${MEANT[k]}`])];
      const last = [["Item", s, t], ...NAMES.map((n, k) => [n, `${MEANT[k]}`, `${HELD[k]}`])];
      expect(piecesOf(layout(first))).to.deep.equal(HELD);
      expect(piecesOf(layout(last))).to.deep.equal(HELD);
    });

  it("how many there should be, alone, is read and asked about", () => {
    const { entries, columnsUnclearAt } = readCard(
      "Item,Required\nPlasters,20\nEye pads,4\nFoil blankets,3",
      vocabulary,
    );
    expect(entries.map((e) => e.pieces)).to.deep.equal([20, 4, 3]);
    expect(columnsUnclearAt).to.equal(2);
  });

  it("how many are to be ordered, alone, counts nothing that is there", () => {
    expect(piecesOf("Item,To order\nPlasters,20\nEye pads,4\nFoil blankets,3")).to.deep.equal([
      1, 1, 1,
    ]);
  });

  const ANSWERED = [
    ["Plasters", "20", "Y"],
    ["Eye pads", "4", "N"],
    ["Foil blankets", "3", "Y"],
  ];
  for (const heading of ["In drum?", "Present", "Y/N", "In kit (Y/N)", "✓", "There?"])
    it(`"${heading}" over no: it is not there`, () => {
      for (const layout of LAYOUTS)
        expect(piecesOf(layout([["Item", "Qty", heading], ...ANSWERED]))).to.deep.equal([20, 3]);
    });

  for (const heading of ["Expired?", "Checked", "Sterile"])
    it(`"${heading}" over no: it is there`, () => {
      for (const layout of LAYOUTS)
        expect(piecesOf(layout([["Item", "Qty", heading], ...ANSWERED]))).to.deep.equal([20, 4, 3]);
    });

  it("a count with a size beside it is no count of both", () => {
    const [burn] = readCard(
      "Item | Qty\n--|--\nBurn dressing | 1 (10×10)\nEye pads | 4",
      vocabulary,
    ).entries;
    expect([burn?.pieces, burn?.sizeMm]).to.deep.equal([1, [100, 100]]);
  });

  it("two things in one cell, and the counts of both beside them", () => {
    expect(piecesOf("Item | Qty\n--|--\nTweezers + magnifier | 1 + 3\nEye pads | 4")).to.deep.equal(
      [1, 3, 4],
    );
  });

  it("a place said again and again is no name", () => {
    const card =
      "Area,Item,Qty\nYard bag,Plasters,20\nYard bag,Eye pads,4\nYard bag,Whistle,1\nYard bag,Marker,2";
    expect(readCard(card, vocabulary).entries.map((e) => e.itemType)).to.deep.equal([
      "adhesive-strip",
      "eye-pad",
      "whistle",
      "marker",
    ]);
  });
});

/** Packs and what one holds: whatever heads them, and in either order, pieces are packs times pieces. */
describe("pack columns of a card's table", () => {
  const PER_PACK =
    "Pack|Pack size|Per pack|Pack of|Pcs/pack|Pieces per pack|Per box|Box qty|Qty per pack|Units/pack|Contents per pack|Each pack|Size of pack|Items per pack|Pk|No. per pack|Inner qty|Package size".split(
      "|",
    );
  const COUNTED =
    "Packs|Boxes|No. of packs|Packs held|Packets|Pkts|Qty|Qty (packs)|Held|Count|Packs on hand|On hand|# packs|In stock|Full packs|Bxs".split(
      "|",
    );
  const IN_ALL =
    "Total|Total pcs|Pieces|Sum|Total items|Items|In all|Singles|Total units|Pcs|Overall|Total number|All".split(
      "|",
    );
  const PACKED = ["Plasters", "Antiseptic wipes", "Eye pads", "Gauze swabs", "Safety pins"];
  const EACH = [20, 10, 1, 5, 12];
  const PACKS = [2, 3, 4, 6, 1];
  const ALL = [40, 30, 4, 30, 12];
  for (let i = 0; i < 48; i++) {
    const per = PER_PACK[i % PER_PACK.length]!;
    const counted = COUNTED[(5 * i) % COUNTED.length]!;
    const inAll = IN_ALL[(3 * i) % IN_ALL.length]!;
    const layout = LAYOUTS[i % LAYOUTS.length]!;
    it(`"${per}" beside "${counted}"`, () => {
      const first = [
        ["Item", per, counted],
        ...PACKED.map((n, k) => [n, `${EACH[k]}`, `${PACKS[k]}`]),
      ];
      const last = [
        ["Item", counted, per],
        ...PACKED.map((n, k) => [n, `${PACKS[k]}`, `${EACH[k]}`]),
      ];
      expect(piecesOf(layout(first))).to.deep.equal(ALL);
      expect(piecesOf(layout(last))).to.deep.equal(ALL);
    });
    it(`"${per}", "${counted}" and "${inAll}"`, () => {
      const rows = PACKED.map((n, k) => [n, `${EACH[k]}`, `${PACKS[k]}`, `${ALL[k]}`]);
      expect(piecesOf(layout([["Item", per, counted, inAll], ...rows]))).to.deep.equal(ALL);
    });
  }

  it("packs without what one holds are counted as one each, and asked about", () => {
    const { entries } = readCard("Item,Packs\nPlasters,3\nWipes,4\nEye pads,2", vocabulary);
    expect(entries.map((e) => e.pieces)).to.deep.equal([3, 4, 2]);
    expect(Math.max(...entries.map((e) => e.confidence))).to.be.below(0.9);
  });

  it("what is paid is no sum of pieces", () => {
    const card = "Item,Qty,Price,Total\nPlasters,20,3,60\nEye pads,4,2,8\nFoil blankets,3,5,15";
    expect(piecesOf(card)).to.deep.equal([20, 4, 3]);
  });
});

/** What a cell under "Qty" may say, and how many that is; worked out by hand. */
describe("cells that count", () => {
  const SAID: Readonly<Record<number, string>> = {
    0: "0|nil|none|-|missing|MISSING|none left|nil - order|out|empty|✗|gone|not there|no|all used|used up|ordered|on order|n/a|0 of 4|0/4",
    3: "3|three|III|x3|3 left|2 + 1 spare|2 (+1 spare)|2 and 1 spare|2 full 1 part|2 full, 1 part|3 of 4|3/4 held|3 out of 4|4 (-1)|4 (1 missing)|4 minus 1|5 -> 3|5 > 3|5→3|was 5 now 3|5 now 3",
    20: "20|twenty|20 pcs|20x|x20|approx 20|~20|about 20|20+|20?|OK 20|✓ 20|20 (full)|20 in all|20 sealed|2 x 10|2×10|2 boxes of 10|2 pk/10|2 @ 10|1 box (20)|box of 20|20 (1 box)|20 (2 x 10)|10+10|15 + 5|20 of 25|20/25|20 [25]|20 (was 25)|20 (3 expired)|20 exp 01/27|20 - check|20 or so|20-ish|2 tens",
  };
  for (const [pieces, cells] of Object.entries(SAID))
    for (const [i, cell] of cells.split("|").entries())
      it(`"${cell}" is ${pieces}`, () => {
        const layout = LAYOUTS[1 + (i % 3)]!;
        const rows = [
          ["Eye pads", "4", "lid"],
          ["Plasters", cell, "lid"],
          ["Foil blankets", "2", "lid"],
        ];
        const { entries } = readCard(layout([["Item", "Qty", "Where"], ...rows]), vocabulary);
        const told = entries.map((e) => e.pieces);
        expect(told).to.deep.equal(pieces === "0" ? [4, 2] : [4, Number(pieces), 2]);
      });
});

describe("cells of sizes", () => {
  /** What stands under "Size" beside seven of a thing, and its sides in mm. */
  const SIZES: readonly (readonly [name: string, cells: string, mm: readonly number[] | null])[] = [
    ["Gauze pad", "10x10|10 x 10 cm|100x100|10 cm sq|10.0x10.0|10*10", [100, 100]],
    ["Gauze pad", '4x4"|4 in sq|4 inch sq|4″ × 4″', [102, 102]],
    ["Conforming bandage", "7.5cm|7,5 cm|75 mm|75|7.5", [75]],
    ["Conforming bandage", "7.5cm x 4m|7.5cm/4m|7.5cm - 4m|75mmx4m|7.5x400 cm", [75, 4000]],
    ["Medical tape", "2.5cm x 5m|25 x 5000|2.5cm/5m", [25, 5000]],
    ["Nitrile gloves", "8|L|size 8|8-9|M/L", null],
    ["Plasters", "n/a|-|assorted|none", null],
  ];
  for (const [name, cells, mm] of SIZES)
    for (const [i, cell] of cells.split("|").entries())
      it(`"${cell}" of ${name.toLowerCase()} is ${mm?.join(" × ") ?? "no size"}`, () => {
        const layout = LAYOUTS[1 + (i % 2)]!;
        const rows = [
          ["Eye pads", "5 x 7 cm", "4"],
          [name, cell, name.includes("gloves") ? "7 pairs" : "7"],
          ["Tweezers", "", "2"],
        ];
        const { entries } = readCard(layout([["Item", "Size", "Qty"], ...rows]), vocabulary);
        expect(entries.map((e) => e.pieces)).to.deep.equal([4, 7, 2]);
        expect(entries[1]?.sizeMm).to.deep.equal(mm);
      });
});
