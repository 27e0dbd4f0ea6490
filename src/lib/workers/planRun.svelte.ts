import { untrack } from "svelte";
import type { PlanRequest } from "../core/plan/plan.ts";
import type { FromWorker, PlanShown, ToWorker } from "./protocol.ts";

/**
 * The planner as a screen sees it: one run at a time, the newest; a run that the user has since made
 * stale is stopped and its answer never shown.
 */
export class PlanRun {
  running = $state.raw<{ stage: string; share: number } | null>(null);
  result = $state.raw<PlanShown | null>(null);
  failure = $state<string | null>(null);
  #worker: Worker | null = null;
  #run = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;

  /** Starts after a pause in which nothing else was asked. */
  ask(request: PlanRequest, afterMs: number): void {
    // Whoever asks from an effect must not come to depend on the run itself.
    untrack(() => this.stop());
    this.result = null;
    this.failure = null;
    this.running = { stage: "waiting", share: 0 };
    const run = ++this.#run;
    this.#timer = setTimeout(() => this.#send({ run, request }), afterMs);
  }

  #send(message: ToWorker): void {
    this.#worker ??= new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" });
    this.#worker.onmessage = (e: MessageEvent<FromWorker>) => this.#hear(e.data);
    this.#worker.onerror = (e) =>
      this.#hear({
        run: message.run,
        is: "failed",
        why: e.message || "the planner could not start",
      });
    this.#worker.postMessage(message);
  }

  #hear(message: FromWorker): void {
    if (message.run !== this.#run) return;
    if (message.is === "progress") {
      this.running = { stage: message.stage, share: message.share };
      return;
    }
    this.running = null;
    if (message.is === "done") this.result = message.plan;
    else this.failure = message.why;
  }

  /** Stops the solver at once: it hears nothing while it works, so its worker goes. */
  stop(): void {
    clearTimeout(this.#timer);
    if (this.running && this.running.stage !== "waiting") {
      this.#worker?.terminate();
      this.#worker = null;
    }
    this.#run++;
    this.running = null;
  }

  dispose(): void {
    this.stop();
    this.#worker?.terminate();
    this.#worker = null;
  }
}
