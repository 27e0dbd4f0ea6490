import { LONGEST_LINE } from "./cardLimits.ts";
import { withDateApart, withoutLot } from "./lotNumbers.ts";
import { quick, THREE_LETTERS } from "./quick.ts";

/** What a list has at both edges of its lines, line after line: marks, blanks to fill, lots. It names and counts nothing. */

/** So many of a card's lines must have it; in a card of fewer lines it is chance. */
const SHARE = 0.6;
const FEWEST = 3;
/** Whether so many of the lines that say anything have it. */
export function isHabit(
  lines: readonly string[],
  has: (line: string, at: number) => boolean,
  share = SHARE,
): boolean {
  let [written, having] = [0, 0];
  lines.forEach((line, at) => {
    if (!THREE_LETTERS.test(line)) return;
    written++;
    if (has(line, at)) having++;
  });
  return having >= FEWEST && having >= share * written;
}

/** "# plasters", "o 2 wipes": no heading and no nought where every line has it. */
const MARK = quick(/^(\s*)(?:#|o|=>|->|\/\/|\.)\s+(?=[\p{L}\d([])/u);
/** A list with a mark that means something else elsewhere. */
export const marksAsList = (lines: readonly string[]): string[] =>
  isHabit(lines, (line) => MARK.test(line))
    ? lines.map((line) => line.replace(MARK, "$1- "))
    : [...lines];

/** "tweezers ______", "2 wipes [ ] [ ]": what is to be filled in at the check; behind a colon it is somebody's name. */
const BLANKS = quick(/(?<=[\p{L}\d)][.]?)(?:\s*_{3,}(?!_)|\s+\[\s*\]|\s+[☐□])+\s*$/u);
export const withoutBlanks = (lines: readonly string[]): string[] =>
  isHabit(lines, (line) => BLANKS.test(line))
    ? lines.map((line) => line.replace(BLANKS, ""))
    : [...lines];

/** " 3  12 plasters": every line, its title and its remarks too, with its own number. */
const LINE_NUMBER = /^\s*(\d{1,3})(?:[.:)|]\s?|\s(?!\s*[x×]\s)|$)/;
/** Fewer lines may count one, two, three of what they name. */
const FEWEST_NUMBERED = 6;
export function withoutLineNumbers(lines: readonly string[]): string[] {
  const isNumbered = (line: string, i: number) =>
    line.trim() === "" || Number(LINE_NUMBER.exec(line)?.[1]) === i + 1;
  const written = lines.filter((line) => line.trim() !== "").length;
  return written >= FEWEST_NUMBERED && lines.every(isNumbered)
    ? lines.map((line) => line.replace(LINE_NUMBER, ""))
    : [...lines];
}

/** " 9  Ice packs    0", "10 Scissors    1": numbered rows of a table, where a number of two figures leaves one blank before the name. */
const ROW_NUMBER = quick(/^\s*(\d{1,2})(\s+)(?=\p{L}.*\s{2,}\d)/u);
export function withoutRowNumbers(lines: readonly string[]): string[] {
  const found = lines.map((line) => (line.length > LONGEST_LINE ? null : ROW_NUMBER.exec(line)));
  const rows = found.filter((m) => m !== null);
  const runs = rows.every((m, i) => Number(m[1]) === i + 1);
  const leavesOne = rows.some((m) => m[1]!.length === 2 && m[2]!.length === 1);
  const leavesTwo = rows.every((m) => m[1]!.length === 2 || m[2]!.length > 1);
  return rows.length > FIGURES && runs && leavesOne && leavesTwo
    ? lines.map((line, i) =>
        found[i] ? " ".repeat(found[i][0].length) + line.slice(found[i][0].length) : line,
      )
    : [...lines];
}
/** So many numbers have one figure. */
const FIGURES = 9;

/** Sizes, units, packs and things in two or three capitals. */
export const NO_INITIALS = "XX?L|XS|SM|LG|ML|MM|CM|EA|PK|BX|PR|OK|TQ|AED|BVM|ORS|NPA|OPA|ABD|CPR";
/** "2 wipes   KO": who looked, set apart, on line after line; sizes of gloves are none. */
const INITIALS = quick(
  new RegExp(`(?<=\\S)\\s{2,}(?!(?:${NO_INITIALS})\\b)\\p{Lu}{2,3}\\.?\\s*$`, "u"),
);
export const withoutInitials = (lines: readonly string[]): string[] =>
  isHabit(lines, (line) => INITIALS.test(line))
    ? lines.map((line) => line.replace(INITIALS, ""))
    : [...lines];

/** At the end of a line, or of its last cell. */
const AT_END = '(?="?\\s*\\|?\\s*$)';
/** "eye pads  4.0", "gauze: 12.00": a spreadsheet's whole numbers. */
const POINT_NOUGHT = new RegExp(`(?<=(?:^|[^\\d,])\\d{1,4})[.,]0${AT_END}`);
const POINT_NOUGHTS = new RegExp(`(?<=(?:^|[^\\d,])\\d{1,4})[.,]00${AT_END}`);
const POINT_TWO = new RegExp(`[.,]\\d\\d${AT_END}`);
const IS_MONEY =
  /[£€$₱]|\b(?:eur|usd|gbp|chf|nok|sek|dkk|isk|pln|czk|huf|ron|php|kes|ngn|inr|zar|sgd|aud|cad|nzd|hkd|kr|rs|ksh)\b|\b[PRN]\s?\d+\.\d\d|\d[.,]\d\d\s+\d+[.,]\d\d\s*$|\b(?:price|cost|total)\b/i;
const COUNTED_ELSEWHERE = quick(/^\W*\d+\s*(?:[x×]\s*)?\p{L}|(?<!\d\s?)[x×]\s?\d+\s/iu);
/** Of fewer lines prices may all be whole. */
const FEWEST_WHOLE = 4;
/** Prices have two figures behind the point, and seldom all noughts; beside another count they are prices all the same. */
function haveNoughts(lines: readonly string[]): boolean {
  const twos = lines.filter((line) => POINT_TWO.test(line));
  return (
    twos.length >= FEWEST_WHOLE &&
    twos.every((line) => POINT_NOUGHTS.test(line) && !COUNTED_ELSEWHERE.test(line)) &&
    !lines.some((line) => IS_MONEY.test(line))
  );
}
export function withoutPointNought(lines: readonly string[]): string[] {
  if (isHabit(lines, (line) => POINT_NOUGHT.test(line)))
    return lines.map((line) => line.replace(POINT_NOUGHT, ""));
  return haveNoughts(lines) ? lines.map((line) => line.replace(POINT_NOUGHTS, "")) : [...lines];
}

/** "Eye pads Q4", "Whistle: Q2": how many, by a letter that fewer lines do not tell. */
const COUNT_BY_LETTER = quick(
  // Ahead first: what stands before is looked at only where a line ends so.
  /(?=Q\d{1,3}[)"”]?\s*\|?\s*$)(?<=\p{L}{3}.*[\s:;,|\t/=_."“(–—>-]\s*)Q/u,
);
export const withoutCountLetter = (lines: readonly string[]): string[] =>
  isHabit(lines, (line) => line.length <= LONGEST_LINE && COUNT_BY_LETTER.test(line))
    ? lines.map((line) => line.replace(COUNT_BY_LETTER, ""))
    : [...lines];

/** "exp none", "no expiry": of the date, not of the thing. */
const NO_DATE =
  /(?:[,;(]|\s[-–—])?\s*\b(?:exp(?:iry|ires?|\.)?(?:\s+date)?\s*[:=]?\s*(?:none|n\/?a|nil)|no\s+(?:expiry|exp\.?|use[\s-]by)(?:\s+date)?)(?![\w/])\)?/gi;
export const withoutLotsAndDates = (lines: readonly string[]): string[] =>
  lines.map((line) => {
    const plain = withoutLot(line);
    return /exp|use|best/i.test(plain) ? withDateApart(plain.replace(NO_DATE, "")) : plain;
  });

/** "4 eye pads;", "2 whistles.": one mark at the end of a line, none of its kind within it. */
const END_MARK = quick(
  /^(?:[^;]*[\p{L}\d)"”″];|[^,]*[\p{L}\d)"”″],|(?!.*\b(?:is|are|was|were|has|have|had|need|check|keep)\b)(?:(?![.!?]\s).)*[\p{L}\d)"”″](?<!\d\s?\p{L}{1,4})\.)\s*$/iu,
);
/** "crepe: 5 cm x2, 7.5 cm x4,": among others of its kind it parts nothing only where every line ends so. */
const LAST_COMMA = quick(/[\p{L}\d)"”″],\s*$/u);
const NEARLY_ALL = 0.9;
/** Longer lines are sentences. */
const LONGEST_LISTED = 100;
/** A list each line of which ends in a mark, as a law's schedule: without the marks, which part nothing. */
export function withoutEndMarks(lines: readonly string[]): string[] {
  const isMarked = (line: string) => line.length <= LONGEST_LISTED && END_MARK.test(line);
  const endsSo = (line: string) => LAST_COMMA.test(line);
  const has = isHabit(lines, endsSo, NEARLY_ALL)
    ? endsSo
    : isHabit(lines, isMarked)
      ? isMarked
      : null;
  return lines.map((line) => (has?.(line) ? line.trimEnd().slice(0, -1) : line));
}

/** "**two finger plasters**": where most lines are set off, it says nothing of one. */
const SET_OFF = quick(/^(\s*)(\*\*|__|\*|_)(?=\S)([^*_]+)\2\s*$/u);
export const withoutEmphasis = (lines: readonly string[]): string[] =>
  isHabit(lines, (line) => SET_OFF.test(line))
    ? lines.map((line) => line.replace(SET_OFF, "$1$3"))
    : [...lines];
