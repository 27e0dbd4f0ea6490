import type { Audit } from "../audit/audit.ts";
import { LOCATIONS } from "../model/location.ts";
import { score } from "../score/coverage.ts";
import { gradeOf, type Grade } from "../score/grade.ts";
import type { UncheckedFact } from "../score/unchecked.ts";
import { sift } from "../sieve/sift.ts";

type Location = (typeof LOCATIONS)[number];

/** One thing to check before going, and about how long that takes. */
interface GoCheck {
  readonly line: string;
  readonly location: Location | null;
  readonly facts: readonly UncheckedFact[];
  readonly seconds: number;
}

export interface ReadyToGo {
  /** The grade that everything unchecked could still give. */
  readonly grade: Grade;
  /** Guaranteed now. */
  readonly now: Grade;
  /** In the order of the bag, from the outside in; empty: nothing needs a check. */
  readonly checks: readonly GoCheck[];
  readonly seconds: number;
  /** Whether fewer checks cannot do; else found one by one, each the best at its turn. */
  readonly fewest: boolean;
}

/** So many unchecked lines are tried in every combination: 2¹² runs take a blink, 2²⁰ do not. */
const EXACT_UP_TO = 12;

/** Seconds a check takes with the bag open, as drilled at a table. */
const SECONDS: Readonly<Record<UncheckedFact, number>> = {
  count: 8,
  condition: 15,
  date: 5,
  size: 10,
  measure: 10,
  strength: 10,
  reach: 10,
  latex: 5,
};

const ORDER: readonly Grade[] = ["Not ready", "Partial", "Nearly", "Ready"];

/**
 * The fewest lines to check so that what is guaranteed reaches the grade that the kit would have if
 * all unchecked facts were good.
 * @returns null for a list that asks for nothing
 */
export function readyToGo(a: Audit): ReadyToGo | null {
  const { context, pairing, unchecked } = a;
  if (a.grade === null) return null;
  const { needs, rules } = context;
  const gradeWith = (checked: ReadonlySet<number>): Grade => {
    const run = sift(
      context,
      pairing,
      context.lines.map((_, i) => checked.has(i)),
    );
    return gradeOf(score(needs, run)!.coverage, needs, run, rules.thresholds).grade;
  };
  const reaches = (checked: ReadonlySet<number>) =>
    ORDER.indexOf(gradeWith(checked)) >= ORDER.indexOf(a.grade!);
  const now = gradeWith(new Set());
  const companions = new Set([...pairing.companions.values()].flat());
  const serves = new Set(pairing.pairs.filter((p) => p.credit.credit > 0).map((p) => p.line));
  const open = unchecked.flatMap((facts, l) =>
    facts.length > 0 && (serves.has(l) || companions.has(l)) ? [l] : [],
  );
  const fewest = open.length <= EXACT_UP_TO;
  const chosen = reaches(new Set())
    ? []
    : fewest
      ? smallest(open, reaches)
      : oneByOne(open, reaches, (set) => lowCoverage(a, set));
  const checks = chosen
    .map((l): GoCheck & { at: number } => {
      const location = context.lines[l]!.line.location ?? null;
      return {
        line: context.lines[l]!.line.id,
        location,
        facts: unchecked[l]!,
        seconds: unchecked[l]!.reduce((s, f) => s + SECONDS[f], 0),
        at: location === null ? LOCATIONS.length : LOCATIONS.indexOf(location),
      };
    })
    .sort((x, y) => x.at - y.at)
    .map(({ at: _, ...check }) => check);
  return {
    grade: a.grade,
    now,
    checks,
    seconds: checks.reduce((s, c) => s + c.seconds, 0),
    fewest,
  };
}

function lowCoverage(a: Audit, checked: ReadonlySet<number>): number {
  const run = sift(
    a.context,
    a.pairing,
    a.context.lines.map((_, i) => checked.has(i)),
  );
  return score(a.context.needs, run)!.coverage;
}

/** The first of the smallest sets that will do, sizes rising. */
function smallest(
  open: readonly number[],
  reaches: (set: ReadonlySet<number>) => boolean,
): number[] {
  for (let size = 1; size <= open.length; size++) {
    const found = firstOfSize(open, size, reaches);
    if (found) return found;
  }
  return [...open];
}

function firstOfSize(
  open: readonly number[],
  size: number,
  reaches: (set: ReadonlySet<number>) => boolean,
): number[] | null {
  const pick = Array.from({ length: size }, (_, i) => i);
  for (;;) {
    const set = pick.map((i) => open[i]!);
    if (reaches(new Set(set))) return set;
    let at = size - 1;
    while (at >= 0 && pick[at] === open.length - size + at) at--;
    if (at < 0) return null;
    pick[at]!++;
    for (let i = at + 1; i < size; i++) pick[i] = pick[i - 1]! + 1;
  }
}

function oneByOne(
  open: readonly number[],
  reaches: (set: ReadonlySet<number>) => boolean,
  worth: (set: ReadonlySet<number>) => number,
): number[] {
  const chosen = new Set<number>();
  while (chosen.size < open.length && !reaches(chosen)) {
    const rest = open.filter((l) => !chosen.has(l));
    const worths = rest.map((l) => worth(new Set([...chosen, l])));
    chosen.add(rest[worths.indexOf(Math.max(...worths))]!);
  }
  // What turned out not to be needed goes again.
  for (const l of [...chosen]) {
    chosen.delete(l);
    if (!reaches(chosen)) chosen.add(l);
  }
  return [...chosen];
}
