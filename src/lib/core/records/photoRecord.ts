import { z } from "zod";
import { recordBase, recordId, versionAfter, type Migration } from "./record.ts";

/** A photograph as a note: JPEG data URL resized in the browser, of a kit or of one of its lines. */
export const photoRecordSchema = z.strictObject({
  kind: z.literal("photo"),
  ...recordBase,
  kitId: recordId,
  /** Id of the line it shows; absent: the kit. */
  line: z.string().optional(),
  name: z.string().max(300),
  dataUrl: z.string().startsWith("data:image/").max(3_000_000),
});
export type PhotoRecord = z.infer<typeof photoRecordSchema>;

export const PHOTO_MIGRATIONS: readonly Migration[] = [];

export const photoRecord = (
  key: string,
  photo: Pick<PhotoRecord, "kitId" | "line" | "name" | "dataUrl">,
): PhotoRecord => ({
  kind: "photo",
  id: `photo:${key}`,
  version: versionAfter(PHOTO_MIGRATIONS),
  ...photo,
});
