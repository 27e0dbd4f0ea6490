import { expect } from "chai";
import { strengthsPlainly } from "../../src/lib/core/card/strengths.ts";
import { entriesOf } from "./cardReading.ts";

describe("how strong a medicine is does not count it", () => {
  for (const [line, read] of [
    ["Paracetamol 500 3 x 12", "paracetamol 36 null"],
    ["Ibuprofen 200, strip of 6, 3 left", "ibuprofen 3 null"],
    ["Aspirin 300 24s", "aspirin 24 null"],
    ["12 paracetamol 500 tabs", "paracetamol 12 null"],
    ["Paracetamol tab 500: 2 x 10's", "paracetamol 20 null"],
    ["4 sachets of burn gel, 3,5 g", "burn-gel-sachet 4 null"],
    ["Povidone iodine 4x10%60ml", "iodine-solution 4 null"],
  ] as const)
    it(line, () => expect(entriesOf(line)).to.deep.equal([`1 ${read}`]));

  it("alone behind the name the number may count, as may others than those it is made in", () => {
    for (const line of ["Paracetamol 500", "Paracetamol 24, 2 left", "Burn gel,3,5 g,exp 2027"])
      expect(strengthsPlainly(line)).to.equal(line);
  });
});
