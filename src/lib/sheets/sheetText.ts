import ExcelJS from "exceljs";
import JSZip from "jszip";

/** Text of a spreadsheet: what is in its cells, nothing of what it does. */

/** A spreadsheet that unpacks to more than this is a bomb, not a contents card. */
const MOST_UNPACKED = 60 * 1024 * 1024;
const MOST_ROWS = 10_000;
/** What stands further right is no table that anybody wrote for a card or a price list. */
const MOST_COLUMNS = 200;
/** Parts of an XLSX file; a real one has a few dozen. */
const MOST_PARTS = 2000;

export class SheetProblem extends Error {}

/** The first sheet with anything on it, cells by tabs; formulas by their result, merged cells once. */
export async function sheetText(bytes: Uint8Array<ArrayBuffer>): Promise<string> {
  const book = new ExcelJS.Workbook();
  try {
    await book.xlsx.load(await withoutSpans(bytes));
  } catch (error) {
    if (error instanceof SheetProblem) throw error;
    throw new SheetProblem(`cannot be read as XLSX: ${(error as Error).message.split("\n")[0]}`);
  }
  const sheet = book.worksheets.find((s) => s.actualRowCount > 0);
  if (!sheet) throw new SheetProblem("has no sheet with anything on it");
  if (sheet.actualRowCount > MOST_ROWS)
    throw new SheetProblem(`has ${sheet.actualRowCount} rows; at most ${MOST_ROWS} are read`);
  const lines: string[] = [];
  sheet.eachRow((row) => {
    const cells: string[] = [];
    const last = Math.min(row.cellCount, MOST_COLUMNS);
    for (let c = 1; c <= last; c++)
      cells.push(
        row
          .getCell(c)
          .text.replace(/[\t\r\n]+/g, " ")
          .trim(),
      );
    lines.push(cells.join("\t").trimEnd());
  });
  return lines.join("\n");
}

/** Spans over cells, and rules of what may be typed: over a million cells they would take for ever. */
const SPANS = /<(mergeCells|dataValidations|conditionalFormatting)\b[\s\S]*?<\/\1>/g;

async function withoutSpans(bytes: Uint8Array<ArrayBuffer>): Promise<ArrayBuffer> {
  const unpacked = unpackedSize(bytes);
  if (unpacked === null) throw new SheetProblem("is not a whole XLSX file: it may be cut short");
  if (unpacked > MOST_UNPACKED)
    throw new SheetProblem(
      `unpacks to ${Math.round(unpacked / 1048576)} MB; a card or price list is never so large`,
    );
  const zip = await JSZip.loadAsync(bytes);
  const parts = Object.keys(zip.files);
  if (parts.length > MOST_PARTS)
    throw new SheetProblem(`has ${parts.length} parts inside; a spreadsheet has a few dozen`);
  let whole = 0;
  for (const name of parts.filter((n) => /^xl\/worksheets\/[^/]+\.xml$/.test(n))) {
    const text = await zip.file(name)!.async("string");
    // The directory may have lied about what is inside.
    whole += text.length;
    if (whole > MOST_UNPACKED)
      throw new SheetProblem("unpacks to more than it says; it is no spreadsheet");
    zip.file(name, text.replace(SPANS, ""));
  }
  return zip.generateAsync({ type: "arraybuffer", compression: "STORE" });
}

/** Sum of the unpacked sizes that a zip's directory states; null when it is no whole zip. */
function unpackedSize(zip: Uint8Array): number | null {
  const view = new DataView(zip.buffer, zip.byteOffset, zip.byteLength);
  let end = -1;
  for (let i = zip.length - 22; i >= Math.max(0, zip.length - 66_000); i--)
    if (view.getUint32(i, true) === 0x06054b50) {
      end = i;
      break;
    }
  if (end < 0) return null;
  const entries = view.getUint16(end + 10, true);
  let at = view.getUint32(end + 16, true);
  let sum = 0;
  for (let i = 0; i < entries; i++) {
    if (at + 46 > zip.length || view.getUint32(at, true) !== 0x02014b50) return null;
    sum += view.getUint32(at + 24, true);
    at +=
      46 +
      view.getUint16(at + 28, true) +
      view.getUint16(at + 30, true) +
      view.getUint16(at + 32, true);
  }
  return sum;
}
