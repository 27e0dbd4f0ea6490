import type { Catalogue } from "../catalogue/catalogue.ts";
import type { Skill } from "../model/itemType.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Limits } from "./limits.ts";
import type { PriceBook } from "../model/priceBook.ts";

export const QUESTIONS = ["cheapest", "best", "lightest", "own"] as const;
/**
 * `cheapest`: least price that reaches the target. `best`: most for the limits. `lightest`: least mass
 * carried that reaches the target. `own`: least of what is bought now and what runs out over five years.
 */
export type Question = (typeof QUESTIONS)[number];

/** Whether a question asks for a target: all but `best` do. */
export const asksForTarget = (question: Question | "smallest"): boolean => question !== "best";
/** Whether what does a good job may stay at home though no limit asks for it. */
export const mayLeaveFreely = (question: Question | "smallest"): boolean =>
  question === "lightest" || question === "smallest" || question === "own";

export interface PlanRequest {
  readonly audit: AuditFile;
  /** What it is judged by. */
  readonly catalogue: Catalogue;
  readonly book: PriceBook;
  /** `smallest`, the least space, is only asked to say why there is no plan. */
  readonly question: Question | "smallest";
  /** Of all questions but `best`: the grade Ready, or a coverage 0–1. */
  readonly target: "ready" | number;
  readonly limits: Limits;
  /** Constraint: lines always carried in full, by id. */
  readonly keep: readonly string[];
  /** Constraint: products that are not bought, by id. */
  readonly exclude?: readonly string[] | undefined;
  /** Constraint: buy at so many sources at most. */
  readonly maxSources?: number | null | undefined;
  /** Courses that the party could take, each at a price for all. */
  readonly courses?: readonly Course[] | undefined;
  /** The search ends after about so long and gives the best found with its bound. */
  readonly timeLimitS?: number | undefined;
  /** YYYY-MM-DD: orders are placed, and shelf lives start. */
  readonly today: string;
}

/** A request as it crosses to a worker, which has the catalogue itself. */
export type PlanQuestion = Omit<PlanRequest, "catalogue">;

/** Training that raises what the party may use. */
export interface Course {
  readonly to: Skill;
  /** For the whole party, in the price book's currency. */
  readonly price: number;
}

/** The price book without what the user does not want. */
export function bookOf(request: Pick<PlanRequest, "book" | "exclude">): PriceBook {
  const out = new Set(request.exclude);
  return out.size === 0
    ? request.book
    : { ...request.book, products: request.book.products.filter((p) => !out.has(p.id)) };
}
