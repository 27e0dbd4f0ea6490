import { LONGEST_LINE } from "./cardLimits.ts";
import { quick } from "./quick.ts";

/** The name above again, in all ways to write it, as the one word that is read: `   "      "   , 7 cm`, "do. 10 cm", "idem L", "same, 5 cm". */

const MARK = "(?:[\"”〃″]|'')";
const AGAIN = [
  `${MARK}(?:\\s+${MARK}){0,4}`,
  `-\\s?${MARK}\\s?-`,
  "-?(?:do|dto|ditto)(?:[.-]|(?![\\p{L}.]))",
  "idem\\.?|id\\.",
  "same(?:\\s+(?:as\\s+above|again))?|as\\s+above",
].join("|");
/** A list's mark or number, a bar, and the count where that stands first. */
const BEFORE =
  "(?<before>\\s*(?:\\|\\s*)?(?:\\d{1,2}[./]\\d{1,2}(?:[./]\\d{2,4})?(?:\\s{2,}|\\t))?(?:[-*•]\\s+(?!-)|\\d{1,3}[.)]\\s+|\\[[ xX✓]?\\]\\s*)?(?:\\d{1,3}\\s*[x×]\\s+|\\d{1,4}(?:\\s{2,}|\\t\\s*|\\s*\\|\\s*|\\s+(?=[a-z])))?)";
/** A size or a sort, which is what differs; "do not fold" has none. */
const DIFFERS =
  "(?=\\d|(?:XS|X{0,3}L|[SM])(?!\\p{L})|(?:extra[\\s-])?(?:small|medium|large)(?!\\p{L})|[(|–-])";
const DITTO = quick(
  new RegExp(`^${BEFORE}(?<again>${AGAIN})(?<gap>(?=[\\s,:|])[\\s,:]*)${DIFFERS}`, "iu"),
);

const SIZE_FIRST = /^\d{1,3}(?:[.,/]\d)?\s?(?:["”″]|in\b|cm\b|mm\b)/;

/** Columns set by blanks keep their places. */
function inOneWriting(line: string): string {
  const found = line.length > LONGEST_LINE ? null : DITTO.exec(line);
  if (!found) return line;
  const { before, again, gap } = found.groups as Readonly<Record<string, string>>;
  const rest = line.slice(found[0].length);
  // "do.  4"": a size of its own, in the cell of the name.
  const isOfName = gap === "  " && SIZE_FIRST.test(rest);
  const apart = isOfName
    ? " "
    : /\s{2,}$/.test(gap!)
      ? "".padEnd(Math.max(2, again!.length + gap!.length - WORD.length))
      : gap!.replace(/[,:]/g, "") || " ";
  return `${before!}${WORD}${apart}${rest}`;
}
const WORD = "ditto";
export const withDittos = (lines: readonly string[]): string[] => lines.map(inOneWriting);
