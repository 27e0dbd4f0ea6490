import type { InspectionPoint } from "../model/inspectionPoint.ts";
import { INSPECTION_POINTS, POINTS_BY_TYPE } from "../../data/inspectionPoints.ts";

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
