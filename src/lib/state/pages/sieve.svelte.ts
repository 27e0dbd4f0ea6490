import { audit } from "../../core/audit/audit.ts";
import type { Category } from "../../core/model/functionRecord.ts";
import type { Tier } from "../../core/model/list.ts";
import type { Mesh } from "../../core/model/mesh.ts";
import { replacementPrice } from "../../core/plan/replacement.ts";
import { composition } from "../../core/shown/composition.ts";
import { needToShow } from "../../core/shown/needToShow.ts";
import { qualityBins, worstLines } from "../../core/shown/qualities.ts";
import { tierTotals } from "../../core/shown/tierTotals.ts";
import { applyTrials, type Trial } from "../../core/whatIf/trial.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import type { KitState } from "../kit.svelte.ts";
import { workspace } from "../workspace.svelte.ts";

/** Kinds named in the chart of what the kit is made of. */
const KINDS_SHOWN = 12;
const WORST_SHOWN = 6;
const NEXT_SHOWN = 5;

/** The sieve: the audit, what of it is shown, and changes that are looked at before they are kept. */
export class SieveState {
  readonly kit: KitState;
  trials = $state.raw<readonly { readonly trial: Trial; readonly label: string }[]>([]);
  category = $state<Category | "all">("all");
  tiers = $state<Record<Tier, boolean>>({ vital: true, core: true, useful: true });
  mesh = $state<Mesh | "pan" | "all">("all");
  /** On a narrow screen one category at a time. */
  narrow = $state<Category | null>(null);
  picked = $state<number | null>(null);

  constructor(kit: KitState) {
    this.kit = kit;
  }

  #trialFile = $derived.by(() =>
    applyTrials(
      this.kit.file,
      this.trials.map((t) => t.trial),
    ),
  );
  /** The audit as it is, or as it would be with what is tried. */
  audit = $derived.by(() =>
    this.trials.length > 0 ? audit(this.#trialFile, workspace.today, CATALOGUE) : this.kit.audit,
  );
  byTier = $derived.by(() => tierTotals(this.audit));
  view = $derived.by(() => ({
    ...(this.category === "all" ? {} : { categories: [this.category] }),
    keep: (i: number) =>
      this.tiers[this.audit.context.needs[i]!.tier] &&
      (this.mesh === "all" || this.audit.needs[i]!.restsOn === this.mesh),
  }));
  /** To begin with the category that loses most. */
  narrowCategory = $derived.by(() => {
    const { categories } = this.audit;
    return categories.some((c) => c.id === this.narrow)
      ? this.narrow!
      : [...categories].sort((x, y) => x.coverage - y.coverage)[0]?.id;
  });
  shown = $derived.by(() =>
    this.picked !== null && this.picked < this.audit.needs.length
      ? this.picked
      : needToShow(this.audit),
  );
  bins = $derived.by(() => qualityBins(this.kit.lines, CATALOGUE));
  inspected = $derived.by(() => this.bins.reduce((s, n) => s + n, 0));
  made = $derived.by(() => composition(this.audit, KINDS_SHOWN));
  worst = $derived.by(() => worstLines(this.kit.lines, CATALOGUE, WORST_SHOWN));
  replacement = $derived.by(() => replacementPrice(this.audit, this.kit.book));
  next = $derived.by(() => this.kit.worth.slice(0, NEXT_SHOWN));

  try(trial: Trial, label: string): void {
    this.trials = [...this.trials, { trial, label }];
  }

  keepTrials(): void {
    const { kit: tried, houseRules } = this.#trialFile;
    const labels = this.trials.map((t) => t.label).join(", ");
    this.kit.update(`keep ${labels}`.slice(0, 200), (r) => ({
      ...r,
      kit: { ...r.kit, lines: tried.lines },
      houseRules: houseRules ?? r.houseRules,
    }));
    this.trials = [];
  }
}
