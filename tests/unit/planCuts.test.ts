import { expect } from "chai";
import { randomFrom } from "../../bench/planCases.ts";
import { candidates, type Candidates } from "../../src/lib/core/plan/candidates.ts";
import { choiceOf, settle, vitalOf, type Choice } from "../../src/lib/core/plan/choice.ts";
import { cutExchanges, noCuts } from "../../src/lib/core/plan/exchange.ts";
import { dropsUseless } from "../../src/lib/core/plan/leaving.ts";
import { NO_LIMITS } from "../../src/lib/core/plan/limits.ts";
import { valueAt, type Row, type Solver } from "../../src/lib/core/plan/linearModel.ts";
import { minimise } from "../../src/lib/core/plan/minimise.ts";
import { modelOptions } from "../../src/lib/core/plan/modelOptions.ts";
import { planModel } from "../../src/lib/core/plan/planModel.ts";
import type { PlanModel } from "../../src/lib/core/plan/programme.ts";
import type { PlanRequest } from "../../src/lib/core/plan/request.ts";
import { columnsOf } from "../../src/lib/core/plan/warmStart.ts";
import { realSolver } from "./planBuild.ts";
import { MADE } from "./planTryAll.ts";

/**
 * What the audit would exchange is cut off, and nothing else. The rows that keep most of it from happening are
 * taken out of the programme first (servedFirst.ts), or it would hardly ever happen.
 */

let solver: Solver;
before(async () => {
  solver = await realSolver();
});

/** Points of vital coverage that the audit may come to less than the programme says. */
const CLAIMED = 2e-5;

/** A request for the most of vital needs first, no limits but money. */
const asked = (r: PlanRequest): PlanRequest => ({
  ...{ ...r, question: "best", courses: [], keep: [] },
  limits: { ...NO_LIMITS, budget: r.limits.budget },
});

/** Takes out the rows by which a vital need is served only while those before it are full. */
function withoutOrder(m: PlanModel): void {
  const arcs = new Set(m.arcs.map((a) => a.column));
  // A need is full only where what fills it comes to what it asks: Σ units − enough · full ≥ 0.
  const full = new Set(
    m.model.rows.flatMap(({ lower, upper, entries }) => {
      const [y] = entries.at(-1) ?? [-1];
      return lower === 0 && upper === Infinity && m.model.columns[y]?.integer ? [y] : [];
    }),
  );
  const isOrder = ({ entries, upper }: Row) =>
    upper === 0 && entries.length === 2 && arcs.has(entries[0]![0]) && full.has(entries[1]![0]);
  m.model.rows = m.model.rows.filter((row) => !isOrder(row));
}

const isKept = ({ lower, upper, entries }: Row, x: ArrayLike<number>): boolean => {
  const value = valueAt(entries, x);
  const slack = 1e-6 * Math.max(1, ...entries.map(([y, v]) => Math.abs(v * x[y]!)));
  return value >= lower - slack && value <= upper + slack;
};

/** The columns that were made since, as they follow from the rest. */
function extended(m: PlanModel, x: ArrayLike<number>): Float64Array {
  const all = new Float64Array(m.model.columns.length);
  for (let y = 0; y < x.length; y++) all[y] = x[y]!;
  for (const { column, value } of m.follows) if (column >= x.length) all[column] = value(all);
  return all;
}

/** Some plans for the request: packs at random. */
function somePlans(r: PlanRequest, c: Candidates, m: PlanModel, seed: number): Choice[] {
  const random = randomFrom(seed);
  return Array.from({ length: 12 }, () => {
    const purchases = m.packs.flatMap((column, k) => {
      const most = column < 0 ? 0 : m.model.columns[column]!.upper;
      const packs = Math.floor(random() * (most + 1));
      return packs > 0 ? [{ product: c.products[k]!, packs }] : [];
    });
    return settle(purchases, new Set(), new Map(), c, r, dropsUseless(r, r.limits));
  });
}

/** Shared out for the most vital coverage and, that kept, for the most of all. */
function sharedOutFor(m: PlanModel): ArrayLike<number> {
  minimise(m, [
    ...m.vitalCoverage.map(([y, v]) => [y, -1000 * v] as const),
    ...m.coverage.map(([y, v]) => [y, -v] as const),
  ]);
  return solver(m.model, { timeLimitS: 10 }).x;
}

interface Told {
  /** Answers that the audit shares out otherwise, over all kits. */
  rounds: number;
  wrong: string[];
}
const MOST_ROUNDS = 60;

/** Cuts until audit and programme agree on a request; then no plan for it may be cut off. */
function cutUntilAgreed(r: PlanRequest, seed: number, told: Told): void {
  const wrong = (said: string) => told.wrong.push(`${seed}: ${said}`);
  const c = candidates(r);
  const m = planModel(c, r.limits, modelOptions(r, "none"));
  if (m.vitalCoverage.length === 0) return;
  withoutOrder(m);
  const cuts = noCuts();
  const before = m.model.rows.length;
  for (let round = 0; ; round++) {
    const x = sharedOutFor(m);
    const { after } = choiceOf(x, m, c, r, dropsUseless(r, r.limits));
    if (100 * vitalOf(after) >= valueAt(m.vitalCoverage, x) - CLAIMED) break;
    told.rounds++;
    const rows = m.model.rows.length;
    if (!cutExchanges(m, cuts, c, x, after)) return void wrong("nothing is cut off");
    if (round > MOST_ROUNDS) return void wrong("no end");
    const added = m.model.rows.slice(rows);
    // Of what is or is not so, only; the other rows say what is so.
    const patterns = added.filter((row) => row.entries.every(([y]) => m.model.columns[y]!.integer));
    const all = extended(m, x);
    const broken = added.filter((row) => !isKept(row, all));
    if (broken.length !== patterns.length) wrong("a pattern is none of the answer's");
  }
  const made = m.model.rows.slice(before);
  if (made.length === 0) return;
  for (const plan of somePlans(r, c, m, seed)) {
    const x = columnsOf(plan, m, c);
    if (!made.every((row) => isKept(row, x))) wrong("cuts off a plan");
  }
}

describe("what the audit would exchange is cut off, each time all of it, and no plan with it", () => {
  for (const [name, kits, rounds] of [
    ["small kits", 60, 3],
    ["what is less usual", 200, 3],
    ["needs that want the same things", 200, 75],
  ] as const)
    it(`${name}: ${rounds} answers`, () => {
      const told: Told = { rounds: 0, wrong: [] };
      for (let seed = 93_001; seed <= 93_000 + kits; seed++)
        cutUntilAgreed(asked(MADE[name](seed)), seed, told);
      expect(told.wrong).to.deep.equal([]);
      expect(told.rounds).to.equal(rounds);
    }).timeout(120_000);
});
