import { packingFindings } from "../../core/audit/packing.ts";
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
    this.kit.update("record a look at the bag", (r) => ({
      ...r,
      kit: { ...r.kit, container: { ...r.kit.container, looks } },
    }));
    this.finding = "";
  }
}
