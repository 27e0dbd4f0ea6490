import { atOnce } from "../base/atOnce.ts";
import { canonical, hash8 } from "../base/canonical.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { ByChance } from "../model/byChance.ts";
import type { Incidents } from "../model/incident.ts";
import { schools } from "../model/houseRules.ts";
import { askedNeeds } from "../reference/asked.ts";
import { incidentsOf, tooOften, type ShippedKind } from "./assumptions.ts";
import { modelOf } from "./model.ts";
import { playing } from "./play.ts";
import { playerOf, simulationOf } from "./simulate.ts";

/**
 * The house rule *quantities by chance*: what suffices in so many of 100 outings, worked out from brief, list
 * and assumptions alone. What lies in the kit does not enter: stand-ins are left aside.
 */

/** Outings enough to know the hundredth of them: 200 lie beyond the 99 of 100. */
const TRIPS = 20_000;
const SEED = 1;

/** Any day will do: with nothing in the kit no date passes. */
const NO_DAY = "2000-01-01";

/** The file with an empty kit, its quantities by the list. */
const bare = (file: AuditFile): AuditFile => {
  const { events: _, byChance: __, ...rest } = file;
  return {
    ...rest,
    brief: { ...file.brief, carriedElsewhere: [] },
    houseRules: { ...file.houseRules, quantities: "list" },
    kit: { ...file.kit, lines: [] },
  };
};

/** Hash of all that the quantities rest on. */
function inputsOf(file: AuditFile, incidents: Incidents, catalogue: Catalogue): string {
  const { people, days, hoursToCare } = file.brief;
  const asked = askedNeeds(file.list.needs, file.brief, schools(file.houseRules), catalogue);
  const needs = asked.map((n) => [n.need.id, n.need.function, n.tier]);
  return hash8(canonical([needs, people, days, hoursToCare, incidents]));
}

/** What suffices, by need that the assumptions ask anything of; none where more happens than can be played. */
function* workedOut(
  file: AuditFile,
  incidents: Incidents,
  catalogue: Catalogue,
): Generator<null, ByChance["enough"]> {
  if (tooOften(incidents, file.brief).length > 0) return {};
  const model = modelOf(bare(file), incidents, NO_DAY, catalogue);
  const run = simulationOf(model, yield* playing(playerOf(model), SEED, TRIPS), SEED);
  return Object.fromEntries(
    run.needs.filter((n) => n.meanAsked > 0).map((n) => [n.id, n.enough] as const),
  );
}

/** The last few answers: brief and lists change far more seldom than kits are judged. */
const REMEMBERED = 50;
const remembered = new Map<string, ByChance>();

/** What suffices by chance on the outings of a file. Worked out once for equal outings: some 50 ms. */
export const quantitiesByChance = (
  file: AuditFile,
  catalogue: Catalogue,
  kinds: readonly ShippedKind[],
): ByChance => atOnce(quantitiesInSteps(file, catalogue, kinds));

/** The same in short steps, for a page that answers in between. */
export function* quantitiesInSteps(
  file: AuditFile,
  catalogue: Catalogue,
  kinds: readonly ShippedKind[],
): Generator<null, ByChance> {
  const incidents = incidentsOf(file, kinds);
  const inputs = inputsOf(file, incidents, catalogue);
  if (file.byChance?.inputs === inputs) return file.byChance;
  const known = remembered.get(inputs);
  if (known) return known;
  const byChance: ByChance = { inputs, enough: yield* workedOut(file, incidents, catalogue) };
  if (remembered.size >= REMEMBERED) remembered.delete(remembered.keys().next().value!);
  remembered.set(inputs, byChance);
  return byChance;
}

/** The file with the quantities that its house rules take from chance; as it is where they take none. */
export function withQuantities(
  file: AuditFile,
  catalogue: Catalogue,
  kinds: readonly ShippedKind[],
): AuditFile {
  if (file.houseRules?.quantities !== "chance") return file;
  return { ...file, byChance: quantitiesByChance(file, catalogue, kinds) };
}
