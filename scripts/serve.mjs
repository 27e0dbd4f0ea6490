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
process.env.WIDE_SIEVE_THREAD ??= `${root}build/thread/workThread.js`;
const port = Number(process.env.PORT);
if (!Number.isInteger(port) || port < 1 || port > 65535) {
  console.error(`PORT is '${process.env.PORT}': a whole number from 1 to 65535 is wanted.`);
  process.exit(1);
}
process.on("uncaughtException", (error) => {
  const why = {
    EADDRINUSE: `port ${port} is in use: set PORT to another, or stop what runs there`,
    EACCES: `port ${port} may not be opened: set PORT to one above 1023`,
    EADDRNOTAVAIL: `HOST is '${process.env.HOST}', which is no address of this machine`,
    ENOTFOUND: `HOST is '${process.env.HOST}', which is no address of this machine`,
  }[error.code];
  console.error(why ?? error);
  process.exit(1);
});
const { server } = await import(`${root}build/index.js`);
// Heads that trickle in are cut off; bodies have their own bound (server/api.ts).
server.server.headersTimeout = 10_000;
server.server.requestTimeout = 30_000;
console.log(`Wide Sieve is at http://localhost:${process.env.PORT}`);
