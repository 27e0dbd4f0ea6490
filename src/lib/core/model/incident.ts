import { z } from "zod";
import { strictObject } from "./strictObject.ts";
import { CATEGORIES } from "./functionRecord.ts";
import type { ProblemCode } from "./problem.ts";
import { day, id } from "./scalars.ts";

/** Probabilities of a distribution add up to one, but for rounding in the writing. */
const SUM_TOLERANCE = 1e-6;

/** So many units with that probability: `[[1, 0.5], [2, 0.5]]`; 0 units: it is not asked for. */
const distribution = z
  .array(z.tuple([z.number().min(0).max(10_000), z.number().min(0).max(1)]))
  .min(1)
  .max(50)
  .refine(
    (d) => Math.abs(d.reduce((s, [, p]) => s + p, 0) - 1) <= SUM_TOLERANCE,
    "sum-not-one" satisfies ProblemCode,
  );
export type Distribution = z.infer<typeof distribution>;

/** Units of a function that one incident asks for, at once and at each re-dressing. */
const askSchema = strictObject(() => ({
  function: id,
  units: distribution,
  /** Hours from one re-dressing to the next, until care is reached or the outing ends; absent: none. */
  againEveryH: z.number().positive().max(10_000).optional(),
  /** Absent: as `units`. */
  againUnits: distribution.optional(),
}));
export type IncidentAsk = z.infer<typeof askSchema>;

const incidentKindSchema = strictObject(() => ({
  id,
  label: z.string().max(200).optional(),
  category: z.enum(CATEGORIES),
  /** Per 1,000 person-days, for this brief. */
  per1000: z.number().min(0).max(100_000),
  /** What it may be at least and at most, as far as we know it: for the tornado only. */
  low: z.number().min(0).max(100_000).optional(),
  high: z.number().min(0).max(100_000).optional(),
  /** Coefficient of variation of the rate between outings; 0 or absent: the same on each. */
  spread: z.number().min(0).max(20).optional(),
  asks: z.array(askSchema).max(50),
  /** 1: it ends the stay of the hurt person. */
  leaves: z.union([z.literal(0), z.literal(1)]).optional(),
  /** Who goes along, where helpers leave. */
  helpers: z.number().int().min(0).max(100).optional(),
}));
export type IncidentKind = z.infer<typeof incidentKindSchema>;

/** What is assumed to happen on an outing. Planning assumptions, never statistics. */
export const incidentsSchema = strictObject(() => ({
  /** Whether helpers leave with the hurt person. */
  helpersLeave: z.boolean().optional(),
  /** Day on which a kit's own log took the place of what was assumed. */
  learnedOn: day.optional(),
  kinds: z.array(incidentKindSchema).max(200),
}));
export type Incidents = z.infer<typeof incidentsSchema>;
