import type { Candidates } from "./candidates.ts";
import { choiceOf, vitalOf, type Choice } from "./choice.ts";
import { cutExchanges, noCuts } from "./exchange.ts";
import { forbid } from "./forbid.ts";
import { greedyPlan } from "./greedy.ts";
import { dropsUseless, type Leaving } from "./leaving.ts";
import type { Limits } from "./limits.ts";
import { addRow, times, valueAt, type Entries, type Solved, type Solver } from "./linearModel.ts";
import { minimise } from "./minimise.ts";
import { modelOptions } from "./modelOptions.ts";
import { cheapestSizes, inSmallest, packSizes, smallestOnly } from "./packSizes.ts";
import { planModel } from "./planModel.ts";
import type { PlanModel } from "./programme.ts";
import { mayLeaveFreely, type PlanRequest } from "./request.ts";
import {
  askTarget,
  fewestProducts,
  levelsOf,
  lightest,
  stretchesOf,
  type Level,
  type Measured,
  type Stage,
  type Stretch,
  type Tie,
} from "./stages.ts";
import { columnsOf } from "./warmStart.ts";
import { atLeast } from "../base/tolerance.ts";

export type Progress = (step: {
  readonly stage: Stage;
  readonly share: number;
  /** The best found and what none can better, in the stage's measure. */
  readonly best?: number;
  readonly bound?: number;
  /** Proven by the levels of the question; what is sought yet is the lightest of equally good ones. */
  readonly proven?: Choice;
}) => void;

export interface Found {
  readonly status: "optimal" | "feasible";
  readonly choice: Choice;
  /** What the plan may still be from the best in `gapIn`: 0 when proven. */
  readonly gap: number;
  readonly gapIn: Measured;
  /** Whether no equally good plan weighs less, or as much with fewer products. */
  readonly tiesProven: boolean;
  /** No plan that does as much for the levels before it covers more, 0–100. */
  readonly mostCoverage: number;
  /** Whether the audit shared out nothing otherwise than the programme, so that its bounds are the programme's own. */
  readonly uncut: boolean;
}

/** What may be asked of a search beside its request. */
export interface SearchTask {
  readonly request: PlanRequest;
  readonly c: Candidates;
  readonly limits: Limits;
  readonly leave: Leaving;
  readonly solver: Solver;
  readonly progress: Progress;
  /** `performance.now()` at which the best found is given. */
  readonly until: number;
  /** Of a point of a curve: so many points of coverage (0–100) off is near enough, and ties do not matter. */
  readonly within?: number;
  /** No plan under these limits is better than this one, which may break them. */
  readonly unlimited?: Choice | undefined;
  /** Whether the plan found will do; where not, it is not worth finishing. */
  readonly wanted?: ((choice: Choice) => boolean) | undefined;
}

/** Plans that the audit shares out otherwise are cut off so often; more than this never occurred. */
const MOST_CUTS = 200;
/** A lighter one of equally good plans is sought so long by itself before it is asked whether there is one. */
const MOMENT_S = 0.1;
/** And so long in all: it is a matter of grams. */
const TIES_S = 2;
/** Putting back what need not stay at home: the packs are decided, so it is a small question. */
const BACK_S = 2;

/**
 * The best plan under these limits: one level after another, each held while the next is bettered. What
 * the audit shares out otherwise, so that it does not do what the programme claims, is cut off and sought
 * again. `none`: there is no plan. `late`: none was found in time.
 */
export function search(task: SearchTask): Found | "none" | "late" {
  const run = new Run(task);
  const { levels, stretches } = run;
  if (task.unlimited) run.leaveFrom(task.unlimited);
  const settled = new Set<Level>();
  // Of those that settle two levels, the one that closes the tree fastest.
  const closing = stretches.find((s) => s.settles.length > 1) ?? stretches.at(-1)!;
  for (const [i, stretch] of stretches.entries()) {
    if (stretch.settles.length > 0 && stretch.settles.every((l) => settled.has(l))) continue;
    const level = stretch.settles[0] ?? levels[0]!;
    if (stretch.settles.length > 1 && run.isHadForTheMoney(stretches, level)) {
      // A curve needs no more.
      if (task.within !== undefined) break;
      run.hold(level);
      settled.add(level);
      continue;
    }
    const gap = run.better(stretch, level, 0.1 + (0.8 * i) / (stretches.length + 1));
    if (gap === "none" || gap === "late") return gap;
    const choice = run.best!.choice;
    if (gap > 0) {
      const most = Math.min(gap, level.valueOf(choice) - level.least);
      return {
        ...{ status: "feasible", choice, gap: Math.abs(level.scale) * most, gapIn: level.of },
        ...{ tiesProven: false, mostCoverage: run.mostCoverage, uncut: run.uncut },
      };
    }
    if (task.within !== undefined && level.of === "coverage") break;
    if (!stretch.isSettled(choice)) continue;
    for (const l of stretch.settles) run.hold(l);
    for (const l of stretch.settles) settled.add(l);
  }
  const isWanted = task.wanted?.(run.best!.choice) !== false;
  const tiesProven =
    isWanted && task.within === undefined && run.settleTies(closing, TIES_S * 1000);
  if (isWanted) run.putBack();
  const { choice } = run.best!;
  const { mostCoverage, uncut } = run;
  const proven = { status: "optimal", choice, gap: 0, gapIn: levels[0]!.of } as const;
  return { ...proven, tiesProven, mostCoverage, uncut };
}

/** A plan and its values of the programme's columns. */
interface Held {
  readonly choice: Choice;
  readonly x: ArrayLike<number>;
}

/** One search: the programme, what has been cut off, and the best so far. */
class Run {
  readonly levels: readonly Level[];
  readonly stretches: readonly Stretch[];
  best: Held | null = null;
  /** 0–100. */
  mostCoverage = 100;
  uncut = true;
  readonly #task: SearchTask;
  readonly #m: PlanModel;
  readonly #asked: Asked;
  readonly #cuts = noCuts();
  #until: number;
  #boundForAnyMoney: number | undefined;

  constructor(task: SearchTask) {
    const { request, c, limits, until } = task;
    this.#task = task;
    this.#until = until;
    const { m, asked } = modelFor(task);
    this.#m = m;
    this.#asked = asked;
    this.levels = levelsOf(request, m, c);
    this.stretches = stretchesOf(request, this.levels, limits, (entries) => {
      minimise(m, entries);
      return task.solver(m.model, { relaxed: true }).x;
    });
    if (mayLeaveFreely(request.question)) return;
    // A search that starts from something is the shorter.
    const quick = greedyPlan({ ...request, limits }, c);
    if (quick.reaches) this.best = { choice: quick.choice, x: columnsOf(quick.choice, m, c) };
  }

  /** What is settled of a level is kept while the next is sought. */
  hold(level: Level): void {
    const value = level.valueOf(this.best!.choice);
    addRow(this.#m.model, { upper: value + level.slack, entries: level.entries });
  }

  /** Betters a stretch until nothing can be better. @returns how far the best may still be from that */
  better(stretch: Stretch, level: Level, share: number): number | "none" | "late" {
    const { progress } = this.#task;
    progress({ stage: level.of, share });
    const scale = level.scale / stretch.factor;
    const onStep = (found: number, least: number) =>
      progress({ stage: level.of, share, best: scale * found, bound: scale * least });
    const value = () => (this.best ? stretch.valueOf(this.best.choice) : Infinity);
    const enough = this.#enough(stretch);
    const alone = level.of === "coverage" && stretch.factor === 1;
    if (this.#isKnownBest(stretch, level)) {
      if (level.of === "coverage") this.#noneCoversMore(-level.valueOf(this.best!.choice));
      return 0;
    }
    let bound = alone ? this.#moneyNoObject(stretch, onStep) : stretch.least;
    for (let round = 0; round <= MOST_CUTS; round++) {
      if (value() - bound <= enough || this.#isFull(level)) return 0;
      const solved = this.#solve(stretch.entries, { gap: enough, onStep });
      if (solved === null) break;
      if (solved.status === "infeasible") return this.best ? 0 : "none";
      bound = Math.max(bound, solved.bound);
      if (level.of === "coverage") this.#noneCoversMore(stretch.slack - bound / stretch.factor);
      if (solved.x.length === 0) break;
      const before = value();
      const agreed = this.#take(
        solved.x,
        (choice) => stretch.valueOf(choice) <= before + stretch.tolerance,
      );
      if (solved.status === "time-limit") break;
      if (agreed) return 0;
    }
    return this.best ? Math.max(0, value() - bound) / stretch.factor : "late";
  }

  /**
   * The packs of a plan without limits on the load, with as little left at home as keeps them: where that does
   * as much, nothing is better.
   */
  leaveFrom(unlimited: Choice): void {
    const m = this.#m;
    const free = this.#fix(m.packs, columnsOf(unlimited, m, this.#task.c));
    const { rows } = m.model;
    const before = rows.length;
    for (const l of this.levels)
      addRow(m.model, { upper: l.valueOf(unlimited) + l.slack, entries: l.entries });
    const solved = this.#solve(m.leftMass, { atMostS: BACK_S, afresh: true });
    rows.length = before;
    free();
    if (solved?.x.length === m.model.columns.length) this.#take(solved.x, () => true);
  }

  #withoutBudget<T>(work: () => T): T {
    const { budget } = this.#m;
    if (!budget) return work();
    const { upper } = budget;
    budget.upper = Infinity;
    const result = work();
    budget.upper = upper;
    return result;
  }

  /** Proof enough when bound and value are so near. */
  #enough({ tolerance, factor }: Stretch): number {
    return Math.max(tolerance, (this.#task.within ?? 0) * factor);
  }

  /** @param points 0–100 */
  #noneCoversMore(points: number): void {
    this.mostCoverage = Math.min(this.mostCoverage, points);
  }

  /** Whether the best found does as much as the plan without limits, up to the last level of the stretch. */
  #isKnownBest(stretch: Stretch, level: Level): boolean {
    const { unlimited } = this.#task;
    const { best } = this;
    if (!unlimited || !best) return false;
    const upTo = this.levels.indexOf(stretch.settles.at(-1) ?? level);
    return this.levels
      .slice(0, upTo + 1)
      .every((l) => l.valueOf(best.choice) <= l.valueOf(unlimited) + l.tolerance);
  }

  /**
   * Whether the budget buys as much coverage as could be had for any money: tried where it hardly lowers the
   * relaxation, before coverage and price are sought together.
   */
  isHadForTheMoney(stretches: readonly Stretch[], level: Level): boolean {
    const { budget } = this.#m;
    const alone = stretches.find((s) => s.settles.length === 1 && s.settles[0] === level);
    if (level.of !== "coverage" || !budget || !alone || !this.best) return false;
    if (this.#isKnownBest(alone, level)) return true;
    const relaxed = () => {
      minimise(this.#m, alone.entries);
      return this.#task.solver(this.#m.model, { relaxed: true }).objective;
    };
    const within = relaxed();
    if (!(within - this.#withoutBudget(relaxed) <= HARDLY)) return false;
    const bound = this.#moneyNoObject(alone);
    return alone.valueOf(this.best.choice) - bound <= this.#enough(alone);
  }

  /**
   * What could be had if money were no object: several packs of a small size do what one of a larger does,
   * so only the smallest of each is looked at. What is found is bought as cheaply as it can be; where the
   * budget buys it, it is the best.
   * @returns a bound; asked again, the same
   */
  #moneyNoObject(stretch: Stretch, onStep?: OnStep): number {
    return (this.#boundForAnyMoney ??= this.#soughtForAnyMoney(stretch, onStep));
  }

  #soughtForAnyMoney(stretch: Stretch, onStep?: OnStep): number {
    const m = this.#m;
    const gap = this.#enough(stretch);
    const sizes = packSizes(m);
    if (sizes.length === 0) return stretch.least;
    const prices = new Map(m.price);
    let bound = stretch.least;
    let last = "";
    for (let round = 0; round <= MOST_CUTS; round++) {
      const before = this.best ? stretch.valueOf(this.best.choice) : Infinity;
      if (before - bound <= gap) break;
      const again = smallestOnly(m, sizes);
      const start = (x: ArrayLike<number>) => inSmallest(x, sizes);
      const solved = this.#withoutBudget(() =>
        this.#solve(stretch.entries, { gap, onStep, start }),
      );
      again();
      if (solved === null || solved.status === "infeasible") break;
      bound = Math.max(bound, solved.bound);
      this.#noneCoversMore(-bound);
      if (solved.x.length === 0) break;
      const x = cheapestSizes(solved.x, sizes, (column) => prices.get(column) ?? 0);
      const agreed = this.#take(x, (c) => stretch.valueOf(c) <= before + stretch.tolerance);
      const packs = m.packs.map((y) => (y < 0 ? 0 : x[y])).join(" ");
      // What was cut off as these packs alone comes again in the smallest.
      if (agreed || solved.status === "time-limit" || packs === last) break;
      last = packs;
    }
    return bound;
  }

  /**
   * The lightest of equally good plans, and of those one with the fewest products: sought for a moment by
   * that alone; then it is asked whether there is a better one, by the objective that found the plan, which
   * closes the same tree as fast again.
   * @returns whether there is none
   */
  settleTies(closing: Stretch, forMs: number): boolean {
    this.#until = Math.min(this.#task.until, performance.now() + forMs);
    this.#task.progress({ stage: "mass", share: 0.85, proven: this.best!.choice });
    return [lightest, fewestProducts].every((of) => {
      const tie = of(this.#m);
      const isProven = this.#settle(tie, closing);
      const held = valueOf(tie, this.#again(this.best!));
      addRow(this.#m.model, { upper: held + tie.step / 4, entries: tie.entries });
      return isProven;
    });
  }

  #settle(tie: Tie, closing: Stretch): boolean {
    const { model } = this.#m;
    for (let round = 0; round <= MOST_CUTS; round++) {
      const held = valueOf(tie, this.#again(this.best!));
      const better = this.#solve(tie.entries, { gap: tie.step / 2, atMostS: MOMENT_S });
      if (better === null) return false;
      if (better.x.length > 0 && valueOf(tie, better.x) < held - tie.step / 2) {
        const agreed = this.#take(better.x, () => true);
        if (agreed && better.status === "optimal") return true;
        continue;
      }
      if (better.status !== "time-limit") return true;
      addRow(model, { upper: held - tie.step, entries: tie.entries });
      const other = this.#solve(closing.entries, { gap: ANY, afresh: true });
      model.rows.length--;
      if (other?.status === "infeasible") return true;
      if (!other || other.x.length === 0) return false;
      this.#take(other.x, () => true);
    }
    return false;
  }

  /** With the packs decided: as little as may be stays at home. */
  putBack(): void {
    const { model, leftMass, packs } = this.#m;
    if (leftMass.length === 0) return;
    this.#until = performance.now() + BACK_S * 1000;
    const x = this.#again(this.best!);
    const free = this.#fix(packs, x);
    const solved = this.#solve(leftMass, {});
    free();
    if (!solved || solved.x.length < model.columns.length) return;
    if (valueAt(leftMass, solved.x) < valueAt(leftMass, x))
      this.#take(solved.x, (after) => this.#isAsGood(after));
  }

  /** Vital coverage that cannot be better. */
  #isFull(level: Level): boolean {
    const { best } = this;
    return (
      level.of === "vital" && !!best && level.valueOf(best.choice) <= level.least + level.tolerance
    );
  }

  #isAsGood(choice: Choice): boolean {
    return this.levels.every(
      (l) => l.valueOf(choice) <= l.valueOf(this.best!.choice) + l.tolerance,
    );
  }

  /** null: no time is left. */
  #solve(
    entries: Entries,
    {
      gap,
      onStep,
      atMostS = Infinity,
      afresh = false,
      start: from = (x) => x,
    }: {
      gap?: number;
      onStep?: OnStep;
      atMostS?: number;
      afresh?: boolean;
      start?: (x: ArrayLike<number>) => ArrayLike<number>;
    },
  ): Solved | null {
    const timeLimitS = Math.min(atMostS, (this.#until - performance.now()) / 1000);
    if (timeLimitS <= 0) return null;
    minimise(this.#m, entries);
    const start = this.best && !afresh ? from(this.#again(this.best)) : undefined;
    return this.#task.solver(this.#m.model, { start, timeLimitS, onStep, gap });
  }

  /**
   * Audits a solution, and takes it for the best where it is `better`. What the audit shares out otherwise
   * is cut off.
   * @returns whether the audit agrees
   */
  #take(x: ArrayLike<number>, better: (choice: Choice) => boolean): boolean {
    const { request, c } = this.#task;
    const m = this.#m;
    const { limits } = this.#task;
    const choice = choiceOf(x, m, c, request, dropsUseless(request, limits));
    const isWithin = limits.budget === null || choice.price <= limits.budget + MONEY_SLACK;
    if (this.#asked.holds(choice, x)) {
      if (isWithin && (!this.best || better(choice))) this.best = { choice, x };
      return true;
    }
    this.uncut = false;
    // It may be the best so far all the same.
    const { best } = this;
    if (
      isWithin &&
      request.question === "best" &&
      (!best || isRather(choice, best.choice, this.levels))
    )
      this.best = { choice, x: columnsOf(choice, m, c) };
    if (!cutExchanges(m, this.#cuts, c, this.#inOrder(x), choice.after)) forbid(m, x);
    return false;
  }

  /** The same packs and lines left, shared out for the most coverage that leaves vital needs what they have. */
  #inOrder(x: ArrayLike<number>): ArrayLike<number> {
    const { model, packs, left, vitalCoverage, coverage } = this.#m;
    const free = this.#fix([...packs, ...left.map((l) => l?.column ?? -1)], x);
    const vital = valueAt(vitalCoverage, x);
    addRow(model, { lower: vital - VITAL_SLACK, entries: vitalCoverage });
    minimise(this.#m, times(coverage, -1));
    const solved = this.#task.solver(model, { timeLimitS: 1 });
    model.rows.length--;
    free();
    return solved.x.length === model.columns.length ? solved.x : x;
  }

  /** Holds columns at their values. @returns what lets them go again */
  #fix(columns: readonly number[], x: ArrayLike<number>): () => void {
    const { model } = this.#m;
    const held = columns.filter((y) => y >= 0).map((y) => ({ ...model.columns[y]!, y }));
    for (const { y } of held) model.columns[y]!.lower = model.columns[y]!.upper = Math.round(x[y]!);
    return () => {
      for (const { y, lower, upper } of held) Object.assign(model.columns[y]!, { lower, upper });
    };
  }

  /** Values for columns that have been added since. */
  #again({ x }: Held): ArrayLike<number> {
    const { model, follows } = this.#m;
    if (x.length === model.columns.length) return x;
    const all = new Float64Array(model.columns.length);
    for (let y = 0; y < x.length; y++) all[y] = x[y]!;
    for (const { column, value } of follows) if (column >= x.length) all[column] = value(all);
    return all;
  }
}

/** Any answer will do. */
const ANY = 1e20;

/** Whole numbers come back but for the solver's tolerance. */
const valueOf = (tie: Tie, x: ArrayLike<number>): number =>
  tie.entries.reduce((s, [y, v]) => s + v * Math.round(x[y]!), 0);

/** Points of coverage: where the budget costs the relaxation more, it costs the plan something too, most likely. */
const HARDLY = 0.1;
/** Prices are rounded to the minor unit; sums of them are off by no more. */
const MONEY_SLACK = 1e-6;

type OnStep = (best: number, bound: number) => void;

/** Points of vital coverage that are let go so that the rest can be put in order. */
const VITAL_SLACK = 1e-6;

interface Asked {
  /** Whether the audit of a choice does what the programme's columns claim. */
  readonly holds: (choice: Choice, x: ArrayLike<number>) => boolean;
}

/** The programme of a task, with what its question asks for. */
function modelFor(task: SearchTask): { m: PlanModel; asked: Asked } {
  const { request, c, limits, leave } = task;
  const { question, target } = request;
  const m = planModel(c, limits, modelOptions(request, leave));
  if (question === "best") {
    const holds: Asked["holds"] = (choice, x) =>
      m.vitalCoverage.length === 0 ||
      100 * vitalOf(choice.after) >= valueAt(m.vitalCoverage, x) - CLAIM_TOLERANCE;
    return { m, asked: { holds } };
  }
  askTarget(m, request, c);
  const holds: Asked["holds"] = ({ after }) =>
    target === "ready" ? after.grade === "Ready" : atLeast(after.coverage ?? 0, target);
  return { m, asked: { holds } };
}

/** Points of vital coverage: what "full but for a ten millionth" may come to over all needs. */
const CLAIM_TOLERANCE = 2e-5;

/** By the levels in their order; equal ones stay as they are. */
function isRather(a: Choice, b: Choice, levels: readonly Level[]): boolean {
  for (const l of levels) {
    const d = l.valueOf(a) - l.valueOf(b);
    if (Math.abs(d) > l.tolerance) return d < 0;
  }
  return false;
}
