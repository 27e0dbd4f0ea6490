import { z } from "zod";
import { strictObject } from "./strictObject.ts";
import { briefSchema } from "./brief.ts";
import { byChanceSchema } from "./byChance.ts";
import { eventsSchema } from "./event.ts";
import { houseRulesSchema } from "./houseRules.ts";
import { itemTypeSchema } from "./itemType.ts";
import { kitSchema } from "./kit.ts";
import { incidentsSchema } from "./incident.ts";
import { keptSchema } from "./kept.ts";
import { listSchema } from "./list.ts";

/** All that an audit judges, self-contained: brief, house rules, list, own item types, kit. */
export const auditSchema = strictObject(() => ({
  format: z.literal("wide-sieve.audit"),
  version: z.literal(1),
  brief: briefSchema,
  houseRules: houseRulesSchema.optional(),
  list: listSchema,
  itemTypes: z.array(itemTypeSchema).max(1000).optional(),
  kit: kitSchema,
  /** What happened to the kit since it was as `kit` says; absent: nothing. */
  events: eventsSchema.optional(),
  /** What is assumed to happen on the outing; absent: the shipped assumptions for the brief. */
  incidents: incidentsSchema.optional(),
  /** What suffices by chance, where the house rules take quantities from it. */
  byChance: byChanceSchema.optional(),
  kept: keptSchema.optional(),
}));
export type AuditFile = z.infer<typeof auditSchema>;
