import { expect } from "chai";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import type { PlanRequest } from "../../src/lib/core/plan/request.ts";
import { planMade } from "../../src/lib/workers/plansMade.ts";
import { PlanRun, questionOf } from "../../src/lib/workers/planRun.svelte.ts";
import type { PlanAsk, PlanSays, PlanShown } from "../../src/lib/workers/protocol.ts";
import { workspace } from "../../src/lib/state/workspace.svelte.ts";
import { CREW_BOX, demoShelf, kitState } from "./open.ts";

/** A planner that does nothing by itself: the test speaks for it. */
class SilentPlanner {
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

const PLAN = {
  status: "optimal",
  gap: 0,
  gapIn: "price",
  tiesProven: true,
  actions: [],
  price: 12,
  postage: [],
  owning: null,
  boughtMassG: 0,
  carriedMassG: 0,
  carriedVolumeMl: 0,
  packs: 0,
  before: 0.5,
  coverage: 1,
  grade: "Ready",
  unmet: [],
  places: null,
  needs: [],
} as const satisfies PlanShown;
const soon = () => new Promise((done) => setTimeout(done, 5));
let budget = 0;
/** A question nobody has asked before. */
const request = (): PlanRequest => ({
  audit: kitState(CREW_BOX).file,
  catalogue: CATALOGUE,
  book: workspace.priceBook,
  question: "best",
  target: "ready",
  limits: { budget: ++budget, massG: null, volumeMl: null },
  keep: [],
  today: workspace.today,
});
async function asking(asked: PlanRequest): Promise<PlanRun> {
  const run = new PlanRun();
  run.ask(asked, 0);
  await soon();
  return run;
}

describe("the planner as a screen sees it", () => {
  const before = globalThis.Worker;
  beforeEach(async () => {
    await demoShelf();
    SilentPlanner.all = [];
    globalThis.Worker = SilentPlanner as unknown as typeof Worker;
  });
  after(() => {
    globalThis.Worker = before;
  });
  const planners = () => SilentPlanner.all;

  it("asks once its pause is over, tells how far it is, and shows the plan", async () => {
    const run = await asking(request());
    expect(planners().map((p) => p.asked.map(({ ask }) => ask.is))).to.deep.equal([["plan"]]);
    expect(run.running).to.deep.equal({ stage: "waiting", share: 0 });
    planners()[0]!.say({ is: "progress", stage: "price", share: 0.4, best: 20, bound: 10 });
    expect(run.running).to.deep.equal({ stage: "price", share: 0.4, best: 20, bound: 10 });
    planners()[0]!.say({ is: "done", plan: PLAN });
    expect([run.running, run.result]).to.deep.equal([null, PLAN]);
  });

  it("what two parts of a page ask is planned once, and both are told", async () => {
    const asked = request();
    const first = await asking(asked);
    const second = await asking({ ...asked });
    expect(planners().length).to.equal(1);
    planners()[0]!.say({ is: "progress", stage: "mass", share: 0.7 });
    expect(second.running?.stage).to.equal("mass");
    planners()[0]!.say({ is: "done", plan: PLAN });
    expect([first.result, second.result]).to.deep.equal([PLAN, PLAN]);
  });

  it("where the first of two turns to something else, the second goes on for itself", async () => {
    const asked = request();
    const first = await asking(asked);
    const second = await asking(asked);
    first.ask(request(), 0);
    await soon();
    expect(planners()[0]!.ended).to.equal(true);
    expect(planners().length).to.equal(3);
    planners()[1]!.say({ is: "done", plan: PLAN });
    expect([first.result, second.result]).to.deep.equal([null, PLAN]);
  });

  it("where the second turns to something else, it hears no more of the first", async () => {
    const asked = request();
    const first = await asking(asked);
    const second = await asking(asked);
    second.dispose();
    planners()[0]!.say({ is: "done", plan: PLAN });
    expect([first.result, second.result]).to.deep.equal([PLAN, null]);
  });

  it("what was planned is there at once when it is asked again, without a planner", async () => {
    const asked = request();
    const first = await asking(asked);
    planners()[0]!.say({ is: "done", plan: PLAN });
    const again = await asking({ ...asked });
    expect(planners().length).to.equal(1);
    expect(again.result).to.equal(first.result);
  });

  it("a plan that a longer search may better is searched again", async () => {
    const asked = request();
    for (const plan of [
      { ...PLAN, status: "feasible" as const, gap: 3 },
      { ...PLAN, tiesProven: false },
    ]) {
      const run = await asking(asked);
      planners().at(-1)!.say({ is: "done", plan });
      expect(run.result).to.equal(plan);
      expect(planMade(JSON.stringify(questionOf(asked)))).to.equal(undefined);
    }
    expect(planners().length).to.equal(2);
  });

  it("the twelve plans made last are kept", async () => {
    const requests = Array.from({ length: 13 }, request);
    for (const asked of requests) {
      await asking(asked);
      planners().at(-1)!.say({ is: "done", plan: PLAN });
    }
    const kept = requests.map((r) => planMade(JSON.stringify(questionOf(r))) !== undefined);
    expect(kept).to.deep.equal([false, ...Array.from({ length: 12 }, () => true)]);
  });

  it("a planner under way is ended when another question comes, also before it said anything", async () => {
    const run = await asking(request());
    run.ask(request(), 0);
    expect(planners()[0]!.ended).to.equal(true);
    await soon();
    planners()[0]!.send({ run: planners()[0]!.asked[0]!.run, answer: { is: "done", plan: PLAN } });
    expect(run.result).to.equal(null);
    expect(planners()[1]!.asked.length).to.equal(1);
  });

  it("one that made its plan is asked the next, and need not start anew", async () => {
    const run = await asking(request());
    planners()[0]!.say({ is: "done", plan: PLAN });
    run.ask(request(), 0);
    await soon();
    expect(planners().length).to.equal(1);
    expect(planners()[0]!.asked.length).to.equal(2);
  });

  it("a failure is told to all who wait, and the next question is a new try", async () => {
    const asked = request();
    const first = await asking(asked);
    const second = await asking(asked);
    planners()[0]!.send({
      run: planners()[0]!.asked[0]!.run,
      answer: { is: "failed", why: "no room left" },
    });
    expect([first.failure, second.failure]).to.deep.equal(["no room left", "no room left"]);
    await asking(asked);
    expect(planners().length).to.equal(2);
  });

  it("what a product does is asked with the plan's own question, also of a planner that did not make it", async () => {
    const asked = request();
    await asking(asked);
    planners()[0]!.say({ is: "done", plan: PLAN });
    const again = await asking(asked);
    again.askWithout("p1");
    again.askWithout("p1");
    expect(planners().length).to.equal(2);
    expect(planners()[1]!.asked.map(({ ask }) => ask)).to.deep.equal([
      { is: "without", request: questionOf(asked), product: "p1" },
    ]);
    expect(again.without).to.deep.equal({ p1: null });
  });

  it("the solver is compiled once: the next planner is given what the first made", async () => {
    await asking(request());
    const compiled = { of: "the solver" };
    planners()[0]!.send({ compiled });
    await asking(request());
    expect(planners()[1]!.given).to.deep.equal([compiled]);
  });
});
