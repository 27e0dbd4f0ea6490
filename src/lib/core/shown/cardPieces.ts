import { LINE_END } from "../card/plainSigns.ts";
import type { Line } from "../model/kit.ts";

/** A stretch of a card's line: the words that a line of the kit was read from, or the rest. */
export interface CardPiece {
  readonly text: string;
  /** Line of the kit; null: none was read from it. */
  readonly id: string | null;
}

/** Each line of a card cut into the words that made a line of the kit and the rest. */
export function cardPieces(cardText: string, lines: readonly Line[]): CardPiece[][] {
  const byRow = new Map<number, Line[]>();
  for (const l of lines) {
    if (l.cardLine === undefined) continue;
    const row = byRow.get(l.cardLine);
    if (row) row.push(l);
    else byRow.set(l.cardLine, [l]);
  }
  const rows = cardText.split(LINE_END);
  return rows.map((text, i) => {
    const read = byRow.get(i + 1);
    if (read) return piecesOfRow(text, read);
    const above = goesOnWith(rows, i, byRow);
    return above === null ? piecesOfRow(text, []) : [{ text, id: above.id }];
  });
}

/** No item takes more rows. */
const MOST_ROWS = 4;
const wordsOf = (text: string): readonly string[] => text.toLowerCase().match(/[\p{L}\d]+/gu) ?? [];
/** "1. Plasters, 20 fabric and 20" over "   waterproof": the line of the kit that was read from words of both rows; null: none. */
function goesOnWith(
  rows: readonly string[],
  at: number,
  byRow: ReadonlyMap<number, readonly Line[]>,
): Line | null {
  const words = wordsOf(rows[at]!);
  if (words.length === 0 || !/^\s/.test(rows[at]!)) return null;
  for (let head = at - 1; head >= Math.max(0, at - MOST_ROWS); head--) {
    const read = byRow.get(head + 1);
    if (!read) continue;
    const ofHead = new Set(wordsOf(rows[head]!));
    // A heading that says a word of the row above again goes on with nothing.
    const added = words.filter((word) => !ofHead.has(word));
    const saysThem = ({ text = "" }: Line) => {
      const said = new Set(wordsOf(text));
      return added.every((word) => said.has(word));
    };
    return added.length > 0 ? (read.find(saysThem) ?? null) : null;
  }
  return null;
}

function piecesOfRow(text: string, read: readonly Line[]): CardPiece[] {
  // "scissors     scissors, tweezers": the same words again are those of the next line.
  const ends = new Map<string, number>();
  const marks = read
    .flatMap(({ id, text: said = "" }) => {
      const from = said === "" ? -1 : text.indexOf(said, ends.get(said) ?? 0);
      if (from < 0) return [];
      ends.set(said, from + said.length);
      return [{ id, from, to: from + said.length }];
    })
    .sort((a, b) => a.from - b.from);
  // A table row is put together from its columns: the whole row is the line's.
  if (marks.length === 0 && read[0]) return [{ text, id: read[0].id }];
  const pieces: CardPiece[] = [];
  let at = 0;
  for (const m of marks) {
    if (m.from < at) continue;
    if (m.from > at) pieces.push({ text: text.slice(at, m.from), id: null });
    pieces.push({ text: text.slice(m.from, m.to), id: m.id });
    at = m.to;
  }
  if (at < text.length || pieces.length === 0) pieces.push({ text: text.slice(at), id: null });
  return pieces;
}

/** Whether a row has words and none of them was read as an item. */
export const isUnread = (row: readonly CardPiece[]): boolean =>
  row.every((p) => p.id === null) && row.some((p) => /\p{L}/u.test(p.text));
