/**
 * Plans at scale, one thread: share proven, processor seconds and gap, at three budgets, with and without limits
 * on mass and volume. Seconds to the proof of what was asked, and with equally good plans told apart.
 * `npm run bench:plans [-- SEEDS [SIZE [free|limited [SECONDS]]]]`: SECONDS is the most that a plan may take.
 */
import loadHighs from "highs";
import { kitLoad } from "../src/lib/core/bag/load.ts";
import { greedyPlan } from "../src/lib/core/plan/greedy.ts";
import { highsSolver } from "../src/lib/core/plan/highsSolver.ts";
import { NO_LIMITS } from "../src/lib/core/plan/limits.ts";
import { plan } from "../src/lib/core/plan/plan.ts";
import { CATALOGUE } from "../src/lib/data/catalogue.ts";
import { denseCase, planCase, type SIZES } from "./planCases.ts";

const [, , seedsAsked = "5", only, onlyLimited, mostS] = process.argv;
const seeds = Number(seedsAsked);
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
    if (onlyLimited && (onlyLimited === "limited") !== limited) continue;
    const cpu: number[] = [];
    const cpuToProof: number[] = [];
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
        const seconds = () => {
          const used = process.cpuUsage(before);
          return (used.user + used.system) / 1e6;
        };
        let toProof: number | null = null;
        const timeLimit = mostS ? { timeLimitS: Number(mostS) } : {};
        const outcome = plan({ ...asked, limits, ...timeLimit }, solver, ({ proven }) => {
          if (proven) toProof = seconds();
        });
        cpu.push(seconds());
        cpuToProof.push(toProof ?? cpu.at(-1)!);
        if (outcome.status === "optimal") {
          proven++;
          if (outcome.tiesProven) ties++;
        } else if (outcome.status === "feasible")
          gaps.push(`${outcome.gap.toFixed(3)} ${outcome.gapIn}`);
      }
    const at = (of: number[], p: number) =>
      Number([...of].sort((a, b) => a - b)[Math.floor(p * (of.length - 1))]!.toFixed(2));
    rows[`${kind}${limited ? ", mass and volume" : ""}`] = {
      plans: cpu.length,
      proven: `${Math.round((100 * proven) / cpu.length)} %`,
      "ties too": `${Math.round((100 * ties) / cpu.length)} %`,
      "proof: median, s CPU": at(cpuToProof, 0.5),
      "95 %": at(cpuToProof, 0.95),
      "ties too: median": at(cpu, 0.5),
      "95 % ": at(cpu, 0.95),
      gaps: gaps.join(", "),
    };
    console.table(rows);
  }
}
