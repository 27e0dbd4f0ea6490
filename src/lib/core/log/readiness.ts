import { audit, type Audit } from "../audit/audit.ts";
import { addDays, daysBetween, lastGoodDay } from "../base/dates.ts";
import type { Catalogue } from "../catalogue/catalogue.ts";
import type { AuditFile } from "../model/auditFile.ts";
import { kitOnDay } from "../events/kitOnDay.ts";

/** How ready a kit was from one day on. */
interface ReadinessStep {
  readonly from: string;
  readonly grade: string | null;
  readonly coverage: number | null;
  readonly interval: readonly [number, number] | null;
}

export interface Readiness {
  readonly steps: readonly ReadinessStep[];
  /** Share of the days on which the kit was Ready, 0–1; null: there is no day. */
  readonly readyShare: number | null;
  /** The longest time it was not, and the need that kept it; null: it always was. */
  readonly longestNotReady: {
    readonly from: string;
    readonly to: string;
    readonly need: string | null;
  } | null;
}

/** Days on which the kit may change: its events, and the day after a date has passed. */
function daysOfChange(file: AuditFile, until: string): string[] {
  const events = (file.events ?? []).map((e) => e.on).filter((d) => d <= until);
  const first = events.reduce((a, b) => (a < b ? a : b), until);
  const dates = [...file.kit.lines, ...(file.events ?? []).flatMap((e) => e.changes ?? [])]
    .map((l) => l.expires)
    .filter((d): d is string => d !== undefined && d !== "none")
    .map((d) => addDays(lastGoodDay(d), 1));
  return [...new Set([first, ...events, ...dates.filter((d) => d > first && d <= until)])].sort();
}

/** Readiness from the first event to a day, audited only on days on which something changes. */
export function readinessOf(file: AuditFile, until: string, catalogue: Catalogue): Readiness {
  const audits = daysOfChange(file, until).map((day): [string, Audit] => [
    day,
    audit(kitOnDay(file, day, catalogue), day, catalogue),
  ]);
  const steps: (ReadinessStep & { need: string | null })[] = [];
  for (const [from, a] of audits) {
    const step = {
      from,
      grade: a.grade,
      coverage: a.coverage,
      interval: a.interval,
      need: a.decidedBy && "need" in a.decidedBy ? (a.decidedBy.need ?? null) : null,
    };
    const last = steps.at(-1);
    const isSame =
      last !== undefined &&
      JSON.stringify({ ...last, from: "" }) === JSON.stringify({ ...step, from: "" });
    if (!isSame) steps.push(step);
  }
  const end = addDays(until, 1);
  let ready = 0;
  let longest: { from: string; to: string; need: string | null; days: number } | null = null;
  let open: { from: string; need: string | null } | null = null;
  steps.forEach((step, i) => {
    const next = steps[i + 1]?.from ?? end;
    if (step.grade === "Ready") {
      ready += daysBetween(step.from, next);
      open = null;
      return;
    }
    open ??= { from: step.from, need: step.need };
    const days = daysBetween(open.from, next);
    if (longest === null || days > longest.days) longest = { ...open, to: addDays(next, -1), days };
  });
  const all = steps[0] ? daysBetween(steps[0].from, end) : 0;
  const notReady = longest as { from: string; to: string; need: string | null } | null;
  return {
    steps: steps.map(({ from, grade, coverage, interval }) => ({
      from,
      grade,
      coverage,
      interval,
    })),
    readyShare: all > 0 ? ready / all : null,
    longestNotReady: notReady && { from: notReady.from, to: notReady.to, need: notReady.need },
  };
}
