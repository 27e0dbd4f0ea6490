import { audit } from "../audit/audit.ts";
import { creditFor, typeLookup, type Catalogue } from "../catalogue/catalogue.ts";
import { mayPropose } from "../catalogue/mayPropose.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { PriceBook, Product } from "../model/priceBook.ts";
import { boughtLine, movedLine } from "../plan/candidates.ts";
import { NO_LIMITS } from "../plan/limits.ts";
import type { PlanRequest } from "../plan/request.ts";
import type { Answer, KeyFile, Result } from "./exerciseFile.ts";

type PlanTask = NonNullable<KeyFile["plan"]>;

/** What of a price book may be bought for a kit's list, in the order of its names. */
function productsFor(file: AuditFile, book: PriceBook, catalogue: Catalogue): Product[] {
  const typeOf = typeLookup(file.itemTypes, catalogue);
  const asked = new Set(file.list.needs.map((n) => n.function));
  return book.products
    .filter((p) => {
      const type = typeOf(p.itemType);
      return (
        type !== undefined &&
        mayPropose(p, typeOf) &&
        [...asked].some((f) => (creditFor(type, f)?.credit ?? 0) > 0)
      );
    })
    .sort((a, b) => (a.title < b.title ? -1 : a.title > b.title ? 1 : 0));
}

/** The question whose answer is the most that the budget can buy. */
export const optimumRequest = (
  truth: AuditFile,
  book: PriceBook,
  budget: number,
  today: string,
  catalogue: Catalogue,
): PlanRequest => ({
  ...{ audit: truth, catalogue, today, keep: [], target: "ready", question: "best" },
  book: { ...book, products: productsFor(truth, book, catalogue) },
  limits: { ...NO_LIMITS, budget },
});

/** A plan within a budget as the key keeps it. @param optimum coverage of the best plan, from the planner */
export const planTask = (
  truth: AuditFile,
  book: PriceBook,
  budget: number,
  optimum: number,
  today: string,
  catalogue: Catalogue,
): PlanTask => ({
  ...{ truth, today, budget, currency: book.currency },
  products: productsFor(truth, book, catalogue),
  before: audit(truth, today, catalogue).coverage ?? 0,
  optimum,
});

/** A student's plan held against the best one. Money in the task's currency, coverage 0–1. */
export interface MarkedPlan {
  readonly cost: number;
  readonly overBudget: boolean;
  readonly coverage: number;
  readonly before: number;
  readonly optimum: number;
  /** Of the points that could be gained, the share that was; null: none could, or the budget was not kept. */
  readonly share: number | null;
}

/** Money is told apart to a tenth of a cent: sums of prices are fractions. */
const MONEY_TOLERANCE = 1e-3;

/**
 * What a plan makes of the kit as it really is: its purchases put in, and what the student would move brought
 * within reach. The planner moves things too, so the comparison is fair.
 */
export function markPlan(
  task: PlanTask,
  plan: NonNullable<Result["plan"]>,
  answers: readonly Answer[],
  catalogue: Catalogue,
): MarkedPlan {
  const products = new Map(task.products.map((p) => [p.id, p]));
  const bought = plan.flatMap(({ product, packs }) => {
    const p = products.get(product);
    return p ? [{ p, packs }] : [];
  });
  const moved = new Set(answers.filter((a) => a.verdict === "move").map((a) => a.line));
  const { truth, today, before, optimum, budget } = task;
  const lines = [
    ...truth.kit.lines.map((l) => (moved.has(l.id) ? movedLine(l) : l)),
    ...bought.map(({ p, packs }) => boughtLine(p, packs, today)),
  ];
  const after = audit({ ...truth, kit: { ...truth.kit, lines } }, today, catalogue).coverage ?? 0;
  const cost = bought.reduce((sum, { p, packs }) => sum + packs * p.price.amount, 0);
  const overBudget = cost > budget + MONEY_TOLERANCE;
  const room = optimum - before;
  return {
    ...{ cost, overBudget, before, optimum },
    coverage: after,
    share: overBudget || room <= 1e-9 ? null : Math.max(0, (after - before) / room),
  };
}
