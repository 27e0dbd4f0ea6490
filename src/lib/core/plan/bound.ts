import { candidates, type Candidates } from "./candidates.ts";
import { vitalOf, type Choice } from "./choice.ts";
import { leavingOf } from "./leaving.ts";
import { limitsLoad } from "./limits.ts";
import { addRow, type Solver } from "./linearModel.ts";
import { minimise } from "./minimise.ts";
import { modelOptions } from "./modelOptions.ts";
import { planModel } from "./planModel.ts";
import type { PlanModel } from "./programme.ts";
import { asksForTarget, type PlanRequest } from "./request.ts";
import { askTarget, levelsOf, type Level, type Measured } from "./stages.ts";

/** What the relaxation of the programme tells without a search: no plan is better than it. */

/** A bound is rounded up to a whole minor unit but for this. */
const STAGE_SLACK = 1e-6;

/**
 * What no plan can better: a price, or points of coverage, 0–100.
 * @param quick of `best`: the best plan has at least its vital coverage, which makes the bound tighter
 */
export function planBound(
  request: PlanRequest,
  solver: Solver,
  quick: Choice | null = null,
  given?: Candidates,
): { readonly of: Measured; readonly bound: number } | null {
  const { m, levels } = programmeOf(request, given ?? candidates(request));
  if (!asksForTarget(request.question) && quick && m.vitalCoverage.length > 0)
    addRow(m.model, { lower: 100 * vitalOf(quick.after) - STAGE_SLACK, entries: m.vitalCoverage });
  const asked = request.question === "best" ? levels.at(-2)! : levels[0]!;
  const bound = boundIn(asked, m, solver);
  if (bound === null) return null;
  const held = asked.of === "coverage" ? 0 : asked.least;
  return { of: asked.of, bound: asked.scale * (bound - held) };
}

/**
 * How far a plan may be from the best one, in the first level where the relaxation leaves anything open; 0: it
 * is the best.
 * @param from levels before this one are settled; null: none is
 * @returns null: the relaxation tells nothing
 */
export function relaxedGap(
  request: PlanRequest,
  solver: Solver,
  choice: Choice,
  c: Candidates,
  from: Measured | null,
): { readonly of: Measured; readonly gap: number } | null {
  const { m, levels } = programmeOf(request, c);
  let isSettled = from !== null;
  for (const level of levels) {
    if (level.of === from) isSettled = false;
    const has = level.valueOf(choice);
    if (!isSettled) {
      const bound = boundIn(level, m, solver);
      if (bound === null) return null;
      if (has - bound > level.tolerance)
        return { of: level.of, gap: Math.abs(level.scale) * (has - bound) };
    }
    addRow(m.model, { upper: has + level.slack, entries: level.entries });
  }
  return { of: levels[0]!.of, gap: 0 };
}

function programmeOf(request: PlanRequest, c: Candidates): { m: PlanModel; levels: Level[] } {
  const leave = leavingOf(request.question, limitsLoad(request.limits));
  const m = planModel(c, request.limits, modelOptions(request, leave));
  askTarget(m, request, c);
  return { m, levels: levelsOf(request, m, c) };
}

/** No plan is below it. */
function boundIn(level: Level, m: PlanModel, solver: Solver): number | null {
  minimise(m, level.entries);
  const { status, objective } = solver(m.model, { relaxed: true });
  if (status !== "optimal") return null;
  // Prices are paid in whole minor units.
  const isMoney = level.of === "price" || level.of === "owning";
  return isMoney ? Math.ceil(objective - STAGE_SLACK) : objective;
}
