import { expect } from "chai";
import { entriesOf } from "./cardReading.ts";

/** Things that a sentence runs through, and a title over a list that is set in. */

const read = (text: string): string[] => entriesOf(text).map((entry) => entry.replace(/^\d+ /, ""));

describe("a sentence through the kit", () => {
  const MIDDLE = [
    ["another nine eye pads", "eye-pad 9 null"],
    ["9x eye pads", "eye-pad 9 null"],
    ["7x 10 cm crepe bandages", "elastic-bandage 7 [100]"],
    ["a box of nine eye pads", "eye-pad 9 null"],
    ["about nine eye pads", "eye-pad 9 null"],
  ] as const;
  for (const [said, reading] of MIDDLE)
    for (const joins of [", and ", ", plus ", ", then ", ", also ", "; "])
      it(`${joins}${said}`, () =>
        expect(
          read(`I found ten wipes${joins}${said}${joins}two torches in the lid.`),
        ).to.deep.equal(["antiseptic-wipe 10 null", reading, "torch 2 null"]));
  it("one that is elsewhere is no more of it", () =>
    expect(read("tourniquet, windlass 1, another one lives on the quad")).to.deep.equal([
      "windlass-tourniquet 1 null",
    ]));
});

describe("a title over a list", () => {
  for (const mark of ["      ", "(a) ", "\t", "_", "01 "])
    it(`keeps its first line: ${JSON.stringify(mark)}`, () => {
      const things = [
        "triangular bandage, eight",
        "eye pads, two",
        "safety pins, nine",
        "torch, one",
      ];
      const lines = things.map((thing, i) =>
        mark === "(a) "
          ? `(${"abcd"[i]!}) ${thing}`
          : mark === "01 "
            ? `0${i + 1} ${thing}`
            : mark === "_"
              ? `_${thing}_`
              : mark + thing,
      );
      expect(entriesOf(["First aid box of the club", ...lines].join("\n"))).to.deep.equal([
        "2 triangular-bandage 8 null",
        "3 eye-pad 2 null",
        "4 safety-pin 9 null",
        "5 torch 1 null",
      ]);
    });
});
