// Serves the built application. PORT and HOST may be set; nothing is stored on the server.
import { existsSync } from "node:fs";
import { fileURLToPath } from "node:url";

const root = fileURLToPath(new URL("..", import.meta.url));
if (!existsSync(`${root}build/index.js`)) {
  console.error("There is no build yet: run 'npm run build' first, or 'npm run demo'.");
  process.exit(1);
}
process.env.PORT ??= "4180";
process.env.HOST ??= "127.0.0.1";
// The routes themselves refuse large bodies, in their own error form.
process.env.BODY_SIZE_LIMIT ??= "Infinity";
process.env.WIDE_SIEVE_PLAN_THREAD ??= `${root}build/thread/planThread.js`;
await import(`${root}build/index.js`);
console.log(`Wide Sieve is at http://localhost:${process.env.PORT}`);
