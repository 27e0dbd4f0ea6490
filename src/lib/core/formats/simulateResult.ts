import type { Outcome } from "../model/problem.ts";
import { incidentsOf, type ShippedKind } from "../chance/assumptions.ts";
import { oneMore } from "../chance/oneMore.ts";
import { played } from "../chance/played.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { PriceBook } from "../model/priceBook.ts";
import type { OneMore } from "../chance/oneMore.ts";
import type { Rare } from "../chance/rare.ts";
import type { Chance, Simulation } from "../chance/simulate.ts";

/** Chances are printed to six decimals: a run of a million outings knows no more. */
const printed = (n: number): number => Math.round(n * 1e6) / 1e6;
const chance = (c: Chance, trips: number) => ({
  low: printed(c.low),
  high: printed(c.high),
  se: printed(c.se),
  // None, or all, of so many outings: the chance is below three in that many (the rule of three).
  ...(c.se === 0 ? { within: `< ${printed(3 / trips)}` } : {}),
});

export interface SimulateAsk {
  readonly file: AuditFile;
  readonly today: string;
  readonly trips: number;
  readonly seed: number;
  readonly book: PriceBook;
  readonly catalogue: Catalogue;
  /** The shipped kinds, for a file without its own assumptions. */
  readonly kinds: readonly ShippedKind[];
}

/** Plays a file's outings, with the rare ones weighed and one more of each kind tried. */
export function simulated({
  file,
  today,
  trips,
  seed,
  book,
  catalogue,
  kinds,
}: SimulateAsk): Outcome<ReturnType<typeof simulateResult>> {
  const outings = played(file, today, { trips, seed }, catalogue, kinds);
  if (!outings.ok) return outings;
  const { run, rare, model, tally } = outings.value;
  const { shortOutings } = tally;
  const incidents = incidentsOf(file, kinds);
  const more = oneMore({
    file,
    incidents,
    today,
    catalogue,
    book,
    model,
    seed,
    trips,
    shortOutings,
  });
  return { ok: true, value: simulateResult(run, rare, [...more]) };
}

/** A run of outings as the command line and the server route give it. */
function simulateResult(s: Simulation, rare: readonly Rare[], more: readonly OneMore[]) {
  return {
    trips: s.trips,
    seed: s.seed,
    personDays: s.personDays,
    meanPersonDays: printed(s.meanPersonDays),
    lasts: chance(s.lasts, s.trips),
    vitalLasts: chance(s.vitalLasts, s.trips),
    needs: s.needs.map((n) => {
      const r = rare.find((x) => x.need === n.id);
      return {
        id: n.id,
        function: n.function,
        short: chance(n.short, s.trips),
        byDay: n.byDay.map(printed),
        meanAsked: printed(n.meanAsked),
        enough: n.enough,
        ...(r
          ? { rare: { value: Number(r.value.toPrecision(4)), se: Number(r.se.toPrecision(3)) } }
          : {}),
      };
    }),
    categories: s.categories.map((c) => ({
      id: c.id,
      short: chance(c.short, s.trips),
      byDay: c.byDay.map(printed),
    })),
    firstShort: s.firstShort.map((f) => ({ need: f.need, share: printed(f.share) })),
    oneMore: [...more]
      .sort((a, b) => b.gain - a.gain || (a.itemType < b.itemType ? -1 : 1))
      .map((m) => ({ ...m, gain: printed(m.gain), se: printed(m.se) })),
    unasked: s.unasked,
    caution:
      "A planning aid from assumptions, no statistics: a rare bad day is exactly what it cannot promise.",
  };
}
