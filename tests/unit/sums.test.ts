import { expect } from "chai";
import { dressings } from "../../src/lib/core/calculators/dressings.ts";
import { irrigation } from "../../src/lib/core/calculators/irrigation.ts";
import { tablets } from "../../src/lib/core/calculators/tablets.ts";
import { tape } from "../../src/lib/core/calculators/tape.ts";
import { wraps } from "../../src/lib/core/calculators/wraps.ts";

const brief = { people: 8, days: 3, hoursToCare: 26, tallestCm: 188 };
const step = (sum: { steps: readonly { code: string; value: number }[] }, code: string) =>
  sum.steps.find((s) => s.code === code)!.value;

describe("the sums", () => {
  it("wraps a leg of 188 cm, foot and all: 1,165.6 mm / (100 · 0.5) = 23.31 turns · 387.28 mm = 9.03 m, three bandages of 4.5 m", () => {
    const sum = wraps({ limb: "leg", limbs: 1, widthMm: 100, lengthMm: 4500, overlap: 0.5 }, brief);
    expect(step(sum, "turns")).to.be.closeTo(23.312, 1e-9);
    expect(step(sum, "used")).to.be.closeTo(9028.27136, 1e-6);
    expect(sum.amount).to.equal(3);
  });
  it("takes 8 to 11 m for a long leg, and one bandage for a child's arm", () => {
    for (const tallestCm of [182, 190, 200])
      expect(
        step(
          wraps(
            { limb: "leg", limbs: 1, widthMm: 100, lengthMm: 4500, overlap: 0.5 },
            { ...brief, tallestCm },
          ),
          "used",
        ),
      ).to.be.within(8000, 11_000);
    const arm = { limb: "arm", limbs: 1, widthMm: 100, lengthMm: 4500, overlap: 0.5 } as const;
    expect(wraps(arm, { ...brief, tallestCm: 120 }).amount).to.equal(1);
  });
  it("goes by a measured girth where there is one, and says when the height is assumed", () => {
    const input = { limb: "leg", limbs: 2, widthMm: 100, lengthMm: 4500, overlap: 0.5 } as const;
    // 190 cm: 1,178 mm / 50 = 23.56 turns · 600 mm = 14.136 m: four a leg, eight for two
    const sum = wraps({ ...input, girthMm: 600 }, { people: 1, days: 1, hoursToCare: 0 });
    expect(sum.amount).to.equal(8);
    expect(sum.assumed.map((a) => a.code)).to.include("height-assumed");
  });
  it("gives metres where the job is counted in metres: two legs of 9.03 m, 19 m in whole ones", () => {
    const sum = wraps(
      { limb: "leg", limbs: 2, widthMm: 100, lengthMm: 4500, overlap: 0.5 },
      brief,
      true,
    );
    expect(sum.amount).to.equal(19);
  });
  it("changes 3 wounds every 12 h for 26 h: twice more, 9 dressings", () => {
    const sum = dressings({ wounds: 3, everyH: 12 }, brief);
    expect(sum.amount).to.equal(9);
    expect(sum.quantity).to.deep.equal({ base: 3, redressEveryH: 12 });
  });
  it("tapes a 10 cm pad with 4 · (10 + 5) = 60 cm, 9 dressings 5.4 m, 6 m in whole metres", () => {
    const sum = tape({ wounds: 3, everyH: 12, padSideMm: 100 }, brief);
    expect(step(sum, "tape-a-dressing")).to.equal(600);
    expect(step(sum, "tape-used")).to.equal(5400);
    expect(sum.amount).to.equal(6);
  });
  it("flushes two wounds of 4 cm with 50 ml a cm: 400 ml", () => {
    expect(irrigation({ wounds: 2, lengthMm: 40, mlPerCm: 50 }, brief).amount).to.equal(400);
  });
  it("gives a quarter of 8 people 4 doses for 3 days: 24, and never more than the label", () => {
    expect(tablets({ share: 0.25, perDay: 4, labelMost: 4 }, brief).amount).to.equal(24);
    expect(tablets({ share: 0.25, perDay: 8, labelMost: 4 }, brief).amount).to.equal(24);
  });
});
