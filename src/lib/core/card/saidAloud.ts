import type { CardRow } from "./cardRow.ts";
import { NUMBER_SAID, TENS_SAID } from "./numberWords.ts";
import { PACKS } from "./phrase.ts";
import { quick } from "./quick.ts";

/** What was said aloud and written down without a comma, as dictation gives it. */

/** Words that only begin to speak. */
export const BEGINS_TO_SPEAK =
  "so|right|okay|ok|alright|now|next|then|well|and|also|erm?|um+|uh+|oh";
/** "Okay so we've got": words that only begin to speak, before a count. */
export const SPOKEN_LEAD = `\\W*(?:(?:${BEGINS_TO_SPEAK}|next\\s+up|plus|there(?:['’]?s|\\s+(?:is|are))|(?:we|i)(?:['’]ve\\s+got|\\s+have(?:\\s+got)?|\\s+can\\s+see|\\s+got))(?![\\p{L}])[,.]?\\s+)*`;

type Names = (text: string) => boolean;
/** Two may be a name and a remark, or a name in two languages. */
export const FEWEST_THINGS = 3;

/** "two bandages three eye pads a pair of shears": where the next thing said aloud begins. */
const NEXT_SAID = quick(
  new RegExp(
    `(?<!\\b(?:no|sorry|wait|mean|about|like|it|says?|count|see|of|by|point|and|${TENS_SAID}))\\s+(?=(?:an?\\s+(?:pair|box|roll|pack|packet|couple)(?:\\s+of)?|${NUMBER_SAID})\\s+\\p{L}{3})`,
    "iu",
  ),
);
const ARTICLE_NEXT = quick(/\s+(?=an?\s+\p{L}{3})/iu);
/** "two bandages a foil blanket": what an article begins is another thing, where both are surely named. */
const eachOne = (said: string, names: Names): string[] => {
  const [first = "", ...others] = said.split(ARTICLE_NEXT);
  return others.length > 0 && names(first) && others.every(names) ? [first, ...others] : [said];
};
/** "20 plasters 4 wipes 2 eye pads": where the next number with a name behind it begins. */
const NEXT_COUNTED = quick(
  /(?<=\p{L}\)?)(?<!\b(?:of|with|per|holding))\s+(?=\d{1,3}(?:\s+(?:[x×]\s+)?|\s*pcs?\s+)\p{L}{3})/u,
);
const IN_PIECES = /^\W*\d{1,3}\s*(?:pcs?|pieces?)\b/i;
const STARTS_COUNTED = quick(/^\W*\d{1,3}(?:\s+(?:[x×]\s+)?|\s*pcs?\s+)\p{L}{3}/u);
const LAST_WORD = quick(/\p{L}+(?=\P{L}*$)/u);
const HOLDS = quick(new RegExp(`\\b(?:${PACKS}|rolls?|cards?|sheets?|pairs?)\\P{L}*$`, "iu"));
/** "2 slings 1 whistle": not the same in two languages, nor how many of them are of a kind, nor packs and what they hold. */
const areTwo = (one: string, other: string): boolean =>
  Number.parseInt(one) !== Number.parseInt(other) &&
  LAST_WORD.exec(one)?.[0].toLowerCase() !== LAST_WORD.exec(other)?.[0].toLowerCase() &&
  !HOLDS.test(one) &&
  !HOLDS.test(other);
/** Counted things in figures with nothing between them, where each is surely named: a row for each; else the row. */
export function eachRunOn(row: CardRow, names: Names): CardRow[] {
  if (row.inTable || /[,;|•·]/.test(row.text) || !STARTS_COUNTED.test(row.text)) return [row];
  const parts = row.text.split(NEXT_COUNTED);
  // "1pc scissors 1pc tweezers": two are enough where each is counted in pieces.
  const areEnough =
    parts.length >= FEWEST_THINGS ||
    (parts.length > 1 && parts.every((p) => IN_PIECES.test(p))) ||
    (parts.length === 2 && areTwo(parts[0]!, parts[1]!));
  return areEnough && parts.every(names)
    ? parts.map((text) => ({ ...row, text, bullet: true }))
    : [row];
}
const THERE_IS = /\s+(?=there(?:['’]?s|\s+(?:is|are))\s)/i;
/**
 * Things said aloud and written down without a comma, where each is surely named: a row for each; else the row.
 * @param names whether a text surely names one thing
 */
export function eachSaid(row: CardRow, names: Names): CardRow[] {
  if (row.inTable || /[,;:|•·(]|\.\s|\s[-–—]\s/.test(row.text)) return [row];
  const parts = row.text.split(THERE_IS).flatMap((said) => {
    const [lead = "", ...things] = said.split(NEXT_SAID);
    if (things.length === 0) return [said];
    const [first = "", ...others] = names(lead) ? [lead, ...things] : things;
    const areNamed = names(first) && others.length > 0 && others.every(names);
    if (!areNamed) return [said];
    return [names(lead) ? first : `${lead} ${first}`, ...others].flatMap((s) => eachOne(s, names));
  });
  return parts.length >= FEWEST_THINGS ? parts.map((text) => ({ ...row, text })) : [row];
}
