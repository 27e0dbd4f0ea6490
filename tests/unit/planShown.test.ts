import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { expect } from "chai";
import { frontier } from "../../src/lib/core/plan/frontier.ts";
import type { Solver } from "../../src/lib/core/plan/linearModel.ts";
import { plan } from "../../src/lib/core/plan/plan.ts";
import { NO_LIMITS } from "../../src/lib/core/plan/limits.ts";
import { frontierResult, planResult } from "../../src/lib/core/formats/planResult.ts";
import type { PlanRequest } from "../../src/lib/core/plan/request.ts";
import type { Progress } from "../../src/lib/core/plan/search.ts";
import { showPlan, showQuick } from "../../src/lib/workers/showPlan.ts";
import { gapText, obstacle, repackText } from "../../src/lib/words/sentences.ts";
import { planRequestOf } from "../../src/lib/state/pages/planRequest.ts";
import { auditFile, good, need, TODAY } from "./build.ts";
import { bookOf, product, realSolver, request, solved } from "./planBuild.ts";

let solver: Solver;
before(async () => {
  solver = await realSolver();
});

const file = auditFile(
  [
    need("t", "limb-tourniquet", { tier: "vital" }),
    need("s", "sling", { quantity: { base: 2 } }),
    need("m", "magnify", { tier: "useful" }),
  ],
  [good("one", "triangular-bandage", 1)],
);
const products = [
  product("tq", "windlass-tourniquet", 1, 27, { source: "A", leadDays: 4 }),
  product("sling", "triangular-bandage", 1, 2, { source: "B" }),
  product("lens", "magnifier", 1, 4, { source: "B" }),
];

describe("a plan on the screen", () => {
  it("has price, grade and coverage before and after, and where every need rests then", () => {
    const r = request(file, products);
    const shown = showPlan(solved(r, solver), r);
    if (shown.status === "infeasible") throw new Error();
    // Of 9: half a sling more is 1.5 + 5 = 72 %, the whole one 89 %, so the lens is bought too: 27 + 2 + 4.
    expect(shown.price).to.equal(33);
    expect(shown.before).to.be.closeTo(1.5 / 9, 1e-9);
    expect(shown.coverage).to.be.closeTo(1, 1e-9);
    expect(shown.grade).to.equal("Ready");
    expect(shown.needs).to.deep.equal([
      { id: "t", restsOn: "pan", value: 1 },
      { id: "s", restsOn: "pan", value: 1 },
      { id: "m", restsOn: "pan", value: 1 },
    ]);
    expect(shown.packs).to.equal(3);
  });
  it("a first answer comes with what no plan can better", () => {
    const quick = showQuick(request(file, products), solver);
    expect(quick.reaches).to.equal(true);
    expect(quick.price).to.equal(33);
    expect(quick.bound!.of).to.equal("price");
    expect(quick.bound!.bound).to.be.at.most(33);
  });
  it("says what it is at while it works, one stage after the other, never back", () => {
    const stages: string[] = [];
    let share = 0;
    const progress: Progress = (p) => {
      if (stages.at(-1) !== p.stage) stages.push(p.stage);
      expect(p.share).to.be.at.least(share);
      share = p.share;
    };
    plan(request(file, products), solver, progress);
    expect(stages).to.deep.equal(["first", "price", "mass"]);
  });
  it("tells what is proven before it seeks the lightest of plans as good; not where a course may better it", () => {
    // Two tourniquets of one price: the light one is told apart only after the proof.
    const twins = [
      ...products.slice(1),
      product("heavy", "windlass-tourniquet", 1, 27, { massG: 200 }),
      product("light", "windlass-tourniquet", 1, 27, { massG: 100 }),
    ];
    const told = (r: PlanRequest) => {
      const prices: number[] = [];
      const outcome = plan(r, solver, (p) => {
        if (p.proven) prices.push(p.proven.price);
      });
      if (outcome.status === "infeasible") throw new Error();
      return { prices, bought: outcome.choice.purchases.map((b) => b.product.id) };
    };
    const { prices, bought } = told(request(file, twins));
    expect(prices).to.deep.equal([33]);
    expect(bought).to.include("light").and.not.include("heavy");
    const courses = [{ to: "advanced" as const, price: 1 }];
    expect(told(request(file, twins, { courses })).prices).to.deep.equal([]);
  });
  it("phases: vital before it is carried, core with the next order, useful when stock rotates", () => {
    const r = request(file, products);
    const shown = showPlan(solved(r, solver), r);
    if (shown.status === "infeasible") throw new Error();
    expect(
      shown.actions.map((a) => ["product" in a ? a.product.id : a.kind, a.phase]),
    ).to.deep.equal([
      ["tq", "before-carried"],
      ["sling", "next-order"],
      ["lens", "at-rotation"],
    ]);
  });
  it("what stands in for a failed core thing comes before the kit is carried again", () => {
    const broken = auditFile(
      [need("s", "sling")],
      [good("old", "triangular-bandage", 1, { condition: "failed" })],
    );
    const r = request(broken, products, { target: 1 });
    const shown = showPlan(solved(r, solver), r);
    if (shown.status === "infeasible") throw new Error();
    expect(shown.actions[0]).to.deep.include({ kind: "replace", phase: "before-carried" });
  });
});

describe("stages of the search", () => {
  it("of two plans at one price the one that covers more, then the lighter", () => {
    const two = auditFile([need("s", "sling", { tier: "vital" })], []);
    const light = product("light", "triangular-bandage", 1, 2, { massG: 5 });
    const heavy = product("heavy", "triangular-bandage", 1, 2, { massG: 50 });
    for (const order of [
      [light, heavy],
      [heavy, light],
    ])
      expect(
        solved(request(two, order), solver).choice.purchases.map((p) => p.product.id),
      ).to.deep.equal(["light"]);
  });
  it("a cent decides before any weight that is carried", () => {
    const two = auditFile([need("s", "sling", { tier: "vital" })], []);
    const cheap = product("cheap", "triangular-bandage", 1, 1.99, { massG: 5000 });
    const light = product("light", "triangular-bandage", 1, 2, { massG: 5 });
    for (const question of ["cheapest", "best"] as const)
      expect(
        solved(request(two, [cheap, light], { question }), solver).choice.purchases.map(
          (p) => p.product.id,
        ),
      ).to.deep.equal(["cheap"]);
  });
});

describe("a plan on the command line", () => {
  it("prints wishes' effects, gap and what it is in", () => {
    const r = request(file, products, { exclude: ["lens"], target: 0.8 });
    const printed = planResult(solved(r, solver), r);
    if (printed.status === "infeasible") throw new Error();
    expect(printed.gap).to.equal(0);
    expect(printed.gapIn).to.equal("price");
    expect(printed.totals).to.deep.include({ price: 29, products: 2, packs: 2 });
  });
  it("prints a frontier point by point with what enters", () => {
    const r = request(file, products, { question: "best" });
    const points = frontierResult(frontier(r, "budget", solver, 8));
    expect(points[0]).to.deep.include({ limit: 0, price: 0, enters: [], leaves: [] });
    expect(points.at(-1)!.coverage).to.equal(1);
    const entered = points.flatMap((p) => p.enters.map((e) => e.product));
    expect(new Set(entered)).to.deep.equal(new Set(["tq", "sling", "lens"]));
  });
});

describe("what the plan of a kit is asked", () => {
  const book = bookOf(products);
  const brief = { ...file.brief, limits: { budget: 50, massG: 900 } };
  it("takes limits from the brief, the budget from the plan where it has one", () => {
    const asked = (budget: number | null) =>
      planRequestOf({ question: "cheapest", budget }, { ...file, brief }, book, TODAY, CATALOGUE)
        .limits;
    expect(asked(null)).to.deep.equal({ budget: 50, massG: 900, volumeMl: null });
    expect(asked(20).budget).to.equal(20);
  });
  it("carries wishes and courses", () => {
    const asked = planRequestOf(
      {
        question: "best",
        budget: null,
        target: 0.8,
        exclude: ["lens"],
        keep: ["one"],
        maxSources: 1,
        courses: { advanced: 120 },
      },
      file,
      book,
      TODAY,
      CATALOGUE,
    );
    expect(asked).to.deep.include({
      target: 0.8,
      exclude: ["lens"],
      keep: ["one"],
      maxSources: 1,
      courses: [{ to: "advanced", price: 120 }],
    });
  });
  it("without wishes asks for Ready, at any number of sources", () => {
    const asked = planRequestOf(
      { question: "cheapest", budget: null },
      file,
      book,
      TODAY,
      CATALOGUE,
    );
    expect(asked).to.deep.include({ target: "ready", exclude: [], keep: [], maxSources: null });
    expect(asked.limits).to.deep.equal(NO_LIMITS);
  });
});

describe("a plan in words", () => {
  it("a gap says what it is in, and which way", () => {
    expect(gapText(1.5, "price", "EUR")).to.match(/at most .*1\.50 dearer than the cheapest/);
    expect(gapText(0.4, "vital", "EUR")).to.equal(
      "at most 0.4 points of vital coverage below the best",
    );
    expect(gapText(0.25, "coverage", "EUR")).to.contain("0.25 points of coverage below");
    expect(gapText(120, "mass", "EUR")).to.match(/120 g heavier/);
  });
  it("repacking says what is carried and what stays", () =>
    expect(repackText({ kept: 1.5, had: 10 })).to.equal("carry 1.5 of 10; the rest stays at home"));
  it("sources that forbid a plan are named in the singular and the plural", () => {
    const said = (allowed: number) => obstacle({ code: "sources", allowed }, (n) => n, "EUR");
    expect(said(1)).to.contain("1 source only");
    expect(said(2)).to.contain("2 sources only");
  });
});
