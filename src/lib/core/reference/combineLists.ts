import { freeId } from "../base/freeId.ts";
import type { ItemType } from "../model/itemType.ts";
import type { Need, ReferenceList } from "../model/list.ts";
import { fieldChanges, type FieldChange } from "./compareLists.ts";
import { matchNeeds } from "./matchNeeds.ts";
import { stricterNeed } from "./stricter.ts";

/** Where a need of a combined list comes from. */
export interface Origin {
  readonly need: Need;
  readonly from: "first" | "second" | "both";
  /** What the second list made of the first one's need; empty where nothing changed. */
  readonly changes: readonly FieldChange[];
}

/**
 * The union of two lists; where both ask for the same job the stricter rule wins, part by part.
 * An audit against it is never looser than against either.
 * @returns the needs in the order of the first list, then what only the second asks for
 */
export function combineLists(
  first: ReferenceList,
  second: ReferenceList,
  typeOf: (id: string) => ItemType | undefined,
): Origin[] {
  const taken = new Set(first.needs.map((n) => n.id));
  return matchNeeds(first.needs, second.needs).map(({ a, b }) => {
    if (a && b) {
      const need = stricterNeed(a, b, typeOf);
      return { need, from: "both", changes: fieldChanges(a, need, typeOf) };
    }
    if (a) return { need: a, from: "first", changes: [] };
    const id = freeId(b!.id, taken);
    taken.add(id);
    return { need: { ...b!, id }, from: "second", changes: [] };
  });
}
