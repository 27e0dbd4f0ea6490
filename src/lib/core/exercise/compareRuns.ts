import type { Mesh } from "../model/mesh.ts";
import type { ClassSummary } from "./mark.ts";

/** The same class on the same exercise, before and after: did they learn? Shares of faults found, 0–1. */
export interface RunsCompared {
  /** Who took both, most gained first. */
  readonly students: readonly {
    readonly id: string;
    readonly before: number;
    readonly after: number;
    readonly falseAlarms: readonly [before: number, after: number];
  }[];
  /** Mean gain of those who took both, with its 95 % interval (paired, Student's t); null: nobody, or one, did. */
  readonly gain: { readonly mean: number; readonly interval: readonly [number, number] } | null;
  readonly meshes: readonly {
    readonly id: Mesh;
    readonly before: number;
    readonly after: number;
  }[];
  /** Who took one of the two only. */
  readonly onlyOne: readonly string[];
}

/** t at 97.5 % by degrees of freedom, 1 to 30; beyond, the normal's. */
// prettier-ignore
const T975 = [12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.16, 2.145, 2.131, 2.12, 2.11, 2.101, 2.093, 2.086, 2.08, 2.074, 2.069, 2.064, 2.06, 2.056, 2.052, 2.048, 2.045, 2.042];
const T_BEYOND = 1.96;

export function compareRuns(first: ClassSummary, second: ClassSummary): RunsCompared {
  const share = (m: ClassSummary["students"][number]): number => {
    const all = m.found.length + m.missed.length;
    return all === 0 ? 0 : m.found.length / all;
  };
  const later = new Map(second.students.map((m) => [m.id, m]));
  const students = first.students
    .flatMap((m) => {
      const after = later.get(m.id);
      if (!after) return [];
      const falseAlarms = [m.falseAlarms.length, after.falseAlarms.length] as const;
      return [{ id: m.id, before: share(m), after: share(after), falseAlarms }];
    })
    .sort((a, b) => b.after - b.before - (a.after - a.before) || (a.id < b.id ? -1 : 1));
  const both = new Set(students.map((s) => s.id));
  return {
    students,
    gain: meanGain(students.map((s) => s.after - s.before)),
    meshes: first.meshes.flatMap((m) => {
      const after = second.meshes.find((x) => x.id === m.id);
      return after ? [{ id: m.id, before: m.rate, after: after.rate }] : [];
    }),
    onlyOne: [...first.students, ...second.students].map((m) => m.id).filter((id) => !both.has(id)),
  };
}

function meanGain(gains: readonly number[]): RunsCompared["gain"] {
  const n = gains.length;
  if (n < 2) return null;
  const mean = gains.reduce((s, g) => s + g, 0) / n;
  const variance = gains.reduce((s, g) => s + (g - mean) ** 2, 0) / (n - 1);
  const half = (T975[n - 2] ?? T_BEYOND) * Math.sqrt(variance / n);
  return { mean, interval: [mean - half, mean + half] };
}
