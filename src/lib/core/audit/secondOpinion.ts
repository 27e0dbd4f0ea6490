import type { Catalogue } from "../catalogue/catalogue.ts";
import type { Audit } from "./audit.ts";
import type { Kit, Line } from "../model/kit.ts";
import { SHARE_TOLERANCE } from "../base/tolerance.ts";
import { lineCondition } from "../inspect/quality.ts";

/** What two people who look at the same kit can see differently. */
const LOOKED_AT = [
  "count",
  "condition",
  "date",
  "size",
  "place",
  "reach",
  "findable",
  "labelled",
  "kind",
] as const;
export type LookedAt = (typeof LOOKED_AT)[number];

/** The fields of a line that carry each fact. */
const FIELDS: Readonly<Record<LookedAt, readonly (keyof Line)[]>> = {
  count: ["counted"],
  condition: ["condition", "failedPoints"],
  date: ["expires", "opened", "printedExpires"],
  size: ["sizeMm", "volumeMl", "dosesPerPiece"],
  place: ["location"],
  reach: ["reachS", "drills"],
  findable: ["findable"],
  labelled: ["labelled"],
  kind: ["itemType"],
};

/** One fact that the two give differently. */
export interface LookDifference {
  readonly line: string;
  readonly what: LookedAt;
}

const text = (value: unknown): string =>
  JSON.stringify(Array.isArray(value) ? [...value].sort() : (value ?? null));
const hasFact = (line: Line, what: LookedAt) => FIELDS[what].some((f) => line[f] !== undefined);

function differs(a: Line, b: Line, what: LookedAt, catalogue: Catalogue): boolean {
  if (what === "condition")
    return (
      lineCondition(a, catalogue) !== lineCondition(b, catalogue) ||
      text(a.failedPoints ?? []) !== text(b.failedPoints ?? [])
    );
  // Two stopwatches never agree to the tenth: what counts is which limit they keep.
  if (what === "reach") return within(a.reachS) !== within(b.reachS);
  return FIELDS[what].some((f) => text(a[f]) !== text(b[f]));
}
const within = (s: number | undefined) =>
  s === undefined ? "unknown" : s <= 15 ? "seconds" : s <= 60 ? "minute" : "longer";

/** Both looked, and see it differently; what only one has looked at is no difference of opinion. */
export function lookDifferences(first: Kit, second: Kit, catalogue: Catalogue): LookDifference[] {
  const others = new Map(second.lines.map((l) => [l.id, l]));
  return first.lines.flatMap((line) => {
    const other = others.get(line.id);
    if (!other) return [];
    return LOOKED_AT.filter(
      (what) =>
        (what === "kind" || (hasFact(line, what) && hasFact(other, what))) &&
        differs(line, other, what, catalogue),
    ).map((what) => ({ line: line.id, what }));
  });
}

/** How far two audits of the same kit agree. Shares 0–1; null where nothing can be compared. */
export interface Agreement {
  /** By mesh: the share of needs whose value after it is the same. */
  readonly meshes: readonly number[];
  /** Share of the lines both inspected that got the same condition. */
  readonly condition: number | null;
  /** Cohen's kappa of the condition: agreement beyond chance, 1 is perfect, 0 is chance. */
  readonly kappa: number | null;
  readonly linesCompared: number;
}

export function agreement(first: Audit, second: Audit): Agreement {
  const { catalogue } = first.context;
  const values = new Map(second.needs.map((n, i) => [second.context.needs[i]!.need.id, n.values]));
  const pairs = first.needs.flatMap((n, i) => {
    const other = values.get(first.context.needs[i]!.need.id);
    return other ? [[n.values, other] as const] : [];
  });
  const meshes = Array.from({ length: 7 }, (_, m) =>
    pairs.length === 0
      ? 1
      : pairs.filter(([x, y]) => Math.abs(x[m]! - y[m]!) <= SHARE_TOLERANCE).length / pairs.length,
  );
  const others = new Map(second.context.audit.kit.lines.map((l) => [l.id, l]));
  const conditions = first.context.audit.kit.lines.flatMap((l) => {
    const other = others.get(l.id);
    const [x, y] = [lineCondition(l, catalogue), other ? lineCondition(other, catalogue) : null];
    return x && y ? [[x, y] as const] : [];
  });
  const n = conditions.length;
  const same = conditions.filter(([x, y]) => x === y).length / n;
  const chance = (["sound", "worn", "failed"] as const).reduce(
    (s, c) =>
      s +
      (conditions.filter(([x]) => x === c).length / n) *
        (conditions.filter(([, y]) => y === c).length / n),
    0,
  );
  return {
    meshes,
    condition: n === 0 ? null : same,
    // Where both gave all lines the same condition chance alone explains it: kappa says nothing.
    kappa: n === 0 || chance >= 1 ? null : (same - chance) / (1 - chance),
    linesCompared: n,
  };
}

/** Takes one fact of a line over from the other look. */
export function takeFact(line: Line, from: Line, what: LookedAt): Line {
  const next: Record<string, unknown> = { ...line };
  for (const field of FIELDS[what]) {
    if (from[field] === undefined) delete next[field];
    else next[field] = from[field];
  }
  return next as Line;
}

/** A kit as it is handed to a second pair of eyes: the claims, and nothing that the first has seen. */
export const unseen = (kit: Kit): Kit => ({
  ...kit,
  lines: kit.lines.map((l) => ({
    id: l.id,
    itemType: l.itemType,
    ...(l.text === undefined ? {} : { text: l.text }),
    claimed: l.claimed ?? l.counted ?? 0,
    ...(l.strengthMg === undefined ? {} : { strengthMg: l.strengthMg }),
  })),
});
