import type { Mesh } from "../model/mesh.ts";
import { cohensKappa, correlation, krippendorffsAlpha, wilson } from "./agreement.ts";
import type { KeyFile, Result } from "./exerciseFile.ts";
import { FAULT_KINDS } from "./faultKinds.ts";

/** One student's result held against the key. */
export interface Marked {
  readonly id: string;
  /** Ids of faults: a verdict other than keep, and a fault named on that line. */
  readonly found: readonly string[];
  readonly missed: readonly string[];
  /** Of those found: the kind named is the planted one; or of the same mesh. */
  readonly rightReason: readonly string[];
  readonly sameMesh: readonly string[];
  /** Lines named that have nothing, decoys included. */
  readonly falseAlarms: readonly string[];
  readonly decoysFallenFor: readonly string[];
  /** Weighted share of verdicts as the rules give them; it never decides what was found. */
  readonly verdictScore: number;
  readonly plan: null;
  readonly timeS: number | null;
}

const meshOf = (kind: string): Mesh | undefined => FAULT_KINDS.find((k) => k.id === kind)?.mesh;

/** Marks one result. @param result checked against this key's exercise */
export function mark(key: KeyFile, result: Result): Marked {
  const answers = new Map(result.answers.map((a) => [a.line, a]));
  const names = (line: string): boolean => {
    const a = answers.get(line);
    return a !== undefined && a.verdict !== "keep" && a.fault !== "";
  };
  const found = key.faults.filter((f) => names(f.line));
  const withFault = new Set([...key.faults.map((f) => f.line), ...key.already]);
  const decoys = new Set(key.decoys.map((d) => d.line));
  const falseAlarms = [...answers.keys()].filter((l) => names(l) && !withFault.has(l));
  const right = found.filter((f) => answers.get(f.line)!.fault === f.kind);
  const weight = key.verdicts.reduce((s, v) => s + v.weight, 0);
  const agreed = key.verdicts.reduce(
    (s, v) => s + ((answers.get(v.line)?.verdict ?? "keep") === v.verdict ? v.weight : 0),
    0,
  );
  return {
    id: result.student,
    found: found.map((f) => f.id),
    missed: key.faults.filter((f) => !names(f.line)).map((f) => f.id),
    rightReason: right.map((f) => f.id),
    sameMesh: found
      .filter((f) => !right.includes(f) && meshOf(answers.get(f.line)!.fault) === f.mesh)
      .map((f) => f.id),
    falseAlarms,
    decoysFallenFor: falseAlarms.filter((l) => decoys.has(l)),
    verdictScore: weight === 0 ? 0 : agreed / weight,
    plan: null,
    timeS: result.timeS ?? null,
  };
}

interface FaultFigures {
  readonly id: string;
  readonly line: string;
  readonly kind: string;
  readonly mesh: Mesh;
  readonly foundRate: number | null;
  /** Wilson, 95 %. */
  readonly interval: readonly [number, number] | null;
  /** Corrected point-biserial: against the score without this fault. */
  readonly discrimination: number | null;
}

/** What to teach next, and from which figure that is read. */
interface TeachNext {
  readonly what: "fault" | "mesh" | "false-alarms" | "reasons";
  readonly id: string;
  readonly rate: number;
}

export interface ClassSummary {
  /** By faults found, false alarms break ties. */
  readonly students: readonly Marked[];
  readonly faults: readonly FaultFigures[];
  readonly alpha: number | null;
  readonly kappaWithKey: number | null;
  readonly teachNext: readonly TeachNext[];
}

/** So many things can be taught tomorrow. */
const TEACH = 3;

/** The class: each student against the key, each fault against the class. */
export function summarise(key: KeyFile, results: readonly Result[]): ClassSummary {
  const marked = results.map((r) => mark(key, r));
  const faults = key.faults.map((f): FaultFigures => {
    const hit = marked.map((m) => (m.found.includes(f.id) ? 1 : 0));
    const rest = marked.map((m, i) => m.found.length - hit[i]!);
    const k = hit.reduce<number>((s, h) => s + h, 0);
    return {
      id: f.id,
      line: f.line,
      kind: f.kind,
      mesh: f.mesh,
      foundRate: marked.length === 0 ? null : k / marked.length,
      interval: wilson(k, marked.length),
      discrimination: correlation(hit, rest),
    };
  });
  const byLine = key.verdicts.map((v) =>
    results.map((r) => r.answers.find((a) => a.line === v.line)?.verdict),
  );
  const kappas = results.flatMap((r): number[] => {
    const pairs = key.verdicts.flatMap((v) => {
      const given = r.answers.find((a) => a.line === v.line)?.verdict;
      return given === undefined ? [] : [[given, v.verdict] as const];
    });
    const kappa = cohensKappa(
      pairs.map(([a]) => a),
      pairs.map(([, b]) => b),
    );
    return kappa === null ? [] : [kappa];
  });
  return {
    students: [...marked].sort(
      (a, b) =>
        b.found.length - a.found.length ||
        a.falseAlarms.length - b.falseAlarms.length ||
        (a.id < b.id ? -1 : 1),
    ),
    faults,
    alpha: krippendorffsAlpha(byLine),
    kappaWithKey: kappas.length === 0 ? null : kappas.reduce((s, k) => s + k, 0) / kappas.length,
    teachNext: teachNext(marked, faults),
  };
}

/** The faults fewest found; then false alarms and wrong reasons where they are more common than misses. */
function teachNext(marked: readonly Marked[], faults: readonly FaultFigures[]): TeachNext[] {
  if (marked.length === 0) return [];
  const missed = faults.map((f): TeachNext => ({
    what: "fault",
    id: f.kind,
    rate: 1 - (f.foundRate ?? 0),
  }));
  const found = marked.reduce((s, m) => s + m.found.length, 0);
  const right = marked.reduce((s, m) => s + m.rightReason.length, 0);
  const alarmed = marked.filter((m) => m.falseAlarms.length > 0).length;
  return [
    ...missed,
    { what: "false-alarms" as const, id: "", rate: alarmed / marked.length },
    ...(found > 0 ? [{ what: "reasons" as const, id: "", rate: 1 - right / found }] : []),
  ]
    .filter((t) => t.rate > 0)
    .sort((a, b) => b.rate - a.rate)
    .filter((t, i, all) => all.findIndex((x) => x.what === t.what && x.id === t.id) === i)
    .slice(0, TEACH);
}
