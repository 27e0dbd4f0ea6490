import type { Draft } from "./draft.ts";
import { isSure } from "./draft.ts";
import type { Match } from "./vocabulary.ts";
import { THREE_LETTERS, quick } from "./quick.ts";

/**
 * A heading that is the item, with its sizes and counts alone below it:
 * "Crepe bandages" / "5 cm x 4.5 m - 6" / "10 cm x 4.5 m - 4".
 */

/** No word but those that count or measure. */
const saysNoName = (d: Draft): boolean =>
  !THREE_LETTERS.test(d.whole.noun.replace(/\b(?:rolls?|pcs|pieces|each|env|wide|long)\b/gi, "")) &&
  (d.whole.sizeMm !== null || d.whole.bare !== null) &&
  /\d/.test(d.row.text);
/** "M   25", "Large: 4": of gloves. */
const LETTER_SIZE = /^\W*(?:XS|XX?L|[SML]|small|medium|large)\b\W*(?:[x×]\s*)?(?:\d{1,4}\b.*)?$/i;
const saysLetter = (d: Draft): boolean =>
  LETTER_SIZE.test(d.row.text) && (d.row.quantity !== null || d.whole.pieces !== null);

/** What a heading says of the rows of sizes below it. */
export interface SizeHeading {
  readonly match: Match;
  /** "2 per envelope": what each pack counted below holds; null: it does not say. */
  readonly perPack: number | null;
  /** "Gloves (pairs)": what is counted below. */
  readonly inPairs: boolean;
}

const PER_PACK = quick(/\b(\d{1,3})\s*(?:per|in\s+an?|to\s+an?)\s+\p{L}+/iu);

/** For each draft: the heading it stands under, or null where it names itself. */
export function namedByHeading(drafts: readonly Draft[]): (SizeHeading | null)[] {
  let heading: (SizeHeading & { source: number }) | null = null;
  return drafts.map((d) => {
    const isGlove = heading?.match.type?.endsWith("gloves") === true;
    if (saysNoName(d) || (isGlove && saysLetter(d))) {
      if (!heading || d.row.source - heading.source > 1) return null;
      heading = { ...heading, source: d.row.source };
      return heading;
    }
    const perPack = PER_PACK.exec(d.row.text)?.[1];
    const isCounted = d.whole.pieces !== null && perPack === undefined;
    heading =
      isSure(d.match) && !isCounted && d.whole.sizeMm === null && d.row.quantity === null
        ? {
            match: d.match,
            perPack: perPack ? Number(perPack) : null,
            inPairs: d.whole.inPairs,
            source: d.row.source,
          }
        : null;
    return null;
  });
}
