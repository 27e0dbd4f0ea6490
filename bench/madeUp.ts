import type { AuditFile } from "../src/lib/core/model/auditFile.ts";
import type { Line } from "../src/lib/core/model/kit.ts";
import type { Need } from "../src/lib/core/model/list.ts";
import { FUNCTIONS } from "../src/lib/data/functions.ts";
import { ITEM_TYPES } from "../src/lib/data/itemTypes.ts";
import { auditOf, randomFrom } from "./planCases.ts";

/** A made-up audit of the given size; `checked`: the share of lines that were looked at. */
export function madeUp(lines: number, needs: number, checked: number): AuditFile {
  const random = randomFrom(42);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const served = FUNCTIONS.filter((f) =>
    ITEM_TYPES.some((t) => t.functions.some((c) => c.function === f.id && c.credit > 0)),
  );
  const needList: Need[] = Array.from({ length: needs }, (_, i) => ({
    id: `n${i}`,
    function: served[i % served.length]!.id,
    tier: pick(["vital", "core", "core", "useful"] as const),
    quantity: { base: 1 + Math.floor(random() * 12) },
    access: pick(["any", "minute", "seconds"] as const),
  }));
  const lineList: Line[] = Array.from({ length: lines }, (_, i) => ({
    id: `l${i}`,
    itemType: pick(ITEM_TYPES.filter((t) => t.functions.length > 0)).id,
    claimed: 1 + Math.floor(random() * 10),
    ...(random() < checked
      ? {
          counted: Math.floor(random() * 10),
          condition: pick(["sound", "sound", "worn", "failed"] as const),
          expires: pick(["2030-01", "2020-01", "none"]),
          location: pick(["outside", "pocket", "bottom"] as const),
        }
      : {}),
  }));
  return auditOf(needList, lineList);
}
