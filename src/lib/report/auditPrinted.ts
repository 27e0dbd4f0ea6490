import type { Audit } from "../core/audit/audit.ts";
import { proposeVerdict } from "../core/audit/verdict.ts";
import { auditResult } from "../core/formats/auditResult.ts";
import { cautionsOfReport } from "./kitReport.ts";

/**
 * The audit as the command line and the server give it: its figures, the verdict that the rules propose
 * for each line of the kit, and what to be cautious about (`brief`, `line:ID`, `need:ID`).
 */
export function auditPrinted(a: Audit) {
  const lines = a.context.lines.flatMap((l, i) => (l.elsewhere ? [] : [{ id: l.line.id, i }]));
  return {
    ...auditResult(a),
    verdicts: lines.map(({ id, i }) => ({ line: id, ...proposeVerdict(a, i) })),
    cautions: cautionsOfReport(a, null).map(({ caution, for: at }) => ({
      id: caution.id,
      for: at.map((x) => (x.is === "brief" ? "brief" : `${x.is}:${x.id}`)),
    })),
  };
}
