import { remembering } from "../base/remembering.ts";
import { alignedSplit } from "./aligned.ts";
import { RECORD_END } from "./besideEach.ts";
import { LINES_KEPT, LONGEST_KEPT, LONGEST_LINE } from "./cardLimits.ts";
import type { ColumnRole } from "./columnRole.ts";
import { placedCells, spaced, SPLITTERS, underHeadings, type Split } from "./cells.ts";
import { hint, rolesByContent } from "./columnsByContent.ts";
import { columnsSettled, withSums, type Columns, type Rows } from "./headedColumns.ts";
import { headingKey, NO_HABITS, type Habits } from "./habits.ts";
import { roleOf } from "./headingRoles.ts";
import type { CardRow } from "./cardRow.ts";
import { NUMBER_WORDS } from "./numberWords.ts";
import { withoutRunningNumbers } from "./leads.ts";
import { CARRIED } from "./placeWords.ts";
import { pairedCells, pairedOnLine } from "./pairedCells.ts";
import { plainRow } from "./plainRow.ts";
import { saysAmount } from "./recordFields.ts";
import { saysBalance, saysMoved } from "./runningBalances.ts";
import { tableRow } from "./tableRow.ts";
import { PACKS } from "./phrase.ts";
import { LETTER, THREE_LETTERS, TWO_LETTERS, quick } from "./quick.ts";

/** "Wallet kit (28 pcs): 8 plasters; 4 wipes": title and items on one line. */
const TITLE_THEN_ITEMS =
  /^([^:;,]*\b(?:kit|set|bag|box|pouch|pack)\b[^:;,]*?\b\d+\s*-?\s*(?:pieces?|pcs?|items?|parts?)\b[^:;,]*):\s+(\S.*)$/i;

interface Table extends Columns {
  readonly split: Split;
}

/**
 * Splits a card into rows. Table columns are found by a header line, or by what they hold; all else is a
 * row of text.
 * @param isName whether a text surely names one item
 */
export function cardRows(
  lines: readonly string[],
  isName: (text: string) => boolean,
  habits: Habits = NO_HABITS,
): CardRow[] {
  const reader = new RowReader(lines, isName, habits);
  lines.forEach((_, i) => reader.take(i));
  return withoutRunningNumbers(withoutBins(reader.rows));
}

/** " | Item | Qty" over "1 | Plasters | 24": the first heading is empty, and no bar stands round the table. */
const withFirstCell = (line: string, next: string): string =>
  line.length <= LONGEST_LINE && /^\s*\|.*[^|\s]\s*$/.test(line) && /^\s*[^|\s][^|]*\|/.test(next)
    ? `#${line}`
    : line;

/** Whether a table goes on over a line of one cell: a title between its rows. */
function staysOpen({ split, roles }: Table, line: string, next: string): boolean {
  if (/^\s*\|/.test(line)) return true;
  if (/[,;\t]/.test(line)) return false;
  const below = split(next);
  const isRow = /[|;\t]/.test(next) || /^\d/.test(below[roles.indexOf("quantity")]?.trim() ?? "");
  return roles.length > 2 || (isRow && below.length === roles.length);
}
const filledIn = (cells: readonly string[]): readonly string[] =>
  cells.filter((cell) => !/^[-:=\s]*$/.test(cell));
/** "Bag 1", "-- Wipes --". */
const IS_TITLE = new RegExp(`^(?:${CARRIED})\\s+\\d{1,2}:?$|^--+.*--+$`, "i");
/** Between the last line of a page and the first of the next. */
const MOST_BLANK = 6;
/** Takes the lines of a card one after another, and knows the table they lie in. */
class RowReader {
  readonly rows: CardRow[] = [];
  readonly #lines: readonly string[];
  readonly #isName: (text: string) => boolean;
  readonly #habits: Habits;
  #table: Table | null = null;
  /** First line that was not looked at for a table without headings. */
  #lookedTo = 0;
  /** First line of that table below its headings. */
  #bodyFrom = 0;
  constructor(lines: readonly string[], isName: (text: string) => boolean, habits: Habits) {
    this.#lines = lines.map((line, i) => withFirstCell(line, lines[i + 1] ?? ""));
    this.#isName = isName;
    this.#habits = habits;
  }

  take(i: number): void {
    const line = this.#lines[i]!;
    if (line.length > LONGEST_LINE) return;
    if (line.trim() === "") {
      if (!this.#goesOnBelow(i)) this.#table = null;
      return;
    }
    const header = this.#headerAt(line, i);
    if (!header && !this.#table && i >= this.#lookedTo) this.#lookForTable(i);
    if (i < this.#bodyFrom) return;
    if (header) this.#table = header;
    else if (!this.#table || !this.#takeRow(this.#table, line, i)) this.#takePlain(line, i);
  }

  /** A table goes on over a blank line, or the few between two pages, where a row of it follows. */
  #goesOnBelow(i: number): boolean {
    const table = this.#table;
    if (table === null) return false;
    const next = this.#lines.slice(i + 1, i + 1 + MOST_BLANK).findIndex((l) => l.trim() !== "");
    return this.#lines
      .slice(i + 1, i + 3 + Math.max(0, next))
      .some((l) => table.split(l).length >= 2);
  }

  #headerAt(line: string, i: number): Table | null {
    const below = this.#lines.slice(i + 1, i + 4);
    const headed =
      rememberedHeader(line, this.#habits) ??
      this.#unlessCounted(tableHeader(line, below), line) ??
      this.#unlessRow(hintedHeader(line, below), line);
    const header = headed && this.#aligned(headed, i);
    // A heading of the table whose columns were told by what they hold has been read with it.
    if (!header || i < this.#bodyFrom) return header;
    const rows = this.#lines
      .slice(i + 1, i + 1 + LOOK_AHEAD)
      .filter((l) => l.length <= LONGEST_LINE)
      .map((l) => header.split(l))
      // What one cell alone says, as a title between rows, tells nothing of columns.
      .filter((cells) => cells.length >= 2 && filledIn(cells).length > 1);
    const names = header.split(line);
    return { ...header, ...columnsSettled(header, names, rows, this.#isName) };
  }

  /** "Eye pads 7     quantity ok": a thing with its count heads nothing. */
  #unlessCounted(header: Table | null, line: string): Table | null {
    const [first = "", ...others] = header?.split(line) ?? [];
    return others.length === 1 && /\d/.test(first) && this.#isName(first) ? null : header;
  }

  /** "Eye pads   N   -   ordered" in a table: words that may head columns, behind a name. */
  #unlessRow(header: Table | null, line: string): Table | null {
    const isRow = header !== null && this.#table !== null && this.#isName(header.split(line)[0]!);
    return isRow ? null : header;
  }

  /** The table with its cells by where they stand, if blanks set its columns and some cells are empty. */
  #aligned(table: Table, i: number): Table {
    if (SPLITTERS.includes(table.split)) return table;
    const lines = linesFrom(this.#lines, i, (l) => l.trim() === "").filter(hasCells);
    const aligned = alignedSplit(lines, table.split);
    return aligned?.width === table.roles.length ? { ...table, split: aligned.split } : table;
  }

  #lookForTable(i: number): void {
    const block = blockFrom(this.#lines, i);
    this.#lookedTo = block ? i + block.rows.length : i + 1;
    const found = block && tableOf(block, this.#lines[i - 1] ?? "", this.#isName);
    if (!found) return;
    this.#table = found.table;
    this.#bodyFrom = i + found.headings;
  }

  /** The line as a row of the table; false: it is none. */
  #takeRow(table: Table, line: string, i: number): boolean {
    const cells = withCommaInName(withCountsApart(table.split(line), table.roles), table.roles);
    if (filledIn(cells).length === 0) return true;
    if (cells.length < 2) {
      if (!staysOpen(table, line, this.#lines[i + 1] ?? "")) this.#table = null;
      return false;
    }
    if (isUncolumned(cells, table) || this.#isTitle(cells)) return false;
    for (const { from, to, roles } of sideBySide(table.roles)) {
      const own = cells.slice(from, to);
      if (own.every((c) => c === "")) continue;
      for (const said of pairedCells(own, roles, this.#isName)) {
        const row = tableRow(said, roles, i + 1);
        this.rows.push(table.isUnclear ? { ...row, columnsUnclear: true } : row);
      }
    }
    return true;
  }

  /** "Kitchen;;" among rows with a name and a count: one cell filled, and what it says names no item, or which bag it is. */
  #isTitle(cells: readonly string[]): boolean {
    const [title, ...others] = filledIn(cells);
    return (
      title !== undefined && others.length === 0 && (IS_TITLE.test(title) || !this.#isName(title))
    );
  }

  #takePlain(line: string, i: number): void {
    const records = pairedOnLine(line, this.#isName) ?? line.split(RECORD_END);
    if (records.length > 1) {
      for (const text of records) this.rows.push({ ...plainRow(text, i + 1), isOfList: true });
      return;
    }
    const titled = TITLE_THEN_ITEMS.exec(line);
    const parts = titled ? [titled[1]!, titled[2]!] : [line];
    this.rows.push(...parts.map((text) => plainRow(text, i + 1)));
  }
}

/** "Item 10 Roller bandages      4" under "Item 9  Roller bandages      4": too long for its column, it moved the others. */
const isUncolumned = (cells: readonly string[], { roles }: Table): boolean => {
  const text = cells[roles.indexOf("text")] ?? "";
  return (
    cells.length < roles.length &&
    !TWO_LETTERS.test(text) &&
    cells.some((c) => THREE_LETTERS.test(c) && !/^\W*(?:total|sum)\b/i.test(c))
  );
};

const COUNT_AND_NAME = quick(
  new RegExp(
    `^(\\d{1,4})\\s(?!(?:${PACKS}|rolls?|pairs?|prs?|pcs|pieces|units?|each|ea)\\b\\.?\\s*$)(\\p{L}{2}.*)$`,
    "iu",
  ),
);
/** "3   Pairs of gloves      10 Wipes" under "QTY  ITEM  QTY  ITEM": a count of two figures leaves one blank before its name. */
const withCountsApart = (
  cells: readonly string[],
  roles: readonly (ColumnRole | null)[],
): readonly string[] =>
  cells.length >= roles.length
    ? cells
    : cells.flatMap((cell, i) => {
        const m = roles[i] === "quantity" && roles[i + 1] === "text" && COUNT_AND_NAME.exec(cell);
        return m ? [m[1]!, m[2]!] : [cell];
      });

/**
 * "Burn dressings, 10 x 10 cm,9,lid" under "item,qty,place": a comma of the name's own, which nobody put in quotes, where what stands
 * under the count is none, and so many cells further on one is.
 */
function withCommaInName(
  cells: readonly string[],
  roles: readonly (ColumnRole | null)[],
): readonly string[] {
  const [name, count] = [roles.indexOf("text"), roles.indexOf("quantity")];
  const more = cells.length - roles.length;
  if (more < 1 || name < 0 || count !== name + 1) return cells;
  const isCount = (at: number) => saysAmount(cells[at]?.trim() ?? "");
  return !isCount(count) && isCount(count + more)
    ? [
        ...cells.slice(0, name),
        cells.slice(name, name + more + 1).join(", "),
        ...cells.slice(name + more + 1),
      ]
    : cells;
}

/** "07-12  2  BX100  PLASTERS": so many rows that begin with a bin or an article number begin with what is no count. */
const BIN = /^\d{1,4}-\d{1,4}\s{2,}(?=\S)/;
const FEWEST_BINS = 3;
function withoutBins(rows: readonly CardRow[]): CardRow[] {
  const bins = rows.filter((r) => !r.inTable && BIN.test(r.text));
  return bins.length < FEWEST_BINS
    ? [...rows]
    : rows.map((r) => (r.inTable ? r : { ...r, text: r.text.replace(BIN, "") }));
}

/** "Item | Qty | Item | Qty", "Qty | Item | Qty | Item": tables that stand beside each other. */
function sideBySide(
  roles: readonly (ColumnRole | null)[],
): { from: number; to: number; roles: readonly (ColumnRole | null)[] }[] {
  const texts = roles.flatMap((r, i) => (r === "text" ? [i] : []));
  const counts = roles.flatMap((r, i) => (r === "quantity" ? [i] : []));
  if (texts.length < 2 || counts.length !== texts.length)
    return [{ from: 0, to: roles.length, roles }];
  // Each begins where the first begins: with its name, or with its count.
  const starts = counts[0]! < texts[0]! ? counts : texts;
  return starts.map((start, k) => {
    const from = k === 0 ? 0 : start;
    const to = starts[k + 1] ?? roles.length;
    return { from, to, roles: roles.slice(from, to) };
  });
}

/** Lines that fall into equally many cells by one delimiter, three or more. */
interface Block {
  readonly split: Split;
  readonly rows: Rows;
}
/** Two columns read well as they are; a table has so many rows at least. */
const FEWEST_COLUMNS = 3;
const FEWEST_ROWS = 4;

/** Lines from one on, as far as is looked ahead, up to the first that ends them. */
function linesFrom(
  lines: readonly string[],
  at: number,
  ends: (line: string) => boolean,
): string[] {
  const ahead = lines.slice(at, at + LOOK_AHEAD);
  const end = ahead.findIndex(ends);
  return end < 0 ? ahead : ahead.slice(0, end);
}
const hasCells = (line: string): boolean =>
  line.length <= LONGEST_LINE && placedCells(line).length >= 2;

function blockFrom(lines: readonly string[], at: number): Block | null {
  for (const splitter of SPLITTERS) {
    const split = splitter === spaced ? alignedFrom(lines, at) : splitter;
    const width = split(lines[at]!).length;
    if (width < FEWEST_COLUMNS || width > 20) continue;
    const rows: string[][] = [];
    for (let k = at; k < lines.length; k++) {
      const line = lines[k]!;
      const cells = line.length > LONGEST_LINE ? [] : split(line);
      if (cells.length !== width) break;
      rows.push(cells);
    }
    if (rows.length >= FEWEST_ROWS) return { split, rows };
  }
  return null;
}

/** By runs of blanks; where the lines from one on keep to columns, by those. */
function alignedFrom(lines: readonly string[], at: number): Split {
  const block = linesFrom(lines, at, (l) => !hasCells(l));
  return (block.length >= FEWEST_ROWS && alignedSplit(block, spaced)?.split) || spaced;
}

/** The block of cells that a line lies in, with the lines it spans; a heading right above belongs to it. */
export function blockAround(
  lines: readonly string[],
  at: number,
): { rows: string[][]; from: number; to: number } | null {
  let from = at;
  while (from > 0 && lines[from - 1]!.trim() !== "") from--;
  for (let k = from; k <= at; k++) {
    const block = blockFrom(lines, k);
    if (!block || k + block.rows.length <= at) continue;
    const width = block.rows[0]!.length;
    const heading = k > from ? headingsAbove(lines[k - 1]!, width) : [];
    const rows = block.rows.map((r) => [...r]);
    return heading.length > 0
      ? { rows: [heading, ...rows], from: k - 1, to: k + rows.length }
      : { rows, from: k, to: k + rows.length };
  }
  return null;
}

/** The block as a table, where its cells tell what the columns hold; its first rows may be headings. */
function tableOf(
  { split, rows }: Block,
  above: string,
  isName: (text: string) => boolean,
): { table: Table; headings: number } | null {
  const isRow = (cells: readonly string[]) =>
    cells.some((c) => /^\W*\d/.test(c)) && cells.some(isName);
  const first = rows.slice(0, LOOK_AHEAD).findIndex(isRow);
  if (first < 0) return null;
  // Not the line drawn under them, nor a group's title in one cell.
  const lettered = (r: readonly string[]) => r.filter((cell) => LETTER.test(cell)).length;
  const before = rows.slice(0, first);
  const headings =
    first === 0
      ? headingsAbove(above, rows[0]!.length)
      : (before.findLast((r) => lettered(r) > 1) ??
        before.findLast((r) => lettered(r) > 0) ??
        rows[first - 1]!);
  const body = rows.slice(first, first + LOOK_AHEAD).filter(isRow);
  const found = body.length >= FEWEST_ROWS - 1 ? rolesByContent(body, headings, isName) : null;
  return found && { table: { split, ...withSums(found, headings, body) }, headings: first };
}

/** "             REQ.  FOUND" over the last columns of a table: its cells, set to the right. */
function headingsAbove(line: string, width: number): string[] {
  const cells = spaced(line);
  return cells.length < width && cells.every((c) => !/\d/.test(c))
    ? [...Array<string>(width - cells.length).fill(""), ...cells]
    : [];
}

/** Rows of a table that are looked at to tell what an unclear column holds. */
const LOOK_AHEAD = 30;

const HEADS = quick(/^\p{L}[\p{L} -]*$/u);
/** "Raft kit 3 (dry bag)": the kit's name may stand over the names. */
const HEADS_FIRST = quick(/^\p{L}{3}[\p{L}\d (),.'’/&#-]*$/u);
/** Heads names where no other column does; "was" is what in German. */
const MAY_NAME = /^(?:lines?|position|details?|type|spec(?:ification)?|kit|was)$/i;
/** Over marks: whether a thing was looked at, or is as it should be. */
const HEADS_MARKS = /^(?:ok(?:ay)?|good|chec?k|chk|tick|seal|y\/n|pass|full)\W*$/i;
const HEADS_PLACES = /^(?:drawer|stowage|bay|cupboard|cabinet|locker|tray|rack)$/i;
/**
 * "# | Gear | Amount": beside a count, the first heading that tells nothing else names the items.
 * @param row the cells of the line below
 */
function withText(
  cells: readonly string[],
  roles: readonly (ColumnRole | null)[],
  row: readonly string[],
): (ColumnRole | null)[] {
  if (roles.includes("text") || !roles.includes("quantity")) return [...roles];
  const isUnknown = (r: ColumnRole | null, i: number) =>
    r === null &&
    (i === 0 ? HEADS_FIRST : HEADS).test(cells[i]!.trim()) &&
    !HEADS_MARKS.test(cells[i]!.trim());
  // "Line" over numbers, "D of Q" over "EA", "Drawer" beside another that may.
  const first = roles.findIndex(
    (r, i) =>
      THREE_LETTERS.test(row[i] ?? "") &&
      !HEADS_PLACES.test(cells[i]!.trim()) &&
      (isUnknown(r, i) || MAY_NAME.test(cells[i]!.trim())),
  );
  const named = first >= 0 ? first : roles.findIndex(isUnknown);
  return roles.map((r, i) => (i === named ? "text" : r));
}

/** A heading whose columns the user has named before. */
function rememberedHeader(line: string, { columns }: Habits): Table | null {
  if (columns.size === 0) return null;
  for (const split of SPLITTERS) {
    const cells = split(line);
    const roles = cells.length > 1 ? columns.get(headingKey(cells)) : undefined;
    if (roles) return { split: split === spaced ? underHeadings(line) : split, roles };
  }
  return null;
}

/** Columns ruled by bars are not told by their blanks. */
const isRuled = (split: Split, line: string): boolean => split === spaced && /\|.*\|/.test(line);

const COUNTS_IN_WORDS = quick(new RegExp(`\\b(?:${NUMBER_WORDS})\\s+\\p{L}{3}`, "iu"));
/** The cells of a line that may head a table by a delimiter; null: it does not. */
function headingCells(line: string, split: Split): readonly string[] | null {
  const cells = split(line);
  if (cells.length < 2 || cells.length > 20 || isRuled(split, line)) return null;
  // Tabs set cells apart, empty ones among them.
  if (split === spaced && line.includes("\t")) return null;
  // "I counted twelve plasters, two wipes" heads nothing.
  return cells.some((c) => COUNTS_IN_WORDS.test(c)) ? null : cells;
}

/** The cells of the first line below a heading that says anything. */
const cellsBelow = (below: readonly string[], split: Split, heading: string): readonly string[] =>
  (split === spaced ? underHeadings(heading) : split)(
    below.find((l) => l.length <= LONGEST_LINE && TWO_LETTERS.test(l)) ?? "",
  );

/** Whether rows stand below a heading. */
function hasRows(
  line: string,
  below: readonly string[],
  split: Split,
  told: readonly (ColumnRole | null)[],
): boolean {
  const [next = ""] = below;
  if (next.trim() === "" || split(next).length >= 2) return true;
  // "1  DRESSINGS": the name of a section may stand between.
  const cells = below.map(split).filter((c) => c.length >= 2);
  if (/[\t|;]/.test(line)) return cells.length > 0;
  // A comma stands in sentences too: only a heading of names, over a row of as many cells, tells.
  return (
    told.includes("text") && cells.some((c) => c.length === told.length && /\d/.test(c.join()))
  );
}
/** "This is everything, counted twice." */
const SENTENCE = /^\s*[A-Z]\S*(?:\s[a-z'’]+){2,}.*[a-z]{4}[.!]\s*$/;

const NOMBRE = /^\s*nombre\s*$/i;
/** How many in French, the name in Spanish: what stands below it tells. */
const roleOfNombre = (heading: string, below: string): ColumnRole | null =>
  NOMBRE.test(heading) && /^\d+$/.test(below.trim()) ? "quantity" : null;

/** A way to split a line that may head a table, and what its cells say of the columns by themselves. */
interface Headings {
  readonly split: Split;
  readonly cells: readonly string[];
  readonly told: readonly (ColumnRole | null)[];
}
/** Every line may head a table, and most cannot, whatever stands below them. */
const headingsOf = remembering(
  (line): readonly Headings[] =>
    SENTENCE.test(line) ? [] : SPLITTERS.flatMap((split) => headingsBy(split, line) ?? []),
  LINES_KEPT,
  LONGEST_KEPT,
);
function headingsBy(split: Split, line: string): Headings | null {
  const cells = headingCells(line, split);
  if (!cells) return null;
  const isStock = cells.some(saysBalance);
  const told = cells.map((cell) => roleOf(cell) ?? (isStock && saysMoved(cell) ? "skip" : null));
  // "Plasters  24  pcs" is a row: beside a number no heading is guessed.
  if (!told.includes("text") && cells.some((c) => /^\s*\d+\s*$/.test(c))) return null;
  const mayName =
    told.includes("text") || told.includes("quantity") || cells.some((c) => NOMBRE.test(c));
  return mayName ? { split, cells, told } : null;
}

function tableHeader(line: string, below: readonly string[]): Table | null {
  for (const { split, cells, told: saidBy } of headingsOf(line)) {
    const next = cellsBelow(below, split, line);
    const told = cells.map((cell, i) => saidBy[i] ?? roleOfNombre(cell, next[i] ?? ""));
    const roles = withText(cells, told, next);
    const known = roles.filter((r, i) => r !== null || cells[i] === "").length;
    const hasBody = split === spaced || hasRows(line, below, split, told);
    if (known >= 2 && roles.includes("text") && known >= cells.length - 1 && hasBody)
      return { split: split === spaced ? underHeadings(line) : split, roles };
  }
  return null;
}

/** Headings hold no numbers, but for the kit's name. */
const areHeadings = ([first, ...others]: readonly string[]): boolean =>
  others.every((c) => !/\d/.test(c)) && (!/\d/.test(first!) || HEADS_FIRST.test(first!.trim()));

/** "Stowage  Std  Act  Def": a name and what is said of numbers, one of them how many there are. */
const hintsOf = remembering(
  (line): readonly Headings[] => SPLITTERS.flatMap((split) => hintsBy(split, line) ?? []),
  LINES_KEPT,
  LONGEST_KEPT,
);
function hintsBy(split: Split, line: string): Headings | null {
  const cells = split(line);
  if (isRuled(split, line) || !areHeadings(cells)) return null;
  if (cells.length < 3 || cells.length > 8 || cells.some((c) => c.split(/\s+/).length > 3))
    return null;
  const hinted = cells.map((c) => roleOf(c) ?? hint(c));
  // The first names the things, unless another column says that it does.
  const told = hinted.map((r, i) =>
    i === 0 && r === null && !hinted.includes("text") ? "text" : r,
  );
  const isTable =
    told.includes("text") &&
    told.slice(1).filter((r) => r !== null).length >= 2 &&
    told.filter((r) => r === "quantity").length === 1;
  return isTable ? { split, cells, told } : null;
}

function hintedHeader(line: string, below: readonly string[]): Table | null {
  const next = below[0] ?? "";
  for (const { split, told: roles } of hintsOf(line)) {
    const byHeading = split === spaced ? underHeadings(line) : split;
    // "NO. OUT BACK" over "20 [ ] [ ]": boxes to tick count nothing.
    const at = roles.indexOf("quantity");
    const isCounted = !below.some((l) => /^\W+$|^\[[ xX✓]?\]/.test(byHeading(l)[at] ?? ""));
    if (isCounted && split(next).length >= 2 && /\d/.test(next)) return { split: byHeading, roles };
  }
  return null;
}
