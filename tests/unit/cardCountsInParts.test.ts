import { expect } from "chai";
import { countsInParts } from "../../src/lib/core/card/countsInParts.ts";
import { entriesOf } from "./cardReading.ts";

describe("one thing counted in parts, by where they lie or how they are", () => {
  for (const [line, read] of [
    ["Scissors: 1 at the desk, 1 in the drawer", "small-scissors 2 null"],
    ["eyewash bottles 500 ml, two on the wall, one spare", "eyewash 3 null"],
    ["Vet wrap, one purple and one orange.", "cohesive-wrap 2 null"],
    ["Crepe bandages 10 cm, two in the box and one in the van", "elastic-bandage 3 [100]"],
    ["Gauze 10x10 cm, 10 in the box, 5 in the bag, 2 loose", "gauze-pad 17 [100,100]"],
    ["Foil blankets (2 in the box, 1 in the car)", "foil-blanket 3 null"],
    ["Burn gel - kitchen 4 / van 6", "burn-gel-sachet 10 null"],
    ["Whistles 2x in the lid + 3x upstairs", "whistle 5 null"],
    ["Eye pads 2 (desk), 1 (site hut)", "eye-pad 3 null"],
    ["2 eye pads in the box and 1 in the bag", "eye-pad 3 null"],
    ["3 eye pads: 2 in the box, 1 in the car", "eye-pad 3 null"],
    ["Eye pads 4 (2 in boat, 2 ashore)", "eye-pad 4 null"],
    ["Eye wash 500 ml x 2 (1 at sink, 1 in kit)", "eyewash 2 null"],
    ["Face shields: two on lanyards, one in the pouch", "face-shield 3 null"],
    ["Scissors, one pair in the galley and another on deck", "small-scissors 2 null"],
    ["Safety pins, a dozen in the lid and six or so loose", "safety-pin 18 null"],
    ["Foil blankets: kit A 2, kit B 1", "foil-blanket 3 null"],
    ["Wipes: 12 plus a spare pack of 10", "antiseptic-wipe 22 null"],
  ] as const)
    it(`${line}: their sum`, () => expect(entriesOf(line)).to.deep.equal([`1 ${read}`]));

  it("packs with what each holds: 2 x 20 and 20, 14 and 40", () => {
    expect(entriesOf("Plasters: 2 boxes of 20 in the store, 1 box of 20 in the van")).to.deep.equal(
      ["1 adhesive-strip 60 null"],
    );
    expect(entriesOf("Plasters - fourteen loose and a box of forty")).to.deep.equal([
      "1 adhesive-strip 54 null",
    ]);
  });

  it("what lies in a box is no box of twenty: 2 x 20 and 5", () =>
    expect(entriesOf("Plasters: 2 boxes of 20 in the store, 5 in the box")).to.deep.equal([
      "1 adhesive-strip 45 null",
    ]));

  it("packs that nobody says the content of come to nothing that is known beside pieces", () => {
    const sum = (line: string) => countsInParts(line, { names: () => true, knows: () => false });
    const mixed = "Plasters: 2 boxes in the store, 1 in the van";
    expect(sum(mixed)).to.equal(mixed);
    expect(sum("Plasters: 2 packets upstairs and 1 packet in the bar")).to.equal(
      "Plasters: 3 packets",
    );
  });

  it("pairs stay pairs", () =>
    expect(
      entriesOf("Nitrile gloves - six pairs in the zip bag and two pairs loose"),
    ).to.deep.equal(["1 nitrile-gloves 8 null"]));

  it("clause by clause between semicolons", () =>
    expect(entriesOf("Whistles: 1 at the desk, 1 in the van; eye pads 4")).to.deep.equal([
      "1 whistle 2 null",
      "1 eye-pad 4 null",
    ]));

  it("what went is no part of them: 5 without 2", () =>
    expect(entriesOf("Gauze pads 5 in the kit, 2 used")).to.deep.equal(["1 gauze-pad 3 null"]));

  it("other things behind a colon are no parts", () =>
    expect(entriesOf("Dressings: 2 whistles, 1 torch, 4 eye pads")).to.deep.equal([
      "1 whistle 2 null",
      "1 torch 1 null",
      "1 eye-pad 4 null",
    ]));

  it("sorts stay sorts", () =>
    expect(entriesOf("Dressings: 3 large in the box, 1 small in the bag")).to.deep.equal([
      "1 bandaged-dressing 3 null",
      "1 bandaged-dressing 1 null",
    ]));

  it("one box of which 40 are left is no box and forty", () =>
    expect(entriesOf("gloves L - 1 box, 40 left")).to.deep.equal(["1 disposable-gloves 20 null"]));

  it("sides are no places", () =>
    expect(entriesOf("gauze, five packs of two, ten by ten")).to.deep.equal([
      "1 gauze-pad 10 [100,100]",
    ]));
});
