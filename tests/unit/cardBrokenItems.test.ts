import { expect } from "chai";
import { randomFrom } from "../../bench/planCases.ts";
import { itemsWhole } from "../../src/lib/core/card/brokenItems.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** Things that go on below: whole on their first line in every layout, and what only looks like it. */

const words = vocabularyOf(NAMED_CATALOGUE);
const whole = (...lines: string[]) => itemsWhole(lines);

describe("things that go on below", () => {
  it("behind a list's number, up to their count", () =>
    expect(
      whole(
        "1) Eye pads, sterile, in a paper - 4",
        "2) Hydrogel burns dressing, sterile,",
        "   in foil, 10 x 10 cm - 3",
        "3) Foil blankets - 2",
        "4) Whistle - 1",
      ),
    ).to.deep.equal([
      "1) Eye pads, sterile, in a paper - 4",
      "2) Hydrogel burns dressing, sterile, in foil, 10 x 10 cm - 3",
      "",
      "3) Foil blankets - 2",
      "4) Whistle - 1",
    ]));
  it("where the edge broke a size, or left the count alone", () =>
    expect(
      whole(
        "- Crepe bandage, cotton, 10",
        "  cm x 4",
        "- Foil blankets, gold, big -",
        "  2",
        "- Eye pads x 4",
        "- Whistle x 1",
      ),
    ).to.deep.equal([
      "- Crepe bandage, cotton, 10 cm x 4",
      "",
      "- Foil blankets, gold, big - 2",
      "",
      "- Eye pads x 4",
      "- Whistle x 1",
    ]));
  it("in a column, their count on either line", () =>
    expect(
      whole(
        "Triangular bandages, non-    4",
        "woven, sterile",
        "Eye pads                     2",
        "Scissors, stainless, blunt",
        "and sharp                    1",
        "Whistle                      1",
      ),
    ).to.deep.equal([
      "Triangular bandages, non- woven, sterile\t4",
      "",
      "Eye pads                     2",
      "Scissors, stainless, blunt and sharp\t1",
      "",
      "Whistle                      1",
    ]));
  it("under headings, behind letters, their whole name longer than its column", () => {
    const card = [
      "Item                                                   Quantity",
      "a)  Individually wrapped sterile adhesive dressings,",
      "    assorted sizes                                     20",
      "b)  Sterile eye pads                                   2",
      "c)  Safety pins                                        6",
      "d)  Resuscitation face shield                          1",
    ].join("\n");
    expect(
      readCard(card, words).entries.map((e) => [e.source, e.itemType, e.pieces]),
    ).to.deep.equal([
      [2, "adhesive-strip", 20],
      [4, "eye-pad", 2],
      [5, "safety-pin", 6],
      [6, "face-shield", 1],
    ]);
  });

  const AS_THEY_ARE: Readonly<Record<string, readonly string[]>> = {
    "the next word had room above": [
      "1) Eye pads - 4",
      "sterile",
      "2) Triangular bandages, non-woven - 3",
      "3) Foil blankets - 2",
      "4) Whistle - 1",
    ],
    "things begin with small letters": [
      "eye pads x 4",
      "foil blankets, gold x 2",
      "assorted plasters",
      "whistle x 1",
      "wipes x 10",
      "safety pins x 6",
    ],
    "a heading over several that are set in": [
      "Sprains and strains",
      "  Instant cold packs  2",
      "  Crepe bandages      4",
      "  Triangular bandages 2",
      "  Eye pads            2",
    ],
    "each has its own count": [
      "- Eye pads, sterile, large x 4",
      "(small ones) x 2",
      "- Foil blankets x 2",
      "- Whistle x 1",
      "- Wipes x 10",
    ],
    "two columns of their own": [
      "Eye pads, sterile    Drawer",
      "item                 No.",
      "Whistle              1",
      "Torch                1",
      "Scissors             1",
      "Tweezers             1",
    ],
    "too few things are counted": [
      "Dear all, this is what we found in the box",
      "when we looked at it on Sunday, and what",
      "we would like to have in it by the spring:",
      "Eye pads - 4",
    ],
  };
  for (const [name, lines] of Object.entries(AS_THEY_ARE))
    it(`not where ${name}`, () => expect(whole(...lines)).to.deep.equal(lines));

  it("leave as many lines as there were, in a card of a single form over and over", () => {
    const lines = Array.from({ length: 9000 }, (_, i) => (i % 3 === 0 ? "1) abc def" : "  x y (2"));
    expect(itemsWhole(lines)).to.have.length(9000);
  });
});

const THINGS: readonly (readonly [string, string])[] = [
  ["Low adherent dressing, sterile, individually wrapped, 10 x 10 cm", "non-adherent-pad"],
  ["Triangular bandage, non-woven, disposable, 90 x 127 cm", "triangular-bandage"],
  ["Crepe bandage, cotton, washable, 10 cm x 4.5 m", "elastic-bandage"],
  ["Resuscitation face shield with one-way valve", "face-shield"],
  ["Instant cold pack, single use, large", "cold-pack"],
  ["Foil blanket, adult size, silver and gold", "foil-blanket"],
  ["Microporous tape, hypoallergenic, 2.5 cm x 5 m", "medical-tape"],
  ["Trauma shears, stainless steel, 18 cm", "trauma-shears"],
  ["Alcohol free cleansing wipes, individually wrapped", "antiseptic-wipe"],
  ["Safety pins, assorted sizes, nickel plated", "safety-pin"],
];
/** A text broken at a width as pages are, the first line behind its mark. */
function wrapped(text: string, width: number, first: string, others: string): string[] {
  const lines = [first];
  for (const word of text.split(" ")) {
    const line = lines.at(-1)!;
    const isEmpty = lines.length === 1 ? line === first : line === others;
    if (!isEmpty && line.length + 1 + word.length > width) lines.push(others + word);
    else lines[lines.length - 1] = line + (isEmpty ? "" : " ") + word;
  }
  return lines;
}
const inColumn = (lines: string[], count: number, width: number, at: number): string[] =>
  lines.map((line, i) => (i === at ? `${line.padEnd(width)}   ${count}` : line));
type Lay = (name: string, count: number, number: number, width: number) => string[];
const LAYOUTS: Readonly<Record<string, Lay>> = {
  "numbered, set in": (name, n, i, w) => wrapped(`${name} - ${n}`, w, `${i}) `, "   "),
  "numbered, flush": (name, n, i, w) => wrapped(`${name} - ${n}`, w, `${i}. `, ""),
  "marked, the count first": (name, n, _, w) => wrapped(`${n} ${name}`, w, "- ", "  "),
  "marked, the count last": (name, n, _, w) => wrapped(`${name} (${n})`, w, "* ", "  "),
  "count and sign": (name, n, _, w) => wrapped(`${n} x ${name}`, w, "", "    "),
  "a colon": (name, n, _, w) => wrapped(`${name}: ${n}`, w, "", "  "),
  "a column, on the first line": (name, n, _, w) => inColumn(wrapped(name, w, "", "  "), n, w, 0),
  "a column, on the last line": (name, n, _, w) => {
    const lines = wrapped(name, w, "", "");
    return inColumn(lines, n, w, lines.length - 1);
  },
  "a column of numbers before": (name, n, i, w) => {
    const lines = wrapped(name, w, String(i).padEnd(4), "    ");
    return inColumn(lines, n, w, lines.length - 1);
  },
};
/** Of a hundred things so many may be read otherwise: what a broken line is stays a guess. */
const MOST_LOST = 0.05;

describe("things that go on below, in every layout", () => {
  for (const [name, lay] of Object.entries(LAYOUTS))
    it(name, () => {
      const random = randomFrom(70);
      let lost = 0;
      let all = 0;
      for (const width of [30, 36, 44])
        for (let turn = 0; turn < 4; turn++) {
          const things = THINGS.map((thing) => ({
            thing,
            at: random(),
            count: 2 + Math.floor(random() * 12),
          }));
          things.sort((a, b) => a.at - b.at);
          const lines = ["FIRST AID BOX", ""];
          const starts = things.map(({ thing, count }, i) => {
            lines.push(...lay(thing[0], count, i + 1, width));
            return lines.length;
          });
          const { entries } = readCard(lines.join("\n"), words);
          things.forEach(({ thing, count }, i) => {
            const from = i === 0 ? 3 : starts[i - 1]! + 1;
            const found = entries.filter((e) => e.source >= from && e.source <= starts[i]!);
            all++;
            const [entry] = found;
            if (
              found.length !== 1 ||
              entry!.source !== from ||
              entry!.pieces !== count ||
              entry!.itemType !== thing[1]
            )
              lost++;
          });
        }
      expect(lost / all).to.be.at.most(MOST_LOST);
    });
});
