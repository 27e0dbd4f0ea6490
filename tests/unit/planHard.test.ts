import { expect } from "chai";
import { planCase } from "../../bench/planCases.ts";
import { greedyPlan } from "../../src/lib/core/plan/greedy.ts";
import { plan } from "../../src/lib/core/plan/plan.ts";
import { NO_LIMITS } from "../../src/lib/core/plan/limits.ts";
import type { Solver } from "../../src/lib/core/plan/linearModel.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { auditFile, need, TODAY } from "./build.ts";
import { product, purchasesOf, realSolver, request, solved } from "./planBuild.ts";
import {
  caseOdd,
  casePacks,
  caseRivals,
  isBetter,
  levelsOfChoice,
  smallCase,
} from "./planTryAll.ts";

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
  // In these the audit shares out otherwise than the programme's answers: each is cut off, and the gap
  // to the best that may still be there narrows. Without the cut the same answer comes back: 3.33, 3.83.
  for (const [seed, budget, gap] of [
    [4, 20, 2.51],
    [26, 60, 3.45],
  ] as const)
    it(`cuts off what the audit refuses (kit ${seed}, budget ${budget})`, () => {
      const best = bestFor(seed, budget).outcome;
      if (best.status === "infeasible") throw new Error("buying nothing is always a plan");
      expect(best.gap).to.be.at.most(gap);
    });
  // A line that would rather serve a core need cannot be counted on for a vital one: known beforehand
  // (servedFirst.ts) nothing has to be cut off. Without it the proof takes 11 to 15 programmes.
  for (const [seed, budget] of [
    [7, 20],
    [9, 20],
    [15, 20],
    [44, 20],
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

describe("programmes to solve until a plan is proven", () => {
  // Of 40 kits together. What is cut off too weakly, or asked where it was known, takes more.
  for (const [name, made, most] of [
    ["small kits", smallCase, 163],
    ["packs of several sizes", casePacks, 203],
    ["what is less usual", caseOdd, 176],
    ["needs that want the same things", caseRivals, 250],
  ] as const)
    it(`${name}: at most ${most}`, () => {
      let programmes = 0;
      for (let seed = 95_001; seed <= 95_040; seed++)
        // Without a limit on time it is the same on any machine.
        plan(made(seed), (model, { timeLimitS: _, ...options } = {}) => {
          programmes++;
          return solver(model, options);
        });
      expect(programmes).to.be.at.most(most);
    });
});

describe("a plan found without the programme", () => {
  // Of 100 kits each, where one is found and there is a best: the first two levels are the best there are.
  for (const [name, made, share] of [
    ["small kits", smallCase, 51 / 53],
    ["packs of several sizes", casePacks, 86 / 93],
    ["what is less usual", caseOdd, 43 / 49],
    ["needs that want the same things", caseRivals, 56 / 77],
  ] as const)
    it(`${name}: mostly as good as the best`, () => {
      let found = 0;
      let best = 0;
      for (let seed = 96_001; seed <= 96_100; seed++) {
        const r = { ...made(seed), courses: [] };
        const quick = greedyPlan(r);
        if (!quick.reaches) continue;
        const [is, could] = [quick.choice, solved(r, solver).choice].map((choice) =>
          levelsOfChoice(choice, r.question).slice(0, 2),
        );
        found++;
        if (!isBetter(could!, is!)) best++;
      }
      expect(best / found).to.be.at.least(share);
    });
});
