import { categoryOf, creditFor, type Catalogue } from "../catalogue/catalogue.ts";
import type { ItemType } from "../model/itemType.ts";
import type { Line } from "../model/kit.ts";
import type { Need } from "../model/list.ts";
import type { Brief } from "../model/brief.ts";
import type { Schools } from "../model/houseRules.ts";
import { extentOf } from "./measure.ts";

/** Mesh 2, Real: credit × spec × companions. */

/** A thing that is not sterile where sterile is asked does under a third of the job. */
const NOT_STERILE = 0.3;
/** Each missing companion halves. */
const COMPANION_MISSING = 0.5;
/** What is left of a thing without so many of its companions. */
export const companionFactor = (missing: number): number => COMPANION_MISSING ** missing;

/** What decided a credit: the catalogue, the need's own entry, a house rule, or children in the party. */
type CreditSource =
  | "catalogue"
  | "accept"
  | "devices"
  | "improvised"
  | "cutting"
  | "children"
  | "none";
export interface EffectiveCredit {
  readonly credit: number;
  /** Units of the function per unit of measure. */
  readonly yield: number;
  readonly source: CreditSource;
}

/** What a credit is judged by. */
export interface CreditContext {
  readonly rules: Pick<Schools, "devices" | "improvised" | "cutting">;
  readonly brief: Pick<Brief, "activities">;
  readonly catalogue: Catalogue;
}

/** The activity that rules out what is not given to children. */
const CHILDREN = "children";

/** Credit of a type for a function after accept entry, house rules and who is there. */
export function effectiveCredit(
  type: ItemType,
  functionId: string,
  accept: Need["accept"],
  { rules, brief, catalogue }: CreditContext,
): EffectiveCredit {
  const own = creditFor(type, functionId);
  const entry = accept?.find((a) => a.itemType === type.id);
  const yields = entry?.yield ?? own?.yield ?? 1;
  const improvised = own?.improvised === true || entry?.improvised === true;
  if (type.notWithChildren?.includes(functionId) && brief.activities.includes(CHILDREN))
    return { credit: 0, yield: yields, source: "children" };
  if (rules.cutting === "scissors" && own?.underScissors !== undefined)
    return { credit: own.underScissors, yield: yields, source: "cutting" };
  if (rules.improvised === "deny" && improvised)
    return { credit: 0, yield: yields, source: "improvised" };
  if (rules.devices === "protocol-only" && type.protocolBarred) {
    const category = categoryOf(functionId, catalogue);
    if (category === "severe-bleeding" || category === "airway-chest")
      return { credit: 0, yield: yields, source: "devices" };
  }
  if (entry) return { credit: entry.credit, yield: yields, source: "accept" };
  if (own) return { credit: own.credit, yield: yields, source: "catalogue" };
  return { credit: 0, yield: yields, source: "none" };
}

/** The spec factor, and whether it rests on a size that is not known (then 1, unchecked). */
export interface SpecFactor {
  readonly factor: number;
  readonly unchecked: boolean;
}

/** Product over the minima that the line misses. */
export function specFactor(line: Line, type: ItemType, spec: Need["spec"]): SpecFactor {
  if (!spec) return { factor: 1, unchecked: false };
  let factor = spec.sterile && !type.sterile ? NOT_STERILE : 1;
  let unchecked = false;
  if (type.measure === "dose" || type.measure === "millilitre") return { factor, unchecked };
  const have = extentOf(line, type);
  const miss = (asked: number, found: number | null) => {
    if (found === null) unchecked = true;
    else factor *= Math.min(1, found / asked);
  };
  if (spec.minSizeMm) {
    const small = Math.min(...spec.minSizeMm);
    const large = Math.max(...spec.minSizeMm);
    const both = have.numbers >= 2;
    miss(small, both ? have.width : null);
    miss(large, both ? have.length : null);
  }
  if (spec.minWidthMm !== undefined) miss(spec.minWidthMm, have.width);
  if (spec.minLengthMm !== undefined) miss(spec.minLengthMm, have.length);
  return { factor, unchecked };
}
