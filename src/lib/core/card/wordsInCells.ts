import { LONGEST_LINE } from "./cardLimits.ts";
import { NUMBER_SAID } from "./numberWords.ts";
import { valueOf } from "./phrase.ts";
import { quick } from "./quick.ts";

/** A cell of a row with nothing in it but a number in words: "Gauze 10 x 10 | six | four". Sought from its letters, as cells may be wide. */
const NUMBER_ALONE = quick(
  new RegExp(
    `(?=[a-z])(?<=[\\t|;]\\s*|\\S\\s{2,}|\\.{3}\\s*)(?:${NUMBER_SAID})(?=\\s*(?:[\\t|;]|$)|\\s{2,})`,
    "giu",
  ),
);
/** One may be a word of its own. */
const FEWEST_ROWS = 2;

/** Rows whose cells count in words, with figures in place of them; as many lines as before. */
export function wordsInCells(lines: readonly string[]): string[] {
  const inFigures = lines.map((line) =>
    line.length > LONGEST_LINE ? line : line.replace(NUMBER_ALONE, (word) => String(valueOf(word))),
  );
  const changed = inFigures.filter((line, i) => line !== lines[i]).length;
  return changed < FEWEST_ROWS ? [...lines] : inFigures;
}
