import { expect } from "chai";
import { entriesOf } from "./cardReading.ts";

const QUESTIONS = [
  "How many eye pads?",
  "How many eye pads do we have?",
  "Any eye pads?",
  "And the eye pads?",
  "Do we still have eye pads?",
  "Eye pads?",
];
const ANSWERS = [
  "7",
  "Seven",
  "Yes, 7.",
  "We still have 7",
  "There are 7",
  "I counted 7",
  "only 7 now",
  "7 left of the 10",
  "7, all in date",
  "about 7 I think",
  "5 plus 2 spare",
  "1 pack of 7",
];
/** Other things of the same card, asked after in the same way. */
const OTHERS = ["Cold packs? 3", "Whistles? none"];

describe("things that are asked after", () => {
  for (const question of QUESTIONS)
    for (const answer of ANSWERS)
      it(`${question} ${answer}`, () => {
        expect(entriesOf(`${question}\n${answer}`), "below").to.deep.equal(["2 eye-pad 7 null"]);
        expect(entriesOf(`${question} ${answer}`), "behind").to.deep.equal(["1 eye-pad 7 null"]);
      });

  for (const [written, lines] of [
    [
      "quoted, as in a letter's answer",
      ["> Eye pads?", "", "7 left", "> Cold packs?", "3", "> Whistles?", "none"],
    ],
    ["as a list", ["1. Eye pads?", "   7", "2. Cold packs?", "   3", "3. Whistles?", "   none"]],
    ["Q and A", ["Q: Eye pads?", "A: 7", "Q: Cold packs?", "A: 3", "Q: Whistles?", "A: none"]],
    [
      "without their marks, three and more",
      ["eye pads", "there are 7", "cold packs", "only 3", "whistles", "no, all gone"],
    ],
    ["behind an arrow", ["Eye pads -> 7", "Cold packs? -> three", "Whistles -> none"]],
  ] as const)
    it(`are read ${written}`, () =>
      expect(entriesOf(lines.join("\n")).map(withoutLine)).to.deep.equal([
        "eye-pad 7 null",
        "cold-pack 3 null",
      ]));

  it("what is not there is not listed", () =>
    expect(entriesOf(OTHERS.join("\n"))).to.deep.equal(["1 cold-pack 3 null"]));
  it("a question that nobody answered lists nothing; a thing with a doubt is one", () => {
    expect(entriesOf("Do we have any eye pads?\nWill look on Friday")).to.deep.equal([]);
    expect(entriesOf("4 cold packs\neye pads?").length).to.equal(2);
  });
  it("an answer that names things itself is read as it stands", () =>
    expect(entriesOf("> Bandages?\n2 crepe bandages 7.5 cm and 3 eye pads")).to.deep.equal([
      "2 elastic-bandage 2 [75]",
      "2 eye-pad 3 null",
    ]));
  it("a count before an arrow is what there was", () =>
    expect(entriesOf("Cold packs - 40 -> 11")).to.deep.equal(["1 cold-pack 11 null"]));
});

const withoutLine = (entry: string): string => entry.replace(/^\d+ /, "");
