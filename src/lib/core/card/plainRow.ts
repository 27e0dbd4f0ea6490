import { inOurWords } from "./foreignUnits.ts";
import type { CardRow } from "./cardRow.ts";
import { stripPrices } from "./stripPrices.ts";

/** A line that is no row of a table: its list mark, and the count that a dot leader points at. */
export function plainRow(line: string, source: number): CardRow {
  const indent = /^\s*/.exec(line)![0].length;
  let text = line
    .trim()
    .replace(/^(?:in|on|inside)\s+the\s+[^:,;\d]{2,30}:\s+(?=\S)/i, "")
    .replace(/\*\*(?=\S)(.+?)\*\*/g, "$1");
  let bullet = false;
  const mark = /^(?:[-–—*•·▪◦●○■□☐☑✓✔»>+~]|\[[ xX]?\]|o(?=\s{2,}))\s*(?=\S)/u.exec(text);
  if (mark && !/^[-–—]\d/.test(text)) {
    text = text.slice(mark[0].length);
    bullet = true;
  }
  // "12/3: 6 plasters": when it was written.
  text = text.replace(/^\d{1,2}[/.]\d{1,2}(?:[/.]\d{2,4})?:\s+(?=\S)/, "");
  const listNumber = /^(?:\d{1,3}[.)]|#\d{1,3}[.:)]?|\d{1,3}\s*[:]|[a-z][.)])\s+(?=\S)/i.exec(text);
  if (listNumber) {
    text = text.slice(listNumber[0].length);
    bullet = true;
  }
  // A footnote's mark behind the count.
  text = text.replace(/^\[[ xX]?\]\s*/, "").replace(/(?<=\d)\s+[*†‡]{1,3}$/, "");
  // A dot leader points at the count; numbers before it are sizes and models.
  const hasLeader = text.includes("....");
  const led = !hasLeader
    ? null
    : /^(.*\p{L}.*?)\s*\.{4,}\s*(\d{1,4}(?:\s*[x×]\s*\d{1,4})?(?:\s*\p{L}+\.?)?)\s*(?:\[[^\]]*\]\W*)?$/u.exec(
        text,
      );
  // "Scissors (1) ....... pen tray", "In the lid: torch": where things lie is not read.
  const placed = led || !hasLeader ? null : /^(.*\p{L}.*?)\s*\.{4,}\s*[^\d]*$/u.exec(text);
  const [named, quantity] = led
    ? [led[1]!, inOurWords(led[2]!)]
    : [placed ? placed[1]! : text, null];
  return { source, text: stripPrices(named), quantity, inTable: false, bullet, indent };
}
