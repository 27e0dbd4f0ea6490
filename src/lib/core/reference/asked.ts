import { categoryOf, type Catalogue } from "../catalogue/catalogue.ts";
import { wholeUp } from "../base/tolerance.ts";
import type { ByChance } from "../model/byChance.ts";
import type { Category } from "../model/functionRecord.ts";
import type { Brief } from "../model/brief.ts";
import type { Need, Tier } from "../model/list.ts";
import type { Schools } from "../model/houseRules.ts";
import { requiredQuantity } from "./quantity.ts";

/** A need that the brief asks for, with everything the meshes look at. */
export interface AskedNeed {
  readonly need: Need;
  readonly category: Category;
  /** After the hands-only rule. */
  readonly tier: Tier;
  /** Q, in the function's unit. */
  readonly required: number;
  /** Where Q is not what the list itself asks but what suffices by chance: the list's own. */
  readonly byList?: number;
  /** Tier × emphasis. */
  readonly weight: number;
}

/** Planning weights of the tiers: one vital need outweighs a core and a useful one together. */
const TIER_WEIGHT: Record<Tier, number> = { vital: 5, core: 3, useful: 1 };
/** What a led emphasis multiplies its categories by. */
const EMPHASIS_FACTOR = 2;
const LED: Record<Schools["emphasis"], ReadonlySet<Category>> = {
  balanced: new Set(),
  "severity-led": new Set(["severe-bleeding", "airway-chest", "resuscitation"]),
  "frequency-led": new Set(["everyday-wounds", "wound-hygiene", "feet-skin", "illness-pain"]),
};

/**
 * The needs whose conditions hold, in list order.
 * @param byChance what suffices by chance, for the school that takes quantities from it
 */
export function askedNeeds(
  needs: readonly Need[],
  brief: Brief,
  rules: Pick<Schools, "emphasis" | "breathing" | "quantities" | "chanceAt">,
  catalogue: Catalogue,
  byChance?: ByChance,
): AskedNeed[] {
  const enough = rules.quantities === "chance" ? byChance?.enough : undefined;
  return needs
    .filter((need) => conditionHolds(need.when, brief))
    .map((need) => {
      const category = categoryOf(need.function, catalogue);
      const tier =
        rules.breathing === "hands-only" && catalogue.functions.get(need.function)?.breaths
          ? "useful"
          : need.tier;
      const led = LED[rules.emphasis].has(category) ? EMPHASIS_FACTOR : 1;
      return {
        need,
        category,
        tier,
        ...quantityOf(requiredQuantity(need, brief), tier, enough?.[need.id], rules.chanceAt),
        weight: TIER_WEIGHT[tier] * led,
      };
    });
}

/**
 * By the list, or by chance where the outings say something of the need. What is rare suffices in 95 of 100
 * outings without any, and is asked for because of the others: there the list decides, and of a vital need
 * chance only adds.
 */
function quantityOf(
  byList: number,
  tier: Tier,
  enough: ByChance["enough"][string] | undefined,
  at: Schools["chanceAt"],
): Pick<AskedNeed, "required" | "byList"> {
  const suffices = wholeUp(enough?.[`${Math.round(100 * at) as 90 | 95 | 99}`] ?? 0);
  if (suffices === 0) return { required: byList };
  return { required: tier === "vital" ? Math.max(byList, suffices) : suffices, byList };
}

/** Every condition given must hold; of a list any one. */
export function conditionHolds(when: Need["when"], brief: Brief): boolean {
  if (!when) return true;
  const anyOf = <T>(wanted: readonly T[] | undefined, have: readonly T[]) =>
    !wanted || wanted.some((w) => have.includes(w));
  return (
    anyOf(when.activities, brief.activities) &&
    anyOf(when.carry, [brief.carry]) &&
    anyOf(when.sensitivities, brief.sensitivities) &&
    brief.people >= (when.peopleMin ?? 0) &&
    brief.days >= (when.daysMin ?? 0) &&
    brief.hoursToCare >= (when.hoursToCareMin ?? 0)
  );
}
