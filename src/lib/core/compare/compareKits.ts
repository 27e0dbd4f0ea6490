import type { Catalogue } from "../catalogue/catalogue.ts";
import { SHARE_TOLERANCE } from "../base/tolerance.ts";
import { audit, type Audit } from "../audit/audit.ts";
import type { Category } from "../model/functionRecord.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { ByChance } from "../model/byChance.ts";
import type { Brief } from "../model/brief.ts";
import type { HouseRules } from "../model/houseRules.ts";
import type { ReferenceList } from "../model/list.ts";
import { carryCheck, type CarryCheck } from "../bag/carryCheck.ts";
import { kitLoad } from "../bag/load.ts";
import type { PriceBook } from "../model/priceBook.ts";
import { replacementPrice } from "../plan/replacement.ts";
import type { Caught } from "../score/coverage.ts";
import type { Grade } from "../score/grade.ts";
import { schoolsEffect, type SchoolVerdict } from "../audit/schoolsEffect.ts";
import { MESHES, type Mesh } from "../model/mesh.ts";

/** One brief, one list, one school: kits can only be compared under the same. */
export interface Judge {
  readonly brief: Brief;
  readonly list: ReferenceList;
  readonly houseRules: HouseRules;
  /** What suffices by chance, where the house rules take quantities from it. */
  readonly byChance?: ByChance | undefined;
}

export interface Contender {
  readonly id: string;
  readonly file: AuditFile;
}

/** A kit as it stands beside others. Shares 0–1; money in the book's currency. */
export interface KitRow {
  readonly id: string;
  readonly name: string;
  readonly grade: Grade | null;
  readonly coverage: number | null;
  readonly interval: readonly [number, number] | null;
  readonly caught: Caught | null;
  readonly categories: readonly {
    readonly id: Category;
    readonly coverage: number;
    /** The mesh that holds most of this category back; null where nothing is. */
    readonly worst: Mesh | null;
    /** Points of the whole coverage that this category gives. */
    readonly points: number;
  }[];
  readonly quality: number | null;
  readonly pieces: number;
  readonly serving: number;
  readonly padding: number | null;
  readonly price: number | null;
  readonly currency: string | null;
  readonly pricePerPoint: number | null;
  readonly replacement: number;
  readonly massG: number;
  /** Whether it will be carried (bag/carryCheck.ts). */
  readonly carried: CarryCheck["carried"];
  readonly volumeMl: number;
  readonly inspected: number;
  readonly lines: number;
}

/** The same kit, judged as the judge judges. */
export const judged = ({ byChance: _, ...file }: AuditFile, judge: Judge): AuditFile => ({
  ...file,
  brief: judge.brief,
  list: judge.list,
  houseRules: judge.houseRules,
  ...(judge.byChance ? { byChance: judge.byChance } : {}),
});

/** Every kit under one judge, in the order given. */
export function compareKits(
  contenders: readonly Contender[],
  judge: Judge,
  today: string,
  book: PriceBook,
  catalogue: Catalogue,
): KitRow[] {
  return contenders.map(({ id, file }) => {
    const own = judged(file, judge);
    const a = audit(own, today, catalogue);
    return rowOf(id, own, a, book);
  });
}

function rowOf(id: string, file: AuditFile, a: Audit, book: PriceBook): KitRow {
  const load = kitLoad(file, a.context.catalogue);
  const total = a.context.needs.reduce((s, n) => s + n.weight, 0);
  const weightOf = (category: Category) =>
    a.context.needs.reduce((s, n) => s + (n.category === category ? n.weight : 0), 0);
  return {
    id,
    name: file.kit.name,
    grade: a.grade,
    coverage: a.coverage,
    interval: a.interval,
    caught: a.caught,
    categories: a.categories.map((c) => ({
      id: c.id,
      coverage: c.coverage,
      worst: worstMesh(c.caught),
      points: (c.coverage * weightOf(c.id)) / total,
    })),
    quality: a.quality,
    pieces: a.value.counted,
    serving: a.value.serving,
    padding: a.value.padding,
    price: file.kit.price?.amount ?? null,
    currency: file.kit.price?.currency ?? null,
    pricePerPoint: a.value.pricePerPoint,
    replacement: replacementPrice(a, book).price,
    massG: load.massG,
    carried: carryCheck(file, load).carried,
    volumeMl: load.volumeMl,
    inspected: file.kit.lines.filter((l) => l.condition || l.failedPoints).length,
    lines: file.kit.lines.length,
  };
}

function worstMesh(caught: Caught): Mesh | null {
  let worst: Mesh | null = null;
  for (const m of MESHES)
    if (caught[m] > SHARE_TOLERANCE && (worst === null || caught[m] > caught[worst])) worst = m;
  return worst;
}

/** Why one kit covers more than another: points of coverage by category; they add up to the difference. */
export function whyAhead(
  a: KitRow,
  b: KitRow,
): { readonly id: Category; readonly points: number }[] {
  const of = (row: KitRow, id: Category) => row.categories.find((c) => c.id === id)?.points ?? 0;
  return a.categories
    .map((c) => ({ id: c.id, points: c.points - of(b, c.id) }))
    .filter((c) => Math.abs(c.points) > SHARE_TOLERANCE)
    .sort((x, y) => Math.abs(y.points) - Math.abs(x.points));
}

/** What the dearer of two buys: points of coverage, and money a point. null: no price, or not dearer. */
export function priceOfDifference(
  a: KitRow,
  b: KitRow,
): { readonly more: number; readonly points: number; readonly perPoint: number | null } | null {
  if (a.price === null || b.price === null || a.currency !== b.currency) return null;
  const more = b.price - a.price;
  const points = ((b.coverage ?? 0) - (a.coverage ?? 0)) * 100;
  return { more, points, perPoint: points > SHARE_TOLERANCE && more > 0 ? more / points : null };
}

/** The result of each kit under each school, every other rule as the judge has it. */
export const compareSchools = (
  contenders: readonly Contender[],
  judge: Judge,
  today: string,
  catalogue: Catalogue,
): { readonly id: string; readonly verdicts: readonly SchoolVerdict[] }[] =>
  contenders.map(({ id, file }) => {
    const own = judged(file, judge);
    return { id, verdicts: schoolsEffect(own, today, audit(own, today, catalogue)) };
  });
