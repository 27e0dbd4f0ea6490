import { SHARE_TOLERANCE } from "../base/tolerance.ts";
import type { AuditContext } from "../sieve/context.ts";
import type { Pairing } from "../sieve/pairs.ts";
import { sift, type SiftedNeed } from "../sieve/sift.ts";
import { score } from "./coverage.ts";
import type { UncheckedFact } from "./unchecked.ts";

export interface WorthChecking {
  /** Index into `context.lines`, and the line's id. */
  readonly index: number;
  readonly line: string;
  readonly facts: readonly UncheckedFact[];
  /** Gains over the failing run when this line alone passes, as shares of 1. */
  readonly vitalGain: number;
  readonly gain: number;
}

/**
 * Most worth checking first: for each line with unchecked facts, let those alone pass in the failing
 * run; rank by the gain in vital coverage, then in coverage, then line order.
 */
export function nextToInspect(
  context: AuditContext,
  pairing: Pairing,
  unchecked: readonly (readonly UncheckedFact[])[],
  failing: readonly SiftedNeed[],
): WorthChecking[] {
  const isVital = (n: { tier: string }) => n.tier === "vital";
  const of = (run: readonly SiftedNeed[], vital: boolean) =>
    (vital ? score(context.needs, run, isVital) : score(context.needs, run))?.coverage ?? 0;
  const base = { vital: of(failing, true), all: of(failing, false) };
  const serves = new Set(pairing.pairs.filter((p) => p.credit.credit > 0).map((p) => p.line));
  for (const lines of pairing.companions.values()) lines.forEach((l) => serves.add(l));
  const ranked: WorthChecking[] = [];
  unchecked.forEach((facts, l) => {
    if (facts.length === 0) return;
    let vitalGain = 0;
    let gain = 0;
    if (serves.has(l)) {
      const alone = sift(
        context,
        pairing,
        context.lines.map((_, i) => i === l),
      );
      vitalGain = of(alone, true) - base.vital;
      gain = of(alone, false) - base.all;
    }
    ranked.push({ index: l, line: context.lines[l]!.line.id, facts, vitalGain, gain });
  });
  const larger = (a: number, b: number) => (Math.abs(a - b) <= SHARE_TOLERANCE ? 0 : b - a);
  return ranked.sort(
    (a, b) => larger(a.vitalGain, b.vitalGain) || larger(a.gain, b.gain) || a.index - b.index,
  );
}
