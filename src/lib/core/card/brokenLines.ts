import { LONGEST_LINE } from "./cardLimits.ts";
import { NUMBER_SAID, NUMBER_WORDS, SAYS_NUMBER } from "./numberWords.ts";
import { quick } from "./quick.ts";
import { SIZED } from "./sized.ts";

/** Sentences over several lines, broken at the edge of a page: a thing stands on the line that it begins on. */

/** Shorter lines were not broken by a page's edge. */
const LONG_LINE = 50;
/** "…, and two" over "triangular bandages, …": what a count at the end counts, up to the next comma, "and" or full stop. */
const ENDS_IN_COUNT = quick(
  new RegExp(
    `(?:[,;:.]\\s+an?|(?:[,;:.]|\\b(?:and|plus))\\s+(?:an?|${NUMBER_WORDS})\\s+(?:pairs?|box(?:es)?|rolls?|packs?|packets?|tubes?|bottles?)\\s+of|[:.]\\s+(?:${NUMBER_WORDS})|\\b(?:and|are|is)\\s+(?:an?|${NUMBER_WORDS}))\\s*$`,
    "iu",
  ),
);
/** After a comma alone a number may count what is before it, as one dictates; not at the edge of a full line. */
const FULL_LINE = 75;
const ENDS_IN_NUMBER = quick(new RegExp(`,\\s+(?:${NUMBER_WORDS})\\s*$`, "iu"));
/** Enough for "and twenty four". */
const COUNT_AT_END = 30;
const GOES_ON = quick(
  new RegExp(
    `^(?!(?:and|or|plus|${NUMBER_WORDS})\\b)\\p{Ll}(?:[^,;.]|\\.(?=\\d))*?(?:,\\s+(?:${NUMBER_WORDS})\\s+of\\s+(?:them|which)\\s[^,;.\\d]*)?(?=[,;]|\\.(?!\\d)|\\s+and\\s|$)`,
    "u",
  ),
);
/** "eye pads: 7 / torches: 2": each count stands behind its name. */
const COUNTS_BEHIND = quick(/\p{L}\)?:\s*\d{1,4}\D.*\p{L}\)?:\s*\d{1,4}\s*$/u);
/** "plasters, assorted ........ 40": a row, whole by itself. */
const LEADER = /\.{4}/;
/** Set in columns: no sentence. */
const COLUMNS = /\S(?:\s{3,}|\t|\s\|\s)\S/;
const LISTED = /^\s*(?:[-*•–]|\(?\w{1,2}[.)])\s/;
/** Sentences over several lines: a thing stands on the line that its count does. */
function countsMoved(lines: readonly string[]): string[] {
  const read = [...lines];
  for (let i = 0; i + 1 < read.length; i++) {
    const line = read[i]!;
    const end = line.slice(-COUNT_AT_END);
    const isBroken =
      line.length >= LONG_LINE &&
      !LISTED.test(line) &&
      !LEADER.test(line) &&
      !COUNTS_BEHIND.test(line) &&
      !COLUMNS.test(line) &&
      (ENDS_IN_COUNT.test(end) || (line.length >= FULL_LINE && ENDS_IN_NUMBER.test(end)));
    const on = isBroken ? GOES_ON.exec(read[i + 1]!)?.[0] : undefined;
    if (on === undefined) continue;
    read[i] = `${line.trimEnd()} ${on}`;
    read[i + 1] = read[i + 1]!.slice(on.length).replace(/^[,;.]?\s*/, "");
  }
  return read;
}

/** Sentences over several lines, every thing on the line that it begins on; as many lines as before. */
export const edgesMended = (lines: readonly string[]): string[] => countsMoved(namesMoved(lines));

/** A sentence that lists has so many commas; fewer stand in one name. */
const FEWEST_COMMAS = 2;
/** A paragraph of two lines may be two lines of a list, if they are short. */
const SHORTEST_OF_TWO = 50;
/** Narrower lines are a list's. */
const NARROWEST = 40;
/** One comma a line stands between a name and its count. */
const COMMAS_A_LINE = 1.3;
const COMMA = /[,;](?:\s|$)|\s[·•]\s/g;
/** The line ends where a thing does, or where the next is about to begin. */
const ENDS_WHOLE = /[,;:.!?·•]\s*$|(?:\s|^)(?:and|or|plus|as\s+well(?:\s+as)?|with|&|\+|[-–])\s*$/i;
/** "dressings x8", "(4)", "x9", "10 x 10 cm", "m": a name, or what is told of it, that began on the line above. */
const GOES_ON_BELOW = quick(
  new RegExp(
    `^(?!(?:and|or|plus|as|also|then|with|in|on|we|there|it|that['’]?s?|this|these|all|no|not|everything|nothing|please|thanks|an?|some|another|the|um|uh|erm?|okay|so|right|now|next|qty|quantity|about|approx|${NUMBER_SAID})\\b)\\p{Ll}|^\\(\\d|^[x×]\\s?\\d|^\\d+(?:[.,]\\d+)?\\s?(?:(?:mm|cm|in|m|yd|")?\\s?[x×]\\s?\\d|(?:mm|cm|ml|m)(?![\\p{L}]))`,
    "u",
  ),
);
const TO_NEXT_THING = /^.*?(?=[,;](?:\s|$)|\.(?:\s|$)|\s+(?:and|plus|as\s+well|&|[·•])\s|$)/i;
/** No paragraph of a card has more lines. */
const MOST_OF_PARAGRAPH = 30;

/** "Cheers, Tam" below the list. */
const GOODBYE =
  /^\s*(?:cheers|thanks|thank\s+you|(?:best|kind)\s+(?:regards|wishes)|regards|yours|love|ta)\b.{0,25}$/i;

/** What tells of a line whether it was broken: nothing of its words. */
interface Measured {
  readonly width: number;
  readonly firstWord: number;
  readonly commas: number;
  /** It may stand in a paragraph: no list's mark, no cells. */
  readonly isProse: boolean;
  readonly endsSentence: boolean;
}
const NO_PROSE: Measured = {
  width: 0,
  firstWord: 0,
  commas: 0,
  isProse: false,
  endsSentence: true,
};
function measured(line: string): Measured {
  const text = line.trimEnd();
  if (
    text === "" ||
    line.length > LONGEST_LINE ||
    GOODBYE.test(text) ||
    LEADER.test(text) ||
    /[|\t]|\S\s{3,}\S/.test(text)
  )
    return NO_PROSE;
  return {
    width: text.length,
    firstWord: text.trimStart().split(" ", 1)[0]!.length,
    commas: text.match(COMMA)?.length ?? 0,
    isProse: true,
    endsSentence: /[.!?:]$/.test(text),
  };
}

/** Lines that each list something by themselves are no paragraph: prose with commas of its own goes on with them. */
const listsOn = (line: Measured | undefined): boolean => (line?.commas ?? 0) > 0;

/**
 * Where the paragraph that begins at a line ends, as a page of one width breaks it: no word of the next line would have had room on
 * the one before. null: none begins.
 */
function paragraphFrom(from: number, lines: readonly Measured[]): number | null {
  const [first, before, twoBefore] = [lines[from]!, lines[from - 1], lines[from - 2]];
  if (!first.isProse || !(first.commas > 0 || listsOn(lines[from + 1]))) return null;
  if (listsOn(before) && !before!.endsSentence && (first.commas === 0 || listsOn(twoBefore)))
    return null;
  const last = Math.min(lines.length, from + MOST_OF_PARAGRAPH);
  let to = from + 1;
  while (to < last && lines[to]!.isProse && !lines[to - 1]!.endsSentence) to++;
  for (; to - from >= 2; to--) {
    const endsHere = lines[to - 1]!.endsSentence || !listsOn(lines[to]);
    if (endsHere && isBroken(lines.slice(from, to))) return to;
  }
  return null;
}

function isBroken(lines: readonly Measured[]): boolean {
  const full = lines.slice(0, -1);
  const widest = Math.max(...lines.map((l) => l.width));
  const commas = full.reduce((sum, l) => sum + l.commas, 0);
  if (lines.length === 2)
    return (
      commas >= FEWEST_COMMAS && full[0]!.width >= SHORTEST_OF_TWO && full[0]!.width === widest
    );
  return (
    widest >= NARROWEST &&
    commas >= COMMAS_A_LINE * full.length &&
    full.every((line, i) => line.width + 1 + lines[i + 1]!.firstWord > widest)
  );
}

/** Names that the edge of the page broke, whole. */
function namesMoved(lines: readonly string[]): string[] {
  const read = [...lines];
  const told = lines.map(measured);
  for (let from = 0; from < lines.length;) {
    const to = paragraphFrom(from, told);
    if (to !== null) for (let i = from; i + 1 < to; i++) moveOn(read, i, to - from > 2);
    from = to ?? from + 1;
  }
  return read;
}

const FRAGMENT =
  /(?:^|[,;]\s|\s(?:and|plus|as\s+well\s+as|&|[·•])\s)(?!.*(?:[,;]\s|\s(?:and|plus|as\s+well\s+as|&|[·•])\s))(.*)$/i;
/** "72 x" over "19 mm", "7.5 x 7.5" over "cm (1)": a size that the edge broke. */
const SIZE_BEGUN = /(?:\d+(?:[.,]\d+)?\s?(?:mm|cm|in)?\s?[x×]?\s*)+$/i;
const SIZE_ENDED = /^(?:[x×]\s?)?(?:\d+(?:[.,]\d+)?\s?)?(?:mm|cm|m|in)\b/i;
/** Whether the last words of a line and the first of the next have a count. */
function areCounted(last: string, first: string): readonly [boolean, boolean] {
  const isCounted = (words: string) => SAYS_NUMBER.test(words.replace(SIZED, " "));
  return SIZE_ENDED.test(first)
    ? [isCounted(last.replace(SIZE_BEGUN, " ")), isCounted(first.replace(SIZE_ENDED, " "))]
    : [isCounted(last), isCounted(first)];
}

/** What goes on at the head of the next line, moved to the end of this one. */
function moveOn(read: string[], i: number, isLong: boolean): void {
  const line = read[i]!.trimEnd();
  const next = read[i + 1]!.trimStart();
  if (line === "" || ENDS_WHOLE.test(line) || LISTED.test(next) || !GOES_ON_BELOW.test(next))
    return;
  const on = TO_NEXT_THING.exec(next)![0];
  // "top shelf: 4 wipes": another place.
  if (on.includes(":")) return;
  // "triangular 8" over "wipes x2": each has its own; of two without any nothing is told, but in a long paragraph.
  const [begun, ended] = areCounted(FRAGMENT.exec(line)?.[1] ?? line, on);
  if (begun === ended && (begun || !isLong)) return;
  read[i] = `${line} ${on}`;
  read[i + 1] = next.slice(on.length).replace(/^[,;.]?\s*/, "");
}
