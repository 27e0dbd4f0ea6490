import loadHighs, { type Highs } from "highs";
import wasmUrl from "highs/runtime?url";
import { highsSolver } from "../core/plan/highsSolver.ts";
import type { FromWorker, ToWorker } from "./protocol.ts";
import { showPlan } from "./showPlan.ts";

let highs: Promise<Highs> | null = null;
const say = (message: FromWorker) => postMessage(message);

onmessage = async (event: MessageEvent<ToWorker>) => {
  const { run, request } = event.data;
  try {
    highs ??= loadHighs({ locateFile: () => wasmUrl });
    const solver = highsSolver(await highs);
    const plan = showPlan(request, solver, (p) => say({ run, is: "progress", ...p }));
    say({ run, is: "done", plan });
  } catch (error) {
    say({ run, is: "failed", why: error instanceof Error ? error.message : String(error) });
  }
};
