import type { Change, KitEvent } from "../model/event.ts";
import type { Line } from "../model/kit.ts";

type Fact = keyof Omit<Line, "id">;

/** A dated line of a log, still without its kind. */
type Dated = Pick<KitEvent, "on"> & Partial<Pick<KitEvent, "time" | "by">>;

/**
 * The events that make of a kit's lines those of a later state: what was counted, what was seen, what
 * came in, what went. Replayed after those before, they give the later lines again.
 * @param newId a fresh id for each event
 */
export function eventsBetween(
  before: readonly Line[],
  after: readonly Line[],
  when: Dated,
  newId: () => string,
): KitEvent[] {
  const was = new Map(before.map((l) => [l.id, l]));
  const is = new Set(after.map((l) => l.id));
  const counted: Change[] = [];
  const seen: Change[] = [];
  const came: Change[] = [];
  for (const line of after) {
    const old = was.get(line.id);
    if (old === line) continue;
    if (!old) {
      const { id, ...facts } = line;
      came.push({
        line: id,
        pieces: line.counted ?? 0,
        facts,
        ...(line.counted === undefined ? { cleared: ["counted"] } : {}),
      });
      continue;
    }
    if (line.counted !== undefined && line.counted !== old.counted)
      counted.push({ line: line.id, pieces: line.counted });
    const change = factsBetween(old, line);
    if (change) seen.push(change);
  }
  const gone = before.filter((l) => !is.has(l.id)).map((l) => l.id);
  const of = (kind: KitEvent["kind"], more: Partial<KitEvent>): KitEvent => ({
    id: newId(),
    ...when,
    kind,
    ...more,
  });
  return [
    ...(came.length > 0 ? [of("put-back", { changes: came })] : []),
    ...(counted.length > 0 ? [of("counted", { changes: counted })] : []),
    ...(seen.length > 0 ? [of("checked", { changes: seen })] : []),
    ...(gone.length > 0 ? [of("plan-done", { dropped: gone })] : []),
  ];
}

function factsBetween(old: Line, now: Line): Change | null {
  const facts: Partial<Line> = {};
  const cleared: Fact[] = [];
  const keys = new Set([...Object.keys(old), ...Object.keys(now)]) as Set<keyof Line>;
  for (const key of keys) {
    if (key === "id" || JSON.stringify(old[key]) === JSON.stringify(now[key])) continue;
    if (now[key] === undefined) cleared.push(key);
    // A count is an event of its own.
    else if (key !== "counted") Object.assign(facts, { [key]: now[key] });
  }
  if (Object.keys(facts).length === 0 && cleared.length === 0) return null;
  return {
    line: now.id,
    ...(Object.keys(facts).length > 0 ? { facts } : {}),
    ...(cleared.length > 0 ? { cleared } : {}),
  };
}

/**
 * The same event with what came next to it taken in: somebody who answers five points of one item has
 * looked once. Only for events that went nowhere yet: what was handed on is never changed.
 * @returns null: they are not of one kind, day and line
 */
export function joined(first: KitEvent, next: KitEvent): KitEvent | null {
  const [a, b] = [first.changes ?? [], next.changes ?? []];
  if (
    first.kind !== next.kind ||
    (first.kind !== "checked" && first.kind !== "counted") ||
    first.on !== next.on ||
    first.by !== next.by ||
    a.length !== 1 ||
    b.length !== 1 ||
    a[0]!.line !== b[0]!.line
  )
    return null;
  if (first.kind === "counted") return { ...first, changes: b };
  const cleared = new Set([...(a[0]!.cleared ?? []), ...(b[0]!.cleared ?? [])]);
  for (const key of Object.keys(b[0]!.facts ?? {})) cleared.delete(key as Fact);
  const facts = { ...a[0]!.facts, ...b[0]!.facts };
  for (const key of b[0]!.cleared ?? []) delete facts[key];
  return {
    ...first,
    changes: [
      {
        line: a[0]!.line,
        ...(Object.keys(facts).length > 0 ? { facts } : {}),
        ...(cleared.size > 0 ? { cleared: [...cleared] } : {}),
      },
    ],
  };
}
