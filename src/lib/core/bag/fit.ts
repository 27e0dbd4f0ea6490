import type { ItemType } from "../model/itemType.ts";
import type { Line } from "../model/kit.ts";
import { lineLoad } from "./load.ts";
import { piecesOf } from "../sieve/measure.ts";
import type { Compartment } from "../model/container.ts";

/** Will it go back in? Says which thing, where, and why not. */
export type Misfit =
  /** A rigid thing longer than any straight line in the compartment. */
  | {
      readonly code: "too-long";
      readonly line: string;
      readonly lengthMm: number;
      readonly roomMm: number;
    }
  /** It goes in only folded, and folding may spoil it: a crease through gel does not seal. */
  | {
      readonly code: "folded";
      readonly line: string;
      readonly sidesMm: readonly [number, number];
      readonly roomMm: readonly [number, number];
    }
  /** All of it together takes more room than there is. */
  | { readonly code: "too-full"; readonly neededMl: number; readonly roomMl: number };

export interface Fit {
  readonly compartment: string;
  /** Bulk of what lies there over the usable room; null: not measured. */
  readonly fill: number | null;
  readonly misfits: readonly Misfit[];
  /** Lines whose rigid or flat size is not known, so that nothing can be said of them. */
  readonly unknown: readonly string[];
}

/**
 * Soft packs leave gaps: of the inner volume about three quarters can be used before the zip has to
 * be forced. Planning figure of our own, from packing and repacking pouches.
 */
export const PACKING_FACTOR = 0.75;

/** Checks one compartment with all that is to lie in it. */
export function fitInto(
  compartment: Compartment,
  lines: readonly { readonly line: Line; readonly type: ItemType | null }[],
): Fit {
  const inner = compartment.innerMm;
  const misfits: Misfit[] = [];
  const unknown: string[] = [];
  let bulk = 0;
  for (const { line, type } of lines) {
    if (!type || piecesOf(line) <= 0) continue;
    bulk += lineLoad(line, type).volumeMl;
    if (!inner) continue;
    if (type.rigidMm !== undefined) {
      const length = line.sizeMm ? Math.max(...line.sizeMm) : type.rigidMm;
      const room = Math.round(longestStraight(inner));
      if (length > room)
        misfits.push({ code: "too-long", line: line.id, lengthMm: length, roomMm: room });
    } else if (type.unfolded) {
      if (!line.sizeMm || line.sizeMm.length < 2) unknown.push(line.id);
      else {
        const sides = [Math.min(...line.sizeMm), Math.max(...line.sizeMm)] as const;
        const faces = facesOf(inner);
        if (!faces.some(([a, b]) => sides[0] <= a && sides[1] <= b))
          misfits.push({ code: "folded", line: line.id, sidesMm: sides, roomMm: faces[0]! });
      }
    }
  }
  const room = inner ? (inner[0] * inner[1] * inner[2]) / 1000 : null;
  const usable = room === null ? null : room * PACKING_FACTOR;
  if (usable !== null && bulk > usable)
    misfits.push({ code: "too-full", neededMl: Math.round(bulk), roomMl: Math.round(usable) });
  return {
    compartment: compartment.id,
    fill: usable === null ? null : bulk / usable,
    misfits,
    unknown,
  };
}

/** The space diagonal: a thin rigid thing may lie across, in any orientation. */
const longestStraight = ([a, b, c]: readonly [number, number, number]) =>
  Math.sqrt(a * a + b * b + c * c);

/** The three faces, each ascending, the largest first. */
function facesOf(inner: readonly [number, number, number]): [number, number][] {
  const [a, b, c] = [...inner].sort((x, y) => y - x) as [number, number, number];
  return [
    [b, a],
    [c, a],
    [c, b],
  ];
}
