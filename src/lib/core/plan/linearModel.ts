/** A mixed-integer linear programme as plain arrays, and what a solver answers. */

export interface Column {
  cost: number;
  lower: number;
  upper: number;
  integer: boolean;
}
export interface Row {
  lower: number;
  upper: number;
  entries: Entries;
}
/** A sum over columns. */
export type Entries = readonly (readonly [column: number, coefficient: number])[];
/** Coefficients that differ by no more than this share of them are the same but for the arithmetic of floats. */
export const SAME_COEFFICIENT = 1e-9;
/** Always minimised. */
export interface LinearModel {
  columns: Column[];
  rows: Row[];
}

export interface Solved {
  readonly status: "optimal" | "infeasible" | "time-limit";
  /** Column values; empty when there is no solution. */
  readonly x: ArrayLike<number>;
  readonly objective: number;
  /** No solution is better than this. */
  readonly bound: number;
}

interface SolveOptions {
  /** Values to start from, column by column. */
  readonly start?: ArrayLike<number> | undefined;
  readonly timeLimitS?: number | undefined;
  /** Proof enough when the bound is so near, in units of the objective. */
  readonly gap?: number | undefined;
  /** Only the relaxation: whole numbers may be fractions. Its objective is the bound. */
  readonly relaxed?: boolean | undefined;
  /** Called while it searches, with the best found and what none can better. */
  readonly onStep?: ((best: number, bound: number) => void) | undefined;
}

/** Any exact solver: HiGHS in the application, brute force in a test. */
export type Solver = (model: LinearModel, options?: SolveOptions) => Solved;

export const emptyModel = (): LinearModel => ({ columns: [], rows: [] });

/** Adds a column and gives its index. */
export function addColumn(model: LinearModel, column: Partial<Column>): number {
  model.columns.push({ cost: 0, lower: 0, upper: Infinity, integer: false, ...column });
  return model.columns.length - 1;
}

export function addRow(model: LinearModel, row: Partial<Row> & Pick<Row, "entries">): number {
  model.rows.push({ lower: -Infinity, upper: Infinity, ...row });
  return model.rows.length - 1;
}

/** Allows a column above 0 only where a yes-or-no column is 1: x ≤ most · y. */
export const onlyWith = (model: LinearModel, x: number, most: number, y: number): number =>
  addRow(model, {
    upper: 0,
    entries: [
      [x, 1],
      [y, -most],
    ],
  });

export const times = (e: Entries, by: number): Entries => e.map(([x, v]) => [x, v * by] as const);

/** What a sum over columns comes to. */
export const valueAt = (e: Entries, x: ArrayLike<number>): number =>
  e.reduce((s, [column, v]) => s + v * x[column]!, 0);
