import { plain } from "../plain.ts";
import { untrack } from "svelte";
import { judged, type Contender, type Judge, type KitRow } from "../../core/compare/compareKits.ts";
import { emptyBag } from "../../core/compare/emptyBag.ts";
import type { ReadyCost } from "../../core/compare/readyCost.ts";
import { NO_LIMITS } from "../../core/plan/limits.ts";
import { setRecord } from "../../core/records/setRecord.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import type { Block } from "../../report/blocks.ts";
import { comparisonReport } from "../../report/comparisonReport.ts";
import { CompareRun } from "../../workers/compareRun.svelte.ts";
import { PlanRun } from "../../workers/planRun.svelte.ts";
import { newKey } from "../newKey.ts";
import { workspace } from "../workspace.svelte.ts";
import { sortRows, type Column } from "./sortRows.ts";

/** Stands among the kits for one that is built from an empty bag. */
const BUILD_YOUR_OWN = "build-your-own";

/** Columns that are read from small to large first. */
const RISING: ReadonlySet<string> = new Set(["name", "price", "mass"]);

/** Kits side by side under one judge: audits in a worker, then what each costs to make ready. */
export class CompareState {
  /** Kits left out, by id. */
  left = $state<Record<string, boolean>>({});
  judgeId = $state<string | null>(null);
  wantSchools = $state(false);
  sortBy = $state("coverage");
  down = $state(true);
  /** Cost to ready by kit; null: no plan does it. What was asked under another judge is forgotten. */
  ready = $state.raw<ReadonlyMap<string, ReadyCost | null>>(new Map());
  queue = $state.raw<readonly string[]>([]);
  readonly compared = new CompareRun();
  readonly #plans = new PlanRun();

  chosen = $derived.by(() => workspace.kits.filter((k) => !this.left[k.id]));
  judgeKit = $derived.by(
    () => workspace.kits.find((k) => k.id === this.judgeId) ?? workspace.kits[0],
  );
  judge = $derived.by((): Judge | null => {
    const brief = this.judgeKit && workspace.brief(this.judgeKit.briefId)?.brief;
    return this.judgeKit && brief
      ? {
          brief,
          list: this.judgeKit.list,
          houseRules: this.judgeKit.houseRules,
          byChance: workspace.auditOf(this.judgeKit, brief).byChance,
        }
      : null;
  });
  contenders = $derived.by((): Contender[] =>
    this.chosen.flatMap((k) => {
      const brief = workspace.brief(k.briefId)?.brief;
      return brief ? [{ id: k.id, file: workspace.auditOf(k, brief) }] : [];
    }),
  );
  currency = $derived.by(() => workspace.priceBook.currency);
  columns = $derived.by((): readonly Column<KitRow>[] => [
    ["name", "kit", (r) => r.name],
    ["coverage", "coverage", (r) => r.coverage],
    ["price", "price", (r) => r.price],
    ["mass", "weight", (r) => r.massG],
    ["volume", "volume", (r) => r.volumeMl],
    ["quality", "quality", (r) => r.quality],
    ["serving", "pieces that serve", (r) => (r.pieces > 0 ? r.serving / r.pieces : null)],
    ["point", "a point costs", (r) => r.pricePerPoint],
    ["ready", "to make ready", (r) => this.ready.get(r.id)?.price ?? null],
    ["all", "ready, in all", (r) => this.inAll(r)],
  ]);
  sorted = $derived.by(() =>
    sortRows(this.compared.rows, this.columns.find(([id]) => id === this.sortBy)![2], this.down),
  );
  cheapest = $derived.by(() => leastBy(this.compared.rows, (r) => this.inAll(r)));
  lightest = $derived.by(() =>
    leastBy(this.compared.rows, (r) => this.ready.get(r.id)?.massG ?? null),
  );
  own = $derived.by(() => this.ready.get(BUILD_YOUR_OWN));

  /** What a kit costs with all that makes it ready; null: not known, or in another currency. */
  inAll(r: KitRow): number | null {
    const cost = this.ready.get(r.id);
    return cost && r.price !== null && r.currency === this.currency ? cost.price + r.price : null;
  }

  sort(id: string): void {
    if (this.sortBy === id) this.down = !this.down;
    else {
      this.sortBy = id;
      this.down = !RISING.has(id);
    }
  }

  /** Asks the worker; for an effect that follows the question. */
  askRows(): void {
    if (!this.judge) return;
    this.compared.ask({
      contenders: plain(this.contenders),
      judge: plain(this.judge),
      today: workspace.today,
      book: plain(workspace.priceBook),
      schools: this.wantSchools,
    });
  }

  /** For an effect: another judge or other kits make the plans stale. */
  forgetPlans(): void {
    void this.judge;
    void this.contenders;
    untrack(() => {
      this.ready = new Map();
      this.stopPlans();
    });
  }

  workOut(): void {
    this.queue = [...this.contenders.map((c) => c.id), BUILD_YOUR_OWN];
    this.#nextPlan();
  }

  stopPlans(): void {
    this.queue = [];
    this.#plans.stop();
  }

  #nextPlan(): void {
    const id = this.queue[0];
    if (!id || !this.judge || this.contenders.length === 0) return;
    const source = this.contenders.find((c) => c.id === id)?.file ?? this.contenders[0]!.file;
    const file = judged(id === BUILD_YOUR_OWN ? emptyBag(source) : source, this.judge);
    this.#plans.ask(
      {
        audit: plain(file),
        catalogue: CATALOGUE,
        book: workspace.priceBook,
        question: "cheapest",
        target: "ready",
        limits: NO_LIMITS,
        keep: [],
        today: workspace.today,
      },
      0,
    );
  }

  /** For an effect that follows the plan under way: its answer is kept and the next one asked. */
  takeAnswer(): void {
    const { result, failure } = this.#plans;
    const id = this.queue[0];
    if (!id || (!result && !failure)) return;
    untrack(() => {
      const cost =
        result && result.status !== "infeasible"
          ? { price: result.price, massG: result.carriedMassG }
          : null;
      this.ready = new Map([...this.ready, [id, cost]]);
      this.queue = this.queue.slice(1);
      this.#plans.result = null;
      this.#nextPlan();
    });
  }

  /** The kits chosen as a set that goes out together. Gives the set's key. */
  makeSet(): string | null {
    if (!this.judgeKit) return null;
    const title = this.chosen
      .map((k) => k.kit.name)
      .join(" + ")
      .slice(0, 300);
    const members = this.chosen.map((k) => ({ kit: k.id, count: 1 }));
    const key = newKey();
    workspace.edit("make a set", [setRecord(key, { title, judgedBy: this.judgeKit.id, members })]);
    return key;
  }

  /** The comparison as a report to publish. */
  report(): Block[] {
    if (!this.judge) return [];
    return comparisonReport({
      rows: this.compared.rows,
      judge: this.judge,
      currency: this.currency,
      ready: this.ready,
      own: this.own ?? null,
      madeOn: workspace.today,
    });
  }

  dispose(): void {
    this.compared.dispose();
    this.#plans.dispose();
  }
}

function leastBy(rows: readonly KitRow[], of: (r: KitRow) => number | null) {
  let least: { readonly r: KitRow; readonly v: number } | undefined;
  for (const r of rows) {
    const v = of(r);
    if (v !== null && (!least || v < least.v)) least = { r, v };
  }
  return least;
}
