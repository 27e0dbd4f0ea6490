import { WorkerClient } from "./client.ts";
import type { PdfAsk, PdfSays } from "./protocol.ts";

const pdfWorker = (): Worker =>
  new Worker(new URL("./pdf.worker.ts", import.meta.url), { type: "module" });

/** One PDF at a time, made in a worker; it can be given up. */
export class PdfRun {
  /** 0–1 while it is made; null: nothing is under way. */
  share = $state<number | null>(null);
  #client: WorkerClient<PdfAsk, PdfSays> | null = null;

  make(ask: PdfAsk, done: (blob: Blob) => void, failed: (why: string) => void): void {
    this.stop();
    this.share = 0;
    this.#client = new WorkerClient<PdfAsk, PdfSays>(pdfWorker, (said) => {
      if (said.is === "progress") {
        this.share = said.share;
        return;
      }
      this.stop();
      if (said.is === "done") done(said.blob);
      else failed(said.why);
    });
    this.#client.ask(ask);
  }

  stop(): void {
    this.#client?.stop();
    this.#client = null;
    this.share = null;
  }
}
