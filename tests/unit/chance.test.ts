import { expect } from "chai";
import fc from "fast-check";
import { assumptionsFor } from "../../src/lib/core/chance/assumptions.ts";
import { countAt, cumulativeCounts } from "../../src/lib/core/chance/counts.ts";
import { HIGH, LOW, modelOf, type Model } from "../../src/lib/core/chance/model.ts";
import { oneMore } from "../../src/lib/core/chance/oneMore.ts";
import { addTally, playAll } from "../../src/lib/core/chance/play.ts";
import { Random } from "../../src/lib/core/chance/random.ts";
import { rareChances } from "../../src/lib/core/chance/rare.ts";
import { playerOf, simulate, simulationOf } from "../../src/lib/core/chance/simulate.ts";
import { tornado } from "../../src/lib/core/chance/tornado.ts";
import { parseIncidents, writeIncidents } from "../../src/lib/core/formats/incidentTable.ts";
import { parseAudit } from "../../src/lib/core/formats/auditFile.ts";
import { simulated } from "../../src/lib/core/formats/simulateResult.ts";
import type { AuditFile } from "../../src/lib/core/model/auditFile.ts";
import type { IncidentKind, Incidents } from "../../src/lib/core/model/incident.ts";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import { INCIDENT_KINDS } from "../../src/lib/data/incidents.ts";
import { GROUP_LEADER } from "../../src/lib/data/lists/groupLeader.ts";
import { PRICE_BOOK } from "../../src/lib/data/priceBook.ts";
import { auditFile, good, need, TODAY } from "./build.ts";
import { plainOuting } from "./chancePlain.ts";

const cut = (more: Partial<IncidentKind> = {}): IncidentKind => ({
  id: "cut",
  category: "everyday-wounds",
  per1000: 25,
  asks: [{ function: "small-wound-cover", units: [[1, 1]] }],
  ...more,
});
const party = (people: number, days: number, hoursToCare = 1) => ({
  brief: { people, days, hoursToCare, start: "2027-01-10" },
});
const plasters = (counted: number, of: ReturnType<typeof party>, tier: "core" | "vital" = "core") =>
  auditFile(
    [need("n", "small-wound-cover", { tier })],
    [good("p", "adhesive-strip", counted, { latexFree: true })],
    of,
  );
const model = (file: AuditFile, ...kinds: IncidentKind[]): Model =>
  modelOf(file, { kinds }, TODAY, CATALOGUE);

describe("chance: its random numbers and counts", () => {
  it("xoshiro128** from state 1, 2, 3, 4 gives the numbers of its reference", () => {
    const r = new Random().set(1, 2, 3, 4);
    expect([r.bits(), r.bits(), r.bits(), r.bits()]).to.deep.equal([11520, 0, 5927040, 70819200]);
  });

  it("an outing's stream depends on seed and number, and is even", () => {
    const first = (seed: number, i: number) => new Random().begin(seed, i).next();
    expect(first(1, 5)).to.equal(first(1, 5));
    expect(first(1, 5)).to.not.equal(first(1, 6));
    expect(first(1, 5)).to.not.equal(first(2, 5));
    // The mean of 20,000 first numbers: 0.5 ± 5 standard errors of 0.00204.
    let sum = 0;
    for (let i = 0; i < 20_000; i++) sum += first(9, i);
    expect(sum / 20_000).to.be.closeTo(0.5, 0.0103);
  });

  it("counts are Poisson without spread; with spread 1 and mean 1 half, a quarter, an eighth …", () => {
    const poisson = cumulativeCounts(1, 0);
    expect(poisson[0]).to.be.closeTo(Math.exp(-1), 1e-12);
    expect(poisson[2]! - poisson[1]!).to.be.closeTo(Math.exp(-1) / 2, 1e-12);
    const spread = cumulativeCounts(1, 1);
    expect([spread[0], spread[1], spread[2]]).to.deep.equal([0.5, 0.75, 0.875]);
    expect([
      countAt(spread, 0),
      countAt(spread, 0.49),
      countAt(spread, 0.5),
      countAt(spread, 0.8),
    ]).to.deep.equal([0, 0, 1, 2]);
    expect(cumulativeCounts(0, 0.5)[0]).to.equal(1);
  });
});

describe("chance: an outing played", () => {
  const N = 40_000;
  const near = (x: number, p: number) =>
    expect(x).to.be.closeTo(p, 5 * Math.sqrt((p * (1 - p)) / N) + 1e-9);

  it("two kinds that share one line: 6 plasters of 4 a person-day kind and 2 wider ones", () => {
    // Means 1 and 1 of one plaster each: their sum is Poisson of mean 2; P(N > 2) = 1 − 5e⁻².
    const file = plasters(2, party(8, 5));
    const run = simulate(model(file, cut(), cut({ id: "graze" })), N, 3);
    near(run.needs[0]!.short.high, 1 - 5 * Math.exp(-2));
    near(run.lasts.high, 5 * Math.exp(-2));
  });

  it("re-dressings worked out by hand: two days, every 20 hours, care after 30", () => {
    // k = 1 only (30/20); it happens where t + 20 < 48: in 28 of 48. Mean 1 × (1 + 28/48).
    const again = cut({
      per1000: 100,
      asks: [{ function: "small-wound-cover", units: [[1, 1]], againEveryH: 20 }],
    });
    const run = simulate(model(plasters(5, party(5, 2, 30)), again), N, 3);
    expect(run.needs[0]!.meanAsked).to.be.closeTo(1 + 28 / 48, 0.04);
    const none = simulate(model(plasters(5, party(5, 2, 19.9)), again), N, 3);
    expect(none.needs[0]!.meanAsked).to.be.closeTo(1, 0.03);
  });

  it("a tool serves everybody; a line past its date serves to the day before", () => {
    const tweezers = auditFile(
      [need("n", "splinter-removal")],
      [good("t", "tweezers-fine")],
      party(8, 5),
    );
    const splinter = cut({ asks: [{ function: "splinter-removal", units: [[1, 1]] }] });
    expect(simulate(model(tweezers, splinter), 5000, 1).lasts.high).to.equal(1);
    // 10 to 14 January, good to the 11th: what comes in the last three fifths is missing.
    const dated = plasters(500, party(8, 5));
    dated.kit.lines[0]!.expires = "2027-01-11";
    const run = simulate(model(dated, cut()), N, 1);
    near(run.needs[0]!.short.high, 1 - Math.exp(-3 / 5));
    expect(run.needs[0]!.byDay.slice(0, 2)).to.deep.equal([0, 0]);
    near(run.needs[0]!.byDay[2]!, 1 - Math.exp(-1 / 5));
  });

  it("who is hurt badly is gone: fewer are left to be hurt", () => {
    const file = plasters(500, party(2, 10));
    const bad = cut({ per1000: 100, leaves: 1 });
    const run = simulate(model(file, bad), N, 1);
    // Two people, rate 0.1 a day each: gone after a time exponential of that rate, 10 days at most:
    // 2 × (1 − e⁻¹)/0.1 = 12.64 person-days.
    expect(run.meanPersonDays).to.be.closeTo(20 * (1 - Math.exp(-1)), 0.1);
    expect(run.personDays).to.equal(20);
    expect(run.needs[0]!.meanAsked).to.be.closeTo(2 * (1 - Math.exp(-1)), 0.02);
  });

  it("an ask for what no need asks is listed and leaves the chance alone", () => {
    const run = simulate(
      model(plasters(2, party(8, 5)), cut({ asks: [{ function: "sling", units: [[1, 1]] }] })),
      2000,
      1,
    );
    expect(run.unasked).to.deep.equal(["sling"]);
    expect(run.lasts.high).to.equal(1);
  });

  it("unchecked: 0 plasters in the one reading, all in the other", () => {
    const file = plasters(2, party(8, 5));
    delete file.kit.lines[0]!.counted;
    file.kit.lines[0]!.claimed = 2;
    const run = simulate(model(file, cut()), N, 1);
    near(run.needs[0]!.short.low, 1 - Math.exp(-1));
    near(run.needs[0]!.short.high, 1 - 2.5 * Math.exp(-1));
  });

  it("enough is the smallest quantity exceeded in no more than so many outings; of a tool one", () => {
    const run = simulate(model(plasters(1, party(8, 5)), cut()), N, 1);
    // Poisson of mean 1: P(N > 2) = 0.080, P(N > 3) = 0.019, P(N > 4) = 0.0037.
    expect(run.needs[0]!.enough).to.deep.equal({ "90": 2, "95": 3, "99": 4 });
    const tweezers = auditFile(
      [need("n", "splinter-removal")],
      [good("t", "tweezers-fine")],
      party(8, 5),
    );
    const splinter = cut({ asks: [{ function: "splinter-removal", units: [[1, 1]] }] });
    expect(simulate(model(tweezers, splinter), 5000, 1).needs[0]!.enough["99"]).to.equal(1);
  });

  it("its standard error is the spread over many seeds", () => {
    const m = model(plasters(2, party(8, 5)), cut());
    const runs = Array.from({ length: 200 }, (_, i) => simulate(m, 1000, i + 1).lasts.high);
    const mean = runs.reduce((s, x) => s + x, 0) / runs.length;
    const sd = Math.sqrt(runs.reduce((s, x) => s + (x - mean) ** 2, 0) / (runs.length - 1));
    const said = Math.sqrt((mean * (1 - mean)) / 1000);
    // A standard deviation from 200 is known to 5 %: within four times that.
    expect(sd / said).to.be.within(0.8, 1.2);
  });
});

/** Whole kits against the whole list with random assumptions: what shares lines, tools, dates, leaving. */
function madeUp(seed: number): { file: AuditFile; incidents: Incidents } {
  const r = new Random().begin(seed, 0);
  const upTo = (n: number) => Math.floor(r.next() * n);
  const types = PRICE_BOOK.products.filter((_, i) => (i * 7 + seed) % 5 === 0);
  const lines = types.slice(0, 12 + upTo(20)).map((p, i) =>
    good(`l${i}`, p.itemType, 1 + upTo(4), {
      ...(p.sizeMm ? { sizeMm: p.sizeMm } : {}),
      ...(upTo(4) === 0 ? { expires: `2027-01-1${upTo(4)}` } : {}),
      ...(upTo(5) === 0 ? { counted: undefined as never, claimed: 2 } : {}),
    }),
  );
  const clean = JSON.parse(JSON.stringify(lines)) as typeof lines;
  const file = {
    ...auditFile([], clean, party(2 + upTo(9), 1 + upTo(5), upTo(40))),
    list: GROUP_LEADER,
  };
  const incidents = assumptionsFor(file.brief, INCIDENT_KINDS);
  const kinds = incidents.kinds.map((k) => ({ ...k, per1000: k.per1000 * (0.2 + upTo(3)) }));
  return { file, incidents: { helpersLeave: upTo(2) === 1, kinds } };
}

describe("chance: the fast way against the plain one", () => {
  it("every outing comes out the same, in both readings", () => {
    let fell = 0;
    for (let s = 1; s <= 12; s++) {
      const { file, incidents } = madeUp(s);
      const m = modelOf(file, incidents, TODAY, CATALOGUE);
      const player = playerOf(m);
      const n = m.needs.length;
      for (let i = 0; i < 150; i++) {
        player.lasts(s, i);
        const { shortAt, sum } = player.last;
        const fast = [LOW, HIGH].map((reading) =>
          m.needs.flatMap((_, k) => (shortAt[reading * n + k]! < Infinity ? [k] : [])),
        );
        const plain = plainOuting(m, s, i);
        expect(fast, `case ${s}, outing ${i}`).to.deep.equal(plain.short);
        plain.asked.forEach((units, t) => expect(sum[t]).to.be.closeTo(units, 1e-9));
        if (plain.short[HIGH].length > 0) fell++;
      }
    }
    // Both kinds of outing are among them.
    expect(fell).to.be.within(150, 1650);
  });

  it("is the same to the last bit however its blocks are shared out", () => {
    const { file, incidents } = madeUp(3);
    const m = modelOf(file, incidents, TODAY, CATALOGUE);
    const whole = simulationOf(m, playAll(playerOf(m), 5, 3000), 5);
    for (const workers of [2, 4]) {
      const blocks = Array.from({ length: 6 }, (_, b) => b);
      const parts = new Map(
        Array.from({ length: workers }, () => playerOf(m)).flatMap((player, w) =>
          blocks
            .filter((b) => b % workers === w)
            .reverse()
            .map((b) => [b, player.play(5, b * 500, (b + 1) * 500)] as const),
        ),
      );
      const tally = playerOf(m).tally();
      for (const b of blocks) addTally(tally, parts.get(b)!);
      expect(simulationOf(m, tally, 5)).to.deep.equal(whole);
    }
  });

  it("more of anything never makes an outing worse", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), fc.nat(), (s, which) => {
        const { file, incidents } = madeUp(s);
        const lines = structuredClone(file.kit.lines);
        const line = lines[which % lines.length]!;
        if (line.counted !== undefined) line.counted += 2;
        else line.claimed! += 2;
        const a = playerOf(modelOf(file, incidents, TODAY, CATALOGUE));
        const b = playerOf(
          modelOf({ ...file, kit: { ...file.kit, lines } }, incidents, TODAY, CATALOGUE),
        );
        for (let i = 0; i < 40; i++)
          if (a.lasts(s, i)) expect(b.lasts(s, i), `case ${s}, outing ${i}`).to.equal(true);
      }),
      { numRuns: 60 },
    );
  });
});

describe("chance: what hangs on it", () => {
  const file = plasters(2, party(8, 5));
  const incidents = { kinds: [cut()] };
  const m = modelOf(file, incidents, TODAY, CATALOGUE);
  const tally = playAll(playerOf(m), 1, 20_000);

  it("one more of each kind is what playing all again says", () => {
    const ask = {
      file,
      incidents,
      today: TODAY,
      catalogue: CATALOGUE,
      book: PRICE_BOOK,
      model: m,
      seed: 1,
      trips: 20_000,
      shortOutings: tally.shortOutings,
    };
    const more = [...oneMore(ask)];
    const strips = more.find((x) => x.itemType === "adhesive-strip")!;
    // A pack of ten or more on top of two: nothing is missing any more.
    const again = simulate(
      model(
        plasters(2 + PRICE_BOOK.products.find((p) => p.id === strips.product)!.pack, party(8, 5)),
        cut(),
      ),
      20_000,
      1,
    );
    expect(strips.gain).to.be.closeTo(again.lasts.high - tally.lasts[HIGH]! / 20_000, 1e-9);
    expect(more.some((x) => x.itemType === "sling")).to.equal(false);
  });

  it("the tornado plays both ends on the same outings", () => {
    const wide = { kinds: [cut({ low: 10, high: 50 }), cut({ id: "fixed", per1000: 1 })] };
    const swings = [...tornado(file, wide, TODAY, CATALOGUE, 4000, 1)];
    expect(swings.map((s) => s.kind)).to.deep.equal(["cut"]);
    // Means 0.44 and 2.04 with the fixed one: P(N ≤ 2) = 0.990 and 0.666.
    expect(swings[0]!.low).to.be.closeTo(0.9895, 0.012);
    expect(swings[0]!.high).to.be.closeTo(0.6646, 0.04);
  });

  it("a rare chance by weighted outings: within its error of the truth, a hundredth of that of counting", () => {
    // One piece, mean 0.004: P(N ≥ 2) = 1 − e⁻ᵐ(1 + m) = 7.98e-6.
    const rare = plasters(1, party(8, 5), "vital");
    const mm = model(rare, cut({ per1000: 0.1 }));
    const run = simulate(mm, 2000, 1);
    const [r] = rareChances(mm, run, 1);
    const truth = 1 - Math.exp(-0.004) * 1.004;
    expect(Math.abs(r!.value - truth)).to.be.lessThan(4 * r!.se);
    expect(r!.se).to.be.lessThan(0.1 * Math.sqrt(truth / 20_000));
    expect(rareChances(m, simulate(m, 2000, 1), 1)).to.deep.equal([]);
  });

  it("prints a chance of nothing as less than three in so many", () => {
    const played = simulated({
      file: { ...plasters(5000, party(1, 1)), incidents: { kinds: [cut()] } },
      today: TODAY,
      trips: 1000,
      seed: 1,
      book: PRICE_BOOK,
      catalogue: CATALOGUE,
      kinds: INCIDENT_KINDS,
    });
    if (!played.ok) throw new Error("refused");
    const sure = played.value;
    expect(sure.lasts).to.deep.equal({ low: 1, high: 1, se: 0, within: "< 0.003" });
    expect(sure.caution).to.contain("no statistics");
    const crowd = { ...plasters(1, party(100_000, 3000)), incidents: { kinds: [cut()] } };
    const refused = simulated({
      file: crowd,
      today: TODAY,
      trips: 1,
      seed: 1,
      book: PRICE_BOOK,
      catalogue: CATALOGUE,
      kinds: INCIDENT_KINDS,
    });
    expect(refused.ok).to.equal(false);
  });
});

describe("assumptions", () => {
  it("go out as a table and come back", () => {
    const shipped = assumptionsFor(plasters(1, party(4, 3)).brief, INCIDENT_KINDS);
    expect(parseIncidents(writeIncidents(shipped))).to.deep.equal({ ok: true, value: shipped });
  });

  it("are refused where a probability is lost, a rate is none, an id is twice, a function is unknown", () => {
    expect(
      parseIncidents("id,category,per1000,function,units\na,burns,1,burn-gel,1:0.5 2:0.4\n").ok,
    ).to.equal(false);
    expect(parseIncidents("id,category,per1000\na,burns,often\n").ok).to.equal(false);
    expect(parseIncidents("id,category\na,burns\n").ok).to.equal(false);
    const file = plasters(1, party(1, 1));
    const parse = (incidents: unknown) => parseAudit({ ...file, incidents }, CATALOGUE).ok;
    expect(parse({ kinds: [cut()] })).to.equal(true);
    expect(parse({ kinds: [cut(), cut()] })).to.equal(false);
    expect(parse({ kinds: [cut({ asks: [{ function: "no-such", units: [[1, 1]] }] })] })).to.equal(
      false,
    );
    expect(parse({ kinds: [cut({ asks: [{ function: "sling", units: [[1, 0.9]] }] })] })).to.equal(
      false,
    );
  });
});
