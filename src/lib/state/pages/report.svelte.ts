import { plain } from "../plain.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { INCIDENT_KINDS } from "../../data/incidents.ts";
import { chanceBlocks, REPORT_SEED, REPORT_TRIPS } from "../../report/chanceBlocks.ts";
import { incidentsOf } from "../../core/chance/assumptions.ts";
import { ChanceRun } from "../../workers/chanceRun.svelte.ts";
import { logBlocks } from "../../report/logBlocks.ts";
import { emptyBag } from "../../core/compare/emptyBag.ts";
import type { PlanRequest } from "../../core/plan/request.ts";
import { kitReport, type ReportExtras, type ReportPlan } from "../../report/kitReport.ts";
import { reviewData } from "../../report/reviewData.ts";
import type { PlanShown } from "../../workers/protocol.ts";
import { PlanRun } from "../../workers/planRun.svelte.ts";
import { eventText } from "../../words/eventTexts.ts";
import { day } from "../../words/sentences.ts";
import { lineName, type KitState } from "../kit.svelte.ts";
import { workspace } from "../workspace.svelte.ts";

/** The report of a kit, with the plan that makes it ready and what one's own would cost. */
export class ReportState {
  readonly kit: KitState;
  readonly #ready: () => { readonly plan: PlanShown | null; readonly request: PlanRequest | null };
  readonly #own = new PlanRun();
  /** @param ready the cheapest plan to Ready and what was asked for it, once known */
  constructor(
    kit: KitState,
    ready: () => { readonly plan: PlanShown | null; readonly request: PlanRequest | null },
  ) {
    this.kit = kit;
    this.#ready = ready;
  }

  title = $derived.by(() => this.kit.record?.kit.name ?? "kit");
  plan = $derived.by((): ReportPlan | null => {
    const { plan } = this.#ready();
    return plan && plan.status !== "infeasible"
      ? {
          actions: plan.actions,
          price: plan.price,
          currency: this.kit.currency,
          gradeAfter: plan.grade,
          coverageAfter: plan.coverage,
          proven: plan.status === "optimal",
          unmet: plan.unmet,
        }
      : null;
  });
  #log = $derived.by(() => logBlocks(this.kit.whole, workspace.today, CATALOGUE));
  #chance = new ChanceRun();
  #lasts = $derived.by(() => {
    const { run, rare, stale } = this.#chance;
    const { record, audit } = this.kit;
    return run && !stale ? chanceBlocks(audit, run, rare, record?.incidents) : [];
  });
  #extras = $derived.by((): ReportExtras => {
    const own = this.#own.result;
    return {
      verdicts: this.kit.record?.verdicts ?? {},
      photos: this.kit.photos.map((p) => ({ ...p, said: this.#said(p.event) })),
      inspector: this.kit.record?.inspector ?? "",
      log: this.#log,
      chance: this.#lasts,
      history: this.kit.record?.history ?? [],
      pending: this.#ready().plan === null,
      buildOwn:
        own && own.status !== "infeasible" ? { price: own.price, massG: own.carriedMassG } : null,
    };
  });
  /** An event of the log in words, with its day. */
  #said(id: string | undefined): string | undefined {
    const e = id && this.kit.record?.events?.find((x) => x.id === id);
    if (!e) return undefined;
    const nameOf = (line: string) => {
      const l = this.kit.replayed.lines.find((x) => x.id === line);
      return l ? lineName(l, this.kit.typeOf(l.itemType ?? "")?.label) : line;
    };
    return `${day(e.on)}: ${eventText(e, nameOf)}`;
  }
  blocks = $derived.by(() => kitReport(this.kit.audit, this.plan, this.#extras, workspace.today));
  /** Whether something of it is still being worked out. */
  working = $derived.by(() => this.#own.running !== null || this.#chance.stale);

  /** For an effect: once the plan of the kit is there, the one from an empty bag is sought too. */
  askOwn(): void {
    const { plan, request } = this.#ready();
    if (plan && request) this.#own.ask({ ...request, audit: emptyBag(request.audit) }, 0);
  }
  /** For an effect: the outings are played anew whenever what they rest on changes. */
  askChance(): void {
    const { file, book } = this.kit;
    const asked = plain(file);
    this.#chance.ask({
      file: asked,
      incidents: incidentsOf(asked, INCIDENT_KINDS),
      today: workspace.today,
      book: plain(book),
      trips: REPORT_TRIPS,
      seed: REPORT_SEED,
      only: true,
    });
  }
  /** schema.org data of the report. */
  data(): object | null {
    return reviewData(this.kit.audit, this.plan, this.#extras, workspace.today);
  }
  dispose(): void {
    this.#own.dispose();
    this.#chance.stop();
  }
}
