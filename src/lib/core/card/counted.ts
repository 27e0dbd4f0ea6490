import { NUMBER_WORDS } from "./numberWords.ts";
import { quick } from "./quick.ts";

/** Whether a text says how many of a thing there are, at one of its ends. */

export const COUNTED_FIRST = quick(
  new RegExp(`^\\W*(?:(?:${NUMBER_WORDS})\\s*(?:[x×]\\s*)?|an?\\s+)\\p{L}{2}`, "iu"),
);
const COUNT_LAST = quick(
  new RegExp(
    `\\p{L}{2}.*?(?:\\s[x×]?\\s?|[(:=]\\s*)(?:${NUMBER_WORDS})\\)?\\s*(?:pcs|pairs?|prs?)?\\W*$`,
    "iu",
  ),
);
export const isCounted = (text: string): boolean =>
  COUNTED_FIRST.test(text) || COUNT_LAST.test(text);
