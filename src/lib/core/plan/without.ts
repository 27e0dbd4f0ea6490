import { roundMoney } from "../base/money.ts";
import { SHARE_TOLERANCE } from "../base/tolerance.ts";
import type { Solver } from "./linearModel.ts";
import { plan, type PlanOutcome } from "./plan.ts";
import { vitalOf } from "./choice.ts";
import type { Purchase } from "./orders.ts";
import type { PlanRequest } from "./request.ts";

type Solved = Extract<PlanOutcome, { choice: unknown }>;

/** What would be done if one chosen product could not be had, and so what it is worth to the plan. */
export type Without =
  /** No plan does what was asked; `proven` false: none was found in time. */
  | { readonly none: true; readonly proven: boolean }
  | {
      readonly none: false;
      readonly purchases: readonly Purchase[];
      /** In the price book's currency; how much dearer the plan gets. */
      readonly priceMore: number;
      /** Points of coverage lost, 0–100. */
      readonly coverageLess: number;
      readonly massMoreG: number;
      /**
       * Price of a pack from which on the choice changes at the latest; null: never, it is the only way.
       * Cheapest: where the plan without it is no dearer. Best: where it no longer fits the budget.
       */
      readonly changesAtPrice: number | null;
      /** Mass of a pack, g, from which on it no longer fits; null: no limit on mass. */
      readonly changesAtMassG: number | null;
      readonly proven: boolean;
    };

/** Solves the plan once more without a product. Blocking. */
export function without(
  request: PlanRequest,
  outcome: Solved,
  productId: string,
  solver: Solver,
): Without {
  const bought = outcome.choice.purchases.find((p) => p.product.id === productId);
  const other = plan({ ...request, exclude: [...(request.exclude ?? []), productId] }, solver);
  if (other.status === "infeasible")
    return { none: true, proven: other.why.every((o) => o.code !== "not-proven") };
  if (!bought) throw new Error(`the plan does not buy '${productId}'`);
  const { choice } = outcome;
  const priceMore = other.choice.price - choice.price;
  const coverageLess = 100 * ((choice.after.coverage ?? 0) - (other.choice.after.coverage ?? 0));
  const same =
    Math.abs(coverageLess) < 100 * SHARE_TOLERANCE &&
    Math.abs(vitalOf(choice.after) - vitalOf(other.choice.after)) < SHARE_TOLERANCE;
  const { budget, massG } = request.limits;
  const fits = budget === null ? null : budget - choice.price;
  const rise =
    request.question === "cheapest" || same ? Math.min(priceMore, fits ?? Infinity) : fits;
  return {
    none: false,
    purchases: other.choice.purchases,
    priceMore,
    coverageLess,
    massMoreG: other.choice.load.massG - choice.load.massG,
    changesAtPrice:
      rise === null
        ? null
        : roundMoney(bought.product.price.amount + rise / bought.packs, request.book.currency),
    changesAtMassG:
      massG === null
        ? null
        : (bought.product.massG ?? 0) + (massG - choice.load.massG) / bought.packs,
    proven: outcome.status === "optimal" && other.status === "optimal",
  };
}
