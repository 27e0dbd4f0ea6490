/**
 * Counting by weight: weigh a known few, weigh all, get the count with its uncertainty.
 * With μ the mass of a piece from n known ones, cv the spread from piece to piece and e the scale's
 * error, the count N = W/μ has the variance N·cv² + N²·(cv²/n + (e/(n·μ))²) + (e/μ)²: the pieces
 * themselves, the known few, and the last weighing (propagation of error, first order).
 */
export interface Weighed {
  /** Known pieces and their mass in g; several weighings of a few each show the spread. */
  readonly known: readonly { readonly pieces: number; readonly grams: number }[];
  /** All pieces together, g. */
  readonly allGrams: number;
  /** Error of one reading, g. */
  readonly scaleErrorG: number;
}

export type WeighCount =
  | {
      readonly ok: true;
      readonly count: number;
      readonly low: number;
      readonly high: number;
      readonly pieceG: number;
    }
  | {
      readonly ok: false;
      readonly why: "nothing-known" | "too-light" | "too-wide";
      readonly low: number;
      readonly high: number;
      readonly pieceG: number | null;
    };

/** Wrapped wipes and pads of one lot differ by a few per cent; taken until three weighings show more. */
const USUAL_SPREAD = 0.03;
/** Two standard errors: about 95 in 100. */
const COVERAGE_FACTOR = 2;

export function weighCount({ known, allGrams, scaleErrorG }: Weighed): WeighCount {
  const samples = known.filter((k) => k.pieces > 0 && k.grams > 0);
  const n = samples.reduce((s, k) => s + k.pieces, 0);
  const nothing = { ok: false as const, low: 0, high: 0, pieceG: null };
  if (n === 0 || !(allGrams >= 0)) return { ...nothing, why: "nothing-known" };
  const pieceG = samples.reduce((s, k) => s + k.grams, 0) / n;
  // A piece lighter than the scale's own error cannot be told from none.
  if (pieceG < 2 * scaleErrorG) return { ...nothing, why: "too-light", pieceG };
  const cv = Math.max(USUAL_SPREAD, spreadOf(samples, pieceG));
  const count = allGrams / pieceG;
  const variance =
    count * cv ** 2 +
    count ** 2 * (cv ** 2 / n + (scaleErrorG / (n * pieceG)) ** 2) +
    (scaleErrorG / pieceG) ** 2;
  const half = COVERAGE_FACTOR * Math.sqrt(variance);
  const low = Math.max(0, Math.ceil(count - half));
  const high = Math.floor(count + half);
  // Told only when one whole number alone lies within, or the nearest within half a piece.
  if (half >= 0.5 && high > low) return { ok: false, why: "too-wide", low, high, pieceG };
  const whole = Math.round(count);
  return { ok: true, count: whole, low: Math.min(low, whole), high: Math.max(high, whole), pieceG };
}

/** Spread from piece to piece, as a share of the mean, from three weighings or more; else 0. */
function spreadOf(samples: Weighed["known"], pieceG: number): number {
  if (samples.length < 3) return 0;
  const square = samples.reduce((s, k) => s + k.pieces * (k.grams / k.pieces - pieceG) ** 2, 0);
  return Math.sqrt(square / (samples.length - 1)) / pieceG;
}
