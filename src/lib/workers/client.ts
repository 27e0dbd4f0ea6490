/**
 * The page's side of a worker, the same for each of them. Runs are numbered: an answer to an earlier
 * run than the newest is dropped, so that nothing stale is ever shown. A worker that dies says so.
 */

/** What crosses to a worker. */
export interface Asked<Ask> {
  readonly run: number;
  readonly ask: Ask;
}
/** What comes back; `failed` from any of them. */
export interface Answered<Answer> {
  readonly run: number;
  readonly answer: Answer | Failed;
}
export interface Failed {
  readonly is: "failed";
  readonly why: string;
}

/** The part of a browser's Worker that is used here. */
export interface WorkerLike {
  postMessage(message: unknown): void;
  terminate(): void;
  onmessage: ((event: MessageEvent) => void) | null;
  onerror: ((event: ErrorEvent) => void) | null;
  onmessageerror: ((event: MessageEvent) => void) | null;
}

export class WorkerClient<Ask, Answer extends { readonly is: string }> {
  #worker: WorkerLike | null = null;
  #run = 0;
  readonly #start: () => WorkerLike;
  readonly #hear: (answer: Answer | Failed) => void;

  constructor(start: () => WorkerLike, hear: (answer: Answer | Failed) => void) {
    this.#start = start;
    this.#hear = hear;
  }

  get started(): boolean {
    return this.#worker !== null;
  }

  /** From here on only answers to what is asked next are heard. */
  newRun(): void {
    this.#run++;
  }

  /** Asks within the run under way; starts the worker where there is none. */
  ask(ask: Ask): void {
    try {
      this.#worker ??= this.#listen(this.#start());
      this.#worker.postMessage({ run: this.#run, ask } satisfies Asked<Ask>);
    } catch (error) {
      this.#fail(error instanceof Error ? error.message : String(error));
    }
  }

  /** Stops it at once: a worker hears nothing while it works, so it goes. */
  stop(): void {
    this.#run++;
    this.#worker?.terminate();
    this.#worker = null;
  }

  #listen(worker: WorkerLike): WorkerLike {
    worker.onmessage = (e: MessageEvent<Answered<Answer>>) => {
      if (e.data.run === this.#run) this.#hear(e.data.answer);
    };
    worker.onerror = (e) => this.#fail(e.message || "it could not start");
    worker.onmessageerror = () => this.#fail("its answer could not be read");
    return worker;
  }

  #fail(why: string): void {
    this.#worker?.terminate();
    this.#worker = null;
    this.#hear({ is: "failed", why });
  }
}
