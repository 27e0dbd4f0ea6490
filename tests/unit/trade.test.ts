import { expect } from "chai";
import fc from "fast-check";
import type { Audit } from "../../src/lib/core/audit/audit.ts";
import { proposeVerdict } from "../../src/lib/core/audit/verdict.ts";
import { foldedWords } from "../../src/lib/core/card/words.ts";
import { readCard } from "../../src/lib/core/card/readCard.ts";
import { vocabularyOf } from "../../src/lib/core/card/vocabulary.ts";
import type { Brief } from "../../src/lib/core/model/brief.ts";
import type { Line } from "../../src/lib/core/model/kit.ts";
import type { ReferenceList } from "../../src/lib/core/model/list.ts";
import { actionsOf, unmetAfter } from "../../src/lib/core/plan/actions.ts";
import type { Solver } from "../../src/lib/core/plan/linearModel.ts";
import { plan } from "../../src/lib/core/plan/plan.ts";
import { planningDoseOf } from "../../src/lib/core/sieve/dose.ts";
import { reachOf } from "../../src/lib/core/sieve/handy.ts";
import { NO_LIMITS } from "../../src/lib/core/plan/limits.ts";
import { requiredQuantity } from "../../src/lib/core/reference/quantity.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { NAMED_CATALOGUE } from "../../src/lib/data/namedCatalogue.ts";
import { BITE_WRAP } from "../../src/lib/data/lists/biteWrap.ts";
import { GROUP_LEADER } from "../../src/lib/data/lists/groupLeader.ts";
import { PERSONAL_DAY } from "../../src/lib/data/lists/personalDay.ts";
import { SCHOOL_OUTING } from "../../src/lib/data/lists/schoolOuting.ts";
import { VEHICLE_LOCKER } from "../../src/lib/data/lists/vehicleLocker.ts";
import { WORKSHOP_CREW } from "../../src/lib/data/lists/workshopCrew.ts";
import { PRICE_BOOK } from "../../src/lib/data/priceBook.ts";
import { decidedBy, whyItRests } from "../../src/lib/words/reasons.ts";
import { cautionsOfReport } from "../../src/lib/report/kitReport.ts";
import { auditFile, auditOf, good, need } from "./build.ts";
import { product, realSolver, request, solved } from "./planBuild.ts";

/** What the program says of the trade, as results: an audit, a verdict, a plan, a sentence. */

let solver: Solver;
before(async () => {
  solver = await realSolver();
});

const under = (list: ReferenceList, lines: readonly Line[], brief: Partial<Brief> = {}): Audit =>
  auditOf(list.needs, lines, { brief });
const met = (a: Audit, id: string): number =>
  a.needs[a.context.needs.findIndex((n) => n.need.id === id)]!.met;
const verdictOf = (a: Audit, line: string) =>
  proposeVerdict(
    a,
    a.context.lines.findIndex((l) => l.line.id === line),
  );

describe("verdicts of what no list asks for", () => {
  const pen = good("pen", "adrenaline-pen", 1, { expires: "2028-01" });
  const day = under(PERSONAL_DAY, [
    good("bag", "container"),
    good("pins", "safety-pin", 6),
    good("tq", "windlass-tourniquet"),
    pen,
    good("old-pen", "adrenaline-pen", 1, { expires: "2024-01" }),
    good("old-gauze", "haemostatic-gauze", 1, { expires: "2024-01" }),
    good("compass", "compass"),
    good("trainer", "trainer-device"),
    good("torn", "compass", 1, { condition: "failed" }),
  ]);
  it("never drops a bag, pins, a tourniquet on a day walk or somebody's pen", () => {
    expect(verdictOf(day, "bag")).to.deep.equal({ verdict: "keep", because: "kept-for-safety" });
    expect(verdictOf(day, "pins")).to.deep.equal({ verdict: "spare", because: "not-asked" });
    expect(verdictOf(day, "tq")).to.deep.equal({ verdict: "keep", because: "kept-for-safety" });
    expect(verdictOf(day, "pen")).to.deep.equal({ verdict: "keep", because: "kept-for-safety" });
    expect(verdictOf(day, "compass")).to.deep.equal({ verdict: "spare", because: "not-asked" });
  });
  it("has a past pen renewed by its owner, a past clotting dressing replaced, what failed dropped", () => {
    expect(verdictOf(day, "old-pen")).to.deep.equal({
      verdict: "replace",
      because: "owner-renews",
    });
    expect(verdictOf(day, "old-gauze")).to.deep.equal({ verdict: "replace", because: "past-date" });
    expect(verdictOf(day, "torn")).to.deep.equal({ verdict: "drop", because: "failed" });
  });
  it("keeps a trainer out of the kit, and gives it nothing", () => {
    expect(verdictOf(day, "trainer")).to.deep.equal({ verdict: "drop", because: "trainer" });
    expect(CATALOGUE.types.get("trainer-device")!.functions).to.deep.equal([]);
  });
  it("under a wasp brief a pen counts as theirs, and is never dropped", () => {
    const a = under(PERSONAL_DAY, [pen], { sensitivities: ["sting"], skill: "anyone" });
    expect(met(a, "own-adrenaline")).to.equal(1);
    expect(verdictOf(a, "pen").verdict).to.equal("keep");
  });
});

describe("doses by what is in them", () => {
  const sugar = [need("s", "sugar", { quantity: { base: 1 } })];
  const heart = [need("h", "cardiac-aspirin", { quantity: { base: 1 } })];
  const tablets = (type: string, n: number, mg?: number) =>
    good("t", type, n, { expires: "2028-01", ...(mg ? { strengthMg: mg } : {}) });
  it("two glucose tablets of 4 g are 8 of 15 g", () =>
    expect(auditOf(sugar, [tablets("glucose-gel", 2, 4000)]).needs[0]!.met).to.be.closeTo(
      8 / 15,
      1e-12,
    ));
  it("one aspirin of 81 mg is 27 % of a planning dose of 300", () =>
    expect(auditOf(heart, [tablets("aspirin", 1, 81)]).needs[0]!.met).to.be.closeTo(0.27, 1e-12));
  it("a tablet of 500 mg is one dose of 300 at most; of sugar every gram counts", () => {
    const two = [need("h", "cardiac-aspirin", { quantity: { base: 2 } })];
    expect(auditOf(two, [tablets("aspirin", 1, 500)]).needs[0]!.met).to.equal(0.5);
    const sugars = [need("s", "sugar", { quantity: { base: 2 } })];
    expect(auditOf(sugars, [tablets("glucose-gel", 1, 30_000)]).needs[0]!.met).to.equal(1);
  });
  it("a strength that was not read is a dose on trust and nothing at worst, and is named", () => {
    const a = auditOf(heart, [tablets("aspirin", 1)]);
    expect([a.needs[0]!.met, a.failing[0]!.met]).to.deep.equal([1, 0]);
    expect(a.unchecked[0]).to.deep.equal(["strength"]);
  });
  it("a tube that was not read holds one dose at worst, a sachet that was read one", () => {
    const graze = [need("g", "topical-antibiotic", { quantity: { base: 20 } })];
    const tube = auditOf(graze, [tablets("antibiotic-ointment", 1)]);
    expect([tube.needs[0]!.met, tube.failing[0]!.met]).to.deep.equal([1, 0.05]);
    const sachet = auditOf(graze, [{ ...tablets("antibiotic-ointment", 1), dosesPerPiece: 1 }]);
    expect([sachet.needs[0]!.met, sachet.failing[0]!.met]).to.deep.equal([0.05, 0.05]);
  });
  it("a children's bottle holds a dose at worst, and its doses where they were read", () => {
    const child = [need("c", "child-pain-relief", { quantity: { base: 10 } })];
    const bottle = (more: Partial<Line>) =>
      auditOf(child, [{ ...tablets("child-medicine", 1), ...more }]);
    expect([bottle({}).needs[0]!.met, bottle({}).failing[0]!.met]).to.deep.equal([1, 0.1]);
    expect(bottle({ dosesPerPiece: 4 }).needs[0]!.met).to.be.closeTo(0.4, 1e-12);
    expect(bottle({ volumeMl: 60 }).needs[0]!.met).to.be.closeTo(0.6, 1e-12);
  });
});

describe("what a strength is held against", () => {
  const planning = (id: string) => planningDoseOf(CATALOGUE.types.get(id), CATALOGUE);
  it("the function's planning dose, else the kind's, else none", () => {
    expect(
      ["aspirin", "glucose-gel", "paracetamol", "antihistamine-tablet", "gauze-pad"].map(planning),
    ).to.deep.equal([300, 15_000, 1000, null, null]);
    expect(planningDoseOf(undefined, CATALOGUE)).to.equal(null);
  });
});

describe("the usual reach of a place", () => {
  it("is 5, 12, 25, 60 and 120 s, until the stopwatch says better", () => {
    const at = (location: Line["location"]) => reachOf({ id: "l", itemType: null, location });
    expect(
      ["outside", "open-top", "pocket", "bottom", "other-bag"].map((l) => at(l as never)),
    ).to.deep.equal([5, 12, 25, 60, 120]);
    expect(reachOf({ id: "l", itemType: null, location: "bottom", reachS: 9 })).to.equal(9);
    expect(reachOf({ id: "l", itemType: null })).to.equal(null);
  });
});

describe("latex", () => {
  const sprain = [need("w", "joint-support", { quantity: { base: 1 } })];
  const wrap = (more: Partial<Line> = {}) =>
    auditOf(sprain, [good("w", "elastic-bandage", 1, { expires: "2028-01", ...more })], {
      brief: { sensitivities: ["latex"] },
    });
  it("an elastic wrap counts only once its pack says that it is free of it", () => {
    expect([wrap().needs[0]!.met, wrap().unchecked[0]]).to.deep.equal([0, []]);
    expect(verdictOf(wrap(), "w")).to.deep.equal({ verdict: "watch", because: "latex-not-read" });
    expect(wrap({ latexFree: true }).needs[0]!.met).to.equal(1);
    expect(wrap({ latexFree: false }).needs[0]!.met).to.equal(0);
    expect(verdictOf(wrap({ latexFree: false }), "w").because).to.equal("clashes");
  });
  it("gloves whose material is not said count on trust, nothing at worst; latex ones never", () => {
    const gloves = (type: string, more: Partial<Line> = {}) =>
      auditOf([need("g", "gloves")], [good("g", type, 2, { expires: "2028-01", ...more })], {
        brief: { sensitivities: ["latex"] },
      });
    const open = gloves("disposable-gloves");
    expect([open.needs[0]!.met, open.failing[0]!.met]).to.deep.equal([1, 0]);
    expect(open.unchecked[0]).to.deep.equal(["latex"]);
    expect(gloves("latex-gloves", { latexFree: true }).needs[0]!.met).to.equal(0);
    expect(gloves("nitrile-gloves").unchecked[0]).to.deep.equal([]);
  });
  it("is no question where nobody reacts to it", () =>
    expect(
      auditOf([need("g", "gloves")], [good("g", "disposable-gloves")]).unchecked[0],
    ).to.not.include("latex"));
});

describe("who is there", () => {
  it("aspirin is no pain relief with children along, whatever a list accepts; for chest pain it stays", () => {
    const lines = [good("a", "aspirin", 9, { strengthMg: 300, expires: "2028-01" })];
    const needs = [
      need("p", "pain-relief", { accept: [{ itemType: "aspirin", credit: 1 }] }),
      need("h", "cardiac-aspirin"),
    ];
    const values = (activities: string[]) =>
      auditOf(needs, lines, { brief: { activities } }).needs.map((n) => n.met);
    expect(values([])).to.deep.equal([1, 1]);
    expect(values(["children"])).to.deep.equal([0, 1]);
  });
  it("one walker with a saw needs one tourniquet, eight one, nine two, seventeen three", () => {
    const tq = PERSONAL_DAY.needs.find((n) => n.id === "tourniquet")!;
    const asked = (people: number) => requiredQuantity(tq, { people, days: 1, hoursToCare: 1 });
    expect([1, 8, 9, 16, 17].map(asked)).to.deep.equal([1, 1, 2, 2, 3]);
  });
  it("a class of 24 is asked for no grown-ups' medicine, and for amounts that one carries", () => {
    const asked = SCHOOL_OUTING.needs.filter((n) => !n.theirs).map((n) => n.function);
    for (const medicine of [
      "pain-relief",
      "child-pain-relief",
      "antihistamine",
      "sting-relief",
      "itch-relief",
      "cardiac-aspirin",
      "sugar",
      "topical-antibiotic",
      "stomach-relief",
    ])
      expect(asked).to.not.include(medicine);
    const plasters = SCHOOL_OUTING.needs.find((n) => n.id === "small-cuts")!;
    expect(requiredQuantity(plasters, { people: 24, days: 1, hoursToCare: 1 })).to.equal(17);
  });
});

describe("what lists count on", () => {
  it("ibuprofen and aspirin give nothing in the bite list", () => {
    const a = under(
      BITE_WRAP,
      [
        good("i", "ibuprofen", 9, { strengthMg: 400, expires: "2028-01" }),
        good("a", "aspirin", 9, { strengthMg: 300, expires: "2028-01" }),
      ],
      { activities: ["snakes"] },
    );
    expect(met(a, "pain")).to.equal(0);
  });
  it("a car kit with four foil blankets passes warmth for four", () => {
    const a = under(VEHICLE_LOCKER, [good("f", "foil-blanket", 4)], {
      people: 4,
      carry: "vehicle",
      activities: ["vehicle"],
    });
    expect(met(a, "warm")).to.equal(1);
  });
  it("a workshop rinses eyes with a litre: of 400 ml, 100 flush the wound that the list also asks for, 300 are 30 %", () => {
    const a = under(
      WORKSHOP_CREW,
      [good("e", "eyewash", 2, { volumeMl: 200, expires: "2028-01" })],
      { activities: ["workshop"], people: 6 },
    );
    expect(met(a, "eyes")).to.be.closeTo(0.3, 1e-12);
  });
  it("a soft pad does not shield an eye, a shield does not cover one, lip balm is for lips", () => {
    const pads = auditOf(
      [need("c", "eye-cover"), need("s", "eye-shielding"), need("sun", "sun-protection")],
      [good("p", "eye-pad", 2, { expires: "2028-01" }), good("b", "lip-balm", 2)],
    );
    expect(pads.needs.map((n) => n.met)).to.deep.equal([1, 0, 0]);
    expect(auditOf([need("c", "eye-cover")], [good("s", "eye-shield")]).needs[0]!.met).to.equal(0);
  });
  it("duct tape seals no chest", () =>
    expect(auditOf([need("c", "chest-seal")], [good("d", "duct-tape")]).needs[0]!.met).to.equal(0));
  it("the pads of a defibrillator past their date fail Fresh", () => {
    const a = auditOf(
      [need("p", "defibrillation-pads", { tier: "vital" })],
      [good("p", "aed-pads", 1, { expires: "2025-01" })],
    );
    expect([a.needs[0]!.met, a.needs[0]!.restsOn]).to.deep.equal([0, "fresh"]);
  });
  it("closure strips are for anyone with their pack's instructions", () =>
    expect(
      auditOf(
        [need("c", "wound-closure")],
        [good("s", "closure-strips", 1, { expires: "2028-01" })],
        {
          brief: { skill: "anyone" },
        },
      ).needs[0]!.met,
    ).to.equal(1));
  it("wraps of a leg take the foot in: 190 cm takes three bandages of 4.5 m, as the list asks", () =>
    expect(BITE_WRAP.needs[0]!.quantity.base).to.equal(3));
});

describe("what is theirs", () => {
  const needs = [
    need("own", "adrenaline-auto-injector", { tier: "vital", theirs: true, access: "seconds" }),
    need("pads", "medium-wound-pad"),
  ];
  it("is brought for nothing, never bought, and Ready stays in reach", () => {
    const r = request(auditFile(needs, []), [product("pad", "gauze-pad", 1, 2)]);
    const outcome = solved(r, solver);
    expect(outcome.choice.after.grade).to.equal("Ready");
    expect(outcome.choice.price).to.equal(2);
    const bring = actionsOf(outcome, r).filter((a) => a.kind === "bring");
    expect(bring).to.have.length(1);
    expect(bring[0]).to.deep.include({ need: "own", line: null, itemType: "adrenaline-pen" });
    expect(outcome.choice.purchases.map((p) => p.product.id)).to.deep.equal(["pad"]);
  });
  it("is renewed by its owner where it is past, and named", () => {
    const file = auditFile(needs, [good("pen", "adrenaline-pen", 1, { expires: "2024-01" })]);
    const r = request(file, [product("pad", "gauze-pad", 1, 2)]);
    const bring = actionsOf(solved(r, solver), r).filter((a) => a.kind === "bring");
    expect(bring.map((a) => a.kind === "bring" && a.line)).to.deep.equal(["pen"]);
  });
  it("brings what its need lacks and no more: another need for the same job is bought for", () => {
    const file = auditFile(
      [need("own", "antihistamine", { theirs: true }), need("kit", "antihistamine")],
      [],
    );
    const r = request(file, [product("tabs", "antihistamine-tablet", 1, 3)]);
    const outcome = solved(r, solver);
    expect([outcome.choice.price, outcome.choice.brought.map((b) => b.packs)]).to.deep.equal([
      3,
      [1],
    ]);
  });
  it("brings a wrap that is free of latex where someone reacts to it, and says when nothing bought is", () => {
    const wrap = need("w", "joint-support", { tier: "vital" });
    const brief = { sensitivities: ["latex" as const] };
    const theirs = request(auditFile([{ ...wrap, theirs: true }], [], { brief }), []);
    expect(solved(theirs, solver).choice.after.grade).to.equal("Ready");
    const bought = request(auditFile([wrap], [], { brief }), [
      product("w", "elastic-bandage", 1, 3),
    ]);
    expect(plan(bought, solver)).to.deep.include({
      status: "infeasible",
      why: [{ code: "sensitivity", need: "w", clash: ["latex"] }],
    });
  });
  it("asks its owner for no training, and a brought thing serves its own need alone", () => {
    const a = auditOf(
      [
        need("own", "adrenaline-auto-injector", { theirs: true }),
        need("kit", "adrenaline-auto-injector"),
      ],
      [good("pen", "adrenaline-pen", 1, { expires: "2028-01" })],
      { brief: { skill: "anyone" } },
    );
    expect(a.needs.map((n) => n.met)).to.deep.equal([1, 0]);
  });
});

describe("verdict and plan", () => {
  const kinds = [
    "gauze-pad",
    "foil-blanket",
    "tweezers-plastic",
    "windlass-tourniquet",
    "phlebotomy-strap",
    "compass",
    "container",
    "latex-gloves",
    "antiseptic-wipe",
  ];
  const line = fc.record({
    type: fc.constantFrom(...kinds),
    counted: fc.integer({ min: 0, max: 4 }),
    condition: fc.constantFrom("sound" as const, "worn" as const, "failed" as const),
    expires: fc.constantFrom("none", "2024-01", "2030-01"),
    location: fc.constantFrom("outside" as const, "bottom" as const),
  });
  it("never contradict each other", () => {
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 6 }), (lines) => {
        const file = auditFile(
          [
            need("tq", "limb-tourniquet", { tier: "vital", access: "seconds" }),
            need("pad", "medium-wound-pad", { quantity: { base: 3 } }),
            need("warm", "heat-retention"),
            need("splinter", "splinter-removal"),
            need("gloves", "gloves", { quantity: { base: 2 } }),
          ],
          lines.map((l, i) => good(`l${i}`, l.type, l.counted, l)),
        );
        const r = request(file, PRICE_BOOK.products);
        const outcome = solved(r, solver);
        const before = outcome.before;
        const verdict = (id: string) => verdictOf(before, id).verdict;
        const kept = new Set(outcome.choice.kit.kit.lines.map((l) => l.id));
        for (const action of actionsOf(outcome, r)) {
          if ("instead" in action && action.kind === "replace") {
            for (const id of action.instead) expect(verdict(id)).to.not.equal("keep");
            const stays = outcome.choice.kit.kit.lines.filter(
              (l) =>
                !l.id.startsWith("buy:") &&
                l.itemType === action.product.itemType &&
                l.counted! > 0,
            );
            expect(stays).to.deep.equal([]);
          }
          if (action.kind === "drop") expect(verdict(action.line)).to.not.equal("keep");
        }
        before.needs.forEach((n) =>
          n.pairs.forEach((p) => {
            const id = before.context.lines[p.pair.line]!.line.id;
            if (p.units > 0 && p.f > 0) expect(verdict(id), id).to.not.equal("drop");
          }),
        );
        for (const l of file.kit.lines)
          if (verdict(l.id) === "keep") expect(kept.has(l.id), l.id).to.equal(true);
      }),
      { numRuns: 150, seed: 4 },
    );
  }).timeout(120_000);
  it("a blanket beside one that stays is a top-up, and what stays unmet is listed", () => {
    const file = auditFile(
      [
        need("warm", "heat-retention", {
          quantity: { base: 2 },
          accept: [{ itemType: "foil-blanket", credit: 1 }],
        }),
        need("light", "light", { tier: "useful" }),
        need("pads", "medium-wound-pad", { quantity: { base: 9 } }),
      ],
      [good("old", "foil-blanket"), good("pad", "gauze-pad", 9)],
    );
    const r = request(file, [product("foil", "foil-blanket", 1, 1)], { target: 0.85 });
    const outcome = solved(r, solver);
    expect(actionsOf(outcome, r).map((a) => a.kind)).to.deep.equal(["top-up"]);
    expect(unmetAfter(outcome)).to.deep.equal([{ need: "light", met: 0, restsOn: "here" }]);
  });
  it("a bag is never left at home, whatever the limit", () => {
    const file = auditFile(
      [need("pads", "medium-wound-pad")],
      [good("bag", "container"), good("pad", "gauze-pad"), good("odd", "compass", 5)],
    );
    const r = request(file, [], { question: "best", limits: { ...NO_LIMITS, massG: 400 } });
    expect(solved(r, solver).choice.dropped).to.not.include("bag");
  });
});

describe("reasons in the words of the trade", () => {
  it("names the strap before any figure", () => {
    const a = auditOf(
      [need("tq", "limb-tourniquet", { tier: "vital" })],
      [good("s", "phlebotomy-strap", 1, { text: "Tourniquet" })],
    );
    expect(decidedBy(a)).to.match(
      /^Nothing here stops a limb bleed: “Tourniquet” is there in name only\./,
    );
  });
  it("says where the pieces went that are used elsewhere", () => {
    const a = auditOf(
      [
        need("eyes", "eye-irrigation", { tier: "vital", quantity: { base: 80 } }),
        need("flush", "wound-irrigation", { quantity: { base: 100 } }),
      ],
      [good("s", "saline-ampoule", 4, { volumeMl: 20, expires: "2028-01" })],
    );
    expect(whyItRests(a, 1)).to.equal(
      "None of the 100 ml asked for. More is there: 80 ml used for “Flush an eye”.",
    );
  });
  it("names the fault that costs most, and the other beside it", () => {
    const a = auditOf(
      [need("p", "antihistamine", { quantity: { base: 12 } })],
      [good("t", "antihistamine-tablet", 6, { expires: "2028-01", labelled: false })],
    );
    expect(whyItRests(a, 0)).to.equal(
      "Only 6 doses of the 12 doses asked for. Also “Antihistamine tablet” is not labelled, hard to find or not in the hand in time.",
    );
  });
  it("says too small, not a factor", () => {
    const a = auditOf(
      [need("p", "medium-wound-pad", { spec: { minSizeMm: [100, 100] } })],
      [good("t", "gauze-pad", 1, { sizeMm: [50, 50], expires: "2028-01" })],
    );
    expect(whyItRests(a, 0)).to.equal("“Sterile gauze pad” is the best there is and is too small.");
  });
  it("a good figure on trust says so", () => {
    const a = auditOf(
      [need("p", "sling")],
      [{ id: "t", itemType: "triangular-bandage", claimed: 1 }],
    );
    expect(decidedBy(a)).to.contain("on trust");
  });
});

describe("cautions", () => {
  const ids = (a: Audit, plan: Parameters<typeof cautionsOfReport>[1] = null) =>
    cautionsOfReport(a, plan).map((c) => c.caution.id);
  it("stand for what lies there, what is asked for and the brief", () => {
    const a = auditOf([need("c", "chest-seal")], [good("i", "ibuprofen", 2, { strengthMg: 200 })], {
      brief: { activities: ["snakes"] },
    });
    expect(ids(a)).to.include.members(["snakes", "anti-inflammatory", "chest-seal"]);
    const seal = cautionsOfReport(a, null).find((c) => c.caution.id === "chest-seal")!;
    expect(seal.for).to.deep.equal([{ is: "need", id: "c" }]);
  });
  it("hands only warns where children or water are in the brief", () => {
    const of = (activities: string[], breathing: "barrier" | "hands-only") =>
      ids(auditOf([need("s", "sling")], [], { brief: { activities }, houseRules: { breathing } }));
    expect(of(["children"], "hands-only")).to.include("breaths");
    expect(of(["water"], "hands-only")).to.include("breaths");
    expect(of(["children"], "barrier")).to.not.include("breaths");
    expect(of([], "hands-only")).to.not.include("breaths");
  });
  it("every medicine has one of its own", () => {
    for (const [type, id] of [
      ["ibuprofen", "anti-inflammatory"],
      ["antihistamine-tablet", "drowsy"],
      ["motion-tablet", "drowsy"],
      ["cold-tablet", "double-paracetamol"],
      ["loperamide", "diarrhoea"],
      ["bismuth-tablet", "not-for-children"],
      ["oral-gel", "benzocaine"],
      ["ammonia-inhalant", "ammonia"],
    ] as const)
      expect(ids(auditOf([need("s", "sling")], [good("x", type)])), type).to.include(id);
  });
});

describe("names on cards", () => {
  const typeOf = (text: string) =>
    readCard(`- ${text}`, vocabularyOf(NAMED_CATALOGUE)).entries[0]?.itemType;
  it("no name belongs to two kinds", () => {
    const byName = new Map<string, Set<string>>();
    const add = (name: string, kind: string) => {
      const key = [...foldedWords(name)].sort().join(" ");
      byName.set(key, (byName.get(key) ?? new Set()).add(kind));
    };
    for (const t of CATALOGUE.types.values())
      for (const name of [t.label, ...t.alsoCalled, ...(NAMED_CATALOGUE.words.get(t.id) ?? [])])
        add(name, t.id);
    for (const name of NAMED_CATALOGUE.noTypeWords) add(name, "none");
    expect([...byName].filter(([, kinds]) => kinds.size > 1)).to.deep.equal([]);
  });
  it("gloves without a material, practice copies, iodine and alcohol are what they are", () => {
    expect(typeOf("2 pairs exam gloves")).to.equal("disposable-gloves");
    expect(typeOf("1 training windlass tourniquet")).to.equal("trainer-device");
    expect(typeOf("1 adrenaline auto-injector trainer")).to.equal("trainer-device");
    expect(typeOf("1 bottle iodine solution 30 ml")).to.equal("iodine-solution");
    expect(typeOf("1 bottle surgical spirit 100 ml")).to.equal("alcohol-bottle");
    expect(typeOf("1 antiseptic cream 30 g")).to.equal("antiseptic-cream");
    expect(typeOf("1 oral syringe 5 ml")).to.equal("oral-syringe");
    expect(typeOf("1 zinc oxide tape 2.5 cm x 5 m")).to.equal("strapping-tape");
    expect(typeOf("1 calamine lotion")).to.equal(null);
  });
  it("lists that are judged by read the trade right: the group list has no one-region method", () =>
    expect(
      GROUP_LEADER.needs.find((n) => n.function === "pressure-immobilisation")!.when,
    ).to.deep.equal({ activities: ["wraps-taught"] }));
});
