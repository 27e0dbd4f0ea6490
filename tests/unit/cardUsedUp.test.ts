import { expect } from "chai";
import { eachAlike } from "../../src/lib/core/card/eachAlike.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { USED_UP, usedUp } from "../../src/lib/core/card/usedUp.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** Said aloud: what was used of so many, several things counted alike, sides in words, and what only begins to speak. */

const words = vocabularyOf(NAMED_CATALOGUE);
const read = (line: string): string[] =>
  readCard(`right this is the van bag\n${line}\nthree whistles\nfour slings`, words)
    .entries.filter((e) => e.source === 2)
    .map((e) => [e.itemType, e.pieces, ...(e.sizeMm ?? [])].join(" "));

describe("what was used of so many", () => {
  for (const { name, example } of USED_UP)
    it(name, () => expect(usedUp(example[0])).to.equal(example[1]));

  const WAYS = [
    "had {k} ice packs, {u} used",
    "we had {k} ice packs but used {u}",
    "started with {k} ice packs, gave away {u}",
    "ice packs: had {k}, used {u} on the trip",
    "ice packs, started out with {k}, {u} given away",
    "{k} ice packs minus {u}",
    "{k} ice packs, threw out {u}",
    "a box of {k} ice packs with {u} gone",
  ];
  const NUMBERS = [
    ["10", "4", 6],
    ["twelve", "three", 9],
    ["twenty", "eleven", 9],
  ] as const;
  for (const way of WAYS)
    it(way, () => {
      for (const [k, u, left] of NUMBERS)
        for (const lead of ["", "so ", "okay we've got "]) {
          if (lead !== "" && /^(?:had|we|started|ice)/.test(way)) continue;
          const line = lead + way.replace("{k}", k).replace("{u}", u);
          expect(read(line), line).to.deep.equal([`cold-pack ${left}`]);
        }
    });

  const AS_IT_IS = [
    // More went than there were, none went, another thing went.
    "had two ice packs, three used",
    "ten ice packs, so cold",
    "had ten ice packs, used the door key",
    "10 ice packs used on trips",
  ];
  for (const line of AS_IT_IS) it(`is not: ${line}`, () => expect(usedUp(line)).to.equal(line));
});

describe("several things counted alike", () => {
  const THREE = ["three eye-pad", "three triangular-bandage", "three whistle"];
  for (const line of [
    "three each of eye pads, slings and whistles",
    "so three of each: eye pads, slings and whistles",
    "eye pads, slings and whistles, three each",
    "eye pads, slings & whistles (three of each)",
  ])
    it(line, () =>
      expect(read(line)).to.deep.equal(THREE.map((e) => e.replace("three", "").trim() + " 3")),
    );
  it("not one thing, nor words that name none", () => {
    const names = (text: string) => /pads|slings/.test(text);
    expect(eachAlike("two each of eye pads", names)).to.equal(null);
    expect(eachAlike("two each of eye pads and nonsense", names)).to.equal(null);
    expect(eachAlike("two packs of ten, one each", names)).to.equal(null);
  });
});

describe("said aloud", () => {
  const SIDES = [
    ["five by five", 50, 50],
    ["ten by ten centimetres", 100, 100],
    ["seven and a half by seven and a half", 75, 75],
    ["seven point five by seven point five", 75, 75],
    ["10 by 10", 100, 100],
  ] as const;
  for (const [said, ...size] of SIDES)
    it(`${said}, with packs before it and behind it`, () => {
      for (const line of [
        `gauze swabs, ${said}, three packs of five`,
        `gauze swabs, three packs of five, ${said}`,
        `gauze swabs ${said} three packs of five`,
        `three packs of five gauze swabs ${said}`,
      ])
        expect(read(line), line).to.deep.equal([`gauze-pad 15 ${size.join(" ")}`]);
    });
  for (const lead of ["so ", "right ", "okay ", "then ", "erm "])
    it(`"${lead}" before a name that is said first`, () => {
      expect(read(`${lead}tick removers we've got eight`)).to.deep.equal(["tick-tool 8"]);
      expect(read(`${lead}foil blankets there's three in the lid`)).to.deep.equal([
        "foil-blanket 3",
      ]);
    });
  it("what comes next is a thing, and when it is next looked at is none", () => {
    expect(read("Next up ten ice packs")).to.deep.equal(["cold-pack 10"]);
    expect(read("Next check: June")).to.deep.equal([]);
  });
});
