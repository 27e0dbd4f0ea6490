import { expect } from "chai";
import { withNameHeading } from "../../src/lib/core/card/nameHeading.ts";
import { entriesOf } from "./cardReading.ts";

const HEADINGS = ["Min", "Have", "Exp", "OK"];
const ROWS = [
  ["Eye pads", "4", "3", "4/28", "x"],
  ["Gauze pads 3x3", "10", "6", "1/27", "x"],
  ["Whistle", "1", "1", "", "x"],
];

/** Ways of setting a table whose first heading is empty. */
const WAYS: Readonly<Record<string, (cells: readonly string[]) => string>> = {
  blanks: (cells) =>
    cells
      .map((cell, i) => cell.padEnd(i === 0 ? 24 : 8))
      .join("")
      .trimEnd(),
  tabs: (cells) => cells.join("\t"),
  bars: (cells) => cells.join(" | "),
  "bars all around": (cells) => `| ${cells.join(" | ")} |`,
  semicolons: (cells) => cells.join(";"),
  commas: (cells) => cells.join(","),
};

describe("a table that heads everything but its names", () => {
  for (const [way, set] of Object.entries(WAYS))
    it(`set by ${way}: what is there counts, not what should be`, () =>
      expect(entriesOf([["", ...HEADINGS], ...ROWS].map(set).join("\n"))).to.deep.equal([
        "2 eye-pad 3 null",
        "3 gauze-pad 6 [76,76]",
        "4 whistle 1 null",
      ]));

  it("keeps its columns where they were", () => {
    const [heading = ""] = withNameHeading([
      "          Min   Have",
      "Eye pads  4     3",
      "Whistle   1     1",
    ]);
    expect(heading).to.equal("Item      Min   Have");
  });

  it("what stands over no names, or names them itself, is left", () => {
    for (const card of [
      ["          Min   Have", "1         4     3", "2         1     1"],
      ["          Item  Have", "Eye pads  4     3", "Whistle   1     1"],
      ["          checked by Ana", "Eye pads  4     3", "Whistle   1     1"],
    ])
      expect(withNameHeading(card)).to.deep.equal(card);
  });
});
