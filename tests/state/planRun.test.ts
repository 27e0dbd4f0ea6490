import { expect } from "chai";
import { CATALOGUE } from "../../src/lib/data/catalogue.ts";
import type { FrontierPoint } from "../../src/lib/core/plan/frontier.ts";
import type { PlanRequest } from "../../src/lib/core/plan/request.ts";
import { FrontierRun } from "../../src/lib/workers/frontierRun.svelte.ts";
import { planMade } from "../../src/lib/workers/plansMade.ts";
import { PlanRun, questionOf } from "../../src/lib/workers/planRun.svelte.ts";
import type { PlanShown } from "../../src/lib/workers/protocol.ts";
import { workspace } from "../../src/lib/state/workspace.svelte.ts";
import { CREW_BOX, demoShelf, kitState } from "./open.ts";
import { SilentPlanner } from "./silentPlanner.ts";

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
  const navigator = Object.getOwnPropertyDescriptor(globalThis, "navigator");
  beforeEach(async () => {
    await demoShelf();
    SilentPlanner.all = [];
    globalThis.Worker = SilentPlanner as unknown as typeof Worker;
    // One of two cores is the page's: a curve has one planner.
    const two = { value: { hardwareConcurrency: 2 }, configurable: true };
    Object.defineProperty(globalThis, "navigator", two);
  });
  after(() => {
    globalThis.Worker = before;
    if (navigator) Object.defineProperty(globalThis, "navigator", navigator);
    else delete (globalThis as { navigator?: unknown }).navigator;
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
    planners()[0]!.say({ is: "progress", stage: "price", share: 0.3 });
    const second = await asking({ ...asked });
    expect(planners().length).to.equal(1);
    expect(second.running?.stage, "as far as the first is").to.equal("price");
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

  it("a curve is drawn point by point; whole, it is there at once the next time, on its own axis", async () => {
    const asked = request();
    const point = (limit: number, proven: boolean): FrontierPoint => ({
      limit,
      coverage: limit / 10,
      vital: 1,
      bound: limit / 10,
      price: limit,
      massG: 0,
      grade: null,
      packs: {},
      dropped: [],
      proven,
    });
    const run = new FrontierRun();
    run.ask(asked, "budget", 0);
    await soon();
    planners()[0]!.say({ is: "curve", points: [point(1, false), point(2, false)] });
    expect([run.points.length, run.left]).to.deep.equal([2, 2]);
    planners()[0]!.say({ is: "point", point: point(1, true) });
    expect([run.points.map((p) => p.proven), run.left]).to.deep.equal([[true, false], 1]);
    planners()[0]!.say({ is: "point", point: point(2, true) });
    expect([run.points.map((p) => p.proven), run.left]).to.deep.equal([[true, true], null]);
    expect(planners()[0]!.ended).to.equal(true);

    const before = planners().length;
    const again = new FrontierRun();
    again.ask({ ...asked }, "budget", 0);
    await soon();
    expect([again.points.length, again.left, planners().length]).to.deep.equal([2, null, before]);
    again.ask(asked, "mass", 0);
    await soon();
    expect(again.left).to.equal(1);
    again.stop();
  });

  it("the solver is compiled once: the next planner is given what the first made", async () => {
    await asking(request());
    const compiled = { of: "the solver" };
    planners()[0]!.send({ compiled });
    await asking(request());
    expect(planners()[1]!.given).to.deep.equal([compiled]);
  });
});
