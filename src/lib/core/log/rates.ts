import type { Category } from "../model/functionRecord.ts";
import { CATEGORIES } from "../model/functionRecord.ts";
import { daysBetween } from "../base/dates.ts";
import { inOrder } from "../events/order.ts";
import { wholeOf } from "../events/replay.ts";
import type { Brief } from "../model/brief.ts";
import type { KitEvent } from "../model/event.ts";

/**
 * How sure the planning assumptions are, as a coefficient of variation: a factor of three either way.
 * Then one use in a first week moves a rate little, and a season of them most of the way.
 */
const PRIOR_CV = 1;

/** A rate of incidents by what was assumed and what the log says. Per 1,000 person-days. */
export interface LearnedRate {
  readonly category: Category;
  readonly incidents: number;
  /** Assumed for the brief. */
  readonly assumed: number;
  readonly mean: number;
  /** Between these nine times in ten, as far as the model goes. */
  readonly low: number;
  readonly high: number;
}

/** How fast a line goes. */
export interface LineRate {
  readonly line: string;
  readonly used: number;
  /** Pieces per 100 person-days. */
  readonly per100: number;
  readonly low: number;
  readonly high: number;
  /** Pieces a year at the pace of this log; and from when on it is out, in days from today. */
  readonly perYear: number;
  readonly lastsDays: number | null;
}

const isCategory = (what: string | undefined): what is Category =>
  (CATEGORIES as readonly (string | undefined)[]).includes(what);

/** Uses for a real incident, by category; practice and lent things are none. */
const incidentsIn = (events: readonly KitEvent[]): KitEvent[] =>
  inOrder(events).filter((e) => e.kind === "used" && isCategory(e.what));

/** Person-days that the kit was out. */
const exposureOf = (events: readonly KitEvent[], brief: Brief): number =>
  inOrder(events)
    .filter((e) => e.kind === "carried")
    .reduce((s, e) => s + (e.days ?? 0) * (e.people ?? brief.people), 0);

/**
 * Gamma-Poisson: with prior shape α = 1/CV² and rate β = α / assumed, after n incidents in E
 * person-days the rate is gamma with α + n and β + E (Gelman et al., Bayesian Data Analysis, ch. 2).
 * @param assumed incidents per person-day by category
 */
export function learnedRates(
  events: readonly KitEvent[],
  brief: Brief,
  assumed: ReadonlyMap<Category, number>,
): LearnedRate[] {
  const incidents = incidentsIn(events);
  const exposure = exposureOf(events, brief);
  const alpha = 1 / PRIOR_CV ** 2;
  return [...assumed].flatMap(([category, rate]): LearnedRate[] => {
    if (rate <= 0) return [];
    const n = incidents.filter((e) => e.what === category).length;
    const shape = alpha + n;
    const scale = 1 / (alpha / rate + exposure);
    return [
      {
        category,
        incidents: n,
        assumed: rate * 1000,
        mean: shape * scale * 1000,
        low: gammaQuantile(shape, -Z90) * scale * 1000,
        high: gammaQuantile(shape, Z90) * scale * 1000,
      },
    ];
  });
}

/** Standard normal quantile of 0.95: nine in ten lie between minus and plus. */
const Z90 = 1.6448536269514722;

/** Wilson and Hilferty (1931): a gamma quantile from the normal one, within a few percent from shape 1 on. */
function gammaQuantile(shape: number, z: number): number {
  const c = 1 / (9 * shape);
  return shape * Math.max(0, 1 - c + z * Math.sqrt(c)) ** 3;
}

/**
 * How fast the lines go that were used, the fastest first: the learned rate of each category times the
 * pieces that an incident of it has taken from the line so far.
 * @param pieces what is there now, by line id, parts together
 */
export function lineRates(
  events: readonly KitEvent[],
  brief: Brief,
  rates: readonly LearnedRate[],
  pieces: ReadonlyMap<string, number>,
  today: string,
): LineRate[] {
  const incidents = incidentsIn(events);
  const exposure = exposureOf(events, brief);
  const first = inOrder(events)[0]?.on;
  if (!first || exposure <= 0) return [];
  const years = Math.max(1, daysBetween(first, today)) / 365.25;
  const found = new Map<string, { used: number; per100: number; low: number; high: number }>();
  for (const r of rates) {
    if (r.incidents === 0) continue;
    const taken = new Map<string, number>();
    for (const e of incidents)
      if (e.what === r.category)
        for (const c of e.changes ?? []) {
          const line = wholeOf(c.line);
          taken.set(line, (taken.get(line) ?? 0) + (c.pieces ?? 0));
        }
    for (const [line, used] of taken) {
      const each = used / r.incidents / 10;
      const so = found.get(line) ?? { used: 0, per100: 0, low: 0, high: 0 };
      found.set(line, {
        used: so.used + used,
        per100: so.per100 + r.mean * each,
        low: so.low + r.low * each,
        high: so.high + r.high * each,
      });
    }
  }
  const yearly = exposure / years / 100;
  return [...found]
    .map(([line, r]): LineRate => {
      const perYear = r.per100 * yearly;
      const left = pieces.get(line) ?? 0;
      return { line, ...r, perYear, lastsDays: perYear > 0 ? (left / perYear) * 365.25 : null };
    })
    .sort((a, b) => b.perYear - a.perYear || (a.line < b.line ? -1 : 1));
}
