import { expect } from "chai";
import fc from "fast-check";
import { audit } from "../../src/lib/core/audit/audit.ts";
import { kitOnDay, kitToday } from "../../src/lib/core/events/kitOnDay.ts";
import { inOrder } from "../../src/lib/core/events/order.ts";
import { replay } from "../../src/lib/core/events/replay.ts";
import { parseAudit } from "../../src/lib/core/formats/auditFile.ts";
import { readImport } from "../../src/lib/core/formats/importFile.ts";
import { logResult } from "../../src/lib/core/formats/logResult.ts";
import { deficitsOf, putBackOf } from "../../src/lib/core/log/deficits.ts";
import { canonical, hash8 } from "../../src/lib/core/base/canonical.ts";
import { mergeEvents, mergeLogs } from "../../src/lib/core/log/merge.ts";
import { areHalves, moveBetween } from "../../src/lib/core/log/moveBetween.ts";
import { readinessOf } from "../../src/lib/core/log/readiness.ts";
import type { AuditFile } from "../../src/lib/core/model/auditFile.ts";
import type { KitEvent } from "../../src/lib/core/model/event.ts";
import type { Line } from "../../src/lib/core/model/kit.ts";
import { wholeFileOf } from "../../src/lib/core/records/auditOf.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { PRICE_BOOK } from "../../src/lib/data/priceBook.ts";
import { logProblemText } from "../../src/lib/words/logProblems.ts";
import { auditFile, need } from "./build.ts";

const PLASTERS: Line = {
  id: "p",
  itemType: "adhesive-strip",
  counted: 10,
  condition: "sound",
  expires: "none",
  location: "outside",
};
const TAPE: Line = { id: "t", itemType: "medical-tape", counted: 2, condition: "sound" };
const event = (id: string, on: string, rest: Partial<KitEvent>): KitEvent => ({
  id,
  on,
  kind: "used",
  ...rest,
});
const used = (id: string, on: string, line: string, pieces: number, rest: Partial<KitEvent> = {}) =>
  event(id, on, { changes: [{ line, pieces }], ...rest });
const counts = (lines: readonly Line[]) =>
  Object.fromEntries(lines.map((l) => [l.id, l.counted ?? l.claimed]));
const after = (events: readonly KitEvent[], until?: string, first: Line[] = [PLASTERS, TAPE]) =>
  replay(first, events, until);

describe("a kit after its events", () => {
  it("4 used of 10, 2 put back, then counted 7: 6, 8, 7", () => {
    const events = [
      used("e1", "2026-09-01", "p", 4),
      used("e2", "2026-10-01", "p", 2, { kind: "put-back" }),
      used("e3", "2026-11-01", "p", 7, { kind: "counted" }),
    ];
    const on = (day: string) => counts(after(events, day).lines)["p"];
    expect([on("2026-08-31"), on("2026-09-01"), on("2026-10-02"), on("2026-11-02")]).to.deep.equal([
      10, 6, 8, 7,
    ]);
  });
  it("never has less than nothing: what more was taken is said", () => {
    const { lines, problems } = after([used("e", "2026-09-01", "p", 40)]);
    expect(counts(lines)["p"]).to.equal(0);
    expect(problems).to.deep.equal([{ event: "e", line: "p", what: "more-taken-than-there" }]);
  });
  it("an event for a line that is gone is kept and said", () =>
    expect(after([used("e", "2026-09-01", "gone", 1)]).problems).to.deep.equal([
      { event: "e", line: "gone", what: "no-such-line" },
    ]));
  it("undoing an event is leaving it out", () => {
    const first = used("e1", "2026-09-01", "p", 4);
    const undone = event("e2", "2026-09-02", { kind: "undone", of: "e1" });
    expect(after([first, undone]).lines).to.deep.equal(after([]).lines);
  });
  it("on one day what comes in comes before what goes out, and a count after both", () => {
    const events = [
      used("c", "2026-09-01", "p", 9, { kind: "counted" }),
      used("b", "2026-09-01", "p", 12),
      used("a", "2026-09-01", "p", 5, { kind: "put-back" }),
    ];
    expect(inOrder(events).map((e) => e.id)).to.deep.equal(["a", "b", "c"]);
    // 10 + 5 − 12 = 3, nothing taken too much; then counted 9.
    const { lines, problems } = after(events);
    expect([counts(lines)["p"], problems]).to.deep.equal([9, []]);
  });
  it("a time of day comes before the end of it", () =>
    expect(
      inOrder([
        used("late", "2026-09-01", "p", 1),
        used("early", "2026-09-01", "p", 1, { time: "08:00" }),
      ]).map((e) => e.id),
    ).to.deep.equal(["early", "late"]));
  it("a piece opened lies apart: 0.3 of a roll leaves one closed and 0.7 opened that day", () => {
    const e = event("e", "2026-09-01", { changes: [{ line: "t", pieces: 0.3, opened: true }] });
    const { lines } = after([e]);
    expect(lines.find((l) => l.id === "t")!.counted).to.equal(1);
    const opened = lines.find((l) => l.id === "t+e")!;
    expect([opened.counted, opened.opened]).to.deep.equal([0.7, "2026-09-01"]);
    // The next use takes from the roll that is open.
    const next = after([e, used("f", "2026-09-02", "t", 0.5)]).lines;
    expect(next.find((l) => l.id === "t")!.counted).to.equal(1);
    expect(next.find((l) => l.id === "t+e")!.counted).to.be.closeTo(0.2, 1e-9);
  });
  it("put back with another date lies apart, and what runs out first is taken first", () => {
    const first = [{ ...PLASTERS, expires: "2029-05" }];
    const put = event("n", "2026-09-01", {
      kind: "put-back",
      changes: [{ line: "p", pieces: 5, expires: "2027-01", lot: "B7" }],
    });
    const { lines } = after([put, used("u", "2026-09-02", "p", 6)], undefined, first);
    expect(counts(lines)).to.deep.equal({ p: 9, "p+n": 0 });
    expect(lines.find((l) => l.id === "p+n")!.lot).to.equal("B7");
  });
  it("a recall fails every line of its kind and lot, and no other", () => {
    const first = [
      { ...PLASTERS, lot: "A1" },
      { ...PLASTERS, id: "q", lot: "B2" },
    ];
    const recall = event("r", "2026-09-01", {
      kind: "recalled",
      itemType: "adhesive-strip",
      lot: "A1",
    });
    expect(after([recall], undefined, first).lines.map((l) => l.condition)).to.deep.equal([
      "failed",
      "sound",
    ]);
  });
  it("what was mended no longer fails, point by point", () => {
    const first = [{ ...PLASTERS, failedPoints: ["a", "b"] }];
    const mend = event("m", "2026-09-01", {
      kind: "maintained",
      changes: [{ line: "p", points: ["a"] }],
    });
    expect(after([mend], undefined, first).lines[0]!.failedPoints).to.deep.equal(["b"]);
  });
  it("a plan carried out brings its lines, drops others, and both should be so from then on", () => {
    const done = event("d", "2026-09-01", {
      kind: "plan-done",
      dropped: ["t"],
      lines: [{ line: "w", itemType: "whistle", pieces: 1 }],
    });
    const { lines, par } = after([done]);
    expect(counts(lines)).to.deep.equal({ p: 10, w: 1 });
    expect(Object.fromEntries(par)).to.deep.equal({ p: 10, w: 1 });
  });
  it("of two counts on one day the lower holds, whichever comes first", () => {
    const a = used("a", "2026-09-01", "p", 8, { kind: "counted" });
    const b = used("b", "2026-09-01", "p", 6, { kind: "counted" });
    for (const events of [
      [a, b],
      [b, a],
    ]) {
      const { lines, problems } = after(events);
      expect(counts(lines)["p"]).to.equal(6);
      expect(problems).to.deep.equal([{ event: "b", line: "p", what: "two-counts" }]);
    }
  });

  const anyEvent = fc.record({
    id: fc.stringMatching(/^[a-z]{6}$/),
    on: fc.constantFrom("2026-09-01", "2026-09-02", "2026-10-01"),
    kind: fc.constantFrom("used", "put-back", "counted", "moved", "checked") as fc.Arbitrary<
      KitEvent["kind"]
    >,
    changes: fc.array(
      fc.record({
        line: fc.constantFrom("p", "t", "gone"),
        pieces: fc.integer({ min: 0, max: 15 }),
      }),
      { maxLength: 3 },
    ),
  });
  const log = fc.uniqueArray(anyEvent, { selector: (e) => e.id, maxLength: 14 });

  it("is the same whatever order the events come in, and never below nothing", () =>
    fc.assert(
      fc.property(
        log.chain((events) =>
          fc.tuple(fc.constant(events), fc.shuffledSubarray(events, { minLength: events.length })),
        ),
        ([events, shuffled]) => {
          const one = after(events);
          expect(after(shuffled)).to.deep.equal(one);
          for (const l of one.lines) expect(l.counted ?? 0).to.be.at.least(0);
        },
      ),
    ));
  it("events of one line leave every other as it was", () =>
    fc.assert(
      fc.property(log, (events) => {
        const own = events.map((e) => ({ ...e, changes: e.changes.filter((c) => c.line === "p") }));
        expect(counts(after(events).lines)["p"]).to.equal(counts(after(own).lines)["p"]);
      }),
    ));
  it("merging is commutative, associative, idempotent; a merged log replays as its union", () =>
    fc.assert(
      fc.property(log, log, log, (a, b, c) => {
        const m = (x: readonly KitEvent[], y: readonly KitEvent[]) => mergeEvents(x, y).events;
        expect(canonical(m(a, b))).to.equal(canonical(m(b, a)));
        expect(canonical(m(m(a, b), c))).to.equal(canonical(m(a, m(b, c))));
        expect(canonical(m(m(a, b), b))).to.equal(canonical(m(a, b)));
      }),
    ));
});

describe("two logs of one kit", () => {
  const file = (events: KitEvent[], lines: Line[] = [PLASTERS]): AuditFile => ({
    ...auditFile([], lines),
    events,
  });
  it("of two contents under one id the canonically smaller holds, the other is kept beside it", () => {
    const four = used("e", "2026-09-01", "p", 4);
    const three = used("e", "2026-09-01", "p", 3);
    const merged = mergeLogs(file([four]), file([three]))!;
    expect(merged.problems).to.deep.equal([{ event: "e", what: "other-content" }]);
    expect(merged.file.events!.map((e) => e.id)).to.deep.equal([
      "e",
      `e~${hash8(canonical(four))}`,
    ]);
    // Only the one that holds takes anything: 3, not 3 + 4.
    expect(counts(kitToday(merged.file, "2026-11-25", CATALOGUE).kit.lines)["p"]).to.equal(7);
  });
  it("another first state is said, and a file without a line in common refused", () => {
    const other = file([], [{ ...PLASTERS, counted: 9 }]);
    expect(mergeLogs(file([]), other)!.problems).to.deep.equal([
      { event: "", line: "p", what: "another-first-state" },
    ]);
    expect(mergeLogs(file([]), file([], [TAPE]))).to.equal(null);
  });
  it("the hash has its published values", () => {
    expect([hash8(""), hash8("a"), hash8("foobar")]).to.deep.equal([
      "811c9dc5",
      "e40c292c",
      "bf9cf968",
    ]);
  });
});

describe("what is to be put back", () => {
  it("lacks what was used less what came back, since the first loss, for the last reason", () => {
    const replayed = after([
      used("e1", "2026-09-01", "p", 4),
      used("e2", "2026-09-05", "p", 1, { kind: "put-back" }),
      used("e3", "2026-10-01", "p", 2, { what: "lent" }),
    ]);
    expect(deficitsOf(replayed, "2026-11-01")).to.deep.equal([
      { line: "p", itemType: "adhesive-strip", pieces: 5, since: "2026-09-01", why: "lent" },
    ]);
  });
  it("a line past its date lacks all of its pieces since that day", () => {
    const replayed = after([], undefined, [{ ...PLASTERS, expires: "2026-10" }]);
    expect(deficitsOf(replayed, "2026-10-31")).to.deep.equal([]);
    expect(deficitsOf(replayed, "2026-11-01")).to.deep.equal([
      { line: "p", itemType: "adhesive-strip", pieces: 10, since: "2026-10-31", why: "past-date" },
    ]);
  });
  it("whole packs of what makes up the pieces for least", () => {
    const product = (id: string, pack: number, amount: number) => ({
      id,
      title: id,
      itemType: "adhesive-strip",
      pack,
      price: { amount, currency: "EUR" },
    });
    const book = {
      id: "b",
      title: "b",
      currency: "EUR",
      products: [product("small", 4, 1.1), product("large", 20, 2.5), product("huge", 100, 2)],
    };
    const of = (pieces: number, products = book.products) =>
      putBackOf(
        [{ line: "p", itemType: "adhesive-strip", pieces, since: "2026-09-01", why: "used" }],
        {
          ...book,
          products,
        },
      )[0];
    // 4 pieces: one small pack; 5: two small ones would be 2.20, a huge one is 2.00.
    expect(of(4)).to.include({ product: "small", packs: 1, price: 1.1 });
    expect(of(5)).to.include({ product: "huge", packs: 1, price: 2 });
    expect(of(5, [])).to.deep.equal({ itemType: "adhesive-strip", pieces: 5, packs: 0, price: 0 });
  });
});

describe("readiness from day to day", () => {
  const events = [
    used("e1", "2026-09-01", "p", 8),
    used("e2", "2026-09-11", "p", 8, { kind: "put-back" }),
  ];
  const file: AuditFile = {
    ...auditFile([need("n", "small-wound-cover", { quantity: { base: 10 } })], [PLASTERS]),
    events,
  };
  it("changes with its events: ten days not Ready of twenty, and which need kept it", () => {
    const r = readinessOf(file, "2026-09-20", CATALOGUE);
    expect(r.steps.map((s) => [s.from, s.grade])).to.deep.equal([
      ["2026-09-01", "Not ready"],
      ["2026-09-11", "Ready"],
    ]);
    expect(r.readyShare).to.equal(0.5);
    expect(r.longestNotReady).to.include({ from: "2026-09-01", to: "2026-09-10" });
  });
  it("any day can be asked for, with the outing on that day", () => {
    const met = (day: string) =>
      audit(kitOnDay(file, day, CATALOGUE), day, CATALOGUE).needs[0]!.met;
    expect([met("2026-08-31"), met("2026-09-05"), met("2026-09-12")]).to.deep.equal([1, 0.2, 1]);
  });
  it("is given with deficits and problems; an event in the future is flagged", () => {
    const later = { ...file, events: [...events, used("z", "2030-01-01", "p", 1)] };
    const result = logResult(later, "2026-09-20", PRICE_BOOK, CATALOGUE, logProblemText);
    expect(result.problems).to.deep.equal([{ event: "z", what: "lies in the future" }]);
    expect(result.deficits.map((d) => d.pieces)).to.deep.equal([1]);
  });
});

describe("a log goes with its kit", () => {
  it("in with an audit file, out with it again, and a foreign kind of thing is refused", () => {
    const file = { ...auditFile([], [PLASTERS]), events: [used("e", "2026-09-01", "p", 4)] };
    const read = readImport(JSON.stringify(file), () => "k", CATALOGUE);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const kit = read.value.records.find((r) => r.kind === "kit")!;
    const brief = read.value.records.find((r) => r.kind === "brief")!;
    if (kit.kind !== "kit" || brief.kind !== "brief") throw new Error("no kit");
    expect(wholeFileOf(kit, brief.brief, []).events).to.deep.equal(file.events);
    const foreign = {
      ...file,
      events: [
        event("x", "2026-09-01", {
          kind: "put-back",
          changes: [{ line: "n", itemType: "zonk", pieces: 1 }],
        }),
      ],
    };
    expect(parseAudit(foreign, CATALOGUE).ok).to.equal(false);
  });
  it("10,000 events are replayed in one pass", () => {
    const many = Array.from({ length: 10_000 }, (_, i) =>
      used(`e${i}`, "2026-09-01", "p", 1, i % 2 ? {} : { kind: "put-back" }),
    );
    expect(counts(after(many).lines)["p"]).to.equal(10);
  });
});

describe("moved into another kit", () => {
  const line = (id: string, counted: number, rest: Partial<Line> = {}): Line => ({
    id,
    itemType: "adhesive-strip",
    counted,
    ...rest,
  });
  const moved = (from: Line, pieces: number, there: readonly Line[]) => {
    const { out, into } = moveBetween(from, pieces, there, "new");
    const on = "2026-03-01";
    return {
      here: replay([from], [event("m", on, { kind: "moved", to: "B", changes: [out] })]).lines,
      there: replay(there, [event("m", on, { kind: "moved", from: "A", changes: [into] })]).lines,
    };
  };
  it("onto the same thing with the same date; another date or lot makes a part of its own", () => {
    const dated = line("a", 5, { expires: "2028-01", lot: "K1" });
    expect(
      counts(moved(dated, 2, [line("b", 3, { expires: "2028-01", lot: "K1" })]).there),
    ).to.deep.equal({ b: 5 });
    const split = moved(dated, 2, [line("b", 3, { expires: "2027-01" })]).there;
    expect(counts(split)).to.deep.equal({ b: 3, "b+m": 2 });
    expect(split[1]).to.include({ expires: "2028-01", lot: "K1" });
  });
  it("what is another size, open, failed or in no catalogue becomes a line with what was found on it", () => {
    const there = [line("b", 3)];
    for (const own of [
      line("a", 5, { sizeMm: [50, 72] }),
      line("a", 5, { opened: "2026-01-02" }),
      line("a", 5, { failedPoints: ["sticks"] }),
      line("a", 5, { itemType: null, text: "a whistle" }),
    ]) {
      const [, came] = moved({ ...own, location: "outside", reachS: 4 }, 2, there).there;
      expect(came).to.include({ id: "new", counted: 2, itemType: own.itemType, byHand: true });
      expect(came!.failedPoints).to.deep.equal(own.failedPoints);
      expect(came!.opened).to.equal(own.opened);
      expect(came).to.not.have.any.keys("location", "reachS");
    }
  });
  it("never more than are there, and nothing is lost or made on the way", () => {
    const some = fc.record({ counted: fc.integer({ min: 0, max: 9 }), n: fc.nat({ max: 12 }) });
    fc.assert(
      fc.property(some, fc.nat({ max: 9 }), fc.boolean(), ({ counted, n }, there, dated) => {
        const from = line("a", counted, dated ? { expires: "2028-01" } : {});
        const after = moved(from, n, [line("b", there)]);
        const sum = [...after.here, ...after.there].reduce((s, l) => s + l.counted!, 0);
        expect(sum).to.equal(counted + there);
        expect(after.here[0]!.counted).to.equal(Math.max(0, counted - n));
      }),
    );
  });
  it("two halves share an id and differ; a copy of the kit has the same half", () => {
    const out = event("m", "2026-03-01", { kind: "moved", to: "B" });
    expect(areHalves(out, event("m", "2026-03-01", { kind: "moved", from: "A" }))).to.equal(true);
    expect(areHalves(out, event("m", "2026-03-01", { kind: "put-back" }))).to.equal(true);
    expect(areHalves(out, { ...out })).to.equal(false);
  });
});
