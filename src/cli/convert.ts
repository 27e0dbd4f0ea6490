import { extname } from "node:path";
import Papa from "papaparse";
import {
  contentsFromRows,
  contentsRows,
  isContentsHeading,
} from "../lib/core/formats/contentsTable.ts";
import { parseAudit } from "../lib/core/formats/auditFile.ts";
import { parseListFile, listFile } from "../lib/core/formats/listFile.ts";
import { csvRows, isListHeading, listFromRows, listRows } from "../lib/core/formats/listTable.ts";
import { parsePriceBook, parsePriceCsv, priceTable } from "../lib/core/formats/priceCsv.ts";
import { defused } from "../lib/core/formats/cells.ts";
import { CATALOGUE } from "../lib/data/catalogue.ts";
import { SheetProblem, sheetText } from "../lib/sheets/sheetText.ts";
import { writeSheet } from "../lib/sheets/writeSheet.ts";
import { BadInput, fileBytes, fileText, inFile, jsonOf, Usage, written } from "./io.ts";

/**
 * `convert IN OUT`: the contents of an audit, a reference list or a price book, from JSON, CSV or XLSX to
 * JSON, CSV or XLSX. What it is, is told by what is in it.
 */
const KINDS = [".json", ".csv", ".xlsx"] as const;
type Cells = readonly (readonly (string | number)[])[];

const isType = (id: string) => CATALOGUE.types.has(id);

export async function convert(from: string, to: string): Promise<void> {
  const [source, target] = [kindOf(from), kindOf(to)];
  const json = source === ".json" ? jsonOf(from, fileText(from)) : undefined;
  const cells = source === ".json" ? cellsOf(from, json) : await tableOf(from, source);
  if (target === ".json") written(to, JSON.stringify(json ?? valueOf(from, cells), null, 1));
  else if (target === ".csv") {
    const safe = cells.map((r) => r.map((c) => (typeof c === "string" ? defused(c) : c)));
    written(to, Papa.unparse(safe, { newline: "\r\n" }) + "\r\n");
  } else written(to, await writeSheet("Table", cells));
}

function kindOf(path: string): (typeof KINDS)[number] {
  const kind = KINDS.find((k) => k === extname(path).toLowerCase());
  if (!kind) throw new Usage(`'${path}' ends in none of ${KINDS.join(", ")}`);
  return kind;
}

/** A file of ours as a table. */
function cellsOf(path: string, json: unknown): Cells {
  const { format, products } = (json ?? {}) as { format?: unknown; products?: unknown };
  if (format === "wide-sieve.audit")
    return contentsRows(inFile(path, parseAudit(json, CATALOGUE)).kit.lines);
  if (format === "wide-sieve.list")
    return listRows(inFile(path, parseListFile(json, CATALOGUE)).list);
  if (Array.isArray(products)) return priceTable(inFile(path, parsePriceBook(json)));
  throw new BadInput([
    {
      where: path,
      what: "is neither an audit, a reference list nor a price book: only those are converted",
    },
  ]);
}

async function tableOf(path: string, kind: ".csv" | ".xlsx"): Promise<Cells> {
  if (kind === ".csv") return inFile(path, csvRows(fileText(path)));
  try {
    const text = await sheetText(new Uint8Array(fileBytes(path)));
    return text.split("\n").map((row) => row.split("\t"));
  } catch (error) {
    if (error instanceof SheetProblem) throw new BadInput([{ where: path, what: error.message }]);
    throw error;
  }
}

/** A table as a file of ours, by its heading. */
function valueOf(path: string, cells: Cells): unknown {
  const rows = cells.map((r) => r.map(String));
  if (rows.some(isListHeading)) {
    const name = path.replace(/^.*[\\/]/, "").replace(/\.[^.]+$/, "");
    const id = name.toLowerCase().replace(/[^a-z0-9]+/g, "-") || "list";
    return listFile(inFile(path, listFromRows(rows, { id, title: name }, isType, CATALOGUE)), []);
  }
  if (rows[0] && isContentsHeading(rows[0]))
    return { lines: inFile(path, contentsFromRows(rows, isType)) };
  return inFile(path, parsePriceCsv(Papa.unparse(rows), isType));
}
