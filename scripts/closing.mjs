// The closing line that CI reads: unit and end-to-end tests together, each failed step counted as one.
import { readFileSync } from "node:fs";

const read = (path) => {
  try {
    return JSON.parse(readFileSync(path, "utf8"));
  } catch {
    return null;
  }
};
const steps = Number(process.argv[2] ?? "0");
const suites = [read(".tmp/unit.json"), read(".tmp/state.json")];
const e2e = read(".tmp/e2e.json")?.stats;
const sum = (of) => suites.reduce((n, s) => n + (s?.[of] ?? 0), 0);
const passed = sum("passes") + (e2e?.expected ?? 0);
const missing = suites.filter((s) => s === null).length + (e2e === undefined ? 1 : 0);
const failed = Math.max(
  steps,
  sum("failures") + (e2e?.unexpected ?? 0) + (e2e?.flaky ?? 0) + missing,
);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
