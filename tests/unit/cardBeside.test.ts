import { expect } from "chai";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** Two lists side by side, each thing counted in its own form, and objects and tables as other programs write them. */

const words = vocabularyOf(NAMED_CATALOGUE);
const read = (card: string): string[] =>
  readCard(card, words).entries.map((e) =>
    [e.source, e.itemType, e.pieces, ...(e.sizeMm ?? [])].join(" "),
  );

const FORMS = [
  ...["5 N", "five N", "5 x N", "N 5", "N, five", "N, 5", "N x5", "N x five", "N: 5", "N (five)"],
  ...["N - 5", "N – five pieces", "five pieces of N", "N, 5 pcs", "a box of five N"],
];
const PAIRS = [
  ["eye pads", "Foil blankets", "eye-pad", "foil-blanket"],
  ["burn dressings", "triangular bandages", "burn-gel-dressing", "triangular-bandage"],
] as const;

describe("two lists side by side", () => {
  for (const form of FORMS)
    it(`${form}, beside every other form`, () => {
      for (const other of FORMS)
        for (const between of ["far", "\t", "   |   "]) {
          const lines = PAIRS.map(([left, right]) => {
            const first = form.replace("N", left);
            return (
              (between === "far" ? first.padEnd(36) : first + between) + other.replace("N", right)
            );
          });
          const card = ["Box of the shed", ...lines].join("\n");
          const expected = PAIRS.flatMap(([, , left, right], i) => [
            `${i + 2} ${left} 5`,
            `${i + 2} ${right} 5`,
          ]);
          expect(read(card), card).to.deep.equal(expected);
        }
    });
});

it("several sorts in a cell beside another are a line of their own", () =>
  expect(
    read(
      [
        "plasters: 20                 burn gel: 6",
        "eye pads: 2                  foil blankets: 3",
        "wound dressings: 2 M, 1 L    whistle: 1",
        "safety pins: 12              cold packs: 4",
      ].join("\n"),
    ).filter((entry) => entry.startsWith("3 ")),
  ).to.deep.equal(["3 bandaged-dressing 2", "3 bandaged-dressing 1", "3 whistle 1"]));

/** A thing and its count, in one cell or in two. */
const CELLS = ["3 x N", "N (3)", "N      3", "3   N", "N .... 3", "N = 3"];
const BEHIND = ["", "  ok", " ✓", ", exp 05/28", " (05/2028)", ", lot A77", "   $2.50"];
describe("two lists side by side with what stands behind each thing", () => {
  for (const form of CELLS)
    it(`${form}, whatever stands behind it`, () => {
      for (const behind of BEHIND)
        for (const between of [" | ", "\t", "        "]) {
          const things = ["eye pads", "crepe bandage 7.5 cm", "whistle", "safety pins"];
          const side = (name: string) => form.replace("N", name) + behind;
          const lines = [0, 1, 2, 3].map((i) => side(things[i]!) + between + side(things[3 - i]!));
          const told = ["eye-pad 3", "elastic-bandage 3 75", "whistle 3", "safety-pin 3"];
          expect(read(["BUS A      BUS B", ...lines].join("\n")), lines[0]).to.deep.equal(
            [0, 1, 2, 3].flatMap((i) => [`${i + 2} ${told[i]!}`, `${i + 2} ${told[3 - i]!}`]),
          );
        }
    });
});

describe("objects whose counts are said in words", () => {
  it("in one word, in several, and none", () => {
    const card = `[
 {"item":"Triangular bandage","qty":"four"},
 {"item":"Gloves, nitrile","qty":"five pairs"},
 {"item":"Safety pins","qty":"a dozen"},
 {"item":"Plasters","qty":"2 packs of 10"},
 {"item":"Tape","qty":"none"},
 {"item":"Whistle","qty":1}
]`;
    expect(read(card)).to.deep.equal([
      ...["2 triangular-bandage 4", "3 nitrile-gloves 5", "4 safety-pin 12", "5 adhesive-strip 20"],
      "7 whistle 1",
    ]);
  });
});

describe("a table under the kit's own name", () => {
  it("has its columns, though the name holds a number and rows end early", () => {
    const card = [
      "Raft kit 3 (drybag)\tmin\theld\tnotes",
      "Tri bandage\t4\t3\tok",
      "Abd pads 20x20cm\t2\t2",
      "Whistle\t10\t7",
    ].join("\n");
    expect(read(card)).to.deep.equal([
      "2 triangular-bandage 3",
      "3 abd-pad 2 200 200",
      "4 whistle 7",
    ]);
  });
});

describe("a comma of the name's own in a file with commas", () => {
  it("parts no cells where nobody put it in quotes", () => {
    const card = [
      "item,qty,place",
      "Eye pads,4,lid",
      "Burn dressings, 10 x 10 cm,9,lid",
      "Slings, calico,two packs of five,tray",
      "Whistle,1,lid",
    ].join("\n");
    expect(read(card)).to.deep.equal([
      ...["2 eye-pad 4", "3 burn-gel-dressing 9 100 100", "4 triangular-bandage 10", "5 whistle 1"],
    ]);
  });
});

describe("small things of a list", () => {
  const head = "Box\n2 whistles\n";
  const CASES = [
    ["conf bdg 7.5 - 3", "roller-bandage 3 75"],
    ["tape 2.5 x2", "medical-tape 2 25"],
    ["crepe bandage 7.5 x 4.5", "elastic-bandage 1 75 4500"],
    ["one pair of shears - n/a", "trauma-shears 1"],
    ["[~] Burn gel bottle, 120 ml", "burn-gel-sachet 1"],
    ["four triangular bandages, one pink", "triangular-bandage 4"],
    ["ten plasters lot number two two four", "adhesive-strip 10"],
    ["chest seal, vented, twin", "vented-chest-seal 2"],
    ["Burn dressings, 10 x 10 cm 2 packs of 9", "burn-gel-dressing 18 100 100"],
    ["Gauze pads 10 x 10 cm           1 box (5)", "gauze-pad 5 100 100"],
    ["eye pads (3 left), slings (2 left)", "eye-pad 3"],
  ];
  for (const [line, reading] of CASES)
    it(line!, () => expect(read(`${head}${line}\n3 torches`)[1]).to.equal(`3 ${reading}`));
  it("groups called after what happens", () =>
    expect(read("Cuts, from hive tools\n- tape 2\nSundry\n- torch 1\n- whistle 3")).to.deep.equal([
      "2 medical-tape 2",
      "4 torch 1",
      "5 whistle 3",
    ]));
  it("a title that says when it was counted", () =>
    expect(read("STUDIO FIRST AID - count of Nov 2\nfour eye pads\ntwo torches")).to.deep.equal([
      "2 eye-pad 4",
      "3 torch 2",
    ]));
  it("a quoted question that names nothing goes with no answer", () =>
    expect(
      read(
        "> What do we have for the tour?\n- 3 packs of 10 plasters\n> And lip balm?\n- 6 sticks",
      ),
    ).to.deep.equal(["2 adhesive-strip 30", "4 lip-balm 6"]));
});
