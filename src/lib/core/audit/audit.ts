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
import { contextOf, type AuditContext } from "../sieve/context.ts";
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
  readonly context: AuditContext;
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
  const context = contextOf(file, today, catalogue);
  const pairing = pairUp(context);
  const needs = sift(
    context,
    pairing,
    context.lines.map(() => true),
  );
  const failing = sift(
    context,
    pairing,
    context.lines.map(() => false),
  );
  const high = score(context.needs, needs);
  const low = score(context.needs, failing);
  const graded = high && gradeOf(high.coverage, context.needs, needs, context.rules.thresholds);
  const worst = low && gradeOf(low.coverage, context.needs, failing, context.rules.thresholds);
  return {
    context,
    pairing,
    needs,
    failing,
    coverage: high?.coverage ?? null,
    caught: high?.caught ?? null,
    interval: high && low ? [low.coverage, high.coverage] : null,
    grade: graded?.grade ?? null,
    gradeInterval: graded && worst ? gradeInterval(worst.grade, graded.grade) : null,
    decidedBy: graded?.decidedBy ?? null,
    categories: categoriesAsked(context.needs).map((id) => {
      const inside = (n: { category: Category }) => n.category === id;
      const best = score(context.needs, needs, inside)!;
      const least = score(context.needs, failing, inside)!.coverage;
      return {
        id,
        ...best,
        interval: [Math.min(least, best.coverage), Math.max(least, best.coverage)],
      };
    }),
    quality: kitQuality(context, needs),
    value: valueOf(context, needs, high?.coverage ?? null),
    unchecked: uncheckedFacts(context, pairing),
  };
}

/** Vital needs that are met in full. */
export const vitalMet = (a: Audit): number =>
  a.needs.filter((n, i) => a.context.needs[i]!.tier === "vital" && isWhole(n.met)).length;

/** The lines most worth checking next. Costs one audit run per unchecked line, so it is computed only on request. */
export const worthChecking = (a: Audit): WorthChecking[] =>
  nextToInspect(a.context, a.pairing, a.unchecked, a.failing);
