import type { Catalogue } from "../catalogue/catalogue.ts";
import type { AuditFile } from "../model/auditFile.ts";
import { difficultyOf } from "./faultKinds.ts";
import { makeExercise, type Made, type MakeOutcome, type Wanted } from "./make.ts";

/** Drawings looked at for each further paper; the nearest in difficulty is taken where none is equal. */
const TRIES = 12;

/** How hard a paper is to see through: the sum over its faults. */
export const difficultyOfPaper = (made: Made): number =>
  made.key.faults.reduce((sum, f) => sum + difficultyOf(f.kind), 0);

const planted = (made: Made): string =>
  made.key.faults
    .map((f) => `${f.line} ${f.kind}`)
    .sort()
    .join(", ");

/**
 * Papers with different faults in one kit and as near as can be of equal difficulty, so that neighbours cannot
 * copy: the first is the one of the seed itself.
 */
export function makeVariants(
  given: AuditFile,
  wanted: Wanted,
  papers: number,
  today: string,
  catalogue: Catalogue,
):
  | Extract<MakeOutcome, { readonly ok: false }>
  | { readonly ok: true; readonly papers: readonly Made[] } {
  const first = makeExercise(given, wanted, today, catalogue);
  if (!first.ok) return first;
  const all = [first.made];
  const aim = difficultyOfPaper(first.made);
  let seed = wanted.seed;
  while (all.length < papers) {
    let nearest: Made | null = null;
    for (let tries = 0; tries < TRIES; tries++) {
      const next = makeExercise(given, { ...wanted, seed: ++seed }, today, catalogue);
      if (!next.ok || all.some((m) => planted(m) === planted(next.made))) continue;
      const off = (m: Made) => Math.abs(difficultyOfPaper(m) - aim);
      if (!nearest || off(next.made) < off(nearest)) nearest = next.made;
      if (off(nearest) === 0) break;
    }
    if (!nearest) break;
    all.push(nearest);
  }
  return { ok: true, papers: all };
}
