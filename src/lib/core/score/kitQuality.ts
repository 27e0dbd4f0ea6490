import { lineQuality } from "../inspect/quality.ts";
import type { AuditContext } from "../sieve/context.ts";
import { piecesOf } from "../sieve/measure.ts";
import type { SiftedNeed } from "../sieve/sift.ts";

/** Weight of a line that serves no need in the mean: it still tells of the maker's care. */
const WEIGHT_OF_NO_NEED = 1;

/**
 * Quality of the kit, 0–100: mean over its inspected lines with pieces, weighted by the summed
 * weights of the needs they serve; null before any inspection.
 */
export function kitQuality(context: AuditContext, passing: readonly SiftedNeed[]): number | null {
  const weights = context.lines.map(() => 0);
  passing.forEach((need, n) => {
    for (const p of need.pairs)
      if (p.units > 0 && p.f > 0) weights[p.pair.line]! += context.needs[n]!.weight;
  });
  let sum = 0;
  let total = 0;
  context.lines.forEach(({ line, elsewhere }, l) => {
    const quality = lineQuality(line, context.catalogue);
    if (elsewhere || quality === null || piecesOf(line) <= 0) return;
    const weight = weights[l]! || WEIGHT_OF_NO_NEED;
    sum += weight * quality;
    total += weight;
  });
  return total === 0 ? null : sum / total;
}
