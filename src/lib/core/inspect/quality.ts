import type { Catalogue } from "../catalogue/catalogue.ts";
import type { Condition, Line } from "../model/kit.ts";
import type { Severity } from "../model/inspectionPoint.ts";

/** Points taken off for a failed inspection point (rule of the sieve, Scores); fatal leaves nothing. */
const PENALTY: Record<Severity, number> = { minor: 15, major: 40, fatal: 100 };
/** Quality from which a line is sound, and from which worn; below: failed. */
const SOUND_FROM = 70;
const WORN_FROM = 40;
/** Quality of a condition that was given without points. */
const QUALITY_OF: Record<Condition, number> = { sound: 100, worn: 55, failed: 0 };
/** What a condition lets through at the Sound mesh. */
export const SOUND_FACTOR: Record<Condition, number> = { sound: 1, worn: 0.5, failed: 0 };

/** 0–100; null before any inspection. Failed points decide where they are given. */
export function lineQuality(
  line: Pick<Line, "condition" | "failedPoints">,
  catalogue: Catalogue,
): number | null {
  if (line.failedPoints) return qualityOfPoints(line.failedPoints, catalogue);
  return line.condition ? QUALITY_OF[line.condition] : null;
}

/** The condition of a line; null before any inspection. */
export function lineCondition(
  line: Pick<Line, "condition" | "failedPoints">,
  catalogue: Catalogue,
): Condition | null {
  if (!line.failedPoints) return line.condition ?? null;
  const quality = qualityOfPoints(line.failedPoints, catalogue);
  return quality >= SOUND_FROM ? "sound" : quality >= WORN_FROM ? "worn" : "failed";
}

function qualityOfPoints(failed: readonly string[], catalogue: Catalogue): number {
  let quality = 100;
  for (const id of new Set(failed)) quality -= PENALTY[catalogue.points.get(id)!.severity];
  return Math.max(0, quality);
}
