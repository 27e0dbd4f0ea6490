import type { Gs1 } from "./gs1.ts";
import type { Line } from "../model/kit.ts";

/** What a known barcode stands for. */
export interface KnownCode {
  readonly gtin: string;
  readonly itemType: string;
  readonly text?: string | undefined;
  readonly sizeMm?: readonly number[] | undefined;
}

/** What a scan does to the lines: counts one up, or adds one. `line` is the id it touched. */
export interface Scanned {
  readonly lines: Line[];
  readonly line: string;
  readonly added: boolean;
}

/**
 * A scan at the bench. The same GTIN with the same date and lot counts on; another date or lot is a
 * line of its own, as its last good day is; an unknown code makes a line to be named.
 */
export function takeScan(
  lines: readonly Line[],
  scan: Gs1,
  known: KnownCode | undefined,
  newId: string,
): Scanned {
  const pieces = scan.count ?? 1;
  const same = lines.find(
    (l) =>
      l.gtin === scan.gtin &&
      scan.gtin !== undefined &&
      (l.expires ?? undefined) === scan.expires &&
      l.lot === scan.lot,
  );
  if (same) {
    const counted = (same.counted ?? 0) + pieces;
    return {
      lines: lines.map((l) => (l === same ? { ...l, counted } : l)),
      line: same.id,
      added: false,
    };
  }
  // A claimed line of that kind, not counted yet, is what lies there.
  const claimed =
    known &&
    lines.find(
      (l) => l.itemType === known.itemType && l.counted === undefined && l.gtin === undefined,
    );
  const facts = {
    counted: pieces,
    ...(scan.gtin ? { gtin: scan.gtin } : {}),
    ...(scan.expires ? { expires: scan.expires } : {}),
    ...(scan.lot ? { lot: scan.lot } : {}),
  };
  if (claimed)
    return {
      lines: lines.map((l) => (l === claimed ? { ...l, ...facts } : l)),
      line: claimed.id,
      added: false,
    };
  const fresh: Line = {
    id: newId,
    itemType: known?.itemType ?? null,
    text: known?.text ?? (scan.gtin ? `barcode ${scan.gtin}` : "scanned"),
    ...(known?.sizeMm ? { sizeMm: [...known.sizeMm] } : {}),
    ...facts,
    byHand: true,
  };
  return { lines: [...lines, fresh], line: newId, added: true };
}

/** Two lines of the same kind as one: numbers add up, what only one knows is kept. */
export function mergeLines(into: Line, from: Line): Line {
  const add = (a: number | undefined, b: number | undefined) =>
    a === undefined && b === undefined ? undefined : (a ?? 0) + (b ?? 0);
  const claimed = add(into.claimed, from.claimed);
  const counted =
    into.counted === undefined || from.counted === undefined
      ? undefined
      : into.counted + from.counted;
  const merged: Line = { ...from, ...into };
  delete merged.claimed;
  delete merged.counted;
  if (claimed !== undefined) merged.claimed = claimed;
  if (counted !== undefined) merged.counted = counted;
  else if (claimed === undefined) merged.counted = (into.counted ?? 0) + (from.counted ?? 0);
  return merged;
}
