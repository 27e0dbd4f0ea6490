import { audit, type Audit } from "../../core/audit/audit.ts";
import { freeId } from "../../core/base/freeId.ts";
import type { Need, ReferenceList } from "../../core/model/list.ts";
import { compareLists, sameList } from "../../core/reference/compareLists.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { newBrief } from "../newRecords.ts";
import { listNow } from "../lists.ts";
import { workspace } from "../workspace.svelte.ts";

/** A list of the user's own, edited need by need and tried on a kit of the shelf. */
export class ListState {
  readonly #id: () => string;
  /** The list as it was when this page was opened. */
  opened = $state.raw<ReferenceList | null>(null);
  triedId = $state<string | null>(null);
  selectedId = $state<string | null>(null);
  /** While a row is dragged the order is only shown; it is kept when the row is let go. */
  dragged = $state.raw<Need[] | null>(null);

  constructor(id: () => string) {
    this.#id = id;
  }

  record = $derived.by(() => workspace.ownList(this.#id()));
  list = $derived.by(() => this.record?.list);
  tried = $derived.by(
    () =>
      workspace.kits.find((k) => k.id === this.triedId) ??
      workspace.kits.find((k) => k.list.id === this.list?.id) ??
      workspace.kits.find((k) => k.list.id === this.record?.from) ??
      workspace.kits[0],
  );
  brief = $derived.by(
    () => (this.tried && workspace.brief(this.tried.briefId)?.brief) ?? newBrief("none").brief,
  );
  now = $derived.by(() => (this.list ? this.#auditBy(this.list) : null));
  before = $derived.by(() => (this.opened ? this.#auditBy(this.opened) : null));
  /** Kits that are judged by an earlier version of it. */
  holders = $derived.by(() => {
    const { list } = this;
    if (!list) return [];
    return workspace.kits.filter(
      (k) => k.list.id === list.id && !sameList(compareLists(k.list, list, workspace.typeOf)),
    );
  });
  sinceOpened = $derived.by(() => this.#since(this.opened));
  shipped = $derived.by(() => (this.record?.from ? listNow(this.record.from) : undefined));
  sinceShipped = $derived.by(() => this.#since(this.shipped));
  selected = $derived.by(
    () => this.list?.needs.find((n) => n.id === this.selectedId) ?? this.list?.needs[0] ?? null,
  );
  shown = $derived.by(() => this.dragged ?? this.list?.needs ?? []);

  #since(earlier: ReferenceList | null | undefined) {
    return earlier && this.list ? compareLists(earlier, this.list, workspace.typeOf) : null;
  }

  #auditBy(list: ReferenceList): Audit | null {
    const { tried } = this;
    if (!tried || !list.needs.every((n) => CATALOGUE.functions.has(n.function))) return null;
    const file = workspace.auditOf(tried, this.brief);
    return audit(workspace.settled({ ...file, list }), workspace.today, CATALOGUE);
  }

  restsOf(needId: string) {
    const i = this.now?.context.needs.findIndex((n) => n.need.id === needId) ?? -1;
    return i < 0 || !this.now ? null : this.now.needs[i]!;
  }

  /** For an effect that follows which list it is. */
  open(): void {
    this.opened = this.list ?? null;
  }

  change(label: string, next: ReferenceList, mergeKey: string | null = null): void {
    const { record, list } = this;
    if (!record || !list) return;
    // A kit that holds this version keeps it under its number: what changes now is the next one.
    const given = workspace.kits.some(
      (k) => k.list.id === list.id && (k.list.version ?? 1) === (list.version ?? 1),
    );
    const version = (list.version ?? 1) + (given ? 1 : 0);
    workspace.edit(
      label,
      [{ ...record, list: { ...next, version } }],
      [],
      mergeKey && `${record.id} ${mergeKey}`,
    );
  }

  about(patch: Partial<ReferenceList>, key: string): void {
    if (this.list) this.change("words of the list", { ...this.list, ...patch }, key);
  }

  #setNeeds(
    label: string,
    needs: (now: readonly Need[]) => Need[],
    mergeKey: string | null = null,
  ): void {
    if (this.list) this.change(label, { ...this.list, needs: needs(this.list.needs) }, mergeKey);
  }

  changeNeed(needId: string, label: string, next: Need, mergeKey: string | null): void {
    this.#setNeeds(
      label,
      (needs) => needs.map((n) => (n.id === needId ? next : n)),
      mergeKey && `${needId} ${mergeKey}`,
    );
  }

  add(): void {
    const needs = this.list?.needs ?? [];
    const id = freeId("need", new Set(needs.map((n) => n.id)));
    const at = this.selected ? needs.indexOf(this.selected) + 1 : needs.length;
    const fresh: Need = {
      id,
      function: "small-wound-cover",
      tier: "core",
      quantity: { base: 1 },
    };
    this.#setNeeds("add a need", (now) => now.toSpliced(at, 0, fresh));
    this.selectedId = id;
  }

  remove(need: Need): void {
    const needs = this.list?.needs ?? [];
    const at = needs.indexOf(need);
    const next = needs[at + 1]?.id ?? needs[at - 1]?.id ?? null;
    this.#setNeeds("take a need out", (now) => now.filter((n) => n.id !== need.id));
    this.selectedId = next;
  }

  move(need: Need, by: -1 | 1): void {
    const at = this.list?.needs.indexOf(need) ?? -1;
    const to = at + by;
    if (at < 0 || to < 0 || to >= this.list!.needs.length) return;
    this.#setNeeds("order the needs", (now) => now.toSpliced(at, 1).toSpliced(to, 0, need));
  }

  /** The need above or below becomes the selected one. */
  select(by: -1 | 1): void {
    const needs = this.list?.needs ?? [];
    const at = this.selected ? needs.indexOf(this.selected) : 0;
    this.selectedId = needs[Math.min(needs.length - 1, Math.max(0, at + by))]?.id ?? null;
  }

  /** All kits that hold an earlier version are judged by this one. */
  updateKits(): void {
    workspace.edit(
      `judge ${this.holders.length} kits by the newer list`,
      this.holders.map((k) => ({ ...k, list: this.list! })),
    );
  }
}
