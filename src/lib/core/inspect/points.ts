import { INSPECTION_POINTS, POINTS_BY_TYPE } from "../../data/inspectionPoints.ts";

export type Severity = "minor" | "major" | "fatal";

/** One thing to look at, feel or try on an item. */
export interface InspectionPoint {
  readonly id: string;
  /** Points are taken in this order: what is seen, what is felt, what is tried. */
  readonly by: "look" | "feel" | "try";
  /** What good looks like, as a statement answered yes or no. */
  readonly good: string;
  /** What failing looks like, and why it matters. */
  readonly failing: string;
  /** How to find out without spoiling the thing. */
  readonly how: string;
  readonly severity: Severity;
}

const byId = new Map(INSPECTION_POINTS.map((p) => [p.id, p]));

export const isInspectionPoint = (id: string): boolean => byId.has(id);
export const inspectionPoint = (id: string): InspectionPoint | undefined => byId.get(id);

/** The points of an item type in the order of look, feel, try. Own types get the general ones. */
export function pointsFor(itemType: string | null): readonly InspectionPoint[] {
  const ids = (itemType && POINTS_BY_TYPE[itemType]) || [
    "clean-whole",
    "named-for-what",
    "does-its-job",
  ];
  return ids.map((id) => byId.get(id)!);
}
