import Papa from "papaparse";
import { shippedType } from "../catalogue/catalogue.ts";
import { priceBookSchema, productSchema, type PriceBook, type Product } from "../plan/priceBook.ts";
import { zodProblems } from "./auditFile.ts";
import { fail, type Outcome, type Problem } from "./problem.ts";

/** Columns of a price book in CSV (RFC 4180). Size in mm as `75x4000`. */
export const PRICE_COLUMNS = [
  "id",
  "title",
  "itemType",
  "pack",
  "sizeMm",
  "volumeMl",
  "dosesPerPiece",
  "price",
  "currency",
  "massG",
  "bulkMl",
  "source",
  "leadDays",
  "shelfMonths",
  "pricedOn",
] as const;

/** A price book from CSV; all of it, or the rows that are wrong and nothing else. */
export function parsePriceCsv(
  text: string,
  isType: (id: string) => boolean = (id) => shippedType(id) !== undefined,
): Outcome<PriceBook> {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ""), {
    header: true,
    skipEmptyLines: "greedy",
  });
  const missing = ["title", "itemType", "price"].filter((c) => !parsed.meta.fields?.includes(c));
  if (missing.length > 0)
    return fail([
      {
        where: "header",
        what: `lacks the column ${missing.map((m) => `'${m}'`).join(", ")}; expected ${PRICE_COLUMNS.join(",")}`,
      },
    ]);
  const problems: Problem[] = [];
  const products: Product[] = [];
  parsed.data.forEach((row, i) => {
    const at = `row ${i + 2}`;
    const product = productOf(row, i);
    const checked = productSchema.safeParse(product);
    if (!checked.success) {
      problems.push(
        ...zodProblems(checked.error).map((p) => ({ where: `${at}, ${p.where}`, what: p.what })),
      );
      return;
    }
    if (!isType(checked.data.itemType))
      problems.push({
        where: `${at}, itemType`,
        what: `'${checked.data.itemType}' is not an item type of the catalogue`,
      });
    else products.push(checked.data);
  });
  return problems.length > 0
    ? fail(problems)
    : checkBook({
        id: "imported",
        title: "Imported prices",
        currency: products[0]?.price.currency ?? "EUR",
        products,
      });
}

/** A price book from parsed JSON. */
export function parsePriceBook(json: unknown): Outcome<PriceBook> {
  const parsed = priceBookSchema.safeParse(json);
  return parsed.success ? checkBook(parsed.data) : fail(zodProblems(parsed.error));
}

function checkBook(book: PriceBook): Outcome<PriceBook> {
  const problems: Problem[] = [];
  const ids = new Set<string>();
  book.products.forEach((p, i) => {
    if (p.price.currency !== book.currency)
      problems.push({
        where: `products[${i}].price.currency`,
        what: `is ${p.price.currency} in a book of ${book.currency}: one price book has one currency; convert by your own rate first`,
      });
    if (ids.has(p.id))
      problems.push({ where: `products[${i}].id`, what: `'${p.id}' stands twice` });
    ids.add(p.id);
  });
  return problems.length > 0 ? fail(problems) : { ok: true, value: book };
}

function productOf(row: Record<string, string>, i: number): Record<string, unknown> {
  const text = (k: string) => row[k]?.trim() || undefined;
  const amount = (k: string) =>
    text(k) === undefined ? undefined : Number(text(k)!.replace(",", "."));
  const given = {
    id: text("id") ?? `row-${i + 2}`,
    title: text("title"),
    itemType: text("itemType"),
    pack: amount("pack") ?? 1,
    sizeMm: text("sizeMm")?.split(/[x×]/i).map(Number),
    volumeMl: amount("volumeMl"),
    dosesPerPiece: amount("dosesPerPiece"),
    price: { amount: amount("price"), currency: text("currency") ?? "EUR" },
    massG: amount("massG"),
    bulkMl: amount("bulkMl"),
    source: text("source"),
    leadDays: amount("leadDays"),
    shelfMonths: amount("shelfMonths") ?? null,
    pricedOn: text("pricedOn"),
  };
  return Object.fromEntries(Object.entries(given).filter(([, v]) => v !== undefined));
}

/** A price book as CSV; cells that a spreadsheet would run as a formula are defused. */
export function priceCsv(book: PriceBook): string {
  const rows = book.products.map((p) => ({
    ...p,
    sizeMm: p.sizeMm?.join("x"),
    price: p.price.amount,
    currency: p.price.currency,
  }));
  return (
    Papa.unparse(rows, { columns: [...PRICE_COLUMNS], escapeFormulae: true, newline: "\r\n" }) +
    "\r\n"
  );
}
