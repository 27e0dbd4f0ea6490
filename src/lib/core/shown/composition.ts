import type { Audit } from "../audit/audit.ts";
import type { ItemType } from "../model/itemType.ts";
import { piecesOf } from "../sieve/measure.ts";

/** What a kit is made of: pieces of a kind, and how many of them do a job. */
export interface KindPieces {
  /** null: not in the catalogue. */
  readonly type: ItemType | null;
  readonly pieces: number;
  readonly serving: number;
}

/** The kinds with most pieces, at most `most` of them. */
export function composition(a: Audit, most: number): KindPieces[] {
  const byType = new Map<string | null, KindPieces>();
  a.context.lines.forEach(({ line, type, elsewhere }, i) => {
    if (elsewhere) return;
    const was = byType.get(type?.id ?? null) ?? { type, pieces: 0, serving: 0 };
    byType.set(type?.id ?? null, {
      type,
      pieces: was.pieces + piecesOf(line),
      serving: was.serving + a.value.servingByLine[i]!,
    });
  });
  return [...byType.values()].sort((x, y) => y.pieces - x.pieces).slice(0, most);
}
