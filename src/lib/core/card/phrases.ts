import { remembering } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT } from "./cardLimits.ts";
import type { Phrase } from "./phrase.ts";
import { quick } from "./quick.ts";
import { COUNT_PHRASES } from "./phrasesOfCounts.ts";
import { NAME_PHRASES } from "./phrasesOfNames.ts";
import { PACK_PHRASES } from "./phrasesOfPacks.ts";
import { REMARK_PHRASES } from "./phrasesOfRemarks.ts";

/** All of them in their order: a later table reads what an earlier one made. */
export const PHRASES: readonly Phrase[] = [
  ...NAME_PHRASES,
  ...PACK_PHRASES,
  ...COUNT_PHRASES,
  ...REMARK_PHRASES,
].map((phrase) => ({ ...phrase, pattern: quick(phrase.pattern) }));

/** Longer rows are prose or rubbish, and every pattern would walk through them. */
const LONGEST = 400;

/** Which of the letters a to z a text in small letters has, a bit for each: most phrases are told apart by that alone. */
function lettersOf(small: string): number {
  let letters = 0;
  for (let i = 0; i < small.length; i++) {
    const at = small.charCodeAt(i) - FIRST_LETTER;
    if (at >= 0 && at < LETTERS) letters |= 1 << at;
  }
  return letters;
}
const FIRST_LETTER = "a".charCodeAt(0);
const LETTERS = 26;

interface Need {
  readonly held: string;
  readonly letters: number;
}
/** One of these a text must have for a phrase; null: the phrase may be in any. */
const NEEDS: readonly (readonly Need[] | null)[] = PHRASES.map(({ holds }) =>
  holds === undefined ? null : [holds].flat().map((held) => ({ held, letters: lettersOf(held) })),
);
function hasOneOf(needs: readonly Need[] | null, small: string, letters: number): boolean {
  if (needs === null) return true;
  for (const need of needs)
    if ((need.letters & letters) === need.letters && small.includes(need.held)) return true;
  return false;
}

/** A text with its odd ways of writing put into plain ones. */
export const rephrase = remembering(
  (text) => (text.length > LONGEST ? text : phrased(text)),
  LINES_KEPT,
  LONGEST_KEPT,
);

function phrased(text: string): string {
  let said = text;
  let small = text.toLowerCase();
  let letters = lettersOf(small);
  for (let i = 0; i < PHRASES.length; i++) {
    if (!hasOneOf(NEEDS[i]!, small, letters)) continue;
    const { pattern, read } = PHRASES[i]!;
    const now =
      typeof read === "string" ? said.replace(pattern, read) : said.replace(pattern, read);
    if (now === said) continue;
    said = now;
    small = now.toLowerCase();
    letters = lettersOf(small);
  }
  return said;
}
