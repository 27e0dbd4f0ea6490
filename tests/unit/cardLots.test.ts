import { expect } from "chai";
import { withoutLot } from "../../src/lib/core/card/lotNumbers.ts";
import { entriesOf } from "./cardReading.ts";

describe("a lot counts nothing", () => {
  for (const lot of [
    "lot 23A117",
    "Lot-No. 412",
    "batch no. 0417",
    "Batch #20A877",
    "B.No. G114",
    "B/N: PC-14",
    "L/N PC-19",
    "Chargen-Nr. 715",
    "Ch.-B. 966-83",
    "Lote: PC-09",
    "lotto 94048",
    "n° lot GX2461T",
    "L: GX2461T",
    "(L) K791",
  ])
    it(lot, () => {
      for (const line of [
        `eye pads: 12, ${lot}`,
        `eye pads x 12 (${lot})`,
        `eye pads - 12 pcs / ${lot}`,
        `12 eye pads ${lot}, exp 02/27`,
        `eye pads (12), exp 02/27, ${lot}`,
      ])
        expect(entriesOf(line), line).to.deep.equal(["1 eye-pad 12 null"]);
    });

  for (const line of [
    "gloves L: 100",
    "a lot of plasters",
    "lot de 5 compresses",
    "lot 5",
    "box L 20",
  ])
    it(`is none: ${line}`, () => expect(withoutLot(line)).to.equal(line));

  it("cells beside it stay cells", () =>
    expect(withoutLot("Burn dressing    2    2    lot B77 - exp 11/27")).to.equal(
      "Burn dressing    2    2    - exp 11/27",
    ));

  it("no roll is 22 cm long: so many rolls", () =>
    expect(entriesOf("Crepe bandage 10 cm x 22 lot K927")).to.deep.equal([
      "1 elastic-bandage 22 [100]",
    ]));
});
