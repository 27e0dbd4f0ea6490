import { isDay } from "../lib/core/base/dates.ts";
import { audit } from "../lib/core/audit/audit.ts";
import { withQuantities } from "../lib/core/chance/byChance.ts";
import { kitOnDay, kitToday } from "../lib/core/events/kitOnDay.ts";
import { parseAudit } from "../lib/core/formats/auditFile.ts";
import { CATALOGUE } from "../lib/data/catalogue.ts";
import { INCIDENT_KINDS } from "../lib/data/incidents.ts";
import { auditPrinted } from "../lib/report/auditPrinted.ts";
import { told } from "../lib/words/problems.ts";
import { BadInput, fileText, inFile, jsonOf, Usage } from "./io.ts";

/** One file of many to be audited. */
export interface AuditTask {
  readonly at: number;
  readonly file: string;
  readonly today: string;
  /** The day at whose end the kit is audited; absent: after all its events. */
  readonly on?: string;
}

/** The audit of a file as one line of JSON, or what is wrong with it. */
export function auditLine({ file, today, on }: AuditTask): { line: string; ok: boolean } {
  if (on !== undefined && !isDay(on)) throw new Usage(`--on '${on}' is not a day`);
  try {
    const read = inFile(file, parseAudit(jsonOf(file, fileText(file)), CATALOGUE));
    const whole = withQuantities(read, CATALOGUE, INCIDENT_KINDS);
    const day = on ?? today;
    const now =
      on === undefined ? kitToday(whole, today, CATALOGUE) : kitOnDay(whole, on, CATALOGUE);
    return {
      line: JSON.stringify({ file, ...auditPrinted(audit(now, day, CATALOGUE)) }),
      ok: true,
    };
  } catch (error) {
    if (!(error instanceof BadInput)) throw error;
    return { line: JSON.stringify({ file, problems: error.problems.map(told) }), ok: false };
  }
}
