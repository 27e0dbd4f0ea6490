import { audit, type Audit } from "../audit.ts";
import type { AuditFile, Line } from "../formats/auditFile.ts";
import { score } from "../score/coverage.ts";
import { VALUE_HAIR } from "../sieve/sift.ts";
import { boughtLine, candidates, movedLine, type Candidates } from "./candidates.ts";
import { unreachableNeeds, type Obstacle } from "./infeasible.ts";
import { addColumn, addRow, type LinearModel, type Solver } from "./linearModel.ts";
import { kitLoad, type Load } from "./mass.ts";
import { minorUnits, NO_LIMITS, planModel, type Limits, type PlanModel } from "./planModel.ts";
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
  /** Lines never dropped, by id. */
  readonly keep: readonly string[];
  /** YYYY-MM-DD: orders are placed, and shelf lives start. */
  readonly today: string;
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
      /** What the plan may still be from the best: 0 when proven. In price, or points of coverage. */
      readonly gap: number;
    }
  | { readonly status: "infeasible"; readonly before: Audit; readonly why: readonly Obstacle[] };

/** Plans that the audit itself refuses are cut off one by one; more than this never occurred. */
const MOST_REFUSALS = 40;
/** Floors of a stage are held with this slack: tighter only makes the solver slower. */
const STAGE_SLACK = 1e-6;

export type Progress = (step: { readonly stage: string; readonly share: number }) => void;

/** Solves the plan exactly. Blocking: call it in a worker or off the event loop. */
export function plan(
  request: PlanRequest,
  solver: Solver,
  progress: Progress = () => {},
): PlanOutcome {
  const before = audit(request.audit, request.today);
  const c = candidates(request.audit, request.book, request.today);
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
    free !== null && limited && !keepsLimits(free.choice, request.limits)
      ? solveWith(request, c, request.limits, true, solver, progress)
      : free;
  if (found) return { ...found, before };
  return { status: "infeasible", before, why: whyNot(request, c, solver) };
}

interface Found {
  readonly status: "optimal" | "feasible";
  readonly choice: Choice;
  readonly gap: number;
}

function solveWith(
  request: PlanRequest,
  c: Candidates,
  limits: Limits,
  mayDrop: boolean,
  solver: Solver,
  progress: Progress,
): Found | null {
  const ready = request.question === "cheapest" && request.target === "ready";
  const m = planModel(c, limits, {
    vitalInFull: ready,
    mayDrop,
    keep: new Set(request.keep),
  });
  const asked = ready ? c.bench.rules.thresholds.ready : request.target;
  if (request.question === "cheapest")
    addRow(m.model, { lower: 100 * (asked as number), entries: m.coverage });
  let fallback: { choice: Choice; value: number } | null = null;
  for (let refusal = 0; refusal <= MOST_REFUSALS; refusal++) {
    const solved = inStages(request.question, m, solver, progress);
    if (solved === null) break;
    const choice = choiceOf(solved.x, m, c, request, mayDrop);
    const kept = request.question === "cheapest" ? reachesTarget(choice, request.target) : true;
    const value = valueOf(choice, request.question, m.vitalCoverage.length > 0);
    const asExpected = kept && (request.question === "cheapest" || value >= solved.value - 1e-4);
    if (asExpected)
      return { status: solved.proven ? "optimal" : "feasible", choice, gap: solved.gap };
    if (request.question === "best" && (fallback === null || value > fallback.value))
      fallback = { choice, value };
    if (fallback && solved.value <= fallback.value + 1e-4)
      return { status: "optimal", choice: fallback.choice, gap: 0 };
    forbid(m, solved.x, c);
  }
  return fallback && { status: "feasible", choice: fallback.choice, gap: 100 - fallback.value };
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
}

/**
 * One objective after another, each held while the next is bettered and started from the last.
 * cheapest: price, coverage, bought mass, products. best: vital coverage, coverage, price, mass, products.
 */
function inStages(
  question: Question,
  m: PlanModel,
  solver: Solver,
  progress: Progress,
): Stages | null {
  const products: Entries = m.packs.flatMap((x) => (x < 0 ? [] : [[x, 1] as const]));
  const up = (e: Entries): Entries => e.map(([x, v]) => [x, -v] as const);
  const vitalFirst = m.vitalCoverage.length > 0 ? [{ name: "vital", e: up(m.vitalCoverage) }] : [];
  const stages: { name: string; e: Entries; whole?: boolean }[] =
    question === "cheapest"
      ? [
          { name: "price", e: m.price, whole: true },
          { name: "coverage", e: up(m.coverage) },
          { name: "mass", e: m.mass },
        ]
      : [
          ...vitalFirst,
          { name: "coverage", e: up(m.coverage) },
          { name: "price", e: m.price, whole: true },
          { name: "mass", e: m.mass },
        ];
  // Fewest products comes last and weighs too little to trade mass for: a gram a hundred thousand.
  const last = stages[stages.length - 1]!;
  last.e = sum(
    last.e,
    products.map(([x]) => [x, 1e-5] as const),
  );
  const rowsBefore = m.model.rows.length;
  let x: ArrayLike<number> | undefined;
  let value = 0;
  let proven = true;
  let gap = 0;
  try {
    for (const [i, stage] of stages.entries()) {
      progress({ stage: stage.name, share: 0.1 + (0.8 * i) / stages.length });
      for (const column of m.model.columns) column.cost = 0;
      for (const [column, cost] of stage.e) m.model.columns[column]!.cost += cost;
      const solved = solver(m.model, { start: x });
      if (solved.status === "infeasible" || solved.x.length < m.model.columns.length) {
        if (i === 0) return null;
        break;
      }
      x = solved.x;
      if (solved.status === "time-limit") {
        if (i === 0) gap = Math.max(0, solved.objective - solved.bound);
        if (i === 0 || gap > 0) proven = false;
        proven = false;
      }
      if (i === 0) value = question === "cheapest" ? solved.objective : -solved.objective;
      const held = stage.whole
        ? Math.round(solved.objective) + 0.25
        : solved.objective + STAGE_SLACK;
      addRow(m.model, { upper: held, entries: stage.e });
    }
  } finally {
    m.model.rows.length = rowsBefore;
  }
  return x ? { x, value, proven, gap: question === "cheapest" ? gap / 100 : gap } : null;
}

function sum(a: Entries, b: Entries): Entries {
  const total = new Map<number, number>();
  for (const [x, v] of [...a, ...b]) total.set(x, (total.get(x) ?? 0) + v);
  return [...total];
}

/** Cuts off exactly this set of packs and drops: at least one must differ. */
function forbid(m: PlanModel, x: ArrayLike<number>, c: Candidates): void {
  const model: LinearModel = m.model;
  const differs: [number, number][] = [];
  let constant = 0;
  for (const column of [...m.packs, ...m.drops]) {
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
  void c;
  addRow(model, { lower: 1 - constant, entries: differs });
}

function choiceOf(
  x: ArrayLike<number>,
  m: PlanModel,
  c: Candidates,
  request: PlanRequest,
  mayDrop: boolean,
): Choice {
  const purchases: Purchase[] = [];
  m.packs.forEach((column, k) => {
    const packs = column < 0 ? 0 : Math.round(x[column]!);
    if (packs > 0) purchases.push({ product: c.products[k]!, packs });
  });
  const out = new Set<number>();
  m.drops.forEach((column, l) => {
    if (column >= 0 && Math.round(x[column]!) === 1) out.add(l);
  });
  const keep = new Set(request.keep);
  const useful = new Set(c.uses.map((u) => u.line));
  request.audit.kit.lines.forEach((line, l) => {
    // With a limit, what serves nothing goes first; without one only what cannot be trusted goes.
    if (keep.has(line.id) || useful.has(l)) return;
    if (mayDrop || isUntrustworthy(c, l)) out.add(l);
  });
  const lay = (moved: ReadonlySet<number>) => layPlan(request, c, purchases, out, moved);
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
    moved: [...moved].sort((a, b) => a - b).map(idOf),
    kit: settled.kit,
    after: settled.after,
    price: purchases.reduce((s, p) => s + minorUnits(p.product.price.amount) * p.packs, 0) / 100,
    boughtMassG: purchases.reduce((s, p) => s + (p.product.massG ?? 0) * p.packs, 0),
    load: kitLoad(settled.kit),
  };
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
  moved: ReadonlySet<number>,
): { kit: AuditFile; after: Audit } {
  const lines: Line[] = [];
  request.audit.kit.lines.forEach((line, l) => {
    if (!out.has(l)) lines.push(moved.has(l) ? movedLine(line) : line);
  });
  for (const p of purchases) lines.push(boughtLine(p.product, p.packs, request.today));
  void c;
  const kit: AuditFile = { ...request.audit, kit: { ...request.audit.kit, lines } };
  return { kit, after: audit(kit, request.today) };
}

/** Which limit, or what else, forbids the target. */
function whyNot(request: PlanRequest, c: Candidates, solver: Solver): Obstacle[] {
  const asked = request.target === "ready" ? c.bench.rules.thresholds.ready : request.target;
  const unlimited = solveWith(
    { ...request, limits: NO_LIMITS },
    c,
    NO_LIMITS,
    false,
    solver,
    () => {},
  );
  if (unlimited === null) {
    const m = planModel(c, NO_LIMITS, { vitalInFull: false, mayDrop: false, keep: new Set() });
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
