import { addTo } from "../base/addTo.ts";
import { isTypedFor } from "./slip.ts";

/** A word of a card from abroad as its language spells it. */

/** Words of names in other languages. */
export interface SpellingsAbroad {
  readonly all: ReadonlySet<string>;
  /** The longer ones by their first letter. */
  readonly byLetter: ReadonlyMap<string, readonly string[]>;
}

export function spellingsOf(words: Iterable<string>): SpellingsAbroad {
  const all = new Set(words);
  const byLetter = new Map<string, string[]>();
  for (const word of all) if (word.length >= SHORTEST_SPELT) addTo(byLetter, word[0]!, word);
  return { all, byLetter };
}

/** Of shorter words too many are a slip apart, in some language. */
const SHORTEST_SPELT = 5;

/** "dreiecktuecher": an umlaut written out. "aue" and "que" are none. */
export const withoutUmlauts = (word: string): string =>
  word.length < SHORTEST_SPELT ? word : word.replace(/(?<![aeoq])([aou])e/g, "$1");

/**
 * The one word of names abroad that was typed so ("verbandpakchen"); null: none, or several.
 * @param forms the word, and then what it may be the plural of
 */
export function speltAbroad(
  forms: readonly string[],
  { all, byLetter }: SpellingsAbroad,
): string | null {
  if (forms.some((form) => all.has(form))) return null;
  for (const form of forms) {
    const words = byLetter.get(form[0] ?? "") ?? [];
    const meant = words.filter((word) => isTypedFor(form, word));
    if (meant.length > 0) return meant.length === 1 ? meant[0]! : null;
  }
  return null;
}
