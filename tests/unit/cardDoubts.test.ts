import { expect } from "chai";
import { confidenceOf, entriesOf } from "./cardReading.ts";

/** Given this confidence or more, nobody is asked. */
const SURE = 0.9;
const areAsked = (card: string, line: number): boolean => {
  const lines = entriesOf(card).map((entry) => Number.parseInt(entry));
  return confidenceOf(card).every((confidence, i) => lines[i] !== line || confidence < SURE);
};

describe("what the reader asks about", () => {
  it("two things that one number counts", () =>
    expect(areAsked("Item | Qty\nWhistle | 1\nIncident forms + pencil | 2", 3)).to.equal(true));

  for (const line of [
    "Crepe bandages 10 cm, two in the box and one in",
    "eye pads - 2 and a",
    "eye pads 3, 2 x",
  ])
    it(`a line that goes on nobody knows where: ${line}`, () => {
      expect(areAsked(`Whistle: 2\n${line}`, 2)).to.equal(true);
    });

  it("a question", () => expect(areAsked("Whistle: 2\neye pads?", 2)).to.equal(true));

  it("but no line that ends in a unit or a sign of its count", () => {
    for (const line of ["eye pads 6x", "eye pads, 12 of", "blister plasters 2 in"])
      expect(areAsked(`Whistle: 2\n${line}`, 2), line).to.equal(false);
  });

  it("for how many people a thing is does not count it", () =>
    expect(entriesOf("a group shelter for four")).to.deep.equal(["1 null 1 null"]));
});

describe("how one begins to say the next thing", () => {
  for (const line of [
    "also 4 eye pads",
    "right, four eye pads",
    "ok so 4 eye pads",
    "Eye pads, about 4.",
  ])
    for (const who of ["", "Sam: "])
      it(`${who}${line}`, () => {
        const card = `${who}3 whistles\n${who}${line}\n${who}2 foil blankets\n${who}5 safety pins`;
        expect(entriesOf(card)[1]).to.equal("2 eye-pad 4 null");
        expect(entriesOf(card)).to.have.length(4);
      });
});
