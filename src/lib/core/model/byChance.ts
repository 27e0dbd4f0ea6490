import { z } from "zod";
import { strictObject } from "./strictObject.ts";
import { id } from "./scalars.ts";

const units = z.number().min(0).max(1e9);

/**
 * Quantities by chance, for the house rule of that name: what suffices in 90, 95 and 99 of 100 outings, by
 * need, in the function's unit. Worked out by `chance/byChance.ts` and kept, so that an audit draws no lots.
 */
export const byChanceSchema = strictObject(() => ({
  /** Hash of what it was worked out from: where it differs, the figures are of another outing. */
  inputs: z.string().max(64),
  enough: z.record(id, z.strictObject({ "90": units, "95": units, "99": units })),
}));
export type ByChance = z.infer<typeof byChanceSchema>;
