import { isProductLine, type Candidates } from "./candidates.ts";
import { addRow, onlyWith, type LinearModel } from "./linearModel.ts";
import { yesNo } from "./yesNo.ts";
import type { Follows, ModelOptions, PlanModel } from "./programme.ts";

/**
 * Companions: what a need asks to have with it (mesh 2). They are not used up; one that is there serves
 * all. Where a plan can bring one, or leave the only ones at home, whether it is there is decided with it.
 */

/** Companions that are not there whatever is done: the kit lacks them, or all it has may be left at home. */
export function atRisk(c: Candidates, options: Pick<ModelOptions, "leave" | "keep">): Set<string> {
  const stays = (l: number) =>
    !isProductLine(c, l) &&
    (l >= c.firstProduct ||
      options.leave === "none" ||
      options.keep.has(c.context.lines[l]!.line.id));
  return new Set([...c.companionLines].filter(([, lines]) => !lines.some(stays)).map(([x]) => x));
}

interface Presence {
  readonly model: LinearModel;
  readonly follows: Follows[];
  readonly c: Candidates;
  readonly packs: PlanModel["packs"];
  readonly left: PlanModel["left"];
  readonly companions: ReadonlySet<string>;
}

/** A column for each companion that can be there: 1 exactly where something that is one is carried. */
export function presenceColumns(p: Presence): Map<string, number> {
  const { model, c, companions } = p;
  const present = new Map<string, number>();
  const carried = new Map<number, number>();
  for (const companion of companions) {
    const lines = (c.companionLines.get(companion) ?? []).flatMap((l) => carriedColumn(l) ?? []);
    if (lines.length === 0) continue;
    const column = yesNo(p, (x) => lines.some((y) => x[y]! > 0.5));
    present.set(companion, column);
    addRow(model, { upper: 0, entries: [[column, 1], ...lines.map((x) => [x, -1] as const)] });
    for (const x of lines) onlyWith(model, x, 1, column);
  }
  return present;

  /** 1 exactly where something of the line or product is carried; null: never. */
  function carriedColumn(l: number): number | null {
    const known = carried.get(l);
    if (known !== undefined) return known;
    const packs = isProductLine(c, l) ? p.packs[l - c.firstProduct]! : null;
    const at = packs === null ? p.left[l] : null;
    if (packs === null ? !at : packs < 0) return null;
    const column =
      packs !== null ? productCarried(packs) : lineCarried(at!.column, at!.portions.steps);
    carried.set(l, column);
    return column;
  }

  function productCarried(packs: number): number {
    const column = yesNo(p, (x) => x[packs]! > 0.5);
    onlyWith(model, packs, model.columns[packs]!.upper, column);
    onlyWith(model, column, 1, packs);
    return column;
  }

  /** Carried: fewer than all steps stay at home. */
  function lineCarried(left: number, steps: number): number {
    const column = yesNo(p, (x) => x[left]! < steps - 0.5);
    const all = (most: number) =>
      [
        [left, 1],
        [column, most],
      ] as const;
    addRow(model, { upper: steps, entries: all(1) });
    addRow(model, { lower: steps, entries: all(steps) });
    return column;
  }
}
