import { defined } from "../base/defined.ts";
import { readKeeping } from "../model/kept.ts";
import Papa from "papaparse";
import {
  priceBookSchema,
  productSchema,
  type PriceBook,
  type Product,
  type SourceTerms,
} from "../model/priceBook.ts";
import { zodProblems, problem } from "../model/problem.ts";
import { sourceOf } from "../plan/orders.ts";
import { repriced } from "../plan/priceList.ts";
import { amountOf } from "./amount.ts";
import { defused, undefused } from "./cells.ts";
import { headedRows } from "./headedCsv.ts";
import { fail, type Outcome, type Problem } from "../model/problem.ts";

const PRODUCT_COLUMNS = [
  "id",
  "title",
  "itemType",
  "pack",
  "sizeMm",
  "volumeMl",
  "dosesPerPiece",
  "strengthMg",
  "latexFree",
  "price",
  "currency",
  "massG",
  "bulkMl",
  "source",
  "leadDays",
  "shelfMonths",
  "pricedOn",
] as const;
/** What a source asks besides, on any row of it; written on its first row, and only in a book that has such terms. */
const TERM_COLUMNS = ["postage", "freeFrom", "minimum"] as const;

/** Columns of a price book in CSV (RFC 4180). Size in mm as `75x4000`. */
export const PRICE_COLUMNS = [...PRODUCT_COLUMNS, ...TERM_COLUMNS] as const;

const NUMBER_COLUMNS = [
  ...["pack", "volumeMl", "dosesPerPiece", "strengthMg", "price", "massG", "bulkMl", "leadDays"],
  "shelfMonths",
  ...TERM_COLUMNS,
] as const;

export type PriceColumn = (typeof PRICE_COLUMNS)[number];

/** A price book from CSV; all of it, or the rows that are wrong and nothing else. */
export function parsePriceCsv(text: string, isType: (id: string) => boolean): Outcome<PriceBook> {
  const parsed = headedRows(text, ["title", "itemType", "price"], PRICE_COLUMNS);
  if (!parsed.ok) return parsed;
  return bookOfRows(parsed.value, isType);
}

function bookOfRows(
  rows: readonly Record<string, string>[],
  isType: (id: string) => boolean,
  currency = "EUR",
): Outcome<PriceBook> {
  const problems: Problem[] = [];
  const products: Product[] = [];
  const terms = new Map<string, SourceTerms>();
  rows.forEach((row, i) => {
    const at = `row ${i + 2}`;
    const unclear = NUMBER_COLUMNS.filter((c) => {
      const text = undefused(row[c] ?? "").trim();
      return text !== "" && amountOf(text) === null;
    });
    for (const c of unclear)
      problems.push(problem(`${at}, ${c}`, "amount-unclear", { text: row[c]!.slice(0, 40) }));
    if (unclear.length > 0) return;
    const product = productOf(row, i, currency);
    const checked = productSchema.safeParse(product);
    if (!checked.success) {
      problems.push(
        ...zodProblems(checked.error).map((p) => ({ ...p, where: `${at}, ${p.where}` })),
      );
      return;
    }
    if (!isType(checked.data.itemType))
      problems.push(problem(`${at}, itemType`, "no-type", { type: checked.data.itemType }));
    else products.push(checked.data);
    const source = sourceOf(checked.data);
    const before = terms.get(source);
    const said = termsOf(row);
    const other = TERM_COLUMNS.find(
      (c) => said[c] !== undefined && before?.[c] !== undefined && said[c] !== before[c],
    );
    if (other) problems.push(problem(`${at}, ${other}`, "prices-terms-differ", { source }));
    else if (Object.keys(said).length > 0) terms.set(source, { ...before, ...said, source });
  });
  return problems.length > 0
    ? fail(problems)
    : checkBook({
        id: "imported",
        title: "Imported prices",
        currency: products[0]?.price.currency ?? currency,
        products,
        ...(terms.size > 0 ? { sources: [...terms.values()] } : {}),
      });
}

/** How other price lists head their columns. */
const HEADINGS: readonly (readonly [RegExp, PriceColumn])[] = [
  [
    /^(?:id|sku|code|article (?:no|number)|art\.? ?no\.?|item no\.?|ref(?:erence)?|stock code)$/i,
    "id",
  ],
  [/^(?:title|name|product|product name|description|item|article)$/i, "title"],
  [/^(?:item ?type|type|kind)$/i, "itemType"],
  [/^(?:pack|pack size|pack of|per pack|pcs|pieces|units per pack|qty per pack)$/i, "pack"],
  [/^(?:size|size ?mm|dimensions?)$/i, "sizeMm"],
  [/^(?:volume|volume ?ml|ml|content)$/i, "volumeMl"],
  [/^(?:doses|doses ?per ?piece)$/i, "dosesPerPiece"],
  [/^(?:strength|strength ?mg|mg)$/i, "strengthMg"],
  [/^(?:latex ?free)$/i, "latexFree"],
  [/^(?:price|unit price|net|net price|price each|cost|amount)$/i, "price"],
  [/^(?:currency|cur\.?)$/i, "currency"],
  [/^(?:mass|mass ?g|weight|weight ?g|grams?)$/i, "massG"],
  [/^(?:bulk|bulk ?ml|space)$/i, "bulkMl"],
  [/^(?:source|supplier|shop|vendor|seller)$/i, "source"],
  [/^(?:lead ?days|lead time|delivery|delivery days|days)$/i, "leadDays"],
  [/^(?:shelf ?months|shelf life|months)$/i, "shelfMonths"],
  [/^(?:priced ?on|price date|date|as of|valid from)$/i, "pricedOn"],
  [/^(?:postage|shipping|carriage|delivery (?:charge|cost|fee))$/i, "postage"],
  [/^(?:free ?from|free (?:delivery|postage|shipping) (?:from|over)|carriage paid)$/i, "freeFrom"],
  [/^(?:minimum|minimum order|min\.? order|least order)$/i, "minimum"],
];

/** What the columns of a price list seem to hold, by their headings; null: not recognised. */
export const guessPriceColumns = (heading: readonly string[]): (PriceColumn | null)[] => {
  const taken = new Set<PriceColumn>();
  return heading.map((cell) => {
    const found = HEADINGS.find(([pattern]) => pattern.test(cell.trim()))?.[1];
    if (!found || taken.has(found)) return null;
    taken.add(found);
    return found;
  });
};

/** What a table of prices needs beyond its cells. */
export interface PriceTableAsked {
  /** One a column; null: left out. */
  readonly roles: readonly (PriceColumn | null)[];
  readonly hasHeading: boolean;
  /** Of prices that name none. */
  readonly currency: string;
  /** Of products that name none. */
  readonly source: string;
  /** The day the prices are of, for rows that name none. */
  readonly today: string;
}

/**
 * A price book from any table whose columns are known. An item type may be written in any words that
 * name one thing; without such a column the title does.
 * @param typeOf the item type that words name; null: none that is sure
 */
export function priceBookOfTable(
  rows: readonly (readonly string[])[],
  asked: PriceTableAsked,
  typeOf: (words: string) => string | null,
): Outcome<PriceBook> {
  const missing = (["title", "price"] as const).filter((c) => !asked.roles.includes(c));
  if (missing.length > 0)
    return fail([problem("columns", "prices-no-column", { missing: missing.join(" or the ") })]);
  const body = rows.slice(asked.hasHeading ? 1 : 0).filter((r) => r.some((c) => c.trim() !== ""));
  const problems: Problem[] = [];
  const records = body.map((cells, i) => {
    const record: Record<string, string> = {};
    asked.roles.forEach((role, k) => {
      if (role && (cells[k] ?? "").trim() !== "") record[role] = cells[k]!.trim();
    });
    const words = record["itemType"] ?? record["title"] ?? "";
    const type = typeOf(words);
    if (type === null)
      problems.push(
        problem(`row ${i + (asked.hasHeading ? 2 : 1)}`, "prices-no-type", {
          words: words.slice(0, 80),
        }),
      );
    else record["itemType"] = type;
    record["currency"] = (record["currency"] ?? asked.currency).toUpperCase();
    record["source"] ??= asked.source;
    record["pricedOn"] ??= asked.today;
    record["id"] ??= slug(`${record["title"]} ${record["source"]} ${record["pack"] ?? ""}`);
    return record;
  });
  return problems.length > 0 ? fail(problems) : bookOfRows(records, () => true, asked.currency);
}

const slug = (text: string): string =>
  text
    .toLowerCase()
    .normalize("NFKD")
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 100) || "product";

/** A book with another taken in: known products by id at their new price, the rest added. */
export function mergeBooks(
  book: PriceBook,
  more: PriceBook,
  today: string,
): { readonly book: PriceBook; readonly added: number; readonly changed: number } {
  const byId = new Map(more.products.map((p) => [p.id, p]));
  let changed = 0;
  const kept = book.products.map((old) => {
    const now = byId.get(old.id);
    if (!now) return old;
    byId.delete(old.id);
    changed++;
    const { history, pricedOn } = repriced(old, now.price.amount, now.pricedOn ?? today);
    return {
      ...old,
      ...now,
      ...(history ? { history } : {}),
      ...(pricedOn ? { pricedOn } : {}),
    };
  });
  return {
    book: {
      ...book,
      products: [...kept, ...byId.values()],
      ...(book.sources || more.sources ? { sources: mergedTerms(book, more) } : {}),
    },
    added: byId.size,
    changed,
  };
}

/** Terms of every source, those of the newer list where both have them. */
const mergedTerms = (book: PriceBook, more: PriceBook): SourceTerms[] => [
  ...new Map([...(book.sources ?? []), ...(more.sources ?? [])].map((t) => [t.source, t])).values(),
];

/** A price book from parsed JSON. */
export function parsePriceBook(json: unknown): Outcome<PriceBook> {
  const read = readKeeping(priceBookSchema, json);
  return read.ok ? checkBook(read.value) : read;
}

function checkBook(book: PriceBook): Outcome<PriceBook> {
  const problems: Problem[] = [];
  const ids = new Set<string>();
  book.products.forEach((p, i) => {
    if (p.price.currency !== book.currency)
      problems.push(
        problem(`products[${i}].price.currency`, "prices-two-currencies", {
          has: p.price.currency,
          book: book.currency,
        }),
      );
    if (ids.has(p.id)) problems.push(problem(`products[${i}].id`, "twice", { id: p.id }));
    ids.add(p.id);
  });
  return problems.length > 0 ? fail(problems) : { ok: true, value: book };
}

function productOf(
  row: Record<string, string>,
  i: number,
  currency: string,
): Record<string, unknown> {
  const text = (column: PriceColumn) => textIn(row, column);
  const amount = (column: PriceColumn) => amountIn(row, column);
  const given = {
    id: text("id") ?? `row-${i + 2}`,
    title: text("title"),
    itemType: text("itemType"),
    pack: amount("pack") ?? 1,
    sizeMm: text("sizeMm")?.split(/[x×]/i).map(Number),
    volumeMl: amount("volumeMl"),
    dosesPerPiece: amount("dosesPerPiece"),
    strengthMg: amount("strengthMg"),
    latexFree: yesOrNo(text("latexFree")),
    price: { amount: amount("price"), currency: text("currency") ?? currency },
    massG: amount("massG"),
    bulkMl: amount("bulkMl"),
    source: text("source"),
    leadDays: amount("leadDays"),
    shelfMonths: amount("shelfMonths") ?? null,
    pricedOn: text("pricedOn"),
  };
  return defined(given);
}

/** A cell without what a spreadsheet would run; undefined: it is empty. */
const textIn = (row: Record<string, string>, column: PriceColumn): string | undefined =>
  undefused(row[column] ?? "").trim() || undefined;
/** NaN: it is no number, which the check names. */
function amountIn(row: Record<string, string>, column: PriceColumn): number | undefined {
  const text = textIn(row, column);
  return text === undefined ? undefined : (amountOf(text) ?? NaN);
}

/** What a row says of its source's terms. */
const termsOf = (row: Record<string, string>): Omit<SourceTerms, "source"> =>
  defined(Object.fromEntries(TERM_COLUMNS.map((c) => [c, amountIn(row, c)])));

/** "yes" and "no"; anything else is left as it stands, for the check to name. */
const yesOrNo = (text: string | undefined): boolean | string | undefined =>
  text === "yes" ? true : text === "no" ? false : text;

/** A price book as CSV; cells that a spreadsheet would run as a formula are defused. */
export function priceCsv(book: PriceBook): string {
  return (
    Papa.unparse(
      priceTable(book).map((row) => row.map((c) => (typeof c === "string" ? defused(c) : c))),
      { newline: "\r\n" },
    ) + "\r\n"
  );
}

/** A price book as rows under PRICE_COLUMNS, headings first; what sources ask besides stands where any does. */
export function priceTable(book: PriceBook): (string | number)[][] {
  const open = new Map((book.sources ?? []).map((t) => [t.source, t]));
  const columns = open.size > 0 ? PRICE_COLUMNS : PRODUCT_COLUMNS;
  const rows = book.products.map((p) => {
    const source = sourceOf(p);
    const flat: Record<string, unknown> = {
      ...p,
      sizeMm: p.sizeMm?.join("x"),
      price: p.price.amount,
      currency: p.price.currency,
      latexFree: p.latexFree === undefined ? undefined : p.latexFree ? "yes" : "no",
      ...open.get(source),
      source: p.source,
    };
    open.delete(source);
    return columns.map((c) => (flat[c] ?? "") as string | number);
  });
  return [[...columns], ...rows];
}
