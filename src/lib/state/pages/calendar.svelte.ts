import { daysInMonth } from "../../core/base/dates.ts";
import { calendarOf, type DueDay, type EventKind } from "../../core/calendar/calendar.ts";
import { upkeep } from "../../core/calendar/upkeep.ts";
import { icalendar } from "../../core/formats/ical.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { EVENT_WHY, eventTitle } from "../../words/calendarTexts.ts";
import { lineName, type KitState } from "../kit.svelte.ts";
import { workspace } from "../workspace.svelte.ts";

export const EVENT_KINDS: readonly EventKind[] = ["last-good", "order-by", "check", "full-count"];

/** What of a kit falls due, by day and by month. */
export class CalendarState {
  readonly kit: KitState;
  constructor(kit: KitState) {
    this.kit = kit;
  }
  /** Months from today's to the one looked at by the user's own choice; null: where the next thing falls due. */
  #chosen = $state<number | null>(null);
  shown = $state<Record<EventKind, boolean>>({
    "last-good": true,
    "order-by": true,
    check: true,
    "full-count": true,
  });
  /** Months from today's to the one looked at. */
  get offset(): number {
    const next = this.listed.find((d) => d.day >= workspace.today);
    return this.#chosen ?? (next ? monthsOf(next.day) - monthsOf(workspace.today) : 0);
  }
  set offset(months: number) {
    this.#chosen = months;
  }

  kitName = $derived.by(() => this.kit.record?.kit.name ?? "kit");
  due = $derived.by(() =>
    calendarOf(
      this.kit.file,
      (this.kit.record?.id ?? "kit").replace(/^kit:/, ""),
      this.kit.book,
      workspace.today,
      CATALOGUE,
    ),
  );
  cost = $derived.by(() => upkeep(this.kit.file, this.kit.book, workspace.today, CATALOGUE));
  listed = $derived.by(() => this.due.filter((d) => this.shown[d.kind]));
  /** "2026-11". */
  month = $derived.by(() => {
    const at = monthsOf(workspace.today) + this.offset;
    return `${Math.floor(at / 12)}-${two((at % 12) + 1)}`;
  });
  /** Days of the month from Monday on; null before its first. */
  cells = $derived.by((): readonly (string | null)[] => {
    const [year, month] = this.month.split("-").map(Number);
    const lead = (new Date(Date.UTC(year!, month! - 1, 1)).getUTCDay() + 6) % 7;
    return [
      ...Array.from({ length: lead }, () => null),
      ...Array.from(
        { length: daysInMonth(year!, month!) },
        (_, i) => `${this.month}-${two(i + 1)}`,
      ),
    ];
  });
  inMonth = $derived.by(() => this.listed.filter((d) => d.day.startsWith(this.month)));
  /** The first day due after this month, or the last before it. */
  elsewhere = $derived.by(
    () =>
      this.listed.find((d) => d.day.slice(0, 7) > this.month) ??
      this.listed.findLast((d) => d.day.slice(0, 7) < this.month),
  );

  toggle(kind: EventKind): void {
    this.shown = { ...this.shown, [kind]: !this.shown[kind] };
  }
  goTo(day: string): void {
    this.offset = monthsOf(day) - monthsOf(workspace.today);
  }
  /** What the line is called that falls due; null: the whole kit. */
  nameOf(d: DueDay): string | null {
    const line = this.kit.lines.find((l) => l.id === d.line);
    if (!line) return null;
    return lineName(line, line.itemType ? this.kit.typeOf(line.itemType)?.label : undefined);
  }
  /** What is shown, for a diary. */
  icalendar(): string {
    const events = this.listed.map((d) => ({
      uid: d.uid,
      day: d.day,
      title: eventTitle(d, this.nameOf(d), this.kitName),
      description: EVENT_WHY[d.kind],
    }));
    return icalendar(events, this.kitName, workspace.today);
  }
}

/** Months since the year 0 of a day or month written year first. */
const monthsOf = (day: string): number =>
  Number(day.slice(0, 4)) * 12 + Number(day.slice(5, 7)) - 1;
const two = (n: number): string => String(n).padStart(2, "0");
