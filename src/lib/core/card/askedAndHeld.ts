import { quick } from "./quick.ts";

/**
 * How many there should be beside how many there are: "20 plasters / 14" below "should have / have", "plasters 33/50" on most lines.
 */

const SHOULD =
  "should(?:\\s+(?:have|be))?|required|req(?:'?d)?|min(?:imum)?|need(?:ed)?|list(?:ed)?|full|standard|expected|par";
const HELD = "(?:we\\s+)?(?:have|got)|actual|found|now|held|present|counted|there|is|are";
/** Which of both stands first. */
const SHOULD_FIRST = new RegExp(
  `\\b(?:${SHOULD})\\s*\\/\\s*(?:what\\s+)?(?:we\\s+)?(?:${HELD})\\b`,
  "i",
);
const ROW = quick(
  /^(\s*(?:[-–•*]\s*)?)(\d{1,3})\s*(?:[x×]\s*)?(\p{L}[^/]*?)\s*\/\s*(\d{1,3}(?:\s*\p{L}{2,8})?)\s*$/u,
);
/** Fewer rows tell nothing. */
const FEWEST = 3;

/** Such rows with how many there are; as many lines as before. */
export function heldOfAsked(lines: readonly string[]): string[] {
  const heading = lines.findIndex((line) => SHOULD_FIRST.test(line));
  if (heading < 0) return [...lines];
  const rows = lines.map((line, i) => (i > heading ? ROW.exec(line) : null));
  if (rows.filter((m) => m !== null).length < FEWEST) return [...lines];
  return lines.map((line, i) => {
    const m = rows[i];
    return m ? `${m[1]!}${m[4]!} ${m[3]!}` : line;
  });
}

/** So many of so many: the name before, in brackets or not; or behind. Groups: what stands before, how many, of how many. */
const OF_SO_MANY: readonly RegExp[] = [
  /^(\s*\S.*?[\s:])(\d{1,3})\s?\/\s?(\d{1,3})(?=\s*(?:\([^()\d]*\)|[-–]\s\D*)?\s*$)/,
  /^(\s*\S.*?\s)[[(](\d{1,3})\s?\/\s?(\d{1,3})[\])](?=\s*$)/,
  quick(/^(\s*(?:[-–•*]\s*)?)[[(]?(\d{1,3})\s?\/\s?(\d{1,3})[\])]?(?=\s+\p{L}{3})/u),
];
const FEWEST_OF_SO_MANY = 4;
/** "05/27": when something runs out. */
const isMonth = (month: string, year: string): boolean =>
  Number(month) <= 12 && year.length === 2 && Number(year) >= 20 && Number(year) < 40;

/** The lines of a card that says on most of them how many of how many there are, with how many there are. */
export function ofSoMany(lines: readonly string[]): string[] {
  const stroked = lines.filter((line) => line.includes("/")).length;
  if (stroked < FEWEST_OF_SO_MANY) return [...lines];
  const written = lines.filter((l) => l.trim() !== "").length;
  for (const form of OF_SO_MANY) {
    const found = lines.map((line) => (line.includes("/") ? form.exec(line) : null));
    const rows = found.filter((m) => m !== null && Number(m[2]) <= Number(m[3]));
    const dates = rows.filter((m) => isMonth(m![2]!, m![3]!)).length;
    if (rows.length < FEWEST_OF_SO_MANY || 2 * rows.length < written || 2 * dates > rows.length)
      continue;
    return lines.map((line, i) => {
      const m = found[i];
      return m && rows.includes(m) ? `${m[1]!}${m[2]!}${line.slice(m[0].length)}` : line;
    });
  }
  return [...lines];
}
