import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { expect } from "chai";
import {
  compareKits,
  compareSchools,
  priceOfDifference,
  whyAhead,
  type Judge,
} from "../../src/lib/core/compare/compareKits.ts";
import { judgeSet, memberOf, setAudit } from "../../src/lib/core/compare/kitSet.ts";
import type { Line } from "../../src/lib/core/model/kit.ts";
import { PRICE_BOOK } from "../../src/lib/data/priceBook.ts";
import { auditFile, good, need, TODAY } from "./build.ts";

// Weights: tourniquet 5, pads 3, light 1.
const NEEDS = [
  need("tq", "limb-tourniquet", { tier: "vital" }),
  need("pads", "medium-wound-pad", { quantity: { base: 4 } }),
  need("light", "light", { tier: "useful" }),
];
const base = auditFile(NEEDS, []);
const JUDGE: Judge = { brief: base.brief, list: base.list, houseRules: {} };
const kit = (id: string, lines: readonly Line[], price?: number) => ({
  id,
  file: auditFile([], lines, price === undefined ? {} : { price }),
});
const bleeder = kit("b", [good("1", "windlass-tourniquet")], 30);
const dresser = kit("d", [good("1", "gauze-pad", 4), good("2", "torch")], 10);
const rows = compareKits([bleeder, dresser], JUDGE, TODAY, PRICE_BOOK, CATALOGUE);

describe("kits side by side", () => {
  it("are judged by one brief and list: 5/9 against 4/9", () => {
    expect(rows.map((r) => r.coverage)).to.deep.equal([5 / 9, 4 / 9]);
    expect(rows[0]!.categories.map((c) => [c.id, c.coverage, c.worst])).to.deep.equal([
      ["severe-bleeding", 1, null],
      ["everyday-wounds", 0, "here"],
      ["signal-records", 0, "here"],
    ]);
  });
  it("says by category why one is ahead, and the parts add up to the difference", () => {
    const why = whyAhead(rows[0]!, rows[1]!);
    expect(why.map((c) => c.id)).to.deep.equal([
      "severe-bleeding",
      "everyday-wounds",
      "signal-records",
    ]);
    expect(why.reduce((s, c) => s + c.points, 0)).to.be.closeTo(1 / 9, 1e-12);
    expect(why[0]!.points).to.be.closeTo(5 / 9, 1e-12);
  });
  it("prices the difference: 20 more for 11.1 points is 1.80 a point", () => {
    const d = priceOfDifference(rows[1]!, rows[0]!)!;
    expect(d.more).to.equal(20);
    expect(d.points).to.be.closeTo(100 / 9, 1e-9);
    expect(d.perPoint).to.be.closeTo(1.8, 1e-9);
    expect(priceOfDifference(rows[0]!, rows[1]!)!.perPoint).to.equal(null);
    const unpriced = compareKits([kit("u", [])], JUDGE, TODAY, PRICE_BOOK, CATALOGUE)[0]!;
    expect(priceOfDifference(unpriced, rows[0]!)).to.equal(null);
  });
  it("gives each under each school", () => {
    const loop = kit("l", [good("1", "elastic-loop-tourniquet")]);
    const [own] = compareSchools([loop], JUDGE, TODAY, CATALOGUE);
    const of = (option: string) => own!.verdicts.find((v) => v.option === option)!.coverage;
    expect(of("tolerant")).to.be.closeTo((5 * 0.7) / 9, 1e-9);
    expect(of("protocol-only")).to.equal(0);
  });
});

describe("kits that go out together", () => {
  const members = [
    { ...bleeder, count: 1 },
    { ...dresser, count: 1 },
  ];
  it("are judged as one, everything shared out once", () => {
    const set = judgeSet(members, JUDGE, TODAY, "both", CATALOGUE);
    expect(set.audit.coverage).to.be.closeTo(1, 1e-12);
    expect(set.needs.map((n) => n.from)).to.deep.equal([
      [{ member: "b", units: 1 }],
      [{ member: "d", units: 4 }],
      [{ member: "d", units: 1 }],
    ]);
    expect(set.twice).to.deep.equal([]);
    expect(set.nobody).to.deep.equal([]);
  });
  it("two halves make a whole: 2 pads here and 2 there", () => {
    const half = (id: string) => ({ ...kit(id, [good("1", "gauze-pad", 2)]), count: 1 });
    const set = judgeSet([half("x"), half("y")], JUDGE, TODAY, "halves", CATALOGUE);
    expect(set.needs[1]).to.deep.equal({
      need: "pads",
      value: 1,
      from: [
        { member: "x", units: 2 },
        { member: "y", units: 2 },
      ],
      metBy: [],
    });
    expect(set.nobody).to.deep.equal(["tq", "light"]);
  });
  it("a pouch each is carried twice, and brings its pieces as often", () => {
    const set = judgeSet([{ ...bleeder, count: 3 }], JUDGE, TODAY, "pouches", CATALOGUE);
    expect(set.twice).to.deep.equal(["tq"]);
    const file = setAudit([{ ...bleeder, count: 3 }], JUDGE, "pouches");
    expect(file.kit.lines[0]!.counted).to.equal(3);
    expect(file.kit.price).to.deep.equal({ amount: 90, currency: "EUR" });
    expect(memberOf(file.kit.lines[0]!.id)).to.equal("b");
  });
});
