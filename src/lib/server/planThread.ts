import { parentPort, workerData } from "node:worker_threads";
import loadHighs from "highs";
import { highsSolver } from "../core/plan/highsSolver.ts";
import { plan } from "../core/plan/plan.ts";
import type { PlanRequest } from "../core/plan/request.ts";
import { planResult } from "../core/plan/planResult.ts";

/** A thread that solves one plan and says the result. */
const request = workerData as PlanRequest;
const solver = highsSolver(await loadHighs());
parentPort!.postMessage(planResult(plan(request, solver), request));
