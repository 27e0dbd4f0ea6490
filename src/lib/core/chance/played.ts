import type { Catalogue } from "../catalogue/catalogue.ts";
import { fail, problem, type Outcome } from "../model/problem.ts";
import type { AuditFile } from "../model/auditFile.ts";
import { incidentsOf, tooOften, type ShippedKind } from "./assumptions.ts";
import { modelOf, type Model } from "./model.ts";
import { playAll, type Tally } from "./play.ts";
import { rareChances, type Rare } from "./rare.ts";
import { playerOf, simulationOf, type Simulation } from "./simulate.ts";

/** The outings of a file, played. */
export interface Played {
  readonly run: Simulation;
  readonly rare: readonly Rare[];
  readonly model: Model;
  readonly tally: Tally;
}

/**
 * Plays a file's outings on one thread, the rare ones weighed.
 * @param kinds the shipped kinds, for a file without assumptions of its own
 */
export function played(
  file: AuditFile,
  today: string,
  { trips, seed }: { readonly trips: number; readonly seed: number },
  catalogue: Catalogue,
  kinds: readonly ShippedKind[],
): Outcome<Played> {
  const incidents = incidentsOf(file, kinds);
  const often = tooOften(incidents, file.brief);
  if (often.length > 0) return fail([problem("incidents", "outing-too-large", { kinds: often })]);
  const model = modelOf(file, incidents, today, catalogue);
  const tally = playAll(playerOf(model), seed, trips);
  const run = simulationOf(model, tally, seed);
  return { ok: true, value: { run, rare: rareChances(model, run, seed), model, tally } };
}
