import { quick } from "./quick.ts";

/** How many of one thing are good to which date: "8 (4 exp 26, 4 exp 28)", "1 (12/26), 1 (05/27)". */

/** Longer lines are prose. */
const LONGEST_COUNTED = 160;
/** "8 (4 exp 26, 4 exp 28)", "12: 6 exp 27, 6 exp 28": of them all there are as many as the two come to. */
const SUM_BY_DATE =
  /^(.*?(?<![\d.,/])(\d{1,3}))(?:\s?pcs)?\s*[(:]\s*(\d{1,3})\s+exp\.?\s*[\d/.'’]+\s*[,;&+]\s*(\d{1,3})\s+exp\.?\s*[\d/.'’]+\)?\s*$/i;
const MONTH_DATE = "(?:0?[1-9]|1[0-2])[/.](?:20)?[23]\\d";
/** "eyewash: 1 (12/26), 1 (05/27)": so many of either date. */
const EACH_BY_DATE = new RegExp(
  `^(.*[a-z).]:?\\s+)(\\d{1,2})\\s?x?\\s+\\(?(?:exp\\.?\\s*)?${MONTH_DATE}\\)?\\s*[,;&+]?\\s+(\\d{1,2})\\s?x?\\s+\\(?(?:exp\\.?\\s*)?${MONTH_DATE}\\)?\\s*$`,
  "i",
);
/** A line that counts a thing by its dates, with their sum. */
export function countsByDate(line: string): string {
  if (line.length > LONGEST_COUNTED || !/\d.*\d[)\s]*$/.test(line)) return line;
  const [, all, count, ...parts] = SUM_BY_DATE.exec(line) ?? [];
  if (all !== undefined && Number(parts[0]) + Number(parts[1]) === Number(count)) return all;
  return line.replace(
    EACH_BY_DATE,
    (_, name: string, first: string, second: string) =>
      name + String(Number(first) + Number(second)),
  );
}

const MONTH = "(?:jan|feb|mar|apr|may|jun|jul|aug|sept?|oct|nov|dec)[a-z]*\\.?";
/** "1 used on 3 Oct", "2 gone 8/11": the day says no number of them. */
const WENT_ON = quick(
  new RegExp(
    `(?<=\\b(?:used|gone|lost|binned|taken|missing))\\s+(?:on\\s+)?(?:(?:mon|tue|wed|thu|fri|sat|sun)[a-z]*\\s+)?(?:\\d{1,2}(?:st|nd|rd|th)?\\s+${MONTH}(?:\\s+(?:20)?[2-4]\\d)?|${MONTH}\\s+\\d{1,2}(?:st|nd|rd|th)?|\\d{1,2}[/.]\\d{1,2}(?:[/.](?:20)?[2-4]\\d)?\\.?)(?=[\\s).,;|]*$|[);,|\\t])`,
    "iu",
  ),
);
/** A line that says how many went, without the day on which they did. */
export const withoutDayGone = (line: string): string =>
  line.length <= LONGEST_COUNTED && /used|gone|lost|binned|taken|missing/i.test(line)
    ? line.replace(WENT_ON, "")
    : line;
