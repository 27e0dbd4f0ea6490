import { untrack } from "svelte";
import { mergePoints, risen, type Axis, type FrontierPoint } from "../core/plan/frontier.ts";
import type { PlanRequest } from "../core/plan/request.ts";
import { WorkerClient, type Failed } from "./client.ts";
import { questionOf } from "./planRun.svelte.ts";
import { curveMade, keepCurve } from "./plansMade.ts";
import { planWorker } from "./planWorker.ts";
import type { PlanAsk, PlanSays } from "./protocol.ts";

/** Two workers share the points where that leaves a core for the page and the plan itself. */
const workers = (): number => Math.min(2, Math.max(1, navigator.hardwareConcurrency - 1));

/** A frontier as a screen sees it: quick points at once, each replaced when it is proven. None is drawn twice. */
export class FrontierRun {
  points = $state.raw<readonly FrontierPoint[]>([]);
  /** Points still to be proven; null: nothing is under way. */
  left = $state<number | null>(null);
  failure = $state<string | null>(null);
  #clients: WorkerClient<PlanAsk, PlanSays>[] = [];
  #timer: ReturnType<typeof setTimeout> | undefined;
  /** Keeps the curve under its question once it is whole. */
  #keep: (points: readonly FrontierPoint[]) => void = () => undefined;

  ask(request: PlanRequest, axis: Axis, afterMs: number): void {
    untrack(() => this.stop());
    this.points = [];
    this.failure = null;
    this.left = 1;
    const question = questionOf(request);
    this.#timer = setTimeout(() => {
      const key = JSON.stringify(question);
      const known = curveMade(key, axis);
      if (known) {
        this.points = known;
        this.left = null;
        return;
      }
      this.#keep = (points) => keepCurve(key, axis, points);
      this.#clients = Array.from(
        { length: workers() },
        () =>
          new WorkerClient<PlanAsk, PlanSays>(planWorker, (said) =>
            this.#hear(said, (limits) => ({ is: "points", request: question, axis, limits })),
          ),
      );
      this.#clients[0]!.ask({ is: "curve", request: question, axis });
    }, afterMs);
  }

  #hear(said: PlanSays | Failed, points: (limits: number[]) => PlanAsk): void {
    if (said.is === "curve") {
      this.points = said.points;
      this.left = said.points.length;
      const limits = said.points.map((p) => p.limit);
      const share = this.#clients.length;
      this.#clients.forEach((c, k) => c.ask(points(limits.filter((_, i) => i % share === k))));
    } else if (said.is === "point") {
      this.points = mergePoints(this.points, [said.point]);
      this.left = (this.left ?? 1) - 1;
      if (this.left === 0) {
        this.points = risen(this.points);
        this.#keep(this.points);
        this.#end();
      }
    } else if (said.is === "failed") {
      this.failure = said.why;
      this.#end();
    }
  }

  #end(): void {
    this.left = null;
    this.#clients.forEach((c) => c.stop());
    this.#clients = [];
  }

  stop(): void {
    clearTimeout(this.#timer);
    this.#end();
  }
}
