import {
  areNumbersOfRows,
  columnsOf,
  FEWEST_ROWS,
  isHeadingRow,
  withBlocksSaid,
  type BlockColumn,
  type CellBlock,
} from "./cellBlocks.ts";
import { LONGEST_LINE } from "./cardLimits.ts";
import { placedCells } from "./cells.ts";
import { withoutAccents } from "./words.ts";
import { countIn } from "./packCells.ts";
import { quick } from "./quick.ts";

/**
 * Orders, invoices and stock books: what one costs and what that comes to stand in columns of their own, often in whole numbers
 * that look like counts. They are told by a sign, by their heading, or as one is so many times the other, and taken out before anything
 * else is read.
 */

const SIGN =
  "[£€$¥₹₦]|\\b(?:EUR|USD|GBP|CHF|SEK|NOK|DKK|AUD|CAD|NZD|INR|SGD|PHP|ZAR|NGN|KES)|(?:KSh|Ksh|Rs|kr|Fr|N|R|P|zł)\\.?";
const FIGURES =
  "\\d[\\dOol]{0,2}(?:[ .,'’][\\dOol]{3})*(?:[.,][\\dOol]{1,2})?|[\\dOol]{1,7}(?:[.,][\\dOol]{1,2})?";
const AMOUNT = quick(
  new RegExp(
    `^(?:(?<at>@)\\s?)?(?:(?<before>${SIGN})\\s?)?(?=[^\\d]{0,3}\\d)(?<figures>${FIGURES})(?<open>/[-–=]|[.,][-–])?(?:\\s?(?<behind>${SIGN}|€|kr\\.?|zł))?(?:(?<=[.,]\\d{2})\\s?(?:each|ea\\.?|per\\s\\p{L}{2,6}|/\\s?\\p{L}{2,6}))?$`,
    "u",
  ),
);
/** "20%", "7,7 %". */
const SHARE = /^\d{1,2}(?:[.,]\d{1,2})?\s?%$/;

/** What is paid, whatever else the heading says: "Unit price (N)", "P. unitario", "Prix HT". */
const PAID = new RegExp(
  `\\b(?:${[
    "prices?|costs?|kosten|couts?|valeur|valore?|tari(?:ef|fa?)|rate|rrp|msrp|amount\\s+(?:due|payable)|line\\s+(?:total|amount|value)|total\\s+(?:price|cost|value)|value|ext(?:ended)?|charge",
    "\\w*preis|betrag|ep|gp|e-preis",
    "prix|p\\.?\\s?u\\.?(?:\\s?ht)?|montant",
    "precio|pvp|importe|p\\.\\s?unit",
    "prezzo|importo|costo|p\\.\\s?unitario",
    "\\w*prijs|bedrag",
    "preco|pris|belopp|belop|hinta|cena|kwota|wartosc",
  ].join(
    "|",
  )})(?![a-z])|^@$|[£€$¥₹₦]|\\b(?:EUR|USD|GBP|CHF|SEK|NOK|DKK|AUD|CAD|NZD|INR|NGN|KES|ZAR)\\b|\\((?:Rs|N|R|KSh|kr)\\.?\\)`,
  "i",
);
/** May be what is paid, or how many there are. */
const MAY_BE_PAID =
  /^(?:amount|total|sum|subtotal|net|gross|each|ea|gesamt|summe|total\s?ht|total\s?ttc|totale|tot\.?|totaal|subtotaal)$/i;
const TAX = /^(?:vat|tax|gst|mwst|ust|tva|iva|btw|moms)\.?(?:\s?\(?%\)?|\s+(?:rate|amount))?$/i;
const COUNTS =
  /^(?:q\W?t|qu?an|cant|cdad|aant|anz|menge|st(?:k|uc|uk)|unit[éeàa]?s?$|unid|uds|pcs|pieces|nos?\.?$|nb|nombre|pz|pezzi|ordered|count|number)/i;
const saysPaid = (heading: string): boolean =>
  [PAID, MAY_BE_PAID, TAX].some((pattern) => pattern.test(withoutAccents(heading.trim())));
/** The row that sums them up: no thing. */
const IS_SUM =
  /^\W*(?:(?:grand|sub|net|gross)[\s-]?)?(?:total|totale|totaal|subtotal|subtotale|subtotaal|summe|zwischensumme|gesamt(?:betrag|summe)?|sous[\s-]total|sum|importe total|suma|vat|tax|mwst|tva|iva|btw|carriage|shipping|delivery|versand|postage)\b[^\d]{0,16}(?:\d{1,2}(?:[.,]\d)?\s?%)?\W*$/i;

/** An amount of money that a cell says. */
interface Amount {
  readonly value: number;
  /** It has a sign of money, or its hundredths: no count is written so. */
  readonly isPlain: boolean;
}
/** null: the cell says no amount. */
export function amountOf(cell: string): Amount | null {
  if (cell.length > LONGEST_AMOUNT) return null;
  const found = AMOUNT.exec(cell)?.groups;
  if (!found) return null;
  const figures = found["figures"]!.replace(/[Oo]/g, "0").replace(/l/g, "1");
  const [, whole, part = ""] = /^(.*?)(?:[.,](\d{1,2}))?$/.exec(figures)!;
  const signed = found["at"] ?? found["before"] ?? found["behind"] ?? found["open"];
  // "P1", "R12": pockets and rooms.
  if (/^[NRP]$/.test(signed ?? "") && part === "" && Number(whole) < FEWEST_OF_LETTER) return null;
  return {
    value: Number(`${whole!.replace(/\D/g, "")}.${part || 0}`),
    isPlain: signed !== undefined || part.length === 2,
  };
}
/** Naira, rand and pesos come in tens at least. */
const FEWEST_OF_LETTER = 50;
/** "KSh 1,250,000.00" */
const LONGEST_AMOUNT = 18;

interface Column extends BlockColumn {
  readonly amounts: readonly (Amount | null)[];
}
/** So many of its cells are amounts: an empty one, or one that was recognised wrongly, tells nothing. */
const MOST = 0.7;
const isHeaded = ({ heading }: Column): boolean => PAID.test(withoutAccents(heading));
const holdsAmounts = (column: Column): boolean => {
  const filled = column.cells.filter((cell) => cell !== "" && cell !== "-").length;
  const said = column.amounts.filter((amount) => amount !== null).length;
  return said >= (isHeaded(column) ? 1 : FEWEST_ROWS - 1) && said >= MOST * filled;
};
/** Most of its cells are written as no count is. */
const isPlainly = ({ amounts }: Column): boolean =>
  2 * amounts.filter((a) => a?.isPlain === true).length > amounts.filter((a) => a !== null).length;

/** What is off by less was rounded. */
const ROUNDED = 0.02;
/** Whether so many at that price come to that sum, row after row, and in some by more than by ones. */
function comesTo(counts: readonly (number | null)[], price: Column, sum: Column): boolean {
  let rows = 0;
  let told = 0;
  for (const [i, count] of counts.entries()) {
    const each = price.amounts[i]?.value;
    const all = sum.amounts[i]?.value;
    if (count === null || each === undefined || all === undefined) continue;
    if (Math.abs(count * each - all) > ROUNDED + ROUNDED * count) return false;
    rows++;
    if (count > 1 && each !== 1) told++;
  }
  return rows >= FEWEST_ROWS && told >= FEWEST_TOLD;
}
const FEWEST_TOLD = 2;

/** The price and the sum of a table whose rows multiply; null: none do, or what they multiply is no money. */
function byProducts(columns: readonly Column[]): readonly number[] | null {
  const counted = columns.map((column) => column.cells.map(countIn));
  const paid = columns.filter((column) => holdsAmounts(column));
  const triples = paid.flatMap((sum) =>
    paid.flatMap((price) =>
      columns
        .filter((column) => column !== sum && column !== price && sum !== price)
        .filter((column) => !areNumbersOfRows(column))
        .filter((column) => comesTo(counted[columns.indexOf(column)]!, price, sum))
        .map((column) => ({ count: column, price, sum })),
    ),
  );
  const isMoney = (column: Column) => isHeaded(column) || isPlainly(column);
  const told = triples.filter(
    ({ count, price, sum }) => !isMoney(count) && (isMoney(price) || isMoney(sum)),
  );
  // Two columns of whole numbers may change places: the one that is headed as a count counts, or that of the smaller numbers.
  const most = (column: Column) => Math.max(...column.amounts.map((a) => a?.value ?? 0));
  const best =
    told.find(({ count }) => COUNTS.test(withoutAccents(count.heading))) ??
    told.toSorted((a, b) => most(a.count) - most(b.count))[0];
  return best ? [best.price.at, best.sum.at] : null;
}

/** The columns of a block that hold money or what is taxed. */
function moneyOf(columns: readonly Column[]): Set<number> {
  const products = byProducts(columns) ?? [];
  const counts = (except: ReadonlySet<number>) =>
    columns.some(
      (c) =>
        !except.has(c.at) &&
        !areNumbersOfRows(c) &&
        2 * c.cells.filter((cell) => countIn(cell) !== null).length > c.cells.length,
    );
  const headed = columns.filter((c) => isHeaded(c) && holdsAmounts(c)).map((c) => c.at);
  const isPaid = new Set([...products, ...headed]);
  const plainly = columns
    .filter(
      (c) =>
        !isPaid.has(c.at) && holdsAmounts(c) && c.amounts.every((a) => a === null || a.isPlain),
    )
    // "4.50" below "Length, m" is what it is headed as.
    .filter((c) => isSigned(c) || ((c.heading === "" || saysPaid(c.heading)) && hasHundredths(c)))
    .map((c) => c.at);
  const all = new Set([...isPaid, ...plainly]);
  // "Amount" beside a price, where another column counts.
  if (all.size > 0)
    for (const c of columns)
      if (
        MAY_BE_PAID.test(withoutAccents(c.heading)) &&
        holdsAmounts(c) &&
        counts(new Set([...all, c.at]))
      )
        all.add(c.at);
  if (all.size === 0) return all;
  const isTax = (c: Column) =>
    TAX.test(c.heading) ||
    c.cells.filter((cell) => SHARE.test(cell)).length >= MOST * c.cells.length;
  return new Set([...all, ...columns.filter(isTax).map((c) => c.at)]);
}
const hasHundredths = ({ amounts }: Column): boolean =>
  amounts.some((a) => a !== null && a.value % 1 !== 0);
/** "€ 4", "650/-": no hundredths are needed to tell. */
const isSigned = ({ cells }: Column): boolean =>
  cells.filter((cell) => AMOUNT.test(cell) && /[^\d\s.,'’Ool]/.test(cell)).length >=
  FEWEST_ROWS - 1;

/** Whether a cell of a row holds money, by its place; null: the block has none, or nothing besides. */
function moneyIn(block: CellBlock): ((row: readonly string[], at: number) => boolean) | null {
  const { heading, columns, isEven } = columnsOf(block, (row) => !row.some((c) => IS_SUM.test(c)));
  const rows = columns[0]?.cells.length ?? 0;
  if (rows < (heading ? FEWEST_HEADED : FEWEST_ROWS)) return null;
  const money = moneyOf(columns.map((c) => ({ ...c, amounts: c.cells.map(amountOf) })));
  if (money.size === 0 || money.size === columns.length) return null;
  // Where rows are of several lengths what stands below each other may be of two columns: each cell says for itself.
  const says = (row: readonly string[], at: number) =>
    row === heading ? saysPaid(row[at]!) : amountOf(row[at]!)?.isPlain === true;
  return (row, at) => money.has(at) && (isEven || says(row, at));
}
/** Below a heading that tells fewer rows do. */
const FEWEST_HEADED = 1;

/** How far below a table its sums stand: tax, carriage, and what it comes to, with a rule between. */
const SUMS_WITHIN = 5;
/** Whether a line says nothing but what something comes to. */
const saysSum = (line: string): boolean => {
  if (line.length > LONGEST_LINE || !/\d/.test(line)) return false;
  const cells = line.split(SUM_CELL).filter((cell) => cell.trim() !== "");
  return (
    cells.length > 1 &&
    IS_SUM.test(cells[0]!.trim()) &&
    cells.slice(1).every((cell) => amountOf(cell.trim()) !== null || SHARE.test(cell.trim()))
  );
};
const SUM_CELL = /[\t|;]|\s{2,}|\.{3,}|:\s/;

/** What stands last on a line. */
const lastCell = (line: string) =>
  line.length <= LONGEST_LINE && /\S\s{2,}\S/.test(line) ? placedCells(line).at(-1) : undefined;
/** A row that a wrapped name or a title sets apart from the others has its amount where theirs end. */
function withoutLastAt(edges: ReadonlySet<number>, line: string): string {
  const cell = lastCell(line);
  const isLike = cell !== undefined && [-1, 0, 1].some((by) => edges.has(cell.to + by));
  return isLike && amountOf(cell.text)?.isPlain === true
    ? line.slice(0, cell.from).trimEnd()
    : line;
}

/** The cells of a block that are taken out; a row that sums up is left out whole. null: none is. */
function withoutPaid(block: CellBlock): readonly (ReadonlyMap<number, null> | null)[] | null {
  const isMoney = moneyIn(block);
  return (
    isMoney &&
    block.rows.map((row) => {
      const isSum = !isHeadingRow(row) && row.some((cell) => IS_SUM.test(cell));
      const paid = [...row.keys()].filter((at) => isMoney(row, at));
      return isSum ? null : new Map(paid.map((at) => [at, null]));
    })
  );
}

/** The lines of a card without its columns of money, and without the rows that sum them up; as many as before. */
export function withoutMoney(lines: readonly string[]): string[] {
  if (!lines.some((line) => MAY_BE_AMOUNT.test(line))) return [...lines];
  const { read, blocks } = withBlocksSaid(lines, withoutPaid);
  if (blocks.length === 0) return read;
  const taken = new Set(blocks.flatMap(({ places }) => places));
  const below = new Set(
    blocks.flatMap(({ places }) =>
      Array.from({ length: SUMS_WITHIN }, (_, i) => places.at(-1)! + 1 + i),
    ),
  );
  const edges = new Set(
    blocks.flatMap(({ way, places }) =>
      way.isLoose ? [lastCell(lines[places[0]!]!)?.to ?? 0] : [],
    ),
  );
  const first = Math.min(...blocks.map(({ places }) => places[0]!));
  return read.map((line, at) => {
    if (taken.has(at)) return line;
    if (below.has(at) && saysSum(line)) return "";
    // "What we bought and what it cost": what it speaks of is gone.
    if (at < first && line.length <= LONGEST_LINE && !HAS_CELLS.test(line))
      return line.replace(SPEAKS_OF_MONEY, " ");
    return edges.size > 0 ? withoutLastAt(edges, line) : line;
  });
}
const HAS_CELLS = /[\d\t|;]|\S\s{2,}\S/;
const SPEAKS_OF_MONEY = /\b(?:prices?|costs?)\b/gi;
/** Two numbers on a line. */
const MAY_BE_AMOUNT = /\d\D+\d/;
