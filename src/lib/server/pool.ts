import { resolve } from "node:path";
import { availableParallelism } from "node:os";
import { Worker } from "node:worker_threads";
import { refusal, type Answer } from "./answer.ts";
import type { Work } from "./workThread.ts";

/** How a pool of threads is bounded. */
interface Bounds {
  readonly threads: number;
  /** More that wait are turned away at once. */
  readonly mostWaiting: number;
  /** Nobody waits longer for a thread. */
  readonly longestWaitMs: number;
  /** What takes longer is ended, its thread with it. */
  readonly longestWorkMs: number;
  /** When to ask again, seconds. */
  readonly retryAfterS: number;
}

/**
 * Threads that answer bodies, so that the server itself always answers. What a client no longer waits for
 * is taken out of the line, or ended.
 */
export class Pool {
  readonly #bounds: Bounds;
  readonly #idle: Worker[] = [];
  /** What starts each of those that wait, in their order. */
  readonly #waiting = new Set<() => void>();
  #threads = 0;

  constructor(bounds: Bounds) {
    this.#bounds = bounds;
  }

  async answer(work: Work, signal: AbortSignal): Promise<Answer> {
    const worker = await this.#thread(signal);
    if (worker === "busy")
      return refusal(503, `the server is busy: ask again in ${this.retryAfterS} s`);
    if (worker === "gone") return GONE;
    return this.#ask(worker, work, signal);
  }

  get retryAfterS(): number {
    return this.#bounds.retryAfterS;
  }

  /** A thread that is free, after those that came before. */
  async #thread(signal: AbortSignal): Promise<Worker | "busy" | "gone"> {
    const { threads, mostWaiting, longestWaitMs } = this.#bounds;
    const free = this.#idle.pop();
    if (free) return free;
    if (this.#threads < threads) return this.#spawn();
    if (this.#waiting.size >= mostWaiting) return "busy";
    return new Promise((done) => {
      const end = (how: Worker | "busy" | "gone") => {
        this.#waiting.delete(start);
        clearTimeout(timer);
        signal.removeEventListener("abort", gone);
        done(how);
      };
      const start = () => end(this.#idle.pop() ?? this.#spawn());
      const gone = () => end("gone");
      const timer = setTimeout(() => end("busy"), longestWaitMs);
      signal.addEventListener("abort", gone);
      this.#waiting.add(start);
    });
  }

  #spawn(): Worker {
    this.#threads++;
    const built = process.env["WIDE_SIEVE_THREAD"];
    // Without a build (npm run dev) the source itself runs, through tsx.
    const worker = built
      ? new Worker(built)
      : new Worker(resolve("src/lib/server/workThread.ts"), { execArgv: ["--import", "tsx"] });
    worker.unref();
    // One that breaks while nobody has asked it anything is not asked again.
    worker.on("error", (error) => {
      console.error(error);
      const at = this.#idle.indexOf(worker);
      if (at < 0) return;
      this.#idle.splice(at, 1);
      this.#threads--;
    });
    return worker;
  }

  #ask(worker: Worker, work: Work, signal: AbortSignal): Promise<Answer> {
    return new Promise((done) => {
      const finish = (answer: Answer, reusable: boolean) => {
        clearTimeout(timer);
        signal.removeEventListener("abort", gone);
        worker.off("message", heard).off("error", broken);
        if (reusable) this.#idle.push(worker);
        else {
          this.#threads--;
          void worker.terminate();
        }
        done(answer);
        const [next] = this.#waiting;
        next?.();
      };
      const { longestWorkMs } = this.#bounds;
      const timer = setTimeout(
        () =>
          finish(
            refusal(503, `this took more than ${longestWorkMs / 1000} s: ask for less at once`),
            false,
          ),
        longestWorkMs,
      );
      const gone = () => finish(GONE, false);
      const heard = (answer: Answer) => finish(answer, true);
      const broken = () => finish(refusal(500, "the server could not finish this"), false);
      signal.addEventListener("abort", gone);
      worker.on("message", heard).on("error", broken);
      if (signal.aborted) gone();
      else worker.postMessage(work);
    });
  }
}

/** Nobody reads it. */
const GONE = refusal(499, "the client has left");

/** Cores for short work: one is left for the server itself and one for a plan. */
const SHORT_THREADS = Math.max(1, availableParallelism() - 2);

/** Cards, audits, reports, outings: seconds at most. */
export const short = new Pool({
  threads: SHORT_THREADS,
  mostWaiting: 200,
  longestWaitMs: 20_000,
  longestWorkMs: 10_000,
  retryAfterS: 5,
});
/** Plans take as long as their proof does. */
export const plans = new Pool({
  threads: 1,
  mostWaiting: 20,
  longestWaitMs: 45_000,
  longestWorkMs: 60_000,
  retryAfterS: 15,
});
