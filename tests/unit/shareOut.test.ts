import { expect } from "chai";
import fc from "fast-check";
import loadHighs, { type Highs } from "highs";
import { addColumn, addRow, emptyModel } from "../../src/lib/core/plan/linearModel.ts";
import { highsSolver } from "../../src/lib/core/plan/highsSolver.ts";
import { shareOut, type ShareProblem } from "../../src/lib/core/sieve/shareOut.ts";
import { Fraction, solveExactly, ZERO } from "./fraction.ts";

/** The rows of the rule: needs, single-use lines, and a tool for each need by itself. */
function rowsOf(
  p: ShareProblem,
): { entries: [pair: number, coefficient: Fraction][]; bound: Fraction }[] {
  const rows: ReturnType<typeof rowsOf> = [];
  p.required.forEach((q, n) =>
    rows.push({
      bound: Fraction.of(q),
      entries: p.pairs.flatMap((x, k) => (x.need === n ? [[k, Fraction.of(1)]] : [])),
    }),
  );
  p.supply.forEach((s, l) => {
    const own = p.pairs.flatMap((x, k) => (x.line === l ? [[k, x] as const] : []));
    if (p.tool[l])
      for (const [k, x] of own)
        rows.push({
          bound: Fraction.of(s).times(Fraction.of(x.yield)),
          entries: [[k, Fraction.of(1)]],
        });
    else
      rows.push({
        bound: Fraction.of(s),
        entries: own.map(([k, x]) => [k, Fraction.of(1).over(Fraction.of(x.yield))]),
      });
  });
  return rows.filter((r) => r.entries.length > 0);
}

/** The objective levels of the rule as vectors over the pairs, in order. */
function levelsOf(p: ShareProblem): Fraction[][] {
  const perUnit = p.pairs.map((x) =>
    Fraction.of(p.weight[x.need]!).over(Fraction.of(p.required[x.need]!)),
  );
  const f = p.pairs.map((x) => Fraction.of(x.f));
  const r = p.pairs.map((x) => Fraction.of(x.r));
  const ofNeed = (n: number, v: Fraction[]) => v.map((c, k) => (p.pairs[k]!.need === n ? c : ZERO));
  return [
    f.map((c, k) => c.times(perUnit[k]!)),
    r.map((c, k) => c.times(perUnit[k]!)),
    ...p.required.map((_, n) => ofNeed(n, f)),
    ...p.required.map((_, n) => ofNeed(n, r)),
    ...p.pairs.map((_, k) => p.pairs.map((__, j) => Fraction.of(j === k ? 1 : 0))),
  ];
}

/** The slow obvious answer: every basic solution in exact fractions, the best by the levels in order. */
function everyVertex(p: ShareProblem): Fraction[] {
  const rows = rowsOf(p);
  const n = p.pairs.length;
  const m = rows.length;
  const column = (j: number): Fraction[] =>
    rows.map((row, i) =>
      j < n ? (row.entries.find(([k]) => k === j)?.[1] ?? ZERO) : Fraction.of(j - n === i ? 1 : 0),
    );
  const columns = Array.from({ length: n + m }, (_, j) => column(j));
  const levels = levelsOf(p);
  let best: { x: Fraction[]; value: Fraction[] } | null = null;
  const choose = (from: number, basis: number[]): void => {
    if (basis.length === m) {
      const solved = solveExactly(
        rows.map((_, i) => basis.map((j) => columns[j]![i]!)),
        rows.map((r) => r.bound),
      );
      if (!solved || solved.some((v) => v.sign() < 0)) return;
      const x = Array.from({ length: n }, () => ZERO);
      basis.forEach((j, i) => {
        if (j < n) x[j] = solved[i]!;
      });
      const value = levels.map((c) => c.reduce((s, cj, j) => s.plus(cj.times(x[j]!)), ZERO));
      const at = best ? value.findIndex((v, i) => v.minus(best!.value[i]!).sign() !== 0) : 0;
      if (!best || (at >= 0 && value[at]!.minus(best.value[at]!).sign() > 0)) best = { x, value };
      return;
    }
    for (let j = from; j <= n + m - (m - basis.length); j++) choose(j + 1, [...basis, j]);
  };
  choose(0, []);
  return best!.x;
}

const problem = (
  needs: [q: number, w: number][],
  lines: [supply: number, tool?: boolean][],
  pairs: [need: number, line: number, r: number, f: number, y?: number][],
): ShareProblem => ({
  required: needs.map(([q]) => q),
  weight: needs.map(([, w]) => w),
  supply: lines.map(([s]) => s),
  tool: lines.map(([, t]) => t ?? false),
  pairs: pairs.map(([n, line, r, f, y]) => ({ need: n, line, r, f, yield: y ?? 1 })),
});

/** Small random cases in which ties are common: few distinct credits, weights and yields. */
const smallProblem = fc
  .record({
    needs: fc.array(fc.tuple(fc.integer({ min: 1, max: 4 }), fc.constantFrom(1, 3, 5)), {
      minLength: 1,
      maxLength: 3,
    }),
    lines: fc.array(fc.tuple(fc.integer({ min: 0, max: 4 }), fc.boolean()), {
      minLength: 1,
      maxLength: 3,
    }),
    cells: fc.array(
      fc.tuple(
        fc.nat(2),
        fc.nat(2),
        fc.constantFrom(1, 0.5, 0.7),
        fc.constantFrom(1, 0.5, 0),
        fc.constantFrom(1, 1, 1.5, 3),
      ),
      { minLength: 1, maxLength: 5 },
    ),
  })
  .map(({ needs, lines, cells }) => {
    const seen = new Set<string>();
    const pairs = cells
      .filter(
        ([n, l]) =>
          n < needs.length && l < lines.length && !seen.has(`${n} ${l}`) && seen.add(`${n} ${l}`),
      )
      .sort((a, b) => a[0] - b[0] || a[1] - b[1])
      .map(([n, l, r, share, y]): [number, number, number, number, number] => [
        n,
        l,
        r,
        r * share,
        y,
      ]);
    return problem(needs, lines, pairs);
  })
  .filter((p) => p.pairs.length > 0);

/** Needs of one weight and size, lines that do all equally well or half: nothing but the order decides. */
const tiedProblem = fc
  .record({
    size: fc.integer({ min: 1, max: 3 }),
    needs: fc.integer({ min: 2, max: 3 }),
    lines: fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 2, maxLength: 3 }),
    cells: fc.array(
      fc.record({
        does: fc.boolean(),
        half: fc.boolean(),
        later: fc.boolean(),
        wide: fc.boolean(),
      }),
      { minLength: 9, maxLength: 9 },
    ),
  })
  .map(({ size, needs, lines, cells }) => {
    const pairs: [number, number, number, number, number][] = [];
    for (let n = 0; n < needs; n++)
      lines.forEach((_, l) => {
        const c = cells[3 * n + l]!;
        if (!c.does) return;
        const r = c.half ? 0.5 : 1;
        pairs.push([n, l, r, c.later ? r / 2 : r, c.wide ? 2 : 1]);
      });
    return problem(
      Array.from({ length: needs }, () => [size, 3]),
      lines.map((s) => [s]),
      pairs,
    );
  })
  .filter((p) => p.pairs.length > 1 && p.pairs.length < 8);

describe("sharing out", () => {
  it("gives the one triangular bandage to the sling (3 a piece) rather than to retention (0.25 · 0.5 · 1.5 a piece)", () => {
    const p = problem(
      [
        [1, 3],
        [4, 1],
      ],
      [[1]],
      [
        [0, 0, 1, 1],
        [1, 0, 0.5, 0.5, 1.5],
      ],
    );
    expect([...shareOut(p)]).to.deep.equal([1, 0]);
  });
  it("splits a line where its yields differ: a piece gives 1 of one need or 3 m of another", () => {
    // 2 pieces; need A asks 1 (w 3), need B asks 6 m (w 5): B is worth 5/6·3 = 2.5 a piece, A 3 a piece.
    const p = problem(
      [
        [1, 3],
        [6, 5],
      ],
      [[2]],
      [
        [0, 0, 1, 1],
        [1, 0, 1, 1, 3],
      ],
    );
    expect([...shareOut(p)]).to.deep.equal([1, 3]);
  });
  it("lets a tool serve every need at once, but no more than it is", () => {
    const p = problem(
      [
        [1, 3],
        [2, 3],
      ],
      [[1, true]],
      [
        [0, 0, 1, 1],
        [1, 0, 1, 1],
      ],
    );
    expect([...shareOut(p)]).to.deep.equal([1, 1]);
  });
  it("between equal needs serves the first in the list; between equal lines the first line", () => {
    expect([
      ...shareOut(
        problem(
          [
            [1, 3],
            [1, 3],
          ],
          [[1]],
          [
            [0, 0, 1, 1],
            [1, 0, 1, 1],
          ],
        ),
      ),
    ]).to.deep.equal([1, 0]);
    expect([
      ...shareOut(
        problem(
          [[1, 3]],
          [[1], [1]],
          [
            [0, 0, 1, 1],
            [0, 1, 1, 1],
          ],
        ),
      ),
    ]).to.deep.equal([1, 0]);
  });
  it("puts what a later mesh holds back to use where nothing better is, by its r", () => {
    // f = 0 (failed): only the second level asks for it, and it asks for the larger r.
    const p = problem(
      [[1, 3]],
      [[1], [1]],
      [
        [0, 0, 0.5, 0],
        [0, 1, 1, 0],
      ],
    );
    expect([...shareOut(p)]).to.deep.equal([0, 1]);
  });
  it("gives the same as trying every basic solution in exact fractions", () => {
    fc.assert(
      fc.property(smallProblem, (p) => {
        const fast = shareOut(p);
        everyVertex(p).forEach((x, k) =>
          expect(fast[k], `pair ${k} of ${JSON.stringify(p)}`).to.be.closeTo(Number(x), 1e-9),
        );
      }),
      { numRuns: 250, seed: 20261125 },
    );
  }).timeout(60_000);

  it("where nothing but the order decides, gives the same as trying every basic solution", () => {
    fc.assert(
      fc.property(tiedProblem, (p) => {
        const fast = shareOut(p);
        everyVertex(p).forEach((x, k) =>
          expect(fast[k], `pair ${k} of ${JSON.stringify(p)}`).to.be.closeTo(Number(x), 1e-9),
        );
      }),
      { numRuns: 200, seed: 20261126 },
    );
  }).timeout(60_000);

  describe("against HiGHS on large cases", () => {
    let highs: Highs;
    before(async () => {
      highs = await loadHighs();
    });
    const largeProblem = fc
      .record({
        needs: fc.array(fc.tuple(fc.integer({ min: 1, max: 40 }), fc.constantFrom(1, 3, 5, 10)), {
          minLength: 40,
          maxLength: 60,
        }),
        lines: fc.array(
          fc.tuple(
            fc.integer({ min: 0, max: 60 }),
            fc.integer({ min: 0, max: 4 }).map((t) => t === 0),
          ),
          { minLength: 60, maxLength: 90 },
        ),
        cells: fc.array(
          fc.tuple(
            fc.nat(59),
            fc.nat(89),
            fc.integer({ min: 1, max: 10 }),
            fc.integer({ min: 0, max: 10 }),
            fc.constantFrom(1, 1, 0.5, 1.5, 3, 4),
          ),
          { minLength: 200, maxLength: 320 },
        ),
      })
      .map(({ needs, lines, cells }) => {
        const seen = new Set<string>();
        const pairs = cells
          .filter(
            ([n, l]) =>
              n < needs.length &&
              l < lines.length &&
              !seen.has(`${n} ${l}`) &&
              seen.add(`${n} ${l}`),
          )
          .sort((a, b) => a[0] - b[0] || a[1] - b[1])
          .map(([n, l, r, f, y]): [number, number, number, number, number] => [
            n,
            l,
            r / 10,
            (r * f) / 100,
            y,
          ]);
        return problem(needs, lines, pairs);
      });
    it("reaches the same first and second level, and keeps every bound", () => {
      fc.assert(
        fc.property(largeProblem, (p) => {
          const units = shareOut(p);
          for (const row of rowsOf(p)) {
            const used = row.entries.reduce((s, [k, c]) => s + units[k]! * Number(c), 0);
            expect(used).to.be.at.most(Number(row.bound) + 1e-7);
          }
          const levels = levelsOf(p)
            .slice(0, 2)
            .map((c) => c.map(Number));
          const model = emptyModel();
          p.pairs.forEach(() => addColumn(model, {}));
          for (const row of rowsOf(p))
            addRow(model, {
              upper: Number(row.bound),
              entries: row.entries.map(([k, c]) => [k, Number(c)] as const),
            });
          for (const c of levels) {
            // Scaled up, since a solver drops objective terms below its tolerance.
            c.forEach((v, k) => (model.columns[k]!.cost = -1000 * v));
            const best = -highsSolver(highs)(model).objective / 1000;
            const ours = c.reduce((s, v, k) => s + v * units[k]!, 0);
            expect(ours).to.be.closeTo(best, 2e-5);
            addRow(model, {
              lower: best - 1e-9,
              entries: c.map((v, k) => [k, v] as const).filter(([, v]) => v !== 0),
            });
          }
        }),
        { numRuns: 25, seed: 7 },
      );
    }).timeout(60_000);
  });
});
