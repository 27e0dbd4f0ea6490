import { expect } from "chai";
import { corrections } from "../../src/lib/core/card/corrections.ts";
import { entriesOf } from "./cardReading.ts";

describe("a count that is put right on its line", () => {
  for (const line of [
    "eye pads 20 (no, 12)",
    "eye pads 20, wait, 12",
    "eye pads 20... no, 12",
    "eye pads: 20, I mean 12",
    "20 eye pads, hang on, twelve",
    "twenty eye pads - sorry, 12",
    "eye pads x20, not 20 but 12",
    "eye pads x20, recounted: 12",
    "eye pads x20 -> 12",
    "eye pads 20 => 12",
  ])
    it(line, () => expect(entriesOf(line)).to.deep.equal(["1 eye-pad 12 null"]));
});

describe("a count that is put right on a line of its own", () => {
  for (const line of [
    "sorry 12",
    "sorry, twelve",
    "no, 12",
    "no wait 12",
    "make that 12",
    "*12",
    "12*",
    "oops, 12",
    "12, sorry",
    "12, not 20",
    "not 20, 12",
    "sorry, only 12",
    "it's 12 sorry",
    "edit: 12",
    "recounted, 12",
  ])
    it(`counts what stands above: ${line}`, () => {
      for (const who of ["", "Ana: ", "[18:12] Ana: "])
        expect(
          entriesOf(`${who}plasters 5\n${who}eye pads 20\n${who}${line}\n${who}whistle 1`),
          who,
        ).to.deep.equal(["1 adhesive-strip 5 null", "2 eye-pad 12 null", "4 whistle 1 null"]);
    });
});

describe("what corrects nothing stays", () => {
  for (const [why, lines] of [
    ["the number of a dressing", ["2 wound dressings no. 8"]],
    ["the same, behind a comma", ["Scalpel, no 15"]],
    ["how many there should be", ["Dressings - 5 (should be 6)"]],
    ["from one size to its count", ["Dressings 5x5 -> 6"]],
    ["a number with nothing above that counts", ["Bag 2", "", "sorry, 12 of us were there"]],
    ["a list's star", ["plasters 20", "* 12 wipes"]],
    ["only how few there are", ["plasters 20", "only 3 pairs of gloves"]],
  ] as const)
    it(why, () => expect(corrections(lines)).to.deep.equal([...lines]));
});
