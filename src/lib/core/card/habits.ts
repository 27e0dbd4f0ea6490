import type { ColumnRole } from "./columnRole.ts";
import { lex } from "./lexer.ts";
import { readQuantity } from "./quantity.ts";

/** What a user's corrections have taught of how her cards are written. */
export interface Habits {
  /** Pieces in a pack, by the name on the card (`nameOnCard`), where the card does not say. */
  readonly packs: ReadonlyMap<string, number>;
  /** What a size without a unit is in; null: what the card's other sizes are in. */
  readonly bareUnit: "cm" | "in" | null;
  /** Roles of a table's columns, by its heading (`headingKey`). */
  readonly columns: ReadonlyMap<string, readonly (ColumnRole | null)[]>;
}

export const NO_HABITS: Habits = { packs: new Map(), bareUnit: null, columns: new Map() };

/** A table's heading as it is remembered. */
export const headingKey = (cells: readonly string[]): string =>
  cells.map((c) => c.trim().toLowerCase()).join(" | ");

/** The words of a card entry that name the thing, as a correction remembers them. */
export const nameOnCard = (text: string): string => readQuantity(lex(text)).noun;

/** One thing learned from a correction. */
export type Lesson =
  | { readonly what: "pack"; readonly name: string; readonly pieces: number }
  | { readonly what: "unit"; readonly unit: "cm" | "in" };

/** No pack of a first aid kit holds more. */
const MOST_IN_A_PACK = 1000;

/** What a corrected number of pieces teaches: packs whose content the card does not state. */
export function lessonOfPieces(text: string, read: number, corrected: number): Lesson | null {
  const { packsOfUnknown } = readQuantity(lex(text));
  if (packsOfUnknown === null || packsOfUnknown < 1) return null;
  const pieces = corrected / packsOfUnknown;
  if (!Number.isInteger(pieces) || pieces < 2 || pieces > MOST_IN_A_PACK || corrected === read)
    return null;
  return { what: "pack", name: nameOnCard(text).toLowerCase(), pieces };
}

const MM_IN = { cm: 10, in: 25.4 } as const;

/** What a corrected size teaches: the unit of a size that the card gives without one. */
export function lessonOfSize(text: string, corrected: readonly number[]): Lesson | null {
  const { bare } = readQuantity(lex(text));
  if (bare === null || corrected.length !== 2) return null;
  const wanted = [...corrected].sort((a, b) => a - b);
  const units = (["cm", "in"] as const).filter((unit) => {
    const sized = [...bare].sort((a, b) => a - b).map((n) => Math.round(n * MM_IN[unit]));
    return sized[0] === wanted[0] && sized[1] === wanted[1];
  });
  return units.length === 1 ? { what: "unit", unit: units[0]! } : null;
}
