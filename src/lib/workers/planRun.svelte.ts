import { untrack } from "svelte";
import type { PlanRequest } from "../core/plan/request.ts";
import type { Without } from "../core/plan/whatIf.ts";
import type { FromWorker, PlanShown, QuickShown, ToWorker } from "./protocol.ts";

/** A worker that plans, wherever one is wanted. */
export const planWorker = (): Worker =>
  new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" });

export interface Running {
  readonly stage: string;
  readonly share: number;
  readonly best?: number | undefined;
  readonly bound?: number | undefined;
}

/**
 * The planner as a screen sees it: one run at a time, the newest; a run that the user has since made
 * stale is stopped and its answer never shown.
 */
export class PlanRun {
  running = $state.raw<Running | null>(null);
  /** A first answer, while the proven one is sought. */
  quick = $state.raw<QuickShown | null>(null);
  result = $state.raw<PlanShown | null>(null);
  failure = $state<string | null>(null);
  /** What the plan would be without single products, by product id; null: being worked out. */
  without = $state.raw<Readonly<Record<string, Without | null>>>({});
  #worker: Worker | null = null;
  #run = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;

  /** Starts after a pause in which nothing else was asked. */
  ask(request: PlanRequest, afterMs: number): void {
    // Whoever asks from an effect must not come to depend on the run itself.
    untrack(() => this.stop());
    this.result = null;
    this.quick = null;
    this.failure = null;
    this.without = {};
    this.running = { stage: "waiting", share: 0 };
    const run = ++this.#run;
    this.#timer = setTimeout(() => this.#send({ run, ask: { is: "plan", request } }), afterMs);
  }

  /** Asks once what would be done without a product of the plan shown. */
  askWithout(product: string): void {
    if (product in this.without || !this.result || !this.#worker) return;
    this.without = { ...this.without, [product]: null };
    this.#send({ run: this.#run, ask: { is: "without", product } });
  }

  #send(message: ToWorker): void {
    this.#worker ??= planWorker();
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
    switch (message.is) {
      case "progress":
        if (this.running) {
          const { stage, share, best, bound } = message;
          this.running = { stage, share, best, bound };
        }
        return;
      case "quick":
        this.quick = message.quick;
        return;
      case "without":
        this.without = { ...this.without, [message.product]: message.without };
        return;
      case "done":
        this.running = null;
        this.result = message.plan;
        return;
      case "failed":
        this.running = null;
        this.failure = message.why;
    }
  }

  /** Stops the solver at once: it hears nothing while it works, so its worker goes. */
  stop(): void {
    clearTimeout(this.#timer);
    const busy =
      (this.running && this.running.stage !== "waiting") ||
      Object.values(this.without).some((w) => w === null);
    if (busy) {
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
