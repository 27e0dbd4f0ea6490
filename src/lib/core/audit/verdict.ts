import type { Audit } from "./audit.ts";
import { lineCondition } from "../inspect/quality.ts";

export const VERDICTS = [
  "keep",
  "watch",
  "top-up",
  "replace",
  "move",
  "drop",
  "trained-hand",
] as const;
export type VerdictId = (typeof VERDICTS)[number];

/** Why the rules propose a verdict. */
export type VerdictReason =
  | "sound"
  | "worn"
  | "failed"
  | "past-date"
  | "in-name-only"
  | "too-few"
  | "not-handy"
  | "beyond-training"
  | "serves-nothing";

/**
 * The verdict the rules propose for a line of the audit, with the reason; a person decides.
 * @param index of the line in `a.context.lines`
 */
export function proposeVerdict(
  a: Audit,
  index: number,
): { verdict: VerdictId; because: VerdictReason } {
  const { line, type } = a.context.lines[index]!;
  const fact = a.pairing.facts[index]!;
  const pairs = a.needs.flatMap((need, n) =>
    need.pairs.filter((p) => p.pair.line === index).map((p) => ({ p, n })),
  );
  const asked = pairs.some(({ p }) => p.pair.credit.credit > 0);
  if (lineCondition(line, a.context.catalogue) === "failed")
    return { verdict: asked ? "replace" : "drop", because: "failed" };
  if (type && (fact.standing === "past" || fact.standing === "past-within-a-year"))
    return { verdict: asked ? "replace" : "drop", because: "past-date" };
  if (pairs.length > 0 && !asked) return { verdict: "replace", because: "in-name-only" };
  if (!asked) return { verdict: "drop", because: "serves-nothing" };
  if (pairs.every(({ p }) => p.pair.usable < 1))
    return {
      verdict: type?.licensed ? "drop" : "trained-hand",
      because: "beyond-training",
    };
  if (pairs.some(({ p }) => p.units > 0 && p.handy < 1))
    return { verdict: "move", because: "not-handy" };
  if (lineCondition(line, a.context.catalogue) === "worn")
    return { verdict: "watch", because: "worn" };
  if (pairs.some(({ p, n }) => p.units > 0 && a.needs[n]!.restsOn === "enough"))
    return { verdict: "top-up", because: "too-few" };
  return { verdict: "keep", because: "sound" };
}
