import type { Catalogue } from "../catalogue/catalogue.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Incidents } from "../model/incident.ts";
import { modelOf } from "./model.ts";
import { simulate } from "./simulate.ts";

/** What the chance hangs on: one assumption at its low and at its high, all else in the middle. */
export interface Swing {
  readonly kind: string;
  readonly low: number;
  readonly high: number;
}

/** The widest first is what is worth arguing about. Played on the same random numbers. */
export function* tornado(
  file: AuditFile,
  incidents: Incidents,
  today: string,
  catalogue: Catalogue,
  trips: number,
  seed: number,
): Generator<Swing> {
  for (const k of incidents.kinds) {
    if (k.low === undefined || k.high === undefined) continue;
    const at = (per1000: number): number => {
      const kinds = incidents.kinds.map((x) => (x === k ? { ...x, per1000 } : x));
      return simulate(modelOf(file, { ...incidents, kinds }, today, catalogue), trips, seed).lasts
        .high;
    };
    yield { kind: k.id, low: at(k.low), high: at(k.high) };
  }
}
