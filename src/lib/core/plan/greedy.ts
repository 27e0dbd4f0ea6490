import { minorPrice } from "../model/priceBook.ts";
import { STAGE_SLACK } from "./stages.ts";
import { fromMinor, toMinor } from "../base/money.ts";
import { SHARE_TOLERANCE } from "../base/tolerance.ts";
import type { Candidates, Use } from "./candidates.ts";
import { candidates } from "./candidates.ts";
import type { Solver } from "./linearModel.ts";
import { addRow } from "./linearModel.ts";
import { type PlanRequest } from "./request.ts";
import { settle, vitalOf, type Choice } from "./choice.ts";
import type { Measured } from "./stages.ts";
import { limitsLoad, NO_SOURCE, planModel, type PlanModel } from "./planModel.ts";
import { kitLoad } from "../bag/load.ts";

/**
 * A quick answer while the exact one is sought: pack by pack, the one that gains most for its price
 * (vital needs first), then what has become needless is taken out again. No proof; seldom far off.
 */
export interface Quick {
  readonly choice: Choice;
  /** It does what was asked: reaches the target (cheapest), or keeps the limits (best). */
  readonly reaches: boolean;
}

/** Units of a need by how well they are filled, the worst first; what is empty has f 0. */
type Slots = { units: number; f: number }[];

/** Gains below this many points are rounding. */
/** A thing given away still counts as costing something, or it would always come first. */
const LEAST_PRICE = 0.01;

export function greedyPlan(request: PlanRequest, given?: Candidates): Quick {
  const c = given ?? candidates(request);
  const { bench, products, firstProduct, supply } = c;
  const ready = request.question === "cheapest" && request.target === "ready";
  const asked = ready ? bench.rules.thresholds.ready : (request.target as number);
  const total = bench.needs.reduce((s, n) => s + n.weight, 0) || 1;
  const point = bench.needs.map((n) => n.weight / n.required / total);
  const usesOf: Use[][] = products.map(() => []);
  for (const u of c.uses)
    if (u.line >= firstProduct && u.line < firstProduct + products.length)
      usesOf[u.line - firstProduct]!.push(u);
  const isVital = (n: number) => bench.needs[n]!.tier === "vital";
  const empty = (): Slots[] =>
    bench.needs.map((n, i) => {
      const own = c.filled[i]!.map((s) => ({ ...s }));
      const rest = n.required - own.reduce((s, x) => s + x.units, 0);
      return rest > SHARE_TOLERANCE ? [{ units: rest, f: 0 }, ...own] : own;
    });

  /** Puts one pack of product k into the slots (or only looks); what that gains, 0–1 of all. */
  function put(k: number, slots: Slots[], really: boolean): { vital: number; all: number } {
    let vital = 0;
    let all = 0;
    const uses = usesOf[k]!;
    if (uses.length === 0) return { vital, all };
    const take = (u: Use, stock: number): number => {
      // Units of measure used of the stock, the best slots first.
      const own = slots[u.need]!;
      const f = u.f / 2 ** u.lacking.length;
      let left = stock * u.yield;
      let changed: Slots | null = null;
      for (let i = 0; i < own.length && left > SHARE_TOLERANCE; i++) {
        const slot = own[i]!;
        if (f <= slot.f + SHARE_TOLERANCE) break;
        const units = Math.min(left, slot.units);
        const gain = units * (f - slot.f) * point[u.need]!;
        all += gain;
        if (isVital(u.need)) vital += gain;
        left -= units;
        if (really) {
          changed ??= [];
          changed.push({ units, f });
          slot.units -= units;
        }
      }
      if (changed)
        slots[u.need] = [...own.filter((s) => s.units > SHARE_TOLERANCE), ...changed].sort(
          (a, b) => a.f - b.f,
        );
      return stock - left / u.yield;
    };
    const stock = supply[firstProduct + k]!;
    if (uses[0]!.tool) for (const u of uses) take(u, stock);
    else {
      let left = stock;
      const worth = (u: Use) => u.f * u.yield * point[u.need]! * (isVital(u.need) ? 2 : 1);
      for (const u of [...uses].sort((a, b) => worth(b) - worth(a))) {
        left -= take(u, left);
        if (left <= SHARE_TOLERANCE) break;
      }
    }
    return { vital, all };
  }

  const counts = products.map(() => 0);
  let slots = empty();
  // What serves nothing stays at home under a limit, and takes no room.
  const useful = new Set(c.uses.map((u) => u.line));
  const keep = new Set(request.keep);
  const lines = request.audit.kit.lines.filter((l, i) => useful.has(i) || keep.has(l.id));
  const load = kitLoad(
    { ...request.audit, kit: { ...request.audit.kit, lines } },
    request.catalogue,
  );
  const room = {
    cents:
      request.limits.budget === null
        ? Infinity
        : toMinor(request.limits.budget, request.book.currency),
    massG: request.limits.massG === null ? Infinity : request.limits.massG - load.massG,
    volumeMl: request.limits.volumeMl === null ? Infinity : request.limits.volumeMl - load.volumeMl,
  };
  const cents = products.map((p) => minorPrice(p));
  const sources = new Set<string>();
  const mayBuy = (k: number): boolean => {
    const p = products[k]!;
    const source = p.source ?? NO_SOURCE;
    return (
      cents[k]! <= room.cents &&
      (p.massG ?? 0) <= room.massG &&
      (p.bulkMl ?? 0) <= room.volumeMl &&
      (request.maxSources == null || sources.has(source) || sources.size < request.maxSources)
    );
  };
  const buy = (k: number) => {
    put(k, slots, true);
    counts[k]!++;
    room.cents -= cents[k]!;
    room.massG -= products[k]!.massG ?? 0;
    room.volumeMl -= products[k]!.bulkMl ?? 0;
    sources.add(products[k]!.source ?? NO_SOURCE);
  };
  const coverage = (of: Slots[]) =>
    of.reduce((s, own, n) => s + own.reduce((t, x) => t + x.units * x.f, 0) * point[n]!, 0);
  const vitalFull = (of: Slots[]) =>
    of.every((own, n) => !isVital(n) || own.every((x) => x.f > 1 - SHARE_TOLERANCE));
  const enough = (of: Slots[]) =>
    request.question === "cheapest" &&
    (!ready || vitalFull(of)) &&
    coverage(of) >= asked - SHARE_TOLERANCE;

  // A mere coverage is reached by whatever gains most; else vital needs come first.
  const orders = request.question === "best" || ready ? [true, false] : [false];
  for (const first of orders) {
    // Gains only fall as slots fill: an old gain is a bound, and is looked up anew only when it leads.
    const gainOf = (k: number) => {
      const g = put(k, slots, false);
      return (first ? g.vital : g.all) / Math.max(LEAST_PRICE, cents[k]! / 100);
    };
    const best = products.map((_, k) => (usesOf[k]!.length > 0 ? gainOf(k) : 0));
    for (;;) {
      if (enough(slots) || (first && vitalFull(slots))) break;
      let lead = -1;
      for (;;) {
        lead = -1;
        best.forEach((g, k) => {
          if (g > SHARE_TOLERANCE && (lead < 0 || g > best[lead]!) && mayBuy(k)) lead = k;
        });
        if (lead < 0) break;
        const now = gainOf(lead);
        const stays = now >= best[lead]! - SHARE_TOLERANCE;
        best[lead] = now;
        if (stays) break;
      }
      if (lead < 0) break;
      buy(lead);
    }
  }

  if (request.question === "cheapest") {
    // What later purchases have made needless goes out again, the dearest first.
    const dearest = products.map((_, k) => k).sort((a, b) => cents[b]! - cents[a]!);
    for (const k of dearest)
      while (counts[k]! > 0) {
        counts[k]!--;
        const without = empty();
        counts.forEach((n, j) => {
          for (let i = 0; i < n; i++) put(j, without, true);
        });
        if (!enough(without)) {
          counts[k]!++;
          break;
        }
        slots = without;
      }
  }

  const purchases = counts.flatMap((packs, k) =>
    packs > 0 ? [{ product: products[k]!, packs }] : [],
  );
  const limited = limitsLoad(request.limits);
  const choice = settle(purchases, new Set(), new Map(), c, request, limited);
  const reaches =
    request.question === "best"
      ? room.massG >= 0 && room.volumeMl >= 0
      : ready
        ? choice.after.grade === "Ready"
        : (choice.after.coverage ?? 0) >= asked - SHARE_TOLERANCE;
  return { choice, reaches };
}

/**
 * What no plan can better, from the relaxation: a price, or points of coverage, 0–100.
 * @param quick of `best`: the best plan has at least its vital coverage, which makes the bound tighter
 */
export function planBound(
  request: PlanRequest,
  solver: Solver,
  quick: Choice | null = null,
  given?: Candidates,
): { readonly of: Measured; readonly bound: number } | null {
  const c = given ?? candidates(request);
  const ready = request.question === "cheapest" && request.target === "ready";
  const limited = limitsLoad(request.limits);
  const m = planModel(c, request.limits, {
    vitalInFull: ready,
    mayLeave: limited,
    keep: new Set(request.keep),
    maxSources: request.maxSources ?? null,
  });
  const cheapest = request.question === "cheapest";
  if (cheapest)
    addRow(m.model, {
      lower: 100 * (ready ? c.bench.rules.thresholds.ready : (request.target as number)),
      entries: m.coverage,
    });
  if (!cheapest && quick && m.vitalCoverage.length > 0)
    addRow(m.model, { lower: 100 * vitalOf(quick.after) - STAGE_SLACK, entries: m.vitalCoverage });
  minimise(m, cheapest ? m.price : m.coverage, cheapest ? 1 : -1);
  const solved = solver(m.model, { relaxed: true });
  if (solved.status !== "optimal") return null;
  return cheapest
    ? {
        of: "price",
        bound: fromMinor(Math.ceil(solved.objective - STAGE_SLACK), request.book.currency),
      }
    : { of: "coverage", bound: -solved.objective };
}

export function minimise(m: PlanModel, e: PlanModel["price"], sign: 1 | -1): void {
  for (const column of m.model.columns) column.cost = 0;
  for (const [x, v] of e) m.model.columns[x]!.cost += sign * v;
}
