/**
 * Plans at scale, one thread: share proven, processor seconds and gap, at three budgets, with and without limits
 * on mass and volume. `npm run bench:plans [-- SEEDS [SIZE]]`.
 */
import loadHighs from "highs";
import { kitLoad } from "../src/lib/core/bag/load.ts";
import { greedyPlan } from "../src/lib/core/plan/greedy.ts";
import { highsSolver } from "../src/lib/core/plan/highsSolver.ts";
import { NO_LIMITS } from "../src/lib/core/plan/limits.ts";
import { plan } from "../src/lib/core/plan/plan.ts";
import { CATALOGUE } from "../src/lib/data/catalogue.ts";
import { denseCase, planCase, type SIZES } from "./planCases.ts";

const [seeds = 5, only] = [Number(process.argv[2] ?? 5), process.argv[3]];
/** Of what filling everything costs; and of what the kit weighs and takes. */
const BUDGETS = [0.25, 0.5, 1];
const LOAD = 1.12;

const solver = highsSolver(await loadHighs());
const rows: Record<string, Record<string, string | number>> = {};
for (const [kind, cases, size] of [
  ["typical", planCase, "typical"],
  ["large", planCase, "large"],
  ["typical, overlapping", denseCase, "typical"],
] as const satisfies readonly (readonly [string, typeof planCase, keyof typeof SIZES])[]) {
  if (only && only !== kind) continue;
  for (const limited of [false, true]) {
    const cpu: number[] = [];
    const gaps: string[] = [];
    let proven = 0;
    let ties = 0;
    for (let seed = 1; seed <= seeds; seed++)
      for (const share of BUDGETS) {
        const { audit, book } = cases(size, seed);
        const base = { audit, book, catalogue: CATALOGUE, keep: [], today: "2026-11-26" };
        const asked = { ...base, question: "best", target: "ready", limits: NO_LIMITS } as const;
        const budget = Math.round(greedyPlan(asked).choice.price * share * 100) / 100;
        const load = kitLoad(audit, CATALOGUE);
        const limits = limited
          ? { budget, massG: LOAD * load.massG, volumeMl: LOAD * load.volumeMl }
          : { ...NO_LIMITS, budget };
        const before = process.cpuUsage();
        const outcome = plan({ ...asked, limits }, solver);
        const used = process.cpuUsage(before);
        cpu.push((used.user + used.system) / 1e6);
        if (outcome.status === "optimal") {
          proven++;
          if (outcome.tiesProven) ties++;
        } else if (outcome.status === "feasible")
          gaps.push(`${outcome.gap.toFixed(3)} ${outcome.gapIn}`);
      }
    cpu.sort((a, b) => a - b);
    const at = (p: number) => Number(cpu[Math.floor(p * (cpu.length - 1))]!.toFixed(2));
    rows[`${kind}${limited ? ", mass and volume" : ""}`] = {
      plans: cpu.length,
      proven: `${Math.round((100 * proven) / cpu.length)} %`,
      "ties too": `${Math.round((100 * ties) / cpu.length)} %`,
      "median, s CPU": at(0.5),
      "95 %, s CPU": at(0.95),
      gaps: gaps.join(", "),
    };
    console.table(rows);
  }
}
