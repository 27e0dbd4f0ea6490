import type { Answered, Asked, Failed } from "./client.ts";

/** The worker's side: answers what it is asked, and says where it could not. */
export function serve<Ask, Answer>(
  answer: (ask: Ask, say: (answer: Answer) => void) => void | Promise<void>,
): void {
  onmessage = async (event: MessageEvent<Asked<Ask>>) => {
    const { run, ask } = event.data;
    const say = (said: Answer | Failed) =>
      postMessage({ run, answer: said } satisfies Answered<Answer>);
    try {
      await answer(ask, say);
    } catch (error) {
      say({ is: "failed", why: error instanceof Error ? error.message : String(error) });
    }
  };
}
