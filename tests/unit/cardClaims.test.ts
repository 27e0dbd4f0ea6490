import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { expect } from "chai";
import { roleOf } from "../../src/lib/core/card/headingRoles.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";

const LIST = "- 2 whistles\n- 3 x sterile gauze pads 10 x 10 cm\n- 1 foil blanket";
const claim = (title: string) =>
  readCard(`${title}\n${LIST}`, vocabularyOf(NAMED_CATALOGUE)).claimedPieces;
const under = (line: string) =>
  readCard(`Belt kit\n${LIST}\n${line}`, vocabularyOf(NAMED_CATALOGUE));

describe("the piece total that a card states", () => {
  for (const [title, claimed] of [
    ["TRAIL KIT, 84 PIECES", 84],
    ["Trail kit (84 pcs)", 84],
    ["84-piece trail kit", 84],
    ["Trail kit – 1,204 pieces", 1204],
    ["Trail kit: 84 items in all", 84],
    ["Contents: 84 pieces", 84],
    ["Trail kit 84 peices", 84],
    ["Travel set 31 parts", 31],
  ] as const)
    it(`is ${claimed} in “${title}”`, () => expect(claim(title)).to.equal(claimed));
  for (const title of [
    "Trail kit for up to 20 people",
    "Trail kit, £18.50",
    "Trail kit, 2 compartments",
    "Trail kit 2026",
    "Camp list (2 weeks, 24 kids)",
  ])
    it(`is not stated in “${title}”`, () => expect(claim(title)).to.equal(null));
  it("may stand in a total line at the foot, and is no money", () => {
    expect(under("Total: 84 pieces").claimedPieces).to.equal(84);
    expect(under("Total 42.00").claimedPieces).to.equal(null);
    expect(under("Total value £42").claimedPieces).to.equal(null);
  });
  it("stands on one line with the items it counts", () => {
    const { claimedPieces, entries } = readCard(
      "Wallet kit (28 pcs): 8 plasters; 4 antiseptic wipes; 2 safety pins",
      vocabularyOf(NAMED_CATALOGUE),
    );
    expect(claimedPieces).to.equal(28);
    expect(entries.map((e) => e.pieces)).to.deep.equal([8, 4, 2]);
  });
});

describe("lines that list nothing", () => {
  for (const line of [
    "Keep dry and out of the sun.",
    "Check all dates twice a year.",
    "Dimensions: 20 x 14 x 6 cm. Weight: 480 g",
    "Delivery in 2 to 3 working days",
    "Not supplied: eye wash, medicines",
    "Sold separately: tick card",
    "It weighs 120 g and fits in a waist belt.",
    "Last inspected: 12/04/2026   Sign: ______",
    "* COMPACT: fits in any glove box (8 x 5 x 2 in)",
    "https://example.org/kits/84",
    "Subtotal 12.50",
  ])
    it(`“${line}”`, () => expect(under(line).entries, line).to.have.length(3));
});

describe("what is there, and what is said of another thing", () => {
  const names = (line: string) =>
    under(line)
      .entries.slice(3)
      .map((e) => e.itemType);
  it("a headlamp without its batteries is there", () =>
    expect(names("- 1 headlamp (batteries not included)")).to.deep.equal(["torch"]));
  it("a whistle that is not included is not", () =>
    expect(names("- 1 whistle (not included)")).to.deep.equal([]));
  it("a tourniquet left at home is not", () =>
    expect(names("- I leave the tourniquet at home")).to.deep.equal([]));
  it("what is asked and denied is not", () =>
    expect(names("- tweezers? no, lost them")).to.deep.equal([]));
  it("what comes with a thing and has no count of its own is part of it", () => {
    expect(names("- 1 elastic bandage w/ clips")).to.deep.equal(["elastic-bandage"]);
    expect(names("- 1 pocket mask, w/ valve and case")).to.deep.equal(["pocket-mask"]);
  });
});

describe("corrections and counting, as people speak", () => {
  const spoken = (line: string) =>
    readCard(
      `okay here goes, the green bag\ntwo whistles\n${line}\nthree foil blankets\nthat's the lot`,
      vocabularyOf(NAMED_CATALOGUE),
    )
      .entries.slice(1, -1)
      .map((e) => [e.itemType, e.pieces]);
  for (const [line, type, pieces] of [
    ["four, no, five triangular bandages", "triangular-bandage", 5],
    ["three gauze pads, no, I tell a lie, two", "gauze-pad", 2],
    ["four pairs of nitrile gloves, no, sorry, three pairs", "nitrile-gloves", 3],
    ["four rehydration sachets, no, there's another, five", "rehydration-salts", 5],
    ["eight, nine, ten safety pins", "safety-pin", 10],
    ["plasters, the blue ones, thirty one by my count", "adhesive-strip", 31],
    ["medium dressings, there should be six, I count four", "bandaged-dressing", 4],
    ["gloves, three pairs, one's been opened", "disposable-gloves", 3],
    ["saline ampoules, five times twenty mil", "saline-ampoule", 5],
    ["two eyewash bottles, one's out of date", "eyewash", 2],
  ] as const)
    it(`“${line}” are ${pieces}`, () => expect(spoken(line)).to.deep.equal([[type, pieces]]));
  it("“and two bigger ones” are of the kind before, in another size", () => {
    const entries = readCard(
      "okay here goes\nthree conforming bandages, six centimetres by four metres\nand two bigger ones at eight centimetres\nthat's it",
      vocabularyOf(NAMED_CATALOGUE),
    ).entries;
    expect(entries.map((e) => [e.itemType, e.pieces, e.sizeMm])).to.deep.equal([
      ["roller-bandage", 3, [60, 4000]],
      ["roller-bandage", 2, [80]],
    ]);
  });
  it("where things lie is no thing", () => {
    expect(spoken("top layer, four gauze pads")).to.deep.equal([["gauze-pad", 4]]);
    const placed = readCard(
      "In the lid: 1 torch, 1 whistle\nIn the main bag: 2 foil blankets",
      vocabularyOf(NAMED_CATALOGUE),
    );
    expect(placed.entries.map((e) => e.itemType)).to.deep.equal([
      "torch",
      "whistle",
      "foil-blanket",
    ]);
  });
});

describe("headings of a table", () => {
  it("say what their columns hold, in many words", () => {
    const said = (...cells: string[]) => cells.map(roleOf);
    expect(said("Item", "Qty", "Size", "Unit", "Notes", "Price")).to.deep.equal([
      "text",
      "quantity",
      "size",
      "unit",
      "note",
      "skip",
    ]);
    expect(said("Pack of", "No. of packs", "Per pack", "Where", "Sum")).to.deep.equal([
      "unit",
      "quantity",
      "unit",
      "skip",
      "skip",
    ]);
    expect(said("Gear", "12 cm")).to.deep.equal([null, null]);
  });
  it("a remark that is a size is the size", () => {
    const { entries } = readCard(
      "item\tqty\tnote\nWound dressing medium\t6\t12 x 12 cm\nSafety pins\t4\tassorted",
      vocabularyOf(NAMED_CATALOGUE),
    );
    expect(entries.map((e) => e.sizeMm)).to.deep.equal([[120, 120], null]);
  });
});
