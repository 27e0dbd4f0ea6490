import { FUNCTIONS } from "../../data/functions.ts";
import { ITEM_TYPES } from "../../data/itemTypes.ts";
import type { Category, FunctionRecord } from "../model/functionRecord.ts";
import type { Credit, ItemType } from "../model/itemType.ts";

const functionsById = new Map(FUNCTIONS.map((f) => [f.id, f]));
const typesById = new Map<string, ItemType>(ITEM_TYPES.map((t) => [t.id, t]));

/** A function by id; undefined when there is none. */
export const functionOf = (id: string): FunctionRecord | undefined => functionsById.get(id);

/** A shipped item type by id; undefined when there is none. */
export const shippedType = (id: string): ItemType | undefined => typesById.get(id);

/** The category a function belongs to. Throws for an unknown id: check ids at the edge. */
export function categoryOf(functionId: string): Category {
  const found = functionsById.get(functionId);
  if (!found) throw new Error(`unknown function '${functionId}'`);
  return found.category;
}

/** Look-up over the shipped catalogue and the audit's own item types. */
export function typeLookup(own: readonly ItemType[] = []): (id: string) => ItemType | undefined {
  if (own.length === 0) return shippedType;
  const ownById = new Map(own.map((t) => [t.id, t]));
  return (id) => typesById.get(id) ?? ownById.get(id);
}

/** The credit an item type claims for a function, before any house rule. */
export const creditFor = (type: ItemType, functionId: string): Credit | undefined =>
  type.functions.find((c) => c.function === functionId);

/**
 * Things for licensed or specifically prescribed use. They are audited when they are there, but no
 * plan ever proposes to buy one (rule of the plan).
 */
export const LICENSED_ONLY: ReadonlySet<string> = new Set([
  "decompression-needle",
  "suture-pack",
  "skin-stapler",
  "tissue-adhesive",
  "opioid-tablet",
  "antibiotic-tablet",
  "adrenaline-pen",
]);

/** A function by its id or its name, in any case; null: none. */
export function functionNamed(name: string): FunctionRecord | null {
  const wanted = name.trim().toLowerCase();
  return functionOf(wanted) ?? FUNCTIONS.find((f) => f.label.toLowerCase() === wanted) ?? null;
}
