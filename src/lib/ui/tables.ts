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
  const { writeSheet } = await import("../sheets/writeSheet.ts");
  download(
    fileName(title, ".xlsx"),
    await writeSheet(
      title,
      rows.map((row) => row.map(safe)),
    ),
    "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
  );
}
