import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { roundsAsCounts } from "../../src/lib/core/card/rounds.ts";
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
