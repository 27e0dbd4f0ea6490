import { quick } from "./quick.ts";

/** Counted with strokes: "plasters ........ IIII IIII II". */

/** Strokes that stand last, set apart from the name; a slash or dash through four makes five of them. */
const STROKES = quick(
  /^(.*?\p{L}.*?)(?:\s*\.{3,}\s*|\s+|\s*[:=]\s+)((?:[I|]{1,5}[/\\-]?\s+)*[I|]{1,5}[/\\-]?)$/u,
);
/** So many lines with strokes, one of them with three or more, make it the way that a card counts. */
const FEWEST_LINES = 3;

/** Longer lines are no row of such a card. */
const LONGEST = 160;
const strokesOf = (line: string): [name: string, strokes: string] | null => {
  const text = line.trimEnd();
  // Bars round a table are no strokes.
  const m =
    text.length <= LONGEST && !/^\s*\|/.test(text) && /[I|][/\\-]?$/.test(text)
      ? STROKES.exec(text)
      : null;
  return m && [m[1]!, m[2]!];
};
const count = (strokes: string): number => strokes.replace(/\s/g, "").length;
/** "IIII IIII II": fours before the last may be fives whose stroke across was not written; both are said, and the reader asks. */
function counted(strokes: string): string {
  const [last, ...before] = strokes.trim().split(/\s+/).reverse();
  const sum = count(strokes);
  const areFours = last !== undefined && before.length > 0 && before.every((g) => g.length === 4);
  return areFours ? `${sum} pcs (${sum + before.length}?)` : `${sum} pcs`;
}

/** "plasters .... iiii ii", "llll": fours and fives of a small letter are strokes; "ii" and "iii" number things as well. */
const SMALL_STROKES = /(?:^|[\s.])([il]{4,5})(?:\s|$)/;
const STROKES_LAST = /(?<=[\s.:=])(?:[il1]{1,5}\s+)*[il1]{1,5}\s*$/;
/** Such a card with capital strokes. */
const inCapitals = (lines: readonly string[]): readonly string[] =>
  lines.some((line) => SMALL_STROKES.test(line))
    ? lines.map((line) => line.replace(STROKES_LAST, (strokes) => strokes.replace(/[il1]/g, "I")))
    : lines;

/** The card with its strokes as numbers; as many lines as before. */
export function talliesAsCounts(written: readonly string[]): string[] {
  const lines = inCapitals(written);
  const found = lines.map(strokesOf);
  const told = found.filter((f) => f !== null);
  const isTally = told.length >= FEWEST_LINES && told.some(([, s]) => /[I|]{3}/.test(s));
  return isTally
    ? lines.map((l, i) => (found[i] ? `${found[i][0]}, ${counted(found[i][1])}` : l))
    : [...written];
}
