import { effectiveCredit } from "../sieve/real.ts";
import type { Candidates, Use } from "./candidates.ts";
import { addColumn, addRow, emptyModel, type LinearModel } from "./linearModel.ts";
import { lineLoad } from "./mass.ts";

/**
 * The choice as a mixed-integer programme: packs of each product, what is dropped, and a sharing
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

export interface PlanModel {
  readonly model: LinearModel;
  /** Column of the packs of each product; −1: it serves nothing here. */
  readonly packs: readonly number[];
  /** Column that drops a kit line; −1: cannot be dropped. */
  readonly drops: readonly number[];
  /** Coverage of vital needs and of all, both on 0–100, as entries of a row. */
  readonly vitalCoverage: Entries;
  readonly coverage: Entries;
  /** Price in minor units, bought mass in g, products bought. */
  readonly price: Entries;
  readonly mass: Entries;
}
type Entries = (readonly [column: number, coefficient: number])[];

/** Prices are added up as whole minor units, so that a plan's price is exact. */
export const minorUnits = (amount: number): number => Math.round(amount * 100);

export function planModel(
  c: Candidates,
  limits: Limits,
  options: { vitalInFull: boolean; mayDrop: boolean; keep: ReadonlySet<string> },
): PlanModel {
  const model = emptyModel();
  const { bench, products, firstProduct, supply } = c;
  const isProduct = (l: number) => l >= firstProduct && l < firstProduct + products.length;
  const uses = options.vitalInFull
    ? c.uses.filter((u) => bench.needs[u.need]!.tier !== "vital" || u.f > 1 - 1e-9)
    : c.uses;
  const byLine = group(uses, (u) => u.line);
  const byNeed = group(uses, (u) => u.need);

  const companionProducts = new Map<string, number[]>();
  for (const companion of c.missingCompanions)
    companionProducts.set(
      companion,
      products.flatMap((p, k) => {
        const type = bench.lines[firstProduct + k]!.type!;
        return effectiveCredit(type, companion, undefined, bench.rules).credit > 0 ? [k] : [];
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
        : Math.floor(minorUnits(limits.budget) / minorUnits(p.price.amount) + 1e-9);
    return addColumn(model, { upper: Math.min(most, affordable), integer: true });
  });
  const drops = bench.lines.map((l, i) =>
    options.mayDrop && i < firstProduct && !options.keep.has(l.line.id) && byLine.has(i)
      ? addColumn(model, { upper: 1, integer: true })
      : -1,
  );

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

  const totalWeight = bench.needs.reduce((s, n) => s + n.weight, 0);
  const vitalWeight = bench.needs.reduce((s, n) => s + (n.tier === "vital" ? n.weight : 0), 0);
  const vitalCoverage: [number, number][] = [];
  const coverage: [number, number][] = [];
  // One column a use and a set of companions bought with it.
  const columnsOf = new Map<Use, number[]>();
  bench.needs.forEach((need, n) => {
    const own = byNeed.get(n) ?? [];
    const filled: [number, number][] = [];
    const met: [number, number][] = [];
    const gated = new Map<string, [number, number][]>();
    for (const use of own) {
      const columns: number[] = [];
      for (const bought of subsets(use.lacking.filter((x) => present.has(x)))) {
        const f = use.f / 2 ** (use.lacking.length - bought.length);
        const column = addColumn(model, {
          upper: Math.min(
            need.required,
            isProduct(use.line) ? Infinity : supply[use.line]! * use.yield,
          ),
        });
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

  for (const [line, own] of byLine) {
    const stock = supply[line]!;
    const pack = isProduct(line) ? packs[line - firstProduct]! : -1;
    const drop = drops[line]!;
    const limit = (entries: Entries, units: number) => {
      if (isProduct(line)) addRow(model, { upper: 0, entries: [...entries, [pack, -units]] });
      else if (drop >= 0) addRow(model, { upper: units, entries: [...entries, [drop, units]] });
      else addRow(model, { upper: units, entries });
    };
    if (own[0]!.tool)
      for (const u of own)
        limit(
          columnsOf.get(u)!.map((x) => [x, 1] as const),
          stock * u.yield,
        );
    else
      limit(
        own.flatMap((u) => columnsOf.get(u)!.map((x) => [x, 1 / u.yield] as const)),
        stock,
      );
  }

  fullBeforeVital(model, c, uses, byLine, byNeed, columnsOf);

  const price: Entries = packs.flatMap((x, k) =>
    x < 0 ? [] : [[x, minorUnits(products[k]!.price.amount)] as const],
  );
  const mass: Entries = packs.flatMap((x, k) =>
    x < 0 ? [] : [[x, products[k]!.massG ?? 0] as const],
  );
  const bulk: Entries = packs.flatMap((x, k) =>
    x < 0 ? [] : [[x, products[k]!.bulkMl ?? 0] as const],
  );
  if (limits.budget !== null) addRow(model, { upper: minorUnits(limits.budget), entries: price });
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
    const dropped: [number, number][] = [];
    bench.lines.forEach((l, i) => {
      if (i >= firstProduct || (!byLine.has(i) && !options.keep.has(l.line.id))) return;
      kept += of(l);
      if (drops[i]! >= 0) dropped.push([drops[i]!, -of(l)]);
    });
    addRow(model, { upper: limit - kept, entries: [...bought, ...dropped] });
  }

  return { model, packs, drops, vitalCoverage, coverage, price, mass };
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
  const full = new Map<number, number>();
  const fullColumn = (m: number): number => {
    let column = full.get(m);
    if (column === undefined) {
      column = addColumn(model, { upper: 1, integer: true });
      full.set(m, column);
      const filled = (byNeed.get(m) ?? []).flatMap((u) =>
        columnsOf.get(u)!.map((x) => [x, 1] as const),
      );
      addRow(model, { lower: 0, entries: [...filled, [column, -needs[m]!.required * (1 - 1e-7)]] });
    }
    return column;
  };
  for (const use of uses) {
    if (use.tool || needs[use.need]!.tier !== "vital") continue;
    for (const other of byLine.get(use.line)!) {
      if (other.need === use.need || worth(other) <= worth(use) * (1 + 1e-9)) continue;
      addRow(model, {
        upper: 0,
        entries: [
          ...columnsOf.get(use)!.map((x) => [x, 1] as const),
          [fullColumn(other.need), -needs[use.need]!.required],
        ],
      });
    }
  }
}

/** No more packs than would fill every need the product serves by itself. */
function mostPacks(
  uses: readonly Use[],
  perPack: number,
  needs: Candidates["bench"]["needs"],
): number {
  if (uses.length === 0 || perPack <= 0) return 0;
  const asked = uses.map((u) => needs[u.need]!.required / u.yield);
  const units = uses[0]!.tool ? Math.max(...asked) : asked.reduce((a, b) => a + b, 0);
  return Math.ceil(units / perPack - 1e-9);
}

function subsets(of: readonly string[]): string[][] {
  return of.reduce<string[][]>((all, x) => [...all, ...all.map((s) => [...s, x])], [[]]);
}

function group<T>(items: readonly T[], key: (t: T) => number): Map<number, T[]> {
  const groups = new Map<number, T[]>();
  for (const item of items) {
    const own = groups.get(key(item));
    if (own) own.push(item);
    else groups.set(key(item), [item]);
  }
  return groups;
}
