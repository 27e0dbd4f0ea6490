import Papa from "papaparse";
import { eventsSchema, type Change, type KitEvent } from "../model/event.ts";
import { headedRows } from "./headedCsv.ts";
import { fail, problem, zodProblems, type Outcome } from "../model/problem.ts";
import { defused, undefused } from "./cells.ts";

/**
 * A log as a table, one row for each change of an event; what is said of the event as a whole stands in
 * its first row. `more` holds what has no column, as JSON.
 */
const EVENT_COLUMNS = [
  "id",
  "on",
  "time",
  "kind",
  "by",
  "note",
  "what",
  "seal",
  "of",
  "line",
  "pieces",
  "lot",
  "expires",
  "itemType",
  "more",
] as const;

const TEXTS = ["on", "time", "kind", "by", "note", "what", "seal", "of"] as const;
const CHANGE_TEXTS = ["line", "lot", "expires", "itemType"] as const;

function eventRows(events: readonly KitEvent[]): string[][] {
  return events.flatMap((e) => {
    const changes: readonly (Change | null)[] = e.changes?.length ? e.changes : [null];
    return changes.map((c, i) => {
      const { changes: all, ...rest } = e;
      const more: Record<string, unknown> = {};
      if (i === 0) {
        const whole = Object.entries(rest).filter(
          ([k]) => k !== "id" && !(TEXTS as readonly string[]).includes(k),
        );
        Object.assign(more, Object.fromEntries(whole));
        // An empty list of changes is not the same as none.
        if (all?.length === 0) more["changes"] = [];
      }
      const inCells = ["pieces", ...CHANGE_TEXTS] as readonly string[];
      const rest2 = Object.entries(c ?? {}).filter(([k]) => !inCells.includes(k));
      if (rest2.length > 0) more["change"] = Object.fromEntries(rest2);
      const cell = (v: string | number | undefined): string =>
        v === undefined ? "" : defused(String(v));
      const ofEvent = (k: (typeof TEXTS)[number]) => (i === 0 || k === "on" ? cell(e[k]) : "");
      return [
        cell(e.id),
        ...TEXTS.map(ofEvent),
        cell(c?.line),
        c?.pieces === undefined ? "" : String(c.pieces),
        cell(c?.lot),
        cell(c?.expires),
        cell(c?.itemType),
        Object.keys(more).length > 0 ? JSON.stringify(more) : "",
      ];
    });
  });
}

export const writeEvents = (events: readonly KitEvent[]): string =>
  Papa.unparse([[...EVENT_COLUMNS], ...eventRows(events)], { newline: "\r\n" });

/** A log from CSV: all of it, or what is wrong and nothing. */
export function parseEvents(text: string): Outcome<KitEvent[]> {
  const parsed = headedRows(text, ["id", "on", "kind"], EVENT_COLUMNS);
  if (!parsed.ok) return parsed;
  const events = new Map<string, Record<string, unknown>>();
  for (const [i, row] of parsed.value.entries()) {
    const read = (k: string) => undefused((row[k] ?? "").trim() === "" ? "" : row[k]!);
    let more: Record<string, unknown> = {};
    try {
      if (read("more") !== "") more = JSON.parse(read("more")) as Record<string, unknown>;
    } catch {
      return fail([problem(`row ${i + 2}, more`, "no-json")]);
    }
    const { change, ...whole } = more;
    const id = read("id");
    const event = events.get(id) ?? { id };
    for (const k of TEXTS) if (read(k) !== "") event[k] = read(k);
    Object.assign(event, whole);
    const c: Record<string, unknown> = { ...(change as object | undefined) };
    for (const k of CHANGE_TEXTS) if (read(k) !== "") c[k] = read(k);
    if (read("pieces") !== "") c["pieces"] = Number(read("pieces").replace(",", "."));
    if (Object.keys(c).length > 0)
      event["changes"] = [...((event["changes"] as unknown[] | undefined) ?? []), c];
    events.set(id, event);
  }
  const checked = eventsSchema.safeParse([...events.values()]);
  return checked.success ? { ok: true, value: checked.data } : fail(zodProblems(checked.error));
}
