import { inOrder } from "../events/order.ts";
import { wholeOf } from "../events/replay.ts";
import type { Category } from "../model/functionRecord.ts";
import { CATEGORIES } from "../model/functionRecord.ts";
import type { KitEvent } from "../model/event.ts";
import type { ItemType } from "../model/itemType.ts";
import type { Line } from "../model/kit.ts";
import { piecesOf } from "../sieve/measure.ts";

/** Nobody takes these in an incident's first minutes; they stand last. */
const LAST: ReadonlySet<Category> = new Set(["tools", "signal-records"]);

/** The categories in which a kind does something, the strongest first. */
export const mainCategory = (
  type: ItemType | undefined,
  categoryOf: (functionId: string) => Category | undefined,
): Category | null => {
  const best = [...(type?.functions ?? [])].sort((a, b) => b.credit - a.credit)[0];
  return (best && categoryOf(best.function)) ?? null;
};

/** A line with all that is there of it, its parts together. */
export interface Takable {
  readonly line: Line;
  readonly pieces: number;
}

/** Lines of which something is there, those taken most often so far first, then by category. */
export function byTaking(
  lines: readonly Line[],
  events: readonly KitEvent[],
  categoryOfLine: (line: Line) => Category | null,
): Takable[] {
  const times = new Map<string, number>();
  for (const e of inOrder(events))
    if (e.kind === "used")
      for (const c of e.changes ?? [])
        times.set(wholeOf(c.line), (times.get(wholeOf(c.line)) ?? 0) + 1);
  const place = (l: Line): number => {
    const c = categoryOfLine(l);
    if (c === null) return CATEGORIES.length + 1;
    return LAST.has(c) ? CATEGORIES.length : USUAL.indexOf(c);
  };
  const there = new Map<string, number>();
  for (const l of lines) there.set(wholeOf(l.id), (there.get(wholeOf(l.id)) ?? 0) + piecesOf(l));
  return lines
    .filter((l) => wholeOf(l.id) === l.id && there.get(l.id)! > 0)
    .map((line, i) => ({ line, pieces: there.get(line.id)!, i }))
    .sort(
      (a, b) =>
        (times.get(b.line.id) ?? 0) - (times.get(a.line.id) ?? 0) ||
        place(a.line) - place(b.line) ||
        a.i - b.i,
    )
    .map(({ line, pieces }) => ({ line, pieces }));
}

/** What is used most in an ordinary year, by the planning assumptions, first. */
const USUAL: readonly Category[] = [
  "everyday-wounds",
  "feet-skin",
  "wound-hygiene",
  "illness-pain",
  "bites-stings",
  "protection",
  "bones-joints",
  "burns",
  "eyes",
  "exposure",
  "allergy",
  "severe-bleeding",
  "airway-chest",
  "resuscitation",
  "tools",
  "signal-records",
];
