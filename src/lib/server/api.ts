import { json } from "@sveltejs/kit";
import { problem, type Outcome, type Problem } from "../core/model/problem.ts";
import { told, type Told } from "../words/problems.ts";

/** A body larger than this is no kit. */
const MOST_BODY_BYTES = 5 * 1024 * 1024;

/** The one form an error takes: { error: { status, message, problems: [{ where, what }] } }. */
export function refuse(
  status: number,
  message: string,
  problems: readonly (Problem | Told)[] = [],
): Response {
  return json({ error: { status, message, problems: problems.map(told) } }, { status });
}

/** The body as text, refused while it streams once it is too large. */
export async function bodyText(request: Request): Promise<Outcome<string> & { status?: number }> {
  const declared = Number(request.headers.get("content-length") ?? "0");
  if (declared > MOST_BODY_BYTES) return tooLarge();
  const reader = request.body?.getReader();
  if (!reader) return { ok: true, value: "" };
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > MOST_BODY_BYTES) {
      await reader.cancel();
      return tooLarge();
    }
    chunks.push(value);
  }
  return { ok: true, value: Buffer.concat(chunks).toString("utf8") };
}

const tooLarge = () => ({
  ok: false as const,
  status: 413,
  problems: [problem("body", "too-large", { megabytes: MOST_BODY_BYTES / 1048576 })],
});

/** Answers a route that takes JSON: reads, checks, works; every failure in the one error form. */
export async function withJson(
  request: Request,
  work: (body: unknown) => Response | Promise<Response>,
): Promise<Response> {
  const read = await bodyText(request);
  if (!read.ok) return refuse(read.status ?? 400, "the body was not taken", read.problems);
  let body: unknown;
  try {
    body = JSON.parse(read.value);
  } catch (error) {
    return refuse(400, "the body is not whole JSON", [
      { where: "body", what: (error as Error).message },
    ]);
  }
  return work(body);
}

export const serverToday = (): string => new Date().toISOString().slice(0, 10);
