import { expect } from "chai";
import type { KitEvent } from "../../src/lib/core/model/event.ts";
import { errorText, needAmount, outOf100, rareText } from "../../src/lib/words/chanceTexts.ts";
import { eventText } from "../../src/lib/words/eventTexts.ts";
import { goSlip } from "../../src/lib/words/goSlip.ts";
import { purposeText, questionLabel } from "../../src/lib/words/planTexts.ts";
import { pageName } from "../../src/lib/ui/stages.ts";

const NAMES: Readonly<Record<string, string>> = {
  L1: "gauze pads",
  L2: "burn gel",
  "gauze-pad": "Gauze pad",
};
const nameOf = (id: string) => NAMES[id] ?? id;
const said = (e: Omit<KitEvent, "id" | "on">) =>
  eventText({ id: "e1", on: "2026-11-28", ...e }, nameOf);

describe("a line of a kit's log", () => {
  for (const [event, text] of [
    [
      { kind: "used", what: "everyday-wounds", changes: [{ line: "L1", pieces: 4 }] },
      "Used 4 × gauze pads, for everyday wounds",
    ],
    [
      { kind: "used", what: "practice", changes: [{ line: "L1", pieces: 0.5 }] },
      "Used 0.5 × gauze pads, for practice",
    ],
    [
      {
        kind: "put-back",
        from: "the store",
        changes: [{ line: "L2", pieces: 2, lot: "41B", expires: "2029-06" }],
        price: { amount: 4.5, currency: "EUR" },
      },
      "Put back 2 × burn gel, lot 41B, good to 30 Jun 2029, from the store, €4.50",
    ],
    [{ kind: "counted", changes: [{ line: "L1", pieces: 0 }] }, "Counted 0 × gauze pads"],
    [{ kind: "sealed", seal: "00417" }, "Sealed 00417"],
    [{ kind: "seal-broken" }, "Seal broken"],
    [{ kind: "checked", what: "full" }, "Looked at all of it, in full"],
    [{ kind: "checked", what: "quick" }, "Looked at quickly"],
    [
      { kind: "checked", changes: [{ line: "L1" }, { line: "L2" }] },
      "Looked at gauze pads; burn gel",
    ],
    [
      { kind: "carried", days: 1, people: 6, km: 12.5, conditions: ["wet", "cabin"] },
      "Carried 1 day, by 6 people, 12.5 km, wet, in a parked vehicle",
    ],
    [{ kind: "recalled", itemType: "gauze-pad", lot: "7" }, "Recalled Gauze pad, lot 7"],
    [
      { kind: "moved", changes: [{ line: "L1", pieces: 2 }], from: "lid", to: "van box" },
      "Moved 2 × gauze pads, from lid, to van box",
    ],
    [
      { kind: "handed-over", from: "Ida", to: "Tove", seal: "9" },
      "Handed over from Ida to Tove, seal 9",
    ],
    [{ kind: "handed-over", to: "Tove" }, "Handed over to Tove"],
    [
      {
        kind: "plan-done",
        lines: [{ line: "L2", pieces: 3 }],
        dropped: ["L1"],
        paid: { amount: 12, currency: "GBP" },
      },
      "Plan carried out: in came 3 × burn gel; out went gauze pads; £12.00",
    ],
    [
      {
        kind: "used",
        what: "lent",
        changes: [{ line: "L1", pieces: 1 }],
        note: "To the next boat.",
      },
      "Used 1 × gauze pads, lent. To the next boat.",
    ],
  ] satisfies [Omit<KitEvent, "id" | "on">, string][])
    it(text, () => expect(said(event)).to.equal(text));

  it("a date that a thing does not have is not said", () => {
    const changes = [{ line: "L1", pieces: 1, expires: "none" }];
    expect(said({ kind: "counted", changes })).to.equal("Counted 1 × gauze pads");
  });
});

describe("the slip that goes along with a kit", () => {
  const slip = {
    ...{ kit: "Shed box", on: "2026-11-28", to: "2026-12-05", seal: "41", by: "Ida" },
    ...{ grade: "Ready", checked: ["seal", "burn gel"] },
  };
  it("says who looked at what, under which seal, for which days", () => {
    expect(goSlip(slip)).to.equal(
      "**Shed box**, looked at on 28 Nov 2026 for the days to 5 Dec 2026.\n\n" +
        "Seal 41, whole.\n\nGuaranteed after these checks: Ready.\n\n" +
        "Looked at: seal; burn gel.\n\nBy: Ida\n",
    );
  });
  it("leaves room for a name, and says nothing that nobody looked at", () => {
    const bare = goSlip({ ...slip, seal: null, by: "", grade: null, checked: [] });
    expect(bare).to.contain("Not sealed.").and.contain("By: ____");
    expect(bare).not.to.contain("Guaranteed").and.not.contain("Looked at:");
  });
});

describe("chances in words", () => {
  it("two readings are a range, the smaller first; one is one number", () => {
    expect(outOf100({ low: 0.71, high: 0.83 })).to.equal("71–83 of 100");
    expect(outOf100({ low: 0.29, high: 0.172 })).to.equal("17.2–29 of 100");
    expect(outOf100({ low: 0.83, high: 0.8304 })).to.equal("83 of 100");
  });
  it("what is rare is said as once in so many, to two figures, with two standard errors", () => {
    // 1 / 0.000613 = 1631; 200 × 0.00001226 / 0.000613 = 4.
    expect(rareText(0.000613, 0.00001226)).to.equal("about once in 1,600 outings (± 4 %)");
    expect(rareText(5e-7, 1e-8)).to.equal("less than once in a million outings");
  });
  it("the error of a chance is two standard errors in points; of none seen, three in so many", () => {
    expect(errorText(0.0015, 10_000)).to.equal("± 0.3 points");
    // The rule of three: 3 / 10,000 = 0.03 points of 100.
    expect(errorText(0, 10_000)).to.equal("within 0.03 points");
  });
  it("amounts carry the unit that the function is counted in", () => {
    expect(needAmount("small-wound-cover", 4.04)).to.equal("4");
    expect(needAmount("no-such-function", 2)).to.equal("2");
  });
});

describe("the plan in words", () => {
  it("a purchase is for what it serves, and goes with what it is needed beside", () => {
    const name = (id: string) => id.toUpperCase();
    const serves = [{ need: "a" }, { need: "b" }];
    expect(purposeText({ serves, companionOf: [], fills: null }, name, "EUR")).to.equal("A, B");
    expect(purposeText({ serves, companionOf: ["c"], fills: null }, name, "EUR")).to.equal(
      "A, B; goes with what does C",
    );
    expect(purposeText({ serves: [], companionOf: ["c"], fills: null }, name, "EUR")).to.equal(
      "goes with what does C",
    );
    const fills = { packs: 2, source: "Mill", sum: 40 } as const;
    const order = (because: "least-order" | "free-postage") =>
      purposeText({ serves: [], companionOf: [], fills: { ...fills, because } }, name, "EUR");
    expect(order("least-order")).to.equal(
      "2 packs to fill the order: Mill takes no order under €40.00",
    );
    expect(order("free-postage")).to.equal(
      "2 packs to fill the order: from €40.00 Mill charges no postage",
    );
  });
  it("the question names its target where it has one", () => {
    expect(questionLabel("cheapest", "95 % covered")).to.equal("Cheapest that is 95 % covered");
    expect(questionLabel("lightest", "Ready")).to.equal("Lightest that is Ready");
    expect(questionLabel("best", "Ready")).to.equal("Best for what I have");
  });
});

describe("what a kit's pages are called", () => {
  it("by the last part of their address", () => {
    expect(["unpack", "labels", "last"].map(pageName)).to.deep.equal([
      "Unpack",
      "Packing and labels",
      "Will it last?",
    ]);
    expect(pageName("nowhere")).to.equal("Kit");
    expect(pageName(undefined)).to.equal("Kit");
  });
});
