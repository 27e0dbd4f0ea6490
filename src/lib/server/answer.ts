import type { Problem } from "../core/model/problem.ts";
import { told, type Told } from "../words/problems.ts";

/** What a route answers, as it crosses from a thread: plain values only. */
export interface Answer {
  readonly status: number;
  readonly type: string;
  readonly body: string | Uint8Array<ArrayBuffer>;
}

const JSON_TYPE = "application/json";

export const jsonAnswer = (value: unknown, status = 200): Answer => ({
  status,
  type: JSON_TYPE,
  body: JSON.stringify(value),
});

/** The one form an error takes: { error: { status, message, problems: [{ where, what }] } }. */
export const refusal = (
  status: number,
  message: string,
  problems: readonly (Problem | Told)[] = [],
): Answer => jsonAnswer({ error: { status, message, problems: problems.map(told) } }, status);

/** JSON from a body, and then the answer; what is not whole JSON is refused. */
export function ofJson<T>(text: string, work: (body: unknown) => T): T | Answer {
  let body: unknown;
  try {
    body = JSON.parse(text);
  } catch (error) {
    return refusal(400, "the body is not whole JSON", [
      {
        where: "body",
        what: `${(error as Error).message}: send JSON as the documentation shows it`,
      },
    ]);
  }
  return work(body);
}
