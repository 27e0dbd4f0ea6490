import { REMARKS_ABROAD } from "./remarkWordsAbroad.ts";
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
const NUMBER = `(?:\\d{1,3}|${Object.keys(WORDS).join("|")})`;
const UNIT = "(?:\\s?(?:stk|stück|st|pz|pcs|ud?s|unid|pièces?|pces|stuks|szt|x)\\.?)?";
const patternOf = (says: Says): string =>
  REMARKS_ABROAD[says].map((said) => said.replaceAll("#", `${NUMBER}${UNIT}`)).join("|");
const WHOLE = (Object.keys(REMARKS_ABROAD) as Says[]).map((says) => ({
  says,
  pattern: quick(new RegExp(`^(?:${patternOf(says)})$`, "iu")),
}));
const GAP = /\s*[,;]\s+|\s*\(\s*|\s+[-–—]\s+|:\s+/g;
/** "in Ordnung." */
const END = /\s*\)?[\s.!]*$/;
/** Said of what is counted; without a count there is nothing that they could be of. */
const COUNTED = quick(/(?:^|[^\p{L}\d.,]|[^\p{L}][x×])\d{1,4}(?![\d.,]*\d)/u);
const HAS_LETTERS = quick(/\p{L}{3}/u);
/** Cells stay where they are. */
const IN_CELLS = /[|\t]|\S\s{3,}\S|;[^;\s][^;]*;/;
const CELL_ENDS = /(\s*[|;\t]\s*|\s{3,})/;
/** One without a number may be a heading, in a row without one. */
function inCells(line: string): string {
  const counts = /(?:^|[|;\t\s])\d{1,4}\s*(?:[|;\t]|\s{3})/.test(line);
  return line
    .split(CELL_ENDS)
    .map((cell, at) => {
      const remark = at === 0 ? null : remarkOf(cell.trim());
      if (remark === null) return cell;
      if (remark.count !== null) return inEnglish([remark]).replace(/^ \(|\)$/g, "");
      return remark.says === "none" && counts ? "missing" : cell;
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
  const found = WHOLE.find(({ pattern }) => pattern.test(text));
  if (!found) return null;
  const number = NUMBER_IN.exec(text)?.[0].toLowerCase();
  return { says: found.says, count: number === undefined ? null : (WORDS[number] ?? +number) };
}
const NUMBER_IN = quick(new RegExp(`(?<![\\p{L}\\d])${NUMBER}(?![\\p{L}])`, "iu"));

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
  let end = line.search(END);
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
