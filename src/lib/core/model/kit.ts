import { z } from "zod";
import { strictObject } from "./strictObject.ts";
import { containerSchema } from "./container.ts";
import { LOCATIONS } from "./location.ts";
import {
  dateRead,
  day,
  doses,
  grams,
  id,
  moneySchema,
  pieces,
  sizeMm,
  volumeMl,
} from "./scalars.ts";

export const CONDITIONS = ["sound", "worn", "failed"] as const;
export type Condition = (typeof CONDITIONS)[number];

/** One kind of thing in the kit. Of `claimed` and `counted` one at least is there. */
export const lineSchema = strictObject(() => ({
  id,
  /** null: a real thing that no id describes. */
  itemType: id.nullable(),
  /** As on the card. */
  text: z.string().max(4000).optional(),
  /** Row of the contents card it was read from, from 1. */
  cardLine: z.number().int().min(0).max(1_000_000).optional(),
  /** Added at the bench, not read from a card: a new reading of the card leaves it alone. */
  byHand: z.boolean().optional(),
  claimed: pieces.optional(),
  /** Absent: not counted yet. */
  counted: pieces.optional(),
  sizeMm: sizeMm.optional(),
  volumeMl: volumeMl.optional(),
  dosesPerPiece: doses.optional(),
  /** Of one dose of the piece. */
  strengthMg: z.number().positive().max(1_000_000).optional(),
  /** Whether the pack says that it is free of latex. Absent: not read yet. */
  latexFree: z.boolean().optional(),
  /** Absent: not read yet. */
  expires: dateRead.optional(),
  condition: z.enum(CONDITIONS).optional(),
  /** Decide over `condition` where given; empty: inspected and sound. */
  failedPoints: z.array(id).max(50).optional(),
  location: z.enum(LOCATIONS).optional(),
  /** Id of the container's compartment it lies in. */
  compartment: id.optional(),
  reachS: z.number().min(0).max(100_000).optional(),
  findable: z.boolean().optional(),
  labelled: z.boolean().optional(),
  /** Inspection points answered yes while the inspection is not finished. */
  okPoints: z.array(id).max(50).optional(),
  /** Day of the last whole inspection. */
  checkedOn: day.optional(),
  /** As printed; followed in a recall. */
  lot: z.string().max(120).optional(),
  /** 14 digits, as scanned. */
  gtin: z.string().max(14).optional(),
  note: z.string().max(2000).optional(),
  /** When a tube or bottle was opened; `expires` is then the earlier of print and open life. */
  opened: dateRead.optional(),
  printedExpires: dateRead.optional(),
  /** When a tool was first used. */
  firstUse: dateRead.optional(),
  /** Access drills: seconds from the word to the thing in the hand. */
  drills: z
    .array(
      z.strictObject({
        seconds: z.number().min(0).max(3600),
        oneHanded: z.boolean().optional(),
        gloved: z.boolean().optional(),
      }),
    )
    .max(50)
    .optional(),
}));
export type Line = z.infer<typeof lineSchema>;

export const kitSchema = strictObject(() => ({
  name: z.string().max(300),
  /** What the maker says is in it. */
  claims: z.strictObject({ pieces: pieces.optional(), massG: grams.optional() }).default({}),
  price: moneySchema.optional(),
  container: containerSchema.optional(),
  lines: z.array(lineSchema).max(10_000),
}));
export type Kit = z.infer<typeof kitSchema>;
