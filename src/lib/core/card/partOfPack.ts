import { NUMBER_WORDS } from "./numberWords.ts";
import { PACKS, PARTS, valueOf } from "./phrase.ts";
import { quick } from "./quick.ts";

/**
 * Packs of which a part went: "box of 100, half used", "2 boxes @ 100, one about a third used", "wipes (50) - 3/4 full". What is left
 * is told in pieces.
 */

const N = `(?:${NUMBER_WORDS})`;
/** Parts in figures and signs, beside those in words. */
const SHARES: Readonly<Record<string, number>> = {
  ...PARTS,
  "half way": 1 / 2,
  halfway: 1 / 2,
  "1/2": 1 / 2,
  "1/3": 1 / 3,
  "1/4": 1 / 4,
  "2/3": 2 / 3,
  "3/4": 3 / 4,
  "½": 1 / 2,
  "⅓": 1 / 3,
  "¼": 1 / 4,
  "⅔": 2 / 3,
  "¾": 3 / 4,
};
const ABOUT =
  "(?:(?:about|around|roughly|approx(?:imately)?\\.?|ca\\.?|maybe|some|just\\s+(?:over|under)|a\\s+bit\\s+(?:over|under)|call\\s+it|say|~)\\s*)*";
const PART =
  "(?:an?\\s+|one\\s+)?(?:third|quarter|half)|two\\s+thirds|three\\s+quarters|[123]/[234]|[½⅓¼⅔¾]|\\d{1,2}\\s?%";
const GONE = "(?:used(?:\\s+up)?|gone|empty|missing|taken)";
const THERE = "(?:left|full|remain(?:s|ing)?|(?:still\\s+)?there)";
/** Of several packs it is said of one. */
const OF_ONE = `(?<one>(?:(?:but|and|with)\\s+)?(?:one|1|the\\s+(?:second|other|last|open)(?:\\s+one)?)(?:\\s+of\\s+(?:them|these|those|which))?(?:\\s+(?:is|box|pack|packet|only|now|already|open(?:ed)?(?:\\s+and)?))*\\s+)?`;
const REMARK = quick(
  new RegExp(
    `(?:\\s*[,;(–-]\\s*|\\s+)${OF_ONE}${ABOUT}(?:(?<part>${PART})[\\s-]+(?:of\\s+(?:it|them)\\s+)?(?:(?<gone>${GONE})|${THERE})|(?<=[,;(–-]\\s*)(?<half>half)|(?<few>(?:nearly|almost)\\s+(?:empty|gone|finished|all\\s+used|used\\s+up)|not\\s+(?:much|many)\\s+left|(?:just\\s+|only\\s+)?a\\s+few\\s+left))\\s*\\)?[\\s.!]*$`,
    "iu",
  ),
);
const MAY_SAY = /half|third|quarter|[123]\/[234]|[½⅓¼⅔¾]|%|nearly|almost|not\s+m|few/i;
/** "2 boxes of 100", "1 bx/50", "3 packs (20 each)", "box of 20 x 1", "packet of 100 - 1". */
const PACKED = quick(
  new RegExp(
    `(?:(?<![\\d.,]|[x×]\\s*)(?<packs>${N}|an?)\\s*(?:[x×]\\s*)?|(?<![\\p{L}\\d]\\s?[x×]\\s*|\\p{L}))(?:full\\s+|open(?:ed)?\\s+)?${PACKS}\\s*(?:(?:of|with|@|/)\\s*|\\(\\s*|(?<=\\s)(?=\\d{2,3}(?:$|\\)\\s*1\\s)))(?<each>${N})(?:\\s+(?:each|pcs|in\\s+each|per\\s+\\p{L}+))?\\s*\\)?(?:\\s*(?:[x×:]|-)\\s*(?<behind>\\d{1,2})|\\s*1\\s+${PACKS})?$`,
    "iu",
  ),
);
/** Where next to nothing is left, as many as "a few" are (phrasesOfUse.ts); the reader asks. */
const FEW = 3;
/** Longer lines are read in parts. */
const LONGEST = 160;

/** What is left, rounded to whole pieces, of gloves to whole pairs; one at least. */
function leftOf(each: number, share: number, name: string): number {
  const left = Math.max(1, Math.ceil(each * share - 0.5));
  return /gloves?\b/i.test(name) ? Math.max(2, left - (left % 2)) : left;
}

/** The share that a part in words, figures or per cent is. */
function shareOf(part = "half"): number {
  if (part.endsWith("%")) return Number.parseInt(part) / 100;
  return SHARES[part.toLowerCase().replace(/^(?:an?|one)\s+/, "")] ?? 1 / 2;
}
/** How many packs of how many. */
function amountOf(groups: Readonly<Record<string, string | undefined>>): {
  packs: number;
  each: number;
} {
  const told = groups["behind"] ?? groups["packs"] ?? "1";
  return { packs: /^an?$/i.test(told) ? 1 : valueOf(told), each: valueOf(groups["each"]!) };
}

/** What is left in packs. */
interface PartLeft {
  /** The text up to the packs. */
  readonly name: string;
  readonly pieces: number;
  readonly isDoubted: boolean;
}
/** What a text says is left in its packs; null: it says no such thing. */
export function partOfPack(text: string): PartLeft | null {
  const remark = text.length <= LONGEST && MAY_SAY.test(text) ? REMARK.exec(text) : null;
  if (remark === null) return null;
  const head = text.slice(0, remark.index).trimEnd();
  const packed = PACKED.exec(head);
  if (packed === null) return null;
  const { part, gone, half, few, one } = remark.groups!;
  const { packs, each } = amountOf(packed.groups!);
  // "2x big plasters boxes (50 each), one is half empty": how many packs there are is said elsewhere.
  if (one !== undefined && packs === 1) return null;
  const there = shareOf(part ?? half);
  const left = leftOf(each, gone === undefined ? there : 1 - there, head);
  const inOne = few === undefined ? left : Math.min(FEW, each);
  // Of two boxes "half used" may be said of both.
  const isOfAll = one === undefined && few === undefined;
  return {
    name: head.slice(0, packed.index),
    pieces: isOfAll ? packs * inOne : (packs - 1) * each + inOne,
    isDoubted: few !== undefined || half !== undefined || (packs > 1 && isOfAll),
  };
}
