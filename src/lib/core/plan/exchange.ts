import { SHARE_TOLERANCE } from "../base/tolerance.ts";
import type { AskedNeed } from "../reference/asked.ts";
import type { Audit } from "../audit/audit.ts";
import type { Candidates } from "./candidates.ts";
import { addRow, onlyWith, valueAt } from "./linearModel.ts";
import { FULL_SLACK, type Arc, type PlanModel } from "./programme.ts";
import { sharedOut } from "./sharedOut.ts";
import { group } from "./stocks.ts";
import { fullOf, yesNo } from "./yesNo.ts";

/**
 * Cuts from the audit. A solution of the programme may share out what the audit would share out
 * otherwise, to the loss of a vital need. The difference between the two holds chains of exchange: a
 * unit moves to another need, pushes out what stood there, which moves on, and so forth; the audit gains
 * by it. Such a chain can be made wherever its units stand so, whatever else is bought: so what is cut
 * off is the pattern ("these serve there, and that need is not full"), not one set of packs.
 */

/** Longer chains than these moves were never needed where shorter ones are looked for first. */
const LONGEST_CHAIN = 4;
/** So many patterns are cut off at a time, those with the fewest conditions. */
const MOST_AT_ONCE = 12;
const MOST_LOOKED_AT = 2000;
/** Units that are there, relative to what a need asks; above what FULL_SLACK lets pass. */
const UNITS_TOLERANCE = 1e-6;

/** Columns made for cuts, kept with their model: a pattern may be met again. */
export interface CutColumns {
  readonly on: Map<number, number>;
  readonly full: Map<number, number>;
  readonly spent: Map<string, number>;
  readonly seen: Set<string>;
}
export const noCuts = (): CutColumns => ({
  on: new Map(),
  full: new Map(),
  spent: new Map(),
  seen: new Set(),
});

/** What must be so for an exchange to be possible. */
interface Conditions {
  /** Columns of units that stand where they can be taken away. */
  readonly on: readonly number[];
  /** Needs that are not full. */
  readonly open: readonly number[];
  /** Stocks of which something is left over. */
  readonly spare: readonly string[];
  /** Companions that are there. */
  readonly there: readonly number[];
}

/** Units of a stock at a need; a tool is a stock of its own at each need. */
interface Flow {
  readonly node: string;
  readonly need: number;
  readonly f: number;
  readonly r: number;
  readonly yield: number;
  readonly there: readonly number[];
  readonly column: number;
  /** Units there, and units more that the audit puts there. */
  units: number;
  more: number;
}

const nodeOf = (stock: number, need: number, tool: boolean) =>
  tool ? `${stock} ${need}` : `${stock}`;

/**
 * Cuts off what the audit would exchange in a solution.
 * @returns false where nothing was found that could be cut off
 */
export function cutExchanges(
  m: PlanModel,
  cuts: CutColumns,
  c: Candidates,
  x: ArrayLike<number>,
  after: Audit,
): boolean {
  const flows = flowsOf(m, c, x, after);
  if (!flows) return false;
  const needs = c.context.needs;
  const open = openNeeds(m, needs, x);
  const spare = spareStocks(m, x);
  const found = chains(flows, needs, open, spare);
  const patterns = found.length > 0 ? found : wholeParts(flows, needs, open, spare);
  const added = [...patterns]
    .sort((a, b) => sizeOf(a) - sizeOf(b))
    .filter((p) => {
      const key = JSON.stringify([p.on, p.open, p.spare, p.there]);
      return cuts.seen.has(key) ? false : (cuts.seen.add(key), true);
    })
    .slice(0, MOST_AT_ONCE);
  for (const p of added) forbidPattern(m, cuts, needs, p);
  return added.length > 0;
}

const sizeOf = (p: Conditions) => p.on.length + p.open.length + p.spare.length + p.there.length;

/** What stands where in the solution, and what more or less in the audit; null: the two cannot be compared. */
function flowsOf(m: PlanModel, c: Candidates, x: ArrayLike<number>, after: Audit): Flow[] | null {
  const flows = new Map<string, Flow>();
  const key = (stock: number, need: number) => `${stock} ${need}`;
  for (const a of m.arcs) {
    if (!isArcOf(a, x)) continue;
    const { need, f, r, there, column } = a;
    const node = nodeOf(a.stock, need, a.tool);
    const units = x[column]!;
    flows.set(key(a.stock, need), {
      ...{ node, need, f, r, yield: a.yield, there, column, units },
      more: -units,
    });
  }
  for (const { stock, need, pair } of sharedOut(m, c, after)) {
    if (pair.f <= 0) continue;
    if (stock === undefined) return null;
    const flow = flows.get(key(stock, need));
    // With other companions than the programme has, or what an owner brought for another need.
    if (!flow) return null;
    flow.more += pair.units;
  }
  return [...flows.values()];
}

/** Whether the companions of an arc are just those that are there. */
export const isArcOf = (a: Arc, x: ArrayLike<number>): boolean =>
  a.there.every((y) => x[y]! > 0.5) && a.lacks.every((y) => x[y]! < 0.5);

function openNeeds(m: PlanModel, needs: readonly AskedNeed[], x: ArrayLike<number>): Set<number> {
  const filled = needs.map(() => 0);
  for (const a of m.arcs) filled[a.need]! += x[a.column]!;
  return new Set(
    needs.flatMap((n, i) => (filled[i]! < n.required * (1 - UNITS_TOLERANCE) ? [i] : [])),
  );
}

function arcsOfNodes(m: PlanModel): Map<string, Arc[]> {
  return group(m.arcs, (a) => nodeOf(a.stock, a.need, a.tool));
}

function spareStocks(m: PlanModel, x: ArrayLike<number>): Set<string> {
  const spare = new Set<string>();
  for (const [node, arcs] of arcsOfNodes(m)) {
    const { held, changes, most } = m.supplyOf.get(arcs[0]!.stock)!;
    const supply = held + valueAt(changes, x);
    const used = arcs.reduce((s, a) => s + x[a.column]! / a.yield, 0);
    if (supply - used > UNITS_TOLERANCE * Math.max(1, most)) spare.add(node);
  }
  return spare;
}

/** What an exchange changes at each need: Σ units·f and Σ units·r. */
type Changes = readonly (readonly [need: number, f: number, r: number])[];

/** By the levels of sharing out: all f, all r, then f and r need by need; and the loss of vital needs. */
function judge(changes: Changes, needs: readonly AskedNeed[]): { gains: boolean; hurts: boolean } {
  const total = new Map<number, [number, number]>();
  for (const [n, f, r] of changes) {
    const [a, b] = total.get(n) ?? [0, 0];
    total.set(n, [a + f, b + r]);
  }
  const order = [...total].sort(([a], [b]) => a - b);
  const point = (n: number) => needs[n]!.weight / needs[n]!.required;
  let f = 0;
  let r = 0;
  let vital = 0;
  let size = 0;
  for (const [n, [df, dr]] of order) {
    f += df * point(n);
    r += dr * point(n);
    if (needs[n]!.tier === "vital") vital += df * point(n);
    size = Math.max(size, Math.abs(df) * point(n), Math.abs(dr) * point(n));
  }
  const least = size * SHARE_TOLERANCE;
  const first = [
    f,
    r,
    ...order.map(([n, d]) => d[0] * point(n)),
    ...order.map(([n, d]) => d[1] * point(n)),
  ].find((v) => Math.abs(v) > least);
  return { gains: first !== undefined && first > 0, hurts: vital < -least };
}

/** Short chains of exchange that the audit gains by and a vital need loses by. */
function chains(
  flows: readonly Flow[],
  needs: readonly AskedNeed[],
  open: ReadonlySet<number>,
  spare: ReadonlySet<string>,
): Conditions[] {
  const enough = (f: Flow, v: number) => v > UNITS_TOLERANCE * needs[f.need]!.required;
  const takenAt = group(
    flows.filter((f) => enough(f, f.units) && enough(f, -f.more)),
    (f) => f.need,
  );
  const putFrom = group(
    flows.filter((f) => enough(f, f.more)),
    (f) => f.node,
  );
  const found: Conditions[] = [];
  let looked = 0;

  interface Chain {
    readonly changes: Changes;
    readonly taken: readonly Flow[];
    readonly put: readonly Flow[];
    readonly spare: readonly string[];
  }
  const done = (chain: Chain, at: readonly number[]) => {
    const { gains, hurts } = judge(chain.changes, needs);
    if (!gains || !hurts) return;
    found.push({
      on: chain.taken.map((f) => f.column).sort((a, b) => a - b),
      open: at,
      spare: chain.spare,
      there: [...new Set(chain.put.flatMap((f) => f.there))],
    });
  };
  /** So many units of measure of a stock have nowhere to stand. */
  const place = (
    node: string,
    amount: number,
    chain: Chain,
    home: { need: number; units: number } | null,
  ): void => {
    if (++looked > MOST_LOOKED_AT) return;
    if (chain.put.length > 0) done(chain, []);
    if (chain.put.length >= LONGEST_CHAIN) return;
    for (const to of putFrom.get(node) ?? []) {
      const units = amount * to.yield;
      const put = (n: number): Chain => ({
        ...chain,
        put: [...chain.put, to],
        changes: [...chain.changes, [to.need, n * to.f, n * to.r]],
      });
      // Back to where the first was taken away: as much as there is room for.
      if (home?.need === to.need) {
        done(put(Math.min(units, home.units)), []);
        continue;
      }
      if (open.has(to.need)) done(put(units), [to.need]);
      for (const out of takenAt.get(to.need) ?? []) {
        if (out.node === node || chain.taken.includes(out)) continue;
        const next = put(units);
        place(
          out.node,
          units / out.yield,
          {
            ...next,
            taken: [...next.taken, out],
            changes: [...next.changes, [out.need, -units * out.f, -units * out.r]],
          },
          home,
        );
      }
    }
  };
  for (const from of [...takenAt.values()].flat())
    place(
      from.node,
      1,
      {
        changes: [[from.need, -from.yield * from.f, -from.yield * from.r]],
        taken: [from],
        put: [],
        spare: [],
      },
      { need: from.need, units: from.yield },
    );
  for (const node of spare)
    if (putFrom.has(node)) place(node, 1, { changes: [], taken: [], put: [], spare: [node] }, null);
  return found;
}

/** Where no short chain tells, all that hangs together is one pattern. */
function wholeParts(
  flows: readonly Flow[],
  needs: readonly AskedNeed[],
  open: ReadonlySet<number>,
  spare: ReadonlySet<string>,
): Conditions[] {
  const changed = flows.filter((f) => Math.abs(f.more) > UNITS_TOLERANCE * needs[f.need]!.required);
  const parts: Flow[][] = [];
  const left = new Set(changed);
  for (const start of changed) {
    if (!left.delete(start)) continue;
    const part = [start];
    for (const at of part)
      for (const f of left)
        if (f.node === at.node || f.need === at.need) {
          left.delete(f);
          part.push(f);
        }
    parts.push(part);
  }
  return parts.flatMap((part): Conditions[] => {
    const { gains, hurts } = judge(
      part.map((f) => [f.need, f.more * f.f, f.more * f.r]),
      needs,
    );
    if (!gains || !hurts) return [];
    const taken = part.filter((f) => f.more < 0);
    const more = (of: readonly Flow[]) => of.reduce((s, f) => s + f.more, 0);
    const filled = [...group(part, (f) => f.need)].flatMap(([n, of]) =>
      more(of) > UNITS_TOLERANCE * needs[n]!.required ? [n] : [],
    );
    const drawn = [...group(part, (f) => f.node)].flatMap(([node, of]) =>
      of.reduce((s, f) => s + f.more / f.yield, 0) > UNITS_TOLERANCE ? [node] : [],
    );
    // What does not stand so in the solution cannot be cut off by it.
    if (filled.some((n) => !open.has(n)) || drawn.some((s) => !spare.has(s))) return [];
    return [
      {
        on: taken.map((f) => f.column),
        open: filled,
        spare: drawn,
        there: [...new Set(part.filter((f) => f.more > 0).flatMap((f) => f.there))],
      },
    ];
  });
}

/** Not all of these at once. */
function forbidPattern(
  m: PlanModel,
  cuts: CutColumns,
  needs: readonly AskedNeed[],
  { on, open, spare, there }: Conditions,
): void {
  const { model } = m;
  const yes = [...on.map(onColumn), ...there];
  const no = [...open.map(fullColumn), ...spare.map(spentColumn)];
  addRow(model, {
    upper: yes.length - 1,
    entries: [...yes.map((y) => [y, 1] as const), ...no.map((y) => [y, -1] as const)],
  });

  /** 1 where there is any of the column. */
  function onColumn(column: number): number {
    return known(cuts.on, column, () => {
      const a = m.arcs.find((arc) => arc.column === column)!;
      const most = Math.min(needs[a.need]!.required, m.supplyOf.get(a.stock)!.most * a.yield);
      const y = yesNo(m, (x) => x[column]! > 0);
      onlyWith(model, column, most, y);
      return y;
    });
  }

  /** 1 only where the need is full. */
  function fullColumn(n: number): number {
    return known(cuts.full, n, () => {
      const columns = m.arcs.filter((a) => a.need === n).map((a) => a.column);
      return fullOf(m, columns, needs[n]!.required);
    });
  }

  /** 1 only where nothing of the stock is left over. */
  function spentColumn(node: string): number {
    return known(cuts.spent, node, () => {
      const arcs = arcsOfNodes(m).get(node)!;
      const { held, changes, most } = m.supplyOf.get(arcs[0]!.stock)!;
      const entries = [
        ...arcs.map((a) => [a.column, 1 / a.yield] as const),
        ...changes.map(([x, v]) => [x, -v] as const),
      ];
      const spent = held - FULL_SLACK * most;
      const y = yesNo(m, (x) => valueAt(entries, x) >= spent);
      addRow(model, { lower: spent - most, entries: [...entries, [y, -most]] });
      return y;
    });
  }
}

function known<K>(made: Map<K, number>, key: K, make: () => number): number {
  let column = made.get(key);
  if (column === undefined) made.set(key, (column = make()));
  return column;
}
