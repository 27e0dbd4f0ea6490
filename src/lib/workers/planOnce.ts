import type { PlanRequest } from "../core/plan/request.ts";
import { WorkerClient } from "./client.ts";
import { questionOf } from "./planRun.svelte.ts";
import { planWorker } from "./planWorker.ts";
import type { PlanAsk, PlanSays, PlanShown } from "./protocol.ts";

/** One plan made in a worker of its own; rejects where the worker fails. */
export const planOnce = (request: PlanRequest): Promise<PlanShown> =>
  new Promise((resolve, reject) => {
    const client = new WorkerClient<PlanAsk, PlanSays>(planWorker, (said) => {
      if (said.is !== "done" && said.is !== "failed") return;
      client.stop();
      if (said.is === "done") resolve(said.plan);
      else reject(new Error(said.why));
    });
    client.ask({ is: "plan", request: questionOf(request) });
  });
