import { VALUE_OF } from "./numberWords.ts";

/**
 * Ways of writing that the grammar of counts does not take apart by itself, put into one that it
 * does. An ordered table: an earlier phrase may make what a later one reads.
 */
export interface Phrase {
  readonly name: string;
  /** As on a card, and as it is read on. */
  readonly example: readonly [written: string, read: string];
  /** In small letters; a text with none of them has no such phrase, and is not searched. */
  readonly holds?: string | readonly string[];
  readonly pattern: RegExp;
  readonly read: string | ((...groups: string[]) => string);
}

/** What things are packed in, as a pattern's source. */
export const PACK =
  "(?:pack|pk|pkt|pkg|packet|bx|box|card|blister(?!s?\\s+(?:plaster|pad|cushion|dressing|patch|kit|care|gel|band))|strip|bag|tube|tub|tin|carton|set|sleeve|envelope|env|wallet|sheet|pouch)";

/** One pack, or several. */
export const PACKS = `${PACK}(?:e?s)?`;

/** Half of them, rounded up: what is begun counts. */
export const half = (number: string) => String(Math.ceil(valueOf(number) / 2));

/** Sizes cut short. */
export const SIZE_OF: Readonly<Record<string, string>> = {
  med: "medium",
  lge: "large",
  lrg: "large",
  sml: "small",
  sm: "small",
};

/** Parts of a pack, by their words. */
export const PARTS: Readonly<Record<string, number>> = {
  "two thirds": 2 / 3,
  "a third": 1 / 3,
  third: 1 / 3,
  "three quarters": 3 / 4,
  quarter: 1 / 4,
  half: 1 / 2,
};
/** Parts in words, and in figures. */
export const SHARES: Readonly<Record<string, number>> = {
  ...PARTS,
  ...{ "1/4": 1 / 4, "1/3": 1 / 3, "1/2": 1 / 2, "2/3": 2 / 3, "3/4": 3 / 4 },
  ...{ "¼": 1 / 4, "⅓": 1 / 3, "½": 1 / 2, "⅔": 2 / 3, "¾": 3 / 4 },
};

/** A part of so many by its words, halves rounded down. */
export const partOf = (number: string, part: string): number =>
  Math.ceil(Number(number) * PARTS[part.toLowerCase()]! - 0.5);

/** Colours and tastes: two sorts of one thing. */
export const COLOUR =
  "(?:orange|lemon|lime|berry|cherry|blackcurrant|apple|mint|blue|red|green|black|white|plain|clear|purple|pink|yellow|grey|gray|tan|brown|beige)";
/** A number in figures or words. */
export const valueOf = (number: string): number =>
  VALUE_OF[number.toLowerCase().replace("-", " ")] ?? Number(number);
