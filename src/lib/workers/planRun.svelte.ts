import { untrack } from "svelte";
import type { Stage } from "../core/plan/stages.ts";
import type { PlanQuestion, PlanRequest } from "../core/plan/request.ts";
import type { Without } from "../core/plan/without.ts";
import { WorkerClient, type Failed } from "./client.ts";
import type { ChoiceShown, PlanAsk, PlanSays, PlanShown, QuickShown } from "./protocol.ts";

/** A worker that plans, wherever one is wanted. */
export const planWorker = (): Worker =>
  new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" });

export interface Running {
  readonly stage: Stage;
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
  /** What the best comes to, while the lightest of equally good ones is sought. */
  proven = $state.raw<ChoiceShown | null>(null);
  result = $state.raw<PlanShown | null>(null);
  failure = $state<string | null>(null);
  /** What the plan would be without single products, by product id; null: being worked out. */
  without = $state.raw<Readonly<Record<string, Without | null>>>({});
  #client = new WorkerClient<PlanAsk, PlanSays>(planWorker, (said) => this.#hear(said));
  #timer: ReturnType<typeof setTimeout> | undefined;

  /** Starts after a pause in which nothing else was asked. */
  ask(request: PlanRequest, afterMs: number): void {
    // Whoever asks from an effect must not come to depend on the run itself.
    untrack(() => this.stop());
    this.result = null;
    this.quick = null;
    this.proven = null;
    this.failure = null;
    this.without = {};
    this.running = { stage: "waiting", share: 0 };
    this.#timer = setTimeout(
      () => this.#client.ask({ is: "plan", request: questionOf(request) }),
      afterMs,
    );
  }

  /** Asks once what would be done without a product of the plan shown. */
  askWithout(product: string): void {
    if (product in this.without || !this.result || !this.#client.started) return;
    this.without = { ...this.without, [product]: null };
    this.#client.ask({ is: "without", product });
  }

  #hear(said: PlanSays | Failed): void {
    switch (said.is) {
      case "progress":
        if (this.running) {
          const { stage, share, best, bound } = said;
          this.running = { stage, share, best, bound };
        }
        return;
      case "quick":
        this.quick = said.quick;
        return;
      case "proven":
        this.proven = said.proven;
        return;
      case "without":
        this.without = { ...this.without, [said.product]: said.without };
        return;
      case "done":
        this.running = null;
        this.result = said.plan;
        return;
      case "failed":
        this.running = null;
        this.failure = said.why;
        return;
      case "curve":
      case "point":
      case "points-done":
      case "lasting-share":
      case "lasting":
        // Asked for by others only.
        return;
    }
  }

  stop(): void {
    clearTimeout(this.#timer);
    const busy =
      (this.running && this.running.stage !== "waiting") ||
      Object.values(this.without).some((w) => w === null);
    if (busy) this.#client.stop();
    else this.#client.newRun();
    this.running = null;
  }

  dispose(): void {
    this.stop();
    this.#client.stop();
  }
}

/** Without the catalogue, which the worker has itself. */
export function questionOf({ catalogue: _, ...question }: PlanRequest): PlanQuestion {
  return question;
}
