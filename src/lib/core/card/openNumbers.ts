import { LONGEST_LINE } from "./cardLimits.ts";

/**
 * "neuf" is nine, or new; "sept" is seven, or September: a cell that is only such a word is a number where its column counts.
 * So too the small words that stand in other languages for one.
 */
const OPEN_NUMBERS: Readonly<Record<string, string>> = {
  neuf: "9",
  sept: "7",
  un: "1",
  ein: "1",
  een: "1",
  ett: "1",
  en: "1",
  um: "1",
};
const OPEN_CELL = /(?:^|[\t|;,]|\s{2})\s*(?:neuf|sept|un|ein|een|ett|en|um)\s*(?:[\t|;,]|\s{2}|$)/i;
const CELL_EDGE = /([\t|;]|,(?=\S)|,$|\s{2,}|\s*\.{3,}\s*)/;
const COUNT = /^\d{1,3}(?:\s+\p{L}{1,8}\.?)?$/u;

/** Cells at even places, what parts them at odd ones. */
const partsOf = (line: string): string[] =>
  line.length > LONGEST_LINE ? [line] : line.split(CELL_EDGE);

/** The lines of a card from abroad with such words as figures; as many lines as before. */
export function openNumbers(lines: readonly string[]): string[] {
  if (!lines.some((line) => line.length <= LONGEST_LINE && OPEN_CELL.test(line))) return [...lines];
  const rows = lines.map(partsOf);
  const counting = new Map<number, number>();
  const filled = new Map<number, number>();
  const add = (to: Map<number, number>, at: number) => to.set(at, (to.get(at) ?? 0) + 1);
  for (const parts of rows)
    parts.forEach((part, at) => {
      const cell = part.trim().toLowerCase();
      if (at % 2 === 1 || cell === "") return;
      add(filled, at);
      if (COUNT.test(cell) || cell in OPEN_NUMBERS) add(counting, at);
    });
  // A heading stands above.
  const counts = (at: number) => 2 * (counting.get(at) ?? 0) >= (filled.get(at) ?? 0) - 1;
  return rows.map((parts) =>
    parts
      .map((part, at) => {
        const number = at % 2 === 0 ? OPEN_NUMBERS[part.trim().toLowerCase()] : undefined;
        return number !== undefined && counts(at) ? number.padEnd(part.length) : part;
      })
      .join(""),
  );
}
