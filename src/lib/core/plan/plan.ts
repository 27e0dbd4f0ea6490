import { audit, type Audit } from "../audit.ts";
import { SKILLS, type Skill } from "../catalogue/itemType.ts";
import type { AuditFile, Line } from "../formats/auditFile.ts";
import { score } from "../score/coverage.ts";
import { VALUE_HAIR } from "../sieve/sift.ts";
import {
  boughtLine,
  candidates,
  movedLine,
  PRODUCT_PREFIX,
  type Candidates,
} from "./candidates.ts";
import { unreachableNeeds, type Obstacle } from "./infeasible.ts";
import { addColumn, addRow, type LinearModel, type Solver } from "./linearModel.ts";
import { kitLoad, type Load } from "./mass.ts";
import { minorUnits, NO_LIMITS, planModel, type Limits, type PlanModel } from "./planModel.ts";
import { partOf } from "./portions.ts";
import type { PriceBook, Product } from "./priceBook.ts";

/** `cheapest`: least price that reaches the target. `best`: most for the limits. */
export type Question = "cheapest" | "best";

export interface PlanRequest {
  readonly audit: AuditFile;
  readonly book: PriceBook;
  readonly question: Question;
  /** Of `cheapest`: the grade Ready, or a coverage 0–1. */
  readonly target: "ready" | number;
  readonly limits: Limits;
  /** Wish: lines always carried in full, by id. */
  readonly keep: readonly string[];
  /** Wish: products that are not bought, by id. */
  readonly exclude?: readonly string[] | undefined;
  /** Wish: buy at so many sources at most. */
  readonly maxSources?: number | null | undefined;
  /** Courses that the party could take, each at a price for all. */
  readonly courses?: readonly Course[] | undefined;
  /** The search ends after about so long and gives the best found with its bound. */
  readonly timeLimitS?: number | undefined;
  /** YYYY-MM-DD: orders are placed, and shelf lives start. */
  readonly today: string;
}

/** Training that raises what the party may use. */
export interface Course {
  readonly to: Skill;
  /** For the whole party, in the price book's currency. */
  readonly price: number;
}

export interface Purchase {
  readonly product: Product;
  readonly packs: number;
}

/** What is done, and the audit of the kit when it has been done. */
export interface Choice {
  readonly purchases: readonly Purchase[];
  /** Kit lines taken out, by id. */
  readonly dropped: readonly string[];
  /** Kit lines of which only a part is carried, with the units of measure kept and had. */
  readonly repacked: readonly {
    readonly line: string;
    readonly kept: number;
    readonly had: number;
  }[];
  /** The training it rests on; null: none. */
  readonly course: Course | null;
  /** Kit lines moved, marked or made findable, by id. */
  readonly moved: readonly string[];
  readonly kit: AuditFile;
  readonly after: Audit;
  readonly price: number;
  readonly boughtMassG: number;
  /** What is carried in the end. */
  readonly load: Load;
}

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
/** Floors of a stage are held with this slack: tighter only makes the solver slower. */
const STAGE_SLACK = 1e-6;

/** What a stage of the search betters. */
export type Measured = "price" | "vital" | "coverage" | "mass";

export type Progress = (step: {
  readonly stage: string;
  readonly share: number;
  /** The best found and what none can better, in the stage's measure. */
  readonly best?: number;
  readonly bound?: number;
}) => void;

/** A minute is longer than anybody waits; the usual plan takes about a second. */
export const TIME_LIMIT_S = 60;

/** Solves the plan exactly. Blocking: call it in a worker or off the event loop. */
export function plan(
  request: PlanRequest,
  solver: Solver,
  progress: Progress = () => {},
): PlanOutcome {
  const before = audit(request.audit, request.today);
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
    const price = Math.round((trained.choice.price + course.price) * 100) / 100;
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
  const at = x.findIndex((v, i) => Math.abs(v - y[i]!) > VALUE_HAIR);
  return at >= 0 && x[at]! > y[at]!;
}

/** Coverage of the vital needs alone, 0–1; 1 where there are none. */
export const vitalOf = (a: Audit): number =>
  score(a.bench.needs, a.needs, (n) => n.tier === "vital")?.coverage ?? 1;

function planUntrained(
  request: PlanRequest,
  before: Audit,
  solver: Solver,
  progress: Progress,
): PlanOutcome {
  const c = candidates(request.audit, bookOf(request), request.today);
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
  const limited = request.limits.massG !== null || request.limits.volumeMl !== null;
  // A plan without the limits on mass and bulk that happens to keep them is the best with them too.
  const found =
    limited && !(free !== null && keepsLimits(free.choice, request.limits))
      ? solveWith(request, c, request.limits, true, solver, progress)
      : free;
  if (found) return { ...found, before };
  return { status: "infeasible", before, why: whyNot(request, c, solver) };
}

/** The price book without what the user does not want. */
export function bookOf(request: Pick<PlanRequest, "book" | "exclude">): PriceBook {
  const out = new Set(request.exclude);
  return out.size === 0
    ? request.book
    : { ...request.book, products: request.book.products.filter((p) => !out.has(p.id)) };
}

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
): Found | null {
  const ready = request.question === "cheapest" && request.target === "ready";
  const m = planModel(c, limits, {
    vitalInFull: ready,
    mayLeave,
    keep: new Set(request.keep),
    maxSources: request.maxSources ?? null,
  });
  const asked = ready ? c.bench.rules.thresholds.ready : request.target;
  if (request.question === "cheapest")
    addRow(m.model, { lower: 100 * (asked as number), entries: m.coverage });
  const vitalFirst = m.vitalCoverage.length > 0;
  const best = request.question === "best";
  const holds = (choice: Choice, value: number) =>
    best
      ? valueOf(choice, request.question, vitalFirst) >= value - 1e-4
      : reachesTarget(choice, request.target);
  const gapIn = best ? (vitalFirst ? "vital" : "coverage") : "price";
  let fallback: { choice: Choice; value: number } | null = null;
  let bound = Infinity;
  for (let refusal = 0; refusal <= (best ? MOST_REFUSED_BEST : MOST_REFUSALS); refusal++) {
    // Once refused, only the first stage is searched until the audit agrees.
    const solved = inStages(request, m, solver, progress, refusal > 0);
    if (solved === null) break;
    bound = solved.value;
    const choice = choiceOf(solved.x, m, c, request, mayLeave);
    if (holds(choice, solved.value)) {
      const { proven, gap, gapIn } = solved;
      return { status: proven ? "optimal" : "feasible", choice, gap, gapIn };
    }
    const value = valueOf(choice, request.question, vitalFirst);
    if (best && (fallback === null || value > fallback.value)) fallback = { choice, value };
    if (fallback && bound <= fallback.value + 1e-4) break;
    forbid(m, solved.x);
  }
  if (!fallback) return null;
  const gap = Math.max(0, bound - fallback.value);
  return gap <= 1e-4
    ? { status: "optimal", choice: fallback.choice, gap: 0, gapIn }
    : { status: "feasible", choice: fallback.choice, gap, gapIn };
}

/** What `best` maximises first, on 0–100: vital coverage; all coverage where no vital need can gain. */
function valueOf(choice: Choice, question: Question, vitalFirst: boolean): number {
  if (question === "cheapest") return 0;
  const { bench, needs } = choice.after;
  const scored = score(bench.needs, needs, (n) => !vitalFirst || n.tier === "vital");
  return 100 * (scored?.coverage ?? 0);
}

const reachesTarget = (choice: Choice, target: "ready" | number): boolean =>
  target === "ready"
    ? choice.after.grade === "Ready"
    : (choice.after.coverage ?? 0) >= target - VALUE_HAIR;

const keepsLimits = (choice: Choice, limits: Limits): boolean =>
  (limits.massG === null || choice.load.massG <= limits.massG + 1e-6) &&
  (limits.volumeMl === null || choice.load.volumeMl <= limits.volumeMl + 1e-6);

type Entries = PlanModel["price"];
interface Stages {
  readonly x: ArrayLike<number>;
  readonly value: number;
  readonly proven: boolean;
  readonly gap: number;
  readonly gapIn: Measured;
}

/** A cent outweighs so many grams; no kit that is carried comes near it. */
const GRAMS_A_CENT = 25_000;
/** Fewest products comes last: one weighs as much as a tenth of a gram. */
const GRAMS_A_PACK = 0.1;

/**
 * One objective after another, each held while the next is bettered and started from the last.
 * cheapest: price, coverage, mass. best: vital coverage, coverage, then price and mass in one: prices
 * are whole cents, so that mass cannot outweigh one. Mass: what is bought and what stays at home.
 */
function inStages(
  request: PlanRequest,
  m: PlanModel,
  solver: Solver,
  progress: Progress,
  firstOnly = false,
): Stages | null {
  const up = (e: Entries): Entries => e.map(([x, v]) => [x, -v] as const);
  const times = (e: Entries, by: number): Entries => e.map(([x, v]) => [x, v * by] as const);
  const packs: Entries = m.packs.flatMap((x) => (x < 0 ? [] : [[x, GRAMS_A_PACK] as const]));
  const mass = sum(sum(m.mass, m.leftMass), packs);
  const coverage = { of: "coverage", e: up(m.coverage), scale: -1 } as const;
  const stages: { of: Measured; e: Entries; scale: number; cents?: boolean }[] =
    request.question === "cheapest"
      ? [
          { of: "price", e: m.price, scale: 0.01, cents: true },
          coverage,
          { of: "mass", e: mass, scale: 1 },
        ]
      : [
          ...(m.vitalCoverage.length > 0
            ? [{ of: "vital", e: up(m.vitalCoverage), scale: -1 } as const]
            : []),
          coverage,
          { of: "price", e: sum(m.price, times(mass, 1 / GRAMS_A_CENT)), scale: 0.01 },
        ];
  const limitS = (request.timeLimitS ?? TIME_LIMIT_S) / stages.length;
  const rowsBefore = m.model.rows.length;
  let x: ArrayLike<number> | undefined;
  let value = 0;
  let late: { gap: number; gapIn: Measured } | null = null;
  try {
    for (const [i, stage] of (firstOnly ? stages.slice(0, 1) : stages).entries()) {
      const share = 0.1 + (0.8 * i) / stages.length;
      progress({ stage: stage.of, share });
      for (const column of m.model.columns) column.cost = 0;
      for (const [column, cost] of stage.e) m.model.columns[column]!.cost += cost;
      const solved = solver(m.model, {
        start: x,
        timeLimitS: limitS,
        onStep: (best, bound) =>
          progress({
            stage: stage.of,
            share,
            best: best * stage.scale,
            bound: bound * stage.scale,
          }),
      });
      if (solved.status === "infeasible" || solved.x.length < m.model.columns.length) {
        if (i === 0) return null;
        break;
      }
      x = solved.x;
      if (solved.status === "time-limit")
        late ??= {
          gap: Math.abs(stage.scale) * Math.max(0, solved.objective - solved.bound),
          gapIn: stage.of,
        };
      if (i === 0) value = solved.objective * Math.sign(stage.scale);
      const held = stage.cents
        ? Math.round(solved.objective) + 0.25
        : solved.objective + STAGE_SLACK;
      addRow(m.model, { upper: held, entries: stage.e });
    }
  } finally {
    m.model.rows.length = rowsBefore;
  }
  return x
    ? { x, value, proven: late === null, gap: late?.gap ?? 0, gapIn: late?.gapIn ?? stages[0]!.of }
    : null;
}

function sum(a: Entries, b: Entries): Entries {
  const total = new Map<number, number>();
  for (const [x, v] of [...a, ...b]) total.set(x, (total.get(x) ?? 0) + v);
  return [...total];
}

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

/** What a solution of the model says to do, laid out and audited. */
export function choiceOf(
  x: ArrayLike<number>,
  m: PlanModel,
  c: Candidates,
  request: PlanRequest,
  mayLeave: boolean,
): Choice {
  const purchases: Purchase[] = [];
  m.packs.forEach((column, k) => {
    const packs = column < 0 ? 0 : Math.round(x[column]!);
    if (packs > 0) purchases.push({ product: c.products[k]!, packs });
  });
  const out = new Set<number>();
  const parts = new Map<number, number>();
  m.left.forEach((at, l) => {
    const steps = at ? Math.round(x[at.column]!) : 0;
    if (steps === 0) return;
    if (steps >= at!.portions.steps) out.add(l);
    else parts.set(l, c.supply[l]! - steps * at!.portions.step);
  });
  return settle(purchases, out, parts, c, request, mayLeave);
}

/** The choice as an audit: lines laid out, moved where that gains, and what serves nothing taken out. */
export function settle(
  purchases: readonly Purchase[],
  left: ReadonlySet<number>,
  parts: ReadonlyMap<number, number>,
  c: Candidates,
  request: PlanRequest,
  mayLeave: boolean,
): Choice {
  const out = new Set(left);
  const keep = new Set(request.keep);
  const useful = new Set(c.uses.map((u) => u.line));
  request.audit.kit.lines.forEach((line, l) => {
    // With a limit, what serves nothing goes first; without one only what cannot be trusted goes.
    if (keep.has(line.id) || useful.has(l)) return;
    if (mayLeave || isUntrustworthy(c, l)) out.add(l);
  });
  const lay = (moved: ReadonlySet<number>) => layPlan(request, c, purchases, out, parts, moved);
  const all = lay(c.movable);
  const used = new Set<number>();
  const idIndex = new Map(request.audit.kit.lines.map((l, i) => [l.id, i]));
  for (const need of all.after.needs)
    for (const p of need.pairs) {
      const index = idIndex.get(all.after.bench.lines[p.pair.line]!.line.id);
      if (p.units > 0 && p.f > 0 && index !== undefined) used.add(index);
    }
  const needed = new Set([...c.movable].filter((l) => used.has(l) && !out.has(l)));
  const fewer = lay(needed);
  const settled =
    (fewer.after.coverage ?? 0) >= (all.after.coverage ?? 0) - VALUE_HAIR ? fewer : all;
  const moved = settled === fewer ? needed : c.movable;
  const idOf = (l: number) => request.audit.kit.lines[l]!.id;
  return {
    purchases,
    dropped: [...out].sort((a, b) => a - b).map(idOf),
    repacked: [...parts]
      .sort(([a], [b]) => a - b)
      .map(([l, kept]) => ({ line: idOf(l), kept, had: c.supply[l]! })),
    course: null,
    moved: [...moved].sort((a, b) => a - b).map(idOf),
    kit: settled.kit,
    after: settled.after,
    price: purchases.reduce((s, p) => s + minorUnits(p.product.price.amount) * p.packs, 0) / 100,
    boughtMassG: purchases.reduce((s, p) => s + (p.product.massG ?? 0) * p.packs, 0),
    load: carriedLoad(settled.kit, purchases),
  };
}

/** What is carried in the end: kit lines by their types, what is bought by the price book. */
function carriedLoad(kit: AuditFile, purchases: readonly Purchase[]): Load {
  const bought = new Map(purchases.map((p) => [PRODUCT_PREFIX + p.product.id, p]));
  const own = kitLoad({
    ...kit,
    kit: { ...kit.kit, lines: kit.kit.lines.filter((l) => !bought.has(l.id)) },
  });
  let { massG, volumeMl } = own;
  for (const { product, packs } of purchases) {
    massG += (product.massG ?? 0) * packs;
    volumeMl += (product.bulkMl ?? 0) * packs;
  }
  return { massG, volumeMl };
}

/** Failed, past its date, or a medicine nobody can identify: not merely spare. */
function isUntrustworthy(c: Candidates, l: number): boolean {
  const fact = c.pairing.facts[l]!;
  const { type } = c.bench.lines[l]!;
  const inNameOnly =
    type !== null && type.functions.length > 0 && type.functions.every((f) => f.credit === 0);
  return (
    fact.sound === 0 || (fact.counted && fact.standing === "past" && type !== null) || inNameOnly
  );
}

function layPlan(
  request: PlanRequest,
  c: Candidates,
  purchases: readonly Purchase[],
  out: ReadonlySet<number>,
  parts: ReadonlyMap<number, number>,
  moved: ReadonlySet<number>,
): { kit: AuditFile; after: Audit } {
  const lines: Line[] = [];
  request.audit.kit.lines.forEach((line, l) => {
    if (out.has(l)) return;
    const kept = parts.get(l);
    const part = kept === undefined ? line : partOf(line, c.bench.lines[l]!.type!, kept);
    lines.push(moved.has(l) ? movedLine(part) : part);
  });
  for (const p of purchases) lines.push(boughtLine(p.product, p.packs, request.today));
  const kit: AuditFile = { ...request.audit, kit: { ...request.audit.kit, lines } };
  return { kit, after: audit(kit, request.today) };
}

/** Which limit, or what else, forbids the target. */
function whyNot(request: PlanRequest, c: Candidates, solver: Solver): Obstacle[] {
  const asked = request.target === "ready" ? c.bench.rules.thresholds.ready : request.target;
  if (
    request.maxSources != null &&
    solveWith({ ...request, maxSources: null }, c, request.limits, true, solver, () => {})
  )
    return [{ code: "sources", allowed: request.maxSources }];
  const unlimited = solveWith(
    { ...request, limits: NO_LIMITS },
    c,
    NO_LIMITS,
    false,
    solver,
    () => {},
  );
  if (unlimited === null) {
    const m = planModel(c, NO_LIMITS, {
      vitalInFull: false,
      mayLeave: false,
      keep: new Set(),
      maxSources: request.maxSources ?? null,
    });
    for (const [column, v] of m.coverage) m.model.columns[column]!.cost -= v;
    const most = -solver(m.model).objective / 100;
    return most < asked - 1e-6 ? [{ code: "coverage", most, asked }] : [{ code: "not-proven" }];
  }
  const { limits } = request;
  const obstacles: Obstacle[] = [];
  const given = (["budget", "massG", "volumeMl"] as const).filter((l) => limits[l] !== null);
  for (const limit of given) {
    const without = solveWith(request, c, { ...limits, [limit]: null }, true, solver, () => {});
    if (!without) continue;
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
