import type { Entries } from "./linearModel.ts";
import type { PlanModel } from "./programme.ts";

/** Sets what the programme minimises. */
export function minimise(m: PlanModel, entries: Entries): void {
  for (const column of m.model.columns) column.cost = 0;
  for (const [x, v] of entries) m.model.columns[x]!.cost += v;
}
