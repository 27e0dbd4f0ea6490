import { typeLookup } from "../../src/lib/core/catalogue/catalogue.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { afterEach, describe, it } from "mocha";
import { expect } from "chai";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { auditOf } from "../../src/lib/core/records/auditOf.ts";
import type { Need } from "../../src/lib/core/model/list.ts";
import { askedNeeds } from "../../src/lib/core/reference/asked.ts";
import { schools } from "../../src/lib/core/model/houseRules.ts";
import { dressings } from "../../src/lib/core/calculators/dressings.ts";
import { SUM_KINDS } from "../../src/lib/core/calculators/calculation.ts";
import { calculatorFor } from "../../src/lib/core/calculators/calculatorFor.ts";
import { wraps } from "../../src/lib/core/calculators/wraps.ts";
import { ACTIVITIES } from "../../src/lib/data/activities.ts";
import { BRIEF_PRESETS } from "../../src/lib/data/briefPresets.ts";
import { demoRecords } from "../../src/lib/data/demo.ts";
import { FUNCTIONS } from "../../src/lib/data/functions.ts";
import { SHIPPED_LISTS } from "../../src/lib/data/lists/index.ts";
import { kitReport } from "../../src/lib/report/kitReport.ts";
import { toHtml } from "../../src/lib/report/toHtml.ts";
import { toMarkdown } from "../../src/lib/report/toMarkdown.ts";
import { PLAIN, showBy } from "../../src/lib/words/display.ts";
import { factorReasons } from "../../src/lib/words/factors.ts";
import {
  askedSumText,
  fieldText,
  quantityText,
  specText,
  whenText,
} from "../../src/lib/words/needs.ts";
import { gainText } from "../../src/lib/words/sentences.ts";
import { stepText, CALCULATOR_LABEL, calculationReason } from "../../src/lib/words/calculations.ts";
import { changesText, changeText, things } from "../../src/lib/words/things.ts";
import { auditFile, need, TODAY } from "./build.ts";

const typeOf = typeLookup([], CATALOGUE);

/** Words that show that a value was missing where a sentence was made. */
const SLIPS = /undefined|NaN|null|\[object|Infinity/;

describe("what a need asks for, in words", () => {
  it("says the quantity as it is added up", () => {
    const q = (quantity: Need["quantity"], fn = "medium-wound-pad") =>
      quantityText({ function: fn, quantity });
    expect(q({ base: 2, perPerson: 0.5, redressEveryH: 12 })).to.equal(
      "2 + 1 for each 2 people, again every 12 h to care",
    );
    expect(q({ perPersonDay: 1, max: 40 }, "hand-hygiene")).to.equal(
      "1 dose a person and day, at most 40 doses",
    );
    expect(q({ base: 8 }, "dressing-retention")).to.equal("8 m");
    expect(q({})).to.equal("1");
  });
  it("says when it is asked", () => {
    expect(whenText(undefined)).to.equal("always");
    expect(whenText({ activities: ["saws", "axes"], daysMin: 2 })).to.equal(
      "saws or axes and knives, from 2 days",
    );
    expect(whenText({ sensitivities: ["latex"], carry: ["boat"] })).to.equal(
      "on a boat, someone reacts to latex",
    );
  });
  it("says each part of every need of every shipped list", () => {
    for (const list of SHIPPED_LISTS)
      for (const n of list.needs)
        for (const field of [
          "tier",
          "quantity",
          "spec",
          "access",
          "companions",
          "accept",
          "when",
        ] as const) {
          const text = fieldText(n, field, typeOf);
          expect(text, `${list.id} ${n.id} ${field}`).to.not.match(SLIPS);
          expect(text.length).to.be.greaterThan(0);
        }
  });
});

describe("the sum behind a required quantity", () => {
  const party = { people: 9, days: 3, hoursToCare: 30 };
  const asked = (quantity: Need["quantity"], more: Partial<typeof party> = {}) =>
    askedSumText({ function: "limb-tourniquet", quantity }, { ...party, ...more });

  it("counts only the people beyond those that the base is for", () => {
    const q = { base: 1, perPerson: 0.125, baseFor: 8 };
    expect(asked(q)).to.equal("⌈1 + 0.125 × 1 person beyond 8⌉ = 2");
    expect(asked(q, { people: 8 })).to.equal("⌈1 + 0.125 × 0 people beyond 8⌉ = 1");
    expect(asked({ perPerson: 0.5 })).to.equal("⌈0.5 × 9 people⌉ = 5");
  });

  it("multiplies all of it by the changes of dressing: on, and two changes in 30 h", () => {
    expect(asked({ base: 1, perDay: 2, redressEveryH: 12 })).to.equal(
      "⌈(1 + 2 × 3 days) × 3⌉ = 21, as it is put on and changed every 12 h until care",
    );
    expect(asked({ base: 2, redressEveryH: 12 })).to.match(/^⌈2 × 3⌉ = 6,/);
  });

  it("says which bound wins, and none where none does", () => {
    expect(asked({ perPersonDay: 0.5, max: 10 })).to.equal(
      "⌈0.5 × 9 people × 3 days⌉ = 14, but at most 10",
    );
    expect(asked({ base: 1, min: 4 })).to.equal("⌈1⌉ = 1, but at least 4");
    expect(asked({ base: 5, min: 4, max: 6 })).to.equal("⌈5⌉ = 5");
    expect(asked({})).to.equal("⌈1⌉ = 1");
  });

  it("what else is asked of a thing stands behind it, in the units of the reader", () => {
    const spec = { minSizeMm: [75, 100] as [number, number], minLengthMm: 4500, sterile: true };
    expect(specText({ spec, access: "seconds" })).to.equal(
      "in the hand within 15 seconds; at least 7.5 × 10 cm; at least 4.5 m long; sterile",
    );
    expect(specText({ access: "any" })).to.equal("");
  });
});

describe("things by the name they have at the bench", () => {
  it("in one, several, and by the metre", () => {
    expect([
      things("medium-wound-pad", 1),
      things("medium-wound-pad", 14),
      things("dressing-retention", 6),
      things("gloves", 2),
      things("wound-irrigation", 100),
    ]).to.deep.equal([
      "1 wound pad",
      "14 wound pads",
      "6 m of bandage",
      "2 pairs of gloves",
      "100 ml of wound rinse",
    ]);
  });
  it("more, fewer, none", () => {
    const n = need("n", "limb-tourniquet");
    expect(changeText({ need: n, from: 0, to: 1 })).to.equal("+1 tourniquet");
    expect(changeText({ need: n, from: 3, to: 1 })).to.equal("−2 tourniquets");
    expect(changeText({ need: n, from: 1, to: 0 })).to.equal("no tourniquets");
    const three = [1, 2, 3].map((to) => ({ need: n, from: 0, to }));
    expect(changesText(three, 2)).to.equal("+1 tourniquet, +2 tourniquets and 1 more");
    expect(changesText([], 2)).to.equal("asks for the same");
  });
});

describe("another school in words", () => {
  const say = (gain: number | null, grade: string | null = "Partial") =>
    gainText({ gain, grade, coverage: 0.5 }, { grade: "Partial" });
  it("points, with the grade only where it changes", () => {
    expect(say(0.0321)).to.equal("+3.2 points of coverage");
    expect(say(-0.1, "Not ready")).to.equal("−10 points of coverage, Not ready");
    expect(say(0)).to.equal("no difference here");
    expect(say(0, "Not ready")).to.equal("same coverage, Not ready");
    expect(say(null)).to.equal("nothing is asked");
  });
});

describe("sums in words", () => {
  const brief = { people: 8, days: 3, hoursToCare: 26, tallestCm: 188 };
  it("every sum has a name, and every function that has one finds it", () => {
    for (const kind of SUM_KINDS) {
      expect(CALCULATOR_LABEL[kind]).to.be.a("string");
      expect(
        FUNCTIONS.some((f) => calculatorFor(f.id, CATALOGUE) === kind),
        kind,
      ).to.equal(true);
    }
    expect(calculatorFor("gloves", CATALOGUE)).to.equal(null);
  });
  it("tell what they come to and on what they rest", () => {
    expect(
      calculationReason(dressings({ wounds: 3, everyH: 12 }, brief), "medium-wound-pad"),
    ).to.equal(
      "Worked out: 3 wounds, changed 2 times before care, 9 dressings in all, so 9 wound pads; taking that changed every 12 hours.",
    );
    const wrap = wraps(
      { limb: "leg", limbs: 1, widthMm: 100, lengthMm: 4500, overlap: 0.5 },
      brief,
    );
    for (const step of [...wrap.steps, ...wrap.assumed]) expect(stepText(step)).to.not.match(SLIPS);
  });
});

describe("the outings to start from", () => {
  for (const preset of BRIEF_PRESETS)
    it(`${preset.title}: a shipped list, known activities, and something asked in most categories`, () => {
      const list = SHIPPED_LISTS.find((l) => l.id === preset.list);
      expect(list, preset.list).to.not.equal(undefined);
      for (const a of preset.brief.activities)
        expect(
          ACTIVITIES.some((x) => x.id === a),
          a,
        ).to.equal(true);
      const brief = { ...auditFile([], []).brief, ...preset.brief };
      const asked = askedNeeds(list!.needs, brief, schools({}), CATALOGUE);
      expect(asked.length).to.be.at.least(12);
      expect(asked.some((n) => n.tier === "vital")).to.equal(true);
    });
});

describe("every shipped list on every demo kit", () => {
  afterEach(() => showBy(() => PLAIN));
  const records = demoRecords();
  const brief = records.find((r) => r.kind === "brief")!;
  const kits = records.filter((r) => r.kind === "kit");
  for (const units of ["metric", "us"] as const)
    it(`reports and explains without a slip, ${units}`, () => {
      showBy(() => ({ units, locale: units === "us" ? "en-US" : "de-DE" }));
      if (brief.kind !== "brief") throw new Error("no brief");
      for (const kit of kits)
        for (const list of SHIPPED_LISTS) {
          const a = audit(
            { ...auditOf(kit, brief.brief, [], TODAY, CATALOGUE), list },
            TODAY,
            CATALOGUE,
          );
          const blocks = kitReport(a, null, { verdicts: kit.verdicts }, TODAY);
          const told = `${list.id} ${kit.id}`;
          expect(toMarkdown(blocks), told).to.not.match(SLIPS);
          expect(toHtml(kit.kit.name, blocks), told).to.not.match(SLIPS);
          for (const n of a.needs)
            for (const p of n.pairs)
              for (const r of factorReasons(a, p)) {
                expect(r.text, told).to.not.match(SLIPS);
                expect(r.text.length, `${told} ${r.factor}`).to.be.greaterThan(3);
                expect(r.value).to.be.within(0, 1);
              }
        }
    });
});
