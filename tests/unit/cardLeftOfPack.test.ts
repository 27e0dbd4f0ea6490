import { expect } from "chai";
import { LEFT_PHRASES, leftOfPacks } from "../../src/lib/core/card/leftOfPack.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** What is left of a pack is counted, and what the pack held is not; in every way of saying it, in figures and words, alone and amid other things. */

const words = vocabularyOf(NAMED_CATALOGUE);

describe("what is left of a pack", () => {
  for (const { name, example } of LEFT_PHRASES)
    it(name, () => expect(leftOfPacks(example[0])).to.equal(example[1]));
  it("of so many, behind a stroke", () =>
    expect(leftOfPacks("eye pads 20/50, 2 whistles")).to.equal("eye pads 20, 2 whistles"));

  const LEFT_AS_IT_IS = [
    // Packs of fifty, a fraction, more than there were.
    "plasters 2/50",
    "tape 1/2",
    "plasters 60/50",
    // Another pack beside it.
    "antihistamine: 1 card of 7 + 1 of 4 left",
    // Nothing is left of anything.
    "plasters, left pocket",
    "six plasters in a box of twenty",
  ];
  for (const line of LEFT_AS_IT_IS)
    it(`is not: ${line}`, () => expect(leftOfPacks(line)).to.equal(line));

  const WAYS: readonly ((name: string, pack: string, left: string, held: string) => string)[] = [
    (n, p, a, m) => `${a} ${n} left from a ${p} of ${m}`,
    (n, p, a, m) => `${a} ${n} left out of a ${p} of ${m}`,
    (n, p, a, m) => `${a} ${n} left in the ${p} of ${m}`,
    (n, p, a, m) => `${a} left from a ${p} of ${m} ${n}`,
    (n, p, a, m) => `a ${p} of ${m} ${n}, ${a} left`,
    (n, p, a, m) => `${p} of ${m} ${n}, down to ${a}`,
    (n, p, a, m) => `${p} of ${m} ${n}, started, ${a} in it`,
    (n, _, a, m) => `${a} of the ${m} ${n} left`,
  ];
  const THINGS = [
    ["plasters", "adhesive-strip", "box"],
    ["antiseptic wipes", "antiseptic-wipe", "pack"],
    ["safety pins", "safety-pin", "card"],
  ] as const;
  const NUMBERS = [
    ["6", "20"],
    ["thirty-one", "fifty"],
    ["7", "a hundred"],
  ] as const;
  const VALUES: Readonly<Record<string, number>> = { "6": 6, "thirty-one": 31, "7": 7 };
  const AMID: readonly ((line: string) => string)[] = [
    (line) => line,
    (line) => `- ${line}`,
    (line) => `${line}, and two foil blankets`,
    (line) => `two foil blankets, ${line}`,
  ];
  WAYS.forEach((way, i) =>
    it(`in way ${i + 1}: ${way("plasters", "box", "6", "20")}`, () => {
      for (const [name, type, pack] of THINGS)
        for (const [left, held] of NUMBERS)
          for (const amid of AMID) {
            const line = amid(way(name, pack, left, held));
            const { entries } = readCard(`2 eye pads\n${line}\n1 torch`, words);
            const found = entries.filter((e) => e.source === 2 && e.itemType === type);
            expect(
              found.map((e) => e.pieces),
              line,
            ).to.deep.equal([VALUES[left]]);
          }
    }),
  );
});
