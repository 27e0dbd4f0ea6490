import { rememberingFor } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT } from "./cardLimits.ts";
import type { CardRow } from "./cardRow.ts";
import { lex } from "./lexer.ts";
import { readQuantity, type Reading } from "./quantity.ts";
import { segmentsOf, type Segment } from "./segments.ts";
import { matchType, type Match, type Vocabulary } from "./vocabulary.ts";
import { quick } from "./quick.ts";

/** Below this weight a phrase is too common a word to name an item by itself. */
export const NAMES_FROM = 1.2;

/** A row of the card with what its words say, before it is told whether it lists anything. */
export interface Draft {
  readonly row: CardRow;
  readonly segments: readonly Segment[];
  /** Reading of the whole line. */
  readonly whole: Reading;
  readonly match: Match;
  /** "GLOVES: blue, 2 pairs": what stands before a colon is an item. */
  readonly headNamesItem: boolean;
}

/** "Incident forms + pencil  2": of two things that one number counts, the reader asks. */
const isOneForTwo = (
  { quantity, countDoubted }: CardRow,
  { length }: readonly Segment[],
): boolean => quantity !== null && length > 1 && countDoubted !== true;

export function draftOf(row: CardRow, vocabulary: Vocabulary): Draft {
  const said = saidBy(row.text, vocabulary);
  return { row: isOneForTwo(row, said.segments) ? { ...row, countDoubted: true } : row, ...said };
}

/** What a text says by itself; as a card is typed, one line of it changes and the others are read before. */
const saidBy = rememberingFor(
  (text: string, vocabulary: Vocabulary): Omit<Draft, "row"> => {
    const segments = text.trim() === "" ? [] : segmentsOf(text, vocabulary);
    const whole = readQuantity(lex(text));
    const head = PRAISE.test(text) ? text.split(/:|\s[-–—]\s/)[0]! : "";
    const headNamesItem = head !== "" && isSure(matchType(head, vocabulary));
    return { segments, whole, match: matchType(whole.noun, vocabulary), headNamesItem };
  },
  LINES_KEPT,
  LONGEST_KEPT,
);

/** It surely names one thing. */
export const isSure = (m: Match) =>
  m.type !== null && m.whole === 1 && m.weight >= NAMES_FROM && m.explained > 0.5;

/** Whether a cell of a table, its sizes left out, names one thing. */
export const namesItem = rememberingFor(
  (text: string, vocabulary: Vocabulary): boolean => {
    const { type, weight } = matchType(readQuantity(lex(text)).noun, vocabulary);
    return type !== null && weight >= NAMES_FROM;
  },
  LINES_KEPT,
  LONGEST_KEPT,
);

/** "54 ESSENTIALS: everything for …", "COMPLETE - everything a coach needs" */
export const PRAISE = quick(
  /^\W*\d*\s*\p{Lu}[\p{Lu} -]{5,}(?::\s+\S|\s+[-–—]\s+(?:\p{Ll}[\p{L}'’-]*[,]?\s+){3})/u,
);
