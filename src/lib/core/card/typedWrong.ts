import { rememberingFor } from "../base/remembering.ts";
import { MOST_WORDS } from "./cardLimits.ts";
import { isTypedFor } from "./slip.ts";
import { isWordAbroad } from "./abroad.ts";
import { quick } from "./quick.ts";
import type { Vocabulary } from "./vocabulary.ts";

/** Words of a card that a slip of the hand has spoilt. */

/** Words that things are counted with and columns headed, which name nothing and stand in no catalogue. */
const BESIDE_NAMES: readonly string[] =
  "gloves three seven eight eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen twenty thirty forty fifty sixty seventy eighty ninety hundred dozen couple packet packets boxes bottle bottles tablet tablets capsules sachets sleeve sleeves envelope envelopes pieces sheets pouches thirds quarters opened square medium quantity expiry expires description required minimum maximum actual contents location present checked counted product remarks".split(
    " ",
  );
/** Words of their own that are a slip away from one of them. */
const OWN_WORDS: ReadonlySet<string> = new Set([
  "tree",
  "thee",
  "seen",
  "coupe",
  "sever",
  "weighs",
  "though",
  "thought",
  "somebody",
]);
/** Of shorter words a letter less leaves another word: "splint", "clasps". */
const SHORTEST_NAME = 7;
/** The other slips leave none. */
const SHORTEST_SWAPPED = 6;

/** The one word, in small letters, that a word nobody knows was meant for; null: none, or several. */
const meantBy = rememberingFor((written: string, vocabulary: Vocabulary): string | null => {
  const word = written.toLowerCase();
  const isWord = OWN_WORDS.has(word) || BESIDE_NAMES.includes(word);
  if (isWord || isWordAbroad(word, vocabulary.abroad)) return null;
  const isNear = (name: string) => Math.abs(name.length - word.length) <= 1;
  const named = vocabulary.byLetter.get(word[0]!) ?? [];
  const several = named.filter((name) => isNear(`${name}s`) && !name.endsWith("y"));
  const names = [...named.filter(isNear), ...several.map((name) => `${name}s`)].filter(
    (name) => name.length >= (name.length > word.length ? SHORTEST_NAME : SHORTEST_SWAPPED),
  );
  const meant = new Set([...BESIDE_NAMES, ...names].filter((name) => isTypedFor(word, name)));
  return meant.size === 1 ? [...meant][0]! : null;
}, MOST_WORDS);

const WORD = quick(/(?<![\p{L}\d'’|&#@./])\p{L}{4,}(?![\p{L}\d'’|@])/gu);
const CAPITALS = quick(/^\p{Lu}+$/u);
const CAPITAL = quick(/^\p{Lu}/u);
/** A word with its capitals as another has them. */
const asWritten = (word: string, as: string): string =>
  CAPITALS.test(as)
    ? word.toUpperCase()
    : CAPITAL.test(as)
      ? word[0]!.toUpperCase() + word.slice(1)
      : word;

/** A line with the words that were meant: "twelev plasetrs", "6 tabets". @param isWord whether a word needs none */
export const asMeant = (
  line: string,
  isWord: (word: string) => boolean,
  vocabulary: Vocabulary,
): string =>
  line.replace(WORD, (word) =>
    isWord(word) ? word : asWritten(meantBy(word, vocabulary) ?? word, word),
  );
