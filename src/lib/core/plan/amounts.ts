import { addColumn, addRow, SAME_COEFFICIENT, type LinearModel, type Row } from "./linearModel.ts";
import type { Follows } from "./programme.ts";

/**
 * Things that can be had in packs of several sizes: these rows see only how much there is of them. So how much
 * is decided first, a whole number, and the packs that come to it follow; a solver that has to choose between
 * a hundred ways of buying the same amount proves little.
 */

interface Programme {
  readonly model: LinearModel;
  readonly follows: Follows[];
  /** Column of the packs of each product; −1: none. */
  readonly packs: readonly number[];
}

/** A pack of six and one of four are both halves of a dozen: an amount may be so small a part of a pack. */
const SMALLEST_PARTS = [1, 2, 3, 4, 5, 6, 10, 12];

/** Puts one column for the amount in place of packs that do the same in all of these rows but for their size. */
export function gatherAmounts({ model, follows, packs }: Programme, rows: readonly Row[]): void {
  const inRows = new Map<number, Map<Row, number>>();
  for (const x of packs) if (x >= 0) inRows.set(x, new Map());
  for (const row of rows) for (const [x, v] of row.entries) inRows.get(x)?.set(row, v);
  for (const alike of alikeBut(inRows)) {
    const parts = wholeParts(alike.map((x) => Math.abs(first(inRows.get(x)!))));
    if (!parts) continue;
    const upper = alike.reduce((s, x, i) => s + parts[i]! * model.columns[x]!.upper, 0);
    const amount = addColumn(model, { upper, integer: true });
    const entries = alike.map((x, i) => [x, parts[i]!] as const);
    addRow(model, { lower: 0, upper: 0, entries: [...entries, [amount, -1]] });
    const value = (x: ArrayLike<number>) =>
      entries.reduce((s, [y, v]) => s + v * Math.round(x[y]!), 0);
    follows.push({ column: amount, value });
    const [one] = alike;
    const gathered = new Set(alike);
    for (const [row, v] of inRows.get(one!)!)
      row.entries = [
        ...row.entries.filter(([x]) => !gathered.has(x)),
        [amount, v / parts[0]!] as const,
      ];
  }
}

const first = (of: ReadonlyMap<Row, number>): number => [...of.values()][0]!;

/** Columns whose coefficients are in proportion, two or more. */
function alikeBut(inRows: ReadonlyMap<number, ReadonlyMap<Row, number>>): number[][] {
  const inSame = new Map<string, number[][]>();
  const ids = new Map<Row, number>();
  const idOf = (row: Row) => ids.get(row) ?? (ids.set(row, ids.size), ids.size - 1);
  for (const [x, own] of inRows) {
    if (own.size === 0) continue;
    const key = [...own.keys()].map(idOf).join(" ");
    const groups = inSame.get(key) ?? [];
    inSame.set(key, groups);
    const group = groups.find(([y]) => inProportion(own, inRows.get(y!)!));
    if (group) group.push(x);
    else groups.push([x]);
  }
  return [...inSame.values()].flat().filter((group) => group.length > 1);
}

function inProportion(a: ReadonlyMap<Row, number>, b: ReadonlyMap<Row, number>): boolean {
  const times = first(a) / first(b);
  for (const [row, v] of a)
    if (Math.abs(v - times * b.get(row)!) > SAME_COEFFICIENT * Math.abs(v)) return false;
  return times > 0;
}

/** Sizes as whole numbers of a part of the smallest; null: there is no such part. */
function wholeParts(sizes: readonly number[]): number[] | null {
  const smallest = Math.min(...sizes);
  for (const n of SMALLEST_PARTS) {
    const parts = sizes.map((s) => (n * s) / smallest);
    if (parts.every((p) => Math.abs(p - Math.round(p)) <= SAME_COEFFICIENT * p))
      return parts.map(Math.round);
  }
  return null;
}
