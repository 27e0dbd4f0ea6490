import type { ItemType } from "../model/itemType.ts";
import type { Line } from "../model/kit.ts";
import type { Need, Tier } from "../model/list.ts";

/** Mesh 6, Handy. */

/** Seconds a need allows until the thing is in the hand. */
export const ACCESS_LIMIT_S = { seconds: 15, minute: 60 } as const;
/** Usual reach from each place, until the stopwatch says better. */
export const REACH_S: Record<NonNullable<Line["location"]>, number> = {
  outside: 5,
  "open-top": 12,
  pocket: 25,
  bottom: 60,
  "other-bag": 120,
};
/** What is left of a thing that comes too late. */
const LATE: Record<Tier, number> = { vital: 0.5, core: 0.8, useful: 0.8 };
/** An unlabelled medicine, or a thing a stranger cannot find; once even if both. */
const HARD_TO_FIND = 0.5;

/** Seconds until in hand: stopwatch, or by place; null: not known. */
export const reachOf = (line: Line): number | null =>
  line.reachS ?? (line.location ? REACH_S[line.location] : null);

/** A medicine without its name, or a thing that a stranger does not find. */
export const isHidden = (line: Line, type: Pick<ItemType, "medicine"> | null): boolean =>
  (line.labelled === false && type?.medicine === true) || line.findable === false;

export interface HandyFactor {
  /** As known, the reach taken as passing where it is not known. */
  readonly factor: number;
  /** The same with an unknown reach taken as over the limit. */
  readonly worst: number;
  /** Whether the reach is asked for and not known. */
  readonly unchecked: boolean;
}

export function handyFactor(
  line: Line,
  type: ItemType,
  access: Need["access"],
  tier: Tier,
): HandyFactor {
  const found = isHidden(line, type) ? HARD_TO_FIND : 1;
  if (access === undefined || access === "any")
    return { factor: found, worst: found, unchecked: false };
  const reach = reachOf(line);
  if (reach === null) return { factor: found, worst: found * LATE[tier], unchecked: true };
  const factor = found * (reach <= ACCESS_LIMIT_S[access] ? 1 : LATE[tier]);
  return { factor, worst: factor, unchecked: false };
}
