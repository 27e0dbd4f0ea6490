import type { Catalogue } from "../catalogue/catalogue.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Incidents } from "../model/incident.ts";
import type { PriceBook } from "../model/priceBook.ts";
import { NO_LIMITS, type Limits } from "../plan/limits.ts";
import type { Solver } from "../plan/linearModel.ts";
import type { Purchase } from "../plan/orders.ts";
import { plan } from "../plan/plan.ts";
import { modelOf, type Model } from "./model.ts";
import { playAll, type Tally } from "./play.ts";
import { enoughAt, playerOf, simulate, type Chance, type Simulation } from "./simulate.ts";

/**
 * The cheapest kit that lasts with a chosen chance: every need gets what suffices in so many of 100 outings,
 * one share for all; the planner buys the cheapest that has it; outings with other seeds say what chance that
 * really gives. The share is narrowed down by halves until the chance just holds.
 */

/** Outings whose demands give the quantities, and those that judge while the share is sought. */
const TRIPS = 20_000;
/** Outings of the last word, on a seed that chose nothing. */
const LAST_TRIPS = 50_000;
/** Outings that prove that no purchase can: four times as many halve the doubt. */
const PROOF_TRIPS = 200_000;
const SEEDS = { quantities: 1, judge: 2, last: 3 } as const;
/** Shares tried: with so many halvings the share is known to a thousandth. */
const ROUNDS = 8;
/** The tightest share: beyond it 20,000 outings know nothing. */
const TIGHTEST = 0.9995;
/** One of these plans may take so long: there are up to nine. */
const PLAN_S = 5;
/** So many standard errors below what was asked it still counts as reached; so many prove that it is not. */
const REACHED_SE = 2;
const CANNOT_SE = 3;

export interface LastingAsk {
  readonly file: AuditFile;
  readonly incidents: Incidents;
  readonly book: PriceBook;
  readonly catalogue: Catalogue;
  readonly today: string;
  /** Chance asked for that nothing is missing, 0–1. */
  readonly chance: number;
  readonly limits: Limits;
  readonly solver: Solver;
}

/** Needs of which something is missing on some outings, the commonest first. */
type Missing = readonly { readonly need: string; readonly short: number }[];

export type Lasting =
  | {
      readonly status: "lasts";
      readonly purchases: readonly Purchase[];
      readonly price: number;
      /** Chance of the kit after it, on outings that chose nothing. */
      readonly reached: Chance;
      readonly before: Chance;
      /** The one share for all needs that the quantities were taken at. */
      readonly share: number;
      readonly quantities: readonly { readonly need: string; readonly units: number }[];
    }
  /** No purchase reaches it; `best`: what everything that helps gives. `needs`: what stays missing. */
  | {
      readonly status: "cannot";
      readonly best: Chance;
      readonly needs: Missing;
    }
  /** The price book may do it, and no plan that does was found. */
  | { readonly status: "not-found"; readonly best: Chance; readonly needs: Missing };

export function cheapestThatLasts(
  ask: LastingAsk,
  progress: (share: number) => void = () => {},
): Lasting {
  const { file, incidents, today, catalogue, chance } = ask;
  const model = modelOf(file, incidents, today, catalogue);
  const tally = playAll(playerOf(model), SEEDS.quantities, TRIPS);
  const before = judged(ask, file, LAST_TRIPS, SEEDS.last).lasts;
  let least = Math.min(chance, TIGHTEST);
  let most: number = TIGHTEST;
  let best: {
    kit: AuditFile;
    purchases: readonly Purchase[];
    price: number;
    share: number;
  } | null = null;
  for (let round = 0; round < ROUNDS; round++) {
    progress(round / (ROUNDS + 1));
    const share = round === 0 ? most : (least + most) / 2;
    const bought = boughtFor(ask, quantitiesAt(model, tally, share));
    const holds =
      bought !== null && isReached(judged(ask, bought.kit, TRIPS, SEEDS.judge).lasts, chance);
    if (holds) {
      most = share;
      best = { ...bought, share };
    } else if (round === 0) return whyNot(ask, model, tally, bought?.kit ?? null);
    else least = share;
  }
  if (!best) return whyNot(ask, model, tally, null);
  const reached = judged(ask, best.kit, LAST_TRIPS, SEEDS.last);
  const { purchases, price, share } = best;
  return isReached(reached.lasts, chance)
    ? {
        ...{ status: "lasts", purchases, price, reached: reached.lasts, before, share },
        quantities: quantitiesAt(model, tally, share),
      }
    : { status: "not-found", best: reached.lasts, needs: missingIn(reached) };
}

const isReached = (c: Chance, chance: number): boolean => c.high >= chance - REACHED_SE * c.se;

const judged = (ask: LastingAsk, file: AuditFile, trips: number, seed: number) =>
  simulate(modelOf(file, ask.incidents, ask.today, ask.catalogue), trips, seed);

interface Quantity {
  readonly need: string;
  readonly units: number;
}

/** What each need that incidents ask of must have. */
const quantitiesAt = (model: Model, tally: Tally, share: number): Quantity[] =>
  model.targets.flatMap(({ need }, target) => {
    const units = enoughAt(model, tally, target, share);
    return units > 0 ? [{ need: model.needs[need]!.need.id, units: Math.ceil(units - 1e-9) }] : [];
  });

/** The file asked for these quantities alone, as they stand. */
function askingFor(file: AuditFile, quantities: readonly Quantity[]): AuditFile {
  const units = new Map(quantities.map((q) => [q.need, q.units]));
  const needs = file.list.needs.flatMap((need) => {
    const base = units.get(need.id);
    return base === undefined ? [] : [{ ...need, quantity: { base } }];
  });
  // As they stand, whatever school the file follows.
  const houseRules = { ...file.houseRules, quantities: "list" as const };
  return { ...file, houseRules, list: { ...file.list, needs } };
}

/** The file's kit with what a plan buys; what the plan's list does not speak of stays where it is. */
function withBought(file: AuditFile, after: AuditFile): AuditFile {
  const own = new Set(file.kit.lines.map((l) => l.id));
  const bought = after.kit.lines.filter((l) => !own.has(l.id));
  return { ...file, kit: { ...file.kit, lines: [...file.kit.lines, ...bought] } };
}

const requestOf = ({ book, catalogue, today }: LastingAsk, audit: AuditFile) => ({
  ...{ audit, book, catalogue, today, target: "ready" as const, keep: [] },
  timeLimitS: PLAN_S,
});

/** The cheapest purchases that give every need its quantity in full, in the kit as it is. */
function boughtFor(ask: LastingAsk, quantities: readonly Quantity[]) {
  const { file, limits, solver } = ask;
  if (quantities.length === 0) return { kit: file, purchases: [], price: 0 };
  const asked = askingFor(file, quantities);
  const needs = asked.list.needs.map((need) => ({ ...need, tier: "vital" as const }));
  const audit = { ...asked, list: { ...asked.list, needs } };
  const outcome = plan({ ...requestOf(ask, audit), question: "cheapest", limits }, solver);
  if (outcome.status === "infeasible") return null;
  const { kit, purchases, price } = outcome.choice;
  return { kit: withBought(file, kit), purchases, price };
}

/** Whether everything that could be bought would do it. */
function whyNot(ask: LastingAsk, model: Model, tally: Tally, tried: AuditFile | null): Lasting {
  const plenty = plentyOf(ask, quantitiesAt(model, tally, TIGHTEST));
  const run = judged(ask, plenty, PROOF_TRIPS, SEEDS.last);
  if (run.lasts.high < ask.chance - CANNOT_SE * run.lasts.se)
    return { status: "cannot", best: run.lasts, needs: missingIn(run) };
  const nearest = tried ? judged(ask, tried, LAST_TRIPS, SEEDS.last) : run;
  return { status: "not-found", best: nearest.lasts, needs: missingIn(nearest) };
}

const missingIn = (run: Simulation): Missing =>
  run.needs
    .filter((n) => n.short.high > 0)
    .sort((a, b) => b.short.high - a.short.high)
    .map((n) => ({ need: n.id, short: n.short.high }));

/** The kit with more of everything on sale than any outing asks for. */
function plentyOf(ask: LastingAsk, quantities: readonly Quantity[]): AuditFile {
  const { file, solver } = ask;
  const thrice = quantities.map((q) => ({ ...q, units: 3 * q.units }));
  const request = requestOf(ask, askingFor(file, thrice));
  const outcome = plan({ ...request, question: "best", limits: NO_LIMITS }, solver);
  return outcome.status === "infeasible" ? file : withBought(file, outcome.choice.kit);
}
