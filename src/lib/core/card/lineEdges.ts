import { CARRIED } from "./placeWords.ts";
import { quick, THREE_LETTERS } from "./quick.ts";

/** What a list has at both edges of its lines, line after line: marks, blanks to fill, lots. It names and counts nothing. */

/** So many of a card's lines must have it; in a card of fewer lines it is chance. */
const SHARE = 0.6;
const FEWEST = 3;
const isHabit = (lines: readonly string[], has: (line: string) => boolean): boolean => {
  const written = lines.filter((line) => THREE_LETTERS.test(line));
  const having = written.filter(has).length;
  return having >= FEWEST && having >= SHARE * written.length;
};

/** "# plasters", "o 2 wipes": no heading and no nought where every line has it. */
const MARK = quick(/^(\s*)(?:#|o|=>|->|\/\/|\.)\s+(?=[\p{L}\d([])/u);
/** A list with a mark that means something else elsewhere. */
export const marksAsList = (lines: readonly string[]): string[] =>
  isHabit(lines, (line) => MARK.test(line))
    ? lines.map((line) => line.replace(MARK, "$1- "))
    : [...lines];

/** "*Eyes*", "_Eyes_": set off alone on its line, without a number. */
const EMPHASISED = quick(/^(\s*)([*_]{1,2})(\p{L}[^*_\d]{1,40}?)\2:?\s*$/u);
/** "1. Eyes", "B) Eyes", "II. Eyes": numbered, and nothing counted. */
const NUMBERED = quick(/^(\s*)(?:\d{1,2}|[A-Z]|[IVX]{1,4})[.)]\s+(\p{L}[^\d,;:]{1,40})$/u);
const LISTED = /^\s*(?:[-–•*+]\s|\[[ xX]?\]|[☐☑✓])/;
/** "Pouch 1", "Bag 2": alone, one after another. */
const HOLDER = new RegExp(`^\\s*(?:${CARRIED})\\s+(?:no\\.?\\s*)?\\d{1,2}\\s*:?\\s*$`, "i");
/** So many of them head the lists of a card. */
const FEWEST_HEADINGS = 2;
/** Headings that are written as if they were of the list below them: as headings. */
export function emphasisAsHeadings(lines: readonly string[]): string[] {
  const holders = new Set(lines.filter((line) => HOLDER.test(line)).map((line) => line.trim()));
  const headsList = (i: number): boolean =>
    (holders.size >= FEWEST_HEADINGS && holders.has(lines[i]!.trim())) ||
    (NUMBERED.test(lines[i]!) &&
      LISTED.test(lines.slice(i + 1).find((l) => l.trim() !== "") ?? ""));
  const at = lines.flatMap((line, i) =>
    EMPHASISED.test(line.slice(0, LONGEST_LISTED)) || headsList(i) ? [i] : [],
  );
  if (at.length < FEWEST_HEADINGS) return [...lines];
  const heads = new Set(at);
  return lines.map((line, i) =>
    heads.has(i)
      ? line
          .replace(EMPHASISED, "$1## $3")
          .replace(NUMBERED, "$1## $2")
          .replace(HOLDER, (text) => `## ${text.trim()}`)
      : line,
  );
}

/** "tweezers ______", "2 wipes [ ] [ ]": what is to be filled in at the check; behind a colon it is somebody's name. */
const BLANKS = quick(/(?<=[\p{L}\d)][.]?)(?:\s*_{3,}|\s+\[\s*\]|\s+[☐□])+\s*$/u);
export const withoutBlanks = (lines: readonly string[]): string[] =>
  isHabit(lines, (line) => BLANKS.test(line))
    ? lines.map((line) => line.replace(BLANKS, ""))
    : [...lines];

/** "2 wipes   KO": who looked, set apart, on line after line; sizes of gloves are none. */
const INITIALS = quick(
  /(?<=\S)\s{2,}(?!(?:XX?L|XS|SM|LG|ML|MM|CM|EA|PK|BX|PR|OK)\b)\p{Lu}{2,3}\.?\s*$/u,
);
export const withoutInitials = (lines: readonly string[]): string[] =>
  isHabit(lines, (line) => INITIALS.test(line))
    ? lines.map((line) => line.replace(INITIALS, ""))
    : [...lines];

/** "eye pads  4.0": a spreadsheet's whole numbers; prices have two figures behind the point. */
const WHOLE = /(?<=\s\d{1,4})[.,]0\s*$/;
export const withoutPointNought = (lines: readonly string[]): string[] =>
  isHabit(lines, (line) => WHOLE.test(line))
    ? lines.map((line) => line.replace(WHOLE, ""))
    : [...lines];

/** "LOT 23A117", "batch no. 0417": taken out before another language makes a pack of it. */
const LOT =
  /[,;]?\s*\b(?:lot|batch)\s*(?:no\.?|nr\.?|number)?\s*[:#]?\s*(?=[A-Z]{0,3}\d)[A-Z\d-]{4,}\b/gi;
export const withoutLots = (lines: readonly string[]): string[] =>
  lines.map((line) => (/lot|batch/i.test(line) ? line.replace(LOT, "") : line));

/** "4 eye pads;", "2 whistles.": one mark at the end of a line, none of its kind within it. */
const END_MARK = quick(
  /^(?:[^;]*[\p{L}\d)"”″];|[^,]*[\p{L}\d)"”″],|(?!.*\b(?:is|are|was|were|has|have|had|need|check|keep)\b)(?:(?![.!?]\s).)*[\p{L}\d)"”″](?<!\d\s?\p{L}{1,4})\.)\s*$/iu,
);
/** Longer lines are sentences. */
const LONGEST_LISTED = 100;
/** A list each line of which ends in a mark, as a law's schedule: without the marks, which part nothing. */
export function withoutEndMarks(lines: readonly string[]): string[] {
  const isMarked = (line: string) => line.length <= LONGEST_LISTED && END_MARK.test(line);
  return isHabit(lines, isMarked)
    ? lines.map((line) => (isMarked(line) ? line.trimEnd().slice(0, -1) : line))
    : [...lines];
}
