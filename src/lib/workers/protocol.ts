import type { Action } from "../core/plan/actions.ts";
import type { Obstacle } from "../core/plan/infeasible.ts";
import type { PlanRequest } from "../core/plan/plan.ts";
import type { Grade } from "../core/score/grade.ts";
import type { SiftedNeed } from "../core/sieve/sift.ts";

/** What the page and the plan worker say to each other. Runs are numbered; the page drops old answers. */

export interface ToWorker {
  readonly run: number;
  readonly request: PlanRequest;
}

export type FromWorker =
  | {
      readonly run: number;
      readonly is: "progress";
      readonly stage: string;
      readonly share: number;
    }
  | { readonly run: number; readonly is: "done"; readonly plan: PlanShown }
  | { readonly run: number; readonly is: "failed"; readonly why: string };

/** A plan as the screens show it. */
export type PlanShown =
  | { readonly status: "infeasible"; readonly why: readonly Obstacle[] }
  | {
      readonly status: "optimal" | "feasible";
      readonly gap: number;
      readonly actions: readonly Action[];
      readonly price: number;
      readonly boughtMassG: number;
      readonly carriedMassG: number;
      readonly carriedVolumeMl: number;
      readonly packs: number;
      readonly before: number;
      readonly coverage: number;
      readonly grade: Grade;
      /** Need ids in order, with where they rest and what reaches the pan after the plan. */
      readonly needs: readonly {
        readonly id: string;
        readonly restsOn: SiftedNeed["restsOn"];
        readonly value: number;
      }[];
    };
