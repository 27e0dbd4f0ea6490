import { addColumn, addRow, valueAt, type Entries } from "./linearModel.ts";
import { FULL_SLACK, type Follows, type PlanModel } from "./programme.ts";

/** Yes-or-no columns that follow from the others. */

type Programme = Pick<PlanModel, "model" | "follows">;

/** A column of 0 or 1. @param isYes what it is, once the columns before it have their values */
export function yesNo(
  { model, follows }: Programme,
  isYes: (x: ArrayLike<number>) => boolean,
): number {
  const column = addColumn(model, { upper: 1, integer: true });
  follows.push({ column, value: (x) => (isYes(x) ? 1 : 0) } satisfies Follows);
  return column;
}

/** 1 only where units of these columns fill what is required. */
export function fullOf(programme: Programme, columns: readonly number[], required: number): number {
  const entries: Entries = columns.map((x) => [x, 1] as const);
  const enough = required * (1 - FULL_SLACK);
  const column = yesNo(programme, (x) => valueAt(entries, x) >= enough);
  addRow(programme.model, { lower: 0, entries: [...entries, [column, -enough]] });
  return column;
}
