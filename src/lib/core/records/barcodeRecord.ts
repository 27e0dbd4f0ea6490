import { z } from "zod";
import { strictObject } from "../model/strictObject.ts";
import { recordBase, versionAfter, type Migration } from "./record.ts";

/** What a barcode stands for; learned the first time it is named. */
export const barcodeRecordSchema = strictObject(() => ({
  kind: z.literal("barcode"),
  ...recordBase,
  gtin: z.string().regex(/^\d{14}$/),
  itemType: z.string().min(1),
  text: z.string().max(400).optional(),
  sizeMm: z.array(z.number().positive()).max(6).optional(),
}));
export type BarcodeRecord = z.infer<typeof barcodeRecordSchema>;

export const BARCODE_MIGRATIONS: readonly Migration[] = [];

export const barcodeRecord = (
  known: Pick<BarcodeRecord, "gtin" | "itemType" | "text" | "sizeMm">,
): BarcodeRecord => ({
  kind: "barcode",
  id: `barcode:${known.gtin}`,
  version: versionAfter(BARCODE_MIGRATIONS),
  ...known,
});
