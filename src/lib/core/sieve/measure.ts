import type { ItemType } from "../model/itemType.ts";
import type { Line } from "../model/kit.ts";

/** A single printed number on a thing measured in metres is a length from here up, else a width. */
export const LENGTH_FROM_MM = 300;

/** Printed width and length in mm; null: not known. */
export interface Extent {
  readonly width: number | null;
  readonly length: number | null;
  /** How many numbers are printed. */
  readonly numbers: number;
}

/** Of printed sizes the smallest number is the width, the largest the length. */
export function extentOf(line: Pick<Line, "sizeMm">, type: Pick<ItemType, "measure">): Extent {
  const size = line.sizeMm;
  if (!size || size.length === 0) return { width: null, length: null, numbers: 0 };
  if (size.length > 1)
    return { width: Math.min(...size), length: Math.max(...size), numbers: size.length };
  const only = size[0]!;
  if (type.measure !== "metre") return { width: only, length: only, numbers: 1 };
  return only >= LENGTH_FROM_MM
    ? { width: null, length: only, numbers: 1 }
    : { width: only, length: null, numbers: 1 };
}

/** Units of measure in one piece, and whether that is read or only typical. */
export interface Measure {
  readonly perPiece: number;
  /** What it is at least, where it is only typical; else the same. */
  readonly worst: number;
  readonly known: boolean;
}

const read = (perPiece: number): Measure => ({ perPiece, worst: perPiece, known: true });
/** A thing that is counted as it is. */
export const ONE: Measure = read(1);
const typical = (perPiece: number, worst: number): Measure => ({ perPiece, worst, known: false });

/** Per piece: 1, doses, metres or millilitres by the type's measure. */
export function measureOf(line: Line, type: ItemType): Measure {
  switch (type.measure) {
    case "each":
    case "pair":
      return ONE;
    case "dose":
      // A tube or bottle whose doses were not read holds one at least.
      if (line.dosesPerPiece !== undefined) return read(line.dosesPerPiece);
      return type.typical === undefined ? ONE : typical(type.typical, 1);
    case "metre": {
      const { length } = extentOf(line, type);
      return length === null ? typical(type.typical ?? 1, 0) : read(length / 1000);
    }
    case "millilitre":
      if (line.volumeMl !== undefined) return read(line.volumeMl);
      if (type.doseMl !== undefined && line.dosesPerPiece !== undefined)
        return read(line.dosesPerPiece * type.doseMl);
      // Of a liquid medicine one dose at least is in the bottle.
      return typical(type.typical ?? 1, type.doseMl ?? 0);
  }
}

/** Pieces: counted, or claimed until counted. */
export const piecesOf = (line: Line): number => line.counted ?? line.claimed ?? 0;
export const isCounted = (line: Line): boolean => line.counted !== undefined;
