import type { Category } from "../model/functionRecord.ts";
import type { Model } from "./model.ts";
import { HIGH, LOW } from "./model.ts";
import { playAll, Player, type Tally } from "./play.ts";

/** A chance with both readings of the unchecked facts and its standard error (of the high reading). */
export interface Chance {
  readonly low: number;
  readonly high: number;
  readonly se: number;
}

/** How much of a need suffices in so many of 100 outings. */
type Enough = Readonly<Record<"90" | "95" | "99", number>>;

export interface NeedChance {
  readonly id: string;
  readonly function: string;
  /** Chance that something of it is missing. */
  readonly short: Chance;
  /** Chance that it has run out by the end of each day, high reading. */
  readonly byDay: readonly number[];
  readonly meanAsked: number;
  readonly enough: Enough;
}

interface CategoryChance {
  readonly id: Category;
  readonly short: Chance;
  readonly byDay: readonly number[];
}

/** What a run of outings says. */
export interface Simulation {
  readonly trips: number;
  readonly seed: number;
  /** Planned, and what it came to once people went home. */
  readonly personDays: number;
  readonly meanPersonDays: number;
  readonly lasts: Chance;
  readonly vitalLasts: Chance;
  readonly needs: readonly NeedChance[];
  readonly categories: readonly CategoryChance[];
  /** Of the outings that fell short: which need did first. */
  readonly firstShort: readonly { readonly need: string; readonly share: number }[];
  /** Functions that incidents ask for and no asked need has. */
  readonly unasked: readonly string[];
}

/** √(p(1 − p)/n), of a share among n outings. */
export const shareError = (p: number, n: number): number => Math.sqrt((p * (1 - p)) / n);

const categoriesOf = (model: Model): Category[] => [...new Set(model.needs.map((n) => n.category))];

/** Category of each need, as an index into `categoriesOf`. */
const categoryIndex = (model: Model): number[] => {
  const categories = categoriesOf(model);
  return model.needs.map((n) => categories.indexOf(n.category));
};

export const playerOf = (model: Model): Player => new Player(model, categoryIndex(model));

/** Plays so many outings on one thread. */
export function simulate(model: Model, trips: number, seed: number): Simulation {
  return simulationOf(model, playAll(playerOf(model), seed, trips), seed);
}

/** What the counts of a run say, wherever its blocks were played. */
export function simulationOf(model: Model, tally: Tally, seed: number): Simulation {
  const n = tally.outings;
  const needs = model.needs.length;
  const chance = (low: number, high: number): Chance => ({
    low: low / n,
    high: high / n,
    se: shareError(high / n, n),
  });
  const fell = n - tally.lasts[HIGH]!;
  const categories = categoriesOf(model);
  return {
    trips: n,
    seed,
    personDays: model.people * model.days,
    meanPersonDays: tally.personDays / n,
    lasts: chance(tally.lasts[LOW]!, tally.lasts[HIGH]!),
    vitalLasts: chance(tally.vitalLasts[LOW]!, tally.vitalLasts[HIGH]!),
    needs: model.needs.map((asked, i): NeedChance => {
      const target = model.targets.findIndex((t) => t.need === i);
      return {
        id: asked.need.id,
        function: asked.need.function,
        short: chance(tally.short[i]!, tally.short[needs + i]!),
        byDay: Array.from({ length: model.days }, (_, d) => tally.byDay[i * model.days + d]! / n),
        meanAsked: target < 0 ? 0 : tally.askedSum[target]! / n,
        enough: target < 0 ? NOTHING_ASKED : enoughOf(model, tally, target),
      };
    }),
    categories: categories.map((id, c): CategoryChance => ({
      id,
      short: chance(tally.categoryShort[c]!, tally.categoryShort[categories.length + c]!),
      byDay: Array.from(
        { length: model.days },
        (_, d) => tally.categoryByDay[c * model.days + d]! / n,
      ),
    })),
    firstShort:
      fell === 0
        ? []
        : model.needs
            .map((asked, i) => ({ need: asked.need.id, share: tally.first[i]! / fell }))
            .filter((x) => x.share > 0)
            .sort((a, b) => b.share - a.share),
    unasked: model.unasked,
  };
}

const NOTHING_ASKED: Enough = { "90": 0, "95": 0, "99": 0 };

const enoughOf = (model: Model, tally: Tally, target: number): Enough => ({
  "90": enoughAt(model, tally, target, 0.9),
  "95": enoughAt(model, tally, target, 0.95),
  "99": enoughAt(model, tally, target, 0.99),
});

/** The smallest quantity of a target that no more than 1 − p of all outings ask beyond; of a tool one. */
export function enoughAt(model: Model, tally: Tally, target: number, p: number): number {
  const bins = tally.asked[target]!;
  // Outings that ask for more than what is had.
  let over = 0;
  for (const count of bins) over += count;
  const allowed = (1 - p) * tally.outings + 1e-9;
  if (over <= allowed) return 0;
  for (let bin = 0; bin < bins.length; bin++) {
    over -= bins[bin]!;
    if (over <= allowed)
      return model.targets[target]!.tool ? 1 : Math.round(bin * model.grain[target]! * 1e6) / 1e6;
  }
  return bins.length * model.grain[target]!;
}
