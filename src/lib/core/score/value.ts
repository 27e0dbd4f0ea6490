import { wholeUp } from "../base/tolerance.ts";
import type { AuditContext } from "../sieve/context.ts";
import { measureOf, piecesOf } from "../sieve/measure.ts";
import type { SiftedNeed } from "../sieve/sift.ts";

export interface Value {
  /** Pieces by the maker's claim, else the sum of the lines. */
  readonly claimed: number;
  /** Pieces of all kit lines, claimed where not counted. */
  readonly counted: number;
  /** Pieces that serve a need of the list. */
  readonly serving: number;
  /** 1 − serving / counted; null with nothing in the box. */
  readonly padding: number | null;
  /** The type with most pieces, and its share of the counted. */
  readonly largestType: { itemType: string | null; pieces: number; share: number } | null;
  /** Serving pieces, line by line of the audit. */
  readonly servingByLine: readonly number[];
  /** Price paid over covered points (coverage × 100); null without price or coverage. */
  readonly pricePerPoint: number | null;
}

/** What the box holds against what of it does a job on the list. */
export function valueOf(
  context: AuditContext,
  passing: readonly SiftedNeed[],
  coverage: number | null,
): Value {
  const kit = context.audit.kit;
  const servingByLine = servingPieces(context, passing);
  const kitLines = context.lines.filter((l) => !l.elsewhere);
  const counted = sum(kitLines.map((l) => piecesOf(l.line)));
  const serving = sum(servingByLine.filter((_, l) => !context.lines[l]!.elsewhere));
  const price = kit.price?.amount;
  return {
    claimed: kit.claims.pieces ?? sum(kit.lines.map((l) => l.claimed ?? piecesOf(l))),
    counted,
    serving,
    padding: counted > 0 ? 1 - serving / counted : null,
    largestType: largestType(kitLines, counted),
    servingByLine,
    pricePerPoint: price !== undefined && coverage ? price / (coverage * 100) : null,
  };
}

/** ⌈units used with f > 0, back in pieces⌉ on a line's sum; a tool: 1 a need served, at most its pieces. */
function servingPieces(context: AuditContext, passing: readonly SiftedNeed[]): number[] {
  const used = context.lines.map(() => 0);
  for (const need of passing)
    for (const p of need.pairs) {
      if (p.units <= 0 || p.f <= 0) continue;
      const { line, type } = context.lines[p.pair.line]!;
      used[p.pair.line]! +=
        type!.use === "tool" ? 1 : p.units / p.yield / measureOf(line, type!).perPiece;
    }
  return used.map((u, l) => {
    const { line, type } = context.lines[l]!;
    return type?.use === "tool" ? Math.min(u, piecesOf(line)) : wholeUp(u);
  });
}

function largestType(lines: AuditContext["lines"], counted: number): Value["largestType"] {
  const byType = new Map<string | null, number>();
  for (const { line, type } of lines) {
    const id = type?.id ?? null;
    byType.set(id, (byType.get(id) ?? 0) + piecesOf(line));
  }
  let best: { itemType: string | null; pieces: number; share: number } | null = null;
  for (const [itemType, pieces] of byType)
    if (pieces > 0 && (!best || pieces > best.pieces))
      best = { itemType, pieces, share: pieces / counted };
  return best;
}

const sum = (numbers: readonly number[]) => numbers.reduce((a, b) => a + b, 0);
