import { audit, type Audit } from "../audit/audit.ts";
import { proposeVerdict, type VerdictId } from "../audit/verdict.ts";
import { lastGoodDayAfterMonths } from "../base/dates.ts";
import { canonical } from "../base/canonical.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import { Random } from "../chance/random.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Brief } from "../model/brief.ts";
import type { Line } from "../model/kit.ts";
import type { Mesh } from "../model/mesh.ts";
import { contextOf } from "../sieve/context.ts";
import { piecesOf } from "../sieve/measure.ts";
import { BRIEF_FAULT, BRIEF_LINE, DECOY_KINDS, FAULT_KINDS, type FaultKind } from "./faultKinds.ts";

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
  /** The outing that the box says it was packed for. */
  readonly packedFor: Brief;
}

/** Things without a fault are bought new: good for two years after the outing. */
const GOOD_MONTHS = 24;
/** Keeping a strap that is no tourniquet weighs more than a late swab. */
const WEIGHT = { vital: 5, core: 3, useful: 1 } as const;
/** A line on which nothing of the list hangs. */
const WEIGHT_OF_REST = 0.5;

/** What a thing that was just bought and packed does not have yet. */
const FOUND_OUT = [
  ...(["condition", "okPoints", "note", "opened", "findable"] as const),
  ...(["labelled", "reachS", "drills", "lot"] as const),
];

/** The kit as it should be: counted as claimed, sound, in date, labelled, easy to find. */
export function asItShouldBe(file: AuditFile, today: string, catalogue: Catalogue): AuditFile {
  const { events: _, incidents: __, kept: ___, ...rest } = file;
  const context = contextOf(file, today, catalogue);
  const lines = file.kit.lines.map((line, i): Line => {
    const { type } = context.lines[i]!;
    const asBought = { ...line };
    for (const fact of FOUND_OUT) delete asBought[fact];
    const pieces = Math.max(1, Math.floor(line.claimed ?? piecesOf(line)));
    return {
      ...asBought,
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

/** What an exercise is to hold. */
export interface Wanted {
  readonly faults: number;
  readonly decoys: number;
  readonly seed: number;
  /** Meshes to draw from; absent: all. */
  readonly meshes?: readonly Mesh[];
  /** No fault harder to see than this. */
  readonly hardest?: 1 | 2 | 3;
  /** Chosen by hand: planted before anything is drawn, and counted among the faults. */
  readonly picked?: readonly { readonly line: string; readonly kind: string }[];
  /** The outing is a trap: more people or days than the kit was packed for. Not counted among the faults. */
  readonly briefTrap?: boolean;
}

/** What can be planted where: kinds by line that change the audit by themselves. */
export function plantable(
  given: AuditFile,
  today: string,
  catalogue: Catalogue,
): { readonly line: string; readonly kinds: readonly FaultKind[] }[] {
  const base = asItShouldBe(given, today, catalogue);
  const clean = audit(base, today, catalogue);
  const sign = signature(clean);
  return base.kit.lines.map((l, i) => ({
    line: l.id,
    kinds: FAULT_KINDS.filter((kind) => {
      const line = kind.plant(clean.context.lines[i]!, clean.context);
      if (!line) return false;
      const lines = base.kit.lines.map((x) => (x.id === l.id ? line : x));
      return signature(audit({ ...base, kit: { ...base.kit, lines } }, today, catalogue)) !== sign;
    }),
  }));
}

export type MakeOutcome =
  | { readonly ok: true; readonly made: Made }
  /** So many faults cannot be planted in this kit; that many can. `why`: what was chosen and cannot be. */
  | { readonly ok: false; readonly most: number; readonly why?: "brief-trap" | "picked" };

/** Outings for which a kit is asked more than for the one it was packed for. */
const TRAPS: readonly ((brief: Brief) => Brief)[] = [
  (b) => ({ ...b, days: 2 * b.days }),
  (b) => ({ ...b, people: 2 * b.people }),
];

/** A kind of fault that can be planted on a line; the line with it in it. */
interface Candidate {
  readonly line: Line;
  readonly kind: FaultKind;
}

/**
 * Plants faults and decoys in a kit, drawn by a seed: at most one a line, meshes in turn; each changes
 * the audit alone and when it is taken out of the finished exercise; no decoy changes it.
 */
export function makeExercise(
  given: AuditFile,
  wanted: Wanted,
  today: string,
  catalogue: Catalogue,
): MakeOutcome {
  const packed = asItShouldBe(given, today, catalogue);
  const random = new Random().begin(wanted.seed, 0);
  const trap = wanted.briefTrap ? trapFor(packed, today, catalogue, random) : packed.brief;
  if (!trap) return { ok: false, most: 0, why: "brief-trap" };
  const base = { ...packed, brief: trap };
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

  const candidates = base.kit.lines.flatMap((l, i): Candidate[] =>
    already.includes(l.id)
      ? []
      : FAULT_KINDS.flatMap((kind) => {
          const line = kind.plant(context.lines[i]!, context);
          return line ? [{ line, kind }] : [];
        }),
  );
  const isPicked = (c: Candidate) =>
    (wanted.picked ?? []).some((p) => p.line === c.line.id && p.kind === c.kind.id);
  const isWanted = (c: Candidate) =>
    (wanted.meshes?.includes(c.kind.mesh) ?? true) && c.kind.difficulty <= (wanted.hardest ?? 3);
  const picked = candidates.filter(isPicked);
  const shuffled = [
    ...picked,
    ...shuffle(candidates, random).filter((c) => !isPicked(c) && isWanted(c)),
  ];
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
    // What was chosen by hand comes before what is drawn.
    const turn = (c: Candidate) => (isPicked(c) ? -1 : (perMesh.get(c.kind.mesh) ?? 0));
    const next = [...open].sort((a, b) => turn(a) - turn(b))[0]!;
    open.delete(next);
    if (chosen.some((c) => c.line.id === next.line.id)) continue;
    if (signature(judged(withLine(base.kit.lines, next.line))) === cleanSign) continue;
    if (!counts([...chosen, next])) continue;
    chosen.push(next);
    perMesh.set(next.kind.mesh, (perMesh.get(next.kind.mesh) ?? 0) + 1);
  }
  if (picked.length < (wanted.picked?.length ?? 0) || picked.some((c) => !chosen.includes(c)))
    return { ok: false, most: chosen.length, why: "picked" };
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
  const made = madeOf(base, lines, final, chosen, decoys, already);
  if (!wanted.briefTrap) return { ok: true, made: { ...made, packedFor: packed.brief } };
  // Taken out of the finished exercise, the trap too must be missed.
  const untrapped = audit({ ...made.file, brief: packed.brief }, today, catalogue);
  if (signature(untrapped) === signature(final))
    return { ok: false, most: chosen.length, why: "brief-trap" };
  const trapped = { line: BRIEF_LINE, verdict: BRIEF_FAULT.verdict };
  const { key } = made;
  return {
    ok: true,
    made: {
      ...made,
      packedFor: packed.brief,
      key: {
        ...key,
        faults: [
          ...key.faults,
          { id: "fault-brief", ...trapped, kind: BRIEF_FAULT.id, mesh: BRIEF_FAULT.mesh },
        ],
        verdicts: [...key.verdicts, { ...trapped, weight: WEIGHT.core }],
      },
    },
  };
}

/** An outing that asks more of the kit as it should be; null: nothing more would be asked. */
function trapFor(
  packed: AuditFile,
  today: string,
  catalogue: Catalogue,
  random: Random,
): Brief | null {
  const clean = signature(audit(packed, today, catalogue));
  for (const trap of shuffle(TRAPS, random)) {
    const brief = trap(packed.brief);
    if (signature(audit({ ...packed, brief }, today, catalogue)) !== clean) return brief;
  }
  return null;
}

function madeOf(
  base: AuditFile,
  lines: readonly Line[],
  final: Audit,
  chosen: readonly Candidate[],
  decoys: ExerciseKey["decoys"],
  already: readonly string[],
): Omit<Made, "packedFor"> {
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
