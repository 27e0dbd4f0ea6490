import type { Limits } from "./limits.ts";
import { toMinor } from "../base/money.ts";
import { isWhole, wholeDown, wholeUp } from "../base/tolerance.ts";
import { minorPrice } from "../model/priceBook.ts";
import { companionFactor } from "../sieve/real.ts";
import { isProductLine, usefulLines, type Candidates, type Use } from "./candidates.ts";
import { gatherAmounts } from "./amounts.ts";
import { atRisk, presenceColumns } from "./companions.ts";
import {
  addColumn,
  addRow,
  emptyModel,
  onlyWith,
  type Entries,
  type LinearModel,
  type Row,
} from "./linearModel.ts";
import { orderColumns, sparePacks } from "./orders.ts";
import { lineLoad } from "../bag/load.ts";
import { portionsOf, wholeOf } from "./portions.ts";
import {
  FULL_SLACK,
  type Arc,
  type Carried,
  type Follows,
  type ModelOptions,
  type PlanModel,
  type Supply,
} from "./programme.ts";
import { servedFirst } from "./servedFirst.ts";
import { group, stocksOf, type Stocks } from "./stocks.ts";
import { yesNo } from "./yesNo.ts";

/**
 * The choice as a mixed-integer programme: packs of each product, what stays at home, and a sharing
 * out of kept and bought units to needs.
 *
 * The audit shares out for the most coverage, the plan wants vital needs first; so what is shared out
 * here must be what the audit would share out. What is known of that beforehand is in servedFirst.ts,
 * the rest is cut off once the audit has shown it (exchange.ts).
 */

export function planModel(c: Candidates, limits: Limits, options: ModelOptions): PlanModel {
  const model = emptyModel();
  const follows: Follows[] = [];
  const uses = usesThatCount(c, options);
  const gates = atRisk(c, options);

  // What is decided: packs to buy, steps of lines to leave, sources to go to; companions follow.
  const packs = packColumns(model, c, uses, gates, limits, options);
  const left = leftColumns(model, follows, c, options);
  const { maxSources, book } = options;
  const postage = orderColumns({ model, follows, products: c.products, packs, book, maxSources });
  const present = presenceColumns({ model, follows, c, packs, left, companions: gates });

  // How units are shared out to needs, and what that covers.
  const stocks = stocksOf(c.uses);
  const { arcs, vitalCoverage, coverage } = shareColumns(model, c, stocks, uses, present, options);
  const supplyOf = suppliesOf(model, c, stocks, packs, left);
  const seeAmounts = supplyRows(model, arcs, supplyOf);
  servedFirst({ model, follows, arcs, needs: c.context.needs });

  // What it costs and what is carried.
  const price = [...perPack(packs, (k) => minorPrice(c.products[k]!)), ...postage];
  const mass = perPack(packs, (k) => c.products[k]!.massG ?? 0);
  const bulk = perPack(packs, (k) => c.products[k]!.bulkMl ?? 0);
  const budget =
    limits.budget === null
      ? null
      : model.rows[addRow(model, { upper: toMinor(limits.budget, c.currency), entries: price })]!;
  const bagG = c.context.audit.kit.container?.massG ?? 0;
  const load = { c, left, keep: options.keep };
  const carriedMass = carriedOf(mass, bagG, { ...load, of: massOf });
  const carriedBulk = carriedOf(bulk, 0, { ...load, of: bulkOf });
  for (const [limit, { entries, held }] of [
    [limits.massG, carriedMass],
    [limits.volumeMl, carriedBulk],
  ] as const)
    if (limit !== null)
      seeAmounts.push(model.rows[addRow(model, { upper: limit - held, entries })]!);
  gatherAmounts({ model, follows, packs }, seeAmounts);
  const leftMass = leaving({ ...load, of: massOf }, 1);
  return {
    model,
    packs,
    left,
    stocks,
    arcs,
    supplyOf,
    follows,
    vitalCoverage,
    coverage,
    price,
    mass,
    budget,
    leftMass,
    carriedMass,
    carriedBulk,
  };
}

/** For a vital need that must be full only what does its whole job counts. */
const usesThatCount = (c: Candidates, options: ModelOptions): readonly Use[] =>
  options.vitalInFull
    ? c.uses.filter((u) => c.context.needs[u.need]!.tier !== "vital" || isWhole(u.f))
    : c.uses;

/**
 * Packs of each product: no more than would fill all it serves, or bring an order to where it is taken or sent
 * for nothing, or than the budget buys.
 */
function packColumns(
  model: LinearModel,
  c: Candidates,
  uses: readonly Use[],
  companions: ReadonlySet<string>,
  limits: Limits,
  { book }: ModelOptions,
): number[] {
  const usesOf = group(uses, (u) => u.line);
  const useful = usefulLines(c);
  const isCompanion = new Set([...companions].flatMap((x) => c.companionLines.get(x) ?? []));
  return c.products.map((p, k) => {
    const line = c.firstProduct + k;
    const serves = mostPacks(usesOf.get(line) ?? [], c.supply[line]!, c.context.needs);
    const spare = useful.has(line) ? sparePacks(p, book) : 0;
    const most = Math.max(serves, isCompanion.has(line) ? 1 : 0) + spare;
    if (most === 0) return -1;
    const affordable =
      limits.budget === null || p.price.amount === 0
        ? most
        : wholeDown(toMinor(limits.budget, p.price.currency) / minorPrice(p));
    return addColumn(model, { upper: Math.min(most, affordable), integer: true });
  });
}

/** Steps of each kit line that may stay at home: what serves or is a companion is carried unless it is left. */
function leftColumns(
  model: LinearModel,
  follows: Follows[],
  c: Candidates,
  options: ModelOptions,
): PlanModel["left"] {
  const useful = usefulLines(c);
  const usesOf = group(c.uses, (u) => u.line);
  return c.context.lines.map((l, i) => {
    if (
      options.leave === "none" ||
      i >= c.firstProduct ||
      options.keep.has(l.line.id) ||
      !useful.has(i)
    )
      return null;
    // A roll that must have a length is not cut.
    const lengthAsked = (usesOf.get(i) ?? []).some((u) => {
      const spec = c.context.needs[u.need]!.need.spec;
      return spec?.minLengthMm !== undefined || spec?.minSizeMm !== undefined;
    });
    const portions =
      options.leave === "whole" ? wholeOf(c.supply[i]!) : portionsOf(l.line, l.type!, !lengthAsked);
    if (!portions) return null;
    const { steps, rest } = portions;
    const column = addColumn(model, { upper: steps, integer: true });
    if (rest === 0) return { column, portions, gone: null };
    const gone = yesNo({ model, follows }, (x) => x[column]! > steps - 0.5);
    onlyWith(model, gone, 1 / steps, column);
    addRow(model, {
      upper: steps - 1,
      entries: [
        [column, 1],
        [gone, -1],
      ],
    });
    return { column, portions, gone };
  });
}

/** Units of each use as columns, one for each set of companions that may be there with it. */
function shareColumns(
  model: LinearModel,
  c: Candidates,
  stocks: Stocks,
  uses: readonly Use[],
  present: ReadonlyMap<string, number>,
  options: ModelOptions,
): Pick<PlanModel, "arcs" | "vitalCoverage" | "coverage"> {
  const { needs } = c.context;
  const totalWeight = needs.reduce((s, n) => s + n.weight, 0);
  const vitalWeight = needs.reduce((s, n) => s + (n.tier === "vital" ? n.weight : 0), 0);
  const vitalCoverage: [number, number][] = [];
  const coverage: [number, number][] = [];
  const arcs: Arc[] = [];
  const usesOfNeed = group(
    uses.filter((u) => stocks.firsts.has(u.line)),
    (u) => u.need,
  );
  needs.forEach((need, n) => {
    const filled: [number, number][] = [];
    const met: [number, number][] = [];
    const gated = new Map<number, { there: number[]; lacks: number[] }>();
    for (const use of usesOfNeed.get(n) ?? []) {
      // What is neither always there nor can be had is missing for good.
      const open = use.companions.filter((x) => present.has(x));
      const lost = use.lacking.filter((x) => !present.has(x)).length;
      for (const had of subsets(open)) {
        const share = companionFactor(lost + open.length - had.length);
        const column = addColumn(model, { upper: need.required });
        const there = had.map((x) => present.get(x)!);
        const lacks = open.filter((x) => !had.includes(x)).map((x) => present.get(x)!);
        const { line: stock, r, yield: yields, tool } = use;
        const f = use.f * share;
        arcs.push({ column, stock, need: n, f, r: r * share, yield: yields, tool, there, lacks });
        filled.push([column, 1]);
        met.push([column, f]);
        const points = (100 * need.weight * f) / need.required;
        coverage.push([column, points / totalWeight]);
        if (need.tier === "vital") vitalCoverage.push([column, points / vitalWeight]);
        const of = (x: number) => {
          let own = gated.get(x);
          if (!own) gated.set(x, (own = { there: [], lacks: [] }));
          return own;
        };
        for (const x of there) of(x).there.push(column);
        for (const x of lacks) of(x).lacks.push(column);
      }
    }
    if (filled.length > 0) addRow(model, { upper: need.required, entries: filled });
    for (const [x, { there, lacks }] of gated) {
      const ones = (columns: number[]) => columns.map((y) => [y, 1] as const);
      addRow(model, { upper: 0, entries: [...ones(there), [x, -need.required]] });
      addRow(model, { upper: need.required, entries: [...ones(lacks), [x, need.required]] });
    }
    if (options.vitalInFull && need.tier === "vital")
      addRow(model, { lower: need.required * (1 - FULL_SLACK), entries: met });
  });
  return { arcs, vitalCoverage, coverage };
}

/** What the lines of each stock hold, and what each column adds to it or takes away. */
function suppliesOf(
  model: LinearModel,
  c: Candidates,
  stocks: Stocks,
  packs: readonly number[],
  left: PlanModel["left"],
): ReadonlyMap<number, Supply> {
  const supplies = new Map<number, Supply>();
  for (const members of stocks.members) {
    let held = 0;
    let most = 0;
    const changes: [number, number][] = [];
    for (const l of members) {
      if (isProductLine(c, l)) {
        const column = packs[l - c.firstProduct]!;
        if (column < 0) continue;
        changes.push([column, c.supply[l]!]);
        most += c.supply[l]! * model.columns[column]!.upper;
      } else {
        held += c.supply[l]!;
        const at = left[l];
        if (!at) continue;
        changes.push([at.column, -at.portions.step]);
        if (at.gone !== null) changes.push([at.gone, -at.portions.rest]);
      }
    }
    supplies.set(members[0]!, { held, changes, most: held + most });
  }
  return supplies;
}

/**
 * No more is shared out of a stock than it holds; a tool serves every need at once, whatever else it serves.
 * @returns the rows
 */
function supplyRows(
  model: LinearModel,
  arcs: readonly Arc[],
  supplyOf: ReadonlyMap<number, Supply>,
): Row[] {
  const before = model.rows.length;
  for (const [stock, own] of group(arcs, (a) => a.stock)) {
    const { held, changes } = supplyOf.get(stock)!;
    const sharing = own[0]!.tool ? [...group(own, (a) => a.need).values()] : [own];
    for (const arcs of sharing) {
      const per = own[0]!.tool ? arcs[0]!.yield : 1;
      addRow(model, {
        upper: held * per,
        entries: [
          ...arcs.map((a) => [a.column, per / a.yield] as const),
          ...changes.map(([x, v]) => [x, -v * per] as const),
        ],
      });
    }
  }
  return model.rows.slice(before);
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

/** Lines that serve nothing are out already. */
function carriedOf(bought: Entries, bag: number, load: CarriedLoad): Carried {
  const { c, keep, of } = load;
  const serves = usefulLines(c);
  const held = c.context.lines.reduce(
    (sum, l, i) =>
      i < c.firstProduct && (serves.has(i) || keep.has(l.line.id)) ? sum + of(l) : sum,
    bag,
  );
  return { held, entries: [...bought, ...leaving(load, -1)] };
}

/** What each line that stays at home takes away. */
const leaving = ({ c, left, of }: CarriedLoad, sign: 1 | -1): Entries =>
  left.flatMap((at, i) => {
    if (!at) return [];
    const { column, gone, portions } = at;
    const each =
      (sign * of(c.context.lines[i]!)) / (portions.steps * portions.step + portions.rest);
    const steps = [column, each * portions.step] as const;
    return gone === null ? [steps] : [steps, [gone, each * portions.rest] as const];
  });

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
