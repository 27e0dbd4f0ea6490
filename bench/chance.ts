import { assumptionsFor } from "../src/lib/core/chance/assumptions.ts";
import { modelOf } from "../src/lib/core/chance/model.ts";
import { simulate } from "../src/lib/core/chance/simulate.ts";
import { kitToday } from "../src/lib/core/events/kitOnDay.ts";
import { replay } from "../src/lib/core/events/replay.ts";
import { mergeEvents } from "../src/lib/core/log/merge.ts";
import type { KitEvent } from "../src/lib/core/model/event.ts";
import { wholeFileOf } from "../src/lib/core/records/auditOf.ts";
import { CATALOGUE } from "../src/lib/data/catalogue.ts";
import { demoRecords } from "../src/lib/data/demo.ts";
import { INCIDENT_KINDS } from "../src/lib/data/incidents.ts";
import { plainOuting } from "../tests/unit/chancePlain.ts";

const TODAY = "2026-11-26";
const timed = (what: () => void): number => {
  const begun = performance.now();
  what();
  return performance.now() - begun;
};
/** The fastest of a few: what the machine can do when nothing else runs. */
const best = (runs: number, what: () => void): number =>
  Math.min(...Array.from({ length: runs }, () => timed(what)));

/** Outings, replay and merging, as times and as ratios to a plain way in the same run. */
export function benchChance(): void {
  const records = demoRecords();
  const crew = records.find((r) => r.id === "kit:demo-crew-box");
  const brief = records.find((r) => r.id === "brief:fennel-lane");
  if (crew?.kind !== "kit" || brief?.kind !== "brief") throw new Error("the demo has changed");
  const party = { ...brief.brief, people: 8, days: 7, activities: [] };
  const file = kitToday(wholeFileOf(crew, party, []), TODAY, CATALOGUE);
  const model = modelOf(file, assumptionsFor(party, INCIDENT_KINDS), TODAY, CATALOGUE);
  const fast = best(4, () => void simulate(model, 100_000, 1));
  const PLAIN = 5000;
  const plain = timed(() => {
    for (let i = 0; i < PLAIN; i++) plainOuting(model, 1, i);
  });
  const ratio = (plain * 100_000) / PLAIN / fast;
  console.log(
    `100,000 outings, 8 people × 7 days, one thread: ${fast.toFixed(0)} ms; the plain way takes ${ratio.toFixed(1)} times as long`,
  );

  const lines = file.kit.lines;
  const used = (i: number): KitEvent => ({
    id: `e${String(i).padStart(6, "0")}`,
    on: `2026-${String(1 + (i % 12)).padStart(2, "0")}-${String(1 + (i % 28)).padStart(2, "0")}`,
    kind: i % 3 === 0 ? "put-back" : "used",
    changes: [{ line: lines[i % lines.length]!.id, pieces: 1 }],
  });
  const many = Array.from({ length: 10_000 }, (_, i) => used(i));
  console.log(`replay of 10,000 events: ${best(5, () => void replay(lines, many)).toFixed(0)} ms`);
  const [a, b] = [many.slice(0, 2000), many.slice(1500, 3500)];
  const merged = mergeEvents(a, b).events.length;
  console.log(
    `merging two logs of 2,000 with 500 in common: ${merged} events, ${best(5, () => void mergeEvents(a, b)).toFixed(0)} ms`,
  );
}
