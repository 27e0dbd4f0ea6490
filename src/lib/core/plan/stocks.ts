import type { Use } from "./candidates.ts";

/**
 * Lines and products that do the same jobs equally well are one stock: how it is shared among them
 * does not matter. A stock goes by its first line.
 */
export interface Stocks {
  readonly members: readonly (readonly number[])[];
  readonly firsts: ReadonlySet<number>;
  /** The stock of each line that serves. */
  readonly stockOf: ReadonlyMap<number, number>;
}

export function stocksOf(uses: readonly Use[]): Stocks {
  const byLine = group(uses, (u) => u.line);
  const lines = [...byLine.keys()].sort((a, b) => a - b);
  const members = [...group(lines, (l) => jobsOf(byLine.get(l)!)).values()];
  return {
    members,
    firsts: new Set(members.map((ls) => ls[0]!)),
    stockOf: new Map(members.flatMap((ls) => ls.map((l) => [l, ls[0]!] as const))),
  };
}

/** What a line or product does, how well, and with what: the same for all of one stock. */
const jobsOf = (uses: readonly Use[]): string =>
  uses.map((u) => [u.need, u.f, u.r, u.yield, u.tool, ...u.companions].join(" ")).join("|");

export function group<T, K>(items: readonly T[], key: (t: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const item of items) {
    const own = groups.get(key(item));
    if (own) own.push(item);
    else groups.set(key(item), [item]);
  }
  return groups;
}
