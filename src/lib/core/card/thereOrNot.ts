import { LONGEST_LINE } from "./cardLimits.ts";
import { quick } from "./quick.ts";

/** "1 x Pocket mask      Y     03/29": a name, whether it is there, and what else is said. */
const ANSWERED = quick(
  /^(\s*\S.*?\p{L}\S*(?: \S+)*?)\s{2,}(Y(?:es)?|N(?:o)?|[✓✔☑✗✘❌])(?:\s*\((\d{1,3})\)|(?=\s|$))(.*)$/iu,
);
const ANSWER = /\s{2}(?:y|n|yes|no|[✓✔☑✗✘❌])(?:\s|$)/i;
const NOT_THERE = /^(?:no?|[✗✘❌])$/i;
/** "2 rolls", "box 100", "2 x 20 ml" behind the answer; "03/29" is a day. */
const COUNTS = quick(
  /^(?:[x×]\s?)?\d{1,3}(?:\s?[x×]\s?\d{1,4}\s?(?:ml|g|cm))?(?:\s\p{L}{2,10})?\.?$|^(?:box|pack|pkt|packet|tub)\s(?:of\s)?\d{1,4}$/iu,
);
/** Fewer rows may say something else with a letter. */
const FEWEST_ANSWERED = 4;

/**
 * A list with a column that says of each thing whether it is there, and no heading over the names: those that are not
 * go, and of the others what stands behind goes. A table with headings is read as such.
 */
export function answersBeside(lines: readonly string[]): string[] {
  const found = lines.map((line) =>
    line.length <= LONGEST_LINE && ANSWER.test(line) && !/[|\t;]/.test(line)
      ? ANSWERED.exec(line)
      : null,
  );
  const rows = found.filter((m) => m !== null && !/\S\s{2,}\S/.test(m[1]!.trim()));
  const first = found.findIndex((m) => m !== null);
  const heading = lines.slice(0, first).findLast((line) => line.trim() !== "") ?? "";
  // "Item    Present?": the names have their heading.
  const isHeaded = !/^\s{8,}\S/.test(heading) && /\S\s{2,}\S/.test(heading.trim());
  if (rows.length < FEWEST_ANSWERED || isHeaded) return [...lines];
  return lines.map((line, i) => {
    const m = found[i];
    if (!m || !rows.includes(m)) return line;
    if (NOT_THERE.test(m[2]!)) return "";
    const rest = m[4]!.trim();
    if (m[3] === undefined && !/\d/.test(m[1]!) && COUNTS.test(rest)) return `${m[1]!}, ${rest}`;
    return m[3] === undefined
      ? m[1]!
      : `${m[1]!.replace(/^(\s*)\d{1,3}\s*(?:[x×]\s*)?/i, "$1")}, ${m[3]} pcs`;
  });
}
