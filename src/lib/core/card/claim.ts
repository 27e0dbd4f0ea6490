import { isSure, type Draft } from "./draft.ts";
import { NO_TYPE } from "./vocabulary.ts";

const CLAIM =
  /\b(\d{1,3}(?:,\d{3})+|\d{1,5})\s*[-–]?\s*(?:pieces?|peices?|peaces|pcs?|pces?|items?|parts?|articles|components)(?![a-z])|\b(?:pieces|items|pcs|contents|total(?:\s+(?:pieces|items|contents|count|pcs|number\s+of\s+(?:pieces|items)))?)\s*[:=]\s*(\d{1,5})\b(?!\s*(?:\.|,)\d)/i;

/** A piece total that a title or total line states. */
export function claimOf({ row, segments }: Draft, isTitle: boolean): number | null {
  if (row.quantity !== null && !/total/i.test(row.text)) return null;
  if (
    /^\W*(?:sub-?\s?)?total\b/i.test(row.text) &&
    row.quantity !== null &&
    /^\W*\d+\W*$/.test(row.quantity) &&
    !/value|price|cost|amount|weight/i.test(row.text)
  )
    return Number(row.quantity.replace(/\D/g, ""));
  const m = CLAIM.exec(row.text.replace(/(\d),(\d{3})\b/g, "$1$2"));
  if (!m) return null;
  const value = Number((m[1] ?? m[2])!.replaceAll(",", ""));
  const isTotal =
    /\btotal\b|\bin all\b|\baltogether\b|^\s*contents\b|\bcontains\b|\bincludes\b|\bcomprising\b|\bcomplete with\b/i.test(
      row.text,
    );
  const namesKit =
    /\b(?:kit|set|first[\s-]?aid|bag|box|pouch|pack|case|collection|refill|survival|medical|emergency|trail|pocket|trauma|grab)\b/i.test(
      row.text,
    );
  if (/\b(?:value|price|cost|weight)\b/i.test(row.text) && !namesKit) return null;
  // "1 set of plasters (14 pcs)": the pieces of one item.
  if (/^\W*\d+\s+\p{L}/u.test(row.text) && m.index > 3 && !isTotal) return null;
  const rest = row.text.replace(m[0], " ");
  const items = segments.filter(
    (s) =>
      isSure(s.match) &&
      s.match.type !== "container" &&
      s.match.type !== "contents-card" &&
      s.match.type !== "fishing-kit" &&
      s.match.type !== NO_TYPE,
  );
  if ((isTotal || (isTitle && !row.bullet && value >= 10)) && items.length === 0) return value;
  // A title: no item is named but the kit itself, or it does not lead with the count.
  if (
    !row.bullet &&
    (items.length === 0 ||
      (namesKit &&
        /\bkit\b/i.test(rest) &&
        value >= 10 &&
        items.length <= 1 &&
        !/^\s*\d/.test(row.text)))
  ) {
    if (namesKit || value >= 10 || items.length === 0)
      return namesKit ||
        isTotal ||
        /^\W*\d+\s*[-–]?\s*(?:piece|pcs|pieces|peices|items?|parts|articles)\b\W*$/i.test(row.text)
        ? value
        : null;
  }
  return namesKit && items.length === 0 && value >= 10 ? value : null;
}
