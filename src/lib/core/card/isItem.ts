import { isCountedPlainly } from "./countedPlainly.ts";
import { NAMES_FROM, type Draft } from "./draft.ts";
import type { Segment } from "./segments.ts";
import type { Style } from "./style.ts";
import type { Match } from "./vocabulary.ts";
import { THREE_LETTERS } from "./quick.ts";

/** Whether what a segment names lies in the kit, or is only spoken of. */

/** A phrase of a kind found in part names it from this weight and share on. */
const PART = { weight: 2.5, whole: 0.7 } as const;
/** Words name a kind of thing, or a thing that has no kind here. */
export const isNamed = ({ type, whole, weight }: Match): boolean =>
  type !== null &&
  (whole === 1 ? weight >= NAMES_FROM : weight >= PART.weight && whole >= PART.whole);

/** An unknown name is no longer than this on a plain line, and than that on a counted one. */
const LONGEST_NAME = { plain: 4, counted: 9 } as const;

interface Circumstances {
  readonly segment: Segment;
  readonly draft: Draft;
  readonly style: Style;
  /** The lines around it list items. */
  readonly amongItems: boolean;
  readonly counted: boolean;
}

/** "- whistle thing", "Whistle thing | 3": written as the items of this card are. */
const isListed = ({ segment, draft: { row }, style, counted }: Circumstances): boolean => {
  if (row.isOfList) return true;
  if (row.inTable) return row.quantity !== null;
  if (!row.bullet) return false;
  return style.bullets || (counted && !(segment.reading.article && !style.spoken));
};
/** "and two of those clip things": said aloud with a count, between the first and the last item. */
const isSaidAloud = ({ draft: { row }, style, counted }: Circumstances): boolean =>
  style.spoken &&
  counted &&
  /\b(?:a|an|one|two|three|some|of)\b|\d/i.test(row.text) &&
  row.source > style.first &&
  row.source <= style.last + 2 &&
  !/\b(?:the lot|that's|goes|right|so)\b/i.test(row.text);
/** "3 clip things": counted, in or next to a list without marks. */
const isCounted = ({ segment, draft: { row }, style, counted }: Circumstances): boolean =>
  !row.bullet &&
  style.counts &&
  !style.bullets &&
  counted &&
  !(segment.reading.article && !style.spoken) &&
  row.source > style.first - (/^\W*\d/.test(row.text) ? 5 : 2) &&
  row.source < style.last + 3 &&
  segment.reading.noun.split(" ").length <= LONGEST_NAME.counted;
/** "3 x clip things", on a card that names nothing else. */
const isPlainlyCounted = ({ segment, draft: { row, segments }, style }: Circumstances): boolean =>
  !style.spoken &&
  segments.length === 1 &&
  isCountedPlainly(row.text) &&
  segment.reading.noun.split(" ").length <= LONGEST_NAME.plain;
/** "clip thing": a short line between items. */
const isAmong = ({ segment, draft: { row }, style, amongItems }: Circumstances): boolean =>
  amongItems &&
  !style.spoken &&
  segment.reading.noun.split(" ").length <= LONGEST_NAME.plain &&
  !/[.!?:]\s*$/.test(row.text);

/** "First aid bag": what all of it lies in heads a card, unless it is listed itself. */
const isKitItself = ({ segment, draft: { row }, style, amongItems, counted }: Circumstances) =>
  segment.match.type === "container" &&
  (!counted || (style.spoken && row.source < style.first)) &&
  !row.bullet &&
  !(amongItems && segment.match.explained === 1);
/** A word for a thing in passing, said aloud without a count. */
const isInPassing = ({ segment: { match, tokens }, style, counted }: Circumstances): boolean =>
  style.spoken &&
  !counted &&
  (match.type === "container" ||
    match.explained < 0.6 ||
    (match.weight < 2.2 && tokens.length > 4));

/** "TQ, 2 trauma dressings, gauze x1": on a line with others that are named. */
const isBesideNamed = ({ segment, draft: { row, segments }, style }: Circumstances): boolean =>
  !style.spoken &&
  !/[.!?:]\s*$/.test(row.text) &&
  segment.reading.noun.split(" ").length <= 2 &&
  segments.filter((s) => s !== segment && isNamed(s.match)).length >= FEWEST_BESIDE;
/** Beside one it may be said of that one. */
const FEWEST_BESIDE = 2;

/** "3 x TK", "NS 0.9%": a trade's letters for something. */
const IN_LETTERS = /^[A-Z][A-Z\d]{1,5}$/;
/**
 * A thing without a type is an item only where the line is written like one.
 * @param isOpen the name leaves the kind open
 */
export function isItem(
  segment: Segment,
  draft: Draft,
  style: Style,
  amongItems: boolean,
  isOpen: boolean,
): boolean {
  const counted = segment.reading.pieces !== null || draft.row.quantity !== null;
  const c = { segment, draft, style, amongItems, counted };
  if (isNamed(segment.match)) return !isKitItself(c) && !isInPassing(c);
  // "Bandages – one wide": a name that leaves the kind open is one, where it is counted or listed.
  if (isOpen && (counted || draft.row.bullet || isBesideNamed(c))) return true;
  return (
    (THREE_LETTERS.test(segment.reading.noun) ||
      (counted && IN_LETTERS.test(segment.reading.noun.trim()))) &&
    [isListed, isSaidAloud, isCounted, isPlainlyCounted, isAmong].some((says) => says(c))
  );
}
