// Two copies behind nginx as docs/operations.md configures them (without TLS): pages, audits and plans are
// asked for at once, one copy is ended in the middle, and what failed is counted. Wants a build and nginx.
import { spawn } from "node:child_process";
import { mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { resolve } from "node:path";

const PORTS = [4195, 4196];
const FRONT = 4197;
const SECONDS = Number(process.argv[2] ?? 10);
const AT_ONCE = 40;

const folder = resolve(".tmp/nginx");
mkdirSync(folder, { recursive: true });
const written = readFileSync("docs/operations.md", "utf8").match(/```nginx\n([\s\S]*?)```/)[1];
const sites = written
  .replace("127.0.0.1:4180", `127.0.0.1:${PORTS[0]}`)
  .replace("127.0.0.1:4181", `127.0.0.1:${PORTS[1]}`)
  .replace("listen 443 ssl;", `listen 127.0.0.1:${FRONT};`);
writeFileSync(
  `${folder}/nginx.conf`,
  `daemon off; pid ${folder}/pid; error_log ${folder}/error.log; events {}
http { access_log off; client_body_temp_path ${folder}/body; proxy_temp_path ${folder}/proxy;
fastcgi_temp_path ${folder}/f; uwsgi_temp_path ${folder}/u; scgi_temp_path ${folder}/s;
${sites} }\n`,
);
const start = (command, args, env = {}) =>
  spawn(command, args, { env: { ...process.env, ...env }, stdio: "ignore" });
const copies = PORTS.map((port) => start("node", ["scripts/serve.mjs"], { PORT: String(port) }));
const nginx = start("nginx", ["-c", `${folder}/nginx.conf`, "-e", `${folder}/error.log`]);
const url = `http://127.0.0.1:${FRONT}`;

const audit = readFileSync("tests/fixtures/audits/worked-example.json", "utf8");
const ASKED = [
  ["page", "/", undefined],
  ["health", "/api/health", undefined],
  ["audit", "/api/audit", audit],
  ["card", "/api/read-card", "2 packs of 5 gauze swabs\n1 whistle"],
];
const counts = {};
async function ask([name, path, body]) {
  const own = (counts[name] ??= { ok: 0, busy: 0, failed: 0, ms: [] });
  const started = performance.now();
  try {
    const answer = await fetch(url + path, body === undefined ? {} : { method: "POST", body });
    await answer.arrayBuffer();
    if (answer.ok) own.ok++;
    else if (answer.status === 503) own.busy++;
    else own.failed++;
  } catch {
    own.failed++;
  }
  own.ms.push(performance.now() - started);
}
for (let i = 0; i < 50; i++) {
  try {
    if ((await fetch(`${url}/api/health`)).ok) break;
  } catch {
    // Not up yet.
  }
  await new Promise((done) => setTimeout(done, 200));
}
const until = performance.now() + SECONDS * 1000;
setTimeout(() => copies[0].kill("SIGKILL"), (SECONDS * 1000) / 2);
await Promise.all(
  Array.from({ length: AT_ONCE }, async (_, i) => {
    for (let n = i; performance.now() < until; n++) await ask(ASKED[n % ASKED.length]);
  }),
);
nginx.kill();
for (const copy of copies) copy.kill();
let failed = 0;
for (const [name, { ok, busy, failed: bad, ms }] of Object.entries(counts)) {
  ms.sort((a, b) => a - b);
  const at = (p) => Math.round(ms[Math.floor(p * (ms.length - 1))]);
  failed += bad;
  console.log(
    `${name}: ${ok} answered, ${busy} told to ask again, ${bad} failed; ${at(0.5)} ms median, ${at(0.95)} ms at 95 %`,
  );
}
console.log(`${AT_ONCE} at once for ${SECONDS} s, one copy ended in the middle: ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
