import { kitToday } from "../events/kitOnDay.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Brief } from "../model/brief.ts";
import type { ItemType } from "../model/itemType.ts";
import type { KitRecord } from "./kitRecord.ts";

/** The audit file of a kit as it is today: its events replayed, its old checks lapsed. */
export const auditOf = (
  record: KitRecord,
  brief: Brief,
  own: readonly ItemType[],
  today: string,
  catalogue: Catalogue,
): AuditFile => kitToday(wholeFileOf(record, brief, own), today, catalogue);

/** The audit file of a kit record with its log, as it goes out: self-contained. */
export function wholeFileOf(record: KitRecord, brief: Brief, own: readonly ItemType[]): AuditFile {
  const used = new Set(record.kit.lines.map((l) => l.itemType));
  for (const e of record.events ?? [])
    for (const c of [...(e.changes ?? []), ...(e.lines ?? [])])
      if (c.itemType) used.add(c.itemType);
  for (const n of record.list.needs) n.accept?.forEach((a) => used.add(a.itemType));
  brief.carriedElsewhere?.forEach((e) => used.add(e.itemType));
  const itemTypes = own.filter((t) => used.has(t.id));
  // What a newer program wrote goes out again where it was.
  const kept = record.kept?.filter((k) => ["kit", "list", "houseRules"].includes(k.at[0]!)) ?? [];
  return {
    format: "wide-sieve.audit",
    version: 1,
    brief,
    houseRules: record.houseRules,
    list: record.list,
    ...(itemTypes.length > 0 ? { itemTypes } : {}),
    kit: record.kit,
    ...(record.events && record.events.length > 0 ? { events: record.events } : {}),
    ...(record.incidents ? { incidents: record.incidents } : {}),
    ...(record.byChance ? { byChance: record.byChance } : {}),
    ...(kept.length > 0 ? { kept } : {}),
  };
}
