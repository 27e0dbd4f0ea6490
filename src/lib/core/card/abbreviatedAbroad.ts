import { isCutOf, isWithin } from "./abbreviation.ts";

/**
 * Names in other languages with words cut short: "couv. survie", "vda. elást.", "Rett.decke". One of two or three letters may be any of
 * many; with its dot, or with the others, only one name fits.
 */

/** A word of a line as it is cut short. */
export interface CutWord {
  /** Without capitals, accents and a plural's s. */
  readonly word: string;
  readonly hasDot: boolean;
  /** "decke" of "Rett.decke": goes on right behind the dot. */
  readonly end?: string;
}
export interface NameAbroad {
  readonly words: readonly string[];
  readonly english: string;
}

/** Fewer letters say nothing without a dot. */
const SHORTEST = 3;
/** Nor is a longer one cut short without one. */
const LONGEST_UNDOTTED = 6;
/** One word alone is told by so many letters with a dot behind them, or by so many more without. */
const SHORTEST_ALONE = 4;
/** What is left out is more than a plural. */
const FEWEST_LEFT_OUT = 2;

/** "bde" for "bande", "vda" for "venda", "pans" for "pansement", with a dot or without. */
const isLettersOf = (word: string, whole: string): boolean =>
  whole.startsWith(word) ||
  isCutOf(word, whole) ||
  (word.at(-1) === whole.at(-1) && isWithin(word, whole));
/** The same, and "Rett.decke" for "Rettungsdecke". */
function isShortFor({ word, hasDot, end }: CutWord, whole: string): boolean {
  const letters = word.length + (end?.length ?? 0);
  if (word[0] !== whole[0] || letters + FEWEST_LEFT_OUT > whole.length + 1) return false;
  if (end !== undefined) return whole.startsWith(word) && isEndOf(end, whole);
  if (hasDot && whole.startsWith(word)) return true;
  // "Verbandkasten" is a word of its own, though "Verbandkastenschere" begins so.
  const isWord = !hasDot && word.length > LONGEST_UNDOTTED && !isBare(word);
  return word.length >= SHORTEST && !isWord && isLettersOf(word, whole);
}
/** The end of a compound, with the plural of the name or another. */
const isEndOf = (end: string, whole: string): boolean =>
  whole.endsWith(end) ||
  whole.endsWith(end.replace(/(?:en|er|e|n)$/, "")) ||
  whole.endsWith(end.slice(0, -1));

/** How a word of a name is said; null: it is not. */
function saidAs(cut: CutWord, forms: readonly string[], whole: string): "whole" | "cut" | null {
  if (cut.end === undefined && forms.includes(whole)) return "whole";
  return forms.some((word) => isShortFor({ ...cut, word }, whole)) ? "cut" : null;
}

/** No vowel behind the first letter. */
const isBare = (word: string): boolean => !/[aeiouy]/.test(word.slice(1));
/** How much of a name is said: enough letters that no other is likely. */
function isEnough(
  cuts: readonly CutWord[],
  name: readonly string[],
  ways: readonly string[],
): boolean {
  if (!ways.includes("cut")) return false;
  const letters = (i: number) => cuts[i]!.word.length + (cuts[i]!.end?.length ?? 0);
  if (name.length === 1) {
    const { word, hasDot, end } = cuts[0]!;
    const isStart = end !== undefined || (hasDot && name[0]!.startsWith(word));
    if (isStart) return letters(0) >= SHORTEST_ALONE;
    // "sprdrp"; "pista" and "torni" are words.
    return letters(0) >= SHORTEST_ALONE && isBare(word);
  }
  // "c. hémostatique": one letter beside a word that is whole, or nearly.
  return ways.some((way, i) => way === "whole" || letters(i) >= SHORTEST);
}

/**
 * The one English name for what words of a line are cut short from, with how many of them it takes; null: none fits, or several do.
 * @param cuts the words from one on, as many as the longest name has
 * @param forms what a word may be the plural of, itself first
 */
export function abbreviatedAbroad(
  cuts: readonly CutWord[],
  names: readonly NameAbroad[],
  forms: (word: string) => readonly string[],
): { readonly english: string; readonly words: number } | null {
  const fits = names.filter(({ words }) => {
    if (words.length > cuts.length) return false;
    const ways = words.map((whole, i) => saidAs(cuts[i]!, forms(cuts[i]!.word), whole));
    return ways.every((way) => way !== null) && isEnough(cuts, words, ways);
  });
  const most = Math.max(0, ...fits.map(({ words }) => words.length));
  const longest = fits.filter(({ words }) => words.length === most);
  const [first] = longest;
  return first && longest.every(({ english }) => english === first.english)
    ? { english: first.english, words: most }
    : null;
}
