import { expect } from "chai";
import { WorkerClient, type Failed, type WorkerLike } from "../../src/lib/workers/client.ts";

type Said = { readonly is: "said"; readonly text: string };

/** A worker that does nothing by itself: the test speaks for it. */
class SilentWorker implements WorkerLike {
  onmessage: WorkerLike["onmessage"] = null;
  onerror: WorkerLike["onerror"] = null;
  onmessageerror: WorkerLike["onmessageerror"] = null;
  readonly heard: { run: number; ask: string }[] = [];
  ended = false;
  postMessage(message: unknown): void {
    this.heard.push(message as never);
  }
  terminate(): void {
    this.ended = true;
  }
  answer(run: number, text: string): void {
    this.onmessage?.({ data: { run, answer: { is: "said", text } } } as MessageEvent);
  }
}

function client() {
  const workers: SilentWorker[] = [];
  const heard: (Said | Failed)[] = [];
  const c = new WorkerClient<string, Said>(
    () => {
      const w = new SilentWorker();
      workers.push(w);
      return w;
    },
    (said) => heard.push(said),
  );
  return { c, workers, heard };
}

describe("the page's side of a worker", () => {
  it("starts it when it is first asked, and asks the same one again", () => {
    const { c, workers } = client();
    expect(c.started).to.equal(false);
    c.ask("one");
    c.ask("two");
    expect(workers.length).to.equal(1);
    expect(workers[0]!.heard.map((h) => h.ask)).to.deep.equal(["one", "two"]);
  });
  it("hears answers to the run under way only", () => {
    const { c, workers, heard } = client();
    c.ask("old");
    const before = workers[0]!.heard[0]!.run;
    c.newRun();
    c.ask("new");
    const now = workers[0]!.heard[1]!.run;
    workers[0]!.answer(before, "stale");
    workers[0]!.answer(now, "fresh");
    expect(heard).to.deep.equal([{ is: "said", text: "fresh" }]);
  });
  it("ends it on stop, hears nothing more of it, and starts another when asked again", () => {
    const { c, workers, heard } = client();
    c.ask("one");
    c.stop();
    expect(workers[0]!.ended).to.equal(true);
    workers[0]!.answer(workers[0]!.heard[0]!.run, "too late");
    c.ask("two");
    expect(workers.length).to.equal(2);
    expect(heard).to.deep.equal([]);
  });
  it("says that it died, with the reason, and that an answer could not be read", () => {
    const { c, workers, heard } = client();
    c.ask("one");
    workers[0]!.onerror?.({ message: "out of memory" } as ErrorEvent);
    expect(workers[0]!.ended).to.equal(true);
    c.ask("two");
    workers[1]!.onerror?.({ message: "" } as ErrorEvent);
    c.ask("three");
    workers[2]!.onmessageerror?.({} as MessageEvent);
    expect(heard.map((h) => (h.is === "failed" ? h.why : ""))).to.deep.equal([
      "out of memory",
      "it could not start",
      "its answer could not be read",
    ]);
  });
  it("says so where the browser starts none, or cannot send what is asked", () => {
    const heard: (Said | Failed)[] = [];
    const none = new WorkerClient<string, Said>(
      () => {
        throw new Error("workers are forbidden");
      },
      (said) => heard.push(said),
    );
    none.ask("one");
    expect(heard).to.deep.equal([{ is: "failed", why: "workers are forbidden" }]);
  });
});
