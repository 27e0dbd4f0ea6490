import type { CardRow } from "./cardRow.ts";
import type { Knows } from "./countedSorts.ts";
import { NUMBER_SAID, SAYS_NUMBER } from "./numberWords.ts";
import { quick } from "./quick.ts";

/**
 * A heading that is the last word of a name, with its sorts and sizes alone below it: "DRESSINGS, STERILE" over "eye 3" and
 * "12 x 12 cm 6". Each such row is read with the heading's word put where the name has it.
 */

/** Things of several sorts, which one lists by the sort alone. */
const HEADS =
  "dressings?|bandages?|plasters?|gloves?|wipes?|tapes?|splints?|pads?|swabs?|masks?|blankets?|scissors|airways?|collars?|tourniquets?|syringes?|needles?|compresses?|rolls?|gauzes?|closures|strips";
/** "1. Dressings", "A) Dressings", "Dressings (sterile):", "-- Dressings --". */
const HEADING = quick(
  new RegExp(
    `^[\\s\\-–—*#=_[]*(?:(?:\\d{1,2}|[A-H])[.)]\\s+)?(?<before>(?:sterile|gauze|wound|adhesive|disposable|medical|examination|first\\s+aid|assorted)\\s+)?(?<head>${HEADS})(?:,?\\s+\\(?(?:sterile|assorted|various|non-?sterile|sorted|pairs|pares|paires|paia|paar|all\\s+sizes|various\\s+sizes)\\)?)?(?:\\s*&\\s*(?:tapes?|pads?|dressings?))?[\\s:\\-–—*=_\\]]*$`,
    "iu",
  ),
);
const UNIT = `(?:mm|cm|m|in(?:ch(?:es)?)?|ft|yd|"|″)(?![a-z])`;
const NUMBER = "\\d+(?:[.,]\\d+)?";
const COUNT = `(?:\\d{1,3}|${NUMBER_SAID})`;
const MARK = "\\s*(?:[-*•–]\\s+)?";
const BEHIND_SIZE = `\\s*(?:[-–:=x×,]|\\.{2,})?\\s*\\(?\\d{0,3}\\)?(?:\\s*(?:pcs|off|rolls?|[x×]))?\\s*`;
const TWO_SIDES = `${NUMBER}\\s*[x×]\\s*${NUMBER}(?:\\s*${UNIT})?|${NUMBER}\\s*${UNIT}\\s*[x×]\\s*${NUMBER}\\s*${UNIT}`;
const SIZE = `${TWO_SIDES}|${NUMBER}\\s*${UNIT}`;
/** "3 x 10 x 10 cm", "12 10 x 10 cm", "(3) 5 cm". */
const COUNT_THEN_SIZE = quick(
  new RegExp(
    `^(?<count>${MARK}${COUNT}(?:\\s*[x×]\\s+|\\s+))(?<rest>(?:${TWO_SIDES})\\s*)$|^(?<bare>${MARK}(?:${COUNT}\\s+|\\(${COUNT}\\)\\s*))(?<width>${NUMBER}\\s*${UNIT}\\s*)$`,
    "iu",
  ),
);
/** "3 x 5 cm" of what comes in a width, without a count of its own. */
const COUNT_TIMES_WIDTH = quick(
  new RegExp(`^(?<count>${MARK}${COUNT}\\s*[x×]\\s+)(?<rest>${NUMBER}\\s*${UNIT}\\s*)$`, "iu"),
);
const HAS_WIDTH = /bandage|tape|roll/;
const SIZE_FIRST = quick(
  new RegExp(`^(?<mark>${MARK})(?<rest>(?:${SIZE})(?:${BEHIND_SIZE}))$`, "iu"),
);
const WORDS = quick(
  new RegExp(
    `^(?<count>${MARK}(?:${COUNT}\\s*(?:[x×]\\s*)?)?)(?<words>\\p{L}[\\p{L}-]+(?:\\s(?!(?:pairs?|prs?|pcs|rolls?|size|[x×])(?!\\p{L}))\\p{L}[\\p{L}-]+){0,2})(?<rest>(?:[\\s,:;(.–-].*)?)$`,
    "iu",
  ),
);

/** Said of how many there are, and no sort. */
const NO_SORT =
  /^(?:none|nil|missing|empty|total|see|the|all|in|on|and|of|for|no|not|sizes?|page|checked|date|signed|item|items|qty|quantity|description|contents)\b/i;

/** A row of a size with the heading's word before it; null: it is none. */
function bySize({ text, quantity }: CardRow, head: string): string | null {
  // "Dressings" by their size are those for wounds.
  const name = /^dressings?$/.test(head) ? `sterile ${head}` : head;
  const isWidth = quantity === null && HAS_WIDTH.test(head);
  const counted = COUNT_THEN_SIZE.exec(text) ?? (isWidth ? COUNT_TIMES_WIDTH.exec(text) : null);
  if (counted) {
    const { count, rest, bare, width } = counted.groups!;
    return `${count ?? bare!}${name} ${rest ?? width!}`;
  }
  const { mark, rest } = SIZE_FIRST.exec(text)?.groups ?? {};
  return rest === undefined ? null : `${mark!}${name} ${rest}`;
}

/** "10 pairs, medium" under "Gloves": how many, and of which sort; null: it says more. */
const AMOUNT = quick(
  new RegExp(
    `^(?<count>${MARK}(?:${COUNT}|an?)\\s+(?:pairs?|prs?|rolls?|pcs|pieces)(?:\\s+of)?)(?:\\s*,?\\s+\\(?(?<sort>extra\\s+large|small|medium|large|x{0,2}[sml])\\)?)?$`,
    "iu",
  ),
);
function byAmount({ text, quantity }: CardRow, head: string): string | null {
  const said = quantity === null ? AMOUNT.exec(text.trim())?.groups : undefined;
  return said ? `${said["count"]!} ${said["sort"] ? `${said["sort"]} ` : ""}${head}` : null;
}

/** A row's words, the count before them and what stands behind; null: it begins otherwise. */
const wordsOf = ({ text }: CardRow): Readonly<Record<"count" | "words" | "rest", string>> | null =>
  (WORDS.exec(text)?.groups as Readonly<Record<"count" | "words" | "rest", string>>) ?? null;

/** A row of a sort with the heading's word behind it; null: it names itself, or nothing that is known. */
function bySort(row: CardRow, head: string, { isWhole }: Knows): string | null {
  const said = wordsOf(row);
  if (said === null) return null;
  const { count, words, rest } = said;
  if (NO_SORT.test(words)) return null;
  if (ENDS_IN_HEAD.test(words)) {
    // "strips" under "Plasters", "rolls" under "Gauze": half a name each.
    const both = `${head.replace(/s$/, "")} ${words}`;
    return !words.includes(" ") && isWhole(both) && !isWhole(words)
      ? `${count}${both}${rest}`
      : null;
  }
  // "blue, assorted": both are said of the same.
  const more = ANOTHER_WORD.exec(rest)?.groups?.["word"];
  const sort = more === undefined ? words : `${words} ${more}`;
  const behind = more === undefined ? rest : rest.replace(ANOTHER_WORD, "");
  // "saline" under "Wipes" is no thing of its own; "whistle" under it is. "eye" under "Wound dressings" is an eye dressing.
  const name = [head, head.split(" ").at(-1)!].find((h) => isWhole(`${sort} ${h}`));
  return name === undefined ? null : `${count}${sort} ${name}${behind}`;
}
/** "Burns" over "gel sachets", "Eyes" over "pads": what all of them are for. */
const PURPOSE =
  /^[\s\-–—*#=_[]*(?:(?:\d{1,2}|[A-H])[.)]\s+)?(?<purpose>burn|eye)s?(?:\s+(?:care|injur(?:y|ies)|treatment))?[\s:\-–—*=_\]]*$/i;
/** A row with what it is for before it; null: it says that itself, or is not known by it. */
function byPurpose(row: CardRow, purpose: string, { isWhole }: Knows): string | null {
  const said = wordsOf(row);
  if (said === null) return null;
  const { count, words, rest } = said;
  const isSaid = words.toLowerCase().includes(purpose);
  return !isSaid && isWhole(`${purpose} ${words}`) ? `${count}${purpose} ${words}${rest}` : null;
}
const ANOTHER_WORD = quick(
  /^,\s+(?<word>(?!pairs?\b|prs?\b|pcs\b)\p{L}{3,})(?=\s*(?:[-–:=x×(.]|\d|$)|\s{2,})/iu,
);
const ENDS_IN_HEAD = new RegExp(`\\b(?:${HEADS})$`, "i");

/** A blank line may stand below the heading. */
export const FARTHEST = 2;

/** A dash behind a heading is no count of it. */
const NO_COUNT = /^[\s:–—-]*$/;
/** No column counts it, so that it may head others. */
export const mayHead = ({ quantity }: CardRow): boolean =>
  quantity === null || NO_COUNT.test(quantity);
const isCounted = (row: CardRow): boolean =>
  !mayHead(row) || SAYS_NUMBER.test(row.text) || /\ba\s+pair\b/i.test(row.text);
const LEADERS = /\s*\.{3,}\s*/g;
/** "| small | 10 |": a name and a count between bars, where no table was seen, as the name alone says nothing. */
const BARRED = /^\s*\|?\s*(?<name>[^|]*?)\s*\|\s*(?<count>\d{1,4})\s*\|?\s*$/;
function unbarred(row: CardRow): CardRow {
  const found = row.quantity === null ? BARRED.exec(row.text)?.groups : undefined;
  return found ? { ...row, text: found["name"]!, quantity: found["count"]!, inTable: true } : row;
}
/** Says how all of them are, and belongs to no name. */
const SAYS_HOW = /^(?:sterile|assorted|disposable|medical|examination|first\s+aid)\s*$/i;
/** The word that the sorts below a row have left out; null: it is no such heading. */
function headOf({ text }: CardRow): string | null {
  const found = HEADING.exec(text)?.groups;
  if (!found) return null;
  const { before = "", head } = found as { before?: string; head: string };
  return `${SAYS_HOW.test(before) ? "" : before}${head}`.toLowerCase();
}

/** "Antihistamine" over "tablets 10 mg" and "syrup", which are set in: half a name. */
const HALF_NAME = quick(/^[\s\-–—*#=_[]*(?<half>\p{L}[\p{L}-]{3,}(?:\s\p{L}+)?)[\s:\-–—*=_\]]*$/u);
function byHalfName(row: CardRow, half: string, { isWhole }: Knows): string | null {
  const said = wordsOf(row);
  if (said === null) return null;
  const { count, words, rest } = said;
  return !isWhole(words) && isWhole(`${half} ${words}`) ? `${count}${half} ${words}${rest}` : null;
}

/** What a heading makes of a row below it; null: nothing. */
type Tell = (row: CardRow) => string | null;
function tellerOf(heading: CardRow, knows: Knows): Tell | null {
  if (!mayHead(heading)) return null;
  const head = headOf(heading);
  if (head !== null)
    return (row) => bySize(row, head) ?? byAmount(row, head) ?? bySort(row, head, knows);
  const purpose = PURPOSE.exec(heading.text)?.groups?.["purpose"]?.toLowerCase();
  if (purpose !== undefined) return (row) => byPurpose(row, purpose, knows);
  // "five wipes" counts: were each of many such rows a heading, all below each would be gone through.
  if (isCounted(heading)) return null;
  const half = HALF_NAME.exec(heading.text)?.groups?.["half"]?.toLowerCase();
  return half === undefined
    ? null
    : (row) => (row.indent > heading.indent ? byHalfName(row, half, knows) : null);
}

const isHeading = (row: CardRow): boolean =>
  mayHead(row) && (headOf(row) !== null || PURPOSE.test(row.text));

/** The rows, those of sorts and sizes with their heading's word; a heading over such rows ends in a colon. */
export function underHeadings(rows: readonly CardRow[], knows: Knows): CardRow[] {
  const read = [...rows];
  rows.forEach((heading, at) => {
    const tell = tellerOf(heading, knows);
    if (tell === null) return;
    let heads = false;
    for (let to = at + 1; to < rows.length; to++) {
      const row = unbarred(rows[to]!);
      const gap = row.source - rows[to - 1]!.source;
      // What is not counted heads those below itself.
      if (gap > (to === at + 1 ? FARTHEST : 1) || !isCounted(row) || isHeading(row)) break;
      const text = tell({ ...row, text: row.text.replace(LEADERS, " - ") });
      if (text === null) continue;
      read[to] = { ...row, text };
      heads = true;
    }
    const text = `${heading.text.replace(/[\s:–—-]+$/, "")}:`;
    if (heads) read[at] = { ...heading, quantity: null, text };
  });
  return read;
}
