import { NUMBER_WORDS } from "./numberWords.ts";
import { quick } from "./quick.ts";

/** How one begins to say the next thing. */
const WORDS = "right also plus then next well okay ok so oh yeah".split(" ");
/** Without ignoring capitals, as a writer's name before them begins with one. */
const BEGINNINGS = WORDS.map(
  (word) => `[${word[0]!.toUpperCase()}${word[0]!}]${word.slice(1)}`,
).join("|");
const BEGINNING = quick(
  new RegExp(
    `^(\\s*(?:[-*•]\\s+)?(?:\\p{Lu}\\p{L}{1,14}:\\s+)?)(?:(?:[Aa]nd\\s+)?(?:${BEGINNINGS})\\b,?\\s+)+(?=(?:${NUMBER_WORDS})\\s+(?:[x×]\\s+)?\\p{L}{3})`,
    "u",
  ),
);
/** "eye pads, about 12." */
const DOT_BEHIND_GUESS = new RegExp(
  `(?<=,\\s+(?:about|roughly|around|maybe|approx\\.?)\\s+(?:${NUMBER_WORDS}))\\.\\s*$`,
  "i",
);
/** "Sam: also 17 ice packs", "right, eight eye pads": a line without how it begins to speak, and the full stop behind a guess. */
export function withoutBeginnings(line: string): string {
  const begun = MAY_BEGIN.test(line) ? line.replace(BEGINNING, "$1") : line;
  return MAY_GUESS.test(begun) ? begun.replace(DOT_BEHIND_GUESS, "") : begun;
}
/** Most lines have neither. */
const MAY_BEGIN = new RegExp(`\\b(?:${WORDS.join("|")})\\b`, "i");
const MAY_GUESS = /,\s+(?:about|roughly|around|maybe|approx)\b.*\.\s*$/i;
