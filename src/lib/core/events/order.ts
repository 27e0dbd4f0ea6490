import type { KitEvent } from "../model/event.ts";

/** Events without a time of day happened at its end. */
const END_OF_DAY = "23:59";

/** On one instant: what comes in, then what goes out, then what is counted, then the rest. */
function rank(e: KitEvent): number {
  if (e.kind === "put-back" || e.kind === "plan-done") return 0;
  if (e.kind === "moved") return e.from === undefined ? 1 : 0;
  if (e.kind === "used") return 1;
  if (e.kind === "counted") return 2;
  return 3;
}

/** Mark at the end of an id: other content, kept beside the event that holds (log/merge.ts). */
export const OTHER_CONTENT = /~[0-9a-f]{8}$/;

/**
 * The events that hold, in the order in which they are replayed: by day and time, then by what they do,
 * then by id. What was undone, and the undoing itself, are left out.
 */
export function inOrder(events: readonly KitEvent[]): KitEvent[] {
  const undone = new Set<string>();
  for (const e of events) if (e.kind === "undone" && e.of) undone.add(e.of);
  const held = events.filter(
    (e) => e.kind !== "undone" && !undone.has(e.id) && !OTHER_CONTENT.test(e.id),
  );
  // A log is written as things happen: mostly it is in order already.
  for (let i = 1; i < held.length; i++)
    if (inTime(held[i - 1]!, held[i]!) > 0) return held.sort(inTime);
  return held;
}

const textOrder = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** By day, time of day, what it does, and id: below 0 where `a` comes first. */
const inTime = (a: KitEvent, b: KitEvent): number =>
  textOrder(a.on, b.on) ||
  textOrder(a.time ?? END_OF_DAY, b.time ?? END_OF_DAY) ||
  rank(a) - rank(b) ||
  textOrder(a.id, b.id);
