import { listsUsed, speaksOfAbsence, speaksOfWant } from "./absence.ts";
import { countBesideSize } from "./countsBySizes.ts";
import type { Knows } from "./countedSorts.ts";
import { NUMBER_SAID } from "./numberWords.ts";
import { quick } from "./quick.ts";
import { remarksSay } from "./remarkBehind.ts";
import { SIZED } from "./sized.ts";

/**
 * Several things on one line, each with its count: "Lid: marker pens 5, shears 1 & gauze swabs 2", "2x whistles / 1x torch".
 *
 *   line = [place] thing between thing …   one sign between all, or "and" before the last
 *   thing = count name | name count | name  (all count alike; a name alone is one)
 */

const N = `(?:\\d{1,3}(?![.,]?\\d)|(?:${NUMBER_SAID})(?![\\p{L}]))`;
/** "20 ml", "10 x 10": what a size begins with is no name. */
const NO_SIZE = '(?!(?:mm|cm|m|ml|cl|l|mg|g|in|ft|x|×|"|”)(?![\\p{L}])|[x×]\\s?\\d)';
const PIECES =
  "(?:\\s*(?:pcs|off|pieces|pairs?|prs?|rolls?|box(?:es)?|packs?|tubes?|bottles?|sachets?))?";
const whole = (source: string) => quick(new RegExp(`^(?:${source})$`, "iu"));
/** "4 whistles", "4x whistles", "a whistle". */
const COUNT_FIRST = whole(
  `(?:${N}\\s*(?:[x×]\\s*)?|an?\\s+|(?=(?:pair|roll|box|pack|bottle|tube)\\s+of\\s))${NO_SIZE}[\\p{L}\\d].*\\p{L}.*`,
);
/** "whistles x4", "whistles: 4", "whistles (4)", "whistles 4 pcs". */
const COUNT_LAST = whole(
  `(?<name>\\p{L}.*?|\\d+\\s?(?:ml|mg|g|cm|mm)\\s\\p{L}.*?)(?:\\s*[:=]\\s*|\\s+[-–]\\s+|(?<!\\d)\\s*[x×]\\s?|\\s+)(?:${N}\\s?[x×]?${PIECES}|\\(\\s*[x×]?\\s?${N}\\s?[x×]?${PIECES}\\s*\\)|\\[\\s*${N}\\s*\\])`,
);

/** "Lid: ", "R lower - ", "Main | ": where the things lie. */
const PLACE = quick(
  /^(?<place>[^\d:,;()|=]{2,24}?(?:\s\d{1,2})?)\s*(?::|\s[-–—]|=|\||\bhas\b)\s+(?=\S)/iu,
);
/** "two and a half", "two hundred and fifty": one number. */
const AND =
  /(?<!\bhundred)\s+(?:and|&|plus)\s+(?!(?:a\s+(?:half|quarter|third)|three\s+quarters)\b)/i;
/** What may stand between, the likeliest first; a comma without a blank only where no other sign is. */
const BETWEEN: readonly (readonly [name: string, pattern: RegExp])[] = [
  [";", /\s*;\s+/],
  ["+", /\s+\+\s+/],
  [",", /\s*,\s+/],
  ["/", /\s+\/\s+/],
  ["·", /\s+[·•]\s+/],
  ["-", /\s+[-–—]\s+/],
  [".", /\.\s+/],
  ["&", AND],
  ["gap", /\s{2,}/],
  [",,", /(?<=[^\d\s]|\d),(?=\S)/],
];
/** Most lines have none of them. */
const ANY_SIGN = /[,;+/·•&]|\sand\s|\s[-–—]\s|\.\s|\S\s{2,}\S/i;
/** Where a name alone counts as one; behind a comma or a dash it may be said of the thing before. */
const BARE_BETWEEN: ReadonlySet<string> = new Set([";", "+", "·", "&"]);
/** "3 x gauze bandage / conforming bandage", "2 tourniquets - one windlass": of two, these may be one in other words. */
const NEVER_OF_TWO: ReadonlySet<string> = new Set(["/", "-", "gap"]);
/** Two may be a thing and what is said of it. */
const FEWEST_SURE = 3;
const LONGEST = 200;

/** A part that is a list itself. */
const OTHER_SIGN = /[,;+·]\s|\s\/\s/;
/** "2 boxes of gloves, 10 each": what packs hold. */
const OF_PACKS = /\b(?:per|each|apiece|in\s+(?:all|total)|altogether|total)\b/i;
/** "one windlass": says more of what was counted. */
const ONE_OF_THEM = /^(?:one|an?|1)\s/i;
/** "Not in it: ", "used today: ", "ordered, not yet here: ". */
const DENIES = /\b(?:no|not|never|used|without|missing|ordered|wanted|buy|needs?|shopping)\b/i;

/** A part as it is written: how it is counted, and what may be its name. */
interface Part {
  readonly way: "first" | "last" | "bare";
  readonly name: string;
}
function partOf(text: string): Part | null {
  if (COUNT_FIRST.test(text)) return { way: "first", name: text };
  const last = COUNT_LAST.exec(text)?.groups?.["name"];
  if (last !== undefined) return { way: "last", name: last };
  const name = text.replace(SIZED, " ");
  return /\d/.test(name) ? null : { way: "bare", name };
}
const isNamed = ({ way, name }: Part, { names, isWhole }: Knows): boolean =>
  way === "bare" ? isWhole(name) && remarksSay(name, LONGEST) === null : names(name);

/** Whether all are things counted in one way, and of several kinds. @param inPlace where they lie is said before them */
function areCounted(
  texts: readonly string[],
  { between, inPlace }: { readonly between: string; readonly inPlace: boolean },
  of: Knows,
): boolean {
  const parts = texts.flatMap((text) => partOf(text) ?? []);
  const counted = new Set(parts.flatMap(({ way }) => (way === "bare" ? [] : way)));
  if (parts.length < texts.length || counted.size !== 1) return false;
  const bare = parts.filter(({ way }) => way === "bare").length;
  const mayBeBare =
    inPlace || BARE_BETWEEN.has(between) || (parts.length >= FEWEST_SURE && bare === 1);
  if (bare > 0 && !mayBeBare) return false;
  const maySaySame =
    parts.length === 2 && NEVER_OF_TWO.has(between) && (between === "/" || !inPlace);
  if (maySaySame && (bare > 0 || ONE_OF_THEM.test(texts[1]!))) return false;
  // What the words name is asked last: it costs most.
  if (!parts.every((part) => isNamed(part, of))) return false;
  return new Set(parts.map(({ name }) => of.typeOf(name))).size === parts.length;
}

/** A line without the place before its things; null: it says that they are not there. */
function behindPlace(text: string, of: Knows): { list: string; inPlace: boolean } | null {
  const place = PLACE.exec(text);
  const before = place?.groups!["place"] ?? "";
  if ([speaksOfAbsence, speaksOfWant, listsUsed].some((says) => says(before))) return null;
  if (DENIES.test(before)) return null;
  const inPlace = place !== null && (!of.isWhole(before) || of.typeOf(before) === "container");
  return { list: inPlace ? text.slice(place[0].length) : text, inPlace };
}

/** "AED kit (razor", "towel) x 2": the sign stood within brackets. */
const isWithinBrackets = (thing: string): boolean => /^[^(]*\)|\([^)]*$/.test(thing);

/** What stands between signs of one kind, before the last of them perhaps "and"; null: one thing, or lists within a list. */
function partsOf(list: string, between: string, pattern: RegExp): string[] | null {
  const parts = list.trim().replace(/[.;]$/, "").split(pattern);
  if (parts.length < 2 && between !== "&") return null;
  const last = parts.at(-1)!.split(AND);
  const things = last.length === 2 ? [...parts.slice(0, -1), ...last] : parts;
  const isMixed = between !== "." && things.some((thing) => OTHER_SIGN.test(thing));
  return things.length < 2 || isMixed || things.some(isWithinBrackets) ? null : things;
}

/** The things of a line apart, without the place before them; null: it is not such a list. */
export function countedList(text: string, of: Knows): string[] | null {
  const mayList = text.length <= LONGEST && ANY_SIGN.test(text) && !OF_PACKS.test(text);
  const said = mayList ? behindPlace(text, of) : null;
  if (said === null) return null;
  const { list, inPlace } = said;
  for (const [between, pattern] of BETWEEN) {
    const things = partsOf(list, between, pattern);
    if (things && areCounted(things, { between, inPlace }, of)) return things.map(countBesideSize);
  }
  return null;
}
