import { expect } from "chai";
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
