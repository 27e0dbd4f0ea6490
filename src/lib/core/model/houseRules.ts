import { z } from "zod";
import { strictObject } from "./strictObject.ts";
import { defined } from "../base/defined.ts";
import { TIERS, type Tier } from "./list.ts";
import { share } from "./scalars.ts";

/**
 * The register of house rules: where good practitioners differ, each school counts by its own rule.
 * One entry a rule: its schools, the default first, and the file that applies it. Schema, types,
 * screens and the combinations to try derive from it; words/houseRules.ts names every school, and a
 * forgotten one does not compile.
 */
const HOUSE_RULES = {
  emphasis: {
    options: ["balanced", "severity-led", "frequency-led"],
    appliedIn: "reference/asked.ts",
  },
  dates: { options: ["strict", "tiered"], appliedIn: "sieve/fresh.ts" },
  duplicates: { options: ["self-contained", "lean"], appliedIn: "sieve/context.ts" },
  devices: { options: ["tolerant", "protocol-only"], appliedIn: "sieve/real.ts" },
  improvised: { options: ["allow", "deny"], appliedIn: "sieve/real.ts" },
  advanced: { options: ["gate", "carry"], appliedIn: "sieve/usable.ts" },
  breathing: { options: ["barrier", "hands-only"], appliedIn: "reference/asked.ts" },
  cutting: { options: ["shears", "scissors"], appliedIn: "sieve/real.ts" },
  quantities: { options: ["list", "chance"], appliedIn: "reference/asked.ts" },
} as const satisfies Record<
  string,
  { readonly options: readonly [string, string, ...string[]]; readonly appliedIn: string }
>;

export type RuleId = keyof typeof HOUSE_RULES;
export type School<R extends RuleId> = (typeof HOUSE_RULES)[R]["options"][number];
/** A school for every rule. */
type Chosen = { readonly [R in RuleId]: School<R> };

export const RULE_IDS = Object.keys(HOUSE_RULES) as RuleId[];
export const optionsOf = (rule: RuleId): readonly string[] => HOUSE_RULES[rule].options;

/** Coverage asked for each grade; `partialVital`: what every vital need must reach for Partial. */
export interface Thresholds {
  readonly ready: number;
  readonly nearly: number;
  readonly partial: number;
  readonly partialVital: number;
}
export const THRESHOLDS: Thresholds = { ready: 0.9, nearly: 0.7, partial: 0.5, partialVital: 0.5 };
/** Vital needs count in full only when whole; a core need holds at four fifths, a useful one at half. */
export const PASS_MARKS: Readonly<Record<Tier, number>> = { vital: 1, core: 0.8, useful: 0.5 };

/** Of 100 outings, those in which a quantity by chance suffices; the middle one unless another is chosen. */
export const CHANCES = [0.9, 0.95, 0.99] as const;
export type ChanceAt = (typeof CHANCES)[number];
const CHANCE_AT: ChanceAt = 0.95;

/** House rules with every school decided. */
export interface Schools extends Chosen {
  /** Where quantities go by chance: the share of outings in which they suffice. */
  readonly chanceAt: ChanceAt;
  readonly thresholds: Thresholds;
  readonly passMarks: Readonly<Record<Tier, number>>;
}

type RuleShape = { [R in RuleId]: z.ZodOptional<z.ZodType<School<R>>> };
const ruleShape = Object.fromEntries(
  RULE_IDS.map((rule) => [rule, z.enum(HOUSE_RULES[rule].options).optional()]),
) as unknown as RuleShape;
const optionalShare = share.optional();
const thresholdShape = Object.fromEntries(
  Object.keys(THRESHOLDS).map((k) => [k, optionalShare]),
) as Record<keyof Thresholds, typeof optionalShare>;
const passMarkShape = Object.fromEntries(TIERS.map((t) => [t, optionalShare])) as Record<
  Tier,
  typeof optionalShare
>;

/** What a file says of the schools; what it does not say is the default. */
export const houseRulesSchema = strictObject(() => ({
  ...ruleShape,
  chanceAt: z.literal(CHANCES).optional(),
  thresholds: z.strictObject(thresholdShape).optional(),
  passMarks: z.strictObject(passMarkShape).optional(),
}));
export type HouseRules = z.infer<typeof houseRulesSchema>;

/** Fills in the default school, threshold and pass mark wherever none was chosen. */
export function schools(rules: HouseRules | undefined): Schools {
  const chosen = Object.fromEntries(
    RULE_IDS.map((rule) => [rule, rules?.[rule] ?? HOUSE_RULES[rule].options[0]]),
  ) as unknown as Chosen;
  return {
    ...chosen,
    chanceAt: rules?.chanceAt ?? CHANCE_AT,
    thresholds: { ...THRESHOLDS, ...defined(rules?.thresholds ?? {}) },
    passMarks: { ...PASS_MARKS, ...defined(rules?.passMarks ?? {}) },
  };
}
