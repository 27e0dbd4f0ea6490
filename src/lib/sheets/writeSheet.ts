import ExcelJS from "exceljs";

/** A table as XLSX, its first row a heading. */
export async function writeSheet(
  title: string,
  rows: readonly (readonly (string | number)[])[],
): Promise<Uint8Array> {
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet(title.slice(0, 31).replace(/[\\/?*[\]:]/g, " ") || "Table");
  for (const row of rows) sheet.addRow([...row]);
  sheet.getRow(1).font = { bold: true };
  return new Uint8Array(await book.xlsx.writeBuffer());
}
