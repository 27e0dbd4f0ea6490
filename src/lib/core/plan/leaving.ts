import { limitsLoad, type Limits } from "./limits.ts";
import { mayLeaveFreely, type PlanRequest } from "./request.ts";

/** Kit lines may stay at home: none, whole ones, or parts too. */
export type Leaving = "none" | "whole" | "parts";

/**
 * What may stay at home. Where the load is limited, or as little as may be is wanted, parts of lines too;
 * where it is asked what a kit costs over the years, whole lines, each of which costs what it costs; else
 * nothing that does a good job.
 */
export const leavingOf = (question: PlanRequest["question"], limited: boolean): Leaving =>
  question === "own" ? "whole" : limited || mayLeaveFreely(question) ? "parts" : "none";

/** Where the load is limited, or as little as may be is carried, what serves nothing stays at home. */
export const dropsUseless = (
  { question }: Pick<PlanRequest, "question">,
  limits: Limits,
): boolean => limitsLoad(limits) || question === "lightest" || question === "smallest";
