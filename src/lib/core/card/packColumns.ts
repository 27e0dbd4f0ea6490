/** Columns that count packs, what one pack holds, and how many pieces that makes in all. */

/** In the languages that cards come in. */
const PACK_ABROAD =
  "caja|paquete|bolsa|sobre|envase|bo[iî]te|paquet|sachet|scatola|confezione|busta|pacco|packung|schachtel|beutel|karton|doos|pak(?:je)?|caixa|pacote";
const PACKS_ABROAD =
  "cajas|paquetes|bolsas|sobres|envases|bo[iî]tes|paquets|sachets|scatole|confezioni|buste|pacchi|packungen|schachteln|kartons|dozen|pakjes|caixas|pacotes";
const PACK = `pack(?:age|et)?|pk|pkt|pkg|box|bx|carton|sleeve|tub|tin|unit|${PACK_ABROAD}`;
const PACKS = `pack(?:age|et)?s|pks|pkts|pkgs|boxes|bxs|cartons|sleeves|tubs|${PACKS_ABROAD}`;
const COUNT = "qty\\.?|quantity|no\\.?|number|pcs|pieces|units?|items|count|contents|how\\s+many|#";

const PER_PACK = new RegExp(
  `^(?:(?:${COUNT})\\s*(?:per|/|in(?:\\s+an?|\\s+each)?|to\\s+an?)\\s*(?:${PACK})|(?:per|each|por|par|pro|je|cada|a)\\s+(?:${PACK})|(?:${PACK})(?:\\s+(?:size|of|qty|quantity|contents?))?|size\\s+of\\s+(?:${PACK})|packed\\s+in|inner(?:\\s+qty)?|multiples?)$`,
  "i",
);
/** "Pack size", "Qty per box": what one pack holds. */
export const saysPerPack = (heading: string): boolean => PER_PACK.test(heading.trim());
/** "In pack": what one holds where packs are counted beside it, and else how many lie in the kit. */
const IN_PACK = new RegExp(
  `^(?:(?:${COUNT})\\s+)?in(?:side)?\\s+(?:(?:an?|each|one|the)\\s+)?(?:${PACK})$`,
  "i",
);

/** "Qty" beside "In pack". */
const COUNTS_PACKS = /^(?:qty\.?|quantity|on\s+hand|(?:in\s+)?stock|held|count)$/i;
const OF_PACKS = new RegExp(
  `^(?:(?:${COUNT})\\s*(?:of\\s+)?)?(?:full\\s+)?(?:${PACKS})(?:\\s*/\\s*(?:${PACKS}))?(?:\\s+(?:held|found|left|now|here|there|in\\s+(?:stock|kit|box|bag)|on\\s+(?:hand|shelf)))?$|^(?:${COUNT})\\s*\\((?:${PACKS})\\)$`,
  "i",
);
/** "Boxes", "No. of packs": packs are counted. */
export const saysPacks = (heading: string): boolean => OF_PACKS.test(heading.trim());

const IN_ALL =
  /^(?:(?:grand\s+)?total(?:\s+(?:no\.?|number|pcs|pieces|items|qty|quantity|units|count))?|pieces|pcs|singles?|items|units|sum|in\s+all|overall|all|loose\s+total)$/i;
/** "Total", "Pieces": said beside packs, how many that makes. */
const saysInAll = (heading: string): boolean => IN_ALL.test(heading.trim());

/** Of what is paid and weighed one times the other is no number of pieces. */
const NOT_PIECES =
  /[€£$]|\b(?:price|cost|rate|value|rrp|vat|net|gross|ext|weight|mass|wt|kg|g|grams)\b/i;

export interface PackColumns {
  /** The column of the pieces in all; null: no column says them. */
  readonly inAll: number | null;
  /** No heading says that it holds them: each of its numbers is so many times what a pack holds. */
  readonly isGuessed?: true;
  readonly packs: number | null;
  readonly perPack: number | null;
}

/** Fewer rows may agree by chance. */
const FEWEST_PRODUCTS = 2;
const FEWEST_ROWS = 3;

/** Whole numbers of a column, by row; null: another cell. */
function numbersIn(rows: readonly (readonly string[])[], at: number): (number | null)[] {
  return rows.map((r) => {
    const m = /^(\d{1,4})(?:\s*(?:pcs|pieces|pks?|packs?|bx|boxe?s?|ea|each)\.?)?$/i.exec(
      r[at]?.trim() ?? "",
    );
    return m ? Number(m[1]) : null;
  });
}

type Numbers = readonly (number | null)[];
/** Whether in each row with all three numbers the first times the second is the third. */
function areProducts(a: Numbers, b: Numbers, c: Numbers): boolean {
  let rows = 0;
  let products = 0;
  for (let i = 0; i < a.length; i++) {
    const [x, y, z] = [a[i]!, b[i]!, c[i]!];
    if (x === null || y === null || z === null) continue;
    if (x * y !== z) return false;
    rows++;
    if (x > 1 && y > 1) products++;
  }
  return rows >= FEWEST_ROWS && products >= FEWEST_PRODUCTS;
}

/** Whether each count is so many times what a pack holds, in three rows or more: sixty of a pack of twenty. */
function areMultiples(counts: Numbers, sizes: Numbers): boolean {
  let rows = 0;
  for (const [i, count] of counts.entries()) {
    const size = sizes[i]!;
    if (count === null || size === null || size === 1) continue;
    if (size === 0 || count === 0 || count % size !== 0) return false;
    rows++;
  }
  return rows >= FEWEST_ROWS;
}

/** Numbers of the columns that may count pieces or packs, by their places. */
function numberColumns(
  rows: readonly (readonly string[])[],
  names: readonly string[],
  isFree: (at: number) => boolean,
): ReadonlyMap<number, Numbers> {
  const columns = names.flatMap((name, at) => {
    if (!isFree(at) || NOT_PIECES.test(name)) return [];
    const numbers = numbersIn(rows, at);
    const told = numbers.filter((n) => n !== null).length;
    return 2 * told > rows.length ? [[at, numbers] as const] : [];
  });
  return new Map(columns);
}

/** Three columns of which one is the product of the others; null: there are none. */
function bySums(columns: ReadonlyMap<number, Numbers>): PackColumns | null {
  const all = [...columns];
  for (const [inAll, c] of all)
    for (const [perPack, a] of all)
      for (const [packs, b] of all)
        if (perPack < packs && inAll !== perPack && inAll !== packs && areProducts(a, b, c))
          return { inAll, packs, perPack };
  return null;
}

function byHeadings(
  columns: ReadonlyMap<number, Numbers>,
  names: readonly string[],
): PackColumns | null {
  const all = [...columns.keys()];
  const headed = (says: (name: string) => boolean) => all.find((at) => says(names[at]!)) ?? null;
  const inPack = headed((name) => IN_PACK.test(name.trim()));
  const counted = headed((name) => COUNTS_PACKS.test(name.trim()));
  const packs = headed(saysPacks) ?? (inPack === null ? null : counted);
  const perPack = headed(saysPerPack) ?? (packs === null ? null : inPack);
  if (packs === null && perPack === null) return null;
  const sizes = perPack === null ? null : columns.get(perPack)!;
  const whole =
    packs === null && sizes !== null
      ? all.find((at) => at !== perPack && areMultiples(columns.get(at)!, sizes))
      : undefined;
  if (whole !== undefined) return { inAll: whole, packs, perPack, isGuessed: true };
  const inAll = all.find((at) => at !== packs && at !== perPack && saysInAll(names[at]!));
  const isSum =
    inAll !== undefined && packs !== null && areAtLeast(columns.get(inAll)!, columns.get(packs)!);
  return { inAll: isSum ? inAll : null, packs, perPack };
}

/** Fewer rows may add up by chance. */
const FEWEST_SUMS = 4;
/**
 * "Desk 6, Hall 10, Bus 2, Total 18": the column whose every number is the sum of those before it, with those; null: there is none.
 * @param isFree whether a column may count
 */
export function sumColumn(
  rows: readonly (readonly string[])[],
  isFree: (at: number) => boolean,
): { readonly inAll: number; readonly parts: readonly number[] } | null {
  const width = Math.max(0, ...rows.map((row) => row.length));
  const columns = Array.from({ length: width }, (_, at) => at)
    .filter(isFree)
    .map((at) => ({ at, numbers: numbersIn(rows, at) }))
    .filter(({ numbers }) => numbers.length >= FEWEST_SUMS && numbers.every((n) => n !== null));
  for (let last = columns.length - 1; last >= 2; last--)
    for (let first = 0; first + 1 < last; first++) {
      const parts = columns.slice(first, last);
      const isSum = columns[last]!.numbers.every(
        (n, i) => n === parts.reduce((sum, { numbers }) => sum + numbers[i]!, 0),
      );
      if (isSum) return { inAll: columns[last]!.at, parts: parts.map(({ at }) => at) };
    }
  return null;
}

/** Pieces in all are never fewer than packs. */
const areAtLeast = (pieces: Numbers, packs: Numbers): boolean =>
  pieces.every((n, i) => n === null || n >= (packs[i] ?? 0));

/**
 * Which columns of a table count packs, what a pack holds, and the pieces in all: by their sums, whatever
 * heads them, else by their headings. null: none does.
 * @param names the headings, one a column
 * @param isFree whether a column may count: it is not known to name, to size or to answer
 */
export function packColumns(
  rows: readonly (readonly string[])[],
  names: readonly string[],
  isFree: (at: number) => boolean,
): PackColumns | null {
  const columns = numberColumns(rows, names, isFree);
  return bySums(columns) ?? byHeadings(columns, names);
}
