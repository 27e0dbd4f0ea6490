import type { CardRow } from "./cardRow.ts";
import { quick, THREE_LETTERS } from "./quick.ts";

/** "Individually wrapped triangular" over "bandages, sterile     4": a name too long for its column goes on below, with its count. */

/** Fewer rows do not tell how names begin. */
const FEWEST_ROWS = 4;
const CAPITAL_FIRST = quick(/^[^\p{L}]*\p{Lu}/u);
/** A heading in capitals goes on nowhere. */
const SMALL_LETTER = quick(/\p{Ll}/u);
const SMALL_FIRST = quick(/^\p{Ll}{2}/u);
/** Its count set apart at its end. */
const COUNT_APART = /\S(?:\s{2,}|\.{3,}\s*)\d{1,4}(?:\s|$)/;
const ENDS_SOMETHING = /[:.;!?)]\s*$/;

const isCounted = (row: CardRow): boolean => row.quantity !== null || COUNT_APART.test(row.text);
const isBegun = (row: CardRow): boolean =>
  row.quantity === null &&
  !/\d/.test(row.text) &&
  CAPITAL_FIRST.test(row.text) &&
  SMALL_LETTER.test(row.text) &&
  THREE_LETTERS.test(row.text) &&
  !ENDS_SOMETHING.test(row.text);

/**
 * The rows with such names whole, on the line where they begin; where the rows of a card begin with small letters nothing is told.
 * @param names whether a text surely names one thing
 */
export function wrappedNames(
  rows: readonly CardRow[],
  names: (text: string) => boolean,
): CardRow[] {
  const goesOn = (at: number) =>
    at > 0 &&
    SMALL_FIRST.test(rows[at]!.text) &&
    isCounted(rows[at]!) &&
    isBegun(rows[at - 1]!) &&
    rows[at]!.source - rows[at - 1]!.source === 1;
  if (!rows.some((_, at) => goesOn(at))) return [...rows];
  const counted = rows.filter((row, at) => isCounted(row) && !goesOn(at));
  const areCapital = counted.filter((row) => CAPITAL_FIRST.test(row.text)).length;
  if (counted.length < FEWEST_ROWS || areCapital < counted.length) return [...rows];
  return rows.flatMap((row, at) => {
    const whole = (k: number) => `${rows[k - 1]!.text.trimEnd()} ${rows[k]!.text.trimStart()}`;
    if (goesOn(at) && names(whole(at)))
      return [{ ...row, text: whole(at), source: rows[at - 1]!.source }];
    return at + 1 < rows.length && goesOn(at + 1) && names(whole(at + 1)) ? [] : [row];
  });
}
