import type { PlanShown } from "./protocol.ts";

/** As many as are gone to and fro between: questions, budgets, an edit taken back. One weighs up to 100 kB. */
const MOST = 12;

const made = new Map<string, PlanShown>();

/** The plan that was made on this page for the same question, to the letter. */
export const planMade = (question: string): PlanShown | undefined => made.get(question);

/** Keeps a plan that no other search would better. */
export function keepPlan(question: string, plan: PlanShown): void {
  if (plan.status === "feasible" || (plan.status === "optimal" && !plan.tiesProven)) return;
  made.delete(question);
  made.set(question, plan);
  if (made.size > MOST) made.delete(made.keys().next().value!);
}
