import { z } from "zod";
import { strictObject } from "../model/strictObject.ts";
import { day } from "../model/scalars.ts";
import { recordBase, versionAfter, type Migration } from "./record.ts";

/** How this user's cards call a thing; learned from corrections. */
export const aliasRecordSchema = strictObject(() => ({
  kind: z.literal("alias"),
  ...recordBase,
  text: z.string().min(1).max(400),
  itemType: z.string().min(1),
  /** Day of the correction; absent: before it was kept. */
  on: day.optional(),
}));
export type AliasRecord = z.infer<typeof aliasRecordSchema>;

export const ALIAS_MIGRATIONS: readonly Migration[] = [];

export const aliasRecord = (text: string, itemType: string, on?: string): AliasRecord => ({
  kind: "alias",
  id: `alias:${text}`.slice(0, 160),
  version: versionAfter(ALIAS_MIGRATIONS),
  text: text.slice(0, 400),
  itemType,
  ...(on === undefined ? {} : { on }),
});
