import { actionsOf, unmetAfter } from "../core/plan/actions.ts";
import { candidates } from "../core/plan/candidates.ts";
import type { Choice } from "../core/plan/choice.ts";
import { planBound } from "../core/plan/bound.ts";
import { greedyPlan } from "../core/plan/greedy.ts";
import type { Solver } from "../core/plan/linearModel.ts";
import { placesOf } from "../core/plan/places.ts";
import type { PlanOutcome } from "../core/plan/plan.ts";
import type { PlanRequest } from "../core/plan/request.ts";
import type { ChoiceShown, PlanShown, QuickShown } from "./protocol.ts";

/** Keeps of an outcome what the screens show. */
export function showPlan(outcome: PlanOutcome, request: PlanRequest): PlanShown {
  if (outcome.status === "infeasible") return { status: "infeasible", why: outcome.why };
  const { choice, before, status, gap, gapIn, tiesProven } = outcome;
  return {
    ...{ status, gap, gapIn, tiesProven },
    actions: actionsOf(outcome, request),
    price: choice.price,
    postage: choice.postage,
    owning: choice.owning,
    boughtMassG: choice.boughtMassG,
    carriedMassG: choice.load.massG,
    carriedVolumeMl: choice.load.volumeMl,
    packs: choice.purchases.reduce((s, p) => s + p.packs, 0),
    before: before.coverage ?? 0,
    coverage: choice.after.coverage ?? 0,
    grade: choice.after.grade!,
    unmet: unmetAfter(outcome),
    places: placesOf(choice.after),
    needs: choice.after.needs.map((n, i) => ({
      id: choice.after.context.needs[i]!.need.id,
      restsOn: n.restsOn,
      value: n.met,
    })),
  };
}

/** What a plan comes to. */
export const showChoice = ({ price, after }: Choice): ChoiceShown => ({
  price,
  coverage: after.coverage ?? 0,
  grade: after.grade,
});

/** A first answer and the bound it is measured by. */
export function showQuick(request: PlanRequest, solver: Solver): QuickShown {
  const c = candidates(request);
  const { choice, reaches } = greedyPlan(request, c);
  return {
    ...showChoice(choice),
    reaches,
    bound: planBound(request, solver, choice, c),
  };
}
