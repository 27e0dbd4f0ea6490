import { CARRIED } from "./placeWords.ts";
import { quick } from "./quick.ts";

/** Headings that are written as if they were of the list below them. */

/** "*Eyes*", "_Eyes_": set off alone on its line, without a number. */
const EMPHASISED = quick(/^(\s*)([*_]{1,2})(\p{L}[^*_\d]{1,40}?)\2:?\s*$/u);
/** "1. Eyes", "B) Eyes", "II. Eyes": numbered, and nothing counted. */
const NUMBERED = quick(/^(\s*)(?:\d{1,2}|[A-Z]|[IVX]{1,4})[.)]\s+(\p{L}[^\d,;:]{1,40})$/u);
const LISTED = /^\s*(?:[-–•*+]\s|\[[ xX]?\]|[☐☑✓])/;
/** "Pouch 1", "Bag 2": alone, one after another. */
const HOLDER = new RegExp(`^\\s*(?:${CARRIED})\\s+(?:no\\.?\\s*)?\\d{1,2}\\s*:?\\s*$`, "i");
/** Longer lines are sentences. */
const LONGEST_HEADING = 60;
/** So many of them head the lists of a card. */
const FEWEST_HEADINGS = 2;
/** Such headings marked as ones; as many lines as before. */
export function writtenAsHeadings(lines: readonly string[]): string[] {
  const holders = new Set(lines.filter((line) => HOLDER.test(line)).map((line) => line.trim()));
  const headsList = (i: number): boolean =>
    (holders.size >= FEWEST_HEADINGS && holders.has(lines[i]!.trim())) ||
    (NUMBERED.test(lines[i]!) &&
      LISTED.test(lines.slice(i + 1).find((l) => l.trim() !== "") ?? ""));
  const at = lines.flatMap((line, i) =>
    EMPHASISED.test(line.slice(0, LONGEST_HEADING)) || headsList(i) ? [i] : [],
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
