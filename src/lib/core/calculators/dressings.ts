import { redressings } from "../reference/quantity.ts";
import { sumOf, type Calculation, type SumBrief } from "./calculation.ts";

export interface DressingsInput {
  /** Wounds of this size expected. */
  readonly wounds: number;
  /** Hours between changes; a planning figure, 24 the usual choice. */
  readonly everyH: number;
}

/**
 * Dressings for wounds that are changed until care is reached: each needs a non-stick layer, an
 * absorbent pad, something to hold it, tape. dressings = wounds × (1 + ⌊hours to care / every⌋).
 */
export function dressings(input: DressingsInput, brief: SumBrief): Calculation {
  const changes = redressings(brief.hoursToCare, input.everyH);
  return sumOf(
    {
      kind: "dressings",
      function: "medium-wound-pad",
      quantity: { base: input.wounds, redressEveryH: input.everyH },
      steps: [
        { code: "wounds", value: input.wounds },
        { code: "changes", value: changes },
        { code: "dressings", value: input.wounds * (1 + changes) },
      ],
      assumed: [{ code: "every", value: input.everyH }],
    },
    brief,
  );
}
