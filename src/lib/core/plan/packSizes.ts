import { SAME_COEFFICIENT } from "./linearModel.ts";
import type { PlanModel } from "./programme.ts";

/**
 * Sizes of pack in which the same thing can be had: in every row of the programme that is not about money a
 * pack of one size does what so many packs of the smallest do.
 */
export interface PackSizes {
  /** Columns of the programme and how many of the smallest a pack of each is; the smallest is the first. */
  readonly sizes: readonly { readonly column: number; readonly times: number }[];
  /** The most that can be had of it, in packs of the smallest. */
  readonly most: number;
}

/** Things to be had in several sizes of pack, each a whole number of times the smallest. */
export function packSizes(m: Pick<PlanModel, "model" | "packs" | "budget">): PackSizes[] {
  const { columns, rows } = m.model;
  const inRows = new Map<number, [row: number, coefficient: number][]>();
  for (const x of m.packs) if (x >= 0 && columns[x]!.upper > 0) inRows.set(x, []);
  rows.forEach((row, i) => {
    if (row === m.budget) return;
    for (const [x, v] of row.entries) if (v !== 0) inRows.get(x)?.push([i, v]);
  });
  const alike = new Map<string, number[]>();
  for (const [x, entries] of inRows) {
    if (entries.length === 0) continue;
    const key = entries.map(([row]) => row).join(" ");
    alike.set(key, [...(alike.get(key) ?? []), x]);
  }
  const found: PackSizes[] = [];
  for (const group of alike.values()) {
    const size = (x: number) => Math.abs(inRows.get(x)![0]![1]);
    const rest = group.sort((a, b) => size(a) - size(b));
    while (rest.length > 0) {
      const smallest = rest[0]!;
      const sizes = rest.flatMap((column) => {
        const times = timesOf(inRows.get(column)!, inRows.get(smallest)!);
        return times === null ? [] : [{ column, times }];
      });
      for (const { column } of sizes) rest.splice(rest.indexOf(column), 1);
      const most = sizes.reduce((s, { column, times }) => s + times * columns[column]!.upper, 0);
      if (sizes.length > 1) found.push({ sizes, most });
    }
  }
  return found;
}

type InRows = readonly (readonly [row: number, coefficient: number])[];

/** How many of the one a pack of the other is, in every row; null: no whole number, or not the same in each. */
function timesOf(larger: InRows, smaller: InRows): number | null {
  const times = larger[0]![1] / smaller[0]![1];
  const whole = Math.round(times);
  if (whole < 1 || Math.abs(times - whole) > SAME_COEFFICIENT * whole) return null;
  const same = larger.every(([, v], i) => {
    const [, one] = smaller[i]!;
    return Math.abs(v - whole * one) <= SAME_COEFFICIENT * Math.abs(v);
  });
  return same ? whole : null;
}

/** Lets only the smallest size of each be had, as much of it as of all. @returns what lets all be had again */
export function smallestOnly({ model }: Pick<PlanModel, "model">, all: readonly PackSizes[]) {
  const held = all.flatMap(({ sizes }) =>
    sizes.map(({ column }) => [column, model.columns[column]!.upper] as const),
  );
  for (const { sizes, most } of all)
    sizes.forEach(({ column }, i) => (model.columns[column]!.upper = i === 0 ? most : 0));
  return () => {
    for (const [column, upper] of held) model.columns[column]!.upper = upper;
  };
}

/** The same things in packs of the smallest size. */
export function inSmallest(x: ArrayLike<number>, all: readonly PackSizes[]): Float64Array {
  const y = Float64Array.from(x);
  for (const { sizes } of all) {
    const packs = packsOf(x, sizes);
    sizes.forEach(({ column }, i) => (y[column] = i === 0 ? packs : 0));
  }
  return y;
}

/** As many pieces of each thing, in the packs that come cheapest. @param price of a pack, by column */
export function cheapestSizes(
  x: ArrayLike<number>,
  all: readonly PackSizes[],
  price: (column: number) => number,
): Float64Array {
  const y = Float64Array.from(x);
  for (const { sizes } of all) {
    const packs = packsOf(x, sizes);
    // The least that so many come to, and the size of the last pack of them.
    const least = [0];
    const last: number[] = [];
    for (let n = 1; n <= packs; n++) {
      least[n] = Infinity;
      sizes.forEach(({ column, times }, i) => {
        const sum = times > n ? Infinity : least[n - times]! + price(column);
        if (sum < least[n]!) [least[n], last[n]] = [sum, i];
      });
    }
    for (const { column } of sizes) y[column] = 0;
    for (let n = packs; n > 0; n -= sizes[last[n]!]!.times) y[sizes[last[n]!]!.column]! += 1;
  }
  return y;
}

const packsOf = (x: ArrayLike<number>, sizes: PackSizes["sizes"]): number =>
  sizes.reduce((s, { column, times }) => s + times * Math.round(x[column]!), 0);
