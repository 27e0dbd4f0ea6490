import type { Bench, BenchLine } from "./bench.ts";
import { dateStanding, freshFactor, type DateStanding } from "./fresh.ts";
import { handyFactor, type HandyFactor } from "./handy.ts";
import { claimsOrAccepted } from "./here.ts";
import { isCounted, measureOf, piecesOf, type Measure } from "./measure.ts";
import { effectiveCredit, specFactor, type EffectiveCredit, type SpecFactor } from "./real.ts";
import { soundFactor } from "./sound.ts";
import { usableFactor } from "./usable.ts";

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
  /** Index into `bench.lines` and `bench.needs`. */
  readonly line: number;
  readonly need: number;
  readonly credit: EffectiveCredit;
  readonly spec: SpecFactor;
  readonly fresh: number | null;
  readonly handy: HandyFactor;
  readonly usable: number;
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
export function pairUp(bench: Bench): Pairing {
  const { catalogue } = bench;
  const facts = bench.lines.map((l) => factsOf(l, bench));
  const pairs: Pair[] = [];
  const ranges: [number, number][] = [];
  bench.needs.forEach((asked, n) => {
    const from = pairs.length;
    bench.lines.forEach(({ line, type }, l) => {
      if (!type || !claimsOrAccepted(type, asked.need)) return;
      pairs.push({
        line: l,
        need: n,
        credit: effectiveCredit(
          type,
          asked.need.function,
          asked.need.accept,
          bench.rules,
          catalogue,
        ),
        spec: specFactor(line, type, asked.need.spec),
        fresh: freshFactor(facts[l]!.standing, type, asked.tier, bench.rules.dates, catalogue),
        handy: handyFactor(line, type, asked.need.access, asked.tier),
        usable: usableFactor(type, bench.brief, bench.rules.advanced),
      });
    });
    ranges.push([from, pairs.length]);
  });
  return { facts, pairs, ranges, companions: companionLines(bench) };
}

function factsOf({ line, type }: BenchLine, { lastDay, catalogue }: Bench): LineFacts {
  return {
    pieces: piecesOf(line),
    counted: isCounted(line),
    measure: type ? measureOf(line, type) : { perPiece: 1, known: true },
    sound: soundFactor(line, catalogue),
    standing: type ? dateStanding(line, type, lastDay) : "good",
  };
}

function companionLines(bench: Bench): CompanionLines {
  const found = new Map<string, number[]>();
  for (const { need } of bench.needs)
    for (const companion of need.companions ?? []) {
      if (found.has(companion)) continue;
      const lines: number[] = [];
      bench.lines.forEach(({ type }, l) => {
        if (
          type &&
          effectiveCredit(type, companion, undefined, bench.rules, bench.catalogue).credit > 0
        )
          lines.push(l);
      });
      found.set(companion, lines);
    }
  return found;
}
