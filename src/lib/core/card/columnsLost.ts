import { remembering } from "../base/remembering.ts";
import { LINES_KEPT, LONGEST_KEPT, LONGEST_LINE } from "./cardLimits.ts";
import type { ColumnRole } from "./columnRole.ts";
import { hint } from "./columnsByContent.ts";
import { roleOf } from "./headingRoles.ts";
import { quick, THREE_LETTERS } from "./quick.ts";

/**
 * Tables whose columns a copy closed up, one blank where there were many: "Item Min Held Expiry" over "Eye pads 4 3 11/27". The
 * blanks are put back, and the table is read as any other.
 */

/** Fewer columns read well as they are. */
const FEWEST_COLUMNS = 3;
const MOST_COLUMNS = 9;
/** "Min. stock level". */
const LONGEST_HEADING = 3;
/** Rows of so many cells tell that they are some. */
const FEWEST_ROWS = 3;
/** Of the lines below a heading that end as rows do this share are rows; the others have an empty cell. */
const SHARE_OF_ROWS = 0.6;
const ENDS_IN_VALUE = quick(/\p{L}.*\s(?:\S*\d\S*|[-–—✓✔✗✘]|n\/a|[yn])\W*$/iu);
/** So many lines below a heading are looked at: more than a card has rows. */
const LOOK_AHEAD = 60;
/** No row that had columns is longer, and the pattern of one must not be sought through prose. */
const LONGEST_ROW = 200;
/** Headings that count where no other does. */
const MAY_COUNT = /^(?:no|nos|nr|total|units|each)\.?$/i;

interface Told {
  readonly text: string;
  readonly role: ColumnRole | null;
}
interface Heading extends Told {
  readonly role: ColumnRole;
}

/** No number, and nothing that sets cells apart; "WK1" is a word, and "is" one of a sentence. */
const HEADING_WORD = quick(
  /^(?!(?:is|are|was|were|goes|has|have|we|you|i)$)(?:[£€$✓✔#]|(?!\d)[^|;\t,:]*\p{L}[^|;\t,:]*)$/iu,
);
/** "Hej! Counted today.": what ends as a sentence does heads nothing; "Exp." does. */
const SENTENCE = quick(/[!?](?:\s|$)|\p{Ll}{4}\.$/u);
const GAPS = /\s{2,}|\.{3,}/;
/** A line of words that head columns, one blank between them, names under one of them; null: it is none. */
const headingsOf = remembering(findHeadings, LINES_KEPT, LONGEST_KEPT);
function findHeadings(line: string): readonly Heading[] | null {
  const text = line.trim();
  if (GAPS.test(text) || SENTENCE.test(text)) return null;
  const words = text.split(" ");
  if (words.length < 2 || words.length > MOST_COLUMNS * 2) return null;
  if (!words.every((word) => HEADING_WORD.test(word))) return null;
  const found: Told[] = [];
  for (let at = 0; at < words.length; at += found.at(-1)!.text.split(" ").length)
    found.push(headingAt(words, at));
  const told = withNames(found);
  const isTable =
    told.length >= FEWEST_COLUMNS &&
    told.length <= MOST_COLUMNS &&
    told.filter((h) => h.role === "text").length === 1 &&
    told.filter((h) => h.role === "note").length <= 1 &&
    told.some(mayCount);
  return isTable && told.every(isTold) ? told : null;
}
const mayCount = (h: Told): boolean => h.role === "quantity" || MAY_COUNT.test(h.text);
const isTold = (h: Told): h is Heading => h.role !== null;

/**
 * "NOMENCLATURE", "Poolside kit min actual": words nobody knows are over the names where none else are; "REQ. FOUND" stand behind
 * them. One of them beside a heading for the names ("Var") says nothing.
 */
function withNames(found: readonly Told[]): readonly Told[] {
  const first = found.findIndex((h) => h.role !== null);
  const isNamed = found.some((h) => h.role === "text");
  if (isNamed || first < 0 || first > LONGEST_TITLE) return withoutUnknown(found);
  const title = found.slice(0, first).map((h) => h.text);
  const others = found.slice(first);
  const [unknown, ...more] = others.filter((h) => h.role === null);
  return title.length === 0 && unknown !== undefined && more.length === 0
    ? others.map((h) => (h === unknown ? { ...h, role: "text" } : h))
    : [{ text: title.join(" "), role: "text" }, ...withoutUnknown(others)];
}
/** Of headings that are told one may say nothing. */
function withoutUnknown(found: readonly Told[]): readonly Told[] {
  const unknown = found.filter((h) => h.role === null);
  return unknown.length === 1 ? found.map((h) => (isTold(h) ? h : { ...h, role: "skip" })) : found;
}
/** Words of a title that stand where the names are headed. */
const LONGEST_TITLE = 4;

/** The longest heading that begins with the word at `at`, else that word. */
function headingAt(words: readonly string[], at: number): Told {
  for (let many = Math.min(LONGEST_HEADING, words.length - at); many > 0; many--) {
    const text = words.slice(at, at + many).join(" ");
    // "Item Min": a name is headed by its own word.
    const role =
      many > 1 && !WHOLE.test(text)
        ? null
        : (roleOf(text) ?? hint(text) ?? (IS_OK.test(text) ? "skip" : null));
    if (role) return { text, role };
  }
  return { text: words[at]!, role: null };
}
/** "OK?": whether it was looked at. */
const IS_OK = /^(?:ok|✓|✔|y\/n|tick)\??$/i;
/** Headings of several words. */
const WHOLE =
  /^(?:(?:item|product|unit|part|art\.?|lot|batch|sl\.?|stock|order)\s+(?:name|description|price|cost|code|no\.?|number|nr\.?)|(?:min\.?|max\.?|stock|order|pack)\s+(?:stock|level|qty|quantity|size)|unit\s+of\s+issue|exp(?:iry)?\.?\s+date|(?:qty|quantity|no\.?|number)\s+(?:in(?:\s+(?:kit|box|stock))?|out|held|present|actual|expected|minimum|required|needed|found|checked|counted|ordered|received|issued?|of\s+(?:items|units|pieces|packs))|(?:use|sell|best)\s+(?:by|before)|on\s+hand|in\s+(?:kit|box|stock)|(?:date|last)\s+checked|name\s+of\s+(?:the\s+)?(?:item|article|product))$/i;

/** What a cell may be that holds no name: a count with its unit, a day, a price, an answer, nothing. */
const VALUE = [
  "[+-]\\d{1,3}",
  "\\d{1,5}(?:[.,]\\d{1,2})?(?:\\s?(?:pks?|pkts?|prs?|pcs|box(?:es)?|bx|rolls?|rl|ea|pairs?|nos?\\.?|btls?)(?![\\p{L}]))?",
  "[£€$]\\s?\\d+(?:[.,]\\d{2})?",
  "\\d{1,4}[-/.]\\d{1,4}(?:[-/.]\\d{2,4})?",
  "(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)\\p{L}*\\.?\\s?\\d{2,4}",
  "[-–—✓✔✗✘]+|\\[[ xX✓]?\\]",
  "n/?a|nil|none|yes|no|ok|low|good|y|n",
].join("|");
/** What things are counted in, and how many of them. */
const COUNTED_IN =
  "(?:ea|each|bx|box|pks?|pkts?|packs?|prs?|pairs?|rolls?|rl|bottles?|btls?|units?|pcs?|sets?|tubes?|tins?|bags?|strips?|sachets?|doz|dz|pce|ro|pg|pac)(?:/\\d{1,4})?";
/** A number, a lot or a code. */
const CODE = "(?=\\S*\\d)[\\p{L}\\d][\\p{L}\\d./-]*";
/** What stands before a name. */
const LEADING = `${CODE}|[A-Z]|\\p{L}{2}`;
const UNIT = `(?:\\s?(?:cm|mm|m|ml|l|in|g|mg|yd)(?![\\p{L}])|["”])`;
/** "10 cm x 4 m", "500 ml", "M". */
const SIZE = `\\d[\\d.,/-]*${UNIT}?(?:\\s?[x×]\\s?\\d[\\d.,/-]*${UNIT}?){1,2}|\\d[\\d.,]*${UNIT}|[SML]|X{1,2}[SL]|[-–—]`;

/** The cells of a row under headings, by the values that stand before and behind its name. */
function rowPattern(headings: readonly Heading[]): RegExp {
  const at = headings.findIndex((h) => h.role === "text");
  const cells = headings.map((h, i) => {
    if (i === at) return i === 0 ? "(\\S.*?)" : "\\s(\\S.*?)";
    // What is remarked has words of its own, or there is none.
    if (h.role === "note") return "\\s?(.*?)";
    if (i < at) return `${i === 0 ? "" : "\\s"}(${VALUE}|${COUNTED_IN}|${LEADING})`;
    if (h.role === "unit") return `\\s(${COUNTED_IN}|${VALUE})`;
    if (h.role === "size") return `(?:\\s(${SIZE}))?`;
    // Lots and codes among the days and prices.
    if (h.role === "skip" && i < headings.length - 1) return `\\s(${VALUE}|${CODE})`;
    const isLast = i === headings.length - 1 && i > at + 1;
    return isLast && h.role === "skip" ? `(?:\\s(${VALUE}))?` : `\\s(${VALUE})`;
  });
  return quick(new RegExp(`^\\s*${cells.join("")}\\s*\\**\\s*$`, "iu"));
}

/** "Amount" over "7.20" is what was paid. */
const PRICE = /^\d+[.,]\d{2}$/;

interface Restored {
  readonly lines: readonly string[];
  /** The first line behind the table. */
  readonly to: number;
}

/** The table that a line heads; null: it heads none, or what is below it are no rows. */
function tableAt(lines: readonly string[], at: number): Restored | null {
  if (lines[at]!.length > LONGEST_LINE) return null;
  const headings = headingsOf(lines[at]!);
  if (headings === null) return null;
  const below = lines.slice(at + 1, at + 1 + LOOK_AHEAD);
  const ends = (line: string) => line.length > LONGEST_LINE || headingsOf(line) !== null;
  const end = below.findIndex(ends);
  const body = end < 0 ? below : below.slice(0, end);
  const pattern = rowPattern(headings);
  const name = headings.findIndex((h) => h.role === "text");
  const rows = body.map((line) => {
    const isRow = line.length <= LONGEST_ROW && !GAPS.test(line.trim());
    const cells = isRow ? pattern.exec(line)?.slice(1) : null;
    return cells && THREE_LETTERS.test(cells[name]!) ? cells : null;
  });
  const found = rows.filter((r) => r !== null);
  const valued = body.filter((line) => ENDS_IN_VALUE.test(line)).length;
  if (found.length < FEWEST_ROWS || found.length < SHARE_OF_ROWS * valued) return null;
  const isCount = (i: number) =>
    2 * found.filter((r) => PRICE.test(r[i] ?? "")).length <= found.length;
  if (!headings.some((h, i) => mayCount(h) && isCount(i))) return null;
  const heads = headings.map((h) => h.text);
  const widths = heads.map((h, i) => Math.max(h.length, ...found.map((r) => r[i]?.length ?? 0)));
  const set = (cells: readonly string[]) =>
    cells
      .map((cell, i) => cell.padEnd(widths[i]! + 2))
      .join("")
      .trimEnd();
  const table = rows.map((cells, i) => (cells ? set(cells.map((c) => c || "-")) : body[i]!));
  return { lines: [set(heads), ...table], to: at + 1 + body.length };
}

/** The lines of a card with the columns of such tables set apart again. */
export function columnsRestored(lines: readonly string[]): string[] {
  const out: string[] = [];
  for (let at = 0; at < lines.length;) {
    const table = tableAt(lines, at);
    out.push(...(table?.lines ?? [lines[at]!]));
    at = table?.to ?? at + 1;
  }
  return out;
}
