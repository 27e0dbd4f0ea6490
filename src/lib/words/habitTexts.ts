import type { HabitRecord } from "../core/records/habitRecord.ts";

/** What a correction has taught, in a line. */
export function habitText(habit: HabitRecord["habit"]): string {
  switch (habit.what) {
    case "pack":
      return `a pack of ${habit.name} holds ${habit.pieces}`;
    case "unit":
      return `sizes without a unit are in ${habit.unit === "cm" ? "centimetres" : "inches"}`;
    case "columns":
      return `columns headed ${habit.heading}`;
  }
}
