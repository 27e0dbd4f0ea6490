import { expect } from "chai";
import { partUsed, thereByRemark } from "../../src/lib/core/card/partUsed.ts";
import { confidenceOf, entriesOf } from "./cardReading.ts";

describe("a pack that was begun", () => {
  for (const [amount, pieces] of [
    ["PKT/25", 25],
    ["BX/25", 25],
    ["2 BX/50", 100],
    ["box of 25", 25],
    ["(pack of 25)", 25],
    ["2 x box of 50", 100],
    ["2 boxes of 50", 100],
    ["1 box (25)", 25],
    ["3 pkts @ 10", 30],
    ["25/box", 25],
    ["2 x 50 pcs", 100],
    ["(25)", 25],
    ["x 25", 25],
    ["25 pcs", 25],
  ] as const)
    it(`of ${amount} has what is left of ${pieces}`, () => {
      for (const [remark, left] of [
        ["7 used", pieces - 7],
        ["seven used up", pieces - 7],
        ["opened, 7 gone", pieces - 7],
        ["one box opened, 7 used", pieces - 7],
        ["used 7", pieces - 7],
        ["7 taken in May", pieces - 7],
        ["about 9 left", 9],
        ["~9 left", 9],
        ["9 remaining", 9],
        ["9 still there", 9],
        ["down to 9", 9],
        ["have 9", 9],
        ["unopened", pieces],
        ["none used", pieces],
        ["all there", pieces],
      ] as const)
        for (const line of [
          `Alcohol wipes ${amount} - ${remark}`,
          `Alcohol wipes ${amount} £3.95 (${remark})`,
          `Alcohol wipes, ${amount} 4,20 €, ${remark}`,
          `Alcohol wipes ${amount}     ${remark}`,
        ])
          expect(entriesOf(line), line).to.deep.equal([`1 alcohol-pad ${left} null`]);
    });

  it("is asked about where a pack may be meant, or others besides", () => {
    // Of two boxes one, or of forty pieces one: the fewer.
    for (const [line, pieces] of [
      ["Alcohol wipes 2 boxes of 20 £3.10 - 1 used", 20],
      ["Alcohol wipes PKT/25 £3.10 - two missing", 23],
    ] as const) {
      expect(entriesOf(line), line).to.deep.equal([`1 alcohol-pad ${pieces} null`]);
      expect(confidenceOf(line)[0], line).to.be.below(0.9);
    }
  });

  for (const [why, line] of [
    ["no number says what was there", "Crepe bandage 7.5 cm, 3 left"],
    ["more is left than there was", "Plasters, box of 20, 30 left"],
    ["all of it went", "Plasters, box of 20, 20 used"],
    ["it may be a size", "Dressings 2 x 7, three gone"],
    ["its bracket is still open", "Plasters (62, used 18)"],
    ["it is a row of a table", "Plasters;20;8 used"],
    ["the same, with tabs", "Plasters\t20\t8 used"],
  ])
    it(`is left as it stands where ${why}: ${line}`, () => expect(partUsed(line!)).to.equal(line));
});

describe("what a remark says of a row's packs", () => {
  const there = (written: string, note: string, meant: number[] = []) => {
    const found = thereByRemark(written, note, meant);
    return found && `${found.pieces}${found.isDoubted ? "?" : ""}`;
  };
  it("is taken from them, or said instead", () => {
    expect(there("2 x box of 20", "opened, 8 gone")).to.equal("32");
    expect(there("2 x 20", "8 used, reorder")).to.equal("32");
    expect(there("1 box (20)", "12 remaining")).to.equal("12");
    expect(there("PKT/100", "about 60 left")).to.equal("60");
  });
  it("is asked about where a count stands alone, or a pack may have gone", () => {
    expect(there("20", "3 used")).to.equal("17?");
    expect(there("2 boxes of 20", "1 used")).to.equal("20?");
  });
  it("tells why fewer are counted than there should be, and is not taken off again", () => {
    // 20 there should be, six went, fourteen are counted.
    expect(there("14", "six used in September", [20])).to.equal("14");
    expect(there("14", "six used in September", [30])).to.equal("8?");
  });
  it("is nothing where it says neither, or what cannot be", () => {
    expect(there("20", "in the lid")).to.equal(null);
    expect(there("20", "30 left")).to.equal(null);
    expect(there("20", "20 used")).to.equal(null);
  });
  it("is read in a table", () => {
    const rows = [
      "| Item | Qty | Price | Notes |",
      "| Plasters | PKT/100 | 3.95 | about 60 left |",
      "| Alcohol wipes | 2 x box of 50 | 4.20 | opened, 20 gone |",
      "| Eye pads | 12 | 2.10 | in date |",
      "| Safety pins | twenty | 1.00 | full |",
    ];
    expect(entriesOf(rows.join("\n"))).to.deep.equal([
      "2 adhesive-strip 60 null",
      "3 alcohol-pad 80 null",
      "4 eye-pad 12 null",
      "5 safety-pin 20 null",
    ]);
  });
});
