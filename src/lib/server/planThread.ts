import { parentPort, workerData } from "node:worker_threads";
import loadHighs from "highs";
import { highsSolver } from "../core/plan/highsSolver.ts";
import { plan } from "../core/plan/plan.ts";
import { frontiersResult, planResult } from "../core/formats/planResult.ts";
import { CATALOGUE } from "../data/catalogue.ts";
import type { PlanTask } from "./planPool.ts";

/** A thread that solves one plan and says the result. */
const { request: question, withFrontier } = workerData as PlanTask;
const request = { ...question, catalogue: CATALOGUE };
const solver = highsSolver(await loadHighs());
const result = planResult(plan(request, solver), request);
parentPort!.postMessage(
  withFrontier ? { ...result, frontier: frontiersResult(request, solver) } : result,
);
