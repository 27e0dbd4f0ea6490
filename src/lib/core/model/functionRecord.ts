/** The 13 injury categories and 3 of support, in the order practitioners read them. */
export const CATEGORIES = [
  "severe-bleeding",
  "airway-chest",
  "resuscitation",
  "everyday-wounds",
  "wound-hygiene",
  "burns",
  "bones-joints",
  "feet-skin",
  "bites-stings",
  "allergy",
  "eyes",
  "exposure",
  "illness-pain",
  "protection",
  "tools",
  "signal-records",
] as const;
export type Category = (typeof CATEGORIES)[number];

/** What one unit of a function is. `pair` counts gloves, `dose` a tablet or sachet. */
export type FunctionUnit = "each" | "pair" | "dose" | "metre" | "millilitre" | "litre";

/** A job that an item does. */
export interface FunctionRecord {
  readonly id: string;
  readonly label: string;
  readonly category: Category;
  readonly unit: FunctionUnit;
  /** One plain sentence: what does the job in full. */
  readonly meaning: string;
  /** Whatever does it never counts past its date, not even as comfort (sieve/fresh.ts). */
  readonly neverPast?: boolean;
  /** Rescue breaths: only useful under the house rule `hands-only`. */
  readonly breaths?: boolean;
  /** mg of a dose as planned with, whatever does it (sieve/dose.ts). */
  readonly planningDoseMg?: number;
  /** A large piece is several doses, not one. */
  readonly everyGramCounts?: boolean;
}
