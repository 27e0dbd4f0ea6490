import type { Audit } from "../audit/audit.ts";
import { TIERS, type Tier } from "../model/list.ts";

/** What is asked of a tier and what of it is met, by weight. */
export interface TierTotal {
  readonly tier: Tier;
  readonly count: number;
  readonly weight: number;
  /** Weight met, 0 to `weight`. */
  readonly met: number;
}

export const tierTotals = (a: Audit): TierTotal[] =>
  TIERS.map((tier) => {
    const own = a.context.needs.flatMap((n, i) =>
      n.tier === tier ? [{ n, met: a.needs[i]!.met }] : [],
    );
    return {
      tier,
      count: own.length,
      weight: own.reduce((s, x) => s + x.n.weight, 0),
      met: own.reduce((s, x) => s + x.n.weight * x.met, 0),
    };
  });
