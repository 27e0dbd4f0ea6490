import { expect } from "chai";
import { boughtLine, candidates } from "../../src/lib/core/plan/candidates.ts";
import { actionsOf } from "../../src/lib/core/plan/actions.ts";
import { atRisk } from "../../src/lib/core/plan/companions.ts";
import { greedyPlan } from "../../src/lib/core/plan/greedy.ts";
import { kitLoad, lineLoad } from "../../src/lib/core/bag/load.ts";
import { frontierLimits, kneesOf, risen, stepsOf } from "../../src/lib/core/plan/frontier.ts";
import type { FrontierPoint } from "../../src/lib/core/plan/frontier.ts";
import { unreachableNeeds } from "../../src/lib/core/plan/infeasible.ts";
import { planBound } from "../../src/lib/core/plan/bound.ts";
import { leavingOf } from "../../src/lib/core/plan/leaving.ts";
import { valueAt, type Solver } from "../../src/lib/core/plan/linearModel.ts";
import { belowMinimum, postages, sparePacks } from "../../src/lib/core/plan/orders.ts";
import { owningOf } from "../../src/lib/core/plan/owning.ts";
import { partOf, portionsOf, wholeOf } from "../../src/lib/core/plan/portions.ts";
import { NO_LIMITS } from "../../src/lib/core/plan/limits.ts";
import { plan } from "../../src/lib/core/plan/plan.ts";
import { mayLeaveFreely } from "../../src/lib/core/plan/request.ts";
import { shoppingList } from "../../src/lib/core/plan/shopping.ts";
import { stocksOf } from "../../src/lib/core/plan/stocks.ts";
import { without } from "../../src/lib/core/plan/without.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import type { Line } from "../../src/lib/core/model/kit.ts";
import { auditFile, good, need, ownType } from "./build.ts";
import { bookOf, product, realSolver, request, solved } from "./planBuild.ts";

/** The steps that a plan is made of, each by itself, with numbers worked out by hand. */

let solver: Solver;
before(async () => {
  solver = await realSolver();
});

const type = (id: string) => CATALOGUE.types.get(id)!;
const roll = (counted: number, metres: number): Line =>
  good("roll", "medical-tape", counted, { sizeMm: [25, metres * 1000] });

describe("what of a line may be left at home", () => {
  const tape = type("medical-tape");
  it("a roll of 1.7 m by the half metre: three halves, and 0.2 m go with the last", () => {
    const { step, steps, rest } = portionsOf(roll(1, 1.7), tape)!;
    expect([step, steps]).to.deep.equal([0.5, 3]);
    expect(rest).to.be.closeTo(0.2, 1e-9);
  });
  it("a roll of 1 m may be halved, one of 0.9 m is carried whole or not at all", () => {
    expect(portionsOf(roll(1, 1), tape)).to.deep.equal({ step: 0.5, steps: 2, rest: 0 });
    expect(portionsOf(roll(1, 0.9), tape)).to.deep.equal({ step: 0.9, steps: 1, rest: 0 });
  });
  it("a roll that must not be cut goes whole; of two rolls, one at a time", () => {
    expect(portionsOf(roll(1, 4), tape, false)).to.deep.equal({ step: 4, steps: 1, rest: 0 });
    expect(portionsOf(roll(2, 4), tape)).to.deep.equal({ step: 4, steps: 2, rest: 0 });
  });
  it("nothing of nothing", () => expect(portionsOf(roll(0, 4), tape)).to.equal(null));
  it("all of it or nothing: one step, be it half a unit", () => {
    expect(wholeOf(0.5)).to.deep.equal({ step: 0.5, steps: 1, rest: 0 });
    expect(wholeOf(0)).to.equal(null);
  });
  it("what is carried of a roll keeps its width; of pieces, their number; claimed stays claimed", () => {
    expect(partOf(roll(1, 4), tape, 1.5).sizeMm).to.deep.equal([25, 1500]);
    expect(partOf(good("p", "gauze-pad", 5), type("gauze-pad"), 2).counted).to.equal(2);
    const claimed: Line = { id: "c", itemType: "gauze-pad", claimed: 5 };
    expect(partOf(claimed, type("gauze-pad"), 2)).to.deep.equal({ ...claimed, claimed: 2 });
  });
});

describe("what is left over of a purchase", () => {
  const tweezers = (pack: number) => product("t", "tweezers-fine", pack, 3);
  const bought = (needs: Parameters<typeof auditFile>[0], pack: number) => {
    const r = request(auditFile(needs, []), [tweezers(pack)], { target: 0.7 });
    const [action] = actionsOf(solved(r, solver), r);
    if (!action || !("product" in action)) throw new Error();
    return [action.packs, action.spare];
  };
  const splinters = need("s", "splinter-removal");
  it("one tool serves two needs: of a pack of three, two are over", () =>
    expect(bought([splinters, need("t", "tick-removal")], 3)).to.deep.equal([1, 2]));
  it("each does for two: of three bought for four wounds one is over", () => {
    const itemTypes = [
      ownType("wide", "wide", { functions: [{ function: "eye-cover", credit: 1, yield: 2 }] }),
    ];
    const file = auditFile([need("e", "eye-cover", { quantity: { base: 4 } })], [], { itemTypes });
    const r = request(file, [product("w", "wide", 3, 3)]);
    const [action] = actionsOf(solved(r, solver), r);
    expect(action && "spare" in action && action.spare).to.equal(1);
  });
  it("two are asked of one tool, two packs of one bought: none is over", () =>
    expect(bought([need("s", "splinter-removal", { quantity: { base: 2 } })], 1)).to.deep.equal([
      2, 0,
    ]));
});

describe("the next choice for the same need", () => {
  it("is told as it would be bought: an elastic bandage that says it holds no latex, not a cheaper one that says nothing", () => {
    const file = auditFile([need("j", "joint-support")], [], {
      brief: { sensitivities: ["latex"] },
    });
    const bandage = (id: string, itemType: string, price: number, latexFree?: true) =>
      product(id, itemType, 1, price, latexFree ? { latexFree } : {});
    const r = request(file, [
      bandage("chosen", "elastic-bandage", 1, true),
      bandage("unsaid", "heavy-compression-bandage", 2),
      bandage("free", "heavy-compression-bandage", 3, true),
    ]);
    const [action] = actionsOf(solved(r, solver), r);
    if (!action || !("runnerUp" in action)) throw new Error();
    expect([action.product.id, action.runnerUp?.product.id]).to.deep.equal(["chosen", "free"]);
  });
});

describe("the next choice where the need says what it takes", () => {
  it("is of a kind that only the need gives credit", () => {
    const takes = need("p", "medium-wound-pad", {
      accept: [{ itemType: "duct-tape", credit: 1 }],
    });
    const r = request(auditFile([takes], []), [
      product("gauze", "gauze-pad", 1, 1),
      product("tape", "duct-tape", 1, 2),
      product("whistle", "whistle", 1, 1.5),
    ]);
    const [action] = actionsOf(solved(r, solver), r);
    if (!action || !("runnerUp" in action)) throw new Error();
    expect(action.runnerUp?.product.id).to.equal("tape");
  });
});

describe("what goes, and what is still to be looked at", () => {
  const sling = need("s", "sling");
  const actions = (r: ReturnType<typeof request>) => actionsOf(solved(r, solver), r);
  it("what failed goes before the kit is carried; what nobody asks for, with the next order", () => {
    const file = auditFile(
      [sling],
      [
        good("tri", "triangular-bandage"),
        good("old", "triangular-bandage", 1, { condition: "failed" }),
        good("compass", "compass"),
      ],
    );
    const drops = actions(request(file, [], { question: "lightest", target: 1 })).flatMap((a) =>
      a.kind === "drop" ? [[a.line, a.because, a.phase]] : [],
    );
    expect(drops).to.deep.equal([
      ["old", "failed", "before-carried"],
      ["compass", "not-asked", "next-order"],
    ]);
  });
  it("only what the plan leans on is to be checked, and not what is carried elsewhere", () => {
    const file = auditFile(
      [sling, need("w", "signal")],
      [
        { id: "tri", itemType: "triangular-bandage", claimed: 1 },
        { id: "compass", itemType: "compass", claimed: 1 },
      ],
      { brief: { carriedElsewhere: [{ itemType: "whistle", pieces: 1, reachS: 10 }] } },
    );
    const checks = actions(request(file, [], { target: 0.1 })).flatMap((a) =>
      a.kind === "check" ? [a.line] : [],
    );
    expect(checks).to.deep.equal(["tri"]);
  });
});

describe("why no plan can do it", () => {
  it("what clashes and asks for no more training than there is, is a clash", () => {
    // Anyone may put on a plaster, and the party is anyone: it is the adhesive that forbids it.
    const file = auditFile([need("c", "small-wound-cover", { tier: "vital" })], [], {
      brief: { sensitivities: ["adhesive"], skill: "anyone" },
    });
    const r = request(file, [product("p", "adhesive-strip", 10, 1)]);
    expect(unreachableNeeds(candidates(r), r.book)).to.deep.equal([
      { code: "sensitivity", need: "c", clash: ["adhesive"] },
    ]);
  });
});

describe("what a source asks beside its prices", () => {
  const mill = { source: "mill", postage: 4, freeFrom: 20, minimum: 10 };
  const book = { ...bookOf([]), sources: [mill] };
  const pads = product("pads", "gauze-pad", 1, 2.5, { source: "mill" });
  const of = (packs: number) => [{ product: pads, packs }];
  it("postage below 20.00, none from there on", () => {
    expect(postages(of(7), book)).to.deep.equal([{ source: "mill", price: 4 }]);
    expect(postages(of(8), book)).to.deep.equal([]);
  });
  it("an order of 10.00 is enough, one of 7.50 is not; none needs nothing", () => {
    expect(belowMinimum(of(4), book)).to.deep.equal([]);
    expect(belowMinimum(of(3), book)).to.deep.equal([mill]);
    expect(belowMinimum([], book)).to.deep.equal([]);
  });
  it("four packs come to the least order, and one more costs less than the postage it saves: five", () => {
    expect(sparePacks(pads, book)).to.equal(5);
    // Without free postage only the order has to be filled; without either nothing depends on it.
    const { freeFrom: _, ...charged } = mill;
    expect(sparePacks(pads, { ...book, sources: [charged] })).to.equal(4);
    expect(sparePacks(pads, { ...book, sources: [] })).to.equal(0);
  });
});

describe("lines and products that do the same", () => {
  const use = (line: number, f: number) => ({
    ...{ line, need: 0, f, r: 1, yield: 1, tool: false, companions: [] },
  });
  it("are one stock, by its first; what does it less well is another", () => {
    const { members, firsts, stockOf } = stocksOf([use(4, 1), use(2, 1), use(3, 0.5)] as never);
    expect(members).to.deep.equal([[2, 4], [3]]);
    expect([...firsts]).to.deep.equal([2, 3]);
    expect([...stockOf]).to.deep.equal([
      [2, 2],
      [4, 2],
      [3, 3],
    ]);
  });
});

describe("what a kit costs over five years", () => {
  it("a product that keeps two years is bought three times, one that keeps for ever once", () => {
    const r = request(auditFile([need("p", "medium-wound-pad")], []), [
      product("short", "gauze-pad", 1, 2, { shelfMonths: 24 }),
      product("long", "gauze-pad", 1, 5, { shelfMonths: null }),
    ]);
    expect(owningOf(r, candidates(r)).pack).to.deep.equal([600, 500]);
  });
});

describe("a purchase as a line of the kit", () => {
  it("has all that its product tells, counted, sound and dated by its shelf life", () => {
    const told = {
      ...{ sizeMm: [75, 75], volumeMl: 20, dosesPerPiece: 2, strengthMg: 300, latexFree: true },
    };
    const bought = boughtLine(
      product("p", "aspirin", 10, 2, { ...told, shelfMonths: 24 }),
      3,
      "2026-11-28",
    );
    expect(bought).to.deep.equal({
      ...told,
      ...{ id: "buy:p", itemType: "aspirin", text: "p", counted: 30, expires: "2028-11-28" },
      ...{ condition: "sound", location: "outside" },
    });
    const bare = boughtLine(product("q", "sling", 1, 2, { shelfMonths: null }), 1, "2026-11-28");
    expect(bare).to.deep.equal({
      ...{ id: "buy:q", itemType: "sling", text: "q", counted: 1, expires: "none" },
      ...{ condition: "sound", location: "outside" },
    });
  });
});

describe("what a purchase is mainly for", () => {
  // One piece of two goes to each need: all that the second asks, a quarter of what the first does.
  const both = (requiredOfFirst: number, failedFor: "first" | "second") => {
    const needs = [
      need("first", "medium-wound-pad", { quantity: { base: requiredOfFirst } }),
      need("second", "eye-cover"),
    ];
    const fn = needs[failedFor === "first" ? 0 : 1]!.function;
    const itemTypes = [
      ownType("old", "old", { functions: [{ function: fn, credit: 1 }] }),
      ownType("new", "new", {
        functions: needs.map((n) => ({ function: n.function, credit: 1 })),
      }),
    ];
    const failed = good("old-line", "old", 1, { condition: "failed" });
    const r = request(auditFile(needs, [failed], { itemTypes }), [product("new", "new", 2, 1)], {
      ...{ question: "best", limits: { ...NO_LIMITS, budget: 1 } },
    });
    const action = actionsOf(solved(r, solver), r).find((a) => "product" in a)!;
    return "instead" in action ? [action.kind, action.instead] : [];
  };
  it("is the need of which it fills most: it stands in for what failed there", () => {
    expect(both(4, "second")).to.deep.equal(["replace", ["old-line"]]);
    expect(both(4, "first")).to.deep.equal(["add", []]);
  });
  it("of two alike the first", () => {
    expect(both(1, "first")).to.deep.equal(["replace", ["old-line"]]);
    expect(both(1, "second")).to.deep.equal(["add", []]);
  });
});

describe("a quick plan under a limit on weight", () => {
  const kit = auditFile(
    [need("p", "medium-wound-pad", { quantity: { base: 2 } }), need("s", "sling")],
    [good("pads", "gauze-pad", 2), good("sling", "triangular-bandage")],
  );
  const { massG } = kitLoad(kit, CATALOGUE);
  const left = (limit: number) =>
    greedyPlan(request(kit, [], { question: "best", limits: { ...NO_LIMITS, massG: limit } }))
      .choice.dropped.length;
  const sling = lineLoad(kit.kit.lines[1]!, type("triangular-bandage")).massG;
  const pads = lineLoad(kit.kit.lines[0]!, type("gauze-pad")).massG;
  it("leaves nothing at home that weighs just what it may, and one thing where that is just enough", () => {
    expect([left(massG), left(massG - 0.1)]).to.deep.equal([0, 1]);
    expect(left(massG - Math.max(sling, pads))).to.equal(1);
  });
});

describe("a shopping list by source", () => {
  it("has the longest waits first, those that tell none last, equal ones by their name", () => {
    const from = (source: string, itemType: string, leadDays?: number) =>
      product(source, itemType, 1, 1, {
        source,
        ...(leadDays === undefined ? {} : { leadDays }),
      });
    const r = request(
      auditFile([need("a", "sling"), need("b", "medium-wound-pad"), need("c", "eye-cover")], []),
      [from("Zinc", "triangular-bandage", 1), from("Birch", "gauze-pad"), from("Alder", "eye-pad")],
    );
    const sources = shoppingList(actionsOf(solved(r, solver), r), r.book, (id) =>
      CATALOGUE.types.get(id),
    );
    expect(sources.map((s) => s.source)).to.deep.equal(["Zinc", "Alder", "Birch"]);
  });
});

describe("a shopping list's stand-in", () => {
  it("is the next choice of another kind, where the book has no other of the same", () => {
    const r = request(auditFile([need("w", "medium-wound-pad")], []), [
      product("gauze", "gauze-pad", 1, 1),
      product("smooth", "non-adherent-pad", 1, 2),
    ]);
    const typeOf = (id: string) => CATALOGUE.types.get(id);
    const [source] = shoppingList(actionsOf(solved(r, solver), r), r.book, typeOf);
    expect(source!.lines[0]!.alternates.map((p) => p.id)).to.deep.equal(["smooth"]);
  });
});

describe("what may stay at home", () => {
  it("is asked of the lightest, the smallest and the cheapest to own; else a limit must ask", () =>
    expect(
      (["lightest", "smallest", "own", "cheapest", "best"] as const).map(mayLeaveFreely),
    ).to.deep.equal([true, true, true, false, false]));
  it("parts under a limit or for the lightest, whole lines over the years, else nothing", () => {
    expect(leavingOf("cheapest", false)).to.equal("none");
    expect(leavingOf("cheapest", true)).to.equal("parts");
    expect(leavingOf("lightest", false)).to.equal("parts");
    expect(leavingOf("own", true)).to.equal("whole");
  });
  it("a companion is at risk where no line that stays is one", () => {
    const file = auditFile(
      [need("n", "airway-adjunct", { companions: ["airway-lubricant"] })],
      [good("jelly", "lubricant-sachet"), good("a", "nasal-airway")],
      { brief: { skill: "advanced" } },
    );
    const r = request(file, []);
    const c = candidates(r);
    const [companion] = [...c.companionLines.keys()];
    const risks = (leave: "none" | "parts", keep: string[]) => [
      ...atRisk(c, { leave, keep: new Set(keep) }),
    ];
    expect(risks("none", [])).to.deep.equal([]);
    expect(risks("parts", ["jelly"])).to.deep.equal([]);
    expect(risks("parts", [])).to.deep.equal([companion]);
  });
});

const point = (limit: number, coverage: number, more: Partial<FrontierPoint> = {}) => ({
  ...{ limit, coverage, vital: 1, bound: coverage, proven: true, price: limit, massG: 0 },
  ...{ packs: {} },
  ...more,
});

describe("a curve of plans", () => {
  it("never falls: a worse point is the one before it, under its own limit", () => {
    const [first, worse, better] = risen([
      point(10, 50),
      point(20, 49),
      point(30, 60, { vital: 1 }),
    ] as FrontierPoint[]);
    expect(worse).to.deep.equal({ ...first, limit: 20, bound: 50, proven: true });
    expect(better!.coverage).to.equal(60);
    // Less covered but more that is vital is no fall.
    const [, vital] = risen([
      point(10, 50, { vital: 0.5 }),
      point(20, 40, { vital: 0.6 }),
    ] as FrontierPoint[]);
    expect(vital!.coverage).to.equal(40);
  });
  it("says at each step what comes in and what goes out", () =>
    expect(
      stepsOf([
        point(0, 0),
        point(10, 30, { packs: { a: 2, b: 1 } }),
        point(20, 30, { packs: { a: 2, b: 1 } }),
        point(30, 45, { packs: { b: 3 } }),
      ] as FrontierPoint[]),
    ).to.deep.equal([
      {
        at: 1,
        gain: 30,
        enters: [
          { product: "a", packs: 2 },
          { product: "b", packs: 1 },
        ],
        leaves: [],
      },
      {
        at: 3,
        gain: 15,
        enters: [{ product: "b", packs: 2 }],
        leaves: [{ product: "a", packs: 2 }],
      },
    ]));
  it("has a knee where the slope falls to half or less: from 4 a coin to 2, not from 2 to 1.5", () => {
    const knees = (...at: [number, number][]) =>
      kneesOf(at.map(([limit, coverage]) => point(limit, coverage)) as FrontierPoint[]);
    expect(knees([0, 0], [10, 40], [20, 60])).to.deep.equal([1]);
    expect(knees([0, 0], [10, 20], [20, 35])).to.deep.equal([]);
    // What lies under the line from point to point bends nothing.
    expect(knees([0, 0], [10, 40], [15, 41], [20, 60])).to.deep.equal([1]);
    expect(knees([0, 0])).to.deep.equal([]);
  });
  it("goes from nothing to what everything costs, closer together at the beginning", () => {
    const r = request(auditFile([need("p", "medium-wound-pad", { quantity: { base: 4 } })], []), [
      product("one", "gauze-pad", 1, 2.5),
    ]);
    // Four pads are 10.00; a third of the way is less than a third of it.
    const limits = frontierLimits(r, "budget", 4);
    expect([limits[0], limits.at(-1)]).to.deep.equal([0, 10]);
    expect(limits[1]).to.be.within(0.5, 3.3);
    expect([...limits].sort((a, b) => a - b)).to.deep.equal(limits);
  });
});

describe("a plan without one of its products", () => {
  const file = auditFile([need("p", "medium-wound-pad", { quantity: { base: 2 } })], []);
  it("costs 2.00 more for two packs: each may cost 1.00 more before it would change", () => {
    const r = request(
      file,
      [product("a", "gauze-pad", 1, 2), product("b", "gauze-pad", 1, 3, { massG: 12 })],
      { target: 1 },
    );
    const w = without(r, solved(r, solver), "a", solver);
    expect(w).to.deep.include({ none: false, priceMore: 2, changesAtPrice: 3, massMoreG: 4 });
  });
  it("there may be none", () => {
    const r = request(file, [product("a", "gauze-pad", 1, 2)], { target: 1 });
    expect(without(r, solved(r, solver), "a", solver)).to.deep.equal({ none: true, proven: true });
  });
});

describe("where the solver finds nothing in its time", () => {
  /** Only what the programme's relaxation says is known. */
  const late: Solver = (model, options) =>
    options?.relaxed
      ? solver(model, options)
      : { status: "time-limit", x: [], objective: Infinity, bound: -Infinity };
  const packOf4 = product("pads", "gauze-pad", 4, 4, { shelfMonths: null });
  const pads = (base: number) =>
    auditFile([need("p", "medium-wound-pad", { quantity: { base } })], []);
  const said = (r: ReturnType<typeof request>) => {
    const outcome = plan(r, late);
    if (outcome.status === "infeasible") throw new Error(JSON.stringify(outcome.why));
    return outcome;
  };
  it("the quick answer stands, with how far it may be from the best: half a pack would do, 2.00", () => {
    const outcome = said(request(pads(2), [packOf4], { target: 1 }));
    expect(outcome.choice.price).to.equal(4);
    expect(outcome).to.include({ status: "feasible", gapIn: "price", tiesProven: false });
    expect(outcome.gap).to.be.closeTo(2, 1e-6);
  });
  it("5.00 buy a pack of four of eight, and two thirds of a single pad: 8.33 points", () => {
    const limits = { ...NO_LIMITS, budget: 5 };
    const one = product("one", "gauze-pad", 1, 1.5);
    const outcome = said(request(pads(8), [packOf4, one], { question: "best", limits }));
    expect(outcome.gapIn).to.equal("coverage");
    expect(outcome.gap).to.be.closeTo(100 / 12, 1e-4);
  });
});

describe("what no plan can better, told at once", () => {
  // One vital need of 3 points, four others of 2; for 1.00 the vital one is had, or all of the others.
  const others = ["sling", "eye-cover", "medium-wound-pad", "small-wound-cover"];
  const file = auditFile(
    [
      need("v", "limb-tourniquet", { tier: "vital" }),
      ...others.map((fn, i) => need(`o${i}`, fn, { tier: "core" })),
    ],
    [],
  );
  const r = request(
    file,
    [
      product("tq", "windlass-tourniquet", 1, 1),
      ...["triangular-bandage", "eye-pad", "gauze-pad", "adhesive-strip"].map((id) =>
        product(id, id, 1, 0.25),
      ),
    ],
    { question: "best", limits: { ...NO_LIMITS, budget: 1 } },
  );
  const weights = candidates(r).context.needs.map((n) => n.weight);
  const share = (of: readonly number[]) =>
    (100 * of.reduce((a, b) => a + b, 0)) / weights.reduce((a, b) => a + b, 0);
  it("is all of the others; of plans with the vital need it is that one alone", () => {
    expect(planBound(r, solver)!.bound).to.be.closeTo(share(weights.slice(1)), 1e-4);
    const { choice } = greedyPlan(r);
    const withVital = planBound(r, solver, choice)!;
    expect(withVital.of).to.equal("coverage");
    expect(withVital.bound).to.be.closeTo(share(weights.slice(0, 1)), 1e-4);
  });
  it("of the cheapest it is a price: 1.00 for the vital need alone", () =>
    expect(
      planBound({ ...r, question: "cheapest", target: 0.1, limits: NO_LIMITS }, solver),
    ).to.deep.include({ of: "price" }));
});

describe("a sum over columns", () => {
  it("2 of the first and 3 of the third", () =>
    expect(
      valueAt(
        [
          [0, 2],
          [2, 3],
        ],
        [5, 7, 11],
      ),
    ).to.equal(43));
});
