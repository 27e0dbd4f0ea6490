import { expect } from "chai";
import { cheapestThatLasts, type LastingAsk } from "../../src/lib/core/chance/lasting.ts";
import { NO_LIMITS } from "../../src/lib/core/plan/limits.ts";
import type { Solver } from "../../src/lib/core/plan/linearModel.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { auditFile, good, need, TODAY } from "./build.ts";
import { bookOf, product, realSolver } from "./planBuild.ts";

let solver: Solver;
before(async () => {
  solver = await realSolver();
});

/** Two people, three days; cuts at a rate that gives a mean of two an outing, one pad each. */
const ask = (more: Partial<LastingAsk>): LastingAsk => {
  const file = auditFile(
    [need("p", "medium-wound-pad", { quantity: { base: 1 } }), need("s", "sling")],
    [good("own", "gauze-pad", 2)],
  );
  const { people, days } = file.brief;
  return {
    file,
    incidents: {
      helpersLeave: false,
      kinds: [
        {
          ...{ id: "cut", category: "everyday-wounds", per1000: 2000 / (people * days), spread: 0 },
          asks: [{ function: "medium-wound-pad", units: [[1, 1]] }],
        },
      ],
    },
    book: bookOf([product("pad", "gauze-pad", 1, 1)]),
    ...{ catalogue: CATALOGUE, today: TODAY, chance: 0.95, limits: NO_LIMITS, solver },
    ...more,
  };
};

describe("the cheapest kit that lasts", () => {
  it("Poisson with mean 2: 5 pads suffice in 98.3 of 100, 4 in 94.7; so 3 are bought beside the 2", () => {
    const answer = cheapestThatLasts(ask({}));
    if (answer.status !== "lasts") throw new Error(answer.status);
    expect(answer.price).to.equal(3);
    expect(answer.quantities).to.deep.equal([{ need: "p", units: 5 }]);
    expect(answer.reached.high).to.be.closeTo(0.9834, 0.003);
    // Two pads: P(N ≤ 2) = 5 e^-2.
    expect(answer.before.high).to.be.closeTo(0.6767, 0.01);
  });
  it("in 90 of 100 four are enough: two are bought", () => {
    const answer = cheapestThatLasts(ask({ chance: 0.9 }));
    expect(answer.status === "lasts" && answer.price).to.equal(2);
  });
  it("where nothing on sale does the job, no purchase can, and what stays missing is named", () => {
    const answer = cheapestThatLasts(ask({ book: bookOf([product("x", "whistle", 1, 1)]) }));
    if (answer.status !== "cannot") throw new Error(answer.status);
    expect(answer.best.high).to.be.closeTo(0.6767, 0.01);
    expect(answer.needs.map((n) => n.need)).to.deep.equal(["p"]);
  });
  it("where a budget forbids it, that no purchase can is not said", () => {
    const answer = cheapestThatLasts(ask({ limits: { ...NO_LIMITS, budget: 1 } }));
    expect(answer.status).to.equal("not-found");
  });
});
