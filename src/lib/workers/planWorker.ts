import { isCompiled, type Compiled } from "./compiled.ts";

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
