import { expect } from "chai";
import fc from "fast-check";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { assumptionsFor, ratesByCategory } from "../../src/lib/core/chance/assumptions.ts";
import { eventsBetween, joined } from "../../src/lib/core/events/between.ts";
import { kitOnDay } from "../../src/lib/core/events/kitOnDay.ts";
import { replay } from "../../src/lib/core/events/replay.ts";
import { sealOn } from "../../src/lib/core/events/seal.ts";
import { conditionNamed, spoils } from "../../src/lib/core/events/spoils.ts";
import { lapsesOn } from "../../src/lib/core/events/trust.ts";
import { parseEvents, writeEvents } from "../../src/lib/core/formats/eventTable.ts";
import { deficitsOf } from "../../src/lib/core/log/deficits.ts";
import { planDone } from "../../src/lib/core/log/planDone.ts";
import { learnedRates, lineRates } from "../../src/lib/core/log/rates.ts";
import { readinessOf } from "../../src/lib/core/log/readiness.ts";
import { readyToGo } from "../../src/lib/core/log/readyToGo.ts";
import { rotationOf } from "../../src/lib/core/log/rotation.ts";
import { spentAgainstForecast, spentOf } from "../../src/lib/core/log/spent.ts";
import { byTaking } from "../../src/lib/core/log/takenOften.ts";
import { parseAudit } from "../../src/lib/core/formats/auditFile.ts";
import type { KitEvent } from "../../src/lib/core/model/event.ts";
import type { Line } from "../../src/lib/core/model/kit.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { YEAR_BRIEF, YEAR_EVENTS, YEAR_LINES } from "../../src/lib/data/demoYear.ts";
import { INCIDENT_KINDS } from "../../src/lib/data/incidents.ts";
import { WORKSHOP_CREW } from "../../src/lib/data/lists/workshopCrew.ts";
import { PRICE_BOOK } from "../../src/lib/data/priceBook.ts";
import { logBlocks } from "../../src/lib/report/logBlocks.ts";
import { readinessSvg } from "../../src/lib/report/readinessSvg.ts";
import { auditFile, good, need } from "./build.ts";
import { bookOf, product } from "./planBuild.ts";

const typeOf = (id: string) => CATALOGUE.types.get(id);
const at = (
  id: string,
  on: string,
  kind: KitEvent["kind"],
  more: Partial<KitEvent> = {},
): KitEvent => ({
  id,
  on,
  kind,
  ...more,
});
const checked = (id: string, itemType: string, more: Partial<Line> = {}): Line =>
  good(id, itemType, 5, { checkedOn: "2026-01-10", ...more });

describe("trust that lapses", () => {
  const wipes = checked("w", "antiseptic-wipe");
  const shears = checked("s", "trauma-shears");

  it("counts hold six months without a seal, conditions as long as their kind says", () => {
    // 10 January and six months: the last good day is 10 July. Wipes are felt twice a year too.
    const on = (day: string) =>
      lapsesOn([wipes, shears], [], day, typeOf).map((l) => `${l.line} ${l.fact}`);
    expect(on("2026-07-10")).to.deep.equal([]);
    expect(on("2026-07-11")).to.deep.equal(["w count", "w condition", "s count"]);
  });

  it("an unbroken seal keeps both, until somebody opens it", () => {
    const sealed = at("e1", "2026-01-10", "sealed", { seal: "7" });
    expect(lapsesOn([wipes], [sealed], "2027-06-01", typeOf)).to.deep.equal([]);
    const used = at("e2", "2026-08-01", "used", { changes: [{ line: "w", pieces: 1 }] });
    expect(lapsesOn([wipes], [sealed, used], "2027-06-01", typeOf).length).to.equal(2);
    expect(sealOn([sealed, used], "2026-07-31")?.brokenBy).to.equal(null);
    expect(sealOn([sealed, used], "2026-08-01")?.brokenBy?.id).to.equal("e2");
    expect(
      sealOn([sealed, used, at("e3", "2026-08-02", "sealed", { seal: "8" })], "2026-09-01"),
    ).to.deep.include({ number: "8", brokenBy: null });
    expect(sealOn([], "2026-09-01")).to.equal(null);
  });

  it("what was never dated does not lapse", () => {
    expect(lapsesOn([good("x", "antiseptic-wipe", 5)], [], "2040-01-01", typeOf)).to.deep.equal([]);
  });

  it("heat brings up wipes and plasters, not shears; a look afterwards settles it", () => {
    const hot = at("e1", "2026-02-01", "carried", { days: 2, conditions: ["above 30 °C"] });
    expect(lapsesOn([wipes, shears], [hot], "2026-02-02", typeOf)).to.deep.equal([
      { line: "w", fact: "condition", why: "carried", since: "2026-02-01" },
    ]);
    const look = at("e2", "2026-02-03", "checked", {
      changes: [{ line: "w", facts: { failedPoints: [], checkedOn: "2026-02-03" } }],
    });
    expect(lapsesOn([wipes], [hot, look], "2026-02-04", typeOf)).to.deep.equal([]);
    expect(conditionNamed("vehicle cabin")).to.equal("cabin");
    expect(conditionNamed("below 0 °C")).to.equal("frost");
    expect(conditionNamed("nothing much")).to.equal(null);
    expect(spoils("salt", typeOf("trauma-shears")!)).to.equal(true);
    expect(spoils("wet", typeOf("gauze-pad")!)).to.equal(true);
    expect(spoils("dry", typeOf("gauze-pad")!)).to.equal(false);
  });

  it("moves the reading that takes unchecked facts as failing, never the other", () => {
    const file = auditFile(
      [need("n", "skin-antiseptic", { quantity: { base: 5 } })],
      [{ ...wipes, expires: "2029-01" }],
    );
    const run = (day: string) => audit(kitOnDay(file, day, CATALOGUE), day, CATALOGUE).interval;
    expect(run("2026-07-10")).to.deep.equal([1, 1]);
    expect(run("2026-07-11")).to.deep.equal([0, 1]);
  });

  it("what failed stays failed", () => {
    const torn = checked("w", "antiseptic-wipe", { failedPoints: ["wipe-wet"] });
    expect(lapsesOn([torn], [], "2027-01-01", typeOf).map((l) => l.fact)).to.deep.equal(["count"]);
  });
});

describe("the bench of a kit in service", () => {
  const first = [good("a", "gauze-pad", 6), good("b", "adhesive-strip", 20)];
  let next = 0;
  const newId = () => `n${next++}`;
  const when = { on: "2026-05-01" };

  it("writes counts, findings, what came and what went as events", () => {
    const { condition: _, ...looked } = first[1]!;
    const after = [
      { ...first[0]!, counted: 4, note: "thin" },
      { ...looked, failedPoints: [] },
      good("c", "trauma-shears"),
    ];
    const events = eventsBetween(first, after, when, newId);
    expect(events.map((e) => e.kind)).to.deep.equal(["put-back", "counted", "checked"]);
    expect(replay(first, events).lines).to.deep.equal(after);
    expect(
      eventsBetween(after, after.slice(0, 2), when, newId).map((e) => e.dropped),
    ).to.deep.equal([["c"]]);
    expect(eventsBetween(first, first, when, newId)).to.deep.equal([]);
  });

  it("the events between two states give the later one again, whatever was changed", () => {
    const facts = fc.record(
      {
        counted: fc.integer({ min: 0, max: 30 }),
        note: fc.string({ maxLength: 5 }),
        lot: fc.constantFrom("A", "B"),
        failedPoints: fc.constantFrom<string[]>([], ["seal-whole"]),
        location: fc.constantFrom("outside" as const, "pocket" as const),
      },
      { requiredKeys: ["counted"] },
    );
    const states = fc.uniqueArray(fc.tuple(fc.constantFrom("a", "b", "c", "d"), facts), {
      selector: ([id]) => id,
      maxLength: 4,
    });
    const lines = (of: [string, Partial<Line>][]): Line[] =>
      of.map(([id, f]) => ({ id, itemType: "gauze-pad", ...f }));
    fc.assert(
      fc.property(states, states, (x, y) => {
        const [before, after] = [lines(x), lines(y)];
        const replayed = replay(before, eventsBetween(before, after, when, newId)).lines;
        const sorted = (l: Line[]) => [...l].sort((p, q) => (p.id < q.id ? -1 : 1));
        expect(sorted(replayed)).to.deep.equal(sorted(after));
      }),
    );
  });

  it("five answers on one item are one look; a count typed on is one count", () => {
    const look = (id: string, facts: Partial<Line>) =>
      at(id, "2026-05-01", "checked", { changes: [{ line: "a", facts }] });
    expect(
      joined(look("1", { okPoints: ["p"] }), look("2", { okPoints: ["p", "q"] }))?.changes,
    ).to.deep.equal([{ line: "a", facts: { okPoints: ["p", "q"] } }]);
    const count = (id: string, pieces: number) =>
      at(id, "2026-05-01", "counted", { changes: [{ line: "a", pieces }] });
    expect(joined(count("1", 1), count("2", 12))).to.deep.include({ id: "1" });
    expect(joined(count("1", 1), look("2", {}))).to.equal(null);
    expect(joined(count("1", 1), { ...count("2", 1), on: "2026-05-02" })).to.equal(null);
    expect(
      joined(
        count("1", 1),
        at("2", "2026-05-01", "counted", { changes: [{ line: "b", pieces: 1 }] }),
      ),
    ).to.equal(null);
  });

  it("a new lot beside failed pieces comes in without their faults", () => {
    const recalled = at("e1", "2026-05-01", "recalled", { itemType: "gauze-pad" });
    const fresh = at("e2", "2026-05-02", "put-back", {
      changes: [{ line: "a", pieces: 6, lot: "N" }],
    });
    const { lines, losses } = replay(first, [recalled, fresh]);
    expect(lines.find((l) => l.id === "a")?.condition).to.equal("failed");
    expect(lines.find((l) => l.id === "a+e2")).to.deep.include({ counted: 6, lot: "N" });
    expect(lines.find((l) => l.id === "a+e2")?.condition).to.equal(undefined);
    expect(losses.get("a")).to.equal(undefined);
  });

  it("is missing since the day from which it was not whole again", () => {
    const events = [
      at("e1", "2026-02-01", "used", { changes: [{ line: "a", pieces: 2 }] }),
      at("e2", "2026-03-01", "put-back", { changes: [{ line: "a", pieces: 2 }] }),
      at("e3", "2026-04-01", "used", { changes: [{ line: "a", pieces: 1 }] }),
    ];
    expect(deficitsOf(replay(first, events), "2026-05-01")).to.deep.equal([
      { line: "a", itemType: "gauze-pad", pieces: 1, since: "2026-04-01", why: "used" },
    ]);
  });
});

describe("ready to go", () => {
  it("asks for the fewest checks, tried against every combination", () => {
    // Two needs of equal weight: dressings want a line counted, gloves nothing. One check is enough.
    const open: Line = {
      id: "a",
      itemType: "gauze-pad",
      claimed: 4,
      condition: "sound",
      expires: "none",
      location: "pocket",
    };
    const idle: Line = { id: "z", itemType: "whistle", claimed: 1, location: "outside" };
    const file = auditFile(
      [need("pads", "medium-wound-pad", { quantity: { base: 4 } }), need("gloves", "gloves")],
      [open, good("g", "nitrile-gloves", 1, { latexFree: true }), idle],
    );
    const go = readyToGo(audit(file, "2026-06-01", CATALOGUE))!;
    expect(go.grade).to.equal("Ready");
    expect(go.now).to.not.equal("Ready");
    expect(go.checks.map((c) => c.line)).to.deep.equal(["a"]);
    expect(go.fewest).to.equal(true);
    expect(go.seconds).to.be.greaterThan(0);
  });

  it("asks for none where what is guaranteed is the most there is; null where nothing is asked", () => {
    const file = auditFile(
      [need("gloves", "gloves")],
      [good("g", "nitrile-gloves", 1, { latexFree: true })],
    );
    expect(readyToGo(audit(file, "2026-06-01", CATALOGUE))!.checks).to.deep.equal([]);
    expect(readyToGo(audit(auditFile([], []), "2026-06-01", CATALOGUE))).to.equal(null);
  });

  it("with more than twelve open lines finds one by one, and leaves out what is not needed", () => {
    const lines = Array.from({ length: 14 }, (_, i): Line => ({
      id: `l${i}`,
      itemType: "gauze-pad",
      claimed: 1,
      condition: "sound",
      expires: "none",
      location: i % 2 ? "bottom" : "outside",
    }));
    const file = auditFile([need("pads", "medium-wound-pad", { quantity: { base: 10 } })], lines);
    const go = readyToGo(audit(file, "2026-06-01", CATALOGUE))!;
    // Ready asks 90 % of ten: nine lines.
    expect(go.fewest).to.equal(false);
    expect(go.checks.length).to.equal(9);
    // From the outside in.
    const places = go.checks.map((c) => c.location);
    expect(places).to.deep.equal(
      [...places].sort((a, b) => (a === b ? 0 : a === "outside" ? -1 : 1)),
    );
  });
});

describe("what a log teaches", () => {
  const brief = { ...YEAR_BRIEF, people: 10 };
  const assumed = new Map([["burns", 0.002]] as const);
  const burn = (id: string, on: string) =>
    at(id, on, "used", { what: "burns", changes: [{ line: "t", pieces: 2 }] });

  it("a gamma prior moves little after one use in a first week, most of the way after a season", () => {
    // Prior 2 per 1,000 with shape 1: β = 500. One use in 70 person-days: (1 + 1)/(500 + 70) = 3.51.
    const week = [at("c", "2026-06-01", "carried", { days: 7 }), burn("u", "2026-06-02")];
    const [early] = learnedRates(week, brief, assumed);
    expect(early!.mean).to.be.closeTo(3.5088, 1e-3);
    // Thirty uses in 3,000: (1 + 30)/(500 + 3000) = 8.857, near the 10 that was seen.
    const season = [
      at("c", "2026-06-01", "carried", { days: 300 }),
      ...Array.from({ length: 30 }, (_, i) => burn(`u${i}`, "2026-06-02")),
    ];
    const [late] = learnedRates(season, brief, assumed);
    expect(late!.mean).to.be.closeTo(8.857, 1e-3);
    expect(late!.high - late!.low).to.be.lessThan(late!.mean);
    // Gamma with shape 31: 5 % and 95 % quantiles 22.4 and 40.7 over 3,500 (table of chi-square, 62 degrees).
    expect(late!.low).to.be.closeTo((22.41 / 3500) * 1000, 0.05);
    expect(late!.high).to.be.closeTo((40.69 / 3500) * 1000, 0.05);
  });

  it("practice and lent things teach nothing; a line lasts by what its incidents took", () => {
    const events = [
      at("c", "2026-01-01", "carried", { days: 100 }),
      burn("u", "2026-02-01"),
      at("p", "2026-02-02", "used", { what: "practice", changes: [{ line: "t", pieces: 9 }] }),
    ];
    const rates = learnedRates(events, brief, assumed);
    expect(rates[0]!.incidents).to.equal(1);
    const [line] = lineRates(events, brief, rates, new Map([["t", 4]]), "2027-01-01");
    // (1 + 1)/(500 + 1000) = 1.333 per 1,000 incidents, two pieces each: 0.2667 a 100 person-days.
    expect(line!.per100).to.be.closeTo(0.26667, 1e-4);
    expect(line!.used).to.equal(2);
    // 1,000 person-days in 365 days: 2.67 a year; four last a year and a half.
    expect(line!.lastsDays).to.be.closeTo((4 / line!.perYear) * 365.25, 1e-6);
    expect(
      lineRates([burn("u", "2026-02-01")], brief, rates, new Map(), "2026-03-01"),
    ).to.deep.equal([]);
  });

  it("offers to use up what runs out within half a year, and says what it saves", () => {
    const soon = good("t", "glucose-gel", 4, { expires: "2026-09" });
    const [r] = rotationOf(
      [
        soon,
        good("x", "glucose-gel", 4, { expires: "2029-01" }),
        good("y", "glucose-gel", 4, { expires: "2026-01" }),
      ],
      PRICE_BOOK,
      "2026-06-01",
    );
    expect(r).to.deep.include({ line: "t", pieces: 4, lastGood: "2026-09-30" });
    const cheapest = Math.min(
      ...PRICE_BOOK.products
        .filter((p) => p.itemType === "glucose-gel")
        .map((p) => p.price.amount / p.pack),
    );
    expect(r!.saves).to.be.closeTo(4 * cheapest, 0.005);
    expect(rotationOf([soon], PRICE_BOOK, "2026-06-01", 30)).to.deep.equal([]);
  });

  it("who has the kit stands in the report with a line to sign on: the last it was handed to", () => {
    const file = {
      ...auditFile([need("g", "medium-wound-pad")], [good("t", "glucose-gel", 4)]),
      events: [
        at("1", "2026-02-01", "handed-over", { from: "Ola", to: "Kit" }),
        at("2", "2026-03-01", "handed-over", { from: "Kit", to: "Maren", seal: "0615" }),
      ],
    };
    const texts = logBlocks(file, "2026-03-02", CATALOGUE).flatMap((b) =>
      b.kind === "text" ? [b.text] : [],
    );
    expect(texts.filter((t) => t.startsWith("Handed over"))).to.deep.equal([
      "Handed over on 1 Mar 2026 by Kit to Maren, under seal 0615. Signed: ______________________",
    ]);
    expect(JSON.stringify(logBlocks({ ...file, events: [] }, "2026-03-02", CATALOGUE))).to.equal(
      "[]",
    );
  });

  it("a plan that was carried out brings what was bought, takes out what was dropped, and keeps what was paid", () => {
    const pads = product("pads", "gauze-pad", 10, 4, { sizeMm: [100, 100] });
    const none = product("none", "whistle", 1, 3);
    let n = 0;
    const done = planDone(
      {
        bought: [
          { product: pads, packs: 2 },
          { product: none, packs: 0 },
        ],
        dropped: ["old"],
        paid: { amount: 8.5, currency: "EUR" },
      },
      () => `N${++n}`,
    )!;
    const first = [good("old", "gauze-pad", 3), good("own", "whistle", 1)];
    const event: KitEvent = { id: "e", on: "2026-03-01", ...done };
    const { lines, par } = replay(first, [event]);
    expect(lines).to.deep.equal([
      first[1],
      { id: "N1", itemType: "gauze-pad", counted: 20, text: "pads", sizeMm: [100, 100] },
    ]);
    // What should be there from now on.
    expect([...par]).to.deep.equal([
      ["own", 1],
      ["N1", 20],
    ]);
    expect(spentOf([event])).to.deep.equal([{ year: 2026, currency: "EUR", amount: 8.5 }]);
    expect(planDone({ bought: [], dropped: [], paid: null }, () => "x")).to.equal(null);
  });

  it("stands what was paid beside what dates alone would have cost, seen from the log's first day", () => {
    const eur = (amount: number) => ({ amount, currency: "EUR" });
    const book = bookOf([product("gel", "glucose-gel", 4, 8, { shelfMonths: 24 })]);
    const file = {
      ...auditFile([need("g", "glucose")], [good("t", "glucose-gel", 4, { expires: "2026-09" })]),
      events: [
        at("0", "2025-11-01", "carried", { days: 1 }),
        at("1", "2026-02-01", "put-back", { price: eur(1.1) }),
        at("2", "2026-03-01", "put-back", { price: { amount: 3, currency: "GBP" } }),
        at("3", "2027-03-01", "put-back", { price: eur(2) }),
      ],
    };
    // One pack of four on 30 September 2026; the next only in 2028.
    expect(spentAgainstForecast(file, book, "2027-06-01", CATALOGUE)).to.deep.equal([
      { year: 2025, spent: 0, foreseen: 0, others: [] },
      { year: 2026, spent: 1.1, foreseen: 8, others: [{ currency: "GBP", amount: 3 }] },
      { year: 2027, spent: 2, foreseen: 0, others: [] },
    ]);
    const { events: _, ...quiet } = file;
    expect(spentAgainstForecast(quiet, book, "2027-06-01", CATALOGUE)).to.deep.equal([]);
  });

  it("draws readiness as steps with what happened on them: half the time covered in full, half not", () => {
    const steps = [
      { from: "2026-01-01", grade: "Ready", coverage: 1, interval: [0.5, 1] as const },
      { from: "2026-01-06", grade: "Partial", coverage: 0.5, interval: [0.5, 0.5] as const },
    ];
    const { svg, width } = readinessSvg(
      { steps, readyShare: 0.5, longestNotReady: null },
      [
        at("u", "2026-01-06", "used"),
        at("c", "2026-01-07", "counted"),
        at("f", "2027-01-01", "used"),
      ],
      "2026-01-10",
    );
    // Ten days on 842 px from 44: the sixth begins at 44 + 421; full is at 34 px, half of it 95 px lower.
    expect(width).to.equal(900);
    expect(svg).to.include('d="M44 34H465 V129H886"');
    expect(svg).to.include('d="M44 129H465 V129H886"');
    expect(svg.match(/>▼</g)).to.have.length(1);
    expect(svg).to.include('fill="url(#not-ready)"');
  });

  it("adds up what was paid, year by year and currency by currency", () => {
    const eur = (amount: number) => ({ amount, currency: "EUR" });
    expect(
      spentOf([
        at("1", "2026-02-01", "put-back", { price: eur(1.1) }),
        at("2", "2026-03-01", "plan-done", { paid: eur(2.2) }),
        at("3", "2027-03-01", "put-back", { price: eur(4) }),
        at("4", "2027-03-02", "used", { price: eur(9) }),
      ]),
    ).to.deep.equal([
      { year: 2026, currency: "EUR", amount: 3.3 },
      { year: 2027, currency: "EUR", amount: 4 },
    ]);
  });

  it("offers what is taken most often first, then what an ordinary year takes", () => {
    const lines = [
      good("m", "marker"),
      good("g", "gauze-pad"),
      good("b", "tulle-dressing"),
      good("e", "eye-pad", 0),
    ];
    const category = (l: Line) =>
      l.id === "m" ? "signal-records" : l.id === "g" ? "everyday-wounds" : "burns";
    expect(byTaking(lines, [], category).map((t) => t.line.id)).to.deep.equal(["g", "b", "m"]);
    const twice = [burn("1", "2026-01-01")].map((e) => ({
      ...e,
      changes: [{ line: "m", pieces: 1 }],
    }));
    expect(byTaking(lines, twice, category).map((t) => t.line.id)).to.deep.equal(["m", "g", "b"]);
  });
});

describe("a log as a table", () => {
  it("comes back as it went out", () => {
    const text = fc
      .string({ minLength: 1, maxLength: 8 })
      .filter((t) => t.trim() !== "" && t.trim() === t);
    const change = fc.record(
      {
        line: fc.constantFrom("a", "b+e1"),
        pieces: fc.constantFrom(0, 1, 2.5),
        lot: text,
        expires: fc.constantFrom("2027-05", "none"),
        facts: fc.constant({ note: "x" }),
      },
      { requiredKeys: ["line"] },
    );
    const event = fc.record(
      {
        on: fc.constantFrom("2026-01-02", "2026-12-31"),
        kind: fc.constantFrom("used" as const, "put-back" as const, "carried" as const),
        note: text,
        days: fc.integer({ min: 0, max: 9 }),
        conditions: fc.constant<string[]>(["heat"]),
        changes: fc.array(change, { maxLength: 3 }),
      },
      { requiredKeys: ["on", "kind"] },
    );
    fc.assert(
      fc.property(fc.array(event, { maxLength: 6 }), (list) => {
        const events = list.map((e, i) => ({ id: `e${i}`, ...e }));
        expect(parseEvents(writeEvents(events))).to.deep.equal({ ok: true, value: events });
      }),
    );
    expect(parseEvents(writeEvents(YEAR_EVENTS))).to.deep.equal({ ok: true, value: YEAR_EVENTS });
  });

  it("says what is wrong and takes nothing", () => {
    expect(parseEvents("what,when\n1,2\n").ok).to.equal(false);
    expect(parseEvents("id,on,kind\n1,2026-02-30,used\n").ok).to.equal(false);
    expect(parseEvents("id,on,kind,pieces,line\n1,2026-02-20,counted,-1,a\n").ok).to.equal(false);
    expect(parseEvents("id,on,kind,more\n1,2026-02-20,used,{\n").ok).to.equal(false);
  });
});

describe("the demo's year", () => {
  const file = {
    ...auditFile([], []),
    brief: YEAR_BRIEF,
    houseRules: { duplicates: "lean" as const },
    list: WORKSHOP_CREW,
    kit: { name: "Fennel Lane Shed Box", claims: {}, lines: [...YEAR_LINES] },
    events: [...YEAR_EVENTS],
  };

  it("is a right file, and tells of two times it was not ready and of what is to be put back", () => {
    const parsed = parseAudit(JSON.parse(JSON.stringify(file)), CATALOGUE);
    expect(parsed.ok ? [] : parsed.problems).to.deep.equal([]);
    const r = readinessOf(file, "2026-11-26", CATALOGUE);
    const notReady = r.steps.filter((s) => s.grade !== "Ready").map((s) => s.from);
    expect(notReady[0]).to.equal("2026-02-01");
    expect(r.longestNotReady).to.deep.equal({ from: "2026-08-10", to: "2026-08-23", need: "eyes" });
    // 13 days in February, 14 in August, 9 since gloves were missing, of 357 from 5 December to 26 November.
    expect(r.readyShare).to.be.closeTo((357 - 36) / 357, 1e-9);
    const replayed = replay(file.kit.lines, file.events);
    expect(replayed.problems).to.deep.equal([]);
    const missing = deficitsOf(replayed, "2026-11-26").map((d) => `${d.line} ${d.pieces} ${d.why}`);
    expect(missing).to.include("y5 3 unexplained");
    expect(missing).to.include("y14 13 used");
    const report = JSON.stringify(logBlocks(file, "2026-11-26", CATALOGUE));
    expect(report).to.contain("Ready on 321 of 357 days");
    expect(report).to.contain("Seal 0622, whole");
    expect(logBlocks({ ...file, events: [] }, "2026-11-26", CATALOGUE)).to.deep.equal([]);
  });

  it("refuses an event that names a point or a kind nobody knows", () => {
    const wrong = (facts: object) =>
      parseAudit(
        {
          ...file,
          events: [
            { id: "e", on: "2026-01-01", kind: "checked", changes: [{ line: "y1", facts }] },
          ],
        },
        CATALOGUE,
      ).ok;
    expect(wrong({ failedPoints: ["no-such-point"] })).to.equal(false);
    expect(wrong({ itemType: "no-such-kind" })).to.equal(false);
    expect(wrong({ itemType: null })).to.equal(true);
  });

  it("assumes what the brief makes of the shipped figures, and no more than a hundred incidents per 1,000 days to begin with", () => {
    const plain = ratesByCategory(
      assumptionsFor({ ...YEAR_BRIEF, activities: [] }, INCIDENT_KINDS),
    );
    const sum = [...plain.values()].reduce((s, r) => s + r, 0);
    expect(sum).to.be.within(0.05, 0.1);
    const sawn = ratesByCategory(
      assumptionsFor({ ...YEAR_BRIEF, activities: ["saws"] }, INCIDENT_KINDS),
    );
    // 0.05 per 1,000 person-days, six times as likely with saws.
    expect(sawn.get("severe-bleeding")).to.be.closeTo(0.0003, 1e-9);
    for (const k of INCIDENT_KINDS) {
      expect(k.rate[0], k.id).to.be.lessThan(k.rate[1]);
      expect(k.rate[1], k.id).to.be.lessThan(k.rate[2]);
      for (const a of k.asks)
        expect(CATALOGUE.functions.has(a.function), a.function).to.equal(true);
    }
  });
});
