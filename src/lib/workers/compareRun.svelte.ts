import type { KitRow } from "../core/compare/compareKits.ts";
import { WorkerClient } from "./client.ts";
import type { CompareAsk, CompareSays } from "./protocol.ts";

const compareWorker = (): Worker =>
  new Worker(new URL("./compare.worker.ts", import.meta.url), { type: "module" });

/** Kits under one judge, audited in a worker; only the answer to the newest question is shown. */
export class CompareRun {
  rows = $state.raw<readonly KitRow[]>([]);
  schools = $state.raw<CompareSays["schools"]>(null);
  failure = $state<string | null>(null);
  #client = new WorkerClient<CompareAsk, CompareSays>(compareWorker, (said) => {
    if (said.is === "failed") this.failure = said.why;
    else {
      this.rows = said.rows;
      this.schools = said.schools;
    }
  });

  ask(ask: CompareAsk): void {
    this.failure = null;
    this.#client.newRun();
    this.#client.ask(ask);
  }

  dispose(): void {
    this.#client.stop();
  }
}
