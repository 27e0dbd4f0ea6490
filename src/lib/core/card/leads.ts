import type { CardRow } from "./cardRow.ts";
import { NUMBER_SAID } from "./numberWords.ts";
import { PACKS } from "./phrase.ts";
import { quick } from "./quick.ts";

/** What stands before each of many lines and is not of the thing: its number in the list. */

/** So many lines of one kind are no chance. */
const FEWEST = 4;
/** Of the lines between the first and the last that begin so. */
const MOST_OF_THEM = 0.6;

/** "Item 12 ", "Pos. 3: ", "No. 4 - ". */
const LABELLED = quick(
  /^(?:item|pos|position|line|row|no|nr|art|article|ref|entry|ser|serial|sr\.?\s*no|sl\.?\s*no)\.?\s*[:#]?\s*(\d{1,4})\s*(?:[:.)]|\s[-–])?\s+(?=[\p{L}\d(])/iu,
);
/** "1 - ", "4711 / ", "(12) ", "03 ". */
const NUMBERED = quick(
  new RegExp(
    // "2 packs of 12", "3 packs of 20", "4 rolls of": what is counted, though the counts may rise.
    `^\\(?(\\d{1,5})\\)?(?:(?:\\s*[.:)]|\\s+[-–/|])\\s+|\\s+(?!(?:(?:full|whole|new)\\s+)?(?:${PACKS}|rolls?|pairs?|prs?|bottles?)\\s))(?!(?:[x×]|pcs|pieces|ea|off|no\\.)\\s)(?=[\\p{L}\\d(])`,
    "iu",
  ),
);
/** "4.1 ", "2.3.12 ". */
const SECTION = quick(/^\d{1,2}\.(?:\d{1,2}\.)*?(\d{1,2})\.?\s+(?=[\p{L}\d(])/iu);
/** Article numbers need not follow each other; fewer digits count. */
const ARTICLE_FROM = 100;

/** Numbers that rise down the card number its lines, where each line has another number, its count. */
export function withoutRunningNumbers(rows: readonly CardRow[]): CardRow[] {
  return [LABELLED, SECTION, NUMBERED].reduce<CardRow[]>(withoutNumbers, [...rows]);
}

/** "(1) ", "1 - ", "No. 1 ": a number set off by a sign or a word. */
const SET_OFF = quick(/^(?:\(\d|\d+\s*[.:)/|–-]|\d+\s+[-–/|]|\p{L})/u);
/** From 1 up by one over so many lines, no count does. */
const FEWEST_NUMBERED = 5;
const isNumbering = (leads: readonly RegExpExecArray[]): boolean =>
  leads.length >= FEWEST_NUMBERED &&
  Number(leads[0]![1]) === 1 &&
  leads.every((lead) => SET_OFF.test(lead[0]));

/** "01 four burn dressings", "02 eye pads, nine pieces". */
const COUNTED = new RegExp(
  `\\d|^(?:${NUMBER_SAID})\\s|[\\s,:–-](?:${NUMBER_SAID})(?:\\s+[a-z]+)?\\W*$`,
  "i",
);
/** Headings and remarks that may stand between two numbered lines. */
const MOST_BETWEEN = 2;

function withoutNumbers(rows: CardRow[], lead: RegExp): CardRow[] {
  const leads = rows.map((r) => (r.inTable ? null : lead.exec(r.text)));
  const value = (i: number) => (leads[i] ? Number(leads[i][1]) : null);
  const follows = (a: number, b: number) => b === a + 1 || (a >= ARTICLE_FROM && b > a);
  /** The next line whose number follows the one at `i`; null: there is none near. */
  const nextTo = (i: number): number | null => {
    for (let k = i + 1; k < rows.length && k <= i + 1 + MOST_BETWEEN; k++)
      if (value(k) !== null) return follows(value(i)!, value(k)!) ? k : null;
    return null;
  };
  const read = [...rows];
  for (let from = 0; from < rows.length; from++) {
    if (value(from) === null) continue;
    const run = [from];
    for (let next = nextTo(from); next !== null; next = nextTo(next)) run.push(next);
    const rests = run.map((i) => rows[i]!.text.slice(leads[i]![0].length));
    const counted = rests.filter(
      (rest, k) => COUNTED.test(rest) || rows[run[k]!]!.quantity !== null,
    );
    const isList = run.length >= FEWEST && counted.length >= MOST_OF_THEM * run.length;
    if (isList || isNumbering(run.map((i) => leads[i]!)))
      run.forEach((i, k) => (read[i] = { ...rows[i]!, text: rests[k]!, bullet: true }));
    from = run.at(-1)!;
  }
  return read;
}
