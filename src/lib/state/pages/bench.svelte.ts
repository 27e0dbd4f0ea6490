import { proposeVerdict } from "../../core/audit/verdict.ts";
import { parseGs1 } from "../../core/count/gs1.ts";
import { answerPoint } from "../../core/inspect/answerPoint.ts";
import { pointsFor } from "../../core/inspect/points.ts";
import { lineCondition } from "../../core/inspect/quality.ts";
import { LOCATIONS } from "../../core/model/location.ts";
import { lineMark } from "../../core/shown/lineMark.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { scannedText, scanOfAnother, scanRefused } from "../../words/benchTexts.ts";
import { lineName, type KitState } from "../kit.svelte.ts";
import { workspace } from "../workspace.svelte.ts";
import { inOrder, ORDERS, type Order } from "./benchOrder.ts";

/** The bench: one item in hand, its points answered one by one. */
export class BenchState {
  readonly kit: KitState;
  orderBy = $state<Order>("packed");
  picked = $state<string | null>(null);
  /** Codes scanned so far: what a scanner typed into a field meanwhile is no answer. */
  scans = $state(0);

  constructor(kit: KitState, picked: string | null) {
    this.kit = kit;
    this.picked = picked;
  }

  order = $derived.by(() =>
    inOrder(
      this.kit.lines,
      this.orderBy,
      this.kit.typeOf,
      this.orderBy === "worth" ? this.kit.worth.map((w) => w.line) : [],
    ),
  );
  line = $derived.by(() => this.order.find((l) => l.id === this.picked) ?? this.order[0]);
  /** Place of the item in the order; −1: nothing on the bench. */
  at = $derived.by(() => (this.line ? this.order.indexOf(this.line) : -1));
  /** Its index in the audit; −1. */
  index = $derived.by(() =>
    this.kit.audit.context.lines.findIndex((l) => l.line.id === this.line?.id),
  );
  type = $derived.by(() => (this.line?.itemType ? this.kit.typeOf(this.line.itemType) : undefined));
  name = $derived.by(() => (this.line ? lineName(this.line, this.type?.label) : ""));
  /** The question that its name leaves open, until it is answered. */
  openName = $derived.by(() => {
    const open = this.line && this.kit.record?.doubts[this.line.id]?.open;
    return open === undefined ? undefined : CATALOGUE.openNames.find((o) => o.id === open);
  });
  points = $derived.by(() => (this.line ? pointsFor(this.line.itemType, CATALOGUE) : []));
  failed = $derived.by(() => this.line?.failedPoints ?? []);
  answered = $derived.by(() => new Set([...(this.line?.okPoints ?? []), ...this.failed]));
  complete = $derived.by(() =>
    this.line ? lineCondition(this.line, CATALOGUE) !== null && !this.line.okPoints : false,
  );
  nextPoint = $derived.by(() =>
    this.complete ? undefined : this.points.find((p) => !this.answered.has(p.id)),
  );
  proposed = $derived.by(() =>
    this.index >= 0 ? proposeVerdict(this.kit.audit, this.index) : null,
  );
  given = $derived.by(() => (this.line ? this.kit.record?.verdicts[this.line.id] : undefined));

  markOf = (lineId: string) => lineMark(this.kit.audit, lineId);

  nextOrder(): void {
    this.orderBy = ORDERS[(ORDERS.indexOf(this.orderBy) + 1) % ORDERS.length]!;
  }

  go(step: number): void {
    if (this.order.length === 0) return;
    const to = Math.min(this.order.length - 1, Math.max(0, this.at + step));
    this.picked = this.order[to]!.id;
  }

  /** Says what the thing in the hand is. */
  choose(itemType: string | null): void {
    if (this.line) this.kit.retype(this.line, itemType, this.name);
  }

  /** One point answered, saved at once; the next item when all is looked at and nothing failed. */
  answer(pointId: string, good: boolean): void {
    const { line } = this;
    if (!line) return;
    const points = this.points.map((p) => p.id);
    const inspection = { points, line, complete: this.complete };
    const { patch, all, failed } = answerPoint(inspection, pointId, good, workspace.today);
    this.kit.updateLine(line.id, `inspect ${this.name}`, patch);
    if (all && failed === 0 && !this.openName) this.go(1);
  }

  /** The usual answer: what is not yet failed is sound; counted as claimed unless counted. */
  restIsSound(): void {
    const { line } = this;
    if (!line) return;
    this.kit.updateLine(line.id, `inspect ${this.name}`, {
      failedPoints: [...this.failed],
      okPoints: undefined,
      condition: undefined,
      checkedOn: workspace.today,
      ...(line.counted === undefined ? { counted: line.claimed } : {}),
    });
    this.go(1);
  }

  nextPlace(): void {
    const { line } = this;
    if (!line) return;
    const now = line.location ? LOCATIONS.indexOf(line.location) : -1;
    const location = LOCATIONS[(now + 1) % LOCATIONS.length];
    this.kit.updateLine(line.id, `place of ${this.name}`, { location });
  }

  /** The date of the item before it on the bench: things bought together often share it. */
  sameDate(): void {
    const before = this.order.slice(0, this.at).findLast((l) => l.expires && l.expires !== "none");
    if (this.line && before)
      this.kit.updateLine(this.line.id, `date of ${this.name}`, { expires: before.expires });
  }

  /** A code scanned off the item in hand: its date and lot; what it is, is known from now on. */
  scanned(text: string): void {
    this.scans++;
    const { line } = this;
    if (!line) return;
    const read = parseGs1(text);
    if (!read.ok) {
      workspace.say(scanRefused(read.problems[0]!), true);
      return;
    }
    const { gtin, expires, lot } = read.value;
    const known = workspace.barcodes.find((b) => b.gtin === gtin);
    if (known && known.itemType !== line.itemType) {
      const knownAs = this.kit.typeOf(known.itemType)?.label ?? known.itemType;
      workspace.say(scanOfAnother(knownAs, this.type?.label ?? "not named"), true);
      return;
    }
    if (gtin && !known && line.itemType)
      workspace.learnBarcode(gtin, line.itemType, line.text, line.sizeMm);
    this.kit.updateLine(line.id, `scan ${this.name}`, {
      ...(gtin ? { gtin } : {}),
      ...(expires ? { expires } : {}),
      ...(lot ? { lot } : {}),
    });
    workspace.say(scannedText(expires, lot));
  }
}
