import { z } from "zod";
import { strictObject } from "../model/strictObject.ts";
import { recordBase, recordId, versionAfter, type Migration } from "./record.ts";

/** A photograph as a note: JPEG data URL resized in the browser, of a kit, of one of its lines or of an event of its log. */
export const photoRecordSchema = strictObject(() => ({
  kind: z.literal("photo"),
  ...recordBase,
  kitId: recordId,
  /** Id of the line it shows; absent: the kit. */
  line: z.string().optional(),
  /** Id of the event of the kit's log that it belongs to. */
  event: z.string().optional(),
  name: z.string().max(300),
  dataUrl: z.string().startsWith("data:image/").max(3_000_000),
  /** The words read on it, where it is a contents card. */
  seen: z
    .strictObject({
      /** Line of the card, from 1, that its first line became. */
      cardLine: z.number().int().min(1).max(1_000_000),
      /** Size in which the words have their places. */
      width: z.number().positive(),
      height: z.number().positive(),
      words: z
        .array(
          z.strictObject({
            text: z.string().max(400),
            /** 0–1. */
            confidence: z.number().min(0).max(1),
            /** x0, y0, x1, y1. */
            box: z.tuple([z.number(), z.number(), z.number(), z.number()]),
            /** From the first line of this picture, from 0. */
            line: z.number().int().min(0),
          }),
        )
        .max(20_000),
    })
    .optional(),
}));
export type PhotoRecord = z.infer<typeof photoRecordSchema>;

export const PHOTO_MIGRATIONS: readonly Migration[] = [];

export const photoRecord = (
  key: string,
  photo: Pick<PhotoRecord, "kitId" | "line" | "event" | "name" | "dataUrl" | "seen">,
): PhotoRecord => ({
  kind: "photo",
  id: `photo:${key}`,
  version: versionAfter(PHOTO_MIGRATIONS),
  ...photo,
});
