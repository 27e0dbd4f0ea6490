import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import loadHighs from "highs";
import type { AuditFile } from "../../src/lib/core/model/auditFile.ts";
import { highsSolver } from "../../src/lib/core/plan/highsSolver.ts";
import type { Solver } from "../../src/lib/core/plan/linearModel.ts";
import { plan } from "../../src/lib/core/plan/plan.ts";
import type { PlanRequest } from "../../src/lib/core/plan/request.ts";
import { NO_LIMITS } from "../../src/lib/core/plan/limits.ts";
import type { Product } from "../../src/lib/core/model/priceBook.ts";
import { TODAY } from "./build.ts";

/** Small products, requests and plans for tests: 10 g and 10 ml a piece unless said. */
export const product = (
  id: string,
  itemType: string,
  pack: number,
  price: number,
  more: Partial<Product> = {},
): Product => ({
  id,
  title: id,
  itemType,
  pack,
  price: { amount: price, currency: "EUR" },
  massG: 10 * pack,
  bulkMl: 10 * pack,
  ...more,
});
export const bookOf = (products: readonly Product[]) => ({
  id: "b",
  title: "b",
  currency: "EUR",
  products: [...products],
});
export const request = (
  file: AuditFile,
  products: readonly Product[],
  more: Partial<PlanRequest> = {},
): PlanRequest => ({
  audit: file,
  catalogue: CATALOGUE,
  book: bookOf(products),
  question: "cheapest",
  target: "ready",
  limits: NO_LIMITS,
  keep: [],
  today: TODAY,
  ...more,
});

/** A solver whose own limits on time do not count: it is the same on any machine. */
export const untimed =
  (solver: Solver): Solver =>
  (model, { timeLimitS: _, ...options } = {}) =>
    solver(model, options);

export const realSolver = async (): Promise<Solver> => highsSolver(await loadHighs());

/** The plan; throws where there is none. */
export function solved(r: PlanRequest, solver: Solver) {
  const outcome = plan(r, solver);
  if (outcome.status === "infeasible") throw new Error(JSON.stringify(outcome.why));
  return outcome;
}

/** "1 five": packs and product ids as bought. */
export const purchasesOf = (outcome: ReturnType<typeof solved>): string[] =>
  outcome.choice.purchases.map((p) => `${p.packs} ${p.product.id}`);
