import { expect } from "chai";
import { withoutAsides } from "../../src/lib/core/card/asides.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** So many of a thing, in any form, and how many of them went or are left: every form with every way to say it. */

const words = vocabularyOf(NAMED_CATALOGUE);
const read = (line: string, before = "Box\n2 whistles", after = "3 triangular bandages") => {
  const card = [before, line, after].join("\n");
  const source = before.split("\n").length + 1;
  return readCard(card, words).entries.filter((e) => e.source === source);
};
const said = (line: string): string[] => read(line).map((e) => `${e.itemType} ${e.pieces}`);

const FORMS = [
  ...["5 N", "5 x N", "5x N", "five N", "5 pcs N"],
  ...["N 5", "N x5", "N x 5", "N: 5", "N - 5", "N, 5", "N (5)", "N = 5", "N ........ 5", "N\t5"],
  ...["N x five"],
];
const NAMES = [
  ["eye pads", "eye-pad"],
  ["sterile gauze pads 10 x 10 cm", "gauze-pad"],
  ["eye wash 500 ml", "eyewash"],
] as const;
/** What is said of one of five. */
const FOUR_ARE_LEFT = [
  ...["(1 used)", ", 1 used", " - 1 used", " – one used", "(used 1)", ", used one"],
  ...["(one gone)", "(1 lost)", ", 1 lost", "(1 used, gone)", "(1 binned)", "(1 thrown away)"],
  ...["(-1)", " less 1", " minus one", "(1 taken)", "(1 given away)", "(1 of them used on Sat)"],
  ...["(4 left)", ", 4 left", "(only 4 left)", "(4 there)", " now 4", "(now 4)"],
];
/** Five are there, whatever state one of them is in. */
const FIVE_ARE_THERE = ["(1 torn)", "(one torn)", "(1 expired)", "(1 short)"];
const lineOf = (form: string, name: string, remark: string): string =>
  form.replace("N", name) + (/^[\s,]/.test(remark) ? "" : " ") + remark;

describe("how many of so many went", () => {
  for (const [remarks, left] of [
    [FOUR_ARE_LEFT, 4],
    [FIVE_ARE_THERE, 5],
  ] as const)
    for (const remark of remarks)
      it(`five of them ${remark.trim()}`, () => {
        for (const form of FORMS)
          for (const [name, type] of NAMES) {
            const line = lineOf(form, name, remark);
            expect(said(line), line).to.deep.equal([`${type} ${left}`]);
          }
      });

  it("is asked where they are missing, since they may have been among them or not", () => {
    for (const form of FORMS)
      for (const remark of ["(1 missing)", ", one missing"]) {
        const line = lineOf(form, "eye pads", remark);
        const [entry] = read(line);
        expect([entry!.pieces, entry!.doubts.includes("number-left")], line).to.deep.equal([
          4,
          true,
        ]);
      }
  });

  const AS_IT_IS = [
    // More went than there were, or the number is of a size.
    ["5 eye pads (6 used)", "eye-pad 5"],
    ["1 eye pad, 4 x 4 cm (2 used)", "eye-pad 1"],
    // What is counted in pods is counted.
    ["Saline, ten pods, three used", "saline-ampoule 7"],
  ];
  for (const [line, reading] of AS_IT_IS)
    it(line!, () => expect(said(line!)).to.deep.equal([reading]));
  const PACKED = [
    ["2 boxes of 20 plasters (3 used)", "adhesive-strip 37 asked"],
    // A box, or a plaster: the fewer.
    ["2 boxes of 20 plasters (1 used)", "adhesive-strip 20 asked"],
    ["plasters, 2 packs of ten, 4 gone", "adhesive-strip 16 asked"],
  ];
  for (const [line, reading] of PACKED)
    it(line!, () =>
      expect(
        read(line!).map(
          (e) => `${e.itemType} ${e.pieces} ${e.confidence >= 0.9 ? "sure" : "asked"}`,
        ),
      ).to.deep.equal([reading]),
    );
  it("counts no side of a size", () =>
    expect(said("Gauze pads 10 x 10 (2 used)").join()).to.not.match(/80|8$/));
});

describe("what a table's remark says went", () => {
  const heading = "Item\tQty\tRemarks\nWhistle\t2\t\nEye pads\t3\t";
  const after = "Torch\t1\t";
  const ROWS = [
    ["Foil blankets\t5\t1 used on Sat", "foil-blanket 4 asked"],
    ["Slings\t4\t1 missing", "triangular-bandage 3 asked"],
    ["Burn dressings\t3\t1 gone, order", "burn-gel-dressing 2 asked"],
    ["Cold packs\t6\t2 used at drill, 4 left", "cold-pack 4 asked"],
    ["Cold packs (1 used)\t6\t", "cold-pack 5 asked"],
    ["Foil blankets\t5\t1 torn", "foil-blanket 5 sure"],
    ["Foil blankets\t5\tin the lid", "foil-blanket 5 sure"],
  ];
  for (const [row, reading] of ROWS)
    it(row!.replaceAll("\t", " | "), () =>
      expect(
        read(row!, heading, after).map(
          (e) => `${e.itemType} ${e.pieces} ${e.confidence >= 0.9 ? "sure" : "asked"}`,
        ),
      ).to.deep.equal([reading]),
    );
});

describe("what is said of a thing amid a sentence", () => {
  const GO = [
    ["six wipes - two look dried out - and a roll of tape", "six wipes and a roll of tape"],
    ["two dressings (all in date) and two eye pads", "two dressings and two eye pads"],
    ["one blanket – torn at a corner –, two pins", "one blanket, two pins"],
    ["four slings, six wipes - in date -", "four slings, six wipes"],
  ];
  for (const [line, plain] of GO)
    it(line!, () => expect(withoutAsides([line!])).to.deep.equal([plain]));
  const STAY = [
    // It names or counts, says that the thing went, or ends the line.
    "six wipes - with a torch - and a roll of tape",
    "six wipes (10 x 10 cm) and a roll of tape",
    "six wipes (gone) and a roll of tape",
    "a roll of tape and six wipes (in date)",
    "eye pads - large - 4",
  ];
  for (const line of STAY) it(line, () => expect(withoutAsides([line])).to.deep.equal([line]));
  it("leaves a paragraph whole", () => {
    const card = [
      "In the top tray there are twenty plasters, six antiseptic wipes - two look dried out - and a roll of",
      "tape. Under it lie four triangular bandages, two large and three medium wound dressings - all in date -",
      "and two eye pads. The lid holds three pairs of gloves, one foil blanket (torn at a corner) and a pair of",
      "blunt scissors, and there is one cold pack.",
    ].join("\n");
    expect(
      readCard(card, words).entries.map((e) => `${e.source} ${e.itemType} ${e.pieces}`),
    ).to.deep.equal([
      ...["1 adhesive-strip 20", "1 antiseptic-wipe 6", "1 medical-tape 1"],
      ...["2 triangular-bandage 4", "2 bandaged-dressing 2", "2 bandaged-dressing 3"],
      ...["3 eye-pad 2", "3 disposable-gloves 3", "3 foil-blanket 1", "3 small-scissors 1"],
      "4 cold-pack 1",
    ]);
  });
});
