import type { Catalogue } from "../catalogue/catalogue.ts";
import type { CalculatorId } from "./calculation.ts";

const BY_FUNCTION: Readonly<Record<string, CalculatorId>> = {
  "pressure-immobilisation": "wraps",
  "joint-support": "wraps",
  "dressing-retention": "wraps",
  "medium-wound-pad": "dressings",
  "non-adherent-layer": "dressings",
  "bulk-absorbent": "dressings",
  "burn-dressing": "dressings",
  tape: "tape",
  "wound-irrigation": "irrigation",
};
const TABLETS: ReadonlySet<string> = new Set(["illness-pain", "allergy", "exposure"]);

/** The sum that gives the quantity of such a need; null: none does. */
export function calculatorFor(functionId: string, catalogue: Catalogue): CalculatorId | null {
  const direct = BY_FUNCTION[functionId];
  if (direct) return direct;
  const fn = catalogue.functions.get(functionId);
  return fn && fn.unit === "dose" && TABLETS.has(fn.category) ? "tablets" : null;
}
