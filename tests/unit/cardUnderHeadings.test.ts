import { expect } from "chai";
import { randomFrom } from "../../bench/planCases.ts";
import type { CardRow } from "../../src/lib/core/card/cardRow.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { underHeadings } from "../../src/lib/core/card/underHeadings.ts";
import { matchType, vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** Sorts and sizes alone below the word that they leave out: in every layout, and what is left as it is. */

const words = vocabularyOf(NAMED_CATALOGUE);
const knows = {
  names: (text: string) => matchType(text, words).type !== null,
  typeOf: (text: string) => matchType(text, words).type,
  isWhole: (text: string) => {
    const { type, whole, explained, unknown } = matchType(text, words);
    return type !== null && whole === 1 && explained === 1 && unknown === 0;
  },
};
/** Rows one below the other; an empty one is a blank line. */
const below = (...texts: string[]): string[] => {
  const rows = texts.flatMap((text, i): CardRow[] =>
    text === ""
      ? []
      : [{ source: i + 1, text, quantity: null, inTable: false, bullet: false, indent: 0 }],
  );
  return underHeadings(rows, knows).map((row) => row.text);
};

describe("rows under the word that they leave out", () => {
  const READ: readonly (readonly [readonly string[], readonly string[]])[] = [
    [
      ["DRESSINGS, STERILE", "eye x 3", "12 x 12 cm - 6", "3 x 18 x 18 cm"],
      ["eye dressings x 3", "sterile dressings 12 x 12 cm - 6", "3 x sterile dressings 18 x 18 cm"],
    ],
    [
      ["1. Tape", "2.5 cm: 2", "3 x 5 cm"],
      ["tape 2.5 cm: 2", "3 x tape 5 cm"],
    ],
    [
      ["-- Wipes --", "", "saline (4)", "6 antiseptic"],
      ["saline wipes (4)", "6 antiseptic wipes"],
    ],
    [
      ["Gauze swabs:", "5 x 5 cm x 12", "10 x 10 cm, 4 pcs"],
      ["gauze swabs 5 x 5 cm x 12", "gauze swabs 10 x 10 cm, 4 pcs"],
    ],
    [
      ["Plasters", "fabric, fingertip: 6", "blue 4"],
      ["fabric, fingertip: 6", "blue plasters 4"],
    ],
    [
      ["Burns", "gel sachets 3.5 g x 8", "burn sheet x 1"],
      ["burn gel sachets 3.5 g x 8", "burn sheet x 1"],
    ],
    [
      ["Wound dressings, sterile", "eye 2", "medium - 4"],
      ["eye dressings 2", "medium wound dressings - 4"],
    ],
    [["Plasters", "blue, assorted 34"], ["blue assorted plasters 34"]],
    [["Gloves", "latex L, pairs - 2"], ["latex gloves L, pairs - 2"]],
  ];
  for (const [written, read] of READ)
    it(written.join(" / "), () => expect(below(...written).slice(1)).to.deep.equal(read));

  const LEFT: Readonly<Record<string, readonly string[]>> = {
    "things of their own": ["Tape", "scissors x 1", "whistle x 1"],
    "what heads others itself": ["DRESSINGS", "Low adherent", "5 x 5 cm - 10"],
    "what nobody counts": ["Plasters", "scissors", "tweezers"],
    "what is not there": ["Dressings", "none in 2026", "total 4"],
    "what names the thing itself": ["Bandages", "2 crepe bandages", "eye pads x 4"],
    "what stands far below": ["Dressings", "", "", "eye x 3"],
    "a word that nobody knows": ["Tape", "Underwrap 2"],
  };
  for (const [what, rows] of Object.entries(LEFT))
    it(`not ${what}`, () =>
      expect(below(...rows)).to.deep.equal(rows.filter((text) => text !== "")));
});

type Sort = readonly [said: string, types: readonly string[], sizeMm: readonly number[] | null];
const PAD = ["bandaged-dressing", "gauze-pad"];
const GROUPS: Readonly<Record<string, readonly Sort[]>> = {
  Dressings: [
    ["eye", ["eye-pad"], null],
    ["burn", ["burn-gel-dressing"], null],
    ["12 x 12 cm", PAD, [120, 120]],
  ],
  Bandages: [
    ["triangular", ["triangular-bandage"], null],
    ["crepe 7.5 cm", ["elastic-bandage"], [75]],
    ["tubular", ["tubular-bandage"], null],
  ],
  Plasters: [
    ["fabric", ["adhesive-strip"], null],
    ["blister", ["blister-cushion"], null],
    ["fingertip", ["adhesive-knuckle"], null],
  ],
  Wipes: [
    ["antiseptic", ["antiseptic-wipe"], null],
    ["saline", ["saline-wipe"], null],
  ],
  Splints: [
    ["finger", ["finger-splint"], null],
    ["mouldable", ["mouldable-splint"], null],
  ],
  "Gauze swabs": [
    ["5 x 5 cm", ["gauze-pad", "gauze-nonsterile"], [50, 50]],
    ["10 x 10 cm", ["gauze-pad", "gauze-nonsterile"], [100, 100]],
  ],
};
const HEADINGS: Readonly<Record<string, (name: string, n: number) => string>> = {
  capitals: (name) => name.toUpperCase(),
  "a colon": (name) => `${name}:`,
  plain: (name) => name,
  markup: (name) => `## ${name}`,
  stars: (name) => `**${name}**`,
  dashes: (name) => `-- ${name} --`,
  numbers: (name, n) => `${n}. ${name}`,
};
const ROWS: Readonly<Record<string, (sort: string, count: number) => string>> = {
  "a column, set in": (sort, n) => `  ${sort.padEnd(24)}${n}`,
  "a mark and a sign": (sort, n) => `- ${sort} x ${n}`,
  "a colon": (sort, n) => `${sort}: ${n}`,
  "the count first": (sort, n) => `${n} ${sort}`,
  brackets: (sort, n) => `${sort} (${n})`,
  bars: (sort, n) => `| ${sort} | ${n} |`,
  dots: (sort, n) => `${`${sort} `.padEnd(24, ".")} ${n}`,
};

describe("rows under headings, every way of writing with every other", () => {
  const random = randomFrom(71);
  for (const [heading, head] of Object.entries(HEADINGS))
    for (const [way, row] of Object.entries(ROWS))
      it(`${heading}, ${way}`, () => {
        const lines = ["FIRST AID BOX", ""];
        const listed = Object.entries(GROUPS).flatMap(([name, sorts], g) => {
          lines.push(head(name, g + 1));
          const told = sorts.map((sort) => {
            const count = 2 + Math.floor(random() * 10);
            lines.push(row(sort[0], count));
            return { sort, count, source: lines.length, name };
          });
          lines.push("");
          return told;
        });
        const { entries } = readCard(lines.join("\n"), words);
        for (const { sort, count, source, name } of listed) {
          const found = entries.filter((e) => e.source === source);
          const what = `${name}: ${sort[0]}`;
          expect(
            found.map((e) => [e.pieces, e.sizeMm]),
            what,
          ).to.deep.equal([[count, sort[2]]]);
          expect(sort[1], what).to.include(found[0]!.itemType);
        }
      });
});
