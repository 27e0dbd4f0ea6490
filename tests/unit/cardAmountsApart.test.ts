import { expect } from "chai";
import { amountsSetApart } from "../../src/lib/core/card/amountsSetApart.ts";
import { entriesOf } from "./cardReading.ts";

const apart = (line: string) => amountsSetApart([line])[0];

describe("an amount set apart from its name", () => {
  for (const [sign, line] of [
    ["a colon", "Cold packs: (12)"],
    ["dots", "Cold packs ............. (12)"],
    ["dots close to both", "Cold packs.............(12)"],
    ["a dash", "Cold packs - (12)"],
    ["a bar", "Cold packs | (12)"],
    ["blanks", "Cold packs          (12)"],
    ["an arrow", "Cold packs -> twelve"],
    ["a line to write on", "Cold packs____12"],
    ["quotes", '"Cold packs","(12)"'],
  ])
    it(`is read behind ${sign}`, () =>
      expect(entriesOf(line!)).to.deep.equal(["1 cold-pack 12 null"]));

  for (const [said, pieces] of [
    ["(12 pcs)", 12],
    ["(twelve)", 12],
    ["(only 12)", 12],
    ["(approx. 12)", 12],
    ["(3 packs of 4)", 12],
    ["(box of 12)", 12],
    ["(qty 12)", 12],
    ["(8 + 4)", 12],
    ["(8 plus 4 spare)", 12],
  ] as const)
    it(`${said} is ${pieces}`, () => {
      for (const sign of [" ..... ", ": ", " - ", " "])
        expect(entriesOf(`Cold packs${sign}${said}`), sign).to.deep.equal([
          `1 cold-pack ${pieces} null`,
        ]);
    });

  it("in a pack behind a semicolon or a stroke is no other thing", () => {
    expect(entriesOf("Cold packs; 1 box (10)")).to.deep.equal(["1 cold-pack 10 null"]);
    expect(entriesOf("Cold packs / 2 pkts of 10")).to.deep.equal(["1 cold-pack 20 null"]);
  });
});

describe("what stands in brackets behind a sign and is no amount stays in them", () => {
  for (const line of [
    "Gauze - (10 x 10 cm)",
    "Aspirin: (300 mg)",
    "Gloves - (3 sizes)",
    "Plasters - (20-pack)",
    "Eye pads: (sterile)",
    "Asst. plasters        30    (5 used)",
    "ice packs ....... 5 (one split, binned -> 4)",
    "- 4 wipes -> 2 wipes",
    "Vehicle no. ________   Checked ________   1.3 Report shortages",
  ])
    it(line, () => expect(apart(line)).to.equal(line));
  it("one of each of two things is no sum", () =>
    expect(apart("Tweezers, splinter probe (1 + 1)")).to.equal("Tweezers, splinter probe (1 + 1)"));
});
