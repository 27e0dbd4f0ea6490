import { expect } from "chai";
import { answerPoint } from "../../src/lib/core/inspect/answerPoint.ts";
import { roundMoney, toMinor } from "../../src/lib/core/base/money.ts";
import { wholeDown, wholeUp } from "../../src/lib/core/base/tolerance.ts";
import { composition } from "../../src/lib/core/shown/composition.ts";
import { lineMark } from "../../src/lib/core/shown/lineMark.ts";
import { needToShow } from "../../src/lib/core/shown/needToShow.ts";
import { qualityBins, worstLines } from "../../src/lib/core/shown/qualities.ts";
import { tierTotals } from "../../src/lib/core/shown/tierTotals.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { lookText } from "../../src/lib/words/lookTexts.ts";
import { auditOf, good, need } from "./build.ts";

describe("what a page shows of an audit", () => {
  const vital = need("t", "limb-tourniquet", { tier: "vital" });
  it("the tiers: one of two slings is half of its weight", () => {
    const a = auditOf(
      [vital, need("s", "sling", { quantity: { base: 2 } })],
      [good("b", "triangular-bandage")],
    );
    expect(tierTotals(a)).to.deep.equal([
      { tier: "vital", count: 1, weight: 5, met: 0 },
      { tier: "core", count: 1, weight: 3, met: 1.5 },
      { tier: "useful", count: 0, weight: 0, met: 0 },
    ]);
  });
  it("what it is made of: kinds by their pieces, the most first, lines of one kind together", () => {
    const a = auditOf(
      [need("s", "sling")],
      [
        good("a", "triangular-bandage", 2),
        good("b", "whistle", 5),
        good("c", "triangular-bandage", 1),
        { id: "d", itemType: null, counted: 4 },
      ],
    );
    expect(composition(a, 9).map((k) => [k.type?.id ?? null, k.pieces, k.serving])).to.deep.equal([
      ["whistle", 5, 0],
      [null, 4, 0],
      ["triangular-bandage", 3, 1],
    ]);
    expect(composition(a, 1).length).to.equal(1);
  });
  it("qualities in tens, 100 with the nineties; what was not inspected in none", () => {
    const lines = [
      good("a", "whistle"),
      good("b", "whistle", 1, { condition: "worn" }),
      good("c", "whistle", 1, { failedPoints: ["clean-whole"] }),
      { id: "d", itemType: "whistle", counted: 1 },
    ];
    // Worn is 55; a minor point takes 15 off, a major one 40.
    const quality =
      100 - { minor: 15, major: 40, fatal: 100 }[CATALOGUE.points.get("clean-whole")!.severity];
    const want = Array.from({ length: 10 }, () => 0);
    want[9]!++;
    want[5]!++;
    want[Math.floor(quality / 10)]!++;
    expect(qualityBins(lines, CATALOGUE)).to.deep.equal(want);
    expect(worstLines(lines, CATALOGUE, 5).map((w) => w.quality)).to.deep.equal(
      [55, quality].sort((x, y) => x - y),
    );
    expect(worstLines(lines, CATALOGUE, 1).length).to.equal(1);
  });
  it("first the need that decides the grade, else what loses most, else the first", () => {
    const sling = need("s", "sling");
    expect(needToShow(auditOf([sling, vital], []))).to.equal(1);
    const useful = need("w", "signal", { tier: "useful" });
    expect(needToShow(auditOf([useful, sling], []))).to.equal(1);
    expect(needToShow(auditOf([sling], [good("b", "triangular-bandage")]))).to.equal(0);
    expect(needToShow(auditOf([], []))).to.equal(null);
  });
  it("marks a line by what holds it itself", () => {
    const a = auditOf(
      [vital, need("p", "medium-wound-pad")],
      [
        { id: "unseen", itemType: "gauze-pad", counted: 1 },
        good("broken", "gauze-pad", 1, { condition: "failed" }),
        good("name only", "phlebotomy-strap"),
        good("old", "gauze-pad", 1, { expires: "2020-01" }),
        good("fine", "gauze-pad"),
        good("not asked", "whistle"),
      ],
    );
    const marks = ["unseen", "broken", "name only", "old", "fine", "not asked"];
    expect(marks.map((id) => lineMark(a, id))).to.deep.equal([
      "unchecked",
      "sound",
      "real",
      "fresh",
      "pan",
      "pan",
    ]);
    const untrained = auditOf([need("a", "airway-adjunct")], [good("x", "nasal-airway")]);
    expect(lineMark(untrained, "x")).to.equal("usable");
  });
});

describe("an inspection, point by point", () => {
  const points = ["a", "b"];
  const day = "2026-11-26";
  it("is finished when every point is answered, and dated then", () => {
    expect(answerPoint({ points, line: {}, complete: false }, "a", true, day)).to.deep.equal({
      all: false,
      failed: 0,
      patch: { failedPoints: undefined, okPoints: ["a"] },
    });
    const second = answerPoint(
      { points, line: { okPoints: ["a"] }, complete: false },
      "b",
      false,
      day,
    );
    expect(second).to.deep.equal({
      all: true,
      failed: 1,
      patch: { failedPoints: ["b"], condition: undefined, okPoints: undefined, checkedOn: day },
    });
  });
  it("a finished one is answered anew point by point: the others were good", () => {
    const again = answerPoint(
      { points, line: { failedPoints: ["b"] }, complete: true },
      "b",
      true,
      day,
    );
    expect(again.patch).to.deep.include({ failedPoints: [], checkedOn: day });
  });
});

describe("money in minor units", () => {
  it("has the digits of its currency", () => {
    expect(["EUR", "JPY", "KWD"].map((c) => toMinor(1, c))).to.deep.equal([100, 1, 1000]);
    expect(toMinor(12.34, "EUR")).to.equal(1234);
    expect(toMinor(1200, "JPY")).to.equal(1200);
    expect(roundMoney(1.2345, "KWD")).to.equal(1.235);
    expect(roundMoney(10.6, "JPY")).to.equal(11);
  });
});

describe("whole pieces", () => {
  it("are not made of the last bit of a sum", () => {
    expect(wholeUp(0.1 * 3 * 10)).to.equal(3);
    expect(wholeUp(3.001)).to.equal(4);
    expect(wholeDown(0.3 / 0.1)).to.equal(3);
    expect(wholeDown(2.999)).to.equal(2);
  });
});

describe("one fact of a line in words", () => {
  const text = (line: object, what: Parameters<typeof lookText>[1]) =>
    lookText({ id: "a", itemType: "whistle", ...line }, what, "Whistle", CATALOGUE);
  it("says what was seen, and nothing where nobody looked", () => {
    expect(text({ counted: 3 }, "count")).to.equal("3");
    expect(text({}, "count")).to.equal("–");
    expect(text({ expires: "none" }, "date")).to.equal("no date");
    expect(text({ dosesPerPiece: 8 }, "size")).to.equal("8 doses");
    expect(text({ volumeMl: 20 }, "size")).to.equal("20 ml");
    expect(text({}, "size")).to.equal("–");
    expect(text({ reachS: 4.25 }, "reach")).to.match(/^4\.[23] s$/);
    expect(text({ findable: false }, "findable")).to.equal("hard to find");
    expect(text({ labelled: false }, "labelled")).to.equal("not labelled");
    expect(text({}, "kind")).to.equal("Whistle");
    expect(text({}, "condition")).to.equal("–");
    expect(text({ failedPoints: ["clean-whole"] }, "condition")).to.contain("not: ");
  });
});
