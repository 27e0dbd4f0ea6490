import { habitRecord, type HabitRecord } from "../records/habitRecord.ts";
import type { ColumnRole } from "./columnRole.ts";
import { headingKey, type Habits, type Lesson } from "./habits.ts";

/** Lessons of corrections as records of the workspace, and such records as the card reader takes them. */

export const habitOfLesson = (lesson: Lesson, on: string): HabitRecord =>
  habitRecord(lesson.what === "pack" ? { ...lesson, name: lesson.name.slice(0, 400) } : lesson, on);

export const habitOfColumns = (
  heading: readonly string[],
  roles: readonly (ColumnRole | null)[],
  on: string,
): HabitRecord =>
  habitRecord(
    { what: "columns", heading: headingKey(heading).slice(0, 2000), roles: [...roles] },
    on,
  );

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
