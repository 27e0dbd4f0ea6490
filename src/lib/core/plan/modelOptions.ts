import { neverLeft } from "./neverLeft.ts";
import type { Leaving } from "./leaving.ts";
import type { ModelOptions } from "./programme.ts";
import { asksForTarget, type PlanRequest } from "./request.ts";

/** What a request asks of the programme. */
export const modelOptions = (request: PlanRequest, leave: Leaving): ModelOptions => ({
  vitalInFull: asksForTarget(request.question) && request.target === "ready",
  leave,
  keep: neverLeft(request),
  maxSources: request.maxSources ?? null,
  book: request.book,
});
