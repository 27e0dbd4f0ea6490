import { z } from "zod";
import { strictObject } from "../model/strictObject.ts";
import { day } from "../model/scalars.ts";
import { recordBase, versionAfter, type Migration } from "./record.ts";

/** How this user's cards are written, besides how they call things: learned from corrections. */
export const habitRecordSchema = strictObject(() => ({
  kind: z.literal("habit"),
  ...recordBase,
  /** Day of the correction. */
  on: day,
  habit: z.discriminatedUnion("what", [
    z.strictObject({
      what: z.literal("pack"),
      /** As on the card, without its count. */
      name: z.string().min(1).max(400),
      pieces: z.number().int().min(2).max(1000),
    }),
    z.strictObject({ what: z.literal("unit"), unit: z.enum(["cm", "in"]) }),
    z.strictObject({
      what: z.literal("columns"),
      heading: z.string().min(1).max(2000),
      roles: z
        .array(
          z
            .enum(["text", "quantity", "packs", "loose", "there", "size", "unit", "note", "skip"])
            .nullable(),
        )
        .max(50),
    }),
  ]),
}));
export type HabitRecord = z.infer<typeof habitRecordSchema>;

export const HABIT_MIGRATIONS: readonly Migration[] = [];

/** One habit of a kind and name: a later correction takes the place of an earlier one. */
const keyOf = (habit: HabitRecord["habit"]): string =>
  habit.what === "pack" ? habit.name : habit.what === "unit" ? "size" : habit.heading;

export const habitRecord = (habit: HabitRecord["habit"], on: string): HabitRecord => ({
  kind: "habit",
  id: `habit:${habit.what}:${keyOf(habit)}`.slice(0, 160),
  version: versionAfter(HABIT_MIGRATIONS),
  on,
  habit,
});
