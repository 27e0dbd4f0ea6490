import type { CardDoubt } from "../core/card/cardDoubt.ts";
import { day } from "./display.ts";

/** What speaks against a reading, as one says it to the person who is to look. */
const SAID: Readonly<Record<CardDoubt, string>> = {
  "no-type": "nothing in the catalogue has this name",
  "part-of-name": "only a part of a known name stands there",
  respelt: "a word was taken for a misspelling",
  "cut-short": "a short word was taken for a longer one",
  "common-word": "the name is one common word",
  "close-second": "another kind fits as well",
  second: "another kind fits nearly as well",
  "half-explained": "most of its words say something else",
  "partly-explained": "a word of it says something else",
  "unknown-word": "a word is not known and may tell another kind",
  "unknown-mark": "an abbreviation is not known",
  "head-elsewhere": "its last word belongs to another thing",
  "kind-by-size": "the size decided between look-alikes",
  "kind-open": "the name leaves the kind open",
  "count-derived": "the pieces were worked out, not printed",
  "pack-unknown": "how many are in a pack is not said",
  "no-count": "no number stands there",
  "number-left": "a number on the line was not used",
  "count-unusual": "more than kits hold of it",
  "size-unusual": "none of its kind is made so large: was a decimal comma lost?",
  "fraction-lost": "a fraction of the size could not be read",
  "holds-others": "it may only hold the other things",
  "unit-assumed": "the size has no unit: inches?",
  "column-guessed": "several columns hold numbers, and none is headed",
  unticked: "its box is not ticked, others are: is it there?",
  long: "many words for one thing",
  spoken: "dictated",
};

/** Of the doubts the ones worth reading, the weightiest first; unknown codes of a newer file are left out. */
export const doubtTexts = (codes: readonly string[]): string[] =>
  codes
    .filter((c): c is CardDoubt => Object.hasOwn(SAID, c) && c !== "spoken" && c !== "respelt")
    .map((c) => SAID[c])
    .slice(0, 3);

const LEARNED = {
  name: "named so",
  pack: "a pack counted so",
  unit: "sizes in this unit",
} as const;

/** Why a line is read as it is: "named so as you corrected on 12 May 2027". */
export const learnedText = (what: keyof typeof LEARNED, on: string | undefined): string =>
  `${LEARNED[what]}, as you corrected${on ? ` on ${day(on)}` : ""}`;
