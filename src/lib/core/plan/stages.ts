import { fromMinor, toMinor } from "../base/money.ts";
import { LOAD_TOLERANCE } from "../base/tolerance.ts";
import type { Candidates } from "./candidates.ts";
import type { Choice } from "./choice.ts";
import { owningOf } from "./owning.ts";
import { vitalOf } from "./choice.ts";
import type { Limits } from "./limits.ts";
import { addRow, onlyWith, times, valueAt, type Entries } from "./linearModel.ts";
import { yesNo } from "./yesNo.ts";
import type { Carried, PlanModel } from "./programme.ts";
import { asksForTarget, type PlanRequest } from "./request.ts";

/** What a stage of the search betters. */
export type Measured = "price" | "vital" | "coverage" | "mass" | "volume" | "owning";

/** What a run of the planner is at, as a screen shows it. */
export type Stage = "waiting" | "first" | Measured | "reasons";

/** One thing that a plan is judged by, the less the better: points of coverage count as minus. */
export interface Level {
  readonly of: Measured;
  readonly entries: Entries;
  /** Of a choice that has been audited. */
  readonly valueOf: (choice: Choice) => number;
  /** Two answers nearer than this are the same. */
  readonly tolerance: number;
  /** So much slack it leaves the levels after it. */
  readonly slack: number;
  /** No plan is below this. */
  readonly least: number;
  /** What one unit is in the measure as it is shown. */
  readonly scale: number;
}

/** Something to minimise, and the levels that are settled when it is. */
export interface Stretch {
  readonly entries: Entries;
  readonly valueOf: (choice: Choice) => number;
  /** Proof enough when bound and value are so near. */
  readonly tolerance: number;
  readonly least: number;
  /** What its values are times those of its first level: the solver overlooks what costs too little. */
  readonly factor: number;
  /** The most that its lesser level comes to in units of the first: by so much its bound may be off. */
  readonly slack: number;
  readonly settles: readonly Level[];
  /** Whether the levels are settled by this answer; else each is sought by itself. */
  readonly isSettled: (choice: Choice) => boolean;
}

/** Points of coverage on 0–100; the programme's own tolerance on a row is 1e-9. */
const POINTS = { tolerance: 2e-5, slack: 1e-6, least: -100, scale: -1 };
/** Prices are whole minor units. */
const MINOR = { tolerance: 0.25, slack: 0.25, least: 0 };
/** Of `best` all of the budget weighs as much as so many points of coverage, while both are sought at once. */
const BUDGET_POINTS = 1e-2;
/** Where the relaxation leaves more than a twentieth of the budget, money is not what decides. */
const SPENT = 0.95;
/** What the lesser of two levels costs at least a unit, well above the solver's dual tolerance of 1e-7. */
const LIGHTEST_COST = 1e-3;
/** Of `cheapest` all coverage together weighs less than a minor unit. */
const COVERAGE_MINOR = 0.99;
/** While vital needs are sought, coverage weighs so little; it is only to keep to what the audit would do. */
const GUIDE = 1e-2;
/** And is sought to within so many points: no more than a guide. */
const GUIDE_GAP = 0.1;

/** Where a question asks for a grade or a coverage: plans that do not reach it are none. */
export function askTarget(m: PlanModel, request: PlanRequest, c: Candidates): void {
  const { question, target } = request;
  if (!asksForTarget(question)) return;
  const least = target === "ready" ? c.context.rules.thresholds.ready : target;
  addRow(m.model, { lower: 100 * least, entries: m.coverage });
}

/**
 * The levels of a question, the first first. cheapest: price, coverage. best: vital coverage, coverage,
 * price. lightest: mass carried, price, coverage. own: what it costs over five years, price, coverage. What weighs least, and
 * the fewest products, come last (`lightest`, `fewestProducts`).
 */
export function levelsOf(request: PlanRequest, m: PlanModel, c: Candidates): Level[] {
  const minor = fromMinor(1, request.book.currency);
  const coverage: Level = {
    ...{ of: "coverage", entries: times(m.coverage, -1), ...POINTS },
    valueOf: (choice) => -100 * (choice.after.coverage ?? 0),
  };
  const vital: Level = {
    ...{ of: "vital", entries: times(m.vitalCoverage, -1), ...POINTS },
    valueOf: (choice) => -100 * vitalOf(choice.after),
  };
  const price: Level = {
    ...{ of: "price", entries: m.price, scale: minor, ...MINOR },
    valueOf: (choice) => Math.round(choice.price / minor),
  };
  const carried = (of: "mass" | "volume", { held, entries }: Carried): Level => ({
    ...{
      of,
      entries,
      tolerance: LOAD_TOLERANCE * 10,
      slack: LOAD_TOLERANCE,
      least: -held,
      scale: 1,
    },
    valueOf: ({ load }) => (of === "mass" ? load.massG : load.volumeMl) - held,
  });
  switch (request.question) {
    case "cheapest":
      return [price, coverage];
    case "lightest":
      return [carried("mass", m.carriedMass), price, coverage];
    case "smallest":
      return [carried("volume", m.carriedBulk), price, coverage];
    case "own":
      return [owning(request, m, c, minor), price, coverage];
    case "best":
  }
  return [...(m.vitalCoverage.length > 0 ? [vital] : []), coverage, price];
}

/** Minor units over five years, but for what kit lines that always stay cost anyway. */
function owning(request: PlanRequest, m: PlanModel, c: Candidates, minor: number): Level {
  const { pack, line } = owningOf(request, c);
  const goes = m.left.flatMap((at, l) =>
    at && line[l]! > 0 ? [[at.column, -line[l]!] as const] : [],
  );
  const held = line.reduce((s, v) => s + v, 0);
  const packs = m.packs.flatMap((x, k) => (x < 0 ? [] : [[x, pack[k]!] as const]));
  const bought = new Set(m.packs);
  const postage = m.price.filter(([x]) => !bought.has(x));
  return {
    ...{ of: "owning", entries: [...packs, ...postage, ...goes], scale: minor, ...MINOR },
    least: -held,
    valueOf: (choice) => Math.round((choice.owning ?? 0) / minor) - held,
  };
}

/**
 * How the levels are sought: two at a time where one weighs so little that it cannot outweigh the other,
 * since a proof for both takes hardly longer than for one.
 */
export function stretchesOf(
  request: PlanRequest,
  levels: readonly Level[],
  limits: Limits,
  relaxed: (entries: Entries) => ArrayLike<number>,
): Stretch[] {
  const alone = (level: Level): Stretch => ({
    ...level,
    ...{ factor: 1, slack: 0 },
    settles: [level],
    isSettled: () => true,
  });
  const both = (a: Level, b: Level, weight: number, tolerance: number, factor = 1): Stretch => ({
    entries: times(sum(a.entries, times(b.entries, weight)), factor),
    valueOf: (choice) => factor * (a.valueOf(choice) + weight * b.valueOf(choice)),
    tolerance: factor * tolerance,
    least: factor * (a.least + weight * b.least),
    ...{ factor, slack: 0 },
    settles: [a, b],
    isSettled: () => true,
  });
  if (request.question !== "best") {
    const [price, coverage] = levels.slice(-2) as [Level, Level];
    const weight = COVERAGE_MINOR / 100;
    const joint = both(price, coverage, weight, weight * coverage.tolerance, 1 / weight);
    return [...levels.slice(0, -2).map(alone), joint];
  }
  const [coverage, price] = levels.slice(-2) as [Level, Level];
  const vital = levels.length > 2 ? levels[0]! : null;
  const first = vital
    ? [{ ...both(vital, coverage, GUIDE, GUIDE_GAP), settles: [] }, alone(vital)]
    : [];
  const budget = limits.budget === null ? 0 : toMinor(limits.budget, request.book.currency);
  const strict = [...first, alone(coverage), alone(price)];
  if (budget === 0) return strict;
  // What might still be had for the rest of the budget is less than anybody can tell.
  const weight = BUDGET_POINTS / budget;
  const joint: Stretch = {
    ...both(coverage, price, weight, 0.4 * weight, LIGHTEST_COST / weight),
    slack: BUDGET_POINTS,
    isSettled: (choice) => weight * (budget - price.valueOf(choice)) <= coverage.tolerance,
  };
  const x = relaxed(joint.entries);
  const spends = x.length > 0 ? valueAt(price.entries, x) : 0;
  return spends < SPENT * budget ? strict : [...first, joint, ...strict.slice(first.length)];
}

/** Between plans that are equally good. */
export interface Tie {
  readonly entries: Entries;
  /** The least by which one can be better than another. */
  readonly step: number;
}

/** g; masses are given no finer. */
const FINEST_MASS_G = 1e-3;

/** The mass of what is bought, g. */
export const lightest = (m: PlanModel): Tie => ({ entries: m.mass, step: FINEST_MASS_G });

/** Products bought, each counted once. */
export function fewestProducts(m: PlanModel): Tie {
  const bought = m.packs.flatMap((packs): number[] => {
    if (packs < 0) return [];
    const most = m.model.columns[packs]!.upper;
    if (most <= 1) return most > 0 ? [packs] : [];
    const column = yesNo(m, (x) => x[packs]! > 0.5);
    onlyWith(m.model, packs, most, column);
    return [column];
  });
  return { entries: bought.map((x) => [x, 1] as const), step: 1 };
}

function sum(a: Entries, b: Entries): Entries {
  const total = new Map<number, number>();
  for (const [x, v] of [...a, ...b]) total.set(x, (total.get(x) ?? 0) + v);
  return [...total];
}
