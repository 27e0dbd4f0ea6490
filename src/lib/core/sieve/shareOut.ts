/**
 * Sharing out: which line serves which need, in units of the function, most favourably and uniquely.
 *
 * The levels of the rule, each maximised among the optima of those before it:
 *   1 Σ (w/Q) a·f   2 Σ (w/Q) a·r   3 need by need Σ a·f   4 need by need Σ a·r   5 each a in order.
 * It is solved as one linear programme whose objective is that list, by a primal simplex with
 * lexicographic reduced costs: yields may differ from need to need, so it is not always a plain flow.
 * (Dantzig, Linear Programming and Extensions, 1963, ch. 5 and 10.) Each connected part of the graph
 * of lines and needs is solved by itself, since every level is a sum over the parts.
 */

/** One line that can serve one need: r > 0. Given need by need, then line by line. */
export interface SharePair {
  readonly line: number;
  readonly need: number;
  /** Factor of the Real mesh, and of all meshes but Enough. */
  readonly r: number;
  readonly f: number;
  /** Units of the function per unit of measure, > 0. */
  readonly yield: number;
}

export interface ShareProblem {
  /** Pieces × measure of each line; and whether it is a tool, which serves every need at once. */
  readonly supply: readonly number[];
  readonly tool: readonly boolean[];
  /** Q and w of each need. */
  readonly required: readonly number[];
  readonly weight: readonly number[];
  readonly pairs: readonly SharePair[];
}

/** Below this, relative to the largest cost, a difference is rounding: credits differ by far more. */
const COST_TOLERANCE = 1e-11;
/** Smaller units are rounding of a pivot. */
const UNIT_TOLERANCE = 1e-10;

/** Units a of each pair, in the order of `pairs`. */
export function shareOut(problem: ShareProblem): Float64Array {
  const units = new Float64Array(problem.pairs.length);
  for (const part of connectedParts(problem)) solvePart(problem, part, units);
  return units;
}

/** Pair indices grouped by connected part; tools tie nothing together. */
function connectedParts({ pairs, supply, tool, required }: ShareProblem): number[][] {
  const needs = required.length;
  const parent = Array.from({ length: needs + supply.length }, (_, i) => i);
  const root = (i: number): number => {
    while (parent[i] !== i) {
      parent[i] = parent[parent[i]!]!;
      i = parent[i]!;
    }
    return i;
  };
  const live = pairs.map((p) => p.r > 0 && supply[p.line]! > 0);
  pairs.forEach((p, k) => {
    if (live[k] && !tool[p.line]) parent[root(p.need)] = root(needs + p.line);
  });
  const parts = new Map<number, number[]>();
  pairs.forEach((p, k) => {
    if (!live[k]) return;
    const at = root(p.need);
    const part = parts.get(at);
    if (part) part.push(k);
    else parts.set(at, [k]);
  });
  return [...parts.values()];
}

function solvePart(problem: ShareProblem, part: readonly number[], units: Float64Array): void {
  const { pairs, supply, tool, required, weight } = problem;
  // Rows: one a need, one a line; a tool that falls short of a need has a row for that need alone.
  const needRow = new Map<number, number>();
  const lineRow = new Map<number, number>();
  const bounds: number[] = [];
  const entries: [row: number, coefficient: number][][] = [];
  const rowOf = (rows: Map<number, number>, key: number, bound: number): number => {
    let row = rows.get(key);
    if (row === undefined) {
      row = bounds.length;
      rows.set(key, row);
      bounds.push(bound);
    }
    return row;
  };
  for (const k of part) {
    const p = pairs[k]!;
    const column: [number, number][] = [[rowOf(needRow, p.need, required[p.need]!), 1]];
    if (!tool[p.line]) column.push([rowOf(lineRow, p.line, supply[p.line]!), 1 / p.yield]);
    else if (supply[p.line]! * p.yield < required[p.need]!) {
      column.push([bounds.length, 1]);
      bounds.push(supply[p.line]! * p.yield);
    }
    entries.push(column);
  }
  const place = new Map([...needRow.keys()].map((need, i) => [need, i]));
  const solved = lexicographicSimplex({
    bounds,
    entries,
    needOf: Int32Array.from(part, (k) => place.get(pairs[k]!.need)!),
    needs: place.size,
    f: Float64Array.from(part, (k) => pairs[k]!.f),
    r: Float64Array.from(part, (k) => pairs[k]!.r),
    unitWeight: Float64Array.from(part, (k) => weight[pairs[k]!.need]! / required[pairs[k]!.need]!),
  });
  part.forEach((k, i) => {
    units[k] = solved[i]! > UNIT_TOLERANCE ? solved[i]! : 0;
  });
}

interface Programme {
  /** Right-hand sides, ≥ 0. */
  bounds: number[];
  /** Column by column its nonzero entries. */
  entries: [row: number, coefficient: number][][];
  needOf: Int32Array;
  needs: number;
  f: Float64Array;
  r: Float64Array;
  /** w/Q of each column's need. */
  unitWeight: Float64Array;
}

/**
 * Maximises over x ≥ 0, Ax ≤ bounds. The tableau holds the columns of the nonbasic variables only;
 * a pivot swaps one of them with a basic one. Variables 0…n−1 are the pairs, n… the slacks.
 */
function lexicographicSimplex(lp: Programme): Float64Array {
  const m = lp.bounds.length;
  const n = lp.entries.length;
  const table = new Float64Array(m * n);
  const b = Float64Array.from(lp.bounds);
  const basic = Int32Array.from({ length: m }, (_, i) => n + i);
  const nonbasic = Int32Array.from({ length: n }, (_, j) => j);
  lp.entries.forEach((column, j) => column.forEach(([row, value]) => (table[row * n + j] = value)));

  const d1 = new Float64Array(n);
  const d2 = new Float64Array(n);
  let largest = 0;
  for (let j = 0; j < n; j++) {
    d1[j] = lp.unitWeight[j]! * lp.f[j]!;
    d2[j] = lp.unitWeight[j]! * lp.r[j]!;
    largest = Math.max(largest, d2[j]!);
  }
  const tolerance = COST_TOLERANCE * largest;
  const rowJ = new Int32Array(n);

  /** Row that limits entering column c, by the ratio test; −1 cannot be, every x is bounded. */
  const leaving = (c: number): number => {
    let best = -1;
    let ratio = Infinity;
    for (let i = 0; i < m; i++) {
      const t = table[i * n + c]!;
      if (t <= 1e-12) continue;
      const q = b[i]! / t;
      if (q < ratio - 1e-13 || (q <= ratio + 1e-13 && best >= 0 && basic[i]! < basic[best]!)) {
        ratio = Math.min(q, ratio);
        best = i;
      }
    }
    return best;
  };

  const pivot = (row: number, c: number): void => {
    const at = row * n;
    const p = table[at + c]!;
    let count = 0;
    for (let j = 0; j < n; j++)
      if (j !== c && table[at + j] !== 0) {
        table[at + j]! /= p;
        rowJ[count++] = j;
      }
    b[row]! /= p;
    for (let i = 0; i < m; i++) {
      const t = table[i * n + c]!;
      if (i === row || t === 0) continue;
      const to = i * n;
      for (let k = 0; k < count; k++) {
        const j = rowJ[k]!;
        const value = table[to + j]! - t * table[at + j]!;
        table[to + j] = Math.abs(value) < 1e-13 ? 0 : value;
      }
      table[to + c] = -t / p;
      b[i] = Math.max(0, b[i]! - t * b[row]!);
      if (b[i]! < 1e-12) b[i] = 0;
    }
    for (const d of [d1, d2]) {
      const dc = d[c]!;
      if (dc === 0) continue;
      for (let k = 0; k < count; k++) d[rowJ[k]!]! -= dc * table[at + rowJ[k]!]!;
      d[c] = -dc / p;
    }
    table[at + c] = 1 / p;
    const out = basic[row]!;
    basic[row] = nonbasic[c]!;
    nonbasic[c] = out;
  };

  // Pivots that move nothing may go round in circles under the steepest choice; then the lowest
  // variable is taken (Bland 1977), which cannot.
  let still = 0;
  const enter = (c: number): void => {
    const row = leaving(c);
    still = b[row] === 0 ? still + 1 : 0;
    pivot(row, c);
  };
  const choose = (gain: (j: number) => number): number => {
    let best = -1;
    let most = tolerance;
    for (let j = 0; j < n; j++) {
      const g = gain(j);
      if (g <= tolerance) continue;
      if (still > 20) {
        if (best < 0 || nonbasic[j]! < nonbasic[best]!) best = j;
      } else if (g > most) {
        most = g;
        best = j;
      }
    }
    return best;
  };

  for (let c = choose((j) => d1[j]!); c >= 0; c = choose((j) => d1[j]!)) enter(c);
  const level2 = (j: number) => (d1[j]! < -tolerance ? 0 : d2[j]!);
  for (let c = choose(level2); c >= 0; c = choose(level2)) enter(c);

  // Levels 3 to 5: for the columns still free, the sign of the first level on which they differ.
  const sums = new Float64Array(2 * lp.needs);
  const firstSign = (c: number): number => {
    sums.fill(0);
    const add = (variable: number, by: number) => {
      if (variable >= n) return;
      sums[lp.needOf[variable]!]! += by * lp.f[variable]!;
      sums[lp.needs + lp.needOf[variable]!]! += by * lp.r[variable]!;
    };
    add(nonbasic[c]!, 1);
    for (let i = 0; i < m; i++) if (table[i * n + c] !== 0) add(basic[i]!, -table[i * n + c]!);
    for (const s of sums) if (Math.abs(s) > COST_TOLERANCE) return Math.sign(s);
    let lowest = nonbasic[c]! < n ? nonbasic[c]! : n;
    let sign = nonbasic[c]! < n ? 1 : 0;
    for (let i = 0; i < m; i++) {
      const t = table[i * n + c]!;
      if (Math.abs(t) > 1e-12 && basic[i]! < lowest) {
        lowest = basic[i]!;
        sign = -Math.sign(t);
      }
    }
    return sign;
  };
  still = 0;
  for (;;) {
    let best = -1;
    for (let j = 0; j < n; j++) {
      if (d1[j]! < -tolerance || d2[j]! < -tolerance) continue;
      if (best >= 0 && nonbasic[j]! > nonbasic[best]!) continue;
      if (firstSign(j) > 0) best = j;
    }
    if (best < 0) break;
    enter(best);
  }

  const x = new Float64Array(n);
  for (let i = 0; i < m; i++) if (basic[i]! < n) x[basic[i]!] = b[i]!;
  return x;
}
