import type { PlanRequest } from "../core/plan/request.ts";
import { WorkerClient } from "./client.ts";
import { questionOf } from "./planRun.svelte.ts";
import { planWorker } from "./planWorker.ts";
import type { PlanAsk, PlanSays, PlanShown } from "./protocol.ts";

export interface NamedRequest {
  readonly id: string;
  readonly request: PlanRequest;
}

/** Several plans, one after another in one worker. */
export class PlansRun {
  answers = $state.raw<Readonly<Record<string, PlanShown>>>({});
  /** Plans that could not be made, with the reason. */
  failures = $state.raw<Readonly<Record<string, string>>>({});
  /** Index of the one being worked out; null: nothing is under way. */
  at = $state<number | null>(null);
  #client: WorkerClient<PlanAsk, PlanSays> | null = null;

  start(list: readonly NamedRequest[]): void {
    this.clear();
    const next = (i: number) => {
      const asked = list[i];
      if (!asked) return this.stop();
      this.at = i;
      this.#client ??= new WorkerClient<PlanAsk, PlanSays>(planWorker, (said) => {
        const id = list[this.at ?? 0]!.id;
        if (said.is === "done") this.answers = { ...this.answers, [id]: said.plan };
        else if (said.is === "failed") this.failures = { ...this.failures, [id]: said.why };
        else return;
        next((this.at ?? 0) + 1);
      });
      this.#client.ask({ is: "plan", request: questionOf(asked.request) });
    };
    next(0);
  }

  stop(): void {
    this.#client?.stop();
    this.#client = null;
    this.at = null;
  }

  clear(): void {
    this.stop();
    this.answers = {};
    this.failures = {};
  }
}
