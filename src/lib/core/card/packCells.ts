import {
  areNumbersOfRows,
  columnsOf,
  FEWEST_ROWS,
  withBlocksSaid,
  type BlockColumn,
  type CellBlock,
} from "./cellBlocks.ts";
import { saysMeant } from "./headingCounts.ts";
import { roleOf } from "./headingRoles.ts";
import { withoutAccents } from "./words.ts";
import { quick } from "./quick.ts";

/**
 * "10 per pkt", "caja de 20", "conf. da 50", "10 Stk." in a column of its own beside one that counts: what one of the counted holds, said
 * in one way, whatever heads it and in whatever language.
 */

const PACKS_SAID =
  "pack|pk|pkt|packet|box|bx|bag|card|strip|sleeve|tub|tin|carton|ctn|case|dozen|doz|dz|roll|set|bundle|" +
  "packung|pckg|beutel|schachtel|karton|paquet|boite|bte|sachet|lot|caja|paquete|bolsa|sobre|estuche|confezione|conf|scatola|busta|bustina|pacco|doos|doosje|pak|pakje|zak|zakje|caixa|embalagem|eske|aske|ask|paket|pakke";
const OF = "of|a|x|à|de|da|di|du|zu|zu je|van|mit|met|/|-|po|com|con|c/";
const PIECES_SAID =
  "pcs?|pces?|pieces?|units?|ea|each|stk|st|stuck|stuks?|pieces?|uds?|unidades|unites?|pz|pezzi|szt|kpl|ks|un";
/** "box of 20", "caja de 20", "PKT/20", "pack (20)", "20 per pkt", "20/box", "20 Stk.", "20's". */
const HOLDS = quick(
  new RegExp(
    `^(?!lot\\.?\\s?\\d)(?:(?:1\\s+)?(?:${PACKS_SAID})s?\\.?\\s*(?:(?:${OF})\\s*|\\(|(?<=\\s)(?=[5-9]|\\d{2}))(?<of>\\d{1,4})(?:\\s*(?:${PIECES_SAID})\\.?)?\\)?|(?<per>\\d{1,4})\\s*(?:${PIECES_SAID})?\\.?\\s*(?:per|/|in\\s+a|to\\s+a|pro|par|por|a)\\s*(?:${PACKS_SAID})s?\\.?|(?<pieces>\\d{1,4})\\s*(?:${PIECES_SAID})\\.?|(?<hundreds>\\d{1,4})['’]?s)$`,
    "iu",
  ),
);
/** "each", "pz": one is one. */
const ONE = new RegExp(
  `^(?:(?:single|loose|roll|bottle|tube|${PIECES_SAID}|unit[aeé]?|unidad|ud|stuk|stuck)\\.?)$`,
  "i",
);
/** "6", "6 pk", "6 boxes": how many of them. */
const COUNTED = new RegExp(`^(\\d{1,4})(?:\\s*[x×]|\\s*(?:${PACKS_SAID})(?:e?s)?\\.?)?$`, "i");

/** "4 pcs": among them where one holds one. */
const IN_PIECES = new RegExp(`^\\d{1,4}\\s*(?:${PIECES_SAID}|nos?|off)\\.?$`, "i");
/** How many a cell says there are of a thing, or of its packs: "5", "5 pkt", "12 pcs". null: it says something else. */
export const countIn = (cell: string): number | null =>
  COUNTED.test(cell) || IN_PIECES.test(cell) ? Number.parseInt(cell, 10) : null;

/** What one holds, as a cell says it. @param mayBePieces whether "20 Stk." says it too, which may be how many there are */
function heldIn(cell: string, mayBePieces: boolean): number | null {
  const plain = withoutAccents(cell);
  if (ONE.test(plain)) return 1;
  const found = HOLDS.exec(plain)?.groups;
  const held =
    found?.["of"] ??
    found?.["per"] ??
    found?.["hundreds"] ??
    (mayBePieces ? found?.["pieces"] : undefined);
  if (held !== undefined) return Number(held);
  return mayBePieces && NUMBER.test(cell) ? Number(cell) : null;
}
const NUMBER = /^\d{1,4}$/;
/** So many of the filled cells say it. */
const MOST = 0.7;
const most = (cells: readonly string[], says: (cell: string) => boolean): boolean => {
  const filled = cells.filter((cell) => cell !== "");
  return filled.length > 0 && filled.filter(says).length >= MOST * filled.length;
};

/** "Units" may be how many there are. */
const saysPack = ({ heading }: BlockColumn): boolean =>
  PACK_HEADING.test(withoutAccents(heading)) ||
  (heading !== "" && roleOf(heading) === "unit" && !/^units?$/i.test(heading));
/** Headings that elsewhere say how large a thing is, or what it holds. */
const PACK_HEADING =
  /^(?:inhalt|packung|gebinde|format|formato|envase|conf|confezione|lot|cond|verp|verpakking)\.?$/i;
/** Without a heading that says so, two tell. */
const FEWEST_PACKS = 2;
/** Whether a column says in words what one of the counted holds. */
function isPacks(column: BlockColumn): boolean {
  const isHeaded = saysPack(column);
  const says = (cell: string) => heldIn(cell, isHeaded && !NUMBER.test(cell));
  return (
    most(column.cells, (cell) => says(cell) !== null) &&
    column.cells.filter((cell) => (says(cell) ?? 1) > 1).length >= (isHeaded ? 1 : FEWEST_PACKS)
  );
}
/** Bare numbers below "Pack size" or "UOM". */
const areSizes = (column: BlockColumn): boolean =>
  saysPack(column) && most(column.cells, (cell) => NUMBER.test(cell));
/** What is to come is counted where nothing else is; "No." may be how many. */
const MAY_COUNT = /^(?:(?:qty\.?|quantity)\s+)?ord(?:ered|\.)?$|^(?:no|nos|nr|n[°º]|#)\.?$/i;
/** Whether a column says how many there are of them. */
const isCount = (column: BlockColumn): boolean =>
  most(column.cells, (cell) => countIn(cell) !== null) &&
  column.cells.some((cell) => COUNTED.test(cell)) &&
  !areNumbersOfRows(column) &&
  (MAY_COUNT.test(column.heading) ||
    !(roleOf(column.heading) === "skip" || saysMeant(column.heading)));
/** Whether each count is so many times what a pack holds: then it counts pieces. */
const countsPieces = (packs: BlockColumn, counts: BlockColumn): boolean =>
  packs.cells.filter((cell) => Number(cell) > 1).length >= FEWEST_ROWS &&
  packs.cells.every(
    (cell, i) => !NUMBER.test(cell) || Number(counts.cells[i]) % Number(cell) === 0,
  );

/** The column that says what is counted in another; null: none does, or several. */
function packColumn(
  columns: readonly BlockColumn[],
): { readonly packs: BlockColumn; readonly counts: BlockColumn } | null {
  const said = columns.filter(isPacks);
  const [packs, ...others] = said.length > 0 ? said : columns.filter(areSizes);
  const [counts, ...more] = columns.filter((c) => c !== packs && isCount(c));
  if (!packs || others.length > 0 || !counts || more.length > 0) return null;
  // "Pack | Packs | Total", "Min | Pack size | Held": packColumns.ts tells bare numbers by all of them.
  const numbers = columns.filter((c) => most(c.cells, (cell) => NUMBER.test(cell)));
  if (said.length === 0 && numbers.some((c) => c !== packs && c !== counts && !areNumbersOfRows(c)))
    return null;
  return countsPieces(packs, counts) ? null : { packs, counts };
}

/** What is said otherwise in the rows of a block; null: no column says what another counts. */
function saidOf(block: CellBlock): readonly ReadonlyMap<number, string>[] | null {
  const { heading, columns, isEven } = columnsOf(block);
  if ((columns[0]?.cells.length ?? 0) < (heading ? 1 : FEWEST_ROWS)) return null;
  const found = packColumn(columns);
  if (!found) return null;
  const { packs, counts } = found;
  return block.rows.map((row) => {
    if (row === heading) return isEven ? new Map([[packs.at, "Pack"]]) : new Map();
    const held = heldIn((row[packs.at] ?? "").trim(), saysPack(packs));
    const count = COUNTED.exec((row[counts.at] ?? "").trim());
    const said = new Map<number, string>();
    // Five of five may be five in all: that is asked about.
    if (count && NUMBER.test(row[packs.at]!) && Number(count[1]) === held) return said;
    if (held !== null) said.set(packs.at, held === 1 ? "each" : `PK/${held}`);
    if (count) said.set(counts.at, count[1]!);
    return said;
  });
}

/** As many lines as before. */
export const packsInCells = (lines: readonly string[]): string[] =>
  withBlocksSaid(lines, saidOf).read;
