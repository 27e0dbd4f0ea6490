import { remembering } from "../base/remembering.ts";
import { MOST_WORDS } from "./cardLimits.ts";

/** Words cut short by rule, so that no list of abbreviations is needed. */

/** A cut of fewer letters fits too many words. */
const SHORTEST_CUT = 4;
/** As few consonants as may stand for a word: "gz", "bndg". */
const SHORTEST_SKELETON = 3;

/** First letter and the consonants after it, doubles once: "bandage" → "bndg". */
export const skeleton = remembering(
  (word) =>
    (word[0] ?? "") +
    word
      .slice(1)
      .replace(/[aeiouy]/g, "")
      .replace(/(.)\1/g, "$1"),
  MOST_WORDS,
);

/** Letters of `short` stand in `long` in their order. */
export function isWithin(short: string, long: string): boolean {
  let at = 0;
  for (const c of long) if (c === short[at]) at++;
  return at === short.length;
}

/**
 * Whether `short` is `long` cut short: its first four letters or more ("triang", "antisept"), or its
 * consonants with some vowels or the end left out ("bndg", "gze", "trngl", "plstr").
 */
export function isCutOf(short: string, long: string): boolean {
  if (short.length >= long.length || short[0] !== long[0]) return false;
  if (short.length >= SHORTEST_CUT && long.length >= short.length + 2 && long.startsWith(short))
    return true;
  if (!isWithin(short, long) || long.startsWith(short)) return false;
  const bones = skeleton(short);
  const whole = skeleton(long);
  if (bones === whole) return short.length >= SHORTEST_SKELETON;
  // "dsg" for "drsng": no vowels at all, first and last consonant, half of them or more.
  if (
    bones === short &&
    short.length >= SHORTEST_SKELETON &&
    short.at(-1) === whole.at(-1) &&
    2 * short.length >= whole.length
  )
    return true;
  return (
    bones.length >= SHORTEST_CUT && whole.startsWith(bones) && bones.length >= short.length - 1
  );
}
