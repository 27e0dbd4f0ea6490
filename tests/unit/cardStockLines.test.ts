import { expect } from "chai";
import { heldIn } from "../../src/lib/core/card/heldIn.ts";
import { labelledCounts } from "../../src/lib/core/card/labelledCounts.ts";
import { matchType, vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { namesItem } from "../../src/lib/core/card/draft.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";
import { entriesOf } from "./cardReading.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);

describe("stock lines on which each number has its word", () => {
  /** Of fifty plasters twelve went out, of six slings one. */
  const LINES: readonly (readonly [
    string,
    (name: string, into: number, out: number, left: number) => string,
  ])[] = [
    ["in, out, left", (n, i, o, l) => `${n}     in ${i}   05.03.26   out ${o}   left ${l}`],
    ["with colons", (n, i, o, l) => `${n}: received: ${i}, issued: ${o}, balance: ${l}`],
    ["with signs", (n, i, o, l) => `${n} | opening=${i} | used=${o} | stock=${l}`],
    ["the word behind", (n, i, o, l) => `${n} - ${i} delivered, ${o} taken, ${l} on hand`],
    ["what is left to be worked out", (n, i, o) => `${n}\tbought ${i}\t12/03/26\tspent ${o}`],
    ["how many there should be", (n, i, _, l) => `${n} (par ${i}, held ${l})`],
    ["the same, turned round", (n, i, _, l) => `${n}: now ${l} / should be ${i}`],
  ];
  for (const [how, line] of LINES)
    it(`count what is left: ${how}`, () =>
      expect(
        entriesOf([line("Plasters", 50, 12, 38), line("Slings", 6, 1, 5)].join("\n")),
      ).to.deep.equal(["1 adhesive-strip 38 null", "2 triangular-bandage 5 null"]));

  it("leave a begun pack beside them to be read as one", () =>
    expect(
      entriesOf(
        "Slings: par 6, held 4\nEye pads: par 9, held 8\nPlasters PKT/100 £3.95 - about 60 left",
      ),
    ).to.deep.equal([
      "1 triangular-bandage 4 null",
      "2 eye-pad 8 null",
      "3 adhesive-strip 60 null",
    ]));

  for (const [why, lines] of [
    ["a pair alone may be a begun pack", ["Plasters, box of 20: left 8", "Slings 5"]],
    ["a size is none that came in", ["Roller gauze 4 in, 2 left", "Tape 1 in, 3 left"]],
    ["more is told", ["Plasters: in 50, left 38 and dry", "Slings: in 6, left 5 and dry"]],
  ] as const)
    it(`stay where ${why}`, () => expect(labelledCounts(lines)).to.deep.equal([...lines]));
});

describe("what a thing lies in", () => {
  const of = {
    names: (text: string) => namesItem(text, vocabulary),
    typeOf: (text: string) => matchType(text, vocabulary).type,
  };
  for (const line of [
    "Wall box / plasters 4",
    "Wall box: plasters 4",
    "Rucksack lid > plasters 4",
    "[Red tin] plasters 4",
    "(Tin 1) plasters 4",
    "plasters 4 @ wall box",
    "plasters 4 in the red tin",
    "plasters 4 - kitchen drawer",
  ])
    it(`is none of the things: ${line}`, () => expect(heldIn(line, of)).to.equal("plasters 4"));
  for (const [why, line] of [
    ["it is the thing", "First aid box, red, 1"],
    ["it is a pack", "box of 20 plasters"],
    ["it tells where some of them are", "Four slings, two of them in the blue pouch"],
    ["nothing is counted", "Wall box / plasters"],
    ["it stands in its column", "Wall box     plasters     4"],
  ])
    it(`stays where ${why}: ${line}`, () => expect(heldIn(line!, of)).to.equal(line));
  it("is no slip for a thing: a hut is not hot, a trailer no trainer", () =>
    expect(entriesOf("Hut: plasters 4\nTrailer: eye pads 2\nGalley: slings 3")).to.deep.equal([
      "1 adhesive-strip 4 null",
      "2 eye-pad 2 null",
      "3 triangular-bandage 3 null",
    ]));
});
