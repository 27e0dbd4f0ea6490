import { problemText } from "../../src/lib/words/problems.ts";
import { expect } from "chai";
import fc from "fast-check";
import { paddingOf } from "../../src/lib/core/count/padding.ts";
import { mergeLines, takeScan } from "../../src/lib/core/count/scanned.ts";
import { weighCount } from "../../src/lib/core/count/weighCount.ts";
import { checkDigit, parseGs1, writeGs1 } from "../../src/lib/core/count/gs1.ts";
import { parseScaleLine, readScaleStream, type ScaleEvent } from "../../src/lib/devices/scale.ts";
import { wedge, withoutDoubles } from "../../src/lib/devices/scanner.ts";
import { LINES_A_SECOND, scaleLineAt } from "../../src/lib/server/simulatedScale.ts";
import { auditOf, good, need } from "./build.ts";

const GS = "\u001d";

describe("GS1 element strings", () => {
  const facts = (text: string) => {
    const r = parseGs1(text);
    return r.ok ? r.value : `! ${r.problems[0]!.where} ${problemText(r.problems[0]!)}`;
  };
  it("the check digit: 629104150021 has 3 (3·(1+0+5+4+1+2) + (2+0+1+0+9+6) = 57, to 60)", () =>
    expect(checkDigit("629104150021")).to.equal(3));
  it("are read in bracket form and with FNC1", () => {
    const expected = { gtin: "06291041500213", expires: "2027-05-31", lot: "A12", count: 5 };
    expect(facts("(01)06291041500213(17)270500(10)A12(30)5")).to.deep.equal(expected);
    expect(facts(`]C1010629104150021317270500${"10A12"}${GS}305`)).to.deep.equal(expected);
    expect(facts("6291041500213")).to.deep.equal({ gtin: "06291041500213" });
  });
  it("day 00 is the last of the month, in a leap year too", () => {
    expect(facts("(17)280200")).to.deep.equal({ expires: "2028-02-29" });
    expect(facts("(17)270200")).to.deep.equal({ expires: "2027-02-28" });
  });
  it("a wrong check digit, a date that does not exist, a cut-off field are refused with where and why", () => {
    expect(facts("(01)06291041500214")).to.equal(
      "! (01) check digit is 4, should be 3: scan again",
    );
    expect(facts("(17)271301")).to.match(/! \(17\) .*not a date/);
    expect(facts("(17)270230")).to.match(/! \(17\) .*not a date/);
    expect(facts("17270531010629104150")).to.match(/! \(01\) is cut short/);
    expect(facts("zzz")).to.match(/no application identifier/);
    expect(facts("(01)06291041500213 rubbish (")).to.match(/!/);
  });
  it("come back as they were written, in both forms", () => {
    const digits = fc
      .array(fc.integer({ min: 0, max: 9 }), { minLength: 13, maxLength: 13 })
      .map((d) => d.join(""));
    const lot = fc
      .array(fc.constantFrom(..."ABC123-/"), { minLength: 1, maxLength: 20 })
      .map((c) => c.join(""));
    const day = fc
      .date({ min: new Date("2024-01-01"), max: new Date("2049-12-31"), noInvalidDate: true })
      .map((d) => d.toISOString().slice(0, 10));
    fc.assert(
      fc.property(
        digits,
        day,
        lot,
        fc.integer({ min: 1, max: 99_999_999 }),
        fc.constantFrom("brackets" as const, "fnc1" as const),
        (d, expires, l, count, form) => {
          const written = { gtin: d + checkDigit(d), expires, lot: l, count };
          expect(facts(writeGs1(written, form))).to.deep.equal(written);
        },
      ),
      { numRuns: 200, seed: 9 },
    );
  });
  it("never throw, whatever is scanned", () =>
    fc.assert(
      fc.property(fc.string(), (t) => void parseGs1(t)),
      { numRuns: 300, seed: 10 },
    ));
});

describe("a scan at the bench", () => {
  const scan = { gtin: "06291041500213", expires: "2027-05-31", lot: "A" };
  const known = { gtin: scan.gtin, itemType: "gauze-pad", text: "Sterile gauze pad" };
  it("names the claimed line of its kind, then counts on", () => {
    const first = takeScan(
      [{ id: "L1", itemType: "gauze-pad", claimed: 5 }],
      { ...scan, count: 5 },
      known,
      "L2",
    );
    expect(first.lines).to.deep.equal([
      { id: "L1", itemType: "gauze-pad", claimed: 5, counted: 5, ...scan },
    ]);
    const second = takeScan(first.lines, scan, known, "L2");
    expect(second.lines[0]!.counted).to.equal(6);
  });
  it("keeps another date apart, and leaves an unknown code to be named", () => {
    const first = takeScan([], scan, known, "L1");
    const later = takeScan(first.lines, { ...scan, expires: "2028-01-31" }, known, "L2");
    expect(later.lines.map((l) => l.expires)).to.deep.equal(["2027-05-31", "2028-01-31"]);
    expect(takeScan([], scan, undefined, "L1").lines[0]).to.include({ itemType: null, counted: 1 });
  });
  it("two lines as one: numbers add up; not counted on one side is not counted", () => {
    expect(
      mergeLines(
        { id: "a", itemType: "x", claimed: 2, counted: 1 },
        { id: "b", itemType: "x", claimed: 3, counted: 3 },
      ),
    ).to.include({ id: "a", claimed: 5, counted: 4 });
    const half = mergeLines(
      { id: "a", itemType: "x", claimed: 2, counted: 1 },
      { id: "b", itemType: "x", claimed: 3 },
    );
    expect(half.claimed).to.equal(5);
    expect(half).to.not.have.property("counted");
  });
});

describe("counting by weight", () => {
  it("tells a count that the spread allows: ten of 25 g, all 300 g, are 12", () => {
    const r = weighCount({ known: [{ pieces: 10, grams: 250 }], allGrams: 300, scaleErrorG: 0.2 });
    // variance 12·0.03² + 12²·(0.03²/10 + (0.2/250)²) + (0.2/25)² = 0.0239; half 2·0.155 = 0.31
    expect(r).to.deep.include({ ok: true, count: 12, pieceG: 25 });
  });
  it("refuses when the spread is too wide to tell: ten of 2 g, all 200 g, are 93 to 107 wide", () => {
    const r = weighCount({ known: [{ pieces: 10, grams: 20 }], allGrams: 200, scaleErrorG: 0.2 });
    // variance 100·0.0009 + 10 000·(0.00009 + (0.2/20)²) + 0.01 = 0.09 + 1.9 + 0.01 = 2; half 2.83
    expect(r).to.deep.include({ ok: false, why: "too-wide", low: 98, high: 102 });
  });
  it("sees a spread in several weighings", () => {
    const even = [1, 2, 3].map(() => ({ pieces: 1, grams: 25 }));
    const uneven = [
      { pieces: 1, grams: 20 },
      { pieces: 1, grams: 25 },
      { pieces: 1, grams: 30 },
    ];
    expect(weighCount({ known: even, allGrams: 100, scaleErrorG: 0.1 }).ok).to.equal(true);
    expect(weighCount({ known: uneven, allGrams: 100, scaleErrorG: 0.1 })).to.deep.include({
      ok: false,
      why: "too-wide",
    });
  });
  it("wants something known, and nothing lighter than the scale can tell", () => {
    expect(weighCount({ known: [], allGrams: 10, scaleErrorG: 0.1 })).to.deep.include({
      ok: false,
      why: "nothing-known",
    });
    expect(
      weighCount({ known: [{ pieces: 10, grams: 1 }], allGrams: 10, scaleErrorG: 0.1 }),
    ).to.deep.include({ ok: false, why: "too-light" });
  });
});

describe("padding", () => {
  it("is the share of small plasters, of wipes, and of what nothing asks for", () => {
    const a = auditOf(
      [need("c", "small-wound-cover")],
      [good("p", "adhesive-strip", 60), good("w", "alcohol-pad", 30), good("k", "compass", 10)],
    );
    expect(paddingOf(a)).to.deep.equal({
      smallPlasters: 0.6,
      wipes: 0.3,
      serveNothing: 0.4,
      pieces: 100,
    });
  });
});

describe("the lines of a scale", () => {
  const grams = (line: string) => {
    const e = parseScaleLine(line);
    return e?.is === "reading" ? [e.reading.grams, e.reading.steady] : e?.is;
  };
  it("are read as the common continuous formats write them", () => {
    expect(grams("ST,GS,+  84.2 g")).to.deep.equal([84.2, true]);
    expect(grams("US,NT,-0012.5 g")).to.deep.equal([-12.5, false]);
    expect(grams("S S      84.20 g")).to.deep.equal([84.2, true]);
    expect(grams("S D      84.1 g")).to.deep.equal([84.1, false]);
    expect(grams("+1,25 kg")).to.deep.equal([1250, true]);
    expect(grams("2 oz")).to.deep.equal([56.69904625, true]);
  });
  it("overload is no weight, rubbish is no weight, an empty line is nothing", () => {
    expect([
      grams("OL"),
      grams("ST,OL"),
      grams("S +"),
      grams("hello"),
      grams("12"),
      grams(""),
      grams("x".repeat(500)),
    ]).to.deep.equal([
      "overload",
      "overload",
      "overload",
      "rubbish",
      "rubbish",
      undefined,
      "rubbish",
    ]);
  });
  it("never throw on noise, and never make a weight of it", () =>
    fc.assert(
      fc.property(fc.string({ unit: "binary" }), (t) => {
        const e = parseScaleLine(t);
        if (e?.is === "reading") expect(t).to.match(/\d.*(?:g|oz|lb)/i);
      }),
      { numRuns: 300, seed: 4 },
    ));
  it("are put together from a stream however it is cut, and the end is told", async () => {
    const bytes = new TextEncoder().encode("ST,GS,+ 10.0 g\r\n\u0007garbage\r\nST,GS,+ 11.0 g\r\n");
    const stream = new ReadableStream<Uint8Array>({
      start(c) {
        for (const b of bytes) c.enqueue(Uint8Array.of(b));
        c.close();
      },
    });
    const events: ScaleEvent[] = [];
    await readScaleStream(stream, (e) => events.push(e), new AbortController().signal);
    expect(events.map((e) => e.is)).to.deep.equal(["reading", "rubbish", "reading", "gone"]);
  });
  it("the simulated scale swings in, settles, drifts, subtracts the tare and says OL above its range", () => {
    const at = (s: number, load = 84.2, tare = 0) =>
      parseScaleLine(scaleLineAt({ load, tare, seed: 1 }, s));
    const g = (e: ScaleEvent | null) => (e?.is === "reading" ? e.reading : null)!;
    expect(g(at(0)).grams).to.be.lessThan(1);
    expect(g(at(0.4)).steady).to.equal(false);
    expect(g(at(2)).steady).to.equal(true);
    expect(g(at(2)).grams).to.be.closeTo(84.2, 0.15);
    expect(g(at(2, 84.2, 80)).grams).to.be.closeTo(4.2, 0.15);
    expect(g(at(50)).grams).to.be.greaterThan(84.2);
    expect(at(2, 5000)!.is).to.equal("overload");
    expect(scaleLineAt({ load: 5, tare: 0, seed: 3 }, 1)).to.equal(
      scaleLineAt({ load: 5, tare: 0, seed: 3 }, 1),
    );
    expect(LINES_A_SECOND).to.equal(10);
  });
});

describe("a scanner that types", () => {
  it("is told from a hand by its speed, and takes FNC1 as wedges send it", () => {
    const scans: string[] = [];
    let now = 0;
    const w = wedge((t) => scans.push(t));
    const press = (key: string, ctrlKey = false) => w.key({ key, ctrlKey, timeStamp: now });
    const type = (text: string, ms: number) => {
      for (const key of text) {
        now += ms;
        press(key);
      }
    };
    type("hello there", 120);
    now += 10;
    expect(press("Enter")).to.equal(false);
    now += 1000;
    type("10A1", 5);
    now += 5;
    press("]", true);
    type("305", 5);
    now += 5;
    expect(press("Enter")).to.equal(true);
    expect(scans).to.deep.equal([`10A1${GS}305`]);
  });
  it("a code read twice in one go is one scan; later it is another", () => {
    const scans: string[] = [];
    let now = 0;
    const take = withoutDoubles(
      (t) => scans.push(t),
      () => now,
    );
    take("a");
    now = 300;
    take("a");
    take("b");
    now = 5000;
    take("b");
    expect(scans).to.deep.equal(["a", "b", "b"]);
  });
});
