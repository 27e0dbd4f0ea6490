import { z } from "zod";
import { strictObject } from "./strictObject.ts";
import { fromMinor, toMinor } from "../base/money.ts";
import { keptSchema } from "./kept.ts";
import { currency, day, doses, moneySchema, sizeMm, volumeMl } from "./scalars.ts";

/**
 * A thing that can be bought. Price, `massG` and `bulkMl` are of one pack of `pack` pieces.
 * `shelfMonths`: how long it is good when it arrives; null: carries no date.
 */
export const productSchema = strictObject(() => ({
  id: z.string().min(1).max(120),
  title: z.string().min(1).max(300),
  itemType: z.string().min(1),
  pack: z.number().int().min(1).max(100_000),
  sizeMm: sizeMm.optional(),
  volumeMl: volumeMl.optional(),
  dosesPerPiece: doses.optional(),
  /** Of one dose of the piece. */
  strengthMg: z.number().positive().max(1_000_000).optional(),
  latexFree: z.boolean().optional(),
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
    .array(z.strictObject({ on: day, amount: z.number().min(0).max(1e9) }))
    .max(1000)
    .optional(),
  pricedOn: day.optional(),
}));
export type Product = z.infer<typeof productSchema>;

/**
 * What a source asks beside the prices of its products, in the book's currency: postage for an order,
 * none from a sum on; and the least that it takes an order for.
 */
const sourceTermsSchema = strictObject(() => ({
  source: z.string().max(200),
  postage: z.number().min(0).max(1e9).optional(),
  freeFrom: z.number().min(0).max(1e9).optional(),
  minimum: z.number().min(0).max(1e9).optional(),
}));
export type SourceTerms = z.infer<typeof sourceTermsSchema>;

/** Products under one currency: a plan adds prices up, so they must be of one kind. */
export const priceBookSchema = strictObject(() => ({
  id: z.string().min(1).max(120),
  title: z.string().max(300),
  currency,
  products: z.array(productSchema).max(20_000),
  /** Sources without terms send for nothing and take any order. */
  sources: z.array(sourceTermsSchema).max(1000).optional(),
  kept: keptSchema.optional(),
}));
export type PriceBook = z.infer<typeof priceBookSchema>;

/** What one pack costs, in minor units: prices are added up as whole ones, so that sums are exact. */
export const minorPrice = (product: Product): number =>
  toMinor(product.price.amount, product.price.currency);
/** What so many packs cost. */
export const priceOf = (product: Product, packs: number): number =>
  fromMinor(minorPrice(product) * packs, product.price.currency);

/** Postage of an order at a source, minor units: what the goods come to decides. */
export const postageOf = (terms: SourceTerms, goodsMinor: number, currency: string): number =>
  terms.freeFrom !== undefined && goodsMinor >= toMinor(terms.freeFrom, currency)
    ? 0
    : toMinor(terms.postage ?? 0, currency);
