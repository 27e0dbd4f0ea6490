import { atLeast } from "../base/tolerance.ts";
import { MESHES, type Mesh } from "../model/mesh.ts";
import type { AuditContext } from "./context.ts";
import type { Pair, Pairing } from "./pairs.ts";
import { companionFactor } from "./real.ts";
import { shareOut, type SharePair } from "./shareOut.ts";

/** How a line's unchecked facts are taken: passing or failing. One entry a line. */
export type Assumption = readonly boolean[];

/** A pair as one reading takes it: factors 0–1, and the units that sharing out gave it. */
export interface SiftedPair {
  readonly pair: Pair;
  readonly companionsMissing: readonly string[];
  readonly spec: number;
  readonly r: number;
  readonly sound: number;
  readonly fresh: number;
  readonly handy: number;
  readonly usable: number;
  readonly f: number;
  /** Units of the function in a unit of measure; 0: nothing, its strength taken as none. */
  readonly yield: number;
  /** In the function's unit. */
  readonly units: number;
}

export interface SiftedNeed {
  /** v₁ … v₇, falling. */
  readonly values: readonly number[];
  /** v₇: the share of the need that is met, all meshes passed. */
  readonly met: number;
  readonly restsOn: Mesh | "pan";
  /** All lines that claim the function or are accepted, in line order. */
  readonly pairs: readonly SiftedPair[];
}

/** One run through the seven meshes under one reading of the unchecked facts. */
export function sift(context: AuditContext, pairing: Pairing, passes: Assumption): SiftedNeed[] {
  const { facts, pairs, ranges, companions } = pairing;
  const missing = new Set<string>();
  for (const [companion, lines] of companions)
    if (!lines.some((l) => isThere(l))) missing.add(companion);

  function isThere(l: number): boolean {
    const fact = facts[l]!;
    const pass = passes[l]!;
    return (
      (fact.counted || pass) &&
      fact.pieces > 0 &&
      (fact.sound ?? (pass ? 1 : 0)) > 0 &&
      (fact.standing === "good" || (fact.standing === "unread" && pass))
    );
  }

  const taken = pairs.map((p) => take(p, context, pairing, passes[p.line]!, missing));
  const supply = facts.map((fact, l) => {
    const pieces = fact.counted || passes[l] ? fact.pieces : 0;
    return pieces * (passes[l] ? fact.measure.perPiece : fact.measure.worst);
  });
  const sharePairs: SharePair[] = [];
  const at: number[] = [];
  taken.forEach((t, k) => {
    if (t.r <= 0 || t.yield <= 0) return;
    const { line, need } = t.pair;
    sharePairs.push({ line, need, r: t.r, f: t.f, yield: t.yield });
    at.push(k);
  });
  const units = shareOut({
    supply,
    tool: context.lines.map((l) => l.type?.use === "tool"),
    required: context.needs.map((n) => n.required),
    weight: context.needs.map((n) => n.weight),
    pairs: sharePairs,
  });
  at.forEach((k, i) => (taken[k]!.units = units[i]!));

  return context.needs.map((asked, n) => {
    const [from, to] = ranges[n]!;
    const own = taken.slice(from, to);
    const values = valuesOf(own, asked.required);
    const mark = context.rules.passMarks[asked.tier];
    const held = values.findIndex((v) => !atLeast(v, mark));
    return { values, met: values.at(-1)!, restsOn: held < 0 ? "pan" : MESHES[held]!, pairs: own };
  });
}

type Taken = { -readonly [K in keyof SiftedPair]: SiftedPair[K] };

function take(
  pair: Pair,
  context: AuditContext,
  { facts }: Pairing,
  pass: boolean,
  missing: ReadonlySet<string>,
): Taken {
  const need = context.needs[pair.need]!.need;
  const companionsMissing = need.companions?.filter((c) => missing.has(c)) ?? [];
  const spec = pair.spec.unchecked && !pass ? 0 : pair.spec.factor;
  const r = pair.credit.credit * spec * companionFactor(companionsMissing.length);
  const sound = facts[pair.line]!.sound ?? (pass ? 1 : 0);
  const fresh = pair.fresh ?? (pass ? 1 : 0);
  const handy = pass ? pair.handy.factor : pair.handy.worst;
  const usable = pass ? pair.usable.factor : pair.usable.worst;
  const f = r * sound * fresh * handy * usable;
  const doses = pair.dose.unchecked && !pass ? 0 : pair.dose.factor;
  const yields = pair.credit.yield * doses;
  return {
    pair,
    companionsMissing,
    spec,
    r,
    yield: yields,
    sound,
    fresh,
    handy,
    usable,
    f,
    units: 0,
  };
}

/** v₁ … v₇ of a need from its pairs; v₂ is the best stand-in, so a weak one in use shows at Enough. */
function valuesOf(pairs: readonly SiftedPair[], required: number): number[] {
  const values = [pairs.length > 0 ? 1 : 0, 0, 0, 0, 0, 0, 0];
  for (const p of pairs) {
    values[1] = Math.max(values[1]!, p.r);
    if (p.units === 0) continue;
    let share = (p.units * p.r) / required;
    values[2]! += share;
    values[3]! += share *= p.sound;
    values[4]! += share *= p.fresh;
    values[5]! += share *= p.handy;
    values[6]! += share * p.usable;
  }
  return values;
}
