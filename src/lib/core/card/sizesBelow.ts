import type { Draft } from "./draft.ts";
import { isSure } from "./draft.ts";
import type { Match } from "./vocabulary.ts";

/**
 * A heading that is the item, with its sizes and counts alone below it:
 * "Crepe bandages" / "5 cm x 4.5 m - 6" / "10 cm x 4.5 m - 4".
 */

/** No word but those that count or measure. */
const saysNoName = (d: Draft): boolean =>
  !/\p{L}{3}/u.test(d.whole.noun.replace(/\b(?:rolls?|pcs|pieces|each|env|wide|long)\b/giu, "")) &&
  (d.whole.sizeMm !== null || d.whole.bare !== null) &&
  /\d/.test(d.row.text);

/** For each draft: the match of the heading it stands under, or null where it names itself. */
export function namedByHeading(drafts: readonly Draft[]): (Match | null)[] {
  let heading: { match: Match; source: number } | null = null;
  return drafts.map((d) => {
    if (saysNoName(d)) {
      if (!heading || d.row.source - heading.source > 1) return null;
      heading.source = d.row.source;
      return heading.match;
    }
    const counted = d.whole.pieces !== null && !/\d+\s*per\s/i.test(d.row.text);
    heading =
      isSure(d.match) && !counted && d.whole.sizeMm === null
        ? { match: d.match, source: d.row.source }
        : null;
    return null;
  });
}
