import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { availableParallelism, tmpdir } from "node:os";
import { join } from "node:path";
import { auditMany } from "../src/cli/auditMany.ts";
import { madeUp } from "./madeUp.ts";

const KITS = 1000;

/** A thousand kits of a hundred lines as `audit FILES… --jsonl` audits them: on one core, and on all. */
export async function benchMany(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), "wide-sieve-many-"));
  try {
    const kit = JSON.stringify(madeUp(100, 60, 0.5));
    const files = Array.from({ length: KITS }, (_, i) => {
      const path = join(folder, `${i}.json`);
      writeFileSync(path, kit);
      return path;
    });
    const seconds = async (threads: number, of = files): Promise<number> => {
      const started = performance.now();
      const done = await auditMany(of, { today: "2026-11-26" }, () => undefined, threads);
      if (done !== of.length) throw new Error(`${done} of ${of.length} audited`);
      return (performance.now() - started) / 1000;
    };
    await seconds(1, files.slice(0, 100));
    const [half, one] = [await seconds(1, files.slice(0, KITS / 2)), await seconds(1)];
    const cores = availableParallelism();
    const all = await seconds(cores);
    const two = (n: number) => Math.round(100 * n) / 100;
    console.log(`\n${KITS} kits of 100 lines, a line each`);
    console.table({
      "one core": { seconds: two(one), ratio: 1 },
      "half of them, one core": { seconds: two(half), ratio: two(half / one) },
      [`${cores} cores`]: { seconds: two(all), ratio: two(all / one) },
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
