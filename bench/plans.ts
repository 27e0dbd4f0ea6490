import { CATALOGUE } from "../src/lib/data/catalogue.ts";
import loadHighs from "highs";
import { solve as yalps, type Constraint } from "yalps";
import { candidates } from "../src/lib/core/plan/candidates.ts";
import {
  frontier,
  frontierLimits,
  GAP,
  POINTS,
  quickFrontier,
} from "../src/lib/core/plan/frontier.ts";
import { planBound } from "../src/lib/core/plan/bound.ts";
import { greedyPlan } from "../src/lib/core/plan/greedy.ts";
import { minimise } from "../src/lib/core/plan/minimise.ts";
import { highsSolver } from "../src/lib/core/plan/highsSolver.ts";
import { times, type LinearModel, type Solver } from "../src/lib/core/plan/linearModel.ts";
import { plan } from "../src/lib/core/plan/plan.ts";
import { vitalOf } from "../src/lib/core/plan/choice.ts";
import type { PlanRequest } from "../src/lib/core/plan/request.ts";
import { NO_LIMITS } from "../src/lib/core/plan/limits.ts";
import { modelOptions } from "../src/lib/core/plan/modelOptions.ts";
import { planModel } from "../src/lib/core/plan/planModel.ts";
import { planCase, SIZES } from "./planCases.ts";

/** Plans of made-up kits: the exact one against a greedy one and against another open solver. */

const TODAY = "2026-11-26";
const BUDGET = 60;
/** The other solver gets so long for one programme; it seldom has an answer even then. */
const OTHER_LIMIT_MS = 10_000;

const median = (n: number[]) => [...n].sort((a, b) => a - b)[Math.floor(n.length / 2)]!;
const mean = (n: number[]) => n.reduce((a, b) => a + b, 0) / n.length;
const timed = <T>(run: () => T): [T, number] => {
  const started = performance.now();
  const value = run();
  return [value, performance.now() - started];
};

/** The best that a made-up kit can be for a budget; null: for any. */
const best = (made: ReturnType<typeof planCase>, budget: number | null): PlanRequest => ({
  ...made,
  ...{ catalogue: CATALOGUE, question: "best", target: "ready", keep: [], today: TODAY },
  limits: { ...NO_LIMITS, budget },
});

/** A coin, or gram, is a thousandth of neither: what the limits and loads are rounded to. */
const ROUNDED = 1e-6;

/** Curves of typical kits: quick points possible under their own limit, exact ones near enough, one thread. */
function benchCurves(solver: Solver): void {
  const rows: Record<string, Record<string, string | number>> = {};
  for (const axis of ["budget", "mass"] as const) {
    const quickMs: number[] = [];
    const seconds: number[] = [];
    let [points, near, quickPoints, possible] = [0, 0, 0, 0];
    for (let seed = 1; seed <= 5; seed++) {
      const r = best(planCase("typical", seed), null);
      const limits = frontierLimits(r, axis);
      const [quick, ms] = timed(() => quickFrontier({ request: r, axis, limits }));
      quickMs.push(ms);
      quickPoints += quick.length;
      possible += quick.filter(
        (p) => (axis === "budget" ? p.price : p.massG) <= p.limit + ROUNDED,
      ).length;
      const before = process.cpuUsage();
      const { points: exact } = frontier(r, axis, solver);
      const used = process.cpuUsage(before);
      seconds.push((used.user + used.system) / 1e6);
      points += exact.length;
      near += exact.filter((p) => 100 * (p.bound - p.coverage) <= GAP + ROUNDED).length;
    }
    rows[`${POINTS} limits of ${axis}, 5 typical kits`] = {
      "quick curve, ms": Math.round(median(quickMs)),
      "quick points possible": `${possible} of ${quickPoints}`,
      "exact, s of one core": Math.round(10 * median(seconds)) / 10,
      "slowest, s": Math.round(10 * Math.max(...seconds)) / 10,
      [`within ${GAP} points`]: `${near} of ${points}`,
    };
  }
  console.table(rows);
}

/** The same programme as the other solver takes it. */
function forYalps(model: LinearModel) {
  const constraints = new Map<string, Constraint>();
  const variables = model.columns.map((c, x): [string, [string, number][]] => {
    const own: [string, number][] = [["cost", c.cost]];
    if (c.upper < Infinity) {
      constraints.set(`u${x}`, { max: c.upper });
      own.push([`u${x}`, 1]);
    }
    return [`x${x}`, own];
  });
  model.rows.forEach((row, i) => {
    constraints.set(`r${i}`, {
      ...(row.upper < Infinity ? { max: row.upper } : {}),
      ...(row.lower > -Infinity ? { min: row.lower } : {}),
    });
    for (const [x, v] of row.entries) variables[x]![1].push([`r${i}`, v]);
  });
  return {
    direction: "minimize" as const,
    objective: "cost",
    constraints,
    variables: new Map(variables),
    integers: model.columns.flatMap((c, x) => (c.integer ? [`x${x}`] : [])),
  };
}

export async function benchPlans(): Promise<void> {
  const solver = highsSolver(await loadHighs());
  const rows: Record<string, Record<string, string | number>> = {};
  for (const [size, seeds] of [
    ["typical", 7],
    ["large", 3],
  ] as const) {
    const quick: number[] = [];
    const near: number[] = [];
    const proofs: number[] = [];
    const ties: number[] = [];
    const gap: number[] = [];
    const vitalGap: number[] = [];
    let proven = 0;
    for (let seed = 1; seed <= seeds; seed++) {
      const r = best(planCase(size, seed), BUDGET);
      const [first, quickMs] = timed(() => {
        const greedy = greedyPlan(r);
        planBound(r, solver, greedy.choice);
        return greedy.choice;
      });
      quick.push(quickMs);
      let within: number | null = null;
      let proof: number | null = null;
      const started = performance.now();
      const [outcome, ms] = timed(() =>
        plan(r, solver, (p) => {
          if (p.proven) proof = performance.now() - started;
          const close = p.best !== undefined && Math.abs(p.best - p.bound!) <= 0.05;
          if (p.stage === "price" && p.best === undefined) within ??= performance.now() - started;
          else if (p.stage === "coverage" && close) within ??= performance.now() - started;
        }),
      );
      proofs.push(proof ?? ms);
      ties.push(ms);
      near.push(within ?? ms);
      if (outcome.status === "infeasible") continue;
      if (outcome.status === "optimal") proven++;
      const { after } = outcome.choice;
      vitalGap.push(100 * (vitalOf(after) - vitalOf(first.after)));
      gap.push(100 * ((after.coverage ?? 0) - (first.after.coverage ?? 0)));
    }
    rows[`${size}, ${SIZES[size].join("/")}`] = {
      "quick + bound, ms": Math.round(median(quick)),
      "within 0.05, ms": Math.round(median(near)),
      "proof, ms": Math.round(median(proofs)),
      "slowest, ms": Math.round(Math.max(...proofs)),
      "ties too, ms": Math.round(median(ties)),
      "proven of": `${proven} of ${seeds}`,
      "quick behind in the mean, points": Math.round(100 * mean(gap)) / 100,
      "vital ones": Math.round(100 * mean(vitalGap)) / 100,
    };
  }
  console.table(rows);

  benchCurves(solver);

  // One and the same programme: all coverage for the budget, first relaxed, then whole.
  const others: Record<string, Record<string, string | number>> = {};
  for (const size of ["small", "typical"] as const) {
    const r = best(planCase(size, 1), BUDGET);
    const c = candidates(r);
    const m = planModel(c, r.limits, modelOptions(r, "none"));
    minimise(m, times(m.coverage, -1));
    const [exact, exactMs] = timed(() => solver(m.model));
    const given = forYalps(m.model);
    const [relaxed, relaxedMs] = timed(() => yalps({ ...given, integers: [] }));
    const [whole, wholeMs] = timed(() => yalps(given, { timeout: OTHER_LIMIT_MS }));
    others[size] = {
      "ours, points": Math.round(-exact.objective * 100) / 100,
      "ours, ms": Math.round(exactMs),
      "yalps relaxed, points": Math.round(-relaxed.result * 100) / 100,
      "yalps relaxed, ms": Math.round(relaxedMs),
      "yalps whole": Number.isFinite(whole.result)
        ? `${Math.round(-whole.result * 100) / 100} (${whole.status})`
        : `none (${whole.status})`,
      "yalps whole, ms": Math.round(wholeMs),
    };
  }
  console.table(others);
}
