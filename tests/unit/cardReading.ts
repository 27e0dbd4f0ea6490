import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";

const vocabulary = vocabularyOf(NAMED_CATALOGUE);

/** Each entry read as its line, type, pieces and size: "2 eye-pad 4 null". */
export const entriesOf = (card: string): string[] =>
  readCard(card, vocabulary).entries.map(
    (e) => `${e.source} ${e.itemType} ${e.pieces} ${JSON.stringify(e.sizeMm)}`,
  );

/** Cells as a table, its columns set apart by blanks. */
export function besideTable(rows: readonly (readonly string[])[]): string {
  const width = (i: number) => Math.max(...rows.map((r) => r[i]!.length)) + 3;
  return rows
    .map((r) =>
      r
        .map((cell, i) => cell.padEnd(width(i)))
        .join("")
        .trimEnd(),
    )
    .join("\n");
}

/** The same with one blank where there were many. */
export const closed = (card: string): string => card.replace(/ {2,}/g, " ");

/** How sure each entry is, 0–1. */
export const confidenceOf = (card: string): number[] =>
  readCard(card, vocabulary).entries.map((e) => e.confidence);
