import { z } from "zod";
import { fail, zodProblems, type Outcome, problem } from "./problem.ts";

/**
 * Keys that this program does not know, as a newer one may write: taken out of their places before
 * the strict check, kept in one list with the record, and put back where they were on the way out.
 */
export const keptSchema = z
  .array(z.strictObject({ at: z.array(z.string().max(500)).max(40), value: z.unknown() }))
  .max(10_000);
/**
 * `at` leads from the record down to the key. An element of a list is named by its own id, as
 * `#L3`, where it has one, so that it is found again after lines have moved; else by its index.
 */
export type Kept = z.infer<typeof keptSchema>;

interface Keeping {
  kept?: Kept | undefined;
}

/** More rounds than a schema is deep: each lifts one more level of unknown keys out. */
const MOST_ROUNDS = 40;

/**
 * Checks strictly; what the schema does not know is lifted out into `kept` instead of refused.
 * @returns the value, or every problem with its place
 */
export function readKeeping<T extends Keeping>(schema: z.ZodType<T>, json: unknown): Outcome<T> {
  let current = json;
  const kept: Kept = [];
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const parsed = schema.safeParse(current);
    if (parsed.success) {
      if (kept.length === 0) return { ok: true, value: parsed.data };
      return { ok: true, value: { ...parsed.data, kept: [...(parsed.data.kept ?? []), ...kept] } };
    }
    const unknown = parsed.error.issues.flatMap((i) =>
      i.code === "unrecognized_keys" ? i.keys.map((key) => [...i.path, key]) : [],
    );
    if (unknown.length === 0) return fail(zodProblems(parsed.error));
    current = structuredClone(current);
    for (const path of unknown) liftOut(current, path, kept);
  }
  return fail([problem("", "too-deep")]);
}

type Json = Record<string | number, unknown>;
const isObject = (value: unknown): value is Json => typeof value === "object" && value !== null;

function liftOut(root: unknown, path: readonly PropertyKey[], kept: Kept): void {
  const at: string[] = [];
  let here: unknown = root;
  for (const step of path.slice(0, -1)) {
    if (!isObject(here)) return;
    const next = here[step as string];
    at.push(Array.isArray(here) && isObject(next) ? elementName(next, String(step)) : String(step));
    here = next;
  }
  const last = String(path.at(-1));
  if (!isObject(here) || !Object.hasOwn(here, last)) return;
  kept.push({ at: [...at, last], value: here[last] });
  delete here[last];
}

const elementName = (element: Json, index: string): string =>
  typeof element["id"] === "string" ? `#${element["id"]}` : index;

/** The value with its kept keys back in their places; what lost its place stays in `kept`. */
export function putBack<T extends Keeping>(value: T): T {
  if (!value.kept || value.kept.length === 0) return value;
  const root = structuredClone(value) as T & Json;
  const homeless: Kept = [];
  for (const entry of value.kept) {
    const home = placeOf(root, entry.at.slice(0, -1));
    const key = entry.at.at(-1)!;
    if (home && !Object.hasOwn(home, key)) define(home, key, entry.value);
    else homeless.push(entry);
  }
  delete root.kept;
  if (homeless.length > 0) root.kept = homeless;
  return root;
}

/** Own property whatever its name, `__proto__` too. */
const define = (home: Json, key: string, value: unknown): void => {
  Object.defineProperty(home, key, { value, enumerable: true, writable: true, configurable: true });
};

function placeOf(root: Json, at: readonly string[]): Json | null {
  let here: unknown = root;
  for (const step of at) {
    if (Array.isArray(here) && step.startsWith("#"))
      here = here.find((e) => isObject(e) && e["id"] === step.slice(1));
    else if (isObject(here) && Object.hasOwn(here, step)) here = here[step];
    else return null;
  }
  return isObject(here) && !Array.isArray(here) ? here : null;
}
