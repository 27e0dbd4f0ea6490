import { rememberingFor } from "../base/remembering.ts";
import { MOST_WORDS } from "./cardLimits.ts";
import { isCutOf, skeleton } from "./abbreviation.ts";
import { foldedWords } from "./words.ts";

/**
 * A name of which several words are cut short at once: "sfty pns", "eye pds strl", "tria band". One word of two or three letters
 * may be any of many; with the others only one name fits.
 */

/** A name of so many words, each in a few letters; more are a sentence. */
const LONGEST_NAME = 5;
const FEWEST_WORDS = 2;
/** The first letters of a word: fewer say nothing. */
const SHORTEST_START = 3;

/** What is said of a thing beside its name, and what it comes in. */
const BESIDES =
  "sterile assorted small medium large disposable individual waterproof adult child roll pair box packet".split(
    " ",
  );

/** Whether a short word may be another one's: its first letters, or its consonants. */
function mayStandFor(short: string, word: string): boolean {
  if (short === word) return true;
  // "pns", "pds": so short a word keeps its plural when it is folded.
  const one = short.endsWith("s") ? short.slice(0, -1) : short;
  if (one[0] !== word[0] || one.length >= word.length) return false;
  if (short.length >= SHORTEST_START && word.startsWith(short)) return true;
  const [bones, whole] = [skeleton(one), skeleton(word)];
  return (
    (one.length > 1 && bones === whole) ||
    (bones === one && one.length >= SHORTEST_START && whole.startsWith(bones)) ||
    isCutOf(short, word)
  );
}

/** A name as the vocabulary keeps it. */
export interface NamedPhrase {
  readonly type: string;
  readonly words: readonly string[];
  readonly weight: number;
}
interface Words {
  readonly phrasesByWord: ReadonlyMap<string, readonly NamedPhrase[]>;
  readonly byLetter: ReadonlyMap<string, readonly string[]>;
}

/** Whether each word of a name has a short word of its own, and what is left says something beside it. */
function isSaidBy(said: readonly string[], name: readonly string[]): boolean {
  const left = [...said];
  for (const word of name) {
    const at = left.findIndex((short) => mayStandFor(short, word));
    if (at < 0) return false;
    left.splice(at, 1);
  }
  return left.every((short) => BESIDES.some((word) => mayStandFor(short, word)));
}

/** The names of several words with a word that a short one may stand for. */
const namesWith = rememberingFor(
  (short, { phrasesByWord, byLetter }: Words): readonly NamedPhrase[] =>
    (byLetter.get(short[0]!) ?? [])
      .filter((word) => mayStandFor(short, word))
      .flatMap((word) => phrasesByWord.get(word) ?? [])
      .filter((phrase) => phrase.words.length >= FEWEST_WORDS),
  MOST_WORDS,
);

/** The one kind whose name a text says in words cut short; null: none is, or several are. */
export function abbreviatedName(text: string, words: Words): NamedPhrase | null {
  const said = [...new Set(foldedWords(text))];
  if (said.length < FEWEST_WORDS || said.length > LONGEST_NAME) return null;
  const names = said
    .flatMap((short) => namesWith(short, words))
    .filter((name) => isSaidBy(said, name.words));
  // The longer name says more of what is written.
  const most = Math.max(0, ...names.map((name) => name.words.length));
  const longest = names.filter((name) => name.words.length === most);
  return longest.every((name) => name.type === longest[0]!.type) ? (longest[0] ?? null) : null;
}
