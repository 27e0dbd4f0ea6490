import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);

/** How the columns of three counts are headed. */
const TIMES: readonly (readonly [string, string, string])[] = [
  ["01/11", "08/11", "15/11"],
  ["01/11/26", "08/11/26", "15/11/26"],
  ["2026-11-01", "2026-11-08", "2026-11-15"],
  ["1 Nov", "8 Nov", "15 Nov"],
  ["1.9.", "1.10.", "1.11."],
  ["Sep", "Oct", "Nov"],
  ["September", "October", "November"],
  ["Count Sep", "Count Oct", "Count Nov"],
  ["09/26", "10/26", "11/26"],
  ["2024", "2025", "2026"],
  ["Mon", "Wed", "Fri"],
  ["M", "W", "F"],
  ["Wk 1", "Wk 2", "Wk 3"],
  ["Week 44", "Week 45", "Week 46"],
  ["Q1", "Q2", "Q3"],
  ["Check 1", "Check 2", "Check 3"],
  ["1st", "2nd", "3rd"],
  ["08:00", "14:00", "20:00"],
  ["Early", "Late", "Night"],
];
/** What stands before them; numbers of how many there should be, which are not how many there are. */
const BEFORE: readonly (readonly string[])[] = [[], ["Min"], ["Min", "Max"], ["Par"]];
const THINGS = [
  { name: "Plasters", type: "adhesive-strip", counts: [38, 31, 22], should: [20, 40] },
  { name: "Eye pads", type: "eye-pad", counts: [4, 4, 3], should: [4, 8] },
  { name: "Foil blankets", type: "foil-blanket", counts: [2, 2, 2], should: [2, 4] },
  { name: "Slings", type: "triangular-bandage", counts: [5, 4, 9], should: [6, 12] },
  { name: "Cold packs", type: "cold-pack", counts: [16, 11, 10], should: [10, 20] },
] as const;

const FORMATS: Readonly<Record<string, (rows: readonly (readonly string[])[]) => string>> = {
  blanks: (rows) => {
    const width = rows[0]!.map((_, i) => Math.max(...rows.map((r) => r[i]!.length)));
    return rows
      .map((r) =>
        r
          .map((c, i) => c.padEnd(width[i]!))
          .join("   ")
          .trimEnd(),
      )
      .join("\n");
  },
  bars: (rows) => rows.map((r) => `| ${r.join(" | ")} |`).join("\n"),
  tabs: (rows) => rows.map((r) => r.join("\t")).join("\n"),
  commas: (rows) => rows.map((r) => r.join(",")).join("\n"),
};

describe("columns of counts at several times", () => {
  for (const times of TIMES)
    it(`${times.join(", ")}: the last holds, and is asked about`, () => {
      for (const before of BEFORE)
        for (const format of Object.values(FORMATS)) {
          const rows = THINGS.map(({ name, counts, should }) =>
            [name, ...before.map((_, i) => should[i]!), ...counts].map(String),
          );
          const card = format([["Item", ...before, ...times], ...rows]);
          const { entries, columnsUnclearAt } = readCard(card, vocabulary);
          expect(
            entries.map((e) => [e.itemType, e.pieces]),
            card,
          ).to.deep.equal(THINGS.map(({ type, counts }) => [type, counts[2]]));
          expect(columnsUnclearAt, card).to.not.equal(null);
        }
    });
  it("are not the sizes S, M and L", () => {
    const card =
      "Item | S | M | L\nGloves, pairs | 2 | 4 | 6\nEye pads | 1 | 1 | 1\nSlings | 1 | 1 | 1";
    expect(readCard(card, vocabulary).columnsUnclearAt).to.equal(2);
  });
});
