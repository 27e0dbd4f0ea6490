/** Text of a contents card out of what a user drops: a saved page, a spreadsheet, plain text. */

/** A spreadsheet that unpacks to more than this is a bomb, not a contents card. */
const MOST_UNPACKED = 60 * 1024 * 1024;
const MOST_ROWS = 10_000;

export class FileProblem extends Error {}

export async function cardTextOf(file: File): Promise<string> {
  const name = file.name.toLowerCase();
  if (name.endsWith(".xlsx")) return sheetText(await file.arrayBuffer());
  const text = await file.text();
  if (/\.html?$/.test(name) || /^\s*<(?:!doctype html|html)/i.test(text)) return pageText(text);
  return text;
}

/** A saved page as lines: blocks and list items apart, table cells by tabs, nothing run. */
function pageText(html: string): string {
  const page = new DOMParser().parseFromString(html, "text/html");
  page
    .querySelectorAll("script, style, nav, footer, noscript, template, svg")
    .forEach((e) => e.remove());
  const lines: string[] = [];
  let line = "";
  const end = () => {
    if (line.trim() !== "") lines.push(line.replace(/[ \u00a0]+/g, " ").trim());
    line = "";
  };
  const BLOCK =
    /^(?:P|DIV|LI|UL|OL|TR|TABLE|H[1-6]|SECTION|ARTICLE|MAIN|HEADER|BR|DT|DD|TBODY|THEAD)$/;
  const walk = (node: Node): void => {
    if (node.nodeType === Node.TEXT_NODE) {
      line += (node.textContent ?? "").replace(/\s+/g, " ");
      return;
    }
    if (!(node instanceof Element)) return;
    const block = BLOCK.test(node.tagName);
    if (block) end();
    if (node.tagName === "LI") line = "- ";
    node.childNodes.forEach(walk);
    if (node.tagName === "TD" || node.tagName === "TH") line += "\t";
    if (block) end();
  };
  walk(page.body);
  return lines.join("\n");
}

/** The first sheet with anything on it, cells by tabs; formulas by their result, merged cells once. */
async function sheetText(bytes: ArrayBuffer): Promise<string> {
  const unpacked = unpackedSize(new Uint8Array(bytes));
  if (unpacked === null) throw new FileProblem("is not a whole XLSX file: it may be cut short");
  if (unpacked > MOST_UNPACKED)
    throw new FileProblem(
      `unpacks to ${Math.round(unpacked / 1048576)} MB; a contents card is never so large`,
    );
  const { default: ExcelJS } = await import("exceljs");
  const book = new ExcelJS.Workbook();
  try {
    await book.xlsx.load(bytes);
  } catch (error) {
    throw new FileProblem(`cannot be read as XLSX: ${(error as Error).message}`);
  }
  const sheet = book.worksheets.find((s) => s.actualRowCount > 0);
  if (!sheet) throw new FileProblem("has no sheet with anything on it");
  if (sheet.actualRowCount > MOST_ROWS)
    throw new FileProblem(`has ${sheet.actualRowCount} rows; a card has at most ${MOST_ROWS}`);
  const lines: string[] = [];
  sheet.eachRow((row) => {
    const cells: string[] = [];
    row.eachCell({ includeEmpty: true }, (cell) => {
      const covered = cell.isMerged && cell.master.address !== cell.address;
      cells.push(covered ? "" : cell.text.replace(/[\t\r\n]+/g, " ").trim());
    });
    lines.push(cells.join("\t"));
  });
  return lines.join("\n");
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
