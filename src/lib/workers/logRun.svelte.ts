import { WorkerClient } from "./client.ts";
import type { LogAsk, LogSays } from "./protocol.ts";

const logWorker = (): Worker =>
  new Worker(new URL("./log.worker.ts", import.meta.url), { type: "module" });

/** Readiness since a log began, in a worker; only the newest answer is shown. */
export class LogRun {
  said = $state.raw<LogSays | null>(null);
  failure = $state<string | null>(null);
  running = $state(false);
  #client = new WorkerClient<LogAsk, LogSays>(logWorker, (said) => {
    this.running = false;
    if (said.is === "failed") this.failure = said.why;
    else this.said = said;
  });

  ask(ask: LogAsk): void {
    this.failure = null;
    this.running = true;
    this.#client.newRun();
    this.#client.ask(ask);
  }

  dispose(): void {
    this.#client.stop();
  }
}
