import { packingFindings } from "../../core/audit/packing.ts";
import { defined } from "../../core/base/defined.ts";
import { carryCheck, type CarryFinding, type CarryQuestion } from "../../core/bag/carryCheck.ts";
import type { Carried, CarryPlace } from "../../core/model/container.ts";
import { BAG_POINTS } from "../../core/bag/bag.ts";
import { labelsFor } from "../../core/labels/labels.ts";
import { LABEL_SHEETS } from "../../core/labels/sheets.ts";
import type { KitState } from "../kit.svelte.ts";
import { workspace } from "../workspace.svelte.ts";

/** How a kit is packed, how its bag wears, and the labels that it wants. */
export class LabelsState {
  readonly kit: KitState;
  constructor(kit: KitState) {
    this.kit = kit;
  }
  sheetId = $state(LABEL_SHEETS[0]!.id);
  /** Labels that are gone from the first sheet. */
  used = $state(0);
  finding = $state("");

  compartments = $derived.by(() => this.kit.container.compartments ?? []);
  findings = $derived.by(() => packingFindings(this.kit.audit));
  labels = $derived.by(() =>
    this.kit.record ? labelsFor(this.kit.record.kit, this.compartments, this.kit.typeOf) : [],
  );
  sheet = $derived.by(() => LABEL_SHEETS.find((s) => s.id === this.sheetId)!);
  looks = $derived.by(() => this.kit.container.looks ?? []);
  answered = $derived.by(() => Object.keys(this.kit.container.points ?? {}).length);

  carry = $derived.by(() => carryCheck(this.kit.file, this.kit.load));
  /** Days of the last two weeks that it stayed at home, and why. */
  daysAtHome = $state<number | undefined>(undefined);
  whyAtHome = $state("");

  #setCarried(label: string, patch: Partial<Carried>, mergeKey: string | null = null): void {
    const carried = defined({ ...this.kit.container.carried, ...patch });
    this.kit.updateContainer(label, { carried }, mergeKey);
  }
  setPlace(place: CarryPlace): void {
    // Answers and figures are of the place they were tried at.
    this.#setCarried("where it is carried", { place, answers: undefined, figures: undefined });
  }
  answerCarry(question: CarryQuestion, good: boolean): void {
    const answers = { ...this.kit.container.carried?.answers, [question]: good };
    this.#setCarried("how it is carried", { answers });
  }
  /** A figure of one's own; undefined takes the planning figure again. Of thickness and width in mm. */
  setFigure(of: CarryFinding["of"], value: number | undefined): void {
    const key = ({ thickness: "thicknessMm", width: "widthMm", mass: "massG" } as const)[of];
    const figures = defined({ ...this.kit.container.carried?.figures, [key]: value });
    this.#setCarried("what the place bears", { figures }, `carry ${key}`);
  }
  setOuter(at: 0 | 1 | 2, mm: number | undefined): void {
    const now = this.kit.container.outerMm;
    if (mm === undefined) return;
    const outerMm: [number, number, number] = [...(now ?? ([mm, mm, mm] as const))];
    outerMm[at] = mm;
    this.kit.updateContainer("outer size of the bag", { outerMm }, `outer ${at}`);
  }
  /** Keeps how two weeks of carrying it went. */
  recordWorn(): void {
    if (this.daysAtHome === undefined) return;
    const why = this.whyAtHome.trim();
    const worn = [
      ...(this.kit.container.carried?.worn ?? []),
      { on: workspace.today, daysAtHome: this.daysAtHome, ...(why ? { why } : {}) },
    ];
    this.#setCarried("two weeks of carrying it", { worn });
    this.daysAtHome = undefined;
    this.whyAtHome = "";
  }

  /** Keeps what the outside looks like today beside the looks before. */
  recordLook(): void {
    const points = this.kit.container.points ?? {};
    const note = this.finding.trim();
    const by = this.kit.record?.inspector;
    const look = {
      on: workspace.today,
      failed: BAG_POINTS.filter((p) => points[p.id] === false).map((p) => p.id),
      looked: Object.keys(points),
      ...(note ? { note } : {}),
      ...(by ? { by } : {}),
    };
    const looks = [...this.looks, look];
    this.kit.updateContainer("record a look at the bag", { looks });
    this.finding = "";
  }
}
