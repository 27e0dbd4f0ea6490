import { z } from "zod";
import { strictObject } from "../model/strictObject.ts";
import { briefSchema, EMPTY_BRIEF } from "../model/brief.ts";
import { recordBase, versionAfter, type Migration } from "./record.ts";

/** Whom kits are for; several kits may share one. */
export const briefRecordSchema = strictObject(() => ({
  kind: z.literal("brief"),
  ...recordBase,
  brief: briefSchema,
}));
export type BriefRecord = z.infer<typeof briefRecordSchema>;

export const BRIEF_MIGRATIONS: readonly Migration[] = [];

export const emptyBriefRecord = (key: string): BriefRecord => ({
  kind: "brief",
  id: `brief:${key}`,
  version: versionAfter(BRIEF_MIGRATIONS),
  brief: structuredClone(EMPTY_BRIEF),
});
