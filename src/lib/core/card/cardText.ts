import type { Problem } from "../model/problem.ts";
import { LONGEST_LINE, MOST_LINES, type CardReading } from "./readCard.ts";

/** What keeps a text from being a contents card; null: nothing. */
export function cardTextProblem(text: string): Problem | null {
  if (text.trim() === "")
    return { where: "card", what: "is empty: paste or type what the card says" };
  if (/\u0000/.test(text) || share(text, /[\u0001-\u0008\u000e-\u001f\ufffd]/g) > 0.05)
    return {
      where: "card",
      what: "is not text (a picture or another binary file): type or paste what it says",
    };
  return null;
}

/** The largest lockers hold about 300 kinds of thing; more entries are no contents card. */
const MOST_ENTRIES = 600;

/** What keeps a reading from becoming a kit; null: nothing. */
export const tooManyEntries = (reading: CardReading): Problem | null =>
  reading.entries.length > MOST_ENTRIES
    ? {
        where: "card",
        what: `was read into ${reading.entries.length} lines; a kit has at most ${MOST_ENTRIES}: paste the contents of one kit only`,
      }
    : null;

/** What was left out of the reading, so that nothing is dropped in silence. */
export function cardLeftOut(text: string): Problem[] {
  const lines = text.split(/\r\n|\n|\r/);
  const left: Problem[] = [];
  if (lines.length > MOST_LINES)
    left.push({
      where: `line ${MOST_LINES + 1}`,
      what: `and beyond were not read: a card has at most ${MOST_LINES} lines`,
    });
  lines.slice(0, MOST_LINES).forEach((l, i) => {
    if (l.length > LONGEST_LINE && left.length < 20)
      left.push({
        where: `line ${i + 1}`,
        what: `was not read: it has ${l.length} characters, a line has at most ${LONGEST_LINE}`,
      });
  });
  return left;
}

const share = (text: string, of: RegExp) => (text.match(of)?.length ?? 0) / text.length;

/** A reading as the command line and the server routes give it. */
export const cardResult = (reading: CardReading) => ({
  claimedPieces: reading.claimedPieces,
  entries: reading.entries.map(({ text, ...entry }) => {
    void text;
    return entry;
  }),
});
