// What ships must be free to use commercially: the licence of every package that production needs.
import { execFileSync } from "node:child_process";
import { existsSync, readFileSync } from "node:fs";

// Permissive licences; fonts under the OFL may be bundled and sold with software.
const ALLOWED =
  /^(?:MIT|MIT-0|ISC|BSD-2-Clause|BSD-3-Clause|0BSD|Apache-2\.0|OFL-1\.1|CC0-1\.0|Unlicense|BlueOak-1\.0\.0|Python-2\.0|\(MIT OR [^)]*\)|MIT AND ISC|\(MIT AND Zlib\)|\(OFL-1\.1 OR [^)]*\))$/;

/** Looked at by hand, each with the reason. */
const LOOKED_AT = {
  "svelte-toolbelt": "its LICENSE file is MIT; its package.json names none",
  "png-js": "its LICENSE file is MIT; its package.json names none",
  lightningcss: "MPL-2.0, a build tool that npm lists as a peer; none of it is in what ships",
};

const tree = execFileSync("npm", ["ls", "--omit=dev", "--all", "--parseable"], {
  encoding: "utf8",
  stdio: ["ignore", "pipe", "ignore"],
});
let bad = 0;
let count = 0;
for (const path of new Set(tree.trim().split("\n").slice(1))) {
  if (!existsSync(`${path}/package.json`)) continue;
  const { name, version, license, licenses } = JSON.parse(
    readFileSync(`${path}/package.json`, "utf8"),
  );
  const said =
    typeof license === "string"
      ? license
      : (license?.type ?? licenses?.map((l) => l.type).join(" OR "));
  count++;
  const known = Object.keys(LOOKED_AT).some((n) => name === n || name.startsWith(`${n}-`));
  if (!known && (!said || !ALLOWED.test(said))) {
    console.error(
      `${name} ${version}: licence '${said ?? "none given"}' is not on the list of what may ship`,
    );
    bad++;
  }
}
console.log(`${count} packages ship, all under permissive licences${bad ? `, but ${bad}` : ""}`);
process.exitCode = bad > 0 ? 1 : 0;
