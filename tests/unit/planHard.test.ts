import { expect } from "chai";
import { planCase } from "../../bench/planCases.ts";
import { candidates, usefulLines, type Candidates } from "../../src/lib/core/plan/candidates.ts";
import { settle, type Choice } from "../../src/lib/core/plan/choice.ts";
import { greedyPlan } from "../../src/lib/core/plan/greedy.ts";
import { dropsUseless } from "../../src/lib/core/plan/leaving.ts";
import { plan } from "../../src/lib/core/plan/plan.ts";
import { portionsOf } from "../../src/lib/core/plan/portions.ts";
import type { PlanRequest } from "../../src/lib/core/plan/request.ts";
import { NO_LIMITS } from "../../src/lib/core/plan/limits.ts";
import type { Solver } from "../../src/lib/core/plan/linearModel.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { auditFile, need, TODAY } from "./build.ts";
import { product, purchasesOf, realSolver, request, solved, untimed } from "./planBuild.ts";
import { brokenLimit, isBetter, levelsOfChoice, MADE } from "./planTryAll.ts";

let solver: Solver;
before(async () => {
  solver = await realSolver();
});

/** The best that a budget buys for a made-up kit; the audit is asked again in each of them. */
const bestFor = (seed: number, budget: number) => {
  const asked = { question: "best", target: "ready", keep: [], today: TODAY } as const;
  const limits = { ...NO_LIMITS, budget };
  let solved = 0;
  let toProof = Infinity;
  const outcome = plan(
    { ...planCase("small", seed), ...asked, limits, catalogue: CATALOGUE },
    (model, how) => {
      solved++;
      return solver(model, how);
    },
    ({ proven }) => {
      if (proven) toProof = Math.min(toProof, solved);
    },
  );
  return { outcome, toProof };
};

describe("a plan that the audit itself checks", () => {
  // Here the audit shares out otherwise than the programme's answers: each is cut off, and the gap to the best
  // that may still be there narrows. Without the cut the same answer comes back: 3.83.
  it("cuts off what the audit refuses", () => {
    const best = bestFor(26, 60).outcome;
    if (best.status === "infeasible") throw new Error("buying nothing is always a plan");
    expect(best.gap).to.be.at.most(3.45);
  });
  // A line that would rather serve a core need cannot be counted on for a vital one: known beforehand
  // (servedFirst.ts) nothing has to be cut off. Without it the proof takes 11 to 15 programmes.
  for (const [seed, budget] of [
    [7, 20],
    [15, 20],
  ] as const)
    it(`counts on a line for a vital need only when what it would rather serve is full (kit ${seed})`, () => {
      const { outcome, toProof } = bestFor(seed, budget);
      expect(outcome).to.deep.include({ status: "optimal", gap: 0 });
      expect(toProof).to.be.at.most(9);
    });
});

describe("between plans of one price", () => {
  // Four pads: one pack of four, or two of two; same price, same mass, same coverage.
  const file = auditFile(
    [need("pads", "medium-wound-pad", { tier: "core", quantity: { base: 4 } })],
    [],
  );
  const four = product("four", "gauze-pad", 4, 4);
  const two = product("two", "gauze-pad", 2, 2);
  for (const products of [
    [four, two],
    [two, four],
  ])
    it(`fewer packs are bought, whichever stands first (${products[0]!.id})`, () =>
      expect(purchasesOf(solved(request(file, products), solver))).to.deep.equal(["1 four"]));
});

describe("the way of a search", () => {
  // Programmes solved for 40 kits together: what is cut off too weakly, or asked where it was known, takes more.
  // A change of the search changes them; then say why in its place.
  for (const [name, programmes] of [
    ["small kits", 146],
    ["packs of several sizes", 186],
    ["what is less usual", 154],
    ["needs that want the same things", 247],
  ] as const)
    it(`${name}: proven by ${programmes} programmes, and what is told on the way is so`, () => {
      let solvedSoFar = 0;
      const wrong: string[] = [];
      for (let seed = 95_001; seed <= 95_040; seed++) {
        const r = { ...MADE[name](seed), courses: [] };
        let shareBefore = 0;
        const outcome = plan(
          r,
          untimed((model, options) => {
            solvedSoFar++;
            return solver(model, options);
          }),
          ({ stage, share, best, bound }) => {
            // Where limits are tried again, it begins anew.
            if (stage === "first") shareBefore = 0;
            if (share < 0.1 || share > 1 || share < shareBefore - 0.75)
              wrong.push(`${seed} ${share}`);
            shareBefore = share;
            if (best === undefined || bound === undefined || Math.abs(best) > 1e9) return;
            const isMost = stage === "coverage" || stage === "vital";
            const off = isMost ? bound - best : best - bound;
            if (off < -1e-3) wrong.push(`${seed} ${stage}: ${best} is past ${bound}`);
          },
        );
        if (outcome.status === "feasible") wrong.push(`${seed} is not proven`);
      }
      expect(wrong).to.deep.equal([]);
      expect(solvedSoFar).to.equal(programmes);
    });
});

describe("a plan found without the programme", () => {
  // Of 60 kits each: how many are found, and of how many the first two levels are the best there are.
  for (const [name, best, found] of [
    ["small kits", 32, 32],
    ["packs of several sizes", 53, 57],
    ["what is less usual", 22, 27],
    ["needs that want the same things", 36, 53],
  ] as const)
    it(`${name}: ${best} of ${found} are the best`, () => {
      const counts = { best: 0, found: 0 };
      for (let seed = 96_001; seed <= 96_060; seed++) {
        const r = { ...MADE[name](seed), courses: [] };
        const quick = greedyPlan(r);
        if (!quick.reaches) continue;
        const [is, could] = [quick.choice, solved(r, solver).choice].map((choice) =>
          levelsOfChoice(choice, r.question).slice(0, 2),
        );
        counts.found++;
        if (!isBetter(could!, is!)) counts.best++;
      }
      expect(counts).to.deep.equal({ best, found });
    });
});

describe("what stays at home under a limit", () => {
  /** The plan with one step more carried of a line that stays at home or is repacked; null: it is no such line. */
  function withOneMore(r: PlanRequest, c: Candidates, choice: Choice, l: number): Choice | null {
    const { line, type } = c.context.lines[l]!;
    const kept = choice.repacked.find((p) => p.line === line.id)?.kept;
    if (!type || (kept === undefined && !choice.dropped.includes(line.id))) return null;
    const portions = usefulLines(c).has(l) ? portionsOf(line, type) : null;
    if (!portions) return null;
    const indexOf = (id: string) => r.audit.kit.lines.findIndex((x) => x.id === id);
    const left = new Set(choice.dropped.map(indexOf));
    const parts = new Map(choice.repacked.map((p) => [indexOf(p.line), p.kept]));
    left.delete(l);
    const had = c.supply[l]!;
    const steps = kept === undefined ? portions.steps : Math.round((had - kept) / portions.step);
    if (steps > 1) parts.set(l, had - (steps - 1) * portions.step);
    else parts.delete(l);
    const bought = [...choice.purchases, ...choice.brought];
    return settle(bought, left, parts, c, r, dropsUseless(r, r.limits));
  }
  it("is no more than the limit asks for: one step more of anything breaks it, or makes the plan worse", () => {
    const wrong: string[] = [];
    let tried = 0;
    for (const name of ["small kits", "needs that want the same things"] as const)
      for (let seed = 97_001; seed <= 97_100; seed++) {
        const r = { ...MADE[name](seed), courses: [] };
        if (r.question !== "best" && r.question !== "cheapest") continue;
        const outcome = plan(r, solver);
        if (outcome.status === "infeasible") continue;
        const c = candidates(r);
        for (let l = 0; l < c.firstProduct; l++) {
          const more = withOneMore(r, c, outcome.choice, l);
          if (!more) continue;
          tried++;
          const [is, other] = [outcome.choice, more].map((x) => levelsOfChoice(x, r.question));
          const isKept = brokenLimit(more, r.limits) === null;
          if (isKept && !isBetter(is!, other!)) wrong.push(`${seed}: line ${l} could stay`);
        }
      }
    expect(wrong).to.deep.equal([]);
    expect(tried).to.be.greaterThan(20);
  });
});
