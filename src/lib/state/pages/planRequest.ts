import type { Catalogue } from "../../core/catalogue/catalogue.ts";
import type { AuditFile } from "../../core/model/auditFile.ts";
import { keptToCarry } from "../../core/plan/fitCarry.ts";
import { keptToBag } from "../../core/plan/fitBag.ts";
import type { Course, PlanRequest } from "../../core/plan/request.ts";
import type { PriceBook } from "../../core/model/priceBook.ts";
import type { KitRecord } from "../../core/records/kitRecord.ts";

/** Nobody waits longer at the bench: then the best found, with its bound. */
const TIME_LIMIT_S = 30;

/** What the plan of a kit is asked: question, limits of the brief, and the wishes kept with the kit. */
export function planRequestOf(
  plan: KitRecord["plan"],
  audit: AuditFile,
  book: PriceBook,
  today: string,
  catalogue: Catalogue,
): PlanRequest {
  const { limits } = audit.brief;
  const request: PlanRequest = {
    audit,
    catalogue,
    book,
    question: plan.question,
    target: plan.target ?? "ready",
    limits: {
      budget: plan.budget ?? limits.budget ?? null,
      massG: limits.massG ?? null,
      volumeMl: limits.volumeMl ?? null,
    },
    keep: plan.keep ?? [],
    exclude: plan.exclude ?? [],
    maxSources: plan.maxSources ?? null,
    courses: Object.entries(plan.courses ?? {}).flatMap(([to, price]): Course[] =>
      price === undefined ? [] : [{ to: to as Course["to"], price }],
    ),
    timeLimitS: TIME_LIMIT_S,
    today,
  };
  const bagged = plan.fitBag ? keptToBag(request) : request;
  return plan.fitCarry ? keptToCarry(bagged) : bagged;
}
