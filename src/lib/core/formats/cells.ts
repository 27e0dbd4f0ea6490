/** Cells of a spreadsheet or CSV: nothing in them runs, and nothing is lost on the way back. */

const FORMULA = /^'*[=+\-@\t\r]/;

/** A text that a spreadsheet would run as a formula gets a quote before it. */
export const defused = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);

/** Takes that quote off again. */
export const undefused = (cell: string): string =>
  cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell;

/** A number as typed, with a point or a comma; null: not one. */
export function cellNumber(cell: string): number | null {
  const text = cell.trim().replace(/^'/, "").replace(",", ".");
  return /^-?\d+(?:\.\d+)?(?:e-?\d+)?$/i.test(text) ? Number(text) : null;
}
