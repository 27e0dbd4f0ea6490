import type { Line } from "../model/kit.ts";

export type Drill = NonNullable<Line["drills"]>[number];

/** Several tries at reaching one thing. Seconds. */
export interface DrillSummary {
  readonly tries: number;
  /** The best try: what the Handy mesh reckons with. */
  readonly best: number;
  readonly worst: number;
  readonly median: number;
  /** Whether every try was made so. */
  readonly oneHanded: boolean;
  readonly gloved: boolean;
}

/** null before the first try. */
export function drillSummary(drills: readonly Drill[] | undefined): DrillSummary | null {
  if (!drills || drills.length === 0) return null;
  const sorted = drills.map((d) => d.seconds).sort((a, b) => a - b);
  const half = sorted.length / 2;
  return {
    tries: sorted.length,
    best: sorted[0]!,
    worst: sorted.at(-1)!,
    median:
      sorted.length % 2 === 1 ? sorted[Math.floor(half)]! : (sorted[half - 1]! + sorted[half]!) / 2,
    oneHanded: drills.every((d) => d.oneHanded),
    gloved: drills.every((d) => d.gloved),
  };
}
