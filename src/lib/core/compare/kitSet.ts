import type { Catalogue } from "../catalogue/catalogue.ts";
import { audit, type Audit } from "../audit/audit.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Line } from "../model/kit.ts";
import { isWhole, SHARE_TOLERANCE } from "../base/tolerance.ts";
import { judged, type Judge } from "./compareKits.ts";

/** A kit that goes out with others, so many times (a pouch each). */
export interface SetMember {
  readonly id: string;
  readonly file: AuditFile;
  readonly count: number;
}

/** Parts a line's id from the member it is in; no line id holds it. */
const JOINT = " / ";

/**
 * All kits that go out together as one kit: their lines side by side, each shared out once across the
 * set. A member carried several times brings its pieces as often.
 */
export function setAudit(members: readonly SetMember[], judge: Judge, title: string): AuditFile {
  const own = new Map(
    members.flatMap((m) => m.file.itemTypes ?? []).map((t) => [t.id, t] as const),
  );
  const lines = members.flatMap(({ id, file, count }) =>
    file.kit.lines.map((l): Line => ({
      ...l,
      id: `${id}${JOINT}${l.id}`,
      ...(l.claimed === undefined ? {} : { claimed: l.claimed * count }),
      ...(l.counted === undefined ? {} : { counted: l.counted * count }),
    })),
  );
  const prices = members.map((m) => m.file.kit.price);
  const currency = prices[0]?.currency;
  const priced = prices.every((p) => p !== undefined && p.currency === currency);
  const sum = (of: (m: SetMember) => number) => members.reduce((s, m) => s + of(m) * m.count, 0);
  return {
    format: "wide-sieve.audit",
    version: 1,
    brief: judge.brief,
    houseRules: judge.houseRules,
    list: judge.list,
    ...(own.size > 0 ? { itemTypes: [...own.values()] } : {}),
    kit: {
      name: title,
      claims: {},
      ...(priced && currency
        ? { price: { amount: sum((m) => m.file.kit.price!.amount), currency } }
        : {}),
      container: { massG: sum((m) => m.file.kit.container?.massG ?? 0) },
      lines,
    },
  };
}

/** Which member a line of the set is in. */
export const memberOf = (lineId: string): string => lineId.split(JOINT)[0]!;

/** One need across the set. */
interface SetNeed {
  readonly need: string;
  /** v₇ of the set as one. */
  readonly value: number;
  /** Units that each member gives to it in the set, only where it gives some. */
  readonly from: readonly { readonly member: string; readonly units: number }[];
  /** Members that alone would meet it in full. */
  readonly metBy: readonly string[];
}

export interface SetVerdict {
  readonly audit: Audit;
  readonly needs: readonly SetNeed[];
  /** Met in full by more than one member alone: carried twice. */
  readonly twice: readonly string[];
  /** Nothing in the whole set does it: what everyone thinks somebody else has. */
  readonly nobody: readonly string[];
}

/** The set judged as one, with who carries what. */
export function judgeSet(
  members: readonly SetMember[],
  judge: Judge,
  today: string,
  title: string,
  catalogue: Catalogue,
): SetVerdict {
  const whole = audit(setAudit(members, judge, title), today, catalogue);
  const alone = members.map((m) => ({
    id: m.id,
    a: audit(judged(m.file, judge), today, catalogue),
    count: m.count,
  }));
  const needs = whole.needs.map((n, i): SetNeed => {
    const need = whole.context.needs[i]!.need.id;
    const units = new Map<string, number>();
    for (const p of n.pairs) {
      if (p.units <= 0) continue;
      const member = memberOf(whole.context.lines[p.pair.line]!.line.id);
      units.set(member, (units.get(member) ?? 0) + p.units);
    }
    return {
      need,
      value: n.met,
      from: [...units].map(([member, u]) => ({ member, units: u })),
      metBy: alone.flatMap((m) => (isWhole(m.a.needs[i]!.met) ? [m.id] : [])),
    };
  });
  const copies = (ids: readonly string[]) =>
    ids.reduce((s, id) => s + (alone.find((m) => m.id === id)?.count ?? 0), 0);
  return {
    audit: whole,
    needs,
    twice: needs.filter((n) => copies(n.metBy) > 1).map((n) => n.need),
    nobody: needs.filter((n) => n.value <= SHARE_TOLERANCE).map((n) => n.need),
  };
}
