import { getContext, onDestroy, setContext } from "svelte";
import { CATALOGUE } from "../data/catalogue.ts";
import type { PlanRequest } from "../core/plan/request.ts";
import { PlanRun } from "../workers/planRun.svelte.ts";
import type { KitState } from "./kit.svelte.ts";
import { workspace } from "./workspace.svelte.ts";

const KEY = Symbol("ready");
/** The bench is being worked at: the plan waits for a pause before it is solved again. */
const PAUSE_MS = 700;

/** Cost to ready: the cheapest plan without limits, solved again whenever the audit changes. */
class Ready {
  run = new PlanRun();
  request = $state.raw<PlanRequest | null>(null);
}

export function provideReady(kit: KitState): Ready {
  const ready = setContext(KEY, new Ready());
  // Runs the worker: the one place where a screen state leaves the page.
  $effect(() => {
    const request: PlanRequest = {
      audit: kit.file,
      catalogue: CATALOGUE,
      book: kit.book,
      question: "cheapest",
      target: "ready",
      limits: { budget: null, massG: null, volumeMl: null },
      keep: [],
      today: workspace.today,
    };
    ready.request = request;
    ready.run.ask(request, PAUSE_MS);
  });
  onDestroy(() => ready.run.dispose());
  return ready;
}

export const useReady = (): Ready => getContext<Ready>(KEY);
