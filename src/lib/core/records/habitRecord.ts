import { z } from "zod";
import type { ColumnRole } from "../card/columnRole.ts";
import { headingKey, type Habits, type Lesson } from "../card/habits.ts";
import { day } from "../model/scalars.ts";
import { recordBase, versionAfter, type Migration } from "./record.ts";

/** How this user's cards are written, besides how they call things: learned from corrections. */
export const habitRecordSchema = z.strictObject({
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
        .array(z.enum(["text", "quantity", "size", "unit", "note", "skip"]).nullable())
        .max(50),
    }),
  ]),
});
export type HabitRecord = z.infer<typeof habitRecordSchema>;

export const HABIT_MIGRATIONS: readonly Migration[] = [];

/** One habit of a kind and name: a later correction takes the place of an earlier one. */
const keyOf = (habit: HabitRecord["habit"]): string =>
  habit.what === "pack" ? habit.name : habit.what === "unit" ? "size" : habit.heading;

const record = (habit: HabitRecord["habit"], on: string): HabitRecord => ({
  kind: "habit",
  id: `habit:${habit.what}:${keyOf(habit)}`.slice(0, 160),
  version: versionAfter(HABIT_MIGRATIONS),
  on,
  habit,
});

export const habitOfLesson = (lesson: Lesson, on: string): HabitRecord =>
  record(lesson.what === "pack" ? { ...lesson, name: lesson.name.slice(0, 400) } : lesson, on);

export const habitOfColumns = (
  heading: readonly string[],
  roles: readonly (ColumnRole | null)[],
  on: string,
): HabitRecord =>
  record({ what: "columns", heading: headingKey(heading).slice(0, 2000), roles: [...roles] }, on);

/** Habits as the card reader takes them. */
export function habitsFrom(records: readonly HabitRecord[]): Habits {
  const packs = new Map<string, number>();
  const columns = new Map<string, readonly (ColumnRole | null)[]>();
  let bareUnit: Habits["bareUnit"] = null;
  for (const { habit } of records)
    if (habit.what === "pack") packs.set(habit.name, habit.pieces);
    else if (habit.what === "unit") bareUnit = habit.unit;
    else columns.set(habit.heading, habit.roles);
  return { packs, columns, bareUnit };
}
