import type { Model } from "../../src/lib/core/chance/model.ts";
import { Random } from "../../src/lib/core/chance/random.ts";

/**
 * The plain way: one outing, event by event, objects and sorting, no shortcut. It draws the same random
 * numbers in the same order as the fast one, so that every outing can be held against it.
 */
export function plainOuting(
  model: Model,
  seed: number,
  outing: number,
): { short: [number[], number[]]; asked: number[] } {
  const random = new Random().begin(seed, outing);
  const pick = (cumulative: Float64Array): number => {
    const u = random.next();
    return cumulative.findIndex((c) => u < c);
  };
  interface Ask {
    at: number;
    target: number;
    units: number;
  }
  const incidents: { at: number; leave: number; who: number; asks: Ask[] }[] = [];
  for (const kind of model.kinds) {
    const n = pick(kind.counts);
    for (let i = 0; i < n; i++) {
      const at = random.next() * model.hours;
      const who = model.anyoneLeaves ? random.next() : 0;
      const asks: Ask[] = [];
      for (const a of kind.asks) {
        asks.push({ at, target: a.target, units: a.first.units[pick(a.first.cumulative)]! });
        for (let k = 1; k <= a.most && at + k * a.everyH < model.hours; k++)
          asks.push({
            at: at + k * a.everyH,
            target: a.target,
            units: a.again.units[pick(a.again.cumulative)]!,
          });
      }
      incidents.push({ at, leave: kind.leave, who, asks });
    }
  }
  let out = model.people;
  const happened = new Set<(typeof incidents)[number]>();
  for (const i of [...incidents].sort((a, b) => a.at - b.at))
    if (i.who * model.people < out) {
      happened.add(i);
      out = Math.max(0, out - i.leave);
    }
  const demands = incidents
    .filter((i) => happened.has(i))
    .flatMap((i) => i.asks)
    .filter((a) => a.target >= 0 && a.units > 0)
    .sort((a, b) => a.at - b.at);
  const asked = model.targets.map(() => 0);
  for (const d of demands) asked[d.target]! += d.units;
  const short = ([0, 1] as const).map((reading) => {
    const left = Array.from(model.supply[reading]);
    const found = new Set<number>();
    for (const d of demands) {
      const target = model.targets[d.target]!;
      let wanted = d.units;
      for (const s of target.servers) {
        if (s.until[reading] <= Math.floor(d.at / 24)) continue;
        const taken = Math.min(wanted, left[s.line]! * s.yield[reading]);
        if (!model.tool[s.line]) left[s.line]! -= taken / s.yield[reading];
        wanted -= taken;
        if (wanted <= 1e-9) break;
      }
      if (wanted > 1e-9) found.add(target.need);
    }
    return [...found].sort((a, b) => a - b);
  });
  return { short: [short[0]!, short[1]!], asked };
}
