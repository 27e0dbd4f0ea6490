import type { WordsAbroad } from "../catalogue/catalogue.ts";
import { remembering } from "../base/remembering.ts";
import { PACK } from "./packWords.ts";
import { withoutAccents } from "./words.ts";

/** Names in other languages, read by the English one that stands for them. */

export interface Abroad {
  readonly names: Words;
  readonly counted: Words;
}
interface Words {
  /** The words of each name, without a plural's s, by the first: most lines hold none whole. */
  readonly byFirst: ReadonlyMap<string, readonly (readonly string[])[]>;
  /** By those words, with a blank between them. */
  readonly english: ReadonlyMap<string, string>;
}

/** What may stand between the words of a name. */
const SMALL_WORDS = "de|du|des|di|da|del|la|le|para|per|pour|con";
/** "compresse (de la) gaze". */
const BETWEEN = `[\\s-]+(?:(?:${SMALL_WORDS})\\s+|[dl]['’]\\s?)?`;

function wordsOf(tables: readonly WordsAbroad["names"][]): Words {
  const english = new Map<string, string>();
  for (const [name, abroad] of tables.flatMap(Object.entries<readonly string[]>))
    for (const words of abroad) english.set(keyOf(words), name);
  const byFirst = new Map<string, string[][]>();
  for (const words of [...english.keys()].map((key) => key.split(" ")))
    byFirst.set(words[0]!, [...(byFirst.get(words[0]!) ?? []), words]);
  return { byFirst, english };
}

/** "10 cm", "x 4 m", "500 mg": says the same in every language. */
const MEASURED = /\d+(?:[.,]\d+)?\s*(?:mm|cm|m|ml|cl|l|mg|g|kg)(?!\p{L})/giu;

const WORD = /\p{L}+/gu;

const NOTHING = /(?!)/g;

/** Few cards are of more than one language, which has some dozens of names. */
const MOST_PATTERNS = 200;

/** Finds names, each given by its words, a line each: to look for all there are would be slow, and slow to prepare. */
const patternOf = remembering((names) => {
  const alternatives = names.split("\n").map((name) =>
    name
      .split(" ")
      .map((word) => `${word}s?`)
      .join(BETWEEN),
  );
  return new RegExp(`(?<![\\p{L}\\d])(?:${alternatives.join("|")})(?![\\p{L}\\d])`, "giu");
}, MOST_PATTERNS);

/** What finds the names all of whose words stand in a text, in whatever order; null: there are none. */
function namesIn(text: string, { byFirst }: Words): RegExp | null {
  const words = new Set((text.toLowerCase().match(WORD) ?? []).map((w) => w.replace(/s$/, "")));
  const names: string[] = [];
  for (const word of words)
    for (const name of byFirst.get(word) ?? [])
      if (name.every((w) => words.has(w))) names.push(name.join(" "));
  // The longest first: "venda triangular" before "venda".
  names.sort((a, b) => b.length - a.length);
  return names.length === 0 ? null : patternOf(names.join("\n"));
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

export const abroadOf = (tables: readonly WordsAbroad[]): Abroad => ({
  names: wordsOf(tables.map((t) => t.names)),
  counted: wordsOf(tables.map((t) => t.counted)),
});

/** What of a line stands for English words. */
interface Foreign {
  /** The line without its accents. */
  readonly plain: string;
  readonly named: RegExp;
  readonly counted: RegExp;
}

/** null: the line holds no name from abroad, or says besides it what things are in words that are known. */
function foreignIn(
  line: string,
  { names, counted }: Abroad,
  knows: (text: string) => boolean,
): Foreign | null {
  const plain = withoutAccents(line);
  const named = namesIn(plain, names);
  if (named === null || plain.search(named) < 0) return null;
  const packed = namesIn(plain, counted) ?? NOTHING;
  const rest = plain
    .replace(named, " ")
    .replace(packed, " ")
    .replace(MEASURED, " ")
    // "L", "sachet": sizes by their letter and packs are called so in many languages.
    .replace(WORD, (word) => (word.length === 1 || PACK.test(word) ? " " : word));
  return knows(rest) ? null : { plain, named, counted: packed };
}

const english = (found: string, words: Words): string => words.english.get(keyOf(found)) ?? found;

/**
 * A line in another language, with English names in it; as it is where it holds none, or says besides it what things are in words
 * that are known, as a line in two languages does.
 * @param knows whether any word of a text is known
 */
export function inEnglish(line: string, abroad: Abroad, knows: (text: string) => boolean): string {
  const foreign = foreignIn(line, abroad, knows);
  if (!foreign) return line;
  return foreign.plain
    .replace(foreign.named, (found) => english(found, abroad.names))
    .replace(foreign.counted, (found) => english(found, abroad.counted));
}

/**
 * Words of a line that were read in English, put back as they stand on the card.
 * @param said in English
 * @param line as it stands on the card
 */
export function asOnCard(
  said: string,
  line: string,
  abroad: Abroad,
  knows: (text: string) => boolean,
): string {
  const foreign = foreignIn(line, abroad, knows);
  if (!foreign) return said;
  const { plain, named, counted } = foreign;
  // Accents that are one letter with theirs leave every letter in its place.
  const own = (at: number, found: string) =>
    plain.length === line.length ? line.slice(at, at + found.length) : found;
  const put = (text: string, pattern: RegExp, words: Words) =>
    [...plain.matchAll(pattern)].reduce(
      (now, m) => now.replace(english(m[0], words), () => own(m.index, m[0])),
      text,
    );
  return put(put(said, named, abroad.names), counted, abroad.counted);
}
