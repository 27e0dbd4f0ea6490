import { CATALOGUE } from "../data/catalogue.ts";
import { getContext, setContext } from "svelte";
import { audit, vitalMet, worthChecking, type Audit } from "../core/audit/audit.ts";
import { numberedId } from "../core/base/freeId.ts";
import { defined } from "../core/base/defined.ts";
import type { Container } from "../core/model/container.ts";
import type { Brief } from "../core/model/brief.ts";
import type { Line } from "../core/model/kit.ts";
import { auditOf, wholeFileOf } from "../core/records/auditOf.ts";
import { lineCondition } from "../core/inspect/quality.ts";
import { convertBook, rateBetween } from "../core/plan/convertBook.ts";
import type { PriceBook } from "../core/model/priceBook.ts";
import { kitLoad } from "../core/bag/load.ts";
import type { KitRecord } from "../core/records/kitRecord.ts";
import { isTouched } from "../core/card/mergeCard.ts";
import { newBrief, newKit } from "./newRecords.ts";
import { workspace } from "./workspace.svelte.ts";

/** One kit on the bench with its audit, which follows every keystroke. */
export class KitState {
  readonly #id: () => string;
  constructor(id: () => string) {
    this.#id = id;
  }

  record = $derived.by(() => workspace.kit(this.#id()));
  photos = $derived.by(() => workspace.photosOf(this.#id()));
  container = $derived<Container>(this.record?.kit.container ?? {});
  briefRecord = $derived.by(() => (this.record ? workspace.brief(this.record.briefId) : undefined));
  brief = $derived<Brief>(this.briefRecord?.brief ?? newBrief("none").brief);
  /** With its log, as it goes out. */
  whole = $derived.by(() => wholeFileOf(this.record ?? EMPTY, this.brief, workspace.ownTypes));
  /** As it is today, which is what is judged. */
  file = $derived.by(() => auditOf(this.record ?? EMPTY, this.brief, workspace.ownTypes));
  audit = $derived<Audit>(audit(this.file, workspace.today, CATALOGUE));
  typeOf = $derived(workspace.typeOf);
  load = $derived(kitLoad(this.file, CATALOGUE));
  /** The currency of this audit: of the price paid, else the one set. */
  wantedCurrency = $derived(this.record?.kit.price?.currency ?? workspace.settings.currency);
  #rate = $derived(
    rateBetween(
      workspace.priceBook.currency,
      this.wantedCurrency,
      workspace.settings.currency,
      workspace.settings.rates,
    ),
  );
  /** The price book in the audit's currency; in its own while the rate is not known. */
  book = $derived<PriceBook>(
    this.#rate === null
      ? workspace.priceBook
      : convertBook(workspace.priceBook, this.wantedCurrency, this.#rate),
  );
  currency = $derived(this.book.currency);
  noRate = $derived(this.#rate === null);
  lines = $derived(this.record?.kit.lines ?? []);
  /** Costs one audit run per unchecked line: computed only where it is shown. */
  worth = $derived.by(() => worthChecking(this.audit));

  open = $derived.by(() => ({
    // Who held the thing in the hand has seen what it is, unless its name leaves the kind open.
    doubtful: this.lines.filter((l) => {
      const doubt = this.record?.doubts[l.id];
      return doubt !== undefined && (doubt.open !== undefined || !isTouched(l));
    }).length,
    uncounted: this.lines.filter((l) => l.counted === undefined).length,
    toInspect: this.lines.filter((l) => lineCondition(l, CATALOGUE) === null).length,
    held: this.audit.needs.filter((n) => n.restsOn !== "pan").length,
    vital: this.audit.context.needs.filter((n) => n.tier === "vital").length,
    vitalMet: vitalMet(this.audit),
    pieces: this.lines.reduce((s, l) => s + (l.counted ?? 0), 0),
    claimed: this.audit.value.claimed,
  }));

  update(label: string, change: (r: KitRecord) => KitRecord, mergeKey: string | null = null): void {
    if (this.record)
      workspace.edit(label, [change(this.record)], [], mergeKey && `${this.record.id} ${mergeKey}`);
  }

  updateContainer(label: string, patch: Partial<Container>, mergeKey: string | null = null): void {
    this.update(
      label,
      (r) => ({ ...r, kit: { ...r.kit, container: { ...r.kit.container, ...patch } } }),
      mergeKey,
    );
  }

  updateBrief(label: string, patch: Partial<Brief>, mergeKey: string | null = null): void {
    const r = this.briefRecord;
    if (r)
      workspace.edit(
        label,
        [{ ...r, brief: { ...r.brief, ...patch } }],
        [],
        mergeKey && `${r.id} ${mergeKey}`,
      );
  }

  /** Changes facts of one line; undefined takes a fact away. */
  updateLine(
    id: string,
    label: string,
    patch: Partial<Line>,
    mergeKey: string | null = null,
  ): void {
    this.update(
      label,
      (r) => {
        const doubts = { ...r.doubts };
        if ("itemType" in patch) delete doubts[id];
        return {
          ...r,
          doubts,
          kit: {
            ...r.kit,
            lines: r.kit.lines.map((l) => (l.id === id ? defined({ ...l, ...patch }) : l)),
          },
        };
      },
      mergeKey && `${id} ${mergeKey}`,
    );
  }

  /** @param also ids that are given out and not in the kit yet */
  nextLineId(also: ReadonlySet<string> = new Set()): string {
    const taken = new Set([...this.lines.map((l) => l.id), ...also]);
    return numberedId("L", this.lines.length + 1, taken);
  }
}

const EMPTY: KitRecord = newKit("none", "", "brief:none");

const KEY = Symbol("kit");
export const provideKit = (id: () => string): KitState => setContext(KEY, new KitState(id));
export const useKit = (): KitState => getContext<KitState>(KEY);

/** What a line is called on screen: as on the card, else its kind. */
export const lineName = (line: Line, label: string | undefined): string =>
  line.text?.trim() || label || "Unnamed thing";
