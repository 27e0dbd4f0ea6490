import { carryCheck } from "../../core/bag/carryCheck.ts";
import type { Axis } from "../../core/plan/frontier.ts";
import type { Question } from "../../core/plan/request.ts";
import type { Stage } from "../../core/plan/stages.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { grams, litres, money, number } from "../../words/sentences.ts";
import { questionLabel } from "../../words/planTexts.ts";
import { carryAfterText } from "../../words/carryTexts.ts";
import { PlanRun } from "../../workers/planRun.svelte.ts";
import { lineName, type KitState } from "../kit.svelte.ts";
import { workspace } from "../workspace.svelte.ts";
import { planRequestOf } from "./planRequest.ts";

/** A wish is being changed: the planner starts when the hand rests. */
const PAUSE_MS = 250;

/** What the plan of a kit is asked, and the run that answers. */
export class PlanState {
  readonly kit: KitState;
  readonly run = new PlanRun();
  constructor(kit: KitState) {
    this.kit = kit;
  }

  planned = $derived.by(
    () => this.kit.record?.plan ?? { question: "cheapest" as const, budget: null },
  );
  question = $derived.by(() => this.planned.question);
  /** The audit's currency where the price book cannot be written in it; null: one currency. */
  otherCurrency = $derived.by(() => (this.kit.noRate ? this.kit.wantedCurrency : null));
  request = $derived.by(() =>
    planRequestOf(this.planned, this.kit.file, this.kit.book, workspace.today, CATALOGUE),
  );
  plan = $derived.by(() => this.run.result);
  solved = $derived.by(() => (this.plan && this.plan.status !== "infeasible" ? this.plan : null));
  target = $derived.by(() =>
    this.planned.target === undefined
      ? "Ready"
      : `${number(this.planned.target * 100, 1)} % covered`,
  );

  /** What the plan does to whether the kit is carried; "": nothing new. */
  carryAfter = $derived.by(() => {
    if (!this.solved) return "";
    const { file, load } = this.kit;
    const added = this.solved.carriedVolumeMl - load.volumeMl;
    const after = { massG: this.solved.carriedMassG, volumeMl: this.solved.carriedVolumeMl };
    return carryAfterText(carryCheck(file, load), carryCheck(file, after, Math.max(0, added)));
  });

  /** For an effect: a run started anew whenever what it rests on changes. */
  start(): void {
    if (this.otherCurrency === null) this.run.ask(this.request, PAUSE_MS);
  }
  needName = (id: string): string => {
    const need = this.kit.audit.context.needs.find((n) => n.need.id === id)?.need;
    return CATALOGUE.functions.get(need?.function ?? "")?.label ?? id;
  };
  lineLabel = (id: string): string => {
    const at = this.kit.audit.context.lines.find((l) => l.line.id === id);
    return at ? lineName(at.line, at.type?.label) : id;
  };
  titleOf = (id: string): string => this.kit.book.products.find((p) => p.id === id)?.title ?? id;
  /** Where the plan shown stands on an axis of the frontier; null: nowhere. */
  chosenOn(axis: Axis): number | null {
    const { limits } = this.request;
    if (this.question === "best") return axis === "budget" ? limits.budget : limits.massG;
    return axis === "budget" && this.solved ? this.solved.price : null;
  }
  /** A value of the stage that the solver is at, in what that stage counts. */
  stageValue(stage: Stage, n: number): string {
    if (stage === "price" || stage === "owning") return money(n, this.kit.currency);
    if (stage === "volume") return litres(n);
    return stage === "mass" ? grams(n) : `${number(n, 1)} %`;
  }

  ask(question: Question): void {
    this.kit.update(
      questionLabel(question, this.target).replace(/^[A-Z]/, (x) => x.toLowerCase()),
      (r) => ({ ...r, plan: { ...r.plan, question } }),
    );
  }
  /** A point of the frontier becomes the limit of the best plan. */
  pick(axis: Axis, limit: number): void {
    if (axis === "budget")
      this.kit.update(
        "budget of the plan",
        (r) => ({ ...r, plan: { ...r.plan, question: "best", budget: limit } }),
        "budget",
      );
    else {
      if (this.question !== "best") this.ask("best");
      const limits = { ...this.kit.brief.limits, massG: limit };
      this.kit.updateBrief("weight limit", { limits }, "mass");
    }
  }
  exclude(id: string, title: string): void {
    this.kit.update(`not ${title}`, (r) => ({
      ...r,
      plan: { ...r.plan, exclude: [...(r.plan.exclude ?? []), id] },
    }));
  }
  keep(id: string): void {
    this.kit.update(`always carry ${this.lineLabel(id)}`, (r) => ({
      ...r,
      plan: { ...r.plan, keep: [...(r.plan.keep ?? []), id] },
    }));
  }
}
