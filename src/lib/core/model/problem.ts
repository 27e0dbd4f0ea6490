import type { z } from "zod";

/** What can be wrong; words/problems.ts has the sentence of each. */
export type ProblemCode =
  | "schema"
  | "no-such-day"
  | "no-such-date-read"
  | "no-currency"
  | "sum-not-one"
  | "too-deep"
  | "too-large"
  | "too-slow"
  | "column-twice"
  | "amount-unclear"
  | "too-many-for-a-request"
  | "broken-off"
  | "no-record"
  | "no-kind"
  | "another-key"
  | "no-version"
  | "newer-record"
  | "gs1-no-element"
  | "gs1-unknown-ai"
  | "gs1-short"
  | "gs1-length"
  | "empty"
  | "gs1-gtin"
  | "gs1-check-digit"
  | "no-such-date"
  | "gs1-count"
  | "card-empty"
  | "card-no-text"
  | "card-too-many"
  | "card-lines-left-out"
  | "card-line-too-long"
  | "prices-lack-column"
  | "no-type"
  | "prices-no-column"
  | "prices-no-type"
  | "prices-two-currencies"
  | "prices-terms-differ"
  | "twice"
  | "list-lacks-heading"
  | "list-unknown-heading"
  | "list-no-need"
  | "no-number"
  | "no-job"
  | "no-yes"
  | "list-min-above-max"
  | "no-two-sides"
  | "no-stand-in"
  | "no-stand-in-type"
  | "open-quote"
  | "newer-file"
  | "no-audit"
  | "another-format"
  | "no-workspace"
  | "no-records"
  | "type-told-apart"
  | "brief-given"
  | "no-brief"
  | "no-type-here"
  | "no-function"
  | "id-twice"
  | "id-of-catalogue"
  | "no-typical"
  | "min-above-max"
  | "no-pieces"
  | "no-point"
  | "no-json"
  | "no-dated-part"
  | "part-without-date"
  | "two-dates-wanted"
  | "parts-do-not-add-up"
  | "part-without-pieces"
  | "two-dates"
  | "several-dates"
  | "no-date"
  | "outing-too-large"
  | "damaged"
  | "another-exercise"
  | "wrong-passphrase";

/** What the sentence of a code names. */
export type Values = Readonly<Record<string, string | number | readonly string[]>>;

/** What is wrong with an input: where (a path a person can find), and what, as a code with its values. */
export interface Problem {
  /** For example `kit.lines[3].counted`; empty for the whole file. */
  readonly where: string;
  readonly code: ProblemCode;
  readonly values: Values;
}

export const problem = (where: string, code: ProblemCode, values: Values = {}): Problem => ({
  where,
  code,
  values,
});

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

/**
 * Zod's issues as problems with a path a person can find. A check of our own carries its code as the
 * message; Zod's own messages are English already.
 */
export const zodProblems = (error: z.ZodError): Problem[] =>
  error.issues
    .slice(0, MOST_PROBLEMS)
    .map((i) =>
      isOwnCheck(i.message)
        ? problem(pathText(i.path), i.message)
        : problem(pathText(i.path), "schema", { message: i.message }),
    );

const OWN_CHECKS = ["no-such-day", "no-such-date-read", "no-currency", "sum-not-one"] as const;
const isOwnCheck = (message: string): message is (typeof OWN_CHECKS)[number] =>
  (OWN_CHECKS as readonly string[]).includes(message);
