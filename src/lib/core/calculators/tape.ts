import { redressings } from "../reference/quantity.ts";
import { sumOf, type Calculation, type SumBrief } from "./calculation.ts";

/** One strip along each side of the pad. */
const STRIPS = 4;
/** What a strip reaches beyond the pad, both ends together. */
const OVERHANG_MM = 50;

export interface TapeInput {
  readonly wounds: number;
  readonly everyH: number;
  readonly padSideMm: number;
}

/** Tape by dressing: about four strips of the pad's side plus 5 cm, for each dressing. Metres. */
export function tape(input: TapeInput, brief: SumBrief): Calculation {
  const perDressingMm = STRIPS * (input.padSideMm + OVERHANG_MM);
  const dressings = input.wounds * (1 + redressings(brief.hoursToCare, input.everyH));
  return sumOf(
    {
      kind: "tape",
      function: "tape",
      quantity: { base: (input.wounds * perDressingMm) / 1000, redressEveryH: input.everyH },
      steps: [
        { code: "tape-a-dressing", value: perDressingMm },
        { code: "dressings", value: dressings },
        { code: "tape-used", value: perDressingMm * dressings },
      ],
      assumed: [
        { code: "strips", value: STRIPS },
        { code: "overhang", value: OVERHANG_MM },
        { code: "every", value: input.everyH },
      ],
    },
    brief,
  );
}
