/**
 * Unicode mode makes a pattern three times as dear to prepare, and to run on a text with a dash or a fraction in it; a card
 * is held against some seven hundred of them (`npm run bench`). Without it letters are told by ranges, which are the same for
 * the languages that cards come in.
 */

/** A to ž with their accents, and every script from Greek on; of signs among them only × and ÷ stand on cards. */
const LETTERS = "A-Za-zªµºÀ-ÖØ-öø-ˁͰ-῿Ⰰ-퟿";
const between = (from: number, to: number, is: RegExp): string =>
  Array.from({ length: to - from }, (_, i) => String.fromCharCode(from + i))
    .filter((letter) => is.test(letter))
    .join("");
/** Latin letters with their accents, in which capitals and small ones take turns. */
const ACCENTED = [0x100, 0x180] as const;
const RANGES: Readonly<Record<string, string>> = {
  L: LETTERS,
  Lu: `A-ZÀ-ÖØ-Þ${between(...ACCENTED, /\p{Lu}/u)}ΆΈ-ΏΑ-ΫЀ-Я`,
  Ll: `a-zß-öø-ÿ${between(...ACCENTED, /\p{Ll}/u)}ΐά-ώа-џ`,
  M: "\\u0300-\\u036f",
};

/** A backslash with what it stands before, a bracket of a class, or any other sign of a pattern. */
const PART = /\\([pP])\{(\w+)\}|\\.|[[\]]/gs;
/** Signs beyond 0xffff are one only in Unicode mode; what is no letter has no range of its own. */
const NEEDS_UNICODE = /[\ud800-\udfff]|\\u\{|\\[pP]\{(?!(?:L|Lu|Ll|M)\})|\[[^\]]*\\P/;

/** The same pattern for the letters of cards, out of Unicode mode; as it is where it needs that. */
export function quick(pattern: RegExp): RegExp {
  if (!pattern.unicode || NEEDS_UNICODE.test(pattern.source)) return pattern;
  let inClass = false;
  const source = pattern.source.replace(PART, (part, sign?: string, kind?: string) => {
    if (part === "[") inClass = true;
    if (part === "]") inClass = false;
    // "É" is a letter, though not one of those that a pattern means by a word's.
    if (part === "\\W" && !inClass) return `[^${LETTERS}\\d_]`;
    if (kind === undefined) return part;
    if (inClass) return RANGES[kind]!;
    return sign === "P" ? `[^${RANGES[kind]!}]` : `[${RANGES[kind]!}]`;
  });
  return new RegExp(source, pattern.flags.replace("u", ""));
}

/** Whether a text says anything: a letter, two in a row, three. */
export const LETTER = quick(/\p{L}/u);
export const TWO_LETTERS = quick(/\p{L}{2}/u);
export const THREE_LETTERS = quick(/\p{L}{3}/u);
