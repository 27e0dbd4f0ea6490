import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { usableFactor } from "../../src/lib/core/sieve/usable.ts";
import { expect } from "chai";
import type { HouseRules } from "../../src/lib/core/model/houseRules.ts";
import type { Need } from "../../src/lib/core/model/list.ts";
import { requiredQuantity } from "../../src/lib/core/reference/quantity.ts";
import { auditFile, auditOf, good, need, ownType, valuesOf } from "./build.ts";

const at = (values: readonly number[], mesh: number) => values[mesh - 1]!;

describe("required quantity", () => {
  const brief = { people: 4, days: 2, hoursToCare: 6 };
  const q = (quantity: Parameters<typeof requiredQuantity>[0]["quantity"], b = brief) =>
    requiredQuantity({ quantity }, b);
  it("adds base, people, days and person-days: 1 + 2·4 + 3·2 + 0.5·8 = 19", () =>
    expect(q({ base: 1, perPerson: 2, perDay: 3, perPersonDay: 0.5 })).to.equal(19));
  it("multiplies by one more for every change until care: 4·(1 + ⌊6/3⌋) = 12", () =>
    expect(q({ perPerson: 1, redressEveryH: 3 })).to.equal(12));
  it("counts a change that falls just on the hour in spite of rounding: 0.3/0.1 is 3 changes", () =>
    expect(q({ base: 1, redressEveryH: 0.1 }, { ...brief, hoursToCare: 0.3 })).to.equal(4));
  it("rounds up, but not for the last bit of a sum: 0.1·3·10 = 3, not 4", () =>
    expect(q({ perPersonDay: 0.1 }, { people: 3, days: 10, hoursToCare: 0 })).to.equal(3));
  it("keeps between min and max, and asks for at least 1", () => {
    expect(q({ base: 1, min: 5 })).to.equal(5);
    expect(q({ base: 50, max: 7 })).to.equal(7);
    expect(q({})).to.equal(1);
    expect(q({ base: 3, max: 0 })).to.equal(1);
  });
});

describe("mesh 1, Here", () => {
  it("passes for any credit, 0 too, and for a count of 0", () => {
    expect(
      at(valuesOf([need("n", "limb-tourniquet")], [good("a", "phlebotomy-strap")]), 1),
    ).to.equal(1);
    expect(at(valuesOf([need("n", "sling")], [good("a", "triangular-bandage", 0)]), 1)).to.equal(1);
  });
  it("passes for an accepted stand-in that does not claim the function", () =>
    expect(
      at(
        valuesOf(
          [need("n", "sling", { accept: [{ itemType: "foil-blanket", credit: 0.2 }] })],
          [good("a", "foil-blanket")],
        ),
        1,
      ),
    ).to.equal(1));
  it("holds when nothing claims it", () =>
    expect(auditOf([need("n", "sling")], [good("a", "whistle")]).needs[0]!.restsOn).to.equal(
      "here",
    ));
});

describe("mesh 2, Real", () => {
  it("takes the minima a size misses as ratios: 50 × 50 against 75 × 100 is 2/3 · 1/2", () => {
    const n = need("n", "medium-wound-pad", { spec: { minSizeMm: [100, 75] } });
    expect(at(valuesOf([n], [good("a", "gauze-pad", 1, { sizeMm: [50, 50] })]), 2)).to.be.closeTo(
      1 / 3,
      1e-12,
    );
  });
  it("takes one number on a thing not measured in metres as width and length, but not for two minima", () => {
    const shears = (spec: NonNullable<Need["spec"]>) =>
      auditOf(
        [need("n", "cut-clothing", { spec })],
        [good("a", "trauma-shears", 1, { sizeMm: [90] })],
      );
    expect(at(shears({ minLengthMm: 180 }).needs[0]!.values, 2)).to.equal(0.5);
    expect(at(shears({ minSizeMm: [180, 180] }).needs[0]!.values, 2)).to.equal(1);
    expect(shears({ minSizeMm: [180, 180] }).unchecked[0]).to.deep.equal(["size"]);
  });
  it("of two numbers on a roll the smaller is the width, in either order: 50 of 100 mm is half", () => {
    for (const sizeMm of [
      [50, 4000],
      [4000, 50],
    ])
      expect(
        at(
          valuesOf(
            [need("n", "tape", { spec: { minWidthMm: 100, minLengthMm: 2000 } })],
            [good("a", "medical-tape", 1, { sizeMm })],
          ),
          2,
        ),
        sizeMm.join(),
      ).to.equal(0.5);
  });
  it("takes a single number on a roll as a length from 300 mm up, else as a width", () => {
    const roll = (size: number) =>
      auditOf(
        [need("n", "tape", { spec: { minWidthMm: 20 } })],
        [good("a", "medical-tape", 1, { sizeMm: [size] })],
      );
    expect(at(roll(10).needs[0]!.values, 2)).to.equal(0.5);
    expect(roll(10).unchecked[0]).to.deep.equal(["measure"]);
    expect(roll(300).unchecked[0]).to.deep.equal(["size"]);
    expect(roll(299).unchecked[0]).to.deep.equal(["measure"]);
  });
  it("gives 0.3 to a thing that is not sterile where sterile is asked", () =>
    expect(
      at(
        valuesOf(
          [need("n", "dressing-retention", { spec: { sterile: true } })],
          [good("a", "cohesive-wrap", 1, { sizeMm: [50, 4500] })],
        ),
        2,
      ),
    ).to.equal(0.3));
  it("does not hold size minima against doses and liquids", () =>
    expect(
      at(
        valuesOf(
          [need("n", "wound-irrigation", { spec: { minSizeMm: [10, 10] } })],
          [good("a", "saline-ampoule", 1, { volumeMl: 20 })],
        ),
        2,
      ),
    ).to.equal(1));
  it("halves for each companion that is missing, and lets things carried elsewhere be one", () => {
    const n = need("n", "airway-adjunct", { companions: ["airway-lubricant", "gloves"] });
    const brief = { skill: "advanced" as const };
    expect(at(valuesOf([n], [good("a", "nasal-airway")], { brief }), 2)).to.equal(0.25);
    expect(
      at(
        valuesOf(
          [n],
          [
            good("a", "nasal-airway"),
            good("b", "lubricant-sachet"),
            good("c", "nitrile-gloves", 1, { condition: "failed" }),
          ],
          { brief },
        ),
        2,
      ),
    ).to.equal(0.5);
    // Of what was counted and found gone there is none.
    const gone = [good("a", "nasal-airway"), good("b", "lubricant-sachet", 0)];
    expect(at(valuesOf([n], gone, { brief }), 2)).to.equal(0.25);
    const elsewhere = [
      { itemType: "lubricant-sachet", pieces: 1, condition: "sound" as const, expires: "none" },
    ];
    expect(
      at(
        valuesOf([n], [good("a", "nasal-airway")], {
          brief: { ...brief, carriedElsewhere: elsewhere },
          houseRules: { duplicates: "lean" },
        }),
        2,
      ),
    ).to.equal(0.5);
  });
  it("a companion past its date is none, also when tiered dates would count it half", () => {
    const n = need("n", "airway-adjunct", { companions: ["hand-hygiene"] });
    const lines = [
      good("a", "nasal-airway"),
      good("b", "hand-sanitiser", 1, { expires: "2026-03" }),
    ];
    expect(
      at(
        valuesOf([n], lines, { brief: { skill: "advanced" }, houseRules: { dates: "tiered" } }),
        2,
      ),
    ).to.equal(0.5);
  });
  it("the need's own entry replaces credit and yield", () => {
    const n = need("n", "sling", {
      quantity: { base: 4 },
      accept: [{ itemType: "triangular-bandage", credit: 0.5, yield: 2 }],
    });
    expect(valuesOf([n], [good("a", "triangular-bandage", 1)]).slice(1, 3)).to.deep.equal([
      0.5, 0.25,
    ]);
  });
  describe("house rules on credit", () => {
    const r = (fn: string, type: string, houseRules: HouseRules, more: Partial<Need> = {}) =>
      at(
        valuesOf([need("n", fn, more)], [good("a", type)], {
          houseRules,
          brief: { skill: "advanced" },
        }),
        2,
      );
    it("protocol-only: no credit for weak devices in bleeding and chest, elsewhere they keep it", () => {
      expect(r("limb-tourniquet", "stretch-wrap-tourniquet", {})).to.equal(0.6);
      expect(
        r("limb-tourniquet", "stretch-wrap-tourniquet", { devices: "protocol-only" }),
      ).to.equal(0);
      expect(r("joint-support", "stretch-wrap-tourniquet", { devices: "protocol-only" })).to.equal(
        0.4,
      );
      expect(r("chest-seal", "plain-chest-seal", { devices: "protocol-only" })).to.equal(0);
      expect(
        r("haemostatic-packing", "haemostatic-granules", { devices: "protocol-only" }),
      ).to.equal(0);
    });
    it("deny: no credit where the type or the entry is marked improvised", () => {
      expect(r("bulk-absorbent", "sanitary-pad", { improvised: "deny" })).to.equal(0);
      const unmarked = { accept: [{ itemType: "sanitary-pad", credit: 0.9 }] };
      expect(r("bulk-absorbent", "sanitary-pad", { improvised: "deny" }, unmarked)).to.equal(0);
      const marked = { accept: [{ itemType: "abd-pad", credit: 0.9, improvised: true }] };
      expect(r("bulk-absorbent", "abd-pad", { improvised: "deny" }, marked)).to.equal(0);
      expect(r("bulk-absorbent", "abd-pad", {}, marked)).to.equal(0.9);
    });
    it("scissors: strong scissors count in full for cutting clothing", () => {
      expect(r("cut-clothing", "heavy-scissors", {})).to.equal(0.8);
      expect(r("cut-clothing", "heavy-scissors", { cutting: "scissors" })).to.equal(1);
    });
  });
});

describe("mesh 4, Sound", () => {
  const sound = (more: object) => {
    const v = valuesOf(
      [need("n", "sling", { tier: "useful" })],
      [good("a", "triangular-bandage", 1, more)],
    );
    return at(v, 4) / at(v, 3);
  };
  it("1 sound, 0.5 worn, 0 failed", () => {
    expect(sound({ condition: "worn" })).to.equal(0.5);
    expect(
      at(
        valuesOf(
          [need("n", "sling")],
          [good("a", "triangular-bandage", 1, { condition: "failed" })],
        ),
        4,
      ),
    ).to.equal(0);
  });
  it("failed points decide where given: one major (100 − 40 = 60) is worn, none is sound, a fatal one failed", () => {
    expect(sound({ condition: "failed", failedPoints: [] })).to.equal(1);
    expect(sound({ condition: "sound", failedPoints: ["sling-strong"] })).to.equal(0.5);
    expect(sound({ failedPoints: ["fixing-there", "fixing-there"] })).to.equal(1); // 85: twice the same is once
    expect(
      auditOf(
        [need("n", "sling")],
        [good("a", "triangular-bandage", 1, { failedPoints: ["not-used"] })],
      ).needs[0]!.values[3],
    ).to.equal(0);
  });
});

describe("mesh 5, Fresh", () => {
  const fresh = (
    type: string,
    fn: string,
    expires: string | undefined,
    houseRules = {},
    brief: object = {},
    tier: "core" | "vital" = "core",
  ) => {
    const line = good("a", type, 1);
    if (expires === undefined) delete line.expires;
    else line.expires = expires;
    return at(valuesOf([need("n", fn, { tier })], [line], { houseRules, brief }), 5);
  };
  it("a month is good to its last day; the last day is start + days − 1", () => {
    expect(
      fresh("antacid", "stomach-relief", "2026-06", {}, { start: "2026-06-29", days: 2 }),
    ).to.equal(1);
    expect(
      fresh("antacid", "stomach-relief", "2026-06", {}, { start: "2026-06-29", days: 3 }),
    ).to.equal(0);
    expect(fresh("antacid", "stomach-relief", "2026-06-01", {}, { start: "2026-06-01" })).to.equal(
      1,
    );
  });
  it("tiered: a job of a vital kind done in name only does not make a comfort item strict", () => {
    const balm = ownType("balm", "Balm", {
      functions: [
        { function: "stomach-relief", credit: 1 },
        { function: "limb-tourniquet", credit: 0 },
      ],
      dated: true,
    });
    const values = valuesOf(
      [need("n", "stomach-relief")],
      [good("a", "balm", 1, { expires: "2026-01" })],
      {
        itemTypes: [balm],
        houseRules: { dates: "tiered" },
        brief: { start: "2026-06-01" },
      },
    );
    expect(at(values, 5)).to.equal(0.5);
  });
  it("tiered: half up to twelve calendar months past, on the day", () => {
    const tiered = { dates: "tiered" };
    expect(
      fresh("antacid", "stomach-relief", "2025-06-01", tiered, { start: "2026-06-01" }),
    ).to.equal(0.5);
    expect(
      fresh("antacid", "stomach-relief", "2025-05-31", tiered, { start: "2026-06-01" }),
    ).to.equal(0);
    expect(fresh("antacid", "stomach-relief", "2025-06", tiered, { start: "2026-06-30" })).to.equal(
      0.5,
    );
    // 29 February 2024 plus twelve months is 28 February 2025
    expect(
      fresh("antacid", "stomach-relief", "2024-02-29", tiered, { start: "2025-02-28" }),
    ).to.equal(0.5);
    expect(
      fresh("antacid", "stomach-relief", "2024-02-29", tiered, { start: "2025-03-01" }),
    ).to.equal(0);
    // February 2027 plus twelve is good to the 29th of February 2028
    expect(fresh("antacid", "stomach-relief", "2027-02", tiered, { start: "2028-02-29" })).to.equal(
      0.5,
    );
  });
  it("tiered never for sterile, life-saving, eye, allergy, antibiotic, aspirin, sugar, nor for a vital need", () => {
    const past = (type: string, fn: string, tier: "core" | "vital" = "core") =>
      fresh(type, fn, "2026-03", { dates: "tiered" }, {}, tier);
    expect(past("gauze-pad", "medium-wound-pad")).to.equal(0);
    expect(past("face-shield", "rescue-breath-barrier")).to.equal(0);
    expect(past("eye-drops", "eye-irrigation")).to.equal(0);
    expect(past("antihistamine-tablet", "antihistamine")).to.equal(0);
    expect(past("aspirin", "pain-relief")).to.equal(0);
    expect(past("glucose-gel", "sugar")).to.equal(0);
    expect(past("antacid", "stomach-relief", "vital")).to.equal(0);
  });
  it("a dated type with no date read is unchecked, one without a date needed is not", () => {
    const a = auditOf(
      [need("n", "sling"), need("m", "stomach-relief")],
      [
        { id: "a", itemType: "triangular-bandage", counted: 1, condition: "sound" },
        { id: "b", itemType: "antacid", counted: 1, condition: "sound" },
      ],
    );
    expect(a.unchecked).to.deep.equal([[], ["date"]]);
  });
});

describe("mesh 6, Handy", () => {
  const handy = (
    more: object,
    access: "seconds" | "minute" | "any" | undefined,
    tier: "vital" | "core" = "core",
  ) =>
    at(
      valuesOf(
        [need("n", "limb-tourniquet", { tier, ...(access ? { access } : {}) })],
        [good("a", "windlass-tourniquet", 1, more)],
      ),
      6,
    );
  it("holds place or stopwatch against 15 s and 60 s: 0.5 for a vital need, else 0.8", () => {
    expect(handy({ location: "open-top" }, "seconds")).to.equal(1); // 12 s
    expect(handy({ location: "pocket" }, "seconds")).to.equal(0.8); // 25 s
    expect(handy({ location: "pocket" }, "seconds", "vital")).to.equal(0.5);
    expect(handy({ location: "bottom" }, "minute")).to.equal(1); // 60 s is in time
    expect(handy({ location: "other-bag" }, "minute")).to.equal(0.8); // 120 s
    expect(handy({ location: "outside", reachS: 15.1 }, "seconds")).to.equal(0.8);
    expect(handy({ location: "bottom" }, "any")).to.equal(1);
    expect(handy({ location: "bottom" }, undefined)).to.equal(1);
  });
  it("halves what a stranger cannot find and an unlabelled medicine, once even if both", () => {
    expect(handy({ findable: false }, "any")).to.equal(0.5);
    expect(handy({ labelled: false }, "any")).to.equal(1); // no medicine
    const pill = (more: object) =>
      at(valuesOf([need("n", "stomach-relief")], [good("a", "antacid", 1, more)]), 6);
    expect(pill({ labelled: false })).to.equal(0.5);
    expect(pill({ labelled: false, findable: false })).to.equal(0.5);
  });
});

describe("mesh 7, Usable", () => {
  const usable = (type: string, fn: string, brief: object, houseRules = {}) =>
    at(valuesOf([need("n", fn)], [good("a", type)], { brief, houseRules }), 7);
  it("gate: training above the party's counts 0; carry: half", () => {
    expect(usable("windlass-tourniquet", "limb-tourniquet", { skill: "anyone" })).to.equal(0);
    expect(
      usable("windlass-tourniquet", "limb-tourniquet", { skill: "anyone" }, { advanced: "carry" }),
    ).to.equal(0.5);
    expect(usable("windlass-tourniquet", "limb-tourniquet", { skill: "licensed" })).to.equal(1);
  });
  it("a sensitivity of the brief rules the type out; 'sting' clashes with nothing", () => {
    expect(usable("latex-gloves", "gloves", { sensitivities: ["latex"] })).to.equal(0);
    expect(usable("latex-gloves", "gloves", { sensitivities: ["sting"] })).to.equal(0.5);
    // A thing that itself speaks of stings serves the one who reacts to them.
    const swab = { ...CATALOGUE.types.get("sting-swab")!, clash: ["sting" as const] };
    const brief = { skill: "trained" as const, sensitivities: ["sting" as const] };
    expect(usableFactor({}, swab, brief, "gate").factor).to.equal(1);
  });
});

describe("the hands-only rule", () => {
  it("makes rescue-breath needs useful everywhere: weight 1, pass mark 0.5, late factor 0.8", () => {
    const needs = [
      need("b", "rescue-breath-barrier", { tier: "vital", access: "seconds" }),
      need("s", "sling"),
    ];
    const lines = [good("a", "face-shield", 1, { location: "bottom" })];
    const barrier = auditOf(needs, lines);
    expect(barrier.needs[0]!.values[5]).to.be.closeTo(0.35, 1e-12); // 0.7 · 0.5
    expect(barrier.coverage).to.be.closeTo((5 * 0.35) / 8, 1e-12);
    const hands = auditOf(needs, lines, { houseRules: { breathing: "hands-only" } });
    expect(hands.needs[0]!.values[5]).to.be.closeTo(0.56, 1e-12); // 0.7 · 0.8
    expect(hands.needs[0]!.restsOn).to.equal("pan");
    expect(hands.coverage).to.be.closeTo(0.56 / 4, 1e-12);
  });
});

describe("conditions on the brief", () => {
  it("every condition given must hold; of a list any one", () => {
    const n = need("n", "sling", {
      when: { activities: ["saws", "axes"], peopleMin: 3, carry: ["pack", "boat"] },
    });
    const asked = (brief: object) =>
      auditOf([n, need("m", "sling")], [], { brief }).context.needs.length;
    expect(asked({ activities: ["axes"], people: 3 })).to.equal(2);
    expect(asked({ activities: ["axes"], people: 2 })).to.equal(1);
    expect(asked({ activities: [], people: 3 })).to.equal(1);
    expect(asked({ activities: ["saws"], people: 3, carry: "wall" })).to.equal(1);
  });
});

describe("things carried elsewhere", () => {
  const brief = {
    carriedElsewhere: [{ itemType: "triangular-bandage", pieces: 2, condition: "sound" as const }],
  };
  it("count under the lean rule only, from another bag", () => {
    const n = [need("n", "sling", { access: "minute" })];
    expect(auditOf(n, [], { brief }).coverage).to.equal(0);
    const lean = auditOf(n, [], { brief, houseRules: { duplicates: "lean" } });
    expect(lean.coverage).to.be.closeTo(0.8, 1e-12);
    expect(lean.context.lines[0]!.line.id).to.equal("elsewhere-1");
    expect(lean.value.counted).to.equal(0);
  });
});

describe("an audit file for tests", () => {
  it("is not changed by being audited", () => {
    const file = auditFile([need("n", "sling")], [good("a", "triangular-bandage")]);
    const before = JSON.stringify(file);
    auditOf([need("n", "sling")], [good("a", "triangular-bandage")]);
    expect(JSON.stringify(file)).to.equal(before);
  });
});

describe("a companion in the low reading", () => {
  it("is there if it was counted, sound and in date, whatever else nobody has looked at", () => {
    const a = auditOf(
      [need("c", "wound-closure", { companions: ["skin-primer"] }), need("s", "sling")],
      [
        good("strips", "closure-strips", 1, { expires: "2028-01" }),
        good("primer", "benzoin-swab", 1, { expires: "2028-01" }),
        { id: "tri", itemType: "triangular-bandage", claimed: 1 },
      ],
    );
    expect(a.failing.map((n) => n.met)).to.deep.equal([1, 0]);
  });
  it("is missing at worst while nobody has looked at it, and always when it failed", () => {
    const primed = (condition: "failed" | undefined) =>
      auditOf(
        [need("c", "wound-closure", { companions: ["skin-primer"] })],
        [
          good("strips", "closure-strips", 1, { expires: "2028-01" }),
          {
            id: "primer",
            itemType: "benzoin-swab",
            counted: 1,
            expires: "2028-01",
            ...(condition ? { condition } : {}),
          },
        ],
      );
    expect([primed(undefined).needs[0]!.met, primed(undefined).failing[0]!.met]).to.deep.equal([
      1, 0.5,
    ]);
    expect(primed("failed").needs[0]!.met).to.equal(0.5);
  });
});

describe("all meshes together", () => {
  it("what a pair gives is the product: 0.5 credit, worn, half a year past, 20 s for 15, carried for others: 0.05", () => {
    const stray = ownType("stray", "stray sling", {
      functions: [{ function: "sling", credit: 0.5 }],
      ...{ skill: "advanced", dated: true },
    });
    const line = good("a", "stray", 1, { condition: "worn", expires: "2026-03", reachS: 20 });
    const [sifted] = auditOf([need("s", "sling", { access: "seconds" })], [line], {
      itemTypes: [stray],
      houseRules: { dates: "tiered", advanced: "carry" },
    }).needs;
    [1, 0.5, 0.5, 0.25, 0.125, 0.1, 0.05].forEach((value, mesh) =>
      expect(sifted!.values[mesh], `mesh ${mesh + 1}`).to.be.closeTo(value, 1e-12),
    );
    expect(sifted!.pairs[0]!.f).to.be.closeTo(0.05, 1e-12);
  });
});
