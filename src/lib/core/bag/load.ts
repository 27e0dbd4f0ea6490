import { typeLookup, type Catalogue } from "../catalogue/catalogue.ts";
import type { ItemType } from "../model/itemType.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Line } from "../model/kit.ts";
import { measureOf, piecesOf } from "../sieve/measure.ts";

export interface Load {
  readonly massG: number;
  readonly volumeMl: number;
}

/**
 * Mass (g) and bulk (ml) of a line by its type's typical piece; a longer roll or larger bottle weighs
 * more. What comes in doses, loose or in a tube, is weighed by the dose.
 */
export function lineLoad(line: Line, type: ItemType | null): Load {
  if (!type) return { massG: 0, volumeMl: 0 };
  const { perPiece } = measureOf(line, type);
  const scale = type.measure === "dose" ? perPiece : perPiece / (type.typical ?? perPiece);
  const pieces = piecesOf(line) * scale;
  return { massG: pieces * (type.massG ?? 0), volumeMl: pieces * (type.bulkMl ?? 0) };
}

/** What is carried: all lines and the bag. An estimate until the kit is weighed. */
export function kitLoad(audit: AuditFile, catalogue: Catalogue): Load {
  const typeOf = typeLookup(audit.itemTypes, catalogue);
  let massG = audit.kit.container?.massG ?? 0;
  let volumeMl = 0;
  for (const line of audit.kit.lines) {
    const load = lineLoad(line, line.itemType === null ? null : (typeOf(line.itemType) ?? null));
    massG += load.massG;
    volumeMl += load.volumeMl;
  }
  return { massG, volumeMl };
}
