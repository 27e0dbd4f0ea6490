import { actionsOf } from "../core/plan/actions.ts";
import type { Solver } from "../core/plan/linearModel.ts";
import { plan, type PlanRequest, type Progress } from "../core/plan/plan.ts";
import type { PlanShown } from "./protocol.ts";

/** Solves a request and keeps of the outcome what the screens show. */
export function showPlan(request: PlanRequest, solver: Solver, progress: Progress): PlanShown {
  const outcome = plan(request, solver, progress);
  if (outcome.status === "infeasible") return { status: "infeasible", why: outcome.why };
  const { choice, before } = outcome;
  progress({ stage: "reasons", share: 0.95 });
  return {
    status: outcome.status,
    gap: outcome.gap,
    actions: actionsOf(outcome, request),
    price: choice.price,
    boughtMassG: choice.boughtMassG,
    carriedMassG: choice.load.massG,
    carriedVolumeMl: choice.load.volumeMl,
    packs: choice.purchases.reduce((s, p) => s + p.packs, 0),
    before: before.coverage ?? 0,
    coverage: choice.after.coverage ?? 0,
    grade: choice.after.grade!,
    needs: choice.after.needs.map((n, i) => ({
      id: choice.after.bench.needs[i]!.need.id,
      restsOn: n.restsOn,
      value: n.values[6]!,
    })),
  };
}
