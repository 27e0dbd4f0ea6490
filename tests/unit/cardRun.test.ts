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

describe("a remark behind a count, whatever sets it apart", () => {
  const SAID = [
    ...["checked by Jo", "in a zip bag", "needs a new label", "low battery", "shared with Bus 2"],
    ...["not for training", "nobody uses them", "replace next year", "qty ok"],
  ];
  const BETWEEN = [" - ", ", ", "\t", " | ", " → ", "     "];
  for (const said of SAID)
    it(said, () => {
      for (const between of BETWEEN)
        for (const counted of ["8 x eye pads", "eye pads 8", "eye pads, 8", "eye pads (8)"]) {
          const card = ["2 whistles", counted + between + said, "3 safety pins"].join("\n");
          expect(read(card), card).to.deep.equal([
            "whistle 2 null",
            "eye-pad 8 null",
            "safety-pin 3 null",
          ]);
        }
    });
  it("a number of another time counts only where no other does", () => {
    expect(read("torch 1\neye pads 5, 6 last month")).to.include("eye-pad 5 null");
    expect(read("torch 1\neye pads, 8 pcs - last count 9")).to.include("eye-pad 8 null");
  });
});

describe("kinds of one name with their size", () => {
  it("are two, each with its count", () => {
    for (const line of [
      "Gloves: nitrile M 10 pairs, latex L 5 pairs",
      "GLOVES: NITRILE M (10 PAIRS), LATEX L (5 PAIRS)",
      "gloves, nitrile M 10 pairs, latex L 5 pairs",
    ])
      expect(read(`2 whistles\n${line}`), line).to.deep.equal([
        "whistle 2 null",
        "nitrile-gloves 10 null",
        "latex-gloves 5 null",
      ]);
  });
});
