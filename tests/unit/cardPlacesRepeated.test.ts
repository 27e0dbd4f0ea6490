import { expect } from "chai";
import { entriesOf } from "./cardReading.ts";

describe("places that come again before a colon", () => {
  it("leave the rows below a heading as they would be without them", () =>
    expect(
      entriesOf(
        [
          "DRESSINGS",
          " harness pocket: gauze 4 x 4 in, 6",
          " landing box: gauze 4 x 4 in, 20",
          "GLOVES",
          " harness pocket: 1 pair",
          " landing box: 10 pairs, medium",
          "SPLINTS",
          " landing box: finger, 3",
          "BANDAGES",
          " landing box: triangular, 4",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 gauze-pad 6 [102,102]",
      "3 gauze-pad 20 [102,102]",
      "5 disposable-gloves 1 null",
      "6 disposable-gloves 10 null",
      "8 finger-splint 3 null",
      "10 triangular-bandage 4 null",
    ]));

  it("a number's word among them counts nothing: four is an oven in French", () =>
    expect(
      entriesOf(
        [
          "four : bande extensible 7 cm 3",
          "four : gel brûlure 10",
          "tiroir : ciseaux 1",
          "tiroir : compresses 10x10 12",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "1 roller-bandage 3 [70]",
      "2 burn-gel-sachet 10 null",
      "3 small-scissors 1 null",
      "4 gauze-pad 12 [100,100]",
    ]));

  it("names of things stay: each stands once", () =>
    expect(entriesOf("Plasters: 40\nTape: 2\nSlings: 4\nWhistle: 1")).to.deep.equal([
      "1 adhesive-strip 40 null",
      "2 medical-tape 2 null",
      "3 triangular-bandage 4 null",
      "4 whistle 1 null",
    ]));
});

describe("a sort of which there is none beside one that is counted", () => {
  it("is left out", () => {
    expect(entriesOf("Hydrophilic bandage 6 cm 2, 8 cm missing")).to.deep.equal([
      "1 roller-bandage 2 [60]",
    ]);
    expect(entriesOf("nitrile gloves L x6 pr, M x4 pr, no S")).to.deep.equal([
      "1 nitrile-gloves 6 null",
      "1 nitrile-gloves 4 null",
    ]);
  });
  it("struck through within a line: two, no longer three; a word of the name leaves the rest", () => {
    expect(entriesOf("Sterile dressings: med 6, lge ~~3~~ 2")).to.deep.equal([
      "1 bandaged-dressing 6 null",
      "1 bandaged-dressing 2 null",
    ]);
    expect(entriesOf("[x] ~~Small~~ Heavy shears 1")).to.deep.equal(["1 trauma-shears 1 null"]);
  });
  it("two things and their two counts behind a comma", () =>
    expect(entriesOf("tri bandage + pins, 2 and 6")).to.deep.equal([
      "1 triangular-bandage 2 null",
      "1 safety-pin 6 null",
    ]));
});
