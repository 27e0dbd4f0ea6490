import type { Catalogue } from "../catalogue/catalogue.ts";
import { MESHES, type Mesh } from "../model/mesh.ts";
import { cohensKappa, correlation, krippendorffsAlpha, wilson } from "./agreement.ts";
import type { KeyFile, Result } from "./exerciseFile.ts";
import { difficultyOf, meshOfFault } from "./faultKinds.ts";
import { markPlan, type MarkedPlan } from "./planTask.ts";

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
  /** null: none was asked for, or none made. */
  readonly plan: MarkedPlan | null;
  readonly timeS: number | null;
  /** The mesh of which most was missed; null: nothing was. What this student needs next. */
  readonly next: Mesh | null;
}

/** Marks one result. @param result checked against this key's exercise */
export function mark(key: KeyFile, result: Result, catalogue: Catalogue): Marked {
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
  const missed = key.faults.filter((f) => !names(f.line));
  return {
    id: result.student,
    found: found.map((f) => f.id),
    missed: missed.map((f) => f.id),
    rightReason: right.map((f) => f.id),
    sameMesh: found
      .filter((f) => !right.includes(f) && meshOfFault(answers.get(f.line)!.fault) === f.mesh)
      .map((f) => f.id),
    falseAlarms,
    decoysFallenFor: falseAlarms.filter((l) => decoys.has(l)),
    verdictScore: weight === 0 ? 0 : agreed / weight,
    plan:
      key.plan && result.plan ? markPlan(key.plan, result.plan, result.answers, catalogue) : null,
    timeS: result.timeS ?? null,
    next: mostOf(missed.map((f) => f.mesh)),
  };
}

/** The mesh that comes most often, of equals the first in the order of the sieve. */
function mostOf(meshes: readonly Mesh[]): Mesh | null {
  const count = (m: Mesh) => meshes.filter((x) => x === m).length;
  return MESHES.reduce<Mesh | null>(
    (best, m) => (count(m) > (best === null ? 0 : count(best)) ? m : best),
    null,
  );
}

interface FaultFigures {
  /** Of several papers which one, from 0. */
  readonly paper: number;
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

/** How often faults of one mesh, or of one difficulty, were found by all who could. */
interface GroupFigures<Id> {
  readonly id: Id;
  readonly found: number;
  readonly of: number;
  readonly rate: number;
  /** Wilson, 95 %: as if students and faults were independent, which they are not quite. */
  readonly interval: readonly [number, number];
}

export interface ClassSummary {
  /** By the share of faults found, false alarms break ties. */
  readonly students: readonly Marked[];
  readonly faults: readonly FaultFigures[];
  readonly meshes: readonly GroupFigures<Mesh>[];
  readonly difficulties: readonly GroupFigures<1 | 2 | 3>[];
  readonly alpha: number | null;
  readonly kappaWithKey: number | null;
  readonly teachNext: readonly TeachNext[];
}

/** So many things can be taught tomorrow. */
const TEACH = 3;

/** A paper that was written: its key and what came back. */
export interface Paper {
  readonly key: KeyFile;
  readonly results: readonly Result[];
}

/** The class: each student against the key of her paper, each fault against those who had it. */
export function summarise(papers: readonly Paper[], catalogue: Catalogue): ClassSummary {
  const read = papers.map(({ key, results }) => ({
    key,
    results,
    marked: results.map((r) => mark(key, r, catalogue)),
  }));
  const faults = read.flatMap(({ key, marked }, paper) =>
    key.faults.map((f) => figuresOf(f, marked, paper)),
  );
  const kappas = read.flatMap(({ key, results }) => results.flatMap((r) => kappaOf(key, r) ?? []));
  const all = read.flatMap(({ key, marked }) =>
    marked.map((m) => ({
      m,
      share: key.faults.length === 0 ? 0 : m.found.length / key.faults.length,
    })),
  );
  const seen = read.flatMap(({ key, marked }) =>
    key.faults.flatMap((f) =>
      marked.map((m) => ({
        mesh: f.mesh,
        difficulty: difficultyOf(f.kind),
        found: m.found.includes(f.id),
      })),
    ),
  );
  return {
    students: all
      .sort(
        (a, b) =>
          b.share - a.share ||
          a.m.falseAlarms.length - b.m.falseAlarms.length ||
          (a.m.id < b.m.id ? -1 : 1),
      )
      .map(({ m }) => m),
    faults,
    meshes: MESHES.flatMap((id) =>
      groupOf(
        id,
        seen.filter((s) => s.mesh === id),
      ),
    ),
    difficulties: ([1, 2, 3] as const).flatMap((id) =>
      groupOf(
        id,
        seen.filter((s) => s.difficulty === id),
      ),
    ),
    alpha: krippendorffsAlpha(
      read.flatMap(({ key, results }) =>
        key.verdicts.map((v) =>
          results.map((r) => r.answers.find((a) => a.line === v.line)?.verdict),
        ),
      ),
    ),
    kappaWithKey: kappas.length === 0 ? null : kappas.reduce((s, k) => s + k, 0) / kappas.length,
    teachNext: teachNext(
      all.map(({ m }) => m),
      faults,
    ),
  };
}

function figuresOf(
  f: KeyFile["faults"][number],
  marked: readonly Marked[],
  paper: number,
): FaultFigures {
  const hit = marked.map((m) => (m.found.includes(f.id) ? 1 : 0));
  const rest = marked.map((m, i) => m.found.length - hit[i]!);
  const k = hit.reduce<number>((s, h) => s + h, 0);
  const { id, line, kind, mesh } = f;
  return {
    ...{ paper, id, line, kind, mesh },
    foundRate: marked.length === 0 ? null : k / marked.length,
    interval: wilson(k, marked.length),
    discrimination: correlation(hit, rest),
  };
}

function groupOf<Id>(id: Id, seen: readonly { readonly found: boolean }[]): GroupFigures<Id>[] {
  const found = seen.filter((s) => s.found).length;
  const interval = wilson(found, seen.length);
  return interval ? [{ id, found, of: seen.length, rate: found / seen.length, interval }] : [];
}

function kappaOf(key: KeyFile, r: Result): number | null {
  const pairs = key.verdicts.flatMap((v) => {
    const given = r.answers.find((a) => a.line === v.line)?.verdict;
    return given === undefined ? [] : [[given, v.verdict] as const];
  });
  return cohensKappa(
    pairs.map(([a]) => a),
    pairs.map(([, b]) => b),
  );
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
