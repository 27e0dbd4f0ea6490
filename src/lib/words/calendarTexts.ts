import type { DueDay, EventKind } from "../core/calendar/calendar.ts";

export const EVENT_LABEL: Record<EventKind, string> = {
  "last-good": "last good day",
  "order-by": "last day to order",
  check: "look again",
  "full-count": "full count and seal",
};

/** What stands in a diary: "Burn gel sachets: last good day (Crew box)". */
export const eventTitle = (due: DueDay, lineName: string | null, kitName: string): string =>
  `${lineName ? `${lineName}: ` : ""}${EVENT_LABEL[due.kind]} (${kitName})`;

export const EVENT_WHY: Record<EventKind, string> = {
  "last-good": "From the next day on it no longer counts; the replacement should be in the bag.",
  "order-by": "The last day on which an order arrives before the thing runs out.",
  check: "It dries out, runs flat or perishes without a date of its own: look, feel and try it.",
  "full-count": "Count all of it, look at the seal and the bag; also after every use.",
};
