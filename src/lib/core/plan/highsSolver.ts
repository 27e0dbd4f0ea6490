import type { Highs } from "highs";
import type { LinearModel, Solved, Solver } from "./linearModel.ts";

/** What was measured on large kits with limits is said beside it; figures in docs/plan.md. */
const OPTIONS = {
  output_flag: false,
  mip_rel_gap: 0,
  mip_abs_gap: 1e-6,
  // At its usual 1e-6 false optima were found: floors of a stage are held with no more slack than that.
  mip_feasibility_tolerance: 1e-9,
  primal_feasibility_tolerance: 1e-9,
  // These cost more than they find here: a start is there already. Feasibility jump takes 13 ms of every programme.
  mip_heuristic_run_root_reduced_cost: false,
  mip_heuristic_run_feasibility_jump: false,
  mip_heuristic_run_rens: false,
  mip_allow_cut_separation_at_nodes: false,
  // Twice the usual effort on better plans, and branching is trusted after half as many trials: measured together.
  mip_heuristic_effort: 0.1,
  mip_pscost_minreliable: 4,
} as const;

const TIME_LIMIT_S = 60;

/** HiGHS as the planner's exact solver. `highs` is loaded by the worker or by Node. */
export const highsSolver =
  (highs: Highs): Solver =>
  (model, options = {}) =>
    // HiGHS calls a model without columns 'empty' and does not look at its rows.
    model.columns.length === 0
      ? withoutColumns(model)
      : highs.withModel(encode(model, highs, options.relaxed === true), (m): Solved => {
          m.options.set({
            ...OPTIONS,
            mip_abs_gap: options.gap ?? OPTIONS.mip_abs_gap,
            time_limit: options.timeLimitS ?? TIME_LIMIT_S,
          });
          if (options.start) m.setSolution({ colValue: Float64Array.from(options.start) });
          const { onStep } = options;
          const { modelStatus } = m.run(
            onStep && {
              [highs.constants.callbackType.mipLogging]: ({ data }) => {
                if (data.mip_primal_bound !== undefined && data.mip_dual_bound !== undefined)
                  onStep(data.mip_primal_bound, data.mip_dual_bound);
                return undefined;
              },
            },
          );
          if (modelStatus === 8 || modelStatus === 9)
            return { status: "infeasible", x: [], objective: Infinity, bound: Infinity };
          const timedOut = modelStatus === 13;
          if (modelStatus !== 7 && !timedOut)
            throw new Error(`the solver ended with model status ${modelStatus}`);
          const objective = m.getObjectiveValue();
          const found = Number.isFinite(objective) && Math.abs(objective) < 1e29;
          return {
            status: timedOut ? "time-limit" : "optimal",
            x: found ? m.getSolution().colValue : [],
            objective: found ? objective : Infinity,
            bound:
              timedOut || (options.gap && !options.relaxed)
                ? Number(m.info.get("mip_dual_bound"))
                : objective,
          };
        });

function withoutColumns(model: LinearModel): Solved {
  const holds = model.rows.every((r) => r.lower <= 0 && r.upper >= 0);
  return holds
    ? { status: "optimal", x: [], objective: 0, bound: 0 }
    : { status: "infeasible", x: [], objective: Infinity, bound: Infinity };
}

function encode(model: LinearModel, highs: Highs, relaxed: boolean) {
  const { columns, rows } = model;
  const finite = (n: number) =>
    n === Infinity ? highs.infinity : n === -Infinity ? -highs.infinity : n;
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const row of rows) {
    for (const [column, value] of row.entries) {
      indices.push(column);
      values.push(value);
    }
    starts.push(indices.length);
  }
  return {
    numCols: columns.length,
    numRows: rows.length,
    colCost: columns.map((c) => c.cost),
    colLower: columns.map((c) => finite(c.lower)),
    colUpper: columns.map((c) => finite(c.upper)),
    rowLower: rows.map((r) => finite(r.lower)),
    rowUpper: rows.map((r) => finite(r.upper)),
    integrality: columns.map((c) => (c.integer && !relaxed ? 1 : 0)) as (0 | 1)[],
    matrix: {
      format: "csr" as const,
      numRows: rows.length,
      numCols: columns.length,
      starts,
      indices,
      values,
    },
  };
}
