import type { AuditFile } from "../model/auditFile.ts";
import { replay } from "./replay.ts";

/** The audit file of the kit as it is after all its events; the file itself where it has none. */
export function kitToday(file: AuditFile): AuditFile {
  const { events, ...rest } = file;
  if (!events || events.length === 0) return rest;
  return { ...rest, kit: { ...file.kit, lines: replay(file.kit.lines, events).lines } };
}

/** The same as it was at the end of a day, with an outing that begins on it. */
export function kitOnDay(file: AuditFile, day: string): AuditFile {
  const { events = [], ...rest } = file;
  return {
    ...rest,
    brief: { ...file.brief, start: day },
    kit: { ...file.kit, lines: replay(file.kit.lines, events, day).lines },
  };
}
