import { LONGEST_LINE } from "./cardLimits.ts";
import { NUMBER_WORDS, SAYS_NUMBER } from "./numberWords.ts";
import { quick } from "./quick.ts";

/**
 * Items of a marked list that a narrow page broke: "1. zinc oxide tape, 2.5 cm x" over "   5 m, 2 rolls". Whole again on the line
 * where each begins. A line was broken only if the first word of the next had no room on it.
 */

const MARK = quick(
  /^\s*(?:\d{1,3}[.)]|\(?(?:[a-z]|[ivx]{1,5})\)|(?:[a-z]|[ivx]{2,5})\.|\(\d{1,3}\)|[-*•–+·▪]|\[[ xX✓✔]?\]|[☐☑✓✔])\s+(?=\S)/iu,
);
/** In columns (empty ones last), quoted, or of a data format: other steps read those. */
const OTHERWISE = /\t|\||[,;]\s*[,;]\s*$|^\s*[>{}<"]|^\s*(?:- )?[a-z_]{2,12}:\s/;
/** A column of counts: brokenItems.ts tells by it where an item ends. */
const HAS_COLUMN = /\S\s{3,}\S|\.{4}/;
/** Begins as what goes on does; a heading, or a thing of its own, has a capital. */
const GOES_ON = quick(/^(?:\p{Ll}|[\d("'“&+×=/,;½¼¾–-]|[x×]\s?\d)/u);
/** "… cm x", "… two in the", "…, sterile,": nothing ends so. */
const HANGS = quick(
  /(?:,|\s(?:[x×&+/–-]|and|or|of|in|on|at|for|the|an?|with|to|from|by|per|plus|each))$/iu,
);

/** "still to come: …" */
const LABEL = quick(/^\p{L}[^\d,;()]{1,30}:\s/u);

/** Fewer marks make no list. */
const FEWEST_MARKED = 3;
/** No page is narrower. */
const NARROWEST = 18;
/** No item takes more lines. */
const MOST_LINES = 5;

/** "- 6" below a name counts it. */
const COUNT_ALONE = /^\s*[-–+•*]\s+\d{1,4}\s*$/;
const kindOf = (text: string): string | null =>
  MARK.exec(text)?.[0]
    .trim()
    .replace(/\d+/, "1")
    .replace(/[a-z]+/i, "a") ?? null;

interface Line {
  readonly text: string;
  readonly indent: number;
  /** Where the words behind its mark begin. */
  readonly column: number;
  /** The kind of its mark: its sign, or that it is a number or a letter; null: none. */
  readonly mark: string | null;
  /** Its words can be looked at. */
  readonly isPlain: boolean;
}
function lineOf(line: string): Line {
  const text = line.trimEnd();
  const isPlain = text.trim() !== "" && text.length <= LONGEST_LINE && !OTHERWISE.test(text);
  return {
    text,
    indent: text.length - text.trimStart().length,
    column: isPlain ? (MARK.exec(text)?.[0].length ?? 0) : 0,
    mark: isPlain && !COUNT_ALONE.test(text) ? kindOf(text) : null,
    isPlain,
  };
}

/** "medium (20 pairs)": how many there are ends an item. */
const ENDS_COUNTED = /\(\d{1,4}(?:\s[^()\d]{1,20})?\)$/;
/** Whether the items of a card end so: what does not yet goes on below, set in, whatever room there was. */
const endCounted = (lines: readonly Line[]): boolean => {
  const marked = lines.filter(({ mark }) => mark !== null).length;
  const ends = lines.filter(({ text }) => ENDS_COUNTED.test(text)).length;
  const endless = lines.filter(
    ({ text, mark }) => mark !== null && !ENDS_COUNTED.test(text),
  ).length;
  return ends >= FEWEST_MARKED && ends >= SHARE_COUNTED * marked && endless < ends;
};
/** One or two may say it otherwise. */
const SHARE_COUNTED = 0.8;

/** "…, individually", "…, nearly", "… and 1", "… (in the": nothing ends so either. */
const HANGS_ON = quick(
  new RegExp(
    `(?:\\b(?:individually|sterile|assorted|extra|about|nearly|almost|only|another|both|some|one\\s+of)|(?:[,;:]|\\b(?:and|plus))\\s+(?:${NUMBER_WORDS})|\\([^()]*)$`,
    "iu",
  ),
);
const SMALL_FIRST = quick(/^\p{Ll}{2}/u);
/** "wipes 20", "wipes - 20": a thing with its count. */
const IS_COUNTED = quick(/^\p{L}[^\d,;:]*[\s:x×(–-]\d{1,4}\)?\s*(?:pcs|pairs?|prs?|rolls?)?$/iu);
/** Whether a line right below the words of a marked item, as far in, goes on with it: typed so, whatever room there was. */
const hangsOn = ({ text, indent }: Line, above: Line, head: Line): boolean =>
  indent > 0 &&
  indent === head.column &&
  !above.text.endsWith(":") &&
  (HANGS.test(above.text) ||
    HANGS_ON.test(above.text) ||
    (SMALL_FIRST.test(text.trimStart()) &&
      SAYS_NUMBER.test(head.text) &&
      !IS_COUNTED.test(text.trimStart())));

/** How a card breaks its items. */
interface Page {
  readonly width: number;
  readonly endsCounted: boolean;
}
/** Whether a line goes on with an item whose first line is given. */
function goesOn(line: Line, above: Line, head: Line, { width, endsCounted }: Page): boolean {
  if (!line.isPlain || line.mark !== null || !above.isPlain) return false;
  const words = line.text.trimStart();
  if (hangsOn(line, above, head)) return true;
  if (endsCounted && line.indent > head.indent && !ENDS_COUNTED.test(above.text)) return true;
  const hasRoom = above.text.length + 1 + words.split(" ", 1)[0]!.length <= width;
  if (hasRoom || above.text.length < NARROWEST || above.text.endsWith(":")) return false;
  if (line.indent !== head.indent) return line.indent > head.indent;
  // "www.example.org" below the list.
  if (/^\S+\.\S+$/.test(words)) return false;
  return (GOES_ON.test(words) || HANGS.test(above.text)) && !LABEL.test(words);
}

/** Lines of which only those signs are marks that head several: "+ 1 of 4" may go on. */
function marked(lines: readonly Line[]): Line[] {
  const marks = new Map<string, number>();
  for (const { mark } of lines) if (mark !== null) marks.set(mark, (marks.get(mark) ?? 0) + 1);
  return lines.map((line) =>
    line.mark !== null && marks.get(line.mark)! < FEWEST_MARKED ? { ...line, mark: null } : line,
  );
}

/** The lines of a card with such items whole, each on the line where it begins; as many lines as before. */
export function wrappedItems(written: readonly string[]): string[] {
  const lines = marked(written.map(lineOf));
  const first = lines.findIndex(({ mark }) => mark !== null);
  if (first < 0) return [...written];
  if (lines.some(({ text }) => HAS_COLUMN.test(text))) return [...written];
  const width = lines.slice(first).reduce((most, { text }) => Math.max(most, text.length), 0);
  const page: Page = { width, endsCounted: endCounted(lines) };
  const read = [...written];
  for (let from = first; from < lines.length; from++) {
    const head = lines[from]!;
    if (head.mark === null) continue;
    let to = from + 1;
    while (
      to < lines.length &&
      to - from < MOST_LINES &&
      goesOn(lines[to]!, lines[to - 1]!, head, page)
    )
      to++;
    if (to === from + 1) continue;
    read[from] = lines
      .slice(from, to)
      .map(({ text }, i) => (i === 0 ? text : text.trimStart()))
      .join(" ");
    read.fill("", from + 1, to);
    from = to - 1;
  }
  return read;
}
