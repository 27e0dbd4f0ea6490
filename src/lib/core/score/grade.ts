import { atLeast, SHARE_TOLERANCE } from "../base/tolerance.ts";
import type { AskedNeed } from "../reference/asked.ts";
import type { Thresholds } from "../model/houseRules.ts";
import type { SiftedNeed } from "../sieve/sift.ts";

const GRADES = ["Not ready", "Partial", "Nearly", "Ready"] as const;
export type Grade = (typeof GRADES)[number];

/** What keeps the kit from the next better grade. `none`: it is Ready. */
export interface DecidedBy {
  readonly gate: "vital" | "coverage" | "none";
  readonly need?: string;
  readonly value: number;
  readonly asked: number;
}

/** Ready and Nearly always ask 1 of every vital need, whatever the pass mark. */
const gates = (
  t: Thresholds,
): Record<Exclude<Grade, "Not ready">, [vital: number, all: number]> => ({
  Ready: [1, t.ready],
  Nearly: [1, t.nearly],
  Partial: [t.partialVital, t.partial],
});

/** The grade of a run, and the gate that decided it: a vital need before coverage. */
export function gradeOf(
  coverage: number,
  needs: readonly AskedNeed[],
  sifted: readonly SiftedNeed[],
  thresholds: Thresholds,
): { grade: Grade; decidedBy: DecidedBy } {
  let lowest: { need: string; value: number } | null = null;
  needs.forEach((asked, n) => {
    const value = sifted[n]!.met;
    if (asked.tier === "vital" && (lowest === null || value < lowest.value - SHARE_TOLERANCE))
      lowest = { need: asked.need.id, value };
  });
  const weakest = lowest as { need: string; value: number } | null;
  const asked = gates(thresholds);
  let blockedBy: DecidedBy = { gate: "none", value: coverage, asked: thresholds.ready };
  for (const grade of ["Ready", "Nearly", "Partial"] as const) {
    const [vital, all] = asked[grade];
    if (weakest && !atLeast(weakest.value, vital))
      blockedBy = { gate: "vital", need: weakest.need, value: weakest.value, asked: vital };
    else if (!atLeast(coverage, all)) blockedBy = { gate: "coverage", value: coverage, asked: all };
    else return { grade, decidedBy: blockedBy };
  }
  return { grade: "Not ready", decidedBy: blockedBy };
}

/** The worse of two grades first. */
export const gradeInterval = (a: Grade, b: Grade): [Grade, Grade] =>
  GRADES.indexOf(a) <= GRADES.indexOf(b) ? [a, b] : [b, a];
