import { LONGEST_LINE } from "./cardLimits.ts";
import { countOf, remarksSay } from "./remarkBehind.ts";
import { quick } from "./quick.ts";

/** What is said of a thing in the middle of a sentence: "six wipes - two look dried out - and a roll of tape", "dressings (all in date) and two eye pads". */

/** Longer, and it is a clause of its own. */
const LONGEST = 40;
const ASIDE = quick(
  new RegExp(
    `(?:(?<!\\s)\\s+\\(([^()]{2,${LONGEST}})\\)|\\s[-–—]\\s(?!\\s)([^-–—,;:.()]{2,${LONGEST}})(?<!\\s)\\s[-–—])(?=\\s+(?:and|plus)\\s|[,;]\\s+\\p{L}|\\s*$)`,
    "giu",
  ),
);
/** Another thing of the sentence begins. */
const NEXT_THING = /[,;.:]\s|\s(?:and|plus)\s/i;
const LISTS = /[,;]\s|\s(?:and|plus)\s/;

/** Sentences without what is said of a thing in between, where that takes nothing of its count: what goes on behind it is no part of it. */
export const withoutAsides = (lines: readonly string[]): string[] =>
  lines.map((line) =>
    line.length <= LONGEST_LINE && /\(|\s[-–—]\s/.test(line) && LISTS.test(line)
      ? plain(line)
      : line,
  );

const plain = (line: string): string =>
  line.replace(ASIDE, (all, bracketed: string | undefined, dashed: string, at: number) => {
    // A remark that ends the line is read with its row.
    if (bracketed !== undefined && line.slice(at + all.length).trim() === "") return all;
    const before = line.slice(0, at).split(NEXT_THING).at(-1)!;
    const says = remarksSay(bracketed ?? dashed, countOf(before));
    return says === "there" || says === "some" ? "" : all;
  });
