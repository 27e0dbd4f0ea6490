import type { PlanAsk, PlanSays } from "../../src/lib/workers/protocol.ts";

/** A planner that does nothing by itself: the test speaks for it. */
export class SilentPlanner {
  static all: SilentPlanner[] = [];
  onmessage: ((event: { data: unknown }) => void) | null = null;
  readonly given: unknown[] = [];
  readonly asked: { run: number; ask: PlanAsk }[] = [];
  readonly #early: ((event: unknown) => void)[] = [];
  ended = false;
  constructor() {
    SilentPlanner.all.push(this);
  }
  addEventListener(_: string, hear: (event: unknown) => void): void {
    this.#early.push(hear);
  }
  postMessage(message: object): void {
    if ("compiled" in message) this.given.push(message.compiled);
    else this.asked.push(message as { run: number; ask: PlanAsk });
  }
  terminate(): void {
    this.ended = true;
  }
  send(data: unknown): void {
    let goesOn = true;
    const event = { data, stopImmediatePropagation: () => (goesOn = false) };
    for (const hear of this.#early) if (goesOn) hear(event);
    if (goesOn) this.onmessage?.(event);
  }
  say(answer: PlanSays): void {
    this.send({ run: this.asked.at(-1)!.run, answer });
  }
}
