import { typeLookup } from "../../src/lib/core/catalogue/catalogue.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { expect } from "chai";
import fc from "fast-check";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { briefEffect } from "../../src/lib/core/brief/briefEffect.ts";
import type { Brief } from "../../src/lib/core/model/brief.ts";
import type { Need } from "../../src/lib/core/model/list.ts";
import { conditionHolds } from "../../src/lib/core/reference/asked.ts";
import { combineLists } from "../../src/lib/core/reference/combineLists.ts";
import { compareLists, sameList } from "../../src/lib/core/reference/compareLists.ts";
import { matchNeeds } from "../../src/lib/core/reference/matchNeeds.ts";
import { requiredQuantity } from "../../src/lib/core/reference/quantity.ts";
import { stricterNeed } from "../../src/lib/core/reference/stricter.ts";
import { allSchools, schoolRange, schoolsEffect } from "../../src/lib/core/audit/schoolsEffect.ts";
import { effectiveCredit, specFactor } from "../../src/lib/core/sieve/real.ts";
import { schools } from "../../src/lib/core/model/houseRules.ts";
import { SHIPPED_LISTS } from "../../src/lib/data/lists/index.ts";
import { auditFile, good, need, TODAY } from "./build.ts";

const typeOf = typeLookup([], CATALOGUE);

/** Two that the stand-ins name, one of its own credit, one that does nothing here. */
const SOME_TYPES = ["gauze-nonsterile", "sanitary-pad", "gauze-pad", "torch"].map((id) =>
  CATALOGUE.types.get(id)!,
);
const list = (...needs: Need[]) => ({ id: "l", title: "l", needs });
const brief = (more: Partial<Brief> = {}): Brief => ({
  ...auditFile([], []).brief,
  ...more,
});

describe("matching the needs of two lists", () => {
  it("pairs by id first, then the first and second of a function in order", () => {
    const a = [need("g1", "gloves"), need("g2", "gloves")];
    const b = [need("g2", "gloves"), need("other", "gloves"), need("t", "tape")];
    expect(matchNeeds(a, b).map((m) => [m.a?.id, m.b?.id])).to.deep.equal([
      ["g1", "other"],
      ["g2", "g2"],
      [undefined, "t"],
    ]);
  });
  it("does not pair the same id for another function", () => {
    expect(matchNeeds([need("x", "tape")], [need("x", "gloves")])).to.have.length(2);
  });
});

describe("combining lists: the stricter rule wins", () => {
  const a = need("pads", "medium-wound-pad", {
    tier: "core",
    quantity: { base: 4, perPerson: 0.5, max: 20 },
    spec: { minSizeMm: [100, 75] },
    access: "minute",
  });
  const b = need("p", "medium-wound-pad", {
    tier: "vital",
    quantity: { base: 2, redressEveryH: 12, max: 30 },
    spec: { minSizeMm: [90, 90], sterile: true },
  });
  it("takes each part from the stricter side", () => {
    const both = stricterNeed(a, b, typeOf);
    expect(both).to.deep.include({
      id: "pads",
      tier: "vital",
      quantity: { base: 4, perPerson: 0.5, redressEveryH: 12, max: 30 },
      spec: { minSizeMm: [90, 100], sterile: true },
      access: "minute",
    });
  });
  it("says what the second list changed, and where each need comes from", () => {
    const got = combineLists(list(a, need("g", "gloves")), list(b, need("g", "tape")), typeOf);
    expect(got.map((o) => [o.need.id, o.from])).to.deep.equal([
      ["pads", "both"],
      ["g", "first"],
      ["g-2", "second"],
    ]);
    expect(got[0]!.changes).to.deep.equal([
      { field: "tier", direction: "stricter" },
      { field: "quantity", direction: "stricter" },
      { field: "spec", direction: "stricter" },
    ]);
  });
  it("drops a stand-in that only one list takes, and keeps the smaller credit of two", () => {
    const standIn = (credit: number) => ({ accept: [{ itemType: "tape-x", credit }] });
    const one = stricterNeed(need("a", "tape", standIn(0.8)), need("a", "tape"), typeOf);
    expect(one.accept).to.equal(undefined);
    const two = stricterNeed(
      need("a", "tape", standIn(0.8)),
      need("a", "tape", standIn(0.3)),
      typeOf,
    );
    expect(two.accept).to.deep.equal([{ itemType: "tape-x", credit: 0.3 }]);
  });
  it("asks wherever either list asks: saws or axes; always, where one has no condition", () => {
    const when = (activities: string[]) => ({ when: { activities } });
    const both = stricterNeed(
      need("a", "tape", when(["saws"])),
      need("a", "tape", when(["axes"])),
      typeOf,
    );
    expect(both.when).to.deep.equal({ activities: ["saws", "axes"] });
    const always = stricterNeed(need("a", "tape", when(["saws"])), need("a", "tape"), typeOf);
    expect(always.when).to.equal(undefined);
    // daysMin 3 with saws, against saws alone: saws alone is the wider one
    const wider = stricterNeed(
      need("a", "tape", { when: { activities: ["saws"], daysMin: 3 } }),
      need("a", "tape", when(["saws"])),
      typeOf,
    );
    expect(wider.when).to.deep.equal({ activities: ["saws"] });
  });

  const anyNeed = fc.record({
    tier: fc.constantFrom("vital" as const, "core" as const, "useful" as const),
    quantity: fc.record(
      {
        base: fc.integer({ min: 0, max: 20 }),
        perPerson: fc.integer({ min: 0, max: 8 }).map((n) => n / 4),
        perDay: fc.integer({ min: 0, max: 8 }).map((n) => n / 4),
        perPersonDay: fc.integer({ min: 0, max: 4 }).map((n) => n / 4),
        redressEveryH: fc.constantFrom(6, 8, 12),
        min: fc.integer({ min: 0, max: 10 }),
        max: fc.integer({ min: 10, max: 60 }),
      },
      { requiredKeys: [] },
    ),
    spec: fc.option(
      fc.record(
        {
          minSizeMm: fc.tuple(fc.integer({ min: 20, max: 200 }), fc.integer({ min: 20, max: 200 })),
          minWidthMm: fc.integer({ min: 10, max: 120 }),
          sterile: fc.boolean(),
        },
        { requiredKeys: [] },
      ),
      { nil: undefined },
    ),
    when: fc.option(
      fc.record(
        {
          activities: fc.uniqueArray(fc.constantFrom("saws", "axes", "sun"), { minLength: 1 }),
          daysMin: fc.integer({ min: 1, max: 5 }),
          peopleMin: fc.integer({ min: 1, max: 5 }),
        },
        { requiredKeys: [] },
      ),
      { nil: undefined },
    ),
    accept: fc.option(
      fc.uniqueArray(
        fc.record({
          itemType: fc.constantFrom("gauze-nonsterile", "sanitary-pad", "trauma-pad"),
          credit: fc.constantFrom(0, 0.3, 0.7, 1),
        }),
        { selector: (x) => x.itemType, minLength: 1 },
      ),
      { nil: undefined },
    ),
  });
  const clean = (n: object): Need =>
    need("n", "medium-wound-pad", JSON.parse(JSON.stringify(n)) as Partial<Need>);
  const anyBrief = fc.record({
    people: fc.integer({ min: 1, max: 30 }),
    days: fc.integer({ min: 1, max: 14 }),
    hoursToCare: fc.integer({ min: 0, max: 48 }),
    activities: fc.subarray(["saws", "axes", "sun"]),
  });

  it("is never looser than either side: asked as often, as many, as large, no stand-in worth more", () => {
    const rules = schools({});
    fc.assert(
      fc.property(anyNeed, anyNeed, anyBrief, (x, y, some) => {
        const [p, q] = [clean(x), clean(y)];
        const both = stricterNeed(p, q, typeOf);
        const b = brief(some);
        for (const one of [p, q]) {
          if (conditionHolds(one.when, b)) expect(conditionHolds(both.when, b)).to.equal(true);
          expect(requiredQuantity(both, b)).to.be.at.least(requiredQuantity(one, b));
          for (const type of SOME_TYPES) {
            const credit = (n: Need) =>
              effectiveCredit(type, n.function, n.accept, {
                rules,
                brief: b,
                catalogue: CATALOGUE,
              }).credit;
            expect(credit(both)).to.be.at.most(credit(one) + 1e-12);
          }
          const line = good("l", "gauze-pad", 1, { sizeMm: [60, 90] });
          const gauze = CATALOGUE.types.get("gauze-pad")!;
          expect(specFactor(line, gauze, both.spec).factor).to.be.at.most(
            specFactor(line, gauze, one.spec).factor + 1e-12,
          );
        }
      }),
      { numRuns: 400 },
    );
  });
  it("is as strict one way round as the other, and with itself changes nothing", () => {
    fc.assert(
      fc.property(anyNeed, anyNeed, (x, y) => {
        const [p, q] = [clean(x), clean(y)];
        const ab = list(stricterNeed(p, q, typeOf));
        const ba = list(stricterNeed(q, p, typeOf));
        expect(compareLists(ab, ba, typeOf).changed).to.deep.equal([]);
        expect(sameList(compareLists(list(p), list(p), typeOf))).to.equal(true);
      }),
      { numRuns: 300 },
    );
  });
});

describe("comparing lists", () => {
  it("tells added, dropped, stricter, looser and the same", () => {
    const a = list(
      need("g", "gloves", { quantity: { base: 2 } }),
      need("t", "tape", { access: "minute" }),
      need("s", "sling"),
      need("w", "write", { tier: "useful" }),
    );
    const b = list(
      need("g", "gloves", { quantity: { base: 3 } }),
      need("t", "tape"),
      need("w", "write", { tier: "useful" }),
      need("l", "light"),
    );
    const d = compareLists(a, b, typeOf);
    expect(d.added.map((n) => n.id)).to.deep.equal(["l"]);
    expect(d.dropped.map((n) => n.id)).to.deep.equal(["s"]);
    expect(d.changed.map((c) => [c.a.id, c.direction])).to.deep.equal([
      ["g", "stricter"],
      ["t", "looser"],
    ]);
    expect(d.same).to.equal(1);
    expect(d.reordered).to.equal(false);
  });
  it("calls a need that is stricter in one part and looser in another neither", () => {
    const d = compareLists(
      list(need("g", "gloves", { quantity: { base: 2 }, tier: "vital" })),
      list(need("g", "gloves", { quantity: { base: 3 }, tier: "core" })),
      typeOf,
    );
    expect(d.changed[0]!.direction).to.equal("other");
  });
  it("sees a new order", () => {
    const [x, y] = [need("g", "gloves"), need("t", "tape")];
    const d = compareLists(list(x, y), list(y, x), typeOf);
    expect(d.reordered).to.equal(true);
    expect(sameList(d)).to.equal(false);
  });
  it("the union of two shipped lists is stricter than, or the same as, each", () => {
    for (const first of SHIPPED_LISTS)
      for (const second of SHIPPED_LISTS) {
        if (first === second) continue;
        const union = {
          ...list(),
          needs: combineLists(first, second, typeOf).map((o) => o.need),
        };
        for (const one of [first, second]) {
          const d = compareLists(one, union, typeOf);
          expect(d.dropped, `${first.id} + ${second.id}`).to.deep.equal([]);
          for (const c of d.changed)
            expect(c.direction, `${first.id} + ${second.id}: ${c.a.id}`).to.equal("stricter");
        }
      }
  });
});

describe("what an answer of the brief changes", () => {
  // 2 + 1 a person and day: 2 people for 1 day ask 4, for 3 days 8.
  const needs = [
    need("plasters", "small-wound-cover", { quantity: { base: 2, perPersonDay: 1 } }),
    need("tq", "limb-tourniquet", { tier: "vital", when: { activities: ["saws"] } }),
    need("g", "gloves"),
  ];
  const now = brief({ people: 2 });
  it("gives each need from and to, and leaves out what stays", () => {
    expect(
      briefEffect(needs, {}, now, { ...now, days: 3 }, CATALOGUE).map((c) => [
        c.need.id,
        c.from,
        c.to,
      ]),
    ).to.deep.equal([["plasters", 4, 8]]);
  });
  it("shows a need that is newly asked as from nought, the weightiest first", () => {
    const then = { ...now, days: 2, activities: ["saws"] };
    expect(
      briefEffect(needs, {}, now, then, CATALOGUE).map((c) => [c.need.id, c.from, c.to]),
    ).to.deep.equal([
      ["tq", 0, 1],
      ["plasters", 4, 6],
    ]);
  });
});

describe("where the schools differ", () => {
  // Only an elastic loop for the tourniquet: credit 0.7, nothing under protocol-only.
  const file = auditFile(
    [
      need("tq", "limb-tourniquet", { tier: "vital" }),
      need("cut", "cut-clothing", { tier: "core" }),
    ],
    [good("1", "elastic-loop-tourniquet"), good("2", "heavy-scissors")],
  );
  const now = audit(file, TODAY, CATALOGUE);
  const effect = schoolsEffect(file, TODAY, now);
  const of = (rule: string, option: string) =>
    effect.find((e) => e.rule === rule && e.option === option)!;
  it("protocol-only takes the loop's 0.7 × 5 of 8, scissors give the missing 0.2 × 3 of 8", () => {
    expect(now.coverage).to.be.closeTo((0.7 * 5 + 0.8 * 3) / 8, 1e-9);
    expect(of("devices", "protocol-only").gain).to.be.closeTo((-0.7 * 5) / 8, 1e-9);
    expect(of("devices", "protocol-only").moved).to.deep.equal(["tq"]);
    expect(of("devices", "protocol-only").grade).to.equal("Not ready");
    expect(of("cutting", "scissors").gain).to.be.closeTo((0.2 * 3) / 8, 1e-9);
    expect(of("dates", "tiered").gain).to.equal(0);
  });
  it("marks the school followed", () => {
    expect(effect.filter((e) => e.followed).map((e) => e.option)).to.deep.equal([
      "balanced",
      "strict",
      "self-contained",
      "tolerant",
      "allow",
      "gate",
      "barrier",
      "shears",
      "list",
    ]);
  });
  it("the range over all 768 combinations holds every single verdict", () => {
    expect(allSchools()).to.have.length(768);
    const run = schoolRange(file, TODAY, CATALOGUE);
    let step = run.next();
    let steps = 0;
    while (!step.done) {
      steps++;
      step = run.next();
    }
    expect(steps).to.equal(768);
    const range = step.value!;
    for (const e of effect)
      expect(e.coverage!).to.be.within(range.least.coverage - 1e-9, range.most.coverage + 1e-9);
    expect(range.least.rules.devices).to.equal("protocol-only");
    expect(Object.values(range.grades).reduce((s, n) => s + n, 0)).to.equal(768);
  });
});
