import { expect } from "chai";
import { rephrase } from "../../src/lib/core/card/phrases.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** What only looks like what is left of a pack, or like a year. */

describe("no part of a pack", () => {
  it("more than it holds", () =>
    expect(rephrase("box of 40 plasters, 60 inside")).to.contain("box of 40"));
  it("more than there were", () =>
    expect(rephrase("20 plasters, 24 here")).to.contain("20 plasters"));
});

describe("numbers like years", () => {
  const pieces = (line: string) =>
    readCard(line, vocabularyOf(NAMED_CATALOGUE)).entries.map((e) => e.pieces);
  it("count with a word for it behind", () =>
    expect(pieces("cotton buds 2020 pcs")).to.deep.equal([2020]));
  it("count nothing alone", () => expect(pieces("antiseptic cream 2029")).to.deep.equal([1]));
  it("count where no kit lasts so long", () =>
    expect(pieces("plasters (250)")).to.deep.equal([250]));
});

describe("said of some of them, or of when", () => {
  const read = (line: string) =>
    readCard(`4 eye pads\n${line}\n2 whistles`, vocabularyOf(NAMED_CATALOGUE))
      .entries.filter((e) => e.source === 2)
      .map((e) => [e.itemType, e.pieces]);
  for (const [line, ...read_] of [
    ["two crepe bandages one of them wide", ["elastic-bandage", 2]],
    ["1 eyewash - expired 08/26, replace", ["eyewash", 1]],
    ["the box of plasters is open, I'd say six left", ["adhesive-strip", 6]],
    [
      "bandages there's two triangular and one elastic",
      ["triangular-bandage", 2],
      ["elastic-bandage", 1],
    ],
    [
      "a dozen plasters plus two of those knuckle plasters",
      ["adhesive-strip", 12],
      ["adhesive-knuckle", 2],
    ],
  ] as const)
    it(line, () => expect(read(line)).to.deep.equal(read_));
});
