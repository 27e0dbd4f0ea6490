import { remembering } from "../base/remembering.ts";
import { LONGEST_KEPT, LONGEST_LINE, MOST_WORDS } from "./cardLimits.ts";
import { columnsOf, withBlocksSaid, type BlockColumn, type CellBlock } from "./cellBlocks.ts";
import { roleOf } from "./headingRoles.ts";
import { withoutAccents } from "./words.ts";

/**
 * A stock card with what came in, what went out and the balance, entry below entry: where a thing stands again, its balance follows from
 * the one before, and only the last is there.
 */

const BALANCE_WORDS =
  "(?:running\\s+)?(?:balance|total)|bal\\.?|left|remain(?:s|ing|der)?|closing|in\\s+stock|saldo|solde|rest|reste|resto|bestand|voorraad|giacenza";
const BALANCE = new RegExp(`^(?:${BALANCE_WORDS})$`, "i");
/** Most cards have no line with such a heading; one holds no number. */
const HAS_WORD = new RegExp(BALANCE_WORDS, "i");
const mayHead = (line: string): boolean =>
  line.length <= LONGEST_LINE && !/\d/.test(line) && HAS_WORD.test(withoutAccents(line));
const IN =
  /^(?:in|received|rec['’]?d|added|stocked|entrada|entrees?|zugang|eingang|carico|entrata|binnen|inn)$/i;
const OUT =
  /^(?:out|used|issued|taken|removed|salida|sorties?|abgang|ausgang|scarico|uscita|uit|ut)$/i;

const plainly = (heading: string): string =>
  withoutAccents(heading.trim().replace(/\s*\([^()]*\)$/, ""));
/** Whether a heading is of the balance, or of what moved it; each cell of each line is asked, as any may head a table. */
export const saysBalance = remembering(
  (heading) => BALANCE.test(plainly(heading)),
  MOST_WORDS,
  LONGEST_KEPT,
);
export const saysMoved = remembering(
  (heading) => IN.test(plainly(heading)) || OUT.test(plainly(heading)),
  MOST_WORDS,
  LONGEST_KEPT,
);

/** "100", "-", "": a number, or none; null: something else. */
function amountOf(cell: string): number | null {
  if (/^[-–—.]?$/.test(cell)) return 0;
  return /^\d{1,5}$/.test(cell) ? Number(cell) : null;
}

/** The places of rows below the heading that a later one of the same thing takes the place of; null: the block keeps no balance. */
function superseded({ columns }: ReturnType<typeof columnsOf>): ReadonlySet<number> | null {
  const by = (is: (column: BlockColumn) => boolean) => columns.find(is);
  const heads = (pattern: RegExp) => by(({ heading }) => pattern.test(plainly(heading)));
  const [balance, came, went] = [heads(BALANCE), heads(IN), heads(OUT)];
  const names = by(({ heading }) => roleOf(heading) === "text");
  if (!balance || !names || (!came && !went)) return null;
  const last = new Map<string, number>();
  const over = new Set<number>();
  names.cells.forEach((name, i) => {
    const key = withoutAccents(name).toLowerCase().replace(/\W+/g, " ").trim();
    const before = last.get(key);
    const [was, is, more, less] = [
      before === undefined ? null : amountOf(balance.cells[before]!),
      amountOf(balance.cells[i]!),
      amountOf(came?.cells[i] ?? ""),
      amountOf(went?.cells[i] ?? ""),
    ];
    // Two lots of one thing each have a balance of their own.
    if (was !== null && is !== null && was + (more ?? 0) - (less ?? 0) === is) over.add(before!);
    last.set(key, i);
  });
  return over;
}

function withoutOld(block: CellBlock): readonly ReadonlyMap<number, string>[] | null {
  const laidOut = columnsOf(block);
  const over = laidOut.heading && laidOut.isEven ? superseded(laidOut) : null;
  if (over === null || over.size === 0) return null;
  // The heading is the first row; a row of one cell is no row of the columns, and then nothing is told.
  const offset = block.rows.length - laidOut.columns[0]!.cells.length;
  if (offset !== 1) return null;
  // A blank line would end the table.
  return block.rows.map(
    (row, i) => new Map(over.has(i - offset) ? row.map((_, at) => [at, "-"] as const) : []),
  );
}

/** The lines without entries that a later balance takes the place of; as many as before. */
export const withoutOldBalances = (lines: readonly string[]): string[] =>
  lines.some(mayHead) ? withBlocksSaid(lines, withoutOld).read : [...lines];
