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
import { isCompiled, type Compiled } from "./compiled.ts";
import type { PlanAsk, PlanSays } from "./protocol.ts";
import { serve } from "./serve.ts";
import { showChoice, showPlan, showQuick } from "./showPlan.ts";

/** The solver's code, where a worker before this one has compiled it. */
let given: Compiled | null = null;
addEventListener("message", (event) => {
  if (!isCompiled(event.data)) return;
  given = event.data;
  event.stopImmediatePropagation();
});

async function load(): Promise<Highs> {
  if (given) return loadHighs({ wasmModule: given.compiled });
  const compiled = await WebAssembly.compileStreaming(fetch(wasmUrl)).catch(() => null);
  // Where it cannot be compiled as it comes: the solver's own way, which says what is wrong.
  if (compiled === null) return loadHighs({ locateFile: () => wasmUrl });
  postMessage({ compiled } satisfies Compiled);
  return loadHighs({ wasmModule: compiled });
}

let highs: Promise<Highs> | null = null;
/** The plan last made: what is asked about single products of it rests on it. */
let last: { asked: string; request: PlanRequest; outcome: PlanOutcome } | null = null;

serve<PlanAsk, PlanSays>(async (ask, say) => {
  highs ??= load();
  try {
    answer(ask, highsSolver(await highs), say);
  } catch (error) {
    // What could not be fetched is fetched again when it is asked for again.
    highs = null;
    throw error;
  }
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
      last = { asked: JSON.stringify(ask.request), request, outcome };
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
      const asked = JSON.stringify(ask.request);
      if (last?.asked !== asked) {
        // It was made by another worker.
        const request = requestOf(ask.request);
        last = { asked, request, outcome: plan(request, solver) };
      }
      const { request, outcome } = last;
      if (outcome.status === "infeasible") throw new Error("there is no plan to do without it");
      say({
        is: "without",
        product: ask.product,
        without: without(request, outcome, ask.product, solver),
      });
    }
  }
}
