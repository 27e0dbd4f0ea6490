import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { expect } from "chai";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { applyTrial, applyTrials, type Trial } from "../../src/lib/core/whatIf/trial.ts";
import { CHANGE_LABEL, factorReasons } from "../../src/lib/words/factors.ts";
import { sieveLayout } from "../../src/lib/report/sieveLayout.ts";
import { SHIPPED_LISTS } from "../../src/lib/data/lists/index.ts";
import { auditFile, good, need, TODAY } from "./build.ts";

const file = auditFile(
  [
    need("pads", "medium-wound-pad", { quantity: { base: 4 } }),
    need("tq", "limb-tourniquet", { tier: "vital", access: "seconds" }),
  ],
  [
    good("1", "gauze-pad", 2, { condition: "failed" }),
    good("2", "elastic-loop-tourniquet", 1, { location: "bottom", expires: "2020-01" }),
  ],
);
const coverage = (...trials: Trial[]) =>
  audit(applyTrials(file, trials), TODAY, CATALOGUE).coverage!;

describe("what if", () => {
  it("starts at 5 · 0.7 · 0.5 of 8 for the late loop, nothing for failed pads", () => {
    // a tourniquet carries no date of its own, so a printed one that is past still counts nothing
    expect(audit(file, TODAY, CATALOGUE).coverage).to.equal(0);
    expect(coverage({ kind: "fresh", line: "2" })).to.be.closeTo((5 * 0.7 * 0.5) / 8, 1e-9);
  });
  it("sound pads give 3 · 2/4 of 8, two more all of it", () => {
    expect(coverage({ kind: "sound", line: "1" })).to.be.closeTo(1.5 / 8, 1e-9);
    expect(
      coverage({ kind: "sound", line: "1" }, { kind: "more", line: "1", pieces: 2 }),
    ).to.be.closeTo(3 / 8, 1e-9);
  });
  it("brings within reach, adds, takes out and changes the school", () => {
    expect(
      coverage({ kind: "fresh", line: "2" }, { kind: "within-reach", line: "2" }),
    ).to.be.closeTo((5 * 0.7) / 8, 1e-9);
    expect(
      coverage({ kind: "add", itemType: "windlass-tourniquet", pieces: 1, id: "n" }),
    ).to.be.closeTo(5 / 8, 1e-9);
    expect(
      coverage(
        { kind: "fresh", line: "2" },
        { kind: "school", rule: "devices", option: "protocol-only" },
      ),
    ).to.equal(0);
    expect(applyTrial(file, { kind: "out", line: "1" }).kit.lines.map((l) => l.id)).to.deep.equal([
      "2",
    ]);
  });
  it("changes nothing given to it", () => {
    const before = JSON.stringify(file);
    coverage({ kind: "sound", line: "1" }, { kind: "out", line: "2" });
    expect(JSON.stringify(file)).to.equal(before);
  });
});

describe("why a factor is what it is", () => {
  const a = audit(file, TODAY, CATALOGUE);
  const of = (i: number) =>
    factorReasons(a, a.needs[i]!.pairs[0]!).map((r) => `${r.factor} ${r.value} ${r.change}`);
  it("names every factor below 1 with where it is changed", () => {
    expect(of(0)).to.deep.equal(["sound 0 bench"]);
    expect(of(1)).to.deep.equal(["credit 0.7 list", "fresh 0 bench", "handy 0.5 bench"]);
    for (const r of factorReasons(a, a.needs[1]!.pairs[0]!))
      expect(CHANGE_LABEL[r.change]).to.be.a("string");
  });
  it("says what is only taken on trust", () => {
    const trusted = audit(
      auditFile([need("n", "medium-wound-pad")], [{ id: "1", itemType: "gauze-pad", counted: 1 }]),
      TODAY,
      CATALOGUE,
    );
    expect(factorReasons(trusted, trusted.needs[0]!.pairs[0]!).map((r) => r.text)).to.deep.equal([
      "not inspected: taken as sound in the upper figure",
      "no date read: taken as good in the upper figure",
    ]);
  });
});

describe("the picture of the sieve", () => {
  const list = SHIPPED_LISTS.find((l) => l.id === "remote-party")!;
  const many = Array.from({ length: 3 }, (_, k) =>
    list.needs.map((n) => ({ ...n, id: `${n.id}-${k}`, when: undefined })),
  )
    .flat()
    .slice(0, 120);
  const a = audit(auditFile(many, []), TODAY, CATALOGUE);
  it("draws 120 needs, none over another, none outside", () => {
    const l = sieveLayout(a, 900);
    expect(l.grains).to.have.length(120);
    for (const g of l.grains) {
      expect(g.x - g.r).to.be.at.least(l.left - 8);
      expect(g.x + g.r).to.be.at.most(l.width);
      expect(g.y + g.r).to.be.at.most(l.height);
    }
    for (const [i, g] of l.grains.entries())
      for (const h of l.grains.slice(i + 1))
        expect(Math.hypot(g.x - h.x, g.y - h.y), `${g.index} ${h.index}`).to.be.at.least(
          (g.r + h.r) * 0.85,
        );
  });
  it("draws one category alone, or some needs only", () => {
    const burns = sieveLayout(a, 380, { categories: ["burns"] });
    expect(burns.categories.map((c) => c.id)).to.deep.equal(["burns"]);
    expect(burns.grains.length).to.equal(
      a.context.needs.filter((n) => n.category === "burns").length,
    );
    expect(sieveLayout(a, 900, { keep: (i) => i === 3 }).grains.map((g) => g.index)).to.deep.equal([
      3,
    ]);
  });
});
