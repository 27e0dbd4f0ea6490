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
  return cardText.split(LINE_END).map((text, i) => piecesOfRow(text, byRow.get(i + 1) ?? []));
}

function piecesOfRow(text: string, read: readonly Line[]): CardPiece[] {
  const marks = read
    .flatMap((l) => {
      const from = l.text ? text.indexOf(l.text) : -1;
      return from < 0 ? [] : [{ id: l.id, from, to: from + l.text!.length }];
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
