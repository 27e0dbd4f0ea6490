import { many } from "./display.ts";
import type { Notice } from "../core/records/notice.ts";
import type { RecordKind, WorkspaceRecord } from "../core/records/records.ts";
import { habitText } from "./habitTexts.ts";
import { isOffer } from "../core/records/keptCopy.ts";

const KIND_LABEL: Record<RecordKind, string> = {
  kit: "the kit",
  brief: "the brief",
  photo: "a photo",
  priceBook: "the price book",
  itemType: "the item type",
  alias: "the remembered name",
  barcode: "the barcode",
  habit: "what was learned of your cards",
  list: "the list",
  settings: "the settings",
  set: "the set",
  drill: "what was practised",
};

/** Of a part of the program that comes when it is first used. */
export const NOT_FETCHED =
  "This part of the program could not be fetched: is there a network? Nothing is lost; try it again.";

/** A record as one speaks of it: "the kit Crew Box", "the settings". */
export function recordName(r: WorkspaceRecord | undefined): string {
  if (!r) return "something";
  const name = nameOf(r);
  return name ? `${KIND_LABEL[r.kind]} ${name}` : KIND_LABEL[r.kind];
}

function nameOf(r: WorkspaceRecord): string {
  switch (r.kind) {
    case "kit":
      return r.kit.name;
    case "brief":
      return r.brief.title;
    case "list":
      return r.list.title;
    case "set":
      return r.title;
    case "itemType":
      return r.itemType.label;
    case "priceBook":
      return r.book.title;
    case "alias":
      return `“${r.text}”`;
    case "barcode":
      return r.gtin;
    case "habit":
      return `“${habitText(r.habit)}”`;
    case "photo":
    case "settings":
    case "drill":
      return "";
  }
}

/** What tells an offer from what is in use, in a few words. */
export function offerDetail(r: WorkspaceRecord): string {
  switch (r.kind) {
    case "settings":
      return `${r.units === "us" ? "US units" : "metric units"}, ${r.currency}`;
    case "priceBook":
      return `${many(r.book.products.length, "product")} in ${r.book.currency}`;
    case "alias":
    case "barcode":
      return `means ${r.itemType}`;
    default:
      return "";
  }
}

/** What the user is told when windows meet, undo is blocked or the storage was emptied. */
export function noticeText(n: Notice, about: WorkspaceRecord | undefined): string {
  const name = recordName(about);
  switch (n.code) {
    case "kept-copy":
      return n.copy && isOffer(n.copy)
        ? `Another window changed the same thing in ${name}. Theirs is in use; yours is kept: choose on the shelf.`
        : `Another window changed the same thing in ${name}. Theirs stays in place; yours is kept as a copy on the shelf.`;
    case "came-back":
      return `Another window removed ${name} while you changed it here. It is back, with your changes.`;
    case "stays":
      return `Another window changed ${name} after you removed it here. It stays on the shelf.`;
    case "undo-blocked":
      return `This step is not undone: another window has changed the same thing in ${name} since.`;
    case "storage-emptied":
      return "The browser's storage was emptied while the program was open. All that is on screen is being stored again; export a copy to be sure.";
    case "brief-missing":
      return `The brief of ${name} was lost. It has an empty one now: look at its people, days and way to care.`;
  }
}

/** What came in with a file. */
export function importedText(name: string, records: readonly WorkspaceRecord[]): string {
  if (records.length === 0) return `Everything in ${name} is here already.`;
  const offered = records.filter((r) => isOffer(r.id));
  const count = (kind: RecordKind) =>
    records.filter((r) => r.kind === kind && !isOffer(r.id)).length;
  const [kits, lists] = [count("kit"), count("list")];
  const what =
    kits === 0 && lists > 0
      ? lists === 1
        ? "a reference list"
        : `${lists} reference lists`
      : `${many(kits, "kit")}, ${many(records.length - offered.length, "record")}`;
  const kinds = [...new Set(offered.map((r) => KIND_LABEL[r.kind]))].join(", ");
  if (offered.length === records.length)
    return `From ${name}, not in use yet: ${kinds}. Choose on the shelf.`;
  return offered.length === 0
    ? `Imported from ${name}: ${what}.`
    : `Imported from ${name}: ${what}. Not in use yet, choose on the shelf: ${kinds}.`;
}

export const noStorageText = (why: string): string =>
  `The browser does not let this page keep data (${why || "no storage"}). You can work, but export before you close.`;

export const setAsideText = (n: number): string =>
  n === 1
    ? "1 stored record could not be read. It is set aside untouched; export it from the shelf."
    : `${n} stored records could not be read. They are set aside untouched; export them from the shelf.`;
