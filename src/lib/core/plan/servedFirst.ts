import { atLeast, SHARE_TOLERANCE } from "../base/tolerance.ts";
import type { AskedNeed } from "../reference/asked.ts";
import { onlyWith, type LinearModel } from "./linearModel.ts";
import type { Arc, Follows } from "./programme.ts";
import { fullOf } from "./yesNo.ts";
import { group } from "./stocks.ts";

interface ServedFirst {
  readonly model: LinearModel;
  readonly follows: Follows[];
  readonly arcs: readonly Arc[];
  readonly needs: readonly AskedNeed[];
}

/**
 * The audit gives a unit to the need where it counts most. So it serves a vital need only while every
 * need that would take it first is full of what the audit would neither push out for it nor exchange
 * with it. That holds for any sharing out of the audit; it is not all that holds (exchange.ts).
 */
export function servedFirst({ model, follows, arcs, needs }: ServedFirst): void {
  /** Share of all weight that a unit of the need at f = 1 is worth. */
  const point = (n: number) => needs[n]!.weight / needs[n]!.required;
  const arcsOfNeed = group(arcs, (a) => a.need);
  const arcsOfStock = group(arcs, (a) => a.stock);
  const full = new Map<string, number>();

  for (const arc of arcs) {
    if (arc.tool || needs[arc.need]!.tier !== "vital") continue;
    const worth = point(arc.need) * arc.f * arc.yield;
    const others = group(
      arcsOfStock.get(arc.stock)!.filter((o) => o.need !== arc.need),
      (o) => o.need,
    );
    for (const [n, columns] of others) {
      // With as few companions as there may be: what holds then holds with more of them.
      const other = columns.reduce((a, b) => (b.f < a.f ? b : a));
      const wanted = point(n) * other.f * other.yield;
      if (!isServedBefore(other, wanted, arc, worth)) continue;
      const pays = worth / (point(n) * other.yield);
      const stays = arcsOfNeed
        .get(n)!
        .filter((b) => atLeast(b.f, other.f - pays) && !exchanged(arc, other, b));
      onlyWith(model, arc.column, needs[arc.need]!.required, fullColumn(n, stays));
    }
  }

  /** The order of the audit's levels: f, then r, then the list. */
  function isServedBefore(other: Arc, wanted: number, arc: Arc, worth: number): boolean {
    if (Math.abs(wanted - worth) > worth * SHARE_TOLERANCE) return wanted > worth;
    const [r, s] = [other, arc].map((a) => point(a.need) * a.r * a.yield) as [number, number];
    if (Math.abs(r - s) > s * SHARE_TOLERANCE) return r > s;
    return other.need < arc.need;
  }

  /** Whether it pays to put the arc's stock to the other need and to move what stood there to the vital one. */
  function exchanged(arc: Arc, other: Arc, stood: Arc): boolean {
    if (stood.tool || stood.stock === arc.stock) return false;
    const back = arcsOfStock
      .get(stood.stock)!
      .filter((b) => b.need === arc.need)
      .reduce<Arc | null>((a, b) => (a && a.f < b.f ? a : b), null);
    if (!back) return false;
    // Of one unit of the arc's stock.
    const units = other.yield;
    const returns = Math.min(arc.yield, (units / stood.yield) * back.yield);
    const gain =
      point(other.need) * units * (other.f - stood.f) -
      point(arc.need) * (arc.yield * arc.f - returns * back.f);
    return gain > SHARE_TOLERANCE * point(arc.need) * arc.yield;
  }

  /** 1 only where the need is full of these. */
  function fullColumn(n: number, good: readonly Arc[]): number {
    const columns = good.map((a) => a.column);
    const key = `${n} ${columns.join(" ")}`;
    const known = full.get(key);
    if (known !== undefined) return known;
    const column = fullOf({ model, follows }, columns, needs[n]!.required);
    full.set(key, column);
    return column;
  }
}
