import type { Catalogue } from "../catalogue/catalogue.ts";
import type { Line } from "../model/kit.ts";
import { lineCondition, SOUND_FACTOR } from "../inspect/quality.ts";

/** Mesh 4, Sound: 1 sound, 0.5 worn, 0 failed; null: not inspected, unchecked. */
export function soundFactor(line: Line, catalogue: Catalogue): number | null {
  const condition = lineCondition(line, catalogue);
  return condition === null ? null : SOUND_FACTOR[condition];
}
