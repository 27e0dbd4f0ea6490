import { problemText } from "../../src/lib/words/problems.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { expect } from "chai";
import fc from "fast-check";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { drillSummary } from "../../src/lib/core/inspect/drill.ts";
import { readDates, readDateText } from "../../src/lib/core/inspect/dateText.ts";
import { goodOnceOpened } from "../../src/lib/core/inspect/openLife.ts";
import { packingFindings } from "../../src/lib/core/audit/packing.ts";
import { pointsFor } from "../../src/lib/core/inspect/points.ts";
import {
  agreement,
  lookDifferences,
  takeFact,
  unseen,
} from "../../src/lib/core/audit/secondOpinion.ts";
import { retyped } from "../../src/lib/core/inspect/retyped.ts";
import { splitLine } from "../../src/lib/core/inspect/splitLine.ts";
import type { Kit, Line } from "../../src/lib/core/model/kit.ts";
import { isDay, isMonth } from "../../src/lib/core/base/dates.ts";
import { ITEM_TYPES } from "../../src/lib/data/itemTypes.ts";
import { auditFile, good, need, TODAY } from "./build.ts";

describe("a line that turns out to be another thing", () => {
  const gloves = ["glove-no-pinholes", "glove-size-fits"];
  it("keeps the inspection where all is asked of both: gloves of another material", () => {
    const line = { itemType: "vinyl-gloves", failedPoints: gloves };
    expect(retyped(line, "nitrile-gloves", CATALOGUE)).to.deep.equal({
      itemType: "nitrile-gloves",
      failedPoints: ["glove-size-fits", "glove-no-pinholes"],
      okPoints: undefined,
    });
  });
  it("begins anew where nothing is asked of both: the purpose of a strap says nothing of a windlass", () => {
    const line = { itemType: "phlebotomy-strap", failedPoints: ["tq-purpose-made"] };
    expect(retyped(line, "windlass-tourniquet", CATALOGUE)).to.deep.equal({
      itemType: "windlass-tourniquet",
      ...{ failedPoints: undefined, okPoints: undefined, checkedOn: undefined },
    });
  });
  it("keeps what was asked of both, and asks for the rest: of gauze a wrapper, of gloves a date", () => {
    const sound = { itemType: "nitrile-gloves", failedPoints: [] };
    const gauze = retyped(sound, "gauze-pad", CATALOGUE);
    expect(gauze).to.deep.include({ failedPoints: undefined, okPoints: ["date-legible"] });
    const bad = { itemType: "nitrile-gloves", failedPoints: ["date-legible"], okPoints: [] };
    expect(retyped(bad, "gauze-pad", CATALOGUE)).to.deep.include({
      ...{ failedPoints: ["date-legible"], okPoints: [], checkedOn: undefined },
    });
  });
  it("leaves what was not looked at, and what stays the same, as it is", () => {
    expect(retyped({ itemType: "whistle" }, "gauze-pad", CATALOGUE)).to.deep.equal({
      itemType: "gauze-pad",
    });
    const same = { itemType: "whistle", failedPoints: ["whistle-loud"] };
    expect(retyped(same, "whistle", CATALOGUE)).to.deep.equal({ itemType: "whistle" });
  });
});

describe("inspection points", () => {
  it("come 2 to 9 to a type, looked at before felt, felt before tried", () => {
    const order = ["look", "feel", "try"];
    for (const t of ITEM_TYPES) {
      const by = pointsFor(t.id, CATALOGUE).map((p) => order.indexOf(p.by));
      expect(by.length, t.id).to.be.within(2, 9);
      expect(by, t.id).to.deep.equal([...by].sort());
    }
    expect(pointsFor(null, CATALOGUE)).to.have.length(3);
  });
  it("each says what good and failing look like and how to find out, once for all that share it", () => {
    const all = new Map(
      ITEM_TYPES.flatMap((t) => pointsFor(t.id, CATALOGUE)).map((p) => [p.id, p]),
    );
    for (const p of all.values())
      for (const text of [p.good, p.failing, p.how]) expect(text.length, p.id).to.be.within(5, 200);
    expect(new Set([...all.values()].map((p) => p.good)).size).to.equal(all.size);
  });
});

describe("dates typed at the bench", () => {
  const read = (t: string) => {
    const r = readDateText(t);
    return r.ok ? r.value : (r.choices ?? problemText(r.problem));
  };
  it("takes digits alone from a number pad", () => {
    expect(["0527", "527", "202705", "20270531"].map(read)).to.deep.equal([
      "2027-05",
      "2027-05",
      "2027-05",
      "2027-05-31",
    ]);
  });
  it("asks back what can be two dates, with both", () => {
    expect(read("05/06")).to.deep.equal(["2006-05", "2005-06"]);
    expect(read("11/12")).to.deep.equal(["2012-11", "2011-12"]);
    expect(read("05/06/2027")).to.deep.equal(["2027-06-05", "2027-05-06"]);
    expect(read("31.05.27")).to.equal("2027-05-31");
    // as in barcodes, the year may lead
    expect(read("310527")).to.deep.equal(["2027-05-31", "2031-05-27"]);
  });
  it("never gives a date that does not exist, whatever is typed", () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[0-9/. -]{0,10}$/), (t) => {
        const r = readDateText(t);
        if (r.ok && r.value !== undefined && r.value !== "none")
          expect(isDay(r.value) || isMonth(r.value)).to.equal(true);
        if (!r.ok) for (const c of r.choices ?? []) expect(isDay(c) || isMonth(c)).to.equal(true);
      }),
    );
  });
  it("splits six pieces into three good to 2027-05 and three to 2026-10", () => {
    const want = {
      ok: true,
      parts: [
        { pieces: 3, expires: "2027-05" },
        { pieces: 3, expires: "2026-10" },
      ],
    };
    for (const t of [
      "3 2027-05, 3 2026-10",
      "3 good to 05/2027; 3 to 10/2026",
      "3x 0527, rest 1026",
      "3: May 2027 and rest: Oct 2026",
    ])
      expect(readDates(t, 6), t).to.deep.equal(want);
  });
  it("says what is wrong with the parts", () => {
    const what = (t: string) => {
      const r = readDates(t, 6);
      return r.ok ? "" : problemText(r.problem);
    };
    expect(what("3 2027-05, 2 2026-10")).to.equal("the parts are 5 pieces, 6 lie there");
    expect(what("6 2027-05")).to.match(/two dates or more/);
    expect(what("6 2027-05, rest 2026-10")).to.equal("the parts are 6 pieces, 6 lie there");
    expect(what("some 2027-05, 3 2026-10")).to.match(/not a number of pieces/);
    expect(what("3 11/12, 3 2026-10")).to.match(/two ways/);
  });
});

describe("splitting a line", () => {
  const line: Line = { id: "a", itemType: "gauze-pad", text: "pads", claimed: 8, counted: 6 };
  let n = 0;
  const rows = splitLine(
    line,
    [
      { pieces: 4, facts: { expires: "2027-05" } },
      { pieces: 2, facts: { expires: "2026-10" } },
    ],
    () => `new${++n}`,
  );
  it("counts each part, deals the claim out, and keeps the first id", () => {
    expect(rows).to.deep.equal([
      { ...line, id: "a", claimed: 6, counted: 4, expires: "2027-05" },
      { ...line, id: "new1", claimed: 2, counted: 2, expires: "2026-10" },
    ]);
  });
  it("always claims in sum what the line claimed", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 50 }),
        fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 2, maxLength: 5 }),
        (claimed, pieces) => {
          const parts = splitLine(
            { ...line, claimed },
            pieces.map((p) => ({ pieces: p, facts: {} })),
            () => "x",
          );
          expect(parts.reduce((s, p) => s + p.claimed!, 0)).to.equal(claimed);
          expect(parts.map((p) => p.counted)).to.deep.equal(pieces);
        },
      ),
    );
  });
});

describe("once opened", () => {
  it("is good for its open life or to its print, whichever ends first", () => {
    // An ointment tube: 3 months. Opened March 2026, printed 2027-05: to the end of June 2026.
    expect(
      goodOnceOpened(CATALOGUE.types.get("antibiotic-ointment")!, "2026-03", "2027-05"),
    ).to.equal("2026-06-30");
    expect(
      goodOnceOpened(CATALOGUE.types.get("antibiotic-ointment")!, "2026-03", "2026-04"),
    ).to.equal("2026-04");
    expect(
      goodOnceOpened(CATALOGUE.types.get("antibiotic-ointment")!, "2026-03", undefined),
    ).to.equal("2026-06-30");
  });
  it("is past at once for what is for one use, and unchanged for what has no open life", () => {
    expect(goodOnceOpened(CATALOGUE.types.get("eyewash")!, "2026-03-10", "2028-01")).to.equal(
      "2026-03-09",
    );
    expect(goodOnceOpened(CATALOGUE.types.get("gauze-pad")!, "2026-03", "2028-01")).to.equal(
      "2028-01",
    );
  });
});

describe("an access drill", () => {
  it("gives the best, the spread and the middle of its tries", () => {
    expect(drillSummary(undefined)).to.equal(null);
    expect(
      drillSummary([
        { seconds: 12, oneHanded: true, gloved: true },
        { seconds: 8, oneHanded: true },
        { seconds: 9, oneHanded: true, gloved: true },
        { seconds: 21, oneHanded: true, gloved: true },
      ]),
    ).to.deep.equal({
      tries: 4,
      best: 8,
      worst: 21,
      median: 10.5,
      oneHanded: true,
      gloved: false,
    });
  });
});

describe("the packing rules", () => {
  const rulesOf = (lines: readonly Line[]) =>
    packingFindings(
      audit(
        auditFile(
          [
            need("tq", "limb-tourniquet", { access: "seconds" }),
            need("rinse", "wound-irrigation", { quantity: { base: 10 } }),
          ],
          lines,
        ),
        TODAY,
        CATALOGUE,
      ),
    ).map((f) => `${f.line} ${f.rule} ${f.state}`);
  it("a tourniquet at the bottom breaks one, an ampoule without a bag of its own another", () => {
    expect(
      rulesOf([
        good("1", "windlass-tourniquet", 1, { location: "bottom" }),
        good("2", "saline-ampoule", 4, { failedPoints: ["own-bag"] }),
      ]),
    ).to.deep.equal([
      "0 instructions-with-device kept",
      "0 seconds-lie-outside broken",
      "1 leaks-have-own-bag broken",
    ]);
  });
  it("what nobody has looked at is open; shears carry the day of their first use", () => {
    expect(
      rulesOf([
        { id: "1", itemType: "torch", counted: 1 },
        good("2", "trauma-shears", 1, { firstUse: "2026-04" }),
      ]),
    ).to.deep.equal([
      "0 lights-locked-off open",
      "0 tools-carry-first-use open",
      "1 tools-carry-first-use kept",
    ]);
  });
});

describe("a second opinion", () => {
  const kit = (lines: readonly Line[]): Kit => ({ name: "k", claims: {}, lines: [...lines] });
  const first = kit([
    good("a", "gauze-pad", 6),
    good("b", "trauma-shears", 1, { reachS: 8 }),
    { id: "c", itemType: "sling", counted: 1 },
  ]);
  const second = kit([
    good("a", "gauze-pad", 5, { condition: "worn" }),
    good("b", "trauma-shears", 1, { reachS: 11 }),
    { id: "c", itemType: "sling", claimed: 1 },
  ]);
  it("finds where both looked and differ; two stopwatches within one limit agree", () => {
    expect(lookDifferences(first, second, CATALOGUE)).to.deep.equal([
      { line: "a", what: "count" },
      { line: "a", what: "condition" },
    ]);
  });
  it("agrees by mesh: two needs, one of them held apart at Enough and after", () => {
    const audited = (pads: number, condition: "sound" | "worn") =>
      audit(
        auditFile(
          [need("pad", "medium-wound-pad", { quantity: { base: 6 } }), need("cut", "cut-clothing")],
          [good("a", "gauze-pad", pads, { condition }), good("b", "trauma-shears")],
        ),
        TODAY,
        CATALOGUE,
      );
    const a = agreement(audited(6, "sound"), audited(5, "worn"));
    expect(a.meshes).to.deep.equal([1, 1, 0.5, 0.5, 0.5, 0.5, 0.5]);
    // 2 lines, one alike. By chance: 1 · 1/2 + 0 · 1/2 = 1/2; (1/2 − 1/2) / (1 − 1/2) = 0
    expect(a.condition).to.equal(0.5);
    expect(a.kappa).to.equal(0);
  });
  it("has no kappa where both call everything sound", () => {
    const a = audit(
      auditFile([need("n", "sling")], [good("a", "triangular-bandage")]),
      TODAY,
      CATALOGUE,
    );
    expect(agreement(a, a)).to.deep.include({ condition: 1, kappa: null, linesCompared: 1 });
  });
  it("takes a fact over whole, with what goes with it", () => {
    const taken = takeFact(
      first.lines[0]!,
      { id: "a", itemType: "x", failedPoints: [] },
      "condition",
    );
    expect(taken).to.not.have.property("condition");
    expect(taken.failedPoints).to.deep.equal([]);
    expect(taken.counted).to.equal(6);
  });
  it("hands the kit over with its claims and nothing that was seen", () => {
    expect(unseen(first).lines).to.deep.equal([
      { id: "a", itemType: "gauze-pad", claimed: 6 },
      { id: "b", itemType: "trauma-shears", claimed: 1 },
      { id: "c", itemType: "sling", claimed: 1 },
    ]);
  });
});
