import { defined } from "../base/defined.ts";
import type { Change, KitEvent } from "../model/event.ts";
import type { Line } from "../model/kit.ts";
import { piecesOf } from "../sieve/measure.ts";
import { inOrder } from "./order.ts";

/** Something in a log that does not add up; the event is kept, and a person told. */
export interface LogProblem {
  readonly event: string;
  readonly line?: string;
  readonly what:
    | "no-such-line"
    | "more-taken-than-there"
    | "two-counts"
    | "in-the-future"
    | "other-content"
    | "another-first-state";
}

/** Why a line has fewer pieces than it should. */
export type DeficitWhy = "used" | "lent" | "moved" | "unexplained" | "recalled";

/** What was lost of a line, newest last. */
interface Loss {
  readonly on: string;
  readonly pieces: number;
  readonly why: DeficitWhy;
}

export interface Replayed {
  /** The kit's lines after the events. */
  readonly lines: Line[];
  /** Pieces that each line should have: the first state and what plans brought. By line id, parts apart. */
  readonly par: ReadonlyMap<string, number>;
  readonly losses: ReadonlyMap<string, readonly Loss[]>;
  readonly problems: LogProblem[];
}

/** The line a part was split off from: "L1+e5" is a part of "L1". */
export const wholeOf = (lineId: string): string => lineId.split("+")[0]!;

/** Sets what is there: the count where it was counted, else what is claimed. */
const withCount = (l: Line, pieces: number): Line =>
  l.counted === undefined ? { ...l, claimed: pieces } : { ...l, counted: pieces };

/** Counts add up from fractions: what is less than this is nothing. */
const NOTHING = 1e-9;
const tidy = (n: number) => (Math.abs(n - Math.round(n)) < NOTHING ? Math.round(n) : n);

export const isFailed = (l: Line): boolean =>
  l.condition === "failed" || (l.failedPoints ?? []).length > 0;

/** The line as a new piece of it comes in: closed, and without what was wrong with the old ones. */
function anew(line: Line): Line {
  const { opened: _____, ...closed } = line;
  if (!isFailed(line)) return closed;
  const { condition: _, failedPoints: __, okPoints: ___, checkedOn: ____, ...rest } = closed;
  return rest;
}

/** Lot and date that came with pieces, where they are said. */
const batchOf = ({ expires, lot }: Change): Pick<Line, "expires" | "lot"> =>
  defined({ expires, lot });

/** The line with the facts that a change brings, without those that it takes away. */
function withFacts(line: Line, { facts, cleared = [] }: Change): Line {
  const merged = { ...line, ...defined(facts ?? {}) };
  for (const key of cleared) delete (merged as Partial<Line>)[key];
  return merged;
}

/** Parts with anything in them: what was opened first, then what runs out first. */
function inTaking(parts: readonly Line[]): Line[] {
  const full = parts.filter((l) => piecesOf(l) > 0);
  if (full.length < 2) return full;
  const key = (l: Line) =>
    `${l.opened ? 0 : 1}${l.expires && l.expires !== "none" ? l.expires : "9999"}`;
  return full.sort((a, b) => (key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : a.id < b.id ? -1 : 1));
}

class Kit {
  readonly lines: Line[];
  /** Where each line stands in `lines`. */
  readonly #at = new Map<string, number>();
  /** Ids of a line and of the parts split off from it, in the order they came. */
  readonly #parts = new Map<string, string[]>();
  readonly par = new Map<string, number>();
  readonly losses = new Map<string, Loss[]>();
  readonly problems: LogProblem[] = [];
  #counts = new Map<string, { on: string; pieces: number }>();

  constructor(first: readonly Line[]) {
    this.lines = [...first];
    for (const l of first) this.par.set(l.id, piecesOf(l));
    this.#index();
  }

  #index(): void {
    this.#at.clear();
    this.#parts.clear();
    this.lines.forEach((l, at) => this.#indexed(l.id, at));
  }
  #indexed(id: string, at: number): void {
    if (!this.#at.has(id)) this.#at.set(id, at);
    const whole = wholeOf(id);
    const parts = this.#parts.get(whole);
    if (parts) parts.push(id);
    else this.#parts.set(whole, [id]);
  }
  #line(id: string): Line | undefined {
    const at = this.#at.get(id);
    return at === undefined ? undefined : this.lines[at];
  }

  /** The line and its parts, in the order they came. */
  group(id: string): Line[] {
    const whole = wholeOf(id);
    const parts = this.#parts.get(whole) ?? [];
    const start = `${id}+`;
    const own = whole === id ? parts : parts.filter((x) => x === id || x.startsWith(start));
    return own.map((x) => this.#line(x)!);
  }
  #set(line: Line): void {
    const at = this.#at.get(line.id);
    if (at !== undefined) this.lines[at] = line;
    else this.#indexed(line.id, this.lines.push(line) - 1);
  }
  #lose(line: string, on: string, pieces: number, why: DeficitWhy): void {
    if (pieces <= NOTHING) return;
    const id = wholeOf(line);
    const loss = { on, pieces: tidy(pieces), why };
    const before = this.losses.get(id);
    if (before) before.push(loss);
    else this.losses.set(id, [loss]);
  }
  #gone(event: KitEvent, line: string): void {
    this.problems.push({ event: event.id, line, what: "no-such-line" });
  }

  take(event: KitEvent, change: Change, why: DeficitWhy): void {
    const parts = this.group(change.line);
    if (parts.length === 0) {
      this.#gone(event, change.line);
      return;
    }
    let left = change.pieces ?? 0;
    for (const part of inTaking(parts)) {
      if (left <= 0) break;
      const taken = Math.min(left, piecesOf(part));
      if (taken > 0) this.#set(withCount(part, tidy(piecesOf(part) - taken)));
      left -= taken;
      // The piece that was begun lies apart from those still closed.
      if (taken > 0 && change.opened && part.opened === undefined && taken % 1 !== 0)
        this.#splitOpened(event, part.id);
    }
    this.#lose(change.line, event.on, (change.pieces ?? 0) - Math.max(0, left), why);
    if (left > NOTHING)
      this.problems.push({ event: event.id, line: change.line, what: "more-taken-than-there" });
  }

  #splitOpened(event: KitEvent, id: string): void {
    const line = this.#line(id)!;
    const rest = piecesOf(line) % 1;
    if (rest <= NOTHING) return;
    this.#set(withCount(line, tidy(piecesOf(line) - rest)));
    this.#set({ ...withCount(line, tidy(rest)), id: `${id}+${event.id}`, opened: event.on });
  }

  add(event: KitEvent, change: Change): void {
    this.#bring(event, change);
    // Full again: what was lost before is made good.
    const id = wholeOf(change.line);
    const there = this.group(id).reduce((sum, l) => sum + (isFailed(l) ? 0 : piecesOf(l)), 0);
    if (there >= (this.par.get(id) ?? 0) - NOTHING) this.losses.delete(id);
  }

  #bring(event: KitEvent, change: Change): void {
    const line = this.#line(change.line);
    const pieces = change.pieces ?? 0;
    if (!line) {
      if (change.itemType === undefined && !change.facts) this.#gone(event, change.line);
      else
        this.#set(
          withFacts(
            {
              id: change.line,
              itemType: change.itemType ?? null,
              counted: pieces,
              ...batchOf(change),
            },
            change,
          ),
        );
      return;
    }
    const isOther =
      (change.lot !== undefined && change.lot !== line.lot) ||
      (change.expires !== undefined && change.expires !== line.expires);
    if (!isOther || piecesOf(line) <= NOTHING) {
      this.#set({
        ...withCount(line, tidy(piecesOf(line) + pieces)),
        ...batchOf(change),
      });
      return;
    }
    this.#set({
      ...withCount(anew(line), pieces),
      id: `${line.id}+${event.id}`,
      ...batchOf(change),
    });
  }

  count(event: KitEvent, change: Change): void {
    const line = this.#line(change.line);
    if (!line || change.pieces === undefined) {
      if (!line) this.#gone(event, change.line);
      return;
    }
    const before = this.#counts.get(line.id);
    // Two counts on one day: the lower holds until somebody says which.
    if (before?.on === event.on && before.pieces !== change.pieces) {
      this.problems.push({ event: event.id, line: line.id, what: "two-counts" });
      if (before.pieces < change.pieces) return;
    }
    this.#counts.set(line.id, { on: event.on, pieces: change.pieces });
    this.#lose(line.id, event.on, piecesOf(line) - change.pieces, "unexplained");
    this.#set({ ...line, counted: change.pieces });
  }

  recall(event: KitEvent): void {
    for (const line of this.lines)
      if (line.itemType === event.itemType && (event.lot === undefined || line.lot === event.lot)) {
        const { failedPoints: _, okPoints: __, ...rest } = line;
        this.#set({ ...rest, condition: "failed" });
        this.#lose(line.id, event.on, piecesOf(line), "recalled");
      }
  }

  /** What somebody saw who looked at the line. */
  look(event: KitEvent, change: Change): void {
    const line = this.#line(change.line);
    if (!line) this.#gone(event, change.line);
    else this.#set(withFacts(line, change));
  }

  mend(event: KitEvent): void {
    for (const change of event.changes ?? []) {
      const line = this.#line(change.line);
      if (!line) this.#gone(event, change.line);
      else if (line.failedPoints) {
        const mended = change.points;
        this.#set({
          ...line,
          failedPoints: mended ? line.failedPoints.filter((p) => !mended.includes(p)) : [],
        });
      }
    }
  }

  carryOut(event: KitEvent): void {
    for (const id of event.dropped ?? []) {
      if (this.group(id).length === 0) this.#gone(event, id);
      for (const part of this.group(id)) this.lines.splice(this.lines.indexOf(part), 1);
      this.#index();
      this.par.delete(id);
    }
    for (const change of event.lines ?? []) {
      this.add(event, change);
      this.par.set(change.line, (this.par.get(change.line) ?? 0) + (change.pieces ?? 0));
    }
  }
}

function apply(kit: Kit, event: KitEvent): void {
  const changes = event.changes ?? [];
  switch (event.kind) {
    case "used":
      for (const c of changes) kit.take(event, c, event.what === "lent" ? "lent" : "used");
      return;
    case "moved":
      for (const c of changes)
        if (event.from === undefined) kit.take(event, c, "moved");
        else kit.add(event, c);
      return;
    case "put-back":
      for (const c of changes) kit.add(event, c);
      return;
    case "counted":
      for (const c of changes) kit.count(event, c);
      return;
    case "recalled":
      kit.recall(event);
      return;
    case "maintained":
      kit.mend(event);
      return;
    case "plan-done":
      kit.carryOut(event);
      return;
    case "checked":
      for (const c of changes) kit.look(event, c);
      return;
    // These say something of the kit as a whole, and change no line.
    case "sealed":
    case "seal-broken":
    case "carried":
    case "outside":
    case "handed-over":
    case "undone":
      return;
  }
}

/**
 * The kit after its events, up to the end of a day. Pure; the same whatever order the events come in.
 * Counts never go below nothing: an event that would take more is kept and said.
 * @param first lines as unpacked and inspected
 * @param until YYYY-MM-DD; absent: all events
 */
export function replay(
  first: readonly Line[],
  events: readonly KitEvent[],
  until?: string,
): Replayed {
  const kit = new Kit(first);
  for (const event of inOrder(events))
    if (until === undefined || event.on <= until) apply(kit, event);
  return { lines: kit.lines, par: kit.par, losses: kit.losses, problems: kit.problems };
}
