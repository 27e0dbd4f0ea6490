import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** A thing that is named whole is read, and counted, alike however its count is written beside it. */

const words = vocabularyOf(NAMED_CATALOGUE);
/** The line between two others of a list. */
const readAmong = (line: string) => {
  const { entries, claimedPieces } = readCard(`3 triangular bandages\n${line}\n1 whistle`, words);
  const own = entries.filter((e) => e.source === 2);
  return { own: own.map((e) => [e.itemType, e.pieces]), claimedPieces };
};

const FORMS: readonly ((name: string, count: number) => string)[] = [
  (name, count) => `${count} x ${name}`,
  (name, count) => `${name} (${count})`,
  (name, count) => `${count} ${name.toLowerCase()}`,
  (name, count) => `${name}, ${count}`,
  (name, count) => `- ${name} x${count}`,
  (name, count) => `${name}: ${count}`,
  (name, count) => `${name} ....... ${count}`,
  (name, count) => `${name} - ${count}`,
  (name, count) => `${name}\t${count}`,
  (name, count) => `${name} ${count}`,
  (name, count) => `${name} = ${count}`,
  (name, count) => `${count} off ${name}`,
];
/** Of one digit and of two; gloves are counted singly unless pairs are said. */
const COUNTS = [4, 16];
const piecesOf = (id: string, count: number) => (id.endsWith("gloves") ? count / 2 : count);

describe("a name of the catalogue, however it is counted", () => {
  // What all of it lies in is no item of its own.
  const types = [...NAMED_CATALOGUE.types.values()].filter(({ id }) => id !== "container");
  for (const form of FORMS)
    it(form("Name", 4), () => {
      const wrong = types.flatMap(({ id, label }) =>
        COUNTS.flatMap((count) => {
          const { own } = readAmong(form(label, count));
          const is = JSON.stringify(own);
          return is === JSON.stringify([[id, piecesOf(id, count)]])
            ? []
            : `${label} ${count}: ${is}`;
        }),
      );
      expect(wrong).to.deep.equal([]);
    });
});

describe("what has no name here is asked about, where it is counted", () => {
  for (const [line, count] of [
    ["3 x TK", 3],
    ["3 x NS 0.9%", 3],
    ["restock card x4", 4],
    ["contact glue (4)", 4],
    ["note paper, 4 pcs", 4],
    ["2 x lost filling repair", 2],
  ] as const)
    it(line, () => expect(readAmong(line).own).to.deep.equal([[null, count]]));
  for (const line of ["Delivery note 448", "Stock check: 4", "Contact number 112", "Report no 4"])
    it(`“${line}” counts nothing`, () => expect(readAmong(line).own).to.deep.equal([]));
});

describe("a thing that begins as a note or an absence does", () => {
  for (const [line, type] of [
    ["observation chart 4", "casualty-card"],
    ["short-stretch bandage: 4", "elastic-bandage"],
    ["Sharps box 4", "sharps-box"],
  ] as const)
    it(line, () => expect(readAmong(line).own).to.deep.equal([[type, 4]]));
});

describe("a thing counted in pieces below the first item states no total", () => {
  for (const line of ["limb tourniquet, 15 pcs", "red bag, 4 pcs", "mending kit, 4 pcs"])
    it(line, () => {
      const { own, claimedPieces } = readAmong(line);
      expect(own.map(([, pieces]) => pieces)).to.deep.equal([Number(/\d+/.exec(line))]);
      expect(claimedPieces).to.equal(null);
    });
  it("where most are counted so, none does", () => {
    const card = "Plasters, 20 pcs\nRed bag, 40 pcs\nWound pads, 6 pcs\nOlive kit, 12 pcs";
    const { claimedPieces, entries } = readCard(card, words);
    expect(claimedPieces).to.equal(null);
    expect(entries.map((e) => e.pieces)).to.deep.equal([20, 40, 6, 12]);
  });
});
