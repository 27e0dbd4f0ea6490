import type { CardRow } from "./cardRow.ts";
import { NUMBER_WORDS, SAYS_NUMBER } from "./numberWords.ts";
import { valueOf } from "./phrase.ts";
import { PART_OF_ONE } from "./placeWords.ts";
import { quick, THREE_LETTERS } from "./quick.ts";
import { SIZED } from "./sized.ts";

/** How many, as it stands behind a name or in a column of its own: all of it says the number. */

interface CountForm {
  readonly name: string;
  /** What is written, and what it says. */
  readonly example: readonly [written: string, says: string];
  readonly pattern: RegExp;
  readonly read: (...numbers: number[]) => number;
}

const N = `(${NUMBER_WORDS})`;
const form = (
  name: string,
  example: readonly [string, string],
  pattern: string,
  read: CountForm["read"] = (n) => n!,
): CountForm => ({ name, example, pattern: quick(new RegExp(`^${pattern}$`, "iu")), read });

const OF_THEM =
  "pcs|pieces|ea(?:ch)?|nos?\\.?|off|units?|singles?|individual|indiv\\.?|cnt|ct|count";
const THERE = "left|remaining|there|here|held|present|found|only|still";
const STATE =
  "ok|okay|good|fine|full|new|sealed|unopened|intact|loose|low|in\\s+date|check(?:ed)?|see\\s+notes?|(?:re-?)?order|to\\s+order|✓|✔";

export const COUNT_FORMS: readonly CountForm[] = [
  form(
    "so many and so many",
    ["2 + 1 spare", "3"],
    `${N}\\s*(?:\\+|&|and|plus)\\s*${N}(?:\\s+(?:spares?|more|extra|loose|others?|besides|in\\s+reserve))?`,
    (a, b) => a! + b!,
  ),
  form(
    "so many more in brackets",
    ["2 (+1 spare)", "3"],
    `${N}\\s*\\(\\s*(?:\\+|plus)\\s*${N}(?:\\s+\\p{L}+)?\\)`,
    (a, b) => a! + b!,
  ),
  form(
    "full ones and one begun",
    ["2 full 1 part", "3"],
    `${N}\\s+full\\s*(?:,|and|\\+|&)*\\s*${N}\\s+(?:part(?:ly)?(?:\\s+(?:used|full))?|half(?:[\\s-](?:full|empty|used))?|(?:nearly|almost)\\s+empty|begun|started)`,
    (a, b) => a! + b!,
  ),
  form("so many of so many", ["3 out of 4", "3"], `${N}\\s+(?:out\\s+of|of|from|ex)\\s+${N}`),
  form("so many of so many are there", ["3/4 held", "3"], `${N}\\s*/\\s*${N}\\s+(?:${THERE})`),
  form(
    "how many there should be, in square brackets",
    ["20 [25]", "20"],
    `${N}\\s*\\[\\s*${N}\\s*\\]`,
  ),
  form(
    "from so many to so many",
    ["5 > 3", "3"],
    `(?:was\\s+)?${N}\\s*(?:->|→|=>|>|,?\\s*now|down\\s+to)\\s*${N}`,
    (_, b) => b!,
  ),
  form("so many less", ["4 (-1)", "3"], `${N}\\s*\\(\\s*[-−–]\\s*${N}\\s*\\)`, (a, b) => a! - b!),
  form(
    "some of them out of date",
    ["20 (3 expired)", "20"],
    `${N}\\s*[(,]\\s*${N}\\s+(?:(?:are\\s+)?(?:expired|out\\s+of\\s+date|past\\s+date)|exp\\.?)!*\\)?`,
  ),
  form("ticked", ["✓ 20", "20"], `[✓✔☑]\\s*${N}`),
  form(
    "about so many",
    ["about 20", "20"],
    `(?:about|approx(?:\\.|imately)?|around|roughly|circa|ca?\\.|~|say|nearly|almost|over|at\\s+least|maybe|probably|only|just|still)\\s*${N}(?:\\s+(?:${OF_THEM}|left|or\\s+so))?`,
  ),
  form(
    "so many or so",
    ["20 or so", "20"],
    `${N}\\s*(?:-?ish|or\\s+so|approx\\.?|approximately|\\?)`,
  ),
  form(
    "so many at so many each",
    ["2 @ 10", "20"],
    `${N}\\s*@\\s*${N}(?:\\s+(?:each|ea\\.?))?`,
    (a, b) => a! * b!,
  ),
  form("tens", ["2 tens", "20"], `${N}\\s+tens`, (a) => 10 * a!),
  form("pieces, or what is left", ["20 remaining", "20"], `${N}\\s+(?:${OF_THEM}|${THERE})\\.?`),
  form(
    "so many, and how they are",
    ["20 - check", "20"],
    `${N}\\s*[-–,(]?\\s*(?:${STATE})\\)?[.!]?`,
  ),
  form(
    "so many in a part of the kit",
    ["3 in the lid", "3"],
    `${N}\\s+(?:in|on)\\s+(?:(?:the|its)\\s+)?(?:\\p{L}+\\s+)?(?:${PART_OF_ONE}|lid|flap|door)`,
  ),
  form("a number in words", ["twenty", "20"], "((?!\\d)(?:" + NUMBER_WORDS + "))"),
];

/** Nothing is there. */
const NOTHING = quick(
  /^(?:(?:nil|none|zero|0)\s+(?:left|here|there|found)|0\s*(?:\/|(?:out\s+)?of)\s*\d+|nil|none|zero|no|missing|gone|out|empty|absent|lost|finished|removed|not\s+(?:there|here|found|present|in)|(?:all\s+)?used(?:\s+up)?|all\s+(?:used|gone)|(?:on\s+|to\s+)?order(?:ed)?|to\s+buy|sold\s+out|[-–—✗✘❌])(?:\s*(?:->|→|[-–,(])\s*(?:(?:on\s+|to\s+)?(?:re-?)?order(?:ed)?|to\s+(?:buy|replace)|buy|replace)\)?)?\s*[!.]*$/iu,
);
/** "III": strokes. */
const STROKES = /^[I|]{2,5}$/;

/** The number that a text says, "none", or null where it says something else too. */
export function countSaid(written: string): string | null {
  const text = written.trim();
  if (NOTHING.test(text)) return "none";
  if (STROKES.test(text)) return `${text.length}`;
  for (const { pattern, read } of COUNT_FORMS) {
    const m = pattern.exec(text);
    if (m) return `${Math.max(0, read(...m.slice(1).map(valueOf)))}`;
  }
  return null;
}

const PIECES = quick(new RegExp(`^${N}\\s+(?:pcs|pieces|ea(?:ch)?|units?|count)\\.?$`, "iu"));
const PARTED = /\s*(?:[:;,](?=\s)|\.{3,}|\s[-–—](?=\s)|\s{2,})\s*/g;
/** Longer lines are prose. */
const LONGEST = 120;
/** "plasters, about 20", "wipes - out": the number told plainly. */
export function withCountBehind(row: CardRow): CardRow {
  if (row.quantity !== null || row.text.length > LONGEST) return row;
  for (const gap of row.text.matchAll(PARTED)) {
    const name = row.text.slice(0, gap.index);
    if (!THREE_LETTERS.test(name)) continue;
    // "1 box of 25, 21 left": more is said of how many.
    if (SAYS_NUMBER.test(name.replace(SIZED, ""))) return row;
    const behind = row.text.slice(gap.index + gap[0].length);
    // "plasters: 20 pcs" is read as it stands, and shown so.
    if (PIECES.test(behind)) return row;
    const said = countSaid(behind);
    if (said !== null) return { ...row, text: name, quantity: said };
  }
  return row;
}
