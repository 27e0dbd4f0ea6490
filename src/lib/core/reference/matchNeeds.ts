import type { Need } from "../model/list.ts";

/** Two needs of two lists that ask for the same job; either side may be missing. */
export interface NeedMatch {
  readonly a: Need | undefined;
  readonly b: Need | undefined;
}

/**
 * Pairs the needs of two lists: by the same id for the same function first, then the first, second …
 * need of a function with the first, second … of the other. In the order of `a`, then what only `b` has.
 */
export function matchNeeds(a: readonly Need[], b: readonly Need[]): NeedMatch[] {
  const left = new Set(b);
  const partner = new Map<Need, Need>();
  const take = (need: Need, other: Need | undefined) => {
    if (!other || partner.has(need)) return;
    partner.set(need, other);
    left.delete(other);
  };
  for (const need of a)
    take(
      need,
      b.find((o) => left.has(o) && o.id === need.id && o.function === need.function),
    );
  for (const need of a)
    if (!partner.has(need))
      take(
        need,
        b.find((o) => left.has(o) && o.function === need.function),
      );
  return [
    ...a.map((need) => ({ a: need, b: partner.get(need) })),
    ...b.filter((need) => left.has(need)).map((need) => ({ a: undefined, b: need })),
  ];
}
