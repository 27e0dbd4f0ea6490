import type { Audit } from "../audit/audit.ts";
import { fitInto, PACKING_FACTOR, type Misfit } from "../bag/fit.ts";
import { lineLoad } from "../bag/load.ts";
import { ACCESS_LIMIT_S, REACH_S } from "../sieve/handy.ts";
import { piecesOf } from "../sieve/measure.ts";
import { measuredRooms, type MeasuredRoom } from "./fitBag.ts";

/** Where a line goes, and where it lies now. */
interface Place {
  readonly line: string;
  readonly compartment: string;
  /** Compartment it lies in now; null: in none that is noted. */
  readonly now: string | null;
  /** No compartment that is fast enough for it had room: it is wanted in so many seconds. */
  readonly lateFor: number | null;
}

/** A line that goes nowhere, and why not. */
interface NoPlace {
  readonly line: string;
  readonly why: Exclude<Misfit["code"], "too-full"> | "no-room";
}

export interface Places {
  readonly places: readonly Place[];
  readonly left: readonly NoPlace[];
  /** Bulk of all that is to go in, and what the compartments hold, ml. */
  readonly bulkMl: number;
  readonly roomMl: number;
}

const TIER_RANK = { vital: 0, core: 1, useful: 2 } as const;
/** Room is told apart to a thousandth of a millilitre: bulks are fractions. */
const ROOM_TOLERANCE = 1e-3;

/**
 * Lays a kit into its measured compartments: what is wanted fast first, vital before core before useful, into
 * the fastest compartment with room; what nobody hurries for into the slowest, so that it takes no fast one.
 * What lies well stays where it is. Of equals the bulkiest comes first (best fit decreasing); where not all can
 * go in, the smallest, so that one bottle does not keep twenty things out.
 * @returns null: no compartment, or one that is not measured
 */
export function placesOf(a: Audit): Places | null {
  const rooms = measuredRooms(a.context.audit);
  if (!rooms) return null;
  const left = new Map(rooms.map((r) => [r.id, usable(r)]));
  const reach = (r: MeasuredRoom) => REACH_S[r.place];
  const fastest = [...rooms].sort((x, y) => reach(x) - reach(y));
  const slowest = [...fastest].reverse();
  const places: Place[] = [];
  const without: NoPlace[] = [];
  const all = toLay(a);
  const bulkMl = all.reduce((sum, x) => sum + x.bulk, 0);
  const roomMl = rooms.reduce((sum, r) => sum + usable(r), 0);
  const bulkiestFirst = bulkMl <= roomMl ? 1 : -1;
  all.sort(
    (x, y) =>
      (x.wanted === y.wanted ? 0 : x.wanted - y.wanted) ||
      x.rank - y.rank ||
      bulkiestFirst * (y.bulk - x.bulk) ||
      (x.line.id < y.line.id ? -1 : 1),
  );
  for (const { line, type, wanted, bulk } of all) {
    const shaped = fastest.map((r) => ({ r, misfit: shapeMisfit(r, line, type) }));
    const fits = (r: MeasuredRoom) =>
      shaped.find((s) => s.r === r)!.misfit === null && left.get(r.id)! >= bulk - ROOM_TOLERANCE;
    const now = rooms.find((r) => r.id === line.compartment);
    const order = wanted === Infinity ? slowest : fastest;
    const stays = now && (wanted === Infinity || reach(now) <= wanted) ? [now] : [];
    const room = [...stays, ...order].find(fits);
    if (!room) {
      const wrong = shaped.map((s) => s.misfit);
      const why = wrong.every((m) => m !== null) ? wrong[0]! : "no-room";
      without.push({ line: line.id, why });
      continue;
    }
    left.set(room.id, left.get(room.id)! - bulk);
    const lateFor = reach(room) > wanted ? wanted : null;
    places.push({ line: line.id, compartment: room.id, now: now?.id ?? null, lateFor });
  }
  return { places, left: without, bulkMl, roomMl };
}

const usable = ({ innerMm: [x, y, z] }: MeasuredRoom): number =>
  ((x * y * z) / 1000) * PACKING_FACTOR;

/** Why a thing does not go in whatever else lies there; null: it does. */
function shapeMisfit(
  room: MeasuredRoom,
  line: Audit["context"]["lines"][number]["line"],
  type: NonNullable<Audit["context"]["lines"][number]["type"]>,
): NoPlace["why"] | null {
  for (const { code } of fitInto(room, [{ line, type }]).misfits)
    if (code !== "too-full") return code;
  return null;
}

/** The lines to be laid, with the seconds within which each is wanted and the tier it serves. */
function toLay(a: Audit) {
  return a.context.lines.flatMap(({ line, type, elsewhere }, l) => {
    if (elsewhere || !type || piecesOf(line) <= 0) return [];
    let wanted = Infinity;
    let rank: number = TIER_RANK.useful;
    a.needs.forEach((n, i) => {
      if (!n.pairs.some((p) => p.pair.line === l && p.f > 0)) return;
      const { need, tier } = a.context.needs[i]!;
      const { access } = need;
      if (access && access !== "any") wanted = Math.min(wanted, ACCESS_LIMIT_S[access]);
      rank = Math.min(rank, TIER_RANK[tier]);
    });
    return [{ line, type, wanted, rank, bulk: lineLoad(line, type).volumeMl }];
  });
}
