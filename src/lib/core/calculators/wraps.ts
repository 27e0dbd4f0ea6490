import { wholeUp } from "../base/tolerance.ts";
import { sumOf, type Calculation, type SumBrief } from "./calculation.ts";

/**
 * Build from height. Planning figures of our own from common body proportions, for want of a tape
 * measure: length wrapped (toes to groin, fingers to armpit: the foot is 0.15, the hand 0.11) and mean
 * girth over that length, as shares of the height.
 */
const LIMBS = {
  leg: { length: 0.62, girth: 0.206 },
  arm: { length: 0.44, girth: 0.14 },
} as const;
export type Limb = keyof typeof LIMBS;

/** A tall grown-up, where the brief does not say: better one bandage too many. */
const TALL_CM = 190;

export interface WrapsInput {
  readonly limb: Limb;
  /** Limbs to wrap. */
  readonly limbs: number;
  readonly widthMm: number;
  readonly lengthMm: number;
  /** Share of the width that each turn lies over the last, 0 to below 1. */
  readonly overlap: number;
  /** Measured girth in mm, where someone has; else from the height. */
  readonly girthMm?: number;
}

/**
 * Bandages to wrap a whole limb of the tallest person; with `inMetres` the metres, for a job that is
 * counted so.
 * turns = length / (width × (1 − overlap)); bandage used = turns × mean girth.
 */
export function wraps(input: WrapsInput, brief: SumBrief, inMetres = false): Calculation {
  const build = LIMBS[input.limb];
  const heightMm = (brief.tallestCm ?? TALL_CM) * 10;
  const lengthMm = heightMm * build.length;
  const girthMm = input.girthMm ?? heightMm * build.girth;
  const turns = lengthMm / (input.widthMm * (1 - input.overlap));
  const usedMm = turns * girthMm;
  const each = wholeUp(usedMm / input.lengthMm);
  return sumOf(
    {
      kind: "wraps",
      function: inMetres ? "dressing-retention" : "pressure-immobilisation",
      quantity: {
        base: inMetres ? Math.ceil((usedMm / 100) * input.limbs) / 10 : each * input.limbs,
      },
      steps: [
        { code: "limb-length", value: lengthMm },
        { code: "turns", value: turns },
        { code: "used", value: usedMm },
        { code: "bandages-a-limb", value: each },
        { code: "limbs", value: input.limbs },
      ],
      assumed: [
        { code: brief.tallestCm === undefined ? "height-assumed" : "height", value: heightMm },
        { code: input.girthMm === undefined ? "girth-assumed" : "girth", value: girthMm },
        { code: "overlap", value: input.overlap },
        { code: "no-stretch", value: input.lengthMm },
      ],
    },
    brief,
  );
}
