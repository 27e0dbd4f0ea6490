import { LONGEST_LINE } from "./cardLimits.ts";
import { NUMBER_SAID } from "./numberWords.ts";
import { PACKS } from "./phrase.ts";
import { quick } from "./quick.ts";

/**
 * How many, in brackets behind a sign that sets it apart, or behind a sign that no list is read by: "Cold packs: (12)",
 * "Closure strips ..... (5 packs)", "Foil blankets -> three", "Eye pads____7". The brackets and such signs say nothing.
 */

/** A sign at the end of what stands before the brackets. */
const SET_APART = /(?:[:=;|\t–—→]|->|=>|\s[-/]|\.{3}|_{2}|,"|[^\d\sO](?:,|\s)\s)\s*$/;
/** So long an amount may be. */
const LAST_BRACKETS = /\(([^()]{1,40})\)("?\s*\|?\s*)$/;
const ABOUT =
  "(?:(?:about|approx(?:\\.|imately)?|only|just|still|ca?\\.|circa|qty\\.?:?|total:?|[x×~])\\s?)?";
const PACKS_SAID = "(?:an?\\s+)?(?:pair|box|pack|pkt|packet|bag|tub|tin)\\b(?:\\s+of\\s+\\d{1,4})?";
const AMOUNT = new RegExp(`^${ABOUT}(?:\\d{1,4}|(?:${NUMBER_SAID})\\b|${PACKS_SAID})`, "i");
/** "10 x 10 cm", "500 mg": how large, or how strong. */
const MEASURE = /\d\s?(?:mm|cm|m|in|inch|"|ml|cl|l|mc?g|g|kg|oz|%|yds?|ft)(?![a-z])/i;
/** "3 sizes", "20-pack": said of the thing. */
const OF_THE_THING = /^\d+(?:-|\s*(?:sizes?|types?|kinds?|ply|layers?|way)\b)/i;
const isAmount = (text: string): boolean =>
  AMOUNT.test(text) && !MEASURE.test(text) && !OF_THE_THING.test(text);

/** Nothing but how many. */
const ONLY_AMOUNT = new RegExp(
  `^\\(?${ABOUT}(?:\\d{1,4}|${NUMBER_SAID}|an?)(?:\\s?(?:pcs|pieces|ea|each|off|nos?\\.?|prs?|pairs?|left|total|dozen|${PACKS}))?(?:\\s(?:\\+|plus)\\s\\d{1,3}\\s(?:spares?|extras?))?(?:\\s(?:of\\s)?\\(?\\d{1,4}\\)?)?\\)?$`,
  "i",
);

/** "3 plus 2 spare", "6 + 4". */
const SUM =
  /^(\d{1,3})\s*(?:\+|plus|and)\s*(\d{1,3})((?:\s+(?:spares?|extras?|more|in\s+reserve))?)$/i;
const sumOf = (text: string): string | null => {
  const [, one, other] = SUM.exec(text.trim()) ?? [];
  return one === undefined ? null : String(Number(one) + Number(other));
};

/** "Foil blankets -> three", "Eye pads____7". */
const OTHER_SIGN = quick(/^(.*\p{L}\S*?)\s*(?:->|=>|→|_{2,})\s*([^→_|\t]{1,40})$/u);
/** "| Wipes | 9 + 2 spare |": alone in the last cell. */
const LAST_CELL = /([|\t;]\s*)([^|\t;]{1,40}?)(\s*\|?\s*)$/;

/** "Foil blankets; 1 box (10)", "Cold packs / 2 pkts of 10": nothing else stands there. */
const AMOUNT_ALONE = new RegExp(
  `^([^;/]*[a-z][^;/]*?)\\s*(?:;|\\s/)\\s+(\\d{1,3}\\s(?:${PACKS})(?:\\s(?:of\\s)?\\(?\\d{1,4}\\)?)?)$`,
  "i",
);
/** "only 12": that it is few says nothing of how many. */
const FEW = /^(?:only|just|still)\s+/i;

/** "4 wipes", "Ice packs .... 5 (one split": counted before the sign. */
const COUNTED = /^\W*\d|[\s.]\d+\s*(?:\(|$)/;
/** "Tweezers, splinter probe (1+1)": one of each. */
const SEVERAL = /[,/&+]|\sand\s/i;

const ANY_SIGN = /[()→_+;]|[-=]>|\s\/|\bplus\b/i;
function setApart(written: string): string {
  if (written.length > LONGEST_LINE || !ANY_SIGN.test(written)) return written;
  const line = written
    .replace(AMOUNT_ALONE, "$1, $2")
    .replace(OTHER_SIGN, (all, name: string, amount: string) =>
      ONLY_AMOUNT.test(amount.trim()) && !COUNTED.test(name) ? `${name}: ${amount}` : all,
    );
  const summed = line.replace(LAST_CELL, (all, sign: string, cell: string, end: string) => {
    const sum = sumOf(cell.replace(/^\((.*)\)$/, "$1"));
    return sum === null || !/[a-z]/i.test(cell) ? all : sign + sum + end;
  });
  const [all, amount = "", end = ""] = LAST_BRACKETS.exec(summed) ?? [];
  if (all === undefined || !isAmount(amount)) return summed;
  const before = summed.slice(0, summed.length - all.length);
  const sum = SEVERAL.test(before) ? null : sumOf(amount);
  if (SET_APART.test(before)) return before + (sum ?? amount.replace(FEW, "")) + end;
  return sum === null ? summed : `${before.trimEnd()} x ${sum}${end}`;
}

/** The lines of a card with such amounts plainly behind their names; as many lines as before. */
export const amountsSetApart = (lines: readonly string[]): string[] => lines.map(setApart);
