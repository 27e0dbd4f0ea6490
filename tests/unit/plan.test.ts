import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { expect } from "chai";
import fc from "fast-check";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { actionsOf } from "../../src/lib/core/plan/actions.ts";
import { boughtLine } from "../../src/lib/core/plan/candidates.ts";
import type { Solver } from "../../src/lib/core/plan/linearModel.ts";
import { plan } from "../../src/lib/core/plan/plan.ts";
import type { PlanRequest } from "../../src/lib/core/plan/request.ts";
import { NO_LIMITS } from "../../src/lib/core/plan/limits.ts";
import { planResult } from "../../src/lib/core/formats/planResult.ts";
import { PRICE_BOOK } from "../../src/lib/data/priceBook.ts";
import { auditFile, good, need, TODAY } from "./build.ts";
import { product, purchasesOf, realSolver, request, solved } from "./planBuild.ts";

let solver: Solver;
before(async () => {
  solver = await realSolver();
});
const solve = (r: PlanRequest) => solved(r, solver);
const bought = (r: PlanRequest) => purchasesOf(solve(r));

describe("cheapest that is Ready", () => {
  it("rounds to packs and takes the cheaper mix: 7 pads are 5 + 2 singles (3.20), not two fives (4.00)", () => {
    const file = auditFile([need("p", "medium-wound-pad", { quantity: { base: 7 } })], []);
    const r = request(
      file,
      [product("five", "gauze-pad", 5, 2), product("one", "gauze-pad", 1, 0.6)],
      { target: 1 },
    );
    expect(bought(r)).to.deep.equal(["1 five", "2 one"]);
    expect(solve(r).choice.price).to.equal(3.2);
  });
  it("gives a piece to one job only: one clotting gauze and a plain one (34), not two clotting ones (60)", () => {
    const file = auditFile([need("a", "wound-packing"), need("b", "haemostatic-packing")], []);
    const r = request(
      file,
      [product("both", "haemostatic-gauze", 1, 30), product("pack", "packing-gauze", 2, 4)],
      { target: 1 },
    );
    expect(bought(r)).to.deep.equal(["1 both", "1 pack"]);
  });
  it("moves and labels for nothing before it buys", () => {
    const file = auditFile(
      [need("t", "limb-tourniquet", { tier: "vital", access: "seconds" })],
      [good("a", "windlass-tourniquet", 1, { location: "bottom", findable: false })],
    );
    const outcome = solve(request(file, [product("tq", "windlass-tourniquet", 1, 27)]));
    expect(outcome.choice.purchases).to.deep.equal([]);
    expect(outcome.choice.moved).to.deep.equal(["a"]);
    expect(outcome.choice.after.grade).to.equal("Ready");
  });
  it("does not count on a vital need's line that the audit gives elsewhere", () => {
    // 500 ml for the vital eye need (0.01 a ml), 100 ml for the core wound need (0.03 a ml): the audit
    // fills the wound first, so 500 ml in the box leave the eye short although coverage would do.
    const needs = [
      need("eye", "eye-irrigation", { tier: "vital", quantity: { base: 500 } }),
      need("wound", "wound-irrigation", { quantity: { base: 100 } }),
      ...Array.from({ length: 9 }, (_, i) => need(`s${i}`, "sling")),
    ];
    const lines = [
      good("w", "saline-ampoule", 1, { volumeMl: 500 }),
      good("s", "triangular-bandage", 9),
    ];
    const file = auditFile(needs, lines);
    expect(audit(file, TODAY, CATALOGUE).grade).to.equal("Partial");
    const r = request(file, [product("saline", "saline-ampoule", 1, 3, { volumeMl: 50 })]);
    expect(bought(r)).to.deep.equal(["2 saline"]);
    expect(solve(r).choice.after.grade).to.equal("Ready");
  });
  it("buys a missing companion where that is cheaper than more of the thing", () => {
    const needs = [need("n", "airway-adjunct", { companions: ["airway-lubricant"] })];
    const file = auditFile(needs, [good("a", "nasal-airway", 1)], { brief: { skill: "advanced" } });
    expect(
      bought(
        request(
          file,
          [product("jelly", "lubricant-sachet", 1, 1), product("npa", "nasal-airway", 1, 8)],
          { target: 1 },
        ),
      ),
    ).to.deep.equal(["1 jelly"]);
  });
  it("never proposes what is for licensed use only", () => {
    const file = auditFile([need("s", "wound-suture", { tier: "vital" })], [], {
      brief: { skill: "licensed" },
    });
    const outcome = plan(request(file, [product("x", "suture-pack", 1, 5)]), solver);
    expect(outcome.status === "infeasible" && outcome.why).to.deep.equal([
      { code: "licensed", need: "s" },
    ]);
  });
  it("buys nothing that is out of date before the last day", () => {
    const file = auditFile([need("s", "stomach-relief")], [], { brief: { start: "2027-06-01" } });
    const outcome = plan(
      request(file, [product("x", "antacid", 1, 1, { shelfMonths: 3 })], { target: 1 }),
      solver,
    );
    expect(outcome.status).to.equal("infeasible");
  });
});

describe("why there is no plan", () => {
  const why = (r: PlanRequest) => {
    const outcome = plan(r, solver);
    if (outcome.status !== "infeasible") throw new Error("a plan was found");
    return outcome.why;
  };
  it("names training and sensitivities, which no purchase mends", () => {
    const tq = auditFile([need("t", "limb-tourniquet", { tier: "vital" })], [], {
      brief: { skill: "anyone" },
    });
    expect(why(request(tq, [product("tq", "windlass-tourniquet", 1, 27)]))).to.deep.equal([
      { code: "training", need: "t", asks: "trained", has: "anyone" },
    ]);
    const allergic = auditFile([need("c", "small-wound-cover", { tier: "vital" })], [], {
      brief: { sensitivities: ["adhesive"] },
    });
    expect(why(request(allergic, [product("p", "adhesive-strip", 10, 1)]))).to.deep.equal([
      { code: "sensitivity", need: "c", clash: ["adhesive"] },
    ]);
  });
  it("names the need that nothing in the book does in full", () => {
    const file = auditFile([need("b", "rescue-breath-barrier", { tier: "vital" })], []);
    expect(why(request(file, [product("shield", "face-shield", 1, 1)]))).to.deep.equal([
      { code: "no-product", need: "b", best: 0.7 },
    ]);
  });
  it("names the coverage that is out of reach, and the limit that forbids it with what it would take", () => {
    const file = auditFile([need("a", "sling"), need("b", "magnify")], []);
    expect(why(request(file, [product("s", "triangular-bandage", 1, 2)]))).to.deep.equal([
      { code: "coverage", most: 0.5, asked: 0.9 },
    ]);
    const both = [product("s", "triangular-bandage", 1, 2), product("m", "magnifier", 1, 3)];
    expect(why(request(file, both, { limits: { ...NO_LIMITS, budget: 4 } }))).to.deep.equal([
      { code: "limit", limit: "budget", allowed: 4, needed: 5 },
    ]);
    expect(why(request(file, both, { limits: { ...NO_LIMITS, budget: 0 } }))).to.deep.equal([
      { code: "limit", limit: "budget", allowed: 0, needed: 5 },
    ]);
  });
  it("a list that asks for nothing has no plan", () =>
    expect(why(request(auditFile([], []), []))).to.deep.equal([
      { code: "coverage", most: 0, asked: 0 },
    ]));
});

describe("best for what I have", () => {
  it("takes vital coverage before all coverage, then the lower price", () => {
    const file = auditFile(
      [
        need("t", "limb-tourniquet", { tier: "vital" }),
        need("a", "sling"),
        need("b", "magnify"),
        need("c", "cordage"),
      ],
      [],
    );
    const r = request(
      file,
      [
        product("tq", "windlass-tourniquet", 1, 6),
        product("s", "triangular-bandage", 1, 2),
        product("dear", "triangular-bandage", 1, 2.5),
        product("m", "magnifier", 1, 2),
        product("c", "cord", 1, 2),
      ],
      { question: "best", limits: { ...NO_LIMITS, budget: 8.5 } },
    );
    const outcome = solve(r);
    expect(outcome.choice.price).to.equal(8);
    expect(outcome.choice.purchases.map((p) => p.product.id))
      .to.include("tq")
      .and.not.include("dear");
  });
  it("drops a good line only where the weight limit asks for it", () => {
    const file = auditFile(
      [
        need("t", "limb-tourniquet", { tier: "vital" }),
        need("g", "pain-relief", { tier: "useful" }),
      ],
      [good("stock", "insulated-bag", 2), good("pills", "ibuprofen", 1)],
    );
    const products = [product("tq", "windlass-tourniquet", 1, 20, { massG: 76 })];
    const free = solve(request(file, products, { question: "best" }));
    expect(free.choice.dropped).to.deep.equal([]);
    const light = solve(
      request(file, products, { question: "best", limits: { ...NO_LIMITS, massG: 100 } }),
    );
    expect(light.choice.dropped).to.deep.equal(["stock"]);
    expect(light.choice.load.massG).to.be.at.most(100);
    const kept = solve(
      request(file, products, {
        question: "best",
        limits: { ...NO_LIMITS, massG: 600 },
        keep: ["stock"],
      }),
    );
    expect(kept.choice.dropped).to.deep.equal([]);
    expect(kept.choice.after.coverage).to.be.closeTo(1 / 6, 1e-12);
  });
});

/** The slow obvious answer: every number of packs up to `most` of every product, audited. */
function exhaustive(r: PlanRequest, most: number) {
  let cheapest = Infinity;
  let best = { vital: -1, coverage: -1, price: Infinity };
  const buy = (k: number, packs: number[]): void => {
    if (k < r.book.products.length) {
      for (let n = 0; n <= most; n++) buy(k + 1, [...packs, n]);
      return;
    }
    const price =
      Math.round(packs.reduce((s, n, i) => s + n * r.book.products[i]!.price.amount * 100, 0)) /
      100;
    if (r.limits.budget !== null && price > r.limits.budget + 1e-9) return;
    const lines = packs.flatMap((n, i) =>
      n > 0 ? [boughtLine(r.book.products[i]!, n, TODAY)] : [],
    );
    const a = audit(
      { ...r.audit, kit: { ...r.audit.kit, lines: [...r.audit.kit.lines, ...lines] } },
      TODAY,
      CATALOGUE,
    );
    if (a.grade === "Ready") cheapest = Math.min(cheapest, price);
    const vital = a.needs.reduce(
      (s, n, i) =>
        s + (a.context.needs[i]!.tier === "vital" ? a.context.needs[i]!.weight * n.met : 0),
      0,
    );
    const better = vital - best.vital || a.coverage! - best.coverage;
    if (
      vital > best.vital + 1e-6 ||
      (Math.abs(vital - best.vital) <= 1e-6 &&
        (a.coverage! > best.coverage + 1e-6 ||
          (Math.abs(a.coverage! - best.coverage) <= 1e-6 && price < best.price)))
    )
      best = { vital, coverage: a.coverage!, price };
    void better;
  };
  buy(0, []);
  return { cheapest, best };
}

const FUNCTIONS = [
  ["medium-wound-pad", "gauze-pad"],
  ["bulk-absorbent", "abd-pad"],
  ["dressing-retention", "elastic-bandage"],
  ["joint-support", "triangular-bandage"],
  ["sling", "triangular-bandage"],
  ["eye-irrigation", "saline-ampoule"],
  ["wound-irrigation", "eyewash"],
] as const;
const smallCase = fc.record({
  needs: fc.uniqueArray(
    fc.tuple(
      fc.nat(6),
      fc.constantFrom("vital" as const, "core" as const, "useful" as const),
      fc.integer({ min: 1, max: 3 }),
    ),
    { minLength: 2, maxLength: 4, selector: ([f]) => f },
  ),
  lines: fc.array(fc.tuple(fc.nat(6), fc.integer({ min: 0, max: 2 })), { maxLength: 3 }),
  products: fc.array(
    fc.tuple(fc.nat(6), fc.integer({ min: 1, max: 3 }), fc.integer({ min: 1, max: 9 })),
    { minLength: 2, maxLength: 4 },
  ),
  budget: fc.integer({ min: 2, max: 14 }),
});
const caseOf = (c: {
  needs: [number, "vital" | "core" | "useful", number][];
  lines: [number, number][];
  products: [number, number, number][];
}) => ({
  file: auditFile(
    c.needs.map(([f, tier, base], i) =>
      need(`n${i}`, FUNCTIONS[f]![0], { tier, quantity: { base } }),
    ),
    c.lines.map(([f, n], i) =>
      good(`l${i}`, FUNCTIONS[f]![1], n, { sizeMm: [80, 2000], volumeMl: 1 }),
    ),
  ),
  products: c.products.map(([f, pack, price], i) =>
    product(`p${i}`, FUNCTIONS[f]![1], pack, price, { sizeMm: [80, 2000], volumeMl: 1 }),
  ),
});

describe("against exhaustive search on small random cases", () => {
  it("finds the least price that makes it Ready, or that none does", () => {
    fc.assert(
      fc.property(smallCase, (c) => {
        const { file, products } = caseOf(c as never);
        const r = request(file, products);
        const slow = exhaustive(r, 3);
        const outcome = plan(r, solver);
        if (outcome.status === "infeasible") expect(slow.cheapest).to.equal(Infinity);
        else {
          expect(outcome.status).to.equal("optimal");
          expect(outcome.choice.after.grade).to.equal("Ready");
          expect(outcome.choice.price, JSON.stringify(c)).to.be.at.most(slow.cheapest);
          if (outcome.choice.purchases.every((p) => p.packs <= 3))
            expect(outcome.choice.price).to.equal(slow.cheapest);
        }
      }),
      { numRuns: 60, seed: 11 },
    );
  }).timeout(120_000);
  it("finds the most vital coverage, then the most coverage, then the least price in a budget", () => {
    fc.assert(
      fc.property(smallCase, (c) => {
        const { file, products } = caseOf(c as never);
        const r = request(file, products, {
          question: "best",
          limits: { ...NO_LIMITS, budget: c.budget },
        });
        const slow = exhaustive(r, 3).best;
        const outcome = plan(r, solver);
        if (outcome.status === "infeasible")
          throw new Error("a budget always allows to buy nothing");
        const a = outcome.choice.after;
        const vital = a.needs.reduce(
          (s, n, i) =>
            s + (a.context.needs[i]!.tier === "vital" ? a.context.needs[i]!.weight * n.met : 0),
          0,
        );
        expect(outcome.choice.price).to.be.at.most(c.budget);
        expect(vital, JSON.stringify(c)).to.be.at.least(slow.vital - 1e-6);
        if (Math.abs(vital - slow.vital) < 1e-6)
          expect(a.coverage, JSON.stringify(c)).to.be.at.least(slow.coverage - 1e-6);
        if (Math.abs(vital - slow.vital) < 1e-6 && Math.abs(a.coverage! - slow.coverage) < 1e-6)
          expect(outcome.choice.price, JSON.stringify(c)).to.be.at.most(slow.price + 1e-9);
      }),
      { numRuns: 60, seed: 12 },
    );
  }).timeout(120_000);
});

describe("actions", () => {
  it("carry need, mesh, gain, gain per price and the runner-up", () => {
    const file = auditFile(
      [
        need("t", "limb-tourniquet", { tier: "vital" }),
        need("s", "sling", { quantity: { base: 2 } }),
      ],
      [
        good("strap", "phlebotomy-strap"),
        good("one", "triangular-bandage", 1),
        good("old", "triangular-bandage", 1, { condition: "failed" }),
      ],
    );
    const r = request(
      file,
      [
        product("ratchet", "ratchet-tourniquet", 1, 24),
        product("rod", "windlass-tourniquet", 1, 27),
        product("tri", "triangular-bandage", 5, 3),
      ],
      { target: 1 },
    );
    const actions = actionsOf(solve(r), r);
    const tq = actions.find((a) => "product" in a && a.product.id === "ratchet")!;
    expect(tq).to.deep.include({
      kind: "replace",
      phase: "before-carried",
      packs: 1,
      price: 24,
      spare: 0,
    });
    if (!("product" in tq)) throw new Error();
    expect(tq.gain).to.be.closeTo(62.5, 1e-9); // 5 of 8
    expect(tq.gainPerPrice).to.be.closeTo(62.5 / 24, 1e-9);
    expect(tq.serves).to.deep.equal([{ need: "t", mesh: "real", units: 1 }]);
    expect(tq.runnerUp).to.deep.include({ packs: 1, price: 27 });
    const tri = actions.find((a) => "product" in a && a.product.id === "tri")!;
    // One of its kind stays: it is topped up, though another goes.
    expect(tri).to.deep.include({ kind: "top-up", pieces: 5, spare: 4, instead: [] });
    expect(actions.filter((a) => a.kind === "drop").map((a) => [a.line, a.because])).to.deep.equal([
      ["strap", "in-name-only"],
      ["old", "failed"],
    ]);
  });
  it("what is bought serves with its own pieces; the runner-up is priced for as many", () => {
    const file = auditFile(
      [need("s", "sling", { quantity: { base: 3 } })],
      [good("one", "triangular-bandage")],
    );
    const r = request(
      file,
      [
        product("tri", "triangular-bandage", 1, 2),
        product("other", "triangular-bandage", 1, 3),
        product("whistle", "whistle", 1, 1),
      ],
      { target: 1 },
    );
    const [tri] = actionsOf(solve(r), r);
    if (!tri || !("runnerUp" in tri)) throw new Error();
    expect(tri.serves).to.deep.equal([{ need: "s", mesh: "enough", units: 2 }]);
    expect(tri).to.deep.include({ kind: "top-up", packs: 2, spare: 0 });
    expect(tri.runnerUp).to.deep.include({ packs: 2, price: 6 });
  });
  it("a move gains what its line alone loses: a tourniquet one step too late, half of 5 of 8", () => {
    const file = auditFile(
      [need("t", "limb-tourniquet", { tier: "vital", access: "seconds" }), need("s", "sling")],
      [
        good("s", "triangular-bandage", 1, { labelled: false }),
        good("tq", "windlass-tourniquet", 1, { location: "bottom" }),
      ],
    );
    const r = request(file, []);
    const moves = actionsOf(solve(r), r).filter((a) => a.kind === "move");
    expect(moves.map((m) => [m.line, m.label])).to.deep.equal([["tq", false]]);
    expect(moves[0]!.gain).to.be.closeTo(31.25, 1e-9);
  });
  it("a move is for a label too only where there was none", () => {
    const moved = (labelled: boolean) => {
      const line = good("tq", "windlass-tourniquet", 1, { location: "bottom", labelled });
      const t = need("t", "limb-tourniquet", { tier: "vital", access: "seconds" });
      const r = request(auditFile([t], [line]), []);
      return actionsOf(solve(r), r).map((a) => a.kind === "move" && a.label);
    };
    expect([moved(true), moved(false)]).to.deep.equal([[false], [true]]);
  });
  it("say of each thing that goes why: failed, past its date, in name only, not asked for", () => {
    const gauze = { itemType: "gauze-pad", condition: "sound", location: "outside" } as const;
    const file = auditFile(
      [need("p", "medium-wound-pad"), need("t", "limb-tourniquet")],
      [
        good("torn", "gauze-pad", 1, { condition: "failed" }),
        { id: "old", ...gauze, counted: 1, expires: "2020-01" },
        good("strap", "phlebotomy-strap"),
        { id: "unread", ...gauze, counted: 1 },
        good("whistle", "whistle"),
      ],
    );
    const r = request(file, [], { question: "lightest", target: 0.1 });
    const drops = actionsOf(solve(r), r).flatMap((a) =>
      a.kind === "drop" ? [[a.line, a.because]] : [],
    );
    expect(Object.fromEntries(drops)).to.deep.equal({
      torn: "failed",
      old: "past-date",
      strap: "in-name-only",
      whistle: "not-asked",
    });
  });
  it("do not ask to check what the plan does not lean on", () => {
    const file = auditFile(
      [need("s", "sling")],
      [good("a", "triangular-bandage"), { id: "spare", itemType: "whistle", claimed: 1 }],
    );
    const r = request(file, []);
    expect(actionsOf(solve(r), r).filter((a) => a.kind === "check")).to.deep.equal([]);
  });
  it("list what is unchecked and leaned on", () => {
    const file = auditFile(
      [need("s", "sling")],
      [{ id: "a", itemType: "triangular-bandage", claimed: 1 }],
    );
    const r = request(file, []);
    expect(actionsOf(solve(r), r)).to.deep.equal([
      { kind: "check", phase: "to-check", line: "a", facts: ["count", "condition"] },
    ]);
  });
  it("add up to what the result prints", () => {
    const file = auditFile([need("s", "sling", { quantity: { base: 6 } })], []);
    const r = request(file, PRICE_BOOK.products);
    const printed = planResult(solve(r), r);
    if (printed.status === "infeasible") throw new Error();
    expect(printed.actions.reduce((s, a) => s + ("price" in a ? a.price : 0), 0)).to.be.closeTo(
      printed.totals.price,
      1e-9,
    );
    expect(printed.result.grade).to.equal("Ready");
  });
});
