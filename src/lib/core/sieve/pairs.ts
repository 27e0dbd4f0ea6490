import type { AuditContext, ContextLine } from "./context.ts";
import { dateStanding, freshFactor, type DateStanding } from "./fresh.ts";
import { handyFactor, type HandyFactor } from "./handy.ts";
import { claimsOrAccepted } from "./here.ts";
import { doseFactor, type DoseFactor } from "./dose.ts";
import { isCounted, measureOf, ONE, piecesOf, type Measure } from "./measure.ts";
import { effectiveCredit, specFactor, type EffectiveCredit, type SpecFactor } from "./real.ts";
import { soundFactor } from "./sound.ts";
import { usableFactor, type UsableFactor } from "./usable.ts";

/** What is known of a line, whichever need looks at it. null factors are unchecked. */
interface LineFacts {
  readonly pieces: number;
  readonly counted: boolean;
  readonly measure: Measure;
  readonly sound: number | null;
  readonly standing: DateStanding;
}

/** A line and a need it claims to serve, with each mesh's factor as far as it is known. */
export interface Pair {
  /** Index into `context.lines` and `context.needs`. */
  readonly line: number;
  readonly need: number;
  readonly credit: EffectiveCredit;
  readonly spec: SpecFactor;
  readonly fresh: number | null;
  readonly handy: HandyFactor;
  readonly usable: UsableFactor;
  /** Planning doses in a dose of the piece. */
  readonly dose: DoseFactor;
}

/** Lines that do a companion function, by function id. */
type CompanionLines = ReadonlyMap<string, readonly number[]>;

export interface Pairing {
  readonly facts: readonly LineFacts[];
  /** Line by line within need by need, both in order. */
  readonly pairs: readonly Pair[];
  /** For each need its pairs, as a range of `pairs`: [from, to). */
  readonly ranges: readonly (readonly [number, number])[];
  readonly companions: CompanionLines;
}

/** Holds every line against every need it claims or is accepted for. */
export function pairUp(context: AuditContext): Pairing {
  const { catalogue } = context;
  const facts = context.lines.map((l) => factsOf(l, context));
  const pairs: Pair[] = [];
  const ranges: [number, number][] = [];
  context.needs.forEach((asked, n) => {
    const from = pairs.length;
    context.lines.forEach(({ line, type }, l) => {
      if (!type || !claimsOrAccepted(type, asked.need)) return;
      pairs.push({
        line: l,
        need: n,
        credit: effectiveCredit(type, asked.need.function, asked.need.accept, context),
        spec: specFactor(line, type, asked.need.spec),
        fresh: freshFactor(facts[l]!.standing, type, asked.tier, context.rules.dates, catalogue),
        handy: handyFactor(line, type, asked.need.access, asked.tier),
        usable: usableFactor(line, type, context.brief, context.rules.advanced, asked.need.theirs),
        dose: doseFactor(line, type, catalogue.functions.get(asked.need.function)),
      });
    });
    ranges.push([from, pairs.length]);
  });
  return { facts, pairs, ranges, companions: companionLines(context) };
}

function factsOf({ line, type }: ContextLine, { lastDay, catalogue }: AuditContext): LineFacts {
  return {
    pieces: piecesOf(line),
    counted: isCounted(line),
    measure: type ? measureOf(line, type) : ONE,
    sound: soundFactor(line, catalogue),
    standing: type ? dateStanding(line, type, lastDay) : "good",
  };
}

function companionLines(context: AuditContext): CompanionLines {
  const found = new Map<string, number[]>();
  for (const { need } of context.needs)
    for (const companion of need.companions ?? []) {
      if (found.has(companion)) continue;
      const lines: number[] = [];
      context.lines.forEach(({ type }, l) => {
        if (type && effectiveCredit(type, companion, undefined, context).credit > 0) lines.push(l);
      });
      found.set(companion, lines);
    }
  return found;
}
