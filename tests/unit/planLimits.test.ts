import { expect } from "chai";
import fc from "fast-check";
import { audit, type Audit } from "../../src/lib/core/audit/audit.ts";
import { kitLoad } from "../../src/lib/core/bag/load.ts";
import { boughtLine } from "../../src/lib/core/plan/candidates.ts";
import { frontierPoint, quickFrontier } from "../../src/lib/core/plan/frontier.ts";
import type { Solver } from "../../src/lib/core/plan/linearModel.ts";
import { NO_LIMITS } from "../../src/lib/core/plan/limits.ts";
import { plan } from "../../src/lib/core/plan/plan.ts";
import type { PlanRequest } from "../../src/lib/core/plan/request.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { auditFile, good, need, TODAY } from "./build.ts";
import { product, realSolver, request } from "./planBuild.ts";

let solver: Solver;
before(async () => {
  solver = await realSolver();
});

/** Function, and the kind of thing that does it: all counted in pieces, so that pieces are steps. */
const JOBS = [
  ["medium-wound-pad", "gauze-pad"],
  ["bulk-absorbent", "abd-pad"],
  ["sling", "triangular-bandage"],
  ["dressing-retention", "triangular-bandage"],
  ["joint-support", "triangular-bandage"],
] as const;
const MOST_PACKS = 2;

const limitedCase = fc.record({
  needs: fc.uniqueArray(
    fc.tuple(
      fc.nat(JOBS.length - 1),
      fc.constantFrom("vital" as const, "core" as const, "useful" as const),
      fc.integer({ min: 1, max: 3 }),
    ),
    { minLength: 2, maxLength: 3, selector: ([f]) => f },
  ),
  lines: fc.array(fc.tuple(fc.nat(JOBS.length - 1), fc.integer({ min: 1, max: 2 })), {
    minLength: 1,
    maxLength: 2,
  }),
  products: fc.array(
    fc.record({
      job: fc.nat(JOBS.length - 1),
      pack: fc.integer({ min: 1, max: 2 }),
      price: fc.integer({ min: 1, max: 9 }),
      massG: fc.integer({ min: 5, max: 60 }),
      bulkMl: fc.integer({ min: 5, max: 90 }),
      source: fc.constantFrom("barn", "mill", undefined),
    }),
    { minLength: 2, maxLength: 3 },
  ),
  budget: fc.option(fc.integer({ min: 2, max: 20 })),
  massG: fc.option(fc.integer({ min: 20, max: 220 })),
  volumeMl: fc.option(fc.integer({ min: 40, max: 500 })),
  maxSources: fc.option(fc.integer({ min: 1, max: 2 })),
});
type Case = typeof limitedCase extends fc.Arbitrary<infer T> ? T : never;

function requestOf(c: Case, more: Partial<PlanRequest>): PlanRequest {
  const file = auditFile(
    c.needs.map(([f, tier, base], i) => need(`n${i}`, JOBS[f]![0], { tier, quantity: { base } })),
    c.lines.map(([f, n], i) => good(`l${i}`, JOBS[f]![1], n)),
  );
  const products = c.products.map(({ job, pack, price, source, ...load }, i) =>
    product(`p${i}`, JOBS[job]![1], pack, price, { ...load, ...(source ? { source } : {}) }),
  );
  const { budget, massG, volumeMl, maxSources } = c;
  return request(file, products, { limits: { budget, massG, volumeMl }, maxSources, ...more });
}

interface Way {
  readonly audit: Audit;
  readonly vital: number;
  readonly coverage: number;
  readonly price: number;
  /** Carried in the end, g and ml: kit lines by their kinds, what is bought by the price book. */
  readonly massG: number;
  readonly volumeMl: number;
}

/** The slow obvious answer: every number of packs and of kit pieces carried that keeps the limits. */
function* everyWay(r: PlanRequest): Generator<Way> {
  const { products } = r.book;
  const lines = r.audit.kit.lines;
  const counts = [...products.map(() => MOST_PACKS), ...lines.map((l) => l.counted!)];
  const total = counts.reduce((n, most) => n * (most + 1), 1);
  for (let at = 0; at < total; at++) {
    let rest = at;
    const chosen = counts.map((most) => {
      const n = rest % (most + 1);
      rest = Math.floor(rest / (most + 1));
      return n;
    });
    const packs = chosen.slice(0, products.length);
    const sources = new Set(
      products.flatMap((p, k) => (packs[k]! > 0 ? [p.source ?? "unnamed"] : [])),
    );
    const sum = (of: (k: number) => number) => packs.reduce((s, n, k) => s + n * of(k), 0);
    const price = sum((k) => products[k]!.price.amount);
    const carried = lines.flatMap((l, i) => {
      const counted = chosen[products.length + i]!;
      return counted > 0 ? [{ ...l, counted }] : [];
    });
    const kept = { ...r.audit, kit: { ...r.audit.kit, lines: carried } };
    const own = kitLoad(kept, CATALOGUE);
    const massG = own.massG + sum((k) => products[k]!.massG!);
    const volumeMl = own.volumeMl + sum((k) => products[k]!.bulkMl!);
    const over = (n: number, limit: number | null) => limit !== null && n > limit + 1e-9;
    const { budget, massG: massLimit, volumeMl: volumeLimit } = r.limits;
    if (over(price, budget) || over(massG, massLimit) || over(volumeMl, volumeLimit)) continue;
    if (over(sources.size, r.maxSources ?? null)) continue;
    const bought = products.flatMap((p, k) =>
      packs[k]! > 0 ? [boughtLine(p, packs[k]!, TODAY)] : [],
    );
    const file = { ...kept, kit: { ...kept.kit, lines: [...carried, ...bought] } };
    const a = audit(file, TODAY, CATALOGUE);
    yield { audit: a, vital: vitalOf(a), coverage: a.coverage!, price, massG, volumeMl };
  }
}

const vitalOf = (a: Audit): number =>
  a.needs.reduce(
    (s, n, i) =>
      s + (a.context.needs[i]!.tier === "vital" ? a.context.needs[i]!.weight * n.met : 0),
    0,
  );
const SAME = 1e-6;

describe("under limits on money, weight, space and sources, against every way there is", () => {
  it("the cheapest that is Ready is the cheapest of all that are", () => {
    fc.assert(
      fc.property(limitedCase, (c) => {
        const r = requestOf(c, {});
        const least = Math.min(
          ...[...everyWay(r)].filter((w) => w.audit.grade === "Ready").map((w) => w.price),
        );
        const outcome = plan(r, solver);
        if (outcome.status === "infeasible") {
          expect(least, JSON.stringify(c)).to.equal(Infinity);
          return;
        }
        const { choice } = outcome;
        expect(choice.after.grade).to.equal("Ready");
        expect(choice.price, JSON.stringify(c)).to.be.at.most(least);
        const { budget, massG, volumeMl } = r.limits;
        expect(choice.price).to.be.at.most(budget ?? Infinity);
        expect(choice.load.massG).to.be.at.most((massG ?? Infinity) + SAME);
        expect(choice.load.volumeMl).to.be.at.most((volumeMl ?? Infinity) + SAME);
      }),
      { numRuns: 80, seed: 21 },
    );
  }).timeout(120_000);

  it("the best has the most vital coverage, then the most coverage", () => {
    fc.assert(
      fc.property(limitedCase, (c) => {
        const r = requestOf(c, { question: "best" });
        let vital = 0;
        let coverage = 0;
        for (const w of everyWay(r))
          if (w.vital > vital + SAME || (w.vital > vital - SAME && w.coverage > coverage))
            [vital, coverage] = [w.vital, w.coverage];
        const outcome = plan(r, solver);
        if (outcome.status === "infeasible") throw new Error(`nothing may always be carried`);
        const { after } = outcome.choice;
        expect(vitalOf(after), JSON.stringify(c)).to.be.at.least(vital - SAME);
        if (vitalOf(after) < vital + SAME)
          expect(after.coverage, JSON.stringify(c)).to.be.at.least(coverage - SAME);
      }),
      { numRuns: 80, seed: 22 },
    );
  }).timeout(120_000);

  it("a point of the curve covers as much, to a twentieth of a point, and its bound is no lie", () => {
    fc.assert(
      fc.property(limitedCase, fc.constantFrom("budget", "mass"), (c, axis) => {
        const limit = (axis === "budget" ? c.budget : c.massG) ?? 60;
        const at = axis === "budget" ? { ...c, budget: limit } : { ...c, massG: limit };
        const r = requestOf(at as Case, { question: "best" });
        let vital = 0;
        let coverage = 0;
        for (const w of everyWay(r))
          if (w.vital > vital + SAME || (w.vital > vital - SAME && w.coverage > coverage))
            [vital, coverage] = [w.vital, w.coverage];
        const point = frontierPoint(r, axis as "budget" | "mass", limit, solver)!;
        const limits = [limit / 2, limit];
        for (const quick of quickFrontier({
          request: r,
          axis: axis as "budget" | "mass",
          limits,
        })) {
          const has = axis === "budget" ? quick.price : quick.massG;
          expect(has, JSON.stringify(c)).to.be.at.most(quick.limit + SAME);
        }
        const hasVital = r.audit.list.needs.some((n) => n.tier === "vital");
        expect(point.proven).to.equal(true);
        expect(point.bound).to.be.at.least(coverage - SAME);
        if (!hasVital) expect(point.coverage).to.be.at.least(coverage - 0.0005 - SAME);
      }),
      { numRuns: 80, seed: 23 },
    );
  }).timeout(120_000);

  it("a limit is named only where it forbids by itself, and what it says would do does", () => {
    let named = 0;
    fc.assert(
      fc.property(limitedCase, (c) => {
        const r = requestOf({ ...c, maxSources: null }, {});
        const outcome = plan(r, solver);
        if (outcome.status !== "infeasible") return;
        const isPossible = (limits: PlanRequest["limits"]) =>
          plan({ ...r, limits }, solver).status !== "infeasible";
        const only = outcome.why.length === 1 ? r.limits : NO_LIMITS;
        for (const why of outcome.why) {
          if (why.code === "limit") {
            named++;
            const { limit, allowed, needed } = why;
            expect(allowed).to.equal(r.limits[limit]);
            expect(needed).to.be.greaterThan(allowed);
            expect(isPossible({ ...NO_LIMITS, [limit]: allowed }), JSON.stringify(c)).to.equal(
              false,
            );
            expect(isPossible({ ...only, [limit]: needed }), JSON.stringify(c)).to.equal(true);
          }
        }
      }),
      { numRuns: 140, seed: 24 },
    );
    expect(named).to.be.greaterThan(20);
  }).timeout(120_000);

  it("limits that forbid only together are said so, with what each would have to be", () => {
    // A pad of 1.00 and 100 g, or one of 10.00 and 5 g: 5.00 buys the first, 50 g bear the second.
    const file = auditFile([need("p", "medium-wound-pad", { tier: "vital" })], []);
    const heavy = product("heavy", "gauze-pad", 1, 1, { massG: 100 });
    const light = product("light", "gauze-pad", 1, 10, { massG: 5 });
    const limits = { budget: 5, massG: 50, volumeMl: null };
    const outcome = plan(request(file, [heavy, light], { limits }), solver);
    expect(outcome.status === "infeasible" && outcome.why).to.deep.equal([
      {
        code: "limits-together",
        sources: null,
        raised: [
          { limit: "budget", needed: 10 },
          { limit: "massG", needed: 100 },
        ],
      },
    ]);
  });
});
