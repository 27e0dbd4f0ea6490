import type { Catalogue } from "../catalogue/catalogue.ts";
import type { Line } from "../model/kit.ts";
import { pointsFor } from "./points.ts";

/**
 * The facts of a line that turns out to be another thing. What was looked at holds where the other is asked the
 * same; its inspection is finished only where nothing more is asked.
 */
export function retyped(
  line: Pick<Line, "itemType" | "failedPoints" | "okPoints">,
  itemType: string | null,
  catalogue: Catalogue,
): Partial<Line> {
  const { failedPoints, okPoints } = line;
  if (itemType === line.itemType || (!failedPoints && !okPoints)) return { itemType };
  const ids = (type: string | null) => pointsFor(type, catalogue).map((p) => p.id);
  const asked = ids(itemType);
  const failed = asked.filter((p) => failedPoints?.includes(p));
  // Finished before: what did not fail was good.
  const good = okPoints ?? ids(line.itemType).filter((p) => !failedPoints?.includes(p));
  const ok = asked.filter((p) => good.includes(p));
  const all = failed.length + ok.length === asked.length;
  return {
    itemType,
    failedPoints: all || failed.length > 0 ? failed : undefined,
    okPoints: all || failed.length + ok.length === 0 ? undefined : ok,
    ...(all ? {} : { checkedOn: undefined }),
  };
}
