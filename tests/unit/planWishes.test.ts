import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import type { Compartment } from "../../src/lib/core/model/container.ts";
import { expect } from "chai";
import fc from "fast-check";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { actionsOf } from "../../src/lib/core/plan/actions.ts";
import { boughtLine } from "../../src/lib/core/plan/candidates.ts";
import { bagRoomMl, keptToBag } from "../../src/lib/core/plan/fitBag.ts";
import type { Solver } from "../../src/lib/core/plan/linearModel.ts";
import { kitLoad, lineLoad } from "../../src/lib/core/bag/load.ts";
import { plan } from "../../src/lib/core/plan/plan.ts";
import { vitalOf } from "../../src/lib/core/plan/choice.ts";
import type { PlanRequest } from "../../src/lib/core/plan/request.ts";
import { NO_LIMITS } from "../../src/lib/core/plan/limits.ts";
import { partOf, portionsOf } from "../../src/lib/core/plan/portions.ts";
import { measureOf } from "../../src/lib/core/sieve/measure.ts";
import { without } from "../../src/lib/core/plan/without.ts";
import { auditFile, good, need, TODAY } from "./build.ts";
import { product, purchasesOf, realSolver, request, solved } from "./planBuild.ts";

let solver: Solver;
before(async () => {
  solver = await realSolver();
});
const solve = (r: PlanRequest) => solved(r, solver);

describe("wishes", () => {
  const file = auditFile([need("s", "sling", { tier: "vital" })], []);
  const two = [
    product("near", "triangular-bandage", 1, 2, { source: "A" }),
    product("far", "triangular-bandage", 1, 3, { source: "B" }),
  ];
  it("not this product: the next one is bought", () => {
    expect(purchasesOf(solve(request(file, two)))).to.deep.equal(["1 near"]);
    expect(purchasesOf(solve(request(file, two, { exclude: ["near"] })))).to.deep.equal(["1 far"]);
  });
  it("one source: the dearer whole (6) from one place, not the cheaper parts (4) from two", () => {
    const both = auditFile(
      [need("s", "sling", { tier: "vital" }), need("m", "magnify", { tier: "vital" })],
      [],
    );
    const products = [
      ...two,
      product("lens A", "magnifier", 1, 5, { source: "A" }),
      product("lens B", "magnifier", 1, 2, { source: "B" }),
    ];
    expect(solve(request(both, products)).choice.price).to.equal(4);
    const one = solve(request(both, products, { maxSources: 1 }));
    expect(one.choice.price).to.equal(5);
    expect(new Set(one.choice.purchases.map((p) => p.product.source))).to.deep.equal(
      new Set(["B"]),
    );
  });
  it("says when only the number of sources forbids it", () => {
    const both = auditFile(
      [need("s", "sling", { tier: "vital" }), need("m", "magnify", { tier: "vital" })],
      [],
    );
    const outcome = plan(
      request(both, [two[0]!, product("lens", "magnifier", 1, 2, { source: "B" })], {
        maxSources: 1,
      }),
      solver,
    );
    expect(outcome.status === "infeasible" && outcome.why).to.deep.equal([
      { code: "sources", allowed: 1 },
    ]);
  });
  it("says both where the number of sources and a limit forbid it", () => {
    const both = auditFile(
      [need("s", "sling", { tier: "vital" }), need("m", "magnify", { tier: "vital" })],
      [],
    );
    const outcome = plan(
      request(both, [two[0]!, product("lens", "magnifier", 1, 2, { source: "B" })], {
        maxSources: 1,
        limits: { ...NO_LIMITS, budget: 3 },
      }),
      solver,
    );
    expect(outcome.status === "infeasible" && outcome.why).to.deep.equal([
      { code: "sources", allowed: 1 },
      { code: "limit", limit: "budget", allowed: 3, needed: 4 },
    ]);
  });
  it("a product out of stock is not bought", () => {
    const out = [{ ...two[0]!, inStock: false }, two[1]!];
    expect(purchasesOf(solve(request(file, out)))).to.deep.equal(["1 far"]);
  });
});

describe("the bag itself as a limit", () => {
  const compartments = [
    { id: "main", name: "main", place: "open-top", innerMm: [200, 100, 50] },
  ] satisfies Compartment[];
  const file = (rooms: Compartment[]) => {
    const f = auditFile([need("c", "cut-clothing", { tier: "vital" })], []);
    return { ...f, kit: { ...f.kit, container: { compartments: rooms } } };
  };
  const long = product("long", "trauma-shears", 1, 5, { sizeMm: [240] });
  const short = product("short", "trauma-shears", 1, 9, { sizeMm: [180] });
  it("buys only what goes in: shears of 240 mm are longer than the diagonal of 229 mm", () => {
    // √(200² + 100² + 50²) = 229
    const r = request(file(compartments), [long, short]);
    expect(purchasesOf(solve(r))).to.deep.equal(["1 long"]);
    expect(purchasesOf(solve(keptToBag(r)))).to.deep.equal(["1 short"]);
  });
  it("holds three quarters of 200 × 100 × 50 mm: 750 ml, less where a smaller limit is set", () => {
    const r = request(file(compartments), [short]);
    expect(bagRoomMl(r.audit)).to.equal(750);
    expect(keptToBag(r).limits.volumeMl).to.equal(750);
    const tight = { ...r, limits: { ...NO_LIMITS, volumeMl: 300 } };
    expect(keptToBag(tight).limits.volumeMl).to.equal(300);
  });
  it("sets no limit where a compartment is not measured", () => {
    const r = request(file([...compartments, { id: "x", name: "x", place: "pocket" }]), [long]);
    expect(bagRoomMl(r.audit)).to.equal(null);
    expect(keptToBag(r)).to.equal(r);
  });
});

describe("training", () => {
  const file = auditFile([need("t", "limb-tourniquet", { tier: "vital" })], [], {
    brief: { skill: "anyone" },
  });
  const tq = [product("tq", "windlass-tourniquet", 1, 27)];
  it("makes possible what no purchase alone can: course 80 + tourniquet 27 = 107", () => {
    expect(plan(request(file, tq), solver).status).to.equal("infeasible");
    const r = request(file, tq, { courses: [{ to: "trained", price: 80 }] });
    const outcome = solve(r);
    expect(outcome.choice.price).to.equal(107);
    expect(outcome.choice.course).to.deep.equal({ to: "trained", price: 80 });
    const train = actionsOf(outcome, r).find((a) => a.kind === "train")!;
    expect(train).to.deep.include({ to: "trained", price: 80, phase: "before-carried" });
    // Untrained, the tourniquet counts for nothing: the course carries all 100 points.
    expect("gain" in train && train.gain).to.be.closeTo(100, 1e-9);
  });
  it("is not bought where things alone are cheaper, nor above the budget", () => {
    const trained = auditFile([need("s", "sling", { tier: "vital" })], []);
    const sling = [product("s", "triangular-bandage", 1, 2)];
    const courses = [{ to: "advanced" as const, price: 1 }];
    expect(solve(request(trained, sling, { courses })).choice.course).to.equal(null);
    const poor = request(file, tq, {
      question: "best",
      courses: [{ to: "trained", price: 80 }],
      limits: { ...NO_LIMITS, budget: 100 },
    });
    expect(solve(poor).choice.course).to.equal(null);
  });
});

describe("repacking and swapping under a limit on weight", () => {
  it("carries half metres of a single roll, single pieces, and nothing less of what must be long", () => {
    const tape = good("t", "duct-tape", 1, { sizeMm: [50, 10_000] });
    const type = CATALOGUE.types.get("duct-tape")!;
    expect(portionsOf(tape, type)).to.deep.equal({ step: 0.5, steps: 20, rest: 0 });
    const twoDoses = good("gel", "burn-gel-sachet", 1, { dosesPerPiece: 2 });
    expect(portionsOf(twoDoses, CATALOGUE.types.get("burn-gel-sachet")!)).to.deep.equal({
      step: 1,
      steps: 2,
      rest: 0,
    });
    expect(portionsOf(tape, type, false)).to.deep.equal({ step: 10, steps: 1, rest: 0 });
    expect(partOf(tape, type, 1.5).sizeMm).to.deep.equal([50, 1500]);
    const pads = good("p", "gauze-pad", 12);
    expect(portionsOf(pads, CATALOGUE.types.get("gauze-pad")!)).to.deep.equal({
      step: 1,
      steps: 12,
      rest: 0,
    });
    expect(partOf(pads, CATALOGUE.types.get("gauze-pad")!, 5).counted).to.equal(5);
  });
  it("weighs what is carried by its share of the whole, whatever it is: three of a strip of five, 1.8 g of 3", () => {
    const strip = good("s", "ibuprofen", 1, { dosesPerPiece: 5 });
    const type = CATALOGUE.types.get("ibuprofen")!;
    expect(lineLoad(strip, type).massG).to.be.closeTo(5 * 0.6, 1e-9);
    expect(lineLoad(partOf(strip, type, 3), type).massG).to.be.closeTo(3 * 0.6, 1e-9);
    const shapes = [
      {},
      { dosesPerPiece: 5 },
      { volumeMl: 40 },
      { sizeMm: [75, 4000] as [number, number] },
    ];
    for (const type of CATALOGUE.types.values())
      for (const shape of shapes)
        for (const pieces of [1, 4]) {
          const line = good("l", type.id, pieces, shape);
          const units = pieces * measureOf(line, type).perPiece;
          const { step, steps } = portionsOf(line, type)!;
          const kept = units - step * Math.ceil(steps / 2);
          const [whole, part] = [line, partOf(line, type, kept)].map((l) => lineLoad(l, type));
          const told = `${type.id} ${JSON.stringify(shape)}`;
          expect(part!.massG, told).to.be.closeTo((whole!.massG * kept) / units, 1e-6);
          expect(part!.volumeMl, told).to.be.closeTo((whole!.volumeMl * kept) / units, 1e-6);
        }
  });
  it("keeps of twelve pads the four that are needed and fit, and says so", () => {
    const each = CATALOGUE.types.get("gauze-pad")!.massG!;
    const file = auditFile(
      [need("p", "medium-wound-pad", { quantity: { base: 4 }, tier: "vital" })],
      [good("pads", "gauze-pad", 12, { sizeMm: [100, 100] })],
    );
    const r = request(file, [], { limits: { ...NO_LIMITS, massG: 6 * each } });
    const outcome = solve(r);
    expect(outcome.choice.after.grade).to.equal("Ready");
    expect(outcome.choice.dropped).to.deep.equal([]);
    // As little stays at home as the limit asks: six of twelve.
    expect(outcome.choice.repacked).to.deep.equal([{ line: "pads", kept: 6, had: 12 }]);
    expect(actionsOf(outcome, r)).to.deep.equal([
      {
        kind: "repack",
        phase: "before-carried",
        line: "pads",
        kept: 6,
        had: 12,
        massG: 6 * each,
      },
    ]);
    expect(outcome.choice.load.massG).to.be.at.most(6 * each + 1e-9);
  });
  it("does not repack what the user always carries", () => {
    const each = CATALOGUE.types.get("gauze-pad")!.massG!;
    const file = auditFile(
      [need("p", "medium-wound-pad", { quantity: { base: 4 }, tier: "vital" })],
      [good("pads", "gauze-pad", 12, { sizeMm: [100, 100] })],
    );
    const outcome = plan(
      request(file, [], { limits: { ...NO_LIMITS, massG: 6 * each }, keep: ["pads"] }),
      solver,
    );
    expect(outcome.status).to.equal("infeasible");
  });
  it("swaps a good heavy thing for a light one that does the same", () => {
    const heavy = CATALOGUE.types.get("insulated-bag")!.massG!;
    const file = auditFile(
      [
        need("w", "heat-retention", {
          tier: "vital",
          accept: [{ itemType: "foil-blanket", credit: 1 }],
        }),
      ],
      [good("bag", "insulated-bag")],
    );
    const r = request(file, [product("foil", "foil-blanket", 1, 2, { massG: 60 })], {
      limits: { ...NO_LIMITS, massG: heavy - 1 },
    });
    const outcome = solve(r);
    const actions = actionsOf(outcome, r);
    expect(actions.find((a) => "product" in a)).to.deep.include({ kind: "swap", instead: ["bag"] });
    expect(actions.find((a) => a.kind === "drop")).to.deep.include({
      line: "bag",
      because: "limit",
    });
  });

  it("counts the weight of what is worn and serves a vital need only in part, and leaves it", () => {
    const file = auditFile(
      [
        need("w", "heat-retention", {
          tier: "vital",
          accept: [{ itemType: "foil-blanket", credit: 1 }],
        }),
      ],
      [good("bag", "insulated-bag", 1, { condition: "worn" })],
    );
    const r = request(file, [product("foil", "foil-blanket", 1, 2, { massG: 60 })], {
      limits: { ...NO_LIMITS, massG: 100 },
    });
    const { choice } = solve(r);
    expect(choice.after.grade).to.equal("Ready");
    expect(choice.dropped).to.deep.equal(["bag"]);
    expect(choice.load.massG).to.equal(60);
  });

  /** The slow obvious answer: every number of packs and of pieces carried, audited. */
  const smallCase = fc.record({
    required: fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 2, maxLength: 2 }),
    vital: fc.boolean(),
    have: fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 2, maxLength: 2 }),
    packs: fc.array(fc.tuple(fc.integer({ min: 1, max: 2 }), fc.integer({ min: 1, max: 9 })), {
      minLength: 2,
      maxLength: 2,
    }),
    mass: fc.integer({ min: 1, max: 60 }),
    budget: fc.integer({ min: 0, max: 12 }),
  });
  const KINDS = [
    ["medium-wound-pad", "gauze-pad"],
    ["bulk-absorbent", "abd-pad"],
  ] as const;
  it("finds what trying everything finds: most vital, most coverage, least price", () => {
    fc.assert(
      fc.property(smallCase, (c) => {
        const file = auditFile(
          KINDS.map(([fn], i) =>
            need(`n${i}`, fn, {
              quantity: { base: c.required[i]! },
              tier: i === 0 && c.vital ? "vital" : "core",
            }),
          ),
          KINDS.map(([, type], i) => good(`l${i}`, type, c.have[i]!, { sizeMm: [200, 200] })),
        );
        const products = KINDS.map(([, type], i) =>
          product(`p${i}`, type, c.packs[i]![0], c.packs[i]![1], { sizeMm: [200, 200] }),
        );
        const limits = { ...NO_LIMITS, massG: c.mass, budget: c.budget };
        const outcome = solve(request(file, products, { question: "best", limits }));
        let best = [-1, -1, -Infinity];
        for (let a = 0; a <= c.have[0]!; a++)
          for (let b = 0; b <= c.have[1]!; b++)
            for (let x = 0; x <= 4; x++)
              for (let y = 0; y <= 4; y++) {
                const price = x * c.packs[0]![1] + y * c.packs[1]![1];
                if (price > c.budget) continue;
                const lines = [
                  ...file.kit.lines.map((l, i) => ({ ...l, counted: [a, b][i]! })),
                  ...(x > 0 ? [boughtLine(products[0]!, x, TODAY)] : []),
                  ...(y > 0 ? [boughtLine(products[1]!, y, TODAY)] : []),
                ];
                const kit = { ...file, kit: { ...file.kit, lines } };
                // Bought things weigh what the price book says, as the planner reckons.
                const carried =
                  kitLoad({ ...file, kit: { ...file.kit, lines: lines.slice(0, 2) } }, CATALOGUE)
                    .massG +
                  x * products[0]!.massG! +
                  y * products[1]!.massG!;
                if (carried > c.mass + 1e-9) continue;
                const after = audit(kit, TODAY, CATALOGUE);
                const key = [vitalOf(after), after.coverage!, -price];
                const at = key.findIndex((v, i) => Math.abs(v - best[i]!) > 1e-9);
                if (at >= 0 && key[at]! > best[at]!) best = key;
              }
        const { after, price } = outcome.choice;
        expect(vitalOf(after), JSON.stringify(c)).to.be.closeTo(best[0]!, 1e-6);
        expect(after.coverage!, JSON.stringify(c)).to.be.closeTo(best[1]!, 1e-6);
        expect(price, JSON.stringify(c)).to.be.closeTo(-best[2]!, 1e-6);
      }),
      { numRuns: 60, seed: 21 },
    );
  }).timeout(120_000);
});

describe("a search that is cut off", () => {
  it("gives the best found and how far it may be from the best, in what it is in", () => {
    const file = auditFile([need("s", "sling", { tier: "vital" })], []);
    // A solver that finds the answer and has no time to prove it: 1.50 may still be possible.
    const hurried: Solver = (model, options) => {
      const done = solver(model, options);
      return { ...done, status: "time-limit", bound: 0.75 * done.objective };
    };
    const outcome = plan(request(file, [product("s", "triangular-bandage", 1, 2)]), hurried);
    if (outcome.status === "infeasible") throw new Error();
    expect(outcome.status).to.equal("feasible");
    // Coverage is sought with the price, and weighs less than a cent of it.
    expect(outcome.gap).to.be.closeTo(0.5, 0.01);
    expect(outcome.gapIn).to.equal("price");
    expect(outcome.choice.price).to.equal(2);
  });
});

describe("a search that finds nothing in time", () => {
  const file = auditFile([need("s", "sling", { tier: "vital" })], []);
  /** No programme of whole numbers is ever solved; the relaxation is. */
  const never: Solver = (model, options) =>
    options?.relaxed
      ? solver(model, options)
      : { status: "time-limit", x: [], objective: Infinity, bound: -Infinity };
  it("gives the quick answer, the best where the relaxation says so: 2.00, and no less than 2.00", () => {
    const outcome = plan(request(file, [product("s", "triangular-bandage", 1, 2)]), never);
    if (outcome.status === "infeasible") throw new Error();
    expect(outcome.status).to.equal("optimal");
    expect(outcome.choice.price).to.equal(2);
    expect(outcome.gap).to.equal(0);
  });
  it("does not call it impossible where the quick answer falls short", () => {
    const poor = request(file, [product("s", "triangular-bandage", 1, 2)], {
      limits: { ...NO_LIMITS, budget: 1 },
    });
    const outcome = plan(poor, never);
    expect(outcome.status).to.equal("infeasible");
    expect(outcome.status === "infeasible" && outcome.why).to.deep.equal([{ code: "not-proven" }]);
  });
});

describe("when a choice would change", () => {
  const file = auditFile([need("t", "limb-tourniquet", { tier: "vital" })], []);
  it("cheapest: at the price where the plan without it is no dearer, 24 + (27 − 24)", () => {
    const r = request(file, [
      product("ratchet", "ratchet-tourniquet", 1, 24),
      product("rod", "windlass-tourniquet", 1, 27),
    ]);
    const outcome = solve(r);
    const other = without(r, outcome, "ratchet", solver);
    expect(other).to.deep.include({ none: false, priceMore: 3, changesAtPrice: 27, proven: true });
    // At 26.99 it stays, at 27.01 it goes.
    const at = (price: number) =>
      purchasesOf(
        solve(
          request(file, [
            product("ratchet", "ratchet-tourniquet", 1, price),
            product("rod", "windlass-tourniquet", 1, 27),
          ]),
        ),
      );
    expect(at(26.99)).to.deep.equal(["1 ratchet"]);
    expect(at(27.01)).to.deep.equal(["1 rod"]);
  });
  it("best: when it no longer fits the budget, or the weight", () => {
    const r = request(file, [product("ratchet", "ratchet-tourniquet", 1, 24, { massG: 100 })], {
      question: "best",
      limits: { ...NO_LIMITS, budget: 30, massG: 150 },
    });
    const other = without(r, solve(r), "ratchet", solver);
    if (other.none) throw new Error();
    expect(other.changesAtPrice).to.equal(30);
    expect(other.coverageLess).to.be.closeTo(100, 1e-9);
    // It weighs 100 g, and 50 g are left of the limit.
    expect(other.changesAtMassG).to.be.closeTo(150, 1e-9);
  });
  const slings = auditFile([need("s", "sling", { tier: "vital", quantity: { base: 2 } })], []);
  it("cheapest, several packs: 2 × 2 or 2 × 3 is 2 dearer, 1 a pack, and 40 g more", () => {
    const r = request(slings, [
      product("small", "triangular-bandage", 1, 2),
      product("big", "triangular-bandage", 1, 3, { massG: 30 }),
    ]);
    expect(without(r, solve(r), "small", solver)).to.deep.include({
      priceMore: 2,
      coverageLess: 0,
      massMoreG: 40,
      changesAtPrice: 3,
      changesAtMassG: null,
    });
  });
  it("best, several packs: the same 4 then buy one of two, half the coverage, 10 g less", () => {
    const r = request(
      slings,
      [product("small", "triangular-bandage", 1, 2), product("big", "triangular-bandage", 1, 4)],
      { question: "best", limits: { ...NO_LIMITS, budget: 4.5, massG: 50 } },
    );
    const other = without(r, solve(r), "small", solver);
    if (other.none) throw new Error();
    expect(other.coverageLess).to.be.closeTo(50, 1e-9);
    // 0.50 of the budget and 30 g of the limit are left, over two packs.
    expect(other).to.deep.include({
      priceMore: 0,
      massMoreG: -10,
      changesAtPrice: 2.25,
      changesAtMassG: 25,
    });
  });
  it("says where nothing else does it", () => {
    const r = request(file, [product("ratchet", "ratchet-tourniquet", 1, 24)]);
    expect(without(r, solve(r), "ratchet", solver)).to.deep.equal({ none: true, proven: true });
    expect(() => without(r, solve(r), "other", solver)).to.throw("does not buy");
  });
});
