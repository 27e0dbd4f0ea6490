import type { Line } from "../model/kit.ts";

/** Inspection of a line, point by point, as it stands. */
export interface Inspection {
  /** Ids of all points of the line's kind. */
  readonly points: readonly string[];
  readonly line: Pick<Line, "okPoints" | "failedPoints">;
  /** Whether it was finished before: then every point that did not fail was good. */
  readonly complete: boolean;
}

/**
 * The line's facts after one point was answered. A failed point counts at once; sound it is only when
 * every point was looked at.
 * @param today the day that a finished inspection is dated with
 */
export function answerPoint(
  { points, line, complete }: Inspection,
  pointId: string,
  good: boolean,
  today: string,
): { readonly patch: Partial<Line>; readonly all: boolean; readonly failed: number } {
  const failedBefore = line.failedPoints ?? [];
  const ok = new Set(
    complete ? points.filter((p) => !failedBefore.includes(p)) : (line.okPoints ?? []),
  );
  const failed = new Set(failedBefore);
  (good ? failed : ok).delete(pointId);
  (good ? ok : failed).add(pointId);
  const all = points.every((p) => ok.has(p) || failed.has(p));
  return {
    all,
    failed: failed.size,
    patch: {
      ...(all || failed.size > 0
        ? { failedPoints: [...failed], condition: undefined }
        : { failedPoints: undefined }),
      okPoints: all ? undefined : [...ok],
      ...(all ? { checkedOn: today } : {}),
    },
  };
}
