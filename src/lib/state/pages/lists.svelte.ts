import type { ReferenceList } from "../../core/model/list.ts";
import { combineLists } from "../../core/reference/combineLists.ts";
import { compareLists } from "../../core/reference/compareLists.ts";
import { SHIPPED_LISTS } from "../../data/lists/index.ts";
import { listNow } from "../lists.ts";
import { workspace } from "../workspace.svelte.ts";

const EMPTY: ReferenceList = { id: "new", title: "A list of our own", needs: [] };

/** All reference lists, and two of them side by side. */
export class ListsState {
  firstId = $state(SHIPPED_LISTS[0]!.id);
  secondId = $state(SHIPPED_LISTS[1]!.id);
  doing = $state<"compare" | "combine">("compare");

  /** The user's own first, with their record's id; shipped ones have none. */
  rows = $derived.by((): { readonly list: ReferenceList; readonly id: string | null }[] => [
    ...workspace.lists.map((r) => ({ list: r.list, id: r.id })),
    ...SHIPPED_LISTS.map((list) => ({ list, id: null })),
  ]);
  first = $derived.by(() => listNow(this.firstId));
  second = $derived.by(() => listNow(this.secondId));
  difference = $derived.by(() =>
    this.first && this.second ? compareLists(this.first, this.second, workspace.typeOf) : null,
  );
  combined = $derived.by(() =>
    this.doing === "combine" && this.first && this.second
      ? combineLists(this.first, this.second, workspace.typeOf)
      : [],
  );

  /** Kits judged by a list. */
  judgedBy(id: string): number {
    return workspace.kits.filter((k) => k.list.id === id).length;
  }
  /** @returns the new list's record id, as from all below */
  make(): string {
    return workspace.addList(EMPTY, "make a list");
  }
  copy(list: ReferenceList): string {
    return workspace.addList({ ...list, title: `${list.title}, our own` }, `copy ${list.title}`);
  }
  /** The union of the two, the stricter rule where both ask; null: one of them is gone. */
  keepCombined(): string | null {
    const { first, second } = this;
    if (!first || !second) return null;
    const list: ReferenceList = {
      id: "combined",
      title: `${first.title} + ${second.title}`,
      for: [first.for, second.for].filter(Boolean).join(" "),
      isNot: [...new Set([first.isNot, second.isNot].filter(Boolean))].join(" "),
      needs: this.combined.map((o) => o.need),
    };
    return workspace.addList(list, `combine ${first.title} and ${second.title}`);
  }
  remove(id: string, title: string): void {
    workspace.edit(`remove the list ${title}`, [], [id]);
    workspace.sayDone(
      `${title} is removed; kits keep the copy they are judged by. Undo brings it back.`,
    );
  }
}
