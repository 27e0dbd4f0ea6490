/** The solver's code between a page and its planners: once compiled, the next of them begins with it. */
export interface Compiled {
  readonly compiled: WebAssembly.Module;
}
export const isCompiled = (data: unknown): data is Compiled =>
  typeof data === "object" && data !== null && "compiled" in data;

let kept: Compiled | null = null;

/** A worker that plans, wherever one is wanted. The first takes four times as long over a small plan as those after it. */
export function planWorker(): Worker {
  const worker = new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" });
  if (kept) worker.postMessage(kept);
  else
    worker.addEventListener("message", (event: MessageEvent<unknown>) => {
      if (!isCompiled(event.data)) return;
      kept = event.data;
      event.stopImmediatePropagation();
    });
  return worker;
}
