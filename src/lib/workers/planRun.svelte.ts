import { untrack } from "svelte";
import type { Stage } from "../core/plan/stages.ts";
import type { PlanQuestion, PlanRequest } from "../core/plan/request.ts";
import type { Without } from "../core/plan/without.ts";
import { WorkerClient, type Failed } from "./client.ts";
import { keepPlan, planMade } from "./plansMade.ts";
import { planWorker } from "./planWorker.ts";
import type { ChoiceShown, PlanAsk, PlanSays, PlanShown, QuickShown } from "./protocol.ts";

export interface Running {
  readonly stage: Stage;
  readonly share: number;
  readonly best?: number | undefined;
  readonly bound?: number | undefined;
}

/** Whoever makes a plan at the moment, by what was asked. */
const makers = new Map<string, PlanRun>();

/**
 * The planner as a screen sees it: one run at a time, the newest; a run that the user has since made
 * stale is stopped and its answer never shown. What was planned on this page is not planned again, and what
 * two parts of it ask is planned once.
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
  #question: PlanQuestion | null = null;
  /** The question by which the plan is found again. */
  #key = "";
  /** Others that asked the same while this one was at it: they hear what it hears. */
  readonly #others = new Set<PlanRun>();

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
    this.#timer = setTimeout(() => {
      this.#question = questionOf(request);
      this.#key = JSON.stringify(this.#question);
      this.#begin();
    }, afterMs);
  }

  #begin(): void {
    const plan = planMade(this.#key);
    const maker = makers.get(this.#key);
    if (plan) this.#hear({ is: "done", plan });
    else if (maker) {
      maker.#others.add(this);
      this.running = maker.running;
      this.quick = maker.quick;
      this.proven = maker.proven;
    } else {
      makers.set(this.#key, this);
      this.#client.ask({ is: "plan", request: this.#question! });
    }
  }

  #done(): void {
    if (makers.get(this.#key) !== this) return;
    makers.delete(this.#key);
    this.#others.clear();
  }

  /** It makes its plan no longer; who waited for that begins anew, and the rest with it. */
  #leave(): void {
    const maker = makers.get(this.#key);
    if (maker !== this) {
      if (maker) maker.#others.delete(this);
      return;
    }
    makers.delete(this.#key);
    const others = [...this.#others];
    this.#others.clear();
    for (const other of others) other.#begin();
  }

  /** Asks once what would be done without a product of the plan shown. */
  askWithout(product: string): void {
    if (product in this.without || !this.result || !this.#question) return;
    this.without = { ...this.without, [product]: null };
    this.#client.ask({ is: "without", request: this.#question, product });
  }

  #hear(said: PlanSays | Failed): void {
    if (said.is !== "without") for (const other of this.#others) other.#hear(said);
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
        keepPlan(this.#key, said.plan);
        this.#done();
        return;
      case "failed":
        this.running = null;
        this.failure = said.why;
        this.#done();
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
      makers.get(this.#key) === this || Object.values(this.without).some((w) => w === null);
    if (busy) this.#client.stop();
    else this.#client.newRun();
    this.#leave();
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
