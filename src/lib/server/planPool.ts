import { resolve } from "node:path";
import { Worker } from "node:worker_threads";
import type { PlanQuestion } from "../core/plan/request.ts";
import type { PlanResult } from "../core/formats/planResult.ts";

/** Plans at once: one core is left for everything else. More wait in line. */
const AT_ONCE = 1;
const MOST_WAITING = 20;
const PLAN_TIME_LIMIT_MS = 60_000;

/** What a thread is given. */
export interface PlanTask {
  readonly request: PlanQuestion;
  /** Coverage against budget and mass as well. */
  readonly withFrontier: boolean;
}

export type PlanAnswer =
  | { readonly ok: true; readonly result: PlanResult }
  | { readonly ok: false; readonly why: "busy" | "too-long" | "failed"; readonly message: string };

let running = 0;
const waiting: (() => void)[] = [];

/** Solves a plan in a thread of its own, so that the server goes on answering. */
export async function planOffThread(task: PlanTask): Promise<PlanAnswer> {
  if (running >= AT_ONCE) {
    if (waiting.length >= MOST_WAITING)
      return { ok: false, why: "busy", message: "too many plans are waiting" };
    await new Promise<void>((go) => waiting.push(go));
  }
  running++;
  try {
    return await solve(task);
  } finally {
    running--;
    waiting.shift()?.();
  }
}

function solve(task: PlanTask): Promise<PlanAnswer> {
  return new Promise((answer) => {
    const built = process.env["WIDE_SIEVE_PLAN_THREAD"];
    // Without a build (npm run dev) the source itself runs, through tsx.
    const worker = built
      ? new Worker(built, { workerData: task })
      : new Worker(resolve("src/lib/server/planThread.ts"), {
          workerData: task,
          execArgv: ["--import", "tsx"],
        });
    const timer = setTimeout(() => {
      answer({
        ok: false,
        why: "too-long",
        message: `the plan took more than ${PLAN_TIME_LIMIT_MS / 1000} s`,
      });
      void worker.terminate();
    }, PLAN_TIME_LIMIT_MS);
    worker.on("message", (result: PlanResult) => {
      clearTimeout(timer);
      answer({ ok: true, result });
      void worker.terminate();
    });
    worker.on("error", (error: unknown) => {
      clearTimeout(timer);
      answer({
        ok: false,
        why: "failed",
        message: error instanceof Error ? error.message : String(error),
      });
    });
  });
}
