import { Newest } from "../core/base/newest.ts";
import type { Axis, FrontierPoint } from "../core/plan/frontier.ts";
import type { PlanShown } from "./protocol.ts";

/** As many as are gone to and fro between: questions, budgets, an edit taken back. One weighs up to 100 kB. */
const MOST = 12;

const plans = new Newest<PlanShown>(MOST);
const curves = new Newest<readonly FrontierPoint[]>(MOST);

/** The plan that was made on this page for the same question, to the letter. */
export const planMade = (question: string): PlanShown | undefined => plans.get(question);

/** Keeps a plan that no other search would better. */
export function keepPlan(question: string, plan: PlanShown): void {
  if (plan.status === "feasible" || (plan.status === "optimal" && !plan.tiesProven)) return;
  plans.set(question, plan);
}

/** The curve that was drawn on this page for the same question. */
export const curveMade = (question: string, axis: Axis): readonly FrontierPoint[] | undefined =>
  curves.get(axis + question);

/** Keeps a curve of which each point is proven. */
export function keepCurve(question: string, axis: Axis, points: readonly FrontierPoint[]): void {
  if (points.every((p) => p.proven)) curves.set(axis + question, points);
}
