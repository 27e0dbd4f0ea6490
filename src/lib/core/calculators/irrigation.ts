import { sumOf, type Calculation, type SumBrief } from "./calculation.ts";

/** What is taught, ml for each cm of wound length: from 50 to 100. */
export const ML_PER_CM = { least: 50, most: 100 } as const;

export interface IrrigationInput {
  readonly wounds: number;
  readonly lengthMm: number;
  /** ml for each cm of wound, as taught locally. */
  readonly mlPerCm: number;
}

/** Clean water or saline to flush dirty wounds: ml = wounds × length in cm × ml a cm. */
export function irrigation(input: IrrigationInput, brief: SumBrief): Calculation {
  const each = (input.lengthMm / 10) * input.mlPerCm;
  return sumOf(
    {
      kind: "irrigation",
      function: "wound-irrigation",
      quantity: { base: each * input.wounds },
      steps: [
        { code: "ml-a-wound", value: each },
        { code: "wounds", value: input.wounds },
        { code: "ml", value: each * input.wounds },
      ],
      assumed: [{ code: "ml-a-cm", value: input.mlPerCm }],
    },
    brief,
  );
}
