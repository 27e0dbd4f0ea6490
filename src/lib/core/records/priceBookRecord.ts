import { z } from "zod";
import { strictObject } from "../model/strictObject.ts";
import { priceBookSchema, type PriceBook } from "../model/priceBook.ts";
import { recordBase, versionAfter, type Migration } from "./record.ts";

/** The user's own price book. One is in use, under `OWN_PRICE_BOOK`; without it, the starter book. */
export const priceBookRecordSchema = strictObject(() => ({
  kind: z.literal("priceBook"),
  ...recordBase,
  book: priceBookSchema,
}));
export type PriceBookRecord = z.infer<typeof priceBookRecordSchema>;

export const PRICE_BOOK_MIGRATIONS: readonly Migration[] = [];
const OWN_PRICE_BOOK = "priceBook:own";

export const priceBookRecord = (book: PriceBook): PriceBookRecord => ({
  kind: "priceBook",
  id: OWN_PRICE_BOOK,
  version: versionAfter(PRICE_BOOK_MIGRATIONS),
  book,
});
