import { RECORD_END } from "./besideEach.ts";
import { LONGEST_LINE } from "./cardLimits.ts";
import { IN_BRACKETS } from "./inBrackets.ts";
import { NUMBER_WORDS } from "./numberWords.ts";
import { PLACE_WORDS } from "./placeWords.ts";
import { quick, THREE_LETTERS } from "./quick.ts";

/**
 * Two lists side by side, in whatever words: "gloves: 5 pr M, 5 pr L     gloves: 3 pr L", "Sling | Sling x 2, pins x 6". One column
 * of blanks, or a bar, parts nearly all lines, and both halves name things; each half is a line of its own.
 */

type Names = (text: string) => boolean;
interface Halves {
  readonly left: string;
  readonly right: string;
}

/** Fewer lines with both halves may be chance. */
const FEWEST_BOTH = 3;
/** Of the lines with both so many name things on both sides: in a table one side counts, or remarks. */
const SHARE_NAMED = 0.75;
/** Nothing shorter stands in a left list. */
const NARROWEST = 10;
/** A ruled table, cells of other signs, dots that lead to a count. */
const OTHERWISE = /^\s*\||\|.*\||\t|;\s*\S+;|\.{4}/;
/** What a part of a half says besides its name. */
const COUNTS = quick(
  new RegExp(
    `(?<![\\p{L}])(?:[x×]\\s?)?(?:${NUMBER_WORDS})(?![\\p{L}])(?:\\s?[x×])?|\\s(?:pairs?|prs?|pcs|box(?:es)?|packs?|rolls?)\\b`,
    "giu",
  ),
);
const PARTS = /[,;&+]\s+|\s+(?:and|plus)\s+/;

/** "BAG A", "Pool bag": where a list lies. */
const IS_PLACE = quick(
  new RegExp(`^(?:[\\p{L}'’]+\\s+){0,2}(?:${PLACE_WORDS})(?:\\s+(?:\\d{1,2}|\\p{L}))?:?$`, "iu"),
);

/** Whether a half names things, and hardly anything else. */
function namesThings(half: string, names: Names): boolean {
  const parts = half
    .replace(IN_BRACKETS, " ")
    .split(PARTS)
    .filter((part) => THREE_LETTERS.test(part));
  return (
    parts.length > 0 &&
    !IS_PLACE.test(half) &&
    names(
      parts[0]!
        .replace(COUNTS, " ")
        .replace(/[:–-]\s*$/, "")
        .trim(),
    )
  );
}

/** Where the right list begins on most lines: the column behind a gap; null: nowhere. */
function columnOf(lines: readonly string[]): number | null {
  const starts = new Map<number, number>();
  for (const line of lines)
    for (const { index } of line.matchAll(/(?<=\S\s{2,})\S/g))
      if (index >= NARROWEST) starts.set(index, (starts.get(index) ?? 0) + 1);
  const [most] = [...starts].sort((a, b) => b[1] - a[1]);
  return most && most[1] >= FEWEST_BOTH ? most[0] : null;
}

/** A line in two at a column; null: text runs across it. */
function partedAt(line: string, column: number): Halves | null {
  const left = line.slice(0, column);
  if (line.length > column && !/\s{2}$/.test(left)) return null;
  return { left: left.trim(), right: line.slice(column).trim() };
}
function partedByBar(line: string): Halves | null {
  const [left, right, ...more] = line.split(/\s\|(?:\s|$)/);
  return right === undefined || more.length > 0
    ? null
    : { left: left!.trim(), right: right.trim() };
}

/** The halves of each line; null: the card is not two lists, or its parts are not told. */
function halvesOf(lines: readonly string[], names: Names): (Halves | null)[] | null {
  if (lines.some((line) => line.length > LONGEST_LINE || OTHERWISE.test(line))) return null;
  const byBar = lines.filter((line) => partedByBar(line) !== null).length >= FEWEST_BOTH;
  const column = byBar ? null : columnOf(lines);
  if (!byBar && column === null) return null;
  const halves = lines.map((line) => (byBar ? partedByBar(line) : partedAt(line, column!)));
  const both = halves.filter((half) => half !== null && half.left !== "" && half.right !== "");
  const named = both.filter(
    (half) => namesThings(half!.left, names) && namesThings(half!.right, names),
  ).length;
  return named >= FEWEST_BOTH && named >= SHARE_NAMED * (both.length - 1) ? halves : null;
}

/**
 * The lines of a card, such halves set apart: as many lines as before.
 * @param names whether a text surely names one item
 */
export function halvesBeside(lines: readonly string[], names: Names): readonly string[] {
  const halves = halvesOf(lines, names);
  if (halves === null) return lines;
  const isNamed = (half: Halves | null) =>
    half !== null && [half.left, half.right].some((text) => namesThings(text, names));
  const first = halves.findIndex(isNamed);
  return lines.map((line, at) => {
    const half = halves[at];
    if (!half || half.right === "") return line;
    // "Cupboard      Van" over them says where each list lies.
    if (at < first) return "";
    return [half.left, half.right].filter((text) => text !== "").join(RECORD_END);
  });
}
