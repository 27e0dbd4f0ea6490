import { expect } from "chai";
import fc from "fast-check";
import {
  frontier,
  frontierLimits,
  frontierPoint,
  GAP,
  kneesOf,
  mergePoints,
  quickFrontier,
  risen,
  stepsOf,
  type FrontierPoint,
} from "../../src/lib/core/plan/frontier.ts";
import { planBound } from "../../src/lib/core/plan/bound.ts";
import { greedyPlan } from "../../src/lib/core/plan/greedy.ts";
import type { Solver } from "../../src/lib/core/plan/linearModel.ts";
import { plan } from "../../src/lib/core/plan/plan.ts";
import { NO_LIMITS } from "../../src/lib/core/plan/limits.ts";
import { planCase } from "../../bench/planCases.ts";
import { auditFile, need } from "./build.ts";
import { product, realSolver, request, solved } from "./planBuild.ts";

let solver: Solver;
before(async () => {
  solver = await realSolver();
});

const point = (
  limit: number,
  coverage: number,
  packs: Record<string, number> = {},
): FrontierPoint => ({
  limit,
  coverage,
  vital: 1,
  bound: 1,
  price: limit,
  massG: 0,
  grade: null,
  packs,
  dropped: [],
  proven: true,
});

describe("a quick plan", () => {
  const file = auditFile(
    [
      need("t", "limb-tourniquet", { tier: "vital" }),
      need("s", "sling", { quantity: { base: 2 } }),
      need("m", "magnify", { tier: "useful" }),
    ],
    [],
  );
  const products = [
    product("tq", "windlass-tourniquet", 1, 27),
    product("sling", "triangular-bandage", 1, 2),
    product("lens", "magnifier", 1, 4),
  ];
  it("buys vital needs first, then what gains most for its price, within the budget", () => {
    const r = request(file, products, { question: "best", limits: { ...NO_LIMITS, budget: 31 } });
    const { choice, reaches } = greedyPlan(r);
    // 27 for the tourniquet; of the 4 left two slings (3 of 9 points) before the lens (1 of 9).
    expect(choice.purchases.map((p) => `${p.packs} ${p.product.id}`)).to.deep.equal([
      "1 tq",
      "2 sling",
    ]);
    expect(choice.price).to.equal(31);
    expect(reaches).to.equal(true);
  });
  it("takes out again what has become needless: one gauze for both jobs, the pad goes", () => {
    const both = auditFile(
      [
        need("p", "wound-packing", { tier: "vital" }),
        need("h", "haemostatic-packing", { tier: "vital" }),
      ],
      [],
    );
    const { choice } = greedyPlan(
      request(both, [
        product("plain", "packing-gauze", 1, 4),
        product("pair", "haemostatic-gauze", 2, 30),
      ]),
    );
    expect(choice.purchases.map((p) => p.product.id)).to.deep.equal(["pair"]);
  });
  it("keeps a limit on bulk: of three slings of 10 ml two go into 25", () => {
    const three = auditFile([need("s", "sling", { quantity: { base: 3 } })], []);
    const limits = { ...NO_LIMITS, volumeMl: 25 };
    const r = request(three, [product("sling", "triangular-bandage", 1, 2)], {
      question: "best",
      limits,
    });
    expect(greedyPlan(r).choice.purchases.map((p) => p.packs)).to.deep.equal([2]);
    expect(greedyPlan({ ...r, limits: NO_LIMITS }).choice.purchases[0]!.packs).to.equal(3);
  });
  it("reaches a coverage that is asked for without Ready, and no Ready without a vital need", () => {
    const needs = [
      need("t", "limb-tourniquet", { tier: "vital" }),
      need("s", "sling", { quantity: { base: 2 } }),
    ];
    const kit = auditFile(needs, []);
    const slings = [product("sling", "triangular-bandage", 1, 2)];
    // Slings alone are 3 of 8: 0.375.
    expect(greedyPlan(request(kit, slings, { target: 0.3 })).reaches).to.equal(true);
    expect(greedyPlan(request(kit, slings, { target: 0.4 })).reaches).to.equal(false);
    expect(greedyPlan(request(kit, slings)).reaches).to.equal(false);
  });
  it("keeps limits, and neither it nor the exact plan passes the bound", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1000 }),
        fc.integer({ min: 10, max: 90 }),
        (seed, budget) => {
          const { audit, book } = planCase("small", seed);
          const r = {
            ...request(audit, [], { question: "best", limits: { ...NO_LIMITS, budget } }),
            book: { ...book, currency: "EUR" },
          };
          const quick = greedyPlan(r);
          const exact = solved(r, solver);
          const bound = planBound(r, solver, quick.choice)!;
          expect(quick.choice.price).to.be.at.most(budget + 1e-9);
          expect(100 * exact.choice.after.coverage!).to.be.at.most(bound.bound + 1e-4);
          const cheap = { ...r, question: "cheapest" as const, target: 0.5, limits: NO_LIMITS };
          const least = plan(cheap, solver);
          if (least.status === "infeasible") return;
          const low = planBound(cheap, solver)!;
          expect(low.bound).to.be.at.most(least.choice.price + 1e-9);
          const first = greedyPlan(cheap);
          if (first.reaches) expect(first.choice.price).to.be.at.least(least.choice.price - 1e-9);
        },
      ),
      { numRuns: 1, seed: 5 },
    );
  }).timeout(240_000);
});

describe("a frontier", () => {
  it("has the plan of each budget, to a twentieth of a point, rising", () => {
    const { audit, book } = planCase("small", 3);
    const r = { ...request(audit, [], { question: "best" }), book: { ...book, currency: "EUR" } };
    const { points } = frontier(r, "budget", solver, 6);
    expect(points[0]!.limit).to.equal(0);
    expect(points[0]!.price).to.equal(0);
    for (const p of points) {
      expect(p.price).to.be.at.most(p.limit + 1e-9);
      expect(p.coverage).to.be.at.most(p.bound + 1e-9);
    }
    const middle = points[3]!;
    const exact = solved({ ...r, limits: { ...NO_LIMITS, budget: middle.limit } }, solver).choice;
    expect(100 * middle.vital).to.be.at.least(100 * points[2]!.vital - GAP);
    // The exact plan has no less vital coverage; where it is the same, all coverage is as near.
    expect(100 * middle.coverage).to.be.within(
      100 * exact.after.coverage! - 2 * GAP,
      100 * exact.after.coverage! + 5,
    );
  }).timeout(120_000);
  for (const [axis, budget] of [
    ["budget", null],
    ["mass", null],
    ["mass", 40],
  ] as const)
    it(`no plan of a limit covers a twentieth of a point more: ${axis}, budget ${budget}`, () => {
      const { audit, book } = planCase("small", 4);
      const limits = { ...NO_LIMITS, budget };
      const r = {
        ...request(audit, [], { question: "best", limits }),
        book: { ...book, currency: "EUR" },
      };
      for (const { bound, coverage } of frontier(r, axis, solver, 4).points)
        expect(100 * (bound - coverage)).to.be.at.most(GAP + 1e-6);
    }).timeout(120_000);
  it("against mass carries less as the limit falls, and never more than it", () => {
    const { audit, book } = planCase("small", 4);
    const r = {
      ...request(audit, [], { question: "best", limits: { ...NO_LIMITS, budget: 40 } }),
      book: { ...book, currency: "EUR" },
    };
    const limits = frontierLimits(r, "mass", 4);
    expect(limits).to.have.length(4);
    for (const limit of limits)
      expect(frontierPoint(r, "mass", limit, solver)!.massG).to.be.at.most(limit + 1e-6);
  }).timeout(120_000);
  it("against budget goes as far under a weight limit that the kit is over already", () => {
    const { audit, book } = planCase("small", 4);
    const r = { ...request(audit, [], { question: "best" }), book: { ...book, currency: "EUR" } };
    const free = frontierLimits(r, "budget", 5);
    expect(frontierLimits({ ...r, limits: { ...NO_LIMITS, massG: 1 } }, "budget", 5)).to.deep.equal(
      free,
    );
  });
  it("ends at what the fullest plan costs: 7.30; in whole cents, grams in whole ones", () => {
    const file = auditFile([need("s", "sling", { quantity: { base: 2 } })], []);
    const tri = product("tri", "triangular-bandage", 1, 3.65, { massG: 12.4 });
    const r = request(file, [tri], { question: "best" });
    const money = frontierLimits(r, "budget", 5);
    expect([money[0], money.at(-1)]).to.deep.equal([0, 7.3]);
    expect(money.some((m) => m % 1 > 0 && m !== 7.3)).to.equal(true);
    for (const m of money) expect(m * 100, `${m}`).to.be.closeTo(Math.round(m * 100), 1e-9);
    const grams = frontierLimits(r, "mass", 5);
    expect(grams.at(-1)).to.equal(25);
    for (const g of grams) expect(g % 1).to.equal(0);
  });
  it("has a quick answer for every limit at once", () => {
    const { audit, book } = planCase("small", 5);
    const r = { ...request(audit, [], { question: "best" }), book: { ...book, currency: "EUR" } };
    const limits = frontierLimits(r, "budget");
    const quick = quickFrontier({ request: r, axis: "budget", limits });
    expect(quick.map((p) => p.limit)).to.deep.equal(limits);
    expect(quick.every((p) => !p.proven)).to.equal(true);
  });
  it("keeps the plan of a lower limit where a later one fell back", () => {
    const risenPoints = risen([point(0, 0.2), point(10, 0.5), point(20, 0.4), point(30, 0.6)]);
    expect(risenPoints.map((p) => p.coverage)).to.deep.equal([0.2, 0.5, 0.5, 0.6]);
    expect(risenPoints.map((p) => p.limit)).to.deep.equal([0, 10, 20, 30]);
  });
  it("one thing for another is a step", () => {
    expect(stepsOf([point(10, 0.4, { a: 1 }), point(20, 0.5, { b: 1 })])[1]).to.deep.include({
      at: 1,
      enters: [{ product: "b", packs: 1 }],
      leaves: [{ product: "a", packs: 1 }],
    });
  });
  it("names what enters and leaves at each step", () => {
    const steps = stepsOf([
      point(0, 0.2),
      point(10, 0.4, { a: 1 }),
      point(20, 0.4, { a: 1 }),
      point(30, 0.7, { b: 2, c: 1 }),
    ]);
    expect(steps.map(({ at, enters, leaves }) => ({ at, enters, leaves }))).to.deep.equal([
      { at: 1, enters: [{ product: "a", packs: 1 }], leaves: [] },
      {
        at: 3,
        enters: [
          { product: "b", packs: 2 },
          { product: "c", packs: 1 },
        ],
        leaves: [{ product: "a", packs: 1 }],
      },
    ]);
    expect(steps[1]!.gain).to.be.closeTo(0.3, 1e-12);
  });
  it("has a knee where a coin buys half as much, and none on a straight line", () => {
    // 3 points a coin to 10, then 0.5 a coin.
    const bent = [point(0, 0), point(5, 0.15), point(10, 0.3), point(20, 0.35), point(30, 0.4)];
    expect(kneesOf(bent)).to.deep.equal([2]);
    expect(kneesOf([0, 1, 2, 3].map((i) => point(i, i / 10)))).to.deep.equal([]);
    expect(kneesOf([])).to.deep.equal([]);
    // Five bends of half and less, and a long way on that buys nothing: the three that fall most are named.
    const long = [0, 0.5, 0.7, 0.78, 0.81, 0.82].map((c, i) => point(i, c));
    expect(kneesOf([...long, point(100, 0.821)])).to.deep.equal([1, 2, 3]);
    // Slopes 64, 24, 8, 3, 1; on the whole 20: no bend matters from where a coin buys less than that.
    const many = [0, 64, 88, 96, 99, 100].map((c, i) => point(i, c / 100));
    expect(kneesOf(many).length).to.be.at.most(3);
    expect(kneesOf(many)).to.deep.equal([1, 2]);
  });
  it("takes proven points in the place of quick ones, in order", () => {
    const quick = [point(0, 0.1), point(10, 0.2)];
    const merged = mergePoints(quick, [point(10, 0.3), point(5, 0.2)]);
    expect(merged.map((p) => [p.limit, p.coverage])).to.deep.equal([
      [0, 0.1],
      [5, 0.2],
      [10, 0.3],
    ]);
  });
});
