import { CATEGORIES, type Category } from "../model/functionRecord.ts";
import type { AskedNeed } from "../reference/asked.ts";
import { MESHES, type Mesh } from "../model/mesh.ts";
import type { SiftedNeed } from "../sieve/sift.ts";

export type Caught = Record<Mesh, number>;
export interface Scored {
  /** Σ w·v₇ / Σ w. */
  readonly coverage: number;
  /** What each mesh holds back; coverage + Σ caught = 1. */
  readonly caught: Caught;
}

/** Weighted coverage of some needs and what each mesh holds back; null without needs. */
export function score(
  needs: readonly AskedNeed[],
  sifted: readonly SiftedNeed[],
  where: (n: AskedNeed) => boolean = () => true,
): Scored | null {
  let total = 0;
  let covered = 0;
  const held = MESHES.map(() => 0);
  needs.forEach((asked, n) => {
    if (!where(asked)) return;
    total += asked.weight;
    const { values, met } = sifted[n]!;
    covered += asked.weight * met;
    values.forEach((v, k) => {
      held[k]! += asked.weight * ((k === 0 ? 1 : values[k - 1]!) - v);
    });
  });
  if (total === 0) return null;
  const caught = Object.fromEntries(MESHES.map((m, k) => [m, held[k]! / total])) as Caught;
  return { coverage: covered / total, caught };
}

/** The categories that have needs, in the order practitioners read them. */
export const categoriesAsked = (needs: readonly AskedNeed[]): Category[] =>
  CATEGORIES.filter((c) => needs.some((n) => n.category === c));
