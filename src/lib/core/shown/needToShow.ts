import type { Audit } from "../audit/audit.ts";

/**
 * The need to look at first: the one that decides the grade, else the one that loses most, else the
 * first. Its index; null for a list that asks for nothing.
 */
export function needToShow(a: Audit): number | null {
  const decided = a.context.needs.findIndex((n) => n.need.id === a.decidedBy?.need);
  if (decided >= 0) return decided;
  let best = a.needs.length > 0 ? 0 : null;
  let most = 0;
  a.needs.forEach((n, i) => {
    const loss = a.context.needs[i]!.weight * (1 - n.met);
    if (loss > most) {
      most = loss;
      best = i;
    }
  });
  return best;
}
