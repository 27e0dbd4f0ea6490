import { toMinor } from "../base/money.ts";
import { atLeast, isWhole, SHARE_TOLERANCE, wholeDown, wholeUp } from "../base/tolerance.ts";
import { minorPrice } from "../model/priceBook.ts";
import { effectiveCredit } from "../sieve/real.ts";
import type { Candidates, Use } from "./candidates.ts";
import { addColumn, addRow, emptyModel, type LinearModel } from "./linearModel.ts";
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

export interface Limits {
  /** In the price book's currency. null: none. */
  readonly budget: number | null;
  readonly massG: number | null;
  readonly volumeMl: number | null;
}
export const NO_LIMITS: Limits = { budget: null, massG: null, volumeMl: null };
/** Whether what is carried is limited, so that lines may have to stay at home. */
export const limitsLoad = (l: Limits): boolean => l.massG !== null || l.volumeMl !== null;

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
  const { bench, products, firstProduct, supply } = c;
  const isProduct = (l: number) => l >= firstProduct && l < firstProduct + products.length;
  const uses = options.vitalInFull
    ? c.uses.filter((u) => bench.needs[u.need]!.tier !== "vital" || isWhole(u.f))
    : c.uses;
  const byLine = group(uses, (u) => u.line);
  // What serves at all is carried unless it is left, though it may not count for a vital need.
  const carriedUses = group(c.uses, (u) => u.line);

  const companionProducts = new Map<string, number[]>();
  for (const companion of c.missingCompanions)
    companionProducts.set(
      companion,
      products.flatMap((p, k) => {
        const type = bench.lines[firstProduct + k]!.type!;
        return effectiveCredit(type, companion, undefined, bench.rules, bench.catalogue).credit > 0
          ? [k]
          : [];
      }),
    );
  const isCompanion = (k: number) => [...companionProducts.values()].some((ks) => ks.includes(k));

  const packs = products.map((p, k) => {
    const own = byLine.get(firstProduct + k) ?? [];
    const most = Math.max(
      mostPacks(own, supply[firstProduct + k]!, bench.needs),
      isCompanion(k) ? 1 : 0,
    );
    if (most === 0) return -1;
    const affordable =
      limits.budget === null || p.price.amount === 0
        ? most
        : wholeDown(toMinor(limits.budget, p.price.currency) / minorPrice(p));
    return addColumn(model, { upper: Math.min(most, affordable), integer: true });
  });
  const left = bench.lines.map((l, i) => {
    const own = carriedUses.get(i);
    if (!options.mayLeave || i >= firstProduct || options.keep.has(l.line.id) || !own) return null;
    // A roll that must have a length is not cut.
    const lengthAsked = own.some((u) => {
      const spec = bench.needs[u.need]!.need.spec;
      return spec?.minLengthMm !== undefined || spec?.minSizeMm !== undefined;
    });
    const portions = portionsOf(l.line, l.type!, !lengthAsked);
    return (
      portions && { column: addColumn(model, { upper: portions.steps, integer: true }), portions }
    );
  });
  if (options.maxSources !== null) fewSources(model, products, packs, options.maxSources);

  const present = new Map<string, number>();
  for (const [companion, ks] of companionProducts) {
    const bought = ks.filter((k) => packs[k]! >= 0);
    if (bought.length === 0) continue;
    const column = addColumn(model, { upper: 1, integer: true });
    present.set(companion, column);
    addRow(model, {
      upper: 0,
      entries: [[column, 1], ...bought.map((k) => [packs[k]!, -1] as const)],
    });
  }

  // Lines and products that do the same jobs equally well are one stock: how it is shared among
  // them does not matter.
  const stocks = group(
    [...byLine.keys()].sort((a, b) => a - b),
    (l) => jobsOf(byLine.get(l)!),
  );
  const stockOf = new Map(
    [...stocks.values()].flatMap((ls) => ls.map((l) => [l, ls[0]!] as const)),
  );
  const stockUses = uses.filter((u) => stockOf.get(u.line) === u.line);
  const byStock = group(stockUses, (u) => u.line);
  const usesOfNeed = group(stockUses, (u) => u.need);

  const totalWeight = bench.needs.reduce((s, n) => s + n.weight, 0);
  const vitalWeight = bench.needs.reduce((s, n) => s + (n.tier === "vital" ? n.weight : 0), 0);
  const vitalCoverage: [number, number][] = [];
  const coverage: [number, number][] = [];
  // One column a use and a set of companions bought with it.
  const columnsOf = new Map<Use, number[]>();
  bench.needs.forEach((need, n) => {
    const own = usesOfNeed.get(n) ?? [];
    const filled: [number, number][] = [];
    const met: [number, number][] = [];
    const gated = new Map<string, [number, number][]>();
    for (const use of own) {
      const columns: number[] = [];
      for (const bought of subsets(use.lacking.filter((x) => present.has(x)))) {
        const f = use.f / 2 ** (use.lacking.length - bought.length);
        const column = addColumn(model, { upper: need.required });
        columns.push(column);
        filled.push([column, 1]);
        met.push([column, f]);
        const points = (100 * need.weight * f) / need.required;
        coverage.push([column, points / totalWeight]);
        if (need.tier === "vital") vitalCoverage.push([column, points / vitalWeight]);
        for (const companion of bought) {
          const row = gated.get(companion) ?? [];
          row.push([column, 1]);
          gated.set(companion, row);
        }
      }
      columnsOf.set(use, columns);
    }
    if (filled.length > 0) addRow(model, { upper: need.required, entries: filled });
    for (const [companion, entries] of gated)
      addRow(model, { upper: 0, entries: [...entries, [present.get(companion)!, -need.required]] });
    if (options.vitalInFull && need.tier === "vital")
      addRow(model, { lower: need.required - 1e-7 * need.required, entries: met });
  });

  for (const members of stocks.values()) {
    const own = byStock.get(members[0]!)!;
    let stock = 0;
    const changes: [number, number][] = [];
    for (const l of members) {
      if (isProduct(l)) changes.push([packs[l - firstProduct]!, -supply[l]!]);
      else {
        stock += supply[l]!;
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

  fullBeforeVital(model, c, stockUses, byStock, usesOfNeed, columnsOf);

  const price: Entries = packs.flatMap((x, k) =>
    x < 0 ? [] : [[x, minorPrice(products[k]!)] as const],
  );
  const mass: Entries = packs.flatMap((x, k) =>
    x < 0 ? [] : [[x, products[k]!.massG ?? 0] as const],
  );
  const bulk: Entries = packs.flatMap((x, k) =>
    x < 0 ? [] : [[x, products[k]!.bulkMl ?? 0] as const],
  );
  if (limits.budget !== null)
    addRow(model, { upper: toMinor(limits.budget, c.currency), entries: price });
  carried(
    limits.massG,
    mass,
    (l) => lineLoad(l.line, l.type).massG,
    bench.audit.kit.container?.massG ?? 0,
  );
  carried(limits.volumeMl, bulk, (l) => lineLoad(l.line, l.type).volumeMl, 0);

  /** What is carried in the end stays under a limit; lines that serve nothing are out already. */
  function carried(
    limit: number | null,
    bought: Entries,
    of: (l: Candidates["bench"]["lines"][number]) => number,
    bag: number,
  ) {
    if (limit === null) return;
    let kept = bag;
    bench.lines.forEach((l, i) => {
      if (i >= firstProduct || (!carriedUses.has(i) && !options.keep.has(l.line.id))) return;
      kept += of(l);
    });
    addRow(model, { upper: limit - kept, entries: [...bought, ...leaving(of, -1)] });
  }

  /** What one step of each line that stays at home takes away. */
  function leaving(of: (l: Candidates["bench"]["lines"][number]) => number, sign: 1 | -1): Entries {
    return left.flatMap((at, i) =>
      at ? [[at.column, (sign * of(bench.lines[i]!)) / at.portions.steps] as const] : [],
    );
  }

  const leftMass = leaving((l) => lineLoad(l.line, l.type).massG, 1);
  return { model, packs, left, vitalCoverage, coverage, price, mass, leftMass };
}

/**
 * The audit gives a line to the need where it counts most. A use for a vital need is allowed only
 * while every need that would take the line first is full.
 */
function fullBeforeVital(
  model: LinearModel,
  c: Candidates,
  uses: readonly Use[],
  byLine: ReadonlyMap<number, readonly Use[]>,
  byNeed: ReadonlyMap<number, readonly Use[]>,
  columnsOf: ReadonlyMap<Use, readonly number[]>,
): void {
  const needs = c.bench.needs;
  const worth = (u: Use) => (needs[u.need]!.weight / needs[u.need]!.required) * u.f * u.yield;
  const full = new Map<string, number>();
  /** 1 only when the need is full of what does it at least so well. */
  const fullColumn = (m: number, f: number): number => {
    const good = (byNeed.get(m) ?? []).filter((u) => atLeast(u.f, f));
    const key = `${m} ${good.map((u) => u.line).join(" ")}`;
    let column = full.get(key);
    if (column === undefined) {
      column = addColumn(model, { upper: 1, integer: true });
      full.set(key, column);
      const filled = good.flatMap((u) => columnsOf.get(u)!.map((x) => [x, 1] as const));
      addRow(model, { lower: 0, entries: [...filled, [column, -needs[m]!.required * (1 - 1e-7)]] });
    }
    return column;
  };
  for (const use of uses) {
    if (use.tool || needs[use.need]!.tier !== "vital") continue;
    for (const other of byLine.get(use.line)!) {
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
    if (packs[k]! < 0) return;
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
  needs: Candidates["bench"]["needs"],
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
