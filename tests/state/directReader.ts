import { CardReader } from "../../src/lib/workers/cardReader.ts";
import type { WorkerLike } from "../../src/lib/workers/client.ts";
import type { CardAsk } from "../../src/lib/workers/protocol.ts";

/** The reader of cards as its worker has it, in this thread: what crosses is copied, and answered in a task of its own. */
export class DirectReader implements WorkerLike {
  static all: DirectReader[] = [];
  onmessage: WorkerLike["onmessage"] = null;
  onerror: WorkerLike["onerror"] = null;
  onmessageerror: WorkerLike["onmessageerror"] = null;
  readonly asked: CardAsk[] = [];
  ended = false;
  readonly #reader = new CardReader();
  constructor() {
    DirectReader.all.push(this);
  }
  postMessage(message: unknown): void {
    const { run, ask } = structuredClone(message) as { run: number; ask: CardAsk };
    this.asked.push(ask);
    setTimeout(() => {
      if (this.ended) return;
      void this.#reader.answer(ask, (answer) => {
        const data = structuredClone({ run, answer });
        if (!this.ended) this.onmessage?.({ data } as MessageEvent);
      });
    });
  }
  terminate(): void {
    this.ended = true;
  }
}

/** Cards are read here, in the tests of this file. */
export function readsCards(): void {
  const worker = globalThis.Worker;
  before(() => (globalThis.Worker = DirectReader as unknown as typeof Worker));
  after(() => (globalThis.Worker = worker));
}
