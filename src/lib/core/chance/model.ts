import { addDays, daysBetween, lastGoodDay, lastGoodDayAfterMonths } from "../base/dates.ts";
import { creditFor, type Catalogue } from "../catalogue/catalogue.ts";
import type { AuditFile } from "../model/auditFile.ts";
import type { Distribution, Incidents } from "../model/incident.ts";
import type { AskedNeed } from "../reference/asked.ts";
import { contextOf, type AuditContext } from "../sieve/context.ts";
import { pairUp } from "../sieve/pairs.ts";
import { TIERED_MONTHS } from "../sieve/fresh.ts";
import { sift, type SiftedNeed } from "../sieve/sift.ts";
import { cumulativeCounts } from "./counts.ts";

/** A reading of the unchecked facts: all failing, all passing. */
export const LOW = 0;
export const HIGH = 1;

/** A line that serves a function, in the order in which it is taken. */
interface Server {
  readonly line: number;
  /** Units of the function in a unit of measure, in each reading. */
  readonly yield: readonly [number, number];
  /** Day of the outing, from 0, from which on it serves no more, in each reading; 0: never. */
  readonly until: readonly [number, number];
}

/** Asked needs with one function: what an ask for it takes from, in order. */
interface Target {
  readonly function: string;
  /** The need it is asked of first: index into `needs`. */
  readonly need: number;
  readonly servers: readonly Server[];
  /** Units there for it on every day of the outing, in each reading; Infinity: a tool that serves all. */
  readonly capacity: readonly [number, number];
  /** Targets that may take from the same lines, and units of this one that a unit of theirs may cost. */
  readonly rivals: readonly { readonly target: number; readonly costs: number }[];
  /** Targets that share a line, directly or by others, have one number. */
  readonly component: number;
  /** Whether one of it serves everybody: what serves it here is tools, or all that would. */
  readonly tool: boolean;
  /** Whether nothing serves it, in each reading: then every ask is missing. */
  readonly dead: readonly [boolean, boolean];
}

/** Units with their cumulative probabilities. */
interface Draw {
  readonly units: Float64Array;
  readonly cumulative: Float64Array;
}

interface ModelAsk {
  /** Index into `targets`; −1: no asked need has this function. */
  readonly target: number;
  readonly first: Draw;
  /** Hours between re-dressings; 0: none. */
  readonly everyH: number;
  readonly most: number;
  readonly again: Draw;
}

export interface ModelKind {
  readonly id: string;
  readonly mean: number;
  readonly counts: Float64Array;
  readonly asks: readonly ModelAsk[];
  /** People who leave with such an incident. */
  readonly leave: number;
}

/** All that an outing needs, laid out for speed. */
export interface Model {
  readonly needs: readonly AskedNeed[];
  readonly people: number;
  readonly days: number;
  readonly hours: number;
  readonly kinds: readonly ModelKind[];
  readonly targets: readonly Target[];
  /** Units of measure of each line, in each reading. */
  readonly supply: readonly [Float64Array, Float64Array];
  readonly tool: readonly boolean[];
  readonly anyoneLeaves: boolean;
  /** Functions asked for that no asked need has. */
  readonly unasked: readonly string[];
  /** Width of a bin when totals are counted, by target. */
  readonly grain: Float64Array;
}

/** Re-dressings that fall on the hour are not lost to rounding. */
const HOUR_TOLERANCE = 1e-9;
const MARK_TOLERANCE = 1e-9;

/**
 * @param file a checked audit file of the kit as it is when the outing begins
 * @param today YYYY-MM-DD, for a brief without a start
 */
export function modelOf(
  file: AuditFile,
  incidents: Incidents,
  today: string,
  catalogue: Catalogue,
): Model {
  const context = contextOf(file, today, catalogue);
  const { people, days, hoursToCare } = file.brief;
  const { servers, supply } = serversByNeed(context, today);
  const functions = [...new Set(context.needs.map((n) => n.need.function))];
  const tool = context.lines.map((l) => l.type?.use === "tool");
  const bare = functions.map((f) => ({ function: f, ...merged(f, context, servers) }));
  const components = componentsOf(bare, tool);
  const largest = largestAsk(incidents);
  const capacity = (t: (typeof bare)[number], r: 0 | 1) =>
    capacityOf(t.servers, r, supply[r], tool, days, largest.get(t.function) ?? 0);
  const targets = bare.map((t, i): Target => ({
    ...t,
    component: components[i]!,
    rivals: rivalsOf(i, bare, tool),
    tool:
      t.servers.length > 0
        ? t.servers.every((s) => tool[s.line])
        : isDoneByTools(t.function, catalogue),
    dead: [isDead(t.servers, LOW, supply[LOW]), isDead(t.servers, HIGH, supply[HIGH])],
    capacity: [capacity(t, LOW), capacity(t, HIGH)],
  }));
  const targetOf = new Map(targets.map((t, i) => [t.function, i]));
  const hours = 24 * days;
  const unasked = new Set<string>();
  const kinds = incidents.kinds.map((k): ModelKind => {
    const mean = (k.per1000 / 1000) * people * days;
    return {
      id: k.id,
      mean,
      counts: cumulativeCounts(mean, k.spread ?? 0),
      leave: k.leaves === 1 ? 1 + (incidents.helpersLeave ? (k.helpers ?? 1) : 0) : 0,
      asks: k.asks.map((a): ModelAsk => {
        const target = targetOf.get(a.function) ?? -1;
        if (target < 0) unasked.add(a.function);
        const every = a.againEveryH ?? 0;
        return {
          target,
          first: drawOf(a.units),
          everyH: every,
          most: every > 0 ? Math.floor(hoursToCare / every + HOUR_TOLERANCE) : 0,
          again: drawOf(a.againUnits ?? a.units),
        };
      }),
    };
  });
  return {
    needs: context.needs,
    people,
    days,
    hours,
    kinds,
    targets,
    supply,
    tool,
    anyoneLeaves: kinds.some((k) => k.leave > 0),
    unasked: [...unasked],
    grain: grainOf(kinds, targets.length),
  };
}

const drawOf = (distribution: Distribution): Draw => {
  let sum = 0;
  const cumulative = distribution.map(([, p]) => (sum += p));
  cumulative[cumulative.length - 1] = 1;
  return {
    units: Float64Array.from(distribution, ([units]) => units),
    cumulative: Float64Array.from(cumulative),
  };
};

/** Days of the outing on which something may serve less than before: the first, and after each date. */
function daysToLookAt(context: AuditContext, start: string): number[] {
  const { days } = context.brief;
  const found = new Set([0]);
  for (const { line } of context.lines) {
    if (!line.expires || line.expires === "none") continue;
    // Past its date, and past what the tiered school grants it after that.
    for (const last of [
      lastGoodDay(line.expires),
      lastGoodDayAfterMonths(line.expires, TIERED_MONTHS),
    ]) {
      const past = daysBetween(start, last) + 1;
      if (past > 0 && past < days) found.add(past);
    }
  }
  return [...found].sort((a, b) => a - b);
}

interface NeedServers {
  /** Need by need: what serves it, in order. */
  readonly servers: readonly (readonly Server[])[];
  readonly supply: readonly [Float64Array, Float64Array];
}

/** What serves each need on which days, in both readings: f of the sieve at least the tier's pass mark. */
function serversByNeed(context: AuditContext, today: string): NeedServers {
  const start = context.brief.start ?? today;
  const { days } = context.brief;
  const looks = daysToLookAt(context, start);
  const runs = looks.map((day): readonly [SiftedNeed[], SiftedNeed[]] => {
    const onDay = { ...context, lastDay: addDays(start, day) };
    const pairing = pairUp(onDay);
    return [false, true].map((pass) =>
      sift(
        onDay,
        pairing,
        context.lines.map(() => pass),
      ),
    ) as [SiftedNeed[], SiftedNeed[]];
  });
  const serves = (need: number, pair: number, reading: 0 | 1, at: number): boolean => {
    const p = runs[at]![reading][need]!.pairs[pair]!;
    const mark = context.rules.passMarks[context.needs[need]!.tier];
    return p.f >= mark - MARK_TOLERANCE && p.yield > 0;
  };
  const untilOf = (need: number, pair: number, reading: 0 | 1): number => {
    const at = looks.findIndex((_, i) => !serves(need, pair, reading, i));
    return at < 0 ? days : looks[at]!;
  };
  const facts = pairUp(context).facts;
  const supply = [LOW, HIGH].map((reading) =>
    Float64Array.from(facts, (f) => {
      const pass = reading === HIGH;
      const pieces = f.counted || pass ? f.pieces : 0;
      return pieces * (pass ? f.measure.perPiece : f.measure.worst);
    }),
  ) as [Float64Array, Float64Array];
  const dateOf = (l: number): string => {
    const expires = context.lines[l]!.line.expires;
    return expires && expires !== "none" ? lastGoodDay(expires) : "9999";
  };
  const [low, high] = runs[0]!;
  const servers = context.needs.map((_, n) =>
    high[n]!.pairs.map((p, k) => ({
      f: p.f,
      line: p.pair.line,
      yield: [low[n]!.pairs[k]!.yield, p.yield] as const,
      until: [untilOf(n, k, LOW), untilOf(n, k, HIGH)] as const,
    }))
      .filter((s) => s.until[LOW] > 0 || s.until[HIGH] > 0)
      .sort((a, b) => {
        if (Math.abs(a.f - b.f) > MARK_TOLERANCE) return b.f - a.f;
        const [x, y] = [dateOf(a.line), dateOf(b.line)];
        return x < y ? -1 : x > y ? 1 : a.line - b.line;
      })
      .map(({ line, yield: y, until }): Server => ({ line, yield: y, until })),
  );
  return { servers, supply };
}

const TIER_ORDER = { vital: 0, core: 1, useful: 2 } as const;

/** The asked needs of a function, in tier and list order, as one: a line stands once, where it comes first. */
function merged(
  functionId: string,
  context: AuditContext,
  servers: readonly (readonly Server[])[],
): { need: number; servers: Server[] } {
  const needs = context.needs
    .map((n, i) => ({ n, i }))
    .filter(({ n }) => n.need.function === functionId)
    .sort((a, b) => TIER_ORDER[a.n.tier] - TIER_ORDER[b.n.tier] || a.i - b.i);
  const seen = new Set<number>();
  return {
    need: needs[0]!.i,
    servers: needs.flatMap(({ i }) =>
      servers[i]!.filter((s) => {
        if (seen.has(s.line)) return false;
        seen.add(s.line);
        return true;
      }),
    ),
  };
}

/** Numbers the parts that share lines; a tool ties nothing together. */
function componentsOf(
  targets: readonly { servers: readonly Server[] }[],
  tool: readonly boolean[],
): number[] {
  const parent = targets.map((_, i) => i);
  const root = (i: number): number => {
    while (parent[i] !== i) i = parent[i]!;
    return i;
  };
  const first = new Map<number, number>();
  targets.forEach((t, i) => {
    for (const s of t.servers) {
      if (tool[s.line]) continue;
      const other = first.get(s.line);
      if (other === undefined) first.set(s.line, i);
      else parent[root(i)] = root(other);
    }
  });
  return parent.map((_, i) => root(i));
}

/** The most units that one ask may want, by function. */
function largestAsk(incidents: Incidents): Map<string, number> {
  const most = new Map<string, number>();
  for (const k of incidents.kinds)
    for (const a of k.asks)
      for (const [units] of [...a.units, ...(a.againUnits ?? [])])
        most.set(a.function, Math.max(most.get(a.function) ?? 0, units));
  return most;
}

/** Whether all that the catalogue has for a job is tools. */
function isDoneByTools(functionId: string, catalogue: Catalogue): boolean {
  let any = false;
  for (const type of catalogue.types.values()) {
    if (!((creditFor(type, functionId)?.credit ?? 0) > 0)) continue;
    if (type.use !== "tool") return false;
    any = true;
  }
  return any;
}

const isDead = (servers: readonly Server[], reading: 0 | 1, supply: Float64Array): boolean =>
  servers.every((s) => s.until[reading] === 0 || supply[s.line]! * s.yield[reading] <= 0);

/** Units that the lines have for a target, on every day, before anybody took of them. */
function capacityOf(
  servers: readonly Server[],
  reading: 0 | 1,
  supply: Float64Array,
  tool: readonly boolean[],
  days: number,
  largest: number,
): number {
  let sum = 0;
  for (const s of servers) {
    if (s.until[reading] < days) continue;
    const units = supply[s.line]! * s.yield[reading];
    // A tool serves everybody, as often as asked.
    if (!tool[s.line]) sum += units;
    else if (units >= largest) return Infinity;
  }
  return sum;
}

/** Who else takes from the lines of a target, and what a unit of theirs may cost it at most. */
function rivalsOf(
  at: number,
  all: readonly { servers: readonly Server[] }[],
  tool: readonly boolean[],
): { target: number; costs: number }[] {
  const own = new Map(all[at]!.servers.map((s) => [s.line, s]));
  return all.flatMap((t, target) => {
    if (target === at) return [];
    let costs = 0;
    for (const s of t.servers) {
      const mine = own.get(s.line);
      if (!mine || tool[s.line]) continue;
      for (const r of [LOW, HIGH] as const)
        if (s.yield[r] > 0) costs = Math.max(costs, mine.yield[r] / s.yield[r]);
    }
    return costs > 0 ? [{ target, costs }] : [];
  });
}

/** Amounts are told apart to a thousandth of a unit. */
const FINEST = 1000;

/** The greatest width of which every amount asked of a target is a multiple. */
function grainOf(kinds: readonly ModelKind[], targets: number): Float64Array {
  const grain = new Float64Array(targets);
  const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
  for (const k of kinds)
    for (const a of k.asks) {
      if (a.target < 0) continue;
      for (const units of [...a.first.units, ...(a.most > 0 ? a.again.units : [])])
        grain[a.target] = gcd(grain[a.target]!, Math.round(units * FINEST));
    }
  return grain.map((g) => (g === 0 ? 1 : g / FINEST));
}
