import { parentPort } from "node:worker_threads";
import { refusal } from "./answer.ts";
import { answers } from "./answers.ts";

/** What a thread is asked, one at a time. */
export interface Work {
  readonly of: keyof typeof answers;
  readonly text: string;
  readonly today: string;
}

/** A thread that answers one body after another (pool.ts). */
parentPort!.on("message", ({ of, text, today }: Work) => {
  void (async () => {
    try {
      parentPort!.postMessage(await answers[of](text, today));
    } catch (error) {
      // What went wrong is for the log of who runs the server; the client gets no insides of it.
      console.error(error);
      parentPort!.postMessage(refusal(500, "the server could not finish this"));
    }
  })();
});
