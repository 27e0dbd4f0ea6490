import { NUMBER_WORDS } from "./numberWords.ts";
import { valueOf } from "./phrase.ts";
import { quick } from "./quick.ts";

/** Two things in one cell with two counts in another: "tweezers + magnifier" beside "1 + 1", "plasters and wipes" beside "forty and six". */

const NAMES_OF_BOTH = quick(
  /^[^/+&,]*\p{L}[^/+&,]*(?:\s[/+&]\s|,\s|\sand\s)[^/+&,]*\p{L}[^/+&,]*$|^\p{L}{4,}\s?[/+&]\s?\p{L}{4,}$/u,
);
/** "1 + 1", "forty and six", "2, 6". */
const COUNTS_OF_BOTH = quick(
  new RegExp(
    `^(${NUMBER_WORDS})\\s*(?:[/+&]|,\\s|\\s(?:and|y|e|et|und|en|og)\\s)\\s*(${NUMBER_WORDS})$`,
    "iu",
  ),
);

const SIZE = '\\d+(?:[.,]\\d+)?\\s?(?:mm|cm|in|["”″])';
/** "Crepe bandage 10 cm and 15 cm": one thing in two sizes. */
const SIZES_OF_ONE = quick(
  new RegExp(
    `^(.*\\p{L}.*?)[\\s,:]+(${SIZE})\\s*(?:[/+&,]|(?:and|y|e|et|und|en|og)\\s)\\s*(${SIZE})$`,
    "iu",
  ),
);

/** Both as one text, "plasters and wipes  40 + 6"; null: they are not two and two. */
export function bothCounted(names: string, counts: string): string | null {
  const both = COUNTS_OF_BOTH.exec(counts);
  const sized = both && SIZES_OF_ONE.exec(names);
  if (sized) {
    const [, name, first, second] = sized;
    return `${name}: ${first} (${valueOf(both[1]!)}), ${second} (${valueOf(both[2]!)})`;
  }
  if (!both || !NAMES_OF_BOTH.test(names)) return null;
  const said = /[/+&]/.test(counts) ? counts : `${valueOf(both[1]!)} + ${valueOf(both[2]!)}`;
  return `${names.replace(/\s*([/+&])\s*/, " $1 ")}  ${said}`;
}
