import { askedNeeds } from "../lib/core/reference/asked.ts";
import { EMPTY_BRIEF, type Brief } from "../lib/core/model/brief.ts";
import { schools } from "../lib/core/model/houseRules.ts";
import { CATALOGUE } from "../lib/data/catalogue.ts";
import type { ShippedList } from "../lib/data/lists/index.ts";
import { CAUTIONS } from "../lib/words/cautions.ts";

/** A shipped list with what it asks for under a brief, need by need; `asked` false: its condition fails. */
export function listResult(list: ShippedList, given: Partial<Brief>) {
  const brief: Brief = { ...EMPTY_BRIEF, ...given };
  const asked = new Map(
    askedNeeds(list.needs, brief, schools({}), CATALOGUE).map((n) => [n.need.id, n]),
  );
  const { people, days, hoursToCare, activities, carry, skill, sensitivities } = brief;
  return {
    id: list.id,
    title: list.title,
    version: list.version,
    for: list.for,
    isNot: list.isNot,
    brief: { people, days, hoursToCare, activities, carry, skill, sensitivities },
    needs: list.needs.map((need) => {
      const n = asked.get(need.id);
      return {
        id: need.id,
        function: need.function,
        tier: n?.tier ?? need.tier,
        asked: n !== undefined,
        required: n?.required ?? 0,
        unit: CATALOGUE.functions.get(need.function)!.unit,
        ...(need.theirs ? { theirs: true } : {}),
        reason: need.reason,
      };
    }),
  };
}

/** What the program knows of the trade. */
export const catalogueResult = () => ({
  functions: [...CATALOGUE.functions.values()],
  itemTypes: [...CATALOGUE.types.values()].map((t) => ({
    ...t,
    points: CATALOGUE.pointsByType.get(t.id) ?? [],
  })),
  points: [...CATALOGUE.points.values()],
  cautions: CAUTIONS.map(({ houseRule, ...c }) => ({
    ...c,
    ...(houseRule ? { houseRule: { rule: houseRule[0], option: houseRule[1] } } : {}),
  })),
});
