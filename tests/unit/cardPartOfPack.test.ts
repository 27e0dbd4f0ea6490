import { expect } from "chai";
import { partOfPack } from "../../src/lib/core/card/partOfPack.ts";
import { entriesOf } from "./cardReading.ts";

describe("a part of a pack is gone, or left", () => {
  for (const [line, pieces] of [
    ["Plasters, box of 100, half used", 50],
    ["Plasters box of 100 - 1 - half gone", 50],
    ["Plasters 1 pkt (30), a third used", 20],
    ["Plasters: bx/100 (3/4 full)", 75],
    ["Plasters, a packet of 40, about a quarter left", 10],
    ["Plasters, pack of 20 x 1; ¾ empty", 5],
    ["Plasters - 2 boxes of 40, one half used", 60],
    ["Plasters, 2 tubs (100 each), one of them about a third gone", 167],
    ["Plasters 3 x box of 10, one is 50% used", 25],
  ] as const)
    it(`${line}: ${pieces}`, () =>
      expect(entriesOf(line)).to.deep.equal([`1 adhesive-strip ${pieces} null`]));

  it("of gloves whole pairs: a third of 100 are 32, 16 pairs", () =>
    expect(entriesOf("Nitrile gloves, box of 100, a third left")).to.deep.equal([
      "1 nitrile-gloves 16 null",
    ]));

  it("of two boxes it is not said which: half of both, and the reader asks", () => {
    expect(partOfPack("Plasters, 2 boxes of 40, half used")).to.include({
      pieces: 40,
      isDoubted: true,
    });
    expect(partOfPack("Plasters, 2 boxes of 40, one half used")).to.include({
      pieces: 60,
      isDoubted: false,
    });
  });

  it("nearly empty: a few, and the reader asks", () =>
    expect(partOfPack("Plasters, box of 40, nearly empty")).to.include({
      pieces: 3,
      isDoubted: true,
    }));

  it("no pack, no part", () => {
    expect(partOfPack("eye wash 500 ml, half full")).to.equal(null);
    expect(partOfPack("Plasters, box of 40")).to.equal(null);
  });

  for (const card of [
    "Item | Qty | Remark\nPlasters box of 100 | 1 | half used\nWipes, pack of 50 | 2 | one half gone\nEye pads | 2 | ok",
    "Item,Pack,Qty,Notes\nPlasters,box of 100,1,half used\nWipes,pack of 50,2,one half gone\nEye pads,each,2,ok",
  ])
    it(`in the remarks of a table: ${card.slice(0, 12)}`, () =>
      expect(entriesOf(card)).to.deep.equal([
        "2 adhesive-strip 50 null",
        "3 antiseptic-wipe 75 null",
        "4 eye-pad 2 null",
      ]));
});
