import { addTo } from "../base/addTo.ts";
import { isTypedFor } from "./slip.ts";

/** A word of a card from abroad as its language spells it. */

/** Words of names in other languages. */
export interface SpellingsAbroad {
  readonly all: ReadonlySet<string>;
  /** The longer ones by their first letter. */
  readonly byLetter: ReadonlyMap<string, readonly string[]>;
}

/** @param counted numbers and units, of which short ones are a slip from other words: "vite" is a screw, "vinte" are twenty */
export function spellingsOf(
  names: Iterable<string>,
  counted: Iterable<string> = [],
): SpellingsAbroad {
  const told = new Set(names);
  const all = new Set([...told, ...counted]);
  const byLetter = new Map<string, string[]>();
  for (const word of all)
    if (word.length >= (told.has(word) ? SHORTEST_SPELT : SHORTEST_COUNTED))
      addTo(byLetter, word[0]!, word);
  return { all, byLetter };
}
const SHORTEST_COUNTED = 7;

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
  const word = forms[0] ?? "";
  if (word.length < SHORTEST_MISSPELT) return null;
  const near = new Set(
    (byLetter.get(word[0]!) ?? []).filter((w) => forms.some((form) => isLetterApart(form, w))),
  );
  return near.size === 1 ? [...near][0]! : null;
}

/** Words so long have no other word of the trade a letter apart. */
const SHORTEST_MISSPELT = 8;
/** Letters that one writes for each other: "verbandbuch" is no "verbandtuch". */
const SOUND_ALIKE = ["aeiouy", "bp", "dt", "mn", "szc", "ckq", "fvw", "gj"];
/** One letter more, fewer, or another that sounds like it: "ossigienata", "sparadrab". */
function isLetterApart(written: string, meant: string): boolean {
  const longer = written.length - meant.length;
  if (Math.abs(longer) > 1) return false;
  let at = 0;
  while (at < meant.length && written[at] === meant[at]) at++;
  const [said, spelt] = [written[at] ?? "", meant[at] ?? ""];
  if (longer === 0 && !SOUND_ALIKE.some((s) => s.includes(said) && s.includes(spelt))) return false;
  return written.slice(at + (longer >= 0 ? 1 : 0)) === meant.slice(at + (longer <= 0 ? 1 : 0));
}
