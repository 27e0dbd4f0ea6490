import { kitPath, listPath } from "../paths.ts";
import { problemText } from "../../words/problems.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { parsePriceBook, parsePriceCsv } from "../../core/formats/priceCsv.ts";
import { csvRows, isListHeading, listFromRows } from "../../core/formats/listTable.ts";
import { PRICE_COLUMNS } from "../../core/formats/priceCsv.ts";
import { cardTextProblem } from "../../core/card/cardText.ts";
import { LARGEST_FILE_MB, MB } from "../../core/formats/importFile.ts";
import { cardTextOf, FileProblem } from "./readFile.ts";
import { guessColumns } from "../../core/card/columns.ts";
import { isCardPicture, whyNotOpened } from "../../devices/pictureReader.ts";
import { reading } from "../reading.svelte.ts";
import { workspace } from "../workspace.svelte.ts";

/**
 * A file dropped or picked: audit, workspace, price list, reference list or contents card, told by what
 * is in it.
 * @param openKit id of the kit that is open: the picture of a card is of it
 * @returns the address of what came in; null: nothing to go to (a message says what happened)
 */
export async function takeFile(file: File, openKit?: string): Promise<string | null> {
  if (file.size > LARGEST_FILE_MB * MB) {
    workspace.say(
      `${file.name} has ${Math.round(file.size / MB)} MB; files up to ${LARGEST_FILE_MB} MB are read. Nothing was imported.`,
      true,
    );
    return null;
  }
  if (await isCardPicture(file)) {
    const why = await whyNotOpened(file);
    if (why !== null) {
      workspace.say(`${file.name} ${why}. Nothing was imported.`, true);
      return null;
    }
    workspace.waitingPictures = [...workspace.waitingPictures, file];
    const kit = openKit ?? workspace.addKit(file.name.replace(/\.[^.]+$/, "") || "New kit");
    return `${kitPath(kit)}/unpack`;
  }
  let text: string;
  try {
    text = await cardTextOf(file);
  } catch (error) {
    if (!(error instanceof FileProblem)) throw error;
    workspace.say(`${file.name} ${error.message}. Nothing was imported.`, true);
    return null;
  }
  if (/^\uFEFF?\s*[{[]/.test(text) || file.name.toLowerCase().endsWith(".json")) {
    if (text.includes('"products"') && !text.includes('"wide-sieve.'))
      return takePrices(text, file.name, "json");
    return workspace.import(text, file.name) ? "/" : null;
  }
  const firstLine = text.slice(0, 2000).split(/\r?\n/, 1)[0] ?? "";
  if (PRICE_COLUMNS.filter((c) => firstLine.split(",").includes(c)).length >= 3) {
    return takePrices(text, file.name, "csv");
  }
  if (headsList(text)) {
    return takeList(text, file.name);
  }
  const wrong = cardTextProblem(text);
  if (wrong) {
    workspace.say(`${file.name} ${problemText(wrong)}. Nothing was imported.`, true);
    return null;
  }
  const delimited = /\.(?:csv|tsv|xlsx)$/i.test(file.name) ? guessColumns(text) : null;
  if (delimited && !delimited.clear) {
    workspace.columns = { name: file.name, guess: delimited };
    return null;
  }
  return `${kitPath(addCard(file.name, text))}/unpack`;
}

/** A new kit with a card, which is being read. Gives its id. */
export function addCard(name: string, text: string): string {
  const id = workspace.addKit(name.replace(/\.[^.]+$/, "") || "New kit");
  void reading.take(id, text, `read ${name}`);
  return id;
}

/** A kit's card, written anew. */
export function readAnew(kitId: string, text: string): void {
  void reading.take(kitId, text, "say what the columns are", true);
}

/** The heading of a list's table stands within the first rows. */
const ROWS_LOOKED_AT = 12;
function headsList(text: string): boolean {
  const rows = csvRows(text.split(/\r?\n/, ROWS_LOOKED_AT).join("\n"));
  return rows.ok && rows.value.some(isListHeading);
}

/** A reference list typed in a spreadsheet. All of it, or what is wrong by row and column. */
function takeList(text: string, name: string): string | null {
  const rows = csvRows(text);
  const title = name.replace(/\.[^.]+$/, "");
  const isType = (id: string) => workspace.typeOf(id) !== undefined;
  const read = rows.ok
    ? listFromRows(rows.value, { id: "imported", title }, isType, CATALOGUE)
    : rows;
  if (!read.ok) {
    workspace.say(`${name} was not imported; nothing here has changed.`, true, read.problems);
    return null;
  }
  const id = workspace.addList(read.value, `import ${name}`);
  workspace.say(`${read.value.needs.length} needs from ${name} are a list of yours now.`);
  return listPath(id);
}

/** A price book is offered on the shelf, never put in use unasked. */
function takePrices(text: string, name: string, kind: "json" | "csv"): string | null {
  let read;
  try {
    read =
      kind === "csv"
        ? parsePriceCsv(text, (id) => workspace.typeOf(id) !== undefined)
        : parsePriceBook(JSON.parse(text));
  } catch (error) {
    workspace.say(`${name} is not whole JSON. Nothing was imported.`, true, [
      { where: name, what: (error as Error).message },
    ]);
    return null;
  }
  if (!read.ok) {
    workspace.say(`${name} was not imported; the price book is as it was.`, true, read.problems);
    return null;
  }
  workspace.offerPriceBook({ ...read.value, title: name });
  workspace.say(
    `${read.value.products.length} products from ${name} lie on the shelf, beside the price book in use: take them or throw them away there.`,
  );
  return "/";
}
