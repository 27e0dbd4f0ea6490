import type { LookedAt } from "../core/audit/secondOpinion.ts";
import type { Catalogue } from "../core/catalogue/catalogue.ts";
import { lineCondition } from "../core/inspect/quality.ts";
import type { Line } from "../core/model/kit.ts";
import { day, many, number, size } from "./display.ts";
import { CONDITION_LABEL, LOCATION_LABEL } from "./labels.ts";

const NOT_LOOKED = "–";

const FACT_TEXT: Record<
  Exclude<LookedAt, "kind" | "condition">,
  (line: Line) => string | undefined
> = {
  count: (l) => (l.counted === undefined ? undefined : number(l.counted)),
  date: (l) => l.expires && (l.expires === "none" ? "no date" : day(l.expires)),
  size: (l) =>
    l.sizeMm
      ? size(l.sizeMm)
      : l.volumeMl
        ? `${number(l.volumeMl)} ml`
        : l.dosesPerPiece
          ? many(l.dosesPerPiece, "dose")
          : undefined,
  place: (l) => l.location && LOCATION_LABEL[l.location],
  reach: (l) => (l.reachS === undefined ? undefined : `${number(l.reachS, 1)} s`),
  findable: (l) => (l.findable === false ? "hard to find" : "found"),
  labelled: (l) => (l.labelled === false ? "not labelled" : "labelled"),
};

function conditionText(line: Line, catalogue: Catalogue): string {
  const condition = lineCondition(line, catalogue);
  if (!condition) return NOT_LOOKED;
  const failed = (line.failedPoints ?? []).flatMap(
    (p) => catalogue.points.get(p)?.good.toLowerCase() ?? [],
  );
  return `${CONDITION_LABEL[condition]}${failed.length > 0 ? `, not: ${failed.join("; ")}` : ""}`;
}

/** One fact of a line as one person saw it. */
export function lookText(
  line: Line,
  what: LookedAt,
  typeLabel: string | undefined,
  catalogue: Catalogue,
): string {
  if (what === "kind") return typeLabel ?? "not known";
  if (what === "condition") return conditionText(line, catalogue);
  return FACT_TEXT[what](line) ?? NOT_LOOKED;
}
