import type { Catalogue } from "../catalogue/catalogue.ts";
import type { Brief } from "../model/brief.ts";
import type { HouseRules } from "../model/houseRules.ts";
import type { Need } from "../model/list.ts";
import { askedNeeds, type AskedNeed } from "../reference/asked.ts";
import { schools } from "../model/houseRules.ts";

/** A need that another answer would ask more, less or not at all of. Units of the function. */
export interface AskedChange {
  readonly need: Need;
  /** 0: not asked. */
  readonly from: number;
  readonly to: number;
}

/**
 * What a list would ask for under another brief, against what it asks for now; the weightiest needs
 * first, in list order among equals. Empty: the answer changes nothing.
 */
export function briefEffect(
  needs: readonly Need[],
  houseRules: HouseRules,
  now: Brief,
  then: Brief,
  catalogue: Catalogue,
): AskedChange[] {
  const rules = schools(houseRules);
  const asked = (brief: Brief) => askedNeeds(needs, brief, rules, catalogue);
  const before = new Map(asked(now).map((n) => [n.need.id, n]));
  const after = new Map(asked(then).map((n) => [n.need.id, n]));
  const weight = (id: string): number => (after.get(id) ?? before.get(id))!.weight;
  const amount = (n: AskedNeed | undefined) => n?.required ?? 0;
  return needs
    .filter((n) => before.has(n.id) || after.has(n.id))
    .map((need) => ({ need, from: amount(before.get(need.id)), to: amount(after.get(need.id)) }))
    .filter((c) => c.from !== c.to)
    .sort((x, y) => weight(y.need.id) - weight(x.need.id));
}
