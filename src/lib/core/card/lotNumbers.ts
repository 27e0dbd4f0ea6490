import { LONGEST_LINE } from "./cardLimits.ts";

/** Lots and batches, which count nothing: "lot 23A117", "B.No. G114", "Chargen-Nr. 4711", "L: GX2461T"; and what parts a date from a count. */

const WORD =
  "(?:lot(?:e|to)?|batch|b\\.?\\s?no|b\\/n[or]?|l\\/n|b[nt](?=[.:])|ch\\.?-b|charge(?:n)?|partij(?:nr)?|n[°º]\\s?(?:de\\s)?lot)";
const NUMBERED = "\\.?[\\s-]*(?:(?:no|nr|number|n[°º])\\b\\.?|#)?\\s*[:#.-]?\\s*";
/** A code has a digit; one of digits alone has three and more, as "lot 5" may be a pack. */
const CODE = "(?=[A-Z-]{0,4}\\d)[A-Z\\d](?:[A-Z\\d/-]*[A-Z\\d])";
/** "L: GX2461T": five letters and digits, of both kinds; "L: 100" is a size and its count. */
const LETTER_CODE =
  "\\(?\\bL\\)?[:.]?\\s+(?=[A-Z\\d]*[A-Z])(?=[A-Z\\d]*\\d)(?:[A-Z][A-Z\\d]{3}|[A-Z\\d]{5,})(?![A-Z\\d])";
/** Nothing that a number counts follows. */
const ENDS =
  "(?=\\s*(?:$|[,;)|\\t]|\\s[-–—/]\\s|\\s{2}|(?:exp|use|best|until|mfg|mhd|scad|cad|verv|tht)\\b))";
const LOT = `\\b${WORD}\\b${NUMBERED}${CODE}`;
const IN_BRACKETS = new RegExp(`\\s*\\(\\s*${LOT}\\s*\\)`, "gi");
const BEFORE = "(?:[,;]\\s*|\\s+[-–—/]\\s+|:\\s+(?=\\S+\\s\\S+\\s*$)| ?)";
const ON_LINE = new RegExp(`${BEFORE}(?<![\\p{L}\\d])${LOT}${ENDS}`, "giu");
const FIRST_IN_BRACKETS = new RegExp(`(?<=\\()\\s*${LOT}\\s*[,;/]\\s*`, "gi");
const BY_LETTER = new RegExp(`${BEFORE}${LETTER_CODE}${ENDS}|\\s*\\(${LETTER_CODE}\\)`, "gu");
const MAY_SAY = /lot|batch|b\.?\s?no|\/n|\bb[nt]\b|ch\.?-b|charge|partij|\bL\b/i;

/** A line without its lot. */
export function withoutLot(line: string): string {
  if (line.length > LONGEST_LINE || !MAY_SAY.test(line)) return line;
  return line
    .replace(IN_BRACKETS, "")
    .replace(FIRST_IN_BRACKETS, "")
    .replace(ON_LINE, "")
    .replace(BY_LETTER, "");
}

const DATE_BEHIND =
  /(?<=[\p{L}\d]\s?[x×]\s?\d{1,3})\s+(?=(?:exp(?:iry|ires)?\b|use\s+by\b|best\s+before\b)[\s:.]*\S*\d)/iu;
/** "10 cm x 22 exp 02/27": the date is no side. */
export const withDateApart = (line: string): string => line.replace(DATE_BEHIND, ", ");
