import type { CardRow } from "./cardRow.ts";
import { quick } from "./quick.ts";

/** Ways of counting that stand on a card only beside a thing, whatever its name. */

/** "2 x …", "… x2", "… 2 pcs", "2 off …". */
const TIMES =
  /^\W*\d{1,3}\s?(?:[x×]|off|pcs|pieces)\s|\s[x×]\s?\d{1,3}\s*$|\b\d{1,3}\s?(?:pcs|pieces|off|tubes?|rolls?|bottles?|packs?|packets?|boxes|sachets?|pairs?)\s*$/i;
/** "… (2)". */
const IN_BRACKETS = /\(\s*[x×]?\s?\d{1,3}\s*\)\s*$/i;

export const saysTimes = (text: string): boolean => TIMES.test(text);
export const isCountedPlainly = (text: string): boolean =>
  TIMES.test(text) || IN_BRACKETS.test(text);

/** Where a count stands, and what parts it from the name: "4 …", "…: 4", "… - 4", "…, 4", "… = 4", "…  4". */
const WAYS: readonly RegExp[] = [
  quick(/^\W*\d{1,3}\s+(?![x×]\s?\d)(?=\p{L}{2})/u),
  /[^\s\d]\s*:\s*\d{1,3}\s*$/,
  /\S\s[-–—]\s\d{1,3}\s*$/,
  /[^\s\d],\s*\d{1,3}\s*$/,
  /\S\s*=\s*\d{1,3}\s*$/,
  /[^\s\d](?:\t|\s{2,}|\s?\.{3,}\s?)\d{1,3}\s*$/,
  /\bqty\.?:?\s*\d{1,3}\s*$/i,
  // "Bus 4" may be a title.
  quick(/\p{L}{2}\S*\s\p{L}{3}\S*\s\d{1,3}\s*$/u),
];
/** Numbers of these words are names, and count nothing. */
const NUMBERED =
  /\b(?:no|nos|nr|number|id|code|ref|room|floor|unit|vehicle|van|bus|boat|team|group|class|week|day|month|year|page|sheet|site|post|station|bay|locker|zone|route|line|level|km|rev|version|issue|batch|lot|seal|reg|date|checked|packed|kit|box|bag|case|pouch|list|total)\b/i;

/** "Instant adhesive: 4" over "Whistles: 2": an unknown thing counted as the one below it is. */
export const isCountedAs = (row: CardRow, below: CardRow): boolean =>
  !NUMBERED.test(row.text) &&
  (row.quantity === null
    ? WAYS.some((way) => way.test(row.text) && way.test(below.text))
    : below.quantity !== null);
