import type { Audit } from "./audit.ts";
import { ACCESS_LIMIT_S, reachOf } from "../sieve/handy.ts";
import { lineCondition } from "../inspect/quality.ts";
import { pointsFor } from "../inspect/points.ts";

/** The rules by which a bag is packed, each looked at on the bench. */
export const PACKING_RULES = [
  "leaks-have-own-bag",
  "seconds-lie-outside",
  "instructions-with-device",
  "tools-carry-first-use",
  "lights-locked-off",
  "medicines-labelled",
] as const;
export type PackingRule = (typeof PACKING_RULES)[number];

export interface PackingFinding {
  readonly rule: PackingRule;
  /** Index in `a.context.lines`. */
  readonly line: number;
  /** `open`: not looked at yet. */
  readonly state: "kept" | "broken" | "open";
}

/** Rule → the inspection point that answers it. */
const BY_POINT: Readonly<Partial<Record<PackingRule, string>>> = {
  "leaks-have-own-bag": "own-bag",
  "instructions-with-device": "instructions-with-it",
  "lights-locked-off": "light-locked-off",
  "medicines-labelled": "med-name-strength",
};

/** Every packing rule that touches a line of the kit, with whether it is kept; in line order. */
export function packingFindings(a: Audit): PackingFinding[] {
  return a.context.lines.flatMap(({ line, type, elsewhere }, index) => {
    const pieces = line.counted ?? line.claimed ?? 0;
    if (elsewhere || !type || pieces === 0) return [];
    const found: PackingFinding[] = [];
    const add = (rule: PackingRule, state: PackingFinding["state"]) =>
      found.push({ rule, line: index, state });
    const points = new Set(pointsFor(type.id, a.context.catalogue).map((p) => p.id));
    const looked = lineCondition(line, a.context.catalogue) !== null;
    for (const [rule, point] of Object.entries(BY_POINT) as [PackingRule, string][])
      if (points.has(point))
        add(rule, line.failedPoints?.includes(point) ? "broken" : looked ? "kept" : "open");
    const inSeconds = a.needs.some(
      (n, i) =>
        a.context.needs[i]!.need.access === "seconds" &&
        n.pairs.some((p) => p.pair.line === index && p.pair.credit.credit > 0),
    );
    if (inSeconds) {
      const reach = reachOf(line);
      add(
        "seconds-lie-outside",
        reach === null ? "open" : reach <= ACCESS_LIMIT_S.seconds ? "kept" : "broken",
      );
    }
    if (type.wears) add("tools-carry-first-use", line.firstUse ? "kept" : "open");
    return found;
  });
}
