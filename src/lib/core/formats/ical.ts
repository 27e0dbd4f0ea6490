import { createEvents, type EventAttributes } from "ics";
import { addDays } from "../base/dates.ts";

/** One whole day in a diary. */
export interface DiaryDay {
  /** The same each time it is exported: a second import updates the first. */
  readonly uid: string;
  /** YYYY-MM-DD */
  readonly day: string;
  readonly title: string;
  readonly description: string;
}

const parts = (day: string): [number, number, number] => {
  const [y, m, d] = day.split("-").map(Number);
  return [y!, m!, d!];
};

/** So many days before it a diary reminds. */
const REMIND_DAYS = 7;

/**
 * Days as an iCalendar file (RFC 5545): whole-day events, stable UIDs, a sequence that rises with
 * the day of export so that diaries take the later one.
 * @param today YYYY-MM-DD; throws when a day does not exist
 */
export function icalendar(days: readonly DiaryDay[], name: string, today: string): string {
  const sequence = Math.floor(Date.parse(`${today}T00:00:00Z`) / 86_400_000);
  const events = days.map((d): EventAttributes => ({
    uid: d.uid,
    title: d.title,
    description: d.description,
    start: parts(d.day),
    end: parts(addDays(d.day, 1)),
    calName: name,
    productId: "wide-sieve",
    sequence,
    busyStatus: "FREE",
    transp: "TRANSPARENT",
    alarms: [
      { action: "display", description: d.title, trigger: { days: REMIND_DAYS, before: true } },
    ],
  }));
  const { error, value } = createEvents(events);
  if (error || !value) throw error ?? new Error("no calendar was made");
  return value;
}
