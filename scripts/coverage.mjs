// Lines of the core that the unit tests run, folder by folder.
import { readFileSync } from "node:fs";
import { relative } from "node:path";

const summary = JSON.parse(readFileSync(".tmp/coverage/coverage-summary.json", "utf8"));
const folders = new Map();
for (const [file, { lines }] of Object.entries(summary)) {
  if (file === "total") continue;
  const folder = relative("src/lib/core", file).split("/")[0];
  const was = folders.get(folder) ?? { lines: 0, covered: 0 };
  folders.set(folder, {
    lines: was.lines + lines.total,
    covered: was.covered + lines.covered,
  });
}
const rows = [...folders].sort(([a], [b]) => (a < b ? -1 : 1));
for (const [folder, { lines, covered }] of rows)
  console.log(
    `${folder.padEnd(12)} ${((100 * covered) / lines).toFixed(1).padStart(5)} %  of ${lines}`,
  );
