import { expect } from "chai";
import { sortsPaired } from "../../src/lib/core/card/sortsPaired.ts";
import { entriesOf } from "./cardReading.ts";

const CREPE = ["1 elastic-bandage 3 [50]", "1 elastic-bandage 3 [80]"];

describe("several sizes of one thing, and how many of each", () => {
  for (const line of [
    "Crepe bandages 5 cm / 8 cm, 3 of each",
    "Crepe bandages: 5 cm and 8 cm (3 of each)",
    "Crepe bandages - 5 cm + 8 cm - 3 each",
    "Crepe bandages 5 cm, 8 cm x3 each",
    "Crepe bandages 5 cm & 8 cm, three of each",
    "3 each 5 cm / 8 cm crepe bandages",
    "Crepe bandages 5 cm / 8 cm: 3 / 3",
  ])
    it(`${line}: three of each`, () => expect(entriesOf(line)).to.deep.equal(CREPE));

  it("below a table it is no row of it", () => {
    const table = "      Min   Have   OK\nEye pads  4     3      x\nWhistle   1     1      x";
    expect(
      entriesOf(`${table}\n\n1) Crepe bandages 5 cm / 8 cm, 3 of each`).slice(2),
    ).to.deep.equal(CREPE.map((entry) => entry.replace("1 ", "5 ")));
  });

  it("another count for each", () =>
    expect(entriesOf("Burn dressings 10 x 10 / 20 x 20 cm, 2 + 1")).to.deep.equal([
      "1 burn-gel-dressing 2 [100,100]",
      "1 burn-gel-dressing 1 [200,200]",
    ]));

  it("by letter, where the sort of dressing is open", () =>
    expect(entriesOf("Dressings S / M / L, 4 of each")).to.deep.equal(
      Array.from({ length: 3 }, () => "1 bandaged-dressing 4 null"),
    ));

  it("in pairs", () =>
    expect(entriesOf("Nitrile gloves M / L: 3 + 4 pairs")).to.deep.equal([
      "1 nitrile-gloves 3 null",
      "1 nitrile-gloves 4 null",
    ]));

  it("beside the column that says what they come to: 3 x 4 = 12, 2 + 1 = 3", () => {
    const card = [
      "Item | Qty",
      "Sterile dressing S / M / L, 4 of each | 12",
      "Burn dressing 10 x 10 / 20 x 20 cm, 2 + 1 | 3",
      "Tweezers | 1",
    ].join("\n");
    expect(entriesOf(card)).to.deep.equal([
      ...Array.from({ length: 3 }, () => "2 bandaged-dressing 4 null"),
      "3 burn-gel-dressing 2 [100,100]",
      "3 burn-gel-dressing 1 [200,200]",
      "4 tweezers-fine 1 null",
    ]);
  });

  it("a column that says another number is of something else", () => {
    const line = "Sterile dressing S / M / L, 4 of each | 5";
    expect(sortsPaired(line)).to.equal(line);
  });

  it("each of so many boxes is no sort", () => {
    const line = "Gloves M / L, 2 boxes of 100 each";
    expect(sortsPaired(line)).to.equal(line);
  });

  it("so many sizes, and so many of each: 3 x 10", () =>
    expect(entriesOf("Safety pins in 3 sizes, 10 of each")).to.deep.equal([
      "1 safety-pin 30 null",
    ]));
});

describe("kinds beside others on a line", () => {
  it("bandages beside plasters are no plasters", () =>
    expect(entriesOf("12 plasters, 2 bandages, 1 whistle")).to.deep.equal([
      "1 adhesive-strip 12 null",
      "1 null 2 null",
      "1 whistle 1 null",
    ]));
  it("bandages and scissors are no bandage scissors", () =>
    expect(entriesOf("20 plasters, 3 bandages, scissors")).to.deep.equal([
      "1 adhesive-strip 20 null",
      "1 null 3 null",
      "1 small-scissors 1 null",
    ]));
  for (const size of ["S", "M", "L", "medium", "large"])
    it(`a burn dressing ${size} is one`, () =>
      expect(entriesOf(`burn dressing ${size} 1`)).to.deep.equal(["1 burn-gel-dressing 1 null"]));
});
