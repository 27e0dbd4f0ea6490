import { kitLoad } from "../../core/bag/load.ts";
import { judgeSet, type SetMember, type SetVerdict } from "../../core/compare/kitSet.ts";
import type { SetRecord } from "../../core/records/setRecord.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { needLabel, quantity } from "../../words/sentences.ts";
import { workspace } from "../workspace.svelte.ts";

/** Several kits that go out together, judged as one by the brief, list and rules of one of them. */
export class SetState {
  readonly #id: () => string;
  constructor(id: () => string) {
    this.#id = id;
  }
  picked = $state<number | null>(null);

  record = $derived.by((): SetRecord | undefined => {
    const r = workspace.records.get(this.#id());
    return r?.kind === "set" ? r : undefined;
  });
  /** Members whose kit is still on the shelf. */
  members = $derived.by(() =>
    (this.record?.members ?? []).flatMap((m) => {
      const kit = workspace.kit(m.kit);
      const brief = kit && workspace.brief(kit.briefId)?.brief;
      return kit && brief ? [{ ...m, record: kit, file: workspace.auditOf(kit, brief) }] : [];
    }),
  );
  /** Kits that may still be added. */
  others = $derived.by(() =>
    workspace.kits.filter((k) => !this.record?.members.some((m) => m.kit === k.id)),
  );
  judge = $derived.by(() => {
    const kit = workspace.kit(this.record?.judgedBy ?? "") ?? this.members[0]?.record;
    const brief = kit && workspace.brief(kit.briefId)?.brief;
    return kit && brief ? { brief, list: kit.list, houseRules: kit.houseRules } : null;
  });
  verdict = $derived.by((): SetVerdict | null =>
    this.judge && this.members.length > 0
      ? judgeSet(
          this.members.map((m): SetMember => ({ id: m.kit, file: m.file, count: m.count })),
          this.judge,
          workspace.today,
          this.record?.title ?? "",
          CATALOGUE,
        )
      : null,
  );
  audit = $derived.by(() => this.verdict?.audit);
  massG = $derived.by(() => (this.audit ? kitLoad(this.audit.context.audit, CATALOGUE).massG : 0));
  shown = $derived.by(() => {
    const count = this.audit?.needs.length ?? 0;
    return this.picked !== null && this.picked < count ? this.picked : count > 0 ? 0 : null;
  });

  change(label: string, patch: Partial<SetRecord>, mergeKey: string | null = null): void {
    const { record } = this;
    if (record)
      workspace.edit(label, [{ ...record, ...patch }], [], mergeKey && `${record.id} ${mergeKey}`);
  }
  changeMember(kit: string, patch: Partial<SetRecord["members"][number]>, key: string): void {
    const members = this.record?.members ?? [];
    this.change(
      "who carries it",
      { members: members.map((m) => (m.kit === kit ? { ...m, ...patch } : m)) },
      `${kit} ${key}`,
    );
  }
  add(kit: string): void {
    const members = this.record?.members ?? [];
    this.change("add a kit to the set", { members: [...members, { kit, count: 1 }] });
  }
  takeOut(kit: string): void {
    const members = this.record?.members ?? [];
    this.change("take a kit out of the set", { members: members.filter((m) => m.kit !== kit) });
  }
  /** Whether there was one to remove. */
  remove(): boolean {
    const { record } = this;
    if (!record) return false;
    workspace.edit(`remove the set ${record.title}`, [], [record.id]);
    workspace.sayDone("The set is removed; its kits stay on the shelf. Undo brings it back.");
    return true;
  }

  /** Who carries a kit, as said; else the kit's name. */
  carrier(kitId: string): string {
    const m = this.members.find((x) => x.kit === kitId);
    return m ? m.carriedBy?.trim() || m.record.kit.name : kitId;
  }
  functionOf(needId: string): string {
    return this.judge?.list.needs.find((n) => n.id === needId)?.function ?? needId;
  }
  /** "the leader 4, each picker 12": who gives what to a need. */
  givers(n: SetVerdict["needs"][number]): string {
    const unit = CATALOGUE.functions.get(this.functionOf(n.need))?.unit ?? "each";
    return n.from.map((f) => `${this.carrier(f.member)} ${quantity(f.units, unit)}`).join(", ");
  }
  /** Who carries what, as rows of a table with its heading. */
  table(): (string | number)[][] {
    const { verdict } = this;
    if (!verdict) return [];
    return [
      ["need", "met %", ...this.members.map((m) => this.carrier(m.kit)), "carried twice"],
      ...verdict.needs.map((n) => [
        needLabel(this.functionOf(n.need)),
        Math.round(n.value * 1000) / 10,
        ...this.members.map((m) => n.from.find((f) => f.member === m.kit)?.units ?? 0),
        verdict.twice.includes(n.need) ? "yes" : "",
      ]),
    ];
  }
}
