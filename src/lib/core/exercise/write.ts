import type { Catalogue } from "../catalogue/catalogue.ts";
import { lastGoodDay } from "../base/dates.ts";
import { defined } from "../base/defined.ts";
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
  type Held,
  type KeyFile,
  type Result,
} from "./exerciseFile.ts";
import { BRIEF_LINE, PADDED } from "./faultKinds.ts";
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
  /** What is felt in the wrappers of several pieces: one in each, or half of them empty. */
  readonly each: { readonly whole: string; readonly padded: string };
  /** What stands on the box of the outing it was packed for. */
  readonly packedFor: (brief: Brief) => string;
}

/** The point of things that lie there in wrappers of their own; no item type has it, every exercise does. */
const EACH = "each-holds-one";

/**
 * What lies there, said as what one sees, without a word of what is wrong with it.
 * @param planted kind of the fault or decoy that changes what is seen, not what the line says
 */
export function sightOf(
  line: Line,
  type: ItemType | undefined,
  planted: string | undefined,
  words: SightWords,
  catalogue: Catalogue,
): Exercise["sights"][string] {
  const failed = new Set(line.failedPoints ?? []);
  const isPadded = planted === PADDED;
  const decoy = planted === undefined ? undefined : words.decoy[planted];
  const counted = isPadded ? (line.claimed ?? 0) : (line.counted ?? 0);
  const { sizeMm, volumeMl, dosesPerPiece, strengthMg } = line;
  return {
    facts: defined({ sizeMm, volumeMl, dosesPerPiece, strengthMg }),
    counted,
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
      ...(decoy === undefined ? [] : [decoy]),
    ],
    points: [
      ...(counted >= 2
        ? [
            {
              ...{ point: EACH, by: "feel" as const },
              sees: isPadded ? words.each.padded : words.each.whole,
            },
          ]
        : []),
      ...pointsFor(line.itemType, catalogue).map((p) => ({
        point: p.id,
        by: p.by,
        sees: failed.has(p.id) ? p.failing : p.good,
      })),
    ],
  };
}

/** How it is held, in the file; nothing of it where it is held as usual. */
function heldOf({ withKit, practice, minutes }: Held): Pick<Exercise, "held"> {
  const held = {
    ...(withKit ? { withKit } : {}),
    ...(practice ? { practice } : {}),
    ...(minutes ? { minutes } : {}),
  };
  return Object.keys(held).length > 0 ? { held } : {};
}

/** The exercise as it is handed out, and the instructor's own key. */
export async function writeExercise(
  made: Made,
  given: AuditFile,
  passphrase: string,
  words: SightWords,
  catalogue: Catalogue,
  task?: KeyFile["plan"],
  how: Held = {},
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
  const planted = new Map([...made.key.faults, ...made.key.decoys].map((d) => [d.line, d.kind]));
  // With the kit in the hand nothing is said of what is in it.
  const shown = how.withKit ? [] : made.file.kit.lines;
  const sights: Exercise["sights"] = Object.fromEntries(
    shown.map((l) => [
      l.id,
      sightOf(l, l.itemType ? typeOf(l.itemType) : undefined, planted.get(l.id), words, catalogue),
    ]),
  );
  // In every exercise, trap or not: that it is there says nothing.
  sights[BRIEF_LINE] = { counted: 1, printed: [words.packedFor(made.packedFor)], points: [] };
  const title = made.file.kit.name;
  const offer = task && { budget: task.budget, currency: task.currency, products: task.products };
  const open = {
    ...({ format: "wide-sieve.exercise", version: 1, title, audit, sights } as const),
    ...(offer ? { plan: offer } : {}),
    ...heldOf(how),
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
