import { FUNCTIONS } from "../data/functions.ts";
import { ITEM_TYPES } from "../data/itemTypes.ts";
import type { ReferenceList } from "../core/model/list.ts";
import { cellNumber, defused } from "../core/formats/cells.ts";
import { COLUMN_HELP, LIST_COLUMNS, listRows } from "../core/formats/listTable.ts";

/** Character widths that show most cells whole. */
const NARROW = 12;
const WIDE = 60;

/**
 * A list as XLSX: the needs as in the CSV, and sheets that say what the columns hold and which
 * functions and item types there are.
 */
export async function listXlsx(list: ReferenceList): Promise<ArrayBuffer> {
  const { default: ExcelJS } = await import("exceljs");
  const book = new ExcelJS.Workbook();
  const needs = book.addWorksheet("Needs");
  for (const row of listRows(list))
    needs.addRow(
      row.map((cell) => {
        const n = cell === "" ? null : cellNumber(cell);
        return n ?? defused(cell);
      }),
    );
  needs.columns.forEach((c, i) => (c.width = i === LIST_COLUMNS.length - 1 ? WIDE : NARROW));
  const columns = book.addWorksheet("Columns");
  columns.addRow(["column", "what it holds"]);
  for (const c of LIST_COLUMNS) columns.addRow([c, COLUMN_HELP[c]]);
  const functions = book.addWorksheet("Functions");
  functions.addRow(["function", "name", "category", "unit", "meaning"]);
  for (const f of FUNCTIONS) functions.addRow([f.id, f.label, f.category, f.unit, f.meaning]);
  const types = book.addWorksheet("Item types");
  types.addRow(["item type", "name"]);
  for (const t of ITEM_TYPES) types.addRow([t.id, t.label]);
  for (const sheet of [columns, functions, types])
    sheet.columns.forEach((c, i) => (c.width = i === sheet.columns.length - 1 ? WIDE : NARROW * 2));
  return (await book.xlsx.writeBuffer()) as ArrayBuffer;
}
