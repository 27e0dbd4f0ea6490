import { z } from "zod";
import { strictObject } from "./strictObject.ts";
import { LOCATIONS } from "./location.ts";
import { grams, millilitres } from "./scalars.ts";

/** The bag or box itself: its measures, its compartments, and what was seen of it. */

const mm = z.number().positive().max(5000);

const compartmentSchema = strictObject(() => ({
  id: z.string().min(1).max(120),
  name: z.string().max(200),
  /** How fast one gets at it: the place that the Handy mesh reckons with. */
  place: z.enum(LOCATIONS),
  /** Inner size, mm; absent: not measured. */
  innerMm: z.tuple([mm, mm, mm]).optional(),
  labelled: z.boolean().optional(),
}));
export type Compartment = z.infer<typeof compartmentSchema>;

/** A look at the container on one day: what was looked at and what failed, by point id. */
const containerLookSchema = strictObject(() => ({
  on: z.string().max(10),
  by: z.string().max(200).optional(),
  looked: z.array(z.string().max(120)).max(50),
  failed: z.array(z.string().max(120)).max(50),
  note: z.string().max(1000).optional(),
}));
export type ContainerLook = z.infer<typeof containerLookSchema>;

/** Where a kit is carried or hangs. */
export const CARRY_PLACES = [
  "pocket",
  "belt",
  "ankle",
  "chest-rig",
  "day-pack",
  "pack-outside",
  "vehicle",
  "wall",
] as const;
export type CarryPlace = (typeof CARRY_PLACES)[number];

/** What decides whether it is carried at all (bag/carryCheck.ts). */
const carriedSchema = strictObject(() => ({
  /** Absent: as the brief says. */
  place: z.enum(CARRY_PLACES).optional(),
  /** Figures of the user's own; absent: the planning figures of the place. */
  figures: z
    .strictObject({
      thicknessMm: mm.optional(),
      widthMm: mm.optional(),
      massG: grams.optional(),
    })
    .optional(),
  /** Answers by question id; absent: not tried. */
  answers: z.record(z.string(), z.boolean()).optional(),
  /** Two weeks of wearing it, oldest first: days it stayed at home, and why. */
  worn: z
    .array(
      z.strictObject({
        on: z.string().max(10),
        daysAtHome: z.number().int().min(0).max(14),
        why: z.string().max(1000).optional(),
      }),
    )
    .max(500)
    .optional(),
}));
export type Carried = z.infer<typeof carriedSchema>;

export const containerSchema = strictObject(() => ({
  massG: grams.optional(),
  allowance: z.number().min(0).max(1e9).optional(),
  volumeMl: millilitres.optional(),
  outerMm: z.tuple([mm, mm, mm]).optional(),
  sealNumber: z.string().max(100).optional(),
  /** Answers by point id (bag/bag.ts); absent: not looked at. */
  points: z.record(z.string(), z.boolean()).optional(),
  compartments: z.array(compartmentSchema).max(50).optional(),
  carried: carriedSchema.optional(),
  /** Oldest first. */
  looks: z.array(containerLookSchema).max(1000).optional(),
}));
export type Container = z.infer<typeof containerSchema>;
