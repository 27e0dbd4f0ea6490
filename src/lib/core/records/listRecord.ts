import { z } from "zod";
import { strictObject } from "../model/strictObject.ts";
import { listSchema, type ReferenceList } from "../model/list.ts";
import { recordBase, versionAfter, type Migration } from "./record.ts";

/** A list of the user's own: edited, combined or taken in. Kits keep a copy of what they were judged by. */
export const listRecordSchema = strictObject(() => ({
  kind: z.literal("list"),
  ...recordBase,
  list: listSchema,
  /** Id of the list it was copied from, where it still exists. */
  from: z.string().max(160).optional(),
}));
export type ListRecord = z.infer<typeof listRecordSchema>;

export const LIST_MIGRATIONS: readonly Migration[] = [];

/** A list of the user's own from any list: its content under an id of its own. */
export const listRecord = (key: string, list: ReferenceList): ListRecord => ({
  kind: "list",
  id: `list:${key}`,
  version: versionAfter(LIST_MIGRATIONS),
  list: { ...structuredClone(list), id: `own-${key}`, version: 1 },
  from: list.id,
});
