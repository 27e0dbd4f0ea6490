import { expect } from "chai";
import { columnsOfCard } from "../../src/lib/core/card/columns.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { roundsAsCounts } from "../../src/lib/core/card/rounds.ts";
import { withoutRules } from "../../src/lib/core/card/ruledBlanks.ts";
import { answersBeside } from "../../src/lib/core/card/thereOrNot.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const read = (card: string) =>
  readCard(card, vocabulary).entries.map((e) => [e.source, e.itemType, e.pieces, e.sizeMm]);

const ROWS = [
  ["Plasters, waterproof", "50", "✓", "✓", "41", "✓"],
  ["Gauze pads 10 x 10 cm", "20", "✓", "18", "18", "18"],
  ["Eye pads", "4", "✓", "✓", "✓", ""],
  ["Foil blankets", "4", "✓", "✓", "✓", "✗"],
  ["Pocket mask checked", "2", "✓", "✓", "✓", "✓"],
];
/** The last mark of each: ticked is as many as there should be; left empty the one before; crossed is gone; checked lists nothing. */
const READ = [
  ["adhesive-strip", 50, null],
  ["gauze-pad", 18, [100, 100]],
  ["eye-pad", 4, null],
];
const HEAD = ["Item", "Level", "Mon", "Tue", "Wed", "Thu"];

describe("a kit checked round by round", () => {
  const ways: Readonly<Record<string, (cells: readonly string[]) => string>> = {
    "set apart by blanks": (cells) =>
      cells
        .map((c, i) => c.padEnd(i === 0 ? 28 : 5))
        .join("")
        .trimEnd(),
    "between bars": (cells) => `| ${cells.join(" | ")} |`,
    "by tabs": (cells) => cells.join("\t"),
  };
  for (const [way, line] of Object.entries(ways))
    it(`holds what the last round says, ${way}`, () => {
      const card = [line(HEAD), ...ROWS.map(line)].join("\n");
      expect(read(card)).to.deep.equal(READ.map((r, i) => [i + 2, ...r]));
    });
  it("is none with two marks to a row, or on two rows", () => {
    const two = ROWS.map((r) => r.slice(0, 4).join("   "));
    expect(roundsAsCounts(two)).to.deep.equal(two);
    const short = ROWS.slice(0, 2).map((r) => r.join("   "));
    expect(roundsAsCounts(short)).to.deep.equal(short);
  });
});

describe("a list with a column that says whether each is there", () => {
  const LIST = [
    "                          Present?   Exp",
    "1 x Pocket mask           Y          --",
    "2 x Eye pads              Y          08/27",
    "4 x Gauze pads 10 x 10    N",
    "2 x Glucose gel 40%       Y (1)      12/26",
    "1 x Whistle               N - order",
  ];
  it("holds what is there, and as many as are said to be", () => {
    expect(read(LIST.join("\n"))).to.deep.equal([
      [2, "pocket-mask", 1, null],
      [3, "eye-pad", 2, null],
      [5, "glucose-gel", 1, null],
    ]);
  });
  it("is left to the table where the names have their heading, and alone on few lines", () => {
    const headed = ["Item                      Present?   Exp", ...LIST.slice(1)];
    expect(answersBeside(headed)).to.deep.equal(headed);
    expect(answersBeside(LIST.slice(0, 4))).to.deep.equal(LIST.slice(0, 4));
  });
});

describe("a table of blanks with strokes down it", () => {
  const TABLE = [
    "ITEM                    MIN  MAX | 01/11  08/11  15/11",
    "Plasters, box 100         1    3 |   3      2      2",
    "Eye pads                  4    8 |   8      8      7",
    "Cold packs               20   60 |  55     31     22",
    "Foil blankets             5   10 |  10     10     10",
  ];
  it("holds what the last date says", () => {
    expect(read(TABLE.join("\n"))).to.deep.equal([
      [2, "adhesive-strip", 200, null],
      [3, "eye-pad", 7, null],
      [4, "cold-pack", 22, null],
      [5, "foil-blanket", 10, null],
    ]);
  });
  it("is asked about by its headings, those on the other side of the stroke among them", () => {
    const { rows, roles, hasHeading } = columnsOfCard(TABLE.join("\n"), 2)!.guess;
    expect(hasHeading).to.equal(true);
    // How many there should be is left out, and of the days the last is proposed.
    expect(roles).to.deep.equal(["text", null, null, null, null, "quantity"]);
    expect(rows[0]).to.deep.equal(["ITEM", "MIN", "MAX", "01/11", "08/11", "15/11"]);
  });
  it("is none where strokes part the cells themselves", () => {
    const bars = ["Item | Qty | Note", "Plasters | 3 | ok", "Eye pads | 4 | ok", "Slings | 2 | ok"];
    expect(withoutRules(bars)).to.deep.equal(bars);
  });
});
