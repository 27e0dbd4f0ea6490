import { lastGoodDayAfterMonths } from "../base/dates.ts";
import { CHECK_MONTHS, FULL_COUNT_MONTHS } from "../calendar/checks.ts";
import { typeLookup, type Catalogue } from "../catalogue/catalogue.ts";
import type { KitEvent } from "../model/event.ts";
import type { ItemType } from "../model/itemType.ts";
import type { Line } from "../model/kit.ts";
import { piecesOf } from "../sieve/measure.ts";
import { inOrder } from "./order.ts";
import { wholeOf } from "./replay.ts";
import { sealOn } from "./seal.ts";
import { conditionNamed, spoils, type CarriedThrough } from "./spoils.ts";

/** Why a fact that was known is taken as unchecked again. */
export interface Lapse {
  readonly line: string;
  readonly fact: "count" | "condition";
  readonly why: "old" | "carried";
  /** Day since which it is. */
  readonly since: string;
}

/** When each line was last counted and looked at, and what it was carried through since. */
interface Known {
  counted?: string;
  looked?: string;
  carried?: { on: string; through: CarriedThrough[] };
}

const later = (a: string | undefined, b: string): string => (a === undefined || a < b ? b : a);

function knownOf(lines: readonly Line[], events: readonly KitEvent[]): Map<string, Known> {
  const known = new Map<string, Known>(
    lines.map((l) => [
      l.id,
      l.checkedOn === undefined ? {} : { counted: l.checkedOn, looked: l.checkedOn },
    ]),
  );
  const all = (e: KitEvent, what: (k: Known) => void) => {
    for (const [, k] of known) what(k);
    return e;
  };
  for (const e of inOrder(events)) {
    // Who seals has counted; a full count looks at everything too.
    if (e.kind === "sealed") all(e, (k) => (k.counted = later(k.counted, e.on)));
    if (e.kind === "checked" && (e.changes ?? []).length === 0)
      all(e, (k) => {
        k.looked = later(k.looked, e.on);
        if (e.what === "full") k.counted = later(k.counted, e.on);
        delete k.carried;
      });
    if (e.kind === "carried") {
      const through = (e.conditions ?? []).flatMap((c) => conditionNamed(c) ?? []);
      all(
        e,
        (k) => (k.carried = { on: e.on, through: [...(k.carried?.through ?? []), ...through] }),
      );
    }
    for (const c of e.changes ?? []) {
      const k = known.get(c.line);
      if (!k) continue;
      if (e.kind === "counted" || e.kind === "put-back") k.counted = later(k.counted, e.on);
      // New things come in sound; a look counts when it was finished.
      const isLook =
        e.kind === "checked" && (c.facts?.checkedOn ?? c.facts?.condition) !== undefined;
      if (isLook || e.kind === "put-back" || e.kind === "maintained") {
        k.looked = later(k.looked, e.on);
        delete k.carried;
      }
    }
  }
  return known;
}

/**
 * What lapses of a kit's lines by a day: a count or a condition that is older than its check interval
 * without an unbroken seal, and a condition that the kit was carried through since. What was never
 * dated does not lapse. Only the reading that takes unchecked facts as failing moves.
 * @param lines after the events up to that day
 */
export function lapsesOn(
  lines: readonly Line[],
  events: readonly KitEvent[],
  day: string,
  typeOf: (id: string) => ItemType | undefined,
): Lapse[] {
  const until = events.filter((e) => e.on <= day);
  const isSealed = sealOn(until, day)?.brokenBy === null;
  const known = knownOf(lines, until);
  return lines.flatMap((line): Lapse[] => {
    // A part shares what is known of the line it was split from.
    const k = known.get(line.id) ?? known.get(wholeOf(line.id)) ?? {};
    const type = line.itemType === null ? undefined : typeOf(line.itemType);
    const found: Lapse[] = [];
    const old = (fact: Lapse["fact"], on: string | undefined, months: number) => {
      if (on === undefined || isSealed) return;
      const good = lastGoodDayAfterMonths(on, months);
      if (good < day) found.push({ line: line.id, fact, why: "old", since: good });
    };
    if (line.counted !== undefined) old("count", k.counted, FULL_COUNT_MONTHS);
    if (!isFound(line) || !type) return found;
    const touched = k.carried?.through.some((t) => spoils(t, type));
    if (touched)
      found.push({ line: line.id, fact: "condition", why: "carried", since: k.carried!.on });
    else if (type.check) old("condition", k.looked, CHECK_MONTHS[type.check]);
    return found;
  });
}

/** Found sound: what failed or is worn stays so until somebody mends or replaces it. */
const isFound = (l: Line): boolean =>
  l.failedPoints === undefined ? l.condition === "sound" : l.failedPoints.length === 0;

/** The line as it counts once that is no longer known. */
function without(line: Line, fact: Lapse["fact"]): Line {
  if (fact === "count") {
    const { counted: _, ...rest } = line;
    return { ...rest, claimed: piecesOf(line) };
  }
  const { condition: _, failedPoints: __, ...rest } = line;
  return rest;
}

/** Lines with what has lapsed by a day taken as unchecked. */
export function trusted(
  lines: readonly Line[],
  events: readonly KitEvent[],
  day: string,
  own: readonly ItemType[] | undefined,
  catalogue: Catalogue,
): Line[] {
  const lapses = lapsesOn(lines, events, day, typeLookup(own, catalogue));
  return lines.map((l) =>
    lapses.filter((x) => x.line === l.id).reduce((line, x) => without(line, x.fact), l),
  );
}
