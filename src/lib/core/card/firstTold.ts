/** A rule of an ordered table: what it tells of a case; null: the next rule tells. */
export interface Rule<Case, Told> {
  readonly name: string;
  readonly tells: (c: Case) => Told | null;
}

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
