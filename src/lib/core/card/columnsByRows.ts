import { LONGEST_LINE } from "./cardLimits.ts";
import type { ColumnRole } from "./columnRole.ts";
import { hint } from "./columnsByContent.ts";
import { roleOf } from "./headingRoles.ts";
import { quick } from "./quick.ts";

/**
 * Tables whose columns a copy closed up, told by their rows: line after line ends in as many values, "3 Eye pads 4 2 05/2028". What
 * heads them is parted into as many headings. The blanks are put back, and the table is read as any other.
 */

/** What a cell may be that holds no name: a number, a day, a price, an answer, nothing. */
const VALUE = quick(
  /^(?:\d{1,5}(?:[.,]\d{1,2})?|[£€$]\d+(?:[.,]\d{2})?|\d{1,4}[-/.]\d{1,4}(?:[-/.]\d{2,4})?|[-–—✓✔✗✘]|n\/?a|nil|none|yes|no|ok)$/iu,
);
/** A line of words with one blank between them that ends in values. */
interface Row {
  readonly number: string | null;
  readonly words: readonly string[];
  /** How many values stand at its end. */
  readonly values: number;
}
const NUMBER = /^\d{1,3}[.)]?$/;
const LETTERS = quick(/\p{L}{3}/u);
const GAP = /\S(?:\s{2,}|\t)\S|[|;]|\.{3,}/;
/** No row that had columns is longer. */
const LONGEST_ROW = 120;

function rowOf(line: string): Row | null {
  const text = line.trim();
  if (text === "" || text.length > LONGEST_ROW || GAP.test(text)) return null;
  const all = text.split(" ");
  const isNumbered = NUMBER.test(all[0]!);
  const words = isNumbered ? all.slice(1) : all;
  let values = 0;
  while (values < words.length && VALUE.test(words[words.length - 1 - values]!)) values++;
  const name = words.slice(0, words.length - values).join(" ");
  return values > 0 && LETTERS.test(name)
    ? { number: isNumbered ? all[0]! : null, words, values }
    : null;
}

/** Of fewer rows, and of fewer columns that hold values, nothing can be told. */
const FEWEST_ROWS = 4;
const FEWEST_VALUES = 2;
const MOST_VALUES = 6;
/** Rows that follow each other, and how many values each of them has at least. */
interface Block {
  readonly from: number;
  readonly rows: readonly Row[];
  readonly values: number;
}
function blockAt(lines: readonly string[], from: number): Block | null {
  const rows: Row[] = [];
  for (let at = from; at < lines.length; at++) {
    const row = rowOf(lines[at]!);
    if (!row || (row.number === null) !== ((rows[0] ?? row).number === null)) break;
    rows.push(row);
  }
  const values = Math.min(...rows.map((r) => r.values));
  return rows.length >= FEWEST_ROWS && values >= FEWEST_VALUES && values <= MOST_VALUES
    ? { from, rows, values }
    : null;
}

/** "Quantity present", "Date of expiry". */
const LONGEST_HEADING = 3;
interface Headed {
  readonly headings: readonly string[];
  readonly told: number;
  /** The better the more headings are told, by themselves rather than by a hint, and the more alike their lengths. */
  readonly score: number;
}
const roleAt = (heading: string): ColumnRole | null => roleOf(heading) ?? hint(heading);
/** What the columns hold, as the rows show. */
type Held = "number" | "name" | "value";
const fits = (role: ColumnRole | null, held: Held): boolean =>
  role !== null &&
  (held === "name" ? role === "text" : held === "value" ? role !== "text" : role === "skip");
/** A heading that is told outweighs any lengths, as one by itself outweighs those of a word more. */
const TOLD = 100;
const BY_ITSELF = 20;
/** Words parted into so many headings, so that the most of them tell what they head; null: there are too few or too many words. */
function headingsOf(words: readonly string[], held: readonly Held[]): Headed | null {
  const [column, ...columns] = held;
  if (column === undefined) return words.length === 0 ? { headings: [], told: 0, score: 0 } : null;
  let best: Headed | null = null;
  for (let n = 1; n <= Math.min(LONGEST_HEADING, words.length); n++) {
    const rest = headingsOf(words.slice(n), columns);
    if (!rest) continue;
    const heading = words.slice(0, n).join(" ");
    const own = fits(roleOf(heading), column);
    const isTold = own || fits(roleAt(heading), column);
    const score = rest.score + (isTold ? TOLD : 0) + (own ? BY_ITSELF : 0) - n * n;
    if (best === null || score > best.score)
      best = { headings: [heading, ...rest.headings], told: rest.told + (isTold ? 1 : 0), score };
  }
  return best;
}
/** The headings over a block, where one of them counts and all but one are told; null: the line above heads nothing. */
function headingsOver(line: string | undefined, { rows, values }: Block): readonly string[] | null {
  if (line === undefined || line.length > LONGEST_ROW || /\d/.test(line) || GAP.test(line.trim()))
    return null;
  const held: Held[] = [
    ...(rows[0]!.number === null ? [] : ["number" as const]),
    "name",
    ...Array<Held>(values).fill("value"),
  ];
  const many = held.length;
  const words = line.trim().split(" ");
  const found = words.length > many * LONGEST_HEADING ? null : headingsOf(words, held);
  const counts = found?.headings.filter((h) => roleAt(h) === "quantity").length;
  return found && found.told >= many - 1 && counts !== undefined && counts > 0
    ? found.headings
    : null;
}

function cellsOf({ number, words }: Row, values: number): readonly string[] {
  const name = words.slice(0, words.length - values).join(" ");
  return [...(number === null ? [] : [number]), name, ...words.slice(words.length - values)];
}

/** The lines of a card with the columns of such tables set apart; as many lines as before. */
export function columnsApart(lines: readonly string[]): string[] {
  const read = [...lines];
  for (let at = 0; at < lines.length; at++) {
    const block = lines[at]!.length > LONGEST_LINE ? null : blockAt(lines, at);
    const headings = block && headingsOver(lines[at - 1], block);
    if (!headings) continue;
    const table = [headings, ...block.rows.map((row) => cellsOf(row, block.values))];
    const widths = headings.map((_, i) => Math.max(...table.map((cells) => cells[i]!.length)));
    table.forEach((cells, k) => {
      read[at - 1 + k] = cells
        .map((c, i) => c.padEnd(widths[i]! + 2))
        .join("")
        .trimEnd();
    });
    at += block.rows.length - 1;
  }
  return read;
}
