import { z } from "zod";
import type { ProblemCode } from "./problem.ts";
import { isDay, isMonth } from "../base/dates.ts";

/** The numbers and texts that several records share, each with its range. */

/** More of anything than fits on a bench is a slip of the keys, not a count. */
const MOST_PIECES = 100_000;
/** Pieces; a fraction is a part of a roll. */
export const pieces = z.number().min(0).max(MOST_PIECES);
export const id = z.string().min(1).max(120);
export const day = z.string().refine(isDay, "no-such-day" satisfies ProblemCode);
/** A printed date as read: a month (good to its last day), a day, or `none` printed. */
export const dateRead = z
  .string()
  .refine((s) => s === "none" || isMonth(s) || isDay(s), "no-such-date-read" satisfies ProblemCode);
/** Printed sizes in mm, as printed: one number or several. */
export const sizeMm = z.array(z.number().positive().max(1_000_000)).min(1).max(6);
export const volumeMl = z.number().positive().max(1_000_000);
export const doses = z.number().positive().max(100_000);
export const grams = z.number().min(0).max(1e9);
export const millilitres = z.number().min(0).max(1e9);
/** A share of 1. */
export const share = z.number().min(0).max(1);
export const currency = z.string().regex(/^[A-Z]{3}$/, "no-currency" satisfies ProblemCode);
export const moneySchema = z.strictObject({ amount: z.number().min(0).max(1e9), currency });
