import { quick } from "./quick.ts";

/** "plasters?" on one line and "yes, 22" on the next: what is asked after, and how many there are. */

/** One thing asked after, no sentence. */
const QUESTION = quick(
  /^\s*(?:>\s*)*(?:[-*•]\s*)?(?:any\s+|how\s+many\s+|and\s+)?(?!(?:what(?!\s+about)|which|who|where|when|why|anything|something|everything)\b)(\p{L}[\p{L}' -]{2,30}?)\s*\?\s*$/iu,
);
const COUNT =
  "\\d{1,4}|one|two|three|four|five|six|seven|eight|nine|ten|twelve|a\\s+(?:pair|box|roll|pack|couple)";
const ANSWER = quick(
  new RegExp(
    `^\\s*(?:[-*•]\\s*)?(?:(?:yes|yep|yeah|yup|y|ok|okay|got|have|we\\s+have)[,.:!]?\\s+)?((?:${COUNT})\\b[^?]{0,40})$`,
    "iu",
  ),
);
const NONE = /^\s*(?:[-*•]\s*)?(?:no|none|nope|nil|missing|gone|not\s+there)\b[^?]{0,40}$/i;
/** One may be chance; not where what is asked is quoted. */
const FEWEST = 2;
const QUOTED = /^\s*>/;

/** The lines with each answer beside what was asked after, on the answer's line; as many lines as before. */
export function answersAsCounts(lines: readonly string[]): string[] {
  const read = [...lines];
  const written = lines.flatMap((line, i) => (line.trim() === "" ? [] : [i]));
  let answered = 0;
  for (const [k, i] of written.entries()) {
    const asked = QUESTION.exec(lines[i]!)?.[1];
    const at = written[k + 1];
    if (asked === undefined || at === undefined) continue;
    const count = ANSWER.exec(lines[at]!)?.[1];
    if (count === undefined && !NONE.test(lines[at]!)) continue;
    answered += QUOTED.test(lines[i]!) ? FEWEST : 1;
    read[i] = "";
    read[at] = count === undefined ? "" : `${asked}: ${count}`;
  }
  return answered < FEWEST ? [...lines] : read;
}
