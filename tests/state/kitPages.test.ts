import { expect } from "chai";
import { BRIEF_PRESETS } from "../../src/lib/data/briefPresets.ts";
import { BriefState } from "../../src/lib/state/pages/brief.svelte.ts";
import { CalendarState } from "../../src/lib/state/pages/calendar.svelte.ts";
import { CountingState } from "../../src/lib/state/pages/counting.svelte.ts";
import { LabelsState } from "../../src/lib/state/pages/labels.svelte.ts";
import { OutsideState } from "../../src/lib/state/pages/outside.svelte.ts";
import { PlanState } from "../../src/lib/state/pages/plan.svelte.ts";
import { SchoolsRun } from "../../src/lib/state/pages/schoolsRun.svelte.ts";
import type { KitState } from "../../src/lib/state/kit.svelte.ts";
import { workspace } from "../../src/lib/state/workspace.svelte.ts";
import { CREW_BOX, demoShelf, kitState } from "./open.ts";

let kit: KitState;
beforeEach(async () => {
  await demoShelf();
  kit = kitState();
});

describe("the brief's page", () => {
  it("takes over the answers and the list of a kind of outing, and leaves a title that was given", () => {
    const brief = new BriefState(kit);
    const preset = BRIEF_PRESETS.find((p) => p.list !== kit.record!.list.id)!;
    const title = kit.brief.title;
    brief.start(preset);
    expect(kit.brief).to.deep.include({ people: preset.brief.people, title });
    expect(kit.record!.list.id).to.equal(preset.list);
    workspace.undo();
    expect(kit.record!.list.id).to.not.equal(preset.list);
  });
  it("says what one more person would ask for, and marks an activity by the needs it adds", () => {
    const brief = new BriefState(kit);
    expect(brief.steps[0]!.label).to.equal(`${kit.brief.people + 1} people`);
    const off = kit.brief.activities[0];
    if (off) brief.toggleActivity(off, off);
    const effect = brief.activityEffect(off!);
    const added = effect.changes.filter((c) => c.from === 0).length;
    expect(effect.sign).to.equal(added > 0 ? `+${added}` : "");
  });
  it("keeps one answer to which method is taught, and takes it back", () => {
    const brief = new BriefState(kit);
    brief.toggleActivity("snakes", "snake country");
    brief.answerAsked("snakes", "wraps-taught");
    brief.answerAsked("snakes", "wraps-not-taught");
    expect(kit.brief.activities).to.include("wraps-not-taught").and.not.include("wraps-taught");
    brief.answerAsked("snakes", "wraps-not-taught");
    expect(kit.brief.activities).to.include("snakes").and.not.include("wraps-not-taught");
  });
  it("gives a kit a brief of its own, that no longer follows the shared one", () => {
    const copy = workspace.copyKit(CREW_BOX)!;
    const brief = new BriefState(kit);
    expect(brief.others).to.be.greaterThan(0);
    brief.ownBrief();
    expect(brief.others).to.equal(0);
    kit.updateBrief("people", { people: 77 });
    expect(workspace.brief(workspace.kit(copy)!.briefId)!.brief.people).to.not.equal(77);
  });
  it("tries other answers on the kit as it was when typing paused, and a name changes nothing of it", async () => {
    const { tried } = new BriefState(kit);
    tried.follow();
    const before = tried.file;
    kit.updateBrief("title", { title: "Another place" });
    expect(tried.file, "a name").to.equal(before);
    kit.updateBrief("people", { people: 31 });
    expect(tried.file.brief.people, "still typing").to.not.equal(31);
    tried.follow();
    await new Promise((r) => setTimeout(r, 200));
    expect(tried.file.brief.people, "after the pause").to.equal(31);
  });
  it("says the points that a skill would gain as the audit counts them", () => {
    const brief = new BriefState(kit);
    expect(brief.pointsIf({ skill: kit.brief.skill })).to.equal("");
    const untrained = brief.pointsIf({ skill: "anyone" });
    expect(untrained).to.match(/^(−[\d.]+ points)?$/);
  });
  it("keeps the currency of a price that was given, and takes the price away with the number", () => {
    const brief = new BriefState(kit);
    const currency = kit.record!.kit.price?.currency ?? workspace.settings.currency;
    brief.setPricePaid(12);
    expect(kit.record!.kit.price).to.deep.equal({ amount: 12, currency });
    brief.setPricePaid(undefined);
    expect(kit.record!.kit.price).to.equal(undefined);
  });
});

describe("the plan's page", () => {
  it("makes a point of the curve the budget of the best plan, or the brief's weight limit", () => {
    const plan = new PlanState(kit);
    plan.pick("budget", 40);
    expect(plan.planned).to.deep.include({ question: "best", budget: 40 });
    expect(plan.request.limits.budget).to.equal(40);
    expect(plan.chosenOn("budget")).to.equal(40);
    plan.ask("cheapest");
    plan.pick("mass", 900);
    expect(plan.question).to.equal("best");
    expect([kit.brief.limits.massG, plan.chosenOn("mass")]).to.deep.equal([900, 900]);
  });
  it("hands wishes to the planner: what is not bought, what always goes along", () => {
    const plan = new PlanState(kit);
    const [line] = kit.lines;
    plan.exclude("some-product", "Some product");
    plan.keep(line!.id);
    expect(plan.request).to.deep.include({ exclude: ["some-product"], keep: [line!.id] });
    expect(workspace.undoLabel).to.equal(`always carry ${plan.lineLabel(line!.id)}`);
  });
  it("writes a stage's value in what the stage counts", () => {
    const plan = new PlanState(kit);
    expect(plan.stageValue("vital", 99.25)).to.equal("99.3 %");
    expect(plan.stageValue("mass", 1500)).to.equal("1.5 kg");
    expect(plan.stageValue("price", 3)).to.contain("3");
  });
});

describe("the calendar's page", () => {
  it("lays a month out from Monday on", () => {
    const calendar = new CalendarState(kit);
    calendar.offset = 0;
    // 1 November 2026 is a Sunday: six empty days before it, thirty days.
    expect(calendar.month).to.equal("2026-11");
    expect(calendar.cells.findIndex((c) => c !== null)).to.equal(6);
    expect(calendar.cells.length).to.equal(36);
    calendar.offset = 3;
    expect(calendar.month).to.equal("2027-02");
    expect(calendar.cells.filter((c) => c !== null).length).to.equal(28);
    calendar.offset = -11;
    expect(calendar.month).to.equal("2025-12");
  });
  it("opens on the month in which the next thing falls due", () => {
    const calendar = new CalendarState(kit);
    const next = calendar.listed.find((d) => d.day >= workspace.today)!;
    expect(calendar.month).to.equal(next.day.slice(0, 7));
    expect(calendar.inMonth.length).to.be.greaterThan(0);
  });
  it("goes to the month of a day, and lists only what is shown", () => {
    const calendar = new CalendarState(kit);
    const last = calendar.listed.at(-1)!;
    calendar.goTo(last.day);
    expect(calendar.inMonth).to.include(last);
    calendar.toggle(last.kind);
    expect(calendar.listed.some((d) => d.kind === last.kind)).to.equal(false);
    expect(calendar.icalendar().match(/BEGIN:VEVENT/g)!.length).to.equal(calendar.listed.length);
  });
});

describe("the labels' page", () => {
  it("records what failed and what was looked at, once", () => {
    const packed = new LabelsState(kit);
    const before = packed.looks.length;
    const outside = new OutsideState(kit, () => null);
    const ids = Object.keys(kit.container.points ?? {});
    if (ids.length === 0) outside.answer("zip", "the zip", false);
    packed.finding = "  sand in it ";
    packed.recordLook();
    expect(packed.looks.length).to.equal(before + 1);
    const look = packed.looks.at(-1)!;
    expect(look).to.deep.include({ on: "2026-11-26", note: "sand in it" });
    expect(look.failed.every((f) => look.looked.includes(f))).to.equal(true);
    expect(packed.finding).to.equal("");
  });
});

describe("the bag and its compartments", () => {
  it("is reached as its compartment is, and what lay in a removed one lies nowhere", () => {
    const outside = new OutsideState(kit, () => null);
    const c = outside.compartments.find((x) => kit.lines.some((l) => l.compartment === x.id))!;
    const own = kit.lines.filter((l) => l.compartment === c.id).map((l) => l.id);
    const at = (id: string) => kit.lines.find((l) => l.id === id)!;
    outside.change(c.id, "reach", { place: "outside" });
    expect(own.map((id) => at(id).location)).to.deep.equal(own.map(() => "outside"));
    const unplaced = outside.unplaced;
    outside.remove(c);
    expect(own.map((id) => at(id).compartment)).to.deep.equal(own.map(() => undefined));
    expect(outside.unplaced).to.equal(unplaced + own.length);
  });
  it("gives each new compartment an id of its own, and a first guess of its size", () => {
    const outside = new OutsideState(kit, () => null);
    outside.add();
    outside.add();
    const ids = outside.compartments.map((c) => c.id);
    expect(new Set(ids).size).to.equal(ids.length);
    const c = outside.compartments.at(-1)!;
    outside.setInner(c, 1, 24);
    expect(outside.compartments.at(-1)!.innerMm).to.deep.equal([100, 240, 50]);
    outside.setInner(outside.compartments.at(-1)!, 1, undefined);
    expect(outside.compartments.at(-1)!.innerMm).to.deep.equal([100, 240, 50]);
  });
});

describe("counting by weight and code", () => {
  it("counts by what a known few weigh, and forgets them for another line", () => {
    const line = kit.lines[0]!;
    const counting = new CountingState(kit, () => line.id);
    counting.few = 10;
    counting.weighKnown(200);
    counting.all = 860;
    // 20 g a piece: 43 pieces.
    expect(counting.result).to.deep.include({ ok: true, count: 43 });
    counting.takeCount();
    expect(kit.lines[0]!.counted).to.equal(43);
    counting.anew();
    expect([counting.known, counting.result]).to.deep.equal([[], null]);
  });
  it("makes a line of a code not seen before, and says so", () => {
    const counting = new CountingState(kit, () => null);
    const before = kit.lines.length;
    const id = counting.scanned("(01)04012345678901(17)280131(10)A7")!;
    if (id === null) throw new Error(counting.lastScan);
    expect(kit.lines.length).to.equal(before + 1);
    expect(kit.lines.find((l) => l.id === id)).to.deep.include({ lot: "A7" });
    expect(counting.lastScan).to.contain("not seen before");
    expect(counting.scanned("rubbish")).to.equal(null);
    expect(counting.lastScan).to.match(/^Not taken: /);
  });
});

describe("every combination of schools", () => {
  it("is tried a few at a time, and forgotten when the kit changes", async function () {
    this.timeout(120_000);
    const run = new SchoolsRun();
    run.start({ ...kit.file, list: { ...kit.file.list, needs: kit.file.list.needs.slice(0, 1) } });
    while (run.range === null) await new Promise((next) => setTimeout(next, 20));
    expect(run.progress).to.equal(null);
    const range = run.range;
    expect(range.tried).to.equal(Object.values(range.grades).reduce((a, b) => a + b, 0));
    expect(range.least.coverage).to.be.at.most(range.most.coverage);
    run.forget();
    expect(run.range).to.equal(null);
  });
});
