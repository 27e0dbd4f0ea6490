import { readSheet } from "../../workers/sheetRun.ts";

/** Text of a contents card out of what a user drops: a saved page, a spreadsheet, plain text. */

export class FileProblem extends Error {}

export async function cardTextOf(file: File): Promise<string> {
  const name = file.name.toLowerCase();
  if (name.endsWith(".xlsx")) return sheetTextOf(file);
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

/** A spreadsheet is read in a worker, which is given up when it takes too long. */
async function sheetTextOf(file: File): Promise<string> {
  const read = await readSheet(await file.arrayBuffer());
  if (read.ok) return read.text;
  throw new FileProblem(read.why);
}
