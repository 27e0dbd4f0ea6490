import { expect } from "chai";
import { carryCheck, isOver, roomToThickness } from "../../src/lib/core/bag/carryCheck.ts";
import { kitLoad } from "../../src/lib/core/bag/load.ts";
import type { AuditFile } from "../../src/lib/core/model/auditFile.ts";
import type { Brief } from "../../src/lib/core/model/brief.ts";
import type { Container } from "../../src/lib/core/model/container.ts";
import { keptToCarry } from "../../src/lib/core/plan/fitCarry.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { carryAfterText, carryText } from "../../src/lib/words/carryTexts.ts";
import { auditFile, good, need } from "./build.ts";
import { product, request } from "./planBuild.ts";

/** A pouch of 24 × 100 × 150 mm with an empty bag of 40 g and eight pads of 3 g. */
const pouch = (container: Container = {}, carry: Brief["carry"] = "pocket"): AuditFile => {
  const file = auditFile([need("p", "medium-wound-pad")], [good("p", "gauze-pad", 8)], {
    brief: { carry },
  });
  return {
    ...file,
    kit: {
      ...file.kit,
      container: { massG: 40, outerMm: [100, 24, 150], ...container },
    },
  };
};
const check = (file: AuditFile, addedMl = 0) => carryCheck(file, kitLoad(file, CATALOGUE), addedMl);
const answers = Object.fromEntries(check(pouch()).questions.map((q) => [q.id, true])) as Record<
  string,
  boolean
>;

describe("will it be carried", () => {
  it("holds thickness, width and weight against the place: 24 of 25 mm, 100 of 110, of 250 g", () => {
    const c = check(pouch());
    expect(c.place).to.equal("pocket");
    expect(c.findings.map((f) => [f.of, f.value, f.limit])).to.deep.equal([
      ["thickness", 24, 25],
      ["width", 100, 110],
      ["mass", kitLoad(pouch(), CATALOGUE).massG, 250],
    ]);
    expect(c.carried).to.equal("open");
  });
  it("is carried once all was tried and nothing speaks against it", () => {
    expect(check(pouch({ carried: { answers } })).carried).to.equal("yes");
    const seated = { ...answers, "either-hand-seated": false };
    const c = check(pouch({ carried: { answers: seated } }));
    expect(c.carried).to.equal("no");
    expect(carryText(c)).to.equal(
      "It may stay at home: not so: what must come out in seconds is reached by either hand, seated.",
    );
  });
  it("stays at home if it stayed there within the last two weeks", () => {
    const worn = [{ on: "2026-11-01", daysAtHome: 3, why: "digs in" }];
    expect(check(pouch({ carried: { answers, worn } })).carried).to.equal("no");
    const then = [...worn, { on: "2026-11-20", daysAtHome: 0 }];
    expect(check(pouch({ carried: { answers, worn: then } })).carried).to.equal("yes");
  });
  it("asks a wall for no thickness, and is open where the outside is not measured", () => {
    expect(check(pouch({}, "wall")).findings.map((f) => f.of)).to.deep.equal(["mass"]);
    const unmeasured = pouch({ carried: { answers } });
    delete unmeasured.kit.container!.outerMm;
    expect(check(unmeasured).carried).to.equal("open");
  });
  it("takes figures of one's own", () =>
    expect(
      check(pouch({ carried: { figures: { thicknessMm: 20 } } })).findings.map(isOver),
    ).to.deep.equal([true, false, false]));
  it("grows thicker by what a plan adds: 60 ml on 100 × 150 mm are 4 mm, 3 mm too thick", () => {
    const before = check(pouch());
    const after = check(pouch(), 60);
    expect(after.findings[0]!.value).to.be.closeTo(28, 1e-9);
    expect(carryAfterText(before, after)).to.equal(
      "The plan makes it 3 mm too thick for the pocket.",
    );
    expect(carryAfterText(after, after)).to.equal("");
  });
});

describe("a plan held to what is carried", () => {
  it("may add 15 ml until it is a millimetre thicker, and weighs 250 g at most", () => {
    expect(roomToThickness(pouch())).to.be.closeTo(15, 1e-9);
    const r = keptToCarry(request(pouch(), [product("x", "gauze-pad", 1, 1)]));
    expect(r.limits.massG).to.equal(250);
    expect(r.limits.volumeMl).to.be.closeTo(kitLoad(pouch(), CATALOGUE).volumeMl + 15, 1e-9);
  });
  it("keeps a stricter limit of the brief", () =>
    expect(
      keptToCarry(request(pouch(), [], { limits: { budget: null, massG: 100, volumeMl: 5 } }))
        .limits,
    ).to.deep.include({ massG: 100, volumeMl: 5 }));
});
