import { expect } from "chai";
import { entriesOf } from "./cardReading.ts";

describe("two lists side by side, in whatever words", () => {
  it("parted by one column of blanks", () =>
    expect(
      entriesOf(
        [
          "Cupboard                                  Van",
          "plasters 40, wipes 20                     plasters 20",
          "2 x crepe 10cm, 1 x crepe 7.5cm           2 x crepe 10cm",
          "gloves: 5 pr M, 5 pr L                    gloves: 3 pr L",
          "scissors                                  scissors, tweezers",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 adhesive-strip 40 null",
      "2 antiseptic-wipe 20 null",
      "2 adhesive-strip 20 null",
      "3 elastic-bandage 2 [100]",
      "3 elastic-bandage 1 [75]",
      "3 elastic-bandage 2 [100]",
      "4 disposable-gloves 5 null",
      "4 disposable-gloves 5 null",
      "4 disposable-gloves 3 null",
      "5 small-scissors 1 null",
      "5 small-scissors 1 null",
      "5 tweezers-fine 1 null",
    ]));
  it("parted by a bar; what the lists lie in is no thing", () =>
    expect(
      entriesOf(
        [
          "BAG A                     | BAG B",
          "Wipes x 10, plasters x 12 | Wipes x 10",
          "Sling                     | Sling x 2, pins x 6",
          "Scissors x 1              | Torch x 1",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "2 antiseptic-wipe 10 null",
      "2 adhesive-strip 12 null",
      "2 antiseptic-wipe 10 null",
      "3 triangular-bandage 1 null",
      "3 triangular-bandage 2 null",
      "3 safety-pin 6 null",
      "4 small-scissors 1 null",
      "4 torch 1 null",
    ]));
  it("a table with remarks on the right stays one", () =>
    expect(
      entriesOf(
        [
          "Plasters 40          under the lid",
          "Eye pads 2           beside the pens",
          "Crepe bandage 3      ok",
          "Sling 2              washed",
        ].join("\n"),
      ),
    ).to.deep.equal([
      "1 adhesive-strip 40 null",
      "2 eye-pad 2 null",
      "3 elastic-bandage 3 null",
      "4 triangular-bandage 2 null",
    ]));
});
