import Papa from "papaparse";
import { defused } from "../core/formats/cells.ts";
import { download, fileName } from "./download.ts";

type Cell = string | number | null;
const safe = (cell: Cell): Cell => (typeof cell === "string" ? defused(cell) : cell);

/** Saves a table as CSV (RFC 4180); no cell runs in a spreadsheet. */
export const saveCsv = (title: string, rows: readonly (readonly Cell[])[]): void =>
  download(
    fileName(title, ".csv"),
    Papa.unparse(
      rows.map((r) => r.map(safe)),
      { newline: "\r\n" },
    ) + "\r\n",
    "text/csv",
  );

/** Saves a table as XLSX, numbers as numbers. */
export async function saveXlsx(title: string, rows: readonly (readonly Cell[])[]): Promise<void> {
  const { default: ExcelJS } = await import("exceljs");
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet(title.slice(0, 31).replace(/[\\/?*[\]:]/g, " ") || "Table");
  for (const row of rows) sheet.addRow(row.map(safe));
  sheet.getRow(1).font = { bold: true };
  sheet.columns.forEach((c, i) => (c.width = i === 0 ? 36 : 14));
  download(
    fileName(title, ".xlsx"),
    (await book.xlsx.writeBuffer()) as ArrayBuffer,
    "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
  );
}
