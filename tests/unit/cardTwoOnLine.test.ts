import { expect } from "chai";
import { confidenceOf, entriesOf } from "./cardReading.ts";

const reads = (line: string, ...entries: readonly string[]) =>
  it(line, () => expect(entriesOf(line)).to.deep.equal(entries.map((entry) => `1 ${entry}`)));

describe("two on a line, each with its count", () => {
  // A crepe has one width, so the number before it counts: 3 in are 76 mm, 6 in 152.
  reads('2 x 3" crepe, 1 x 6" crepe', "elastic-bandage 2 [76]", "elastic-bandage 1 [152]");
  reads("Eyewash 2 x 500 ml (plus 10 x 20 ml pods)", "eyewash 2 null", "eyewash 10 null");
  reads("Eyewash 2 x 500 ml, 10 x 20 ml pods", "eyewash 2 null", "eyewash 10 null");
  reads("AED 1, spare pads 1 set", "aed 1 null", "aed-pads 1 null");
  reads("Scissors/tweezers: 1 of each", "small-scissors 1 null", "tweezers-fine 1 null");
  // 2 cards of 5 are 10 strips, one of 3 are 3.
  reads(
    "Closure strips narrow 2 cards of 5; wide 1 card of 3",
    "closure-strips 10 null",
    "closure-strips 3 null",
  );
  reads('Tape 1/2" (2) / 1" (1)', "medical-tape 2 [13]", "medical-tape 1 [25]");
});

describe("a number that may count or measure", () => {
  it("4 x 10 cm gauze pads: four of ten, or of four by ten; the reader asks", () =>
    expect(confidenceOf("4 x 10 cm gauze pads")[0]).to.be.below(0.9));
  it("10 x 10 cm is a size", () =>
    expect(entriesOf("10 x 10 cm gauze pads")).to.deep.equal(["1 gauze-pad 1 [100,100]"]));
});

describe("where some of them lie takes nothing away", () => {
  reads("Hand gel 50 ml: 3 (2 in lid)", "hand-sanitiser 3 null");
  reads("Slings 3 (1 in car)", "triangular-bandage 3 null");
});

describe("what is left of packs, and what went", () => {
  it("behind boxes that are ticked: of 60 there are 41 left", () =>
    expect(entriesOf("Plasters, assorted, box of 60     [x]   [x]  41 left")).to.deep.equal([
      "1 adhesive-strip 41 null",
    ]));
  it("a bag of 200, half: 100, and the reader asks", () => {
    expect(entriesOf("Cotton buds (bag 200) 1 bag, half")).to.deep.equal([
      "1 cotton-swab 100 null",
    ]);
    expect(confidenceOf("Cotton buds (bag 200) 1 bag, half")[0]).to.be.below(0.9);
  });
  it("into the bin, or none in brackets: not there", () => {
    expect(entriesOf("Antiseptic cream, tube, 2019 -> bin")).to.deep.equal([]);
    expect(entriesOf("one face shield (0)")).to.deep.equal([]);
  });
});

describe("prices behind @", () => {
  // 2 at 450 come to 900, 4 at 100 to 400.
  it("are no counts", () =>
    expect(
      entriesOf(
        [
          '2 CREPE BDG 4"            @ 450          900.00',
          "4 PLSTR STRP 10S          @ 100          400.00",
          "1 TWEEZERS                @ 250          250.00",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "1 elastic-bandage 2 [102]",
      "2 adhesive-strip 40 null",
      "3 tweezers-fine 1 null",
    ]));
});

describe("places over what lies there", () => {
  it("AED cabinet heads what is in it, and is none", () =>
    expect(entriesOf("Plasters 4\nAED cabinet\nAED 1, shears 1, gloves 2 pr")).to.deep.equal([
      "1 adhesive-strip 4 null",
      "3 aed 1 null",
      "3 trauma-shears 1 null",
      "3 disposable-gloves 2 null",
    ]));
});
