import { z } from "zod";
import { strictObject } from "../model/strictObject.ts";
import { itemTypeSchema, type ItemType } from "../model/itemType.ts";
import { recordBase, versionAfter, type Migration } from "./record.ts";

/** An item type of the user's own; the record's id carries the type's. */
export const itemTypeRecordSchema = strictObject(() => ({
  kind: z.literal("itemType"),
  ...recordBase,
  itemType: itemTypeSchema,
}));
export type ItemTypeRecord = z.infer<typeof itemTypeRecordSchema>;

export const ITEM_TYPE_MIGRATIONS: readonly Migration[] = [];

/** The record and its type under another id of the type's. */
export const underTypeId = (record: ItemTypeRecord, id: string): ItemTypeRecord => ({
  ...record,
  id: `itemType:${id}`,
  itemType: { ...record.itemType, id },
});

export const itemTypeRecord = (itemType: ItemType): ItemTypeRecord => ({
  kind: "itemType",
  id: `itemType:${itemType.id}`,
  version: versionAfter(ITEM_TYPE_MIGRATIONS),
  itemType,
});
