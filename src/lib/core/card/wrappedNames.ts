import type { CardRow } from "./cardRow.ts";
import { quick, THREE_LETTERS } from "./quick.ts";

/**
 * A name too long for its column goes on below: "Individually wrapped triangular" over "bandages, sterile     4", or
 * "Foil blankets, individually   4" over "wrapped", with its count on either line.
 */

/** Fewer rows do not tell how names begin. */
const FEWEST_ROWS = 4;
const CAPITAL_FIRST = quick(/^[^\p{L}]*\p{Lu}/u);
/** A heading in capitals goes on nowhere. */
const SMALL_LETTER = quick(/\p{Ll}/u);
const SMALL_FIRST = quick(/^\p{Ll}{2}/u);
/** Its count set apart at its end. */
const COUNT_APART = /\S(?:\s{2,}|\.{3,}\s*)\d{1,4}(?:\s|$)/;
const ENDS_SOMETHING = /[:.;!?)]\s*$/;
/** Its count set apart before it. */
const COUNT_FIRST = /^\s*\d{1,4}\s{2,}\S/;
/** "(in the": a bracket that is not closed. */
const OPEN_BRACKET = /\([^()]*$/;
/** "6 x" over "75 mm", "7.5 cm" over "x 4 m": a size that goes on. */
const SIZE_OPEN = /\d\s?[x×]\s*$/i;
const SIZE_ON = /^[x×]\s?\d/i;
/** "7.5 cm x 4" over "m, sterile". */
const UNIT_ON = /^(?:mm|cm|m|in|yd)(?![a-z])/i;
/** "5 x 5 cm" alone below its name. */
const SIZE_BELOW =
  /^\d+(?:[.,]\d+)?\s?(?:(?:mm|cm|in)\s?)?[x×]\s?\d+(?:[.,]\d+)?\s?(?:mm|cm|m|in)\b/i;
/** Said of things, and in the name of one of them. */
const PACKED_SO = /\bindividually\b/i;
/** More words are a sentence. */
const MOST_WORDS_BELOW = 5;

const isCounted = (row: CardRow): boolean => row.quantity !== null || COUNT_APART.test(row.text);
const isBegun = (row: CardRow): boolean =>
  row.quantity === null &&
  !/\d/.test(row.text) &&
  CAPITAL_FIRST.test(row.text) &&
  SMALL_LETTER.test(row.text) &&
  THREE_LETTERS.test(row.text) &&
  !ENDS_SOMETHING.test(row.text);

/** A row's words before the count that is set apart at its end, and that count. */
const atItsEnd = ({ text }: CardRow): readonly [string, string] => {
  const at = /(?:\s{2,}|\.{3,}\s*)\d{1,4}(?:\s.*)?$/.exec(text);
  return at && !COUNT_FIRST.test(text) ? [text.slice(0, at.index), at[0]] : [text, ""];
};

/** The words below a counted name that go on with it, put behind it. */
function withWordsBelow(
  rows: readonly CardRow[],
  names: (text: string) => boolean,
): readonly CardRow[] {
  const isRow = (row: CardRow) => isCounted(row) || COUNT_FIRST.test(row.text);
  const goesOn = (row: CardRow, above: CardRow): boolean => {
    if (isRow(row) || row.bullet || ENDS_SOMETHING.test(row.text.replace(/\)\s*$/, "")))
      return false;
    const [words] = atItsEnd(above);
    if (OPEN_BRACKET.test(words)) return row.text.includes(")");
    if (SIZE_OPEN.test(words)) return /^\d/.test(row.text);
    if (SIZE_ON.test(row.text)) return /\d/.test(words);
    if (UNIT_ON.test(row.text)) return /\d$/.test(words.trimEnd());
    if (SIZE_BELOW.test(row.text)) return !/\d/.test(words.replace(COUNT_FIRST, ""));
    const isShort = row.text.split(" ").length <= MOST_WORDS_BELOW;
    return (
      isShort &&
      SMALL_FIRST.test(row.text) &&
      !/\d/.test(row.text) &&
      !names(row.text.replace(PACKED_SO, ""))
    );
  };
  const counted = rows.filter(isRow);
  const areCapital = counted.every((row) => CAPITAL_FIRST.test(row.text));
  if (counted.length < FEWEST_ROWS || !areCapital) return rows;
  const whole: CardRow[] = [];
  let lastLine = 0;
  for (const row of rows) {
    const above = whole.at(-1);
    if (above && row.source - lastLine === 1 && isRow(above) && goesOn(row, above)) {
      const [words, count] = atItsEnd(above);
      whole[whole.length - 1] = { ...above, text: `${words.trimEnd()} ${row.text.trim()}${count}` };
    } else whole.push(row);
    lastLine = row.source;
  }
  return whole;
}

/**
 * The rows with such names whole, on the line where they begin; where the rows of a card begin with small letters nothing is told.
 * @param names whether a text surely names one thing
 */
export function wrappedNames(
  laidOut: readonly CardRow[],
  names: (text: string) => boolean,
): CardRow[] {
  const rows = withWordsBelow(laidOut, names);
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
