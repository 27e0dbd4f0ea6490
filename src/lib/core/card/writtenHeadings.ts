import { CARRIED } from "./placeWords.ts";
import { quick } from "./quick.ts";

/** Headings that are written as if they were of the list below them. */

/** "*Eyes*", "_Eyes_": set off alone on its line, without a number. */
const EMPHASISED = quick(/^(\s*)([*_]{1,2})(\p{L}[^*_\d]{1,40}?)\2:?\s*$/u);
/** "1. Eyes", "B) Eyes", "II. Eyes": numbered, and nothing counted. */
const NUMBERED = quick(/^(\s*)(?:\d{1,2}|[A-Z]|[IVX]{1,4})[.)]\s+(\p{L}[^\d,;:]{1,40})$/u);
const LISTED = /^\s*(?:[-–•*+·◦▪❖→>■○●]\s|\[[ xX]?\]|[☐☑✓])/;
/** "a) plasters 5", "(3) plasters", "01 plasters - 5", or set in: of another list than its heading. */
const OTHER_LIST = /^\s*(?:[a-z][).]|\(\w{1,3}\)|0\d)\s|^(?:\t|\s{2,})\S/;
/** "Pouch 1", "Bag 2": alone, one after another. */
const HOLDER = new RegExp(
  `^[^\\p{L}\\d]*(?:${CARRIED})\\s+(?:no\\.?\\s*)?\\d{1,2}\\s*:?\\s*$`,
  "iu",
);
/** "🧰 Box 2", "▶ Bag 1", or with a line drawn below: no two boxes. */
const MARKED = /^\s*[^\p{L}\d\s([#*•+–-]/u;
const DRAWN = /^\s*([-=_~])\1{2,}\s*$/;
/** Longer lines are sentences. */
const LONGEST_HEADING = 60;
/** So many of them head the lists of a card. */
const FEWEST_HEADINGS = 2;
/** Such headings marked as ones; as many lines as before. */
export function writtenAsHeadings(lines: readonly string[]): string[] {
  const holders = new Set(lines.filter((line) => HOLDER.test(line)).map((line) => line.trim()));
  const next = (i: number) => lines.slice(i + 1).find((l) => l.trim() !== "") ?? "";
  const headsList = (i: number): boolean =>
    (holders.has(lines[i]!.trim()) &&
      (holders.size >= FEWEST_HEADINGS ||
        MARKED.test(lines[i]!) ||
        (!LISTED.test(lines[i]!) && LISTED.test(next(i))) ||
        DRAWN.test(lines[i + 1] ?? ""))) ||
    (NUMBERED.test(lines[i]!) &&
      (LISTED.test(next(i)) || (OTHER_LIST.test(next(i)) && /\d/.test(next(i)))));
  const at = lines.flatMap((line, i) =>
    EMPHASISED.test(line.slice(0, LONGEST_HEADING)) || headsList(i) ? [i] : [],
  );
  if (at.length < FEWEST_HEADINGS && !at.some((i) => holders.has(lines[i]!.trim())))
    return [...lines];
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
