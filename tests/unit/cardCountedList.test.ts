import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** Several things on a line are read one by one, whatever stands between them, however they are counted, with the place before them or without. */

const words = vocabularyOf(NAMED_CATALOGUE);
const read = (lines: readonly string[]) =>
  readCard(["Kit bag layout", ...lines].join("\n"), words).entries.map((e) =>
    [e.source - 1, e.itemType, e.pieces, ...(e.sizeMm ?? [])].join(" "),
  );

const LINES = [
  [
    ["eye pads", "eye-pad", 3],
    ["crepe bandages 10 cm", "elastic-bandage", 2, 100],
    ["20 ml saline pods", "saline-ampoule", 6],
  ],
  [
    ["pocket mask", "pocket-mask", 1],
    ["foil blankets", "foil-blanket", 4],
  ],
  [
    ["whistles", "whistle", 5],
    ["burn dressings 10x10 cm", "burn-gel-dressing", 2, 100, 100],
    ["torch", "torch", 1],
    ["pairs of nitrile gloves", "nitrile-gloves", 7],
  ],
] as const;
const PLACES = ["Lid", "Side pocket", "Pouch A"];
const WHERE: readonly ((place: string) => string)[] = [
  () => "",
  (place) => `${place}: `,
  (place) => `${place.toUpperCase()}: `,
  (place) => `${place}:`.padEnd(12),
  (place) => `${place} – `,
  (place) => `In ${place.toLowerCase()}: `,
  (place) => `${place} has `,
];
const BETWEEN = [
  [", ", ", "],
  [", ", " and "],
  ["; ", "; "],
  [" + ", " + "],
  [" / ", " / "],
  [" · ", " · "],
  [", ", " & "],
] as const;
const FORMS: Readonly<Record<string, (name: string, count: number) => string>> = {
  "4 slings": (name, count) => `${count} ${name}`,
  "4 x slings": (name, count) => `${count} x ${name}`,
  "slings x4": (name, count) => `${name} x${count}`,
  "slings (4)": (name, count) => `${name} (${count})`,
  "slings 4": (name, count) => `${name} ${count}`,
  "slings: 4": (name, count) => `${name}: ${count}`,
};

describe("several counted things on a line", () => {
  for (const [name, form] of Object.entries(FORMS))
    for (const where of WHERE)
      it(`${where("Lid")}${name}`, () => {
        // "Lid has slings: 4": a colon that parts the place as well.
        if (name === "slings: 4" && where("Lid").includes(":")) return;
        for (const [between, last] of BETWEEN) {
          const lines = LINES.map((things, i) => {
            const said = things.map(([thing, , count]) => form(thing, count));
            return where(PLACES[i]!) + said.slice(0, -1).join(between) + last + said.at(-1)!;
          });
          expect(read(lines), lines[0]).to.deep.equal(
            LINES.flatMap((things, i) => things.map(([, ...told]) => [i + 1, ...told].join(" "))),
          );
        }
      });

  it("one of them by its name alone, behind the place", () =>
    expect(read(["Lid: 3 torches, face shield", "Main – whistle + 2 slings"])).to.deep.equal([
      ...["1 torch 3", "1 face-shield 1"],
      ...["2 whistle 1", "2 triangular-bandage 2"],
    ]));

  const NO_LISTS: readonly (readonly [line: string, ...entries: string[]])[] = [
    // What is used, wanted, not there.
    ["used today: 6 plasters, 1 ice pack"],
    ["Ordered and not yet here: 2 x torches, 1 x whistle"],
    // The same in other words, and more said of it.
    ["3 x conforming bandage 6 cm / gauze bandage", "1 roller-bandage 3 60"],
  ];
  for (const [line, ...entries] of NO_LISTS)
    it(`is none: ${line}`, () =>
      expect(
        read([line, "4 whistles", "2 slings"]).filter((e) => e.startsWith("1 ")),
      ).to.deep.equal(entries));
});
