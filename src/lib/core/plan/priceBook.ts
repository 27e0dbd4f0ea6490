import { z } from "zod";
import { LICENSED_ONLY } from "../catalogue/catalogue.ts";
import { moneySchema } from "../formats/auditFile.ts";
import { isDay } from "../dates.ts";

/**
 * A thing that can be bought. Price, `massG` and `bulkMl` are of one pack of `pack` pieces.
 * `shelfMonths`: how long it is good when it arrives; null: carries no date.
 */
export const productSchema = z.looseObject({
  id: z.string().min(1).max(120),
  title: z.string().min(1).max(300),
  itemType: z.string().min(1),
  pack: z.number().int().min(1).max(100_000),
  sizeMm: z.array(z.number().positive()).min(1).max(6).optional(),
  volumeMl: z.number().positive().max(1_000_000).optional(),
  dosesPerPiece: z.number().positive().max(100_000).optional(),
  price: moneySchema,
  massG: z.number().min(0).max(1e7).optional(),
  bulkMl: z.number().min(0).max(1e8).optional(),
  source: z.string().max(200).optional(),
  leadDays: z.number().min(0).max(3650).optional(),
  shelfMonths: z.number().min(0).max(600).nullable().optional(),
  /** false: out of stock, and so not proposed until it is back. */
  inStock: z.boolean().optional(),
  /** Earlier prices, oldest first, each with the day it was of. */
  history: z
    .array(z.looseObject({ on: z.string().refine(isDay), amount: z.number().min(0).max(1e9) }))
    .max(1000)
    .optional(),
  pricedOn: z.string().refine(isDay, "is not a day that exists").optional(),
});

/** Products under one currency: a plan adds prices up, so they must be of one kind. */
export const priceBookSchema = z.looseObject({
  id: z.string().min(1).max(120),
  title: z.string().max(300),
  currency: z.string().regex(/^[A-Z]{3}$/),
  products: z.array(productSchema).max(20_000),
});

export type Product = z.infer<typeof productSchema>;
export type PriceBook = z.infer<typeof priceBookSchema>;

/** For licensed or prescribed use. */
export const isLicensedOnly = (product: Pick<Product, "itemType">): boolean =>
  LICENSED_ONLY.has(product.itemType);

/** Rule of the plan: things for licensed or prescribed use are never proposed; nor what is out of stock. */
export const mayPropose = (product: Product): boolean =>
  !isLicensedOnly(product) && product.inStock !== false;
