import { isWhole } from "../base/tolerance.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import type { Category } from "../model/functionRecord.ts";
import type { AuditFile } from "../model/auditFile.ts";
import { categoriesAsked, score, type Caught } from "../score/coverage.ts";
import { gradeInterval, gradeOf, type DecidedBy, type Grade } from "../score/grade.ts";
import { kitQuality } from "../score/kitQuality.ts";
import { nextToInspect, type WorthChecking } from "../score/nextToInspect.ts";
import { uncheckedFacts, type UncheckedFact } from "../score/unchecked.ts";
import { valueOf, type Value } from "../score/value.ts";
import { layOut, type Bench } from "../sieve/bench.ts";
import { pairUp, type Pairing } from "../sieve/pairs.ts";
import { sift, type SiftedNeed } from "../sieve/sift.ts";

interface CategoryScore {
  readonly id: Category;
  readonly coverage: number;
  readonly interval: readonly [number, number];
  readonly caught: Caught;
}

/** A whole audit. Coverage and what hangs on it is null for a list that asks for nothing. */
export interface Audit {
  readonly bench: Bench;
  readonly pairing: Pairing;
  /** The run with every unchecked fact passing, need by need as asked: what is printed. */
  readonly needs: readonly SiftedNeed[];
  /** The run with every unchecked fact failing. */
  readonly failing: readonly SiftedNeed[];
  readonly coverage: number | null;
  readonly caught: Caught | null;
  readonly interval: readonly [number, number] | null;
  readonly grade: Grade | null;
  readonly gradeInterval: readonly [Grade, Grade] | null;
  readonly decidedBy: DecidedBy | null;
  readonly categories: readonly CategoryScore[];
  readonly quality: number | null;
  readonly value: Value;
  readonly unchecked: readonly (readonly UncheckedFact[])[];
}

/**
 * Audits a kit: a pure function of kit × list × brief × house rules.
 * @param file a checked audit (`parseAudit`); unknown ids throw
 * @param today YYYY-MM-DD, for a brief without a start
 * @param catalogue what it is judged by
 */
export function audit(file: AuditFile, today: string, catalogue: Catalogue): Audit {
  const bench = layOut(file, today, catalogue);
  const pairing = pairUp(bench);
  const needs = sift(
    bench,
    pairing,
    bench.lines.map(() => true),
  );
  const failing = sift(
    bench,
    pairing,
    bench.lines.map(() => false),
  );
  const high = score(bench.needs, needs);
  const low = score(bench.needs, failing);
  const graded = high && gradeOf(high.coverage, bench.needs, needs, bench.rules.thresholds);
  const worst = low && gradeOf(low.coverage, bench.needs, failing, bench.rules.thresholds);
  return {
    bench,
    pairing,
    needs,
    failing,
    coverage: high?.coverage ?? null,
    caught: high?.caught ?? null,
    interval: high && low ? [low.coverage, high.coverage] : null,
    grade: graded?.grade ?? null,
    gradeInterval: graded && worst ? gradeInterval(worst.grade, graded.grade) : null,
    decidedBy: graded?.decidedBy ?? null,
    categories: categoriesAsked(bench.needs).map((id) => {
      const inside = (n: { category: Category }) => n.category === id;
      const best = score(bench.needs, needs, inside)!;
      const least = score(bench.needs, failing, inside)!.coverage;
      return {
        id,
        ...best,
        interval: [Math.min(least, best.coverage), Math.max(least, best.coverage)],
      };
    }),
    quality: kitQuality(bench, needs),
    value: valueOf(bench, needs, high?.coverage ?? null),
    unchecked: uncheckedFacts(bench, pairing),
  };
}

/** Vital needs that are met in full. */
export const vitalMet = (a: Audit): number =>
  a.needs.filter((n, i) => a.bench.needs[i]!.tier === "vital" && isWhole(n.met)).length;

/** The lines most worth checking next; dearer than the audit itself, so asked for apart. */
export const worthChecking = (a: Audit): WorthChecking[] =>
  nextToInspect(a.bench, a.pairing, a.unchecked, a.failing);
