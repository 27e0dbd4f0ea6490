import { expect } from "chai";
import { confidenceOf, entriesOf } from "./cardReading.ts";

const read = (line: string): string[] => entriesOf(`4 hand warmers\n${line}`).slice(1);
const reads = (line: string, type: string, pieces: number) =>
  it(`${line} → ${pieces}`, () => expect(read(line)).to.deep.equal([`2 ${type} ${pieces} null`]));

describe("how many went, said with any verb", () => {
  // 2 strips of 8 are 16 tablets, less two; six cards of ten less a card are five cards.
  reads("Paracetamol, two strips of eight, ate two", "paracetamol", 14);
  reads("Seasick tablets, six cards of ten (ate one card)", "motion-tablet", 50);
  reads("Plasters: had 40, stuck 6 on the kids", "adhesive-strip", 34);
  reads("Safety pins 12 - 3 went on race numbers", "safety-pin", 9);
  reads("Triangular bandages: 6, minus the one on Joe", "triangular-bandage", 5);
  reads("Safety pins: 24 bar 6", "safety-pin", 18);
  reads("Hand warmers 8 and burned through 5", "hand-warmer", 3);
  reads("paracetamol, three cards of ten tablets", "paracetamol", 30);

  it("asks where a bracket tells of two numbers: 62 may be left, or have been there before", () => {
    expect(read("Fabric plasters (62, used 18 today)")).to.deep.equal(["2 adhesive-strip 62 null"]);
  });
  it("lists nothing where a line says what went, and on whom", () => {
    expect(read("used two slings on Kev's knee")).to.deep.equal([]);
  });
});

describe("what some of them are like", () => {
  reads("Hydrocortisone cream, one tube, near empty", "hydrocortisone-cream", 1);
  reads("Cold packs 3 (one leaking)", "cold-pack", 3);
  reads("Tape, 2 rolls, one nearly done", "medical-tape", 2);
  reads("Antiseptic spray: 1, about a quarter left", "antiseptic-bottle", 1);
  reads("Cold packs, five, two have gone hard", "cold-pack", 5);
  reads("Eye pads - 6, two of them with the short date", "eye-pad", 6);

  it("an empty one is not there, as before", () => {
    expect(read("Antiseptic wipes empty")).to.deep.equal([]);
  });
  it("a known thing behind a count is no state of the one before", () => {
    expect(read("Eye pads 6, two sticky plasters")).to.deep.equal([
      "2 eye-pad 6 null",
      "2 adhesive-strip 2 null",
    ]);
  });
});

describe("a stock card with a balance", () => {
  const card = (...rows: string[]) => entriesOf(["Item\tIn\tOut\tBalance", ...rows].join("\n"));
  it("the last entry of a thing stands, where its balance follows: 10 + 0 − 4 = 6", () => {
    expect(card("Eye pads\t10\t-\t10", "Tape\t2\t-\t2", "Eye pads\t-\t4\t6")).to.deep.equal([
      "3 medical-tape 2 null",
      "4 eye-pad 6 null",
    ]);
  });
  it("its heading tells what is there, and nobody is asked which column it is", () =>
    expect(
      confidenceOf("Item\tIn\tOut\tBalance\nEye pads\t10\t4\t6\nTape\t2\t-\t2\nSlings\t3\t1\t2"),
    ).to.satisfy((all: number[]) => all.length === 3 && all.every((sure) => sure >= 0.9)));
  it("two lots with balances of their own are both there: 10 + 5 − 0 is not 5", () => {
    expect(card("Eye pads\t10\t-\t10", "Tape\t2\t-\t2", "Eye pads\t5\t-\t5")).to.deep.equal([
      "2 eye-pad 10 null",
      "3 medical-tape 2 null",
      "4 eye-pad 5 null",
    ]);
  });
});

describe("things between semicolons, each counted", () => {
  it("one of them may be called as nobody knows, and is asked about", () => {
    expect(read("Top tray: plasters 60; fngr zip 12; alcohol wipes 40")).to.deep.equal([
      "2 adhesive-strip 60 null",
      "2 null 12 null",
      "2 alcohol-pad 40 null",
    ]);
  });
});

describe("what would be lost without a word", () => {
  reads("Triangular bandages (5; sixth missing)", "triangular-bandage", 5);
  reads("Foil blankets x10   €0.95  exp -", "foil-blanket", 10);
  it("the first line, said aloud", () =>
    expect(
      entriesOf("okay the box in the lounge has about thirty plasters in it\nand two slings"),
    ).to.deep.equal(["1 adhesive-strip 30 null", "2 triangular-bandage 2 null"]));
  it("in French, one is missing of three", () =>
    expect(
      entriesOf("Bande cohésive 6 cm : 3, il en manque 1\nCiseaux : 1\nPansements : 20")[0],
    ).to.equal("1 cohesive-wrap 2 [60]"));
  it("each with its answer, and one that is there beside one that is not", () => {
    expect(read("shears yes tweezers yes but bent")).to.deep.equal([
      "2 trauma-shears 1 null",
      "2 tweezers-fine 1 null",
    ]);
    expect(read("scissors yes tweezers no")).to.deep.equal(["2 small-scissors 1 null"]);
    expect(read("The shears are new; the tweezers are missing.")).to.deep.equal([
      "2 trauma-shears 1 null",
    ]);
  });
});
