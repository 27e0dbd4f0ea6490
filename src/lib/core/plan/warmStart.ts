import type { Candidates } from "./candidates.ts";
import type { Choice } from "./choice.ts";
import { isArcOf } from "./exchange.ts";
import type { PlanModel } from "./programme.ts";
import { sharedOut } from "./sharedOut.ts";

/** A choice as values of the programme's columns, shared out as the audit has it: to start a search from. */
export function columnsOf(choice: Choice, m: PlanModel, c: Candidates): Float64Array {
  const x = new Float64Array(m.model.columns.length);
  const packs = new Map(
    [...choice.purchases, ...choice.brought].map((p) => [p.product.id, p.packs] as const),
  );
  m.packs.forEach((column, k) => {
    if (column >= 0) x[column] = packs.get(c.products[k]!.id) ?? 0;
  });
  const dropped = new Set(choice.dropped);
  const parts = new Map(choice.repacked.map((p) => [p.line, p.kept]));
  m.left.forEach((at, l) => {
    if (!at) return;
    const { id } = c.context.lines[l]!.line;
    const kept = parts.get(id);
    if (dropped.has(id)) x[at.column] = at.portions.steps;
    else if (kept !== undefined)
      x[at.column] = Math.round((c.supply[l]! - kept) / at.portions.step);
  });
  // In the order they were made: sources and companions before what is shared out by them.
  for (const { column, value } of m.follows) x[column] = value(x);
  const units = new Map<string, number>();
  for (const { stock, need, pair } of sharedOut(m, c, choice.after)) {
    const key = `${stock} ${need}`;
    units.set(key, (units.get(key) ?? 0) + pair.units);
  }
  for (const a of m.arcs) if (isArcOf(a, x)) x[a.column] = units.get(`${a.stock} ${a.need}`) ?? 0;
  // And what follows from that: which needs are full, which stocks are used up.
  for (const { column, value } of m.follows) x[column] = value(x);
  return x;
}
