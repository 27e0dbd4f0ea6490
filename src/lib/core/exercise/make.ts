import { audit, type Audit } from "../audit/audit.ts";
import { proposeVerdict, type VerdictId } from "../audit/verdict.ts";
import { lastGoodDayAfterMonths } from "../base/dates.ts";
import { canonical } from "../base/canonical.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import { Random } from "../chance/random.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Line } from "../model/kit.ts";
import type { Mesh } from "../model/mesh.ts";
import { contextOf } from "../sieve/context.ts";
import { piecesOf } from "../sieve/measure.ts";
import { DECOY_KINDS, FAULT_KINDS } from "./faultKinds.ts";

interface PlantedFault {
  readonly id: string;
  readonly line: string;
  readonly kind: string;
  readonly mesh: Mesh;
  /** What the rules say of the line with the fault in it. */
  readonly verdict: VerdictId;
}

/** What the instructor keeps: which lines have what, and what the rules say of each line. */
interface ExerciseKey {
  readonly faults: readonly PlantedFault[];
  readonly decoys: readonly { readonly line: string; readonly kind: string }[];
  /** Lines that are not as they should be of themselves: naming them is neither found nor false. */
  readonly already: readonly string[];
  /** Verdict of the rules on every line, and how much a wrong one weighs. */
  readonly verdicts: readonly {
    readonly line: string;
    readonly verdict: VerdictId;
    readonly weight: number;
  }[];
}

export interface Made {
  /** The kit with the faults in it. */
  readonly file: AuditFile;
  readonly key: ExerciseKey;
}

/** Things without a fault are bought new: good for two years after the outing. */
const GOOD_MONTHS = 24;
/** Keeping a strap that is no tourniquet weighs more than a late swab. */
const WEIGHT = { vital: 5, core: 3, useful: 1 } as const;
/** A line on which nothing of the list hangs. */
const WEIGHT_OF_REST = 0.5;

/** The kit as it should be: counted as claimed, sound, in date, labelled, easy to find. */
export function asItShouldBe(file: AuditFile, today: string, catalogue: Catalogue): AuditFile {
  const { events: _, incidents: __, kept: ___, ...rest } = file;
  const context = contextOf(file, today, catalogue);
  const lines = file.kit.lines.map((line, i): Line => {
    const { type } = context.lines[i]!;
    const {
      condition: _c,
      okPoints: _o,
      note: _n,
      opened: _p,
      findable: _f,
      labelled: _l,
      reachS: _r,
      drills: _d,
      lot: _t,
      ...line_
    } = line;
    void [_c, _o, _n, _p, _f, _l, _r, _d, _t];
    const pieces = Math.max(1, Math.floor(line.claimed ?? piecesOf(line)));
    return {
      ...line_,
      claimed: pieces,
      counted: pieces,
      failedPoints: [],
      expires: type?.dated
        ? lastGoodDayAfterMonths(context.lastDay, GOOD_MONTHS).slice(0, 7)
        : "none",
      location: line.location === "bottom" ? "pocket" : (line.location ?? "open-top"),
      ...(type?.latex === "ask" || type?.latex === "often" ? { latexFree: true } : {}),
    };
  });
  return { ...rest, kit: { ...file.kit, lines } };
}

/** All that a fault may change: coverage, the interval, any need in either reading. */
const signature = (a: Audit): string =>
  canonical([a.coverage, a.interval, a.needs.map((n) => n.met), a.failing.map((n) => n.met)]);

export type MakeOutcome =
  | { readonly ok: true; readonly made: Made }
  /** So many faults cannot be planted in this kit; that many can. */
  | { readonly ok: false; readonly most: number };

/**
 * Plants faults and decoys in a kit, drawn by a seed: at most one a line, meshes in turn; each changes
 * the audit alone and when it is taken out of the finished exercise; no decoy changes it.
 */
export function makeExercise(
  given: AuditFile,
  wanted: { readonly faults: number; readonly decoys: number; readonly seed: number },
  today: string,
  catalogue: Catalogue,
): MakeOutcome {
  const base = asItShouldBe(given, today, catalogue);
  const random = new Random().begin(wanted.seed, 0);
  const judged = (lines: readonly Line[]): Audit =>
    audit({ ...base, kit: { ...base.kit, lines: [...lines] } }, today, catalogue);
  const clean = judged(base.kit.lines);
  const cleanSign = signature(clean);
  const context = clean.context;
  const withLine = (lines: readonly Line[], line: Line) =>
    lines.map((l) => (l.id === line.id ? line : l));
  const already = base.kit.lines.flatMap((l, i) => {
    const { verdict } = proposeVerdict(clean, i);
    return verdict === "keep" || verdict === "spare" ? [] : [l.id];
  });

  interface Candidate {
    readonly line: Line;
    readonly kind: (typeof FAULT_KINDS)[number];
  }
  const candidates = base.kit.lines.flatMap((l, i): Candidate[] =>
    already.includes(l.id)
      ? []
      : FAULT_KINDS.flatMap((kind) => {
          const line = kind.plant(context.lines[i]!, context);
          return line ? [{ line, kind }] : [];
        }),
  );
  const shuffled = shuffle(candidates, random);
  const chosen: Candidate[] = [];
  const perMesh = new Map<Mesh, number>();
  const counts = (list: readonly Candidate[]): boolean => {
    const all = list.reduce((lines, c) => withLine(lines, c.line), base.kit.lines as Line[]);
    const sign = signature(judged(all));
    // Each is taken out in turn: the audit must notice.
    return list.every((c) => {
      const original = base.kit.lines.find((l) => l.id === c.line.id)!;
      return signature(judged(withLine(all, original))) !== sign;
    });
  };
  // The mesh with the fewest so far comes next, so that all are met.
  const open = new Set(shuffled);
  while (chosen.length < wanted.faults && open.size > 0) {
    const next = [...open].sort(
      (a, b) => (perMesh.get(a.kind.mesh) ?? 0) - (perMesh.get(b.kind.mesh) ?? 0),
    )[0]!;
    open.delete(next);
    if (chosen.some((c) => c.line.id === next.line.id)) continue;
    if (signature(judged(withLine(base.kit.lines, next.line))) === cleanSign) continue;
    if (!counts([...chosen, next])) continue;
    chosen.push(next);
    perMesh.set(next.kind.mesh, (perMesh.get(next.kind.mesh) ?? 0) + 1);
  }
  if (chosen.length < wanted.faults) return { ok: false, most: chosen.length };

  let lines = chosen.reduce((all, c) => withLine(all, c.line), base.kit.lines as Line[]);
  const decoys: { line: string; kind: string }[] = [];
  const sign = signature(judged(lines));
  const rest = shuffle(
    base.kit.lines.filter(
      (l) => !chosen.some((c) => c.line.id === l.id) && !already.includes(l.id),
    ),
    random,
  );
  for (const l of rest) {
    if (decoys.length >= wanted.decoys) break;
    const at = base.kit.lines.findIndex((x) => x.id === l.id);
    for (const kind of shuffle(DECOY_KINDS, random)) {
      const line = kind.plant(context.lines[at]!, context);
      if (!line || signature(judged(withLine(lines, line))) !== sign) continue;
      lines = withLine(lines, line);
      decoys.push({ line: l.id, kind: kind.id });
      break;
    }
  }
  const final = judged(lines);
  return { ok: true, made: madeOf(base, lines, final, chosen, decoys, already) };
}

function madeOf(
  base: AuditFile,
  lines: readonly Line[],
  final: Audit,
  chosen: readonly { line: Line; kind: (typeof FAULT_KINDS)[number] }[],
  decoys: ExerciseKey["decoys"],
  already: readonly string[],
): Made {
  const verdictOf = (id: string): VerdictId => {
    const { verdict } = proposeVerdict(
      final,
      lines.findIndex((l) => l.id === id),
    );
    // A planted fault is never kept.
    const planted = chosen.find((c) => c.line.id === id)?.kind.verdict;
    return planted && (verdict === "keep" || verdict === "spare") ? planted : verdict;
  };
  const weightOf = (at: number): number =>
    final.pairing.pairs
      .filter((p) => p.line === at)
      .reduce(
        (most, p) => Math.max(most, WEIGHT[final.context.needs[p.need]!.tier]),
        WEIGHT_OF_REST,
      );
  return {
    file: { ...base, kit: { ...base.kit, lines: [...lines] } },
    key: {
      faults: chosen.map((c, i): PlantedFault => ({
        id: `fault-${i + 1}`,
        line: c.line.id,
        kind: c.kind.id,
        mesh: c.kind.mesh,
        verdict: verdictOf(c.line.id),
      })),
      decoys,
      already,
      verdicts: lines.map((l, i) => ({
        line: l.id,
        verdict: verdictOf(l.id),
        weight: weightOf(i),
      })),
    },
  };
}

/** Fisher and Yates. */
function shuffle<T>(list: readonly T[], random: Random): T[] {
  const out = [...list];
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(random.next() * (i + 1));
    [out[i], out[j]] = [out[j]!, out[i]!];
  }
  return out;
}
