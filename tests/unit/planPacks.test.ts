import { expect } from "chai";
import fc from "fast-check";
import { gatherAmounts } from "../../src/lib/core/plan/amounts.ts";
import { NO_LIMITS } from "../../src/lib/core/plan/limits.ts";
import {
  addColumn,
  addRow,
  emptyModel,
  type LinearModel,
  type Solver,
} from "../../src/lib/core/plan/linearModel.ts";
import {
  cheapestSizes,
  inSmallest,
  packSizes,
  smallestOnly,
} from "../../src/lib/core/plan/packSizes.ts";
import type { Follows } from "../../src/lib/core/plan/programme.ts";
import { auditFile, good, need } from "./build.ts";
import { product, purchasesOf, realSolver, request, solved } from "./planBuild.ts";

/**
 * Packs 0, 1 and 2 hold 2, 6 and 3 of one thing, 5 g each; pack 3 holds 4 of it, but weighs 50 g; column 4 is
 * what is used of it. The rows: no more is used than there is, 100 g at most, 50.00 at most.
 */
function programme() {
  const model = emptyModel();
  const packs = [0, 1, 2, 3].map(() => addColumn(model, { upper: 9, integer: true }));
  const used = addColumn(model, { upper: 20 });
  const holds = [2, 6, 3, 4];
  const grams = [10, 30, 15, 50];
  const row = (of: readonly number[], upper: number, more: [number, number][] = []) =>
    model.rows[
      addRow(model, { upper, entries: [...packs.map((x, i) => [x, of[i]!] as const), ...more] })
    ]!;
  const supply = row(
    holds.map((n) => -n),
    0,
    [[used, 1]],
  );
  const mass = row(grams, 100);
  const budget = row([300, 700, 400, 100], 5000);
  return { model, packs, used, supply, mass, budget, follows: [] as Follows[] };
}

describe("packs of several sizes as one amount", () => {
  it("packs of 2, 6 and 3 are two, six and three halves of the smallest; the row of supply sees halves of 1, that of mass of 5 g", () => {
    const p = programme();
    gatherAmounts(p, [p.supply, p.mass]);
    const amount = p.model.columns.length - 1;
    expect(p.supply.entries).to.deep.equal([
      [3, -4],
      [p.used, 1],
      [amount, -1],
    ]);
    expect(p.mass.entries).to.deep.equal([
      [3, 50],
      [amount, 5],
    ]);
    expect(p.model.rows.at(-1)).to.deep.equal({
      ...{ lower: 0, upper: 0 },
      entries: [
        [0, 2],
        [1, 6],
        [2, 3],
        [amount, -1],
      ],
    });
    // 9 packs of each: 18 + 54 + 27.
    expect(p.model.columns[amount]).to.include({ integer: true, upper: 99 });
    expect(p.follows.map(({ value }) => value([1, 2, 1, 5, 0]))).to.deep.equal([17]);
  });
  it("what weighs otherwise a piece stays by itself, and a row that is not named keeps its packs", () => {
    const p = programme();
    gatherAmounts(p, [p.supply, p.mass]);
    expect(p.budget.entries.map(([x]) => x)).to.deep.equal([0, 1, 2, 3]);
    expect(p.supply.entries.some(([x]) => x === 3)).to.equal(true);
  });
  it("nothing is gathered where no two are alike", () => {
    const p = programme();
    p.mass.entries = p.mass.entries.map(([x, v]) => [x, v + x] as const);
    gatherAmounts(p, [p.supply, p.mass]);
    expect(p.model.rows).to.have.length(3);
  });

  let solver: Solver;
  before(async () => {
    solver = await realSolver();
  });
  const best = ({ columns, rows }: LinearModel, cost: (x: number) => number) =>
    solver({ rows, columns: columns.map((c, x) => ({ ...c, cost: cost(x) })) }).objective;
  it("the best is the same with amounts and without", () => {
    const sizes = fc.array(fc.integer({ min: 1, max: 6 }), { minLength: 2, maxLength: 4 });
    fc.assert(
      fc.property(
        sizes,
        fc.integer({ min: 1, max: 40 }),
        fc.infiniteStream(fc.integer({ min: 1, max: 99 })),
        (holds, asked, any) => {
          const build = () => {
            const model = emptyModel();
            const packs = holds.map(() => addColumn(model, { upper: 9, integer: true }));
            const entries = packs.map((x, i) => [x, holds[i]!] as const);
            const row = model.rows[addRow(model, { lower: Math.min(asked, 9), entries })]!;
            return { model, packs, row, follows: [] as Follows[] };
          };
          const prices = holds.map(() => any.next().value!);
          const [plain, gathered] = [build(), build()];
          gatherAmounts(gathered, [gathered.row]);
          const cost = (x: number) => prices[x] ?? 0;
          expect(best(gathered.model, cost)).to.be.closeTo(best(plain.model, cost), 1e-6);
        },
      ),
      { numRuns: 30 },
    );
  });
});

describe("sizes of pack, where money is no object", () => {
  /** 1, 3 and 6 of one thing for 1.00, 2.50 and 4.80; another that comes in one size. */
  function sizes() {
    const model = emptyModel();
    const packs = [6, 1, 3, 1].map(() => addColumn(model, { upper: 5, integer: true }));
    addRow(model, {
      upper: 0,
      entries: [
        [0, 6],
        [1, 1],
        [2, 3],
      ],
    });
    addRow(model, { upper: 0, entries: [[3, 1]] });
    const price = [480, 100, 250, 70];
    const budget =
      model.rows[
        addRow(model, { upper: 900, entries: packs.map((x, i) => [x, price[i]!] as const) })
      ]!;
    return { model, packs, budget, price };
  }
  it("the budget apart, 6 is six and 3 is three of the smallest; what comes in one size is not among them", () => {
    expect(packSizes(sizes())).to.deep.equal([
      {
        sizes: [
          { column: 1, times: 1 },
          { column: 2, times: 3 },
          { column: 0, times: 6 },
        ],
        // 5 + 3 · 5 + 6 · 5.
        most: 50,
      },
    ]);
  });
  it("a size that another row tells from the rest is no size of the same thing", () => {
    const p = sizes();
    addRow(p.model, { upper: 1, entries: [[0, 1]] });
    expect(packSizes(p).map((s) => s.sizes.map(({ column }) => column))).to.deep.equal([[1, 2]]);
  });
  it("only the smallest can be had for a while, as much as there was of all; then all as before", () => {
    const p = sizes();
    const uppers = () => p.model.columns.map(({ upper }) => upper);
    const again = smallestOnly(p, packSizes(p));
    expect(uppers()).to.deep.equal([0, 50, 0, 5]);
    again();
    expect(uppers()).to.deep.equal([5, 5, 5, 5]);
  });
  it("7 come cheapest as 6 and 1, for 5.80; 3 and 3 and 1 would be 6.00; 5 as 3 and twice 1", () => {
    const p = sizes();
    const all = packSizes(p);
    const cheapest = (n: number) => [...cheapestSizes([0, n, 0, 2], all, (x) => p.price[x]!)];
    expect(cheapest(7)).to.deep.equal([1, 1, 0, 2]);
    expect(cheapest(5)).to.deep.equal([0, 2, 1, 2]);
    expect(cheapest(0)).to.deep.equal([0, 0, 0, 2]);
  });
  it("1 · 6 + 2 · 3 + 1 are 13 of the smallest", () => {
    const p = sizes();
    expect([...inSmallest([1, 1, 2, 4], packSizes(p))]).to.deep.equal([0, 13, 0, 4]);
  });

  let solver: Solver;
  before(async () => {
    solver = await realSolver();
  });
  const pads = need("p", "medium-wound-pad", { tier: "core", quantity: { base: 7 } });
  const of = (pack: number, price: number) => product(`of-${pack}`, "gauze-pad", pack, price);
  const best = (budget: number | null, massG: number | null = null) =>
    solved(
      request(auditFile([pads], [good("own", "gauze-pad", 1)]), [of(1, 1), of(2, 1.9), of(6, 5)], {
        question: "best",
        limits: { ...NO_LIMITS, budget, massG },
      }),
      solver,
    );
  it("6 pads more in one pack for 5.00; with 4.80 twice two and one more, for 4.80", () => {
    expect(purchasesOf(best(9))).to.deep.equal(["1 of-6"]);
    expect(best(9)).to.include({ status: "optimal" });
    expect(purchasesOf(best(4.8))).to.deep.equal(["1 of-1", "2 of-2"]);
    expect(best(4.8)).to.include({ status: "optimal" });
  });
  it("a pad weighs 10 g: of 60 g one is there, and five more come as two, two and one", () => {
    expect(purchasesOf(best(9, 60))).to.deep.equal(["1 of-1", "2 of-2"]);
  });
});
