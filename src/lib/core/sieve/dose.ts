import type { Catalogue } from "../catalogue/catalogue.ts";
import type { FunctionRecord } from "../model/functionRecord.ts";
import type { ItemType } from "../model/itemType.ts";
import type { Line } from "../model/kit.ts";

/** Mesh 3, Enough, for medicines: how much of a planning dose one dose of the piece is. */
export interface DoseFactor {
  /** Planning doses in a dose of the piece; 1 where its strength is not known. */
  readonly factor: number;
  /** The strength is looked at and not known: failing, the piece gives nothing. */
  readonly unchecked: boolean;
}

const BY_THE_PACK: DoseFactor = { factor: 1, unchecked: false };

/** mg of the planning dose of what a kind of thing in doses does; null: none, it counts by the pack. */
export function planningDoseOf(type: ItemType | undefined, catalogue: Catalogue): number | null {
  if (type?.measure !== "dose") return null;
  for (const c of type.functions) {
    const own = c.credit > 0 ? catalogue.functions.get(c.function)?.planningDoseMg : undefined;
    if (own !== undefined) return own;
  }
  return type.planningDoseMg ?? null;
}

/**
 * strengthMg / planning dose, at most 1: half a tablet more of the same is no second dose. Of sugar
 * every gram counts. A function's planning dose goes before the type's. Without one it counts by the
 * pack.
 */
export function doseFactor(
  line: Pick<Line, "strengthMg">,
  type: Pick<ItemType, "measure" | "planningDoseMg">,
  does: Pick<FunctionRecord, "planningDoseMg" | "everyGramCounts"> | undefined,
): DoseFactor {
  const planning = does?.planningDoseMg ?? type.planningDoseMg;
  if (type.measure !== "dose" || planning === undefined) return BY_THE_PACK;
  if (line.strengthMg === undefined) return { factor: 1, unchecked: true };
  const share = line.strengthMg / planning;
  return { factor: does?.everyGramCounts ? share : Math.min(1, share), unchecked: false };
}
