import { parseGs1 } from "../../core/count/gs1.ts";
import { paddingOf } from "../../core/count/padding.ts";
import { takeScan } from "../../core/count/scanned.ts";
import { weighCount } from "../../core/count/weighCount.ts";
import { scanRefused, scanTaken } from "../../words/benchTexts.ts";
import { lineName, type KitState } from "../kit.svelte.ts";
import { workspace } from "../workspace.svelte.ts";

/** A scale that shows tenths is right to about two of them. */
const SCALE_ERROR_G = 0.2;

/** Counting by weight and by scanner while unpacking. */
export class CountingState {
  readonly kit: KitState;
  readonly #picked: () => string | null;
  /** @param picked the line that is counted, by id */
  constructor(kit: KitState, picked: () => string | null) {
    this.kit = kit;
    this.#picked = picked;
  }
  /** Pieces of the next known weighing. */
  few = $state(10);
  known = $state.raw<readonly { readonly pieces: number; readonly grams: number }[]>([]);
  all = $state<number | undefined>(undefined);
  /** What became of the last code. */
  lastScan = $state("");

  padding = $derived.by(() => paddingOf(this.kit.audit));
  line = $derived.by(() => this.kit.lines.find((l) => l.id === this.#picked()));
  name = $derived.by(() => {
    const type = this.line?.itemType ? this.kit.typeOf(this.line.itemType) : undefined;
    return this.line ? lineName(this.line, type?.label) : "";
  });
  result = $derived.by(() =>
    this.all === undefined
      ? null
      : weighCount({ known: [...this.known], allGrams: this.all, scaleErrorG: SCALE_ERROR_G }),
  );

  /** For an effect that follows the line: the weighings of the last one say nothing of another. */
  anew(): void {
    void this.#picked();
    this.known = [];
    this.all = undefined;
  }
  weighKnown(grams: number): void {
    this.known = [...this.known, { pieces: this.few, grams }];
  }
  takeCount(): void {
    if (this.line && this.result?.ok)
      this.kit.updateLine(this.line.id, `count ${this.name} by weight`, {
        counted: this.result.count,
      });
  }
  /** Counts what a code names. @returns the line it went to; null: it is no code of a thing */
  scanned(code: string): string | null {
    const read = parseGs1(code);
    if (!read.ok) {
      this.lastScan = scanRefused(read.problems[0]!);
      return null;
    }
    const { gtin } = read.value;
    const barcode = workspace.barcodes.find((b) => b.gtin === gtin);
    const out = takeScan(this.kit.lines, read.value, barcode, this.kit.nextLineId());
    this.kit.updateLines(`scan ${gtin ?? "a code"}`, () => [...out.lines]);
    const line = out.lines.find((l) => l.id === out.line)!;
    const label = line.itemType ? this.kit.typeOf(line.itemType)?.label : undefined;
    this.lastScan = scanTaken(line, lineName(line, label), read.value);
    return out.line;
  }
}
