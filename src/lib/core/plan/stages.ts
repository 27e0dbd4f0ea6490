import { fromMinor } from "../base/money.ts";
import { addRow, type Solver } from "./linearModel.ts";
import type { PlanModel } from "./planModel.ts";
import type { PlanRequest } from "./request.ts";

/** Floors of a stage are held with this slack: tighter only makes the solver slower. */
export const STAGE_SLACK = 1e-6;

/** What a run of the planner is at, as a screen shows it. */
export type Stage = "waiting" | "first" | Measured | "reasons";

/** What a stage of the search betters. */
export type Measured = "price" | "vital" | "coverage" | "mass";

export type Progress = (step: {
  readonly stage: Stage;
  readonly share: number;
  /** The best found and what none can better, in the stage's measure. */
  readonly best?: number;
  readonly bound?: number;
}) => void;

/** A minute is longer than anybody waits; the usual plan takes about a second. */
const TIME_LIMIT_S = 60;

type Entries = PlanModel["price"];
export interface Stages {
  readonly x: ArrayLike<number>;
  readonly value: number;
  readonly proven: boolean;
  readonly gap: number;
  readonly gapIn: Measured;
}

/** A cent outweighs so many grams; no kit that is carried comes near it. */
const GRAMS_A_CENT = 25_000;
/** Fewest products comes last: one weighs as much as a tenth of a gram. */
const GRAMS_A_PACK = 0.1;

/**
 * The stages of the search: one objective after another, each held while the next is bettered and started from the last.
 * cheapest: price, coverage, mass. best: vital coverage, coverage, then price and mass in one: prices
 * are whole cents, so that mass cannot outweigh one. Mass: what is bought and what stays at home.
 * `none`: there is no plan. `late`: none was found in time.
 */
export function inStages(
  request: PlanRequest,
  m: PlanModel,
  solver: Solver,
  progress: Progress,
  firstOnly = false,
): Stages | "none" | "late" {
  const up = (e: Entries): Entries => e.map(([x, v]) => [x, -v] as const);
  const times = (e: Entries, by: number): Entries => e.map(([x, v]) => [x, v * by] as const);
  const packs: Entries = m.packs.flatMap((x) => (x < 0 ? [] : [[x, GRAMS_A_PACK] as const]));
  const mass = sum(sum(m.mass, m.leftMass), packs);
  // What a minor unit is worth in the price book's currency.
  const minorUnit = fromMinor(1, request.book.currency);
  const coverage = { of: "coverage", e: up(m.coverage), scale: -1 } as const;
  const stages: { of: Measured; e: Entries; scale: number; cents?: boolean }[] =
    request.question === "cheapest"
      ? [
          { of: "price", e: m.price, scale: minorUnit, cents: true },
          coverage,
          { of: "mass", e: mass, scale: 1 },
        ]
      : [
          ...(m.vitalCoverage.length > 0
            ? [{ of: "vital", e: up(m.vitalCoverage), scale: -1 } as const]
            : []),
          coverage,
          { of: "price", e: sum(m.price, times(mass, 1 / GRAMS_A_CENT)), scale: minorUnit },
        ];
  const limitS = (request.timeLimitS ?? TIME_LIMIT_S) / stages.length;
  const rowsBefore = m.model.rows.length;
  let x: ArrayLike<number> | undefined;
  let value = 0;
  let late: { gap: number; gapIn: Measured } | null = null;
  try {
    for (const [i, stage] of (firstOnly ? stages.slice(0, 1) : stages).entries()) {
      const share = 0.1 + (0.8 * i) / stages.length;
      progress({ stage: stage.of, share });
      for (const column of m.model.columns) column.cost = 0;
      for (const [column, cost] of stage.e) m.model.columns[column]!.cost += cost;
      const solved = solver(m.model, {
        start: x,
        timeLimitS: limitS,
        onStep: (best, bound) =>
          progress({
            stage: stage.of,
            share,
            best: best * stage.scale,
            bound: bound * stage.scale,
          }),
      });
      if (solved.status === "infeasible" || solved.x.length < m.model.columns.length) {
        if (i === 0) return solved.status === "infeasible" ? "none" : "late";
        break;
      }
      x = solved.x;
      if (solved.status === "time-limit")
        late ??= {
          gap: Math.abs(stage.scale) * Math.max(0, solved.objective - solved.bound),
          gapIn: stage.of,
        };
      if (i === 0) value = solved.objective * Math.sign(stage.scale);
      const held = stage.cents
        ? Math.round(solved.objective) + 0.25
        : solved.objective + STAGE_SLACK;
      addRow(m.model, { upper: held, entries: stage.e });
    }
  } finally {
    m.model.rows.length = rowsBefore;
  }
  if (!x) return "none";
  const { gap, gapIn } = late ?? { gap: 0, gapIn: stages[0]!.of };
  return { x, value, proven: late === null, gap, gapIn };
}

function sum(a: Entries, b: Entries): Entries {
  const total = new Map<number, number>();
  for (const [x, v] of [...a, ...b]) total.set(x, (total.get(x) ?? 0) + v);
  return [...total];
}
