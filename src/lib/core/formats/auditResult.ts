import { worthChecking, type Audit } from "../audit/audit.ts";

/** Fractions are printed to nine decimals. */
const printed = (n: number): number => {
  const rounded = Math.round(n * 1e9) / 1e9;
  return rounded === 0 ? 0 : rounded;
};
const each = <T extends Record<string, number>>(record: T): T =>
  Object.fromEntries(Object.entries(record).map(([k, v]) => [k, printed(v)])) as T;
const orNull = (n: number | null) => (n === null ? null : printed(n));

/** The result of an audit as the command line and the server routes give it. */
export function auditResult(a: Audit) {
  const { servingByLine, largestType, ...value } = a.value;
  void servingByLine;
  return {
    coverage: orNull(a.coverage),
    caught: a.caught && each(a.caught),
    interval: a.interval?.map(printed) ?? null,
    grade: a.grade,
    gradeInterval: a.gradeInterval,
    decidedBy: a.decidedBy && {
      gate: a.decidedBy.gate,
      ...(a.decidedBy.need === undefined ? {} : { need: a.decidedBy.need }),
      value: printed(a.decidedBy.value),
      asked: a.decidedBy.asked,
    },
    categories: a.categories.map((c) => ({
      id: c.id,
      coverage: printed(c.coverage),
      interval: c.interval.map(printed),
      caught: each(c.caught),
    })),
    needs: a.needs.map((n, i) => ({
      id: a.context.needs[i]!.need.id,
      required: a.context.needs[i]!.required,
      values: n.values.map(printed),
      restsOn: n.restsOn,
      from: n.pairs
        .filter((p) => p.units > 0)
        .map((p) => ({ line: a.context.lines[p.pair.line]!.line.id, units: printed(p.units) })),
    })),
    quality: orNull(a.quality),
    value: {
      ...value,
      padding: orNull(value.padding),
      largestType: largestType && { ...largestType, share: printed(largestType.share) },
      pricePerPoint: orNull(value.pricePerPoint),
    },
    nextToInspect: worthChecking(a).map((w) => w.line),
  };
}
