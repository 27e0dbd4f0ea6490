import type { ItemType } from "../model/itemType.ts";
import type { Line } from "../model/kit.ts";

/** What a piece holds, by what its kind is counted in. */
export interface Holding {
  readonly amount: number;
  readonly unit: "m" | "ml" | "doses";
}

/** What a full piece of the line holds: as measured, else typical of its kind; null: it is one thing. */
export function fullPiece(line: Line, type: ItemType | undefined): Holding | null {
  switch (type?.measure) {
    case "metre":
      return {
        amount: line.sizeMm ? Math.max(...line.sizeMm) / 1000 : type.typical!,
        unit: "m",
      };
    case "millilitre":
      return { amount: line.volumeMl ?? type.typical!, unit: "ml" };
    default:
      return line.dosesPerPiece === undefined
        ? null
        : { amount: line.dosesPerPiece, unit: "doses" };
  }
}

/** A used-up roll still is a roll of a millimetre: files hold sizes above 0. */
const LEAST_MM = 1;
/** And a bottle a tenth of a millilitre, a pack a tenth of a dose. */
const LEAST = 0.1;

/**
 * Facts of a piece that holds only so much.
 * @param left in the unit of fullPiece; of a roll the longest side is what is left of it
 */
export function partLeft(line: Line, type: ItemType | undefined, left: number): Partial<Line> {
  switch (type?.measure) {
    case "metre": {
      const width = line.sizeMm?.toSorted((a, b) => a - b).slice(0, -1) ?? [];
      return { sizeMm: [...width, Math.max(LEAST_MM, left * 1000)] };
    }
    case "millilitre":
      return { volumeMl: Math.max(LEAST, left) };
    default:
      return { dosesPerPiece: Math.max(LEAST, left) };
  }
}
