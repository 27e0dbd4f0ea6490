import { type Problem, problem } from "../model/problem.ts";
import { LONGEST_LINE, MOST_LINES } from "./cardLimits.ts";
import { LINE_END } from "./plainSigns.ts";
import type { CardReading } from "./readCard.ts";

/** What keeps a text from being a contents card; null: nothing. */
export function cardTextProblem(text: string): Problem | null {
  if (text.trim() === "") return problem("card", "card-empty");
  if (/\u0000/.test(text) || share(text, /[\u0001-\u0008\u000e-\u001f\ufffd]/g) > 0.05)
    return problem("card", "card-no-text");
  return null;
}

/** The largest lockers hold about 300 kinds of thing; more entries are no contents card. */
const MOST_ENTRIES = 600;

/** What keeps a reading from becoming a kit; null: nothing. */
export const tooManyEntries = (reading: CardReading): Problem | null =>
  reading.entries.length > MOST_ENTRIES
    ? problem("card", "card-too-many", { lines: reading.entries.length, most: MOST_ENTRIES })
    : null;

/** What was left out of the reading, so that nothing is dropped in silence. */
export function cardLeftOut(text: string): Problem[] {
  const lines = text.split(LINE_END);
  const left: Problem[] = [];
  if (lines.length > MOST_LINES)
    left.push(problem(`line ${MOST_LINES + 1}`, "card-lines-left-out", { most: MOST_LINES }));
  lines.slice(0, MOST_LINES).forEach((l, i) => {
    if (l.length > LONGEST_LINE && left.length < 20)
      left.push(
        problem(`line ${i + 1}`, "card-line-too-long", { has: l.length, most: LONGEST_LINE }),
      );
  });
  return left;
}

const share = (text: string, of: RegExp) => (text.match(of)?.length ?? 0) / text.length;

/** A reading as the command line and the server routes give it. */
export const cardResult = (reading: CardReading) => ({
  claimedPieces: reading.claimedPieces,
  entries: reading.entries.map(({ text, doubts, open, ...entry }) => {
    void text;
    void doubts;
    void open;
    return entry;
  }),
});
