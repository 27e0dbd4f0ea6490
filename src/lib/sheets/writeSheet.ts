import ExcelJS from "exceljs";

/** Character widths: the first column says what a row is of. */
const FIRST_WIDTH = 36;
const WIDTH = 14;

/** A table as XLSX, its first row a heading; numbers as numbers. */
export async function writeSheet(
  title: string,
  rows: readonly (readonly (string | number | null)[])[],
): Promise<Uint8Array<ArrayBuffer>> {
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet(title.slice(0, 31).replace(/[\\/?*[\]:]/g, " ") || "Table");
  for (const row of rows) sheet.addRow([...row]);
  sheet.getRow(1).font = { bold: true };
  sheet.columns.forEach((c, i) => (c.width = i === 0 ? FIRST_WIDTH : WIDTH));
  return new Uint8Array((await book.xlsx.writeBuffer()) as ArrayBuffer);
}
