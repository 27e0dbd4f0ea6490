import { remembering } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT } from "./cardLimits.ts";

/** What a rule's text must say before the rule is asked at all; none: anything. */
export interface OfText {
  readonly reads?: (text: string) => boolean;
}
/** A rule of an ordered table: what it tells of a case; null: the next rule tells. */
export interface Rule<Case, Told> extends OfText {
  readonly name: string;
  readonly tells: (c: Case) => Told | null;
}

/** The rules of a table that a text may come under, in their order: remembered, as a card is read at every key. */
export const rulesOf = <R extends OfText>(rules: readonly R[]): ((text: string) => readonly R[]) =>
  remembering(
    (text) => rules.filter(({ reads }) => reads === undefined || reads(text)),
    LINES_KEPT,
    LONGEST_KEPT,
  );

/** What the first rule that tells anything says; null: none does. */
export function firstTold<Case, Told>(rules: readonly Rule<Case, Told>[], c: Case): Told | null {
  for (const rule of rules) {
    const told = rule.tells(c);
    if (told !== null) return told;
  }
  return null;
}

/** Tells yes, or nothing. */
export const yesIf = (says: boolean): true | null => (says ? true : null);
/** Tells no, or nothing. */
export const noIf = (says: boolean): false | null => (says ? false : null);
