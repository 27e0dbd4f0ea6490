import { z } from "zod";
import { strictObject } from "../model/strictObject.ts";
import { recordBase, versionAfter, type Migration } from "./record.ts";

const currencyCode = z.string().regex(/^[A-Z]{3}$/);

/** How numbers, dates and money are shown; stored values stay SI and ISO. One record. */
export const settingsRecordSchema = strictObject(() => ({
  kind: z.literal("settings"),
  ...recordBase,
  units: z.enum(["metric", "us"]),
  /** BCP 47, as en-GB; empty: the browser's. */
  locale: z.string().max(35),
  currency: currencyCode,
  /** What one unit of another currency is worth in `currency`, by the user's own rate. */
  rates: z.record(currencyCode, z.number().positive().max(1e9)),
  /** Whether single letters act on the bench; absent: they do. */
  singleKeys: z.boolean().optional(),
}));
export type SettingsRecord = z.infer<typeof settingsRecordSchema>;

export const SETTINGS_MIGRATIONS: readonly Migration[] = [];

/** Until someone chooses: metric, dates and numbers as the browser writes them, euros. */
export const DEFAULT_SETTINGS: SettingsRecord = {
  kind: "settings",
  id: "settings:own",
  version: versionAfter(SETTINGS_MIGRATIONS),
  units: "metric",
  locale: "",
  currency: "EUR",
  rates: {},
};
