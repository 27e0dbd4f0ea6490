import loadHighs, { type Highs } from "highs";
import wasmUrl from "highs/runtime?url";
import { cheapestThatLasts } from "../core/chance/lasting.ts";
import { candidates } from "../core/plan/candidates.ts";
import { frontierLimits, frontierPoint, quickFrontier } from "../core/plan/frontier.ts";
import { highsSolver } from "../core/plan/highsSolver.ts";
import type { Solver } from "../core/plan/linearModel.ts";
import type { PlanQuestion, PlanRequest } from "../core/plan/request.ts";
import { plan, type PlanOutcome } from "../core/plan/plan.ts";
import { without } from "../core/plan/without.ts";
import { CATALOGUE } from "../data/catalogue.ts";
import type { PlanAsk, PlanSays } from "./protocol.ts";
import { serve } from "./serve.ts";
import { showChoice, showPlan, showQuick } from "./showPlan.ts";

let highs: Promise<Highs> | null = null;
/** The plan last made: what is asked about single products of it rests on it. */
let last: { request: PlanRequest; outcome: PlanOutcome } | null = null;

serve<PlanAsk, PlanSays>(async (ask, say) => {
  highs ??= loadHighs({ locateFile: () => wasmUrl });
  answer(ask, highsSolver(await highs), say);
});

const requestOf = (question: PlanQuestion): PlanRequest => ({ ...question, catalogue: CATALOGUE });

function answer(ask: PlanAsk, solver: Solver, say: (said: PlanSays) => void): void {
  switch (ask.is) {
    case "plan": {
      const request = requestOf(ask.request);
      say({ is: "quick", quick: showQuick(request, solver) });
      const outcome = plan(request, solver, ({ proven, ...step }) => {
        if (proven) say({ is: "proven", proven: showChoice(proven) });
        say({ is: "progress", ...step });
      });
      last = { request, outcome };
      say({ is: "progress", stage: "reasons", share: 0.95 });
      say({ is: "done", plan: showPlan(outcome, request) });
      return;
    }
    case "curve": {
      const { axis } = ask;
      const request = requestOf(ask.request);
      const limits = frontierLimits(request, axis);
      say({ is: "curve", points: quickFrontier({ request, axis, limits }) });
      return;
    }
    case "points": {
      const { axis, limits } = ask;
      const request = requestOf(ask.request);
      const c = candidates(request);
      for (const limit of limits) {
        const point = frontierPoint(request, axis, limit, solver, c);
        if (point) say({ is: "point", point });
      }
      say({ is: "points-done" });
      return;
    }
    case "lasting": {
      const { file, incidents, book, today, chance, limits } = ask;
      const lasting = cheapestThatLasts(
        { file, incidents, book, today, chance, limits, catalogue: CATALOGUE, solver },
        (share) => say({ is: "lasting-share", share }),
      );
      say({ is: "lasting", lasting });
      return;
    }
    case "without": {
      if (!last || last.outcome.status === "infeasible") throw new Error("there is no plan yet");
      const { request, outcome } = last;
      say({
        is: "without",
        product: ask.product,
        without: without(request, outcome, ask.product, solver),
      });
    }
  }
}
