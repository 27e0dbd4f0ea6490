import type { ColumnRole } from "./columnRole.ts";
import { hint } from "./columnsByContent.ts";
import { roleOf, roleOfWhole } from "./headingRoles.ts";
import { quick, THREE_LETTERS } from "./quick.ts";

/**
 * Tables whose columns a copy closed up, told by their rows: line after line ends in as many values, "3 Eye pads 4 2 05/2028". What
 * heads them is parted into as many headings. The blanks are put back, and the table is read as any other.
 */

/** What a cell may be that holds no name: a number, a day, a price, an answer, nothing. */
const VALUE = quick(
  /^(?:\d{1,5}(?:[.,]\d{1,2})?|[£€$]\d+(?:[.,]\d{2})?|\d{1,4}[-/.]\d{1,4}(?:[-/.]\d{2,4})?|[-–—✓✔✗✘]|n\/?a|nil|none|yes|no|ok|[yn])$/iu,
);
/** What is remarked, where nothing is. */
const FILLER = /^(?:[-–—✓✔]|n\/?a|nil|none|ok|good|yes|no)$/i;
/** A line of words with one blank between them: a name, then values, then maybe a remark. */
interface Row {
  /** The number of the row, or the code of the article, which stand before the name; both, or neither. */
  readonly before: readonly string[];
  readonly words: readonly string[];
  /** Where the last values in a row begin, and where they end. */
  readonly from: number;
  readonly to: number;
}
const NUMBER_OR_CODE = /^\d{1,3}[.)]?$|^(?=\S*\d)[A-Z\d][A-Z\d./-]{2,}$/;
const MOST_BEFORE = 2;
const GAP = /\S(?:\s{2,}|\t)\S|[|;]|\.{3,}/;
/** No row that had columns is longer, and no remark in one. */
const LONGEST_ROW = 120;
const LONGEST_REMARK = 3;

/** The last of so many words that is a value, and has another one right before it; else the last value. */
function valuesIn(words: readonly string[]): { from: number; to: number } | null {
  let found: { from: number; to: number } | null = null;
  for (let to = words.length; to > 0; to--) {
    if (!VALUE.test(words[to - 1]!)) continue;
    let from = to;
    while (from > 0 && VALUE.test(words[from - 1]!)) from--;
    if (found === null || to - from > found.to - found.from) found = { from, to };
    if (to - from >= FEWEST_VALUES) break;
    to = from;
  }
  return found;
}

function rowOf(line: string): Row | null {
  const text = line.trim();
  if (text === "" || text.length > LONGEST_ROW || GAP.test(text)) return null;
  const all = text.split(" ");
  let named = 0;
  while (named < MOST_BEFORE && NUMBER_OR_CODE.test(all[named] ?? "")) named++;
  const words = all.slice(named);
  const values = valuesIn(words);
  if (!values || words.length - values.to > LONGEST_REMARK) return null;
  return THREE_LETTERS.test(words.slice(0, values.from).join(" "))
    ? { before: all.slice(0, named), words, ...values }
    : null;
}

/** Of fewer rows, and of fewer columns that hold values, nothing can be told. */
const FEWEST_ROWS = 4;
const FEWEST_VALUES = 2;
const MOST_VALUES = 6;
/** Rows that follow each other. */
interface Block {
  readonly first: Row;
  readonly rows: number;
  /** How many values each of them has at least. */
  readonly values: number;
  /** The same of those with a remark behind their values; none: beyond any number. */
  readonly beforeRemarks: number;
}
/** The rows from each line on; null: it is none. From the last to the first, so that no row is gone through twice. */
function blocksFrom(rows: readonly (Row | null)[]): readonly (Block | null)[] {
  const blocks: (Block | null)[] = rows.map(() => null);
  for (let at = rows.length - 1; at >= 0; at--) {
    const first = rows[at]!;
    if (!first) continue;
    const below = blocks[at + 1];
    const rest = below?.first.before.length === first.before.length ? below : null;
    const values = first.to - first.from;
    blocks[at] = {
      first,
      rows: 1 + (rest?.rows ?? 0),
      values: Math.min(values, rest?.values ?? Infinity),
      beforeRemarks: Math.min(
        first.to < first.words.length ? values : Infinity,
        rest?.beforeRemarks ?? Infinity,
      ),
    };
  }
  return blocks;
}
/** What a table's rows have in common. */
interface Shape {
  readonly before: number;
  readonly values: number;
  readonly isRemarked: boolean;
}
/** The shape of rows that may be a table's; null: they are too few, or hold too few values or too many. */
function shapeOf({ first, rows, values: least, beforeRemarks }: Block): Shape | null {
  const isRemarked = beforeRemarks < Infinity;
  const values = isRemarked ? beforeRemarks : least;
  return rows >= FEWEST_ROWS && values >= FEWEST_VALUES && values <= MOST_VALUES
    ? { before: first.before.length, values, isRemarked }
    : null;
}

/** "Quantity present", "Date of expiry". */
const LONGEST_HEADING = 3;
interface Headed {
  readonly headings: readonly string[];
  readonly told: number;
  /** How many of them say how many there are. */
  readonly counts: number;
  /** The better the more headings are told, whole rather than by a word in them, and the more alike their lengths; best where one of them counts. */
  readonly score: number;
}
const wholeRole = (heading: string): ColumnRole | null =>
  roleOfWhole(heading) ?? (ASKS_WHETHER.test(heading) ? "skip" : null);
const roleAt = (heading: string): ColumnRole | null =>
  wholeRole(heading) ?? roleOf(heading) ?? hint(heading);
/** Whether it was looked at, or is there. */
const ASKS_WHETHER = /^(?:ok|✓|✔|y\/n|tick(?:ed)?|(?:in\s+date|present|there|sealed)\?)\??$/i;
/** What the columns hold, as the rows show. */
type Held = "number" | "name" | "value" | "remark";
const fits = (role: ColumnRole | null, held: Held): boolean => {
  if (role === null) return false;
  if (held === "name") return role === "text";
  if (held === "remark") return role === "note" || role === "skip";
  return held === "number" ? role === "skip" : role !== "text" && role !== "note";
};
/** A heading that is told outweighs any lengths, as one by itself outweighs those of a word more. */
const TOLD = 100;
const BY_ITSELF = 20;
const ONE_COUNT = 30;
/**
 * Words parted into as many headings as there are columns, so that the most of them tell what they head; null: there are too few or
 * too many words. What the last words are best parted into is worked out once for each column.
 */
function headingsOf(words: readonly string[], held: readonly Held[]): Headed | null {
  const known = new Map<number, Headed | null>();
  const bestFrom = (at: number, column: number): Headed | null => {
    if (column === held.length)
      return at === words.length ? { headings: [], told: 0, counts: 0, score: 0 } : null;
    const key = at * held.length + column;
    let best = known.get(key);
    if (best !== undefined) return best;
    best = null;
    for (let n = 1; n <= Math.min(LONGEST_HEADING, words.length - at); n++) {
      const rest = bestFrom(at + n, column + 1);
      if (!rest) continue;
      const headed = withHeading(words.slice(at, at + n), held[column]!, rest);
      if (best === null || headed.score > best.score) best = headed;
    }
    known.set(key, best);
    return best;
  };
  return bestFrom(0, 0);
}
/** A heading before the others. */
function withHeading(words: readonly string[], held: Held, rest: Headed): Headed {
  const heading = words.join(" ");
  const role = roleAt(heading);
  const own = fits(wholeRole(heading), held);
  const isTold = own || fits(role, held);
  const isCount = isTold && role === "quantity";
  return {
    headings: [heading, ...rest.headings],
    told: rest.told + (isTold ? 1 : 0),
    counts: rest.counts + (isCount ? 1 : 0),
    score:
      rest.score +
      (isTold ? TOLD : 0) +
      (own ? BY_ITSELF : 0) +
      (isCount ? (rest.counts === 0 ? ONE_COUNT : -ONE_COUNT) : 0) -
      words.length ** 2,
  };
}
/** Whether a line could head a block: no number is in it, and nothing sets its words apart. */
const mayHead = (line: string | undefined): line is string =>
  line !== undefined && line.length <= LONGEST_ROW && !/\d/.test(line) && !GAP.test(line.trim());
/** The headings over a block, where one of them counts and all but one are told; null: the line above heads nothing. */
function headingsOver(line: string, shape: Shape): readonly string[] | null {
  const held: Held[] = [
    ...Array<Held>(shape.before).fill("number"),
    "name",
    ...Array<Held>(shape.values).fill("value"),
    ...(shape.isRemarked ? ["remark" as const] : []),
  ];
  const words = line.trim().split(" ");
  const found = words.length > held.length * LONGEST_HEADING ? null : headingsOf(words, held);
  return found && found.told >= held.length - 1 && found.counts > 0 ? found.headings : null;
}

function cellsOf(
  { before, words, from, to }: Row,
  { values, isRemarked }: Shape,
): readonly string[] {
  // "4 12 -": nothing is remarked.
  const isFilled =
    isRemarked && to === words.length && to - from > values && FILLER.test(words[to - 1]!);
  const end = isFilled ? to - 1 : to;
  const name = words.slice(0, end - values).join(" ");
  const remark = words.slice(end).join(" ");
  return [
    ...before,
    name,
    ...words.slice(end - values, end),
    ...(isRemarked ? [remark || "-"] : []),
  ];
}

/** The lines of a card with the columns of such tables set apart; as many lines as before. */
export function columnsApart(lines: readonly string[]): string[] {
  const read = [...lines];
  const rows = lines.map(rowOf);
  const blocks = blocksFrom(rows);
  for (let at = 1; at < lines.length; at++) {
    const above = lines[at - 1];
    const block = blocks[at];
    const shape = block && mayHead(above) ? shapeOf(block) : null;
    const headings = shape && headingsOver(above!, shape);
    if (!headings) continue;
    const body = rows.slice(at, at + block!.rows);
    const table = [headings, ...body.map((row) => cellsOf(row!, shape))];
    const widths = headings.map((_, i) => Math.max(...table.map((cells) => cells[i]!.length)));
    table.forEach((cells, k) => {
      read[at - 1 + k] = cells
        .map((c, i) => c.padEnd(widths[i]! + 2))
        .join("")
        .trimEnd();
    });
    at += block!.rows - 1;
  }
  return read;
}
