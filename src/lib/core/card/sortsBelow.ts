import type { Draft } from "./draft.ts";
import { isSure } from "./draft.ts";
import { openNameOf } from "./openName.ts";
import { matchType, type Match, type Vocabulary } from "./vocabulary.ts";
import { foldedWords } from "./words.ts";
import { quick } from "./quick.ts";

/** A heading of one word, with what sorts there are of it below: "Dressings:" / "eye x2" / "burn x1". */

const HEADING = quick(/^\s*\p{L}{3,}\s*:\s*$/u);
/** Longer rows name a thing by themselves. */
const MOST_WORDS = 2;

/** For each draft: what it names together with its heading; null where it names itself, or still nothing. */
export function sortsBelow(drafts: readonly Draft[], vocabulary: Vocabulary): (Match | null)[] {
  let head: string | undefined;
  return drafts.map((d) => {
    if (HEADING.test(d.row.text)) {
      head = foldedWords(d.row.text).find((w) => vocabulary.heads.has(w));
      return null;
    }
    const { noun, pieces } = d.whole;
    const isSort = pieces !== null && d.segments.length === 1 && !isSure(d.match);
    if (head === undefined || !isSort || foldedWords(noun).length > MOST_WORDS) return null;
    const name = `${noun} ${head}`;
    const match = matchType(name, vocabulary);
    const isNamed = isSure(match) && match.explained === 1;
    return isNamed && openNameOf(name, vocabulary.catalogue) === null ? match : null;
  });
}
