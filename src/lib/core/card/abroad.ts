import type { WordsAbroad } from "../catalogue/catalogue.ts";
import { addTo } from "../base/addTo.ts";
import { remembering, rememberingFor } from "../base/remembering.ts";
import { abbreviatedAbroad, type CutWord, type NameAbroad } from "./abbreviatedAbroad.ts";
import { LINES_KEPT, LONGEST_KEPT, MOST_WORDS } from "./cardLimits.ts";
import { IS_NUMBER_SAID } from "./numberWords.ts";
import { PACK } from "./packWords.ts";
import { withoutAccents } from "./words.ts";
import { quick } from "./quick.ts";
import {
  speltAbroad,
  spellingsOf,
  withoutUmlauts,
  type SpellingsAbroad,
} from "./spellingAbroad.ts";

/** Names in other languages, read by the English one that stands for them. */

export interface Abroad {
  readonly names: Words;
  readonly counted: Words;
  readonly spellings: SpellingsAbroad;
}
interface Words {
  /** Names by their first word, each by its words without a plural's s; the longest first. */
  readonly byFirst: ReadonlyMap<string, readonly NameAbroad[]>;
  /** The same by the first letter of all. */
  readonly byLetter: ReadonlyMap<string, readonly NameAbroad[]>;
}

/** What may stand between the words of a name. */
const SMALL_WORDS = "de|du|des|di|da|del|la|le|para|per|pour|con";
/** "compresse (de la) gaze", "pansements (assortiment)". */
const BETWEEN = quick(new RegExp(`^[\\s-]+\\(?(?:(?:${SMALL_WORDS})\\s+|[dl]['’]\\s?)?$`, "iu"));

function wordsOf(tables: readonly WordsAbroad["names"][]): Words {
  const english = new Map<string, string>();
  for (const [name, abroad] of tables.flatMap(Object.entries<readonly string[]>))
    for (const words of abroad) english.set(keyOf(words), name);
  const byFirst = new Map<string, NameAbroad[]>();
  const byLetter = new Map<string, NameAbroad[]>();
  // The longest first: "venda triangular" before "venda".
  for (const [key, name] of [...english].sort(([x], [y]) => y.length - x.length)) {
    const words = key.split(" ");
    addTo(byFirst, words[0]!, { words, english: name });
    addTo(byLetter, key[0]!, { words, english: name });
  }
  return { byFirst, byLetter };
}

/** "10 cm", "x 4 m", "500 mg": says the same in every language. */
const MEASURED = quick(
  /\d+(?:[.,]\d+)?\s*(?:mm|cm|m|ml|cl|l|mg|g|kg|in(?=\t|\s{2}|\s*(?:[/,;"”)|x×+&]|$)))(?!\p{L})/giu,
);

const WORD = quick(/\p{L}+/gu);
/** "4 pcs Dreiecktücher": who writes in two languages counts in either. */
const COUNTING =
  /\b(?:nos?\.?|pcs?|pieces?|units?(?:\(s\))?|each|ea|off|of(?:\s+the)?|(?:in\s+)?total|in\s+all|left|remaining|here|there|qty|quantity|count)(?![a-z])/gi;

/** A word of a line, without capitals and a plural's s. */
interface Said {
  readonly word: string;
  readonly from: number;
  readonly to: number;
}
const wordsIn = (plain: string): Said[] =>
  [...plain.matchAll(WORD)].map(({ 0: text, index }) => ({
    word: withoutS(text.toLowerCase()),
    from: index,
    to: index + text.length,
  }));

/** A part of a line that stands for English words. */
interface Part {
  readonly from: number;
  readonly to: number;
  readonly english: string;
}

/** Words of a line that no digit touches: "4x" and "x4" are no names, nor is the letter of a lot, "K-531". */
const standsAlone = (plain: string, from: number, to: number): boolean =>
  !/\d/.test(plain[from - 1] ?? "") &&
  !/\d/.test(plain[to] ?? "") &&
  !(to - from === 1 && plain[to] === "-" && /\d/.test(plain[to + 1] ?? ""));

/** How plurals end in these languages; a stem is longer than the end that it loses. */
const PLURAL_ENDS = ["en", "er", "ar", "or", "ien", "n", "e", "r"];
const SHORTEST_STEM = 4;
/** "fischietti", "mascherine": the last letter changes. */
const PLURAL_VOWELS: Readonly<Record<string, string>> = { i: "oae", e: "a", y: "a" };

/** A word, and what it may be the plural of. */
const singularsOf = remembering((word: string): readonly string[] => {
  const cut = PLURAL_ENDS.filter(
    (end) => word.endsWith(end) && word.length - end.length >= SHORTEST_STEM,
  ).map((end) => word.slice(0, -end.length));
  const last = word.at(-1) ?? "";
  const changed =
    word.length > SHORTEST_STEM
      ? [...(PLURAL_VOWELS[last] ?? "")].map((vowel) => word.slice(0, -1) + vowel)
      : [];
  const forms = [word, ...cut, ...changed];
  return [...new Set([...forms, ...forms.map(withoutUmlauts)])];
}, MOST_WORDS);

/** Where a name that begins with the word at `at` ends, as an index of the words; null: it does not stand there. */
function endOf(name: NameAbroad, at: number, said: readonly Said[], plain: string): number | null {
  let last = at;
  for (const word of name.words.slice(1)) {
    // At most a small word lies between.
    const next = [last + 1, last + 2].find(
      (i) => said[i] !== undefined && singularsOf(said[i].word).includes(word),
    );
    if (next === undefined || !BETWEEN.test(plain.slice(said[last]!.to, said[next]!.from)))
      return null;
    last = next;
  }
  return standsAlone(plain, said[at]!.from, said[last]!.to) ? last : null;
}

/** The names in a line, from left to right, none within another. @param taken words that are part of something already */
function namesIn(
  plain: string,
  said: readonly Said[],
  { byFirst }: Words,
  taken: Set<number>,
): Part[] {
  const parts: Part[] = [];
  for (let at = 0; at < said.length; at++) {
    if (taken.has(at)) continue;
    for (const name of singularsOf(said[at]!.word).flatMap((word) => byFirst.get(word) ?? [])) {
      const end = endOf(name, at, said, plain);
      if (end === null) continue;
      for (let i = at; i <= end; i++) taken.add(i);
      parts.push({ from: said[at]!.from, to: said[end]!.to, english: name.english });
      break;
    }
  }
  return parts;
}

/** No name has more words. */
const LONGEST_NAME = 4;
/** What may stand between words cut short: their dot, and a small word. */
const BETWEEN_CUTS = quick(new RegExp(`^[.\\s-]+(?:(?:${SMALL_WORDS})\\s+|[dl]['’]\\s?)?$`, "iu"));
/** The words of a line from one on as they may be cut short, with the last word of the line that each takes. */
function cutsFrom(
  plain: string,
  said: readonly Said[],
  from: number,
  taken: ReadonlySet<number>,
): { readonly cuts: CutWord[]; readonly ends: number[] } {
  const cuts: CutWord[] = [];
  const ends: number[] = [];
  for (let at = from; at < said.length && cuts.length < LONGEST_NAME; at++) {
    const before = at === from ? "" : plain.slice(said[at - 1]!.to, said[at]!.from);
    if (taken.has(at) || (at > from && !BETWEEN_CUTS.test(before))) break;
    if (at > from && SMALL.test(said[at]!.word)) continue;
    const { word, to } = said[at]!;
    const hasDot = plain[to] === ".";
    const isGlued = hasDot && said[at + 1]?.from === to + 1 && !taken.has(at + 1);
    cuts.push(isGlued ? { word, hasDot, end: said[at + 1]!.word } : { word, hasDot });
    if (isGlued) at++;
    ends.push(at);
  }
  return { cuts, ends };
}
/** Names of so many words or more, or compounds, some of them cut short, among words that are no part of anything yet. */
function namesCutShort(
  plain: string,
  said: readonly Said[],
  { byLetter }: Words,
  taken: Set<number>,
  knows: (text: string) => boolean,
  fewest: number,
): Part[] {
  const parts: Part[] = [];
  for (let at = 0; at < said.length; at++) {
    const { word, from, to: wordEnd } = said[at]!;
    const isOurs = plain[wordEnd] !== "." && knows(word);
    if (taken.has(at) || isOurs || PACK.test(word)) continue;
    const { cuts, ends } = cutsFrom(plain, said, at, taken);
    const found = abbreviatedAbroad(cuts, byLetter.get(word[0]!) ?? [], singularsOf);
    const isWanted = found !== null && (found.words >= fewest || cuts[0]!.end !== undefined);
    const end = isWanted ? ends[found.words - 1]! : null;
    if (end === null || !standsAlone(plain, from, said[end]!.to)) continue;
    for (let i = at; i <= end; i++) taken.add(i);
    // The dot of the last goes with it.
    const to = said[end]!.to;
    parts.push({ from, to: plain[to] === "." ? to + 1 : to, english: found!.english });
  }
  return parts;
}

const SMALL = new RegExp(`^(?:${SMALL_WORDS})$`);

/** A name without small words, accents, capitals and plurals with an s. */
export function keyOf(name: string): string {
  const words = withoutAccents(name)
    .toLowerCase()
    .replace(/\b[dl]['’]\s?/g, "")
    .split(/[\s-]+/);
  const [first = "", ...others] = words;
  return [first, ...others.filter((w) => !SMALL.test(w))].map((w) => w.replace(/s$/, "")).join(" ");
}

export function abroadOf(tables: readonly WordsAbroad[]): Abroad {
  const names = wordsOf(tables.map((t) => t.names));
  const counted = wordsOf(tables.map((t) => t.counted));
  const wordsOfAll = ({ byFirst }: Words) =>
    [...byFirst.values()].flat().flatMap((name) => name.words);
  return { names, counted, spellings: spellingsOf(wordsOfAll(names), wordsOfAll(counted)) };
}

/** Whether a word, alone or as several, is part of a name in another language. */
export const isWordAbroad = (word: string, { spellings }: Abroad): boolean =>
  spellings.all.has(keyOf(word));

/** What of a line stands for English words. */
interface Foreign {
  /** The line without its accents. */
  readonly plain: string;
  /** Names and what they are counted in, from left to right. */
  readonly parts: readonly Part[];
}

/** Most lines hold no word with which a name begins. */
const mayName = (plain: string, { byFirst }: Words): boolean =>
  plain
    .toLowerCase()
    .split(NO_LETTERS)
    .some((word) => singularsOf(withoutS(word)).some((one) => byFirst.has(one)));
/** "LT4337": a lot, and no word. */
const LOT = quick(/(?<![\p{L}\d])\p{Lu}{1,4}-?\d{2,}(?![\p{L}\d])/gu);
const NO_LETTERS = quick(/\P{L}+/u);
const withoutS = (word: string): string => (word.endsWith("s") ? word.slice(0, -1) : word);

/** A line of a card, and whether the card is one from abroad: then what counts is read also beside a name that is ours too, "plåster". */
interface Line {
  readonly text: string;
  readonly amongForeign: boolean;
}

/** What a line is read by. */
export interface Tongues {
  readonly abroad: Abroad;
  /** Whether any word of a text is known. */
  readonly knows: (text: string) => boolean;
}
const amongOthers = (amongForeign: boolean) =>
  rememberingFor(
    (text: string, of: Tongues) => foreignOn({ text, amongForeign }, of),
    LINES_KEPT,
    LONGEST_KEPT,
  );
const amongForeignLines = amongOthers(true);
const amongOurs = amongOthers(false);
/** null: the line holds no name from abroad, or says besides it what things are in words that are known. */
const foreignIn = ({ text, amongForeign }: Line, of: Tongues): Foreign | null =>
  (amongForeign ? amongForeignLines : amongOurs)(text, of);

function foreignOn(line: Line, { abroad, knows }: Tongues): Foreign | null {
  const { names, counted, spellings } = abroad;
  const plain = withoutAccents(line.text);
  if (!line.amongForeign && !mayName(plain, names)) return null;
  // "Verbandpäkchen": among lines of its language a word with a slip is told.
  const spelt = ({ word, ...place }: Said): Said => ({
    ...place,
    word: (knows(word) ? null : speltAbroad(singularsOf(word), spellings)) ?? word,
  });
  const said = line.amongForeign ? wordsIn(plain).map(spelt) : wordsIn(plain);
  const taken = new Set<number>();
  const cutShort = (fewest: number) =>
    line.amongForeign && line.text.length <= LONGEST_ROW
      ? namesCutShort(plain, said, names, taken, knows, fewest)
      : [];
  // "sparadraps assort.": the longer name first, as where nothing is cut short.
  const named = [...cutShort(2), ...namesIn(plain, said, names, taken), ...cutShort(1)];
  if (named.length === 0 && !line.amongForeign) return null;
  const parts = [...named, ...namesIn(plain, said, counted, taken)].sort((a, b) => a.from - b.from);
  if (named.length === 0) return parts.length > 0 ? { plain, parts } : null;
  const rest = replaced(plain, parts, () => " ")
    .replace(MEASURED, " ")
    .replace(COUNTING, " ")
    .replace(LOT, " ")
    // "pinzas para espinas": no paracetamol.
    .replace(SMALL_WORD, " ")
    // "L", "sachet": sizes by their letter and packs are called so in many languages.
    .replace(WORD, (word) => (word.length === 1 || PACK.test(word) ? " " : word));
  // "Trauma: 2 vendajes, 1 férula": among lines of its language two names say more than one word that is ours too.
  const isPlainly = line.amongForeign && named.length > 1 && !line.text.includes(" / ");
  return knows(rest) && !isPlainly ? null : { plain, parts };
}

const SMALL_WORD = quick(new RegExp(`(?<!\\p{L})(?:${SMALL_WORDS})(?!\\p{L})`, "giu"));

function replaced(text: string, parts: readonly Part[], by: (part: Part) => string): string {
  let from = 0;
  const pieces = parts.map((part) => {
    const piece = text.slice(from, part.from) + by(part);
    from = part.to;
    return piece;
  });
  return pieces.join("") + text.slice(from);
}

const PARA = /(?<![a-z])para(?= [a-z])/gi;
/** No row of a list is longer. */
const LONGEST_ROW = 160;
const SENTENCE_END = quick(/(?<=\p{Ll}{2}\.\s+)(?=\p{Lu})/u);

/**
 * A line in another language, with English names in it; as it is where it holds none, or says besides it what things are in words
 * that are known, as a line in two languages does.
 */
export function inEnglish(line: Line, of: Tongues): string {
  // Prose is told sentence by sentence: an English word in one says nothing of the others.
  const sentences = line.text.length > LONGEST_ROW ? line.text.split(SENTENCE_END) : [];
  if (sentences.length > 2)
    return sentences.map((text) => inEnglish({ ...line, text }, of)).join("");
  const foreign = foreignIn(line, of);
  if (!foreign) return line.text;
  // No paracetamol.
  return replaced(foreign.plain, foreign.parts, (part) => part.english).replace(PARA, "for");
}

const CELL_EDGE = /\s*[\t|;]\s*|\s{2,}/;
const IS_NUMBER = /^\d+$/;
/** "| Compr. stér. | quatorze |": a cell that is nothing but a number in words of another language. */
export const countsAbroad = (line: string, { counted }: Abroad): boolean =>
  CELL_EDGE.test(line.trim()) &&
  line.split(CELL_EDGE).some((cell) => {
    if (cell === "" || /\d/.test(cell) || IS_NUMBER_SAID.test(cell)) return false;
    const key = keyOf(cell);
    const named = counted.byFirst.get(key.split(" ", 1)[0]!) ?? [];
    return named.some(({ words, english }) => IS_NUMBER.test(english) && words.join(" ") === key);
  });

/** So many lines with names from abroad, a third of all, make a card one from abroad. */
const FEWEST_FOREIGN = 3;
/** Whether a card is written in another language. */
export const isFromAbroad = (foreignLines: number, lines: number): boolean =>
  foreignLines >= FEWEST_FOREIGN && 3 * foreignLines >= lines;

/**
 * Words of a line that were read in English, put back as they stand on the card.
 * @param said in English
 * @param line as it stands on the card
 */
export function asOnCard(said: string, line: Line, of: Tongues): string {
  const foreign = foreignIn(line, of);
  if (!foreign) return said;
  // Accents that are one letter with theirs leave every letter in its place.
  const own = foreign.plain.length === line.text.length ? line.text : foreign.plain;
  return foreign.parts.reduce(
    (text, { from, to, english }) => text.replace(english, () => own.slice(from, to)),
    said,
  );
}
