import type { Catalogue } from "../catalogue/catalogue.ts";
import type { InspectionPoint } from "../model/inspectionPoint.ts";

/** Asked of what has no points of its own: own types, and things that no id describes. */
const GENERAL = ["clean-whole", "named-for-what", "does-its-job"];

/** The points of an item type in the order of look, feel, try. */
export function pointsFor(
  itemType: string | null,
  catalogue: Catalogue,
): readonly InspectionPoint[] {
  const own = itemType === null ? undefined : catalogue.pointsByType.get(itemType);
  return (own ?? GENERAL).map((id) => catalogue.points.get(id)!);
}
