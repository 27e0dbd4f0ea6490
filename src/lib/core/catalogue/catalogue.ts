import type { Category, FunctionRecord } from "../model/functionRecord.ts";
import type { InspectionPoint } from "../model/inspectionPoint.ts";
import type { OpenName } from "./openName.ts";
import type { Credit, ItemType } from "../model/itemType.ts";

/**
 * What the program knows of the trade, as a value that is passed to whatever judges by it: the shipped
 * one is `data/catalogue.ts`; a test may pass another. Every rule about a kind of thing is a column of
 * its row, so that no rule names an id.
 */
export interface Catalogue {
  readonly functions: ReadonlyMap<string, FunctionRecord>;
  readonly types: ReadonlyMap<string, ItemType>;
  readonly points: ReadonlyMap<string, InspectionPoint>;
  /** Inspection points of a type, by its id, in the order they are taken. */
  readonly pointsByType: ReadonlyMap<string, readonly string[]>;
  /** Names that leave the kind open, and the kinds to ask for. */
  readonly openNames: readonly OpenName[];
}

/** Names and words in other languages, by the English ones that are read in their place. */
export interface WordsAbroad {
  /** Things. */
  readonly names: Readonly<Record<string, readonly string[]>>;
  /** What they are counted in. */
  readonly counted: Readonly<Record<string, readonly string[]>>;
}

/** A catalogue with all the names that cards use: what reads or searches takes it, what judges does without. */
export interface NamedCatalogue extends Catalogue {
  /** Names on cards beyond label and `alsoCalled`, by type id. */
  readonly words: ReadonlyMap<string, readonly string[]>;
  /** Names on cards of real things that no type describes. */
  readonly noTypeWords: readonly string[];
  readonly wordsAbroad: readonly WordsAbroad[];
}

/** The catalogue from its rows. Ids are unique: a test of the data looks. */
export const makeCatalogue = (rows: {
  readonly functions: readonly FunctionRecord[];
  readonly types: readonly ItemType[];
  readonly points: readonly InspectionPoint[];
  readonly pointsByType: Readonly<Record<string, readonly string[]>>;
  readonly openNames: readonly OpenName[];
}): Catalogue => ({
  functions: new Map(rows.functions.map((f) => [f.id, f])),
  types: new Map(rows.types.map((t) => [t.id, t])),
  points: new Map(rows.points.map((p) => [p.id, p])),
  pointsByType: new Map(Object.entries(rows.pointsByType)),
  openNames: rows.openNames,
});

export type TypeLookup = (id: string) => ItemType | undefined;

/** Look-up over the catalogue and an audit's own item types; of one id the catalogue's is meant. */
export function typeLookup(own: readonly ItemType[] | undefined, catalogue: Catalogue): TypeLookup {
  if (!own || own.length === 0) return (id) => catalogue.types.get(id);
  const ownById = new Map(own.map((t) => [t.id, t]));
  return (id) => catalogue.types.get(id) ?? ownById.get(id);
}

/** The category a function belongs to. Throws for an unknown id: check ids at the edge. */
export function categoryOf(functionId: string, catalogue: Catalogue): Category {
  const found = catalogue.functions.get(functionId);
  if (!found) throw new Error(`unknown function '${functionId}'`);
  return found.category;
}

/** The credit an item type claims for a function, before any house rule. */
export const creditFor = (type: ItemType, functionId: string): Credit | undefined =>
  type.functions.find((c) => c.function === functionId);

/** A function by its id or its name, in any case; null: none. */
export function functionNamed(name: string, catalogue: Catalogue): FunctionRecord | null {
  const wanted = name.trim().toLowerCase();
  const byId = catalogue.functions.get(wanted);
  if (byId) return byId;
  for (const f of catalogue.functions.values()) if (f.label.toLowerCase() === wanted) return f;
  return null;
}
