import { basename } from "node:path";
import loadHighs from "highs";
import Papa from "papaparse";
import { VERDICTS } from "../lib/core/audit/verdict.ts";
import { kitToday } from "../lib/core/events/kitOnDay.ts";
import type { Answer, Result } from "../lib/core/exercise/exerciseFile.ts";
import { makeExercise, type Wanted } from "../lib/core/exercise/make.ts";
import { optimumRequest, planTask } from "../lib/core/exercise/planTask.ts";
import type { AuditFile } from "../lib/core/model/auditFile.ts";
import { MESHES, type Mesh } from "../lib/core/model/mesh.ts";
import { highsSolver } from "../lib/core/plan/highsSolver.ts";
import { plan } from "../lib/core/plan/plan.ts";
import { PRICE_BOOK } from "../lib/data/priceBook.ts";
import { summarise } from "../lib/core/exercise/mark.ts";
import {
  readExercise,
  readKey,
  readResult,
  writeExercise,
  writeResult,
} from "../lib/core/exercise/write.ts";
import { CATALOGUE } from "../lib/data/catalogue.ts";
import { SIGHT_WORDS } from "../lib/words/exerciseTexts.ts";
import { told } from "../lib/words/problems.ts";
import { auditFileOf } from "./auditLine.ts";
import { BadInput, fileText, inFile, type Io, jsonOf, Usage, written } from "./io.ts";

type Flags = ReadonlyMap<string, string>;

/** `exercise make`, `take` and `mark`. @param positional what to do, then the files */
export async function runExercise(
  positional: readonly string[],
  flags: Flags,
  today: string,
  io: Io,
): Promise<unknown> {
  const [what, ...files] = positional;
  switch (what) {
    case "make":
      return make(one(files), flags, today, io);
    case "take":
      return take(one(files), flags, io);
    case "mark":
      if (files.length < 2) throw new Usage("exercise mark takes a key and one result or more");
      return markAll(files[0]!, files.slice(1), flags);
    default:
      throw new Usage("exercise make, take or mark");
  }
}

function one(files: readonly string[]): string {
  if (files.length !== 1) throw new Usage("one file is wanted");
  return files[0]!;
}
function wanted(flags: Flags, name: string): string {
  const value = flags.get(name);
  if (value === undefined) throw new Usage(`--${name} is wanted`);
  return value;
}
function whole(flags: Flags, name: string, usual: number): number {
  const n = Number(flags.get(name) ?? usual);
  if (!Number.isInteger(n) || n < 0 || n > 1000)
    throw new Usage(`--${name} '${flags.get(name)}' is not a whole number from 0 to 1000`);
  return n;
}

const json = (path: string): unknown => jsonOf(path, fileText(path));

function wantedOf(flags: Flags): Wanted {
  const meshes = flags.get("meshes")?.split(",");
  const unknown = meshes?.find((m) => !(MESHES as readonly string[]).includes(m));
  if (unknown !== undefined)
    throw new Usage(`--meshes '${unknown}' is none of ${MESHES.join(", ")}`);
  const hardest = whole(flags, "hardest", 3);
  if (hardest !== 1 && hardest !== 2 && hardest !== 3) throw new Usage("--hardest is 1, 2 or 3");
  return {
    faults: whole(flags, "faults", 8),
    decoys: whole(flags, "decoys", 0),
    seed: whole(flags, "seed", 1),
    hardest,
    ...(meshes ? { meshes: meshes as Mesh[] } : {}),
    ...(flags.has("trap") ? { briefTrap: true } : {}),
  };
}

/** The plan that students make within a budget, with the best there is. */
async function taskOf(truth: AuditFile, budget: number, today: string) {
  if (!(budget >= 0)) throw new Usage("--budget is an amount");
  const request = optimumRequest(truth, PRICE_BOOK, budget, today, CATALOGUE);
  const outcome = plan(request, highsSolver(await loadHighs()));
  const best = outcome.status === "infeasible" ? 0 : (outcome.choice.after.coverage ?? 0);
  return planTask(truth, PRICE_BOOK, budget, best, today, CATALOGUE);
}

async function make(path: string, flags: Flags, today: string, io: Io) {
  const given = kitToday(auditFileOf(path, json(path)), today, CATALOGUE);
  const asked = wantedOf(flags);
  const passphrase = wanted(flags, "passphrase");
  const out = wanted(flags, "out");
  const outcome = makeExercise(given, asked, today, CATALOGUE);
  if (!outcome.ok)
    throw new BadInput([
      {
        where: path,
        what:
          outcome.why === "brief-trap"
            ? "is asked no more by a longer or larger outing: no trap in the brief"
            : `has room for ${outcome.most} faults that change its audit, not ${asked.faults}`,
      },
    ]);
  const budget = flags.get("budget");
  const task =
    budget === undefined ? undefined : await taskOf(outcome.made.file, Number(budget), today);
  const { exercise, key } = await writeExercise(
    outcome.made,
    given,
    passphrase,
    SIGHT_WORDS,
    CATALOGUE,
    task,
    {
      withKit: flags.has("with-kit"),
      practice: flags.has("practice"),
      minutes: whole(flags, "minutes", 0),
    },
  );
  written(out, JSON.stringify(exercise, null, 1));
  const keyPath = flags.get("key");
  if (keyPath !== undefined) written(keyPath, JSON.stringify(key, null, 1));
  io.err(`wrote ${out}${keyPath === undefined ? "" : ` and ${keyPath}`}\n`);
  return {
    exercise: exercise.id,
    lines: exercise.audit.kit.lines.length,
    faults: key.faults.length,
    decoys: key.decoys.length,
  };
}

async function take(path: string, flags: Flags, io: Io) {
  const exercise = inFile(path, await readExercise(json(path)));
  const csv = wanted(flags, "answers");
  const out = wanted(flags, "out");
  const parsed = Papa.parse<Record<string, string>>(fileText(csv), {
    header: true,
    skipEmptyLines: "greedy",
  });
  const answers = parsed.data.map((row, i): Answer => {
    const verdict = VERDICTS.find((v) => v === row["verdict"]?.trim());
    if (!verdict)
      throw new BadInput([
        {
          where: `${csv}, row ${i + 2}`,
          what: `'${row["verdict"]}' is no verdict: ${VERDICTS.join(", ")}`,
        },
      ]);
    return { line: row["line"]?.trim() ?? "", verdict, fault: row["fault"]?.trim() ?? "" };
  });
  const student = flags.get("student") ?? basename(out).replace(/\.json$/, "");
  const result = await writeResult(exercise, student, answers, undefined, planIn(flags));
  written(out, JSON.stringify(result, null, 1));
  io.err(`wrote ${out}\n`);
  return { student, answers: answers.length };
}

/** Purchases of a student's plan, from a table of product and packs. */
function planIn(flags: Flags): Result["plan"] {
  const csv = flags.get("plan");
  if (csv === undefined) return undefined;
  const { data } = Papa.parse<Record<string, string>>(fileText(csv), {
    header: true,
    skipEmptyLines: "greedy",
  });
  return data.map((row, i) => {
    const packs = Number(row["packs"]);
    if (!row["product"] || !Number.isInteger(packs) || packs < 1)
      throw new BadInput([
        { where: `${csv}, row ${i + 2}`, what: "is no product with a whole number of packs" },
      ]);
    return { product: row["product"].trim(), packs };
  });
}

async function markAll(keyPath: string, paths: readonly string[], flags: Flags) {
  const key = inFile(keyPath, await readKey(json(keyPath), flags.get("passphrase")));
  const results: Result[] = [];
  const no: { file: string; why: string }[] = [];
  for (const path of paths) {
    try {
      results.push(inFile(path, await readResult(json(path), key.exercise)));
    } catch (error) {
      if (!(error instanceof BadInput)) throw error;
      no.push({ file: path, why: error.problems.map((p) => told(p).what).join("; ") });
    }
  }
  if (results.length === 0) throw new BadInput(no.map((n) => ({ where: n.file, what: n.why })));
  const summary = summarise([{ key, results }], CATALOGUE);
  // In the order in which the files were given; the class's own order is by what was found.
  const students = results.map((r) => summary.students.find((m) => m.id === r.student)!);
  return { ...summary, students, refused: no };
}
