import { audit } from "../lib/core/audit/audit.ts";
import { withQuantities } from "../lib/core/chance/byChance.ts";
import { kitOnDay, kitToday } from "../lib/core/events/kitOnDay.ts";
import { parseAudit } from "../lib/core/formats/auditFile.ts";
import { CATALOGUE } from "../lib/data/catalogue.ts";
import { INCIDENT_KINDS } from "../lib/data/incidents.ts";
import { auditPrinted } from "../lib/report/auditPrinted.ts";
import { told } from "../lib/words/problems.ts";
import type { AuditFile } from "../lib/core/model/auditFile.ts";
import { BadInput, fileText, inFile, jsonOf } from "./io.ts";

/** One file of many to be audited. */
export interface AuditTask {
  readonly at: number;
  readonly file: string;
  readonly today: string;
  /** The day at whose end the kit is audited; absent: after all its events. */
  readonly on?: string;
}

/** A checked audit file from its JSON, with the quantities that its house rules take from chance. */
export const auditFileOf = (path: string, json: unknown): AuditFile =>
  withQuantities(inFile(path, parseAudit(json, CATALOGUE)), CATALOGUE, INCIDENT_KINDS);

/** The audit of a kit as it is after its log, or as it was at the end of a day. */
export const auditedOn = (file: AuditFile, today: string, on: string | undefined) =>
  auditPrinted(
    on === undefined
      ? audit(kitToday(file, today, CATALOGUE), today, CATALOGUE)
      : audit(kitOnDay(file, on, CATALOGUE), on, CATALOGUE),
  );

/** The audit of a file as one line of JSON, or what is wrong with it. */
export function auditLine({ file, today, on }: AuditTask): { line: string; ok: boolean } {
  try {
    const read = auditFileOf(file, jsonOf(file, fileText(file)));
    return { line: JSON.stringify({ file, ...auditedOn(read, today, on) }), ok: true };
  } catch (error) {
    if (!(error instanceof BadInput)) throw error;
    return { line: JSON.stringify({ file, problems: error.problems.map(told) }), ok: false };
  }
}
