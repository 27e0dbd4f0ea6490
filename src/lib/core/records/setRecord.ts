import { z } from "zod";
import { strictObject } from "../model/strictObject.ts";
import { recordBase, recordId, versionAfter, type Migration } from "./record.ts";

/** Kits that go out together, judged as one by the brief, list and rules of one of them. */
export const setRecordSchema = strictObject(() => ({
  kind: z.literal("set"),
  ...recordBase,
  title: z.string().max(300),
  /** The kit whose brief, list and house rules hold for all. */
  judgedBy: recordId,
  members: z
    .array(
      z.strictObject({
        kit: recordId,
        count: z.number().int().min(1).max(1000),
        carriedBy: z.string().max(200).optional(),
      }),
    )
    .max(100),
}));
export type SetRecord = z.infer<typeof setRecordSchema>;

export const SET_MIGRATIONS: readonly Migration[] = [];

export const setRecord = (
  key: string,
  set: Pick<SetRecord, "title" | "judgedBy" | "members">,
): SetRecord => ({
  kind: "set",
  id: `set:${key}`,
  version: versionAfter(SET_MIGRATIONS),
  ...set,
});
