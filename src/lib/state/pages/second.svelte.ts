import { audit } from "../../core/audit/audit.ts";
import {
  agreement,
  lookDifferences,
  takeFact,
  unseen,
  type LookedAt,
} from "../../core/audit/secondOpinion.ts";
import type { Line } from "../../core/model/kit.ts";
import type { KitRecord } from "../../core/records/kitRecord.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import type { KitState } from "../kit.svelte.ts";
import { newKey } from "../newKey.ts";
import { workspace } from "../workspace.svelte.ts";

/** Two looks at one kit, blind to each other, and what is settled between them. */
export class SecondState {
  readonly kit: KitState;
  who = $state("");
  chosen = $state<string | null>(null);

  constructor(kit: KitState) {
    this.kit = kit;
  }

  /** The first look, where this kit is a second one. */
  firstOfThis = $derived.by(() => {
    const of = this.kit.record?.secondOf;
    return of ? workspace.kit(of) : undefined;
  });
  first = $derived.by(() => this.firstOfThis ?? this.kit.record);
  seconds = $derived.by(() => workspace.kits.filter((k) => k.secondOf === this.first?.id));
  second = $derived.by(() =>
    this.firstOfThis
      ? this.kit.record
      : (this.seconds.find((k) => k.id === this.chosen) ?? this.seconds[0]),
  );
  firstAudit = $derived.by(() => auditBy(this.first));
  secondAudit = $derived.by(() => auditBy(this.second));
  differences = $derived.by(() =>
    this.first && this.second ? lookDifferences(this.first.kit, this.second.kit, CATALOGUE) : [],
  );
  agreed = $derived.by(() =>
    this.firstAudit && this.secondAudit ? agreement(this.firstAudit, this.secondAudit) : null,
  );
  merged = $derived.by(() => this.first?.mergedLooks ?? []);
  nameOfFirst = $derived.by(() => this.first?.inspector?.trim() || "the first");
  nameOfSecond = $derived.by(() => this.second?.inspector?.trim() || "the second");

  /** A kit for a second pair of eyes: nothing that the first has seen. Gives its id. */
  ask(): string | null {
    const { first } = this;
    if (!first) return null;
    const who = this.who.trim();
    const id = `kit:${newKey()}`;
    const { mergedLooks: _, ...rest } = first;
    const copy: KitRecord = {
      ...rest,
      id,
      kit: {
        ...unseen(first.kit),
        name: `${first.kit.name}, second look${who ? ` by ${who}` : ""}`,
      },
      verdicts: {},
      doubts: {},
      history: [],
      inspector: who,
      secondOf: first.id,
    };
    workspace.edit(`a second look at ${first.kit.name}`, [copy]);
    return id;
  }

  /** Settles a difference: the fact of one goes to both, and who decided is kept. */
  settle(lineId: string, what: LookedAt, from: "first" | "second", label: string): void {
    const { first, second } = this;
    if (!first || !second) return;
    const x = first.kit.lines.find((l) => l.id === lineId)!;
    const y = second.kit.lines.find((l) => l.id === lineId)!;
    const note = {
      line: lineId,
      what,
      by: this.kit.record?.inspector?.trim() || "not named",
      on: workspace.today,
      took: from === "first" ? this.nameOfFirst : this.nameOfSecond,
    };
    const kept: KitRecord = { ...first, mergedLooks: [...this.merged, note] };
    workspace.edit(
      label,
      from === "first" ? [kept, withFact(second, y, x, what)] : [withFact(kept, x, y, what)],
    );
  }
}

function auditBy(k: KitRecord | undefined) {
  const brief = k && workspace.brief(k.briefId)?.brief;
  return k && brief ? audit(workspace.auditOf(k, brief), workspace.today, CATALOGUE) : null;
}

const withFact = (r: KitRecord, line: Line, source: Line, what: LookedAt): KitRecord => ({
  ...r,
  kit: {
    ...r.kit,
    lines: r.kit.lines.map((l) => (l.id === line.id ? takeFact(line, source, what) : l)),
  },
});
