import { expect } from "chai";
import { worthChecking } from "../../src/lib/core/audit/audit.ts";
import { THRESHOLDS } from "../../src/lib/core/model/houseRules.ts";
import type { Need } from "../../src/lib/core/model/list.ts";
import { gradeOf } from "../../src/lib/core/score/grade.ts";
import { proposeVerdict } from "../../src/lib/core/audit/verdict.ts";
import { replacementPrice } from "../../src/lib/core/plan/replacement.ts";
import { auditOf, good, need, ownType } from "./build.ts";

describe("weights", () => {
  it("vital 5, core 3, useful 1; an emphasis doubles its categories", () => {
    const needs = [
      need("t", "limb-tourniquet", { tier: "vital" }),
      need("s", "sling"),
      need("w", "signal", { tier: "useful" }),
    ];
    const lines = [good("a", "windlass-tourniquet")];
    expect(auditOf(needs, lines).coverage).to.be.closeTo(5 / 9, 1e-12);
    expect(
      auditOf(needs, lines, { houseRules: { emphasis: "severity-led" } }).coverage,
    ).to.be.closeTo(10 / 14, 1e-12);
    expect(
      auditOf(needs, lines, { houseRules: { emphasis: "frequency-led" } }).coverage,
    ).to.be.closeTo(5 / 9, 1e-12);
  });
});

describe("grade", () => {
  const vital = need("t", "limb-tourniquet", { tier: "vital" });
  const tq = good("a", "windlass-tourniquet");
  const slings = (q: number) => need("s", "sling", { quantity: { base: q } });
  const grade = (asked: number, have: number, more: object = {}) =>
    auditOf([vital, slings(asked)], [tq, good("b", "triangular-bandage", have)], more);
  it("Ready with every vital need at 1 and coverage from 0.9: (5 + 3·0.8)/8 = 0.925", () => {
    const a = grade(5, 4);
    expect(a.grade).to.equal("Ready");
    expect(a.decidedBy).to.deep.equal({ gate: "none", value: a.coverage, asked: 0.9 });
  });
  it("Nearly from 0.7, decided by coverage: (5 + 3·0.5)/8 = 0.8125", () => {
    const a = grade(2, 1);
    expect(a.grade).to.equal("Nearly");
    expect(a.decidedBy).to.deep.equal({ gate: "coverage", value: 0.8125, asked: 0.9 });
  });
  it("Partial with a vital need at a half, decided by that need before coverage", () => {
    const a = auditOf(
      [{ ...vital, quantity: { base: 2 } }, slings(1)],
      [tq, good("b", "triangular-bandage")],
    );
    expect(a.grade).to.equal("Partial");
    expect(a.decidedBy).to.deep.equal({ gate: "vital", need: "t", value: 0.5, asked: 1 });
  });
  it("Not ready below: the lowest vital need, first in order", () => {
    const a = auditOf([vital, need("c", "chest-seal", { tier: "vital" })], []);
    expect(a.grade).to.equal("Not ready");
    expect(a.decidedBy).to.deep.equal({ gate: "vital", need: "t", value: 0, asked: 0.5 });
  });
  it("of needs that are equal but for rounding the first in order decides; a threshold within rounding is reached", () => {
    const needs = ["first", "second"].map((id) => ({
      need: need(id, "limb-tourniquet", { tier: "vital" }),
      category: "severe-bleeding" as const,
      tier: "vital" as const,
      required: 1,
      weight: 5,
    }));
    const run = (...met: number[]) =>
      gradeOf(
        met[0]!,
        needs,
        met.map((m) => ({ values: [], met: m, restsOn: "pan" as const, pairs: [] })),
        THRESHOLDS,
      );
    expect(run(0.3, 0.3 - 5e-10).decidedBy.need).to.equal("first");
    expect(run(0.3, 0.3 - 5e-9).decidedBy.need).to.equal("second");
    expect(run(1 - 5e-10, 1).grade).to.equal("Ready");
    expect(run(1 - 5e-9, 1).grade).to.equal("Partial");
  });
  it("asks 1 of vital needs for Ready whatever the pass mark, and takes own thresholds", () => {
    const half = auditOf([{ ...vital, quantity: { base: 2 } }], [tq], {
      houseRules: { passMarks: { vital: 0.5 } },
    });
    expect(half.needs[0]!.restsOn).to.equal("pan");
    expect(half.grade).to.equal("Partial");
    expect(grade(2, 1, { houseRules: { thresholds: { ready: 0.8 } } }).grade).to.equal("Ready");
  });
  it("without needs there is nothing to grade", () => {
    const a = auditOf([], [tq]);
    expect([a.coverage, a.grade, a.interval, a.decidedBy, a.caught]).to.deep.equal([
      null,
      null,
      null,
      null,
      null,
    ]);
  });
});

describe("interval", () => {
  it("takes every unchecked fact as failing, then as passing", () => {
    const needs = [need("s", "sling", { quantity: { base: 4 } })];
    const a = auditOf(needs, [
      good("a", "triangular-bandage", 1),
      { id: "b", itemType: "triangular-bandage", claimed: 2 },
    ]);
    expect(a.interval).to.deep.equal([0.25, 0.75]);
    expect(a.coverage).to.equal(0.75);
  });
  const SLING = { id: "a", itemType: "triangular-bandage", expires: "none" } as const;
  const PAD = { id: "a", itemType: "gauze-pad", counted: 1, condition: "sound" } as const;
  const pad = (more: Partial<Need> = {}) => need("p", "medium-wound-pad", more);
  for (const [what, n, line] of [
    ["a count", need("s", "sling"), { ...SLING, claimed: 1, condition: "sound" }],
    ["a condition", need("s", "sling"), { ...SLING, counted: 1 }],
    ["a date", pad(), { ...PAD, location: "outside" }],
    ["a size asked for", pad({ spec: { minSizeMm: [100, 100] } }), { ...PAD, expires: "2030-01" }],
  ] as const)
    it(`${what} that was not read is nothing, then all of it`, () =>
      expect(auditOf([n], [line]).interval).to.deep.equal([0, 1]));
  it("an unknown reach fails as too late, an unknown length as no length", () => {
    const late = auditOf(
      [need("t", "limb-tourniquet", { tier: "vital", access: "seconds" })],
      [
        {
          id: "a",
          itemType: "windlass-tourniquet",
          counted: 1,
          condition: "sound",
          expires: "none",
        },
      ],
    );
    expect(late.interval).to.deep.equal([0.5, 1]);
    expect(late.gradeInterval).to.deep.equal(["Partial", "Ready"]);
    const roll = auditOf(
      [need("d", "dressing-retention", { quantity: { base: 4 } })],
      [good("a", "roller-bandage")],
    );
    expect(roll.interval).to.deep.equal([0, 1]); // typical roll: 4 m
  });
});

describe("most worth checking", () => {
  it("ranks by the gain in vital coverage, then in coverage, then line order, and lists every unchecked line", () => {
    const needs = [
      need("t", "limb-tourniquet", { tier: "vital" }),
      need("s", "sling"),
      need("c", "small-wound-cover", { quantity: { base: 10 } }),
    ];
    const a = auditOf(needs, [
      { id: "oddment", itemType: null, counted: 1 },
      { id: "plaster", itemType: "adhesive-strip", counted: 10, expires: "none" },
      { id: "sling", itemType: "triangular-bandage", claimed: 1 },
      { id: "tq", itemType: "windlass-tourniquet", claimed: 1, expires: "none" },
      good("known", "whistle"),
    ]);
    const ranked = worthChecking(a);
    expect(ranked.map((w) => w.line)).to.deep.equal(["tq", "plaster", "sling", "oddment"]);
    expect(ranked[0]!.vitalGain).to.equal(1);
    expect(ranked[1]!.gain).to.be.closeTo(3 / 11, 1e-12);
    expect(ranked[3]!.gain).to.equal(0);
    expect(ranked[2]!.facts).to.deep.equal(["count", "condition"]);
  });
  it("what gains more stands first, whichever of the lines comes first", () => {
    const needs = [1, 2, 3].map((n) =>
      need(`n${n}`, ["sling", "signal", "tape"][n - 1]!, {
        tier: (["useful", "core", "core"] as const)[n - 1]!,
        quantity: { base: n === 3 ? 2 : 1 },
      }),
    );
    const lines = [
      { id: "sling", itemType: "triangular-bandage", claimed: 1 },
      { id: "tape", itemType: "duct-tape", claimed: 1, sizeMm: [50, 1500] },
      { id: "whistle", itemType: "whistle", claimed: 1 },
    ];
    const gains = worthChecking(auditOf(needs, lines)).map((w) => w.gain);
    expect(gains).to.deep.equal([...gains].sort((a, b) => b - a));
    expect(worthChecking(auditOf(needs, lines))[0]!.line).to.equal("whistle");
  });
});

describe("most worth checking, order and gains", () => {
  const needs = [
    need("t", "limb-tourniquet", { tier: "vital", quantity: { base: 2 } }),
    need("s", "sling", { quantity: { base: 2 } }),
    need("n", "signal", { tier: "useful" }),
  ];
  const known = good("known", "windlass-tourniquet");
  const open = [
    { id: "tq", itemType: "windlass-tourniquet", claimed: 1, expires: "none" as const },
    { id: "sling", itemType: "triangular-bandage", claimed: 2 },
    { id: "whistle", itemType: "whistle", claimed: 1 },
  ];
  const permutations = <T>(of: readonly T[]): T[][] =>
    of.length === 0
      ? [[]]
      : of.flatMap((x, i) => permutations(of.toSpliced(i, 1)).map((rest) => [x, ...rest]));
  it("is the same for every order of the lines", () => {
    for (const order of permutations(open))
      expect(
        worthChecking(auditOf(needs, [known, ...order])).map((w) => w.line),
        order.map((l) => l.id).join(),
      ).to.deep.equal(["tq", "sling", "whistle"]);
  });
  it("gains are over what is known already: one of two tourniquets is held, of 5 + 3 + 1", () => {
    const [tq, sling] = worthChecking(auditOf(needs, [known, ...open]));
    expect(tq!.vitalGain).to.be.closeTo(0.5, 1e-12);
    expect(tq!.gain).to.be.closeTo(2.5 / 9, 1e-12);
    expect(sling!.vitalGain).to.equal(0);
    expect(sling!.gain).to.be.closeTo(3 / 9, 1e-12);
  });
  it("of equal gains the first of the lines stands first", () => {
    const halves = ["b", "a"].map((id) => ({ id, itemType: "triangular-bandage", claimed: 1 }));
    expect(worthChecking(auditOf(needs, halves)).map((w) => w.line)).to.deep.equal(["b", "a"]);
  });
});

describe("most worth checking, what goes with a thing", () => {
  it("a companion that serves no need itself gains what it halves: strips without primer, half of 3 of 3", () => {
    const a = auditOf(
      [need("c", "wound-closure", { companions: ["skin-primer"] })],
      [
        good("strips", "closure-strips", 1, { expires: "2028-01" }),
        {
          id: "primer",
          itemType: "benzoin-swab",
          claimed: 1,
          condition: "sound",
          expires: "2028-01",
        },
      ],
    );
    expect(a.interval).to.deep.equal([0.5, 1]);
    const primer = worthChecking(a).find((w) => w.line === "primer")!;
    expect(primer.gain).to.be.closeTo(0.5, 1e-12);
  });
});

describe("what nobody has looked at yet", () => {
  const unchecked = (needs: Parameters<typeof auditOf>[0], line: object) =>
    auditOf(needs, [{ ...good("a", "triangular-bandage"), location: undefined, ...line } as never])
      .unchecked[0];
  const sling = (more: object) => [need("s", "sling", more)];
  it("a reach, only where a need asks for it and no place and no stopwatch gives it", () => {
    expect(unchecked(sling({ access: "minute" }), {})).to.deep.equal(["reach"]);
    expect(unchecked(sling({ access: "minute" }), { location: "pocket" })).to.deep.equal([]);
    expect(unchecked(sling({ access: "minute" }), { reachS: 300 })).to.deep.equal([]);
    expect(unchecked(sling({}), {})).to.deep.equal([]);
  });
  it("a size, only for a thing that does the job at all", () => {
    const shield = [need("e", "limb-tourniquet", { spec: { minWidthMm: 40 } })];
    expect(unchecked(shield, { itemType: "windlass-tourniquet" })).to.deep.equal(["size"]);
    // A vein strap claims the job with credit 0: its size decides nothing.
    expect(unchecked(shield, { itemType: "phlebotomy-strap" })).to.deep.equal([]);
  });
  it("a size of one number is no size of two sides, on a roll either", () => {
    const wrap = [need("r", "dressing-retention", { spec: { minSizeMm: [50, 1000] } })];
    const roll = { itemType: "roller-bandage", sizeMm: [4000] };
    expect(unchecked(wrap, roll)).to.deep.equal(["size"]);
    expect(unchecked(wrap, { ...roll, sizeMm: [60, 4000] })).to.deep.equal([]);
  });
});

describe("quality", () => {
  it("is the mean over inspected lines, weighted by what they serve: (5·100 + 3·55 + 1·60)/9", () => {
    const a = auditOf(
      [need("t", "limb-tourniquet", { tier: "vital" }), need("s", "sling")],
      [
        good("a", "windlass-tourniquet"),
        good("b", "triangular-bandage", 1, { condition: "worn" }),
        good("c", "compass", 1, { failedPoints: ["clean-whole"] }),
        { id: "d", itemType: "whistle", counted: 1 },
        good("e", "triangular-bandage", 0, { condition: "failed" }),
      ],
    );
    expect(a.quality).to.be.closeTo((500 + 165 + 60) / 9, 1e-9);
  });
  it("a failed thing serves no need and weighs 1, however vital its job: (0 + 100)/2", () => {
    const a = auditOf(
      [need("t", "limb-tourniquet", { tier: "vital" })],
      [good("a", "windlass-tourniquet", 1, { condition: "failed" }), good("c", "compass")],
    );
    expect(a.quality).to.equal(50);
  });
  it("counts only needs that the line fills: one pad for two needs weighs 5, not 8: (5·100 + 60)/6", () => {
    const a = auditOf(
      [need("v", "medium-wound-pad", { tier: "vital" }), need("c", "medium-wound-pad")],
      [good("p", "gauze-pad"), good("c", "compass", 1, { failedPoints: ["clean-whole"] })],
    );
    expect(a.needs.map((n) => n.pairs.filter((p) => p.units > 0).length)).to.deep.equal([1, 0]);
    expect(a.quality).to.be.closeTo((500 + 60) / 6, 1e-9);
  });
  it("is null before any inspection", () =>
    expect(
      auditOf([need("s", "sling")], [{ id: "a", itemType: "triangular-bandage", claimed: 1 }])
        .quality,
    ).to.equal(null));
});

describe("value", () => {
  it("names the kind with most pieces; of equal ones the first in the kit", () => {
    const a = auditOf(
      [need("s", "sling")],
      [good("w", "whistle", 2), good("b", "triangular-bandage", 1), good("c", "compass", 2)],
    );
    expect(a.value.largestType).to.deep.equal({ itemType: "whistle", pieces: 2, share: 0.4 });
  });
  it("has no largest kind, and no padding, where there are no pieces", () => {
    const { largestType, padding } = auditOf([need("s", "sling")], [good("w", "whistle", 0)]).value;
    expect([largestType, padding]).to.deep.equal([null, null]);
  });
  it("claims are the card's, else what was counted: 4 + 2", () => {
    const lines = [
      { id: "a", itemType: "whistle", claimed: 4, counted: 3 },
      { id: "b", itemType: "whistle", counted: 2 },
    ];
    expect(auditOf([need("s", "sling")], lines).value.claimed).to.equal(6);
  });
  it("what failed serves nothing; of three shears two needs take two", () => {
    const a = auditOf(
      [need("cut1", "cut-clothing"), need("cut2", "fine-cutting"), need("s", "sling")],
      [
        good("shears", "trauma-shears", 3),
        good("torn", "triangular-bandage", 1, { condition: "failed" }),
      ],
    );
    expect(a.value.servingByLine).to.deep.equal([2, 0]);
  });
  it("counts serving pieces from units, a tool once a need served but at most its pieces", () => {
    const needs = [
      need("hold", "dressing-retention", { quantity: { base: 5 } }),
      need("cut1", "cut-clothing"),
      need("cut2", "fine-cutting"),
    ];
    const a = auditOf(
      needs,
      [
        good("roll", "roller-bandage", 4, { sizeMm: [75, 4000] }), // 5 m of 4 m rolls: two
        good("shears", "trauma-shears", 1), // serves two needs, is one piece
        good("odd", "compass", 3),
      ],
      { price: 20 },
    );
    expect(a.value.serving).to.equal(3);
    expect(a.value.counted).to.equal(8);
    expect(a.value.padding).to.be.closeTo(5 / 8, 1e-12);
    expect(a.value.largestType).to.deep.equal({
      itemType: "roller-bandage",
      pieces: 4,
      share: 0.5,
    });
    expect(a.value.pricePerPoint).to.be.closeTo(20 / (a.coverage! * 100), 1e-12);
  });
});

describe("value, at its ends", () => {
  const lines = [good("a", "compass", 2)];
  it("has no price a point without a price, and none where nothing is covered", () => {
    const price = (l: Parameters<typeof auditOf>[1], paid?: number) =>
      auditOf([need("s", "sling")], l, paid === undefined ? {} : { price: paid }).value
        .pricePerPoint;
    expect(price([good("b", "triangular-bandage")])).to.equal(null);
    expect(price(lines, 20)).to.equal(null);
    expect(price([good("b", "triangular-bandage")], 20)).to.equal(0.2);
    expect(price([good("b", "triangular-bandage")], 0)).to.equal(0);
  });
  it("one piece is a largest kind of one", () =>
    expect(
      auditOf([need("s", "sling")], [good("a", "compass", 1)]).value.largestType,
    ).to.deep.equal({ itemType: "compass", pieces: 1, share: 1 }));
  it("a piece that yields two units serves two of them: 3 units from a yield of 2 are 2 pieces", () => {
    const own = ownType("twin", "twin pack", {
      functions: [{ function: "medium-wound-pad", credit: 1, yield: 2 }],
    });
    const a = auditOf(
      [need("n", "medium-wound-pad", { quantity: { base: 3 } })],
      [good("t", "twin", 5)],
      { itemTypes: [own] },
    );
    expect([a.needs[0]!.met, a.value.serving]).to.deep.equal([1, 2]);
  });
});

describe("the verdict that the rules propose", () => {
  const propose = (
    lines: Parameters<typeof auditOf>[1],
    needs = [
      need("s", "sling"),
      need("t", "limb-tourniquet", { tier: "vital", access: "seconds" }),
    ],
  ) => proposeVerdict(auditOf(needs, lines), 0);
  it("replaces what failed, is past its date or does its job in name only", () => {
    expect(propose([good("a", "triangular-bandage", 1, { condition: "failed" })])).to.deep.equal({
      verdict: "replace",
      because: "failed",
    });
    expect(propose([good("a", "windlass-tourniquet", 1, { expires: "2026-01" })])).to.deep.equal({
      verdict: "replace",
      because: "past-date",
    });
    expect(propose([good("a", "phlebotomy-strap")])).to.deep.equal({
      verdict: "replace",
      because: "in-name-only",
    });
  });
  it("moves what is out of reach, leaves what is not asked for to its owner, keeps what does its job", () => {
    expect(propose([good("a", "windlass-tourniquet", 1, { location: "bottom" })]).verdict).to.equal(
      "move",
    );
    expect(propose([good("a", "compass")]).verdict).to.equal("spare");
    expect(propose([good("a", "triangular-bandage")]).verdict).to.equal("keep");
  });
});

describe("the replacement price of what serves", () => {
  it("takes the cheapest product of the type by its unit, at least as wide: 5 m of 4 m rolls are two, 8 m at 0.125", () => {
    const a = auditOf(
      [need("hold", "dressing-retention", { quantity: { base: 5 } }), need("s", "signal")],
      [
        good("roll", "roller-bandage", 3, { sizeMm: [75, 4000] }),
        good("w", "whistle"),
        good("odd", "compass"),
      ],
    );
    const product = (id: string, itemType: string, price: number, sizeMm?: number[]) => ({
      id,
      title: id,
      itemType,
      pack: 1,
      price: { amount: price, currency: "EUR" },
      ...(sizeMm ? { sizeMm } : {}),
    });
    const book = {
      id: "b",
      title: "b",
      currency: "EUR",
      products: [
        product("narrow", "roller-bandage", 0.1, [50, 4000]),
        product("right", "roller-bandage", 0.5, [75, 4000]),
        product("dear", "roller-bandage", 2, [100, 4000]),
      ],
    };
    expect(replacementPrice(a, book)).to.deep.equal({ price: 1, unpriced: ["w"] });
  });
});
