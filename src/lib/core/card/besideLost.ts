import { rememberingFor } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT, LONGEST_LINE } from "./cardLimits.ts";
import { NOT_A_COUNT_AFTER } from "./packWords.ts";
import { quick } from "./quick.ts";

/**
 * Lists that stood beside each other and that a copy ran together: "Medium dressings ..... 6 Foil blanket ..... 2". The blanks
 * between them are put back where several lines of a card are so, and every part is a thing with its count.
 */

/** On fewer lines two counts are one thing's. */
const FEWEST_LINES = 3;

/** What a number measures: no thing begins with these. */
const MEASURES =
  "x|cm|mm|m|in|inch|ft|yd|yds|ml|cl|l|g|kg|mg|mcg|oz|of|off|per|to|or|and|by|exp|expiry";
const UNITS =
  "pks?|pkts?|pcs|pieces?|pairs?|prs?|rolls?|box(?:es)?|packs?|packets?|ea|each|bottles?|tubes?|tins?|sachets?|strips?";
/** "... 6 |Foil blanket", "Gloves 6 pr |Tape": behind a count that ends a name, before the next name. */
const BEHIND_COUNT = quick(
  new RegExp(
    `(?<=\\.{3,}\\s?\\d{1,3}|\\p{L}[^\\d]*?(?:\\d[\\d.,x× ]*(?:cm|mm|ml|m|g|mg)[^\\d]*?)?[\\s.]\\d{1,3}(?:\\s(?:${UNITS}))?)\\s(?=(?!(?:${MEASURES}|${UNITS})\\b)\\p{L}{2})`,
    "iu",
  ),
);
/** "6 wound dressings, medium |6 eye pads", "|1 pr scissors": before a count that begins a name. */
const BEFORE_COUNT = quick(
  new RegExp(
    `(?<=\\p{L}[).]?)\\s(?=\\d{1,3}\\s(?:(?:${UNITS})\\s(?:of\\s)?)?(?!(?:${MEASURES}|${UNITS})\\b)\\p{L}{3})`,
    "iu",
  ),
);
const LEADERS = /\.{3,}/;
const COUNT_FIRST = quick(/^\d{1,3}\s(?:x\s)?\p{L}/iu);
const COUNT_LAST = quick(new RegExp(`^\\p{L}.*[\\s.]\\d{1,3}(?:\\s(?:${UNITS}))?$`, "iu"));
const WORD_BEFORE = quick(/(\p{L}+)\.?\s\d{1,3}$/u);
/** "size 4", "No. 8": a number that counts nothing. */
const endsInModel = (part: string): boolean =>
  NOT_A_COUNT_AFTER.test(WORD_BEFORE.exec(part)?.[1] ?? "") || /\bno\.?\s\d+$/i.test(part);

const GAPS = /\S(?:\s{2,}|\t)\S/;
/** The things of a line, each with its count at the same side; null: it is one thing, or no list. */
function thingsOn(line: string, isName: (text: string) => boolean): readonly string[] | null {
  const text = line.trim();
  if (line.length > LONGEST_LINE || GAPS.test(text) || /[|;\t]/.test(text)) return null;
  const isFirst = COUNT_FIRST.test(text);
  const parts = text.split(isFirst ? BEFORE_COUNT : BEHIND_COUNT);
  if (parts.length < 2) return null;
  const isThing = (part: string) =>
    isFirst ? COUNT_FIRST.test(part) : COUNT_LAST.test(part) && !endsInModel(part);
  return parts.every((part) => isThing(part) && (LEADERS.test(part) || isName(part)))
    ? parts
    : null;
}

const thingsOf = rememberingFor(thingsOn, LINES_KEPT, LONGEST_KEPT);

/**
 * The lines of a card, such lists set apart again.
 * @param isName whether a text surely names one item: the same one for the same vocabulary, as what rests on it is remembered
 */
export function listsSetApart(
  lines: readonly string[],
  isName: (text: string) => boolean,
): readonly string[] {
  const things = lines.map((line) => thingsOf(line, isName));
  const found = things.filter((parts) => parts !== null).length;
  return found < FEWEST_LINES ? lines : lines.map((line, i) => things[i]?.join("    ") ?? line);
}
