import { REMARKS_ABROAD, REMARK_STEMS } from "./remarkWordsAbroad.ts";
import { LONGEST_LINE } from "./cardLimits.ts";
import { quick } from "./quick.ts";
import { SIZED } from "./sized.ts";

/** Remarks in other languages behind a thing and its count, said in the reader's own words: "Cerotti: usati 6, restano 34" has 34 left. */

type Says = keyof typeof REMARKS_ABROAD;

/** The first numbers in words, as they stand in remarks; others are written in figures. */
const WORDS: Readonly<Record<string, number>> = Object.fromEntries(
  [
    "ein eine einer eins un une una uno een én ett um uma jeden",
    "zwei deux dos due twee to två dois duas dwa dwie",
    "drei trois tres tre drie três trzy",
  ].flatMap((words, i) => words.split(" ").map((word) => [word, i + 1] as const)),
);
const UNIT = "(?:\\s?(?:stk|stück|st|pz|pcs|ud?s|unid|pièces?|pces|stuks|szt|x)\\.?(?!\\p{L}))?";
const numbered = (number: string): RegExp =>
  quick(
    new RegExp(
      `(?<![\\p{L}\\d./-])(${number})(?![\\p{L}\\d./-]*\\d)(?!\\p{L}{3})${UNIT}(?!\\p{L})`,
      "iu",
    ),
  );
const IN_FIGURES = numbered("\\d{1,3}");
const IN_WORDS = numbered(Object.keys(WORDS).join("|"));
/** A remark with `#` in place of its number. */
const SAID = (Object.keys(REMARKS_ABROAD) as Says[]).map((says) => ({
  says,
  pattern: quick(new RegExp(`^(?:${REMARKS_ABROAD[says].join("|")})$`, "iu")),
}));
/** "2 im Sommer benutzt", "se usaron 5": by the beginning of a word, a few others around it. */
const BY_STEM = (Object.keys(REMARK_STEMS) as (keyof typeof REMARK_STEMS)[]).map((says) => {
  const stem = `(?:${REMARK_STEMS[says].replaceAll(" ", "|")})\\p{L}*`;
  return {
    says,
    pattern: quick(
      new RegExp(
        `^(?:\\p{L}+ ){0,2}(?:#(?: \\p{L}+){0,3} ${stem}|${stem}(?: \\p{L}+)? #)(?: \\p{L}+){0,2}$`,
        "iu",
      ),
    ),
  };
});
/** "hay que reponer", "à racheter": what is to be done, of what was counted. */
const TO_DO = quick(
  new RegExp(
    `^(?:\\p{L}+ ){0,2}(?:${REMARK_STEMS.there.replaceAll(" ", "|")})\\p{L}*(?: \\p{L}+){0,2}$`,
    "iu",
  ),
);
const GAP = /\s*[,;]\s+|\s*\(\s*|\s+[-–—]\s+|:\s+/g;
/** "in Ordnung.)": signs behind all that is said. */
const END_SIGNS = " .!)";
function endOf(line: string): number {
  let end = line.length;
  while (end > 0 && END_SIGNS.includes(line[end - 1]!)) end--;
  return end;
}
/** Said of what is counted; without a count there is nothing that they could be of. */
const COUNTED = quick(/(?:^|[^\p{L}\d.,]|[^\p{L}][x×])\d{1,4}(?![\d.,]*\d)/u);
const HAS_LETTERS = quick(/\p{L}{3}/u);
/** Cells stay where they are. */
const IN_CELLS = /[|\t]|\S\s{3,}\S|;[^;\s][^;]*;|"\s*,\s*"/;
const CELL_ENDS = /(\s*[|;\t]\s*|\s{3,}|"\s*,\s*")/;
/** "1  - manca": the remark behind a count has no cell of its own. */
const COUNT_THEN_DASH = quick(/^\d{1,4}(?:\s?\p{L}{1,5}\.?)?\s+[-–—]\s+(?=\S)/u);
/** One without a number may be a heading, in a row without one. */
function inCells(line: string): string {
  const counts = /(?:^|[|;\t\s])\d{1,4}\s*(?:[|;\t]|\s{3})/.test(line);
  return line
    .split(CELL_ENDS)
    .map((cell, at) => {
      // The last of cells in quotes ends in one.
      const whole = cell.trim().replace(/"$/, "");
      const said = whole.replace(COUNT_THEN_DASH, "");
      const remark = at === 0 ? null : remarkOf(said);
      if (remark === null) return cell;
      if (remark.count !== null)
        return cell.replace(said, inEnglish([remark]).replace(/^ \(|\)$/g, ""));
      return remark.says === "none" && (counts || said !== whole)
        ? cell.replace(said, "missing")
        : cell;
    })
    .join("");
}
const MOST_PARTS = 3;

interface Remark {
  readonly says: Says;
  readonly count: number | null;
}
/** What all of a text says as a remark; null: it is none. */
function remarkOf(text: string): Remark | null {
  if (text.length > LONGEST) return null;
  const inFigures = IN_FIGURES.exec(text);
  if (inFigures) return remarkWith(inFigures, +inFigures[1]!);
  const bare = SAID.find(({ says, pattern }) => UNCOUNTED.has(says) && pattern.test(text));
  if (bare) return { says: bare.says, count: null };
  if (TO_DO.test(text)) return { says: "there", count: null };
  const inWords = IN_WORDS.exec(text);
  return inWords && remarkWith(inWords, WORDS[inWords[1]!.toLowerCase()]!);
}
function remarkWith({ 0: number, index, input }: RegExpExecArray, count: number): Remark | null {
  const text = `${input.slice(0, index)}#${input.slice(index + number.length)}`;
  const found =
    SAID.find(({ says, pattern }) => !UNCOUNTED.has(says) && pattern.test(text)) ??
    BY_STEM.find(({ pattern }) => pattern.test(text));
  return found ? { says: found.says, count } : null;
}
/** None is longer. */
const LONGEST = 40;
/** They say no number. */
const UNCOUNTED: ReadonlySet<Says> = new Set(["none", "there"]);

/** The same in English: what is left goes before what went, and what went before what is out of date. */
function inEnglish(remarks: readonly Remark[]): string {
  const of = (says: Says) => remarks.find((remark) => remark.says === says)?.count;
  const [left, used, missing, expired] = (["left", "used", "missing", "expired"] as const).map(of);
  if (left != null) return ` (${left} left)`;
  if (used != null) return ` (${used} used)`;
  if (missing != null) return ` (${missing} missing)`;
  return expired == null ? "" : ` (${expired} expired)`;
}

/** A line whose remarks in another language are said in English; as it is where it has none. */
export function remarksAbroad(line: string): string {
  if (line.length > LONGEST_LINE) return line;
  if (IN_CELLS.test(line)) return inCells(line);
  const remarks: Remark[] = [];
  let end = endOf(line);
  const gaps = [...line.slice(0, end).matchAll(GAP)].slice(-MOST_PARTS);
  for (const gap of gaps.reverse()) {
    const remark = remarkOf(line.slice(gap.index + gap[0].length, end).trim());
    if (remark === null) break;
    remarks.unshift(remark);
    end = gap.index;
  }
  const head = line.slice(0, end);
  if (remarks.length === 0 || !HAS_LETTERS.test(head)) return line;
  const isCounted = COUNTED.test(head.replace(SIZED, " "));
  if (remarks.some(({ says }) => says === "none")) return isCounted ? line : `${head}: none`;
  if (isCounted) return head + inEnglish(remarks);
  const left = remarks.find(({ says }) => says === "left")?.count;
  return left == null ? line : `${head}: ${left}`;
}
