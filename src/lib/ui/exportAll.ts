import { daysBetween } from "../core/base/dates.ts";
import { workspace } from "../state/workspace.svelte.ts";
import { download } from "./download.ts";

/** Day of the last export of everything, in this browser only: another one has its own. */
const KEY = "wide-sieve.exported";
/** Longer than this with changes since, and a reminder stands on the shelf. */
const REMIND_AFTER_DAYS = 30;

export const lastExport = (): string | null => {
  try {
    return localStorage.getItem(KEY);
  } catch {
    return null;
  }
};

/** Everything as one file, and the day of it remembered. */
export function exportAll(): void {
  download("workspace.widesieve.json", workspace.exportAll());
  try {
    localStorage.setItem(KEY, workspace.today);
  } catch {
    // A browser without storage keeps no day either.
  }
}

/** Whether it is time to export: more than a month since the last one, or never with kits of one's own. */
export function isExportDue(last: string | null, today: string, ownKits: number): boolean {
  if (ownKits === 0) return false;
  if (last === null) return true;
  return daysBetween(last, today) > REMIND_AFTER_DAYS;
}
