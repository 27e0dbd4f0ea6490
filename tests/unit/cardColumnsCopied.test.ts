import { expect } from "chai";
import { cleanLines } from "../../src/lib/core/card/cleanLines.ts";
import { countsBelowNames } from "../../src/lib/core/card/columnsBelow.ts";
import { columnsApart } from "../../src/lib/core/card/columnsByRows.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

/** Tables and lists as they look once they were copied: columns closed up, or one below the other, or with dots between. */

const vocabulary = vocabularyOf(NAMED_CATALOGUE);
const read = (lines: readonly string[]): string[] =>
  readCard(lines.join("\n"), vocabulary).entries.map(
    (e) => `${e.source} ${e.itemType} ${e.pieces}`,
  );

describe("what a copy does to columns", () => {
  const HELD = ["2 eye-pad 3", "3 gauze-pad 9", "4 triangular-bandage 4", "5 safety-pin 8"];
  const cases: readonly (readonly [says: string, lines: readonly string[]])[] = [
    [
      "closes them up under headings of several words",
      [
        "S/N Description Amount needed Amount seen Best before",
        "1 Eye pads 4 3 05/2028",
        "2 Gauze pads 10 x 10 12 9 05/2028",
        "3 Triangular bandages 4 4 N/A",
        "4 Safety pins 12 8 N/A",
      ],
    ],
    [
      "leaves a remark behind the values",
      [
        "Thing Should have Quantity on hand Exp Remarks",
        "Eye pads 4 3 - ok",
        "Gauze pads 10 x 10 12 9 05/2028 order more",
        "Triangular bandages 4 4 n/a in lid",
        "Safety pins 12 8 - -",
      ],
    ],
    [
      "leaves codes before the names",
      [
        "Stock no. Equipment Checked qty Par",
        "FA1068 Eye pads 3 4",
        "FA1064 Gauze pads 10 x 10 9 12",
        "FA1546 Triangular bandages 4 4",
        "FA1322 Safety pins 8 12",
      ],
    ],
  ];
  for (const [says, lines] of cases) it(says, () => expect(read(lines)).to.deep.equal(HELD));

  it("gives the column of names, and below it that of their counts", () => {
    const lines = [
      "Item",
      "Eye pads",
      "Gauze pads",
      "Slings",
      "Safety pins",
      "Qty",
      "3",
      "9",
      "4",
      "8",
    ];
    expect(read(lines)).to.deep.equal(HELD);
  });
  it("gives names and counts that no heading parts, where a title stands over them", () => {
    const lines = [
      "Box, hall",
      "",
      "Eye pads",
      "Gauze pads",
      "Slings",
      "Safety pins",
      "3",
      "9",
      "4",
      "8",
    ];
    expect(read(lines)).to.deep.equal([
      "3 eye-pad 3",
      "4 gauze-pad 9",
      "5 triangular-bandage 4",
      "6 safety-pin 8",
    ]);
  });
  it("gives no counts to more names than there are", () => {
    const lines = [
      "Eye pads",
      "Gauze pads",
      "Slings",
      "Safety pins",
      "Whistle",
      "3",
      "9",
      "4",
      "8",
    ];
    expect(read(lines)).to.include("1 eye-pad 1");
  });
  it("puts dots between two things, each with its count", () => {
    const lines = [
      "30 Plasters ........  5 Eye pads",
      "10 Wipes .......  2 Slings",
      "1 Whistle ..................  6 Safety pins",
    ];
    expect(read(lines)).to.deep.equal([
      ...["1 adhesive-strip 30", "1 eye-pad 5", "2 antiseptic-wipe 10"],
      ...["2 triangular-bandage 2", "3 whistle 1", "3 safety-pin 6"],
    ]);
  });
  it("a column of codes under what heads names elsewhere names nothing", () => {
    const lines = [
      "Material;Short text;Unit;Stock;Min",
      "30001121;DRESSING,EYE,STERILE;EA;6;4",
      "30001131;BANDAGE,TRIANGULAR;EA;8;8",
      "30001200;BLANKET,FOIL,ADULT;EA;7;5",
    ];
    expect(read(lines)).to.deep.equal([
      "2 eye-pad 6",
      "3 triangular-bandage 8",
      "4 foil-blanket 7",
    ]);
  });
  it("a row of a table that says that a thing is not there heads no other table", () => {
    const lines = [
      "Item                          Y/N    No.   Comment",
      "Plasters                      Y      15",
      "Wipes                         Y      4     opened",
      "Eye pads                      N      -     ordered",
      "Triangular bandages           Y      2",
      "Foil blanket                  Y      3",
    ];
    expect(read(lines)).to.deep.equal([
      ...["2 adhesive-strip 15", "3 antiseptic-wipe 4", "5 triangular-bandage 2"],
      "6 foil-blanket 3",
    ]);
  });
});

describe("what is no closed-up table", () => {
  const ROWS = ["Eye pads 4 3", "Slings 12 9", "Foil blankets 4 4", "Safety pins 12 8"];
  const stays = (lines: readonly string[]) => expect(columnsApart(lines)).to.deep.equal(lines);
  it("rows under a sentence", () => stays(["These were on the shelf again", ...ROWS]));
  it("rows under headings of which none counts", () =>
    stays([
      "Item Price Weight",
      "Eye pads 1.20 40",
      "Slings 2.00 60",
      "Whistle 1.00 9",
      "Tape 3.10 80",
    ]));
  it("three rows", () => stays(["Item Min Held", ...ROWS.slice(0, 3)]));
});

describe("a closed-up table", () => {
  const headed = (lines: readonly string[]) => columnsApart(lines)[0]!.split(/\s{2,}/);
  it("has headings as they are said whole", () =>
    expect(
      headed([
        "What Req'd Checked qty Exp Status",
        "Eye pads 4 3 05/2028 ok then",
        "Slings 12 9 - order more",
        "Foil blankets 4 4 - in lid",
        "Safety pins 12 8 - in lid",
      ]),
    ).to.deep.equal(["What", "Req'd", "Checked qty", "Exp", "Status"]));
  it("has a number and a code before its names, or neither", () =>
    expect(
      headed([
        "No. Code Item Held Par",
        "1 FA1068 Eye pads 3 4",
        "2 FA1064 Slings 9 12",
        "3 FA1546 Foil blankets 4 4",
        "4 FA1322 Safety pins 8 12",
      ]),
    ).to.deep.equal(["No.", "Code", "Item", "Held", "Par"]));
  it("ends where its rows have no number any more", () => {
    const read = columnsApart([
      "No. Item Held Par",
      ...["1 Eye pads 3 4", "2 Slings 9 12", "3 Foil blankets 4 4", "4 Safety pins 8 12"],
      "Seals used 41 42",
    ]);
    expect(read.at(-1)).to.equal("Seals used 41 42");
    expect(read[4]).to.match(/^4\s{2,}Safety pins\s{2,}8\s{2,}12$/);
  });
  it("keeps a day that nobody wrote apart from a remark that nobody made", () => {
    const [, first] = columnsApart([
      "Item Min Held Exp Notes",
      "Eye pads 4 3 -",
      "Slings 12 9 05/2028 order more",
      "Foil blankets 4 4 06/2029 in lid",
      "Safety pins 12 8 - in lid",
    ]);
    expect(first!.split(/\s{2,}/)).to.deep.equal(["Eye pads", "4", "3", "-", "-"]);
  });
});

describe("what are no columns below each other", () => {
  const stays = (lines: readonly string[]) => expect(countsBelowNames(lines)).to.deep.equal(lines);
  it("three names and three numbers", () => stays(["Eye pads", "Slings", "Tape", "1", "2", "3"]));
  it("names that have their counts", () =>
    stays(["2 x eye pads", "3 x slings", "1 x tape", "4 x pins", "1", "2", "3", "4"]));
});

describe("one line alone tells no way of writing", () => {
  it("dots between two things", () =>
    expect(cleanLines("30 Plasters ........  5 Eye pads\nWhistle")[0]).to.contain("....."));
  it("what may be a section's number", () =>
    expect(cleanLines("B2  Plasters\nWhistle")[0]).to.contain("B2"));
});
