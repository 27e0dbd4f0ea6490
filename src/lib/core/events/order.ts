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
  const undone = new Set(events.flatMap((e) => (e.kind === "undone" && e.of ? [e.of] : [])));
  return events
    .filter((e) => e.kind !== "undone" && !undone.has(e.id) && !OTHER_CONTENT.test(e.id))
    .map((e) => ({ e, at: `${e.on} ${e.time ?? END_OF_DAY}`, rank: rank(e) }))
    .sort((a, b) => {
      if (a.at !== b.at) return a.at < b.at ? -1 : 1;
      return a.rank - b.rank || (a.e.id < b.e.id ? -1 : 1);
    })
    .map(({ e }) => e);
}
