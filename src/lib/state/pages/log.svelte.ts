import { audit } from "../../core/audit/audit.ts";
import { defined } from "../../core/base/defined.ts";
import { addDays } from "../../core/base/dates.ts";
import { assumptionsFor, ratesByCategory } from "../../core/chance/assumptions.ts";
import { inOrder } from "../../core/events/order.ts";
import { replay, wholeOf } from "../../core/events/replay.ts";
import { sealOn } from "../../core/events/seal.ts";
import { lapsesOn } from "../../core/events/trust.ts";
import { deficitsOf, putBackOf, type Deficit } from "../../core/log/deficits.ts";
import { lostNeeds } from "../../core/log/lost.ts";
import { mergeLogs } from "../../core/log/merge.ts";
import { learnedRates, lineRates } from "../../core/log/rates.ts";
import { areHalves, moveBetween } from "../../core/log/moveBetween.ts";
import { rotationOf } from "../../core/log/rotation.ts";
import { spentAgainstForecast } from "../../core/log/spent.ts";
import { byTaking, mainCategory } from "../../core/log/takenOften.ts";
import type { LogProblem } from "../../core/events/replay.ts";
import { parseEvents, writeEvents } from "../../core/formats/eventTable.ts";
import { parseAudit } from "../../core/formats/auditFile.ts";
import type { Category } from "../../core/model/functionRecord.ts";
import type { Change, EventKind, KitEvent } from "../../core/model/event.ts";
import type { ItemType } from "../../core/model/itemType.ts";
import type { Line } from "../../core/model/kit.ts";
import type { KitRecord } from "../../core/records/kitRecord.ts";
import type { PhotoRecord } from "../../core/records/photoRecord.ts";
import { piecesOf } from "../../core/sieve/measure.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { INCIDENT_KINDS } from "../../data/incidents.ts";
import { mergedText, notOfThisKit } from "../../words/logProblems.ts";
import { lineName, ownEvents, timeNow, type KitState } from "../kit.svelte.ts";
import { newEventId } from "../newKey.ts";
import { workspace } from "../workspace.svelte.ts";

/** The day of an event, with the time where it is today. */
const whenOf = (on: string): Pick<KitEvent, "on" | "time"> => ({
  on,
  ...(on === workspace.today ? { time: timeNow() } : {}),
});

/** Where pieces come from when they are put back. */
export interface PutBackFrom {
  readonly pieces: number;
  readonly expires?: string | undefined;
  readonly lot?: string | undefined;
  readonly from?: string | undefined;
  readonly price?: number | undefined;
}

const DAYS_A_YEAR = 365;

const categoryOf = (functionId: string): Category | undefined =>
  CATALOGUE.functions.get(functionId)?.category;

/** A kit in service: what happened, what is to be put back, what its use says of the future. */
export class LogState {
  readonly kit: KitState;
  constructor(kit: KitState) {
    this.kit = kit;
  }
  /** Kinds shown in the list; empty: all. */
  only = $state<EventKind | "all">("all");

  #events = $derived.by(() => this.kit.record?.events ?? []);
  /** Those that hold, the newest first. */
  events = $derived.by(() => inOrder(this.#events).reverse());
  shown = $derived.by(() =>
    this.only === "all" ? this.events : this.events.filter((e) => e.kind === this.only),
  );
  kinds = $derived.by(() => [...new Set(this.events.map((e) => e.kind))]);
  since = $derived.by(() => this.events.at(-1)?.on ?? null);
  seal = $derived.by(() => sealOn(this.#events, workspace.today));
  problems = $derived.by((): LogProblem[] => [
    ...this.kit.replayed.problems,
    ...this.#events
      .filter((e) => e.on > workspace.today)
      .map((e): LogProblem => ({ event: e.id, what: "in-the-future" })),
  ]);
  deficits = $derived.by(() =>
    this.events.length > 0 ? deficitsOf(this.kit.replayed, workspace.today) : [],
  );
  putBackList = $derived.by(() => putBackOf(this.deficits, this.kit.book));
  putBackPrice = $derived.by(() => this.putBackList.reduce((s, p) => s + p.price, 0));
  /** What lapsed by wear on the way, not by age alone. */
  carriedLapses = $derived.by(() =>
    lapsesOn(this.kit.replayed.lines, this.#events, workspace.today, this.kit.typeOf).filter(
      (l) => l.why === "carried",
    ),
  );
  rotation = $derived.by(() => rotationOf(this.kit.lines, this.kit.book, workspace.today));
  /** What runs out within a year, and what throwing it away would cost. */
  rotationYear = $derived.by(() => {
    const lines = rotationOf(this.kit.lines, this.kit.book, workspace.today, DAYS_A_YEAR);
    return { lines, saves: lines.reduce((s, r) => s + (r.saves ?? 0), 0) };
  });
  /** What it cost a year, beside what the calendar foresaw when the log began. */
  cost = $derived.by(() =>
    spentAgainstForecast(this.kit.whole, this.kit.book, workspace.today, CATALOGUE),
  );
  #assumed = $derived.by(() => ratesByCategory(assumptionsFor(this.kit.brief, INCIDENT_KINDS)));
  rates = $derived.by(() => learnedRates(this.#events, this.kit.brief, this.#assumed));
  lineRates = $derived.by(() => {
    const pieces = new Map<string, number>();
    for (const l of this.kit.lines)
      pieces.set(wholeOf(l.id), (pieces.get(wholeOf(l.id)) ?? 0) + piecesOf(l));
    return lineRates(this.#events, this.kit.brief, this.rates, pieces, workspace.today);
  });
  /** What may be taken, what is taken most first. */
  takable = $derived.by(() =>
    byTaking(this.kit.lines, this.#events, (l) => this.categoryOfLine(l)),
  );
  /** Other kits that are stores, with the pieces they have of a kind. */
  stores = $derived.by(() =>
    workspace.kits.filter((k) => k.isStore === true && k.id !== this.kit.record?.id),
  );

  /** What a line is called, that of the kit's first state and of its parts included. */
  nameOf = (id: string): string => {
    const known = [...this.kit.replayed.lines, ...(this.kit.record?.kit.lines ?? [])];
    const line = known.find((l) => l.id === id) ?? known.find((l) => l.id === wholeOf(id));
    if (!line) return this.kit.typeOf(id)?.label ?? id;
    return lineName(line, line.itemType ? this.kit.typeOf(line.itemType)?.label : undefined);
  };
  typeOf(line: Line): ItemType | undefined {
    return line.itemType ? this.kit.typeOf(line.itemType) : undefined;
  }
  /** Whether part of a piece may be used: rolls, bottles, tubes; what is counted is used whole. */
  isDivisible(line: Line): boolean {
    const type = this.typeOf(line);
    return type?.measure === "metre" || type?.measure === "millilitre";
  }
  categoryOfLine(line: Line): Category | null {
    return mainCategory(this.typeOf(line), categoryOf);
  }

  note(kind: EventKind, more: Partial<KitEvent>, on: string = workspace.today): void {
    const by = more.by ?? this.kit.record?.inspector;
    this.kit.logEvents(`log: ${kind}`, [
      {
        ...whenOf(on),
        kind,
        ...(by ? { by } : {}),
        ...more,
      },
    ]);
  }

  /** Takes pieces out; says what the kit can do no more, or less of. */
  take(taken: ReadonlyMap<string, number>, what: string, note = ""): readonly string[] {
    const before = this.kit.audit;
    const changes = [...taken].map(([line, pieces]): Change => ({
      line,
      pieces,
      ...(pieces % 1 !== 0 ? { opened: true } : {}),
    }));
    this.note("used", { changes, what, ...(note ? { note } : {}) });
    const after = audit(this.kit.file, workspace.today, CATALOGUE);
    return lostNeeds(before, after).map((l) => {
      const label = CATALOGUE.functions.get(after.context.needs[l.need]!.need.function)!.label;
      const share = Math.round(l.after * 100);
      return share === 0 ? `${label}: no more` : `${label}: ${share} % of what is asked`;
    });
  }

  /** Photos of an event, in the order they were taken in. */
  photosOf(eventId: string): PhotoRecord[] {
    return this.kit.photos.filter((p) => p.event === eventId);
  }

  /**
   * Undoing is leaving out: the event stays in the file, and no merge brings it back. Of a move between two
   * kits both halves are left out.
   */
  takeBack(event: KitEvent): void {
    const r = this.kit.record;
    const other = workspace.kits.find(
      (k) => k.id !== r?.id && k.events?.some((e) => areHalves(e, event)),
    );
    if (!r || !other) {
      this.note("undone", { of: event.id });
      return;
    }
    this.#inBoth("take the move back", other, {
      here: { kind: "undone", of: event.id },
      there: { kind: "undone", of: event.id },
    });
  }

  /** Other kits of the shelf. */
  others = $derived.by(() => workspace.kits.filter((k) => k.id !== this.kit.record?.id));

  /** Pieces out of this kit into another: one less, the other more, as one edit. */
  moveTo(other: KitRecord, lineId: string, pieces: number, more: Partial<KitEvent>): void {
    const line = this.kit.lines.find((l) => l.id === lineId);
    const r = this.kit.record;
    if (!line || !r) return;
    const there = replay(other.kit.lines, other.events ?? []).lines;
    const { out, into } = moveBetween(line, pieces, there, `m-${newEventId()}`);
    const said = { ...(r.inspector ? { by: r.inspector } : {}), ...more };
    this.#inBoth(`${out.pieces} to ${other.kit.name}`, other, {
      here: { ...said, kind: "moved", to: other.kit.name, changes: [out] },
      there: { ...said, kind: "moved", from: r.kit.name, changes: [into] },
    });
  }

  /** One event in each of two logs, under one id. */
  #inBoth(
    label: string,
    other: KitRecord,
    halves: Record<"here" | "there", Partial<KitEvent> & Pick<KitEvent, "kind">>,
  ): void {
    const r = this.kit.record;
    if (!r) return;
    const id = newEventId();
    ownEvents.add(id);
    const when = { id, ...whenOf(halves.here.on ?? workspace.today) };
    workspace.edit(label, [
      { ...other, events: [...(other.events ?? []), { ...halves.there, ...when }] },
      { ...r, events: [...(r.events ?? []), { ...halves.here, ...when }] },
    ]);
  }

  putBack(d: Deficit, how: PutBackFrom): void {
    const currency = this.kit.currency;
    this.note("put-back", {
      changes: [
        {
          line: d.line,
          pieces: how.pieces,
          ...(d.itemType ? { itemType: d.itemType } : {}),
          ...(how.expires ? { expires: how.expires } : {}),
          ...(how.lot ? { lot: how.lot } : {}),
        },
      ],
      ...(how.from ? { from: how.from } : {}),
      ...(how.price === undefined ? {} : { price: { amount: how.price, currency } }),
    });
  }

  /** The lines of a store that have what is missing, the soonest date first. */
  inStore(store: KitRecord, itemType: string): Line[] {
    const brief = workspace.brief(store.briefId)?.brief;
    if (!brief) return [];
    return workspace
      .auditOf(store, brief)
      .kit.lines.filter((l) => l.itemType === itemType && piecesOf(l) > 0)
      .sort((a, b) => ((a.expires ?? "9") < (b.expires ?? "9") ? -1 : 1));
  }

  /** One kit less, the other more, as one edit. */
  fromStore(store: KitRecord, d: Deficit): number {
    const r = this.kit.record;
    const line = d.itemType === null ? undefined : this.inStore(store, d.itemType)[0];
    if (!r || !line) return 0;
    const pieces = Math.min(d.pieces, piecesOf(line));
    const batch = defined({
      expires: line.expires,
      lot: line.lot,
      itemType: d.itemType ?? undefined,
    });
    this.#inBoth(`${pieces} from ${store.kit.name}`, store, {
      here: {
        kind: "put-back",
        from: store.kit.name,
        changes: [{ line: d.line, pieces, ...batch }],
      },
      there: { kind: "moved", to: r.kit.name, changes: [{ line: line.id, pieces }] },
    });
    return pieces;
  }

  /** A line looked at before the kit goes: counted as claimed, sound, today. */
  confirm(lineId: string): void {
    const line = this.kit.lines.find((l) => l.id === lineId);
    if (!line) return;
    this.kit.updateLine(lineId, `check ${this.nameOf(lineId)}`, {
      counted: line.counted ?? line.claimed,
      ...(line.failedPoints?.length ? {} : { failedPoints: [], condition: undefined }),
      okPoints: undefined,
      checkedOn: workspace.today,
    });
  }

  /** Takes in the log of another copy of this kit, or of a table; says what came in. */
  takeIn(text: string, name: string): void {
    const r = this.kit.record;
    if (!r) return;
    const table = /^\uFEFF?"?id"?,/.test(text);
    const events = table ? parseEvents(text) : eventsOfFile(text, r, this.kit);
    if (!events.ok) {
      workspace.say(`${name} was not taken in.`, true, events.problems);
      return;
    }
    const merged = mergeLogs(this.kit.whole, { ...this.kit.whole, events: events.value });
    if (!merged) return;
    const known = new Set((r.events ?? []).map((e) => e.id));
    const news = merged.file.events!.filter((e) => !known.has(e.id));
    if (news.length > 0)
      workspace.edit(`take in the log of ${name}`, [{ ...r, events: merged.file.events! }]);
    workspace.say(
      mergedText(news.length, events.value.length - news.length, merged.problems.length),
    );
  }

  csv(): string {
    ownEvents.clear();
    return writeEvents(this.#events);
  }

  /** The slip that goes along: when, for which days, with which seal, what was checked, by whom. */
  lastDay = $derived.by(() => addDays(workspace.today, this.kit.brief.days - 1));
}

/** The events in an audit file or workspace of the same kit. */
function eventsOfFile(text: string, r: KitRecord, kit: KitState) {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return {
      ok: false as const,
      problems: [{ where: "", what: "is not a log: neither JSON nor a table" }],
    };
  }
  const records = (json as { records?: unknown[] }).records;
  if (Array.isArray(records)) {
    const same = records.find((x) => (x as { id?: unknown }).id === r.id) as
      | { events?: unknown }
      | undefined;
    json = { ...kit.whole, events: same?.events ?? [] };
    if (!same) return { ok: false as const, problems: [{ where: "", what: notOfThisKit }] };
  }
  const parsed = parseAudit(json, CATALOGUE);
  if (!parsed.ok) return parsed;
  const ids = new Set(r.kit.lines.map((l) => l.id));
  if (!parsed.value.kit.lines.some((l) => ids.has(l.id)))
    return { ok: false as const, problems: [{ where: "kit.lines", what: notOfThisKit }] };
  return { ok: true as const, value: parsed.value.events ?? [] };
}
