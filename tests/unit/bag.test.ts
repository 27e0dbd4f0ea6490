import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { expect } from "chai";
import { containerSchema } from "../../src/lib/core/model/container.ts";
import { fitInto } from "../../src/lib/core/bag/fit.ts";
import type { Line } from "../../src/lib/core/model/kit.ts";
import { good } from "./build.ts";

const box = (innerMm: [number, number, number]) => ({
  id: "c",
  name: "pocket",
  place: "pocket" as const,
  innerMm,
});
const fit = (innerMm: [number, number, number], ...lines: Line[]) =>
  fitInto(
    box(innerMm),
    lines.map((line) => ({ line, type: CATALOGUE.types.get(line.itemType!) ?? null })),
  );

describe("will it go back in", () => {
  it("a rigid thing may lie across: the space diagonal of 150 × 80 × 60 is 180 mm", () => {
    // √(150² + 80² + 60²) = √32 500 = 180.3
    expect(
      fit([150, 80, 60], good("s", "trauma-shears", 1, { sizeMm: [180] })).misfits,
    ).to.deep.equal([]);
    expect(
      fit([150, 80, 60], good("s", "trauma-shears", 1, { sizeMm: [185] })).misfits,
    ).to.deep.equal([{ code: "too-long", line: "s", lengthMm: 185, roomMm: 180 }]);
  });
  it("a seal that goes in only folded is flagged; one without a size is not judged", () => {
    const seal = (sizeMm?: number[]) => good("x", "vented-chest-seal", 1, sizeMm ? { sizeMm } : {});
    expect(fit([160, 150, 30], seal([150, 150])).misfits).to.deep.equal([]);
    expect(fit([160, 140, 30], seal([150, 150])).misfits).to.deep.equal([
      { code: "folded", line: "x", sidesMm: [150, 150], roomMm: [140, 160] },
    ]);
    expect(fit([160, 140, 30], seal()).unknown).to.deep.equal(["x"]);
  });
  it("soft things may be folded", () =>
    expect(
      fit([100, 80, 60], good("b", "triangular-bandage", 1, { sizeMm: [960, 1360] })).misfits,
    ).to.deep.equal([]));
  it("bulk against three quarters of the room: 1 l holds 750 ml, eight bandages of 90 ml fit, nine do not", () => {
    const eight = fit([100, 100, 100], good("b", "triangular-bandage", 8));
    expect(eight.fill).to.be.closeTo(720 / 750, 1e-12);
    expect(eight.misfits).to.deep.equal([]);
    expect(fit([100, 100, 100], good("b", "triangular-bandage", 9)).misfits).to.deep.equal([
      { code: "too-full", neededMl: 810, roomMl: 750 },
    ]);
  });
  it("says nothing of a compartment that was not measured", () => {
    const unmeasured = fitInto({ id: "c", name: "", place: "outside" }, [
      { line: good("s", "rigid-splint"), type: CATALOGUE.types.get("rigid-splint")! },
    ]);
    expect(unmeasured).to.deep.include({ fill: null, misfits: [] });
  });
  it("a compartment without a name and a place is refused, and so is a measure below nothing", () => {
    expect(containerSchema.safeParse({ compartments: [{ id: "a" }] }).success).to.equal(false);
    expect(containerSchema.safeParse({ massG: -5 }).success).to.equal(false);
    expect(containerSchema.safeParse({ massG: 5 }).success).to.equal(true);
  });
});
