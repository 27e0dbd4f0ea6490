import { z } from "zod";
import { strictObject } from "./strictObject.ts";

export const SKILLS = ["anyone", "trained", "advanced", "licensed"] as const;
/** Training, rising: anyone; first aid course; medic; licensed practice. */
export type Skill = (typeof SKILLS)[number];

export const SENSITIVITIES = ["latex", "adhesive", "iodine", "nsaid", "sting"] as const;
export type Sensitivity = (typeof SENSITIVITIES)[number];

/** Whether what touches skin, wound or airway holds latex: the pack must say (`ask`), or mostly does. */
const LATEX = ["no", "ask", "often", "yes"] as const;
/** What is never dropped though no list asks for it, and why it may be wanted. */
const KEPT_FOR = ["container", "prescribed", "life-saving"] as const;

const CHECK_KINDS = ["by-touch", "batteries", "elastic"] as const;
export type CheckKind = (typeof CHECK_KINDS)[number];

const creditSchema = strictObject(() => ({
  function: z.string(),
  credit: z.number().min(0).max(1),
  yield: z.number().positive().max(100_000).optional(),
  improvised: z.boolean().optional(),
  /** Credit under the house rule that strong scissors are as good as shears. */
  underScissors: z.number().min(0).max(1).optional(),
}));

/**
 * A kind of thing, brand-free. The same shape serves the shipped catalogue and the user's own types.
 * - `measure`: what is counted; `metre` and `millilitre` are pieces × length or volume.
 * - `typical`: metres, millilitres or doses a piece when none is printed (an unchecked fact); a type in
 *   doses without it is one dose a piece.
 * - `massG`, `bulkMl`: one piece as packed; absent: unknown, left out of totals and said so.
 * - `shelfMonths`: usual shelf life bought new; null or absent: none known.
 */
export const itemTypeSchema = strictObject(() => ({
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
  /** For licensed or prescribed use: audited when it is there, never proposed for purchase. */
  licensed: z.boolean().optional(),
  /** Never bought by a plan though anyone trained may use it: prescribed, or handed out. */
  notForSale: z.boolean().optional(),
  /** mg of a dose as planned with, where the function has none of its own. */
  planningDoseMg: z.number().positive().max(1_000_000).optional(),
  /** ml of one dose of a liquid medicine: what its doses say where its volume was not read. */
  doseMl: z.number().positive().max(1000).optional(),
  /** Functions that it does not do where children are among the activities. */
  notWithChildren: z.array(z.string()).max(10).optional(),
  /** Absent: by `clash`. */
  latex: z.enum(LATEX).optional(),
  keptFor: z.enum(KEPT_FOR).optional(),
  /** For practice only: never a real thing. */
  trainer: z.boolean().optional(),
  /** Not named by protocols: without credit for bleeding and breathing under `protocol-only`. */
  protocolBarred: z.boolean().optional(),
  /** A rigid thing: its usual length where none is printed, mm. */
  rigidMm: z.number().positive().max(5000).optional(),
  /** What comes on a roll is never wider, mm: a larger width has lost its decimal point. */
  widestMm: z.number().positive().max(5000).optional(),
  /** A flat thing that must not be folded: the fold cracks its gel or film. */
  unfolded: z.boolean().optional(),
  /** A tool that wears with use, so that the day of its first one tells. */
  wears: z.boolean().optional(),
  /** What dries, runs flat or perishes without a date of its own (calendar/checks.ts). */
  check: z.enum(CHECK_KINDS).optional(),
  /** Months that it may be used once open, as commonly printed; 0: for one use. Print on the thing wins. */
  openMonths: z.number().min(0).max(120).optional(),
  /** What swells the count on a box. */
  padding: z.enum(["small-plaster", "wipe"]).optional(),
}));
export type ItemType = z.infer<typeof itemTypeSchema>;
export type Credit = z.infer<typeof creditSchema>;
