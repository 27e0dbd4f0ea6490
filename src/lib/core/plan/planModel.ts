import type { Limits } from "./limits.ts";
import { toMinor } from "../base/money.ts";
import { atLeast, isWhole, SHARE_TOLERANCE, wholeDown, wholeUp } from "../base/tolerance.ts";
import { minorPrice } from "../model/priceBook.ts";
import { companionFactor, effectiveCredit } from "../sieve/real.ts";
import type { Candidates, Use } from "./candidates.ts";
import { addColumn, addRow, emptyModel, type LinearModel } from "./linearModel.ts";
import { isBrought } from "./theirs.ts";
import { lineLoad } from "../bag/load.ts";
import { portionsOf, type Portions } from "./portions.ts";

/**
 * The choice as a mixed-integer programme: packs of each product, what stays at home, and a sharing
 * out of kept and bought units to needs.
 *
 * The audit shares out for the most coverage, the plan's columns only need to reach it; so where a
 * line would rather serve need m than vital need n, it may serve n only once m is full (`full`).
 * What remains is checked by auditing the plan itself (see plan.ts).
 */

export interface PlanModel {
  readonly model: LinearModel;
  /** Column of the packs of each product; −1: it serves nothing here. */
  readonly packs: readonly number[];
  /** Column of the steps of a kit line that stay at home (see portions.ts); null: all of it is carried. */
  readonly left: readonly ({ readonly column: number; readonly portions: Portions } | null)[];
  /** Coverage of vital needs and of all, both on 0–100, as entries of a row. */
  readonly vitalCoverage: Entries;
  readonly coverage: Entries;
  /** Price in minor units, bought mass in g, products bought. */
  readonly price: Entries;
  readonly mass: Entries;
  /** What stays at home, g: as little as the limits allow. */
  readonly leftMass: Entries;
}
type Entries = (readonly [column: number, coefficient: number])[];

export interface ModelOptions {
  /** Every vital need in full; only what does its whole job counts for it. */
  readonly vitalInFull: boolean;
  /** Kit lines may stay at home, in part or whole. */
  readonly mayLeave: boolean;
  /** Lines always carried in full, by id. */
  readonly keep: ReadonlySet<string>;
  /** Buy at so many sources at most. null: at any number. */
  readonly maxSources: number | null;
}

/** What a product without a source is bought from: one place that is not named. */
export const NO_SOURCE = "";

export function planModel(c: Candidates, limits: Limits, options: ModelOptions): PlanModel {
  const model = emptyModel();
  const uses = usesThatCount(c, options);
  const companions = companionProducts(c);

  // What is decided: packs to buy, steps of lines to leave, sources to go to, companions to have.
  const packs = packColumns(
    model,
    c,
    group(uses, (u) => u.line),
    companions,
    limits,
  );
  const left = leftColumns(model, c, options);
  if (options.maxSources !== null) fewSources(model, c.products, packs, options.maxSources);
  const present = companionColumns(model, companions, packs);

  // How units are shared out to needs, and what that covers.
  const stocks = stocksOf(uses);
  const shared = shareColumns(model, c, stocks, present, options);
  supplyRows(model, c, stocks, shared, packs, left);
  fullBeforeVital(model, c, stocks, shared);

  // What it costs and what is carried.
  const price = perPack(packs, (k) => minorPrice(c.products[k]!));
  const mass = perPack(packs, (k) => c.products[k]!.massG ?? 0);
  const bulk = perPack(packs, (k) => c.products[k]!.bulkMl ?? 0);
  if (limits.budget !== null)
    addRow(model, { upper: toMinor(limits.budget, c.currency), entries: price });
  const bagG = c.context.audit.kit.container?.massG ?? 0;
  const load = { c, left, keep: options.keep };
  carriedRow(model, limits.massG, mass, bagG, { ...load, of: massOf });
  carriedRow(model, limits.volumeMl, bulk, 0, { ...load, of: bulkOf });
  const leftMass = leaving({ ...load, of: massOf }, 1);
  const { vitalCoverage, coverage } = shared;
  return { model, packs, left, vitalCoverage, coverage, price, mass, leftMass };
}

const isProduct = (c: Candidates, l: number) =>
  l >= c.firstProduct && l < c.firstProduct + c.products.length;

/** For a vital need that must be full only what does its whole job counts. */
const usesThatCount = (c: Candidates, options: ModelOptions): readonly Use[] =>
  options.vitalInFull
    ? c.uses.filter((u) => c.context.needs[u.need]!.tier !== "vital" || isWhole(u.f))
    : c.uses;

/** Companions that the kit lacks, each with the indices of the products that are one. */
function companionProducts(c: Candidates): Map<string, number[]> {
  const { context, products, firstProduct } = c;
  const does = (k: number, companion: string) => {
    const type = context.lines[firstProduct + k]!.type!;
    return effectiveCredit(type, companion, undefined, context).credit > 0;
  };
  return new Map(
    [...c.missingCompanions].map((companion) => [
      companion,
      products.flatMap((_, k) => (does(k, companion) ? [k] : [])),
    ]),
  );
}

/** Packs of each product: no more than would fill all it serves, or than the budget buys. */
function packColumns(
  model: LinearModel,
  c: Candidates,
  usesOf: ReadonlyMap<number, readonly Use[]>,
  companions: ReadonlyMap<string, readonly number[]>,
  limits: Limits,
): number[] {
  const isCompanion = (k: number) => [...companions.values()].some((ks) => ks.includes(k));
  return c.products.map((p, k) => {
    const line = c.firstProduct + k;
    const serves = mostPacks(usesOf.get(line) ?? [], c.supply[line]!, c.context.needs);
    const most = Math.max(serves, isCompanion(k) ? 1 : 0);
    if (most === 0) return -1;
    const affordable =
      limits.budget === null || p.price.amount === 0
        ? most
        : wholeDown(toMinor(limits.budget, p.price.currency) / minorPrice(p));
    return addColumn(model, { upper: Math.min(most, affordable), integer: true });
  });
}

/** Steps of each kit line that may stay at home. */
function leftColumns(model: LinearModel, c: Candidates, options: ModelOptions): PlanModel["left"] {
  // What serves at all is carried unless it is left, though it may not count for a vital need.
  const carriedUses = group(c.uses, (u) => u.line);
  return c.context.lines.map((l, i) => {
    const own = carriedUses.get(i);
    if (!options.mayLeave || i >= c.firstProduct || options.keep.has(l.line.id) || !own)
      return null;
    // A roll that must have a length is not cut.
    const lengthAsked = own.some((u) => {
      const spec = c.context.needs[u.need]!.need.spec;
      return spec?.minLengthMm !== undefined || spec?.minSizeMm !== undefined;
    });
    const portions = portionsOf(l.line, l.type!, !lengthAsked);
    return (
      portions && { column: addColumn(model, { upper: portions.steps, integer: true }), portions }
    );
  });
}

/** A column a companion: 1 only where a product that is one is bought. */
function companionColumns(
  model: LinearModel,
  companions: ReadonlyMap<string, readonly number[]>,
  packs: readonly number[],
): Map<string, number> {
  const present = new Map<string, number>();
  for (const [companion, ks] of companions) {
    const bought = ks.filter((k) => packs[k]! >= 0);
    if (bought.length === 0) continue;
    const column = addColumn(model, { upper: 1, integer: true });
    present.set(companion, column);
    addRow(model, {
      upper: 0,
      entries: [[column, 1], ...bought.map((k) => [packs[k]!, -1] as const)],
    });
  }
  return present;
}

/**
 * Lines and products that do the same jobs equally well are one stock: how it is shared among them
 * does not matter. A stock goes by its first line.
 */
interface Stocks {
  readonly members: readonly (readonly number[])[];
  readonly uses: readonly Use[];
  readonly usesOfStock: ReadonlyMap<number, readonly Use[]>;
  readonly usesOfNeed: ReadonlyMap<number, readonly Use[]>;
}

function stocksOf(uses: readonly Use[]): Stocks {
  const byLine = group(uses, (u) => u.line);
  const lines = [...byLine.keys()].sort((a, b) => a - b);
  const members = [...group(lines, (l) => jobsOf(byLine.get(l)!)).values()];
  const firsts = new Set(members.map((ls) => ls[0]!));
  const stockUses = uses.filter((u) => firsts.has(u.line));
  return {
    members,
    uses: stockUses,
    usesOfStock: group(stockUses, (u) => u.line),
    usesOfNeed: group(stockUses, (u) => u.need),
  };
}

/** Units of each use as columns, one for each set of companions that is bought with it. */
interface Shared {
  readonly columnsOf: ReadonlyMap<Use, readonly number[]>;
  readonly vitalCoverage: Entries;
  readonly coverage: Entries;
}

function shareColumns(
  model: LinearModel,
  c: Candidates,
  stocks: Stocks,
  present: ReadonlyMap<string, number>,
  options: ModelOptions,
): Shared {
  const { needs } = c.context;
  const totalWeight = needs.reduce((s, n) => s + n.weight, 0);
  const vitalWeight = needs.reduce((s, n) => s + (n.tier === "vital" ? n.weight : 0), 0);
  const vitalCoverage: [number, number][] = [];
  const coverage: [number, number][] = [];
  const columnsOf = new Map<Use, number[]>();
  needs.forEach((need, n) => {
    const filled: [number, number][] = [];
    const met: [number, number][] = [];
    const gated = new Map<string, [number, number][]>();
    for (const use of stocks.usesOfNeed.get(n) ?? []) {
      const columns: number[] = [];
      for (const bought of subsets(use.lacking.filter((x) => present.has(x)))) {
        const f = use.f * companionFactor(use.lacking.length - bought.length);
        const column = addColumn(model, { upper: need.required });
        columns.push(column);
        filled.push([column, 1]);
        met.push([column, f]);
        const points = (100 * need.weight * f) / need.required;
        coverage.push([column, points / totalWeight]);
        if (need.tier === "vital") vitalCoverage.push([column, points / vitalWeight]);
        for (const companion of bought)
          gated.set(companion, [...(gated.get(companion) ?? []), [column, 1]]);
      }
      columnsOf.set(use, columns);
    }
    if (filled.length > 0) addRow(model, { upper: need.required, entries: filled });
    for (const [companion, entries] of gated)
      addRow(model, { upper: 0, entries: [...entries, [present.get(companion)!, -need.required]] });
    if (options.vitalInFull && need.tier === "vital")
      addRow(model, { lower: need.required * (1 - FULL_SLACK), entries: met });
  });
  return { columnsOf, vitalCoverage, coverage };
}

/** Full is full but for the solver's own tolerance. */
const FULL_SLACK = 1e-7;

/** No more is shared out of a stock than its lines hold and its products bring. */
function supplyRows(
  model: LinearModel,
  c: Candidates,
  stocks: Stocks,
  { columnsOf }: Shared,
  packs: readonly number[],
  left: PlanModel["left"],
): void {
  for (const members of stocks.members) {
    let stock = 0;
    const changes: [number, number][] = [];
    for (const l of members) {
      if (isProduct(c, l)) changes.push([packs[l - c.firstProduct]!, -c.supply[l]!]);
      else {
        stock += c.supply[l]!;
        const at = left[l];
        if (at) changes.push([at.column, at.portions.step]);
      }
    }
    const known = changes.filter(([column]) => column >= 0);
    const limit = (entries: Entries, per: number) =>
      addRow(model, {
        upper: stock * per,
        entries: [...entries, ...known.map(([x, v]) => [x, v * per] as const)],
      });
    const own = stocks.usesOfStock.get(members[0]!)!;
    // A tool serves every need at once, whatever else it serves.
    if (own[0]!.tool)
      for (const u of own)
        limit(
          columnsOf.get(u)!.map((x) => [x, 1] as const),
          u.yield,
        );
    else
      limit(
        own.flatMap((u) => columnsOf.get(u)!.map((x) => [x, 1 / u.yield] as const)),
        1,
      );
  }
}

const perPack = (packs: readonly number[], of: (k: number) => number): Entries =>
  packs.flatMap((x, k) => (x < 0 ? [] : [[x, of(k)] as const]));

type ContextLine = Candidates["context"]["lines"][number];
const massOf = (l: ContextLine) => lineLoad(l.line, l.type).massG;
const bulkOf = (l: ContextLine) => lineLoad(l.line, l.type).volumeMl;

interface CarriedLoad {
  readonly c: Candidates;
  readonly left: PlanModel["left"];
  readonly keep: ReadonlySet<string>;
  readonly of: (l: ContextLine) => number;
}

/** What is carried in the end stays under a limit; lines that serve nothing are out already. */
function carriedRow(
  model: LinearModel,
  limit: number | null,
  bought: Entries,
  bag: number,
  load: CarriedLoad,
): void {
  if (limit === null) return;
  const { c, keep, of } = load;
  const serves = new Set(c.uses.map((u) => u.line));
  const kept = c.context.lines.reduce(
    (sum, l, i) =>
      i < c.firstProduct && (serves.has(i) || keep.has(l.line.id)) ? sum + of(l) : sum,
    bag,
  );
  addRow(model, { upper: limit - kept, entries: [...bought, ...leaving(load, -1)] });
}

/** What one step of each line that stays at home takes away. */
const leaving = ({ c, left, of }: CarriedLoad, sign: 1 | -1): Entries =>
  left.flatMap((at, i) =>
    at ? [[at.column, (sign * of(c.context.lines[i]!)) / at.portions.steps] as const] : [],
  );

/**
 * The audit gives a line to the need where it counts most. A use for a vital need is allowed only
 * while every need that would take the line first is full.
 */
function fullBeforeVital(
  model: LinearModel,
  c: Candidates,
  { uses, usesOfStock, usesOfNeed }: Stocks,
  { columnsOf }: Shared,
): void {
  const needs = c.context.needs;
  const worth = (u: Use) => (needs[u.need]!.weight / needs[u.need]!.required) * u.f * u.yield;
  const full = new Map<string, number>();
  /** 1 only when the need is full of what does it at least so well. */
  const fullColumn = (m: number, f: number): number => {
    const good = (usesOfNeed.get(m) ?? []).filter((u) => atLeast(u.f, f));
    const key = `${m} ${good.map((u) => u.line).join(" ")}`;
    let column = full.get(key);
    if (column === undefined) {
      column = addColumn(model, { upper: 1, integer: true });
      full.set(key, column);
      const filled = good.flatMap((u) => columnsOf.get(u)!.map((x) => [x, 1] as const));
      addRow(model, {
        lower: 0,
        entries: [...filled, [column, -needs[m]!.required * (1 - FULL_SLACK)]],
      });
    }
    return column;
  };
  for (const use of uses) {
    if (use.tool || needs[use.need]!.tier !== "vital") continue;
    for (const other of usesOfStock.get(use.line)!) {
      if (other.need === use.need) continue;
      // Of equal worth, the need that stands first in the list is served first.
      const tie = Math.abs(worth(other) - worth(use)) <= worth(use) * SHARE_TOLERANCE;
      if (tie ? other.need > use.need : worth(other) < worth(use)) continue;
      // The line would also push out what does the other need so much worse that it pays.
      const need = needs[other.need]!;
      const pays = worth(use) / ((need.weight / need.required) * other.yield);
      addRow(model, {
        upper: 0,
        entries: [
          ...columnsOf.get(use)!.map((x) => [x, 1] as const),
          [fullColumn(other.need, other.f - pays), -needs[use.need]!.required],
        ],
      });
    }
  }
}

/** Products may be bought only where the source counts, and only so many count. */
function fewSources(
  model: LinearModel,
  products: Candidates["products"],
  packs: readonly number[],
  most: number,
): void {
  const columns = new Map<string, number>();
  products.forEach((p, k) => {
    if (packs[k]! < 0 || isBrought(p)) return;
    const source = p.source ?? NO_SOURCE;
    let column = columns.get(source);
    if (column === undefined)
      columns.set(source, (column = addColumn(model, { upper: 1, integer: true })));
    addRow(model, {
      upper: 0,
      entries: [
        [packs[k]!, 1],
        [column, -model.columns[packs[k]!]!.upper],
      ],
    });
  });
  addRow(model, { upper: most, entries: [...columns.values()].map((x) => [x, 1] as const) });
}

/** What a line or product does, how well, and with what: the same for all of one stock. */
const jobsOf = (uses: readonly Use[]): string =>
  uses.map((u) => [u.need, u.f, u.yield, u.tool, ...u.lacking].join(" ")).join("|");

/** No more packs than would fill every need the product serves by itself. */
function mostPacks(
  uses: readonly Use[],
  perPack: number,
  needs: Candidates["context"]["needs"],
): number {
  if (uses.length === 0 || perPack <= 0) return 0;
  const asked = uses.map((u) => needs[u.need]!.required / u.yield);
  const units = uses[0]!.tool ? Math.max(...asked) : asked.reduce((a, b) => a + b, 0);
  return wholeUp(units / perPack);
}

function subsets(of: readonly string[]): string[][] {
  return of.reduce<string[][]>((all, x) => [...all, ...all.map((s) => [...s, x])], [[]]);
}

function group<T, K>(items: readonly T[], key: (t: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const item of items) {
    const own = groups.get(key(item));
    if (own) own.push(item);
    else groups.set(key(item), [item]);
  }
  return groups;
}
