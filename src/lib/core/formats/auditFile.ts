import { said } from "../base/said.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import { auditSchema, type AuditFile } from "../model/auditFile.ts";
import { readKeeping } from "../model/kept.ts";
import { fail, type Outcome, type Problem, problem } from "../model/problem.ts";
import { integrity } from "./integrity.ts";

/** An audit from parsed JSON. Says what is wrong and where; gives nothing on error. */
export function parseAudit(json: unknown, catalogue: Catalogue): Outcome<AuditFile> {
  const wrongFile = notAnAuditFile(json);
  if (wrongFile) return fail([wrongFile]);
  const read = readKeeping(auditSchema, json);
  if (!read.ok) return read;
  const problems = integrity(read.value, catalogue);
  return problems.length > 0 ? fail(problems) : read;
}

function notAnAuditFile(json: unknown): Problem | null {
  if (typeof json !== "object" || json === null || Array.isArray(json))
    return problem("", "no-audit");
  const { format, version } = json as Record<string, unknown>;
  if (format !== "wide-sieve.audit")
    return problem("format", "another-format", {
      format: said(format),
      wanted: "wide-sieve.audit",
    });
  if (typeof version === "number" && version > 1)
    return problem("version", "newer-file", { version, reads: 1 });
  return null;
}
