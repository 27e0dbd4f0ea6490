import type { Catalogue } from "../catalogue/catalogue.ts";
import type { OpenName } from "../catalogue/openName.ts";
import { isPlainWord } from "./vocabulary.ts";
import { foldedWords } from "./words.ts";

/** "gloves, 1 box": what it comes in tells no kind. A roll does, and so may a pack. */
const BOXED = /^(?:box|bx|carton|packet|pkt|wallet|sleeve)$/;

/**
 * The name that leaves open which kind it is; null: the words tell, or name another thing.
 * @param noun words that name the thing, counts and sizes off
 * @param tells whether a word beyond the name may tell the kind; one that nobody knows does not
 */
export function openNameOf(
  noun: string,
  { openNames }: Catalogue,
  tells: (word: string) => boolean = () => true,
): OpenName | null {
  const all = foldedWords(noun);
  const words = all.filter((w) => !isPlainWord(w) && !BOXED.test(w));
  if (words.length === 0) return null;
  return (
    openNames.find(
      (o) =>
        words.includes(o.words[0]!) &&
        words.every((w) => o.words.includes(w) || !tells(w)) &&
        (o.madeBy || o.words.includes(words.at(-1)!)) &&
        !o.tells?.some((w) => all.includes(w)),
    ) ?? null
  );
}
