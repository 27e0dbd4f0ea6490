import type { Catalogue } from "../catalogue/catalogue.ts";
import type { AuditFile } from "../model/auditFile.ts";
import { replay, type Replayed } from "./replay.ts";
import { trusted } from "./trust.ts";

/**
 * The audit file of the kit as it is after all its events, what nobody looked at in time taken as
 * unchecked; the file itself where it has none.
 * @param today YYYY-MM-DD
 */
export const kitToday = (file: AuditFile, today: string, catalogue: Catalogue): AuditFile =>
  kitAfter(file, replay(file.kit.lines, file.events ?? []), today, catalogue);

/** The same of a log that was replayed already. */
export function kitAfter(
  file: AuditFile,
  { lines }: Replayed,
  today: string,
  catalogue: Catalogue,
): AuditFile {
  const { events, ...rest } = file;
  if (!events || events.length === 0) return rest;
  return {
    ...rest,
    kit: { ...file.kit, lines: trusted(lines, events, today, file.itemTypes, catalogue) },
  };
}

/** The same as it was at the end of a day, with an outing that begins on it. */
export function kitOnDay(file: AuditFile, day: string, catalogue: Catalogue): AuditFile {
  const { events = [], ...rest } = file;
  const { lines } = replay(file.kit.lines, events, day);
  return {
    ...rest,
    brief: { ...file.brief, start: day },
    kit: { ...file.kit, lines: trusted(lines, events, day, file.itemTypes, catalogue) },
  };
}
