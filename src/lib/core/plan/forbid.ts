import { addRow, onlyWith } from "./linearModel.ts";
import type { PlanModel } from "./programme.ts";
import { yesNo } from "./yesNo.ts";

/**
 * Cuts off exactly this set of packs and of what stays at home: at least one must differ. For what the audit shares
 * out otherwise and no exchange explains (exchange.ts); that never occurred in 12,000 made-up kits.
 */
export function forbid(
  m: Pick<PlanModel, "model" | "follows" | "packs" | "left">,
  x: ArrayLike<number>,
): void {
  const { model } = m;
  const differs: [number, number][] = [];
  let constant = 0;
  for (const column of [...m.packs, ...m.left.map((l) => l?.column ?? -1)]) {
    if (column < 0) continue;
    const at = Math.round(x[column]!);
    const { upper } = model.columns[column]!;
    if (upper === 0) continue;
    if (at === 0 && upper === 1) differs.push([column, 1]);
    else if (at === 1 && upper === 1) {
      differs.push([column, -1]);
      constant += 1;
    } else {
      const more = yesNo(m, (y) => y[column]! > at + 0.5);
      const fewer = yesNo(m, (y) => y[column]! < at - 0.5);
      onlyWith(model, more, 1 / (at + 1), column);
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
