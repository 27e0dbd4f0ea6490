import type { ItemType } from "../model/itemType.ts";
import type { Need, ReferenceList } from "../model/list.ts";
import { matchNeeds } from "./matchNeeds.ts";
import { NEED_FIELDS, stricterNeed, type NeedField } from "./stricter.ts";

/** Which way a part of a need moved; `other`: stricter in one way and looser in another. */
export type Direction = "stricter" | "looser" | "other";

export interface FieldChange {
  readonly field: NeedField;
  readonly direction: Direction;
}

interface NeedChange {
  readonly a: Need;
  readonly b: Need;
  readonly changes: readonly FieldChange[];
  /** Of the whole need. */
  readonly direction: Direction;
}

/** What separates list `b` from list `a`. */
export interface ListDifference {
  readonly added: readonly Need[];
  readonly dropped: readonly Need[];
  readonly changed: readonly NeedChange[];
  readonly same: number;
  /** The same needs in another order (sharing out serves equal needs in order). */
  readonly reordered: boolean;
}

type TypeOf = (id: string) => ItemType | undefined;

export function compareLists(a: ReferenceList, b: ReferenceList, typeOf: TypeOf): ListDifference {
  const matches = matchNeeds(a.needs, b.needs);
  const both = matches.flatMap((m) => (m.a && m.b ? [{ a: m.a, b: m.b }] : []));
  const changed = both.flatMap((m) => {
    const changes = fieldChanges(m.a, m.b, typeOf);
    return changes.length === 0 ? [] : [{ ...m, changes, direction: wholeDirection(changes) }];
  });
  const inB = both.map((m) => b.needs.indexOf(m.b));
  return {
    added: matches.flatMap((m) => (m.b && !m.a ? [m.b] : [])),
    dropped: matches.flatMap((m) => (m.a && !m.b ? [m.a] : [])),
    changed,
    same: both.length - changed.length,
    reordered: inB.some((at, i) => i > 0 && at < inB[i - 1]!),
  };
}

/** Whether two lists ask for exactly the same. */
export const sameList = (d: ListDifference): boolean =>
  d.added.length + d.dropped.length + d.changed.length === 0 && !d.reordered;

/** The parts that differ, and which way: what is as strict as both together is the stricter one. */
export function fieldChanges(a: Need, b: Need, typeOf: TypeOf): FieldChange[] {
  const strict = stricterNeed(a, b, typeOf);
  const plainA = stricterNeed(a, a, typeOf);
  const plainB = stricterNeed(b, b, typeOf);
  return NEED_FIELDS.flatMap((field) => {
    const [x, y, s] = [plainA, plainB, strict].map((n) => canonical(n[field]));
    if (x === y) return [];
    return [{ field, direction: s === y ? "stricter" : s === x ? "looser" : "other" }];
  });
}

const wholeDirection = (changes: readonly FieldChange[]): Direction => {
  const ways = new Set(changes.map((c) => c.direction));
  return ways.size === 1 ? [...ways][0]! : "other";
};

/** Text that is equal where the meaning is: keys in order, absent and empty and nought alike. */
function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).sort().join(",")}]`;
  if (typeof value === "object" && value !== null)
    return `{${Object.entries(value)
      .filter(([, v]) => v !== undefined && v !== 0 && v !== false && v !== "any")
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([k, v]) => `${k}:${canonical(v)}`)
      .join(",")}}`;
  if (value === undefined || value === "any") return "{}";
  return JSON.stringify(value);
}
