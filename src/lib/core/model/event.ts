import { z } from "zod";
import { strictObject } from "./strictObject.ts";
import { lineSchema } from "./kit.ts";
import { dateRead, day, id, moneySchema } from "./scalars.ts";

/** What happens to a kit in service; each is one dated event in its log. */
const EVENT_KINDS = [
  "used",
  "put-back",
  "counted",
  "sealed",
  "seal-broken",
  "checked",
  "carried",
  "outside",
  "maintained",
  "recalled",
  "moved",
  "handed-over",
  "plan-done",
  "undone",
] as const;
export type EventKind = (typeof EVENT_KINDS)[number];

/** Pieces of a line; a fraction of one is allowed: 1.5 m of a 5 m roll is 0.3. */
const eventPieces = z.number().min(0).max(100_000);

const changeSchema = strictObject(() => ({
  /** Id of the line; of a put-back with `itemType` the new line's. */
  line: id,
  /** Taken, put back, moved, or counted. */
  pieces: eventPieces.optional(),
  /** One piece was opened: what is left of it is a part of its own. */
  opened: z.boolean().optional(),
  lot: z.string().max(120).optional(),
  expires: dateRead.optional(),
  itemType: id.optional(),
  /** Inspection points that were mended. */
  points: z.array(id).max(50).optional(),
  /** What was found on looking at the line, or what a new line is; the rest stays as it was. */
  facts: lineSchema.omit({ id: true }).partial().optional(),
  /** Facts of the line that hold no longer. */
  cleared: z
    .array(lineSchema.omit({ id: true }).keyof())
    .max(40)
    .optional(),
}));
export type Change = z.infer<typeof changeSchema>;

/** An event is never changed: an edit is an `undone` and a new one, so that a union of two logs brings nothing back. */
const eventSchema = strictObject(() => ({
  id,
  on: day,
  /** HH:MM; absent: at the end of the day. */
  time: z
    .string()
    .regex(/^([01]\d|2[0-3]):[0-5]\d$/)
    .optional(),
  kind: z.enum(EVENT_KINDS),
  by: z.string().max(200).optional(),
  note: z.string().max(2000).optional(),
  changes: z.array(changeSchema).max(2000).optional(),
  seal: z.string().max(120).optional(),
  /** Of `used`: category of the incident, or practice, or lent; of `checked`: quick or full. */
  what: z.string().max(80).optional(),
  /** Of `undone`: the event that is left out. */
  of: id.optional(),
  from: z.string().max(300).optional(),
  to: z.string().max(300).optional(),
  days: z.number().min(0).max(10_000).optional(),
  people: z.number().int().min(0).max(100_000).optional(),
  km: z.number().min(0).max(100_000).optional(),
  conditions: z.array(z.string().max(80)).max(20).optional(),
  /** Of `recalled`. */
  itemType: id.optional(),
  lot: z.string().max(120).optional(),
  /** Of `plan-done`: what came in, and the lines that went. */
  lines: z.array(changeSchema).max(2000).optional(),
  dropped: z.array(id).max(2000).optional(),
  paid: moneySchema.optional(),
  price: moneySchema.optional(),
}));
export type KitEvent = z.infer<typeof eventSchema>;

export const eventsSchema = z.array(eventSchema).max(20_000);
