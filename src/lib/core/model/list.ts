import { z } from "zod";
import { strictObject } from "./strictObject.ts";
import { CARRIES } from "./brief.ts";
import { SENSITIVITIES } from "./itemType.ts";
import { id, share } from "./scalars.ts";

export const TIERS = ["vital", "core", "useful"] as const;
export type Tier = (typeof TIERS)[number];
export const ACCESSES = ["seconds", "minute", "any"] as const;

const quantityNumber = z.number().min(0).max(1_000_000);

/** One thing a reference list asks for. Its quantity is in the function's unit (reference/quantity.ts). */
export const needSchema = strictObject(() => ({
  id,
  function: id,
  tier: z.enum(TIERS),
  quantity: z.strictObject({
    base: quantityNumber.optional(),
    /** People whom `base` is for: `perPerson` counts those beyond them. */
    baseFor: quantityNumber.optional(),
    perPerson: quantityNumber.optional(),
    perDay: quantityNumber.optional(),
    perPersonDay: quantityNumber.optional(),
    redressEveryH: z.number().positive().max(10_000).optional(),
    min: quantityNumber.optional(),
    max: quantityNumber.optional(),
  }),
  spec: z
    .strictObject({
      minSizeMm: z.tuple([z.number().positive(), z.number().positive()]).optional(),
      minWidthMm: z.number().positive().optional(),
      minLengthMm: z.number().positive().optional(),
      sterile: z.boolean().optional(),
    })
    .optional(),
  access: z.enum(ACCESSES).optional(),
  companions: z.array(id).max(20).optional(),
  /** What this need takes beside what the catalogue says, or at another credit. */
  accept: z
    .array(
      z.strictObject({
        itemType: id,
        credit: share,
        yield: z.number().positive().max(100_000).optional(),
        improvised: z.boolean().optional(),
      }),
    )
    .max(100)
    .optional(),
  /** The need is asked only where all of it holds; of a list any one. */
  when: z
    .strictObject({
      activities: z.array(id).optional(),
      peopleMin: z.number().min(0).optional(),
      daysMin: z.number().min(0).optional(),
      hoursToCareMin: z.number().min(0).optional(),
      carry: z.array(z.enum(CARRIES)).optional(),
      sensitivities: z.array(z.enum(SENSITIVITIES)).optional(),
    })
    .optional(),
  reason: z.string().max(2000).optional(),
  /** A thing of a person's own, prescribed or brought: checked and counted, never bought or dropped. */
  theirs: z.boolean().optional(),
}));
export type Need = z.infer<typeof needSchema>;

export const listSchema = strictObject(() => ({
  id,
  title: z.string().max(300),
  /** Whom it is for, and what it is not, each in a sentence or two. */
  for: z.string().max(2000).optional(),
  isNot: z.string().max(2000).optional(),
  /** Raised with each change that is given out. */
  version: z.number().int().min(1).optional(),
  needs: z.array(needSchema).max(2000),
}));
export type ReferenceList = z.infer<typeof listSchema>;
