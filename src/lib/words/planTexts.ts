import type { Stage } from "../core/plan/stages.ts";

/** What the planner is at. */
export const STAGE_LABEL: Readonly<Record<Stage, string>> = {
  waiting: "waiting for the bench",
  first: "laying out the price book",
  price: "seeking the least price",
  vital: "seeking the most vital coverage",
  coverage: "seeking the most coverage",
  mass: "seeking the least weight",
  reasons: "writing the reasons",
};
