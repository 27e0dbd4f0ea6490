import type { OneMore } from "../core/chance/oneMore.ts";
import type { Rare } from "../core/chance/rare.ts";
import type { Simulation } from "../core/chance/simulate.ts";
import type { Swing } from "../core/chance/tornado.ts";
import { WorkerClient } from "./client.ts";
import type { ChanceAsk, ChanceSays } from "./protocol.ts";

const chanceWorker = (): Worker =>
  new Worker(new URL("./chance.worker.ts", import.meta.url), { type: "module" });

/** Outings played in a worker; an answer to an older question is never shown. */
export class ChanceRun {
  run = $state.raw<Simulation | null>(null);
  rare = $state.raw<readonly Rare[]>([]);
  more = $state.raw<readonly OneMore[] | null>(null);
  swings = $state.raw<readonly Swing[] | null>(null);
  /** What is shown answers an older question until the newest has come. */
  stale = $state(false);
  failure = $state<string | null>(null);
  #client = new WorkerClient<ChanceAsk, ChanceSays>(chanceWorker, (said) => {
    switch (said.is) {
      case "failed":
        this.failure = said.why;
        this.stale = false;
        return;
      case "run":
        this.run = said.run;
        this.stale = false;
        return;
      case "rare":
        this.rare = said.rare;
        return;
      case "more":
        this.more = said.more;
        return;
      case "tornado":
        this.swings = said.swings;
    }
  });

  ask(ask: ChanceAsk): void {
    this.failure = null;
    this.stale = true;
    this.rare = [];
    this.more = this.swings = null;
    this.#client.newRun();
    this.#client.ask(ask);
  }

  stop(): void {
    this.stale = false;
    this.#client.stop();
  }
}
