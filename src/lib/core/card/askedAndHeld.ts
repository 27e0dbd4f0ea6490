import { quick } from "./quick.ts";

/** "20 plasters / 14" below "should have / have": how many there should be, the name, and how many there are. */

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
