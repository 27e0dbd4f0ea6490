import { COUNT_TOLERANCE, wholeDown } from "../base/tolerance.ts";
import type { ItemType } from "../model/itemType.ts";
import type { Line } from "../model/kit.ts";
import { measureOf, piecesOf } from "../sieve/measure.ts";

/**
 * Repacking: a line may be carried in part. Pieces by the piece; a single roll by the half metre,
 * folded flat; a single tube by the dose. The rest stays at home and is not lost.
 */
export interface Portions {
  /** Units of measure that are left behind at a time. */
  readonly step: number;
  /** So many steps can be left; all of them: the line is dropped. */
  readonly steps: number;
  /** What the steps do not come to, and goes with the last of them. */
  readonly rest: number;
}

/** Shorter than half a metre nothing folded flat is of use. */
const ROLL_STEP_M = 0.5;
const MM_PER_M = 1000;

/** @param mayCut whether a roll may be shortened; else it is carried whole or not at all */
export function portionsOf(line: Line, type: ItemType, mayCut = true): Portions | null {
  const pieces = piecesOf(line);
  const { perPiece } = measureOf(line, type);
  if (pieces <= 0 || perPiece <= 0) return null;
  if (pieces === 1 && mayCut && type.measure === "metre" && perPiece >= 2 * ROLL_STEP_M)
    return inSteps(ROLL_STEP_M, perPiece);
  if (pieces === 1 && type.measure === "dose" && perPiece > 1) return inSteps(1, perPiece);
  return inSteps(perPiece, pieces * perPiece);
}

/** All of it or nothing. */
export const wholeOf = (units: number): Portions | null =>
  units > 0 ? { step: units, steps: 1, rest: 0 } : null;

function inSteps(step: number, units: number): Portions {
  const steps = wholeDown(units / step);
  const rest = units - steps * step;
  return { step, steps, rest: rest > COUNT_TOLERANCE * units ? rest : 0 };
}

/** The line with only so many units of measure of it carried. */
export function partOf(line: Line, type: ItemType, units: number): Line {
  const { perPiece } = measureOf(line, type);
  const pieces = piecesOf(line);
  if (pieces === 1 && type.measure === "metre") {
    const length = Math.round(units * MM_PER_M);
    const width = line.sizeMm && line.sizeMm.length > 1 ? [Math.min(...line.sizeMm)] : [];
    return { ...line, sizeMm: [...width, length] };
  }
  if (pieces === 1 && type.measure === "dose" && perPiece > 1)
    return { ...line, dosesPerPiece: units };
  const kept = Math.round(units / perPiece);
  return line.counted === undefined ? { ...line, claimed: kept } : { ...line, counted: kept };
}
