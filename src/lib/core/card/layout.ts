import Papa from "papaparse";
import type { ColumnRole } from "./columnRole.ts";
import { hint, roleByCells, rolesByContent } from "./columnsByContent.ts";
import { headingKey, NO_HABITS, type Habits } from "./habits.ts";
/** What a line of a card is, before its words are read: rows of a table, list marks, notes. */

export interface CardRow {
  /** 1-based line number on the card. */
  readonly source: number;
  /** Text to read for items; quantity and unit columns apart. */
  readonly text: string;
  /** Text of the quantity column with its unit; null: none. */
  readonly quantity: string | null;
  readonly inTable: boolean;
  /** List mark or other sign that the line is one of a list. */
  readonly bullet: boolean;
  readonly indent: number;
  /** Several columns count, and no heading tells which holds what is there. */
  readonly columnsUnclear?: boolean;
}

const HEADER_ROLES: readonly (readonly [RegExp, Role])[] = [
  [
    /^(?:pack\s*(?:qty|quantity|count|of)|(?:qty|quantity|pcs|pieces|units|items|no\.?|number)\s*(?:per|\/|in)\s*(?:a\s*)?(?:pack|pk|box|unit)|per pack)$/i,
    "unit",
  ],
  [/^(?:(?:no\.?|nr\.?|number)\s*of\s*(?:packs|boxes)|boxes)$/i, "quantity"],
  [
    /^(?:item|items|description|desc\.?|product|product name|contents?|article|name|item name|item description|component|material|what|equipment|supplies|supply)$/i,
    "text",
  ],
  [
    /^(?:qty\.?|quantity|count|amount|pieces|pcs|number|q'ty|quantities|units in kit|in kit|how many|stock|on hand|in stock|nr|no\. of|number of pieces|total qty|packs)$/i,
    "quantity",
  ],
  [
    /^(?:size|dimensions?|measurements?|spec|specification|format|size\/spec|variant|details?|strength)$/i,
    "size",
  ],
  [
    /^(?:unit|uom|u\/i|u\/m|u\/issue|units|pack|pack size|packaging|per|unit of measure|form|each)$/i,
    "unit",
  ],
  [
    /^(?:no\.?|nr\.?|#|row|pos\.?|line|item no\.?|item #|ref\.?|code|sku|stock code|part no\.?|part|art\.? ?no\.?|id|barcode|ean|location|compartment|category|section|pocket|price|unit price|cost|value|total|expires?|expiry|exp\.?|expiry date|best before|use by|lot|batch|checked|supplier|weight|date|order code|cat\.? ?no\.?|bin|shelf|currency|brand|sum|where|place|kept in|found in)$/i,
    "skip",
  ],
  [
    /^(?:notes?|remarks?|comments?|bemerkung(?:en)?|remarques?|observaciones|opmerkingen)$/i,
    "note",
  ],
  // As tables from abroad are headed, with their English beside them or not.
  [
    /^(?:artikel|bezeichnung|benennung|inhalt|désignation|designation|article|artículo|descripción|omschrijving|articolo|descrizione)(?:\s*\/.*)?$/iu,
    "text",
  ],
  [
    /^(?:ist|menge|anzahl|stück|quantité|qté|cantidad|cant\.?|aantal|quantità)(?:\s*\/.*)?$/iu,
    "quantity",
  ],
  [/^(?:soll|prévu|requis|debido|gewenst|previsto)(?:\s*\/.*)?$/iu, "skip"],
  [/^(?:ve|einheit|unité|unidad|eenheid|unità)(?:\s*\/.*)?$/iu, "unit"],
  [
    /^(?:größe|grösse|maße?|taille|dimension|tamaño|medidas?|maat|afmeting|misura)(?:\s*\/.*)?$/iu,
    "size",
  ],
  [
    /^(?:ablauf(?:datum)?|verfall(?:datum)?|haltbar(?:keit)?|mhd|péremption|caducidad|vervaldatum|scadenza|artikel-?nr\.?|bestell-?nr\.?|réf(?:érence)?\.?|referencia|preis|prix|precio|prijs|prezzo)(?:\s*\/.*)?$/iu,
    "skip",
  ],
];
type Role = ColumnRole;

/** Longer headings by the word they hold: "Qty in kit", "Item description (EN)". */
const HEADER_WORDS: readonly (readonly [RegExp, Role])[] = [
  // How many there should be is not how many there are.
  [/\b(?:min|max|minimum|maximum|par|target|required|reorder|should)\b/i, "skip"],
  [/\bunit\s+of\s+(?:issue|measure|sale)\b/i, "unit"],
  [/\b(?:qty|quantity|quantities)\b/i, "quantity"],
  [/\b(?:size|dimensions?)\s*[/&,+]|[/&,+]\s*(?:size|dimensions?)\b/i, "size"],
  [
    /\b(?:code|sku|ref|no\.?|number|price|cost|value|exp\.?|expiry|date|lot|batch|location)\b/i,
    "skip",
  ],
  [/\bnotes?\b/i, "note"],
  [/\b(?:item|description|product|contents?|article)\b/i, "text"],
  [/\b(?:size|dimensions?)\b/i, "size"],
  [/\b(?:unit|uom|pack)\b/i, "unit"],
];

/** What a column is by its heading; null: it does not tell. */
export const headerRoles = (cell: string): ColumnRole | null => roleOf(cell);

const roleOf = (cell: string): Role | null => {
  const name = cell.trim();
  const exact = HEADER_ROLES.find(([pattern]) => pattern.test(name))?.[1];
  if (exact) return exact;
  if (name.split(/\s+/).length > 4 || /\d/.test(name)) return null;
  return HEADER_WORDS.find(([pattern]) => pattern.test(name))?.[1] ?? null;
};

/** "Wallet kit (28 pcs): 8 plasters; 4 wipes": title and items on one line. */
const TITLE_THEN_ITEMS =
  /^([^:;,]*\b(?:kit|set|bag|box|pouch|pack)\b[^:;,]*?\b\d+\s*-?\s*(?:pieces?|pcs?|items?|parts?)\b[^:;,]*):\s+(\S.*)$/i;

interface Table {
  readonly isUnclear?: boolean;
  readonly split: (line: string) => string[];
  readonly roles: readonly (Role | null)[];
}

/** No line that names items is longer: it is not looked at, whatever it holds. */
export const LONGEST_LINE = 2_000;

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
  const rows: CardRow[] = [];
  let table: Table | null = null;
  let lookedTo = 0;
  let bodyFrom = 0;
  lines.forEach((line, i) => {
    if (line.length > LONGEST_LINE) return;
    if (line.trim() === "") {
      if (table && !lines.slice(i + 1, i + 3).some((l) => table!.split(l).length >= 2))
        table = null;
      return;
    }
    const next = lines[i + 1] ?? "";
    const header =
      rememberedHeader(line, habits) ?? tableHeader(line, next) ?? hintedHeader(line, next);
    if (!header && !table && i >= lookedTo) {
      const block = blockFrom(lines, i);
      lookedTo = block ? i + block.rows.length : i + 1;
      const found = block && tableOf(block, lines[i - 1] ?? "", isName);
      if (found) {
        table = found.table;
        bodyFrom = i + found.headings;
      }
    }
    if (i < bodyFrom) return;
    if (header) {
      const below = lines.slice(i + 1, i + 1 + LOOK_AHEAD);
      table = withContent(withQuantity(header, line, below), line, below, isName);
      return;
    }
    if (table) {
      const cells = table.split(line);
      if (cells.every((c) => /^[-:=\s]*$/.test(c))) return;
      if (cells.length >= 2) {
        for (const part of sideBySide(table.roles))
          if (cells.slice(part.from, part.to).some((c) => c !== ""))
            rows.push({
              ...tableRow(cells.slice(part.from, part.to), part.roles, i + 1),
              ...(table.isUnclear ? { columnsUnclear: true } : {}),
            });
        return;
      }
      if (!/^\s*\|/.test(line) && cells.length < 2)
        table = table.roles.length > 2 && !/[,;\t]/.test(line) ? table : null;
    }
    const titled = TITLE_THEN_ITEMS.exec(line);
    if (titled) rows.push(plainRow(titled[1]!, i + 1), plainRow(titled[2]!, i + 1));
    else rows.push(plainRow(line, i + 1));
  });
  return withoutRunningNumbers(withoutBins(rows));
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
  roles: readonly (Role | null)[],
): { from: number; to: number; roles: readonly (Role | null)[] }[] {
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
  readonly split: (line: string) => string[];
  readonly rows: readonly (readonly string[])[];
}
/** Two columns read well as they are; a table has so many rows at least. */
const FEWEST_COLUMNS = 3;
const FEWEST_ROWS = 4;

function blockFrom(lines: readonly string[], at: number): Block | null {
  for (const split of SPLITTERS) {
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
  const headings =
    first === 0
      ? headingsAbove(above, rows[0]!.length)
      : // Not the line drawn under them.
        (rows.slice(0, first).findLast((r) => /\p{L}/u.test(r.join(""))) ?? rows[first - 1]!);
  const body = rows.slice(first, first + LOOK_AHEAD).filter(isRow);
  const found = body.length >= FEWEST_ROWS - 1 ? rolesByContent(body, headings, isName) : null;
  return found && { table: { split, ...found }, headings: first };
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

/** "Item | No | Size": a heading that may mean a count or a code means a count when its cells do. */
function withQuantity(table: Table, header: string, below: readonly string[]): Table {
  if (table.roles.includes("quantity")) return table;
  const names = table.split(header);
  const rows = below.map((l) => table.split(l)).filter((cells) => cells.length >= 2);
  const counts = (at: number) => {
    const cells = rows.map((r) => r[at] ?? "").filter((c) => c !== "");
    const numbers = cells.map((c) => /^(\d{1,4})(?:\s*\p{L}.*)?$/u.exec(c)?.[1]);
    const running = numbers.every((n, i) => i === 0 || Number(n) === Number(numbers[i - 1]) + 1);
    return cells.length >= 2 && numbers.filter(Boolean).length >= cells.length * 0.7 && !running;
  };
  const unclear = names.findIndex(
    (name, at) =>
      (table.roles[at] === null || /^(?:no\.?|nr\.?|#|nos\.?)$/i.test(name.trim())) && counts(at),
  );
  if (unclear < 0) return table;
  return { ...table, roles: table.roles.map((r, at) => (at === unclear ? "quantity" : r)) };
}

/** "Größe", "Ablauf": what no known word heads is told by its cells; a name it is only where no other column names. */
function withContent(
  table: Table,
  header: string,
  below: readonly string[],
  isName: (text: string) => boolean,
): Table {
  if (!table.roles.includes(null)) return table;
  const names = table.split(header);
  const rows = below.map((l) => table.split(l)).filter((cells) => cells.length >= 2);
  const roles = table.roles.map((role, at) => {
    if (role !== null) return role;
    const cells = rows.map((r) => r[at] ?? "");
    const told = roleByCells(cells, names[at] ?? "", isName);
    return told === "size" || told === "skip" || told === "unit" ? told : null;
  });
  return { ...table, roles };
}

/** Bare numbers that run 1, 2, 3 … down the card number its lines, when each has another count. */
function withoutRunningNumbers(rows: readonly CardRow[]): CardRow[] {
  const lead = (r: CardRow) => {
    const m = /^\(?(\d{1,3})\)?\s+(?![x×]\s)(?=\p{L})/u.exec(r.text);
    return r.inTable || !m ? null : { value: Number(m[1]), length: m[0].length };
  };
  const running = new Set<CardRow>();
  for (let i = 0; i + 3 < rows.length; i++) {
    let k = i;
    while (
      k + 1 < rows.length &&
      lead(rows[k]!) &&
      lead(rows[k + 1]!)?.value === lead(rows[k]!)!.value + 1
    )
      k++;
    if (k - i >= 3) for (let j = i; j <= k; j++) running.add(rows[j]!);
    i = Math.max(i, k - 1);
  }
  const counted = [...running].filter((r) => /\d/.test(r.text.slice(lead(r)!.length))).length;
  if (counted < running.size * 0.6) return [...rows];
  return rows.map((r) =>
    running.has(r) ? { ...r, text: r.text.slice(lead(r)!.length), bullet: true } : r,
  );
}

/** "# | Gear | Amount": beside a count, the first heading that tells nothing else names the items. */
function withText(cells: readonly string[], roles: readonly (Role | null)[]): (Role | null)[] {
  if (roles.includes("text") || !roles.includes("quantity")) return [...roles];
  const unknown = roles.findIndex(
    (r, i) => r === null && /^\p{L}[\p{L} -]*$/u.test(cells[i]!.trim()),
  );
  return roles.map((r, i) => (i === unknown ? "text" : r));
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
const isRuled = (split: Table["split"], line: string): boolean =>
  split === spaced && /\|.*\|/.test(line);

function tableHeader(line: string, next: string): Table | null {
  for (const split of SPLITTERS) {
    const cells = split(line);
    if (cells.length < 2 || cells.length > 20 || isRuled(split, line)) continue;
    const roles = withText(cells, cells.map(roleOf));
    const known = roles.filter((r) => r !== null).length;
    const hasText = roles.includes("text");
    if (
      known >= 2 &&
      hasText &&
      known >= cells.length - 1 &&
      (split(next).length >= 2 || next.trim() === "" || split === SPLITTERS[4])
    )
      return { split: split === SPLITTERS[4] ? underHeadings(line) : split, roles };
  }
  return null;
}

/** "Stowage  Std  Act  Def": a name and what is said of numbers, one of them how many there are. */
function hintedHeader(line: string, next: string): Table | null {
  if (/\d/.test(line)) return null;
  for (const split of SPLITTERS) {
    const cells = split(line);
    if (isRuled(split, line)) continue;
    if (cells.length < 3 || cells.length > 8 || cells.some((c) => c.split(/\s+/).length > 3))
      continue;
    const told_ = cells.map((c) => roleOf(c) ?? hint(c));
    // The first names the things, unless another column says that it does.
    const roles = told_.map((r, i) =>
      i === 0 && r === null && !told_.includes("text") ? "text" : r,
    );
    const told = roles.slice(1).filter((r) => r !== null).length;
    const isTable =
      roles.includes("text") && told >= 2 && roles.filter((r) => r === "quantity").length === 1;
    if (isTable && split(next).length >= 2 && /\d/.test(next))
      return {
        split: split === SPLITTERS[4] ? underHeadings(line) : split,
        roles,
      };
  }
  return null;
}

const delimited = (delimiter: string) => (line: string) => splitQuoted(line, delimiter);
/** Columns by a run of blanks, or by dot leaders. */
const spaced = (line: string) => line.trim().split(/\s{2,}|\s*\.{3,}\s*|\t+/);
const GAP = /\s{2,}|\s*\.{3,}\s*|\t+/g;
/** Cells of a line with where each starts and ends. */
function placedCells(line: string): { text: string; from: number; to: number }[] {
  const cells: { text: string; from: number; to: number }[] = [];
  let from = /^\s*/.exec(line)![0].length;
  const end = line.trimEnd().length;
  for (const gap of line.slice(0, end).matchAll(GAP)) {
    if (gap.index < from) continue;
    cells.push({ text: line.slice(from, gap.index), from, to: gap.index });
    from = gap.index + gap[0].length;
  }
  cells.push({ text: line.slice(from, end), from, to: end });
  return cells;
}
interface Placed {
  readonly text: string;
  readonly from: number;
  readonly to: number;
}
/** "Large dressing 3        2": a name so long that one blank parts it from the count under the next heading. */
function atHeadings(cell: Placed, headings: readonly Placed[], line: string): Placed[] {
  const at = headings.find((h) => h.from > cell.from && h.from < cell.to)?.from;
  const m = at === undefined ? null : /^(.*\p{L}.*?)\s(\d{1,4})$/u.exec(cell.text);
  if (!m) return [cell];
  const from = cell.to - m[2]!.length;
  // The count begins where its heading does, or a letter or two beside.
  if (Math.abs(from - at!) > BESIDE) return [cell];
  return [
    { text: m[1]!, from: cell.from, to: from - 1 },
    { text: line.slice(from, cell.to), from, to: cell.to },
  ];
}
const BESIDE = 3;

/** More cells than headings (a column without one): each goes to the heading that it stands under. */
const underHeadings = (header: string) => {
  const headings = placedCells(header);
  return (line: string): string[] => {
    const found = placedCells(line);
    const cells =
      found.length < headings.length ? found.flatMap((c) => atHeadings(c, headings, line)) : found;
    if (cells.length === found.length && found.length <= headings.length)
      return cells.map((c) => c.text);
    const apart = (c: { from: number; to: number }, h: { from: number; to: number }) =>
      Math.max(c.from, h.from) - Math.min(c.to, h.to);
    const placed = headings.map(() => [] as string[]);
    for (const c of cells) {
      const best = headings.reduce((b, h, i) => (apart(c, h) < apart(c, headings[b]!) ? i : b), 0);
      placed[best]!.push(c.text);
    }
    return placed.map((p) => p.join(" "));
  };
};
const piped = (line: string) =>
  line.includes("|")
    ? line
        .trim()
        .replace(/^\||\|$/g, "")
        .split("|")
        .map((c) => c.trim())
    : [line];
const SPLITTERS = [delimited("\t"), piped, delimited(";"), delimited(","), spaced];

/** Cells of one line; quotes hold delimiters, doubled quotes are one (RFC 4180). */
function splitQuoted(line: string, delimiter: string): string[] {
  if (!line.includes('"')) return line.split(delimiter).map((c) => c.trim());
  // A quote may stand behind a space.
  const closeUp = line.replace(/(^|[,;\t])\s+(?=")/g, "$1");
  const [cells = []] = Papa.parse<string[]>(closeUp, { delimiter }).data;
  return cells.map((c) => c.trim());
}

/** Units as tables from abroad write them. */
const inOurWords = (amount: string): string =>
  amount
    .replace(/(?<=\d\s*)(?:paar|par|paires?|pares|paia)\b/iu, "pairs")
    .replace(/(\d+)\s*(?:dz|doz(?:en)?)\b\.?/iu, (_, n) => `${12 * Number(n)} pcs`)
    .replace(/(?<=\d\s*)(?:stück|pz|pi[eè]ces?|uds?|piezas?|st)\b(?!\/)\.?/iu, "pcs");

function tableRow(
  cells: readonly string[],
  roles: readonly (Role | null)[],
  source: number,
): CardRow {
  const of = (role: Role) => cells.filter((c, i) => roles[i] === role && c !== "").join(", ");
  const named = cells
    .filter((c, i) => (roles[i] === "text" || roles[i] === null) && c !== "")
    .join(", ");
  // A total may stand under another heading than the items.
  const texts = !/\p{L}/u.test(named)
    ? (cells.find((c) => /^\W*total\W*$/i.test(c)) ?? named)
    : named;
  // A size may stand among the remarks.
  const size =
    of("size") || (/^[\d.,\s]+(?:mm|cm|m|in|"|[x×*])/i.exec(of("note")) ? of("note") : "");
  // Rows shorter than the header, as columns set by blanks where a size is missing: the last number counts.
  let quantity = of("quantity");
  let sizeText = size;
  if (
    cells.length < roles.length &&
    quantity === "" &&
    /^\d+(?:\s*\p{L}+)?$/u.test(cells.at(-1)!)
  ) {
    quantity = cells.at(-1)!;
    if (sizeText === quantity) sizeText = "";
  }
  // "half empty, 55 left", "to order": a remark that says how many there are.
  const remark = /\bleft\b|\bto\s+order\b|\bmissing\b|\bnone\b/i.test(of("note"))
    ? `, ${of("note")}`
    : "";
  const packed = of("unit") === quantity ? "" : of("unit");
  // A bare number there is what one pack holds.
  const unit = /^\d+$/.test(packed) ? `pack of ${packed}` : packed;
  const amount = inOurWords([quantity, unit].filter(Boolean).join(" "));
  const hasName = texts !== "";
  return {
    source,
    text: stripPrices(hasName ? `${texts}${sizeText === "" ? "" : ` (${sizeText})`}${remark}` : ""),
    quantity: quantity === "" ? (unit === "" ? null : `1 ${unit}`) : amount,
    inTable: true,
    bullet: true,
    indent: 0,
  };
}

function plainRow(line: string, source: number): CardRow {
  const indent = /^\s*/.exec(line)![0].length;
  let text = line
    .trim()
    .replace(/^(?:in|on|inside)\s+the\s+[^:,;\d]{2,30}:\s+(?=\S)/i, "")
    .replace(/\*\*(?=\S)(.+?)\*\*/g, "$1");
  let bullet = false;
  const mark = /^(?:[-–—*•·▪◦●○■□☐☑✓✔»>+~]|\[[ xX]?\]|o(?=\s{2,}))\s*(?=\S)/u.exec(text);
  if (mark && !/^[-–—]\d/.test(text)) {
    text = text.slice(mark[0].length);
    bullet = true;
  }
  const listNumber = /^(?:\d{1,3}[.)]|#\d{1,3}[.:)]?|\d{1,3}\s*[:]|[a-z][.)])\s+(?=\S)/i.exec(text);
  if (listNumber) {
    text = text.slice(listNumber[0].length);
    bullet = true;
  }
  text = text.replace(/^\[[ xX]?\]\s*/, "");
  // A dot leader points at the count; numbers before it are sizes and models.
  const hasLeader = text.includes("....");
  const led = !hasLeader
    ? null
    : /^(.*\p{L}.*?)\s*\.{4,}\s*(\d{1,4}(?:\s*[x×]\s*\d{1,4})?(?:\s*\p{L}+\.?)?)\s*(?:\[[^\]]*\]\W*)?$/u.exec(
        text,
      );
  // "Scissors (1) ....... pen tray", "In the lid: torch": where things lie is not read.
  const placed = led || !hasLeader ? null : /^(.*\p{L}.*?)\s*\.{4,}\s*[^\d]*$/u.exec(text);
  const [named, quantity] = led
    ? [led[1]!, inOurWords(led[2]!)]
    : [placed ? placed[1]! : text, null];
  return { source, text: stripPrices(named), quantity, inTable: false, bullet, indent };
}

/** Takes out what looks like a count and is none: prices, dates, codes, phone numbers. */
function stripPrices(text: string): string {
  return (
    text
      // Struck through: no longer there.
      .replace(/~~[^~]*~~/g, " ")
      // Set apart in columns: unit price and total.
      .replace(/(?:\s{2,}|\t)\d+[.,]\d{2}(?=\s{2,}|\t|\s*$)/g, " ")
      .replace(/(?:[£€$¥]|\b(?:EUR|USD|GBP|CHF|SEK|AUD|CAD|NZD)\b)\s*\d+(?:[.,]\d+)*/g, " ")
      .replace(/\b\d+(?:[.,]\d{1,2})?\s*(?:[£€]|\b(?:EUR|USD|GBP|CHF|SEK|AUD|CAD|NZD)\b)/g, " ")
      .replace(/\$\s*(?=\s|$)/g, " ")
      .replace(
        /\b(?:exp(?:iry|ires?|\.)?|use by|best before|bbe?|dated?|tested|checked|charged|serviced|opened|lot|batch)\s*(?:date)?\s*[:.]?\s*(?:end\s+)?(?:\d{1,4}[-/.]\d{1,4}(?:[-/.]\d{1,4})?|(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\.?\s*\d{2,4})/gi,
        " ",
      )
      .replace(
        /\b\d{1,2}(?:st|nd|rd|th)?\s+(?:of\s+)?(?:january|february|march|april|may|june|july|august|september|october|november|december)\b(?:\s+\d{4})?/gi,
        " ",
      )
      .replace(
        /\b(?:bought|since|from|of|made|packed|dated|in)\s+(?:19|20)\d\d\b(?![-/.\d])/gi,
        " ",
      )
      .replace(/\b\d{1,2}(?:st|nd|rd|th)\b/gi, " ")
      .replace(/\b20\d\d-(?:0[1-9]|1[0-2])(?:-\d\d)?\b/g, " ")
      .replace(/\b(?:0[1-9]|1[0-2])\/20\d\d\b/g, " ")
      .replace(
        /\b(?!X\d|(?:BX|PK|PKT|BG|CS|CT)\d{1,4}\b)[A-Z]{1,5}-?\d{3,}[A-Z]?\b|\b[A-Z]{2,4}-\d{2,}\b/g,
        " ",
      )
      .replace(
        /(?:\b(?:ref|sku|item|part|art|cat|code|stock)\.?\s*(?:no\.?|number|#|code)?\s*[:#]\s*)[\w-]*\d[\w-]*/gi,
        " ",
      )
      .replace(/#\s?\d{3,}\b/g, " ")
  );
}
