import { expect } from "chai";
import { answersBelow } from "../../src/lib/core/card/answersBelow.ts";
import { entriesOf } from "./cardReading.ts";

/** A card of three things, each asked and answered in one form. */
const FORMS: readonly (readonly [string, (asked: string, answer: string) => readonly string[]])[] =
  [
    ["below what is quoted", (q, a) => [`> ${q}`, a]],
    ["below what is quoted twice", (q, a) => [`>> ${q}`, `> ${a}`]],
    ["below, between empty lines", (q, a) => [`> ${q}`, "", a, ""]],
    ["below, behind an arrow", (q, a) => [q, `  -> ${a}`]],
    ["below, with a name", (q, a) => [`> ${q}`, `[Sam] ${a}`]],
    ["below, set in", (q, a) => [q, `    ${a}`]],
    ["as answers", (q, a) => [`Q: ${q}`, `A: ${a}`]],
    ["behind two dashes", (q, a) => [`> ${q} -- ${a}`]],
    ["behind an arrow", (q, a) => [`${q} <- ${a}`]],
    ["behind two strokes", (q, a) => [`${q}   // ${a}`]],
    ["in square brackets", (q, a) => [`${q} [${a}]`]],
  ];

describe("a list that was answered thing by thing", () => {
  for (const [where, form] of FORMS)
    it(where, () => {
      const lines = [
        ...form("20 plasters", "only 12 left"),
        ...form("eye pads x4", "all there"),
        ...form("cold packs (3)", "gone"),
        ...form("safety pins 12", "used 2"),
        ...form("whistle 1", "ok, checked"),
      ];
      const read = entriesOf(lines.join("\n")).map((entry) => entry.replace(/^\d+ /, ""));
      expect(read).to.deep.equal([
        "adhesive-strip 12 null",
        "eye-pad 4 null",
        "safety-pin 10 null",
        "whistle 1 null",
      ]);
    });

  it("is as it was where nothing was answered", () =>
    expect(
      entriesOf(
        "Hi, see below.\n\n> 20 plasters\nnow 12\n> eye pads x4\n> cold packs (3)\nnone left\n",
      ),
    ).to.deep.equal(["3 adhesive-strip 12 null", "5 eye-pad 4 null"]));
});

describe("lines that end as another system ends them", () => {
  const asked = [
    "Any eye pads?",
    "There are 7 left",
    "Any plasters?",
    "12",
    "Any slings?",
    "all gone",
  ];
  const listed = ["> 20 plasters", "only 12 left", "> eye pads x4", "all there"];
  it("are asked and answered all the same", () => {
    for (const lines of [asked, listed])
      expect(entriesOf(lines.join("\r\n"))).to.deep.equal(entriesOf(lines.join("\n")));
    expect(entriesOf(asked.join("\r\n"))).to.deep.equal([
      "2 eye-pad 7 null",
      "4 adhesive-strip 12 null",
    ]);
  });
});

describe("what answers nothing stays", () => {
  for (const [why, lines] of [
    ["one answer may be a heading", ["20 plasters", "Missing", "2 eye pads", "1 whistle"]],
    ["a question is answered elsewhere", ["Plasters?", "12", "Eye pads?", "4"]],
    ["numbers alone below sizes count them", ["Gauze 10 x 10", "12", "Gauze 5 x 5", "4"]],
    ["a number in brackets is how many there should be", ["eye pads 4 [6]", "wipes 10 [12]"]],
    ["few of many lines", ["1 a pad", "2 b pads", "3 c pads", "ok", "4 d pads", "5 e pads"]],
  ] as const)
    it(why, () => expect(answersBelow(lines)).to.deep.equal([...lines]));
});
