/**
 * Small made-up kits, each with every combination of packs, of parts left at home and of courses tried and
 * audited, against the planner: no better plan, no false "no plan", no limit broken, every level of the
 * order met. `npm run exhaustive [-- FROM TO]`; some 300 others are among the unit tests.
 */
import { plan } from "../src/lib/core/plan/plan.ts";
import { realSolver } from "../tests/unit/planBuild.ts";
import { MADE, TooMany, wrongWith } from "../tests/unit/planTryAll.ts";

const [from = 1, to = 5000] = process.argv.slice(2).map(Number);
const solver = await realSolver();
for (const [of, made] of Object.entries(MADE)) {
  const counts = { tried: 0, "too many ways": 0, "no plan": 0, "not proven": 0, wrong: 0 };
  for (let seed = from; seed <= to; seed++) {
    const r = made(seed);
    try {
      const outcome = plan(r, solver);
      const said = wrongWith(r, outcome);
      counts.tried++;
      if (outcome.status === "infeasible") counts["no plan"]++;
      if (outcome.status === "feasible") counts["not proven"]++;
      if (!said) continue;
      counts.wrong++;
      console.log(`${seed} ${r.question}: ${said}`);
    } catch (error) {
      if (!(error instanceof TooMany)) throw error;
      counts["too many ways"]++;
    }
  }
  console.log(of, counts);
  if (counts.wrong > 0) process.exitCode = 1;
}
