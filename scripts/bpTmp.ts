import { benchPlans } from "../bench/plans.ts";
await benchPlans();
