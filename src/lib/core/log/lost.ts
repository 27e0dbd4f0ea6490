import type { Audit } from "../audit/audit.ts";
import { SHARE_TOLERANCE } from "../base/tolerance.ts";

/** A need that a kit meets less well than before. */
export interface LostNeed {
  /** Index into the needs of both audits. */
  readonly need: number;
  readonly before: number;
  readonly after: number;
}

/** What a kit can no longer do, or less of: vital first, then what lost most. */
export function lostNeeds(before: Audit, after: Audit): LostNeed[] {
  const vital = (n: number) => (after.context.needs[n]!.tier === "vital" ? 0 : 1);
  return after.needs
    .flatMap((n, i): LostNeed[] => {
      const was = before.needs[i]?.met ?? 0;
      return was - n.met > SHARE_TOLERANCE ? [{ need: i, before: was, after: n.met }] : [];
    })
    .sort(
      (a, b) =>
        vital(a.need) - vital(b.need) ||
        b.before - b.after - (a.before - a.after) ||
        a.need - b.need,
    );
}
