import { audit, type Audit } from "../audit/audit.ts";
import { SKILLS } from "../model/itemType.ts";
import { roundMoney } from "../base/money.ts";
import { LOAD_TOLERANCE, POINTS_TOLERANCE, SHARE_TOLERANCE } from "../base/tolerance.ts";
import { atRisk } from "./companions.ts";
import { candidates, type Candidates } from "./candidates.ts";
import { vitalOf, type Choice } from "./choice.ts";
import { relaxedGap } from "./bound.ts";
import { greedyPlan } from "./greedy.ts";
import { unreachableNeeds, type Obstacle, type Raised } from "./infeasible.ts";
import { addRow, times, type Solver } from "./linearModel.ts";
import { leavingOf } from "./leaving.ts";
import { limitsLoad, NO_LIMITS, type Limits } from "./limits.ts";
import { minimise } from "./minimise.ts";
import { modelOptions } from "./modelOptions.ts";
import { neverLeft } from "./neverLeft.ts";
import { planModel } from "./planModel.ts";
import { asksForTarget, mayLeaveFreely, type Course, type PlanRequest } from "./request.ts";
import { search, type Found, type Progress, type SearchTask } from "./search.ts";
import { askTarget, levelsOf, type Measured } from "./stages.ts";

export type PlanOutcome =
  | {
      readonly status: "optimal" | "feasible";
      readonly before: Audit;
      readonly choice: Choice;
      /** What the plan may still be from the best: 0 when proven. */
      readonly gap: number;
      /** What the gap is in: price, or points of (vital) coverage. */
      readonly gapIn: Measured;
      /** Whether no equally good plan weighs less, or as much with fewer products. */
      readonly tiesProven: boolean;
    }
  | { readonly status: "infeasible"; readonly before: Audit; readonly why: readonly Obstacle[] };

/** A minute is longer than anybody waits; the usual plan takes about a second. */
const TIME_LIMIT_S = 60;

/** Solves the plan exactly. Blocking: call it in a worker or off the event loop. */
export function plan(
  request: PlanRequest,
  solver: Solver,
  progress: Progress = () => {},
): PlanOutcome {
  const before = audit(request.audit, request.today, request.catalogue);
  const courses = coursesAbove(request);
  // Where a course may better it, a plan without one is not proven by itself.
  const told: Progress =
    courses.length === 0 ? progress : ({ proven: _, ...step }) => progress(step);
  let best = planUntrained(request, before, solver, told);
  for (const course of courses) {
    const { budget } = request.limits;
    if (budget !== null && course.price > budget) continue;
    // A course alone that costs more than the whole plan cannot make it cheaper.
    if (best.status !== "infeasible" && request.question === "cheapest")
      if (course.price > best.choice.price) continue;
    const trained = planUntrained(
      {
        ...request,
        audit: { ...request.audit, brief: { ...request.audit.brief, skill: course.to } },
        limits: { ...request.limits, budget: budget === null ? null : budget - course.price },
      },
      before,
      solver,
      told,
    );
    if (trained.status === "infeasible") continue;
    const paid = (n: number) => roundMoney(n + course.price, request.book.currency);
    const { choice } = trained;
    const owning = choice.owning === null ? null : paid(choice.owning);
    const withCourse = {
      ...trained,
      choice: { ...choice, course, price: paid(choice.price), owning },
    };
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
function isBetter(a: Choice, b: Choice, question: PlanRequest["question"]): boolean {
  const first = (c: Choice): number[] => {
    const coverage = c.after.coverage ?? 0;
    switch (question) {
      case "best":
        return [vitalOf(c.after), coverage, -c.price];
      case "cheapest":
        return [-c.price, coverage];
      case "lightest":
        return [-c.load.massG, -c.price, coverage];
      case "smallest":
        return [-c.load.volumeMl, -c.price, coverage];
      case "own":
        return [-(c.owning ?? 0), -c.price, coverage];
    }
  };
  const keys = (c: Choice) => [...first(c), -c.boughtMassG, -c.purchases.length];
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
  if (asksForTarget(request.question) && request.target === "ready") {
    const why = unreachableNeeds(c, request.book);
    if (why.length > 0) return { status: "infeasible", before, why };
  }
  progress({ stage: "first", share: 0.1 });
  const found = planWithin(request, c, solver, progress);
  if (isFound(found)) {
    const { status, choice, gap, gapIn, tiesProven } = found;
    return { status, before, choice, gap, gapIn, tiesProven };
  }
  const why: readonly Obstacle[] =
    found === "late" ? [{ code: "not-proven" }] : whyNot(request, c, solver);
  return { status: "infeasible", before, why };
}

/**
 * A good line stays at home only when a limit asks for it: a plan that leaves nothing and happens to keep
 * the limits on mass and space is the best under them too.
 */
function planWithin(
  request: PlanRequest,
  c: Candidates,
  solver: Solver,
  progress: Progress = () => {},
): Found | "none" | "late" {
  const { limits } = request;
  const now = performance.now();
  const forMs = 1000 * (request.timeLimitS ?? TIME_LIMIT_S);
  const asked = { request, c, solver, progress };
  const solve = (within: Limits, until: number, more: Pick<Asked, "wanted" | "unlimited"> = {}) =>
    solveWith({ ...asked, limits: within, until, ...more });
  if (mayLeaveFreely(request.question) || !limitsLoad(limits)) return solve(limits, now + forMs);
  const leavesNothing = { ...NO_LIMITS, budget: limits.budget };
  const quick = greedyPlan({ ...request, limits: leavesNothing }, c);
  const keeps = quick.reaches && keepsLimits(quick.choice, limits);
  if (!quick.reaches || keeps || !surelyExceeds(request, c, solver, quick.choice)) {
    // Where the quick one keeps the limits, so will the best, most likely: all of the time is for it.
    const until = now + (keeps ? forMs : forMs / 2);
    const free = solve(leavesNothing, until, { wanted: (x) => keepsLimits(x, limits) });
    if (isFound(free) && keepsLimits(free.choice, limits)) return free;
    return solve(limits, now + forMs, { unlimited: boundOf(free, request, c) });
  }
  return solve(limits, now + forMs);
}

/**
 * The best plan that leaves nothing at home and keeps no limit on the load, where none that keeps them can be
 * better: what stays at home takes from stocks, and nothing more, where it is no companion of anything; and
 * the audit shared out as the programme has it. undefined: it is no bound.
 */
function boundOf(
  free: Found | "none" | "late",
  request: PlanRequest,
  c: Candidates,
): Choice | undefined {
  if (!isFound(free) || free.status !== "optimal" || !free.uncut) return undefined;
  const leave = leavingOf(request.question, true);
  const companions = atRisk(c, { leave, keep: neverLeft(request) });
  return companions.size === 0 ? free.choice : undefined;
}

/**
 * Whether the best plan that leaves nothing at home surely breaks the limits on mass and space: none that keeps
 * them can be as good as a quick one without them. Told by the relaxation; where that tells nothing, false.
 */
function surelyExceeds(
  request: PlanRequest,
  c: Candidates,
  solver: Solver,
  quick: Choice,
): boolean {
  const m = planModel(c, request.limits, modelOptions(request, "none"));
  askTarget(m, request, c);
  for (const level of levelsOf(request, m, c)) {
    minimise(m, level.entries);
    const { status, objective } = solver(m.model, { relaxed: true });
    if (status === "infeasible") return true;
    const best = level.valueOf(quick);
    if (objective > best + level.tolerance) return true;
    // One that is better here may be worse in the levels after it.
    if (status !== "optimal" || objective < best - level.tolerance) return false;
    addRow(m.model, { upper: best + level.slack, entries: level.entries });
  }
  return false;
}

const isFound = (x: Found | "none" | "late"): x is Found => typeof x !== "string";

type Asked = Omit<SearchTask, "leave">;

/** One search under these limits; where the time runs out before anything is found, the quick answer. */
function solveWith(asked: Asked): Found | "none" | "late" {
  const { request, c, limits, solver } = asked;
  const task = { ...asked, leave: leavingOf(request.question, limitsLoad(limits)) };
  const found = search(task);
  if (found === "late") return inTime(request, c, limits, solver);
  if (!isFound(found) || found.status === "optimal") return found;
  // The relaxation may know better how far it is from the best.
  const told = relaxedGap({ ...request, limits }, solver, found.choice, c, found.gapIn);
  if (!told) return found;
  if (told.gap === 0) return { ...found, status: "optimal", gap: 0, gapIn: told.of };
  const { of, gap } = told;
  return { ...found, gapIn: of, gap: of === found.gapIn ? Math.min(found.gap, gap) : gap };
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
  const told = relaxedGap(asked, solver, quick.choice, c, null);
  const isProven = told?.gap === 0;
  return {
    status: isProven ? "optimal" : "feasible",
    choice: quick.choice,
    gap: told?.gap ?? Infinity,
    gapIn: told?.of ?? "coverage",
    tiesProven: false,
    mostCoverage: 100,
    // The relaxation's bound holds for any plan.
    uncut: isProven,
  };
}

const keepsLimits = (choice: Choice, limits: Limits): boolean =>
  (limits.massG === null || choice.load.massG <= limits.massG + LOAD_TOLERANCE) &&
  (limits.volumeMl === null || choice.load.volumeMl <= limits.volumeMl + LOAD_TOLERANCE);

/** The limits, each with the question that tells the least it would have to be. */
const LEAST_OF = { budget: "cheapest", massG: "lightest", volumeMl: "smallest" } as const;

/** What forbids the target: each limit is tried alone, and the number of sources. */
function whyNot(request: PlanRequest, c: Candidates, solver: Solver): Obstacle[] {
  const { limits } = request;
  const anyhow = { ...request, limits: NO_LIMITS, maxSources: null };
  const least = (limit: keyof Limits, of: PlanRequest) =>
    planWithin({ ...of, question: LEAST_OF[limit] }, c, solver);
  const needed = (limit: keyof Limits, { choice }: Found) =>
    limit === "budget"
      ? choice.price
      : limit === "massG"
        ? choice.load.massG
        : choice.load.volumeMl;
  const unlimited = least("budget", anyhow);
  if (unlimited === "late") return [{ code: "not-proven" }];
  if (unlimited === "none") return [outOfReach(request, c, solver)];
  const alone: Obstacle[] = [];
  if (request.maxSources != null) {
    const found = least("budget", { ...anyhow, maxSources: request.maxSources });
    if (found === "none") alone.push({ code: "sources", allowed: request.maxSources });
  }
  const given = (["budget", "massG", "volumeMl"] as const).filter((l) => limits[l] !== null);
  for (const limit of given) {
    const found = limit === "budget" ? unlimited : least(limit, anyhow);
    if (!isFound(found)) continue;
    const asked = needed(limit, found);
    const allowed = limits[limit]!;
    if (found.status === "optimal" && asked > allowed + LOAD_TOLERANCE)
      alone.push({ code: "limit", limit, allowed, needed: asked });
  }
  // Where it is one limit only, what it would have to be while the others stay.
  const [one] = alone;
  if (one?.code === "limit" && alone.length === 1) {
    const found = least(one.limit, { ...request, limits: { ...limits, [one.limit]: null } });
    return isFound(found) ? [{ ...one, needed: needed(one.limit, found) }] : alone;
  }
  if (alone.length > 0) return alone;
  // None by itself: what one of them would have to be while the others stay.
  const raised = given.flatMap((limit): Raised[] => {
    const found = least(limit, { ...request, limits: { ...limits, [limit]: null } });
    return isFound(found) ? [{ limit, needed: needed(limit, found) }] : [];
  });
  return [{ code: "limits-together", sources: request.maxSources ?? null, raised }];
}

/** Even with everything in the price book coverage falls short; or nobody can tell. */
function outOfReach(request: PlanRequest, c: Candidates, solver: Solver): Obstacle {
  const asked = request.target === "ready" ? c.context.rules.thresholds.ready : request.target;
  const most = { ...request, question: "best", limits: NO_LIMITS, maxSources: null } as const;
  const m = planModel(c, NO_LIMITS, modelOptions(most, "none"));
  minimise(m, times(m.coverage, -1));
  const reached = -solver(m.model).objective / 100;
  return reached < asked - POINTS_TOLERANCE / 100
    ? { code: "coverage", most: reached, asked }
    : { code: "not-proven" };
}
