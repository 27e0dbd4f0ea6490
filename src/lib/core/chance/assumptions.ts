import type { Brief } from "../model/brief.ts";
import type { IncidentAsk, IncidentKind, Incidents } from "../model/incident.ts";
import type { Category } from "../model/functionRecord.ts";
import type { Skill } from "../model/itemType.ts";

/** A kind of incident as it is shipped: three figures, why, how sure, and what makes it likelier. */
export interface ShippedKind {
  readonly id: string;
  readonly label: string;
  readonly category: Category;
  /** Low, middle, high, per 1,000 person-days. */
  readonly rate: readonly [number, number, number];
  readonly spread: number;
  readonly why: string;
  readonly sure: "fairly sure" | "unsure" | "very unsure";
  /** Factor by activity of the brief. */
  readonly more?: Readonly<Record<string, number>>;
  readonly leaves?: 1;
  readonly helpers?: number;
  readonly asks: readonly IncidentAsk[];
}

/** Who was taught sees more coming; a planning figure, small on purpose. */
const SKILL_FACTOR: Readonly<Record<Skill, number>> = {
  anyone: 1.1,
  trained: 1,
  advanced: 0.95,
  licensed: 0.95,
};

/** Figures are kept to this many digits: more would claim what nobody knows. */
const DIGITS = 4;
const rounded = (n: number) => Number(n.toPrecision(DIGITS));

/** What this brief's activities and skill make of a kind's rate. The season is among the activities. */
export const briefFactor = (kind: ShippedKind, brief: Brief): number =>
  brief.activities.reduce((f, a) => f * (kind.more?.[a] ?? 1), SKILL_FACTOR[brief.skill]);

/** The shipped assumptions, scaled by a brief. */
export function assumptionsFor(brief: Brief, kinds: readonly ShippedKind[]): Incidents {
  return {
    helpersLeave: false,
    kinds: kinds.map((k): IncidentKind => {
      const f = briefFactor(k, brief);
      const [low, middle, high] = k.rate;
      return {
        id: k.id,
        label: k.label,
        category: k.category,
        per1000: rounded(middle * f),
        low: rounded(low * f),
        high: rounded(high * f),
        spread: k.spread,
        asks: structuredClone(k.asks) as IncidentAsk[],
        ...(k.leaves ? { leaves: k.leaves } : {}),
        ...(k.helpers === undefined ? {} : { helpers: k.helpers }),
      };
    }),
  };
}

/** The assumptions of an audit file: its own, else the shipped ones for its brief. */
export const incidentsOf = (
  file: { readonly incidents?: Incidents | undefined; readonly brief: Brief },
  kinds: readonly ShippedKind[],
): Incidents => file.incidents ?? assumptionsFor(file.brief, kinds);

/** More incidents of one kind on one outing than this are no outing: e⁻⁵⁰⁰ is still a number. */
const MOST_EXPECTED = 500;

/** Kinds of which more are expected on one outing than can be played, by id. */
export const tooOften = (
  incidents: Incidents,
  { people, days }: Pick<Brief, "people" | "days">,
): string[] =>
  incidents.kinds
    .filter((k) => (k.per1000 / 1000) * people * days > MOST_EXPECTED)
    .map((k) => k.id);

/** Incidents per person-day, by category. */
export function ratesByCategory(incidents: Incidents): Map<Category, number> {
  const rates = new Map<Category, number>();
  for (const k of incidents.kinds)
    rates.set(k.category, (rates.get(k.category) ?? 0) + k.per1000 / 1000);
  return rates;
}
