import { SHARE_TOLERANCE } from "../base/tolerance.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import { audit, type Audit } from "./audit.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { HouseRules } from "../model/houseRules.ts";
import { optionsOf, RULE_IDS, schools, type RuleId } from "../model/houseRules.ts";
import type { Grade } from "../score/grade.ts";

/** What an audit says under one school of one house rule, all the other rules as they are. */
export interface SchoolVerdict {
  readonly rule: RuleId;
  readonly option: string;
  /** Whether it is the school followed now. */
  readonly followed: boolean;
  readonly coverage: number | null;
  readonly grade: Grade | null;
  /** Coverage gained against the rules as they are now; null without needs. */
  readonly gain: number | null;
  /** Ids of the needs whose last value differs from now. */
  readonly moved: readonly string[];
}

const valuesOf = (a: Audit): Map<string, number> =>
  new Map(a.needs.map((n, i) => [a.context.needs[i]!.need.id, n.met]));

/** Every option of every house rule tried alone, one after another: where the schools differ on this kit. */
export function* schoolVerdicts(
  file: AuditFile,
  today: string,
  now: Audit,
): Generator<SchoolVerdict, undefined> {
  const rules = schools(file.houseRules);
  const before = valuesOf(now);
  for (const rule of RULE_IDS)
    for (const option of optionsOf(rule)) {
      const followed = rules[rule] === option;
      const a = followed
        ? now
        : audit(underSchool(file, { [rule]: option }), today, now.context.catalogue);
      const values = followed ? before : valuesOf(a);
      yield {
        ...{ rule, option, followed },
        coverage: a.coverage,
        grade: a.grade,
        gain: a.coverage === null || now.coverage === null ? null : a.coverage - now.coverage,
        moved: [...values.keys()].filter(
          (need) => Math.abs(values.get(need)! - (before.get(need) ?? 0)) > SHARE_TOLERANCE,
        ),
      };
    }
}

/** All of them at once. */
export const schoolsEffect = (file: AuditFile, today: string, now: Audit): SchoolVerdict[] => [
  ...schoolVerdicts(file, today, now),
];

const underSchool = (file: AuditFile, rules: HouseRules): AuditFile => ({
  ...file,
  houseRules: { ...file.houseRules, ...rules },
});

/** The least and the most that any combination of schools says of a kit. */
export interface SchoolRange {
  readonly tried: number;
  readonly least: { readonly coverage: number; readonly rules: HouseRules };
  readonly most: { readonly coverage: number; readonly rules: HouseRules };
  /** Number of combinations that give each grade. */
  readonly grades: Readonly<Partial<Record<Grade, number>>>;
}

/** All combinations of the schools, 768 of them. */
export function allSchools(): HouseRules[] {
  return RULE_IDS.reduce<HouseRules[]>(
    (sets, id) =>
      sets.flatMap((set) => optionsOf(id).map((o) => ({ ...set, [id]: o }) as HouseRules)),
    [{}],
  );
}

/**
 * The verdict under every combination of schools; thresholds and pass marks as they are.
 * A generator that yields after each audit, so that the caller can pause, show progress and stop.
 * @returns null for a list that asks for nothing
 */
export function* schoolRange(
  file: AuditFile,
  today: string,
  catalogue: Catalogue,
): Generator<{ readonly done: number; readonly of: number }, SchoolRange | null> {
  const sets = allSchools();
  const grades: Partial<Record<Grade, number>> = {};
  let least: SchoolRange["least"] | null = null;
  let most: SchoolRange["most"] | null = null;
  for (const [i, rules] of sets.entries()) {
    const { coverage, grade } = audit(underSchool(file, rules), today, catalogue);
    if (coverage === null || grade === null) return null;
    grades[grade] = (grades[grade] ?? 0) + 1;
    if (!least || coverage < least.coverage) least = { coverage, rules };
    if (!most || coverage > most.coverage) most = { coverage, rules };
    yield { done: i + 1, of: sets.length };
  }
  return { tried: sets.length, least: least!, most: most!, grades };
}
