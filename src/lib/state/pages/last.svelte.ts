import { assumptionsFor, briefFactor } from "../../core/chance/assumptions.ts";
import { parseIncidents, writeIncidents } from "../../core/formats/incidentTable.ts";
import { learnedRates } from "../../core/log/rates.ts";
import { ratesByCategory } from "../../core/chance/assumptions.ts";
import type { IncidentKind, Incidents } from "../../core/model/incident.ts";
import type { ChanceAt } from "../../core/model/houseRules.ts";
import { againstList, type AgainstList } from "../../core/chance/againstList.ts";
import type { Simulation } from "../../core/chance/simulate.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { INCIDENT_KINDS } from "../../data/incidents.ts";
import type { KitState } from "../kit.svelte.ts";
import { workspace } from "../workspace.svelte.ts";

/** A need by list and by chance, with its name. */
export interface AskedBoth extends AgainstList {
  readonly label: string;
}

/** Will it last? The assumptions of a kit's outings and what is read off their answers. */
export class LastState {
  readonly kit: KitState;
  constructor(kit: KitState) {
    this.kit = kit;
  }

  shipped = $derived.by(() => assumptionsFor(this.kit.brief, INCIDENT_KINDS));
  incidents = $derived.by((): Incidents => this.kit.record?.incidents ?? this.shipped);
  own = $derived.by(() => this.kit.record?.incidents !== undefined);
  /** Incidents expected on one outing. */
  expected = $derived.by(
    () =>
      this.incidents.kinds.reduce((s, k) => s + k.per1000 / 1000, 0) *
      this.kit.brief.people *
      this.kit.brief.days,
  );

  /** Why a shipped figure is what it is; empty for kinds of the user's own. */
  aboutOf(id: string): { why: string; sure: string; factor: number } {
    const shipped = INCIDENT_KINDS.find((k) => k.id === id);
    return shipped
      ? { why: shipped.why, sure: shipped.sure, factor: briefFactor(shipped, this.kit.brief) }
      : { why: "", sure: "", factor: 1 };
  }

  #keep(label: string, incidents: Incidents | undefined, mergeKey: string | null = null): void {
    this.kit.update(
      label,
      ({ incidents: _, ...r }) => (incidents ? { ...r, incidents } : r),
      mergeKey,
    );
  }

  change(id: string, patch: Partial<IncidentKind>): void {
    const { incidents } = this;
    const kinds = incidents.kinds.map((k) => (k.id === id ? { ...k, ...patch } : k));
    this.#keep("an assumption", { ...incidents, kinds }, `assume ${id}`);
  }
  helpersLeave(on: boolean): void {
    this.#keep("whether helpers leave", { ...this.incidents, helpersLeave: on });
  }
  reset(): void {
    this.#keep("the shipped assumptions", undefined);
  }

  /** The rates that the kit's own log teaches, in place of what was assumed. */
  learned = $derived.by(() =>
    learnedRates(
      this.kit.record?.events ?? [],
      this.kit.brief,
      ratesByCategory(this.shipped),
    ).filter((r) => r.incidents > 0),
  );
  takeLearned(): void {
    const factor = new Map(this.learned.map((r) => [r.category, r.mean / r.assumed]));
    this.#keep("the log's rates", {
      ...this.shipped,
      learnedOn: workspace.today,
      kinds: this.shipped.kinds.map((k) => {
        const f = factor.get(k.category) ?? 1;
        return { ...k, per1000: Number((k.per1000 * f).toPrecision(4)) };
      }),
    });
  }

  load(text: string, name: string): void {
    const read = parseIncidents(text);
    if (!read.ok) {
      workspace.say(`${name} was not taken in.`, true, read.problems);
      return;
    }
    const unknown = read.value.kinds
      .flatMap((k) => k.asks.map((a) => a.function))
      .find((f) => !CATALOGUE.functions.has(f));
    if (unknown) {
      workspace.say(`${name} was not taken in: there is no function '${unknown}'.`, true);
      return;
    }
    this.#keep(`assumptions of ${name}`, read.value);
    workspace.sayDone(
      `${read.value.kinds.length} kinds of incident taken in. Undo brings the former back.`,
    );
  }
  csv(): string {
    return writeIncidents(this.incidents);
  }

  /** Needs that incidents ask for, with what the list asks and what chance says. */
  both(run: Simulation): AskedBoth[] {
    return againstList(this.kit.audit, run).map((r) => ({
      ...r,
      label: functionLabel(r.need.function),
    }));
  }

  /** Takes the quantities from chance from now on, or from the list again. */
  quantitiesBy(at: ChanceAt | null): void {
    const label = at === null ? "quantities by the list" : "quantities by chance";
    this.kit.update(label, (r) => {
      const { chanceAt: _, ...rules } = r.houseRules;
      const by =
        at === null
          ? { quantities: "list" as const }
          : { quantities: "chance" as const, chanceAt: at };
      return { ...r, houseRules: { ...rules, ...by } };
    });
  }
}

/** What a function is called. */
export const functionLabel = (id: string): string => CATALOGUE.functions.get(id)?.label ?? id;
