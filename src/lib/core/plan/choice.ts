import type { Catalogue } from "../catalogue/catalogue.ts";
import { minorPrice } from "../model/priceBook.ts";
import { audit, type Audit } from "../audit/audit.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Line } from "../model/kit.ts";
import { score } from "../score/coverage.ts";
import { atLeast } from "../base/tolerance.ts";
import { fromMinor, toMinor } from "../base/money.ts";
import {
  boughtLine,
  movedLine,
  PRODUCT_PREFIX,
  usefulLines,
  type Candidates,
} from "./candidates.ts";
import { kitLoad, type Load } from "../bag/load.ts";
import type { PlanModel } from "./programme.ts";
import { neverLeft } from "./neverLeft.ts";
import { isBrought } from "./theirs.ts";
import { partOf } from "./portions.ts";
import { postages, type Postage, type Purchase } from "./orders.ts";
import { owningOf } from "./owning.ts";
import type { Course, PlanRequest } from "./request.ts";

/** What is done, and the audit of the kit when it has been done. */
export interface Choice {
  readonly purchases: readonly Purchase[];
  /** What owners bring of their own (theirs.ts). */
  readonly brought: readonly Purchase[];
  /** Kit lines taken out, by id. */
  readonly dropped: readonly string[];
  /** Kit lines of which only a part is carried, with the units of measure kept and had. */
  readonly repacked: readonly {
    readonly line: string;
    readonly kept: number;
    readonly had: number;
  }[];
  /** The training it rests on; null: none. */
  readonly course: Course | null;
  /** Kit lines moved, marked or made findable, by id. */
  readonly moved: readonly string[];
  readonly kit: AuditFile;
  readonly after: Audit;
  /** Postage and the course among it. */
  readonly price: number;
  readonly postage: readonly Postage[];
  /** What is bought now and what runs out over five years (owning.ts); only of the question `own`. */
  readonly owning: number | null;
  readonly boughtMassG: number;
  /** What is carried in the end. */
  readonly load: Load;
}

/** Coverage of the vital needs alone, 0–1; 1 where there are none. */
export const vitalOf = (a: Audit): number =>
  score(a.context.needs, a.needs, (n) => n.tier === "vital")?.coverage ?? 1;

/** What a solution of the model says to do, laid out and audited. */
export function choiceOf(
  x: ArrayLike<number>,
  m: PlanModel,
  c: Candidates,
  request: PlanRequest,
  dropsUseless: boolean,
): Choice {
  const purchases: Purchase[] = [];
  m.packs.forEach((column, k) => {
    const packs = column < 0 ? 0 : Math.round(x[column]!);
    if (packs > 0) purchases.push({ product: c.products[k]!, packs });
  });
  const out = new Set<number>();
  const parts = new Map<number, number>();
  m.left.forEach((at, l) => {
    const steps = at ? Math.round(x[at.column]!) : 0;
    if (steps === 0) return;
    if (steps >= at!.portions.steps) out.add(l);
    else parts.set(l, c.supply[l]! - steps * at!.portions.step);
  });
  return settle(purchases, out, parts, c, request, dropsUseless);
}

/** The choice as an audit: lines laid out, moved where that gains, and what serves nothing taken out. */
export function settle(
  purchases: readonly Purchase[],
  left: ReadonlySet<number>,
  parts: ReadonlyMap<number, number>,
  c: Candidates,
  request: PlanRequest,
  dropsUseless: boolean,
): Choice {
  const out = new Set(left);
  const keep = neverLeft(request);
  const useful = usefulLines(c);
  request.audit.kit.lines.forEach((line, l) => {
    // With a limit, what serves nothing goes first; without one only what cannot be trusted goes.
    if (keep.has(line.id) || useful.has(l)) return;
    if (dropsUseless || isUntrustworthy(c, l)) out.add(l);
  });
  const lay = (moved: ReadonlySet<number>) => layPlan(request, c, purchases, out, parts, moved);
  const all = lay(c.movable);
  const used = new Set<number>();
  const idIndex = new Map(request.audit.kit.lines.map((l, i) => [l.id, i]));
  for (const need of all.after.needs)
    for (const p of need.pairs) {
      const index = idIndex.get(all.after.context.lines[p.pair.line]!.line.id);
      if (p.units > 0 && p.f > 0 && index !== undefined) used.add(index);
    }
  const needed = new Set([...c.movable].filter((l) => used.has(l) && !out.has(l)));
  const fewer = lay(needed);
  const settled = atLeast(fewer.after.coverage ?? 0, all.after.coverage ?? 0) ? fewer : all;
  const moved = settled === fewer ? needed : c.movable;
  const idOf = (l: number) => request.audit.kit.lines[l]!.id;
  const postage = postages(purchases, request.book);
  const goods = purchases.reduce((s, p) => s + minorPrice(p.product) * p.packs, 0);
  const { currency } = request.book;
  const sent = postage.reduce((s, p) => s + toMinor(p.price, currency), 0);
  return {
    purchases: purchases.filter((p) => !isBrought(p.product)),
    brought: purchases.filter((p) => isBrought(p.product)),
    dropped: [...out].sort((a, b) => a - b).map(idOf),
    repacked: [...parts]
      .sort(([a], [b]) => a - b)
      .map(([l, kept]) => ({ line: idOf(l), kept, had: c.supply[l]! })),
    course: null,
    moved: [...moved].sort((a, b) => a - b).map(idOf),
    kit: settled.kit,
    after: settled.after,
    price: fromMinor(goods + sent, currency),
    postage,
    owning: request.question === "own" ? owned(purchases, out, sent, request, c) : null,
    boughtMassG: purchases.reduce((s, p) => s + (p.product.massG ?? 0) * p.packs, 0),
    load: carriedLoad(settled.kit, purchases, request.catalogue),
  };
}

function owned(
  purchases: readonly Purchase[],
  out: ReadonlySet<number>,
  sent: number,
  request: PlanRequest,
  c: Candidates,
): number {
  const { pack, line } = owningOf(request, c);
  const indexOf = new Map(c.products.map((p, k) => [p.id, k]));
  const bought = purchases.reduce((s, p) => s + pack[indexOf.get(p.product.id)!]! * p.packs, sent);
  const kept = line.reduce((s, minor, l) => (out.has(l) ? s : s + minor), 0);
  return fromMinor(bought + kept, request.book.currency);
}

/** What is carried in the end: kit lines by their types, what is bought by the price book. */
function carriedLoad(kit: AuditFile, purchases: readonly Purchase[], catalogue: Catalogue): Load {
  const bought = new Map(purchases.map((p) => [PRODUCT_PREFIX + p.product.id, p]));
  const lines = kit.kit.lines.filter((l) => !bought.has(l.id));
  const own = kitLoad({ ...kit, kit: { ...kit.kit, lines } }, catalogue);
  let { massG, volumeMl } = own;
  for (const { product, packs } of purchases) {
    massG += (product.massG ?? 0) * packs;
    volumeMl += (product.bulkMl ?? 0) * packs;
  }
  return { massG, volumeMl };
}

/** Failed, past its date, or a medicine nobody can identify: not merely spare. */
export function isUntrustworthy(c: Candidates, l: number): boolean {
  const fact = c.pairing.facts[l]!;
  const { type } = c.context.lines[l]!;
  const inNameOnly =
    type !== null && type.functions.length > 0 && type.functions.every((f) => f.credit === 0);
  return (
    fact.sound === 0 || (fact.counted && fact.standing === "past" && type !== null) || inNameOnly
  );
}

function layPlan(
  request: PlanRequest,
  c: Candidates,
  purchases: readonly Purchase[],
  out: ReadonlySet<number>,
  parts: ReadonlyMap<number, number>,
  moved: ReadonlySet<number>,
): { kit: AuditFile; after: Audit } {
  const lines: Line[] = [];
  request.audit.kit.lines.forEach((line, l) => {
    if (out.has(l)) return;
    const kept = parts.get(l);
    const part = kept === undefined ? line : partOf(line, c.context.lines[l]!.type!, kept);
    lines.push(moved.has(l) ? movedLine(part) : part);
  });
  for (const p of purchases) lines.push(boughtLine(p.product, p.packs, request.today));
  const kit: AuditFile = { ...request.audit, kit: { ...request.audit.kit, lines } };
  return { kit, after: audit(kit, request.today, request.catalogue) };
}
