import { expect } from "chai";
import { EventEmitter } from "node:events";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { answered, answeredIn } from "../../src/lib/server/api.ts";
import { Pool } from "../../src/lib/server/pool.ts";

/** A thread that does what its body says: "say x", "wait 50", "die", "hang"; each answer names the thread. */
const THREAD = `
import { parentPort, threadId } from "node:worker_threads";
const answer = (status, body) => parentPort.postMessage({ status, type: "text/plain", body });
parentPort.on("message", ({ of, text }) => {
  const [word, ...rest] = text.split(" ");
  if (word === "die") throw new Error("this thread broke, as the test asked");
  if (word === "hang") return;
  const said = () => answer(word === "refuse" ? 422 : 200, of + " " + threadId + " " + rest.join(" "));
  if (word === "wait") setTimeout(said, Number(rest[0]));
  else said();
});
`;
const BOUNDS = {
  threads: 1,
  mostWaiting: 2,
  longestWaitMs: 30_000,
  longestWorkMs: 30_000,
  retryAfterS: 7,
};
const there = () => new AbortController().signal;

describe("threads that answer for the server", () => {
  const folder = mkdtempSync(join(tmpdir(), "threads-"));
  const built = process.env["WIDE_SIEVE_THREAD"];
  const { error } = console;
  before(() => writeFileSync(join(folder, "thread.mjs"), THREAD));
  beforeEach(() => {
    process.env["WIDE_SIEVE_THREAD"] = join(folder, "thread.mjs");
    console.error = () => undefined;
  });
  afterEach(() => {
    if (built === undefined) delete process.env["WIDE_SIEVE_THREAD"];
    else process.env["WIDE_SIEVE_THREAD"] = built;
    console.error = error;
  });
  after(() => rmSync(folder, { recursive: true }));

  const ask = async (pool: Pool, text: string, signal = there()) => {
    const { status, body } = await pool.answer({ of: "audit", text, today: "2026-11-28" }, signal);
    return { status, body: String(body) };
  };
  const threadOf = ({ body }: { readonly body: string }) => body.split(" ")[1];

  it("one thread answers one body after another, in the order in which they came", async () => {
    const pool = new Pool(BOUNDS);
    const order: string[] = [];
    const all = ["wait 60", "say 2", "say 3"].map(async (text) => {
      const answer = await ask(pool, text);
      order.push(text);
      return answer;
    });
    const answers = await Promise.all(all);
    expect(order).to.deep.equal(["wait 60", "say 2", "say 3"]);
    expect(answers.map((a) => a.status)).to.deep.equal([200, 200, 200]);
    expect(new Set(answers.map(threadOf)).size).to.equal(1);
  });

  it("as many bodies at once as there are threads", async () => {
    const pool = new Pool({ ...BOUNDS, threads: 2 });
    const answers = await Promise.all([ask(pool, "wait 40"), ask(pool, "wait 40")]);
    expect(new Set(answers.map(threadOf)).size).to.equal(2);
  });

  it("turns away at once, with when to ask again, who would be one too many in the line", async () => {
    const pool = new Pool(BOUNDS);
    const first = ["wait 60", "say", "say"].map((text) => ask(pool, text));
    const { status, body } = await ask(pool, "say");
    expect(status).to.equal(503);
    expect(body).to.contain("ask again in 7 s");
    expect((await Promise.all(first)).map((a) => a.status)).to.deep.equal([200, 200, 200]);
  });

  it("nobody waits longer than the bound", async () => {
    const pool = new Pool({ ...BOUNDS, longestWaitMs: 30 });
    const leaves = new AbortController();
    const busy = ask(pool, "hang", leaves.signal);
    expect((await ask(pool, "say")).status).to.equal(503);
    leaves.abort();
    await busy;
  });

  it("work that takes too long is ended with its thread; whoever waited gets a new one", async () => {
    // Longer than a thread takes to begin on the slowest machine that runs this.
    const pool = new Pool({ ...BOUNDS, longestWorkMs: 3000 });
    const [hung, next] = await Promise.all([ask(pool, "hang"), ask(pool, "say")]);
    expect(hung.status).to.equal(503);
    expect(hung.body).to.contain("took more than 3 s: ask for less at once");
    expect(next.status).to.equal(200);
  });

  it("a client that leaves frees the thread that works for it", async () => {
    const pool = new Pool(BOUNDS);
    const leaves = new AbortController();
    const gone = ask(pool, "hang", leaves.signal);
    const next = ask(pool, "say");
    setTimeout(() => leaves.abort(), 20);
    expect((await gone).status).to.equal(499);
    expect((await next).status).to.equal(200);
  });

  it("a client that leaves while it waits is out of the line, and takes nobody's place", async () => {
    const pool = new Pool({ ...BOUNDS, mostWaiting: 1 });
    const leaves = new AbortController();
    const first = ask(pool, "wait 80");
    const gone = ask(pool, "say", leaves.signal);
    leaves.abort();
    expect((await gone).status).to.equal(499);
    expect((await ask(pool, "say")).status).to.equal(200);
    expect((await first).status).to.equal(200);
  });

  it("one that had left before its turn is not worked for", async () => {
    const pool = new Pool(BOUNDS);
    const left = new AbortController();
    left.abort();
    expect((await ask(pool, "hang", left.signal)).status).to.equal(499);
    expect((await ask(pool, "say")).status).to.equal(200);
  });

  it("a thread that breaks costs its own body only, and no inside of it is told", async () => {
    const pool = new Pool(BOUNDS);
    const broken = await ask(pool, "die");
    expect(broken.status).to.equal(500);
    expect(broken.body).to.contain("could not finish this").and.not.contain("broke");
    for (let i = 0; i < 3; i++) expect((await ask(pool, "die")).status).to.equal(500);
    expect((await ask(pool, "say")).status).to.equal(200);
  });

  /** A request as the server's routes get it. */
  const send = async (
    route: ReturnType<typeof answered>,
    body: BodyInit | null,
    headers: Record<string, string> = {},
    platform?: unknown,
  ) => {
    const request = new Request("http://here/api", {
      method: "POST",
      body,
      headers,
      duplex: "half",
    } as RequestInit);
    const response = await route({ request, platform } as never);
    return { response, text: await response.text() };
  };
  const inChunks = (chunks: number, size: number) =>
    new ReadableStream({
      pull(c) {
        if (chunks-- > 0) c.enqueue(new Uint8Array(size));
        else c.close();
      },
    });
  const MB = 1024 * 1024;

  it("a route gives the thread's answer, with its status and type", async () => {
    const { response, text } = await send(answered("audit"), "say hello");
    expect([response.status, response.headers.get("content-type")]).to.deep.equal([
      200,
      "text/plain",
    ]);
    expect(text).to.match(/^audit \d+ hello$/);
  });

  it("a body is refused by the size it claims, and while it streams by the size it has", async () => {
    const claimed = await send(answered("audit"), "say", { "content-length": `${5 * MB + 1}` });
    expect(claimed.response.status).to.equal(413);
    const streamed = await send(answered("audit"), inChunks(1000, MB));
    expect(streamed.response.status).to.equal(413);
    expect(JSON.parse(streamed.text).error.problems[0].where).to.equal("body");
  });

  it("a body that breaks off is refused", async () => {
    const broken = new ReadableStream({ pull: (c) => c.error(new Error("line cut")) });
    const { response } = await send(answered("audit"), broken);
    expect(response.status).to.equal(400);
  });

  it("what a check refuses is not worked out; what it passes goes on to the other pool", async () => {
    const refused = await send(answeredIn("plan-check", "plan"), "refuse 1");
    expect(refused.response.status).to.equal(422);
    expect(refused.text).to.match(/^plan-check/);
    const passed = await send(answeredIn("plan-check", "plan"), "say 2");
    expect(passed.response.status).to.equal(200);
    expect(passed.text).to.match(/^plan \d+ \d+ 2$/);
  });

  it("a connection that closes ends the work, and its listener goes with the answer", async () => {
    const socket = new EventEmitter();
    const platform = { req: { socket } };
    setTimeout(() => socket.emit("close"), 30);
    const { response } = await send(answered("audit"), "hang", {}, platform);
    expect(response.status).to.equal(499);
    await send(answered("audit"), "say", {}, platform);
    expect(socket.listenerCount("close")).to.equal(0);
  });
});
