import { LONGEST_LINE } from "./cardLimits.ts";
import { quick } from "./quick.ts";

/**
 * Dates in the writings that the other steps do not tell from counts, each as day.month.year, as wide as it was where it can be, so
 * that columns stand: "09/18/26", "2028/05/18", "06-07-26", "March 8, 2026", "17-Jun". They count nothing.
 */

const MONTHS = [
  "jan(?:uary)?",
  "feb(?:ruary)?",
  "mar(?:ch)?",
  "apr(?:il)?",
  "may",
  "june?",
  "july?",
  "aug(?:ust)?",
  "sept?(?:ember)?",
  "oct(?:ober)?",
  "nov(?:ember)?",
  "dec(?:ember)?",
] as const;
const MONTH = `(?<month>${MONTHS.join("|")})\\.?`;
const IS_MONTH = MONTHS.map((month) => new RegExp(`^${month}$`, "i"));
const monthOf = (word: string): number => IS_MONTH.findIndex((is) => is.test(word)) + 1;
const DAY = "(?<day>[1-9]|0[1-9]|[12]\\d|3[01])(?:st|nd|rd|th)?";
/** Cards are of these decades. */
const YEAR = "(?<year>(?:20)?[2-4]\\d)";
/** A date without its year stands by itself: first on its line, last, or in a cell. */
const EDGE_BEFORE = "(?<=^\\W*|[([\\t|,]\\s*|\\s{2,})";
const EDGE_BEHIND = "(?=\\s*(?:[)\\]\\t|:]|\\s{2}|\\s[-–]\\s|$))";

const FORMS: readonly RegExp[] = [
  // "2028/05/18"
  `(?<![\\d/])(?<year>20[2-4]\\d)/(?<number>0?[1-9]|1[0-2])/(?<day>0?[1-9]|[12]\\d|3[01])(?![\\d/])`,
  // "09/18/26": no month is the eighteenth.
  `(?<![\\d/.-])(?<number>0?[1-9]|1[0-2])/(?<day>1[3-9]|2\\d|3[01])/${YEAR}(?![\\d/.-])`,
  // "06-07-26"
  `(?<![\\d/.-])(?<day>0[1-9]|[12]\\d|3[01])-(?<number>0[1-9]|1[0-2])-${YEAR}(?![\\d/.-])`,
  // "March 8, 2026"
  `(?<![\\p{L}\\d])${MONTH}\\s+${DAY},?\\s+${YEAR}(?!\\d)`,
  // "8 Mar 26", "17-Jun-2027"
  `(?<![\\p{L}\\d.,])${DAY}[\\s-]${MONTH}[\\s'’-]+${YEAR}(?!\\d)`,
  `${EDGE_BEFORE}${MONTH}\\s${DAY}${EDGE_BEHIND}`,
  `${EDGE_BEFORE}${DAY}[\\s-]${MONTH}(?![\\p{L}\\d-])${EDGE_BEHIND}`,
  // "22/12": no month is the twenty-second.
  `${EDGE_BEFORE}(?<day>1[3-9]|2\\d|3[01])/(?<number>0?[1-9]|1[0-2])${EDGE_BEHIND}`,
].map((source) => quick(new RegExp(source, "giu")));
/** "June 2030", "Jul-28" in a cell of its own: month/year. */
const MONTH_AND_YEAR = quick(
  new RegExp(`(?<=[([\\t|]\\s*|\\s{2,})${MONTH}[\\s'’-]+${YEAR}(?!\\d)`, "giu"),
);
const inFull = (year: string): string => (year.length === 2 ? `20${year}` : year);
const MAY_DATE = quick(
  new RegExp(
    `\\d[/-]\\d{1,2}[/-]\\d|(?<!\\d)(?:1[3-9]|2\\d|3[01])/\\d|(?<![\\p{L}])(?:${MONTHS.join("|")})(?![\\p{L}])`,
    "iu",
  ),
);
/** A date that says no year is of the one that the card is read in; none is kept. */
const NO_YEAR = "26";

/** A line with its dates in one writing. */
export const datesPlainly = (line: string): string =>
  line.length > LONGEST_LINE || !MAY_DATE.test(line)
    ? line
    : FORMS.reduce(
        (said, form) =>
          said.replace(form, (written: string, ...groups) => {
            const { day, month, number, year } = groups.at(-1) as Record<string, string>;
            const date = `${day!}.${number ?? monthOf(month!)}.${year ?? NO_YEAR}`;
            return date.padEnd(written.length);
          }),
        line.replace(MONTH_AND_YEAR, (written: string, ...groups) => {
          const { month, year } = groups.at(-1) as Record<string, string>;
          const number = String(monthOf(month!)).padStart(2, "0");
          return `${number}/${inFull(year!)}`.padEnd(written.length);
        }),
      );
