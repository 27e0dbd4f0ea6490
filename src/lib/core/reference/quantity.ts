import { wholeDown, wholeUp } from "../base/tolerance.ts";
import type { Brief } from "../model/brief.ts";
import type { Need } from "../model/list.ts";

/** Times a dressing is changed before care is reached. */
export const redressings = (hoursToCare: number, everyH: number | undefined): number =>
  everyH === undefined ? 0 : wholeDown(hoursToCare / everyH);

/**
 * Required quantity Q of a need, in the function's unit, at least 1. `perPerson` counts people beyond
 * the `baseFor` that the base is for.
 */
export function requiredQuantity(
  need: Pick<Need, "quantity">,
  brief: Pick<Brief, "people" | "days" | "hoursToCare">,
): number {
  const q = need.quantity;
  const { people, days } = brief;
  const once =
    (q.base ?? 0) +
    (q.perPerson ?? 0) * Math.max(0, people - (q.baseFor ?? 0)) +
    (q.perDay ?? 0) * days +
    (q.perPersonDay ?? 0) * people * days;
  const asked = wholeUp(once * (1 + redressings(brief.hoursToCare, q.redressEveryH)));
  const clamped = Math.min(Math.max(asked, q.min ?? 0), q.max ?? Infinity);
  return Math.max(1, clamped);
}
