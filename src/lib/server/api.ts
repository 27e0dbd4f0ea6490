import type { RequestHandler } from "@sveltejs/kit";
import { problem, type Outcome, type Problem } from "../core/model/problem.ts";
import type { Told } from "../words/problems.ts";
import { refusal, type Answer } from "./answer.ts";
import type { answers } from "./answers.ts";
import { plans, short, type Pool } from "./pool.ts";

/** A body larger than this is no kit. */
const MOST_BODY_BYTES = 5 * 1024 * 1024;
/** A body that has not come in by then is given up. */
const BODY_TIME_MS = 20_000;

/** An answer that was refused, as a response. */
export const refuse = (
  status: number,
  message: string,
  problems: readonly (Problem | Told)[] = [],
): Response => responseOf(refusal(status, message, problems));

/** A document made here runs nothing, fetches nothing, and may not be framed. */
const DOCUMENT_POLICY =
  "default-src 'none'; style-src 'unsafe-inline'; img-src data:; font-src data:; base-uri 'none'; form-action 'none'; frame-ancestors 'none'; sandbox";

function responseOf(answer: Answer, retryAfterS = 0): Response {
  const headers = new Headers({ "content-type": answer.type });
  if (answer.type.startsWith("text/html")) headers.set("content-security-policy", DOCUMENT_POLICY);
  if (answer.status === 503) headers.set("retry-after", String(retryAfterS));
  return new Response(answer.body, { status: answer.status, headers });
}

/** The body as text, refused while it streams once it is too large or too slow. */
async function bodyText(request: Request): Promise<Outcome<string> & { status?: number }> {
  const declared = Number(request.headers.get("content-length") ?? "0");
  if (declared > MOST_BODY_BYTES) return tooLarge();
  const reader = request.body?.getReader();
  if (!reader) return { ok: true, value: "" };
  const chunks: Uint8Array[] = [];
  let size = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<"late">((done) => {
    timer = setTimeout(() => done("late"), BODY_TIME_MS);
  });
  try {
    for (;;) {
      const read = await Promise.race([reader.read(), late]);
      if (read === "late") {
        void reader.cancel();
        return {
          ok: false,
          status: 408,
          problems: [problem("body", "too-slow", { seconds: BODY_TIME_MS / 1000 })],
        };
      }
      if (read.done) break;
      size += read.value.byteLength;
      if (size > MOST_BODY_BYTES) {
        void reader.cancel();
        return tooLarge();
      }
      chunks.push(read.value);
    }
  } catch {
    return { ok: false, status: 400, problems: [problem("body", "broken-off", {})] };
  } finally {
    clearTimeout(timer);
  }
  return { ok: true, value: Buffer.concat(chunks).toString("utf8") };
}

const tooLarge = () => ({
  ok: false as const,
  status: 413,
  problems: [problem("body", "too-large", { megabytes: MOST_BODY_BYTES / 1048576 })],
});

/** A route that answers a body in a thread. */
export const answered =
  (of: keyof typeof answers): RequestHandler =>
  async ({ request, platform }) => {
    const read = await bodyText(request);
    if (!read.ok) return refuse(read.status ?? 400, "the body was not taken", read.problems);
    return whileThere(platform, (signal) => inPool(short, of, read.value, signal));
  };

/** A route that checks a body in one pool, and works it out in another that may take longer. */
export const answeredIn =
  (check: keyof typeof answers, of: keyof typeof answers): RequestHandler =>
  async ({ request, platform }) => {
    const read = await bodyText(request);
    if (!read.ok) return refuse(read.status ?? 400, "the body was not taken", read.problems);
    return whileThere(platform, async (signal) => {
      const checked = await inPool(short, check, read.value, signal);
      return checked.ok ? inPool(plans, of, await checked.text(), signal) : checked;
    });
  };

/**
 * Works while the client is there. The request's own signal tells only of a client that leaves before its
 * body has come in, so the connection itself is listened to.
 */
async function whileThere(
  platform: Readonly<App.Platform> | undefined,
  work: (signal: AbortSignal) => Promise<Response>,
): Promise<Response> {
  const gone = new AbortController();
  const leave = () => gone.abort();
  const socket = platform?.req?.socket;
  socket?.once("close", leave);
  try {
    return await work(gone.signal);
  } finally {
    socket?.off("close", leave);
  }
}

async function inPool(
  pool: Pool,
  of: keyof typeof answers,
  text: string,
  signal: AbortSignal,
): Promise<Response> {
  const answer = await pool.answer({ of, text, today: serverToday() }, signal);
  return responseOf(answer, pool.retryAfterS);
}

export const serverToday = (): string => new Date().toISOString().slice(0, 10);
