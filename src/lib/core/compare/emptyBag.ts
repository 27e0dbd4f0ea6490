import type { AuditFile } from "../model/auditFile.ts";

/** The same brief, list and rules with nothing in the bag: what it costs to build one's own. */
export const emptyBag = (file: AuditFile): AuditFile => ({
  ...file,
  kit: { name: "", claims: {}, lines: [] },
});
