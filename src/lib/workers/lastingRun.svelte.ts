import type { Lasting } from "../core/chance/lasting.ts";
import { WorkerClient } from "./client.ts";
import { planWorker } from "./planWorker.ts";
import type { PlanAsk, PlanSays } from "./protocol.ts";

type Ask = Omit<Extract<PlanAsk, { is: "lasting" }>, "is">;

/** The cheapest kit that lasts, sought in a worker; it can be stopped. */
export class LastingRun {
  answer = $state.raw<Lasting | null>(null);
  /** 0–1 while it is sought; null: nothing is under way. */
  share = $state<number | null>(null);
  failure = $state<string | null>(null);
  #client: WorkerClient<PlanAsk, PlanSays> | null = null;

  ask(ask: Ask): void {
    this.stop();
    this.answer = this.failure = null;
    this.share = 0;
    this.#client = new WorkerClient<PlanAsk, PlanSays>(planWorker, (said) => {
      if (said.is === "lasting-share") this.share = said.share;
      else if (said.is === "lasting") {
        this.answer = said.lasting;
        this.stop();
      } else if (said.is === "failed") {
        this.failure = said.why;
        this.stop();
      }
    });
    this.#client.ask({ is: "lasting", ...ask });
  }

  /** What was found answers an older question. */
  clear(): void {
    this.stop();
    this.answer = this.failure = null;
  }

  stop(): void {
    this.#client?.stop();
    this.#client = null;
    this.share = null;
  }
}
