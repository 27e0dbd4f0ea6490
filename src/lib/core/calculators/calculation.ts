import type { Brief } from "../model/brief.ts";
import type { Need } from "../model/list.ts";
import { requiredQuantity } from "../reference/quantity.ts";

/** What a step works out, or an assumption takes. */
type StepCode =
  | "limb-length"
  | "turns"
  | "used"
  | "bandages-a-limb"
  | "limbs"
  | "wounds"
  | "changes"
  | "dressings"
  | "tape-a-dressing"
  | "tape-used"
  | "ml-a-wound"
  | "ml"
  | "person-days"
  | "doses-a-day"
  | "doses"
  | "height"
  | "height-assumed"
  | "girth"
  | "girth-assumed"
  | "overlap"
  | "no-stretch"
  | "every"
  | "strips"
  | "overhang"
  | "ml-a-cm"
  | "share"
  | "label-most";

/** One line of a sum: a code for its words, and its value. Lengths mm, volumes ml, shares 0–1. */
export interface CalculationStep {
  readonly code: StepCode;
  readonly value: number;
}

/** A sum worked out: what it asks of a need, how it came about and what was assumed. */
export interface Calculation {
  readonly kind: CalculatorId;
  /** The function whose unit the amount is in. */
  readonly function: string;
  /** As a quantity rule, so that it follows the brief where the sum does. */
  readonly quantity: Need["quantity"];
  /** Under the brief at hand, in the function's unit. */
  readonly amount: number;
  readonly steps: readonly CalculationStep[];
  readonly assumed: readonly CalculationStep[];
}

export const SUM_KINDS = ["wraps", "dressings", "tape", "irrigation", "tablets"] as const;
export type CalculatorId = (typeof SUM_KINDS)[number];
export type SumBrief = Pick<Brief, "people" | "days" | "hoursToCare" | "tallestCm">;

export const sumOf = (
  sum: Omit<Calculation, "amount">,
  brief: Pick<Brief, "people" | "days" | "hoursToCare">,
): Calculation => ({ ...sum, amount: requiredQuantity(sum, brief) });
