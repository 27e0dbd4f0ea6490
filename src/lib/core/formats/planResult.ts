import { auditResult } from "./auditResult.ts";
import { actionsOf, unmetAfter, type Action } from "../plan/actions.ts";
import { frontier } from "../plan/frontier.ts";
import type { Solver } from "../plan/linearModel.ts";
import { placesOf } from "../plan/places.ts";
import { without } from "../plan/without.ts";
import type { PlanOutcome } from "../plan/plan.ts";
import { asksForTarget, type PlanRequest } from "../plan/request.ts";

const two = (n: number) => Math.round(n * 100) / 100;
const six = (n: number) => Math.round(n * 1e6) / 1e6;

/** A plan as the command line and the server routes give it. */
export function planResult(outcome: PlanOutcome, request: PlanRequest) {
  const asked = {
    question: request.question,
    target: asksForTarget(request.question) ? request.target : null,
    limits: request.limits,
    currency: request.book.currency,
  };
  if (outcome.status === "infeasible")
    return { status: outcome.status, ...asked, why: outcome.why };
  const { choice } = outcome;
  const places = placesOf(choice.after);
  const { coverage, interval, grade, gradeInterval, decidedBy, categories, needs } = auditResult(
    choice.after,
  );
  return {
    status: outcome.status,
    gap: six(outcome.gap),
    gapIn: outcome.gapIn,
    tiesProven: outcome.tiesProven,
    ...asked,
    actions: actionsOf(outcome, request).map(printed),
    totals: {
      price: two(choice.price),
      postage: choice.postage,
      ...(choice.owning === null ? {} : { fiveYears: two(choice.owning) }),
      boughtMassG: two(choice.boughtMassG),
      products: choice.purchases.length,
      packs: choice.purchases.reduce((s, p) => s + p.packs, 0),
      carriedMassG: two(choice.load.massG),
      carriedVolumeMl: two(choice.load.volumeMl),
    },
    before: {
      coverage: outcome.before.coverage === null ? null : six(outcome.before.coverage),
      grade: outcome.before.grade,
    },
    unmet: unmetAfter(outcome).map((n) => ({ ...n, met: six(n.met) })),
    ...(places ? { places } : {}),
    result: { coverage, interval, grade, gradeInterval, decidedBy, categories, needs },
  };
}

/** A frontier as the command line and the server routes give it. */
export const frontierResult = ({ points, knees, steps }: ReturnType<typeof frontier>) =>
  points.map((p, i) => {
    const step = steps.find((s) => s.at === i);
    return {
      limit: p.limit,
      coverage: six(p.coverage),
      vital: six(p.vital),
      bound: six(p.bound),
      price: two(p.price),
      massG: two(p.massG),
      grade: p.grade,
      proven: p.proven,
      knee: knees.includes(i),
      enters: step?.enters ?? [],
      leaves: step?.leaves ?? [],
    };
  });

/** When each purchase would change, by product. Blocking: one plan a purchase. */
export function changesResult(outcome: PlanOutcome, request: PlanRequest, solver: Solver) {
  if (outcome.status === "infeasible") return [];
  return outcome.choice.purchases.map(({ product }) => {
    const other = without(request, outcome, product.id, solver);
    return other.none
      ? { product: product.id, only: true }
      : {
          product: product.id,
          only: false,
          priceMore: two(other.priceMore),
          coverageLess: six(other.coverageLess),
          changesAtPrice: other.changesAtPrice,
          changesAtMassG: other.changesAtMassG === null ? null : two(other.changesAtMassG),
          proven: other.proven,
          instead: other.purchases.map((p) => ({ product: p.product.id, packs: p.packs })),
        };
  });
}

/** The frontiers against budget and mass, as printed. Blocking. */
export const frontiersResult = (request: PlanRequest, solver: Solver) => ({
  budget: frontierResult(frontier(request, "budget", solver)),
  mass: frontierResult(frontier(request, "mass", solver)),
});

function printed(action: Action) {
  switch (action.kind) {
    case "add":
    case "top-up":
    case "replace":
    case "swap":
      return {
        ...action,
        product: action.product.id,
        title: action.product.title,
        itemType: action.product.itemType,
        source: action.product.source ?? null,
        leadDays: action.product.leadDays ?? null,
        price: two(action.price),
        massG: two(action.massG),
        gain: six(action.gain),
        gainPerPrice: action.gainPerPrice === null ? null : six(action.gainPerPrice),
        runnerUp: action.runnerUp && {
          product: action.runnerUp.product.id,
          packs: action.runnerUp.packs,
          price: two(action.runnerUp.price),
        },
      };
    case "bring":
    case "move":
      return { ...action, gain: six(action.gain) };
    case "drop":
    case "repack":
      return { ...action, massG: two(action.massG) };
    case "train":
      return { ...action, price: two(action.price), gain: six(action.gain) };
    case "check":
      return action;
  }
}
