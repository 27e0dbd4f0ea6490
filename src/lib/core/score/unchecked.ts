import type { AuditContext } from "../sieve/context.ts";
import type { Pairing } from "../sieve/pairs.ts";

export type UncheckedFact =
  | "count"
  | "size"
  | "measure"
  | "strength"
  | "condition"
  | "date"
  | "reach"
  | "latex";

/**
 * What nobody has looked at yet, line by line. A count and a condition always matter; a size, a
 * measure, a strength, latex or a reach only where an asked need that the line can serve looks at it.
 */
export function uncheckedFacts(context: AuditContext, pairing: Pairing): UncheckedFact[][] {
  const found = pairing.facts.map((fact, l) => {
    const facts = new Set<UncheckedFact>();
    if (!fact.counted) facts.add("count");
    if (fact.sound === null) facts.add("condition");
    if (fact.standing === "unread" && context.lines[l]!.type) facts.add("date");
    return facts;
  });
  for (const p of pairing.pairs) {
    if (p.credit.credit <= 0) continue;
    if (p.spec.unchecked) found[p.line]!.add("size");
    if (!pairing.facts[p.line]!.measure.known) found[p.line]!.add("measure");
    if (p.dose.unchecked) found[p.line]!.add("strength");
    if (p.usable.unchecked) found[p.line]!.add("latex");
    if (p.handy.unchecked) found[p.line]!.add("reach");
  }
  return found.map((facts) => [...facts]);
}
