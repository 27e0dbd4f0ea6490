// Two copies behind nginx as docs/operations.md configures them (without TLS): pages, audits and plans are
// asked for at once, one copy is ended in the middle, and what failed is counted. Wants a build and nginx.
import autocannon from "autocannon";
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
/** By name, how many answers of each status. */
const counts = {};
const requests = ASKED.map(([name, path, body]) => ({
  ...(body === undefined
    ? { method: "GET" }
    : { method: "POST", body, headers: { "content-type": "text/plain" } }),
  path,
  onResponse: (status) => {
    const own = (counts[name] ??= { ok: 0, busy: 0, failed: 0 });
    own[status >= 200 && status < 300 ? "ok" : status === 503 ? "busy" : "failed"]++;
  },
}));
for (let i = 0; i < 50; i++) {
  try {
    if ((await fetch(`${url}/api/health`)).ok) break;
  } catch {
    // Not up yet.
  }
  await new Promise((done) => setTimeout(done, 200));
}
const load = autocannon({ url, connections: AT_ONCE, duration: SECONDS, requests });
setTimeout(() => copies[0].kill("SIGKILL"), (SECONDS * 1000) / 2);
const { errors, timeouts, latency, requests: rate } = await load;
nginx.kill();
for (const copy of copies) copy.kill();
for (const [name, { ok, busy, failed }] of Object.entries(counts))
  console.log(`${name}: ${ok} answered, ${busy} told to ask again, ${failed} failed`);
const failed = Object.values(counts).reduce((sum, c) => sum + c.failed, errors + timeouts);
console.log(
  `${AT_ONCE} at once for ${SECONDS} s, ${Math.round(rate.average)} a second, one copy ended in the middle: ${failed} failed; ${latency.p50} ms median, ${latency.p97_5} ms at 97.5 %`,
);
process.exitCode = failed > 0 ? 1 : 0;
