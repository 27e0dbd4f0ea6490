import { canonical, hash8 } from "../base/canonical.ts";
import { OTHER_CONTENT } from "../events/order.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { KitEvent } from "../model/event.ts";
import type { LogProblem } from "../events/replay.ts";

/** Id under which other content of the same id is kept. */
const otherId = (id: string, content: string) => `${id.slice(0, 111)}~${hash8(content)}`;

/**
 * The union of two logs by event id. Commutative, associative, idempotent: of two contents under one id
 * the canonically smaller holds, the other is kept as `id~hash` and said.
 */
export function mergeEvents(
  one: readonly KitEvent[],
  other: readonly KitEvent[],
): { events: KitEvent[]; problems: LogProblem[] } {
  const contents = new Map<string, Map<string, KitEvent>>();
  for (const event of [...one, ...other]) {
    // What was told apart in an earlier merge belongs to its first id again.
    const id = event.id.replace(OTHER_CONTENT, "");
    const plain = { ...event, id };
    const known = contents.get(id) ?? new Map<string, KitEvent>();
    known.set(canonical(plain), plain);
    contents.set(id, known);
  }
  const events: KitEvent[] = [];
  const problems: LogProblem[] = [];
  for (const [id, known] of [...contents].sort(([a], [b]) => (a < b ? -1 : 1))) {
    const [first, ...rest] = [...known].sort(([a], [b]) => (a < b ? -1 : 1));
    events.push(first![1]);
    for (const [content, event] of rest) {
      events.push({ ...event, id: otherId(id, content) });
      problems.push({ event: id, what: "other-content" });
    }
  }
  return { events, problems };
}

/**
 * Two files of one kit as one: the first state is the first file's, the events those of both.
 * @returns null where no line is in both: the other is of another kit
 */
export function mergeLogs(
  file: AuditFile,
  other: AuditFile,
): { file: AuditFile; problems: LogProblem[] } | null {
  const theirs = new Map(other.kit.lines.map((l) => [l.id, l]));
  const shared = file.kit.lines.filter((l) => theirs.has(l.id));
  if (shared.length === 0) return null;
  const { events, problems } = mergeEvents(file.events ?? [], other.events ?? []);
  const firstStates = file.kit.lines
    .filter((l) => !theirs.has(l.id) || canonical(theirs.get(l.id)) !== canonical(l))
    .map((l): LogProblem => ({ event: "", line: l.id, what: "another-first-state" }));
  return { file: { ...file, events }, problems: [...firstStates, ...problems] };
}
