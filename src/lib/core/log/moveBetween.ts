import { defined } from "../base/defined.ts";
import type { Change, KitEvent } from "../model/event.ts";
import type { Line } from "../model/kit.ts";
import { isFailed } from "../events/replay.ts";
import { piecesOf } from "../sieve/measure.ts";

/** What is said of a thing wherever it lies; its place, its card and how fast it is in the hand are the kit's. */
const goesAlong = ({
  id: _,
  text: __,
  cardLine: ___,
  claimed: ____,
  counted: _____,
  location: ______,
  compartment: _______,
  reachS: ________,
  drills: _________,
  findable: __________,
  ...thing
}: Line): Omit<Line, "id"> => thing;

/** The same thing for a bench: kind and printed size; an opened or failed piece lies with nothing else. */
const isSameThing = (a: Line, b: Line): boolean =>
  a.itemType === b.itemType &&
  a.itemType !== null &&
  ![a, b].some((l) => l.opened !== undefined || isFailed(l)) &&
  JSON.stringify([a.sizeMm, a.volumeMl, a.dosesPerPiece, a.strengthMg]) ===
    JSON.stringify([b.sizeMm, b.volumeMl, b.dosesPerPiece, b.strengthMg]);

/** The two halves of a move: what leaves one kit and what the other has more of. */
export interface Move {
  readonly out: Change;
  readonly into: Change;
}

/**
 * Pieces of a line of one kit, moved into another: onto the line there that is the same thing (a lot or a
 * date of its own splits it), else as a line of its own with id `newLine`, that brings along what was found
 * on it. Never more than are there.
 */
export function moveBetween(
  line: Line,
  pieces: number,
  there: readonly Line[],
  newLine: string,
): Move {
  const moved = Math.min(pieces, piecesOf(line));
  const same = there.find((l) => isSameThing(l, line));
  const batch = defined({ expires: line.expires, lot: line.lot });
  return {
    out: { line: line.id, pieces: moved },
    into: same
      ? { line: same.id, pieces: moved, ...batch }
      : {
          line: newLine,
          pieces: moved,
          ...batch,
          ...(line.itemType === null ? {} : { itemType: line.itemType }),
          facts: { ...goesAlong(line), byHand: true },
        },
  };
}

/** Whether these are the two halves of one move, written into two logs; a copy of a kit has the same half. */
export const areHalves = (a: KitEvent, b: KitEvent): boolean =>
  a.id === b.id && (a.kind !== b.kind || a.from !== b.from);
