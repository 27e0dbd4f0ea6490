import { fitInto, type Fit, type Misfit } from "../../core/bag/fit.ts";
import { numberedId } from "../../core/base/freeId.ts";
import type { Compartment } from "../../core/model/container.ts";
import type { Line } from "../../core/model/kit.ts";
import type { KitRecord } from "../../core/records/kitRecord.ts";
import { boughtLine } from "../../core/plan/candidates.ts";
import { litres, number } from "../../words/sentences.ts";
import type { PlanShown } from "../../workers/protocol.ts";
import { lineName, type KitState } from "../kit.svelte.ts";
import { workspace } from "../workspace.svelte.ts";

/** A compartment that is measured for the first time is taken to be about so large, mm. */
const FIRST_GUESS_MM: readonly [number, number, number] = [100, 100, 50];

/** The bag from outside and its compartments, with what lies in each. */
export class OutsideState {
  readonly kit: KitState;
  readonly #plan: () => PlanShown | null;
  /** @param plan what would make the kit ready, once it is known */
  constructor(kit: KitState, plan: () => PlanShown | null) {
    this.kit = kit;
    this.#plan = plan;
  }
  /** With the additions of the plan: each goes where its kind lies, else into the first. */
  withPlan = $state(false);

  bag = $derived.by(() => this.kit.container);
  compartments = $derived.by(() => this.bag.compartments ?? []);
  #bought = $derived.by((): Line[] => {
    const plan = this.#plan();
    if (!this.withPlan || !plan || plan.status === "infeasible") return [];
    return plan.actions.flatMap((x) =>
      "product" in x ? [boughtLine(x.product, x.packs, workspace.today)] : [],
    );
  });
  fits = $derived.by((): { readonly c: Compartment; readonly count: number; readonly fit: Fit }[] =>
    this.compartments.map((c) => {
      const lines = [
        ...this.kit.lines.filter((l) => l.compartment === c.id),
        ...this.#bought.filter((l) => this.#homeOf(l) === c.id),
      ];
      const laid = lines.map((line) => ({ line, type: this.#typeOf(line) ?? null }));
      return { c, count: lines.length, fit: fitInto(c, laid) };
    }),
  );
  /** Lines that lie in no compartment yet. */
  unplaced = $derived.by(() => this.kit.lines.filter((l) => l.compartment === undefined).length);

  #typeOf(line: Line) {
    return line.itemType ? this.kit.typeOf(line.itemType) : undefined;
  }
  #homeOf(bought: Line): string | undefined {
    const same = this.kit.lines.find((l) => l.itemType === bought.itemType && l.compartment);
    return same?.compartment ?? this.compartments[0]?.id;
  }
  nameOf = (id: string): string => {
    const l = [...this.kit.lines, ...this.#bought].find((x) => x.id === id);
    return l ? lineName(l, this.#typeOf(l)?.label) : id;
  };
  misfitText(m: Misfit): string {
    const cm = (mm: number) => number(mm / 10, 1);
    const sides = (mm: readonly number[]) => mm.map(cm).join(" × ");
    switch (m.code) {
      case "too-long":
        return `${this.nameOf(m.line)} is rigid and ${cm(m.lengthMm)} cm long; the longest way across is ${cm(m.roomMm)} cm.`;
      case "folded":
        return `${this.nameOf(m.line)} (${sides(m.sidesMm)} cm) goes in only folded, and a fold may spoil it; the largest face is ${sides(m.roomMm)} cm.`;
      case "too-full":
        return `All together takes ${litres(m.neededMl)}; about ${litres(m.roomMl)} can be used.`;
    }
  }

  answer(point: string, what: string, good: boolean): void {
    this.kit.updateContainer(`the outside: ${what.toLowerCase()}`, {
      points: { ...this.bag.points, [point]: good },
    });
  }
  /** What lies in a compartment is reached as the compartment is. */
  change(
    id: string,
    label: string,
    patch: Partial<Compartment>,
    mergeKey: string | null = null,
  ): void {
    const compartments = this.compartments.map((c) => (c.id === id ? { ...c, ...patch } : c));
    const { place } = patch;
    this.kit.updateLines(
      label,
      (lines) => lines.map((l) => (l.compartment === id && place ? { ...l, location: place } : l)),
      mergeKey,
      withCompartments(compartments),
    );
  }
  /** One inner side in cm, a measure that is taken away stays as it was. */
  setInner(c: Compartment, at: 0 | 1 | 2, cm: number | undefined): void {
    const innerMm: [number, number, number] = [...(c.innerMm ?? FIRST_GUESS_MM)];
    if (cm !== undefined) innerMm[at] = cm * 10;
    const label = `inner size of ${c.name || "a compartment"}`;
    this.change(c.id, label, { innerMm }, `inner ${c.id} ${at}`);
  }
  add(): void {
    const taken = new Set(this.compartments.map((c) => c.id));
    const id = numberedId("c", this.compartments.length + 1, taken);
    const compartments = [...this.compartments, { id, name: "", place: "pocket" as const }];
    this.kit.updateContainer("add a compartment", { compartments });
  }
  /** Its lines stay in the kit and lie nowhere in particular. */
  remove(c: Compartment): void {
    this.kit.updateLines(
      `remove ${c.name || "a compartment"}`,
      (lines) =>
        lines.map((l) => {
          if (l.compartment !== c.id) return l;
          const { compartment: _, ...rest } = l;
          return rest;
        }),
      null,
      withCompartments(this.compartments.filter((x) => x.id !== c.id)),
    );
  }
}

const withCompartments = (compartments: Compartment[]) => (r: KitRecord) => ({
  ...r,
  kit: { ...r.kit, container: { ...r.kit.container, compartments } },
});
