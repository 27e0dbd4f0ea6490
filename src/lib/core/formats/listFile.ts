import { EMPTY_BRIEF } from "../model/brief.ts";
import { keptSchema, readKeeping } from "../model/kept.ts";
import { z } from "zod";
import { strictObject } from "../model/strictObject.ts";
import { typeLookup, type Catalogue } from "../catalogue/catalogue.ts";
import { itemTypeSchema, type ItemType } from "../model/itemType.ts";
import { integrity } from "./integrity.ts";
import { listSchema, type ReferenceList } from "../model/list.ts";
import type { AuditFile } from "../model/auditFile.ts";
import { fail, type Outcome, type Problem, problem } from "../model/problem.ts";

/** A reference list by itself, with the own item types that its stand-ins name. */
export const listFileSchema = strictObject(() => ({
  format: z.literal("wide-sieve.list"),
  version: z.literal(1),
  list: listSchema,
  itemTypes: z.array(itemTypeSchema).max(1000).optional(),
  kept: keptSchema.optional(),
}));
export type ListFile = z.infer<typeof listFileSchema>;

export function listFile(list: ReferenceList, own: readonly ItemType[]): ListFile {
  const named = new Set(list.needs.flatMap((n) => n.accept?.map((a) => a.itemType) ?? []));
  const itemTypes = own.filter((t) => named.has(t.id));
  return {
    format: "wide-sieve.list",
    version: 1,
    list,
    ...(itemTypes.length > 0 ? { itemTypes } : {}),
  };
}

/** A list file from parsed JSON: all of it, or what is wrong and where. */
export function parseListFile(json: unknown, catalogue: Catalogue): Outcome<ListFile> {
  const version = (json as { version?: unknown } | null)?.version;
  if (typeof version === "number" && version > 1)
    return fail([problem("version", "newer-file", { version, reads: 1 })]);
  const read = readKeeping(listFileSchema, json);
  if (!read.ok) return read;
  const problems = listProblems(read.value.list, read.value.itemTypes ?? [], catalogue);
  return problems.length > 0 ? fail(problems) : read;
}

/** Unknown and doubled ids of a list, as an audit would find them. */
export const listProblems = (
  list: ReferenceList,
  own: readonly ItemType[],
  catalogue: Catalogue,
): Problem[] => {
  const typeOf = typeLookup(own, catalogue);
  const audit: AuditFile = {
    format: "wide-sieve.audit",
    version: 1,
    brief: EMPTY_BRIEF,
    list,
    itemTypes: own.filter((t) => typeOf(t.id) !== undefined),
    kit: { name: "", claims: {}, lines: [] },
  };
  return integrity(audit, catalogue);
};
