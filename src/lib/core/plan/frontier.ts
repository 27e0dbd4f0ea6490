import { kitLoad } from "../bag/load.ts";
import { roundMoneyUp } from "../base/money.ts";
import { SHARE_TOLERANCE } from "../base/tolerance.ts";
import { candidates, type Candidates } from "./candidates.ts";
import { vitalOf, type Choice } from "./choice.ts";
import { greedyPlan } from "./greedy.ts";
import { leavingOf } from "./leaving.ts";
import { limitsLoad } from "./limits.ts";
import type { Solver } from "./linearModel.ts";
import { neverLeft } from "./neverLeft.ts";
import type { PlanRequest } from "./request.ts";
import { search } from "./search.ts";

/**
 * Coverage against budget, or against the mass carried: where the next coin, or gram, stops buying
 * much. Every point is the best plan for its limit (vital coverage first), to within GAP points.
 */
export type Axis = "budget" | "mass";

export interface FrontierPoint {
  /** Of the axis: price book's currency, or g carried. */
  readonly limit: number;
  /** 0–1. */
  readonly coverage: number;
  readonly vital: number;
  /** No plan for this limit that does as much for vital needs covers more, 0–1. */
  readonly bound: number;
  readonly price: number;
  readonly massG: number;
  readonly grade: string | null;
  /** Packs by product id. */
  readonly packs: Readonly<Record<string, number>>;
  /** Lines left at home in whole, by id. */
  readonly dropped: readonly string[];
  /** False: a quick answer, a better one is sought. */
  readonly proven: boolean;
}

/** Points of a frontier. */
export const POINTS = 20;
/** Points of coverage (0–100) a point may be from the best: nobody sees less on the chart. */
export const GAP = 0.05;
/** One point of the frontier may take so long. */
const POINT_LIMIT_S = 4;
/** The lightest kit on the chart carries a quarter of what the fullest does. */
const LIGHTEST = 0.25;

/** With 20 points the second lies at about a hundred and fiftieth of the whole. */
const BEND = 1.7;

export interface FrontierAsked {
  readonly request: PlanRequest;
  readonly axis: Axis;
  readonly limits: readonly number[];
}

/** The limits of the points, ascending: up to what the fullest plan takes. */
export function frontierLimits(request: PlanRequest, axis: Axis, points = POINTS): number[] {
  // The end of the axis does not depend on the other limits: the quick plan leaves nothing at home.
  const budget = axis === "budget" ? null : request.limits.budget;
  const open: PlanRequest = {
    ...request,
    question: "best",
    limits: { budget, massG: null, volumeMl: null },
  };
  const { choice } = greedyPlan(open);
  const load = kitLoad(request.audit, request.catalogue).massG;
  const most = axis === "budget" ? choice.price : Math.max(load, choice.load.massG);
  const least = axis === "budget" ? 0 : Math.min(most, Math.max(most * LIGHTEST, alwaysG(request)));
  const limits = Array.from({ length: points }, (_, i) => {
    // Closer together where the curve bends: the first coins buy most.
    const at = least + (most - least) * (i / (points - 1)) ** BEND;
    return axis === "budget" ? roundMoneyUp(at, request.book.currency) : Math.ceil(at);
  });
  return [...new Set(limits)];
}

/** What is carried whatever the limit: the bag, and lines that never stay at home. g */
function alwaysG(request: PlanRequest): number {
  const keep = neverLeft(request);
  const lines = request.audit.kit.lines.filter((l) => keep.has(l.id));
  const kit = { ...request.audit, kit: { ...request.audit.kit, lines } };
  return kitLoad(kit, request.catalogue).massG;
}

const requestAt = (request: PlanRequest, axis: Axis, limit: number): PlanRequest => ({
  ...request,
  question: "best",
  limits: { ...request.limits, [axis === "budget" ? "budget" : "massG"]: limit },
});

/** Quick answers, one a limit: a lower curve to show at once. Each is possible under its own limit. */
export function quickFrontier({ request, axis, limits }: FrontierAsked): FrontierPoint[] {
  // Candidates do not depend on the limit: computed once for all points.
  const c = candidates(request);
  const points = limits.flatMap((limit) => {
    const { choice, reaches } = greedyPlan(requestAt(request, axis, limit), c);
    return reaches ? [pointOf(limit, choice, 1, false)] : [];
  });
  return risen(points);
}

/** The point of one limit, to within GAP; null: nothing is possible under it. Blocking. */
export function frontierPoint(
  request: PlanRequest,
  axis: Axis,
  limit: number,
  solver: Solver,
  given?: Candidates,
): FrontierPoint | null {
  const r = requestAt(request, axis, limit);
  const c = given ?? candidates(r);
  const { limits } = r;
  const found = search({
    ...{ request: r, c, limits, solver, within: GAP, progress: () => {} },
    leave: leavingOf("best", limitsLoad(limits)),
    until: performance.now() + 1000 * POINT_LIMIT_S,
  });
  if (typeof found !== "string") {
    const { choice, mostCoverage, status } = found;
    return pointOf(limit, choice, mostCoverage / 100, status === "optimal");
  }
  if (found === "none") return null;
  const { choice, reaches } = greedyPlan(r, c);
  return reaches ? pointOf(limit, choice, 1, false) : null;
}

function pointOf(limit: number, choice: Choice, bound: number, proven: boolean): FrontierPoint {
  return {
    limit,
    coverage: choice.after.coverage ?? 0,
    vital: vitalOf(choice.after),
    bound: Math.max(bound, choice.after.coverage ?? 0),
    price: choice.price,
    massG: choice.load.massG,
    grade: choice.after.grade,
    packs: Object.fromEntries(choice.purchases.map((p) => [p.product.id, p.packs])),
    dropped: choice.dropped,
    proven,
  };
}

/**
 * A plan for a lower limit is one for a higher limit too: what falls back is replaced by the point
 * before it. Points ascending by limit.
 */
export function risen(points: readonly FrontierPoint[]): FrontierPoint[] {
  const done: FrontierPoint[] = [];
  for (const p of points) {
    const before = done.at(-1);
    const worse =
      before &&
      (p.vital < before.vital - SHARE_TOLERANCE ||
        (p.vital <= before.vital + SHARE_TOLERANCE &&
          p.coverage < before.coverage - SHARE_TOLERANCE));
    const bound = Math.max(p.bound, before?.coverage ?? 0);
    done.push(worse ? { ...before, limit: p.limit, bound, proven: p.proven } : p);
  }
  return done;
}

/** What the plan of a point has and the one before has not, and the other way round. */
export interface Step {
  readonly at: number;
  readonly enters: readonly { readonly product: string; readonly packs: number }[];
  readonly leaves: readonly { readonly product: string; readonly packs: number }[];
  readonly gain: number;
}

/** One step for each point whose plan differs from the one before. */
export function stepsOf(points: readonly FrontierPoint[]): Step[] {
  return points.flatMap((p, i) => {
    const before = points[i - 1]?.packs ?? {};
    const ids = [...new Set([...Object.keys(before), ...Object.keys(p.packs)])].sort();
    const change = ids.map((id) => ({
      product: id,
      packs: (p.packs[id] ?? 0) - (before[id] ?? 0),
    }));
    const enters = change.filter((x) => x.packs > 0);
    const leaves = change.filter((x) => x.packs < 0).map((x) => ({ ...x, packs: -x.packs }));
    const gain = p.coverage - (points[i - 1]?.coverage ?? p.coverage);
    return enters.length + leaves.length > 0 ? [{ at: i, enters, leaves, gain }] : [];
  });
}

/** The slope must fall at least to half to be called a knee. */
const KNEE_FALL = 0.5;
const MOST_KNEES = 3;

/** Indices of the points after which the next coin buys markedly less, by the upper hull's slopes. */
export function kneesOf(points: readonly FrontierPoint[]): number[] {
  const hull: number[] = [];
  const slope = (a: number, b: number) =>
    (points[b]!.coverage - points[a]!.coverage) / (points[b]!.limit - points[a]!.limit);
  points.forEach((_, i) => {
    while (hull.length >= 2 && slope(hull.at(-2)!, hull.at(-1)!) <= slope(hull.at(-1)!, i) + 1e-12)
      hull.pop();
    hull.push(i);
  });
  // Where a coin buys less than it does on the whole, no bend matters any more.
  const overall = points.length > 1 ? Math.max(1e-12, slope(0, points.length - 1)) : 0;
  const knees = hull
    .slice(1, -1)
    .map((i, k) => ({
      i,
      before: slope(hull[k]!, i),
      after: slope(i, hull[k + 2]!),
    }))
    .filter((x) => x.after <= x.before * KNEE_FALL && x.before >= overall)
    .sort((a, b) => b.before - b.after - (a.before - a.after))
    .slice(0, MOST_KNEES)
    .map((x) => x.i);
  return knees.sort((a, b) => a - b);
}

/** A frontier from its points as they come in, quick ones replaced by proven ones. */
export const mergePoints = (
  points: readonly FrontierPoint[],
  news: readonly FrontierPoint[],
): FrontierPoint[] => {
  const byLimit = new Map(points.map((p) => [p.limit, p]));
  for (const p of news) byLimit.set(p.limit, p);
  return [...byLimit.values()].sort((a, b) => a.limit - b.limit);
};

/** The whole frontier in one go, as the command line gives it. Blocking. */
export function frontier(
  request: PlanRequest,
  axis: Axis,
  solver: Solver,
  points = POINTS,
): { points: FrontierPoint[]; knees: number[]; steps: Step[] } {
  const c = candidates(request);
  const limits = frontierLimits(request, axis, points);
  const all = risen(
    limits.flatMap((limit) => frontierPoint(request, axis, limit, solver, c) ?? []),
  );
  return { points: all, knees: kneesOf(all), steps: stepsOf(all) };
}
