import { NUMBER_WORDS } from "./numberWords.ts";
import { quick } from "./quick.ts";
import { SPOKEN_LEAD } from "./saidAloud.ts";

/** "four each of eye pads and slings", "2 each: shears, tweezers": several things, each counted so. */

const EACH_OF = quick(
  new RegExp(
    `^(?<lead>${SPOKEN_LEAD})(?<count>${NUMBER_WORDS})\\s*(?:[x×]\\s*)?(?:(?:of\\s+)?each|apiece)\\s*(?:of\\s+(?:the\\s+)?|:\\s*|[-–]\\s+)(?<things>\\p{L}[^\\d]*)$`,
    "iu",
  ),
);
/** "eye pads and slings, 4 each": said behind them. */
const EACH_BEHIND = quick(
  new RegExp(
    `^\\W*(?<things>\\p{L}[^\\d]*?)\\s*[,:–(-]\\s*(?<count>${NUMBER_WORDS})\\s*(?:[x×]\\s*)?(?:of\\s+)?each\\s*\\)?\\s*\\.?$`,
    "iu",
  ),
);
const BETWEEN = /\s*,\s*(?:(?:and|plus|&)\s+)?|\s+(?:and|plus|&|\+)\s+/i;
/** "the usual, and so on": a name is short. */
const LONGEST_NAME = 40;

/** The things one by one, each with its count; null: they are not several, or not all are named. */
export function eachAlike(text: string, names: (text: string) => boolean): string[] | null {
  if (!/\b(?:each|apiece)\b/i.test(text)) return null;
  const said = (EACH_OF.exec(text) ?? EACH_BEHIND.exec(text))?.groups;
  const things =
    said?.["things"]!.trim()
      .replace(/[.;]+$/, "")
      .split(BETWEEN) ?? [];
  if (things.length < 2 || !things.every((thing) => thing.length <= LONGEST_NAME && names(thing)))
    return null;
  return things.map(
    (thing, i) => `${i === 0 ? (said!["lead"] ?? "") : ""}${said!["count"]!} ${thing}`,
  );
}
