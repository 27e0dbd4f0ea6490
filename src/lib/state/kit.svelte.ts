import { CATALOGUE } from "../data/catalogue.ts";
import { getContext, setContext } from "svelte";
import { audit, vitalMet, worthChecking, type Audit } from "../core/audit/audit.ts";
import { numberedId } from "../core/base/freeId.ts";
import { defined } from "../core/base/defined.ts";
import type { Container } from "../core/model/container.ts";
import type { Brief } from "../core/model/brief.ts";
import type { Line } from "../core/model/kit.ts";
import { eventsBetween, joined } from "../core/events/between.ts";
import { kitAfter } from "../core/events/kitOnDay.ts";
import { inOrder } from "../core/events/order.ts";
import { replay } from "../core/events/replay.ts";
import type { KitEvent } from "../core/model/event.ts";
import { wholeFileOf } from "../core/records/auditOf.ts";
import { lineCondition } from "../core/inspect/quality.ts";
import { retyped } from "../core/inspect/retyped.ts";
import { convertBook, rateBetween } from "../core/plan/convertBook.ts";
import type { PriceBook } from "../core/model/priceBook.ts";
import { kitLoad } from "../core/bag/load.ts";
import type { KitRecord } from "../core/records/kitRecord.ts";
import { isTouched } from "../core/card/isTouched.ts";
import { newEventId } from "./newKey.ts";
import { newBrief, newKit } from "./newRecords.ts";
import { workspace } from "./workspace.svelte.ts";

/** One kit on the bench with its audit, which follows every keystroke. */
export class KitState {
  readonly #id: () => string;
  constructor(id: () => string) {
    this.#id = id;
  }

  record = $derived.by(() => workspace.kit(this.#id()));
  photos = $derived.by(() => workspace.photosOf(this.#id()));
  container = $derived<Container>(this.record?.kit.container ?? {});
  briefRecord = $derived.by(() => (this.record ? workspace.brief(this.record.briefId) : undefined));
  brief = $derived<Brief>(this.briefRecord?.brief ?? newBrief("none").brief);
  /** Its log worked out, once for all that look at it. */
  replayed = $derived.by(() => replay(this.record?.kit.lines ?? [], this.record?.events ?? []));
  /** With its log, as it goes out. */
  whole = $derived.by(() => wholeFileOf(this.record ?? EMPTY, this.brief, workspace.ownTypes));
  /** As it is today, which is what is judged. */
  file = $derived.by(() =>
    workspace.settled(kitAfter(this.whole, this.replayed, workspace.today, CATALOGUE)),
  );
  audit = $derived<Audit>(audit(this.file, workspace.today, CATALOGUE));
  /** The same with what suffices by chance at hand, whatever school is followed: to try both. */
  bothWays = $derived.by(() => ({ ...this.file, byChance: workspace.byChanceOf(this.file) }));
  typeOf = $derived(workspace.typeOf);
  load = $derived(kitLoad(this.file, CATALOGUE));
  /** The currency of this audit: of the price paid, else the one set. */
  wantedCurrency = $derived(this.record?.kit.price?.currency ?? workspace.settings.currency);
  #rate = $derived(
    rateBetween(
      workspace.priceBook.currency,
      this.wantedCurrency,
      workspace.settings.currency,
      workspace.settings.rates,
    ),
  );
  /** The price book in the audit's currency; in its own while the rate is not known. */
  book = $derived<PriceBook>(
    this.#rate === null
      ? workspace.priceBook
      : convertBook(workspace.priceBook, this.wantedCurrency, this.#rate),
  );
  currency = $derived(this.book.currency);
  noRate = $derived(this.#rate === null);
  /** As they are today; `record.kit.lines` is how the kit began. */
  lines = $derived(this.file.kit.lines);
  /** A kit with a log: what is changed of its lines from now on is an event. */
  inService = $derived((this.record?.events?.length ?? 0) > 0);
  /** Costs one audit run per unchecked line: computed only where it is shown. */
  worth = $derived.by(() => worthChecking(this.audit));

  open = $derived.by(() => ({
    // Who held the thing in the hand has seen what it is, unless its name leaves the kind open.
    doubtful: this.lines.filter((l) => {
      const doubt = this.record?.doubts[l.id];
      return doubt !== undefined && (doubt.open !== undefined || !isTouched(l));
    }).length,
    uncounted: this.lines.filter((l) => l.counted === undefined).length,
    toInspect: this.lines.filter((l) => lineCondition(l, CATALOGUE) === null).length,
    held: this.audit.needs.filter((n) => n.restsOn !== "pan").length,
    vital: this.audit.context.needs.filter((n) => n.tier === "vital").length,
    vitalMet: vitalMet(this.audit),
    pieces: this.lines.reduce((s, l) => s + (l.counted ?? 0), 0),
    claimed: this.audit.value.claimed,
  }));

  update(label: string, change: (r: KitRecord) => KitRecord, mergeKey: string | null = null): void {
    if (this.record)
      workspace.edit(label, [change(this.record)], [], mergeKey && `${this.record.id} ${mergeKey}`);
  }

  /**
   * Changes the kit's lines: where it has no log yet its first state, else by events of today.
   * @param more what else of the record changes with them
   */
  updateLines(
    label: string,
    change: (lines: readonly Line[]) => Line[],
    mergeKey: string | null = null,
    more: (r: KitRecord) => KitRecord = (r) => r,
  ): void {
    const { lines } = this;
    this.update(
      label,
      (r) => {
        const next = more(r);
        if (!this.inService)
          return { ...next, kit: { ...next.kit, lines: change(next.kit.lines) } };
        const news = eventsBetween(lines, change(lines), this.#now(), newEventId);
        return { ...next, events: withNews(next.events ?? [], news) };
      },
      mergeKey,
    );
  }

  /** Writes into the log what happened. */
  logEvents(label: string, events: readonly Omit<KitEvent, "id">[]): void {
    const made = events.map((e): KitEvent => ({ id: newEventId(), ...e }));
    for (const e of made) ownEvents.add(e.id);
    this.update(label, (r) => ({ ...r, events: [...(r.events ?? []), ...made] }));
  }

  #now(): Pick<KitEvent, "on" | "time" | "by"> {
    const by = this.record?.inspector;
    return { on: workspace.today, time: timeNow(), ...(by ? { by } : {}) };
  }

  updateContainer(label: string, patch: Partial<Container>, mergeKey: string | null = null): void {
    this.update(
      label,
      (r) => ({ ...r, kit: { ...r.kit, container: { ...r.kit.container, ...patch } } }),
      mergeKey,
    );
  }

  updateBrief(label: string, patch: Partial<Brief>, mergeKey: string | null = null): void {
    const r = this.briefRecord;
    if (r)
      workspace.edit(
        label,
        [{ ...r, brief: { ...r.brief, ...patch } }],
        [],
        mergeKey && `${r.id} ${mergeKey}`,
      );
  }

  /** Changes facts of one line; undefined takes a fact away. */
  updateLine(
    id: string,
    label: string,
    patch: Partial<Line>,
    mergeKey: string | null = null,
  ): void {
    this.updateLines(
      label,
      (lines) => lines.map((l) => (l.id === id ? defined({ ...l, ...patch }) : l)),
      mergeKey && `${id} ${mergeKey}`,
      (r) => {
        if (!("itemType" in patch)) return r;
        const { [id]: _, ...doubts } = r.doubts;
        return { ...r, doubts };
      },
    );
  }

  /** Says that a line is another thing; a code scanned off it means that from now on. */
  retype(line: Line, itemType: string | null, name: string): void {
    this.updateLine(line.id, `${name} is something else`, retyped(line, itemType, CATALOGUE));
    if (line.gtin && itemType)
      workspace.learnBarcode(line.gtin, itemType, this.typeOf(itemType)?.label, line.sizeMm);
  }

  /** @param also ids that are given out and not in the kit yet */
  nextLineId(also: ReadonlySet<string> = new Set()): string {
    const first = this.record?.kit.lines ?? [];
    const taken = new Set([...first, ...this.lines].map((l) => l.id).concat(...also));
    return numberedId("L", this.lines.length + 1, taken);
  }
}

/** Events written here that went nowhere yet: those may still be joined with what comes next to them. */
export const ownEvents = new Set<string>();

/** HH:MM by the clock of this device. */
export const timeNow = (): string => new Date().toTimeString().slice(0, 5);

/** The log with new events, the first joined to the last where nobody else has that one yet. */
function withNews(events: readonly KitEvent[], news: readonly KitEvent[]): KitEvent[] {
  const last = events.at(-1);
  const first = news[0];
  const one = last && first && ownEvents.has(last.id) ? joined(last, first) : null;
  for (const e of news) ownEvents.add(e.id);
  if (one) return [...events.slice(0, -1), one, ...news.slice(1)];
  return [...events, ...recounted(events, news), ...news];
}

/** Who counts a line again on the same day takes the earlier count back. */
function recounted(events: readonly KitEvent[], news: readonly KitEvent[]): KitEvent[] {
  const lines = news
    .filter((e) => e.kind === "counted")
    .flatMap((e) => (e.changes ?? []).map((c) => `${e.on} ${c.line}`));
  return inOrder(events)
    .filter(
      (e) =>
        e.kind === "counted" &&
        e.changes?.length === 1 &&
        lines.includes(`${e.on} ${e.changes[0]!.line}`),
    )
    .map((e): KitEvent => ({ id: newEventId(), on: e.on, kind: "undone", of: e.id }));
}

const EMPTY: KitRecord = newKit("none", "", "brief:none");

const KEY = Symbol("kit");
export const provideKit = (id: () => string): KitState => setContext(KEY, new KitState(id));
export const useKit = (): KitState => getContext<KitState>(KEY);

/** What a line is called on screen: as on the card, else its kind. */
export const lineName = (line: Line, label: string | undefined): string =>
  line.text?.trim() || label || "Unnamed thing";
