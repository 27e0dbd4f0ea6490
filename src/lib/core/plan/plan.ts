import { neverLeft } from "./neverLeft.ts";
import { audit, type Audit } from "../audit/audit.ts";
import { SKILLS } from "../model/itemType.ts";
import { score } from "../score/coverage.ts";
import { roundMoney } from "../base/money.ts";
import { atLeast, LOAD_TOLERANCE, POINTS_TOLERANCE, SHARE_TOLERANCE } from "../base/tolerance.ts";
import { candidates, type Candidates } from "./candidates.ts";
import { choiceOf, vitalOf, type Choice } from "./choice.ts";
import { greedyPlan, planBound } from "./greedy.ts";
import { unreachableNeeds, type Obstacle } from "./infeasible.ts";
import { addColumn, addRow, type LinearModel, type Solver } from "./linearModel.ts";
import { limitsLoad, NO_LIMITS, type Limits } from "./limits.ts";
import { planModel, type PlanModel } from "./planModel.ts";
import { type Course, type PlanRequest, type Question } from "./request.ts";
import { inStages, type Measured, type Progress } from "./stages.ts";

export type PlanOutcome =
  | {
      readonly status: "optimal" | "feasible";
      readonly before: Audit;
      readonly choice: Choice;
      /** What the plan may still be from the best: 0 when proven. */
      readonly gap: number;
      /** What the gap is in: price, or points of (vital) coverage. */
      readonly gapIn: Measured;
    }
  | { readonly status: "infeasible"; readonly before: Audit; readonly why: readonly Obstacle[] };

/** Plans that the audit itself refuses are cut off one by one; more than this never occurred. */
const MOST_REFUSALS = 40;
/** Of `best` the audit nearly always agrees; where it does not, the gap is soon known well enough. */
const MOST_REFUSED_BEST = 4;

/** Solves the plan exactly. Blocking: call it in a worker or off the event loop. */
export function plan(
  request: PlanRequest,
  solver: Solver,
  progress: Progress = () => {},
): PlanOutcome {
  const before = audit(request.audit, request.today, request.catalogue);
  const untrained = planUntrained(request, before, solver, progress);
  let best: PlanOutcome = untrained;
  for (const course of coursesAbove(request)) {
    const { budget } = request.limits;
    if (budget !== null && course.price > budget) continue;
    // A course alone that costs as much as the whole plan cannot make it cheaper.
    if (best.status !== "infeasible" && request.question === "cheapest")
      if (course.price >= best.choice.price) continue;
    const trained = planUntrained(
      {
        ...request,
        audit: { ...request.audit, brief: { ...request.audit.brief, skill: course.to } },
        limits: { ...request.limits, budget: budget === null ? null : budget - course.price },
      },
      before,
      solver,
      progress,
    );
    if (trained.status === "infeasible") continue;
    const price = roundMoney(trained.choice.price + course.price, request.book.currency);
    const withCourse = { ...trained, choice: { ...trained.choice, course, price } };
    if (best.status === "infeasible" || isBetter(withCourse.choice, best.choice, request.question))
      best = withCourse;
  }
  return best;
}

const coursesAbove = (request: PlanRequest): Course[] =>
  [...(request.courses ?? [])]
    .filter((c) => SKILLS.indexOf(c.to) > SKILLS.indexOf(request.audit.brief.skill))
    .sort((a, b) => a.price - b.price);

/** By the order of the question; equal ones stay as they are. */
function isBetter(a: Choice, b: Choice, question: Question): boolean {
  const keys = (c: Choice) =>
    question === "cheapest"
      ? [-c.price, c.after.coverage ?? 0]
      : [vitalOf(c.after), c.after.coverage ?? 0, -c.price];
  const [x, y] = [keys(a), keys(b)];
  const at = x.findIndex((v, i) => Math.abs(v - y[i]!) > SHARE_TOLERANCE);
  return at >= 0 && x[at]! > y[at]!;
}

function planUntrained(
  request: PlanRequest,
  before: Audit,
  solver: Solver,
  progress: Progress,
): PlanOutcome {
  const c = candidates(request);
  if (before.coverage === null)
    return { status: "infeasible", before, why: [{ code: "coverage", most: 0, asked: 0 }] };
  if (request.question === "cheapest" && request.target === "ready") {
    const why = unreachableNeeds(c, request.book);
    if (why.length > 0) return { status: "infeasible", before, why };
  }
  progress({ stage: "first", share: 0.1 });
  const free = solveWith(
    request,
    c,
    { ...NO_LIMITS, budget: request.limits.budget },
    false,
    solver,
    progress,
  );
  const limited = limitsLoad(request.limits);
  // A plan without the limits on mass and bulk that happens to keep them is the best with them too.
  const found =
    limited && !(isFound(free) && keepsLimits(free.choice, request.limits))
      ? solveWith(request, c, request.limits, true, solver, progress)
      : free;
  if (isFound(found)) return { ...found, before };
  const why: Obstacle[] = found === "late" ? [{ code: "not-proven" }] : whyNot(request, c, solver);
  return { status: "infeasible", before, why };
}

const isFound = (x: Found | "none" | "late"): x is Found => typeof x !== "string";

interface Found {
  readonly status: "optimal" | "feasible";
  readonly choice: Choice;
  readonly gap: number;
  readonly gapIn: Measured;
}

function solveWith(
  request: PlanRequest,
  c: Candidates,
  limits: Limits,
  mayLeave: boolean,
  solver: Solver,
  progress: Progress,
): Found | "none" | "late" {
  const ready = request.question === "cheapest" && request.target === "ready";
  const m = planModel(c, limits, {
    vitalInFull: ready,
    mayLeave,
    keep: neverLeft(request),
    maxSources: request.maxSources ?? null,
  });
  const asked = ready ? c.context.rules.thresholds.ready : request.target;
  if (request.question === "cheapest")
    addRow(m.model, { lower: 100 * (asked as number), entries: m.coverage });
  const vitalFirst = m.vitalCoverage.length > 0;
  const best = request.question === "best";
  const holds = (choice: Choice, value: number) =>
    best
      ? valueOf(choice, request.question, vitalFirst) >= value - POINTS_TOLERANCE
      : reachesTarget(choice, request.target);
  const gapIn = best ? (vitalFirst ? "vital" : "coverage") : "price";
  let fallback: { choice: Choice; value: number } | null = null;
  let bound = Infinity;
  for (let refusal = 0; refusal <= (best ? MOST_REFUSED_BEST : MOST_REFUSALS); refusal++) {
    // Once refused, only the first stage is searched until the audit agrees.
    const solved = inStages(request, m, solver, progress, refusal > 0);
    if (solved === "late") return fallback ? gapOf(fallback) : inTime(request, c, limits, solver);
    if (solved === "none") break;
    bound = solved.value;
    const choice = choiceOf(solved.x, m, c, request, mayLeave);
    if (holds(choice, solved.value)) {
      const { proven, gap, gapIn } = solved;
      return { status: proven ? "optimal" : "feasible", choice, gap, gapIn };
    }
    const value = valueOf(choice, request.question, vitalFirst);
    if (best && (fallback === null || value > fallback.value)) fallback = { choice, value };
    if (fallback && bound <= fallback.value + POINTS_TOLERANCE) break;
    forbid(m, solved.x);
  }
  return fallback ? gapOf(fallback) : "none";

  function gapOf({ choice, value }: { choice: Choice; value: number }): Found {
    const gap = Math.max(0, Math.min(100, bound) - value);
    return gap <= POINTS_TOLERANCE
      ? { status: "optimal", choice, gap: 0, gapIn }
      : { status: "feasible", choice, gap, gapIn };
  }
}

/** The time ran out before the solver found anything: the quick answer with the relaxation's bound. */
function inTime(
  request: PlanRequest,
  c: Candidates,
  limits: Limits,
  solver: Solver,
): Found | "late" {
  const asked = { ...request, limits };
  const quick = greedyPlan(asked, c);
  if (!quick.reaches) return "late";
  const bound = planBound(asked, solver, quick.choice, c);
  const has =
    request.question === "cheapest" ? quick.choice.price : 100 * (quick.choice.after.coverage ?? 0);
  return {
    status: "feasible",
    choice: quick.choice,
    gap: bound ? Math.abs(has - bound.bound) : Infinity,
    gapIn: bound?.of ?? "coverage",
  };
}

/** What `best` maximises first, on 0–100: vital coverage; all coverage where no vital need can gain. */
function valueOf(choice: Choice, question: Question, vitalFirst: boolean): number {
  if (question === "cheapest") return 0;
  const { context, needs } = choice.after;
  const scored = score(context.needs, needs, (n) => !vitalFirst || n.tier === "vital");
  return 100 * (scored?.coverage ?? 0);
}

const reachesTarget = (choice: Choice, target: "ready" | number): boolean =>
  target === "ready" ? choice.after.grade === "Ready" : atLeast(choice.after.coverage ?? 0, target);

const keepsLimits = (choice: Choice, limits: Limits): boolean =>
  (limits.massG === null || choice.load.massG <= limits.massG + LOAD_TOLERANCE) &&
  (limits.volumeMl === null || choice.load.volumeMl <= limits.volumeMl + LOAD_TOLERANCE);

/** Cuts off exactly this set of packs and of what stays at home: at least one must differ. */
function forbid(m: PlanModel, x: ArrayLike<number>): void {
  const model: LinearModel = m.model;
  const differs: [number, number][] = [];
  let constant = 0;
  for (const column of [...m.packs, ...m.left.map((l) => l?.column ?? -1)]) {
    if (column < 0) continue;
    const at = Math.round(x[column]!);
    const { upper } = model.columns[column]!;
    if (at === 0) {
      differs.push([column, 1]);
    } else if (upper === 1) {
      differs.push([column, -1]);
      constant += 1;
    } else {
      const more = addColumn(model, { upper: 1, integer: true });
      const fewer = addColumn(model, { upper: 1, integer: true });
      addRow(model, {
        lower: 0,
        entries: [
          [column, 1],
          [more, -(at + 1)],
        ],
      });
      addRow(model, {
        upper,
        entries: [
          [column, 1],
          [fewer, upper - at + 1],
        ],
      });
      differs.push([more, 1], [fewer, 1]);
    }
  }
  addRow(model, { lower: 1 - constant, entries: differs });
}

/** Which limit, or what else, forbids the target. */
function whyNot(request: PlanRequest, c: Candidates, solver: Solver): Obstacle[] {
  const asked = request.target === "ready" ? c.context.rules.thresholds.ready : request.target;
  if (request.maxSources != null) {
    const anywhere = { ...request, maxSources: null };
    const found = (r: PlanRequest, limits: Limits) =>
      isFound(solveWith(r, c, limits, true, solver, () => {}));
    const sources: Obstacle = { code: "sources", allowed: request.maxSources };
    if (found(anywhere, request.limits)) return [sources];
    // More sources alone do not help: something else forbids it too.
    if (!found(request, NO_LIMITS) && found(anywhere, NO_LIMITS))
      return [sources, ...whyNot(anywhere, c, solver)];
  }
  const unlimited = solveWith(
    { ...request, limits: NO_LIMITS },
    c,
    NO_LIMITS,
    false,
    solver,
    () => {},
  );
  if (!isFound(unlimited)) {
    const m = planModel(c, NO_LIMITS, {
      vitalInFull: false,
      mayLeave: false,
      keep: new Set(),
      maxSources: request.maxSources ?? null,
    });
    for (const [column, v] of m.coverage) m.model.columns[column]!.cost -= v;
    const most = -solver(m.model).objective / 100;
    return most < asked - POINTS_TOLERANCE / 100
      ? [{ code: "coverage", most, asked }]
      : [{ code: "not-proven" }];
  }
  const { limits } = request;
  const obstacles: Obstacle[] = [];
  const given = (["budget", "massG", "volumeMl"] as const).filter((l) => limits[l] !== null);
  for (const limit of given) {
    const without = solveWith(request, c, { ...limits, [limit]: null }, true, solver, () => {});
    if (!isFound(without)) continue;
    const needed =
      limit === "budget"
        ? without.choice.price
        : limit === "massG"
          ? without.choice.load.massG
          : without.choice.load.volumeMl;
    obstacles.push({ code: "limit", limit, allowed: limits[limit]!, needed });
  }
  return obstacles.length > 0 ? obstacles : [{ code: "limits-together" }];
}
