import { untrack } from "svelte";
import { mergePoints, risen, type Axis, type FrontierPoint } from "../core/plan/frontier.ts";
import type { PlanRequest } from "../core/plan/request.ts";
import { planWorker } from "./planRun.svelte.ts";
import type { FromWorker, ToWorker } from "./protocol.ts";

/** Two workers share the points where that leaves a core for the page and the plan itself. */
const workers = (): number => Math.min(2, Math.max(1, navigator.hardwareConcurrency - 1));

/** A frontier as a screen sees it: quick points at once, each replaced when it is proven. */
export class FrontierRun {
  points = $state.raw<readonly FrontierPoint[]>([]);
  /** Points still to be proven; null: nothing is under way. */
  left = $state<number | null>(null);
  failure = $state<string | null>(null);
  #workers: Worker[] = [];
  #run = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;

  ask(request: PlanRequest, axis: Axis, afterMs: number): void {
    untrack(() => this.stop());
    this.points = [];
    this.failure = null;
    this.left = 1;
    const run = ++this.#run;
    this.#timer = setTimeout(() => {
      this.#workers = Array.from({ length: workers() }, () => this.#start(request, axis));
      this.#workers[0]!.postMessage({ run, ask: { is: "curve", request, axis } } as ToWorker);
    }, afterMs);
  }

  #start(request: PlanRequest, axis: Axis): Worker {
    const worker = planWorker();
    worker.onmessage = (e: MessageEvent<FromWorker>) => this.#hear(e.data, request, axis);
    worker.onerror = (e) => this.#fail(e.message || "the planner could not start");
    return worker;
  }

  #hear(message: FromWorker, request: PlanRequest, axis: Axis): void {
    if (message.run !== this.#run) return;
    if (message.is === "curve") {
      this.points = message.points;
      this.left = message.points.length;
      const limits = message.points.map((p) => p.limit);
      this.#workers.forEach((w, k) =>
        w.postMessage({
          run: message.run,
          ask: {
            is: "points",
            request,
            axis,
            limits: limits.filter((_, i) => i % this.#workers.length === k),
          },
        } as ToWorker),
      );
    } else if (message.is === "point") {
      this.points = mergePoints(this.points, [message.point]);
      this.left = (this.left ?? 1) - 1;
      if (this.left === 0) {
        this.points = risen(this.points);
        this.#end();
      }
    } else if (message.is === "failed") this.#fail(message.why);
  }

  #fail(why: string): void {
    this.failure = why;
    this.#end();
  }

  #end(): void {
    this.left = null;
    this.#workers.forEach((w) => w.terminate());
    this.#workers = [];
  }

  stop(): void {
    clearTimeout(this.#timer);
    this.#run++;
    this.#end();
  }
}
