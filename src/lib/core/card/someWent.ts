import type { CardRow } from "./cardRow.ts";
import { NUMBER_WORDS } from "./numberWords.ts";
import { PACKS, valueOf } from "./phrase.ts";
import { partOfPack } from "./partOfPack.ts";
import { quick } from "./quick.ts";
import { SIZED } from "./sized.ts";
import { MAY_SAY_WENT, WENT_WORDS } from "./wentWords.ts";

/**
 * So many of one thing, in any form, and behind it how many of them are no longer there, or still are: "eye pads x5 (1 used)",
 * "5 x eye pads, one lost", "eye pads: 5, now 4". What is left is counted.
 */

const N = `(?:${NUMBER_WORDS})(?![\\p{L}\\d-]|[.,]\\d)`;
const BE =
  "(?:(?:are|were|was|is|have|has|been|now|already|got|of\\s+(?:them|those|these|which))\\s+)*";
/** "on Sat", "from the pack", "at the fete", "by Tom", "into tea". */
const WHERE =
  "(?:\\s+(?:on|at|in|from|by|to|last|this|since|during|into|for|with|over|round|off|through|today|yesterday|already|so\\s+far)\\b[^\\d,;()]{0,30})?";
/** "one wet and binned". */
const SPOILT = "(?:\\p{L}+\\s+(?:and|so)\\s+)?";
const { DID, DONE, WHO, BUT } = WENT_WORDS;
/** "one card": of several packs one went. */
const OF_THEM = `(?:\\s+(?:of\\s+(?:them|these|those)|pcs|pieces|tab(?:let)?s|(?<pack>${PACKS})))?`;
const WENT = `(?:(?:and|but)\\s+)?(?<went>${N})${OF_THEM}\\s+${BE}${SPOILT}${DONE}(?:\\s*(?:,|and|&)\\s*${DONE})*${WHERE}|${WHO}${DID}\\s+(?:another\\s+)?(?<gone>${N})${OF_THEM.replace("pack", "packGone")}${WHERE}|${BUT}\\s+(?:the\\s+)?(?<but>${N})(?:\\s[^\\d,;()]{1,30})?`;
const STILL = "(?:left|there|remain(?:s|ing)?|still\\s+(?:there|left|good)|in\\s+(?:it|there)|now)";
const LEFT = `(?:only\\s+|just\\s+|now\\s+|so\\s+)*(?<left>${N})\\s+${STILL}|(?:now|only|just)(?:\\s+only)?\\s+(?<now>${N})`;
const BEHIND = quick(
  new RegExp(
    `(?:\\s*[,;]\\s*|\\s+[-–—]\\s*|\\s*\\(\\s*|\\s{2,}|(?:\\s+[-–—])?\\s\\[[xX✓✔]\\]\\s*|(?=\\s(?:minus|less|bar|barring|now|and|but)\\s)\\s)(?:${WENT}|${LEFT})(?:\\s+\\d{1,2}[./]\\d{1,2}\\.?(?:\\d{2,4})?)?\\s*\\)?\\s*[.!]*$|\\s*\\(\\s*(?:[-–−]\\s?(?<minus>\\d{1,3})|(?<opened>\\d{1,3})\\s+opened)\\s*\\)\\s*$`,
    "iu",
  ),
);
const MAY_BE_LEFT =
  /\b(?:left|there|remain(?:s|ing)?|now|only|just|opened|in\s+it)\b|\(\s*[-–−]\s?\d/i;
/** Longer lines are read in parts. */
const LONGEST = 160;

const ANY_NUMBER = quick(
  new RegExp(
    `(?<![\\p{L}\\d.,/-])(?:${NUMBER_WORDS})(?![\\p{L}\\d-]|[.,/]\\d)|(?<=[x×])\\d{1,4}(?!\\d)|\\d`,
    "giu",
  ),
);
/** "10x10 x5": sides without their unit, where a count stands behind them. */
const BARE_SIZE =
  /(?<![\d.,])\d{1,2}(?:[.,]\d)?\s?[x×]\s?\d{1,2}(?:[.,]\d)?(?=\s*(?:[x×,:=–-]\s?|\s)\d)/g;
/** "dressing no. 2 - 3": which of its sizes. */
const NUMBERED = /\b(?:no|nr)\.?\s?\d{1,2}(?=\s*[-–:,x×(]|\s+\d)/gi;
/** What may stand between a count and the end of what it counts: "5 pcs", "(5)". */
const AFTER_COUNT =
  /^\s*(?:pcs?|pieces|ea|each|off|pairs?|prs?|x|×|nos?|cps?|cpr|stk|stück|st|pz|ud?s|szt|pods?|sachets?|packs?|packets?|tubes?|bottles?|rolls?|boxes|strips?|tab(?:let)?s?|wipes?|ampoules?)?\.?\s*\)?\s*$/i;
/** "5", "5 x": what stands before the name. */
const BEFORE_COUNT = /^\W*$/;

interface Counted {
  readonly count: number;
  readonly at: number;
  readonly length: number;
}
/** The one number with which a thing is counted, first or last; null: there is none, or another number stands beside it. */
function countedIn(text: string): Counted | null {
  const blank = (size: string) => " ".repeat(size.length);
  const plain = text.replace(SIZED, blank).replace(BARE_SIZE, blank).replace(NUMBERED, blank);
  const [found, ...more] = plain.matchAll(ANY_NUMBER);
  if (found === undefined || more.length > 0) return null;
  const after = plain.slice(found.index + found[0].length);
  const stands =
    (BEFORE_COUNT.test(plain.slice(0, found.index)) && /\p{L}{3}/u.test(after)) ||
    (AFTER_COUNT.test(after) && /\p{L}{3}/u.test(plain.slice(0, found.index)));
  return stands ? { count: valueOf(found[0]), at: found.index, length: found[0].length } : null;
}

/** Source of a pattern for another count, as an answer or a correction says it: "12", "four pairs". */
export const COUNT_SAID = `(?:${NUMBER_WORDS})(?![\\p{L}\\d]|[.,/:]\\d)(?:\\s*(?:pcs|pieces|pairs?|prs?|of\\s+(?:them|those)))?`;
const UNIT_SAID = /\b(?:pcs|pieces|pairs?|prs?)\b/i;
const UNIT_BEHIND = /\s*(?:pcs|pieces|pairs?|prs?|of\s+(?:them|those|these))$/i;
/**
 * A text with another count of its one thing; where it has none, or several numbers, with the count behind it, in the one way that
 * the parting of a line reads.
 */
export function recounted(text: string, count: string): string {
  const counted = countedIn(text);
  if (counted === null) return `${text}, make that ${count}`;
  const written = UNIT_SAID.test(text) ? count.replace(UNIT_BEHIND, "") : count;
  return text.slice(0, counted.at) + written + text.slice(counted.at + counted.length);
}

/** A text with what is left. */
interface Left {
  readonly text: string;
  /** What went may have been among them or not. */
  readonly isDoubted: boolean;
}

const PACKS_OF = quick(
  new RegExp(
    // "plasters, large  2 x 10": of what has sides it is a size.
    `(?<packs>${N})\\s+${PACKS}\\s+of\\s+(?<each>${N})|(?<!\\b(?:pads?|gauzes?|swabs?|dressings?|compress(?:es)?|bandages?|tapes?|rolls?|sponges?|of\\s+the)\\W*)(?<![\\d.,]\\s?|[x×]\\s?)(?<times>\\d{1,2})\\s?[x×]\\s?(?<of>\\d{1,3})(?=\\s*$)`,
    "iu",
  ),
);
/** "2 boxes of 20 plasters (3 used)", "(1 used)": so many of them, or a pack; the fewer, and the reader asks. null: no such head. */
function someOfPacks(head: string, away: number, inPacks: boolean): Left | null {
  const found = PACKS_OF.exec(head);
  if (!found) return null;
  const { packs: ofPacks, each: inEach, times, of } = found.groups!;
  const [packs, each] = [valueOf((ofPacks ?? times)!), valueOf((inEach ?? of)!)];
  const remain = inPacks || away < packs ? (packs - away) * each : packs * each - away;
  return remain > 0
    ? { text: head.replace(found[0], `${remain} pcs`), isDoubted: packs > 1 && !inPacks }
    : null;
}

/** "5 eye pads (1 missing)": of the five, or of six; the reader asks. */
const MISSING = /missing/i;

const TICKED_BOXES = /(?:\s*\[[ xX✓✔]?\])+\s*$/;
const BACK =
  "(?:replaced|restocked|topped\\s+up|refilled|put\\s+back|returned|made\\s+up|washed|laundered|cleaned)";
/** Most lines say nothing of it. */
const MAY_BE_BACK = new RegExp(`\\b${BACK}\\b`, "i");
/** "one went on Rua's knee, replaced": another took its place, and the count is right. */
const REPLACED = new RegExp(
  `\\s*[,;–-]\\s*(?:(?:and|both|all|but|since|already|was|were|now|it|they)\\s+)*${BACK}\\s*[.!)]*$`,
  "i",
);
/** Whether a remark says that what went came back, or another took its place. */
export const isBack = (remark: string): boolean => REPLACED.test(remark);
/** "2 used, not replaced": says no more than that they went. */
const NOT_REPLACED = new RegExp(
  `\\s*[,;–-]\\s*(?:(?:and|but|was|were|still)\\s+)*(?:not|never)\\s+(?:yet\\s+)?(?:been\\s+)?${BACK}(?:\\s+yet)?(?=\\s*[.!)]*$)`,
  "i",
);
/** What is said behind a name and its count: how many went, or are left. */
interface Said {
  readonly head: string;
  /** null: what is left is said instead. */
  readonly away: number | null;
  readonly left: number | null;
  /** Packs went, not pieces. */
  readonly inPacks: boolean;
  readonly areMissing: boolean;
}
/** A text without what it says of others that took the place of those that went, and whether they did. */
function withoutBack(text: string): { text: string; isReplaced: boolean } {
  if (!MAY_BE_BACK.test(text)) return { text, isReplaced: false };
  const isReplaced = REPLACED.test(text);
  return { text: text.replace(isReplaced ? REPLACED : NOT_REPLACED, ""), isReplaced };
}
function saidBehind(written: string): Said | null {
  if (written.length > LONGEST) return null;
  const { text, isReplaced } = withoutBack(written);
  const behind = MAY_SAY_WENT.test(text) || MAY_BE_LEFT.test(text) ? BEHIND.exec(text) : null;
  if (behind === null) return null;
  // "(62, used 18)" tells of two numbers: what was there before, or is there still.
  const head = text.slice(0, behind.index).replace(TICKED_BOXES, "");
  if (behind.groups!["gone"] !== undefined && /\([^()]*$/.test(head)) return null;
  const { went, gone, but, minus, opened, left, now, pack, packGone } = behind.groups!;
  const valued = (n: string | undefined) => (n === undefined ? null : valueOf(n));
  return {
    head,
    away: isReplaced ? 0 : valued(went ?? gone ?? but ?? minus ?? opened),
    inPacks: (pack ?? packGone) !== undefined,
    left: valued(left ?? now),
    areMissing: MISSING.test(behind[0]),
  };
}

/**
 * A text with how many are left, where it says how many there were and how many went; null: it does not, or that cannot be.
 */
export function leftIn(text: string): Left | null {
  const part = partOfPack(text);
  if (part !== null) return { text: `${part.name}${part.pieces} pcs`, isDoubted: part.isDoubted };
  const said = saidBehind(text);
  if (said === null) return null;
  const { head, away } = said;
  const ofPacks = away === null ? null : someOfPacks(head, away, said.inPacks);
  if (ofPacks !== null) return ofPacks;
  const counted = countedIn(head);
  if (counted === null) return null;
  const { count, at, length } = counted;
  const remain = said.left ?? count - away!;
  if (!(remain > 0 && remain <= count)) return null;
  const left = `${head.slice(0, at)}${remain}${head.slice(at + length)}`;
  return { text: left, isDoubted: said.areMissing };
}

/** A row with how many are left of its thing; as it is where nothing is said of that. */
export function someWent(row: CardRow): CardRow {
  const left = row.quantity === null ? leftIn(row.text) : null;
  if (left === null) return row;
  return { ...row, text: left.text, ...(left.isDoubted ? { countDoubted: true } : {}) };
}

/** "box, 4 used": what it lies in first. */
const REMARK = quick(
  new RegExp(
    `^(?:${PACKS},\\s+)?(?:(?:about|around|approx\\.?|roughly|ca\\.?|some|~)\\s*)?(?:${WENT})\\s*(?:[,;–-].*|[.!]*)$`,
    "iu",
  ),
);
const SAYS_LEFT = quick(new RegExp(`(?<![\\p{L}\\d])(?<left>${N})\\s+left(?!\\p{L})`, "iu"));
/**
 * A counted row of a table of which its remark, or the end of its name, says how many went: the name without that, and how many are
 * there. null: nothing is said of it, or none would be left.
 * @param note what stands in the column of remarks
 */
export function thereOfRow(
  name: string,
  note: string,
  count: number,
): { name: string; there: number } | null {
  const remark = REMARK.exec(note.trim())?.groups;
  const said = saidBehind(name);
  const away =
    remark && !REPLACED.test(note)
      ? valueOf((remark["went"] ?? remark["gone"] ?? remark["but"])!)
      : (said?.away ?? null);
  if (away === null) return null;
  const left = SAYS_LEFT.exec(note)?.groups!["left"];
  const there = left === undefined ? count - away : valueOf(left);
  return there > 0 ? { name: said?.head ?? name, there } : null;
}
