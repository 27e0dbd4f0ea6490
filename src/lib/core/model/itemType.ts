import { z } from "zod";

export const SKILLS = ["anyone", "trained", "advanced", "licensed"] as const;
/** Training, rising: anyone; first aid course; medic; licensed practice. */
export type Skill = (typeof SKILLS)[number];

export const SENSITIVITIES = ["latex", "adhesive", "iodine", "nsaid", "sting"] as const;
export type Sensitivity = (typeof SENSITIVITIES)[number];

export const creditSchema = z.strictObject({
  function: z.string(),
  credit: z.number().min(0).max(1),
  yield: z.number().positive().max(100_000).optional(),
  improvised: z.boolean().optional(),
});

/**
 * A kind of thing, brand-free. The same shape serves the shipped catalogue and the user's own types.
 * - `measure`: what is counted; `metre` and `millilitre` are pieces × length or volume.
 * - `typical`: metres or millilitres a piece when none is printed (an unchecked fact).
 * - `massG`, `bulkMl`: one piece as packed; absent: unknown, left out of totals and said so.
 * - `shelfMonths`: usual shelf life bought new; null or absent: none known.
 */
export const itemTypeSchema = z.strictObject({
  id: z.string().min(1).max(80),
  label: z.string().min(1).max(120),
  functions: z.array(creditSchema).max(40),
  measure: z.enum(["each", "pair", "dose", "metre", "millilitre"]),
  typical: z.number().positive().max(100_000).optional(),
  skill: z.enum(SKILLS),
  use: z.enum(["single", "tool"]),
  sterile: z.boolean(),
  dated: z.boolean(),
  medicine: z.boolean(),
  clash: z.array(z.enum(SENSITIVITIES)),
  alsoCalled: z.array(z.string().max(120)).max(200),
  massG: z.number().min(0).max(100_000).optional(),
  bulkMl: z.number().min(0).max(1_000_000).optional(),
  shelfMonths: z.number().min(0).max(600).nullable().optional(),
});
export type ItemType = z.infer<typeof itemTypeSchema>;
export type Credit = z.infer<typeof creditSchema>;
