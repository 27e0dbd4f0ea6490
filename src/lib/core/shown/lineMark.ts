import type { Audit } from "../audit/audit.ts";
import { lineCondition } from "../inspect/quality.ts";
import type { Mesh } from "../model/mesh.ts";

/** Where a line is held by what it is itself; `unchecked`: nobody has looked yet. */
export function lineMark(a: Audit, lineId: string): Mesh | "pan" | "unchecked" {
  const index = a.context.lines.findIndex((b) => b.line.id === lineId);
  const found = a.context.lines[index];
  const condition = found ? lineCondition(found.line, a.context.catalogue) : null;
  if (condition === null) return "unchecked";
  if (condition === "failed") return "sound";
  const own = a.needs.flatMap((n) => n.pairs.filter((p) => p.pair.line === index));
  if (own.length === 0) return "pan";
  if (own.every((p) => p.pair.credit.credit === 0)) return "real";
  if (own.every((p) => p.fresh === 0)) return "fresh";
  if (own.every((p) => p.usable === 0)) return "usable";
  return "pan";
}
