import type { z } from "zod";

/** What is wrong with an input: where (a path a person can find), and what to do. */
export interface Problem {
  /** For example `kit.lines[3].counted`; empty for the whole file. */
  readonly where: string;
  readonly what: string;
}

/** An expected failure is a value, never a throw. */
export type Outcome<T> = { readonly ok: true; readonly value: T } | Failure;
export interface Failure {
  readonly ok: false;
  readonly problems: readonly Problem[];
}

export const fail = (problems: readonly Problem[]): Failure => ({ ok: false, problems });

/** `["kit", "lines", 3, "counted"]` → `kit.lines[3].counted`. */
const pathText = (path: readonly PropertyKey[]): string =>
  path
    .map((p, i) => (typeof p === "number" ? `[${p}]` : `${i === 0 ? "" : "."}${String(p)}`))
    .join("");

/** More problems than this help nobody to mend a file. */
const MOST_PROBLEMS = 50;

/** Zod's issues as problems with a path a person can find. */
export const zodProblems = (error: z.ZodError): Problem[] =>
  error.issues.slice(0, MOST_PROBLEMS).map((i) => ({ where: pathText(i.path), what: i.message }));
