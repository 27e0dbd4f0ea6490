import { CATALOGUE } from "../src/lib/data/catalogue.ts";
import loadHighs from "highs";
import { solve as yalps, type Constraint } from "yalps";
import { candidates } from "../src/lib/core/plan/candidates.ts";
import { frontier, frontierLimits, POINTS, quickFrontier } from "../src/lib/core/plan/frontier.ts";
import { greedyPlan, planBound } from "../src/lib/core/plan/greedy.ts";
import { minimise } from "../src/lib/core/plan/minimise.ts";
import { highsSolver } from "../src/lib/core/plan/highsSolver.ts";
import { times, type LinearModel } from "../src/lib/core/plan/linearModel.ts";
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
const timed = <T>(run: () => T): [T, number] => {
  const started = performance.now();
  const value = run();
  return [value, performance.now() - started];
};

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
    const proof: number[] = [];
    const gap: number[] = [];
    let proven = 0;
    for (let seed = 1; seed <= seeds; seed++) {
      const { audit, book } = planCase(size, seed);
      const r: PlanRequest = {
        audit,
        catalogue: CATALOGUE,
        book,
        question: "best",
        target: "ready",
        limits: { ...NO_LIMITS, budget: BUDGET },
        keep: [],
        today: TODAY,
      };
      const [first, quickMs] = timed(() => {
        const greedy = greedyPlan(r);
        planBound(r, solver, greedy.choice);
        return greedy.choice;
      });
      quick.push(quickMs);
      let within: number | null = null;
      const started = performance.now();
      const [outcome, ms] = timed(() =>
        plan(r, solver, (p) => {
          const close = p.best !== undefined && Math.abs(p.best - p.bound!) <= 0.05;
          if (p.stage === "price" && p.best === undefined) within ??= performance.now() - started;
          else if (p.stage === "coverage" && close) within ??= performance.now() - started;
        }),
      );
      proof.push(ms);
      near.push(within ?? ms);
      if (outcome.status === "infeasible") continue;
      if (outcome.status === "optimal") proven++;
      const value = (a: typeof first) => 5 * vitalOf(a.after) + (a.after.coverage ?? 0);
      gap.push(100 * (value(outcome.choice) - value(first)));
    }
    rows[`${size}, ${SIZES[size].join("/")}`] = {
      "quick + bound, ms": Math.round(median(quick)),
      "within 0.05, ms": Math.round(median(near)),
      "proof, ms": Math.round(median(proof)),
      "slowest, ms": Math.round(Math.max(...proof)),
      "proven of": `${proven} of ${seeds}`,
      "greedy behind, points": Math.round(100 * median(gap)) / 100,
    };
  }
  console.table(rows);

  const { audit, book } = planCase("typical", 2);
  const r: PlanRequest = {
    audit,
    catalogue: CATALOGUE,
    book,
    question: "best",
    target: "ready",
    limits: NO_LIMITS,
    keep: [],
    today: TODAY,
  };
  const [, curveMs] = timed(() =>
    quickFrontier({ request: r, axis: "budget", limits: frontierLimits(r, "budget") }),
  );
  const [, frontierMs] = timed(() => frontier(r, "budget", solver));
  console.table({
    [`frontier of ${POINTS} budgets, one thread`]: {
      "quick curve, ms": Math.round(curveMs),
      "refined, ms": Math.round(frontierMs),
    },
  });

  // One and the same programme: all coverage for the budget, first relaxed, then whole.
  const others: Record<string, Record<string, string | number>> = {};
  for (const size of ["small", "typical"] as const) {
    const one = planCase(size, 1);
    const c = candidates({ ...r, ...one });
    const m = planModel(
      c,
      { ...NO_LIMITS, budget: BUDGET },
      modelOptions({ ...r, ...one }, "none"),
    );
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
