import loadHighs from "highs";
import { kitLoad } from "../src/lib/core/bag/load.ts";
import { greedyPlan } from "../src/lib/core/plan/greedy.ts";
import { highsSolver } from "../src/lib/core/plan/highsSolver.ts";
import { NO_LIMITS } from "../src/lib/core/plan/limits.ts";
import { plan } from "../src/lib/core/plan/plan.ts";
import { CATALOGUE } from "../src/lib/data/catalogue.ts";
import { planCase } from "../bench/planCases.ts";
const real = highsSolver(await loadHighs());
for (let seed=1; seed<=4; seed++) for (const share of [.25,.5,1]) {
  const { audit, book } = planCase("large", seed);
  const asked = { audit, book, catalogue: CATALOGUE, keep: [], today: "2026-11-26", question: "best", target: "ready", limits: NO_LIMITS } as const;
  const budget = Math.round(greedyPlan(asked).choice.price * share * 100) / 100;
  const load = kitLoad(audit, CATALOGUE);
  const log: string[] = []; let stage="";
  const t0=performance.now();
  const solver: typeof real = (m,o={}) => { const t=performance.now(); const r=real(m,o); log.push(`${stage}${o.relaxed?"r":""}[${m.columns.filter(c=>c.integer).length}i/${m.columns.length}c/${m.rows.length}r] ${Math.round(performance.now()-t)}ms ${r.status[0]}`); return r; };
  const o = plan({...asked, limits:{budget, massG: 1.12*load.massG, volumeMl: 1.12*load.volumeMl}, timeLimitS: 12}, solver, (p)=>{ stage=p.stage; });
  console.log(seed, share, o.status, Math.round(performance.now()-t0), log.join(" | "));
}
