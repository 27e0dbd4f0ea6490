import type { Catalogue } from "../catalogue/catalogue.ts";
import { lastGoodDay } from "../base/dates.ts";
import { pointsFor } from "../inspect/points.ts";
import type { Brief } from "../model/brief.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { ItemType } from "../model/itemType.ts";
import type { Line } from "../model/kit.ts";
import { typeLookup } from "../catalogue/catalogue.ts";
import { problem, zodProblems, fail, type Outcome } from "../model/problem.ts";
import {
  exerciseSchema,
  keySchema,
  resultSchema,
  type Answer,
  type Exercise,
  type KeyFile,
  type Result,
} from "./exerciseFile.ts";
import { BRIEF_LINE } from "./faultKinds.ts";
import type { Made } from "./make.ts";
import { digest, seal, unseal } from "./seal.ts";

/** Words that are seen on a thing; `words/exerciseTexts.ts` has them. */
export interface SightWords {
  readonly date: (day: string) => string;
  readonly noDate: string;
  readonly unreadable: string;
  readonly size: (mm: readonly number[]) => string;
  readonly place: (location: string, findable: boolean) => string;
  readonly unlabelled: string;
  readonly latex: (free: boolean) => string;
  readonly decoy: Readonly<Record<string, string>>;
  /** What stands on the box of the outing it was packed for. */
  readonly packedFor: (brief: Brief) => string;
}

/** What lies there, said as what one sees, without a word of what is wrong with it. */
export function sightOf(
  line: Line,
  type: ItemType | undefined,
  decoy: string | undefined,
  words: SightWords,
  catalogue: Catalogue,
): Exercise["sights"][string] {
  const failed = new Set(line.failedPoints ?? []);
  return {
    counted: line.counted ?? 0,
    printed: [
      type?.label ?? line.text ?? line.id,
      ...(line.sizeMm ? [words.size(line.sizeMm)] : []),
      ...(line.expires === undefined
        ? [words.unreadable]
        : line.expires === "none"
          ? [words.noDate]
          : [words.date(lastGoodDay(line.expires))]),
      ...(line.latexFree === undefined ? [] : [words.latex(line.latexFree)]),
      ...(line.labelled === false ? [words.unlabelled] : []),
      words.place(line.location ?? "open-top", line.findable !== false),
      ...(decoy === undefined ? [] : [words.decoy[decoy] ?? ""]),
    ],
    points: pointsFor(line.itemType, catalogue).map((p) => ({
      point: p.id,
      by: p.by,
      sees: failed.has(p.id) ? p.failing : p.good,
    })),
  };
}

/** The exercise as it is handed out, and the instructor's own key. */
export async function writeExercise(
  made: Made,
  given: AuditFile,
  passphrase: string,
  words: SightWords,
  catalogue: Catalogue,
  task?: KeyFile["plan"],
): Promise<{ exercise: Exercise; key: KeyFile }> {
  const typeOf = typeLookup(made.file.itemTypes, catalogue);
  const names = new Map(given.kit.lines.map((l) => [l.id, l]));
  const audit: AuditFile = {
    ...made.file,
    kit: {
      ...made.file.kit,
      // As the box says it is; what lies there is in the sights.
      lines: made.file.kit.lines.map((l): Line => {
        const was = names.get(l.id);
        const itemType = was?.itemType ?? null;
        const label = itemType ? typeOf(itemType)?.label : undefined;
        return { id: l.id, itemType, text: was?.text ?? label ?? l.id, claimed: l.claimed ?? 1 };
      }),
    },
  };
  const decoys = new Map(made.key.decoys.map((d) => [d.line, d.kind]));
  const sights: Exercise["sights"] = Object.fromEntries(
    made.file.kit.lines.map((l) => [
      l.id,
      sightOf(l, l.itemType ? typeOf(l.itemType) : undefined, decoys.get(l.id), words, catalogue),
    ]),
  );
  // In every exercise, trap or not: that it is there says nothing.
  sights[BRIEF_LINE] = { counted: 1, printed: [words.packedFor(made.packedFor)], points: [] };
  const title = made.file.kit.name;
  const offer = task && { budget: task.budget, currency: task.currency, products: task.products };
  const open = {
    ...({ format: "wide-sieve.exercise", version: 1, title, audit, sights } as const),
    ...(offer ? { plan: offer } : {}),
  };
  const id = await digest(open);
  const key: KeyFile = {
    format: "wide-sieve.key",
    version: 1,
    exercise: id,
    title,
    faults: [...made.key.faults],
    decoys: [...made.key.decoys],
    already: [...made.key.already],
    verdicts: made.key.verdicts.map((v) => ({ ...v })),
    ...(task ? { plan: task } : {}),
  };
  return { exercise: { ...open, id, sealed: await seal(JSON.stringify(key), passphrase) }, key };
}

/** A checked exercise; damage and edits are found by its hash. */
export async function readExercise(json: unknown): Promise<Outcome<Exercise>> {
  const read = exerciseSchema.safeParse(json);
  if (!read.success) return fail(zodProblems(read.error));
  const { id, sealed: _, ...open } = read.data;
  return (await digest(open)) === id
    ? { ok: true, value: read.data }
    : fail([problem("id", "damaged")]);
}

/** The key from its own file, or out of an exercise by the passphrase. */
export async function readKey(
  json: unknown,
  passphrase: string | undefined,
): Promise<Outcome<KeyFile>> {
  if ((json as { format?: unknown } | null)?.format === "wide-sieve.exercise") {
    const exercise = await readExercise(json);
    if (!exercise.ok) return exercise;
    const text = passphrase === undefined ? null : await unseal(exercise.value.sealed, passphrase);
    if (text === null) return fail([problem("sealed", "wrong-passphrase")]);
    return readKey(JSON.parse(text), undefined);
  }
  const read = keySchema.safeParse(json);
  return read.success ? { ok: true, value: read.data } : fail(zodProblems(read.error));
}

/** What a student hands back. */
export async function writeResult(
  exercise: Pick<Exercise, "id">,
  student: string,
  answers: readonly Answer[],
  timeS?: number,
  plan?: Result["plan"],
): Promise<Result> {
  const open = {
    ...({ format: "wide-sieve.result", version: 1 } as const),
    exercise: exercise.id,
    student,
    answers: answers.map((a) => ({ ...a })),
    ...(timeS === undefined ? {} : { timeS }),
    ...(plan === undefined ? {} : { plan: plan.map((p) => ({ ...p })) }),
  } satisfies Omit<Result, "checksum">;
  return { ...open, checksum: await digest(open) };
}

/** A checked result of an exercise; foreign, damaged and doctored ones are refused with the reason. */
export async function readResult(json: unknown, exercise: string): Promise<Outcome<Result>> {
  const read = resultSchema.safeParse(json);
  if (!read.success) return fail(zodProblems(read.error));
  const { checksum, ...open } = read.data;
  if (read.data.exercise !== exercise) return fail([problem("exercise", "another-exercise")]);
  if ((await digest(open)) !== checksum) return fail([problem("checksum", "damaged")]);
  return { ok: true, value: read.data };
}
