import { expect } from "chai";
import { forbid } from "../../src/lib/core/plan/forbid.ts";
import { addColumn, emptyModel, type Solver } from "../../src/lib/core/plan/linearModel.ts";
import type { Follows } from "../../src/lib/core/plan/programme.ts";
import { realSolver } from "./planBuild.ts";

/** One pack or none, up to three packs, a product with no column, up to two steps of a line that stays at home. */
function programme() {
  const model = emptyModel();
  const column = (upper: number) => addColumn(model, { upper, integer: true });
  const packs = [column(1), column(3), -1, column(0)];
  const portions = { step: 1, steps: 2, rest: 0 };
  const left = [null, { column: column(2), portions, gone: null }];
  return { model, packs, left, follows: [] as Follows[] };
}
/** Every choice, as values of the four columns. */
const ALL = [0, 1].flatMap((a) =>
  [0, 1, 2, 3].flatMap((b) => [0, 1, 2].map((d) => [a, b, 0, d] as const)),
);

describe("a choice that is cut off", () => {
  let solver: Solver;
  before(async () => {
    solver = await realSolver();
  });
  const isLeft = (cut: readonly number[], choice: readonly number[]): boolean => {
    const p = programme();
    forbid(p, cut);
    const columns = p.model.columns.map((c, x) =>
      x < choice.length ? { ...c, lower: choice[x]!, upper: choice[x]! } : c,
    );
    return solver({ ...p.model, columns }).status === "optimal";
  };

  it("cannot be chosen again, and every other can: 24 choices, each cut off once", () => {
    for (const cut of ALL)
      expect(
        ALL.filter((choice) => !isLeft(cut, choice)),
        cut.join(" "),
      ).to.deep.equal([cut]);
  });
  it("the columns that say so follow from the choice", () => {
    const p = programme();
    forbid(p, [1, 2, 0, 0]);
    const at = (x: number[]) => p.follows.map(({ value }) => value(x));
    // More or fewer of the second, more or fewer steps of the line.
    expect(at([1, 2, 0, 0])).to.deep.equal([0, 0, 0, 0]);
    expect(at([1, 3, 0, 1])).to.deep.equal([1, 0, 1, 0]);
    expect(at([1, 0, 0, 0])).to.deep.equal([0, 1, 0, 0]);
  });
});
